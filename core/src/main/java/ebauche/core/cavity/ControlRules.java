package ebauche.core.cavity;

import ebauche.core.feature.Work;
import ebauche.core.hardware.Cavity;
import ebauche.core.hardware.Control;
import ebauche.core.hardware.Cover;
import ebauche.core.hardware.Jack;
import ebauche.core.job.Build;
import ebauche.core.job.Finding;
import ebauche.core.job.Rule;
import ebauche.core.measure.Fact;
import ebauche.core.measure.Quantity;
import ebauche.core.measure.Reckoning;
import ebauche.core.station.ControlTop;
import java.util.ArrayList;
import java.util.List;

/** What controls ask of the cavities that they stand in: a top that they can be mounted through, and room under it. */
final class ControlRules {
    /** Nearer than this to its limit a number is only just good: half a millimetre, as holes are drilled, common practice. */
    private static final double ONLY_JUST = 0.5;

    private final CavityFloor floor;
    private final Cavity pit;

    private ControlRules(CavityFloor floor) {
        this.floor = floor;
        this.pit = floor.cavity();
    }

    /** Controls that have no cavity to stand in, and cavities that want a plate that is not there. */
    static List<Finding> check(Build build) {
        List<Finding> found = new ArrayList<>();
        List<Control> homeless = build.design().controls().stream()
                .filter(c -> build.design().cavityOf(c).isEmpty()
                        && build.design().chamberOf(c).isEmpty())
                .toList();
        if (!homeless.isEmpty() && build.design().cavities().isEmpty()) {
            found.add(Finding.stops(Work.CAVITY, "no-cavity")
                    .on(Cavity.ELDEST)
                    .says("The body has controls and no cavity for them.", "Draw the control cavity."));
        } else {
            homeless.forEach(c -> found.add(stops("no-cavity", c)
                    .says(
                            "The " + c.said() + " is to stand in a cavity “"
                                    + c.cavity().orElse("") + "”, and the body has none of that name.",
                            "Draw that cavity, or say another.")));
        }
        if (build.design().jacks() > 1) {
            found.add(Finding.thinkAgain(Work.CAVITY, "two-jacks")
                    .on(Jack.FEATURE)
                    .says(
                            "The body has more than one jack; its wires are planned to "
                                    + (build.design().jack().isPresent()
                                            ? "the one in the edge."
                                            : "the first of its dishes."),
                            "Take out the one that it is not to have."));
        }
        for (Cavity pit : build.design().cavities()) {
            boolean carries = !build.design().controlsIn(pit).isEmpty() && !pit.throughWood();
            if ((carries || pit.cover().kind().liesOnTheFace())
                    && !(build.design().plateOver(pit) > 0)) {
                found.add(noPlate(pit));
            }
            if (pit.floor() instanceof Cavity.Floor.ForParts
                    && build.design().controlsIn(pit).isEmpty()
                    && build.fitting().dish(pit).isEmpty()) {
                found.add(noDepth(pit));
            }
        }
        return found;
    }

    /** A potentiometer's thread sets one limit to its top, a blade switch wants 1/8 to 3/16 in: common practice. */
    static List<Rule> of(Build build) {
        List<Rule> all = new ArrayList<>();
        for (CavityFloor floor : CavityFloor.all(build)) {
            ControlRules rules = new ControlRules(floor);
            for (ControlTop top : floor.tops()) {
                all.add(rules.top(top));
                all.add(rules.tall(top));
            }
            build.fitting().dish(floor.cavity()).ifPresent(below -> all.add(rules.dish(below)));
        }
        return all;
    }

    private static Rule.Builder rule(String name, Control control) {
        return Rule.of(Work.CAVITY, name, Rule.About.SPEC)
                .on(control.feature())
                .at(control.at())
                .tight(ONLY_JUST);
    }

    private static Finding noDepth(Cavity pit) {
        String said = "The " + pit.feature().said();
        return pit.cover().kind() == Cover.Kind.JACK_DISH
                ? stops("no-depth", pit)
                        .says(
                                said + " is to be as deep as its jack's dish needs, and nobody has said which dish.",
                                "Say how deep it goes, or put the dish itself in.")
                : stops("no-depth", pit)
                        .says(
                                said + " is to be as deep as its controls need, and no control stands in it.",
                                "Say how deep it goes, or put a control into it.");
    }

    private static Finding noPlate(Cavity pit) {
        String said = "The " + pit.feature().said();
        return switch (pit.cover().kind()) {
            case OPEN ->
                stops("no-plate", pit)
                        .says(
                                said + " is open to the front, and its controls have nothing to be mounted through.",
                                "Say what closes it: the scratch plate, a control plate, a cover.");
            case SCRATCH_PLATE ->
                stops("no-plate", pit)
                        .says(
                                said + " lies under the scratch plate, and the design has none.",
                                "Put the scratch plate into the design, with its thickness.");
            default ->
                stops("no-plate", pit)
                        .says(
                                said + " lies under " + pit.cover().kind().word()
                                        + ", and nobody has said how thick that is.",
                                "Say its thickness, or put the plate itself in.");
        };
    }

    private static Finding.Builder stops(String name, Cavity pit) {
        return Finding.stops(Work.CAVITY, name).on(pit.feature()).at(pit.plan().centroid());
    }

    private static Finding.Builder stops(String name, Control control) {
        return Finding.stops(Work.CAVITY, name).on(control.feature()).at(control.at());
    }

    private Rule top(ControlTop top) {
        Control control = top.control();
        boolean wood = pit.throughWood();
        String cure = top.tooThick()
                ? "Leave at most {2} there: a deeper cavity, or a step in its floor under this control."
                : "Leave at least {1} there: a shallower cavity, or another part.";
        return rule("control-top", control)
                .says("The " + control.said() + " can be mounted through the top that is left for it.")
                .between(top.wood(), control.thinnestTop(), control.thickestTop())
                .cure(
                        wood
                                ? "A step in the cavity's floor under it, another depth, or another part; a thin top is stiffened with CA."
                                : "Another plate, or another part.")
                .fails(() -> stops("control-top", control)
                        .length(
                                wood ? "wood over it" : "plate over it",
                                top.wood().value())
                        .length("thinnest", control.thinnestTop())
                        .length("thickest", control.thickestTop())
                        .says(
                                "The " + control.id() + " " + control.kind().word()
                                        + " wants {1} to {2} of top; the "
                                        + (wood ? "cavity's floor leaves {0}." : "plate is {0} thick."),
                                wood ? cure : "Another plate, or another part."))
                .build();
    }

    private Rule tall(ControlTop top) {
        Control control = top.control();
        Reckoning room = pit.throughWood() ? roomUnderTop(top) : roomUnderPlate(control);
        double inside = room.value() + control.below();
        return rule("control-tall", control)
                .says(
                        pit.throughWood()
                                ? "The cover closes over the " + control.said() + "."
                                : "The " + control.said() + " hangs clear of its cavity's floor.")
                .atLeast(room, 0)
                .cure(tallCure())
                .fails(() -> stops("control-too-tall", control)
                        .length("reaches down", control.below())
                        .length("room under the cover", inside)
                        .says(
                                "The " + control.id() + " " + control.kind().word()
                                        + (pit.throughWood()
                                                ? " reaches {0} under the top; there is {1} above the cover."
                                                : " reaches {0} under its plate; there is {1} above the floor."),
                                tallCure()))
                .build();
    }

    private Rule dish(Fact below) {
        Reckoning depth = floor.cavityDepth();
        return Rule.of(Work.CAVITY, "dish-tall", Rule.About.SPEC)
                .on(pit.feature())
                .at(pit.plan().inner())
                .tight(ONLY_JUST)
                .says("The jack's dish hangs clear of the floor of the "
                        + pit.feature().said() + ", a plug in it.")
                .atLeast(
                        Reckoning.of("room under the jack's dish", Quantity.LENGTH)
                                .length(depth.what(), depth.asFact())
                                .length("reaches down", below)
                                .is(depth.value() - below.value(), depth.what() + " − reaches down"),
                        0)
                .cure("A deeper cavity, or a shallower dish.")
                .build();
    }

    private String tallCure() {
        return pit.throughWood()
                ? "A shallower part, a thicker body, or less wood over it."
                : "A shallower part, or a deeper cavity.";
    }

    private Reckoning roomUnderTop(ControlTop top) {
        double cover = pit.cover().thickness();
        return Reckoning.of("room under the " + top.control().said(), Quantity.LENGTH)
                .length(top.thickness().what(), top.thickness().asFact())
                .length(top.wood().what(), top.wood().asFact())
                .length("cover", Fact.typed(cover))
                .length("reaches down", Fact.typed(top.control().below()))
                .is(
                        top.thickness().value()
                                - top.wood().value()
                                - cover
                                - top.control().below(),
                        top.thickness().what() + " − " + top.wood().what() + " − cover − reaches down");
    }

    private Reckoning roomUnderPlate(Control control) {
        Reckoning depth = floor.cavityDepth();
        double letIn = pit.cover().isLetIn() ? pit.cover().thickness() : 0;
        Reckoning.Builder sum = Reckoning.of("room under the " + control.said(), Quantity.LENGTH)
                .length(depth.what(), depth.asFact());
        if (letIn > 0) {
            sum.length("cover let in", Fact.typed(letIn));
        }
        return sum.length("reaches down", Fact.typed(control.below()))
                .is(
                        depth.value() - letIn - control.below(),
                        depth.what() + (letIn > 0 ? " − cover let in" : "") + " − reaches down");
    }
}
