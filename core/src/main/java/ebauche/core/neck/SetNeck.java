package ebauche.core.neck;

import ebauche.core.design.NeckJoint;
import ebauche.core.feature.StepKind;
import ebauche.core.feature.Work;
import ebauche.core.geometry.Region;
import ebauche.core.gluing.Clamping;
import ebauche.core.gluing.Grips;
import ebauche.core.job.Build;
import ebauche.core.measure.Fact;
import ebauche.core.measure.Quantity;
import ebauche.core.measure.Reckoning;
import ebauche.core.operation.Caution;
import ebauche.core.operation.Condition;
import ebauche.core.operation.Condition.OuterSurface;
import ebauche.core.operation.Operation;
import ebauche.core.operation.Setting;
import ebauche.core.routing.Datum;
import ebauche.core.shop.Clamp;
import ebauche.core.shop.Glue;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** A neck that is glued in. */
final class SetNeck {
    /** One over each end of the pocket: common practice. */
    private static final int CLAMPS = 2;

    /** Of the caul on the fingerboard and of the one under the pocket, mm: common practice. */
    private static final double CAUL = 20;

    private SetNeck() {}

    private static boolean isSet(Build build) {
        return build.design().neck().kind() == NeckJoint.Kind.SET;
    }

    /** How wide a clamp opens over the joint. */
    static Optional<Reckoning> opening(Build build) {
        if (!isSet(build)) {
            return Optional.empty();
        }
        PocketState state = PocketState.of(build);
        double body = build.faces().thickness();
        Reckoning proud = state.proud();
        Reckoning.Builder sum = Reckoning.of("a clamp over the neck joint opens", Quantity.LENGTH)
                .length("body", body)
                .length("heel stands proud of the front", proud.asFact())
                .length("fingerboard thickness", state.geometry().fingerboard())
                .length("cauls", Fact.rule(2 * CAUL, "one above, one below, common practice"));
        double wide = body + proud.value() + state.geometry().fingerboard().value() + 2 * CAUL;
        return Optional.of(sum.is(wide, "body + heel stands proud of the front + fingerboard thickness + cauls"));
    }

    /** Of the shop's clamps those that press it: wide enough, deep enough for the middle of the pocket, of these the smallest. */
    private static List<Clamp> clamps(Build build, double opening) {
        NeckJoint neck = build.design().neck();
        double middle = Math.max(neck.widthAtEnd(), neck.widthAtMouth()) / 2;
        return build.shop().gluing().clamps().stream()
                .filter(c -> c.opening() >= opening && c.reach() >= middle)
                .sorted(Comparator.comparingDouble(Clamp::opening).thenComparingDouble(Clamp::reach))
                .flatMap(c -> Stream.generate(() -> c).limit(c.count()))
                .limit(CLAMPS)
                .toList();
    }

    /** With what of the shop's it is pressed. */
    static Clamping clamping(Build build) {
        return opening(build)
                .map(opening -> {
                    List<Clamp> found = clamps(build, opening.value());
                    Grips grips = new Grips(build.shop().gluing());
                    found.forEach(c -> grips.take(c.name(), 1));
                    int more = CLAMPS - found.size();
                    return grips.lacks(
                                    more == 0
                                            ? ""
                                            : more
                                                    + (more == 1 ? " more clamp" : " more clamps")
                                                    + " that open over body, neck and cauls and reach the middle of the pocket would do")
                            .clamping();
                })
                .orElse(Clamping.NONE);
    }

    private static String withWhat(Build build) {
        String clamps = clamping(build).grips().stream()
                .map(g -> g.count() + " × " + g.thing())
                .collect(Collectors.joining(", "));
        return clamps.isEmpty() ? "" : ", " + clamps;
    }

    /**
     * A set neck is glued in last of all, on a body that lies flat no more: everything that wants its faces comes before. Its joint
     * is dry fitted and checked like a screwed one.
     */
    static Optional<Operation> glued(Build build, Condition neckIn) {
        if (!isSet(build)) {
            return Optional.empty();
        }
        Glue glue = build.shop().gluing().glue();
        Region body = build.design().outline().region();
        double wait = Math.max(glue.waitHours(), build.shop().practice().glueHours());
        Reckoning peace = Reckoning.of("wait with the neck in clamps", Quantity.TIME)
                .term(
                        "hours by the shop's habit",
                        Fact.usual(build.shop().practice().glueHours(), "the shop's practice"),
                        Quantity.NUMBER)
                .term("hours that the glue wants", Fact.rule(glue.waitHours(), "common practice"), Quantity.NUMBER)
                .is(wait * 60, "60 × the larger of (hours by the shop's habit) and (hours that the glue wants)");
        return Optional.of(Operation.of(Work.NECK, NeckJoint.FEATURE, StepKind.GLUE, "Glue the neck in")
                .set(new Setting.Glued(
                        glue.words() + ", a caul on the fingerboard, one under the pocket" + withWhat(build)
                                + "; check the line again wet",
                        peace))
                .needs(
                        neckIn,
                        Datum.BRIDGE_MARKED,
                        new Condition.Settled(OuterSurface.FRONT, build.faces().frontNow(), body),
                        new Condition.Settled(OuterSurface.BACK, build.faces().backNow(), body))
                .caution(Caution.of(glue))
                .takes(30, (int) Math.round(wait * 60), 0.01)
                .build());
    }
}
