package ebauche.core.design;

/**
 * Which hand frets, and so on which side of the centre line the bass strings lie. Places are as the wood lies, x to the right as seen
 * from the front with the nut up: that is the treble side of a right-handed body and the bass side of a left-handed one.
 */
public enum Hand {
    RIGHT("right", 1),
    LEFT("left", -1);

    private final String word;
    private final int treble;

    Hand(String word, int treble) {
        this.word = word;
        this.treble = treble;
    }

    /** The word that files and forms use. */
    public String word() {
        return word;
    }

    /** Which way the treble side lies: 1 to the right, -1 to the left. */
    public int treble() {
        return treble;
    }

    /** The side that a place across lies on, {@code treble} or {@code bass}. */
    public String side(double x) {
        return x * treble > 0 ? "treble" : "bass";
    }
}
