package ebauche.core.crib;

import ebauche.core.measure.Refusal;

/**
 * What steadies or leads a router.
 *
 * @param name what the shop calls it
 * @param size see {@link Kind}, mm
 */
public record Aid(String name, Kind kind, double size) implements Tool {
    /** What it is, and which of its sizes counts. */
    public enum Kind {
        LARGE_BASE("large-base", "larger base", "diameter"),
        OFFSET_BASE("offset-base", "offset base with a knob", "from the bit to the knob"),
        SUPPORT_BLOCK("support-block", "support block", "width"),
        EDGE_GUIDE("edge-guide", "edge guide", "reach"),
        STRAIGHTEDGE("straightedge", "straightedge", "length");

        private final String key;
        private final String words;
        private final String measures;

        Kind(String key, String words, String measures) {
            this.key = key;
            this.words = words;
            this.measures = measures;
        }

        public String words() {
            return words;
        }

        /** Which of its sizes is typed. */
        public String measures() {
            return measures;
        }

        /** As files write it. */
        public String key() {
            return key;
        }
    }

    public Aid {
        Refusal.unless(!name.isBlank(), "name", "needs a name");
        Refusal.between(size, 10, 3000, "size");
    }
}
