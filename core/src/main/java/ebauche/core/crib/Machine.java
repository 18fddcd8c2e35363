package ebauche.core.crib;

import ebauche.core.measure.Refusal;

/**
 * A machine that stands on the floor or the bench.
 *
 * @param name what the shop calls it
 * @param size what it can take: see {@link Kind}, mm
 */
public record Machine(String name, Kind kind, double size) implements Tool {
    /** What it is, and which of its sizes counts. */
    public enum Kind {
        JOINTER("jointer", "jointer", "widest edge"),
        TABLE_SAW("table-saw", "table saw", "highest cut"),
        PLANER("planer", "thickness planer", "widest board"),
        DRUM_SANDER("drum-sander", "drum sander", "widest board"),
        DRILL_PRESS("drill-press", "drill press", "from its column to the bit"),
        BELT_SANDER("belt-sander", "belt or disc sander", "widest belt");

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

    public Machine {
        Refusal.unless(!name.isBlank(), "name", "needs a name");
        Refusal.between(size, 10, 3000, "size");
    }
}
