package ebauche.core.plan;

import ebauche.core.design.BlankLayer;
import ebauche.core.design.BodyDesign;
import ebauche.core.feature.Feature;
import ebauche.core.geometry.Region;
import ebauche.core.job.Build;
import ebauche.core.job.Finding;
import ebauche.core.job.History;
import ebauche.core.job.Rule;
import ebauche.core.logbook.AsBuilt;
import ebauche.core.measure.Reckoning;
import ebauche.core.operation.Caution;
import ebauche.core.operation.Condition;
import ebauche.core.operation.Operation;
import ebauche.core.operation.Setting;
import ebauche.core.operation.StepKey;
import ebauche.core.order.Link;
import ebauche.core.order.Precedence;
import ebauche.core.order.Sequence;
import ebauche.core.station.Station;
import ebauche.core.stock.Change;
import ebauche.core.stock.Grid;
import ebauche.core.stock.Stock;
import ebauche.core.stock.WoodLeft;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * A plan is a pure function of a build: no clock, no store, no chance. What is done is replayed as it was done; the rest
 * is planned from the wood as it is.
 */
public final class Planner {
    /** Pitch of the stock's grid, mm; doubled as often as a blank far off its body would need too many cells. */
    public static final double PITCH = 0.5;

    /** Room round the blank in the grid, mm. */
    private static final double MARGIN = 2;

    private final Build build;
    private final List<Finding> findings = new ArrayList<>();

    private Planner(Build build) {
        this.build = build;
    }

    public static BuildPlan plan(Build build) {
        return new Planner(build).plan();
    }

    private BuildPlan plan() {
        Aside<Checked> checked = Aside.of(this::check);
        Map<StepKey, AsBuilt.Done> done = build.asBuilt().steps();
        Map<StepKey, List<Change>> cut = new LinkedHashMap<>();
        done.forEach((key, fact) -> cut.put(key, build.changes(fact)));
        List<Operation> wanted = operations();
        List<Operation> all = withRecorded(wanted, done.values());
        List<Operation> undecided = all.stream()
                .filter(o -> undecided(o.feature()) && !done.containsKey(o.key()))
                .toList();
        List<Operation> planned = new ArrayList<>(all);
        planned.removeAll(undecided);
        List<Operation> decided = new ArrayList<>(wanted);
        decided.removeAll(undecided);
        Aside<Map<Feature, Finding>> contradictions = Aside.of(() -> Contradictions.find(build, decided, done, cut));
        Precedence precedence = Precedence.of(all, cut);
        findings.addAll(checked.get().findings());
        Map<Feature, Finding> gone = contradictions.get();
        findings.addAll(gone.values());
        findings.addAll(Shortfalls.find(build, decided, done, gone.keySet()));
        findings.addAll(precedence.findings());
        findings.addAll(unreadable());
        findings.addAll(DrillsLacking.find(build, toDo(decided, done)));
        findings.removeIf(f -> f.feature().filter(this::undecided).isPresent());
        findings.addAll(waiting(planned, undecided));
        Sequence sequence = Sequence.of(planned, among(planned, precedence.links()), List.copyOf(done.keySet()));
        History history = replay(sequence.operations(), cut);
        List<Rule> rules = new ArrayList<>(checked.get().rules());
        for (Station station : Stations.ALL) {
            List<Rule> ofWood = station.rules(build, history);
            rules.addAll(ofWood);
            findings.addAll(broken(ofWood));
            findings.addAll(station.review(build, history));
        }
        // Cavities that break into each other also wait for each other: the cause is told before what follows from it.
        findings.addAll(sequence.findings());
        findings.sort(Comparator.comparing(Finding::severity));
        return new BuildPlan(
                build,
                findings,
                rules,
                steps(Holding.said(build, history, Stations.pockets(build)), done),
                history,
                sequence.telling(),
                checked.get().reckonings(),
                StillOpen.of(undecided, precedence.links(), sequence.operations()));
    }

    private static List<Operation> toDo(List<Operation> decided, Map<StepKey, AsBuilt.Done> done) {
        return decided.stream().filter(o -> !done.containsKey(o.key())).toList();
    }

    /** Entries of the record that count for nothing because nobody can read them. */
    private List<Finding> unreadable() {
        return build.asBuilt().standing().stream()
                .filter(AsBuilt.Unreadable.class::isInstance)
                .map(e -> Finding.thinkAgain("plan", "entry-unreadable")
                        .says(
                                "An entry of the record cannot be read and is left out of the plan: "
                                        + ((AsBuilt.Unreadable) e).why() + ".",
                                "Look for it in the log, withdraw it there, and log it again as it was meant."))
                .toList();
    }

    /** What every station adds, in the stations' order; half of them are asked on another core. */
    private List<Operation> operations() {
        int half = Stations.ALL.size() / 2 + 1;
        Aside<List<Operation>> first = Aside.of(() -> operations(Stations.ALL.subList(0, half)));
        List<Operation> last = operations(Stations.ALL.subList(half, Stations.ALL.size()));
        List<Operation> all = new ArrayList<>(first.get());
        all.addAll(last);
        return all;
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

    private boolean undecided(Feature feature) {
        return build.design().undecided().contains(feature);
    }

    /** The links between steps that are planned. */
    private static List<Link> among(List<Operation> planned, List<Link> links) {
        Set<StepKey> keys = planned.stream().map(Operation::key).collect(Collectors.toSet());
        return links.stream()
                .filter(l -> keys.contains(l.before()) && keys.contains(l.after()))
                .toList();
    }

    /** Features that need what only an undecided one would give, each told by the first of its steps. */
    private static List<Finding> waiting(List<Operation> planned, List<Operation> undecided) {
        List<Finding> waiting = new ArrayList<>();
        Set<List<Feature>> told = new HashSet<>();
        for (Operation step : planned) {
            for (Condition need : step.needs()) {
                Optional<Operation> giver = giver(undecided, need);
                if (giver.isPresent()
                        && giver(planned, need).isEmpty()
                        && told.add(List.of(step.feature(), giver.get().feature()))) {
                    waiting.add(Finding.thinkAgain("plan", "waits-for-undecided")
                            .on(step.feature())
                            .says(
                                    "“" + step.title() + "” needs " + need.words() + ", which only the undecided "
                                            + giver.get().feature().said() + " gives.",
                                    "Decide on that first, or leave this step for later too."));
                }
            }
        }
        return waiting;
    }

    private static Optional<Operation> giver(List<Operation> steps, Condition need) {
        return steps.stream()
                .filter(o -> o.gives().stream().anyMatch(g -> g.answers(need)))
                .findFirst();
    }

    private record Checked(List<Finding> findings, List<Rule> rules, List<Reckoning> reckonings) {}

    /** What can be told from the build alone. */
    private Checked check() {
        List<Finding> found = new ArrayList<>();
        List<Rule> rules = new ArrayList<>();
        List<Reckoning> reckonings = new ArrayList<>();
        for (Station station : Stations.ALL) {
            List<Rule> its = station.rules(build);
            rules.addAll(its);
            found.addAll(broken(its));
            found.addAll(station.check(build));
            reckonings.addAll(station.reckonings(build));
        }
        return new Checked(found, rules, reckonings);
    }

    private static List<Finding> broken(List<Rule> rules) {
        return rules.stream().flatMap(r -> r.finding().stream()).toList();
    }

    /** What was done and is planned no longer is a fact all the same: it stays among the steps, and its wood stays gone. */
    private static List<Operation> withRecorded(List<Operation> planned, Collection<AsBuilt.Done> done) {
        Map<StepKey, Operation> byKey = new LinkedHashMap<>();
        Map<Feature, String> stations = new LinkedHashMap<>();
        for (Operation operation : planned) {
            byKey.put(operation.key(), operation);
            stations.putIfAbsent(operation.feature(), operation.station());
        }
        for (AsBuilt.Done fact : done) {
            if (!byKey.containsKey(fact.operation())) {
                byKey.put(fact.operation(), recorded(fact, stations));
            }
        }
        return List.copyOf(byKey.values());
    }

    private static Operation recorded(AsBuilt.Done fact, Map<Feature, String> stations) {
        Operation.Builder step = Operation.of(
                        stations.getOrDefault(fact.operation().feature(), "earlier"),
                        fact.operation(),
                        fact.title().isBlank() ? fact.operation().written() : fact.title())
                .face(fact.face())
                .set(new Setting.ByHand("as it was done; the plan has no such step any more"));
        fact.changes().forEach(step::cuts);
        return step.build();
    }

    private History replay(List<Operation> ordered, Map<StepKey, List<Change>> cut) {
        List<History.Deed> deeds = new ArrayList<>();
        for (Operation operation : ordered) {
            List<Change> changes = cut.getOrDefault(operation.key(), operation.changes());
            deeds.add(new History.Deed(operation, changes, cut.containsKey(operation.key())));
        }
        Aside<List<WoodLeft.Thin>> thinnest = Aside.of(() -> History.thinnest(build, deeds));
        Stock start = Stock.empty(grid());
        Stock stock = start;
        List<History.Step> steps = new ArrayList<>();
        for (History.Deed deed : deeds) {
            stock = stock.after(deed.changes());
            steps.add(new History.Step(deed, stock));
        }
        return new History(build, start, steps, thinnest.get());
    }

    private Grid grid() {
        BodyDesign design = build.design();
        Region blank = design.blank().plan();
        Region body = design.outline().region();
        double left = Math.min(blank.minX(), body.minX()) - MARGIN;
        double right = Math.max(blank.maxX(), body.maxX()) + MARGIN;
        double low = Math.min(blank.minY(), body.minY()) - MARGIN;
        double high = Math.max(blank.maxY(), body.maxY()) + MARGIN;
        double pitch = PITCH;
        while ((right - left + pitch) * (high - low + pitch) > Grid.MOST_CELLS * pitch * pitch) {
            pitch *= 2;
        }
        return Grid.covering(left, right, low, high, pitch);
    }

    private List<BuildPlan.PlanStep> steps(List<Operation> ordered, Map<StepKey, AsBuilt.Done> done) {
        List<BuildPlan.PlanStep> steps = new ArrayList<>();
        int minutes = 0;
        double timber = 0;
        for (Operation operation : ordered) {
            if (operation.changes().stream().anyMatch(Change.Add.class::isInstance)) {
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
