package ebauche.core.neck;

import ebauche.core.design.NeckJoint;
import ebauche.core.gluing.Clamping;
import ebauche.core.gluing.Grips;
import ebauche.core.job.Build;
import ebauche.core.measure.Fact;
import ebauche.core.measure.Quantity;
import ebauche.core.measure.Reckoning;
import ebauche.core.shop.Clamp;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * With which of the shop's clamps a set neck is pressed into its pocket.
 *
 * @param opening how wide a clamp opens over the joint, mm
 * @param clamping what it takes of the shop's, and what it would want besides
 */
public record JointClamps(Reckoning opening, Clamping clamping) {
    /** One over each end of the pocket: common practice. */
    private static final int CLAMPS = 2;

    /** Of the caul on the fingerboard and of the one under the pocket, mm: common practice. */
    private static final double CAUL = 20;

    /** Of a neck that is glued in; empty of one that is screwed. */
    public static Optional<JointClamps> of(Build build) {
        if (build.design().neck().kind() != NeckJoint.Kind.SET) {
            return Optional.empty();
        }
        Reckoning opening = opening(build);
        List<Clamp> found = found(build, opening.value());
        Grips grips = new Grips(build.shop().gluing());
        found.forEach(c -> grips.take(c.name(), 1));
        return Optional.of(new JointClamps(
                opening, grips.lacks(lacking(CLAMPS - found.size())).clamping()));
    }

    private static Reckoning opening(Build build) {
        PocketState state = PocketState.of(build);
        double body = build.faces().thickness();
        Reckoning proud = state.proud();
        Fact fingerboard = state.geometry().fingerboard();
        return Reckoning.of("a clamp over the neck joint opens", Quantity.LENGTH)
                .length("body", body)
                .length("heel stands proud of the front", proud.asFact())
                .length("fingerboard thickness", fingerboard)
                .length("cauls", Fact.rule(2 * CAUL, "one above, one below, common practice"))
                .is(
                        body + proud.value() + fingerboard.value() + 2 * CAUL,
                        "body + heel stands proud of the front + fingerboard thickness + cauls");
    }

    /** Those that are wide enough, and deep enough for the middle of the pocket; of these the smallest. */
    private static List<Clamp> found(Build build, double opening) {
        NeckJoint neck = build.design().neck();
        double middle = Math.max(neck.widthAtEnd(), neck.widthAtMouth()) / 2;
        return build.shop().gluing().clamps().stream()
                .filter(c -> c.opening() >= opening && c.reach() >= middle)
                .sorted(Comparator.comparingDouble(Clamp::opening).thenComparingDouble(Clamp::reach))
                .flatMap(c -> Stream.generate(() -> c).limit(c.count()))
                .limit(CLAMPS)
                .toList();
    }

    private static String lacking(int more) {
        return switch (more) {
            case 0 -> "";
            case 1 -> "1 more clamp that opens over body, neck and cauls and reaches the middle of the pocket would do";
            default ->
                more + " more clamps that open over body, neck and cauls and reach the middle of the pocket would do";
        };
    }
}
