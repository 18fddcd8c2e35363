package ebauche.core.calendar;

import ebauche.core.measure.Refusal;
import java.util.Locale;

/**
 * One spell of work within a day, minutes after midnight. One that goes past midnight counts on: 26:00 is two in the morning of the next
 * day.
 *
 * @param from when it begins
 * @param to when it ends, after that
 */
public record Spell(int from, int to) {
    private static final int HOUR = 60;
    private static final int DAY = 24 * HOUR;

    public Spell {
        Refusal.unless(from >= 0 && from < DAY, "hours", "a spell of work begins between 0:00 and 23:59");
        Refusal.unless(
                to > from,
                "hours",
                "hours from " + said(from) + " to " + said(to)
                        + " end before they begin; past midnight count on, as 26:00");
        Refusal.unless(to <= from + DAY, "hours", "a spell of work is no longer than a day");
    }

    private static String said(int minutes) {
        return String.format(Locale.ROOT, "%d:%02d", minutes / HOUR, minutes % HOUR);
    }

    public int minutes() {
        return to - from;
    }

    /** As it is typed: {@code 8:00-12:30}. */
    public String written() {
        return said(from) + "-" + said(to);
    }
}
