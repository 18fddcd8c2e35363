package ebauche.core.order;

import ebauche.core.feature.Feature;
import ebauche.core.feature.StepKey;
import ebauche.core.feature.Work;
import ebauche.core.job.Finding;
import ebauche.core.operation.Operation;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * One valid order of the operations: what is done stays first, in the order in which it was done; then, among the steps
 * that nothing holds back, one on the face that is already up, of the same feature, with the tool already in hand, in
 * the stations' order, and by key.
 *
 * <p>Kahn's algorithm with those ties. A circle is a finding that names its steps; its earliest step is then let go, so
 * that the rest still prints.
 */
public final class Sequence {
    private final List<Operation> operations;
    private final List<Link> links;
    private final List<Finding> findings = new ArrayList<>();
    private final List<Operation> ordered = new ArrayList<>();
    private final Map<StepKey, Integer> waitingFor = new HashMap<>();
    /** Which steps wait for a step. */
    private final Map<StepKey, List<StepKey>> waiting = new HashMap<>();
    /** Features whose circle is told. */
    private final Set<Set<Feature>> inTheWay = new HashSet<>();

    private boolean circled;

    private Sequence(List<Operation> operations, List<Link> links) {
        this.operations = operations;
        this.links = links;
    }

    /**
     * The order of some steps.
     *
     * @param operations in the stations' order
     * @param done keys of what is done, in the order of doing
     */
    public static Sequence of(List<Operation> operations, List<Link> links, List<StepKey> done) {
        Sequence sequence = new Sequence(operations, links);
        sequence.order(done);
        return sequence;
    }

    public List<Operation> operations() {
        return List.copyOf(ordered);
    }

    /** The same with its steps in another order that keeps as many links. */
    public Sequence in(List<Operation> order) {
        Sequence other = new Sequence(operations, links);
        other.findings.addAll(findings);
        other.circled = circled;
        other.ordered.addAll(order);
        return other;
    }

    /**
     * The same steps in an order that keeps other links.
     *
     * @param fixed so many at the start are done
     */
    List<Operation> keeping(List<Link> others, int fixed) {
        List<StepKey> done =
                ordered.subList(0, fixed).stream().map(Operation::key).toList();
        return of(operations, others, done).operations();
    }

    /** Circles, and steps that were done before what should have come first. */
    public List<Finding> findings() {
        return List.copyOf(findings);
    }

    /** Whether some steps wait for each other, so that the order keeps not all links. */
    public boolean circled() {
        return circled;
    }

    private void order(List<StepKey> done) {
        Map<StepKey, Integer> rank = new HashMap<>();
        for (int i = 0; i < operations.size(); i++) {
            rank.put(operations.get(i).key(), i);
            waitingFor.put(operations.get(i).key(), 0);
        }
        for (Link link : links) {
            waitingFor.merge(link.after(), 1, Integer::sum);
            waiting.computeIfAbsent(link.before(), k -> new ArrayList<>()).add(link.after());
        }
        for (StepKey key : done) {
            if (rank.containsKey(key)) {
                findEarly(key, done);
                take(operations.get(rank.get(key)));
            }
        }
        List<Operation> rest = new ArrayList<>(operations);
        rest.removeAll(ordered);
        while (!rest.isEmpty()) {
            Operation next = rest.stream()
                    .filter(o -> waitingFor.get(o.key()) <= 0)
                    .min(byHand(rank))
                    .orElse(null);
            if (next == null) {
                circled = true;
                next = leastHeld(rest, rank);
                circle(rest).ifPresent(findings::add);
            }
            rest.remove(next);
            take(next);
        }
    }

    private void take(Operation operation) {
        ordered.add(operation);
        waiting.getOrDefault(operation.key(), List.of()).forEach(k -> waitingFor.merge(k, -1, Integer::sum));
    }

    private Comparator<Operation> byHand(Map<StepKey, Integer> rank) {
        Operation last = ordered.isEmpty() ? null : ordered.get(ordered.size() - 1);
        return Comparator.<Operation, Boolean>comparing(
                        o -> last == null || !o.feature().equals(last.feature()))
                .thenComparing(o -> last == null || o.face() != last.face())
                .thenComparing(o -> last == null
                        || !o.setting().tool().equals(last.setting().tool()))
                .thenComparing(o -> rank.get(o.key()))
                .thenComparing(Operation::key);
    }

    private Operation leastHeld(List<Operation> rest, Map<StepKey, Integer> rank) {
        return rest.stream()
                .min(Comparator.<Operation>comparingInt(o -> waitingFor.get(o.key()))
                        .thenComparing(o -> rank.get(o.key())))
                .orElseThrow();
    }

    /**
     * One circle among the steps left: walking back from link to link, the way must meet itself. What lies in each other's way is told
     * once, however many of its steps wait for each other.
     */
    private Optional<Finding> circle(List<Operation> rest) {
        Map<StepKey, Link> back = new HashMap<>();
        Set<StepKey> left = new HashSet<>();
        rest.forEach(o -> left.add(o.key()));
        links.stream()
                .filter(l -> left.contains(l.before()) && left.contains(l.after()))
                .forEach(l -> back.putIfAbsent(l.after(), l));
        List<StepKey> walked = new ArrayList<>();
        StepKey at = rest.get(0).key();
        while (!walked.contains(at)) {
            walked.add(at);
            at = back.get(at).before();
        }
        List<StepKey> round = walked.subList(walked.indexOf(at), walked.size());
        List<Feature> features = features(round);
        if (!inTheWay.add(Set.copyOf(features))) {
            return Optional.empty();
        }
        StringBuilder names = new StringBuilder();
        for (StepKey key : round) {
            Link link = back.get(key);
            names.append(names.isEmpty() ? "“" : "; “")
                    .append(title(link.before()))
                    .append("” before “")
                    .append(title(key))
                    .append("”, which ")
                    .append(link.because());
        }
        boolean several = features.size() > 1;
        String said = features.stream().map(f -> "the " + f.said()).collect(Collectors.joining(" and "));
        return Optional.of(Finding.stops(Work.ORDER, "circle")
                .on(features.get(0))
                .says(
                        (several ? "In each other's way: " + said + ". No order works, as these" : "These")
                                + " steps wait for each other: " + names + ".",
                        several
                                ? "Move " + said + " apart, or make one of them smaller or shallower."
                                : "Change " + said
                                        + " so that one of these steps no longer takes what the other needs."));
    }

    /** The features of some steps, each once. */
    private List<Feature> features(List<StepKey> keys) {
        return keys.stream()
                .flatMap(k -> operations.stream().filter(o -> o.key().equals(k)))
                .map(Operation::feature)
                .distinct()
                .toList();
    }

    /** One finding for each feature whose steps should have come first, however many of them there are. */
    private void findEarly(StepKey key, List<StepKey> done) {
        Set<Feature> told = new HashSet<>();
        for (Link link : links) {
            if (link.after().equals(key)
                    && done.indexOf(link.before()) < 0
                    && told.addAll(features(List.of(link.before())))) {
                findings.add(Finding.thinkAgain(Work.ORDER, "done-early")
                        .says(
                                "“" + title(key) + "” is done, and “" + title(link.before())
                                        + "” should have come before it: it " + link.because() + ".",
                                "Look at the wood before the next step; the earlier step may need another way."));
            }
        }
    }

    private String title(StepKey key) {
        return operations.stream()
                .filter(o -> o.key().equals(key))
                .map(Operation::title)
                .findFirst()
                .orElse(key.written());
    }

    /**
     * The links without those that follow from others, so that each reason shown is one that matters.
     *
     * <p>Transitive reduction over the order found: a link is dropped if a longer way leads to its start.
     */
    public List<Link> telling() {
        Map<StepKey, Integer> place = new HashMap<>();
        for (int i = 0; i < ordered.size(); i++) {
            place.put(ordered.get(i).key(), i);
        }
        List<List<Link>> into = new ArrayList<>();
        ordered.forEach(o -> into.add(new ArrayList<>()));
        links.stream()
                .filter(l -> place.get(l.before()) < place.get(l.after()))
                .forEach(l -> into.get(place.get(l.after())).add(l));
        List<BitSet> behind = new ArrayList<>();
        List<Link> kept = new ArrayList<>();
        for (int i = 0; i < ordered.size(); i++) {
            BitSet reached = new BitSet();
            List<Link> latestFirst = new ArrayList<>(into.get(i));
            latestFirst.sort(
                    Comparator.comparing((Link l) -> place.get(l.before())).reversed());
            List<Link> mine = new ArrayList<>();
            for (Link link : latestFirst) {
                int from = place.get(link.before());
                if (!reached.get(from)) {
                    mine.add(0, link);
                }
                reached.set(from);
                reached.or(behind.get(from));
            }
            behind.add(reached);
            kept.addAll(mine);
        }
        return kept;
    }
}
