package ebauche.core.neck;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import ebauche.core.TestBody;
import ebauche.core.measure.Fact;
import java.util.OptionalDouble;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** C1's worked examples, and the same sum found by drawing string, fret plane and floor in coordinates. */
class NeckPocketOutsideTest {
    private static NeckPocket of(TestBody body) {
        return NeckPocket.of(body.build());
    }

    /** Worked example of the house's computations, C1: a thick heel in exact inches. */
    @Test
    void a_thick_heel_in_exact_inches_stands_a_sixteenth_proud_and_wants_saddles_at_11_84() {
        TestBody body = new TestBody();
        body.heel = 25.4 * (1 + 3 / 16.0);
        body.fingerboard = 6.35;
        body.actionTreble = 1.6;
        body.actionBass = 1.6;
        double p = 25.4 * 1.125;
        assertThat(body.heel - p).as("proud, common practice 1/16 in").isEqualTo(25.4 / 16, within(1e-9));
        assertThat(of(body).saddleHeightFor(Fact.typed(p)).value()).isEqualTo(11.84, within(0.005));
    }

    /** Worked examples of C1. */
    @ParameterizedTest
    @CsvSource({"0, 165, 12, 24.05", "2, 150, 15, 26.31"})
    void the_examples_come_out(double angle, double d, double saddle, double depth) {
        TestBody body = new TestBody();
        body.angle = angle;
        body.endWallToSaddle = d;
        assertThat(of(body).depthFor(Fact.typed(saddle)).value()).isEqualTo(depth, within(0.005));
    }

    /**
     * Plane geometry, drawn: the floor through the end wall's foot at depth p, tilted so that it falls towards the nut; the
     * fret plane h + f + r square above it; the string straight through its heights at the nut and at half the scale, both
     * square to the fret plane; its height over the front where it passes the saddle line.
     */
    private static double drawnSaddleHeight(
            double h, double f, double r, double a12, double a0, double alpha, double d, double p) {
        double t = Math.toRadians(alpha);
        double alongY = Math.cos(t);
        double alongZ = -Math.sin(t);
        double upY = Math.sin(t);
        double upZ = Math.cos(t);
        double footY = d + (h + f + r) * upY;
        double footZ = -p + (h + f + r) * upZ;
        // the fret plane's own coordinate where it stands over the saddle line
        double s0 = -footY / alongY;
        double saddleY = footY + s0 * alongY;
        double saddleZ = footZ + s0 * alongZ;
        // along the plane the scale is measured from that place; string heights square to it
        double scale = 640;
        double nutY = saddleY + scale * alongY + a0 * upY;
        double nutZ = saddleZ + scale * alongZ + a0 * upZ;
        double halfY = saddleY + scale / 2 * alongY + a12 * upY;
        double halfZ = saddleZ + scale / 2 * alongZ + a12 * upZ;
        // twice as far from the nut as the middle: the string's end over the saddle line, square to the plane
        double endY = 2 * halfY - nutY;
        double endZ = 2 * halfZ - nutZ;
        // follow the string to y = 0 exactly
        double slope = (nutZ - endZ) / (nutY - endY);
        return endZ - endY * slope;
    }

    @Test
    void a_drawing_in_coordinates_gives_the_same_saddle_height_for_random_set_ups() {
        Random random = new Random(11);
        for (int i = 0; i < 500; i++) {
            TestBody body = new TestBody();
            body.heel = 15 + random.nextDouble() * 20;
            body.fingerboard = random.nextDouble() * 8;
            body.fret = random.nextDouble() * 1.5;
            body.angle = random.nextDouble() * 8 - 3;
            body.endWallToSaddle = 100 + random.nextDouble() * 120;
            body.actionTreble = body.actionBass = 0.5 + random.nextDouble() * 3;
            body.nut = random.nextDouble();
            double p = 10 + random.nextDouble() * 20;
            double reckoned = of(body).saddleHeightFor(Fact.typed(p)).value();
            double drawn = drawnSaddleHeight(
                    body.heel,
                    body.fingerboard,
                    body.fret,
                    body.actionBass,
                    body.nut,
                    body.angle,
                    body.endWallToSaddle,
                    p);
            // The string leans against the fret plane by (2 a12 - 2 a0) / S, a hundredth at most, and the sum takes its
            // height where the scale ends along the plane: the difference is that lean times a few millimetres.
            assertThat(reckoned).isEqualTo(drawn, within(0.01));
        }
    }

    @Test
    void with_no_angle_the_drawing_and_the_sum_agree_exactly() {
        TestBody body = new TestBody();
        double drawn = drawnSaddleHeight(25.4, 6.35, 1.2, 1.8, 0.5, 0, 165, 24.05);
        assertThat(of(body).saddleHeightFor(Fact.typed(24.05)).value()).isEqualTo(drawn, within(1e-9));
    }

    /** C1: e 26 falls by 1.84 at R 184 and by 0.83 at R 406 (circle's sagitta). */
    @ParameterizedTest
    @CsvSource({"184, 26, 1.846", "406, 26, 0.833"})
    void an_outer_string_lies_lower_on_a_rounded_fingerboard(double radius, double e, double fall) {
        TestBody body = new TestBody();
        body.radius = radius;
        assertThat(of(body).fall(e)).isEqualTo(fall, within(0.001));
        double sagitta = radius * (1 - Math.cos(Math.asin(e / radius)));
        assertThat(of(body).fall(e)).isEqualTo(sagitta, within(1e-9));
        // The radius gauge on the neck in hand decides, whatever was drawn.
        body.radius = 300;
        assertThat(of(body.read("fingerboard-radius", radius)).fall(e)).isEqualTo(sagitta, within(1e-9));
    }

    @Test
    void sensitivities_are_what_a_small_change_really_does() {
        TestBody body = new TestBody();
        body.angle = 2.5;
        double base = of(body).depthFor(Fact.typed(14)).value();
        double step = 1e-4;
        body.heel += step;
        double heel = (of(body).depthFor(Fact.typed(14)).value() - base) / step;
        body.heel -= step;
        body.actionTreble += step;
        body.actionBass += step;
        double action = (of(body).depthFor(Fact.typed(14)).value() - base) / step;
        body.actionTreble -= step;
        body.actionBass -= step;
        body.endWallToSaddle += step;
        double distance = (of(body).depthFor(Fact.typed(14)).value() - base) / step;
        body.endWallToSaddle -= step;
        body.angle += step;
        double angle = (of(body).depthFor(Fact.typed(14)).value() - base) / step;
        body.angle -= step;
        var told = of(body).sensitivities();
        assertThat(told.get(0).perUnit()).isEqualTo(heel, within(1e-5));
        assertThat(told.get(3).perUnit()).isEqualTo(action, within(1e-5));
        assertThat(told.get(5).perUnit()).isEqualTo(distance, within(1e-5));
        assertThat(told.get(6).perUnit()).isEqualTo(angle, within(1e-3));
        // C1: about 0.01745 d / cos² per degree; the heel's own tilt adds the rest
        assertThat(angle).isEqualTo(0.01745 * 165, within(0.05));
    }

    @Test
    void every_depth_in_the_window_and_none_outside_keeps_every_saddle_in_reach() {
        Random random = new Random(5);
        for (int i = 0; i < 200; i++) {
            TestBody body = new TestBody();
            body.radius = 180 + random.nextDouble() * 300;
            body.actionBass = 1.5 + random.nextDouble();
            body.actionTreble = 1 + random.nextDouble();
            body.angle = random.nextDouble() * 3;
            NeckPocket pocket = of(body);
            NeckPocket.Window window = pocket.window(body.design().bridge());
            for (double p = 10; p < 40; p += 0.37) {
                boolean all = true;
                for (int s = 0; s < body.strings; s++) {
                    double height = pocket.saddleHeight(s, p);
                    all &= height >= body.lowestSaddle && height <= body.highestSaddle;
                }
                assertThat(window.holds(p)).as("depth %s", p).isEqualTo(all);
            }
        }
    }

    @Test
    void plates_and_a_recess_count_as_they_should() {
        TestBody body = new TestBody();
        double plain = of(body).depthFor(Fact.typed(12)).value();
        body.plateUnderHeel = 1;
        assertThat(of(body).depthFor(Fact.typed(12)).value()).isEqualTo(plain + 1, within(1e-9));
        body.plateUnderBridge = 2;
        assertThat(of(body).depthFor(Fact.typed(12)).value()).isEqualTo(plain - 1, within(1e-9));
    }

    @Test
    void the_error_budget_adds_up_at_worst_and_squares_likely() {
        TestBody body = new TestBody();
        NeckPocket.ErrorBudget budget = of(body).errorBudget(body.shop.limits());
        double angle = 0.1 * of(body).sensitivities().get(6).perUnit();
        assertThat(budget.worst()).isEqualTo(0.1 + 0.1 + 0.15 + angle, within(1e-9));
        assertThat(budget.likely()).isEqualTo(Math.sqrt(0.01 + 0.01 + 0.0225 + angle * angle), within(1e-9));
    }

    @Test
    void without_a_wish_the_plan_aims_at_the_middle_of_the_window() {
        TestBody body = new TestBody();
        body.wantedSaddle = OptionalDouble.empty();
        NeckPocket pocket = of(body);
        NeckPocket.Window window = pocket.window(body.design().bridge());
        double depth = pocket.depthFor(pocket.aim(body.design().bridge())).value();
        assertThat(depth).isEqualTo((window.shallowest() + window.deepest()) / 2, within(1e-9));
    }
}
