package ebauche.core.layout;

import ebauche.core.timber.Board;
import java.util.ArrayList;
import java.util.List;

/** What a rest on the rack still gives, the most first. Sizes are rough, common practice. */
public enum RestUse {
    /** Another body like this one, of one piece. */
    BODY("another body"),
    /** Half of another body like this one. */
    HALF("half another"),
    /** A strip of its length for a body of more pieces. */
    STRIP("a strip for another"),
    /** A neck of one piece, its headstock flat. */
    NECK("a neck"),
    /** Covers, sliced off it. */
    COVER("covers");

    private static final double NECK_LONG = 690;
    private static final double NECK_WIDE = 75;
    private static final double NECK_THICK = 22;
    private static final double COVER_LONG = 160;
    private static final double COVER_WIDE = 100;
    private static final double COVER_THICK = 5;

    private final String words;

    RestUse(String words) {
        this.words = words;
    }

    public String words() {
        return words;
    }

    /**
     * What a board gives.
     *
     * @param length of a body's pieces, rough
     * @param whole rough width of a blank
     * @param thickness of its boards, rough
     */
    static List<RestUse> of(Board rest, double length, double whole, double thickness) {
        boolean body = rest.length() >= length && rest.thickness() >= thickness;
        List<RestUse> uses = new ArrayList<>();
        if (body) {
            uses.add(rest.width() >= whole ? BODY : rest.width() >= whole / 2 ? HALF : STRIP);
        }
        if (rest.length() >= NECK_LONG && rest.width() >= NECK_WIDE && rest.thickness() >= NECK_THICK) {
            uses.add(NECK);
        }
        if (rest.length() >= COVER_LONG && rest.width() >= COVER_WIDE && rest.thickness() >= COVER_THICK) {
            uses.add(COVER);
        }
        return uses;
    }

    /** In words, or that it is for small parts. */
    static String said(List<RestUse> uses) {
        return uses.isEmpty()
                ? "small parts"
                : String.join(", ", uses.stream().map(RestUse::words).toList());
    }
}
