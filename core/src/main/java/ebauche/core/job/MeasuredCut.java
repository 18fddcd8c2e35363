package ebauche.core.job;

import ebauche.core.design.Measurand;
import ebauche.core.design.Measurand.DepthOf;
import ebauche.core.design.Measurand.Dimension;
import ebauche.core.feature.FeatureKind;
import ebauche.core.feature.StepKind;
import ebauche.core.geometry.Face;
import ebauche.core.hardware.Channel;
import ebauche.core.logbook.AsBuilt;
import ebauche.core.stock.Bore;
import ebauche.core.stock.Change;
import ebauche.core.stock.Solid;
import ebauche.core.stock.Surface;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Stream;

/**
 * The cut that a finished step really made: as recorded, its floor moved to where the gauge found it.
 *
 * <p>A cavity's floor lies where it was read at that very step, a channel where it was read to run. A face that was thicknessed or sanded lies where the faces are known
 * to be, all later sanding added again, so that the wood that is weighed and the faces that depths are told from are one.
 */
final class MeasuredCut {
    private static final double NOISE = 1e-9;

    private MeasuredCut() {}

    static List<Change> of(Build build, AsBuilt.Done done) {
        if (done.operation().feature().is(FeatureKind.CHANNEL)) {
            return done.changes().stream().map(c -> bored(build, done, c)).toList();
        }
        if (done.operation().is(StepKind.CARVE) && done.operation().feature().is(FeatureKind.CONTOUR)) {
            return carved(build, done);
        }
        double miss = miss(build, done);
        return Math.abs(miss) < NOISE
                ? done.changes()
                : done.changes().stream().map(c -> moved(c, done.face(), miss)).toList();
    }

    /** A carve with the places where it was read to lie deeper. */
    private static List<Change> carved(Build build, AsBuilt.Done done) {
        Face face = done.face();
        double then = build.faces().now(face)
                + (face == Face.FRONT ? -build.sandedSince(face, done) : build.sandedSince(face, done));
        return Stream.concat(
                        done.changes().stream(),
                        build.deeper().stream()
                                .filter(d -> d.feature().equals(done.operation().feature()))
                                .map(d -> d.cut(d.plan(), then)))
                .toList();
    }

    /** A channel where it was read to run: as much off what is recorded as it is off what it was held for then. */
    private static Change bored(Build build, AsBuilt.Done done, Change change) {
        Optional<Channel> drawn = build.channelWhenDone(done);
        Optional<Channel> read = build.channelNow(change.feature());
        if (drawn.isEmpty() || read.isEmpty() || drawn.equals(read) || !(change.solid() instanceof Bore bore)) {
            return change;
        }
        Channel was = drawn.get();
        Channel is = read.get();
        return new Change.Remove(
                change.feature(),
                change.workpiece(),
                new Bore(
                        bore.from()
                                .plus(
                                        is.from().x() - was.from().x(),
                                        is.from().y() - was.from().y()),
                        bore.fromDepth() + is.fromUnder() - was.fromUnder(),
                        bore.to()
                                .plus(
                                        is.to().x() - was.to().x(),
                                        is.to().y() - was.to().y()),
                        bore.toDepth() + is.toUnder() - was.toUnder(),
                        bore.diameter()));
    }

    /** How much deeper from its face than recorded. */
    private static double miss(Build build, AsBuilt.Done done) {
        for (Measurand measured : done.expected().keySet()) {
            OptionalDouble miss = OptionalDouble.empty();
            if (measured instanceof DepthOf depth) {
                miss = ofCavity(build, done, depth);
            } else if (measured instanceof Measurand.SandedOff sanded) {
                miss = ofFace(done, build.faces().now(sanded.face()));
            } else if (measured == Dimension.BODY_THICKNESS) {
                miss = ofFace(done, build.faces().backNow() + build.sandedSince(Face.BACK, done));
            }
            if (miss.isPresent()) {
                return miss.getAsDouble();
            }
        }
        return 0;
    }

    /** By the latest reading taken at this very step, both reduced to the face as it was when the step was done. */
    private static OptionalDouble ofCavity(Build build, AsBuilt.Done done, DepthOf depth) {
        List<AsBuilt.Reading> read = build.asBuilt().readingsAt(done.operation(), depth);
        if (read.isEmpty()) {
            return OptionalDouble.empty();
        }
        AsBuilt.Reading last = read.get(read.size() - 1);
        double between = build.sandedSince(done.face(), last) - build.sandedSince(done.face(), done);
        return OptionalDouble.of(last.value() - between - done.expected().get(depth));
    }

    /** From where the record has the flat of the face to where it is known to lie. */
    private static OptionalDouble ofFace(AsBuilt.Done done, double plane) {
        boolean front = done.face() == Face.FRONT;
        return done.changes().stream()
                .filter(c -> c instanceof Change.Remove && c.solid() instanceof Solid.Prism)
                .map(c -> (Solid.Prism) c.solid())
                .map(p -> front ? p.bottom() : p.top())
                .filter(Surface::isLevel)
                .mapToDouble(s -> s.depthAt(0, 0))
                .map(recorded -> front ? plane - recorded : recorded - plane)
                .findFirst();
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
