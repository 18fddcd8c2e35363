package ebauche.app.reading;

import ebauche.core.measure.Decimals;
import ebauche.core.measure.LengthUnit;
import java.util.Random;
import org.springframework.stereotype.Component;

/**
 * A stand-in for a digital depth gauge or calliper on a cable: it reads the true size with the small error of a hand and of its own
 * last digit. The same wood read twice at the same moment of the record reads the same.
 */
@Component
public class DepthGauge {
    /** Spread of a careful hand, mm: common practice. */
    private static final double HAND = 0.04;

    /** What its display shows: hundredths of a millimetre, or thousandths of an inch. */
    public String read(double trueMillimetres, long seed, LengthUnit unit) {
        double error = Math.max(-0.1, Math.min(0.1, new Random(seed).nextGaussian() * HAND));
        double read = trueMillimetres + error;
        return unit == LengthUnit.INCH
                ? Decimals.fixed(read / LengthUnit.INCH.millimetres(), 3) + " in"
                : Decimals.fixed(read, 2) + " mm";
    }
}
