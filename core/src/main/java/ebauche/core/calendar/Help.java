package ebauche.core.calendar;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.OptionalLong;
import java.util.Set;
import java.util.stream.IntStream;

/**
 * Something that would make late bodies less late, and by how much: found by making the timetable anew with it.
 *
 * @param kind what it is
 * @param of the day, the thing or the body; as it is written
 * @param late minutes late of all bodies together with it
 * @param with the timetable with it
 */
public record Help(Kind kind, String of, long late, Timetable with) {
    /** Of machines and clamps those that are taken longest are tried, so many. */
    private static final int THINGS = 3;

    /** Free days that are tried. */
    private static final int DAYS = 2;

    /** What can help. */
    public enum Kind {
        /** All hands work on a day that is free. */
        FREE_DAY,
        /** One more of a machine, a template; as many clamps again as the largest glue-up takes. */
        ONE_MORE,
        /** A late body before all others. */
        THIS_FIRST
    }

    /**
     * What would help, the most first; nothing where nothing is late or nothing tried would make it better.
     *
     * @param effort of each trial, blocks placed
     */
    public static List<Help> of(ShopCalendar shop, Timetable table, long effort, Search.Watch watch) {
        long lateNow = late(shop, table);
        if (lateNow == 0) {
            return List.of();
        }
        List<Trial> trials = trials(shop, table);
        List<Help> found = new ArrayList<>();
        for (int i = 0; i < trials.size(); i++) {
            Trial trial = trials.get(i);
            if (!watch.goOn((double) i / trials.size(), table.loss())) {
                break;
            }
            Workload load = trial.shop().workload(table.load().from());
            Timetable with = Search.of(load, effort, Search.Watch.NOBODY);
            long late = late(shop, with);
            if (late < lateNow && with.left().size() <= table.left().size()) {
                found.add(new Help(trial.kind(), trial.of(), late, with));
            }
        }
        found.sort(Comparator.comparingLong(Help::late));
        return found;
    }

    /** Whether any body is late. */
    public static boolean isLate(ShopCalendar shop, Timetable table) {
        return late(shop, table) > 0;
    }

    private record Trial(Kind kind, String of, ShopCalendar shop) {}

    private static List<Trial> trials(ShopCalendar shop, Timetable table) {
        List<Trial> trials = new ArrayList<>();
        for (LocalDate day : freeDays(shop, table)) {
            trials.add(new Trial(
                    Kind.FREE_DAY,
                    day.toString(),
                    shop.in(shop.week()
                            .with(shop.week().hands().stream()
                                    .map(h -> h.alsoOn(day))
                                    .toList()))));
        }
        for (int thing : longestTaken(table)) {
            Thing more = table.load().things().get(thing);
            int step = table.load().blocks().stream()
                    .flatMap(b -> b.uses().stream())
                    .filter(u -> u.thing() == thing)
                    .mapToInt(Block.Use::count)
                    .max()
                    .orElse(1);
            trials.add(new Trial(
                    Kind.ONE_MORE, more.name(), shop.in(shop.week().having(more.name(), more.count() + step))));
        }
        for (int job : lateJobs(table)) {
            String id = table.load().jobs().get(job).id();
            LocalDate today = shop.week().day(table.load().from());
            trials.add(new Trial(
                    Kind.THIS_FIRST,
                    id,
                    shop.of(shop.bodies().stream()
                            .map(b -> b.id().equals(id) ? b.dueOn(Optional.of(today)) : b)
                            .toList())));
        }
        return trials;
    }

    /** Minutes late by the days that the bodies are really due; one of which some block has no place ends at no time that could be late. */
    private static long late(ShopCalendar shop, Timetable with) {
        List<OptionalLong> ends = with.ends();
        long late = 0;
        for (int j = 0; j < ends.size(); j++) {
            Optional<LocalDate> due = shop.bodies().get(j).due();
            if (due.isPresent() && ends.get(j).isPresent()) {
                late += Math.max(
                        0, ends.get(j).getAsLong() - shop.week().start(due.get().plusDays(1)));
            }
        }
        return late;
    }

    /** Bodies that are late. */
    static List<Integer> lateJobs(Timetable table) {
        List<Long> late = table.late();
        return IntStream.range(0, late.size())
                .filter(j -> late.get(j) > 0)
                .boxed()
                .toList();
    }

    /** The next days on which nobody works, Saturdays before others, until the last late body is done. */
    private static List<LocalDate> freeDays(ShopCalendar shop, Timetable table) {
        long last = lateJobs(table).stream()
                .mapToLong(j -> table.ends().get(j).orElse(0))
                .max()
                .orElse(0);
        Set<LocalDate> worked = new HashSet<>();
        table.load()
                .hands()
                .forEach(w ->
                        w.time().spans().forEach(s -> worked.add(shop.week().day(s.from()))));
        List<LocalDate> free = new ArrayList<>();
        for (LocalDate day = shop.week().day(table.load().from());
                shop.week().start(day) < last;
                day = day.plusDays(1)) {
            if (!worked.contains(day) && day.getDayOfWeek() == DayOfWeek.SATURDAY) {
                free.add(day);
            }
        }
        return free.stream().limit(DAYS).toList();
    }

    /** The things that are taken for the greatest share of the time until the end. */
    private static List<Integer> longestTaken(Timetable table) {
        Workload load = table.load();
        double[] taken = new double[load.things().size()];
        for (Timetable.Slot slot : table.slots()) {
            for (Block.Use use : load.blocks().get(slot.block()).uses()) {
                double share = (double) use.count()
                        / Math.max(1, load.things().get(use.thing()).count());
                taken[use.thing()] +=
                        share * (load.hands().get(slot.hand()).time().between(slot.from(), slot.to()) + use.after());
            }
        }
        List<Integer> things = new ArrayList<>();
        for (int t = 0; t < taken.length; t++) {
            if (taken[t] > 0) {
                things.add(t);
            }
        }
        things.sort(Comparator.<Integer>comparingDouble(t -> -taken[t]).thenComparingInt(t -> t));
        return things.stream().limit(THINGS).toList();
    }
}
