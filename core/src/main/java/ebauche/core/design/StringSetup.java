package ebauche.core.design;

import ebauche.core.measure.Refusal;
import java.util.OptionalDouble;

/**
 * The strings over the frets and at the saddle.
 *
 * @param count how many
 * @param spread between the outer strings at the saddle
 * @param actionTreble a12 of the outer string on the treble side, underside over fret 12
 * @param actionBass a12 of the outer string on the bass side
 * @param nutHeight a0, string over the fret plane at the nut
 * @param compensationTreble how much longer than the scale the treble string wants to be
 * @param compensationBass the same for the bass string
 * @param nutSpread between the outer strings at the nut, if it is known
 * @param hand on which side the bass strings lie
 */
public record StringSetup(
        int count,
        double spread,
        double actionTreble,
        double actionBass,
        double nutHeight,
        double compensationTreble,
        double compensationBass,
        OptionalDouble nutSpread,
        Hand hand) {

    /** A right-handed one. */
    public StringSetup(
            int count,
            double spread,
            double actionTreble,
            double actionBass,
            double nutHeight,
            double compensationTreble,
            double compensationBass,
            OptionalDouble nutSpread) {
        this(
                count,
                spread,
                actionTreble,
                actionBass,
                nutHeight,
                compensationTreble,
                compensationBass,
                nutSpread,
                Hand.RIGHT);
    }

    public StringSetup {
        Refusal.between(count, 1, 24, "count");
        Refusal.notNegative(spread, "spread");
        Refusal.positive(actionTreble, "actionTreble");
        Refusal.positive(actionBass, "actionBass");
        Refusal.notNegative(nutHeight, "nutHeight");
        nutSpread.ifPresent(s -> Refusal.between(s, 0, spread + 1e-9, "nutSpread"));
    }

    /** Where string {@code i} (0 is the bass side) stands across the saddle, mm from the centre, right positive. */
    public double offset(int i) {
        return count == 1 ? 0 : hand.treble() * spread * ((double) i / (count - 1) - 0.5);
    }

    /** Action of string {@code i} at fret 12, spaced evenly between the outer ones. */
    public double action(int i) {
        return between(actionBass, actionTreble, i);
    }

    /** Compensation of string {@code i}, spaced evenly between the outer ones. */
    public double compensation(int i) {
        return between(compensationBass, compensationTreble, i);
    }

    private double between(double bass, double treble, int i) {
        return count == 1 ? (bass + treble) / 2 : bass + (treble - bass) * i / (count - 1);
    }
}
