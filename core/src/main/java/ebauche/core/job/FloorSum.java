package ebauche.core.job;

import ebauche.core.feature.Feature;
import ebauche.core.geometry.Face;
import ebauche.core.geometry.Point;
import ebauche.core.measure.Quantity;
import ebauche.core.measure.Reckoning;
import ebauche.core.stock.Change;
import ebauche.core.stock.Solid;
import ebauche.core.stock.WoodLeft;
import java.util.List;
import java.util.Optional;
import java.util.stream.DoubleStream;

/**
 * A floor between two surfaces as a sum: each told from the cuts themselves by its depth under the finished front at the thinnest
 * place, so that it can be held against what the voids' geometry found. Millimetres.
 */
public final class FloorSum {
    private final Build build;
    private final List<Change> cuts;

    public FloorSum(Build build, History history) {
        this.build = build;
        this.cuts = history.steps().stream()
                .flatMap(s -> s.changes().stream())
                .filter(History::isVoid)
                .toList();
    }

    /** The sum of a floor, as seen from one of its sides; empty where one of them is no level or tilted surface, as a bore's is. */
    public Optional<Reckoning> of(WoodLeft.Thin floor, Feature towards) {
        boolean toFront = floor.neighbour().equals(Feature.FRONT);
        boolean toBack = floor.neighbour().equals(Feature.BACK);
        if (!hasSurfaces(floor.feature()) || !(toFront || toBack || hasSurfaces(floor.neighbour()))) {
            return Optional.empty();
        }
        Feature under = toFront ? floor.feature() : floor.neighbour();
        String below = toBack ? "finished thickness" : surface(under);
        String above = toFront ? "finished front" : surface(floor.feature());
        Reckoning.Builder sum = Reckoning.of("wood left to the " + towards.said(), Quantity.LENGTH);
        if (toBack) {
            sum.length(below, build.faces().thicknessReckoning(build).asFact());
        } else {
            sum.length(below, reach(under, floor.at(), false));
        }
        sum.length(above, toFront ? 0 : reach(floor.feature(), floor.at(), true));
        String words = below + " − " + above;
        if (toFront || toBack) {
            Face carved = toFront ? Face.FRONT : Face.BACK;
            double fall = build.finished(carved).fall(floor.at());
            if (fall > 0) {
                sum.length("carved off the " + carved.word() + " there", fall);
                words += " − carved off the " + carved.word() + " there";
            }
        }
        return Optional.of(sum.is(floor.thickness(), words));
    }

    private boolean hasSurfaces(Feature feature) {
        return cuts.stream().filter(c -> c.feature().equals(feature)).allMatch(c -> c.solid() instanceof Solid.Prism);
    }

    private static String surface(Feature of) {
        return of.said() + " under the front";
    }

    /**
     * Depth under the finished front to which a feature's cuts reach at a place.
     *
     * @param lower whether their lower surface is meant, else their upper
     */
    private double reach(Feature feature, Point at, boolean lower) {
        DoubleStream depths =
                cuts.stream().filter(c -> c.feature().equals(feature)).mapToDouble(c -> depth(c.solid(), at, lower));
        double plane = (lower ? depths.max() : depths.min()).orElseThrow();
        return build.faces().fromFaceFinished(Face.FRONT, plane);
    }

    private static double depth(Solid solid, Point at, boolean lower) {
        return solid instanceof Solid.Prism prism
                ? (lower ? prism.bottom() : prism.top()).depthAt(at)
                : lower ? solid.deepest() : solid.shallowest();
    }
}
