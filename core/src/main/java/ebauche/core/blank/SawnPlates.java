package ebauche.core.blank;

import ebauche.core.design.Plates;
import ebauche.core.feature.StepKey;
import ebauche.core.feature.StepKind;
import ebauche.core.feature.Work;
import ebauche.core.geometry.Face;
import ebauche.core.hollow.Resawing;
import ebauche.core.job.Build;
import ebauche.core.job.Finding;
import ebauche.core.job.Rule;
import ebauche.core.job.UnderTop;
import ebauche.core.measure.Fact;
import ebauche.core.measure.Quantity;
import ebauche.core.measure.Reckoning;
import ebauche.core.operation.Caution;
import ebauche.core.operation.Condition;
import ebauche.core.operation.Operation;
import ebauche.core.operation.Setting;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/** Plates sawn off the blank's own wood: off the whole blank where the saw opens for it, else off its pieces before they are glued. */
record SawnPlates(Build build, Plates sawn, Resawing resawing) {
    /** A back that finishes thinner than this is sanded through in places: common practice, mm. */
    private static final double THINNEST = 3;

    /** Empty where none is sawn off, or none can be any more. */
    static Optional<SawnPlates> of(Build build) {
        Plates sawn = build.design().blank().sawn();
        return sawn.isNone() || isTooLate(build)
                ? Optional.empty()
                : Optional.of(new SawnPlates(build, sawn, new Resawing(build, sawn)));
    }

    /** Whether the body is closed, and what is drawn to be sawn off it never was. */
    static boolean isTooLate(Build build) {
        Plates sawn = build.design().blank().sawn();
        return UnderTop.isClosed(build)
                && ((sawn.front() > 0 && !build.isDone(off(Face.FRONT).by()))
                        || (sawn.back() > 0 && !build.isDone(off(Face.BACK).by())));
    }

    boolean sawsTheBlank() {
        return resawing.sawsTheBlank();
    }

    /** The faces whose plates come off, in their order. */
    private List<Face> faces() {
        return Stream.of(Face.FRONT, Face.BACK)
                .filter(f -> (f == Face.FRONT ? sawn.front() : sawn.back()) > 0)
                .toList();
    }

    private static Condition.Mark off(Face face) {
        StepKind kind = face == Face.FRONT ? StepKind.SAW_FRONT : StepKind.SAW_BACK;
        return new Condition.Mark(StepKey.of(BlankStation.FEATURE, kind), "the " + face.word() + " plate sawn off");
    }

    /** What holds once all are off. */
    List<Condition> allOff() {
        return faces().stream().<Condition>map(SawnPlates::off).toList();
    }

    /** The steps that saw them off, the front first. */
    List<Operation> saw(List<Condition> needs) {
        List<Operation> steps = new ArrayList<>();
        List<Condition> ready = needs;
        for (Face face : faces()) {
            steps.add(Operation.of(
                            Work.BLANK,
                            BlankStation.FEATURE,
                            face == Face.FRONT ? StepKind.SAW_FRONT : StepKind.SAW_BACK,
                            "Saw the " + face.word() + " plate off "
                                    + (sawsTheBlank() ? "the blank" : "each piece of the blank"))
                    .set(new Setting.Resawn(
                            "band saw, on edge against a tall fence, the outer face flat on it",
                            face,
                            resawing.slice(face),
                            resawing.from(face)))
                    .needs(ready.toArray(new Condition[0]))
                    .gives(off(face))
                    .caution(Caution.SAW, Caution.DUST)
                    .takes(
                            15
                                    + 10
                                            * (sawsTheBlank()
                                                    ? 1
                                                    : build.design().blank().pieces()),
                            0,
                            0.002)
                    .build());
            ready = List.of(off(face));
        }
        return steps;
    }

    List<Rule> rules() {
        List<Rule> rules = new ArrayList<>(List.of(opens()));
        build.backReaches().ifPresent(left -> rules.add(backLeft(left)));
        return rules;
    }

    private Rule opens() {
        return new SawOpens(
                        build,
                        "plate-too-wide",
                        resawing.widest(),
                        "The saw reaches through the piece that the plates are sawn off.",
                        "The piece that the plates are sawn off",
                        "Glue the blank of narrower pieces and saw them before, or give it a top of its own.")
                .asRule();
    }

    private Rule backLeft(double left) {
        double off = sawn.back() - left;
        Reckoning finished = Reckoning.of("back plate in the finished body", Quantity.LENGTH)
                .length("back plate as glued on", Fact.typed(sawn.back()))
                .length("off the back in all", off)
                .is(left, "back plate as glued on − off the back in all");
        String cure = "Saw a thicker back off, or take a blank with less to spare.";
        return Rule.of(Work.BLANK, "back-too-thin", Rule.About.BLANK)
                .on(BlankStation.FEATURE)
                .says("The back plate is thick enough to survive sanding.")
                .atLeast(finished, THINNEST)
                .cure(cure)
                .fails(() -> Finding.thinkAgain(Work.BLANK, "back-too-thin")
                        .on(BlankStation.FEATURE)
                        .length("back plate in the finished body", left)
                        .length("thinnest that survives sanding", THINNEST)
                        .says(
                                "When the back is level and sanded, {0} of its plate is left; under {1} it may be sanded through.",
                                cure))
                .build();
    }
}
