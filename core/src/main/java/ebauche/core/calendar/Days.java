package ebauche.core.calendar;

import ebauche.core.measure.Refusal;
import java.time.DateTimeException;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;

/** Days as they are typed: {@code 2026-12-24 to 2027-01-01, 2027-04-05}. */
public final class Days {
    /** Nobody is away for longer than that at once, days. */
    private static final long LONGEST = 366;

    private Days() {}

    /**
     * The days that were typed; none where nothing was.
     *
     * @param field that is named by what is refused
     * @throws Refusal of what is no day, or ends before it begins
     */
    public static Set<LocalDate> typed(String typed, String field) {
        Set<LocalDate> days = new LinkedHashSet<>();
        for (String part : typed.split("[,;]", -1)) {
            if (part.isBlank()) {
                continue;
            }
            String[] ends = part.strip().split("\\s+to\\s+", -1);
            Refusal.unless(ends.length <= 2, field, "“" + part.strip() + "” is no day or days, such as 2026-12-24");
            LocalDate first = day(ends[0], field);
            LocalDate last = ends.length == 1 ? first : day(ends[1], field);
            Refusal.unless(!last.isBefore(first), field, "“" + part.strip() + "” ends before it begins");
            Refusal.unless(
                    ChronoUnit.DAYS.between(first, last) < LONGEST,
                    field,
                    "“" + part.strip() + "” is longer than a year");
            first.datesUntil(last.plusDays(1)).forEach(days::add);
        }
        return days;
    }

    private static LocalDate day(String typed, String field) {
        try {
            LocalDate day = LocalDate.parse(typed.strip());
            Refusal.unless(
                    day.getYear() >= 2000 && day.getYear() < 2100, field, "“" + typed.strip() + "” is far from today");
            return day;
        } catch (DateTimeException none) {
            throw new Refusal(field, "“" + typed.strip() + "” is no day, such as 2026-12-24");
        }
    }

    /** The same days as they are typed, those in a row as from and to. */
    public static String written(Set<LocalDate> days) {
        List<String> parts = new ArrayList<>();
        LocalDate first = null;
        LocalDate last = null;
        for (LocalDate day : new TreeSet<>(days)) {
            if (last != null && !last.plusDays(1).equals(day)) {
                parts.add(written(first, last));
                first = null;
            }
            first = first == null ? day : first;
            last = day;
        }
        if (first != null) {
            parts.add(written(first, last));
        }
        return String.join(", ", parts);
    }

    private static String written(LocalDate first, LocalDate last) {
        return first.equals(last) ? first.toString() : first + " to " + last;
    }
}
