package ebauche.core.timber;

import ebauche.core.measure.Refusal;

/**
 * A fault in a board, judged by the box around it: {@code fromEnd} along the board from its near end, {@code fromEdge}
 * across it from its marked edge, {@code top} and {@code bottom} downward from face A. Millimetres.
 */
public record Defect(
        Kind kind, double fromEnd, double fromEdge, double along, double across, double top, double bottom) {

    /** What it is, and how much it matters where. Weights are common practice: points per cm² that shows. */
    public enum Kind {
        HOLE("hole", "hole", 4, true),
        KNOT("knot", "knot", 2, true),
        SPLIT("split", "split", 5, true),
        STAIN("stain", "stain", 1, false),
        WANE("wane", "wane", 5, true),
        METAL("metal", "nail or screw", 8, true);

        private final String key;
        private final String words;
        private final double pointsPerSquareCentimetre;
        private final boolean weakens;

        Kind(String key, String words, double pointsPerSquareCentimetre, boolean weakens) {
            this.key = key;
            this.words = words;
            this.pointsPerSquareCentimetre = pointsPerSquareCentimetre;
            this.weakens = weakens;
        }

        public String words() {
            return words;
        }

        /** What a square centimetre of it on show counts against a layout. */
        public double pointsPerSquareCentimetre() {
            return pointsPerSquareCentimetre;
        }

        /** Whether it also harms a glue joint or the neck's seat. */
        public boolean weakens() {
            return weakens;
        }

        /** As files write it. */
        public String key() {
            return key;
        }
    }

    public Defect {
        Refusal.between(fromEnd, 0, Board.LONGEST, "fromEnd");
        Refusal.between(fromEdge, 0, Board.WIDEST, "fromEdge");
        Refusal.between(along, 0.5, Board.LONGEST, "along");
        Refusal.between(across, 0.5, Board.WIDEST, "across");
        Refusal.between(top, 0, Board.THICKEST, "top");
        Refusal.unless(bottom > top, "bottom", "must lie below the top; both are measured down from face A");
    }

    /** Whether it goes through the whole board. */
    public boolean through(double thickness) {
        return top <= 0.01 && bottom >= thickness - 0.01;
    }
}
