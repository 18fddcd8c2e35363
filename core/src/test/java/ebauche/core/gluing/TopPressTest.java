package ebauche.core.gluing;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import ebauche.core.geometry.Point;
import ebauche.core.geometry.Region;
import ebauche.core.shop.Caul;
import ebauche.core.shop.Clamp;
import ebauche.core.shop.Glue;
import ebauche.core.shop.Gluing;
import java.util.List;
import org.junit.jupiter.api.Test;

/** Pressing a top onto its core, worked by hand on a blank of 300 x 400 about (10, 50). */
class TopPressTest {
    private static final Region BLANK = Region.rectangle(new Point(10, 50), 300, 400, 0, 0);
    private static final Clamp STRONG = new Clamp("strong", 3, 400, 80, 30, 4000);
    private static final Clamp WEAK = new Clamp("weak", 1, 400, 60, 30, 2000);
    private static final Caul CROWNED = new Caul("crowned", 2, 320, 40, 45, true);

    private static TopPress press(double top, List<Clamp> clamps, Caul... cauls) {
        return TopPress.onto(BLANK, top, new Gluing(Glue.PVA, Gluing.Edges.JOINTER, 0.1, true, clamps, List.of(cauls)));
    }

    /** Two cauls at a quarter and three quarters of the length; the first takes the shallowest clamps, and counts as its weaker one. */
    @Test
    void cauls_lie_across_at_even_distances_on_pairs_of_clamps() {
        TopPress press = press(10, List.of(STRONG, WEAK), CROWNED);
        assertThat(press.cauls()).extracting(TopPress.PlacedCaul::y).containsExactly(-50.0, 150.0);
        assertThat(press.cauls()).extracting(l -> l.clamp().name()).containsExactly("weak", "strong");
        assertThat(press.presses()).isEmpty();
        // 40 + 2 x 10 wide, 300 long, two ends of 2 kN: 4000 / 18000.
        assertThat(press.average().value()).isCloseTo((2 * 2000 + 2 * 4000) / 120_000.0, within(1e-12));
        assertThat(press.covered()).isCloseTo(2 * 60 / 400.0, within(1e-9));
        assertThat(press.least()).isZero();
        assertThat(press.help()).contains("More crowned cauls");
    }

    /** A caul that is shorter than the blank, a flat one, or one that is not there presses no middle. */
    @Test
    void only_a_crowned_caul_as_long_as_the_blank_is_wide_counts() {
        List<Clamp> clamps = List.of(STRONG, WEAK);
        assertThat(press(10, clamps, new Caul("short", 2, 299, 40, 45, true)).cauls())
                .isEmpty();
        assertThat(press(10, clamps, new Caul("flat", 2, 320, 40, 45, false)).cauls())
                .isEmpty();
        assertThat(press(10, clamps, new Caul("none", 0, 320, 40, 45, true)).cauls())
                .isEmpty();
        assertThat(press(10, clamps, new Caul("just", 2, 300, 40, 45, true)).cauls())
                .hasSize(2);
        assertThat(press(10, clamps, new Caul("flat", 2, 320, 40, 45, false)).help())
                .contains("as long as the blank is wide");
    }

    /** Many cauls: no more than cover the length, 400 / (40 + 2 x 10) = 7; then every place is pressed. */
    @Test
    void cauls_side_by_side_leave_nothing_unpressed() {
        TopPress press =
                press(10, List.of(new Clamp("many", 20, 400, 80, 30, 4000)), new Caul("crowned", 9, 320, 40, 45, true));
        assertThat(press.cauls()).hasSize(7);
        assertThat(press.presses()).hasSize(6);
        assertThat(press.covered()).isEqualTo(1);
        assertThat(press.least()).isCloseTo(8000 / (300.0 * 60), within(1e-9));
        assertThat(press.help()).isEmpty();
    }

    /** Without cauls clamps stand left and right in turn, as far in as they reach but not past the middle, deep ones last. */
    @Test
    void clamps_stand_round_the_edge() {
        Clamp deep = new Clamp("deep", 1, 400, 280, 30, 1500);
        TopPress press = press(10, List.of(deep, STRONG));
        assertThat(press.presses())
                .extracting(p -> p.clamp().name())
                .containsExactly("strong", "strong", "strong", "deep");
        assertThat(press.presses())
                .extracting(TopPress.Press::at)
                .containsExactly(
                        new Point(-140 + 80, -50),
                        new Point(160 - 80, -50),
                        new Point(-140 + 80, 150),
                        new Point(10, 150));
        // A jaw of 30 on its pad of 18 through 10 of top: 86 mm square.
        assertThat(press.covered()).isCloseTo(4 * 86 * 86 / 120_000.0, within(0.012));
        assertThat(press.average().value()).isCloseTo((3 * 4000 + 1500) / 120_000.0, within(1e-12));
    }

    /** Where two presses overlap their pressures add; 86 mm squares 100 apart do not, 60 apart do. */
    @Test
    void the_weakest_place_is_the_one_furthest_in_that_nothing_presses() {
        TopPress press = press(10, List.of(STRONG, WEAK), CROWNED);
        // Between and beside the cauls nothing presses: the middle of the gap between them is furthest from every edge.
        assertThat(press.weakest().x()).isCloseTo(10, within(5.0));
        assertThat(press.weakest().y()).isCloseTo(50, within(75.0));
        assertThat(press.least()).isZero();
    }

    /** 0.12 m² at the glue's spread. */
    @Test
    void glue_for_the_whole_face() {
        TopPress press = press(10, List.of(STRONG));
        assertThat(press.glueLeast().value()).isCloseTo(0.12 * Glue.PVA.spreadLeast(), within(1e-9));
        assertThat(press.glueMost().value()).isCloseTo(0.12 * Glue.PVA.spreadMost(), within(1e-9));
    }

    /** 20 mm of rim round a hollow on either side of a block 60 wide. */
    private static final Region HOLLOW = Region.rectangle(new Point(-75, 50), 90, 360, 0, 0)
            .union(Region.rectangle(new Point(95, 50), 90, 360, 0, 0));

    private static TopPress onHollow(List<Clamp> clamps, Caul... cauls) {
        return TopPress.onto(
                BLANK, HOLLOW, 10, new Gluing(Glue.PVA, Gluing.Edges.JOINTER, 0.1, true, clamps, List.of(cauls)));
    }

    /** The same force on less wood: on average it presses harder, by the share that is glued; no place of the hollow counts. */
    @Test
    void over_a_hollow_the_rest_bears_the_force() {
        List<Clamp> many = List.of(new Clamp("many", 20, 400, 80, 30, 4000));
        Caul crowned = new Caul("crowned", 9, 320, 40, 45, true);
        TopPress solid = press(10, many, crowned);
        TopPress hollow = onHollow(many, crowned);
        double glued = BLANK.area() - HOLLOW.area();
        assertThat(hollow.isHollow()).isTrue();
        assertThat(solid.isHollow()).isFalse();
        assertThat(hollow.average().value()).isCloseTo(solid.average().value() * BLANK.area() / glued, within(1e-9));
        assertThat(hollow.covered()).isEqualTo(1);
        assertThat(hollow.least()).isGreaterThan(solid.least());
        assertThat(hollow.glueMost().value()).isCloseTo(glued * 1e-6 * Glue.PVA.spreadMost(), within(1e-9));
        assertThat(HOLLOW.contains(hollow.weakest())).isFalse();
    }

    /** The caul along the block is one of the shop's too: none is left for another place. */
    @Test
    void no_more_cauls_are_laid_than_there_are() {
        TopPress press =
                onHollow(List.of(new Clamp("many", 20, 400, 80, 30, 4000)), new Caul("crowned", 3, 420, 40, 45, true));
        assertThat(press.spine()).isPresent();
        assertThat(press.cauls()).hasSize(2);
    }

    /** Every clamp stands where it presses glue; a caul as long as the blank lies along the block, on the first two clamps. */
    @Test
    void clamps_stand_off_the_hollow_and_a_caul_lies_along_the_block() {
        TopPress press = onHollow(List.of(STRONG, WEAK), new Caul("long", 1, 400, 50, 45, false));
        assertThat(press.spine()).hasValueSatisfying(s -> {
            assertThat(s.x()).isEqualTo(10);
            assertThat(s.caul().name()).isEqualTo("long");
        });
        assertThat(press.clamps())
                .as("two on the caul along the block, the rest by themselves: all four of the shop")
                .isEqualTo(2 + press.presses().size())
                .isEqualTo(4);
        assertThat(press.presses())
                .isNotEmpty()
                .allSatisfy(p -> assertThat(HOLLOW.grown(-0.1).contains(p.at())).isFalse());
        assertThat(press(10, List.of(STRONG, WEAK), new Caul("long", 1, 400, 50, 45, false))
                        .spine())
                .isEmpty();
    }

    /** 2 (300 + 400) / 50. */
    @Test
    void round_the_rim_a_clamp_every_couple_of_inches() {
        assertThat(onHollow(List.of(STRONG)).rimClamps().value()).isEqualTo(28);
    }
}
