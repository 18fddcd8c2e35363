package ebauche.core.design;

/** How a contour is brought out of the wood: makers differ, and all of these are done. */
public enum CarveSchool {
    RASP("rasp", "rasp and files"),
    BAND_SAW("band-saw", "band saw on a jig"),
    KERFS("kerfs", "hand-saw kerfs and chisel"),
    FENCE("fence", "router off a fence, step by step"),
    DRUM("drum", "drum in the drill press"),
    BELT("belt", "belt or disc sander"),
    TEMPLATES("templates", "router along nested templates"),
    JIG("jig", "bevel bit along a jig");

    private final String word;
    private final String words;

    CarveSchool(String word, String words) {
        this.word = word;
        this.words = words;
    }

    /** As files write it. */
    public String word() {
        return word;
    }

    public String words() {
        return words;
    }
}
