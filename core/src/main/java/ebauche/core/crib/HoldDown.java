package ebauche.core.crib;

/** How a template is held on the work, and what follows from it: common practice. */
public enum HoldDown {
    /** Screws into wood that a pocket will take away. */
    SCREWS_IN_WASTE(
            "screws-in-waste",
            "two screws into future waste",
            true,
            "goes back on in exactly the same place, until the pockets that hold its screws are cut"),
    /** Dowels through the template into future waste, and clamps or weight to hold it. */
    PINS(
            "pins",
            "two pins into future waste, clamped",
            true,
            "goes back on in exactly the same place; the clamps are in the router's way and are moved between rounds"),
    TAPE(
            "tape",
            "double-sided tape",
            false,
            "leaves no hole, and does not go back to the same place once it is off; wants flat, dustless faces"),
    TAPE_AND_CA(
            "tape-and-ca",
            "masking tape on both faces, CA glue between",
            false,
            "holds hard and comes off clean; does not go back to the same place once it is off");

    private final String key;
    private final String words;
    private final boolean inWaste;
    private final String consequence;

    HoldDown(String key, String words, boolean inWaste, String consequence) {
        this.key = key;
        this.words = words;
        this.inWaste = inWaste;
        this.consequence = consequence;
    }

    public String words() {
        return words;
    }

    /** Whether it needs wood that a later cut takes away, and so goes back on in exactly the same place. */
    public boolean inWaste() {
        return inWaste;
    }

    public String consequence() {
        return consequence;
    }

    /** As files write it. */
    public String key() {
        return key;
    }
}
