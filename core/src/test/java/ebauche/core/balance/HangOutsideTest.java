package ebauche.core.balance;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import ebauche.core.geometry.Point;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** How a guitar hangs, held to a pendulum that is let go in time, to symmetry and to where it hangs lowest. */
class HangOutsideTest {
    private static final Point LOW = new Point(0, -160);
    private static final Point HIGH = new Point(-120, 215);

    /** So far beyond its range it is held and let go, degrees: both parts of the strap pull still. */
    private static final double HELD = 6;

    private static Hang hang(double y) {
        return new Hang(LOW, HIGH, 1100, new Point(0, y), 1);
    }

    /** The worked values of the house, there told to five degrees: G at 120 holds to -5, at 80 to 30, at 160 at no angle that is played. */
    @ParameterizedTest
    @CsvSource({"120, -5, 0", "80, 30, 35", "160, -89, -50"})
    void the_worked_values(double y, double least, double most) {
        assertThat(hang(y).highest().orElseThrow().most()).isBetween(least, most);
    }

    /** Where both pulls are alike and friction has nothing to do, it hangs lowest: dy/dangle of its centre is nought. */
    @Test
    void without_friction_it_hangs_where_it_is_lowest() {
        Hang hang = hang(20);
        double lowest = Double.NEGATIVE_INFINITY;
        double best = 0;
        for (double angle = -80; angle <= 60; angle += 0.01) {
            Hang.Standing now = hang.at(angle).orElseThrow();
            double under = now.shoulder().distance(hang.centre());
            if (under > lowest) {
                lowest = under;
                best = angle;
            }
        }
        Hang.Standing there = hang.at(best).orElseThrow();
        assertThat(there.pullLow()).isCloseTo(there.pullHigh(), within(1e-3));
    }

    /** The mirror image of a body, its treble side on the other side of x, hangs alike; of even buttons the middle hangs even. */
    @Test
    void a_left_handed_body_hangs_alike_and_even_buttons_pull_evenly() {
        Hang left = new Hang(LOW, new Point(120, 215), 1100, new Point(-8, 90), -1);
        Hang right = new Hang(LOW, HIGH, 1100, new Point(8, 90), 1);
        assertThat(left.ranges()).isEqualTo(right.ranges());
        Hang even = new Hang(new Point(0, -100), new Point(0, 300), 1100, new Point(0, 100), 1);
        Hang.Standing level = even.at(0).orElseThrow();
        assertThat(level.pullLow()).isCloseTo(level.pullHigh(), within(1e-9));
        assertThat(even.at(20).orElseThrow().pullLow())
                .isCloseTo(even.at(-20).orElseThrow().pullHigh(), within(1e-9));
    }

    /** The pulls hold a weight of one, and their moments about any place vanish with it. */
    @Test
    void the_pulls_hold_the_weight() {
        Hang hang = hang(90);
        for (double angle : List.of(-30.0, 0.0, 25.0, 60.0)) {
            Hang.Standing now = hang.at(angle).orElseThrow();
            double upX = -Math.cos(Math.toRadians(angle));
            double upY = Math.sin(Math.toRadians(angle));
            double[] low = pull(LOW, now.shoulder(), now.pullLow());
            double[] high = pull(HIGH, now.shoulder(), now.pullHigh());
            assertThat(low[0] + high[0]).isCloseTo(upX, within(1e-9));
            assertThat(low[1] + high[1]).isCloseTo(upY, within(1e-9));
            double turn = moment(LOW, low) + moment(HIGH, high) - moment(hang.centre(), new double[] {upX, upY});
            assertThat(turn).isCloseTo(0, within(1e-6));
            assertThat(now.shoulder().distance(LOW) + now.shoulder().distance(HIGH))
                    .isCloseTo(1100, within(1e-6));
        }
    }

    private static double[] pull(Point from, Point to, double pull) {
        double way = from.distance(to);
        return new double[] {(to.x() - from.x()) / way * pull, (to.y() - from.y()) / way * pull};
    }

    private static double moment(Point at, double[] force) {
        return at.x() * force[1] - at.y() * force[0];
    }

    /** Too short a strap carries nothing. */
    @Test
    void a_strap_that_is_too_short_hangs_at_no_angle() {
        assertThat(new Hang(LOW, HIGH, 380, new Point(0, 300), 1).ranges()).isEmpty();
    }

    /**
     * A guitar is held with its neck high, or low, and let go, in steps of time: hung by the two parts of its strap it swings, damped by the
     * air, as a pendulum; where one part pulls e^(mu beta) times as hard as the other, the strap creeps over the shoulder. It comes to rest
     * at the end of the range.
     */
    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12})
    void let_go_it_comes_to_rest_where_the_range_ends(long seed) {
        Random random = new Random(seed);
        Point low = new Point(random.nextDouble() * 20 - 10, -150 - random.nextDouble() * 60);
        Point high = new Point(-90 - random.nextDouble() * 50, 130 + random.nextDouble() * 100);
        Point centre = new Point(random.nextDouble() * 16 - 8, 20 + random.nextDouble() * 70);
        double strap = 950 + random.nextDouble() * 300;
        Hang hang = new Hang(low, high, strap, centre, 1);
        Hang.Range range = hang.highest().orElseThrow();
        assertThat(range.most()).isBetween(-60.0, 80.0);
        assertThat(rest(hang, range.most() + HELD)).isCloseTo(range.most(), within(0.5));
        if (range.least() > -80 + HELD) {
            assertThat(rest(hang, range.least() - HELD)).isCloseTo(range.least(), within(0.5));
        }
    }

    /** Where it comes to rest, degrees. */
    private static double rest(Hang hang, double held) {
        double part = split(hang, held);
        double angle = Math.toRadians(held);
        double speed = 0;
        double step = 0.002;
        for (int i = 0; i < 400_000; i++) {
            double[] shoulder = shoulder(hang, part);
            double toX = hang.centre().x() - shoulder[0];
            double toY = hang.centre().y() - shoulder[1];
            double arm = Math.hypot(toX, toY) / 1000;
            // Gravity on the body's plan at this angle, and how far the centre hangs off it.
            double downX = Math.cos(angle);
            double downY = -Math.sin(angle);
            double off = -Math.atan2(toX * downY - toY * downX, toX * downX + toY * downY);
            speed += step * (-9.81 / arm * Math.sin(off) - 8 * speed);
            angle += step * speed;
            double[] pulls = pulls(hang, shoulder, -downX, -downY);
            double limit = Math.exp(Hang.FRICTION * pulls[2]);
            if (pulls[0] > pulls[1] * limit) {
                part += 0.3 * step * 1000 * Math.min(1, pulls[0] / Math.max(1e-6, pulls[1] * limit) - 1);
            } else if (pulls[1] > pulls[0] * limit) {
                part -= 0.3 * step * 1000 * Math.min(1, pulls[1] / Math.max(1e-6, pulls[0] * limit) - 1);
            }
        }
        assertThat(Math.abs(speed)).as("it rests").isLessThan(1e-3);
        return Math.toDegrees(angle);
    }

    /** How long the strap's part to the lower button is while it is held so: tried out. */
    private static double split(Hang hang, double held) {
        double best = 0;
        double nearest = Double.POSITIVE_INFINITY;
        double apart = hang.low().distance(hang.high());
        for (double part = (hang.strap() - apart) / 2 + 0.5; part < (hang.strap() + apart) / 2; part += 0.25) {
            double[] shoulder = shoulder(hang, part);
            double upX = shoulder[0] - hang.centre().x();
            double upY = shoulder[1] - hang.centre().y();
            double hung = Math.toDegrees(Math.atan2(upY, -upX));
            if (Math.abs(hung - held) < nearest) {
                nearest = Math.abs(hung - held);
                best = part;
            }
        }
        return best;
    }

    /** Two circles meet: on the bass side. */
    private static double[] shoulder(Hang hang, double part) {
        double other = hang.strap() - part;
        double dx = hang.high().x() - hang.low().x();
        double dy = hang.high().y() - hang.low().y();
        double apart = Math.hypot(dx, dy);
        double along = (part * part - other * other + apart * apart) / (2 * apart);
        double off = Math.sqrt(Math.max(0, part * part - along * along));
        return new double[] {
            hang.low().x() + along * dx / apart - off * dy / apart,
            hang.low().y() + along * dy / apart + off * dx / apart
        };
    }

    /** Both pulls and how far the strap wraps, radians: by Lami's theorem, each as the sine of the angle between the other two. */
    private static double[] pulls(Hang hang, double[] shoulder, double upX, double upY) {
        double toLow = Math.atan2(
                shoulder[1] - hang.low().y(), shoulder[0] - hang.low().x());
        double toHigh = Math.atan2(
                shoulder[1] - hang.high().y(), shoulder[0] - hang.high().x());
        double up = Math.atan2(upY, upX);
        double between = Math.abs(Math.IEEEremainder(toLow - toHigh, 2 * Math.PI));
        double low = Math.sin(Math.abs(Math.IEEEremainder(up - toHigh, 2 * Math.PI))) / Math.sin(between);
        double high = Math.sin(Math.abs(Math.IEEEremainder(up - toLow, 2 * Math.PI))) / Math.sin(between);
        return new double[] {low, high, Math.PI - between};
    }
}
