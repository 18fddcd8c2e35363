package ebauche.core.channel;

import static org.assertj.core.api.Assertions.assertThat;

import ebauche.core.TestBody;
import ebauche.core.feature.StepKey;
import ebauche.core.feature.StepKind;
import ebauche.core.geometry.Point;
import ebauche.core.hardware.Channel;
import ebauche.core.plan.BuildPlan;
import ebauche.core.stock.Stock;
import java.util.OptionalDouble;
import java.util.Random;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/**
 * Where drill and chuck are said to have room, swept back through the wood as it stands just before the hole is drilled, cell by cell: no
 * cell of wood lies in them; and with the chuck moved nearer to the hole some does.
 */
class DrillSweepOutsideTest {
    /** The wood's cells are half a millimetre, faces have their sanding on, the bit may rest on an edge. */
    private static final double LOOSE = 1.9;

    private static final double CHUCK_LONG = 50;

    @ParameterizedTest
    @ValueSource(ints = {0, 1, 2})
    void nothing_that_is_held_stands_in_the_wood(int number) {
        TestBody body = new TestBody().wired();
        BuildPlan plan = body.plan();
        Channel channel = body.channels.get(number);
        BoreLook look = BoreLook.of(plan.build(), plan.history(), channel);
        OptionalDouble held = look.heldOut();
        assertThat(held).isPresent();
        BuildPlan.PlanStep drill = plan.step(
                        StepKey.of(channel.feature(), StepKind.DRILL).written())
                .orElseThrow();
        Stock wood = plan.history().before(plan.indexOf(drill));
        Sweep sweep = new Sweep(plan, look, wood);
        double back = held.getAsDouble();
        assertThat(sweep.wood(
                        channel.diameter(), Math.max(back, 2 * channel.diameter()), channel.diameter() / 2 - LOOSE))
                .as("bit")
                .isZero();
        assertThat(sweep.wood(back, back + CHUCK_LONG, BoreLook.CHUCK - LOOSE))
                .as("chuck")
                .isZero();
        // Beyond an edge it is held off by its own half all round, which may be that much more than it needs.
        double nearer = back - BoreLook.CHUCK - 2 * Around.STRIDE;
        if (nearer > 0) {
            assertThat(sweep.wood(nearer, back, BoreLook.CHUCK))
                    .as("a chuck that comes nearer")
                    .isPositive();
        }
    }

    /** Points of a round bar round a channel's axis, behind where it goes in. */
    private record Sweep(BuildPlan plan, BoreLook look, Stock stock) {
        int wood(double from, double to, double radius) {
            Channel channel = look.run().channel();
            double in = look.run().entersAt();
            double length = channel.length();
            double ux = (channel.to().x() - channel.from().x()) / length;
            double uy = (channel.to().y() - channel.from().y()) / length;
            double uz = (channel.toUnder() - channel.fromUnder()) / length;
            double flat = Math.hypot(ux, uy);
            double front = plan.build().faces().frontFinished();
            Random random = new Random(17);
            int found = 0;
            for (int i = 0; i < 20_000 && radius > 0; i++) {
                double s = in - (from + random.nextDouble() * (to - from));
                double angle = random.nextDouble() * 2 * Math.PI;
                double r = radius * Math.sqrt(random.nextDouble());
                double a = r * Math.cos(angle);
                double b = r * Math.sin(angle);
                // a to the side, b square to axis and side.
                Point at = new Point(
                        channel.from().x() + s * ux - a * uy / flat - b * uz * ux / flat,
                        channel.from().y() + s * uy + a * ux / flat - b * uz * uy / flat);
                double depth = front + channel.fromUnder() + s * uz + b * flat;
                double[] pieces = stock.intervalsAt(at.x(), at.y());
                for (int k = 0; k + 1 < pieces.length; k += 2) {
                    if (depth > pieces[k] && depth < pieces[k + 1]) {
                        found++;
                    }
                }
            }
            return found;
        }
    }
}
