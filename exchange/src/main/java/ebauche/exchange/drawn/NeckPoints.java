package ebauche.exchange.drawn;

import java.util.Arrays;

/** Where the neck points in a drawing, and by how much it is turned for it. */
public enum NeckPoints {
    UP("up", 0),
    RIGHT("right", Math.PI / 2),
    DOWN("down", Math.PI),
    LEFT("left", -Math.PI / 2);

    private final String words;
    private final double turned;

    NeckPoints(String words, double turned) {
        this.words = words;
        this.turned = turned;
    }

    public String words() {
        return words;
    }

    /** Anticlockwise, radians, so that the neck points up. */
    public double turned() {
        return turned;
    }

    /** The one with that word; up where it is none. */
    public static NeckPoints of(String words) {
        return Arrays.stream(values())
                .filter(n -> n.words.equals(words))
                .findFirst()
                .orElse(UP);
    }
}
