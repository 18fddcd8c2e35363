package ebauche.core.design;

import ebauche.core.measure.Refusal;

/**
 * The heel of the neck as it lies in its pocket, and how the pocket comes to fit it.
 *
 * @param widthAtEnd at its end, which meets the pocket's end wall, mm
 * @param widthAtMouth where it leaves the pocket
 * @param length from its end to where it leaves the pocket
 */
public record Heel(double widthAtEnd, double widthAtMouth, double length, Made made, Jig jig) {
    /** What the pocket is made to. */
    public enum Made {
        /** The neck is there first, sanded and all, and the pocket is made to it. */
        NECK_FIRST("neck-first", "neck first, the pocket made to it"),
        /** The pocket is made to the drawing or to a bought neck's data. */
        DRAWING_FIRST("drawing-first", "to the drawing");

        private final String key;
        private final String words;

        Made(String key, String words) {
            this.key = key;
            this.words = words;
        }

        public String words() {
            return words;
        }

        /** As files write it. */
        public String key() {
            return key;
        }
    }

    /** What leads the bearing round the pocket. */
    public enum Jig {
        DRAWN("drawn", "template from the drawing"),
        THREE_STRIPS("three-strips", "three straight strips against the neck"),
        TRACED_NECK("traced-neck", "template traced from the neck");

        private final String key;
        private final String words;

        Jig(String key, String words) {
            this.key = key;
            this.words = words;
        }

        public String words() {
            return words;
        }

        /** As files write it. */
        public String key() {
            return key;
        }
    }

    public Heel {
        Refusal.between(widthAtEnd, 10, 120, "widthAtEnd");
        Refusal.between(widthAtMouth, 10, 120, "widthAtMouth");
        Refusal.between(length, 10, 300, "length");
    }
}
