package ebauche.core.plan;

import ebauche.core.feature.Feature;
import ebauche.core.feature.Work;
import ebauche.core.job.Build;
import ebauche.core.job.Finding;
import ebauche.core.job.History;
import ebauche.core.job.Rule;
import ebauche.core.logbook.AsBuilt;
import ebauche.core.measure.Reckoning;
import ebauche.core.memo.Memo;
import ebauche.core.operation.Condition;
import ebauche.core.operation.Operation;
import ebauche.core.order.Ordering;
import ebauche.core.order.Precedence;
import ebauche.core.station.Station;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * A plan is a pure function of a build: no clock, no store, no chance. What is done is replayed as it was done; the rest
 * is planned from the wood as it is. What is reckoned on the way is remembered in the memo that the caller works during, if it does.
 */
public final class Planner {
    /** Where nobody brought a memo, one plan has so much for itself, bytes. */
    private static final long OF_ITS_OWN = 256L << 20;

    private final Build build;
    private final Memo memo;
    private final List<Finding> findings = new ArrayList<>();

    private Planner(Build build, Memo memo) {
        this.build = build;
        this.memo = memo;
    }

    /** Everything that follows from a build. */
    public static BuildPlan plan(Build build) {
        Memo memo = memo();
        return memo.during(() -> new Planner(build, memo).plan());
    }

    /** Its steps in order alone, without a look at the wood. */
    public static Schedule schedule(Build build) {
        Memo memo = memo();
        return memo.during(() -> {
            Scheduling scheduling = new Scheduling(build);
            Precedence precedence = scheduling.precedence();
            return scheduling.schedule(precedence, scheduling.ordering(precedence), memo);
        });
    }

    private static Memo memo() {
        return Memo.here().remembers() ? Memo.here() : Memo.of(OF_ITS_OWN);
    }

    private BuildPlan plan() {
        Concurrent<Checked> checked = Concurrent.of(this::check);
        Scheduling scheduling = new Scheduling(build);
        Map<?, AsBuilt.Done> done = scheduling.done();
        List<Operation> decided = scheduling.decided();
        Concurrent<Map<Feature, Finding>> contradictions =
                Concurrent.of(() -> Contradictions.find(build, decided, scheduling.done(), scheduling.cut()));
        Precedence precedence = scheduling.precedence();
        Ordering ordering = scheduling.ordering(precedence);
        Schedule schedule = scheduling.schedule(precedence, ordering, memo);
        History history = schedule.history();
        int half = (Stations.ALL.size() + 1) / 2;
        Concurrent<Looked> first = Concurrent.of(() -> look(Stations.ALL.subList(0, half), history));
        findings.addAll(checked.get().findings());
        Map<Feature, Finding> gone = contradictions.get();
        findings.addAll(gone.values());
        findings.addAll(Shortfalls.find(build, decided, scheduling.done(), gone.keySet()));
        findings.addAll(precedence.findings());
        findings.addAll(unreadable());
        findings.addAll(DrillsLacking.find(
                build, decided.stream().filter(o -> !done.containsKey(o.key())).toList()));
        findings.removeIf(f -> f.feature().filter(scheduling::isUndecided).isPresent());
        findings.addAll(waiting(scheduling.planned(), scheduling.undecided()));
        Looked second = look(Stations.ALL.subList(half, Stations.ALL.size()), history);
        List<Rule> rules = new ArrayList<>(checked.get().rules());
        for (Looked looked : List.of(first.get(), second)) {
            rules.addAll(looked.rules());
            findings.addAll(looked.findings());
        }
        // Cavities that break into each other also wait for each other: the cause is told before what follows from it.
        findings.addAll(ordering.findings());
        findings.sort(Comparator.comparing(Finding::severity));
        return new BuildPlan(schedule, findings, rules, checked.get().reckonings());
    }

    /** Entries of the record that count for nothing because nobody can read them. */
    private List<Finding> unreadable() {
        return build.asBuilt().standing().stream()
                .filter(AsBuilt.Unreadable.class::isInstance)
                .map(e -> Finding.thinkAgain(Work.PLAN, "entry-unreadable")
                        .says(
                                "An entry of the record cannot be read and is left out of the plan: "
                                        + ((AsBuilt.Unreadable) e).why() + ".",
                                "Look for it in the log, withdraw it there, and log it again as it was meant."))
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
                    waiting.add(Finding.thinkAgain(Work.PLAN, "waits-for-undecided")
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

    private record Looked(List<Finding> findings, List<Rule> rules) {}

    /** What some stations find in the wood that is left. */
    private Looked look(List<Station> stations, History history) {
        List<Finding> found = new ArrayList<>();
        List<Rule> rules = new ArrayList<>();
        for (Station station : stations) {
            List<Rule> ofWood = station.rules(build, history);
            rules.addAll(ofWood);
            found.addAll(broken(ofWood));
            found.addAll(station.review(build, history));
        }
        return new Looked(found, rules);
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
}
