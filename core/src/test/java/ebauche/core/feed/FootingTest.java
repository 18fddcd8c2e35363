package ebauche.core.feed;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import ebauche.core.geometry.Point;
import ebauche.core.geometry.Region;
import ebauche.core.passes.BaseSupport;
import ebauche.core.passes.Foot;
import java.util.Arrays;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** How a base stands, in closed form; what bands of the grain are called. */
class FootingTest {
    /** Work that fills the half plane y < 0. */
    private static final Region WORK = Region.rectangle(new Point(0, -200), 800, 400, 0, 0);

    private static final Point OUT = new Point(0, 1);

    /** A round base of 160 with its axis d outside a straight edge: the segment beyond the chord is what hangs over. */
    @ParameterizedTest
    @CsvSource({"0", "6", "20", "-30"})
    void a_round_base_at_a_straight_edge(double d) {
        double r = 80;
        double over = r * r * Math.acos(-d / r) + d * Math.sqrt(r * r - d * d);
        BaseSupport stands = BaseSupport.at(WORK, new Point(7, d), OUT, Foot.round(160));
        assertThat(stands.share()).isCloseTo(1 - over / (Math.PI * r * r), within(0.002));
        // The axis is d outside the wood that carries it; the hand presses a quarter of the base, 40 mm, nearer to the
        // work.
        if (d > 0) {
            assertThat(stands.margin()).isCloseTo(d, within(0.01));
        }
        // It stands by its way to the edge of the work, or to the base's own rim.
        double pressed = Math.min(40 - d, 80 - 40);
        assertThat(stands.stand()).isCloseTo(pressed, within(0.05));
        assertThat(stands.footing()).isEqualTo(BaseSupport.Footing.STEADY);
    }

    /** Pressed 12 inside the carried wood wants care, 8 tips, and a base with nothing under it has half of itself to fall. */
    @Test
    void a_base_that_stands_on_little() {
        assertThat(BaseSupport.at(WORK, new Point(0, 28), OUT, Foot.round(160)).footing())
                .isEqualTo(BaseSupport.Footing.SHAKY);
        assertThat(BaseSupport.at(WORK, new Point(0, 32), OUT, Foot.round(160)).footing())
                .isEqualTo(BaseSupport.Footing.TIPS);
        BaseSupport air = BaseSupport.at(WORK, new Point(0, 90), OUT, Foot.round(160));
        assertThat(air).isEqualTo(new BaseSupport(0, 80, -80));
        assertThat(Arrays.stream(BaseSupport.Footing.values()).map(BaseSupport.Footing::words))
                .containsExactly("steady", "wants a steady inner hand", "tips");
    }

    /** An offset base reaches its knob over the work: 150 of base, its knob 120 in, pressed there. */
    @Test
    void an_offset_base_is_pressed_at_its_knob() {
        Foot offset = Foot.offset(150, 120);
        assertThat(offset.knob()).isEqualTo(75);
        assertThat(offset.pressed(new Point(3, 5), OUT)).isEqualTo(new Point(3, -115));
        Region foot = offset.over(new Point(0, 0), OUT);
        assertThat(foot.minY()).isCloseTo(-120 - 37.5, within(0.1));
        assertThat(foot.maxY()).isCloseTo(75, within(0.1));
        assertThat(foot.maxX()).isCloseTo(75, within(0.1));
        assertThat(BaseSupport.at(WORK, new Point(0, 10), OUT, offset).stand()).isGreaterThan(35);
        Region round = Foot.round(150).over(new Point(0, 0), OUT);
        assertThat(round.area()).isCloseTo(Math.PI * 75 * 75, within(20.0));
    }

    /** At an outside corner a turn of the hands to the broad side stands better than straight inward, on either side alike. */
    @Test
    void the_router_is_turned_to_the_broader_work() {
        Region strip = Region.rectangle(new Point(100, -15), 200, 30, 0, 0);
        Region mirrored = Region.rectangle(new Point(-100, -15), 200, 30, 0, 0);
        double right =
                BaseSupport.at(strip, new Point(10, 0), OUT, Foot.round(160)).stand();
        double left = BaseSupport.at(mirrored, new Point(-10, 0), OUT, Foot.round(160))
                .stand();
        assertThat(right).isCloseTo(left, within(1e-6));
        // Turned by 70 degrees the hand presses 40 sin 70 to the side and 40 cos 70 = 13.7 in, the edges 13.7 and 16.3
        // away.
        assertThat(right).isCloseTo(40 * Math.cos(Math.toRadians(70)), within(0.1));
        for (Foot foot : List.of(Foot.round(160), Foot.offset(150, 110))) {
            assertThat(BaseSupport.at(strip, new Point(10, 0), OUT, foot).stand())
                    .isCloseTo(
                            BaseSupport.at(mirrored, new Point(-10, 0), OUT, foot)
                                    .stand(),
                            within(1e-6));
        }
    }

    @Test
    void bands_of_the_grain_grow_worse_in_their_order() {
        int last = -1;
        for (FeedMap.Band band : FeedMap.Band.values()) {
            assertThat(band.harm()).isEqualTo(++last);
            assertThat(band.words()).contains(band == FeedMap.Band.END_GRAIN ? "end grain" : "the grain");
        }
    }

    /** Work, base and hands turned together stand as before. */
    @Test
    void how_a_base_stands_does_not_depend_on_how_the_work_lies() {
        for (Foot foot : List.of(Foot.round(160), Foot.offset(150, 110))) {
            BaseSupport upright =
                    BaseSupport.at(Region.rectangle(new Point(100, -15), 200, 30, 0, 0), new Point(10, 0), OUT, foot);
            for (double degrees : new double[] {37, 90, 200}) {
                double c = Math.cos(Math.toRadians(degrees));
                double s = Math.sin(Math.toRadians(degrees));
                BaseSupport turned = BaseSupport.at(
                        Region.rectangle(new Point(100 * c + 15 * s, 100 * s - 15 * c), 200, 30, 0, degrees),
                        new Point(10 * c, 10 * s),
                        new Point(-s, c),
                        foot);
                assertThat(turned.stand()).isCloseTo(upright.stand(), within(0.1));
                assertThat(turned.share()).isCloseTo(upright.share(), within(0.003));
            }
        }
    }
}
