package ebauche.core.outline;

import ebauche.core.crib.Saw;
import ebauche.core.job.Build;
import ebauche.core.measure.Quantity;
import ebauche.core.measure.Reckoning;
import java.util.Comparator;
import java.util.Optional;

/** Which saw of the crib cuts an outline out, and how far outside the line. */
public final class Sawing {
    private Sawing() {}

    /** The crib's saw that wants the least allowance, and of those the one that follows the tighter curve. */
    public static Optional<Saw> saw(Build build) {
        double steadiness = build.shop().practice().hand().steadiness();
        return build.shop().crib().saws().stream()
                .min(Comparator.<Saw>comparingDouble(s -> s.allowance(steadiness, build.thicknessed()))
                        .thenComparingDouble(Saw::turns)
                        .thenComparing(Saw::name));
    }

    /** What that saw and the hand at it should leave outside the line; nothing in a shop without a saw. */
    public static Optional<Reckoning> allowance(Build build) {
        double thick = build.thicknessed();
        double steadiness = build.shop().practice().hand().steadiness();
        return saw(build)
                .map(s -> Reckoning.of("saw allowance for the " + s.name(), Quantity.LENGTH)
                        .length("thickness", thick)
                        .length(
                                "a hand that is "
                                        + build.shop().practice().hand().words(),
                                s.allowance(steadiness, 0))
                        .length(
                                "the blade's wander in thick work",
                                s.allowance(steadiness, thick) - s.allowance(steadiness, 0))
                        .is(s.allowance(steadiness, thick), "what the hand needs + the blade's wander"));
    }
}
