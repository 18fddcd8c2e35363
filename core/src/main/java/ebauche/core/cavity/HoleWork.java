package ebauche.core.cavity;

import ebauche.core.build.Build;
import ebauche.core.build.Finding;
import ebauche.core.crib.Drill;
import ebauche.core.design.FeatureName;
import ebauche.core.geometry.Face;
import ebauche.core.geometry.Point;
import ebauche.core.geometry.Region;
import ebauche.core.hardware.PartHole;
import ebauche.core.hardware.PartSize;
import ebauche.core.measure.Fact;
import ebauche.core.measure.Quantity;
import ebauche.core.measure.Reckoning;
import ebauche.core.operation.Caution;
import ebauche.core.operation.Condition;
import ebauche.core.operation.Operation;
import ebauche.core.operation.Setting;
import ebauche.core.routing.Datum;
import ebauche.core.stock.Change;
import ebauche.core.stock.Solid;
import ebauche.core.stock.WoodLeft;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * Single holes for inserts and strap buttons: as wide and as deep as the part in hand wants, an insert flush with the face as
 * it will be; one in the edge in the middle of what the contours leave of it.
 */
final class HoleWork {
    private static final double DRILL_MATCH = 0.3;

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
        return build.design().holes().stream().map(this::drill).toList();
    }

    private Operation drill(PartHole hole) {
        Fact wide = build.fitting().size(hole.feature(), hole.part(), PartSize.HOLE);
        Operation.Builder step = Operation.of(
                        "cavity",
                        hole.feature(),
                        "drill",
                        "Drill the " + FeatureName.said(hole.feature()) + " for its "
                                + hole.part().kind().word())
                .caution(Caution.DRILL)
                .takes(6, 0, 0.002);
        return hole.from() == PartHole.Side.EDGE
                ? level(hole, wide.value(), step).build()
                : upright(hole, wide.value(), step).build();
    }

    private String drillFor(double wide) {
        return build.shop().crib().drill(wide, DRILL_MATCH).map(Drill::name).orElse("a drill that the crib lacks");
    }

    private Reckoning deep(PartHole hole, Face face) {
        Fact length = build.fitting().size(hole.feature(), hole.part(), PartSize.LENGTH);
        double toSand = face == null ? 0 : build.faces().toSand(face);
        Reckoning.Builder sum = Reckoning.of("depth of the " + FeatureName.said(hole.feature()), Quantity.LENGTH)
                .length("the part's length", length);
        return face == null
                ? sum.is(length.value(), "the part's length")
                : sum.length("still to be sanded off the " + face.word(), toSand)
                        .is(length.value() + toSand, "the part's length + still to be sanded off the " + face.word());
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
                .set(new Setting.Drilled(drillFor(wide), depth, "deep from the " + face.word()))
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

    /** Square to the edge in the middle of the thickness, once the edge is where it stays. */
    private Operation.Builder level(PartHole hole, double wide, Operation.Builder step) {
        Reckoning depth = deep(hole, null);
        Point aim = hole.aim().orElseThrow();
        Point end = hole.at().towards(aim, depth.value() / hole.at().distance(aim));
        double axis = (build.finished(Face.FRONT).depthAt(hole.at())
                        + build.finished(Face.BACK).depthAt(hole.at()))
                / 2;
        Solid.Bore bore = new Solid.Bore(hole.at(), end, axis, wide);
        return step.set(new Setting.Drilled(
                        drillFor(wide), depth, "deep from the edge, in the middle of its thickness"))
                .cuts(Change.Remove.fromBody(hole.feature(), bore))
                .needs(
                        Datum.OUTLINE_ROUTED,
                        new Condition.Wood(
                                bore.plan()
                                        .intersection(build.design().outline().region()),
                                bore.shallowest(),
                                bore.deepest()))
                .opens(Optional.of(WoodLeft.Opening.of(build.design().outline().region(), hole.at(), end, wide)));
    }
}
