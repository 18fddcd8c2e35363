package ebauche.core.neck;

import ebauche.core.build.Build;
import ebauche.core.build.Finding;
import ebauche.core.build.Station;
import ebauche.core.crib.Drill;
import ebauche.core.design.Measurand;
import ebauche.core.design.NeckJoint;
import ebauche.core.geometry.Face;
import ebauche.core.geometry.Point;
import ebauche.core.geometry.Region;
import ebauche.core.measure.Quantity;
import ebauche.core.measure.Reckoning;
import ebauche.core.operation.Caution;
import ebauche.core.operation.Condition;
import ebauche.core.operation.Inspection;
import ebauche.core.operation.Operation;
import ebauche.core.operation.Setting;
import ebauche.core.routing.Datum;
import ebauche.core.routing.GuidedPocket;
import ebauche.core.stock.Change;
import ebauche.core.stock.Plane;
import ebauche.core.stock.Solid;
import ebauche.core.stock.WoodLeft;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/** The neck pocket: depth, cut, the neck fitted and aligned, its screw holes, the bridge located from it. */
public final class NeckStation implements Station {
    private static final Condition.Mark NECK_IN = new Condition.Mark("the neck fitted and on the centre line");

    /** How near a drill in the crib must come to a wanted clearing hole, mm. */
    private static final double DRILL_MATCH = 0.3;

    @Override
    public String name() {
        return "neck";
    }

    @Override
    public List<Finding> check(Build build) {
        List<Finding> found = new ArrayList<>(new NeckChecks(build).findings());
        found.addAll(pocket(build).check());
        return found;
    }

    /** The pocket as it is to be routed. */
    public static GuidedPocket pocket(Build build) {
        return pocket(build, PocketState.of(build));
    }

    private static GuidedPocket pocket(Build build, PocketState state) {
        NeckJoint neck = build.design().neck();
        double floor =
                build.faces().planeUnderFinished(Face.FRONT, state.target().value());
        return new GuidedPocket(
                build,
                "neck",
                NeckJoint.FEATURE,
                "neck pocket",
                Face.FRONT,
                neck.pocket(),
                Plane.tilted(
                        floor, neck.endWallToSaddle(), state.geometry().angle().value()),
                state.target(),
                neck.cornerRadius(),
                Set.of(WoodLeft.EDGE, NeckHoles.FEATURE),
                Datum.centreLine(Face.FRONT),
                false);
    }

    @Override
    public List<Operation> operations(Build build) {
        PocketState state = PocketState.of(build);
        GuidedPocket pocket = pocket(build, state);
        List<Operation> steps = new ArrayList<>(pocket.operations());
        deepen(build, state, pocket).ifPresent(steps::add);
        steps.add(Operation.of("neck", NeckJoint.FEATURE, "check", "Fit the neck, check the centre line")
                .set(new Setting.ByHand("straightedge or string from nut to bridge"))
                .needs(pocket.atDepth(), Datum.centreLine(Face.FRONT))
                .gives(NECK_IN)
                .takes(20, 0, 0.002)
                .build());
        new NeckHoles(build, state).operation(NECK_IN, pocket.atDepth()).ifPresent(steps::add);
        steps.add(Operation.of("neck", NeckJoint.FEATURE, "bridge", "Mark the bridge's place from the neck")
                .set(new Setting.ByHand("rule from fret 12, twine along the outer strings"))
                .needs(NECK_IN)
                .gives(Datum.BRIDGE_MARKED)
                .takes(15, 0, 0.004)
                .build());
        return steps;
    }

    /** Once the pocket is called done and is found too shallow, one more step brings it down. */
    private static Optional<Operation> deepen(Build build, PocketState state, GuidedPocket pocket) {
        double tolerance = build.shop().limits().depthTolerance();
        Optional<Reckoning> left = state.stillToCut();
        if (!build.isDone(PocketState.ROUT) || left.isEmpty() || left.get().value() <= tolerance) {
            return Optional.empty();
        }
        NeckJoint neck = build.design().neck();
        double floor =
                build.faces().planeUnderFinished(Face.FRONT, state.target().value());
        Solid rest = new Solid.Prism(
                neck.pocket(),
                Plane.at(build.faces().frontNow()),
                Plane.tilted(
                        floor, neck.endWallToSaddle(), state.geometry().angle().value()));
        return Optional.of(Operation.of("neck", NeckJoint.FEATURE, "deepen", "Deepen the neck pocket to its new depth")
                .set(new Setting.Routed(
                        "the bit that cut it",
                        "the wall just cut",
                        Setting.Feed.CLOCKWISE,
                        pocket.depthNow(),
                        "deep from the front",
                        List.of()))
                .cuts(Change.Remove.fromBody(NeckJoint.FEATURE, rest))
                .needs(Datum.surround(build, Face.FRONT, neck.pocket()), pocket.atDepth())
                .joins(Set.of(WoodLeft.EDGE, NeckHoles.FEATURE))
                .inspect(new Inspection(
                        new Measurand.DepthOf(NeckJoint.FEATURE),
                        pocket.depthNow(),
                        tolerance,
                        tolerance,
                        "depth gauge"))
                .caution(Caution.ROUTER, Caution.DUST)
                .takes(12, 0, 0.012)
                .build());
    }

    @Override
    public List<Reckoning> reckonings(Build build) {
        PocketState state = PocketState.of(build);
        List<Reckoning> sums = new ArrayList<>();
        sums.add(state.target());
        state.found().ifPresent(sums::add);
        state.stillToCut().ifPresent(sums::add);
        sums.add(state.saddleHeight());
        return sums;
    }

    /** The holes that the neck's screws pass. */
    record NeckHoles(Build build, PocketState state) {
        static final String FEATURE = "neck-screws";

        Optional<Operation> operation(Condition neckIn, Condition pocketCut) {
            NeckJoint neck = build.design().neck();
            if (neck.screws().isEmpty()) {
                return Optional.empty();
            }
            double through = build.faces().backNow() - build.faces().frontNow();
            Optional<Drill> drill = build.shop().crib().drill(neck.screwHole(), DRILL_MATCH);
            Reckoning depth = Reckoning.of("through the pocket's floor", Quantity.LENGTH)
                    .length("body as it is now", through)
                    .length("pocket", state.target().asFact())
                    .is(through - state.target().value(), "body as it is now − pocket");
            Operation.Builder step = Operation.of("neck", FEATURE, "drill", "Drill the neck screws' holes")
                    .set(new Setting.Drilled(
                            drill.map(Drill::name).orElse("a drill that the crib lacks"),
                            depth,
                            "of wood to drill through"))
                    .needs(neckIn, pocketCut, Datum.flat(build, Face.BACK, neck.pocket()))
                    .gives(new Condition.Access("neck screws' holes"))
                    .joins(Set.of(NeckJoint.FEATURE, WoodLeft.BACK))
                    .caution(Caution.DRILL)
                    .takes(20, 0, 0.006);
            for (Point at : neck.screws()) {
                Region hole = Region.disc(at, neck.screwHole());
                Solid bore = Solid.Prism.between(
                        hole, build.faces().frontNow(), build.faces().backNow());
                step.cuts(Change.Remove.fromBody(FEATURE, bore))
                        .needs(new Condition.Wood(
                                hole,
                                build.faces().backFinished() - 1,
                                build.faces().backFinished()));
            }
            return Optional.of(step.build());
        }
    }
}
