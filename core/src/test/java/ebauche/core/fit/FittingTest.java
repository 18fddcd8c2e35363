package ebauche.core.fit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import ebauche.core.TestBody;
import ebauche.core.TestParts;
import ebauche.core.feature.Feature;
import ebauche.core.geometry.Point;
import ebauche.core.geometry.Region;
import ebauche.core.hardware.Bridge;
import ebauche.core.hardware.Control;
import ebauche.core.hardware.PartSize;
import ebauche.core.hardware.Pickup;
import ebauche.core.job.Build;
import ebauche.core.logbook.AsBuilt;
import ebauche.core.measure.Reckoning;
import ebauche.core.measure.Refusal;
import ebauche.core.measure.Source;
import ebauche.core.plan.BuildPlan;
import ebauche.core.sheet.Moved;
import ebauche.core.shop.Clearances;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import org.junit.jupiter.api.Test;

class FittingTest {
    private static TestBody body() {
        TestBody body = new TestBody();
        body.pickups.set(0, Pickup.of("neck", new Point(0, 130), 0, Set.of(), 5, TestParts.pickup()));
        body.controls.set(0, Control.of("volume", new Point(100, -40), OptionalDouble.empty(), TestParts.pot()));
        return body;
    }

    private static List<String> moved(BuildPlan before, BuildPlan after) {
        return Moved.between(before, after).stream().map(Moved::what).toList();
    }

    @Test
    void a_cavity_is_the_part_with_the_shops_room_round_it() {
        Build build = body().build();
        Pickup neck = build.design().pickups().get(0);
        Clearances room = Clearances.USUAL;
        assertThat(neck.across()).isEqualTo(70 + 2 * room.pickupSide());
        assertThat(neck.along()).isEqualTo(38 + 2 * room.pickupSide());
        assertThat(neck.depth()).isEqualTo(20 - 5 + room.pickupUnder());
        assertThat(build.drawn().pickups().get(0).across()).isEqualTo(70);
        Control volume = build.design().controls().get(0);
        assertThat(volume.opening()).isCloseTo(9.5, within(1e-9));
        assertThat(build.fitting().mostTop(volume).value())
                .as("10 of thread less 2 of nut and washers, as the control itself has it")
                .isEqualTo(8)
                .isEqualTo(volume.thickestTop());
    }

    @Test
    void the_sum_says_whether_a_size_is_nominal_or_read_and_when() {
        TestBody body = body();
        Pickup neck = body.build().design().pickups().get(0);
        Reckoning nominal = body.build().fitting().pickups().depth(neck);
        assertThat(nominal.terms().get(0).source()).isEqualTo(Source.NOMINAL);
        body.read("size:pickup-neck.height", 21.5);
        Reckoning measured = body.build().fitting().pickups().depth(neck);
        assertThat(measured.terms().get(0).source()).isEqualTo(Source.MEASURED);
        assertThat(measured.terms().get(0).origin()).contains("part in hand").contains("2026");
        assertThat(measured.value()).isEqualTo(nominal.value() + 1.5);
    }

    @Test
    void a_pickup_measured_taller_moves_its_own_cavity_and_legs_and_nothing_else() {
        TestBody body = body();
        BuildPlan before = body.plan();
        body.read("size:pickup-neck.height", 21.5);
        assertThat(moved(before, body.plan()))
                .isNotEmpty()
                // Screws of other templates stand in its waste, and may be as much longer.
                .allMatch(what -> what.contains("neck pickup") || what.startsWith("Fix the "))
                .anyMatch(what -> what.contains("leg pockets"));
    }

    @Test
    void a_pickup_measured_wider_moves_no_depth() {
        TestBody body = body();
        BuildPlan before = body.plan();
        body.read("size:pickup-neck.across", 71.5);
        assertThat(moved(before, body.plan())).containsExactly("neck pickup cavity across");
    }

    @Test
    void a_pot_measured_with_a_shorter_thread_is_found_too_short_for_its_top() {
        TestBody body = body();
        assertThat(body.plan().findings()).noneMatch(f -> f.rule().equals("control-top"));
        body.read("size:control-volume.thread", 7.5);
        assertThat(body.plan().findings()).anyMatch(f -> f.rule().equals("control-top"));
    }

    @Test
    void a_later_reading_replaces_an_earlier_one_and_both_stay_on_record() {
        TestBody body = body();
        body.read("size:pickup-neck.height", 21.5).read("size:pickup-neck.height", 20.5);
        assertThat(body.build().design().pickups().get(0).depth()).isEqualTo(20.5 - 5 + 3);
        assertThat(body.build().asBuilt().timeline()).hasSize(2);
    }

    @Test
    void a_reading_that_makes_the_part_impossible_is_refused_with_its_name() {
        TestBody body = body();
        body.read("size:control-volume.nut", 11);
        assertThatThrownBy(body::build)
                .hasMessageContaining("volume")
                .hasMessageContaining("none is left for the wood");
    }

    @Test
    void leg_pockets_lie_at_both_ends_take_the_legs_and_are_as_deep_as_they_reach() {
        Build build = body().build();
        PickupFit.Legs legs =
                build.fitting().pickups().legs(build.design().pickups().get(0)).orElseThrow();
        assertThat(legs.depth().value()).isEqualTo(18 + 4);
        assertThat(legs.plan().parts()).hasSize(2);
        Region leg = Region.rectangle(new Point(38, 130), 6, 12, 0, 0);
        assertThat(legs.plan().contains(Region.rectangle(new Point(37.5, 130), 6, 11, 0, 0)))
                .isTrue();
        assertThat(leg.intersection(legs.plan()).area()).isGreaterThan(0.98 * leg.area());
        assertThat(legs.plan().overlaps(Region.disc(new Point(0, 130), 50))).isFalse();
    }

    @Test
    void the_wood_agrees_with_the_sum_under_a_leg() {
        BuildPlan plan = body().plan();
        double[] solid = plan.history().finished().intervalsAt(38, 130);
        double floor = plan.build().faces().planeUnderFinished(ebauche.core.geometry.Face.FRONT, 22);
        assertThat(solid[0]).isCloseTo(floor, within(1e-4));
    }

    /** A ferrule read as wide as its hole leaves no seat; a head sunk deeper than the ferrule was sold for goes with a longer one. */
    @Test
    void a_ferrule_in_hand_that_its_hole_or_its_screw_does_not_go_with_is_refused() {
        TestBody neck = new TestBody();
        neck.neckFerrule = Optional.of(TestParts.neckFerrule());
        neck.read("size:neck-ferrules.length", 9.5);
        neck.read("size:neck-ferrules.head-sunk", 8);
        assertThat(neck.build().design().neck().ferrule().orElseThrow().get(PartSize.HEAD_SUNK))
                .as("both readings count at once")
                .isEqualTo(8);
        neck.read("size:neck-ferrules.head-sunk", 9.5);
        assertThatThrownBy(neck::build).hasMessageContaining("neck ferrules").hasMessageContaining("not in it");
        neck.read("size:neck-ferrules.head-sunk", 8);
        neck.read("size:neck-ferrules.diameter", 4.5);
        assertThatThrownBy(neck::build).hasMessageContaining("as wide as the ferrule's seat");

        TestBody strings = new TestBody();
        strings.stringThrough = Optional.of(new Bridge.StringThrough(-20, 3, Optional.of(TestParts.ferrule())));
        strings.read("size:ferrules.diameter", 3.1);
        assertThat(strings.build()
                        .fitting()
                        .ferrule(Feature.parse("ferrules"), TestParts.ferrule())
                        .seat()
                        .value())
                .isEqualTo(3.1);
        strings.read("size:ferrules.diameter", 3);
        assertThatThrownBy(strings::build).isInstanceOf(Refusal.class).hasMessageContaining("as wide as");
    }

    @Test
    void a_vibratos_route_takes_the_block_and_its_swing() {
        TestBody body = new TestBody();
        var bare = body.build().design().bridge();
        var bridge = new Bridge(
                "vibrato",
                9,
                16,
                OptionalDouble.of(12),
                0,
                10,
                0,
                80,
                40,
                bare.footprintY(),
                0,
                Optional.empty(),
                Optional.of(TestBody.vibrato(42)),
                Optional.empty(),
                Optional.of(TestParts.vibrato()));
        Build build = new Build(
                body.design()
                        .with(bridge, body.pickups, body.controls, body.design().cavities(), body.jack),
                body.shop,
                AsBuilt.NOTHING_YET);
        assertThat(build.design().bridge().vibrato().orElseThrow().routeAcross())
                .isEqualTo(52 + 2 * 2);
        assertThat(build.design().bridge().vibrato().orElseThrow().routeAlong()).isEqualTo(12 + 8 + 2 * 2);
    }
}
