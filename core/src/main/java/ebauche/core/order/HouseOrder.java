package ebauche.core.order;

import ebauche.core.feature.StepKey;
import ebauche.core.feature.Work;
import ebauche.core.job.Finding;
import ebauche.core.operation.Operation;
import ebauche.core.shop.HouseRule;
import ebauche.core.shop.HouseRules;
import ebauche.core.shop.Stage;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * The shop's rules on the steps of one body: which step they put before which. What is done stays, what the wood wants goes before a
 * rule, and so does the body's own order; a rule that cannot be kept is told once, with one pair of steps that shows why.
 *
 * <p>Cost: pairs of steps of the stages x steps / 64.
 */
public final class HouseOrder {
    /** No rules, or none that say anything of these steps. */
    static final HouseOrder NONE = new HouseOrder(List.of(), List.of());

    private final List<Pair> pairs;
    private final List<Finding> findings;

    /** One step before another, as the shop likes it. */
    public record Pair(StepKey before, StepKey after, HouseRule rule) {}

    private HouseOrder(List<Pair> pairs, List<Finding> findings) {
        this.pairs = List.copyOf(pairs);
        this.findings = List.copyOf(findings);
    }

    /**
     * What the rules say of some steps.
     *
     * @param found an order of them that keeps the links, what is done first
     * @param fixed so many at its start are done
     * @param own the maker's own order of this body; empty for none
     */
    static HouseOrder of(List<Operation> found, List<Link> links, int fixed, List<StepKey> own, HouseRules rules) {
        if (rules.order().isEmpty()) {
            return NONE;
        }
        Reach reach = new Reach(found, links);
        reach.follow(own, fixed);
        List<Pair> pairs = new ArrayList<>();
        List<Finding> findings = new ArrayList<>();
        for (HouseRule rule : rules.order()) {
            List<Integer> first = members(found, fixed, rule.first());
            List<Integer> then = members(found, fixed, rule.then());
            then.removeAll(first);
            boolean told = false;
            for (int before : first) {
                for (int after : then) {
                    if (reach.comes(after, before)) {
                        if (!told && !(isOwn(found.get(before), own) && isOwn(found.get(after), own))) {
                            findings.add(bent(rule, found.get(before), found.get(after), links, reach));
                            told = true;
                        }
                    } else if (!reach.comes(before, after)) {
                        reach.put(before, after);
                        pairs.add(new Pair(
                                found.get(before).key(), found.get(after).key(), rule));
                    }
                }
            }
        }
        return new HouseOrder(pairs, findings);
    }

    /** Steps of a stage that are still to be done: whatever changes the wood. */
    private static List<Integer> members(List<Operation> found, int fixed, Stage stage) {
        List<Integer> members = new ArrayList<>();
        for (int i = fixed; i < found.size(); i++) {
            if (isOf(stage, found.get(i))) {
                members.add(i);
            }
        }
        return members;
    }

    /** Whether a step belongs to a stage. */
    static boolean isOf(Stage stage, Operation step) {
        return stage.takesIn(step.key(), step.face()) && !step.changes().isEmpty();
    }

    private static boolean isOwn(Operation step, List<StepKey> own) {
        return own.contains(step.key());
    }

    private static Finding bent(HouseRule rule, Operation before, Operation after, List<Link> links, Reach reach) {
        List<Link> needs =
                links.stream().filter(l -> l.after().equals(before.key())).toList();
        String why = needs.stream()
                .filter(l -> l.before().equals(after.key()))
                .findFirst()
                .map(l -> l.because())
                .or(() -> needs.stream()
                        .filter(l -> reach.comes(after.key(), l.before()))
                        .findFirst()
                        .map(l -> l.because() + ", and that comes after “" + after.title() + "”"))
                .orElse("comes after “" + after.title() + "” by a rule before this one");
        return Finding.goodToKnow(Work.ORDER, "house-rule")
                .on(before.feature())
                .says(
                        "Your shop does " + rule.words() + ". Here that does not hold for every step: “"
                                + before.title() + "” " + why + ".",
                        "Nothing, if that is as you want it: the rule is kept for all other steps. Else take it out of the shop's settings.");
    }

    /** What it puts before what. */
    public List<Pair> pairs() {
        return pairs;
    }

    /** Rules that cannot be kept. */
    List<Finding> findings() {
        return findings;
    }

    /** The same as links, for whatever looks for an order. */
    List<Link> links() {
        return pairs.stream()
                .map(p -> new Link(
                        p.before(),
                        p.after(),
                        "comes after it by the shop's rule: " + p.rule().words(),
                        false,
                        0))
                .toList();
    }

    /** Which steps come after which, by links of links. */
    private static final class Reach {
        private final List<Operation> found;
        private final Map<StepKey, Integer> place = new HashMap<>();
        /** Of each step, those that come after it. */
        private final List<BitSet> after = new ArrayList<>();

        Reach(List<Operation> found, List<Link> links) {
            this.found = found;
            List<List<Integer>> next = new ArrayList<>();
            for (int i = 0; i < found.size(); i++) {
                place.put(found.get(i).key(), i);
                after.add(new BitSet());
                next.add(new ArrayList<>());
            }
            for (Link link : links) {
                int from = place.get(link.before());
                int to = place.get(link.after());
                if (from < to) {
                    next.get(from).add(to);
                }
            }
            for (int i = found.size() - 1; i >= 0; i--) {
                for (int to : next.get(i)) {
                    after.get(i).set(to);
                    after.get(i).or(after.get(to));
                }
            }
        }

        boolean comes(int before, int then) {
            return after.get(before).get(then);
        }

        boolean comes(StepKey before, StepKey then) {
            return comes(place.get(before), place.get(then));
        }

        void put(int before, int then) {
            BitSet more = (BitSet) after.get(then).clone();
            more.set(then);
            for (int i = 0; i < found.size(); i++) {
                if (i == before || after.get(i).get(before)) {
                    after.get(i).or(more);
                }
            }
        }

        /** The maker's own order goes before: each step of it after the one before it, where that makes no circle. */
        void follow(List<StepKey> own, int fixed) {
            int last = -1;
            for (StepKey key : own) {
                Integer at = place.get(key);
                if (at != null && at >= fixed) {
                    if (last >= 0 && last != at && !comes(at, last)) {
                        put(last, at);
                    }
                    last = at;
                }
            }
        }
    }
}
