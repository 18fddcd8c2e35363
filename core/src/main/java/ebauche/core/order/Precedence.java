package ebauche.core.order;

import ebauche.core.feature.FeatureKind;
import ebauche.core.feature.StepKey;
import ebauche.core.geometry.Region;
import ebauche.core.job.Finding;
import ebauche.core.memo.Memo;
import ebauche.core.operation.Condition;
import ebauche.core.operation.Operation;
import ebauche.core.stock.Change;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.IntStream;

/**
 * Derives, from what each operation needs, gives and spoils, which must come before which.
 *
 * <p>Every giver of a need comes before the needer; every needer comes before whatever spoils its need, unless the
 * spoiler gives it first itself. Features that are meant to join do not spoil each other's wood. A need for at least n
 * of several pieces of wood is kept by the n pieces that fewest others cut. Cost: operations squared times their
 * conditions, with a region test only where depths meet.
 */
@SuppressWarnings("ReferenceEquality") // a step is not its own giver or spoiler; two that read alike are two
public final class Precedence {
    private final List<Operation> operations;
    /** What each of them does to the wood: finished steps count by what they really did. What the blank is made of is left out. */
    private final List<List<Cut>> cuts;

    private final List<Given> given;

    private final Set<StepKey> done;
    private final Map<Pair, Link> links = new LinkedHashMap<>();
    private final List<Finding> findings = new ArrayList<>();
    /** Which operations spoil a condition and which give it, as far as that was asked; many share their conditions. */
    private final Map<Condition, BitSet> spoilers = new HashMap<>();

    private final Map<Condition, BitSet> givers = new HashMap<>();

    private record Pair(StepKey before, StepKey after) {}

    /** A change to the wood and its shadow on the plan, which many conditions ask for. */
    private record Cut(Change change, Region plan) {
        boolean isAwayFrom(Region where) {
            return plan.fartherApartThan(where, 0);
        }
    }

    /** Whether a change spoils a condition is asked. */
    private record Asked(Condition condition, Change change) {}

    /** What one of the operations gives. */
    private record Given(int by, Condition condition) {}

    private Precedence(List<Operation> operations, Map<StepKey, List<Change>> done) {
        this.operations = operations;
        this.done = done.keySet();
        this.cuts = operations.stream()
                .map(o -> o.onCore() ? List.<Change>of() : done.getOrDefault(o.key(), o.changes()))
                .map(changes -> changes.stream()
                        .filter(c -> !isBlank(c))
                        .map(c -> new Cut(c, c.solid().plan()))
                        .toList())
                .toList();
        this.given = IntStream.range(0, operations.size())
                .boxed()
                .flatMap(i -> operations.get(i).gives().stream().map(c -> new Given(i, c)))
                .toList();
    }

    /** The blank's own wood, strip by strip, spoils nothing: all else is done on it. */
    private static boolean isBlank(Change change) {
        return change.feature().is(FeatureKind.BLANK);
    }

    /** Which operations spoil a condition: by what they cut where it lies, or because they say so. */
    private BitSet spoilers(Condition condition) {
        return spoilers.computeIfAbsent(condition, c -> {
            BitSet found = new BitSet();
            Optional<Region> where = c.where();
            for (int i = 0; i < operations.size(); i++) {
                boolean cut = where.isPresent() && spoils(cuts.get(i), c, where.get());
                found.set(i, cut || operations.get(i).spoils().contains(c));
            }
            return found;
        });
    }

    private static boolean spoils(List<Cut> cuts, Condition condition, Region where) {
        for (Cut cut : cuts) {
            if (!cut.isAwayFrom(where)
                    && Memo.here()
                            .get(new Asked(condition, cut.change()), () -> condition.spoiledBy(cut.change()), s -> 0)) {
                return true;
            }
        }
        return false;
    }

    /** The links between steps of which none is done. */
    public static Precedence of(List<Operation> operations) {
        return of(operations, Map.of());
    }

    /**
     * Derives the links.
     *
     * @param done what finished steps really did to the wood, by their keys: they count by that, not by what would be planned now
     */
    public static Precedence of(List<Operation> operations, Map<StepKey, List<Change>> done) {
        Precedence derived = new Precedence(operations, done);
        for (Operation needer : operations) {
            for (Condition need : needer.needs()) {
                derived.derive(needer, need);
            }
        }
        return derived;
    }

    /** The links, in the order of the operations given; at most one between two steps. */
    public List<Link> links() {
        return List.copyOf(links.values());
    }

    /** Needs that nobody gives. */
    public List<Finding> findings() {
        return List.copyOf(findings);
    }

    private void derive(Operation needer, Condition need) {
        if (need instanceof Condition.AtLeast some) {
            for (Condition.Wood kept : kept(needer, some)) {
                beforeSpoilers(needer, kept, some.words());
            }
        } else if (need instanceof Condition.Settled) {
            afterChangers(needer, need);
        } else {
            afterGivers(needer, need);
            beforeSpoilers(needer, need, need.words());
        }
    }

    private void afterGivers(Operation needer, Condition need) {
        boolean given = false;
        BitSet all = givers(need);
        for (int i = all.nextSetBit(0); i >= 0; i = all.nextSetBit(i + 1)) {
            Operation giver = operations.get(i);
            if (giver != needer) {
                given = true;
                link(giver, needer, "needs " + need.words() + ", which “" + giver.title() + "” gives", false);
            }
        }
        if (!given && !done.contains(needer.key())) {
            findings.add(Finding.thinkAgain(needer.work(), "nobody-gives")
                    .on(needer.feature())
                    .says(
                            "“" + needer.title() + "” needs " + need.words() + ", and no step of this build gives it.",
                            "Add the step that gives it, or leave out the one that needs it."));
        }
    }

    /** Which operations give a need. */
    private BitSet givers(Condition need) {
        return givers.computeIfAbsent(need, n -> {
            BitSet found = new BitSet();
            given.stream().filter(g -> g.condition().answers(n)).forEach(g -> found.set(g.by()));
            return found;
        });
    }

    private void beforeSpoilers(Operation needer, Condition need, String words) {
        boolean ofWood = need instanceof Condition.Wall || need instanceof Condition.Wood;
        BitSet all = spoilers(need);
        BitSet given = givers(need);
        for (int i = all.nextSetBit(0); i >= 0; i = all.nextSetBit(i + 1)) {
            Operation spoiler = operations.get(i);
            boolean excused = spoiler == needer || given.get(i) || (ofWood && joined(spoiler, needer));
            if (!excused) {
                link(needer, spoiler, "takes away " + words + ", which “" + needer.title() + "” needs", true);
            }
        }
    }

    private void afterChangers(Operation needer, Condition settled) {
        BitSet all = spoilers(settled);
        for (int i = all.nextSetBit(0); i >= 0; i = all.nextSetBit(i + 1)) {
            Operation changer = operations.get(i);
            if (changer != needer && !changer.needs().contains(settled)) {
                link(
                        changer,
                        needer,
                        "needs " + settled.words() + ", and “" + changer.title() + "” still cuts it",
                        false);
            }
        }
    }

    private static boolean joined(Operation a, Operation b) {
        return a.feature().equals(b.feature())
                || a.joins().contains(b.feature())
                || b.joins().contains(a.feature());
    }

    private List<Condition.Wood> kept(Operation needer, Condition.AtLeast some) {
        if (some.of().size() < some.count() && !done.contains(needer.key())) {
            findings.add(Finding.thinkAgain(needer.work(), "too-few-seats")
                    .on(needer.feature())
                    .says(
                            "“" + needer.title() + "” needs " + some.words() + ", and there are only "
                                    + some.of().size() + ".",
                            "Hold the template with tape, or screw it where a later pocket takes the hole away."));
        }
        return some.of().stream()
                .sorted(Comparator.comparingInt(w -> spoilers(w).cardinality()))
                .limit(some.count())
                .toList();
    }

    private void link(Operation before, Operation after, String because, boolean takesAway) {
        links.putIfAbsent(
                new Pair(before.key(), after.key()),
                new Link(before.key(), after.key(), because, takesAway, before.waitMinutes()));
    }
}
