package ebauche.app.calendar;

import ebauche.app.account.Maker;
import ebauche.app.body.Body;
import ebauche.core.calendar.Hand;
import ebauche.core.calendar.Hours;
import ebauche.core.calendar.ShopWeek;
import ebauche.core.calendar.Spell;
import ebauche.core.calendar.Trade;
import java.time.Clock;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.springframework.stereotype.Component;

/** In the demo shop two hands work, one of them half the week; some bodies are promised, counted from the day on which it is loaded. */
@Component
public class DemoCalendar {
    /** Days until each is due. */
    private static final Map<String, Integer> DUE = Map.of("shale", 5, "sedge", 8, "tussock", 15, "rush", 23);

    private final CalendarStore store;
    private final Clock clock;

    DemoCalendar(CalendarStore store, Clock clock) {
        this.store = store;
        this.clock = clock;
    }

    /** Says who works, and when what is due. */
    public void load(Maker maker, Map<String, Body> bodies) {
        Hand maud = new Hand("maud", "Maud", EnumSet.allOf(Trade.class), Hours.USUAL, Set.of(), Set.of());
        Hand joss = new Hand(
                "joss",
                "Joss",
                EnumSet.complementOf(EnumSet.of(Trade.TABLE, Trade.CARVE)),
                threeDays(),
                Set.of(),
                Set.of());
        ZoneId zone = ZoneId.systemDefault();
        store.keep(maker.shop(), 0, new ShopWeek(zone, Set.of(), List.of(maud, joss), Map.of()), maker.name());
        LocalDate today = LocalDate.ofInstant(clock.instant(), zone);
        DUE.forEach((name, days) -> store.say(
                bodies.get(name), "", Mark.on(Mark.About.DUE, Optional.of(today.plusDays(days))), 0, maker.name()));
    }

    private static Hours threeDays() {
        List<Spell> day = Hours.day("8:30-12:30, 13:30-16:30");
        Map<DayOfWeek, List<Spell>> week = new EnumMap<>(DayOfWeek.class);
        List.of(DayOfWeek.TUESDAY, DayOfWeek.WEDNESDAY, DayOfWeek.THURSDAY).forEach(d -> week.put(d, day));
        return new Hours(week);
    }
}
