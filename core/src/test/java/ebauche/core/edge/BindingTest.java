package ebauche.core.edge;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import ebauche.core.TestBody;
import ebauche.core.TestTimber;
import ebauche.core.crib.Bit;
import ebauche.core.design.Binding;
import ebauche.core.design.Contour;
import ebauche.core.design.RoundOver;
import ebauche.core.feature.StepKey;
import ebauche.core.geometry.Face;
import ebauche.core.geometry.Outline;
import ebauche.core.geometry.Point;
import ebauche.core.geometry.Region;
import ebauche.core.job.History;
import ebauche.core.measure.Refusal;
import ebauche.core.operation.Setting;
import ebauche.core.plan.BuildPlan;
import ebauche.core.stock.Profile;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** A strip let into an edge: what its turns ask of it, against circles and ellipses; its ledge, its wood, its place in the order. */
class BindingTest {
    private static Binding maple(double thickness, double height) {
        return new Binding("front", Face.FRONT, thickness, height, Optional.of(TestTimber.ASH));
    }

    private static TestBody bound(Binding binding) {
        TestBody body = new TestBody();
        body.bindings.add(binding);
        return body;
    }

    /** Round a circle every fibre stretches by t / 2 over the radius of the middle, school geometry. */
    @ParameterizedTest
    @CsvSource({"40, 1.6", "25, 1.6", "60, 3", "100, 5"})
    void round_a_circle_it_stretches_by_half_its_thickness_over_the_radius(double radius, double thickness) {
        List<Bends> bends = Bends.of(Outline.circle(new Point(0, 0), 2 * radius), thickness);
        assertThat(bends).isNotEmpty();
        assertThat(bends.get(0).radius()).isCloseTo(radius, within(radius * 0.003));
        assertThat(bends.get(0).inside()).isFalse();
        assertThat(bends.get(0).strain()).isCloseTo(thickness / 2 / (radius - thickness / 2), within(0.0005));
        assertThat(Bends.strain(radius, true, thickness))
                .isCloseTo(thickness / 2 / (radius + thickness / 2), within(1e-12));
    }

    /** An ellipse is tightest at the ends of its long axis: b² / a. Its four quarters as cubic curves come within a per cent of it. */
    @Test
    void an_ellipse_is_tightest_at_the_ends_of_its_long_axis() {
        double a = 160;
        double b = 80;
        double k = 0.5522847498;
        String quarter = "M %s 0 C %s %s %s %s 0 %s C %s %s %s %s %s 0 C %s %s %s %s 0 %s C %s %s %s %s %s 0 Z";
        String path = String.format(
                Locale.ROOT,
                quarter,
                a,
                a,
                k * b,
                k * a,
                b,
                b,
                -k * a,
                b,
                -a,
                k * b,
                -a,
                -a,
                -k * b,
                -k * a,
                -b,
                -b,
                k * a,
                -b,
                a,
                -k * b,
                a);
        List<Bends> bends = Bends.of(Outline.parse(path, 1), 2);
        assertThat(bends.get(0).radius()).isCloseTo(b * b / a, within(b * b / a * 0.03));
        assertThat(Math.abs(bends.get(0).at().x())).isCloseTo(a, within(1.0));
        assertThat(bends.get(1).at().distance(bends.get(0).at())).isGreaterThan(200);
    }

    /** The ledge out, the strip in: in volume nothing, in mass the difference of the timbers; a ring of two millimetres is four cells of the grid wide. */
    @Test
    void the_strip_takes_the_ledges_place() {
        BuildPlan plan = bound(maple(2, 6)).plan();
        double out = grams(plan, "binding-front:rout", 0) - grams(plan, "binding-front:rout", 1);
        double in = grams(plan, "binding-front:glue", 1) - grams(plan, "binding-front:glue", 0);
        Region ledge = plan.build()
                .design()
                .bindings()
                .get(0)
                .on(
                        plan.build().design().outline(),
                        plan.build().design().neck().pocket());
        assertThat(out).isCloseTo(ledge.area() * 6 * TestTimber.ALDER.density().value() * 1e-6, within(out * 0.03));
        assertThat(in).isCloseTo(ledge.area() * 6 * TestTimber.ASH.density().value() * 1e-6, within(in * 0.03));
        assertThat(plan.history().thinnest())
                .extracting(t -> t.thickness())
                .isEqualTo(new TestBody()
                        .plan().history().thinnest().stream()
                                .map(t -> t.thickness())
                                .toList());
    }

    private static double grams(BuildPlan plan, String key, int after) {
        List<History.Step> steps = plan.history().steps();
        for (int i = 0; i < steps.size(); i++) {
            if (steps.get(i).operation().key().written().equals(key)) {
                return plan.history().before(i + after).balance().grams();
            }
        }
        throw new IllegalArgumentException(key);
    }

    /** Bound before it is rounded over: the round takes both. */
    @Test
    void it_is_let_in_before_the_corner_is_rounded() {
        TestBody body = bound(maple(1.6, 6));
        body.roundOvers.add(new RoundOver("front", Face.FRONT, 4, Optional.empty()));
        assertThat(body.plan().steps().stream()
                        .map(s -> s.operation().key().written())
                        .toList())
                .containsSubsequence(
                        "outline:finish",
                        "binding-front:rout",
                        "binding-front:bend",
                        "binding-front:glue",
                        "binding-front:finish",
                        "rounding-front:carve",
                        "sanding:front");
    }

    /** A bearing of the bit less twice the ledge, in steps; without one by gramil. */
    @Test
    void the_ledge_is_the_bits_less_its_bearings() {
        TestBody body = bound(maple(1.6, 7));
        assertThat(set(body.plan(), "binding-front:rout")).isInstanceOf(Setting.ByHand.class);
        body.shop = body.shop.with(body.shop
                .crib()
                .with(new Bit(
                        "rabbet",
                        Bit.Profile.RABBET,
                        Bit.Bearing.AT_TIP,
                        35,
                        13,
                        60,
                        12.7,
                        31.8,
                        5,
                        2,
                        Bit.Spiral.NONE,
                        false,
                        20_000,
                        Bit.Edge.SHARP,
                        true,
                        "")));
        assertThat(set(body.plan(), "binding-front:rout")).isInstanceOfSatisfying(Setting.Routed.class, r -> {
            assertThat(r.passes()).hasSize(3);
            assertThat(r.passes().get(2).to()).isEqualTo(7);
            assertThat(r.guide()).contains("31.8");
        });
    }

    private static Setting set(BuildPlan plan, String key) {
        return plan.step(StepKey.parse(key)).orElseThrow().operation().setting();
    }

    @Test
    void what_breaks_or_leaves_no_edge_is_told() {
        assertThat(bound(maple(1.6, 6)).rules()).doesNotContain("binding-bend", "binding-band");
        assertThat(bound(maple(6, 6)).rules()).contains("binding-bend");
        TestBody plastic = bound(new Binding("front", Face.FRONT, 6, 6, Optional.empty()));
        assertThat(plastic.rules()).doesNotContain("binding-bend");
        TestBody carved = bound(maple(1.6, 25));
        carved.contours.add(new Contour(
                "forearm",
                Face.FRONT,
                new Contour.Start.Across(new Point(-160, -60), new Point(-60, -150)),
                18,
                Profile.Shape.STRAIGHT,
                OptionalDouble.empty()));
        assertThat(carved.rules()).contains("binding-band");
        assertThatThrownBy(() -> maple(0.1, 6)).isInstanceOf(Refusal.class);
        assertThatThrownBy(() -> maple(2, 60)).isInstanceOf(Refusal.class);
    }

    /** A tenth longer than the edge; every turn that wants heat is a line of its own. */
    @Test
    void its_ledger_has_its_length_and_its_turns() {
        TestBody body = bound(maple(2.5, 6));
        Setting fit = set(body.plan(), "binding-front:bend");
        double strip = fit.ledger().get(0).figures().get(0).value();
        double edge = body.design().outline().region().perimeter();
        assertThat(strip).isBetween(edge * 0.9, edge * 1.12);
        assertThat(fit.ledger().stream()
                        .filter(r -> r.does().startsWith("Turn "))
                        .count())
                .isEqualTo(Bends.of(body.design().outline(), 2.5).size());
    }
}
