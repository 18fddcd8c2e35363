package ebauche.core.shop;

import ebauche.core.measure.Refusal;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * What the shop likes to do first. It holds for a body wherever nothing that the wood wants stands against it; a body's own order goes
 * before it.
 *
 * @param templateDay whether work on templates is done in one stretch if that costs little, so that the templates come out once
 * @param order stages before others; where two cannot both be kept, the earlier in the list is
 */
public record HouseRules(boolean templateDay, List<HouseRule> order) {
    /** No habits: the cheapest order. */
    public static final HouseRules NONE = new HouseRules(false, List.of());

    public HouseRules {
        order = List.copyOf(order);
        for (int i = 0; i < order.size(); i++) {
            HouseRule rule = order.get(i);
            String place = "order[" + (i + 1) + "].then";
            Refusal.unless(!order.subList(0, i).contains(rule), place, "this rule stands in the list already");
            Optional<String> way = way(order.subList(0, i), rule.then(), rule.first());
            Refusal.unless(
                    way.isEmpty(),
                    place,
                    "“" + rule.words() + "” goes in a circle with “" + way.orElse("")
                            + "”: no order can keep both; leave one of them out");
        }
    }

    /** The rules by which one stage comes before another, in words. */
    private static Optional<String> way(List<HouseRule> rules, Stage from, Stage to) {
        Map<Stage, String> reached = new EnumMap<>(Stage.class);
        List<Stage> left = new ArrayList<>(List.of(from));
        reached.put(from, "");
        while (!left.isEmpty()) {
            Stage at = left.remove(0);
            for (HouseRule rule : rules) {
                if (rule.first() == at && !reached.containsKey(rule.then())) {
                    String before = reached.get(at);
                    reached.put(rule.then(), before.isEmpty() ? rule.words() : before + "”, “" + rule.words());
                    left.add(rule.then());
                }
            }
        }
        return Optional.ofNullable(reached.get(to));
    }

    /** The same and one more rule, the last of the list. */
    public HouseRules with(HouseRule more) {
        List<HouseRule> all = new ArrayList<>(order);
        all.add(more);
        return new HouseRules(templateDay, all);
    }
}
