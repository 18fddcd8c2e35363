package ebauche.app.reading;

import java.time.Clock;
import java.time.DateTimeException;
import java.time.Duration;
import java.time.Instant;
import java.time.temporal.ChronoUnit;

/**
 * When something was entered on a device that had no network then, and when that device sent it, both by its own clock: however wrong
 * that goes, what lies between is right.
 *
 * @param at ISO 8601, empty for what is entered now
 * @param sent ISO 8601
 */
public record KeptAt(String at, String sent) {
    /** Nobody is without a network for longer; more is a clock that was set meanwhile. */
    private static final Duration LONGEST = Duration.ofDays(14);

    /** The moment by the shop's clock: now, where the device says nothing that can be meant. */
    public Instant when(Clock clock) {
        Instant now = clock.instant();
        if (at == null || sent == null || at.isBlank()) {
            return now;
        }
        try {
            Duration ago = Duration.between(Instant.parse(at), Instant.parse(sent));
            return ago.isNegative() || ago.compareTo(LONGEST) > 0 ? now : now.minus(ago);
        } catch (DateTimeException unreadable) {
            return now;
        }
    }

    /** The same as the record writes it. */
    public String written(Clock clock) {
        return when(clock).truncatedTo(ChronoUnit.SECONDS).toString();
    }
}
