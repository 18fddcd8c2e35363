package ebauche.core.contour;

import ebauche.core.feature.Feature;
import ebauche.core.geometry.Face;
import ebauche.core.geometry.Point;
import ebauche.core.geometry.Region;
import ebauche.core.job.Build;
import ebauche.core.measure.Quantity;
import ebauche.core.measure.Reckoning;
import ebauche.core.stock.Gap;
import ebauche.core.stock.Relief;
import java.util.ArrayList;
import java.util.List;

/**
 * The wood left between what shapes the front and what shapes the back that lie over each other: it must stay even and never
 * come to a point.
 *
 * @param thickness where it is least
 * @param at where that is
 */
public record EdgeBand(Feature front, Feature back, Reckoning thickness, Point at) {

    /** Every pair that lies over each other. */
    public static List<EdgeBand> of(Build build) {
        List<EdgeBand> bands = new ArrayList<>();
        for (Relief front : on(build, Face.FRONT)) {
            for (Relief back : on(build, Face.BACK)) {
                Region shared = front.plan().intersection(back.plan());
                if (shared.area() > 1) {
                    bands.add(band(build, front, back, shared));
                }
            }
        }
        return bands;
    }

    private static List<Relief> on(Build build, Face face) {
        return build.surfaces().stream().filter(r -> r.face() == face).toList();
    }

    private static EdgeBand band(Build build, Relief front, Relief back, Region shared) {
        double thick = build.faces().thickness();
        Gap gap = Gap.least(front.under(0), back.under(thick), shared);
        Reckoning sum = Reckoning.of(
                        "edge between the " + front.feature().said() + " and the "
                                + back.feature().said(),
                        Quantity.LENGTH)
                .length(
                        "finished thickness",
                        build.faces().thicknessReckoning(build).asFact())
                .length("carved off the front there", front.under(0).fall(gap.at()))
                .length("carved off the back there", back.under(0).fall(gap.at()))
                .is(gap.thickness(), "finished thickness − carved off the front there − carved off the back there");
        return new EdgeBand(front.feature(), back.feature(), sum, gap.at());
    }
}
