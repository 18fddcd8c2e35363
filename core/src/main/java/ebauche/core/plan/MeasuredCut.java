package ebauche.core.plan;

import ebauche.core.build.AsBuilt;
import ebauche.core.build.Build;
import ebauche.core.design.Measurand;
import ebauche.core.design.Measurand.DepthOf;
import ebauche.core.geometry.Face;
import ebauche.core.stock.Change;
import ebauche.core.stock.Solid;
import java.util.List;
import java.util.Optional;

/** The cut that a finished step really made: as recorded, its floor moved to where the gauge found it. */
final class MeasuredCut {
    private MeasuredCut() {}

    static List<Change> of(Build build, AsBuilt.Done done) {
        for (Measurand measured : done.expected().keySet()) {
            if (measured instanceof DepthOf depth && reading(build, done, depth).isPresent()) {
                double miss =
                        miss(build, done, depth, reading(build, done, depth).get());
                return done.changes().stream()
                        .map(c -> moved(c, done.face(), miss))
                        .toList();
            }
        }
        return done.changes();
    }

    /** The latest reading taken at this very step. */
    private static Optional<AsBuilt.Reading> reading(Build build, AsBuilt.Done done, DepthOf depth) {
        return build.asBuilt().standing().stream()
                .filter(e -> e instanceof AsBuilt.Reading r
                        && r.measures().equals(depth)
                        && r.operation().equals(done.operation()))
                .map(AsBuilt.Reading.class::cast)
                .reduce((a, b) -> b);
    }

    /** How much deeper than expected, both reduced to the face as it was when the step was done. */
    private static double miss(Build build, AsBuilt.Done done, DepthOf depth, AsBuilt.Reading reading) {
        double between = build.sandedSince(done.face(), reading) - build.sandedSince(done.face(), done);
        return reading.value() - between - done.expected().get(depth);
    }

    private static Change moved(Change change, Face face, double deeper) {
        if (!(change instanceof Change.Remove cut) || !(cut.solid() instanceof Solid.Prism prism)) {
            return change;
        }
        Solid cutDeeper = face == Face.FRONT
                ? new Solid.Prism(prism.plan(), prism.top(), prism.bottom().lowered(deeper))
                : new Solid.Prism(prism.plan(), prism.top().lowered(-deeper), prism.bottom());
        return new Change.Remove(cut.feature(), cut.workpiece(), cutDeeper);
    }
}
