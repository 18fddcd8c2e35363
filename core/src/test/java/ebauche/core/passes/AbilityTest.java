package ebauche.core.passes;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import ebauche.core.crib.Bit;
import ebauche.core.crib.Crib;
import ebauche.core.crib.Router;
import ebauche.core.shop.Shop;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What a bit can and cannot do, shown beside it in the crib: held against the planner's own rule, place by place. */
class AbilityTest {
    private static final Crib CRIB = Shop.starter(1).crib();

    @Test
    void a_router_holds_a_bit_whose_shank_its_collet_takes_and_no_other() {
        for (Bit bit : CRIB.bits()) {
            assertThat(Ability.of(bit, CRIB).held())
                    .extracting(Ability.Held::router)
                    .containsExactlyElementsOf(CRIB.routers().stream()
                            .filter(r -> r.takes(bit.shank()))
                            .toList());
        }
        // 12 mm is no half inch
        Ability metric = Ability.of(Bit.usual("metric", Bit.Bearing.AT_SHANK, 12, 25, 12), CRIB);
        assertThat(metric.heldByNone()).isTrue();
        assertThat(metric.guided()).isEmpty();
        assertThat(metric.wall().isEmpty()).isTrue();
    }

    /** The windows told for a bit are just the depths at which a first pass of it would run: asked every tenth of a millimetre. */
    @ParameterizedTest
    @CsvSource({"12.7, 0", "19.05, 0", "25.4, 0", "38.1, 0", "19.05, 20"})
    void the_windows_told_are_the_depths_that_work(double cutter, double shorter) {
        Bit bit = shorter(Bit.usual("pattern", Bit.Bearing.AT_SHANK, 12.7, cutter, 6.35), shorter);
        Ability ability = Ability.of(bit, CRIB);
        double projection = CRIB.routers().stream()
                .filter(r -> r.takes(6.35))
                .mapToDouble(r -> Reach.projection(bit, r))
                .max()
                .orElseThrow();
        for (double template : CRIB.templates()) {
            for (double spacer : CRIB.spacers()) {
                Reach.Window told = ability.guided().stream()
                        .filter(g -> g.template() == template && g.spacer() == spacer)
                        .map(Ability.Guided::window)
                        .findFirst()
                        .orElse(Reach.Window.NONE);
                for (double depth = 0.05; depth < 70; depth += 0.1) {
                    // the bearing lies over the cutting edges; two millimetres of it at least run on the template
                    double low = depth - cutter;
                    double high = low - bit.guideWidth();
                    double contact = Math.min(low, -spacer) - Math.max(high, -spacer - template);
                    boolean works = contact >= Reach.LEAST_CONTACT - 1e-9
                            && depth <= cutter
                            && depth + template + spacer <= projection;
                    assertThat(told.holds(depth))
                            .as("%s deep, template %s, spacer %s", depth, template, spacer)
                            .isEqualTo(works);
                }
            }
        }
    }

    /** The same bit with less shank, so that it stands out of the sole by so much less. */
    private static Bit shorter(Bit b, double by) {
        return new Bit(
                b.name(),
                b.profile(),
                b.bearing(),
                b.diameter(),
                b.cutterLength(),
                b.overallLength() - by,
                b.shank(),
                b.bearingDiameter(),
                b.bearingWidth(),
                b.flutes(),
                b.spiral(),
                b.centreCutting(),
                b.mostTurns(),
                b.edge(),
                b.bearingSound(),
                "");
    }

    @Test
    void a_big_bit_turns_slower_than_its_rim_may_run() {
        Router fast = CRIB.routers().get(0);
        for (double across : new double[] {6.35, 12.7, 25.4, 50.8}) {
            Cutter cutter = new Cutter(Bit.usual("b", Bit.Bearing.NONE, across, 20, 6.35), fast);
            double rim = Math.PI * across / 1000 * cutter.speeds().most() / 60;
            // 48 m/s at the rim: common practice
            assertThat(rim).isLessThanOrEqualTo(48 + 1e-9);
            assertThat(cutter.speeds().least())
                    .isLessThanOrEqualTo(cutter.speeds().most());
        }
        assertThat(new Cutter(Bit.usual("b", Bit.Bearing.NONE, 6.35, 20, 6.35), fast)
                        .speeds()
                        .most())
                .isEqualTo(fast.mostTurns());
    }

    @Test
    void on_a_wall_a_bit_goes_as_deep_again_as_its_edges_and_bearing_are_long() {
        Bit bit = Bit.usual("pattern", Bit.Bearing.AT_SHANK, 12.7, 25.4, 6.35);
        Reach.Window wall = Ability.of(bit, CRIB).wall();
        assertThat(wall.least()).isCloseTo(25.4 + 2, within(1e-9));
        assertThat(wall.most()).isLessThanOrEqualTo(25.4 + 25.4 + bit.guideWidth() - 2 + 1e-9);
    }
}
