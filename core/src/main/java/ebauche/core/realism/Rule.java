package ebauche.core.realism;

import ebauche.core.feature.Feature;
import ebauche.core.geometry.Point;
import ebauche.core.measure.Reckoning;
import java.util.Optional;

/**
 * One rule of what can be made, with this body's number for it.
 *
 * @param name short and lasting, such as {@code block}
 * @param about the subject of the trade that it belongs to
 * @param feature it is about
 * @param says what must hold, in the trade's words
 * @param number this body's
 * @param least the number may have; negative infinity for no end
 * @param most the number may have; infinity for no end
 * @param tight how near to an end is only just good, mm
 * @param at where on the body, if it has a place
 * @param cure what would help where it does not hold
 */
public record Rule(
        String name,
        About about,
        Feature feature,
        String says,
        Reckoning number,
        double least,
        double most,
        double tight,
        Optional<Point> at,
        String cure) {
    private static final double NOISE = 1e-9;

    /** Subjects of the trade, in the order in which they are looked at. */
    public enum About {
        SPEC("Does it fit together?"),
        NECK("Neck and bridge"),
        CAVITIES("Cavities and what goes into them"),
        CONTOURS("Contours"),
        WOOD("Wood that is left");

        private final String words;

        About(String words) {
            this.words = words;
        }

        public String words() {
            return words;
        }
    }

    /** How a number stands to its rule. */
    public enum Verdict {
        FAILS("cannot be"),
        ONLY_JUST("only just"),
        HOLDS("good");

        private final String words;

        Verdict(String words) {
            this.words = words;
        }

        public String words() {
            return words;
        }
    }

    public Verdict verdict() {
        double room = room();
        return room < -NOISE ? Verdict.FAILS : room < tight - NOISE ? Verdict.ONLY_JUST : Verdict.HOLDS;
    }

    /** How far the number is from the nearer end of what it may be, mm; less than nought where it is beyond. */
    public double room() {
        return Math.min(number.value() - least, most - number.value());
    }

    public boolean hasLeast() {
        return Double.isFinite(least);
    }

    public boolean hasMost() {
        return Double.isFinite(most);
    }
}
