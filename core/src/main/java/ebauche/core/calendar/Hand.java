package ebauche.core.calendar;

import ebauche.core.measure.Refusal;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;

/**
 * Somebody who works on bodies.
 *
 * @param key by which what was moved to it is kept
 * @param trades what it is trusted with
 * @param hours of its week
 * @param off days on which it does not work
 * @param also days on which it works besides, with Friday's hours or else the first that it has
 */
public record Hand(String key, String name, Set<Trade> trades, Hours hours, Set<LocalDate> off, Set<LocalDate> also) {
    public Hand {
        Refusal.unless(!name.isBlank(), "name", "a hand has a name");
        trades = Set.copyOf(trades);
        off = Set.copyOf(off);
        also = Set.copyOf(also);
    }

    /** The same with one more day of work. */
    public Hand alsoOn(LocalDate day) {
        List<LocalDate> more = new ArrayList<>(also);
        more.add(day);
        return new Hand(key, name, trades, hours, off, Set.copyOf(more));
    }

    /**
     * When it works.
     *
     * @param zone of the shop: hours are those of its clock, also when that is put forward or back
     * @param first day that is looked at
     * @param days how many
     * @param closed days on which nobody works
     */
    public Stretches working(ZoneId zone, LocalDate first, int days, Set<LocalDate> closed) {
        Stretches.Builder stretches = new Stretches.Builder();
        for (LocalDate day = first; day.isBefore(first.plusDays(days)); day = day.plusDays(1)) {
            if (off.contains(day) || (closed.contains(day) && !also.contains(day))) {
                continue;
            }
            for (Spell spell : spells(day)) {
                stretches.add(at(zone, day, spell.from()), at(zone, day, spell.to()));
            }
        }
        return stretches.build();
    }

    private List<Spell> spells(LocalDate day) {
        List<Spell> usual = hours.of(day.getDayOfWeek());
        if (!usual.isEmpty() || !also.contains(day)) {
            return usual;
        }
        return !hours.of(DayOfWeek.FRIDAY).isEmpty()
                ? hours.of(DayOfWeek.FRIDAY)
                : List.of(DayOfWeek.values()).stream()
                        .map(hours::of)
                        .filter(s -> !s.isEmpty())
                        .findFirst()
                        .orElse(List.of());
    }

    private static long at(ZoneId zone, LocalDate day, int minutes) {
        return day.atStartOfDay().plusMinutes(minutes).atZone(zone).toEpochSecond() / 60;
    }
}
