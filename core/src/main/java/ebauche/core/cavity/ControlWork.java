package ebauche.core.cavity;

import ebauche.core.crib.Fit;
import ebauche.core.feature.Feature;
import ebauche.core.geometry.Face;
import ebauche.core.geometry.Point;
import ebauche.core.geometry.Region;
import ebauche.core.hardware.Control;
import ebauche.core.hardware.ControlCavity;
import ebauche.core.hardware.Jack;
import ebauche.core.job.Build;
import ebauche.core.job.Finding;
import ebauche.core.job.Rule;
import ebauche.core.measure.Fact;
import ebauche.core.measure.Quantity;
import ebauche.core.measure.Reckoning;
import ebauche.core.operation.Caution;
import ebauche.core.operation.Condition;
import ebauche.core.operation.Operation;
import ebauche.core.operation.StepKey;
import ebauche.core.operation.StepKind;
import ebauche.core.routing.Datum;
import ebauche.core.routing.Drilling;
import ebauche.core.routing.GuidedPocket;
import ebauche.core.routing.Pilot;
import ebauche.core.station.ControlTop;
import ebauche.core.stock.Change;
import ebauche.core.stock.Plane;
import ebauche.core.stock.Solid;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * The rear control cavity: its controls' holes drilled first from the front, so that they locate the rear template; the
 * cover's recess; the cavity until the wanted top remains; a step in its floor where a control wants less.
 */
final class ControlWork {
    private static final Condition.Access HOLES =
            new Condition.Access(StepKey.of(ControlCavity.FEATURE, StepKind.DRILL), "controls' holes through the body");
    /** Nearer than this to its limit a number is only just good: half a millimetre, as holes are drilled, common practice. */
    private static final double ONLY_JUST = 0.5;

    private final Build build;
    private final List<Control> controls;
    private final Optional<ControlCavity> cavity;
    private final Optional<ControlFloor> floor;

    ControlWork(Build build) {
        this.build = build;
        this.controls = build.design().controls();
        this.cavity = build.design().controlCavity();
        this.floor = ControlFloor.of(build);
    }

    List<Finding> check() {
        List<Finding> found = new ArrayList<>();
        if (cavity.isEmpty()) {
            if (!controls.isEmpty()) {
                found.add(Finding.stops("cavity", "no-cavity")
                        .on(ControlCavity.FEATURE)
                        .says("The body has controls and no cavity for them.", "Draw the control cavity."));
            }
        }
        return found;
    }

    /** A potentiometer's thread sets one limit to its top, a blade switch wants 1/8 to 3/16 in: common practice. */
    List<Rule> rules() {
        List<Rule> rules = new ArrayList<>();
        for (ControlTop top : floor.map(ControlFloor::tops).orElse(List.of())) {
            rules.add(top(top));
            rules.add(tall(top));
        }
        return rules;
    }

    private static Rule.Builder rule(String name, Control control) {
        return Rule.of("cavity", name, Rule.About.SPEC)
                .on(control.feature())
                .at(control.at())
                .tight(ONLY_JUST);
    }

    private static Finding.Builder stops(String name, Control control) {
        return Finding.stops("cavity", name).on(control.feature()).at(control.at());
    }

    private static Rule top(ControlTop top) {
        Control control = top.control();
        return rule("control-top", control)
                .says("The " + control.said() + " gets a top that it can be mounted through.")
                .between(top.wood(), control.thinnestTop(), control.thickestTop())
                .cure(
                        "A step in the cavity's floor under it, another depth, or another part; a thin top is stiffened with CA.")
                .fails(() -> stops("control-top", control)
                        .length("wood over it", top.wood().value())
                        .length("thinnest", control.thinnestTop())
                        .length("thickest", control.thickestTop())
                        .says(
                                "The " + control.id() + " " + control.kind().word()
                                        + " wants {1} to {2} of top; the cavity's floor leaves {0}.",
                                top.tooThick()
                                        ? "Leave at most {2} there: a deeper cavity, or a step in its floor under this control."
                                        : "Leave at least {1} there: a shallower cavity, or another part."))
                .build();
    }

    private Rule tall(ControlTop top) {
        Control control = top.control();
        double cover = cavity.orElseThrow().coverThickness();
        double inside = top.thickness().value() - top.wood().value() - cover;
        Reckoning room = Reckoning.of("room under the " + control.said(), Quantity.LENGTH)
                .length(top.thickness().what(), top.thickness().asFact())
                .length(top.wood().what(), top.wood().asFact())
                .length("cover", Fact.typed(cover))
                .length("reaches down", Fact.typed(control.below()))
                .is(
                        inside - control.below(),
                        top.thickness().what() + " − " + top.wood().what() + " − cover − reaches down");
        return rule("control-tall", control)
                .says("The cover closes over the " + control.said() + ".")
                .atLeast(room, 0)
                .cure("A shallower part, a thicker body, or less wood over it.")
                .fails(() -> stops("control-too-tall", control)
                        .length("reaches down", control.below())
                        .length("room under the cover", inside)
                        .says(
                                "The " + control.id() + " " + control.kind().word()
                                        + " reaches {0} under the top; there is {1} above the cover.",
                                "A shallower part, a thicker body, or less wood over it."))
                .build();
    }

    private Set<Feature> joins() {
        Set<Feature> joined = new HashSet<>(List.of(ControlCavity.FEATURE, ControlCavity.COVER, Jack.FEATURE));
        joined.add(ControlCavity.SCREWS);
        controls.forEach(c -> joined.add(c.feature()));
        controls.forEach(c -> joined.add(ControlFloor.step(c)));
        return joined;
    }

    List<Reckoning> reckonings() {
        return floor.map(f -> List.of(f.cavityDepth())).orElse(List.of());
    }

    List<GuidedPocket> pockets() {
        List<GuidedPocket> pockets = new ArrayList<>();
        cavity.ifPresent(pit -> {
            Region plan = pit.outline().region();
            double corner = Math.min(pit.outline().smallestInsideCorner(), 50);
            GuidedPocket whole = rear(
                    ControlCavity.FEATURE,
                    "control cavity",
                    plan,
                    floor.orElseThrow().cavityDepth(),
                    corner,
                    true);
            List<GuidedPocket> steps = new ArrayList<>();
            for (Control control : controls) {
                if (floor.orElseThrow().stepped(control)) {
                    steps.add(rear(
                            ControlFloor.step(control),
                            "step under the " + control.id() + " "
                                    + control.kind().word(),
                            floor.get().stepArea(control),
                            floor.get().stepDepth(control),
                            ControlFloor.STEP_CORNER,
                            true));
                }
            }
            for (GuidedPocket step : steps) {
                whole = whole.afterCavity(step);
            }
            pockets.addAll(steps);
            pockets.add(whole);
            if (pit.coverThickness() > 0) {
                GuidedPocket recess = rear(
                        ControlCavity.COVER,
                        "cover recess",
                        pit.coverPlan(),
                        pit.cover()
                                .map(build.fitting()::coverDepth)
                                .orElseGet(() -> Reckoning.typed("cover recess depth", pit.coverThickness())),
                        corner + pit.coverLip(),
                        false);
                pockets.add(recess.afterCavity(whole));
            }
        });
        return pockets;
    }

    private GuidedPocket rear(
            Feature feature, String noun, Region plan, Reckoning depth, double corner, boolean floorIsTop) {
        GuidedPocket pocket = new GuidedPocket(
                build,
                "cavity",
                feature,
                noun,
                Face.BACK,
                plan,
                Plane.at(build.faces().planeUnderFinished(Face.BACK, depth.value())),
                depth,
                corner,
                joins(),
                controls.isEmpty() ? Datum.centreLine(Face.BACK) : HOLES,
                floorIsTop,
                GuidedPocket.CutBefore.NOTHING);
        Region holes = controls.stream().map(this::hole).reduce(Region.EMPTY, Region::union);
        return controls.isEmpty() ? pocket : pocket.afterHoles(holes, HOLES);
    }

    List<Operation> operations() {
        List<Operation> steps = new ArrayList<>();
        if (cavity.isPresent()) {
            if (!controls.isEmpty()) {
                steps.addAll(drillHoles());
            }
            pockets().forEach(p -> steps.addAll(p.operations()));
            if (!cavity.get().screws().isEmpty()) {
                steps.add(coverScrews(cavity.get()));
            }
        }
        return steps;
    }

    /** Pilot holes for the cover's screws, through its ears, once the recess shows where they stand. */
    private Operation coverScrews(ControlCavity pit) {
        double floor = build.faces().planeUnderFinished(Face.BACK, pit.coverThickness());
        Pilot pilot = Pilot.small(build);
        Reckoning depth = pilot.smallDepth(build.faces().thickness() - pit.coverThickness());
        Operation.Builder step = Operation.of(
                        "cavity", ControlCavity.SCREWS, StepKind.DRILL, "Drill the pilot holes for the cover's screws")
                .face(Face.BACK)
                .set(pilot.to(depth, "deep from the floor of the cover's recess"))
                .needs(new Condition.Mark(StepKey.of(ControlCavity.COVER, StepKind.ROUT), "the cover recess at depth"))
                .joins(Set.of(ControlCavity.COVER))
                .caution(Caution.DRILL)
                .takes(8, 0, 0.002);
        for (Point at : pit.screws()) {
            step.cuts(Change.Remove.fromBody(
                    ControlCavity.SCREWS,
                    Solid.Prism.between(
                            Region.disc(at, pilot.wide()),
                            floor - depth.value(),
                            build.faces().backNow())));
        }
        return step.build();
    }

    /** A switch's slot is begun with two small holes just past its top, where others place the rear template. */
    private boolean isSlot(Control control) {
        return control.kind() == Control.Kind.BLADE_SWITCH
                && control.slot() > control.opening()
                && controls.stream().anyMatch(c -> c.kind() != Control.Kind.BLADE_SWITCH);
    }

    private Region hole(Control control) {
        return isSlot(control) ? SwitchSlot.ends(control) : Region.disc(control.at(), control.opening());
    }

    /** One step per control; the round ones give the holes that locate the rear template. */
    private List<Operation> drillHoles() {
        List<Operation> steps = new ArrayList<>();
        for (Control control : controls) {
            if (isSlot(control)) {
                steps.addAll(new SwitchSlot(build, control, floorOf(control), joins()).operations());
            } else {
                steps.add(drillThrough(control));
            }
        }
        return steps;
    }

    /** The pocket whose floor a control stands on. */
    private GuidedPocket floorOf(Control control) {
        Feature feature = floor.orElseThrow().stepped(control) ? ControlFloor.step(control) : ControlCavity.FEATURE;
        return pockets().stream()
                .filter(p -> p.feature().equals(feature))
                .findFirst()
                .orElseThrow();
    }

    private Operation drillThrough(Control control) {
        double front = build.faces().frontNow();
        double back = build.faces().backNow();
        Region hole = hole(control);
        return Operation.of(
                        "cavity",
                        control.feature(),
                        StepKind.DRILL,
                        "Drill the " + control.id() + " " + control.kind().word() + "'s hole through the body")
                .set(Drilling.through(build, control.opening(), Fit.CLEAR, Drilling.throughBody(build)))
                .cuts(Change.Remove.fromBody(control.feature(), Solid.Prism.between(hole, front, back)))
                .needs(
                        Datum.centreLine(Face.FRONT),
                        Datum.flat(
                                build,
                                Face.FRONT,
                                hole.grown(10)
                                        .intersection(build.design().outline().region())),
                        Datum.wood(build, hole))
                .gives(HOLES)
                .joins(joins())
                .joins(Set.of(Feature.BACK))
                .caution(Caution.DRILL)
                .takes(6, 0, 0.003)
                .build();
    }
}
