package ebauche.core.balance;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import ebauche.core.TestBody;
import ebauche.core.TestParts;
import ebauche.core.design.Hand;
import ebauche.core.design.Hanging;
import ebauche.core.geometry.Point;
import ebauche.core.hardware.PartHole;
import ebauche.core.hardware.PartKind;
import ebauche.core.hardware.PartSize;
import ebauche.core.job.Rule;
import ebauche.core.measure.Refusal;
import ebauche.core.measure.Source;
import ebauche.core.plan.BuildPlan;
import ebauche.core.realism.Realism;
import ebauche.core.realism.SpecSheet;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;

/** What a guitar weighs and where it balances, by hand; a button, a mass or a hand that changes is followed. */
class BalanceTest {
    private static PartHole button(String id, double x, double y, double aimY) {
        return new PartHole(
                id,
                TestParts.of(PartKind.STRAP_BUTTON, PartSize.HOLE, 3, PartSize.LENGTH, 25),
                new Point(x, y),
                PartHole.Side.EDGE,
                Optional.of(new Point(x, aimY)));
    }

    private static TestBody body() {
        TestBody body = new TestBody();
        body.holes.add(button("strap-tail", 0, -150, -100));
        body.holes.add(button("strap-horn", -120, 240, 200));
        return body;
    }

    private static Hanging weighed(double neck, double balance) {
        return new Hanging(
                OptionalDouble.of(neck),
                OptionalDouble.of(balance),
                OptionalDouble.of(30),
                OptionalDouble.of(200),
                OptionalDouble.of(100),
                OptionalDouble.of(50),
                1100,
                15);
    }

    /** Neck 600 at 640 - 150, six tuners of 30 at 640 + 92.5, bridge 200, pickups 100 each at 130 and 40, pot and jack of 50. */
    @Test
    void the_centre_of_mass_is_that_of_its_parts() {
        TestBody body = body();
        body.hanging = weighed(600, 150);
        BuildPlan plan = body.plan();
        Guitar guitar = Balance.of(plan).guitar();
        double wood = guitar.wood().grams();
        assertThat(wood).isEqualTo(plan.history().finished().balance().grams());
        double all = wood + 600 + 180 + 200 + 200 + 50 + 50;
        assertThat(guitar.grams()).isCloseTo(all, within(1e-9));
        assertThat(guitar.sum().value()).isCloseTo(all, within(1e-9));
        double bridge = plan.build().design().bridge().footprintY();
        double y = wood * guitar.wood().at().y()
                + 600 * 490
                + 180 * 732.5
                + 200 * bridge
                + 100 * 130
                + 100 * 40
                - 50 * 40
                - 50 * 40;
        double x = wood * guitar.wood().at().x() + 50 * 100 + 50 * 165;
        assertThat(guitar.centre().y()).isCloseTo(y / all, within(1e-9));
        assertThat(guitar.centre().x()).isCloseTo(x / all, within(1e-9));
        assertThat(guitar.loads()).allMatch(l -> l.grams().source() == Source.TYPED);
        body.hanging = Hanging.USUAL;
        assertThat(Balance.of(body.plan()).guitar().loads())
                .allMatch(l -> l.grams().source() == Source.DEFAULT);
    }

    /** The slab balances a light neck and not one of two kilograms; both are told by one rule, before anything is cut. */
    @Test
    void a_heavy_neck_is_told_before_the_blank_is_cut() {
        TestBody body = body();
        body.hanging = weighed(500, 150);
        assertThat(rule(body).verdict()).isIn(Rule.Verdict.HOLDS, Rule.Verdict.ONLY_JUST);
        assertThat(SpecSheet.of(body.plan()).flags()).noneMatch(f -> f.rule().equals("neck-heavy"));
        body.hanging = weighed(3000, 100);
        assertThat(rule(body).verdict()).isEqualTo(Rule.Verdict.THINK_AGAIN);
        assertThat(SpecSheet.of(body.plan()).flags()).anyMatch(f -> f.rule().equals("neck-heavy"));
    }

    private static Rule rule(TestBody body) {
        return Realism.of(body.plan()).rules().stream()
                .filter(r -> r.name().equals("neck-heavy"))
                .findFirst()
                .orElseThrow();
    }

    @Test
    void without_two_buttons_nothing_hangs_and_nothing_is_said() {
        TestBody body = new TestBody();
        Balance balance = Balance.of(body.plan());
        assertThat(balance.hang()).isEmpty();
        assertThat(balance.rules()).isEmpty();
        assertThat(balance.otherwise()).isEmpty();
        body.holes.add(button("strap-tail", 0, -150, -100));
        assertThat(Balance.of(body.plan()).hang()).isEmpty();
    }

    /** More neck, less angle: of all that it can be told to try, each acts as lever and balance say. */
    @Test
    void what_would_help_helps() {
        TestBody body = body();
        Balance balance = Balance.of(body.plan());
        double now = balance.range().orElseThrow().most();
        for (Balance.Otherwise then : balance.otherwise()) {
            double most = then.most().orElseThrow().most();
            switch (then.what()) {
                case LESS_WOOD -> assertThat(most).isLessThan(now);
                case MORE_WOOD, BUTTON_TO_THE_NECK, LIGHTER_TUNERS ->
                    assertThat(most).isGreaterThan(now);
            }
        }
        assertThat(balance.otherwise()).hasSize(4);
    }

    /** Wood taken out where the guitar balances moves nothing; behind the bridge it lets the neck drop. */
    @Test
    void wood_that_is_taken_out_is_followed() {
        Balance balance = Balance.of(body().plan());
        Point centre = balance.guitar().centre();
        Guitar there = balance.without(400, centre).guitar();
        assertThat(there.grams()).isCloseTo(balance.guitar().grams() - 400, within(1e-9));
        assertThat(there.centre().distance(centre)).isLessThan(1e-9);
        double now = balance.range().orElseThrow().most();
        assertThat(balance.without(400, new Point(0, -100))
                        .range()
                        .orElseThrow()
                        .most())
                .isLessThan(now);
        assertThat(balance.without(400, new Point(0, 220)).range().orElseThrow().most())
                .isGreaterThan(now);
    }

    /** The mirror image hangs alike. */
    @Test
    void a_left_handed_body_hangs_by_its_own_treble_side() {
        TestBody body = body();
        Hang right = Balance.of(body.plan()).hang().orElseThrow();
        body.hand = Hand.LEFT;
        assertThat(right.trebleX()).isEqualTo(1);
        assertThat(Balance.of(body.plan()).hang().orElseThrow().trebleX()).isEqualTo(-1);
    }

    @Test
    void it_is_followed_from_the_blank_to_the_body() {
        BuildPlan plan = body().plan();
        List<Balance.Stage> stages = Balance.stages(plan);
        assertThat(stages).hasSizeGreaterThan(8);
        assertThat(stages.get(0).grams())
                .isCloseTo(plan.build().design().blank().grams(), within(20.0));
        Balance.Stage last = stages.get(stages.size() - 1);
        assertThat(last.grams()).isCloseTo(plan.history().finished().balance().grams(), within(1e-9));
        assertThat(last.most()).isEqualTo(Balance.of(plan).range());
    }

    @Test
    void a_mass_of_nothing_or_of_a_ton_is_refused() {
        assertThatThrownBy(() -> weighed(0, 150)).isInstanceOf(Refusal.class);
        assertThatThrownBy(() -> weighed(1e6, 150)).isInstanceOf(Refusal.class);
        assertThatThrownBy(() -> weighed(500, 5000)).isInstanceOf(Refusal.class);
    }
}
