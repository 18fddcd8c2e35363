package ebauche.core.plan;

import ebauche.core.feature.Feature;
import ebauche.core.feature.StepKey;
import ebauche.core.operation.Operation;
import ebauche.core.order.Link;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;

/**
 * How long a choice stays open: which step of the order first takes away something that cutting the undecided feature would
 * still need, whether a flat face to bear on, a wall or the wood itself.
 *
 * <p>The steps that the feature would add are put into the same reasoning as all others; a link that says "takes away" from one of
 * them to a planned step is what forecloses it.
 *
 * @param feature that is undecided
 * @param closedBy the first step that forecloses it; empty if none does
 * @param lastOpen the step before that, the last that leaves it open; empty if the very first step forecloses it
 * @param because what that step takes away
 */
public record StillOpen(Feature feature, Optional<Operation> closedBy, Optional<Operation> lastOpen, String because) {

    /** For each undecided feature, in the order in which they close; those that stay open to the end last. */
    static List<StillOpen> of(Collection<Operation> undecided, List<Link> links, List<Operation> order) {
        Map<Feature, List<StepKey>> steps = new TreeMap<>();
        undecided.forEach(
                o -> steps.computeIfAbsent(o.feature(), f -> new ArrayList<>()).add(o.key()));
        List<StepKey> keys = order.stream().map(Operation::key).toList();
        List<StillOpen> open = new ArrayList<>();
        steps.forEach((feature, its) -> {
            Optional<Link> first = links.stream()
                    .filter(l -> l.takesAway() && its.contains(l.before()) && keys.contains(l.after()))
                    .min(Comparator.comparingInt(l -> keys.indexOf(l.after())));
            int at = first.map(l -> keys.indexOf(l.after())).orElse(keys.size());
            open.add(new StillOpen(
                    feature,
                    first.map(l -> order.get(at)),
                    at == 0 ? Optional.empty() : Optional.of(order.get(at - 1)),
                    first.map(Link::because).orElse("")));
        });
        open.sort(Comparator.comparingInt(
                o -> o.closedBy().map(c -> keys.indexOf(c.key())).orElse(keys.size())));
        return open;
    }
}
