package ebauche.core.timber;

/** Which way a board's fibres climb towards face A: the way that face is planed without tearing. */
public enum Rise {
    LEVEL("level", "level", 0),
    TO_FAR_END("to-far-end", "climbs towards the far end on face A", 1),
    TO_NEAR_END("to-near-end", "climbs towards the near end on face A", -1);

    private final String key;
    private final String words;
    private final int sign;

    Rise(String key, String words, int sign) {
        this.key = key;
        this.words = words;
        this.sign = sign;
    }

    public String words() {
        return words;
    }

    /** 1 if face A is planed from the near end to the far end, -1 the other way, 0 if either will do. */
    public int sign() {
        return sign;
    }

    /** As files write it. */
    public String key() {
        return key;
    }
}
