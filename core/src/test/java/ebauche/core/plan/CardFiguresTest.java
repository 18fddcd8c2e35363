package ebauche.core.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import ebauche.core.TestBody;
import ebauche.core.TestTimber;
import ebauche.core.crib.Bit;
import ebauche.core.crib.Router;
import ebauche.core.design.Blank;
import ebauche.core.design.Contour;
import ebauche.core.feature.Feature;
import ebauche.core.feature.Work;
import ebauche.core.geometry.Face;
import ebauche.core.geometry.Point;
import ebauche.core.hardware.Pickup;
import ebauche.core.operation.Inspection;
import ebauche.core.operation.Operation;
import ebauche.core.passes.Cutter;
import ebauche.core.sheet.DepthCard;
import ebauche.core.stock.Profile;
import ebauche.core.timber.Hardness;
import java.util.List;
import java.util.OptionalDouble;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What stands on the cards: what is kept and how much of it is good, minutes, what must not be there. */
class CardFiguresTest {
    private static Operation step(TestBody body, String key) {
        return body.schedule()
                .step(key)
                .orElseThrow(() -> new AssertionError(key))
                .operation();
    }

    /** A pickup's cavity 19 deep with 0.3 to sand: its last light pass keeps 0.8, and half a millimetre may be missing before it. */
    @Test
    void what_a_last_pass_keeps_stands_on_the_card_before_it() {
        TestBody body = new TestBody();
        Operation rough = step(body, "pickup-neck:rough");
        double whole = 19 + body.build().faces().toSand(Face.FRONT);
        double keep = body.shop.practice().lastPass();
        assertThat(rough.setting().figure().orElseThrow().value()).isCloseTo(whole - keep, within(1e-9));
        Inspection read = rough.inspections().get(0);
        assertThat(read.most()).isCloseTo(whole - keep + body.shop.bands().pass(), within(1e-9));
        assertThat(read.least()).isCloseTo(whole - keep - body.shop.bands().pass(), within(1e-9));
        Operation rout = step(body, "pickup-neck:rout");
        assertThat(rout.setting().figure().orElseThrow().value()).isCloseTo(whole, within(1e-9));
        assertThat(rout.inspections().get(0).least())
                .isCloseTo(whole - body.shop.bands().room(), within(1e-9));
        double stop =
                step(body, "pickup-neck:waste").setting().figure().orElseThrow().value();
        assertThat(stop).as("the drill stops short of the floor").isLessThan(whole - keep);
        // What is wood under the drill's stop is left by the change, too.
        assertThat(step(body, "pickup-neck:waste").changes().get(0).solid().deepest())
                .isCloseTo(body.build().faces().frontNow() + stop, within(1e-9));
    }

    /** Five minutes, and one for twelve cubic centimetres: common practice. The cavity is 80 x 30 with corners of 4.8. */
    @Test
    void minutes_grow_with_the_wood_that_is_taken() {
        TestBody body = new TestBody();
        double area = 80 * 30 - (4 - Math.PI) * 4.8 * 4.8;
        assertThat(step(body, "pickup-neck:rough").handsOnMinutes())
                .isEqualTo((int) Math.round(5 + area * 19.3 / 1000 / 12));
        body.pickups.set(0, TestBody.pickup("neck", 0, 130, 5));
        assertThat(step(body, "pickup-neck:rout").handsOnMinutes())
                .as("a shallow one is taken at once")
                .isEqualTo(8 + (int) Math.round(5 + area * 5.3 / 1000 / 12));
    }

    /** Facts of the trade: sanding is about half of the hands-on time, a forearm in ash by rasp takes 45 to 60 min, a hollow 20 to 25. */
    @Test
    void times_are_those_of_the_trade() {
        TestBody body = new TestBody();
        List<BuildPlan.PlanStep> steps = body.schedule().steps();
        double all = minutes(steps);
        double sanding = minutes(
                steps.stream().filter(s -> s.operation().work() == Work.SANDING).toList());
        assertThat(sanding / all).isBetween(0.4, 0.6);
        body.contours.add(new Contour(
                "arm",
                Face.FRONT,
                new Contour.Start.Across(new Point(-160, 20), new Point(0, -150)),
                12,
                Profile.Shape.STRAIGHT,
                OptionalDouble.empty()));
        int alder = step(body, "contour-arm:carve").handsOnMinutes();
        body.blank = Blank.plain(TestTimber.ASH, 2, 340, 420, 45, body.blankThickness);
        assertThat(step(body, "contour-arm:carve").handsOnMinutes())
                .isBetween(45, 60)
                .isGreaterThan(alder);
        body.pickups.set(0, new Pickup("neck", new Point(0, 60), 200, 120, 10, 0, 30, Set.of()));
        assertThat(step(body, "pickup-neck:rough").handsOnMinutes())
                .as("720 cm³, the size of a hollow")
                .isBetween(20, 25);
    }

    private static double minutes(List<BuildPlan.PlanStep> steps) {
        return steps.stream().mapToDouble(s -> s.operation().handsOnMinutes()).sum();
    }

    @Test
    void an_undecided_cavity_has_no_card_and_each_card_has_its_own_walls_only() {
        TestBody body = new TestBody();
        assertThat(DepthCard.of(body.plan()))
                .extracting(x -> x.feature().word())
                .contains("pickup-neck");
        for (DepthCard card : DepthCard.of(body.plan())) {
            assertThat(card.walls())
                    .allMatch(w ->
                            w.feature().equals(card.feature()) || w.neighbour().equals(card.feature()));
            assertThat(card.left())
                    .allMatch(l -> l.thin().feature().equals(card.feature())
                            || l.thin().neighbour().equals(card.feature()));
        }
        assertThat(DepthCard.of(body.plan())).anyMatch(c -> !c.walls().isEmpty());
        body.undecided = Set.of(Feature.parse("pickup-neck"));
        assertThat(DepthCard.of(body.plan()))
                .extracting(x -> x.feature().word())
                .doesNotContain("pickup-neck")
                .contains("pickup-bridge");
    }

    /** A worn edge takes 0.7 of what a sharp one does, a dull one 0.4, hard wood half of what soft does: common practice. */
    @ParameterizedTest
    @CsvSource({"SHARP, 1", "WORN, 0.7", "DULL, 0.4"})
    void an_edge_that_is_not_sharp_takes_less(Bit.Edge edge, double share) {
        Bit usual = Bit.usual("bit", Bit.Bearing.AT_SHANK, 12.7, 25.4, 12.7);
        Bit bit = new Bit(
                usual.name(),
                usual.profile(),
                usual.bearing(),
                usual.diameter(),
                usual.cutterLength(),
                usual.overallLength(),
                usual.shank(),
                usual.bearingDiameter(),
                usual.bearingWidth(),
                usual.flutes(),
                usual.spiral(),
                usual.centreCutting(),
                usual.mostTurns(),
                edge,
                usual.bearingSound(),
                "");
        Router router = Router.usual("router", 152.4, 60);
        double sharp = new Cutter(usual, router).crossSection(Hardness.MEDIUM);
        assertThat(new Cutter(bit, router).crossSection(Hardness.MEDIUM)).isCloseTo(share * sharp, within(1e-9));
        assertThat(new Cutter(bit, router).crossSection(Hardness.HARD))
                .isCloseTo(0.5 * new Cutter(bit, router).crossSection(Hardness.SOFT), within(1e-9));
    }
}
