package ebauche.exchange.calendar;

import ebauche.core.calendar.Days;
import ebauche.core.calendar.Hand;
import ebauche.core.calendar.Hours;
import ebauche.core.calendar.ShopWeek;
import ebauche.core.calendar.Spell;
import ebauche.core.calendar.Trade;
import ebauche.core.measure.Refusal;
import ebauche.exchange.json.JsonPlace;
import ebauche.exchange.json.Words;
import java.time.DateTimeException;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/** Who works in a shop and when, as JSON; hours and days as they are typed. */
public final class WeekFile {
    private static final int MOST_HANDS = 24;
    private static final int MOST_THINGS = 100;
    private static final int MOST_OF_A_THING = 100;
    private static final int NAME = 60;
    private static final int TYPED = 2_000;

    /** The trades by their words. */
    public static final Map<String, Trade> TRADES = Words.of(Trade::key, Trade.values());

    private WeekFile() {}

    /** A day of the week as the file calls it. */
    public static String word(DayOfWeek day) {
        return day.name().toLowerCase(Locale.ROOT);
    }

    /**
     * Reads a week.
     *
     * @throws ebauche.exchange.json.BuildFileException naming the place and the reason
     */
    public static ShopWeek read(ObjectNode json) {
        return JsonPlace.root(json).asObject(WeekFile::week);
    }

    private static ShopWeek week(JsonPlace spot) {
        ZoneId zone = spot.parsed("zone", NAME, WeekFile::zone);
        List<Hand> hands = spot.list("hands", MOST_HANDS, s -> s.asObject(WeekFile::hand));
        return new ShopWeek(
                zone,
                days(spot, "closed"),
                hands,
                spot.optionalObject("things", WeekFile::things).orElse(Map.of()));
    }

    private static ZoneId zone(String typed) {
        try {
            return ZoneId.of(typed.strip());
        } catch (DateTimeException none) {
            throw new Refusal("zone", "“" + typed + "” is no time zone, such as Europe/Berlin");
        }
    }

    private static Set<LocalDate> days(JsonPlace spot, String key) {
        return Days.typed(spot.text(key, TYPED, ""), key);
    }

    private static Hand hand(JsonPlace spot) {
        Set<Trade> trades = EnumSet.noneOf(Trade.class);
        trades.addAll(spot.list("trades", TRADES.size(), s -> s.asWord(TRADES)));
        return new Hand(
                spot.text("key", NAME),
                spot.text("name", NAME).strip(),
                trades,
                spot.object("hours", WeekFile::hours),
                days(spot, "off"),
                days(spot, "also"));
    }

    private static Hours hours(JsonPlace spot) {
        Map<DayOfWeek, List<Spell>> week = new EnumMap<>(DayOfWeek.class);
        for (DayOfWeek day : DayOfWeek.values()) {
            String typed = spot.text(word(day), TYPED, "");
            try {
                week.put(day, Hours.day(typed));
            } catch (Refusal wrong) {
                throw new Refusal(word(day), wrong.getMessage());
            }
        }
        return new Hours(week);
    }

    private static Map<String, Integer> things(JsonPlace spot) {
        Map<String, Integer> counts = new LinkedHashMap<>();
        for (String name : spot.keys()) {
            int count = spot.whole(name);
            Refusal.between(count, 0, MOST_OF_A_THING, name);
            counts.put(name, count);
        }
        Refusal.unless(counts.size() <= MOST_THINGS, "", "has more than " + MOST_THINGS + " things");
        return counts;
    }

    /** A week as JSON. */
    public static ObjectNode write(ShopWeek week) {
        ObjectNode json = JsonNodeFactory.instance.objectNode();
        json.put("zone", week.zone().getId());
        json.put("closed", Days.written(week.closed()));
        ArrayNode hands = json.putArray("hands");
        for (Hand hand : week.hands()) {
            ObjectNode out = hands.addObject();
            out.put("key", hand.key());
            out.put("name", hand.name());
            ArrayNode trades = out.putArray("trades");
            hand.trades().stream().sorted().forEach(t -> trades.add(t.key()));
            ObjectNode hours = out.putObject("hours");
            for (DayOfWeek day : DayOfWeek.values()) {
                hours.put(word(day), hand.hours().written(day));
            }
            out.put("off", Days.written(hand.off()));
            out.put("also", Days.written(hand.also()));
        }
        ObjectNode things = json.putObject("things");
        new TreeMap<>(week.counts()).forEach(things::put);
        return json;
    }
}
