package ebauche.core.design;

import ebauche.core.measure.Refusal;
import java.util.OptionalDouble;

/**
 * What a guitar weighs besides its body's wood, and the strap that it hangs from. What nobody weighed yet is empty: the usual counts.
 *
 * @param neck with fingerboard and frets and without its tuners, g
 * @param neckBalance from the nut towards the body to where that neck balances on an edge, mm
 * @param tuner one of them, g
 * @param bridge with all that belongs to it, g
 * @param pickup one of them, g
 * @param control one pot or switch with its knob, g
 * @param strap from button to button along it, mm
 * @param played how far over level the neck is to stay by itself, degrees
 */
public record Hanging(
        OptionalDouble neck,
        OptionalDouble neckBalance,
        OptionalDouble tuner,
        OptionalDouble bridge,
        OptionalDouble pickup,
        OptionalDouble control,
        double strap,
        double played) {
    /** Common practice: a strap of 1.1 m, the neck a little up. */
    public static final Hanging USUAL = new Hanging(
            OptionalDouble.empty(),
            OptionalDouble.empty(),
            OptionalDouble.empty(),
            OptionalDouble.empty(),
            OptionalDouble.empty(),
            OptionalDouble.empty(),
            1100,
            15);

    public Hanging {
        within(neck, 50, 5000, "neck");
        within(neckBalance, -200, 800, "neckBalance");
        within(tuner, 1, 500, "tuner");
        within(bridge, 1, 3000, "bridge");
        within(pickup, 1, 1000, "pickup");
        within(control, 1, 1000, "control");
        Refusal.between(strap, 500, 2500, "strap");
        Refusal.between(played, -45, 80, "played");
    }

    private static void within(OptionalDouble value, double least, double most, String field) {
        value.ifPresent(v -> Refusal.between(v, least, most, field));
    }
}
