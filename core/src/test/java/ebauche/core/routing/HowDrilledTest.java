package ebauche.core.routing;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import ebauche.core.TestBody;
import ebauche.core.TestPractice;
import ebauche.core.crib.Crib;
import ebauche.core.crib.Machine;
import ebauche.core.operation.Operation;
import ebauche.core.shop.Practice;
import java.util.EnumSet;
import java.util.List;
import org.junit.jupiter.api.Test;

/** By the way a hole is drilled, how far its place, its depth and its end may be off. */
class HowDrilledTest {
    private static HowDrilled how(TestBody body, String key) {
        Operation step = body.schedule().step(key).orElseThrow().operation();
        return HowDrilled.of(body.build(), step).orElseThrow();
    }

    @Test
    void the_press_is_used_where_it_reaches_and_the_square_beyond_it() {
        TestBody body = new TestBody();
        assertThat(how(body, "control-volume:drill").way()).isEqualTo(HowDrilled.Way.PRESS);
        TestBody shallow = new TestBody();
        Crib c = shallow.shop.crib();
        shallow.shop = shallow.shop.with(new Crib(
                c.routers(),
                c.bits(),
                c.drills(),
                c.templates(),
                c.spacers(),
                c.saws(),
                c.drums(),
                c.aids(),
                List.of(new Machine("small press", Machine.Kind.DRILL_PRESS, 12)),
                c.bearings()));
        assertThat(how(shallow, "control-volume:drill").way()).isEqualTo(HowDrilled.Way.SQUARE);
        // A heel lies in the hand, and a body's edge under no press.
        assertThat(how(body, "neck-screws:heel").way()).isEqualTo(HowDrilled.Way.SQUARE);
        assertThat(how(body, "jack:drill").way()).isEqualTo(HowDrilled.Way.LEVEL);
    }

    @Test
    void hands_that_are_not_trusted_with_it_drill_by_eye() {
        TestBody body = new TestBody();
        body.shop = body.shop.with(TestPractice.with(body.shop.practice(), EnumSet.of(Practice.Skill.SAW)));
        assertThat(how(body, "jack:drill").way()).isEqualTo(HowDrilled.Way.EYE);
    }

    /** A degree over 57.3 mm is a millimetre (tan 1 degree = 0.017455): half a millimetre at the mark, so much more at the end. */
    @Test
    void a_drill_that_leans_is_off_by_more_at_its_end() {
        TestBody body = new TestBody();
        HowDrilled heel = how(body, "neck-screws:heel");
        double deep = body.schedule()
                .step("neck-screws:heel")
                .orElseThrow()
                .operation()
                .setting()
                .figure()
                .orElseThrow()
                .value();
        assertThat(heel.place().value()).isEqualTo(0.5);
        assertThat(heel.end().value()).isCloseTo(0.5 + deep * 0.017455, within(1e-4));
        assertThat(heel.depth().orElseThrow().value()).isEqualTo(1);
    }

    @Test
    void a_hole_right_through_has_no_depth_to_be_off_and_waste_no_place() {
        TestBody body = new TestBody();
        assertThat(how(body, "neck-screws:drill").depth()).isEmpty();
        assertThat(HowDrilled.of(
                        body.build(),
                        body.schedule()
                                .step("pickup-bridge:waste")
                                .orElseThrow()
                                .operation()))
                .isEmpty();
        assertThat(HowDrilled.of(
                        body.build(),
                        body.schedule().step("pickup-bridge:rout").orElseThrow().operation()))
                .isEmpty();
    }
}
