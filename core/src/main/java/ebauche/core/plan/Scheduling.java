package ebauche.core.plan;

import ebauche.core.design.BlankLayer;
import ebauche.core.feature.Feature;
import ebauche.core.feature.StepKey;
import ebauche.core.feature.Work;
import ebauche.core.job.Build;
import ebauche.core.job.History;
import ebauche.core.logbook.AsBuilt;
import ebauche.core.memo.Memo;
import ebauche.core.operation.Caution;
import ebauche.core.operation.Operation;
import ebauche.core.operation.Setting;
import ebauche.core.order.Costs;
import ebauche.core.order.Link;
import ebauche.core.order.Ordering;
import ebauche.core.order.Precedence;
import ebauche.core.order.Sequence;
import ebauche.core.shop.Worth;
import ebauche.core.station.Station;
import ebauche.core.stock.Change;
import ebauche.core.stock.Solid;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;

/** From a build to its steps in order: what the stations add, what must precede what, and one order that keeps it. */
final class Scheduling {
    private final Build build;
    private final Map<StepKey, AsBuilt.Done> done;
    private final Map<StepKey, List<Change>> cut = new LinkedHashMap<>();
    private final List<Operation> wanted;
    private final List<Operation> all;
    private final List<Operation> undecided;

    /** Asks the stations; nothing is put in order yet. */
    Scheduling(Build build) {
        this.build = build;
        this.done = build.asBuilt().steps();
        done.forEach((key, fact) -> cut.put(key, build.changes(fact)));
        this.wanted = FloorBands.closed(build, cut, Habits.kept(build, operations()));
        this.all = withRecorded();
        this.undecided = all.stream()
                .filter(o -> isUndecided(o.feature()) && !done.containsKey(o.key()))
                .toList();
    }

    /** What finished steps really did to the wood. */
    Map<StepKey, List<Change>> cut() {
        return cut;
    }

    Map<StepKey, AsBuilt.Done> done() {
        return done;
    }

    /** What the stations add of all that is decided. */
    List<Operation> decided() {
        return without(wanted);
    }

    /** What is planned or done: the decided steps, and those of the record that are planned no longer. */
    List<Operation> planned() {
        return without(all);
    }

    List<Operation> undecided() {
        return undecided;
    }

    /** What somebody has yet to decide; what another cuts who buys the body unfinished is no open choice. */
    private List<Operation> stillToDecide() {
        return undecided.stream()
                .filter(o -> build.design().undecided().contains(o.feature())
                        && build.design().endsAs().has(o.feature()))
                .toList();
    }

    boolean isUndecided(Feature feature) {
        return build.design().leavesOpen(feature);
    }

    private List<Operation> without(List<Operation> operations) {
        Set<StepKey> open = undecided.stream().map(Operation::key).collect(Collectors.toSet());
        return operations.stream().filter(o -> !open.contains(o.key())).toList();
    }

    /** What must precede what, the undecided steps among them. */
    Precedence precedence() {
        return Precedence.of(all, cut);
    }

    Ordering ordering(Precedence precedence) {
        List<Operation> planned = planned();
        List<Link> links = among(planned, precedence.links());
        List<StepKey> facts = List.copyOf(done.keySet());
        Worth worth = build.shop().worth();
        return Ordering.of(
                Sequence.of(planned, links, facts),
                Costs.of(
                        planned,
                        o -> timber(o, worth),
                        Holding.seated(build, planned, Stations.pockets(build)),
                        build.shop().rules().templateDay()),
                links,
                facts,
                build.drawn().order(),
                build.shop().rules());
    }

    /** Minutes that the timber is worth which a step puts into the body. */
    private static double timber(Operation step, Worth worth) {
        return step.changes().stream()
                .filter(Change.Add.class::isInstance)
                .mapToDouble(c -> worth.minutes(volume(c.solid())))
                .sum();
    }

    /** Of rough wood, mm³, between the planes that it is put on with. */
    private static double volume(Solid solid) {
        return solid.plan().area() * (solid.deepest() - solid.shallowest());
    }

    /** The steps in that order. */
    Schedule schedule(Precedence precedence, Ordering ordering, Memo memo) {
        Sequence sequence = ordering.sequence();
        List<History.Step> deeds = sequence.operations().stream()
                .map(o -> new History.Step(o, cut.getOrDefault(o.key(), o.changes()), cut.containsKey(o.key())))
                .toList();
        History history = new History(build, deeds, memo);
        return new Schedule(
                build,
                steps(Habits.reminded(build, Holding.said(build, history, Stations.pockets(build)))),
                sequence.telling(),
                ordering,
                StillOpen.of(stillToDecide(), precedence.links(), sequence.operations()),
                history);
    }

    /** What every station adds, in the stations' order. */
    private List<Operation> operations() {
        return operations(Stations.ALL);
    }

    /** Where a step makes dust, the body's timber has its say. */
    private List<Operation> operations(List<Station> stations) {
        List<Caution> timber = Caution.dustOf(build.design().blank().layers().stream()
                .map(BlankLayer::species)
                .toList());
        return stations.stream()
                .flatMap(s -> s.operations(build).stream())
                .map(o -> !timber.isEmpty() && o.cautions().contains(Caution.DUST) ? o.minding(timber) : o)
                .toList();
    }

    /** What was done and is planned no longer is a fact all the same: it stays among the steps, and its wood stays gone. */
    private List<Operation> withRecorded() {
        Map<StepKey, Operation> byKey = new LinkedHashMap<>();
        Map<Feature, Work> stations = new LinkedHashMap<>();
        for (Operation operation : wanted) {
            byKey.put(operation.key(), operation);
            stations.putIfAbsent(operation.feature(), operation.work());
        }
        for (AsBuilt.Done fact : done.values()) {
            if (!byKey.containsKey(fact.operation())) {
                byKey.put(fact.operation(), recorded(fact, stations));
            }
        }
        return List.copyOf(byKey.values());
    }

    private static Operation recorded(AsBuilt.Done fact, Map<Feature, Work> stations) {
        Operation.Builder step = Operation.of(
                        stations.getOrDefault(fact.operation().feature(), Work.EARLIER),
                        fact.operation(),
                        fact.title().isBlank() ? fact.operation().written() : fact.title())
                .face(fact.face())
                .set(new Setting.ByHand("as it was done; the plan has no such step any more"));
        fact.changes().forEach(step::cuts);
        return step.build();
    }

    /** The links between steps that are planned. */
    private static List<Link> among(Collection<Operation> planned, List<Link> links) {
        Set<StepKey> keys = new HashSet<>();
        planned.forEach(o -> keys.add(o.key()));
        return links.stream()
                .filter(l -> keys.contains(l.before()) && keys.contains(l.after()))
                .toList();
    }

    private List<BuildPlan.PlanStep> steps(List<Operation> ordered) {
        List<BuildPlan.PlanStep> steps = new ArrayList<>();
        int minutes = 0;
        double timber = 0;
        for (Operation operation : ordered) {
            if (operation.changes().stream().anyMatch(c -> c instanceof Change.Add add && add.isBlank())) {
                timber = build.design().blank().grams();
            }
            steps.add(new BuildPlan.PlanStep(
                    operation,
                    done.containsKey(operation.key()),
                    minutes,
                    new BuildPlan.Slip(minutes + operation.handsOnMinutes(), timber)));
            minutes += operation.handsOnMinutes();
        }
        return steps;
    }
}
