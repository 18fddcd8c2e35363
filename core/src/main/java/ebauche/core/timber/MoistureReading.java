package ebauche.core.timber;

import ebauche.core.measure.Refusal;
import java.time.LocalDate;
import java.util.Optional;

/**
 * What a moisture meter read.
 *
 * @param day when, in days since any fixed moment, fractions allowed
 * @param percent water per dry wood
 */
public record MoistureReading(double day, double percent) {
    /** Green wood of light timbers holds up to about twice its dry weight; no board in a shop does. */
    public static final double MOST = 150;

    /** Before this nobody measured a board that is still on a rack. */
    private static final LocalDate EARLIEST = LocalDate.of(1990, 1, 1);

    /** What is wrong with a day on which moisture is said to have been measured; empty if nothing is. */
    public static Optional<String> troubleWithDay(LocalDate day, LocalDate today) {
        if (day.isBefore(EARLIEST)) {
            return Optional.of(day + " lies before " + EARLIEST + "; no board on a rack was measured then");
        }
        return day.isAfter(today)
                ? Optional.of(day + " is still to come; moisture is measured, not expected")
                : Optional.empty();
    }

    public MoistureReading {
        Refusal.between(percent, 0, MOST, "moisture");
        Refusal.between(day, -1e6, 1e6, "day");
    }
}
