package ebauche.core.calendar;

import ebauche.core.calendar.BodyWork.Part;
import ebauche.core.calendar.BodyWork.Wanted;
import ebauche.core.feature.StepKey;
import ebauche.core.gluing.Clamping;
import ebauche.core.gluing.Grip;
import ebauche.core.job.Build;
import ebauche.core.logbook.AsBuilt;
import ebauche.core.operation.Condition;
import ebauche.core.operation.Operation;
import ebauche.core.operation.Setting;
import ebauche.core.order.Holder;
import ebauche.core.order.HouseOrder;
import ebauche.core.order.Link;
import ebauche.core.order.SetUp;
import ebauche.core.plan.BuildPlan.PlanStep;
import ebauche.core.plan.Schedule;
import ebauche.core.plan.Stations;
import ebauche.core.shop.Caul;
import ebauche.core.shop.Clamp;
import ebauche.core.stock.Change;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** Gathers the steps of a plan that are not done into blocks. */
final class Gathering {
    /** Bench work so long does not keep a machine, minutes. */
    private static final int AWAY = 15;

    /** A run so long is parted where it can be: nobody keeps a router for half a day. Minutes. */
    private static final int LONG = 60;

    private static final String THE_DRILL = "the drill";

    private final Schedule schedule;
    private final Build build;
    private final List<Run> runs = new ArrayList<>();
    /** What was put on by steps that are done, for those that wait for it longest. */
    private final Map<StepKey, Schedule.Rest> resting = new LinkedHashMap<>();

    /** How the body lies and where after the steps so far. */
    private final Map<Holder, String> stands = new HashMap<>();

    /** Steps that are done in one go, as they are gathered. */
    private static final class Run {
        private final List<Operation> steps = new ArrayList<>();
        private final List<Block.Piece> pieces = new ArrayList<>();
        private final Set<Trade> trades = EnumSet.noneOf(Trade.class);
        private final Set<String> machines = new TreeSet<>();
        /** How it wants and leaves each bit and drill. */
        private final Map<Holder, Holder.Wants> bits = new LinkedHashMap<>();

        private final Map<Integer, Integer> after = new LinkedHashMap<>();
        private long rested;
        private Optional<AsBuilt.Asked> asked = Optional.empty();

        private int minutes() {
            return pieces.stream().mapToInt(Block.Piece::minutes).sum();
        }

        private boolean waits() {
            return asked.isPresent() || rested > 0 || after.values().stream().anyMatch(rest -> rest > 0);
        }
    }

    Gathering(Schedule schedule) {
        this.schedule = schedule;
        this.build = schedule.build();
    }

    BodyWork work() {
        gather();
        link();
        chain();
        return new BodyWork(
                runs.stream()
                        .map(r -> new Part(r.pieces, r.trades, uses(r), r.after, r.rested, r.asked, lacking(r)))
                        .toList(),
                List.copyOf(resting.values()));
    }

    private void gather() {
        Run now = new Run();
        boolean templateOn = false;
        for (PlanStep step : schedule.steps()) {
            Operation operation = step.operation();
            if (step.done()) {
                continue;
            }
            if (!now.steps.isEmpty() && !templateOn && begins(now, operation)) {
                runs.add(now);
                now = new Run();
            }
            add(now, operation);
            templateOn = holds(operation.gives()) || (templateOn && !holds(operation.spoils()));
            if (operation.waitMinutes() > 0 || (!templateOn && standsAlone(operation))) {
                runs.add(now);
                now = new Run();
            }
        }
        if (!now.steps.isEmpty()) {
            runs.add(now);
        }
    }

    private static boolean holds(List<Condition> conditions) {
        return conditions.stream().anyMatch(Condition.Held.class::isInstance);
    }

    private boolean isAsked(Operation step) {
        return build.asBuilt().awaited(step.key()).isPresent();
    }

    private boolean standsAlone(Operation step) {
        return step.setting() instanceof Setting.Glued || isAsked(step);
    }

    /** Whether a step begins a run of its own. */
    private boolean begins(Run now, Operation step) {
        String machine = machine(step);
        Trade trade = Trade.of(step);
        if (standsAlone(step) || now.minutes() >= LONG) {
            return true;
        }
        if (machine.isEmpty() || now.machines.isEmpty()) {
            boolean leaves = machine.isEmpty() && !now.machines.isEmpty() && step.handsOnMinutes() >= AWAY;
            boolean comes = !machine.isEmpty() && now.minutes() >= AWAY;
            return leaves || comes || (trade != Trade.BENCH && !now.trades.contains(trade) && now.minutes() >= AWAY);
        }
        return !now.machines.contains(machine);
    }

    /** The machine or router that a step is done with; empty for hand work. */
    private static String machine(Operation step) {
        return Holder.of(step).entrySet().stream()
                .filter(e -> e.getKey().kind() == SetUp.MACHINE)
                .map(e -> e.getValue().last())
                .findFirst()
                .orElse("");
    }

    private void add(Run run, Operation step) {
        int setUps = 0;
        for (Map.Entry<Holder, Holder.Wants> e : Holder.of(step).entrySet()) {
            Holder holder = e.getKey();
            Holder.Wants wants = e.getValue();
            if (isShared(holder)) {
                Holder.Wants so = run.bits.get(holder);
                setUps += so == null || so.last().equals(wants.first())
                        ? 0
                        : holder.kind().minutes();
                run.bits.put(holder, new Holder.Wants(so == null ? wants.first() : so.first(), wants.last()));
            } else {
                String before = stands.put(holder, wants.last());
                setUps += before == null || before.equals(wants.first())
                        ? 0
                        : holder.kind().minutes();
            }
        }
        run.steps.add(step);
        run.pieces.add(new Block.Piece(
                step.key().written(),
                step.title(),
                step.handsOnMinutes() + setUps,
                step.waitMinutes(),
                step.setting() instanceof Setting.Glued));
        run.trades.add(Trade.of(step));
        String machine = machine(step);
        if (!machine.isEmpty()) {
            run.machines.add(machine);
        }
        build.asBuilt().awaited(step.key()).ifPresent(asked -> run.asked = Optional.of(asked));
    }

    /** What stays set up for other bodies too: bits and drills. How a body lies is its own. */
    private static boolean isShared(Holder holder) {
        return holder.kind() == SetUp.BIT || holder.kind() == SetUp.DRILL;
    }

    private void link() {
        Map<StepKey, Integer> runOf = new HashMap<>();
        for (int i = 0; i < runs.size(); i++) {
            for (Operation step : runs.get(i).steps) {
                runOf.put(step.key(), i);
            }
        }
        for (Link link : schedule.ordering().links()) {
            Integer after = runOf.get(link.after());
            Integer before = runOf.get(link.before());
            if (after != null && before != null && before < after) {
                runs.get(after).after.merge(before, link.lagMinutes(), Math::max);
            }
        }
        for (HouseOrder.Pair pair : schedule.ordering().house().pairs()) {
            Integer after = runOf.get(pair.after());
            Integer before = runOf.get(pair.before());
            if (after != null && before != null && before < after) {
                runs.get(after).after.putIfAbsent(before, 0);
            }
        }
        for (Run run : runs) {
            for (Operation step : run.steps) {
                schedule.rests(step.key()).forEach(rest -> {
                    run.rested = Math.max(run.rested, BodyWork.minute(rest));
                    resting.merge(rest.step(), rest, (x, y) -> y.until().isAfter(x.until()) ? y : x);
                });
            }
        }
    }

    /** Each run follows the one before it in the plan, unless that waits for what the plan did not know. */
    private void chain() {
        int last = -1;
        for (int i = 0; i < runs.size(); i++) {
            Run run = runs.get(i);
            fewer(run);
            if (last >= 0) {
                run.after.putIfAbsent(last, 0);
                fewer(run);
            }
            last = run.waits() ? last : i;
        }
    }

    /** Leaves out what follows from the rest: what is reached by another way that takes as long. */
    private void fewer(Run run) {
        Map<Integer, Integer> others = new HashMap<>();
        run.after.forEach((b, rest) -> runs.get(b).after.forEach((c, more) -> reach(c, rest + more, others)));
        run.after.entrySet().removeIf(e -> others.getOrDefault(e.getKey(), -1) >= e.getValue());
    }

    private void reach(int run, int rest, Map<Integer, Integer> others) {
        if (others.getOrDefault(run, -1) < rest) {
            others.put(run, rest);
            runs.get(run).after.forEach((b, more) -> reach(b, rest + more, others));
        }
    }

    private List<Wanted> uses(Run run) {
        List<Wanted> uses = new ArrayList<>();
        run.bits.forEach((holder, wants) -> uses.add(new Wanted(
                holder.kind() == SetUp.BIT ? holder.of() : THE_DRILL,
                1,
                1,
                0,
                wants.first(),
                wants.last(),
                holder.kind().minutes())));
        run.steps.stream()
                .filter(s -> s.setting().passes().isEmpty() && !(s.setting() instanceof Setting.Drilled))
                .map(Gathering::machine)
                .filter(m -> !m.isEmpty())
                .distinct()
                .forEach(m -> uses.add(new Wanted(m, 1, 1, 0, "", "", 0)));
        uses.addAll(templates(run));
        for (Grip grip : grips(run)) {
            // A caul whose two clamps are of different kinds is told by the weaker one.
            int owned = owned(grip.thing());
            uses.add(new Wanted(grip.thing(), owned, Math.min(grip.count(), owned), grip.minutes(), "", "", 0));
        }
        return uses;
    }

    /** A template is one thing for all bodies that are cut to the same shape. */
    private static List<Wanted> templates(Run run) {
        Map<String, Long> shapes = new LinkedHashMap<>();
        for (Operation step : run.steps) {
            step.needs().stream()
                    .filter(Condition.Held.class::isInstance)
                    .map(c -> ((Condition.Held) c).template())
                    .forEach(t -> shapes.merge(t, largestCut(step), Math::max));
        }
        return shapes.entrySet().stream()
                .map(e -> new Wanted(e.getKey() + ", " + e.getValue() + " mm²", e.getKey(), 1, 1, 0, "", "", 0))
                .toList();
    }

    /** Area of it, mm². */
    private static long largestCut(Operation step) {
        return step.changes().stream()
                .filter(Change.Remove.class::isInstance)
                .mapToLong(c -> Math.round(c.solid().plan().area()))
                .max()
                .orElse(0);
    }

    private Stream<Clamping> clampings(Run run) {
        return run.steps.stream()
                .filter(s -> s.setting() instanceof Setting.Glued)
                .map(s -> Stations.clamping(build, s.key()));
    }

    private List<Grip> grips(Run run) {
        return clampings(run).flatMap(c -> c.grips().stream()).toList();
    }

    private String lacking(Run run) {
        return clampings(run).map(Clamping::lacking).collect(Collectors.joining());
    }

    private int owned(String grip) {
        return Stream.concat(
                        build.shop().gluing().clamps().stream()
                                .filter(c -> c.name().equals(grip))
                                .map(Clamp::count),
                        build.shop().gluing().cauls().stream()
                                .filter(c -> c.name().equals(grip))
                                .map(Caul::count))
                .mapToInt(c -> c)
                .sum();
    }
}
