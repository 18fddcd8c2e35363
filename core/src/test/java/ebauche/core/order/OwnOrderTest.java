package ebauche.core.order;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import ebauche.core.TestBody;
import ebauche.core.feature.StepKey;
import ebauche.core.job.Finding;
import ebauche.core.operation.Operation;
import ebauche.core.plan.BuildPlan;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** The order of least loss of whole bodies, why a step stands where it does, and a maker's own order. */
class OwnOrderTest {
    private static List<String> keys(BuildPlan plan) {
        return plan.steps().stream().map(s -> s.operation().key().written()).toList();
    }

    private static Ordering ordering(TestBody body) {
        return body.plan().schedule().ordering();
    }

    private static int place(Ordering ordering, String step) {
        return ordering.operations().stream()
                .map(o -> o.key().written())
                .toList()
                .indexOf(step);
    }

    private static List<StepKey> moved(Ordering ordering, String step, String before) {
        List<StepKey> order = new ArrayList<>(
                ordering.operations().stream().map(Operation::key).toList());
        order.remove(StepKey.parse(step));
        order.add(order.indexOf(StepKey.parse(before)), StepKey.parse(step));
        return order;
    }

    @Test
    void the_order_of_a_plan_costs_no_more_than_the_one_as_found_and_is_the_same_each_time() {
        Ordering ordering = ordering(new TestBody());
        assertThat(ordering.price().total()).isLessThan(ordering.asFound().total());
        assertThat(ordering.price()).isEqualTo(ordering.least());
        assertThat(keys(new TestBody().plan())).isEqualTo(keys(new TestBody().plan()));
        LeastLossOutsideTest.assertKept(ordering.operations(), ordering.links());
    }

    /** While a template is on, nothing else is done: no step that works without it stands between its going on and its coming off. */
    @Test
    void a_template_goes_on_is_used_and_comes_off() {
        Ordering ordering = ordering(new TestBody());
        assertThat(ordering.price().times(SetUp.TEMPLATE)).isZero();
        int on = place(ordering, "neck:fit");
        int off = place(ordering, "neck:off");
        assertThat(ordering.operations().subList(on, off + 1))
                .allMatch(o -> o.feature().word().equals("neck"));
    }

    /** Screws want waste that is still to be cut: of the front's three pockets one alone, the last, is held otherwise. */
    @Test
    void templates_go_on_while_there_is_waste_to_hold_them_in() {
        Ordering ordering = ordering(new TestBody());
        assertThat(place(ordering, "neck:fit")).isLessThan(place(ordering, "pickup-bridge:waste"));
        assertThat(ordering.price().loose()).isEqualTo(3);
    }

    /** The least price among a step's places is where it stands, as far as it can be moved alone. */
    @ParameterizedTest
    @ValueSource(strings = {"jack:drill", "neck:check", "controls:waste", "sanding:edge", "control-volume:drill"})
    void no_step_stands_where_it_would_cost_less_elsewhere(String step) {
        Ordering ordering = ordering(new TestBody());
        WhyHere why = WhyHere.of(ordering, StepKey.parse(step));
        assertThat(why.here().price().total()).isEqualTo(ordering.price().total(), within(1e-9));
        assertThat(why.places()).allMatch(p -> why.more(p) > -1e-6);
        for (WhyHere.Place place : why.places()) {
            LeastLossOutsideTest.assertKept(
                    WhyHere.moved(ordering.operations(), why.place(), place.at()), ordering.links());
            double told = place.price().besides(why.here().price()).stream()
                    .mapToDouble(Price.Difference::minutes)
                    .sum();
            assertThat(told).as("what is told of it adds up").isEqualTo(why.more(place), within(0.2));
        }
    }

    @Test
    void a_step_between_what_it_needs_and_what_needs_it_can_stand_nowhere_else() {
        WhyHere why = WhyHere.of(ordering(new TestBody()), StepKey.parse("neck:start"));
        assertThat(why.fixed()).isTrue();
        assertThat(why.held().orElseThrow().before().written()).isEqualTo("neck:fit");
        assertThat(why.holds().orElseThrow().after().written()).isEqualTo("neck:off");
        assertThat(why.earliest()).isEmpty();
        assertThat(why.latest()).isEmpty();
    }

    @Test
    void an_own_order_is_kept_and_told_by_its_price() {
        TestBody body = new TestBody();
        Ordering planned = ordering(body);
        WhyHere why = WhyHere.of(planned, StepKey.parse("jack:mark"));
        body.order = WhyHere.moved(
                        planned.operations(),
                        why.place(),
                        why.earliest().orElseThrow().at())
                .stream()
                .map(Operation::key)
                .toList();
        Ordering own = ordering(body);
        assertThat(own.own()).isTrue();
        assertThat(own.operations()).extracting(Operation::key).containsExactlyElementsOf(body.order);
        assertThat(own.least().total()).isEqualTo(planned.price().total(), within(1e-9));
        assertThat(own.price().total()).isGreaterThan(own.least().total());
        assertThat(own.findings()).isEmpty();
    }

    @Test
    void a_move_that_breaks_a_link_is_refused_with_why_and_where_it_may_stand() {
        Ordering ordering = ordering(new TestBody());
        Move early = Move.of(ordering, StepKey.parse("neck:rout"), place(ordering, "neck:waste"));
        assertThat(early.holds()).isFalse();
        assertThat(early.broken()).extracting(l -> l.after().written()).contains("neck:rout");
        assertThat(early.nearest().at()).isEqualTo(place(ordering, "neck:rough") + 1);
        Move late = Move.of(
                ordering, StepKey.parse("jack:mark"), ordering.operations().size() + 9);
        assertThat(late.to()).isEqualTo(ordering.operations().size() - 1);
        assertThat(late.broken()).extracting(l -> l.before().written()).contains("jack:mark");
        Move good = Move.of(ordering, StepKey.parse("jack:mark"), late.nearest().at());
        assertThat(good.holds()).isTrue();
        assertThat(good.more()).isEqualTo(good.now().total() - ordering.price().total(), within(1e-9));
    }

    /** Nothing is put before what is done. */
    @Test
    void what_is_done_stays_first() {
        TestBody body = new TestBody().doneUpTo("outline:draw");
        Ordering ordering = ordering(body);
        Move move = Move.of(ordering, StepKey.parse("outline:saw"), 0);
        assertThat(move.to()).isEqualTo(ordering.done());
        body.order = moved(ordering(new TestBody()), "jack:drill", "sanding:back");
        assertThat(ordering(body).operations().subList(0, ordering.done()))
                .isEqualTo(ordering.operations().subList(0, ordering.done()));
    }

    /** A part that is drawn later, or wanted deeper by a reading, adds its steps and moves no other. */
    @Test
    void a_later_part_only_adds_its_steps_to_an_own_order() {
        TestBody body = new TestBody();
        body.order = moved(ordering(body), "jack:drill", "sanding:back");
        List<String> before = keys(body.plan());
        body.doneUpTo("neck:rout").read("depth:neck", 15.2, "neck:rout");
        List<String> after = keys(body.plan());
        assertThat(after).contains("neck:deepen");
        List<String> same = new ArrayList<>(after);
        same.retainAll(before);
        List<String> old = new ArrayList<>(before);
        old.retainAll(after);
        assertThat(same).isEqualTo(old);
    }

    /** What the maker lists against a link waits, and is told; the rest stays. */
    @Test
    void what_an_own_order_puts_too_early_waits_and_is_told() {
        TestBody body = new TestBody();
        Ordering planned = ordering(body);
        body.order = moved(planned, "controls:rout", "controls:fit");
        Ordering own = ordering(body);
        LeastLossOutsideTest.assertKept(own.operations(), own.links());
        assertThat(own.findings())
                .filteredOn(f -> f.rule().equals("own-order"))
                .isNotEmpty()
                .allMatch(f -> f.severity() == Finding.Severity.GOOD_TO_KNOW)
                .anyMatch(f -> f.what(v -> "").contains("Rout the control cavity to depth"));
        assertThat(own.operations()).hasSameSizeAs(planned.operations());
    }

    /** Steps that are no longer planned are passed over, new ones find a place. */
    @Test
    void an_own_order_of_another_design_is_kept_as_far_as_it_goes() {
        TestBody body = new TestBody();
        body.order = List.of(
                StepKey.parse("sanding:edge"),
                StepKey.parse("sanding:back"),
                StepKey.parse("pickup-middle:rout"),
                StepKey.parse("sanding:front"));
        Ordering own = ordering(body);
        LeastLossOutsideTest.assertKept(own.operations(), own.links());
        assertThat(own.operations()).hasSameSizeAs(ordering(new TestBody()).operations());
        assertThat(place(own, "sanding:edge")).isLessThan(place(own, "sanding:back"));
        assertThat(place(own, "sanding:back")).isLessThan(place(own, "sanding:front"));
    }
}
