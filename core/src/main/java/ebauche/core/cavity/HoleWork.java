package ebauche.core.cavity;

import ebauche.core.crib.Fit;
import ebauche.core.feature.StepKind;
import ebauche.core.feature.Work;
import ebauche.core.geometry.Face;
import ebauche.core.geometry.Point;
import ebauche.core.geometry.Region;
import ebauche.core.hardware.PartHole;
import ebauche.core.hardware.PartKind;
import ebauche.core.hardware.PartSize;
import ebauche.core.job.Build;
import ebauche.core.job.Finding;
import ebauche.core.measure.Fact;
import ebauche.core.measure.Quantity;
import ebauche.core.measure.Reckoning;
import ebauche.core.measure.Source;
import ebauche.core.operation.Caution;
import ebauche.core.operation.Condition;
import ebauche.core.operation.Operation;
import ebauche.core.routing.Datum;
import ebauche.core.routing.Drilling;
import ebauche.core.stock.Change;
import ebauche.core.stock.Solid;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;

/**
 * Single holes for inserts and strap buttons: as wide and as deep as the part in hand wants, an insert flush with the face as
 * it will be; one in the edge in the middle of what the contours leave of it.
 */
final class HoleWork {
    private final Build build;

    HoleWork(Build build) {
        this.build = build;
    }

    /** Holes in a face that leave the body. */
    List<Finding> check() {
        Region body = build.design().outline().region();
        List<Finding> found = new ArrayList<>();
        for (PartHole hole : build.design().holes()) {
            double wide = build.fitting()
                    .size(hole.feature(), hole.part(), PartSize.HOLE)
                    .value();
            if (hole.from() != PartHole.Side.EDGE) {
                BridgeWork.holes(
                        hole.feature(),
                        hole.part().kind().word(),
                        List.of(hole.at()),
                        wide,
                        body,
                        "Move it, or the outline.",
                        found);
            }
        }
        return found;
    }

    List<Operation> operations() {
        List<Operation> steps = new ArrayList<>();
        for (PartHole hole : build.design().holes()) {
            if (hole.from() == PartHole.Side.EDGE) {
                steps.addAll(level(hole));
            } else {
                steps.add(upright(hole));
            }
        }
        return steps;
    }

    private Operation upright(PartHole hole) {
        Fact wide = build.fitting().size(hole.feature(), hole.part(), PartSize.HOLE);
        Operation.Builder step = Operation.of(
                        Work.CAVITY,
                        hole.feature(),
                        StepKind.DRILL,
                        "Drill the " + hole.feature().said() + " for its "
                                + hole.part().kind().word())
                .caution(Caution.DRILL)
                .takes(6, 0, 0.002);
        return upright(hole, wide.value(), step).build();
    }

    /** A strap button's screw cuts its own way; an insert is held by the wood. */
    private static Fit fit(PartHole hole) {
        return hole.part().kind() == PartKind.STRAP_BUTTON ? Fit.PILOT : Fit.PRESS;
    }

    private Reckoning deep(PartHole hole, Face face) {
        Fact length = build.fitting().size(hole.feature(), hole.part(), PartSize.LENGTH);
        String what = "depth of the " + hole.feature().said();
        return face == null
                ? Reckoning.of(what, Quantity.LENGTH)
                        .length("the part's length", length)
                        .is(length.value(), "the part's length")
                : build.fromAsItIs(face, what, "the part's length", length);
    }

    private Operation.Builder upright(PartHole hole, double wide, Operation.Builder step) {
        Face face = hole.from() == PartHole.Side.FRONT ? Face.FRONT : Face.BACK;
        Region area = Region.disc(hole.at(), wide);
        Reckoning depth = deep(hole, face);
        double now = build.faces().now(face);
        Solid solid = face == Face.FRONT
                ? Solid.Prism.between(area, now, now + depth.value())
                : Solid.Prism.between(area, now - depth.value(), now);
        return step.face(face)
                .at(hole.feature().said(), hole.at())
                .set(Drilling.to(build, wide, fit(hole), depth, "deep from the " + face.word()))
                .cuts(Change.Remove.fromBody(hole.feature(), solid))
                .needs(
                        Datum.centreLine(face),
                        Datum.flat(
                                build,
                                face,
                                area.grown(10)
                                        .intersection(build.design().outline().region())),
                        new Condition.Wood(
                                area,
                                Math.max(solid.shallowest(), build.faces().frontFinished()),
                                Math.min(solid.deepest(), build.faces().backFinished())));
    }

    /** Square to the edge in the middle of the thickness that the contours leave there. */
    private List<Operation> level(PartHole hole) {
        double wide =
                build.fitting().size(hole.feature(), hole.part(), PartSize.HOLE).value();
        Reckoning depth = deep(hole, null);
        Point aim = hole.aim().orElseThrow();
        Point end = hole.at().towards(aim, depth.value() / hole.at().distance(aim));
        double axis = (build.finished(Face.FRONT).depthAt(hole.at())
                        + build.finished(Face.BACK).depthAt(hole.at()))
                / 2;
        String what = "the " + hole.feature().part().replace('-', ' ');
        double under = axis - build.faces().frontFinished();
        EdgeHole edge = new EdgeHole(
                build,
                hole.feature(),
                what,
                hole.at(),
                end,
                wide,
                axis,
                EdgeHole.height(
                        build,
                        what,
                        new Fact(under, Source.COMPUTED, "the faces as they will be"),
                        "middle of the finished thickness there"),
                Set.of());
        return edge.operations(
                Drilling.to(build, wide, fit(hole), depth, "deep from the edge"), 6, 0.002, Caution.DRILL);
    }
}
