package ebauche.core.crib;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import ebauche.core.measure.Refusal;
import ebauche.core.shop.Shop;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Which tool a crib gives for a job, and what it refuses to own. */
class CribTest {
    private static final Crib STARTER = Shop.starter(Shop.STARTER).crib();

    private static Crib drilling(Drill... drills) {
        return new Crib(List.of(), List.of(), List.of(drills), List.of(9.0), List.of());
    }

    private static Drill forstner(double diameter) {
        return Drill.usual("F " + diameter, Drill.Kind.FORSTNER, diameter, 1);
    }

    /** The largest Forstner bit that leaves a skin on both sides clears most waste: common practice. */
    @ParameterizedTest
    @CsvSource({"40, 35", "35, 35", "34.9, 25", "20, 15", "14.9, "})
    void the_largest_forstner_bit_that_fits_is_taken(double width, Double taken) {
        Crib crib =
                drilling(forstner(15), forstner(35), forstner(25), Drill.usual("brad", Drill.Kind.BRAD_POINT, 14, 1));
        assertThat(crib.forstner(width).map(Drill::diameter).orElse(null)).isEqualTo(taken);
    }

    /** Of two as near to a hole the one whose name comes first, so that the same crib gives the same drill. */
    @Test
    void the_nearest_drill_is_the_same_in_every_run() {
        Crib crib = drilling(
                Drill.usual("b", Drill.Kind.TWIST, 4.9, 0),
                Drill.usual("a", Drill.Kind.TWIST, 5.1, 0),
                Drill.usual("c", Drill.Kind.TWIST, 8, 0));
        assertThat(crib.nearestDrill(5).orElseThrow().name()).isEqualTo("a");
        assertThat(crib.nearestDrill(9).orElseThrow().name()).isEqualTo("c");
        assertThat(drilling().nearestDrill(5)).isEmpty();
    }

    /** Each fit bounds the drill from both sides, and the nearest within them is taken. */
    @Test
    void a_drill_is_taken_only_within_what_its_fit_allows() {
        for (Fit fit : Fit.values()) {
            for (double wanted : new double[] {3, 8, 14}) {
                double low = fit.least(wanted);
                double high = fit.most(wanted);
                assertThat(low).as(fit.words()).isLessThanOrEqualTo(high);
                Crib edge = drilling(
                        Drill.usual("under", Drill.Kind.TWIST, low - 0.05, 0),
                        Drill.usual("over", Drill.Kind.TWIST, high + 0.05, 0));
                assertThat(edge.drill(wanted, fit)).as(fit + " " + wanted).isEmpty();
                Crib in = drilling(Drill.usual("in", Drill.Kind.TWIST, (low + high) / 2, 0));
                assertThat(in.drill(wanted, fit)).as(fit + " " + wanted).isPresent();
            }
        }
    }

    /** A stout bit chatters less; only one whose bearing is sound copies, and only one that turns in the corner is any good. */
    @Test
    void the_stoutest_bit_turns_in_the_corner_and_copies() {
        Bit half = Bit.usual("half", Bit.Bearing.AT_SHANK, 12.7, 25.4, 12.7);
        Bit longer = Bit.usual("half long", Bit.Bearing.AT_SHANK, 12.7, 50, 12.7);
        Bit quarter = Bit.usual("quarter", Bit.Bearing.AT_SHANK, 6.35, 19, 6.35);
        Bit tip = Bit.usual("tip", Bit.Bearing.AT_TIP, 19, 25.4, 12.7);
        Bit plain = Bit.usual("plain", Bit.Bearing.NONE, 25.4, 25.4, 12.7);
        Crib crib = STARTER.only(List.of(half, longer, quarter, tip, plain));
        assertThat(crib.stoutest(true, 10).orElseThrow()).isEqualTo(longer);
        assertThat(crib.stoutest(true, 6.35).orElseThrow()).isEqualTo(longer);
        assertThat(crib.stoutest(true, 5).orElseThrow()).isEqualTo(quarter);
        assertThat(crib.stoutest(true, 3)).isEmpty();
        assertThat(crib.stoutest(false, 10).orElseThrow()).isEqualTo(tip);
    }

    @Test
    void a_crib_parts_into_its_tables_and_the_rest() {
        assertThat(STARTER.tables(true).routers()).allMatch(r -> r.kind() == Router.Kind.TABLE);
        assertThat(STARTER.tables(false).routers()).noneMatch(r -> r.kind() == Router.Kind.TABLE);
        assertThat(STARTER.tables(true).routers().size()
                        + STARTER.tables(false).routers().size())
                .isEqualTo(STARTER.routers().size());
        assertThat(STARTER.tables(true).bits()).isEqualTo(STARTER.bits());
    }

    /** A slot bit has 1/16 to 3/32 in and no bearing: common practice. */
    @ParameterizedTest
    @CsvSource({"1.5, false", "1.5875, true", "2, true", "2.38125, true", "2.5, false"})
    void a_blade_switchs_slot_wants_a_thin_plain_bit(double diameter, boolean serves) {
        Bit plain = Bit.usual("thin", Bit.Bearing.NONE, diameter, 6, 6.35);
        assertThat(STARTER.only(List.of(plain)).slotBit().isPresent()).isEqualTo(serves);
        Bit guided = Bit.usual("guided", Bit.Bearing.AT_SHANK, 2, 6, 6.35);
        assertThat(STARTER.only(List.of(guided)).slotBit()).isEmpty();
    }

    /** 1/8 in follows 3/16, 1/4 follows 5/8, 1/2 follows 2 1/2 in: the table beside the machine (from memory). */
    @ParameterizedTest
    @CsvSource({"3.175, 4.8", "6.35, 15.9", "12.7, 63.5", "19.05, 139.7"})
    void a_band_saws_blade_follows_the_tables_radius(double blade, double radius) {
        assertThat(Saw.usual("band", Saw.Kind.BAND, blade).turns()).isCloseTo(radius, within(1e-9));
        assertThat(Saw.usual("wider", Saw.Kind.BAND, blade * 1.1).turns()).isGreaterThan(radius);
    }

    /** A new hand leaves 1/4 in, a steady one about half; a jigsaw wanders in thick work, a band saw does not: common practice. */
    @Test
    void what_the_saw_leaves_depends_on_hand_and_blade() {
        Saw band = Saw.usual("band", Saw.Kind.BAND, 6.35);
        Saw jig = Saw.usual("jig", Saw.Kind.JIG, 8);
        assertThat(band.allowance(0, 45)).isCloseTo(6.35, within(1e-9));
        assertThat(band.allowance(1, 45)).isCloseTo(3, within(1e-9));
        assertThat(jig.allowance(0, 20)).isCloseTo(6.35, within(1e-9));
        assertThat(jig.allowance(0, 45)).isCloseTo(6.35 + 25 * 0.08, within(1e-9));
    }

    /** Thirty such drills reach as deep as they are sold to: common practice. */
    @Test
    void a_usual_drill_reaches_as_such_drills_do() {
        assertThat(Drill.usual("f", Drill.Kind.FORSTNER, 25, 1).reach()).isEqualTo(70);
        assertThat(Drill.usual("t", Drill.Kind.TWIST, 2, 0).reach()).isEqualTo(40);
        assertThat(Drill.usual("t", Drill.Kind.TWIST, 8, 0).reach()).isEqualTo(80);
        assertThat(Drill.usual("t", Drill.Kind.BRAD_POINT, 14, 1).reach()).isEqualTo(120);
        assertThat(Drill.usual("l", Drill.Kind.LONG, 6, 0).reach()).isEqualTo(300);
    }

    @Test
    void a_tool_that_cannot_be_is_refused_at_its_field() {
        assertThatThrownBy(() -> Drill.usual("d", Drill.Kind.TWIST, 0, 0)).isInstanceOf(Refusal.class);
        assertThatThrownBy(() -> new Drill("d", Drill.Kind.TWIST, 3, 0, 2000))
                .isInstanceOfSatisfying(
                        Refusal.class, r -> assertThat(r.field()).isEqualTo("reach"));
        assertThatThrownBy(() -> Saw.usual(" ", Saw.Kind.BAND, 6))
                .isInstanceOfSatisfying(
                        Refusal.class, r -> assertThat(r.field()).isEqualTo("name"));
        assertThatThrownBy(() -> new Crib(List.of(), List.of(), List.of(), List.of(), List.of()))
                .isInstanceOfSatisfying(
                        Refusal.class, r -> assertThat(r.field()).isEqualTo("templates"));
    }

    /** Of the drills that fit, the nearest that reaches deep enough; where none does, the nearest. */
    @Test
    void a_drill_that_reaches_comes_before_one_that_does_not() {
        Drill brad = new Drill("brad", Drill.Kind.BRAD_POINT, 8, 2, 80);
        Drill longOne = new Drill("long", Drill.Kind.LONG, 7.94, 0, 300);
        Crib crib = drilling(brad, longOne);
        assertThat(crib.drill(8, Fit.CLEAR, 60)).contains(brad);
        assertThat(crib.drill(8, Fit.CLEAR, 200)).contains(longOne);
        assertThat(crib.drill(8, Fit.CLEAR, 500)).contains(brad);
    }
}
