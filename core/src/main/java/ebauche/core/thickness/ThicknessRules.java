package ebauche.core.thickness;

import ebauche.core.design.Measurand.Dimension;
import ebauche.core.feature.Feature;
import ebauche.core.feature.StepKey;
import ebauche.core.feature.StepKind;
import ebauche.core.feature.Work;
import ebauche.core.geometry.Face;
import ebauche.core.geometry.Region;
import ebauche.core.job.Build;
import ebauche.core.job.Finding;
import ebauche.core.job.FinishedFaces;
import ebauche.core.job.Rule;
import ebauche.core.measure.Quantity;
import ebauche.core.measure.Reckoning;
import ebauche.core.shop.Practice;
import java.util.ArrayList;
import java.util.List;

/** Whether the blank gives the body's thickness, and whether the body came out as it is wanted. */
final class ThicknessRules {
    private final Build build;
    private final Ledger ledger;
    private final List<Rule> rules = new ArrayList<>();

    ThicknessRules(Build build) {
        this.build = build;
        this.ledger = Ledger.of(build);
    }

    List<Rule> all() {
        if (!ledger.backDone()) {
            thickEnough();
        }
        ledger.spareAtWorst().ifPresent(this::thickEnoughAtWorst);
        if (build.thicknessing() == Practice.Thicknessing.PLANER) {
            snipe();
        }
        boolean known = build.asBuilt().latest(Dimension.BODY_THICKNESS).isPresent()
                || build.isDone(StepKey.of(Feature.THICKNESS, StepKind.BACK));
        if (known) {
            asWanted();
        }
        return rules;
    }

    private static Rule.Builder rule(String name) {
        return Rule.of(Work.THICKNESS, name, Rule.About.BLANK).on(Feature.THICKNESS);
    }

    private void thickEnough() {
        double low = ledger.lowNow().value();
        double target = ledger.target();
        rules.add(rule("blank-too-thin")
                .says("The blank is as thick as the body with its sanding.")
                .atLeast(
                        Reckoning.of("blank at its thinnest spot", Quantity.LENGTH)
                                .length("thinnest spot", ledger.lowNow())
                                .is(low, "thinnest spot"),
                        target)
                .cure("Take thicker stock, make the body thinner, or add a top.")
                .fails(() -> Finding.stops(Work.THICKNESS, "blank-too-thin")
                        .on(Feature.THICKNESS)
                        .length("thinnest spot", low)
                        .length("finished body with its sanding", target)
                        .length("short by", target - low)
                        .says(
                                "The blank is {0}; the body with its sanding needs {1}: short by {2}.",
                                "Take thicker stock, make the body thinner by that, or add a top."))
                .build());
    }

    private void thickEnoughAtWorst(Reckoning spare) {
        rules.add(rule("blank-only-just")
                .says("The blank is thick enough even where the worst spots of both faces coincide.")
                .atLeast(spare, 0)
                .cure("Measure it on winding sticks, saw the body out first, or make it thinner.")
                .fails(
                        () -> Finding.thinkAgain(Work.THICKNESS, "blank-only-just")
                                .on(Feature.THICKNESS)
                                .length("short by at worst", -spare.value())
                                .length(
                                        "front out of flat",
                                        ledger.outOfFlat(Face.FRONT).value())
                                .length(
                                        "over the body's width only",
                                        ledger.cupOverBody().value())
                                .says(
                                        "With the front {1} out of flat, the blank may end up short by {0}.",
                                        "Measure it on winding sticks. Sawn out first, it is out of flat by about {2} only; or make the body thinner, or let the hollow fall where a pocket takes it."))
                .build());
    }

    /** A planer dips at both ends of what runs through it. A body that runs off its blank is another matter. */
    private void snipe() {
        Region blank = build.design().blank().plan();
        Region body = build.design().outline().region();
        double room = Math.min(blank.maxY() - body.maxY(), body.minY() - blank.minY());
        double snipe = build.shop().cutting().snipe();
        if (room < 0) {
            return;
        }
        rules.add(rule("snipe-reaches-body")
                .says("The planer's dip at each end of the blank stays clear of the body.")
                .atLeast(
                        Reckoning.of("body from the blank's end", Quantity.LENGTH)
                                .length("as the outline lies on the blank", room)
                                .is(room, "as the outline lies on the blank"),
                        snipe)
                .cure("Leave the blank longer, or take another way to thickness it.")
                .fails(
                        () -> Finding.thinkAgain(Work.THICKNESS, "snipe-reaches-body")
                                .on(Feature.THICKNESS)
                                .length("body from the blank's end", room)
                                .length("snipe", snipe)
                                .says(
                                        "The planer dips over the last {1} of each end, and the body begins {0} from it.",
                                        "Leave the blank longer, run sacrificial strips beside it, or take another way to thickness it."))
                .build());
    }

    /** The body as it is known against what is wanted, but for what the cards' bands let pass. */
    private void asWanted() {
        double left = build.faces().thickness();
        double wanted = build.design().thickness();
        rules.add(rule("thickness-as-wanted")
                .says("The body finishes at the thickness wanted.")
                .between(build.faces().thicknessReckoning(build), wanted - bands(true), wanted + bands(false))
                .cure("Take more off the back before anything is cut into it, or change the thickness.")
                .fails(
                        () -> left < wanted
                                ? Finding.thinkAgain(Work.THICKNESS, "thinner-than-wanted")
                                        .on(Feature.THICKNESS)
                                        .length("finished thickness now", left)
                                        .length("wanted", wanted)
                                        .says(
                                                "As measured, the body will finish at {0} instead of {1}.",
                                                "Depths from the front stay; check what is left under the rear cavities, or change the thickness.")
                                : Finding.goodToKnow(Work.THICKNESS, "thicker-than-wanted")
                                        .on(Feature.THICKNESS)
                                        .length("finished thickness now", left)
                                        .length("wanted", wanted)
                                        .length("more", left - wanted)
                                        .says(
                                                "As it is, the body will finish at {0} instead of {1}.",
                                                "Take {2} more off the back before anything is cut into it and read the thickness again, or change the thickness."))
                .build());
    }

    private double bands(boolean thinner) {
        double off = build.shop().bands().thickness();
        for (Face face : Face.values()) {
            off += build.isDone(FinishedFaces.finish(face)) ? build.sandingBand(face, thinner) : 0;
        }
        return off;
    }
}
