package ebauche.core.measure;

/** Where a number comes from. */
public enum Source {
    /** The maker typed it into the design. */
    TYPED("typed"),
    /** The part's sheet says so; nobody has measured the part in hand. */
    NOMINAL("nominal"),
    /** It was read off the part or the wood in hand. */
    MEASURED("measured"),
    /** Nobody gave it, so the shop's or the program's usual value stands in. */
    DEFAULT("usual value"),
    /** A fact of the trade or a published rule. */
    RULE("rule"),
    /** It follows from other numbers. */
    COMPUTED("computed");

    private final String words;

    Source(String words) {
        this.words = words;
    }

    public String words() {
        return words;
    }
}
