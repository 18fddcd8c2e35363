package ebauche.core.channel;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import ebauche.core.TestBody;
import ebauche.core.TestPractice;
import ebauche.core.feature.Feature;
import ebauche.core.geometry.Face;
import ebauche.core.geometry.Point;
import ebauche.core.hardware.Channel;
import ebauche.core.hardware.Jack;
import ebauche.core.plan.BuildPlan;
import ebauche.core.stock.WoodLeft;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

class BoreLookTest {
    private static final int CONTROLS = 0;
    private static final int NECK = 1;
    private static final int GROUND = 2;

    private static BoreLook look(TestBody body, int channel) {
        BuildPlan plan = body.plan();
        return BoreLook.of(plan.build(), plan.history(), body.channels.get(channel));
    }

    /** Looked at before it is drilled it has the wood that the plan finds once it is. */
    @ParameterizedTest
    @CsvSource({"0", "1", "2"})
    void the_wood_beside_it_is_what_the_plan_tells_of_it(int channel) {
        TestBody body = new TestBody().wired();
        BuildPlan plan = body.plan();
        Feature own = body.channels.get(channel).feature();
        BoreLook look = look(body, channel);
        assertThat(look.beside()).isNotEmpty();
        for (WoodLeft.Thin thin : look.beside()) {
            Feature other = thin.feature().equals(own) ? thin.neighbour() : thin.feature();
            assertThat(plan.history().thinnest())
                    .filteredOn(t -> Set.of(t.feature(), t.neighbour()).equals(Set.of(own, other)))
                    .anySatisfy(t -> assertThat(t.thickness()).isCloseTo(thin.thickness(), within(0.02)));
        }
    }

    /** Chance of both faces together is the sum of the one's and the other's. */
    @ParameterizedTest
    @EnumSource(Channel.Held.class)
    void front_and_back_add_up_and_a_steadier_way_comes_out_less_often(Channel.Held held) {
        TestBody body = new TestBody().wired();
        body.shop = body.shop.with(TestPractice.with(body.shop.practice(), Set.of()));
        Channel drawn = body.channels.get(NECK);
        body.channels.set(NECK, new Channel(drawn.id(), drawn.from(), 9, drawn.to(), 8, drawn.diameter(), held));
        BoreLook look = look(body, NECK);
        double sum = look.chance(Face.FRONT).value() + look.chance(Face.BACK).value();
        assertThat(BoreLook.chance(look.run(), BoreLook.Leeways.of(look.run())).value())
                .isCloseTo(sum, within(1e-9));
        double free = Straying.spread(body.build(), Channel.Held.FREE_HAND).value();
        assertThat(BoreLook.spread(look.run()).value()).isLessThanOrEqualTo(free);
    }

    /**
     * A hole begun in a face at an angle, s deep, with a drill l long: its chuck's rim clears the face where (l - s) sin(angle) is
     * radius x cos(angle). By construction in coordinates, radius 19: so far behind where it goes in the chuck must stand.
     */
    @ParameterizedTest
    @CsvSource({"30, 10", "60, 12", "40, 30"})
    void over_a_face_the_chuck_stands_as_far_back_as_its_rim_asks(double along, double down) {
        TestBody body = new TestBody();
        body.channels.add(new Channel("ground", new Point(-100, -60), 0, new Point(-100, -60 + along), down, 3));
        double angle = Math.atan2(down, along);
        double behind = 19 * Math.cos(angle) / Math.sin(angle);
        double held = look(body, 0).drill().orElseThrow().terms().get(1).value();
        assertThat(held).isBetween(behind, behind + 2 * Around.STRIDE);
    }

    /** Radius of the hole 11.11, of the bit 3.97, the wall 25: atan(2 x 7.14 / 25) = 29.7 degrees. */
    @Test
    void a_bit_leans_in_the_jacks_hole_by_its_room_there() {
        assertThat(DrillRoom.leanInJack(22.22, 7.94)).isCloseTo(29.7, within(0.05));
        TestBody body = new TestBody();
        body.jack = Optional.of(new Jack(new Point(165, -40), new Point(110, -40), 22.2, 22));
        body.channels.add(new Channel("straight", new Point(150, -40), 22, new Point(36, -40 + 114 * 0.5), 15, 8));
        BoreLook.Lean lean = look(body, 0).lean().orElseThrow();
        // By the two directions: (-1, 0, 0) and (-114, 57, -7).
        double off = Math.toDegrees(Math.acos(114 / Math.sqrt(114 * 114 + 57 * 57 + 49)));
        assertThat(lean.off()).isCloseTo(off, within(0.01));
        assertThat(lean.most()).isCloseTo(Math.toDegrees(Math.atan(14.2 / 25)), within(1e-9));
    }

    /** Out of the neck pocket, open to the edge, a level drill is held; level out of a pickup's rout it is not: wood stands behind it. */
    @Test
    void where_wood_stands_behind_it_no_drill_can_be_held() {
        TestBody body = new TestBody().wired();
        assertThat(look(body, NECK).drill()).isPresent();
        assertThat(body.rules()).doesNotContain("channel-no-room");
        body.channels.set(NECK, new Channel("neck", new Point(0, 125), 10, new Point(0, 49), 10.2, 8));
        assertThat(look(body, NECK).drill()).isEmpty();
        assertThat(body.rules()).contains("channel-no-room");
    }

    @Test
    void a_drill_that_is_too_short_for_its_chuck_is_told() {
        TestBody body = new TestBody().wired();
        double wanted = look(body, NECK).drill().orElseThrow().value();
        assertThat(wanted).isLessThan(400);
        assertThat(body.rules()).doesNotContain("channel-drill-short");
        body.channels.set(NECK, new Channel("neck", new Point(-5, 177), 11, new Point(70, -60), 24, 12));
        assertThat(body.rules()).contains("no-drill");
    }

    /** An end that is dragged onto the very wall of its space: the hole is as long as its axis, and nothing is endless. */
    @Test
    void an_end_on_the_wall_of_its_space_is_told_like_any_other() {
        TestBody body = new TestBody().wired();
        for (double y = -60; y <= -20; y += 0.37) {
            body.channels.set(
                    CONTROLS, new Channel("wires", new Point(36.5, 33.7), 11.9, new Point(67, y), 32.1, 7.9375));
            BoreLook look = look(body, CONTROLS);
            assertThat(look.run().leavesAt()).isCloseTo(look.run().channel().length(), within(1e-6));
            assertThat(look.run().passage().wood()).isBetween(40.0, 110.0);
        }
        assertThat(body.plan().step("channel-wires:drill")).isPresent();
    }

    /** By hand: 44 thick; the hole's under side where it goes into the bridge pickup's rout, 19 deep. */
    @Test
    void it_tells_how_far_over_the_floor_it_comes_out() {
        TestBody body = new TestBody().wired();
        BoreLook look = look(body, NECK);
        Channel channel = body.channels.get(NECK);
        double under = channel.under(look.run().leavesAt());
        double half = channel.diameter() / 2 * channel.across() / channel.length();
        assertThat(look.overFloor().orElseThrow()).isCloseTo(19 - under - half, within(1e-9));
        assertThat(look(body, CONTROLS).overFloor()).isPresent();
        assertThat(look(body, GROUND).yaw())
                .isCloseTo(Math.toDegrees(Math.atan2(2.7 - 18.6, 30.1 - 4.6)), within(1e-9));
    }

    /** The cut along it shows the faces and what else is cut, not the channel itself. */
    @Test
    void the_cut_along_it_shows_its_pocket_and_its_target() {
        TestBody body = new TestBody().wired();
        BuildPlan plan = body.plan();
        Channel channel = body.channels.get(NECK);
        BoreSection cut = BoreSection.of(plan.build(), plan.history(), channel, 40, 10);
        double front = plan.build().faces().frontFinished();
        for (BoreSection.Slice slice : cut.slices()) {
            double y = 177 - slice.along();
            double top = slice.solid().length == 0 ? Double.NaN : slice.solid()[0] - front;
            if (y < 164 && y > 146) {
                assertThat(top).as("solid wood at %.1f", y).isCloseTo(0, within(0.01));
            }
            if (y < 144 && y > 116) {
                assertThat(top).as("the neck pickup's floor at %.1f", y).isCloseTo(19, within(0.01));
            }
            for (int i = 1; i < slice.solid().length; i++) {
                assertThat(slice.solid()[i]).isGreaterThan(slice.solid()[i - 1]);
            }
        }
        assertThat(cut.slices()).anyMatch(s -> s.solid().length > 0);
    }
}
