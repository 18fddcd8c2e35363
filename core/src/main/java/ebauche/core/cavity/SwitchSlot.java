package ebauche.core.cavity;

import ebauche.core.crib.Fit;
import ebauche.core.feature.Feature;
import ebauche.core.feature.StepKey;
import ebauche.core.feature.StepKind;
import ebauche.core.feature.Work;
import ebauche.core.geometry.Face;
import ebauche.core.geometry.Point;
import ebauche.core.geometry.Region;
import ebauche.core.hardware.Control;
import ebauche.core.job.Build;
import ebauche.core.measure.Fact;
import ebauche.core.measure.Quantity;
import ebauche.core.measure.Reckoning;
import ebauche.core.operation.Caution;
import ebauche.core.operation.Condition;
import ebauche.core.operation.Operation;
import ebauche.core.operation.Setting;
import ebauche.core.routing.Datum;
import ebauche.core.routing.Drilling;
import ebauche.core.routing.GuidedPocket;
import ebauche.core.stock.Change;
import ebauche.core.stock.Solid;
import java.util.List;
import java.util.Set;

/**
 * The slot of a blade switch: two small holes at its ends from the front, while the body is whole, then, once the floor under it has its
 * depth and only the top is left, the wood between them along a fence or with a knife; the switch is screwed in and thrown to both ends.
 *
 * @param floor the pocket whose floor it stands on
 */
public record SwitchSlot(Build build, Control control, GuidedPocket floor, Set<Feature> joins) {
    /** Into the wood that the cavity takes away, so that the holes show on its floor, mm: common practice. */
    private static final double PAST_TOP = 3;

    /** The small holes at the ends of a slot. */
    static Region ends(Control control) {
        return Region.disc(end(control, -1), control.opening()).union(Region.disc(end(control, 1), control.opening()));
    }

    /** The middle of one of them: 1 towards the neck, -1 towards the tail. */
    private static Point end(Control control, int way) {
        return control.at().plus(0, way * Math.max(0, control.slot() - control.opening()) / 2);
    }

    List<Operation> operations() {
        return List.of(drill(), slot(), tried());
    }

    private String said() {
        return control.id() + " " + control.kind().word();
    }

    private Condition.Access drilled() {
        return new Condition.Access(
                StepKey.of(control.feature(), StepKind.DRILL), "two holes at the ends of the " + said() + " slot");
    }

    private Condition.Mark slotted() {
        return new Condition.Mark(StepKey.of(control.feature(), StepKind.SLOT), "the " + said() + " slot cut");
    }

    private double floorPlane() {
        return floor.floor().deepest(control.passage());
    }

    private Operation drill() {
        double front = build.faces().frontNow();
        Region holes = ends(control);
        double top = floorPlane() - front;
        Reckoning depth = Reckoning.of("holes at the ends of the slot", Quantity.LENGTH)
                .length("top over the cavity to come, from the front as it is now", top)
                .length("on into what the cavity takes", Fact.rule(PAST_TOP, "common practice"))
                .is(
                        top + PAST_TOP,
                        "top over the cavity to come, from the front as it is now + on into what the cavity takes");
        return Operation.of(
                        Work.CAVITY,
                        control.feature(),
                        StepKind.DRILL,
                        "Drill two holes at the ends of the " + said() + " slot")
                .set(Drilling.to(build, control.opening(), Fit.CLEAR, depth, "deep from the front"))
                .at("neck end", end(control, 1))
                .at("tail end", end(control, -1))
                .cuts(Change.Remove.fromBody(
                        control.feature(), Solid.Prism.between(holes, front, front + depth.value())))
                .needs(
                        Datum.centreLine(Face.FRONT),
                        Datum.flat(
                                build,
                                Face.FRONT,
                                holes.grown(10)
                                        .intersection(build.design().outline().region())),
                        new Condition.Wood(holes, build.faces().frontFinished(), floorPlane() + PAST_TOP))
                .gives(drilled())
                .joins(joins)
                .caution(Caution.DRILL)
                .takes(6, 0, 0.003)
                .build();
    }

    private Operation slot() {
        String tool = build.shop()
                .crib()
                .slotBit()
                .map(b -> b.name()
                        + " along a fence on both sides, in light passes; a thin top stiffened with thin CA first")
                .orElse("a knife along a rule, many light strokes; a thin top stiffened with thin CA first");
        return Operation.of(
                        Work.CAVITY, control.feature(), StepKind.SLOT, "Cut the " + said() + " slot between its holes")
                .set(new Setting.ByHand(tool))
                .cuts(Change.Remove.fromBody(
                        control.feature(),
                        Solid.Prism.between(control.passage(), build.faces().frontNow(), floorPlane())))
                .needs(drilled(), floor.atDepth())
                .gives(slotted())
                .joins(joins)
                .caution(
                        build.shop().crib().slotBit().isPresent()
                                ? new Caution[] {Caution.ROUTER, Caution.CA}
                                : new Caution[] {Caution.CA})
                .takes(15, 0, 0.006)
                .build();
    }

    private Operation tried() {
        return Operation.of(
                        Work.CAVITY,
                        control.feature(),
                        StepKind.TRY,
                        "Screw the " + said() + " in and throw it to both ends")
                .set(
                        new Setting.ByHand(
                                "its own screws, their holes marked through its plate; file the slot's ends where the lever touches"))
                .needs(slotted())
                .joins(joins)
                .takes(8, 0, 0.001)
                .build();
    }
}
