package ebauche.core.shop;

import ebauche.core.measure.Refusal;
import java.util.List;

/**
 * How the shop joins boards, and with what.
 *
 * @param glue its usual glue
 * @param edges how mating edges are cut
 * @param outOfSquare how far the blade or fence was measured to be off square, degrees
 * @param complementary whether neighbours are cut one face up and one face down, so that the error cancels
 */
public record Gluing(
        Glue glue, Edges edges, double outOfSquare, boolean complementary, List<Clamp> clamps, List<Caul> cauls) {

    /** How mating edges are made straight and square. */
    public enum Edges {
        JOINTER("jointer", "jointer", true),
        HAND_PLANE("hand-plane", "hand plane", false),
        TABLE_SAW("table-saw", "table saw", true),
        ROUTER("router", "router along a straightedge", true);

        private final String key;
        private final String words;
        private final boolean repeats;

        Edges(String key, String words, boolean repeats) {
            this.key = key;
            this.words = words;
            this.repeats = repeats;
        }

        public String words() {
            return words;
        }

        /** Whether its error is the same on every edge, so that cutting face up and face down cancels it. */
        public boolean repeats() {
            return repeats;
        }

        /** As files write it. */
        public String key() {
            return key;
        }
    }

    /** A small shop's clamps; forces of hand-tightened screws are common practice. */
    public static final Gluing USUAL = new Gluing(
            Glue.PVA,
            Edges.JOINTER,
            0.2,
            true,
            List.of(
                    new Clamp("bar clamp", 6, 600, 80, 35, 4500),
                    new Clamp("pipe clamp", 4, 900, 45, 45, 5500),
                    new Clamp("screw clamp", 8, 200, 100, 30, 2500),
                    new Clamp("deep-reach clamp", 2, 250, 280, 30, 1500)),
            List.of(new Caul("edge caul", 4, 460, 45, 25, false), new Caul("crowned caul", 6, 420, 50, 45, true)));

    public Gluing {
        Refusal.between(outOfSquare, 0, 5, "outOfSquare");
        clamps = List.copyOf(clamps);
        cauls = List.copyOf(cauls);
        Refusal.unless(clamps.size() <= 60, "clamps", "more than 60 kinds are not kept");
        Refusal.unless(cauls.size() <= 60, "cauls", "more than 60 kinds are not kept");
    }
}
