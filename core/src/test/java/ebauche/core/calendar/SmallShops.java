package ebauche.core.calendar;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalLong;
import java.util.Random;
import java.util.Set;

/**
 * Shops by chance: one to three hands with hours and trades of their own, machines of which there is one, clamps that hold while glue sets, bodies of which each
 * step follows one or two others, some after a rest, some due. All minutes are multiples of five.
 */
final class SmallShops {
    static final ZoneId ZONE = ZoneId.of("Europe/Berlin");
    private static final LocalDate FIRST = LocalDate.of(2026, 3, 23);
    private static final Trade[] TRADES = {Trade.ROUT, Trade.GLUE, Trade.SAND, Trade.DRILL};

    private final Random chance;
    private final boolean plain;
    /** Of each block, what rests after it. */
    private final Map<Integer, Integer> restOf = new HashMap<>();

    private final long from;

    /**
     * Begins a shop.
     *
     * @param plain whether no step is so long that it is torn, nothing is set up, put by hand, or held back
     */
    SmallShops(int seed, boolean plain) {
        chance = new Random(seed);
        this.plain = plain;
        from = FIRST.atStartOfDay(ZONE).toEpochSecond() / 60;
    }

    /** A shop with so many blocks in all. */
    Workload of(int count, int bodies, int days) {
        List<Workload.Worker> hands = hands(days);
        List<Thing> things = List.of(
                new Thing("saw", 1),
                new Thing("router", 1),
                new Thing("template", 1),
                new Thing("clamps", 4 + chance.nextInt(5)));
        List<Workload.Job> jobs = new ArrayList<>();
        List<Block> blocks = new ArrayList<>();
        for (int j = 0; j < bodies; j++) {
            boolean isDue = chance.nextInt(3) == 0;
            jobs.add(new Workload.Job(
                    "b" + j,
                    "body " + j,
                    isDue
                            ? OptionalLong.of(from + 24 * 60L * (1 + chance.nextInt(3)) + 17 * 60)
                            : OptionalLong.empty()));
        }
        int[] first = new int[bodies + 1];
        for (int j = 0; j < bodies; j++) {
            first[j + 1] = count * (j + 1) / bodies;
        }
        for (int j = 0; j < bodies; j++) {
            for (int i = first[j]; i < first[j + 1]; i++) {
                blocks.add(block(i, j, first[j], things, hands));
            }
        }
        return new Workload(from + 8 * 60, hands, things, jobs, blocks);
    }

    private List<Workload.Worker> hands(int days) {
        int n = 1 + chance.nextInt(3);
        List<Workload.Worker> hands = new ArrayList<>();
        for (int h = 0; h < n; h++) {
            Map<DayOfWeek, List<Spell>> week = new EnumMap<>(DayOfWeek.class);
            boolean night = !plain && chance.nextInt(6) == 0;
            String hours = night ? "20:00-28:00" : chance.nextBoolean() ? "8-12, 13-17" : "9:30-13:00, 13:30-18:00";
            for (DayOfWeek day : DayOfWeek.values()) {
                boolean works = day.getValue() <= 5 && (h == 0 || chance.nextInt(6) > 0);
                week.put(day, works ? Hours.day(hours) : List.of());
            }
            EnumSet<Trade> trades = EnumSet.of(Trade.BENCH);
            for (Trade trade : TRADES) {
                if (h == 0 || chance.nextInt(3) > 0) {
                    trades.add(trade);
                }
            }
            Set<LocalDate> off = chance.nextInt(4) == 0 ? Set.of(FIRST.plusDays(1 + chance.nextInt(4))) : Set.of();
            Hand hand = new Hand("h" + h, "hand " + h, trades, new Hours(week), h == 0 ? Set.of() : off, Set.of());
            hands.add(new Workload.Worker(
                    hand, hand.working(ZONE, FIRST, days, Set.of()).since(from + 8 * 60)));
        }
        return hands;
    }

    private Block block(int i, int job, int first, List<Thing> things, List<Workload.Worker> hands) {
        boolean glues = chance.nextInt(6) == 0;
        int rest = glues ? 60 * (1 + chance.nextInt(14)) : 0;
        int count = plain ? 1 : 1 + chance.nextInt(3);
        List<Block.Piece> pieces = new ArrayList<>();
        for (int p = 0; p < count; p++) {
            int minutes = 5 * (2 + chance.nextInt(!plain && chance.nextInt(10) == 0 ? 150 : 23));
            pieces.add(new Block.Piece(
                    "k" + i + ":" + p, "Step " + i + "." + p, minutes, p == count - 1 ? rest : 0, glues));
        }
        Trade trade = glues ? Trade.GLUE : chance.nextBoolean() ? Trade.BENCH : TRADES[chance.nextInt(TRADES.length)];
        List<Block.Use> uses = new ArrayList<>();
        if (glues) {
            uses.add(new Block.Use(3, 1 + chance.nextInt(things.get(3).count()), Math.min(rest, 60), "", "", 0));
        } else if (chance.nextBoolean()) {
            int setUp = plain ? 0 : 5 * chance.nextInt(4);
            uses.add(new Block.Use(chance.nextInt(3), 1, 0, plain ? "" : state(), plain ? "" : state(), setUp));
        }
        List<Block.After> after = new ArrayList<>();
        if (i > first) {
            int before = chance.nextInt(4) > 0 ? i - 1 : first + chance.nextInt(i - first);
            after.add(new Block.After(before, restOf.getOrDefault(before, 0)));
            int another = first + chance.nextInt(i - first);
            if (another != before && chance.nextBoolean()) {
                after.add(new Block.After(another, restOf.getOrDefault(another, 0)));
            }
        }
        restOf.put(i, rest);
        OptionalLong soonest = OptionalLong.of(0);
        Optional<Block.Pin> pin = Optional.empty();
        if (!plain && chance.nextInt(15) == 0) {
            soonest = chance.nextBoolean() ? OptionalLong.empty() : OptionalLong.of(from + 5L * chance.nextInt(800));
        }
        if (!plain && chance.nextInt(12) == 0) {
            pin = Optional.of(new Block.Pin(
                    hands.get(chance.nextInt(hands.size())).hand().key(), from + 8 * 60 + 15L * chance.nextInt(400)));
        }
        return new Block(job, "k" + i, pieces, Set.of(trade), uses, after, soonest, pin);
    }

    private String state() {
        return "bit " + chance.nextInt(2);
    }
}
