package ebauche.core.order;

import ebauche.core.job.Finding;
import ebauche.core.operation.Condition;
import ebauche.core.operation.Operation;
import ebauche.core.operation.StepKey;
import ebauche.core.stock.Change;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.IdentityHashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

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
    private final Map<String, Link> links = new LinkedHashMap<>();
    private final List<Finding> findings = new ArrayList<>();
    /** Answers already found; operations of one feature share their conditions. */
    private final IdentityHashMap<Condition, Map<Change, Boolean>> spoiled = new IdentityHashMap<>();

    private final IdentityHashMap<Condition, List<Operation>> givers = new IdentityHashMap<>();

    /** What finished steps really did, by their keys. */
    private final Map<StepKey, List<Change>> done;

    private Precedence(List<Operation> operations, Map<StepKey, List<Change>> done) {
        this.operations = operations;
        this.done = done;
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
        for (Operation giver : givers(need)) {
            if (giver != needer) {
                given = true;
                link(giver, needer, "needs " + need.words() + ", which “" + giver.title() + "” gives", false);
            }
        }
        if (!given && !done.containsKey(needer.key())) {
            findings.add(Finding.thinkAgain(needer.station(), "nobody-gives")
                    .on(needer.feature())
                    .says(
                            "“" + needer.title() + "” needs " + need.words() + ", and no step of this build gives it.",
                            "Add the step that gives it, or leave out the one that needs it."));
        }
    }

    /** The operations that give a need, in the order given. */
    private List<Operation> givers(Condition need) {
        return givers.computeIfAbsent(
                need,
                n -> operations.stream()
                        .filter(o -> o.gives().stream().anyMatch(g -> g.answers(n)))
                        .toList());
    }

    private void beforeSpoilers(Operation needer, Condition need, String words) {
        for (Operation spoiler : operations) {
            boolean ofWood = need instanceof Condition.Wall || need instanceof Condition.Wood;
            if (spoiler == needer || (ofWood && joined(spoiler, needer))) {
                continue;
            }
            if (!givers(need).contains(spoiler) && spoils(spoiler, need)) {
                link(needer, spoiler, "takes away " + words + ", which “" + needer.title() + "” needs", true);
            }
        }
    }

    private void afterChangers(Operation needer, Condition settled) {
        for (Operation changer : operations) {
            boolean settlesToo = changer.needs().contains(settled);
            if (changer != needer && !settlesToo && spoils(changer, settled)) {
                link(
                        changer,
                        needer,
                        "needs " + settled.words() + ", and “" + changer.title() + "” still cuts it",
                        false);
            }
        }
    }

    private boolean spoils(Operation operation, Condition condition) {
        if (operation.spoils().contains(condition)) {
            return true;
        }
        Map<Change, Boolean> asked = spoiled.computeIfAbsent(condition, c -> new IdentityHashMap<>());
        for (Change change : done.getOrDefault(operation.key(), operation.changes())) {
            if (asked.computeIfAbsent(change, c -> condition.spoiledBy(c))) {
                return true;
            }
        }
        return false;
    }

    private static boolean joined(Operation a, Operation b) {
        return a.feature().equals(b.feature())
                || a.joins().contains(b.feature())
                || b.joins().contains(a.feature());
    }

    private List<Condition.Wood> kept(Operation needer, Condition.AtLeast some) {
        if (some.of().size() < some.count() && !done.containsKey(needer.key())) {
            findings.add(Finding.thinkAgain(needer.station(), "too-few-seats")
                    .on(needer.feature())
                    .says(
                            "“" + needer.title() + "” needs " + some.words() + ", and there are only "
                                    + some.of().size() + ".",
                            "Hold the template with tape, or screw it where a later pocket takes the hole away."));
        }
        return some.of().stream()
                .sorted(Comparator.comparingLong(
                        w -> operations.stream().filter(o -> spoils(o, w)).count()))
                .limit(some.count())
                .toList();
    }

    private void link(Operation before, Operation after, String because, boolean takesAway) {
        links.putIfAbsent(
                before.key() + " > " + after.key(),
                new Link(before.key(), after.key(), because, takesAway, before.waitMinutes()));
    }
}
