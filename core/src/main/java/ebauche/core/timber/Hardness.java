package ebauche.core.timber;

/** How a timber answers the cutter; common practice sorts body woods this way. */
public enum Hardness {
    SOFT("soft"),
    MEDIUM("medium"),
    HARD("hard");

    /** Side hardness, N, from which a timber works as medium and as hard: common practice. */
    private static final double MEDIUM_FROM = 3000;

    private static final double HARD_FROM = 5300;

    private final String words;

    Hardness(String words) {
        this.words = words;
    }

    public String words() {
        return words;
    }

    /** The next harder class; the hardest stays. */
    Hardness harder() {
        return this == SOFT ? MEDIUM : HARD;
    }

    /** The class of a side hardness (ball pressed in to its half, newtons). */
    static Hardness of(double newtons) {
        return newtons >= HARD_FROM ? HARD : newtons >= MEDIUM_FROM ? MEDIUM : SOFT;
    }
}
