package ebauche.core.timber;

import java.time.LocalDate;
import java.util.Optional;

/** The days on which a board on a rack can have been measured. */
public final class MeasuredOn {
    /** Before this nobody measured a board that is still on a rack. */
    private static final LocalDate EARLIEST = LocalDate.of(1990, 1, 1);

    private MeasuredOn() {}

    /** What is wrong with a day on which moisture is said to have been measured; empty if nothing is. */
    public static Optional<String> trouble(LocalDate day, LocalDate today) {
        if (day.isBefore(EARLIEST)) {
            return Optional.of(day + " lies before " + EARLIEST + "; no board on a rack was measured then");
        }
        return day.isAfter(today)
                ? Optional.of(day + " is still to come; moisture is measured, not expected")
                : Optional.empty();
    }
}
