package ebauche.core.blank;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import ebauche.core.TestBody;
import ebauche.core.TestTimber;
import ebauche.core.design.Blank;
import ebauche.core.design.BlankLayer;
import ebauche.core.design.Plates;
import ebauche.core.design.Strip;
import ebauche.core.geometry.Face;
import ebauche.core.job.Build;
import ebauche.core.job.Finding;
import ebauche.core.layout.Need;
import ebauche.core.layout.Pocket;
import ebauche.core.operation.Operation;
import ebauche.core.plan.BuildPlan;
import ebauche.core.routing.LayerChange;
import ebauche.core.stock.Change;
import ebauche.core.timber.Defect;
import ebauche.core.timber.Flaw;
import ebauche.core.timber.Rings;
import ebauche.core.timber.Side;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** A body with a top glued over its core: its steps, what each layer must hold, and the faults of either. */
class TopBodyTest {
    private static BlankLayer layer(int pieces, double thick, Flaw... flaws) {
        BlankLayer even = BlankLayer.even(pieces == 2 ? TestTimber.ASH : TestTimber.ALDER, pieces, 340, thick);
        return new BlankLayer(even.species(), even.strips(), thick, List.of(flaws));
    }

    private static TestBody body(BlankLayer core, BlankLayer top) {
        TestBody body = new TestBody();
        body.blank = new Blank(340, 420, 0, 45, core, Optional.of(top));
        return body;
    }

    private static List<String> keys(BuildPlan plan) {
        return plan.steps().stream()
                .map(s -> s.operation().key().written())
                .filter(k -> k.startsWith("blank:"))
                .toList();
    }

    private static Operation step(BuildPlan plan, String key) {
        return plan.step(key).orElseThrow(() -> new AssertionError(key)).operation();
    }

    @Test
    void core_and_top_are_each_made_then_levelled_then_one() {
        assertThat(keys(body(layer(3, 40), layer(2, 10)).plan()))
                .containsSubsequence("blank:joint", "blank:glue", "blank:top-level", "blank:top")
                .containsSubsequence("blank:top-joint", "blank:top-glue", "blank:top-level");
        assertThat(keys(body(layer(1, 40), layer(1, 10)).plan()))
                .containsExactly("blank:cut", "blank:top-level", "blank:top");
        assertThat(keys(body(layer(1, 40), layer(2, 10)).plan())).contains("blank:top-joint", "blank:top-glue");
    }

    /** Ten of top over forty of core: what is glued on weighs what both weigh, one over the other. */
    @Test
    void the_last_glue_up_puts_both_layers_on_the_bench() {
        TestBody body = body(layer(1, 40), layer(2, 10));
        double upper = -body.build().roughAboveFront();
        List<Change> wood = step(body.plan(), "blank:top").changes();
        assertThat(wood).hasSize(2).allSatisfy(c -> assertThat(c).isInstanceOf(Change.Add.class));
        assertThat(wood)
                .extracting(
                        c -> c.solid().shallowest(),
                        c -> c.solid().deepest(),
                        c -> ((Change.Add) c).material().timber())
                .containsExactly(
                        org.assertj.core.groups.Tuple.tuple(upper, upper + 10, "ash"),
                        org.assertj.core.groups.Tuple.tuple(upper + 10, upper + 50, "alder"));
        assertThat(step(body.plan(), "blank:cut").changes())
                .as("the core alone is no blank yet")
                .isEmpty();
    }

    /** Half an hour and five minutes a piece; twenty a seam to joint; the core is levelled to its own thickness. */
    @Test
    void times_and_settings_of_the_glue_ups() {
        BuildPlan plan = body(layer(3, 40), layer(2, 10)).plan();
        assertThat(step(plan, "blank:joint").handsOnMinutes()).isEqualTo(40);
        assertThat(step(plan, "blank:top-joint").handsOnMinutes()).isEqualTo(20);
        assertThat(step(plan, "blank:glue").handsOnMinutes()).isEqualTo(45);
        assertThat(step(plan, "blank:top-glue").handsOnMinutes()).isEqualTo(40);
        assertThat(step(plan, "blank:top-level")
                        .setting()
                        .figure()
                        .orElseThrow()
                        .value())
                .isEqualTo(40);
        assertThat(step(plan, "blank:glue").waitMinutes())
                .isEqualTo((int) Math.round(plan.build().shop().curing().value()));
        assertThat(step(plan, "blank:glue").cautions()).as("PVA is water").isEmpty();
    }

    /** From 50 with 3 more than thicknessed: half of that and what is sanded comes off the top. */
    @ParameterizedTest
    @CsvSource({"10, false", "3.4, true"})
    void a_top_that_would_be_sanded_through_is_told(double top, boolean tooThin) {
        TestBody body = body(layer(1, 50 - top), layer(2, top));
        double left =
                top - body.build().roughAboveFront() - body.build().faces().frontFinished();
        List<Finding> found = body.plan().findings().stream()
                .filter(f -> f.rule().equals("top-too-thin"))
                .toList();
        assertThat(found).hasSize(tooThin ? 1 : 0);
        assertThat(left < 3).isEqualTo(tooThin);
        found.forEach(f -> {
            assertThat(f.severity()).isEqualTo(Finding.Severity.THINK_AGAIN);
            assertThat(f.numbers().get(0).value()).isCloseTo(left, within(1e-9));
        });
    }

    /** What is left of the top, the core under it, and pockets as deep in the core as they are in the body less the top. */
    @Test
    void each_layer_is_judged_by_what_it_must_hold() {
        TestBody body = body(layer(1, 40), layer(2, 10));
        BuildPlan plan = body.plan();
        double top = BlankNeed.finishedTop(plan.build()).orElseThrow();
        assertThat(top)
                .isCloseTo(
                        10
                                - plan.build().roughAboveFront()
                                - plan.build().faces().frontFinished(),
                        within(1e-9));
        assertThat(BlankNeed.finishedTop(new TestBody().build())).isEmpty();
        double flattening = body.shop.cutting().flattening();
        double sanding = body.shop.practice().frontSanding();
        Need whole = BlankNeed.whole(plan.build(), plan.history());
        Need over = BlankNeed.top(plan.build(), plan.history(), top);
        Need under = BlankNeed.core(plan.build(), plan.history(), top, Plates.NONE);
        assertThat(whole.finished()).isEqualTo(body.thickness);
        assertThat(whole.rough()).isCloseTo(plan.build().thicknessed() + flattening, within(1e-9));
        assertThat(over.finished()).isEqualTo(top);
        assertThat(over.rough()).isCloseTo(top + sanding + flattening, within(1e-9));
        assertThat(under.finished()).isCloseTo(body.thickness - top, within(1e-9));
        assertThat(under.rough()).isCloseTo(plan.build().thicknessed() - top + flattening, within(1e-9));
        assertThat(List.of(whole.showsFront(), over.showsFront(), under.showsFront()))
                .containsExactly(true, true, false);
        assertThat(List.of(whole.showsBack(), over.showsBack(), under.showsBack()))
                .containsExactly(true, false, true);
        Pocket neck = whole.pockets().stream()
                .filter(p -> p.area().contains(body.screws.get(0)) && p.area().area() > 1000)
                .max(Comparator.comparingDouble(Pocket::bottom))
                .orElseThrow();
        double deepest = step(plan, "neck:rout").changes().get(0).solid().deepest()
                - plan.build().faces().frontFinished();
        assertThat(neck.bottom()).isCloseTo(deepest, within(1e-9));
        assertThat(under.pockets())
                .as("what ends in the top is none of the core's")
                .hasSameSizeAs(
                        whole.pockets().stream().filter(p -> p.bottom() > top).toList())
                .anySatisfy(p -> assertThat(p.bottom()).isCloseTo(neck.bottom() - top, within(1e-9)));
    }

    /** A knot through the middle of the core is unseen; the same in the top shows; at the core's back it shows on the back. */
    @Test
    void faults_of_core_and_top_are_told_where_they_show() {
        Flaw inCore = new Flaw(Defect.Kind.KNOT, -60, -40, -40, -20, 10, 20);
        assertThat(body(layer(1, 40, inCore), layer(2, 10)).rules()).doesNotContain("fault-in-the-way");
        Flaw through = new Flaw(Defect.Kind.KNOT, -60, -40, -40, -20, 0, 10);
        Finding onTop = fault(body(layer(1, 40), layer(2, 10, through)));
        assertThat(onTop.what(v -> "")).contains("knot", "shows on the front").doesNotContain("back");
        assertThat(onTop.where().orElseThrow()).isEqualTo(new ebauche.core.geometry.Point(-50, -30));
        assertThat(onTop.severity()).isEqualTo(Finding.Severity.THINK_AGAIN);
        Flaw atBack = new Flaw(Defect.Kind.KNOT, -60, -40, -40, -20, 30, 40);
        assertThat(fault(body(layer(1, 40, atBack), layer(2, 10))).what(v -> ""))
                .contains("shows on the back")
                .doesNotContain("front");
    }

    /** In one layer a knot at the front surface goes with what is planed off, a deeper one shows. */
    @Test
    void a_fault_that_is_planed_away_is_none() {
        TestBody body = new TestBody();
        double off = body.build().roughAboveFront() + body.build().faces().frontFinished();
        assertThat(off).isPositive();
        for (boolean stays : List.of(false, true)) {
            Flaw flaw = new Flaw(Defect.Kind.KNOT, -60, -40, -40, -20, 0, off + (stays ? 0.5 : -0.1));
            body.blank = new Blank(340, 420, 0, 45, layer(1, body.blankThickness, flaw), Optional.empty());
            assertThat(body.rules().contains("fault-in-the-way")).isEqualTo(stays);
        }
    }

    /** Boards that were chosen are named where they are cut, each once; what is begun is told. */
    @Test
    void the_boards_that_were_chosen_are_cut_first() {
        Strip first = new Strip(170, "B1", Side.A, true, Rings.FLAT, Optional.empty(), 0, 0, Optional.empty());
        Strip second = new Strip(170, "B2", Side.A, true, Rings.FLAT, Optional.empty(), 0, 0, Optional.empty());
        TestBody body = new TestBody();
        body.blank = new Blank(
                340,
                420,
                0,
                45,
                new BlankLayer(TestTimber.ALDER, List.of(first, second), 40, List.of()),
                Optional.of(new BlankLayer(TestTimber.ASH, List.of(first, first), 10, List.of())));
        BuildPlan plan = body.plan();
        assertThat(step(plan, "blank:pieces").title()).endsWith("from B1, B2, B1");
        assertThat(step(plan, "blank:pieces").handsOnMinutes()).isEqualTo(25);
        assertThat(keys(plan)).startsWith("blank:pieces").doesNotContain("blank:cut");
        assertThat(BlankProgress.begun(body.build())).isEmpty();
        body.done("blank:pieces");
        assertThat(BlankProgress.begun(body.build())).contains("cut already");
        body.done("blank:joint").done("blank:glue");
        assertThat(BlankProgress.begun(body.build())).contains("glued up already");
    }

    private static Finding fault(TestBody body) {
        return body.plan().findings().stream()
                .filter(f -> f.rule().equals("fault-in-the-way"))
                .findFirst()
                .orElseThrow();
    }

    /** Through a 10 mm top of another timber the colour tells the depth: from the front as far as the top still reaches, from the back the rest. */
    @Test
    void the_colour_changes_where_a_cut_comes_through_the_top() {
        TestBody body = body(layer(1, 40), BlankLayer.even(TestTimber.ASH, 1, 340, 10));
        Build build = body.build();
        double reaches = build.topReaches().orElseThrow() + build.faces().toSand(Face.FRONT);
        LayerChange pickup =
                LayerChange.of(build, step(body.plan(), "pickup-bridge:rout")).orElseThrow();
        assertThat(pickup.depth().value()).isCloseTo(reaches, within(1e-9));
        assertThat(pickup.from()).isEqualTo(TestTimber.ASH.name());
        // A recess in the back sees none of the top; a cavity from the back that leaves less than the top sees it come.
        assertThat(LayerChange.of(build, step(body.plan(), "cover:rout"))).isEmpty();
        LayerChange controls =
                LayerChange.of(build, step(body.plan(), "controls:rout")).orElseThrow();
        assertThat(controls.depth().value()).isCloseTo(build.thicknessNow() - reaches, within(1e-9));
        assertThat(controls.to()).isEqualTo(TestTimber.ASH.name());
        assertThat(LayerChange.of(build, step(body.plan(), "outline:rout"))).isPresent();
        TestBody alike = body(layer(1, 40), layer(1, 10));
        assertThat(LayerChange.of(alike.build(), step(alike.plan(), "pickup-bridge:rout")))
                .isEmpty();
    }

    /** A core of which no strip is the layer's own timber is told by what its strips are. */
    @Test
    void the_colour_changes_to_what_the_strips_are_of() {
        List<Strip> strips = Stream.of(TestTimber.ASH, TestTimber.WALNUT, TestTimber.ASH)
                .map(s -> Strip.plain(340.0 / 3).of(s))
                .toList();
        TestBody body = body(
                new BlankLayer(TestTimber.ALDER, strips, 40, List.of()), BlankLayer.even(TestTimber.ALDER, 1, 340, 10));
        assertThat(LayerChange.of(body.build(), step(body.plan(), "pickup-bridge:rout"))
                        .orElseThrow()
                        .to())
                .isEqualTo("white ash with black walnut");
    }
}
