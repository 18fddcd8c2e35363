package ebauche.core.operation;

/** What can hurt someone, or ruin the wood, said where it can. Local codes and the tool's manual come first. */
public enum Caution {
    ROUTER(
            "Unplug before you touch the bit or its stop. Start with the bit clear of the wood, both hands on the router."),
    ROUTER_CLIMB("Never feed with the rotation on a full-depth edge: the bit pulls itself along."),
    ROUTER_TIP("Narrow wings and horns tip the base. Support it or use the table."),
    TABLE(
            "Starting pin or guard in place, hands well clear of the bit, and never trap the work between bit and fence."),
    BIT_SPEED("Large bit: turn the speed down, and take light bites."),
    DRILL("Clamp the work. Clear the chips often; a packed bit is hot."),
    SAW("Guard down, hands out of the blade's line, relief cuts first."),
    DUST("Eyes, ears, mask and extraction. Hardwood dust is a carcinogen."),
    GLUE("Gloves, and air in the room."),
    CARVE("Cut into the wood that goes, not out over the edge that stays. Measure what is left before and during it."),
    LAST_OF_FLOOR("The floor becomes the top. Creep up on it, and measure before the last pass.");

    private final String words;

    Caution(String words) {
        this.words = words;
    }

    public String words() {
        return words;
    }
}
