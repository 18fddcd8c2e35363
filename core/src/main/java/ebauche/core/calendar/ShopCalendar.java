package ebauche.core.calendar;

import ebauche.core.feature.StepKey;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalLong;
import java.util.Set;
import java.util.stream.Stream;

/**
 * What a shop has to do, and when and with what it can.
 *
 * @param week who works in it, and when
 * @param bodies in the order in which the shop has them
 */
public record ShopCalendar(ShopWeek week, List<ToDo> bodies) {
    /** So far ahead it looks at the least, days, and at the most. */
    private static final int LEAST_DAYS = 60;

    private static final int MOST_DAYS = 1_500;

    /** Time enough for waits and for what stands in the way. */
    private static final int ROOM = 4;

    /**
     * What is to be done of a body.
     *
     * @param id by which it is known
     * @param due the last day on which it may be done
     * @param work its blocks
     * @param expected of steps that somebody is asked about, the day on which the answer is thought to be there; the others wait until nobody knows when
     * @param putOff steps that were taken out of the calendar until they are put back
     * @param pins blocks that were put somewhere by hand, by one of their steps
     */
    public record ToDo(
            String id,
            String name,
            Optional<LocalDate> due,
            BodyWork work,
            Map<StepKey, LocalDate> expected,
            Set<String> putOff,
            Map<String, Block.Pin> pins) {
        public ToDo {
            expected = Map.copyOf(expected);
            putOff = Set.copyOf(putOff);
            pins = Map.copyOf(pins);
        }

        /** What was put somewhere by hand and is not past: a block whose time went by unused finds another by itself. */
        Map<String, Block.Pin> pinsFrom(long now) {
            Map<String, Block.Pin> left = new LinkedHashMap<>(pins);
            left.values().removeIf(p -> p.at() < now);
            return left;
        }

        /** The same with other blocks put somewhere by hand. */
        public ToDo putting(Map<String, Block.Pin> others) {
            return new ToDo(id, name, due, work, expected, putOff, others);
        }

        /** The same with other work. */
        ToDo doing(BodyWork other) {
            return new ToDo(id, name, due, other, expected, putOff, pins);
        }

        /** The same, due otherwise. */
        public ToDo dueOn(Optional<LocalDate> other) {
            return new ToDo(id, name, other, work, expected, putOff, pins);
        }
    }

    public ShopCalendar {
        bodies = List.copyOf(bodies);
    }

    /** The same in another week. */
    public ShopCalendar in(ShopWeek other) {
        return new ShopCalendar(other, bodies);
    }

    /** The same with other bodies. */
    public ShopCalendar of(List<ToDo> others) {
        return new ShopCalendar(week, others);
    }

    /**
     * The work from a moment on.
     *
     * @param now minutes since 1970
     */
    public Workload workload(long now) {
        Map<String, Integer> number = new LinkedHashMap<>();
        List<Thing> things = things(number);
        List<Workload.Job> jobs = new ArrayList<>();
        List<Block> blocks = new ArrayList<>();
        long minutes = 0;
        for (int j = 0; j < bodies.size(); j++) {
            ToDo body = bodies.get(j);
            jobs.add(new Workload.Job(
                    body.id(),
                    body.name(),
                    body.due()
                            .map(d -> OptionalLong.of(week.start(d.plusDays(1))))
                            .orElse(OptionalLong.empty())));
            body.work().blocks(j, blocks.size(), number, moments(body), body.pinsFrom(now)).stream()
                    .map(b -> b.pieces().stream().anyMatch(p -> body.putOff().contains(p.key())) ? b.waiting() : b)
                    .forEach(blocks::add);
        }
        for (Block block : blocks) {
            minutes += block.minutes()
                    + block.pieces().stream().mapToInt(Block.Piece::rests).sum() / 3;
        }
        return new Workload(now, workers(now, minutes), things, jobs, blocks);
    }

    /** All that the bodies take, each once, its place put down under its name. */
    private List<Thing> things(Map<String, Integer> number) {
        List<Thing> things = new ArrayList<>();
        for (ToDo body : bodies) {
            for (BodyWork.Part part : body.work().parts()) {
                for (BodyWork.Wanted use : part.uses()) {
                    Thing thing =
                            new Thing(use.thing(), use.said(), week.counts().getOrDefault(use.thing(), use.there()));
                    Integer known = number.putIfAbsent(use.thing(), things.size());
                    if (known == null) {
                        things.add(thing);
                    } else if (things.get(known).count() < thing.count()) {
                        things.set(known, thing);
                    }
                }
            }
        }
        return things;
    }

    private Map<StepKey, OptionalLong> moments(ToDo body) {
        Map<StepKey, OptionalLong> moments = new LinkedHashMap<>();
        for (StepKey step : body.work().asked()) {
            LocalDate day = body.expected().get(step);
            moments.put(step, day == null ? OptionalLong.empty() : OptionalLong.of(week.start(day)));
        }
        return moments;
    }

    /** Days until the last that something was put on by hand, or an answer is expected on: what comes after it has to be done too. */
    private long ahead(LocalDate today) {
        return bodies.stream()
                .flatMap(b -> Stream.concat(
                        b.pins().values().stream().map(p -> week.day(p.at())), b.expected().values().stream()))
                .mapToLong(day -> ChronoUnit.DAYS.between(today, day))
                .max()
                .stream()
                .map(ahead -> Math.max(0, ahead))
                .sum();
    }

    private List<Workload.Worker> workers(long now, long minutes) {
        LocalDate today = week.day(now);
        double perDay = week.hands().stream()
                        .flatMap(h -> h.hours().week().values().stream())
                        .flatMap(List::stream)
                        .mapToInt(Spell::minutes)
                        .sum()
                / 7.0;
        long worked = perDay == 0 ? LEAST_DAYS : LEAST_DAYS + ROOM * (long) Math.ceil(minutes / perDay);
        int days = (int) Math.min(MOST_DAYS, worked + ahead(today));
        // From the day before: a spell that goes past midnight is its day's.
        return week.hands().stream()
                .map(h -> new Workload.Worker(
                        h,
                        h.working(week.zone(), today.minusDays(1), days, week.closed())
                                .since(now)))
                .toList();
    }
}
