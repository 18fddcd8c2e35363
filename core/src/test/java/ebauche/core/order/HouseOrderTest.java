package ebauche.core.order;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import ebauche.core.TestBody;
import ebauche.core.TestPractice;
import ebauche.core.feature.StepKey;
import ebauche.core.measure.Refusal;
import ebauche.core.operation.Operation;
import ebauche.core.shop.HouseRule;
import ebauche.core.shop.HouseRules;
import ebauche.core.shop.Practice;
import ebauche.core.shop.Stage;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/** What a shop likes to do first, on whole bodies. */
class HouseOrderTest {
    private static final HouseRule POCKET_FIRST = new HouseRule(Stage.POCKET, Stage.SAWING);

    private static final HouseRule SAW_FIRST = new HouseRule(Stage.SAWING, Stage.POCKET);

    private static HouseRules rules(HouseRule... rules) {
        return new HouseRules(false, List.of(rules));
    }

    /** Its outline is sanded to its line: no bearing rides on it, so that the pocket may open its wall before. */
    private static TestBody sanded() {
        TestBody body = new TestBody();
        body.shop = body.shop.with(TestPractice.with(body.shop.practice(), Practice.EdgeSchool.SAND_TO_LINE));
        return body;
    }

    private static Ordering ordering(HouseRules rules) {
        return ordering(sanded(), rules);
    }

    private static Ordering ordering(TestBody body, HouseRules rules) {
        body.shop = body.shop.with(rules);
        return body.plan().schedule().ordering();
    }

    private static List<Integer> places(Ordering ordering, Stage stage) {
        List<Integer> places = new ArrayList<>();
        for (int i = 0; i < ordering.operations().size(); i++) {
            if (HouseOrder.isOf(stage, ordering.operations().get(i))) {
                places.add(i);
            }
        }
        assertThat(places).as(stage.key()).isNotEmpty();
        return places;
    }

    private static void assertFirst(Ordering ordering, HouseRule rule) {
        int last = places(ordering, rule.first()).stream().max(Integer::compare).orElseThrow();
        int first = places(ordering, rule.then()).stream().min(Integer::compare).orElseThrow();
        assertThat(last).as(rule.words()).isLessThan(first);
    }

    private static Stream<String> told(Ordering ordering) {
        return ordering.findings().stream()
                .filter(f -> f.rule().equals("house-rule"))
                .map(f -> f.what(v -> ""));
    }

    /** With the pocket first the risky cuts are behind before the sawing; a shop that wants its blanks sawn out first pays for it. */
    @Test
    void the_shops_rule_is_kept_and_its_price_is_told() {
        Ordering free = ordering(HouseRules.NONE);
        assertFirst(free, POCKET_FIRST);
        assertThat(ordering(rules(POCKET_FIRST)).price().total())
                .isCloseTo(free.price().total(), within(1.0));

        Ordering ruled = ordering(rules(SAW_FIRST));
        assertFirst(ruled, SAW_FIRST);
        assertThat(told(ruled)).isEmpty();
        LeastLossOutsideTest.assertKept(ruled.operations(), ruled.links());
        assertThat(ruled.withoutRules()).isEqualTo(free.price());
        assertThat(ruled.rulesCost())
                .isEqualTo(ruled.price().total() - free.price().total())
                .isPositive();
        assertThat(ruled.rulesOf(StepKey.parse("outline:saw"))).containsExactly(SAW_FIRST);
        assertThat(ruled.rulesOf(StepKey.parse("sanding:front"))).isEmpty();
    }

    /** Sanding needs every cut done: no shop's habit puts it before them. */
    @Test
    void what_the_wood_wants_goes_before_a_rule_and_the_rule_is_told_once() {
        HouseRule backwards = new HouseRule(Stage.SANDING, Stage.CAVITIES);
        Ordering ruled = ordering(rules(backwards));
        assertThat(ruled.operations()).isEqualTo(ordering(HouseRules.NONE).operations());
        assertThat(told(ruled)).singleElement().asString().contains("finish sanding before control cavities");
    }

    /** The pocket opens the end of the body, where the bearing still has to ride. */
    @Test
    void a_rule_that_a_bearing_forbids_is_told_with_why() {
        Ordering ruled = ordering(new TestBody(), rules(POCKET_FIRST));
        assertThat(told(ruled))
                .singleElement()
                .asString()
                .contains(
                        "which “Fix the outline template on the front” needs, and that comes after “Saw the outline outside the line”");
    }

    @Test
    void of_two_rules_that_cannot_both_be_kept_the_first_in_the_list_is() {
        // Each holds alone; the first makes the second's order impossible through the pickups.
        HouseRule one = new HouseRule(Stage.CAVITIES, Stage.PICKUPS);
        HouseRule other = new HouseRule(Stage.PICKUPS, Stage.BACK);
        assertFirst(ordering(rules(one)), one);
        assertFirst(ordering(rules(one, other)), one);
    }

    @Test
    void what_is_done_stays_and_no_rule_complains_of_it() {
        TestBody body = sanded();
        List<StepKey> order = ordering(HouseRules.NONE).operations().stream()
                .map(Operation::key)
                .toList();
        int routed = order.indexOf(StepKey.parse("neck:rout"));
        order.subList(0, routed + 1).forEach(k -> body.done(k.written()));
        Ordering ruled = ordering(body, rules(SAW_FIRST));
        assertThat(ruled.operations().get(routed).key()).isEqualTo(StepKey.parse("neck:rout"));
        assertThat(ruled.house().pairs()).isEmpty();
        assertThat(told(ruled)).isEmpty();
    }

    /** A maker's own order of one body is meant; the shop's habits only fill it up. */
    @Test
    void a_bodys_own_order_goes_before_the_rules() {
        Ordering free = ordering(HouseRules.NONE);
        TestBody body = sanded();
        body.order = free.operations().stream().map(Operation::key).toList();
        Ordering ruled = ordering(body, rules(SAW_FIRST));
        assertThat(ruled.operations()).isEqualTo(free.operations());
        assertThat(ruled.house().pairs()).isEmpty();
        assertThat(told(ruled)).isEmpty();
    }

    @Test
    void what_an_own_order_does_not_list_keeps_to_the_rules() {
        Ordering free = ordering(HouseRules.NONE);
        TestBody body = sanded();
        body.order = free.operations().stream()
                .map(Operation::key)
                .filter(k -> !k.feature().word().startsWith("neck"))
                .toList();
        assertFirst(ordering(body, rules(POCKET_FIRST)), POCKET_FIRST);
    }

    /** An order that a maker made by hand shows a habit, which then gives that order on the next body by itself. */
    @Test
    void a_rule_is_learned_from_an_own_order_and_gives_it_on_another_body() {
        Ordering free = ordering(HouseRules.NONE);
        assertThat(Learned.of(free)).isEmpty();
        TestBody body = sanded();
        body.order = ordering(rules(SAW_FIRST)).operations().stream()
                .map(Operation::key)
                .toList();
        List<HouseRule> learned = Learned.of(ordering(body, HouseRules.NONE));
        assertThat(learned).contains(SAW_FIRST).doesNotContain(POCKET_FIRST);
        learned.forEach(rule -> assertFirst(ordering(rules(rule)), rule));
        assertThat(Learned.of(ordering(body, rules(SAW_FIRST)))).doesNotContain(SAW_FIRST);
    }

    @Test
    void a_step_may_be_put_against_a_rule_and_the_rule_is_named() {
        Ordering ruled = ordering(rules(SAW_FIRST));
        StepKey saw = StepKey.parse("outline:saw");
        WhyHere why = WhyHere.of(ruled, saw);
        WhyHere.Place latest = why.latest().orElseThrow();
        Move move = Move.of(ruled, saw, latest.at());
        assertThat(move.holds()).isTrue();
        assertThat(move.against()).containsExactly(SAW_FIRST);
        assertThat(Move.of(ruled, saw, why.place()).against()).isEmpty();
    }

    @Test
    void one_day_of_templates_leaves_them_less_often() {
        Ordering free = ordering(new TestBody(), HouseRules.NONE);
        Ordering together = ordering(new TestBody(), new HouseRules(true, List.of()));
        int left = together.price().times(SetUp.TEMPLATE_DAY);
        assertThat(left)
                .isGreaterThan(0)
                .isLessThan(together.costs().price(free.operations()).times(SetUp.TEMPLATE_DAY));
        assertThat(free.price().times(SetUp.TEMPLATE_DAY)).isZero();
    }

    @Test
    void rules_in_a_circle_are_refused_where_the_circle_closes() {
        HouseRule two = new HouseRule(Stage.SAWING, Stage.CONTOURS);
        HouseRule three = new HouseRule(Stage.CONTOURS, Stage.POCKET);
        assertThatThrownBy(() -> rules(POCKET_FIRST, two, three)).isInstanceOfSatisfying(Refusal.class, r -> {
            assertThat(r.field()).isEqualTo("order[3].then");
            assertThat(r).hasMessageContaining("“the neck pocket before sawing out”, “sawing out before contours”");
        });
        assertThatThrownBy(() -> rules(two, two)).isInstanceOf(Refusal.class);
        assertThatThrownBy(() -> new HouseRule(Stage.JACK, Stage.JACK)).isInstanceOf(Refusal.class);
    }
}
