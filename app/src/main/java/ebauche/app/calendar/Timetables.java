package ebauche.app.calendar;

import ebauche.app.body.Bodies;
import ebauche.app.body.PutByStore;
import ebauche.core.calendar.BodyWork;
import ebauche.core.calendar.Bound;
import ebauche.core.calendar.Help;
import ebauche.core.calendar.Search;
import ebauche.core.calendar.ShopCalendar;
import ebauche.core.calendar.Timetable;
import ebauche.core.calendar.Workload;
import jakarta.annotation.PreDestroy;
import java.time.Clock;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;

/**
 * The timetable of each shop. It is made anew when anything that it follows from has changed: at once as the one before comes out now, then better beside the work,
 * as far as the search gets or somebody stops it. When only time went by, who does what in which order stays.
 */
@Service
public class Timetables {
    /** Time is looked at in quarters of an hour: nobody works to the minute. */
    private static final long QUARTER = 15;

    /** So many bodies that were not looked at yet are looked at while somebody waits for the page; more beside it. */
    private static final int AT_ONCE = 12;

    /** Of each thing that might help, blocks placed. */
    private static final long HELP_EFFORT = 60_000;

    private final Bodies bodies;
    private final PutByStore putBy;
    private final CalendarStore store;
    private final Clock clock;
    private final Map<Long, Desk> desks = new ConcurrentHashMap<>();
    private final ExecutorService beside = Executors.newSingleThreadExecutor(work -> {
        Thread thread = new Thread(work, "timetables");
        thread.setDaemon(true);
        return thread;
    });

    Timetables(Bodies bodies, PutByStore putBy, CalendarStore store, Clock clock) {
        this.bodies = bodies;
        this.putBy = putBy;
        this.store = store;
        this.clock = clock;
    }

    /** How far a timetable has come. */
    public enum Stage {
        /** Bodies are still looked at. */
        LOOKING,
        /** It can be worked by; a better one is looked for. */
        BETTER,
        /** What would help late bodies is looked for. */
        HELP,
        DONE,
        /** Somebody stopped it: it is the best that was found by then. */
        STOPPED;

        /** Whether more is to come. */
        public boolean isUnderWay() {
            return this == LOOKING || this == BETTER || this == HELP;
        }
    }

    /**
     * All that a timetable follows from but the time.
     *
     * @param standing bodies that are not put by, in the order in which the shop has them
     */
    record Content(List<Bodies.Standing> standing, CalendarStore.Week week, Marks marks) {}

    /**
     * A shop's timetable as it is now.
     *
     * @param now from when it counts, minutes since 1970
     * @param bodies what is to be done; those that are done are left out
     * @param table empty while the shop's bodies are looked at for the first time
     * @param share of the stage, 0 to 1
     * @param number counts up whenever it is another
     */
    record Shown(
            Content content,
            long now,
            ShopCalendar bodies,
            Map<String, Bodies.Standing> byId,
            Optional<Timetable> table,
            Optional<Bound> bound,
            List<Help> help,
            Stage stage,
            double share,
            int number) {
        Shown at(Stage other, double howFar) {
            return new Shown(content, now, bodies, byId, table, bound, help, other, howFar, number);
        }

        Shown with(Timetable other) {
            boolean same = table.isPresent() && table.get().slots().equals(other.slots());
            return new Shown(
                    content,
                    now,
                    bodies,
                    byId,
                    Optional.of(other),
                    Optional.of(Bound.of(other)),
                    List.of(),
                    stage,
                    share,
                    same ? number : number + 1);
        }

        /** With what would help; another one where anything is late. */
        Shown helped(List<Help> by) {
            boolean late = Help.isLate(bodies, table.orElseThrow());
            return new Shown(content, now, bodies, byId, table, bound, by, stage, share, late ? number + 1 : number);
        }
    }

    /** What is known of a shop; guarded by itself. */
    private static final class Desk {
        private Shown shown;
        private Job job;
    }

    /** One making of a timetable; nobody waits for one that is no longer its desk's. */
    private static final class Job {
        private volatile boolean stopped;
    }

    /** The timetable as it is now; one that must be made anew is shown as far as it is. */
    Shown shown(long shop) {
        Desk desk = desks.computeIfAbsent(shop, s -> new Desk());
        Content content = content(shop);
        long now = clock.instant().getEpochSecond() / 60 / QUARTER * QUARTER;
        synchronized (desk) {
            if (desk.shown == null || !content.equals(desk.shown.content())) {
                begin(desk, content, now);
            } else if (now != desk.shown.now() && !desk.shown.stage().isUnderWay()) {
                goesBy(desk, now);
            }
            return desk.shown;
        }
    }

    /**
     * The same for whoever cannot show how far it is.
     *
     * @throws StillLooking while the shop's bodies are looked at for the first time
     */
    Shown ready(long shop) {
        Shown shown = shown(shop);
        if (shown.table().isEmpty()) {
            throw new StillLooking();
        }
        return shown;
    }

    /** Lets the search end with what it has. */
    void stop(long shop) {
        Desk desk = desks.get(shop);
        if (desk != null) {
            synchronized (desk) {
                if (desk.job != null && desk.shown.table().isPresent()) {
                    desk.job.stopped = true;
                }
            }
        }
    }

    private Content content(long shop) {
        Set<Long> by = putBy.putBy(shop);
        List<Bodies.Standing> standing = new ArrayList<>(bodies.standing(shop));
        standing.removeIf(s -> by.contains(s.body().id()));
        return new Content(standing, store.week(shop), store.marks(shop));
    }

    private void begin(Desk desk, Content content, long now) {
        if (desk.job != null) {
            desk.job.stopped = true;
        }
        Job job = new Job();
        desk.job = job;
        Optional<Timetable> before = desk.shown == null ? Optional.empty() : desk.shown.table();
        int number = desk.shown == null ? 1 : desk.shown.number() + 1;
        long unknown = content.standing().stream()
                .filter(s -> bodies.knownWork(s).isEmpty())
                .count();
        if (unknown <= AT_ONCE) {
            desk.shown = ready(content, now, before, number);
        } else {
            ShopCalendar none = new ShopCalendar(content.week().week(), List.of());
            desk.shown = new Shown(
                    content,
                    now,
                    none,
                    Map.of(),
                    Optional.empty(),
                    Optional.empty(),
                    List.of(),
                    Stage.LOOKING,
                    0,
                    number);
        }
        beside.execute(() -> {
            try {
                make(desk, job, before);
            } finally {
                ended(desk, job);
            }
        });
    }

    /** The order of before, or a first one, with all bodies looked at. */
    private Shown ready(Content content, long now, Optional<Timetable> before, int number) {
        Map<String, Bodies.Standing> byId = content.standing().stream()
                .collect(Collectors.toMap(s -> s.body().publicId(), s -> s));
        ShopCalendar shop = calendar(content);
        Timetable table = Search.atOnce(shop.workload(now), before);
        return new Shown(
                content,
                now,
                shop,
                byId,
                Optional.of(table),
                Optional.of(Bound.of(table)),
                List.of(),
                Stage.BETTER,
                0,
                number);
    }

    private ShopCalendar calendar(Content content) {
        List<ShopCalendar.ToDo> toDo = new ArrayList<>();
        Marks marks = content.marks();
        for (Bodies.Standing standing : content.standing()) {
            BodyWork work = bodies.work(standing);
            if (!work.parts().isEmpty()) {
                long id = standing.body().id();
                toDo.add(new ShopCalendar.ToDo(
                        standing.body().publicId(),
                        standing.body().number() + " " + standing.name(),
                        marks.due(id),
                        work,
                        marks.expected(id),
                        marks.out(id),
                        marks.pins(id)));
            }
        }
        return new ShopCalendar(content.week().week(), toDo);
    }

    /** Only time went by: the same order, as it comes out now. */
    private static void goesBy(Desk desk, long now) {
        Shown was = desk.shown;
        Timetable table = Search.atOnce(was.bodies().workload(now), was.table());
        desk.shown = new Shown(
                was.content(),
                now,
                was.bodies(),
                was.byId(),
                Optional.of(table),
                Optional.of(Bound.of(table)),
                was.help(),
                was.stage(),
                was.share(),
                was.number() + 1);
    }

    private void make(Desk desk, Job job, Optional<Timetable> before) {
        Shown shown = desk.shown;
        if (shown.table().isEmpty()) {
            List<Bodies.Standing> all = shown.content().standing();
            for (int i = 0; i < all.size() && !job.stopped; i++) {
                bodies.work(all.get(i));
                tell(desk, job, shown.at(Stage.LOOKING, (double) i / all.size()));
            }
            if (job.stopped) {
                return;
            }
            shown = ready(shown.content(), shown.now(), before, shown.number() + 1);
            tell(desk, job, shown);
        }
        Shown first = shown;
        Workload load = first.table().orElseThrow().load();
        Timetable found = Search.of(
                load,
                Search.effort(load),
                (share, best) -> {
                    tell(desk, job, first.at(Stage.BETTER, share));
                    return !job.stopped;
                },
                before);
        Shown better = first.with(found);
        if (job.stopped) {
            tell(desk, job, better.at(Stage.STOPPED, 1));
            return;
        }
        tell(desk, job, better.at(Stage.HELP, 0));
        List<Help> help = Help.of(better.bodies(), found, HELP_EFFORT, (share, best) -> {
            tell(desk, job, better.at(Stage.HELP, share));
            return !job.stopped;
        });
        tell(desk, job, better.helped(help).at(job.stopped ? Stage.STOPPED : Stage.DONE, 1));
    }

    /** Whatever broke it off: nobody waits for what is not made any more. */
    private static void ended(Desk desk, Job job) {
        synchronized (desk) {
            if (desk.job == job && desk.shown.stage().isUnderWay()) {
                desk.shown = desk.shown.at(Stage.STOPPED, 1);
            }
        }
    }

    private static void tell(Desk desk, Job job, Shown shown) {
        synchronized (desk) {
            if (desk.job == job) {
                desk.shown = shown;
            }
        }
    }

    @PreDestroy
    void end() {
        desks.values().forEach(d -> {
            synchronized (d) {
                if (d.job != null) {
                    d.job.stopped = true;
                }
            }
        });
        beside.shutdownNow();
    }
}
