package ebauche.core.shop;

/** Small things that save bodies: steps of their own, or a line on the card of a step. A shop keeps those it wants. Common practice. */
public enum Habit {
    TRIAL("trial", "prove the bridge's place with a trial before its first hole or rout", ""),
    TRY_PARTS("try-parts", "try the control parts in the wood before finish sanding", ""),
    RECHECK("recheck", "look along the centre line again once the neck is screwed on", ""),
    READ_EDGE("read-edge", "read an edge that was sanded to its line against its template", ""),
    SMOOTH(
            "smooth",
            "smooth a wall, and a template's edge, before a bearing rides on it",
            "Run a finger along the template's edge and smooth what it feels: the bearing copies it."),
    TEST_PIECE(
            "test-piece",
            "a test cut in the same wood before a bit's first cut",
            "First cut with this bit on this body: try it in a piece of the same wood. If it wants force, stop."),
    TEST_BEVEL(
            "test-bevel",
            "a test in the same wood before a body's first bevel",
            "First bevel on this body: work one on an offcut of the same wood and look at its width and its angle."),
    STEPPED(
            "stepped",
            "small drills first where a large hole shows",
            "This hole shows: a 3 mm pilot first, then a size between, then this drill. One that goes right through: from both faces, on scrap."),
    RAISE(
            "raise",
            "raise the work where a tip bearing comes out below",
            "Raise the work on blocks: the bearing comes out below and must run free of the bench."),
    ZERO_ON_COVER(
            "zero-on-cover",
            "zero the router on the cover itself for its recess",
            "Zero the router on the cover itself: base on the template with the cover on it, bit down to the wood. It then goes in by the cover's thickness."),
    COOL_BLADE(
            "cool-blade",
            "let the saw's blade cool",
            "Let the blade cool on a long cut: a hot one wanders and burns the edge."),
    CHIP(
            "chip",
            "keep a chip that lifts, and tape it back",
            "If a chip lifts, stop and keep it: glue it back at once, held with tape until it is dry."),
    EDGE_CAUL(
            "edge-caul",
            "a caul over the edge where a top is glued on",
            "A caul right over the edge presses the joint shut where it will show."),
    CA_RESIDUE(
            "ca-residue",
            "scrape off what ran out of taped and glued templates before finish",
            "Scrape off CA that ran out: sanded over, it shows under the finish."),
    PAD(
            "pad",
            "clean bench and a pad when the body is turned over",
            "Turned over: sweep the bench and lay the face on a clean pad. One chip under it is a dent.");

    private final String key;
    private final String words;
    private final String says;

    Habit(String key, String words, String says) {
        this.key = key;
        this.words = words;
        this.says = says;
    }

    /** As files write it. */
    public String key() {
        return key;
    }

    /** As the shop's settings ask for it. */
    public String words() {
        return words;
    }

    /** What the card of a step says; nothing for a habit that is only a step of its own. */
    public String says() {
        return says;
    }
}
