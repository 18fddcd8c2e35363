package ebauche.core.routing;

import ebauche.core.crib.Fit;
import ebauche.core.job.Build;
import ebauche.core.measure.Fact;
import ebauche.core.measure.Quantity;
import ebauche.core.measure.Reckoning;
import ebauche.core.operation.Setting;
import ebauche.core.timber.Hardness;

/**
 * A pilot hole by screw and wood: about the screw's core, wider in hard wood so that the thread does not tear it or the head break
 * off, and never through.
 *
 * <p>The shares of the screw's diameter follow the usual tables for wood screws no. 4 to 8 in soft and hard wood (handbooks; from
 * memory).
 *
 * @param screw diameter over its thread, mm
 * @param wood that it is driven into
 */
public record Pilot(Build build, double screw, Hardness wood) {
    /** Screws of covers, rings, plates and bridges, no. 4: common practice. */
    public static final double SMALL_SCREW = 2.9;

    /** What such a screw bites. */
    private static final double SMALL_BITE = 10;

    /** Wood kept under a pilot's end, mm: common practice. */
    private static final double KEPT = 2;

    /** For a small screw into the body. */
    public static Pilot small(Build build) {
        return new Pilot(build, SMALL_SCREW, build.design().blank().hardness());
    }

    /** Diameter of the hole. */
    public double wide() {
        double share = switch (wood) {
            case SOFT -> 0.57;
            case MEDIUM -> 0.63;
            case HARD -> 0.7;
        };
        return screw * share;
    }

    /** How deep for a small screw, where so much wood lies under it. */
    public Reckoning smallDepth(double under) {
        double most = Math.max(1, under - KEPT);
        Reckoning.Builder sum = Reckoning.of("pilot hole", Quantity.LENGTH)
                .length("screw in the wood", Fact.rule(SMALL_BITE, "common practice"));
        return most >= SMALL_BITE
                ? sum.is(SMALL_BITE, "screw in the wood")
                : sum.length("wood there", under)
                        .length("kept under it", Fact.rule(KEPT, "common practice"))
                        .is(most, "wood there − kept under it, as that is less than the screw in the wood");
    }

    /** The drill to a stop. */
    public Setting.Drilled to(Reckoning depth, String says) {
        return Drilling.to(build, wide(), Fit.PILOT, depth, says);
    }
}
