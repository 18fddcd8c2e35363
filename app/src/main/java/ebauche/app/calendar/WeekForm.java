package ebauche.app.calendar;

import ebauche.app.words.Words;
import ebauche.core.calendar.Days;
import ebauche.core.calendar.Hand;
import ebauche.core.calendar.ShopWeek;
import ebauche.core.calendar.Trade;
import ebauche.exchange.calendar.WeekFile;
import ebauche.exchange.json.BuildFileException;
import java.time.DayOfWeek;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/**
 * What was typed about the shop's week.
 *
 * @param week as it would be kept; empty where something is wrong
 * @param troubles what is wrong, by field
 */
record WeekForm(Optional<ShopWeek> week, Map<String, String> troubles) {
    /** So many hands a form has at the most. */
    static final int MOST = 24;

    private static final Pattern IN_HANDS = Pattern.compile("hands\\[(\\d+)](?:\\.hours)?(?:\\.(.*))?");
    private static final int MOST_LETTERS = 4;

    static WeekForm of(Map<String, String> typed) {
        ObjectNode json = JsonNodeFactory.instance.objectNode();
        json.put("zone", typed.getOrDefault("zone", ""));
        json.put("closed", typed.getOrDefault("closed", ""));
        ArrayNode hands = json.putArray("hands");
        List<Integer> rows = new ArrayList<>();
        for (int i = 0; i < MOST; i++) {
            String row = "hands." + i + ".";
            if (typed.getOrDefault(row + "name", "").isBlank()) {
                continue;
            }
            rows.add(i);
            hands.add(hand(typed, row));
        }
        Map<String, String> troubles = new LinkedHashMap<>();
        things(typed, json.putObject("things"), troubles);
        if (troubles.isEmpty()) {
            try {
                return new WeekForm(Optional.of(WeekFile.read(json)), Map.of());
            } catch (BuildFileException wrong) {
                troubles.put(field(wrong.place(), rows), wrong.getMessage());
            }
        }
        return new WeekForm(Optional.empty(), troubles);
    }

    private static ObjectNode hand(Map<String, String> typed, String row) {
        ObjectNode hand = JsonNodeFactory.instance.objectNode();
        String key = typed.getOrDefault(row + "key", "");
        hand.put("key", key.isBlank() ? "hand-" + UUID.randomUUID() : key);
        hand.put("name", typed.get(row + "name").strip());
        ArrayNode trades = hand.putArray("trades");
        for (Trade trade : Trade.values()) {
            if (typed.containsKey(row + "trades." + trade.key())) {
                trades.add(trade.key());
            }
        }
        ObjectNode hours = hand.putObject("hours");
        for (DayOfWeek day : DayOfWeek.values()) {
            hours.put(WeekFile.word(day), typed.getOrDefault(row + WeekFile.word(day), ""));
        }
        hand.put("off", typed.getOrDefault(row + "off", ""));
        hand.put("also", typed.getOrDefault(row + "also", ""));
        return hand;
    }

    private static void things(Map<String, String> typed, ObjectNode things, Map<String, String> troubles) {
        for (Map.Entry<String, String> entry : typed.entrySet()) {
            String count = entry.getValue().strip();
            if (!entry.getKey().startsWith("things.") || count.isEmpty()) {
                continue;
            }
            if (count.length() <= MOST_LETTERS && count.matches("\\d+")) {
                things.put(entry.getKey().substring("things.".length()), Integer.parseInt(count));
            } else {
                troubles.put(entry.getKey(), Words.say("calendar.no-number", count));
            }
        }
    }

    /** The field of a place in the file. */
    private static String field(String place, List<Integer> rows) {
        Matcher in = IN_HANDS.matcher(place);
        if (!in.matches()) {
            return place;
        }
        int row = rows.get(Integer.parseInt(in.group(1)) - 1);
        return "hands." + row + "." + (in.group(2) == null || in.group(2).isEmpty() ? "name" : in.group(2));
    }

    /** A week as it is typed. */
    static Map<String, String> typed(ShopWeek week) {
        Map<String, String> typed = new LinkedHashMap<>();
        typed.put("zone", week.zone().getId());
        typed.put("closed", Days.written(week.closed()));
        for (int i = 0; i < week.hands().size(); i++) {
            Hand hand = week.hands().get(i);
            String row = "hands." + i + ".";
            typed.put(row + "key", hand.key());
            typed.put(row + "name", hand.name());
            hand.trades().forEach(t -> typed.put(row + "trades." + t.key(), "on"));
            for (DayOfWeek day : DayOfWeek.values()) {
                typed.put(row + WeekFile.word(day), hand.hours().written(day));
            }
            typed.put(row + "off", Days.written(hand.off()));
            typed.put(row + "also", Days.written(hand.also()));
        }
        week.counts().forEach((name, count) -> typed.put("things." + name, Integer.toString(count)));
        return typed;
    }
}
