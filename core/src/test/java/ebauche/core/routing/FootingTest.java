package ebauche.core.routing;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import ebauche.core.TestBody;
import ebauche.core.build.Finding;
import ebauche.core.crib.Bit;
import ebauche.core.crib.Crib;
import ebauche.core.design.Contour;
import ebauche.core.feature.Feature;
import ebauche.core.geometry.Face;
import ebauche.core.geometry.Point;
import ebauche.core.geometry.Region;
import ebauche.core.measure.Reckoning;
import ebauche.core.operation.Condition;
import ebauche.core.passes.GuidedCut;
import ebauche.core.shop.Shop;
import ebauche.core.stock.Profile;
import ebauche.core.timber.Hardness;
import java.util.Arrays;
import java.util.List;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** How a base stands, in closed form; what a crib without the bit is told; what bands of the grain are called. */
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

    private static Finding trouble(Crib crib, double corner, double deep, double work) {
        GuidedCut cut = new GuidedCut(deep, work, corner, OptionalDouble.empty(), 0.8, 6.35, Hardness.MEDIUM, 12)
                .drilledFirst();
        return CribTrouble.of(cut, crib, "cavity", Feature.parse("pickup-neck"), "cavity", new Point(1, 2), corner)
                .orElseThrow();
    }

    /** Without a bit for the corner the corner is told, and a bit that would turn in it; without a long one the depth. */
    @Test
    void what_the_crib_lacks_is_told_with_what_would_do() {
        Crib crib = Shop.starter(1).crib();
        List<Bit> large = crib.bits().stream().filter(b -> b.diameter() > 15).toList();
        Finding corner = trouble(crib.only(large), 4, 19, 45);
        assertThat(corner.rule()).isEqualTo("no-bit");
        assertThat(corner.what(FootingTest::n)).contains("turns in the cavity's corner of 4.0");
        assertThat(corner.cure(FootingTest::n))
                .contains("a shank-bearing bit 6.3 across with a cutter " + n(number(corner, "its cutter's length"))
                        + " long")
                .contains("Open the corner, or square it by hand otherwise.");
        Finding through = trouble(crib.only(large), 4, 45, 45);
        assertThat(through.cure(FootingTest::n)).contains("Open the curve, or finish the corner by file");
        List<Bit> stubs = List.of(Bit.usual("stub", Bit.Bearing.AT_SHANK, 12.7, 6.35, 6.35));
        Finding deep = trouble(crib.only(stubs), 8, 44, 60);
        assertThat(deep.rule()).isEqualTo("no-passes");
        assertThat(deep.what(FootingTest::n)).contains("make the cavity, 44.0 deep, on a template 6.3 thick");
        assertThat(deep.numbers()).extracting(Finding.Value::name).startsWith("corner radius", "depth", "template");
        assertThat(deep.cure(FootingTest::n)).contains("Make it another depth");
        assertThat(deep.where()).contains(new Point(1, 2));
    }

    private static Finding.Value number(Finding finding, String name) {
        return finding.numbers().stream()
                .filter(v -> v.name().equals(name))
                .findFirst()
                .orElseThrow();
    }

    private static String n(Finding.Value value) {
        return String.valueOf(Math.floor(value.value() * 10) / 10);
    }

    @Test
    void bands_of_the_grain_grow_worse_in_their_order() {
        int last = -1;
        for (FeedMap.Band band : FeedMap.Band.values()) {
            assertThat(band.harm()).isEqualTo(++last);
            assertThat(band.words()).contains(band == FeedMap.Band.END_GRAIN ? "end grain" : "the grain");
        }
    }

    /** A hole through the body is as deep as the body is now: less what was sanded off either face. */
    @Test
    void through_the_body() {
        TestBody body = new TestBody();
        body.doneUpTo("thickness:back").read("sanded-off:front", 0.2).read("sanded-off:back", 0.1);
        Reckoning depth = Drilling.throughBody(body.build());
        assertThat(depth.value()).isCloseTo(body.build().thicknessed() - 0.3, within(1e-9));
        assertThat(depth.terms())
                .extracting(Reckoning.Term::value)
                .containsExactly(
                        body.build().faces().frontNow(), body.build().faces().backNow());
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

    /** A carve that is still to come over a place, of that face only; a floor that is to be a top waits for it, no other does. */
    @Test
    void what_waits_for_a_carve() {
        TestBody body = new TestBody();
        body.contours.add(new Contour(
                "arm",
                Face.FRONT,
                new Contour.Start.Across(new Point(60, -150), new Point(160, -30)),
                5,
                Profile.Shape.STRAIGHT,
                OptionalDouble.empty()));
        Region under = Region.disc(new Point(130, -100), 20);
        Condition.Mark carved = Datum.carved(Feature.parse("contour-arm"));
        assertThat(Datum.carvesToCome(body.build(), Face.FRONT, under)).containsExactly(carved);
        assertThat(Datum.carvesToCome(body.build(), Face.BACK, under)).isEmpty();
        assertThat(Datum.carvesToCome(body.build(), Face.FRONT, Region.disc(new Point(-100, 100), 20)))
                .isEmpty();
        assertThat(body.plan().steps())
                .filteredOn(s -> s.operation().needs().contains(carved))
                .extracting(s -> s.operation().key().written())
                .containsExactly("controls:rout");
        body.done("contour-arm:carve");
        assertThat(Datum.carvesToCome(body.build(), Face.FRONT, under)).isEmpty();
    }
}
