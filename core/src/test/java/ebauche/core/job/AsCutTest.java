package ebauche.core.job;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import ebauche.core.TestBody;
import ebauche.core.design.Measurand;
import ebauche.core.feature.Feature;
import ebauche.core.feature.StepKey;
import ebauche.core.feature.StepKind;
import ebauche.core.geometry.Face;
import ebauche.core.geometry.Point;
import ebauche.core.geometry.Region;
import ebauche.core.logbook.AsBuilt;
import ebauche.core.measure.Reckoning;
import ebauche.core.measure.Refusal;
import ebauche.core.stock.Change;
import ebauche.core.stock.Solid;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/**
 * What the record tells of a cavity, worked by hand: entries made here, of a body whose front is still to be sanded by f. A depth is
 * told under the finished front: what was read or set, less what was sanded since, less f.
 */
class AsCutTest {
    private static final Feature FEATURE = Feature.parse("pickup-bridge");
    private static final Measurand DEPTH = new Measurand.DepthOf(FEATURE);

    private final TestBody body = new TestBody();
    private double f;

    @BeforeEach
    void set_out() {
        f = body.build().faces().toSand(Face.FRONT);
        assertThat(f).isPositive();
    }

    private AsCut cut() {
        return new AsCut(body.build(), FEATURE, Face.FRONT);
    }

    /** A step that took a prism from the front as it was then down to a depth. */
    private AsCutTest did(String step, double depth) {
        body.timeline.add(done(step, Face.FRONT, Solid.Prism.between(plan(), 0, depth), Map.of(DEPTH, depth)));
        return this;
    }

    private static AsBuilt.Done done(String step, Face face, Solid solid, Map<Measurand, Double> expected) {
        return new AsBuilt.Done(
                "d-" + step,
                "2026-11-02T10:00:00Z",
                "me",
                StepKey.parse(FEATURE + ":" + step),
                step,
                face,
                List.of(Change.Remove.fromBody(FEATURE, solid)),
                expected);
    }

    private static Region plan() {
        return Region.rectangle(new Point(0, 40), 70, 20, 0, 0);
    }

    private AsCutTest read(String step, double depth) {
        body.read("depth:" + FEATURE, depth, FEATURE + ":" + step);
        return this;
    }

    private Reckoning depth() {
        return cut().depth("depth as it is").orElseThrow();
    }

    private void comesTo(double underFinished, String from) {
        assertThat(depth().value()).isCloseTo(underFinished, within(1e-9));
        assertThat(depth().terms().get(0).name()).isEqualTo(from);
    }

    @Test
    void nothing_is_told_of_what_was_never_cut() {
        assertThat(cut().depth("depth")).isEmpty();
        assertThat(cut().isBegun()).isFalse();
        assertThat(cut().begun()).isZero();
        assertThat(cut().taken().isEmpty()).isTrue();
        assertThat(cut().lacks(30)).isZero();
        assertThat(cut().isTooShallow(30)).isFalse();
    }

    @Test
    void as_its_card_had_it_until_it_is_read() {
        did("rout", 19);
        comesTo(19 - f, "depth set when it was cut");
        assertThat(cut().lacks(21)).isCloseTo(2 + f, within(1e-9));
        read("rout", 18.4);
        comesTo(18.4 - f, "measured depth, m");
        assertThat(cut().lacks(21)).isCloseTo(2.6 + f, within(1e-9));
    }

    /** Read before the step is called done: still what the gauge found. */
    @Test
    void a_reading_before_done_counts() {
        read("rout", 18.4).did("rout", 19);
        comesTo(18.4 - f, "measured depth, m");
    }

    /** Cut again after a reading: the card's number of the new cut, until that is read. */
    @Test
    void cut_again_after_a_reading() {
        did("rout", 19).read("rout", 18.4).did("deepen", 20.5);
        comesTo(20.5 - f, "depth set when it was cut");
        read("deepen", 20.3);
        comesTo(20.3 - f, "measured depth, m");
        did("widen", 20.6);
        comesTo(20.6 - f, "depth set when it was cut");
    }

    /** The reading at the deepening itself, taken before it was called done, is no older one. */
    @Test
    void the_deepening_read_before_done() {
        did("rout", 19).read("rout", 18.4).read("deepen", 20.3).did("deepen", 20.5);
        comesTo(20.3 - f, "measured depth, m");
    }

    @Test
    void sanding_since_makes_it_shallower() {
        did("rout", 19);
        body.read("sanded-off:front", 0.2);
        double still = body.build().faces().toSand(Face.FRONT);
        assertThat(depth().value()).isCloseTo(19 - 0.2 - still, within(1e-9));
        read("rout", 18.7);
        assertThat(depth().value()).as("read after it was sanded").isCloseTo(18.7 - still, within(1e-9));
        body.read("sanded-off:front", 0.1);
        assertThat(depth().value()).isCloseTo(18.7 - 0.1 - body.build().faces().toSand(Face.FRONT), within(1e-9));
    }

    /** How far it has come from the face as it is now: as read at the step, else as its card had it. */
    @Test
    void how_far_it_is_begun() {
        did("start", 6);
        assertThat(cut().begun()).isEqualTo(6);
        assertThat(cut().isBegun()).isTrue();
        assertThat(cut().lacks(21))
                .as("not at depth yet, so nothing is missing")
                .isZero();
        did("rough", 12).read("rough", 11.6);
        assertThat(cut().begun()).isCloseTo(11.6, within(1e-9));
        body.read("sanded-off:front", 0.2);
        assertThat(cut().begun()).isCloseTo(11.4, within(1e-9));
        assertThat(cut().came(StepKind.START).orElseThrow()).isCloseTo(5.8, within(1e-9));
        assertThat(cut().came(StepKind.ROUT)).isEmpty();
    }

    @Test
    void which_of_two_steps_came_first() {
        did("rout", 19).did("widen", 19);
        assertThat(cut().isDoneBefore(StepKind.ROUT, StepKind.WIDEN)).isTrue();
        assertThat(cut().isDoneBefore(StepKind.WIDEN, StepKind.ROUT)).isFalse();
        assertThat(cut().isDoneBefore(StepKind.ROUT, StepKind.DEEPEN)).isFalse();
        assertThat(cut().isDoneBefore(StepKind.DEEPEN, StepKind.ROUT)).isFalse();
        assertThat(cut().isDoneBefore(StepKind.ROUT, StepKind.ROUT)).isFalse();
    }

    /** What the card's band allows is not worth another round; where only room is wanted that is more than for the neck. */
    @Test
    void what_is_worth_another_round() {
        did("rout", 19);
        double bands = body.build().bands(Feature.parse("pickup-neck"), Face.FRONT, false);
        assertThat(bands).isEqualTo(body.shop.bands().room());
        double now = 19 - f;
        assertThat(cut().isTooShallow(now + bands)).isFalse();
        assertThat(cut().isTooShallow(now + bands + 0.01)).isTrue();
        AsBuilt.Done neck = new AsBuilt.Done(
                "neck",
                "2026-11-02T10:00:00Z",
                "me",
                StepKey.parse("neck:rout"),
                "",
                Face.FRONT,
                List.of(),
                Map.of(new Measurand.DepthOf(Feature.parse("neck")), 16.0));
        body.timeline.add(neck);
        AsCut pocket = new AsCut(body.build(), Feature.parse("neck"), Face.FRONT);
        double seat = body.build().bands(Feature.parse("neck"), Face.FRONT, false);
        assertThat(seat).isEqualTo(body.shop.limits().depthTolerance());
        assertThat(pocket.isTooShallow(16 - f + seat)).isFalse();
        assertThat(pocket.isTooShallow(16 - f + seat + 0.01)).isTrue();
    }

    /** What stands of a wanted area: a pencil's width round it is nothing, a strip of 2 by 20 is 34 mm² and some. */
    @Test
    void what_still_stands_of_an_area() {
        did("rout", 19);
        assertThat(cut().taken().area()).isCloseTo(1400, within(1e-6));
        assertThat(cut().standing(plan().grown(0.25)).isEmpty()).isTrue();
        Region wider = Region.rectangle(new Point(1, 40), 72, 20, 0, 0);
        assertThat(cut().standing(wider).area()).isCloseTo((2 - 0.3) * 20, within(0.1));
    }

    /** The wood follows the gauge: from the front its floor moves, from the back its roof. */
    @Test
    void the_cut_is_as_deep_as_it_was_read() {
        did("rout", 19).read("rout", 18.4);
        assertThat(actual(0).deepest()).isCloseTo(18.4, within(1e-9));
        assertThat(actual(0).shallowest()).isZero();
        double back = body.build().faces().backNow();
        AsBuilt.Done rear =
                done("deepen", Face.BACK, Solid.Prism.between(plan(), back - 30, back), Map.of(DEPTH, 30.0));
        body.timeline.add(rear);
        read("deepen", 31.5);
        assertThat(actual(2).shallowest()).isCloseTo(back - 31.5, within(1e-9));
        assertThat(actual(2).deepest()).isEqualTo(back);
    }

    /** Read after the face was sanded by 0.2: it was 0.2 deeper when it was cut. */
    @Test
    void a_late_reading_is_reduced_to_the_day_of_the_cut() {
        did("rout", 19);
        body.read("sanded-off:front", 0.2);
        read("rout", 18.6);
        assertThat(actual(0).deepest()).isCloseTo(18.8, within(1e-9));
    }

    private Solid actual(int entry) {
        Build build = body.build();
        return build.changes((AsBuilt.Done) body.timeline.get(entry)).get(0).solid();
    }

    @Test
    void a_reading_that_nothing_can_be_is_refused() {
        assertThatThrownBy(() -> new AsBuilt.Reading("r", "2026-11-02T10:00:00Z", "me", Optional.empty(), DEPTH, -1))
                .isInstanceOf(Refusal.class);
    }

    /** Read on the way down a thickness is no fact yet: from the thickness before sanding and its band on it is. */
    @Test
    void a_thickness_read_while_more_is_to_come_off_is_no_fact() {
        double wanted = body.build().thicknessed();
        body.read("body-thickness", wanted + 0.31);
        assertThat(body.build().faces().backNow()).isCloseTo(wanted, within(1e-9));
        body.read("body-thickness", wanted + 0.3);
        assertThat(body.build().faces().backNow()).isCloseTo(wanted + 0.3, within(1e-9));
        FinishedFaces faces = body.build().faces();
        assertThat(faces.fromFaceFinished(Face.BACK, 20)).isCloseTo(faces.backFinished() - 20, within(1e-9));
        assertThat(faces.fromFaceFinished(Face.FRONT, 20)).isCloseTo(20 - faces.frontFinished(), within(1e-9));
        assertThat(faces.fromFaceNow(Face.BACK, 20)).isCloseTo(faces.backNow() - 20, within(1e-9));
    }
}
