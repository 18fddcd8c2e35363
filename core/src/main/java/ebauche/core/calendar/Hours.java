package ebauche.core.calendar;

import ebauche.core.measure.Refusal;
import java.time.DayOfWeek;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;

/**
 * The hours of a week in which a hand works.
 *
 * @param week the spells of each day, in order; a day without any is free
 */
public record Hours(Map<DayOfWeek, List<Spell>> week) {
    private static final Pattern SPELL =
            Pattern.compile("(\\d{1,2})(?::(\\d{2}))?\\s*(?:-|–|to)\\s*(\\d{1,2})(?::(\\d{2}))?");

    private static final int DAY = 24 * 60;

    /** Monday to Friday, eight hours and a break at noon: common practice. */
    public static final Hours USUAL = usual();

    public Hours {
        Map<DayOfWeek, List<Spell>> days = new EnumMap<>(DayOfWeek.class);
        for (DayOfWeek day : DayOfWeek.values()) {
            List<Spell> spells = week.getOrDefault(day, List.of()).stream()
                    .sorted(Comparator.comparingInt(Spell::from))
                    .toList();
            for (int i = 1; i < spells.size(); i++) {
                Refusal.unless(
                        spells.get(i).from() >= spells.get(i - 1).to(),
                        field(day),
                        "“" + spells.get(i - 1).written() + "” and “"
                                + spells.get(i).written() + "” overlap");
            }
            days.put(day, spells);
        }
        for (DayOfWeek day : DayOfWeek.values()) {
            List<Spell> today = days.get(day);
            List<Spell> next = days.get(day.plus(1));
            Refusal.unless(
                    today.isEmpty()
                            || next.isEmpty()
                            || today.get(today.size() - 1).to() <= next.get(0).from() + DAY,
                    field(day),
                    "hours past midnight run into those of the next day");
        }
        week = Map.copyOf(days);
    }

    /** What a refusal names. */
    private static String field(DayOfWeek day) {
        return day.name().toLowerCase(Locale.ROOT);
    }

    private static Hours usual() {
        Map<DayOfWeek, List<Spell>> week = new EnumMap<>(DayOfWeek.class);
        for (DayOfWeek day : DayOfWeek.values()) {
            week.put(day, day.getValue() <= 5 ? day("8:00-12:00, 13:00-17:00") : List.of());
        }
        return new Hours(week);
    }

    /**
     * The spells of a day as they are typed, {@code 8:00-12:00, 13-17:30}; nothing for a free day.
     *
     * @throws Refusal of what is no such list
     */
    public static List<Spell> day(String typed) {
        List<Spell> spells = new ArrayList<>();
        for (String part : typed.split("[,;]", -1)) {
            if (part.isBlank()) {
                continue;
            }
            Matcher spell = SPELL.matcher(part.strip());
            Refusal.unless(spell.matches(), "hours", "“" + part.strip() + "” is no hours, such as 8:00-12:00");
            spells.add(new Spell(minutes(spell.group(1), spell.group(2)), minutes(spell.group(3), spell.group(4))));
        }
        return spells;
    }

    private static int minutes(String hours, String minutes) {
        int past = minutes == null ? 0 : Integer.parseInt(minutes);
        Refusal.unless(past < 60, "hours", "an hour has minutes 00 to 59");
        return Integer.parseInt(hours) * 60 + past;
    }

    /** The spells of a day as they are typed. */
    public String written(DayOfWeek day) {
        return week.get(day).stream().map(Spell::written).collect(Collectors.joining(", "));
    }

    public List<Spell> of(DayOfWeek day) {
        return week.get(day);
    }

    /** Whether there are none at all. */
    public boolean isNone() {
        return week.values().stream().allMatch(List::isEmpty);
    }
}
