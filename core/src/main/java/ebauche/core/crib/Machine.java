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
        JOINTER("jointer", "widest edge"),
        TABLE_SAW("table saw", "highest cut"),
        PLANER("thickness planer", "widest board"),
        DRUM_SANDER("drum sander", "widest board"),
        DRILL_PRESS("drill press", "from its column to the bit");

        private final String words;
        private final String measures;

        Kind(String words, String measures) {
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
    }

    public Machine {
        Refusal.unless(!name.isBlank(), "name", "needs a name");
        Refusal.between(size, 10, 3000, "size");
    }
}
