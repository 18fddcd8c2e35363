package ebauche.core.hardware;

import java.util.Optional;

/** A size of a part that somebody may want to measure, mm, with the values that can be meant. */
public enum PartSize {
    ACROSS("across", "across", 1, 400),
    ALONG("along", "along", 1, 400),
    CORNER("corner", "corner radius", 0, 60),
    HEIGHT("height", "height, top to base", 1, 60),
    BELOW("below", "reaches below the top", 1, 120),
    LEGS_ACROSS("legs-across", "over both legs", 1, 400),
    LEGS_ALONG("legs-along", "width of a leg", 1, 100),
    LEGS_BELOW("legs-below", "legs reach below the base", 0.1, 60),
    RING_ACROSS("ring-across", "ring across", 1, 400),
    RING_ALONG("ring-along", "ring along", 1, 400),
    BUSHING("bushing", "diameter of the bushing", 1, 40),
    SCREW("screw", "screw that turns into it, across its thread", 1, 20),
    THREAD("thread", "thread over its body", 0.1, 60),
    NUT("nut", "nut and washers", 0, 30),
    SLOT_WIDTH("slot-width", "slot width", 0.5, 20),
    SLOT_LENGTH("slot-length", "slot length", 1, 100),
    THINNEST_TOP("thinnest-top", "least top under it", 0, 60),
    THICKEST_TOP("thickest-top", "most top it passes", 0.1, 60),
    LOWEST_SADDLE("lowest-saddle", "lowest saddle", 0, 60),
    HIGHEST_SADDLE("highest-saddle", "highest saddle", 0.1, 60),
    SADDLE_TRAVEL("saddle-travel", "saddle travel", 0, 60),
    RECESS("recess", "plate let in by", 0, 30),
    STUD_SPACING("stud-spacing", "stud spacing", 1, 200),
    STUD_DIAMETER("stud-diameter", "stud bushing's diameter", 1, 30),
    STUD_DEPTH("stud-depth", "stud bushing's length", 1, 60),
    BLOCK_LENGTH("block-length", "block reaches under its plate", 1, 120),
    BLOCK_ACROSS("block-across", "block across", 1, 200),
    BLOCK_ALONG("block-along", "block along", 1, 80),
    SWING("swing", "the block's end swings, in all", 0, 60),
    HOLE("hole", "hole it wants", 1, 60),
    DIAMETER("diameter", "diameter", 1, 60),
    LENGTH("length", "length", 1, 120),
    HEAD_SUNK("head-sunk", "screw's head lies under its rim by", 0, 30),
    THICKNESS("thickness", "thickness", 0.2, 20);

    private final String key;
    private final String words;
    private final double least;
    private final double most;

    PartSize(String key, String words, double least, double most) {
        this.key = key;
        this.words = words;
        this.least = least;
        this.most = most;
    }

    /** The word that files and addresses use. */
    public String key() {
        return key;
    }

    public String words() {
        return words;
    }

    public double least() {
        return least;
    }

    public double most() {
        return most;
    }

    public static Optional<PartSize> of(String key) {
        for (PartSize size : values()) {
            if (size.key.equals(key)) {
                return Optional.of(size);
            }
        }
        return Optional.empty();
    }
}
