package ebauche.core.passes;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import ebauche.core.crib.Bit;
import ebauche.core.crib.Router;
import ebauche.core.timber.Hardness;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;

/** What a guided bit reaches, against worked examples and against bearing and guide laid over each other in coordinates. */
class ReachOutsideTest {
    private static Bit shank(double length) {
        return Bit.usual("bit", Bit.Bearing.AT_SHANK, 12.7, length, 12.7);
    }

    /** Worked by hand: contact 2, bearing 4.76, template 1/4 in. */
    @Test
    void the_worked_windows() {
        Reach.Window inch = Reach.onTemplate(shank(25.4), 6.35, 0);
        assertThat(inch.least()).isEqualTo(21.05, within(1e-9));
        // In one go no deeper than the cutter is long, though the bearing would still find the template.
        assertThat(Math.min(inch.most(), 25.4)).isEqualTo(25.4, within(1e-9));
        assertThat(inch.holds(16)).isFalse();
        Reach.Window half = Reach.onTemplate(shank(12.7), 6.35, 0);
        assertThat(half.least()).isEqualTo(8.35, within(1e-9));
        assertThat(Math.min(half.most(), 12.7)).isEqualTo(12.7, within(1e-9));
        assertThat(Reach.onWall(shank(12.7), 12.7).least()).isEqualTo(14.7, within(1e-9));
        Reach.Window shallow = Reach.onTemplate(shank(12.7), 6.35, 12.7);
        assertThat(shallow.least()).isZero();
        assertThat(shallow.most()).isEqualTo(2.76, within(1e-9));
    }

    /** How much of the bearing lies against the guide, both as intervals of depth. */
    private static double contact(double bearingTop, double bearingWidth, double guideTop, double guideBottom) {
        return Math.min(bearingTop + bearingWidth, guideBottom) - Math.max(bearingTop, guideTop);
    }

    @Test
    void a_depth_is_in_the_window_exactly_if_two_millimetres_of_bearing_run_on_the_guide() {
        Random random = new Random(3);
        for (int i = 0; i < 4000; i++) {
            Bit bit = shank(6 + random.nextDouble() * 40);
            double template = 2.1 + random.nextDouble() * 18;
            double spacer = random.nextBoolean() ? 0 : random.nextDouble() * 15;
            double depth = random.nextDouble() * 60;
            double top = depth - bit.cutterLength() - bit.guideWidth();
            boolean runs = contact(top, bit.guideWidth(), -spacer - template, -spacer) >= 2;
            assertThat(Reach.onTemplate(bit, template, spacer).holds(depth))
                    .as("%s on %s + %s at %s", bit.cutterLength(), template, spacer, depth)
                    .isEqualTo(runs);
            double cut = 2.1 + random.nextDouble() * 30;
            // The bearing must lie in the wall, below the face: it may stand out above, the whole contact counts.
            boolean onWall = contact(top, bit.guideWidth(), 0, cut) >= 2;
            assertThat(Reach.onWall(bit, cut).holds(depth)).isEqualTo(onWall);
        }
    }

    @Test
    void a_tip_bearing_reaches_the_wall_that_was_cut_from_the_other_face() {
        Random random = new Random(4);
        for (int i = 0; i < 4000; i++) {
            Bit bit = Bit.usual("flush", Bit.Bearing.AT_TIP, 12.7, 10 + random.nextDouble() * 40, 12.7);
            double work = 20 + random.nextDouble() * 40;
            double cut = 2.1 + random.nextDouble() * (work - 2.2);
            double end = random.nextDouble() * 60;
            boolean cutsAllThatStands = end >= work - cut && end <= bit.cutterLength();
            boolean runs = contact(end, bit.guideWidth(), work - cut, work) >= 2;
            boolean can = Reach.tipOnWall(bit, work, cut).holds(end);
            if (can) {
                assertThat(cutsAllThatStands && runs).isTrue();
            } else if (cutsAllThatStands && end <= work - 2) {
                assertThat(runs).isFalse();
            }
        }
        Bit flush = Bit.usual("flush", Bit.Bearing.AT_TIP, 12.7, 38.1, 12.7);
        assertThat(Reach.tipOnWall(flush, 30, 2)).as("just enough of a wall").isEqualTo(new Reach.Window(28, 28));
        assertThat(Reach.tipOnWall(flush, 30, 1.99).isEmpty()).isTrue();
        Bit narrow = new Bit(
                "narrow",
                Bit.Profile.STRAIGHT,
                Bit.Bearing.AT_TIP,
                12.7,
                38.1,
                80,
                12.7,
                12.7,
                Reach.LEAST_CONTACT,
                2,
                Bit.Spiral.NONE,
                false,
                0,
                Bit.Edge.SHARP,
                true,
                "");
        assertThat(Reach.tipOnWall(narrow, 30, 10))
                .as("all of a narrow bearing runs")
                .isEqualTo(new Reach.Window(20, 28));
        assertThat(Reach.tipOnTemplate(flush, 36, 6.35)).isEqualTo(new Reach.Window(36, 38.1));
        assertThat(Reach.tipOnTemplate(flush, 44, 6.35).isEmpty()).isTrue();
    }

    /** A 12 mm shank is no half inch: in a 12.7 collet it slips, and a 12 collet does not take 12.7. Common practice. */
    @Test
    void a_collet_takes_its_own_shank_only() {
        Router inch = Router.usual("plunge", 152.4, 60);
        assertThat(inch.takes(12.7)).isTrue();
        assertThat(inch.takes(6.35)).isTrue();
        assertThat(inch.takes(12)).isFalse();
        assertThat(inch.takes(8)).isFalse();
        assertThat(inch.takes(6)).isFalse();
        Router metric = new Router(
                "metric", Router.Kind.HAND, Router.Power.MIDDLE, 150, 75, 50, List.of(8.0, 12.0), 8, 10_000, 24_000);
        assertThat(metric.takes(12.7)).isFalse();
        assertThat(metric.takes(12)).isTrue();
    }

    /** Common practice: half an inch of shank in the collet, small bits at full speed, two inches at 18,000 a minute. */
    @Test
    void speeds_and_projection() {
        Router router = Router.usual("plunge", 152.4, 60);
        assertThat(new Cutter(shank(25.4), router).speeds().most()).isEqualTo(24_000);
        assertThat(new Cutter(shank(25.4), router).speeds().dial()).isEqualTo(24_000);
        assertThat(new Cutter.Speeds(8_000, 17_500).dial())
                .as("a mark of the dial")
                .isEqualTo(17_000);
        assertThat(new Cutter.Speeds(17_500, 17_500).dial()).isEqualTo(17_500);
        Bit wide = Bit.usual("wide", Bit.Bearing.NONE, 50.8, 12, 12.7);
        assertThat(new Cutter(wide, router).speeds().most()).isBetween(17_500, 18_500);
        Bit stamped = new Bit(
                "stamped",
                Bit.Profile.STRAIGHT,
                Bit.Bearing.NONE,
                12.7,
                25,
                70,
                12.7,
                0,
                0,
                2,
                Bit.Spiral.TO_SHANK,
                true,
                16_000,
                Bit.Edge.SHARP,
                true,
                "");
        assertThat(new Cutter(stamped, router).speeds().most()).isEqualTo(16_000);
        assertThat(new Cutter(stamped, router).projection()).isEqualTo(70 - 12.7 - 8, within(1e-9));
        // The rim of a 3 in bit runs too fast even at a trimmer's slowest.
        Bit large = Bit.usual("large", Bit.Bearing.NONE, 76.2, 12, 6.35);
        assertThat(new Cutter(large, Router.usual("trimmer", 90, 30)).slowEnough())
                .isFalse();
    }

    /** Common practice: less a pass in hard wood, by a small machine, with a worn edge. */
    @Test
    void a_pass_takes_less_in_hard_wood_and_by_a_small_machine() {
        Cutter strong = new Cutter(shank(25.4), Router.usual("plunge", 152.4, 60));
        Cutter light = new Cutter(shank(25.4), Router.usual("trimmer", 90, 30));
        assertThat(strong.crossSection(Hardness.HARD)).isLessThan(strong.crossSection(Hardness.SOFT));
        assertThat(light.crossSection(Hardness.SOFT)).isLessThan(strong.crossSection(Hardness.SOFT));
        // A half inch bit slotting hard wood: about a quarter inch a pass on a strong machine, an eighth on a trimmer.
        assertThat(strong.crossSection(Hardness.HARD) / 12.7).isBetween(6.0, 9.0);
        assertThat(light.crossSection(Hardness.HARD) / 12.7).isBetween(2.4, 3.5);
    }
}
