package ebauche.core.contour;

import ebauche.core.design.Contour;
import ebauche.core.geometry.Face;
import ebauche.core.geometry.Point;
import ebauche.core.geometry.Region;
import ebauche.core.job.Build;
import ebauche.core.measure.Quantity;
import ebauche.core.measure.Reckoning;
import ebauche.core.stock.Gap;
import java.util.ArrayList;
import java.util.List;

/**
 * The wood left between a contour of the front and one of the back that lie over each other: it must stay even and never
 * come to a point.
 *
 * @param thickness where it is least
 * @param at where that is
 */
public record EdgeBand(Contour front, Contour back, Reckoning thickness, Point at) {

    /** Every pair that lies over each other. */
    public static List<EdgeBand> of(Build build) {
        List<EdgeBand> bands = new ArrayList<>();
        for (Contour.Laid front : on(build, Face.FRONT)) {
            for (Contour.Laid back : on(build, Face.BACK)) {
                Region shared = front.plan().intersection(back.plan());
                if (shared.area() > 1) {
                    bands.add(band(build, front, back, shared));
                }
            }
        }
        return bands;
    }

    private static List<Contour.Laid> on(Build build, Face face) {
        return build.contours().stream().filter(c -> c.contour().face() == face).toList();
    }

    private static EdgeBand band(Build build, Contour.Laid front, Contour.Laid back, Region shared) {
        double thick = build.faces().thickness();
        Gap gap = Gap.least(front.under(0), back.under(thick), shared);
        Reckoning sum = Reckoning.of(
                        "edge between the " + front.contour().feature().said() + " and the "
                                + back.contour().feature().said(),
                        Quantity.LENGTH)
                .length(
                        "finished thickness",
                        build.faces().thicknessReckoning(build).asFact())
                .length("carved off the front there", front.under(0).fall(gap.at()))
                .length("carved off the back there", back.under(0).fall(gap.at()))
                .is(gap.thickness(), "finished thickness − carved off the front there − carved off the back there");
        return new EdgeBand(front.contour(), back.contour(), sum, gap.at());
    }
}
