package ebauche.app.order;

import ebauche.core.order.HouseOrder;
import ebauche.core.order.Learned;
import ebauche.core.order.Ordering;
import ebauche.core.shop.HouseRule;
import java.util.List;

/**
 * What the shop's rules do to the order of a body.
 *
 * @param rules that move something here
 * @param cost minutes that they cost; less than nothing where the search found something cheaper by them
 * @param learned what the body's own order does first, and is no rule yet
 */
record HouseLine(List<HouseRule> rules, double cost, List<HouseRule> learned) {
    static HouseLine of(Ordering ordering) {
        List<HouseRule> rules = ordering.house().pairs().stream()
                .map(HouseOrder.Pair::rule)
                .distinct()
                .toList();
        return new HouseLine(rules, ordering.rulesCost(), Learned.of(ordering));
    }
}
