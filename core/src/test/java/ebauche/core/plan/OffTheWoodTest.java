package ebauche.core.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import ebauche.core.TestBody;
import ebauche.core.TestParts;
import ebauche.core.feature.Feature;
import ebauche.core.geometry.Point;
import ebauche.core.hardware.Bridge;
import ebauche.core.job.Finding;
import ebauche.core.shop.Limits;
import java.util.Optional;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;

/** Screws, strings and pockets that miss the wood, thin wood, and a block that is let in: each with its place, figure and side. */
class OffTheWoodTest {
    private static Finding found(TestBody body, String rule) {
        return body.plan().findings().stream()
                .filter(f -> f.rule().equals(rule))
                .findFirst()
                .orElseThrow(() -> new AssertionError(rule + " is not among " + body.rules()));
    }

    private static double number(Finding finding, String name) {
        return finding.numbers().stream()
                .filter(n -> n.name().equals(name))
                .findFirst()
                .orElseThrow()
                .value();
    }

    /** The pocket is 56 wide from 165 to 241: a hole of 4.76 at x = 27 reaches 1.38 beyond its wall. */
    @Test
    void a_neck_screw_beside_the_pocket_stops_the_build() {
        TestBody body = new TestBody();
        assertThat(body.rules()).doesNotContain("screw-off-pocket", "screw-off-body");
        body.screws.set(1, new Point(27, 180));
        Finding off = found(body, "screw-off-pocket");
        assertThat(off.severity()).isEqualTo(Finding.Severity.STOPS);
        assertThat(off.where()).contains(new Point(27, 180));
        assertThat(number(off, "beyond by")).isEqualTo(27 + 2.38 - 28, within(0.01));
        body.screws.set(1, new Point(-27, 180));
        assertThat(found(body, "screw-off-pocket").where().orElseThrow().x()).isNegative();
        body.screws.set(1, new Point(10, 262));
        assertThat(number(found(body, "screw-off-body"), "beyond by")).isEqualTo(22 + 2.38, within(0.01));
    }

    /** Similar triangles: nut 35, saddles 82 on a scale of 640; at 165 from the saddles 82 - 47 x 165 / 640 = 69.9 on a board of 56. */
    @Test
    void strings_wider_than_the_fingerboard_stop_the_build() {
        TestBody body = new TestBody();
        body.nutSpread = OptionalDouble.of(35);
        assertThat(body.rules()).doesNotContain("strings-off-fingerboard", "strings-near-edge");
        body.spread = 82;
        Finding off = found(body, "strings-off-fingerboard");
        assertThat(number(off, "strings' spread there")).isEqualTo(69.883, within(0.001));
        assertThat(number(off, "over its edge by")).isEqualTo((69.883 - 56) / 2, within(0.001));
        assertThat(found(body, "strings-beside-bridge").severity()).isEqualTo(Finding.Severity.STOPS);
        body.spread = 60;
        Finding near = found(body, "strings-near-edge");
        assertThat(near.severity()).isEqualTo(Finding.Severity.THINK_AGAIN);
        assertThat(number(near, "beside the outer string"))
                .isEqualTo((56 - (60 - 25 * 165 / 640.0)) / 2, within(0.001));
    }

    @Test
    void studs_and_strings_that_leave_the_body_are_found_at_the_one_that_does() {
        TestBody body = new TestBody();
        body.studs = Optional.of(new Bridge.Studs(310, 4, 11, 20));
        body.offCentre = 0.4;
        Finding stud = found(body, "hole-off-body");
        assertThat(stud.feature()).contains(Feature.parse("bridge-studs"));
        assertThat(stud.where().orElseThrow().x())
                .as("the one that is farther out")
                .isEqualTo(155.4, within(1e-6));
        assertThat(number(stud, "beyond by")).isEqualTo(155.4 + 5.5 - 160, within(0.02));
        body.studs = Optional.empty();
        body.stringThrough = Optional.of(new Bridge.StringThrough(-200, 3, Optional.of(TestParts.ferrule())));
        assertThat(found(body, "hole-off-body").feature()).contains(Feature.parse("string-holes"));
        body.stringThrough = Optional.of(new Bridge.StringThrough(-60, 3, Optional.empty()));
        // The footprint ends at -30.
        assertThat(number(found(body, "string-beside-bridge"), "beyond by")).isEqualTo(30 + 1.5, within(0.01));
    }

    /** 100 to the side wall at the body's end: a pocket of 318.4 leaves 0.8 on each side, one of 330 is wider than the body. */
    @Test
    void the_neck_pockets_cheeks_are_judged_and_what_does_not_fit_is_said_before_any_circle() {
        TestBody body = new TestBody();
        body.outline = "M -100 -150 L 100 -150 L 100 240 L -100 240 Z";
        body.controls.clear();
        body.cavities.clear();
        body.jack = Optional.empty();
        assertThat(body.rules()).doesNotContain("thin-wall", "breaks-out");
        body.pocketWidth = 198.4;
        Finding thin = found(body, "thin-wall");
        assertThat(thin.feature()).contains(Feature.parse("neck"));
        assertThat(number(thin, "wall left")).isEqualTo(0.8, within(1e-6));
        assertThat(thin.severity()).isEqualTo(Finding.Severity.STOPS);
        body.pocketWidth = 195.6;
        assertThat(number(found(body, "thin-wall"), "wall left")).isEqualTo(2.2, within(1e-6));
        assertThat(found(body, "thin-wall").severity()).isEqualTo(Finding.Severity.THINK_AGAIN);
        body.pocketWidth = 204;
        assertThat(body.plan().findings().get(0).rule()).isEqualTo("breaks-out");
        assertThat(number(found(body, "breaks-out"), "overlap")).isEqualTo(2, within(1e-6));
        body.pocketWidth = 56;
        body.endWallToSaddle = 210;
        assertThat(found(body, "pocket-off-body").severity()).isEqualTo(Finding.Severity.STOPS);
        body.endWallToSaddle = 150;
        assertThat(number(found(body, "mouth-closed"), "wood before the mouth")).isEqualTo(240 - 226, within(1e-6));
    }

    /** The shop says from where it stops: a floor of 1.4 with a limit of 1.5, and with one of 1. */
    @Test
    void thin_wood_stops_under_the_shops_limit() {
        TestBody body = new TestBody();
        body.pickups.set(0, TestBody.pickup("neck", 0, 130, 44.5 - 1.4));
        assertThat(found(body, "thin-floor").severity()).isEqualTo(Finding.Severity.STOPS);
        assertThat(number(found(body, "thin-floor"), "floor left")).isEqualTo(1.4, within(1e-6));
        body.shop = body.shop.with(new Limits(3, 3, 0.5, 0.15, 0.1, 0.1, 1, 1, 10, 20, 200));
        assertThat(found(body, "thin-floor").severity()).isEqualTo(Finding.Severity.THINK_AGAIN);
        body.pickups.set(0, TestBody.pickup("neck", 0, 130, 44.5 - 0.05));
        assertThat(found(body, "thin-floor").severity()).isEqualTo(Finding.Severity.STOPS);
        assertThat(body.plan().stops()).isTrue();
    }

    /** The route ends at 10; springs from 14 on are cut off from it by 4, from 8 on they are not. */
    @Test
    void a_spring_cavity_must_really_meet_the_blocks_route() {
        TestBody body = new TestBody();
        body.vibrato = Optional.of(new Bridge.Vibrato(40, 2, 56, 24, -2, 56, 84, 56, 12));
        Finding apart = found(body, "springs-miss-route");
        assertThat(apart.severity()).isEqualTo(Finding.Severity.STOPS);
        assertThat(number(apart, "wood between")).isEqualTo(4, within(1e-9));
        body.vibrato = Optional.of(new Bridge.Vibrato(40, 2, 56, 24, -2, 56, 84, 50, 12));
        assertThat(body.rules()).doesNotContain("springs-miss-route");
    }

    @Test
    void a_wired_body_without_a_way_for_its_wires_says_so_once() {
        assertThat(new TestBody().wired().rules()).doesNotContain("no-way-for-wires");
        TestBody body = new TestBody();
        assertThat(body.plan().findings())
                .filteredOn(f -> f.rule().equals("no-way-for-wires"))
                .singleElement()
                .satisfies(f -> assertThat(f.what()).contains("neck pickup and bridge pickup"));
        body.controls.clear();
        body.jack = Optional.empty();
        assertThat(body.rules()).doesNotContain("no-way-for-wires");
    }

    /** A block of 40 in a body of 44.5 leaves 4.5; its plate let in by 6, it stands 1.5 out of the back. */
    @Test
    void a_vibratos_block_is_measured_from_its_plate_which_may_be_let_in() {
        TestBody body = new TestBody();
        body.vibrato = Optional.of(TestBody.vibrato(40));
        assertThat(body.rules()).doesNotContain("block-too-long", "block-near-back");
        body.recess = 3;
        Finding near = found(body, "block-near-back");
        assertThat(number(near, "room left")).isEqualTo(1.5, within(1e-9));
        body.recess = 6;
        Finding proud = found(body, "block-too-long");
        assertThat(number(proud, "block")).isEqualTo(46, within(1e-9));
        assertThat(number(proud, "proud by")).isEqualTo(1.5, within(1e-9));
        body.plateUnderBridge = 2;
        assertThat(number(found(body, "block-near-back"), "room left")).isEqualTo(0.5, within(1e-9));
    }
}
