package ebauche.core.shop;

import ebauche.core.hardware.Channel.Held;
import ebauche.core.measure.Refusal;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * How straight long holes are begun here. Degrees, standard deviations of the angle in height; usual values are common practice (memory).
 *
 * @param freeHand a drill held by eye
 * @param square with a square or bevel beside it
 * @param jig in a jig
 * @param press at the press
 * @param counts the usual value counts for as many holes of the shop's own
 * @param own what the shop's own holes were read to be off by, one for each way they were held
 */
public record LongHoles(double freeHand, double square, double jig, double press, int counts, List<Own> own) {
    public static final LongHoles USUAL = new LongHoles(2, 1, 0.5, 0.5, 10, List.of());

    /** Nobody drills worse, degrees. */
    private static final double WORST = 20;

    /**
     * Holes that were read.
     *
     * @param held how the drill was held
     * @param holes how many
     * @param spread the root of the mean of their squared misses, degrees
     */
    public record Own(Held held, int holes, double spread) {
        public Own {
            Refusal.unless(held != Held.AS_USUAL, "held", "must say how the drill was held");
            Refusal.between(holes, 1, 100_000, "holes");
            Refusal.between(spread, 0, 90, "spread");
        }
    }

    public LongHoles {
        Refusal.between(freeHand, 0.05, WORST, "freeHand");
        Refusal.between(square, 0.05, WORST, "square");
        Refusal.between(jig, 0.05, WORST, "jig");
        Refusal.between(press, 0.05, WORST, "press");
        Refusal.between(counts, 1, 1000, "counts");
        own = List.copyOf(own);
        Set<Held> ways = new HashSet<>();
        own.forEach(
                o -> Refusal.unless(ways.add(o.held()), "own", "“" + o.held().key() + "” stands twice"));
    }

    /** What is usual for a way of holding the drill. */
    public double usual(Held held) {
        return switch (held) {
            case FREE_HAND, AS_USUAL -> freeHand;
            case SQUARE -> square;
            case JIG -> jig;
            case PRESS -> press;
        };
    }

    /** The shop's own holes of a way of holding the drill. */
    public Optional<Own> own(Held held) {
        return own.stream().filter(o -> o.held() == held).findFirst();
    }
}
