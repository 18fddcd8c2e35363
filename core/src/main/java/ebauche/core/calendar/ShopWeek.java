package ebauche.core.calendar;

import ebauche.core.measure.Refusal;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZoneId;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * Who works in a shop, when, and with how many of what.
 *
 * @param zone of its clock
 * @param closed days on which nobody works
 * @param hands who works
 * @param counts how many it has of machines, drills, templates, where that is not one of each; by name
 */
public record ShopWeek(ZoneId zone, Set<LocalDate> closed, List<Hand> hands, Map<String, Integer> counts) {
    public ShopWeek {
        closed = Set.copyOf(closed);
        hands = List.copyOf(hands);
        counts = Map.copyOf(counts);
        Refusal.unless(!hands.isEmpty(), "hands", "somebody has to work: a shop has a hand at the least");
        Set<String> names = new HashSet<>();
        Set<String> keys = new HashSet<>();
        for (Hand hand : hands) {
            Refusal.unless(names.add(hand.name()), "hands", "two hands are called “" + hand.name() + "”");
            Refusal.unless(keys.add(hand.key()), "hands", "two hands have the key “" + hand.key() + "”");
        }
    }

    /** The same with other hands. */
    public ShopWeek with(List<Hand> others) {
        return new ShopWeek(zone, closed, others, counts);
    }

    /** The same with so many of a thing. */
    public ShopWeek having(String thing, int count) {
        Map<String, Integer> more = new LinkedHashMap<>(counts);
        more.put(thing, count);
        return new ShopWeek(zone, closed, hands, more);
    }

    /** The hand with a key, if it is still there. */
    public Optional<Hand> hand(String key) {
        return hands.stream().filter(h -> h.key().equals(key)).findFirst();
    }

    /** The first minute of a day on the shop's clock, since 1970. */
    public long start(LocalDate day) {
        return day.atStartOfDay(zone).toEpochSecond() / 60;
    }

    /** A time of a day on the shop's clock, minutes since 1970; in the hour that the clock leaves out, as much later. */
    public long at(LocalDate day, LocalTime time) {
        return day.atTime(time).atZone(zone).toEpochSecond() / 60;
    }

    /** The day of a moment on the shop's clock. */
    public LocalDate day(long minute) {
        return Instant.ofEpochSecond(minute * 60).atZone(zone).toLocalDate();
    }

    /** The time of day of a moment on the shop's clock. */
    public LocalTime time(long minute) {
        return Instant.ofEpochSecond(minute * 60).atZone(zone).toLocalTime();
    }
}
