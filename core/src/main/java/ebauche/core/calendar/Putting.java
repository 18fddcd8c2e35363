package ebauche.core.calendar;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** Whether a block can be put where somebody wants it, before anything is moved. */
public final class Putting {
    /** Enough to place one body well, blocks placed. */
    private static final long EFFORT = 4_000;

    private final ShopCalendar shop;
    private final long now;

    /** At a moment, minutes since 1970. */
    public Putting(ShopCalendar shop, long now) {
        this.shop = shop;
        this.now = now;
    }

    /** What stands against it. */
    public enum Against {
        /** That time is over. */
        PAST,
        /** There is no such hand any more. */
        NO_HAND,
        /** The hand is not trusted with it. */
        TRADE,
        /** The hand does not work then. */
        NOT_AT_WORK,
        /** It waits for somebody's answer, or more of a thing is wanted than there is: it can be put nowhere. */
        NOWHERE,
        /** What it needs cannot be done by then. */
        NEEDS,
        /** What comes after it was put sooner by hand. */
        LATER_ONE,
        /** Something else that was put there by hand has its hand, its body or something that it takes. */
        MEETS
    }

    /**
     * Why it cannot be put there.
     *
     * @param soonest from when it could, minutes since 1970; 0 where that does not help
     * @param other the body and step that it meets or that it must come before; the step that it needs last
     */
    public record Trouble(Against against, long soonest, String body, String other) {
        private static Trouble of(Against against) {
            return new Trouble(against, 0, "", "");
        }
    }

    /**
     * What stands against putting a block somewhere; empty where nothing does.
     *
     * @param body id of its body
     * @param step the key of one of its steps
     */
    public Optional<Trouble> against(String body, String step, Block.Pin pin) {
        ShopCalendar.ToDo of = shop.bodies().stream()
                .filter(b -> b.id().equals(body))
                .findFirst()
                .orElseThrow();
        BodyWork.Part part = of.work().with(step).orElseThrow();
        Optional<Hand> hand = shop.week().hand(pin.hand());
        if (pin.at() < now) {
            return Optional.of(Trouble.of(Against.PAST));
        }
        if (hand.isEmpty()) {
            return Optional.of(Trouble.of(Against.NO_HAND));
        }
        if (!hand.get().trades().containsAll(part.trades())) {
            return Optional.of(Trouble.of(Against.TRADE));
        }
        Map<String, Block.Pin> pins = new LinkedHashMap<>(of.pinsFrom(now));
        part.pieces().forEach(p -> pins.remove(p.key()));
        Timetable free = alone(of.putting(pins));
        Optional<Timetable.Slot> slot = slot(free, part.name());
        if (slot.isEmpty()) {
            return Optional.of(Trouble.of(Against.NOWHERE));
        }
        Map<String, Block.Pin> with = new LinkedHashMap<>(pins);
        with.put(part.name(), pin);
        ShopCalendar.ToDo put = of.putting(with);
        return notAtWork(put, part, pin)
                .or(() -> needs(of.putting(pins), part, pin))
                .or(() -> laterOnes(put, part))
                .or(() -> meets(put, part, pin));
    }

    private Timetable alone(ShopCalendar.ToDo body) {
        return Search.of(shop.of(List.of(body)).workload(now), EFFORT, Search.Watch.NOBODY);
    }

    private static Optional<Timetable.Slot> slot(Timetable table, String block) {
        return table.slots().stream()
                .filter(s -> table.load().blocks().get(s.block()).name().equals(block))
                .findFirst();
    }

    private Optional<Trouble> notAtWork(ShopCalendar.ToDo put, BodyWork.Part part, Block.Pin pin) {
        Workload load = shop.of(List.of(put)).workload(now);
        Block block = block(load, 0, part.name());
        for (Workload.Worker worker : load.hands()) {
            if (worker.hand().key().equals(pin.hand())) {
                long[] walked = new long[2];
                worker.time().walk(pin.at(), block.setUp(), Placing.minutes(block), walked);
                if (walked[0] != pin.at()) {
                    return Optional.of(
                            new Trouble(Against.NOT_AT_WORK, walked[0] == Stretches.NEVER ? 0 : walked[0], "", ""));
                }
            }
        }
        return Optional.empty();
    }

    /** With nothing else in the shop: what it needs, as early as that can be done. */
    private Optional<Trouble> needs(ShopCalendar.ToDo free, BodyWork.Part part, Block.Pin pin) {
        Timetable table = alone(free.doing(free.work().upTo(part.name())));
        Workload load = table.load();
        Block block = block(load, 0, part.name());
        Map<Integer, Timetable.Slot> slots = table.byBlock();
        long soonest = Math.max(load.from(), block.from().orElse(0));
        String last = "";
        for (Block.After after : block.after()) {
            long end = slots.get(after.block()).to() + after.rest();
            if (end > soonest) {
                soonest = end;
                List<Block.Piece> pieces = load.blocks().get(after.block()).pieces();
                last = pieces.get(pieces.size() - 1).title();
            }
        }
        return pin.at() >= soonest
                ? Optional.empty()
                : Optional.of(new Trouble(Against.NEEDS, soonest, free.name(), last));
    }

    /** With nothing else in the shop, whether what was put somewhere of the same body can stay there. */
    private Optional<Trouble> laterOnes(ShopCalendar.ToDo put, BodyWork.Part part) {
        Timetable table = alone(put);
        for (Timetable.Slot slot : table.slots()) {
            Block block = table.load().blocks().get(slot.block());
            if (block.pin().isPresent()
                    && block.pin().get().at() != slot.from()
                    && !block.name().equals(part.name())) {
                return Optional.of(new Trouble(
                        Against.LATER_ONE, 0, put.name(), block.pieces().get(0).title()));
            }
        }
        return Optional.empty();
    }

    /** What was put somewhere by hand over the whole shop: the first that takes what this block takes. */
    private Optional<Trouble> meets(ShopCalendar.ToDo put, BodyWork.Part part, Block.Pin pin) {
        List<ShopCalendar.ToDo> bodies = shop.bodies().stream()
                .map(b -> b.id().equals(put.id()) ? put : b)
                .toList();
        Workload load = shop.of(bodies).workload(now);
        int job = bodies.indexOf(put);
        Block block = block(load, job, part.name());
        Taken mine = taken(load, block, pin);
        for (Block other : load.blocks()) {
            boolean itself = other.job() == job && other.name().equals(part.name());
            if (itself || other.pin().isEmpty()) {
                continue;
            }
            Taken theirs = taken(load, other, other.pin().get());
            boolean hands = theirs.hand() == mine.hand() || other.job() == block.job();
            boolean together = mine.from() < theirs.to() && theirs.from() < mine.to();
            boolean things = sameThing(load, block, mine, other, theirs);
            if ((hands && together) || things) {
                return Optional.of(new Trouble(
                        Against.MEETS,
                        0,
                        load.jobs().get(other.job()).name(),
                        other.pieces().get(0).title()));
            }
        }
        return Optional.empty();
    }

    private record Taken(int hand, long from, long to) {}

    private static Taken taken(Workload load, Block block, Block.Pin pin) {
        for (int h = 0; h < load.hands().size(); h++) {
            Workload.Worker worker = load.hands().get(h);
            if (worker.hand().key().equals(pin.hand())) {
                long[] walked = new long[2];
                worker.time().walk(pin.at(), block.setUp(), Placing.minutes(block), walked);
                return new Taken(h, walked[0], walked[1]);
            }
        }
        return new Taken(-1, Stretches.NEVER, Stretches.NEVER);
    }

    private static boolean sameThing(Workload load, Block block, Taken mine, Block other, Taken theirs) {
        for (Block.Use use : block.uses()) {
            for (Block.Use their : other.uses()) {
                if (use.thing() == their.thing()
                        && use.count() + their.count()
                                > load.things().get(use.thing()).count()
                        && mine.from() < theirs.to() + their.after()
                        && theirs.from() < mine.to() + use.after()) {
                    return true;
                }
            }
        }
        return false;
    }

    private static Block block(Workload load, int job, String name) {
        return load.blocks().stream()
                .filter(b -> b.job() == job && b.name().equals(name))
                .findFirst()
                .orElseThrow();
    }
}
