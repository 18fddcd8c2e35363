package ebauche.core.crib;

import ebauche.core.measure.Refusal;
import java.time.LocalDate;
import java.time.format.DateTimeParseException;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * A router bit.
 *
 * @param name what the shop calls it
 * @param profile what it leaves
 * @param bearing where its guide bearings sit
 * @param diameter of the cutter
 * @param cutterLength how far its edges reach along it
 * @param overallLength from the shank's end to the tip
 * @param shank diameter
 * @param bearingDiameter nought without a bearing; equal to the cutter's where it copies a wall
 * @param bearingWidth along the bit
 * @param flutes cutting edges
 * @param spiral where a spiral sends its chips
 * @param centreCutting whether it can be plunged into solid wood
 * @param mostTurns what is stamped on it, per minute; 0 if nothing is
 * @param edge how sharp it is
 * @param bearingSound whether the bearing turns without play; felt before each use
 * @param sharpSince the day it was bought or last sharpened, as ISO 8601 has days; blank where nobody knows
 */
public record Bit(
        String name,
        Profile profile,
        Bearing bearing,
        double diameter,
        double cutterLength,
        double overallLength,
        double shank,
        double bearingDiameter,
        double bearingWidth,
        int flutes,
        Spiral spiral,
        boolean centreCutting,
        int mostTurns,
        Edge edge,
        boolean bearingSound,
        String sharpSince)
        implements Tool {

    /** Least length of shank in the collet: half an inch, common practice; the mark on the bit if that is more. */
    public static final double LEAST_HELD = 12.7;

    /** Width of the usual 3/16 in guide bearing: common practice. */
    private static final double USUAL_BEARING = 4.76;

    /** A bearing and its cutter differ by no more than this if they copy a wall: common practice. */
    static final double SAME = 0.1;

    /** Where a bit's guide bearings sit. */
    public enum Bearing {
        NONE("none", "none"),
        /** A cutter as wide as its shank, which is ridden on the template. */
        ITSELF("shank-itself", "none, ridden on its shank"),
        AT_SHANK("at-shank", "at the shank"),
        AT_TIP("at-tip", "at the tip"),
        BOTH("both", "at shank and tip");

        private final String key;
        private final String words;

        Bearing(String key, String words) {
            this.key = key;
            this.words = words;
        }

        public String words() {
            return words;
        }

        public boolean atShank() {
            return this == AT_SHANK || this == BOTH || this == ITSELF;
        }

        public boolean atTip() {
            return this == AT_TIP || this == BOTH;
        }

        /** Whether it has a bearing that turns. */
        public boolean turns() {
            return this != NONE && this != ITSELF;
        }

        /** As files write it. */
        public String key() {
            return key;
        }
    }

    /** What a bit leaves behind it. */
    public enum Profile {
        STRAIGHT("straight", "straight"),
        ROUND_OVER("round-over", "round-over"),
        BOWL("bowl", "bowl"),
        RABBET("rabbet", "rabbet"),
        BEVEL("bevel", "bevel"),
        SURFACING("surfacing", "surfacing");

        private final String key;
        private final String words;

        Profile(String key, String words) {
            this.key = key;
            this.words = words;
        }

        public String words() {
            return words;
        }

        /** As files write it. */
        public String key() {
            return key;
        }
    }

    /** Where the flutes send the chips; named by that, since up and down depend on who holds the router. */
    public enum Spiral {
        NONE("none", "straight flutes"),
        TO_SHANK("to-shank", "chips to the shank"),
        FROM_SHANK("from-shank", "chips from the shank"),
        BOTH_WAYS("both-ways", "compression");

        private final String key;
        private final String words;

        Spiral(String key, String words) {
            this.key = key;
            this.words = words;
        }

        public String words() {
            return words;
        }

        /** As files write it. */
        public String key() {
            return key;
        }
    }

    /** How sharp the edges are. */
    public enum Edge {
        SHARP("sharp", "sharp"),
        WORN("worn", "worn"),
        DULL("dull", "dull");

        private final String key;
        private final String words;

        Edge(String key, String words) {
            this.key = key;
            this.words = words;
        }

        public String words() {
            return words;
        }

        /** As files write it. */
        public String key() {
            return key;
        }
    }

    public Bit {
        Refusal.unless(!name.isBlank(), "name", "needs a name");
        Refusal.positive(diameter, "diameter");
        Refusal.positive(cutterLength, "cutterLength");
        Refusal.positive(shank, "shank");
        Refusal.between(diameter, 0.5, 120, "diameter");
        Refusal.between(cutterLength, 0.5, 150, "cutterLength");
        Refusal.between(shank, 2, 20, "shank");
        Refusal.between(overallLength, cutterLength, 250, "overallLength");
        if (!bearing.turns()) {
            Refusal.unless(bearingDiameter == 0, "bearingDiameter", "must be zero where there is no bearing");
            Refusal.unless(bearingWidth == 0, "bearingWidth", "must be zero where there is no bearing");
        } else {
            Refusal.between(bearingDiameter, 2, 120, "bearingDiameter");
            Refusal.between(bearingWidth, 1, 40, "bearingWidth");
        }
        Refusal.unless(
                bearing != Bearing.ITSELF || Math.abs(shank - diameter) <= SAME,
                "shank",
                "must be as wide as the cutter where it is ridden on the template");
        Refusal.unless(sharpSince.isBlank() || isDay(sharpSince), "sharpSince", "must be a day such as 2026-03-15");
        Refusal.between(flutes, 1, 12, "flutes");
        Refusal.between(mostTurns, 0, 60_000, "mostTurns");
    }

    private static boolean isDay(String text) {
        try {
            LocalDate.parse(text);
            return true;
        } catch (DateTimeParseException e) {
            return false;
        }
    }

    /** A bit of which only the main sizes are known; the others are as such bits usually have them: common practice. */
    public static Bit usual(String name, Bearing bearing, double diameter, double cutterLength, double shank) {
        boolean guided = bearing.turns();
        double held = shank < 7 ? 32 : 38;
        double bearings = bearing == Bearing.BOTH ? 2 * USUAL_BEARING : guided ? USUAL_BEARING : 0;
        return new Bit(
                name,
                bearing != Bearing.NONE || cutterLength >= diameter / 2 ? Profile.STRAIGHT : Profile.SURFACING,
                bearing,
                diameter,
                cutterLength,
                cutterLength + bearings + held,
                shank,
                guided ? diameter : 0,
                guided ? USUAL_BEARING : 0,
                2,
                Spiral.NONE,
                true,
                0,
                Edge.SHARP,
                true,
                "");
    }

    /**
     * What a bevel bit leans from its axis, in degrees: over its edges it narrows from its own diameter to its bearing's. Empty of any other, and of
     * one without a bearing at its tip.
     */
    public OptionalDouble lean() {
        return profile == Profile.BEVEL && bearing.atTip()
                ? OptionalDouble.of(Math.toDegrees(Math.atan2(slopes(), cutterLength)))
                : OptionalDouble.empty();
    }

    /** How wide a bevel or a round-over it leaves at most, with its bearing on the edge, mm. */
    public double slopes() {
        return (diameter - bearingDiameter) / 2;
    }

    /** The same with a bearing that turns without play. */
    public Bit withNewBearing() {
        return with(edge, true, sharpSince);
    }

    /** The same, sharpened or new on a day. */
    public Bit sharpenedOn(LocalDate day) {
        return with(Edge.SHARP, bearingSound, day.toString());
    }

    private Bit with(Edge other, boolean sound, String since) {
        return new Bit(
                name,
                profile,
                bearing,
                diameter,
                cutterLength,
                overallLength,
                shank,
                bearingDiameter,
                bearingWidth,
                flutes,
                spiral,
                centreCutting,
                mostTurns,
                other,
                sound,
                since);
    }

    /** The day it was last sharpened, if that is known. */
    public Optional<LocalDate> sharpened() {
        return sharpSince.isBlank() ? Optional.empty() : Optional.of(LocalDate.parse(sharpSince));
    }

    /** Whether it copies the wall that its bearing runs on. */
    public boolean copies() {
        return profile == Profile.STRAIGHT
                && bearing != Bearing.NONE
                && Math.abs(guideDiameter() - diameter) <= SAME
                && (bearingSound || bearing == Bearing.ITSELF);
    }

    /** Diameter of what runs on the template, mm: its bearing's, or its shank's. */
    public double guideDiameter() {
        return bearing == Bearing.ITSELF ? shank : bearingDiameter;
    }

    /** How much of it can run on a guide, mm: its bearing's width, or the shank that stands out of the collet. */
    public double guideWidth() {
        return bearing == Bearing.ITSELF ? Math.max(0, overallLength - cutterLength - LEAST_HELD) : bearingWidth;
    }

    /** Whether it is run without a template as well: nothing beside its cutter touches the wood. */
    public boolean isFree() {
        return !bearing.turns();
    }

    /** Radius between wall and floor that it leaves, mm: a bowl bit's, a quarter inch on one of three quarters and up (common practice, memory). */
    public double floorRadius() {
        return profile == Profile.BOWL ? Math.min(6.35, diameter / 3) : 0;
    }

    /** Smallest inside corner that it leaves, mm. */
    public double corner() {
        return diameter / 2;
    }
}
