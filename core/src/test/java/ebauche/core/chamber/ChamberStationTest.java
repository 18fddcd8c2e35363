package ebauche.core.chamber;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import ebauche.core.TestBody;
import ebauche.core.TestTimber;
import ebauche.core.design.Blank;
import ebauche.core.design.BlankLayer;
import ebauche.core.feature.Feature;
import ebauche.core.feature.FeatureKind;
import ebauche.core.geometry.Outline;
import ebauche.core.hardware.Chamber;
import ebauche.core.hollow.Hollow;
import ebauche.core.job.Build;
import ebauche.core.job.UnderTop;
import ebauche.core.measure.Refusal;
import ebauche.core.operation.Operation;
import ebauche.core.operation.Setting;
import ebauche.core.plan.BuildPlan;
import ebauche.core.routing.LayerChange;
import ebauche.core.stock.WoodLeft;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.function.Consumer;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Chambers under a top: cut before it is glued, told as wood that is gone, and closed only when all is in. */
class ChamberStationTest {
    /** On the bass side, between the centre block and the edge. */
    private static final String BASS = "M -140 -60 L -60 -60 L -60 60 L -140 60 Z";

    private static final Feature CHAMBER = Feature.of(FeatureKind.CHAMBER, "bass");

    private static TestBody body(double floor, String... parts) {
        TestBody body = new TestBody();
        BlankLayer core = BlankLayer.even(TestTimber.ALDER, 2, 340, 40);
        BlankLayer top = BlankLayer.even(TestTimber.ASH, 2, 340, 10);
        body.blank = new Blank(340, 420, 0, 45, core, Optional.of(top));
        body.chambers.add(new Chamber(
                "bass", List.of(parts).stream().map(p -> Outline.parse(p, 1)).toList(), floor, Set.of()));
        return body;
    }

    private static String circle(double x, double y, double diameter) {
        double r = diameter / 2;
        return String.format(
                Locale.ROOT,
                "M %f %f A %f %f 0 0 1 %f %f A %f %f 0 0 1 %f %f Z",
                x - r,
                y,
                r,
                r,
                x + r,
                y,
                r,
                r,
                x - r,
                y);
    }

    private static Operation step(BuildPlan plan, String key) {
        return plan.step(key).orElseThrow(() -> new AssertionError(key)).operation();
    }

    private static List<String> keys(BuildPlan plan) {
        return plan.steps().stream().map(s -> s.operation().key().written()).toList();
    }

    @Test
    void it_is_marked_and_hollowed_between_the_levelling_and_the_top() {
        assertThat(keys(body(8, BASS).plan()))
                .containsSubsequence(
                        "blank:glue", "blank:top-level", "chamber-bass:mark", "chamber-bass:rout", "blank:top")
                .containsSubsequence("blank:top", "neck:rout");
        assertThat(body(8, BASS).plan().findings())
                .filteredOn(f -> f.isOn(CHAMBER))
                .extracting(f -> f.rule())
                .isSubsetOf("cap-bends", "chamber-no-bit");
    }

    /** The levelled core lies there by itself, so that the wood can be weighed with its hollow open; the top comes over it. */
    @Test
    void the_core_is_on_the_bench_before_its_top() {
        BuildPlan plan = body(8, BASS).plan();
        double front = UnderTop.front(plan.build());
        assertThat(step(plan, "blank:top-level").changes()).hasSize(1).allSatisfy(c -> {
            assertThat(c.solid().shallowest()).isEqualTo(front);
            assertThat(c.solid().deepest()).isCloseTo(front + 40, within(1e-9));
        });
        assertThat(step(plan, "blank:top").changes())
                .hasSize(1)
                .allSatisfy(c -> assertThat(c.solid().deepest()).isEqualTo(front));
        int top = keys(plan).indexOf("blank:top");
        double deep = UnderTop.depth(
                        plan.build(), plan.build().design().chambers().get(0))
                .value();
        assertThat(plan.history().before(top).intervalsAt(-100, 0)).satisfies(is(front + deep, front + 40));
        assertThat(plan.history().before(top + 1).intervalsAt(-100, 0))
                .satisfies(is(front - 10, front, front + deep, front + 40));
    }

    /** The grid keeps its depths as floats. */
    private static Consumer<double[]> is(double... wanted) {
        return found -> assertThat(found).containsExactly(wanted, within(1e-5));
    }

    /** Alder, 400 kg a cubic metre or so: volume by its own box, times density. */
    @Test
    void the_finished_body_lacks_exactly_its_volume() {
        TestBody whole = body(8, BASS);
        whole.chambers.clear();
        BuildPlan hollow = body(8, BASS).plan();
        double deep = UnderTop.depth(
                        hollow.build(), hollow.build().design().chambers().get(0))
                .value();
        double gone = whole.plan().history().finished().volume()
                - hollow.history().finished().volume();
        assertThat(gone).isCloseTo(80.0 * 120 * deep, within(80.0 * 120 * deep * 0.002));
    }

    /** Core 40, of which the blank's spare and the sanding come off the back; 8 stay. */
    @Test
    void its_depth_leaves_the_floor_to_the_finished_back() {
        BuildPlan plan = body(8, BASS).plan();
        Build build = plan.build();
        double deep = UnderTop.depth(build, build.design().chambers().get(0)).value();
        assertThat(UnderTop.front(build) + deep).isCloseTo(build.faces().backFinished() - 8, within(1e-9));
        assertThat(step(plan, "chamber-bass:rout")
                        .setting()
                        .figure()
                        .orElseThrow()
                        .value())
                .isEqualTo(deep);
        assertThat(thin(plan, WoodLeft.Kind.FLOOR, Feature.BACK)).isCloseTo(8, within(1e-9));
        assertThat(thin(plan, WoodLeft.Kind.FLOOR, Feature.FRONT))
                .isCloseTo(build.topReaches().orElseThrow(), within(1e-9));
    }

    private static double thin(BuildPlan plan, WoodLeft.Kind kind, Feature neighbour) {
        return plan.thinnest().stream()
                .filter(t -> t.feature().equals(CHAMBER)
                        && t.kind() == kind
                        && t.neighbour().equals(neighbour))
                .findFirst()
                .orElseThrow()
                .thickness();
    }

    /** A reading from the core's front moves the floor, whatever is sanded off the body's front later. */
    @Test
    void a_reading_moves_its_floor() {
        TestBody body = body(8, BASS);
        body.doneUpTo("chamber-bass:mark");
        double wanted = body.figure("chamber-bass:rout");
        body.read("depth:chamber-bass", wanted + 1.5, "chamber-bass:rout").done("chamber-bass:rout");
        assertThat(thin(body.plan(), WoodLeft.Kind.FLOOR, Feature.BACK)).isCloseTo(6.5, within(1e-6));
    }

    @Test
    void round_holes_of_one_size_are_drilled_in_one_step() {
        TestBody body = body(8, circle(-110, -40, 25.4), circle(-70, -40, 25.4), circle(-110, 0, 25.4));
        BuildPlan plan = body.plan();
        Operation drill = step(plan, "chamber-bass:rout");
        assertThat(drill.title()).isEqualTo("Drill the 3 holes of the bass chamber");
        assertThat(drill.setting()).isInstanceOf(Setting.Drilled.class);
        assertThat(drill.places()).hasSize(3);
        assertThat(body(3, circle(-110, 0, 25.4)).rules()).contains("spur-comes-through");
    }

    @Test
    void the_top_waits_for_every_chamber() {
        BuildPlan plan = body(8, BASS).plan();
        assertThat(plan.reasons(step(plan, "blank:top").key()))
                .extracting(l -> l.before().written())
                .contains("chamber-bass:rout");
    }

    @Test
    void a_top_that_is_on_closes_what_was_never_cut() {
        TestBody body = body(8, BASS);
        List<Chamber> later = List.copyOf(body.chambers);
        body.chambers.clear();
        body.doneUpTo("blank:top");
        body.chambers.addAll(later);
        assertThat(body.rules()).contains("chamber-closed");
        assertThat(wood(body)).isCloseTo(body.thickness, within(1e-3));
    }

    @Test
    void drawn_larger_once_it_is_cut_it_lacks_what_still_stands() {
        TestBody body = body(8, BASS);
        body.doneUpTo("chamber-bass:rout");
        assertThat(body.rules()).doesNotContain("chamber-lacks");
        body.chambers.set(
                0, body(8, "M -140 -60 L -50 -60 L -50 60 L -140 60 Z").chambers.get(0));
        assertThat(what(body)).as("10 of 90 by 120").contains("11 %").doesNotContain("under the top");
        TestBody again = body(8, "M -140 -60 L -50 -60 L -50 60 L -140 60 Z");
        again.timeline.addAll(body.timeline);
        assertThat(keys(again.plan())).containsSubsequence("chamber-bass:rout", "chamber-bass:widen", "blank:top");
        again.done("chamber-bass:widen");
        assertThat(again.rules()).doesNotContain("chamber-lacks");
        assertThat(again.plan().history().finished().intervalsAt(-55, 0)).hasSize(4);
        body.done("blank:top");
        assertThat(what(body)).contains("under the top");
        assertThat(keys(body.plan())).doesNotContain("chamber-bass:widen");
    }

    /** Cut to a floor of 8 and then drawn with 5: three millimetres more in a step of its own while it is open, told once it is closed. */
    @Test
    void drawn_deeper_once_it_is_cut_it_is_taken_down_while_it_is_open() {
        TestBody body = body(8, BASS);
        body.doneUpTo("chamber-bass:rout");
        double cut = body.figure("chamber-bass:rout");
        body.chambers.set(0, body.chambers.get(0).leaving(5));
        assertThat(keys(body.plan())).containsSubsequence("chamber-bass:rout", "chamber-bass:deepen", "blank:top");
        assertThat(body.figure("chamber-bass:deepen")).isCloseTo(cut + 3, within(1e-6));
        assertThat(wood(body)).isCloseTo(7.25 + 5, within(1e-3));
        assertThat(body.rules()).contains("cut-too-shallow");
        TestBody closed = body(8, BASS);
        closed.timeline.addAll(body.timeline);
        closed.done("blank:top");
        closed.chambers.set(0, closed.chambers.get(0).leaving(5));
        assertThat(keys(closed.plan())).doesNotContain("chamber-bass:deepen");
        assertThat(closed.plan().findings())
                .filteredOn(f -> f.rule().equals("cut-too-shallow"))
                .singleElement()
                .satisfies(f -> assertThat(f.cure()).contains("Nobody reaches it"));
        body.done("chamber-bass:deepen");
        assertThat(body.rules()).doesNotContain("cut-too-shallow");
        List<String> steps = keys(body.plan());
        body.doneUpTo(steps.get(steps.size() - 1));
        assertThat(body.rules()).doesNotContain("cut-too-shallow");
        assertThat(wood(body)).isCloseTo(7.25 + 5, within(1e-3));
    }

    /** Its depth was read from the core's front, which lies under the top: what is sanded off the body's front takes nothing of it. */
    @Test
    void sanding_the_front_makes_no_chamber_shallower() {
        TestBody body = body(8, BASS);
        List<String> steps = keys(body.plan());
        body.doneUpTo(steps.get(steps.size() - 1));
        body.read("sanded-off:front", 1.5);
        assertThat(body.plan().findings())
                .filteredOn(f -> f.isOn(CHAMBER))
                .extracting(f -> f.rule())
                .doesNotContain("cut-too-shallow");
    }

    private static String what(TestBody body) {
        return body.plan().findings().stream()
                .filter(f -> f.rule().equals("chamber-lacks"))
                .findFirst()
                .orElseThrow()
                .what();
    }

    /** Levelled before anyone thought of a chamber: its marking puts the core on the bench, and the top comes over it. */
    @Test
    void a_chamber_may_still_be_thought_of_once_the_core_is_level() {
        TestBody body = body(8, BASS);
        List<Chamber> later = List.copyOf(body.chambers);
        body.chambers.clear();
        body.doneUpTo("blank:top-level");
        body.chambers.addAll(later);
        assertThat(wood(body)).isCloseTo(7.25 + 8, within(1e-3));
        body.done("chamber-bass:mark").done("chamber-bass:rout").done("blank:top");
        assertThat(wood(body)).isCloseTo(7.25 + 8, within(1e-3));
        body.chambers.clear();
        assertThat(wood(body))
                .as("what was cut stays cut, whatever the design says now")
                .isCloseTo(7.25 + 8, within(1e-3));
    }

    @Test
    void what_cannot_be_is_told() {
        assertThat(body(60, BASS).rules()).contains("chamber-no-depth");
        TestBody open = body(8, BASS);
        open.blank = null;
        assertThat(open.rules()).contains("chamber-open");
        assertThat(body(8, "M -200 -60 L -60 -60 L -60 60 L -200 60 Z").rules()).contains("breaks-out");
        TestBody joined = body(8, "M 60 -80 L 140 -80 L 140 0 L 60 0 Z");
        assertThat(joined.rules()).as("into the controls").isNotEmpty().contains("breaks-in");
        assertThatThrownBy(() -> body(8, BASS, BASS))
                .isInstanceOf(Refusal.class)
                .hasMessageContaining("lie on each other");
    }

    /** A round that lies in it stays, carries the top, and halves its span. */
    @Test
    void a_post_in_it_stays_and_carries_the_top() {
        TestBody open = body(8, BASS);
        TestBody post = body(8, BASS, circle(-100, 0, 30));
        double area = 80 * 120 - Math.PI * 225;
        assertThat(post.chambers.get(0).plan().area()).isCloseTo(area, within(2.0));
        assertThat(wood(post)).isCloseTo(post.thickness, within(1e-3));
        assertThat(thumb(post)).isLessThan(thumb(open) / 2);
        assertThatThrownBy(() -> body(8, BASS, circle(-60, 0, 30)))
                .isInstanceOf(Refusal.class)
                .hasMessageContaining("cross");
    }

    /** Wood over one another at the middle of the chamber in the finished body, mm. */
    private static double wood(TestBody body) {
        double[] at = body.plan().history().finished().intervalsAt(-100, 0);
        double wood = 0;
        for (int i = 0; i < at.length; i += 2) {
            wood += at[i + 1] - at[i];
        }
        return wood;
    }

    private static double thumb(TestBody body) {
        return new ChamberStation()
                .rules(body.build()).stream()
                        .filter(r -> r.name().equals("cap-bends"))
                        .findFirst()
                        .orElseThrow()
                        .number()
                        .value();
    }

    /** What the hollow page reckons is what the chamber cuts: area and mass within what its line is drawn to. */
    @Test
    void the_largest_hollow_becomes_a_chamber() {
        TestBody body = body(8, BASS);
        body.chambers.clear();
        Build build = body.build();
        Hollow.Asked asked = Hollow.Asked.USUAL.capped(build.topReaches().orElseThrow());
        Hollow hollow = Hollow.of(build, asked);
        List<Chamber> chambers = hollow.chambers();
        assertThat(chambers).extracting(Chamber::id).contains("left", "right").doesNotHaveDuplicates();
        assertThat(chambers.stream().mapToDouble(c -> c.plan().area()).sum())
                .isCloseTo(hollow.area(), within(hollow.area() * 1e-3));
        double before = body.plan().history().finished().balance().grams();
        body.chambers.addAll(chambers);
        double after = body.plan().history().finished().balance().grams();
        assertThat(before - after).isCloseTo(hollow.grams(), within(hollow.grams() * 0.003));
        Hollow holes = Hollow.of(build, new Hollow.Asked(16, 90, asked.cap(), 10, 12.7, Optional.of(25.4)));
        body.chambers.clear();
        body.chambers.addAll(holes.chambers());
        assertThat(step(body.plan(), "chamber-holes:rout").title())
                .isEqualTo("Drill the " + holes.parts().size() + " holes of the holes chamber");
    }

    /** A long hole through it comes out in it and goes on: nothing breaks in. Nothing of the core's front changes colour. */
    @Test
    void a_channel_through_the_hollow_opens_into_it() {
        TestBody body = body(8, BASS).wired();
        body.chambers.clear();
        Hollow.Asked asked = new Hollow.Asked(16, 40, 6, 8, 12.7, Optional.empty())
                .capped(body.build().topReaches().orElseThrow());
        List<Chamber> chambers = Hollow.of(body.build(), asked).chambers();
        assertThat(chambers)
                .flatExtracting(Chamber::joins)
                .extracting(Feature::word)
                .contains("channel-wires");
        body.chambers.addAll(chambers);
        BuildPlan plan = body.plan();
        assertThat(plan.findings())
                .filteredOn(f -> f.rule().equals("breaks-in"))
                .extracting(f -> f.what())
                .isEmpty();
        assertThat(LayerChange.of(
                        plan.build(), step(plan, "chamber-" + chambers.get(0).id() + ":rout")))
                .isEmpty();
        assertThat(step(plan, "chamber-" + chambers.get(0).id() + ":rout")
                        .setting()
                        .with())
                .contains("by eye")
                .doesNotContain("bearing");
    }

    @ParameterizedTest
    @ValueSource(doubles = {0, 101, Double.NaN})
    void a_floor_that_no_body_has_is_refused(double floor) {
        assertThatThrownBy(() -> body(floor, BASS)).isInstanceOf(Refusal.class);
    }

    /** 80 by 120 mm under 5 mm of top: c = 0.00702, w = c P b² 12 (1 - 0.09) / (E h³), by hand. */
    @Test
    void the_cap_is_judged_by_a_thumb() {
        TestBody body = body(8, BASS);
        Build build = body.build();
        double h = build.topReaches().orElseThrow();
        double c = 0.00691 + (0.00712 - 0.00691) * 0.5;
        double w = c * 50 * 80 * 80 * 12 * 0.91 / (800 * h * h * h);
        assertThat(new ChamberStation().rules(build))
                .filteredOn(r -> r.name().equals("cap-bends"))
                .singleElement()
                .satisfies(r -> assertThat(r.number().value()).isCloseTo(w, within(w * 0.01)));
    }
}
