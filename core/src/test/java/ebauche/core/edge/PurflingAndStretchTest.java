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
import ebauche.core.geometry.Face;
import ebauche.core.geometry.Outline;
import ebauche.core.geometry.Point;
import ebauche.core.geometry.Region;
import ebauche.core.job.Finding;
import ebauche.core.logbook.AsBuilt;
import ebauche.core.measure.Refusal;
import ebauche.core.operation.Operation;
import ebauche.core.plan.BuildPlan;
import ebauche.core.plan.Stations;
import ebauche.core.stock.Profile;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;

/** Bindings along a part of the edge, with a purfling, round corners, and where hands cut their ledge. */
class PurflingAndStretchTest {
    private static Binding binding(Optional<Binding.Along> along, Optional<Binding.Purfling> purfling) {
        return new Binding("front", Face.FRONT, 2, 6, Optional.of(TestTimber.ASH), along, purfling, false);
    }

    private static TestBody bound(Binding binding) {
        TestBody body = new TestBody();
        body.bindings.add(binding);
        return body;
    }

    private static Bit rabbet(double bearing) {
        return new Bit(
                "rabbet " + bearing,
                Bit.Profile.RABBET,
                Bit.Bearing.AT_TIP,
                35,
                13,
                60,
                12.7,
                bearing,
                5,
                2,
                Bit.Spiral.NONE,
                false,
                20_000,
                Bit.Edge.SHARP,
                true,
                "");
    }

    private static Operation step(BuildPlan plan, String key) {
        return plan.step(key).orElseThrow(() -> new AssertionError(key)).operation();
    }

    /** On a straight part of the edge it is as long as the way, and ends square: a box of way by thickness. */
    @Test
    void along_a_straight_part_it_takes_a_box_that_ends_square() {
        Outline box = Outline.parse("M -100 -100 L 100 -100 L 100 100 L -100 100 Z", 1);
        Binding part =
                binding(Optional.of(new Binding.Along(new Point(-60, -100), new Point(60, -100))), Optional.empty());
        Region plan = part.on(box, Region.EMPTY);
        assertThat(plan.area()).isCloseTo(120 * 2, within(0.5));
        assertThat(plan.minX()).isCloseTo(-60, within(0.05));
        assertThat(plan.maxX()).isCloseTo(60, within(0.05));
        assertThat(plan.maxY()).isCloseTo(-98, within(0.01));
        // Anticlockwise: the other way round is the rest of the edge.
        Binding rest =
                binding(Optional.of(new Binding.Along(new Point(60, -100), new Point(-60, -100))), Optional.empty());
        Binding all = binding(Optional.empty(), Optional.empty());
        assertThat(rest.on(box, Region.EMPTY).area() + plan.area())
                .isCloseTo(all.on(box, Region.EMPTY).area(), within(1.0));
    }

    /** Rings of a disc by school geometry: 2 wide outside, 1.5 inside it. */
    @Test
    void a_purfling_lies_inside_the_binding() {
        Outline disc = Outline.circle(new Point(0, 0), 340);
        Binding both = binding(Optional.empty(), Optional.of(new Binding.Purfling(1.5, 2.5)));
        double outer = Math.PI * (170 * 170 - 168 * 168);
        double inner = Math.PI * (168 * 168 - 166.5 * 166.5);
        assertThat(both.on(disc, Region.EMPTY).area()).isCloseTo(outer, within(outer * 0.01));
        assertThat(both.purflingOn(disc, Region.EMPTY).area()).isCloseTo(inner, within(inner * 0.01));
        assertThat(both.purflingOn(disc, Region.EMPTY).overlaps(both.on(disc, Region.EMPTY)))
                .isFalse();
        assertThatThrownBy(() -> binding(Optional.empty(), Optional.of(new Binding.Purfling(1.5, 6))))
                .isInstanceOf(Refusal.class);
    }

    @Test
    void its_ledge_comes_first_with_a_bearing_of_its_own_and_the_body_weighs_what_it_did() {
        TestBody body = bound(binding(Optional.empty(), Optional.of(new Binding.Purfling(1.5, 2.5))));
        // 35 less twice 3.5 and less twice 2.
        body.shop = body.shop.with(body.shop.crib().with(rabbet(28)).with(rabbet(31)));
        BuildPlan plan = body.plan();
        List<String> keys =
                plan.steps().stream().map(s -> s.operation().key().written()).toList();
        assertThat(keys)
                .containsSubsequence(
                        "binding-front:purfle", "binding-front:rout", "binding-front:bend", "binding-front:glue");
        assertThat(step(plan, "binding-front:purfle").setting().passes())
                .extracting(p -> p.cutter().bit().bearingDiameter())
                .containsOnly(28.0);
        assertThat(step(plan, "binding-front:rout").setting().passes())
                .extracting(p -> p.cutter().bit().bearingDiameter())
                .containsOnly(31.0);
        assertThat(plan.history().finished().volume())
                .as("ledges out, strips in")
                .isCloseTo(new TestBody().plan().history().finished().volume(), within(100.0));
    }

    /** A square's corners turn by 90 degrees: each end is cut 45 off square. */
    @Test
    void round_corners_strips_are_mitred() {
        List<Bends.Corner> corners = Bends.corners(Outline.parse("M 0 0 L 100 0 L 100 100 L 0 100 Z", 1));
        assertThat(corners).hasSize(4).allSatisfy(c -> {
            assertThat(c.turn()).isCloseTo(90, within(1e-9));
            assertThat(c.mitre().value()).isCloseTo(45, within(1e-9));
            assertThat(c.inside()).isFalse();
        });
        // An L has one inside corner, whichever way it is walked.
        for (String path : List.of(
                "M 0 0 L 100 0 L 100 50 L 50 50 L 50 100 L 0 100 Z",
                "M 0 0 L 0 100 L 50 100 L 50 50 L 100 50 L 100 0 Z")) {
            assertThat(Bends.corners(Outline.parse(path, 1)))
                    .filteredOn(Bends.Corner::inside)
                    .singleElement()
                    .satisfies(
                            c -> assertThat(c.at().distance(new Point(50, 50))).isLessThan(1e-6));
        }
        assertThat(Bends.corners(Outline.circle(new Point(0, 0), 100))).isEmpty();
    }

    /** Where a contour of the back has taken the wall under the bearing, and at the jack, hands cut the ledge. */
    @Test
    void where_the_bearing_finds_no_wall_gramil_and_chisel_cut_it() {
        TestBody body = bound(binding(Optional.empty(), Optional.empty()));
        body.shop = body.shop.with(body.shop.crib().with(rabbet(31)));
        body.contours.add(new Contour(
                "belly",
                Face.BACK,
                new Contour.Start.Across(new Point(-160, -60), new Point(-60, -150)),
                40,
                Profile.Shape.STRAIGHT,
                OptionalDouble.empty()));
        double before = byHand(body);
        int minutes = step(body.plan(), "binding-front:rout").handsOnMinutes();
        body.doneUpTo("contour-belly:carve");
        body.timeline.removeIf(
                e -> e instanceof AsBuilt.Done d && d.operation().written().startsWith("binding-"));
        assertThat(byHand(body)).isGreaterThan(before + 50);
        assertThat(step(body.plan(), "binding-front:rout").handsOnMinutes()).isGreaterThan(minutes);
        assertThat(step(body.plan(), "binding-front:rout").places())
                .anyMatch(p -> p.name().contains("no wall") || p.name().contains("taken the wall"));
    }

    private static double byHand(TestBody body) {
        return Stations.zones(body.build(), body.bindings.get(0)).orElseThrow().byHandLength();
    }

    private static TestBody rounded(boolean first) {
        TestBody body = bound(new Binding(
                "front", Face.FRONT, 2, 6, Optional.of(TestTimber.ASH), Optional.empty(), Optional.empty(), first));
        body.roundOvers.add(new RoundOver("front", Face.FRONT, 4, Optional.empty()));
        return body;
    }

    /** Two schools: the ledge in a whole corner, or in a rounded one and the strip rounded with it. The body is the same. */
    @Test
    void the_corner_is_rounded_before_the_ledge_or_after_it() {
        BuildPlan after = rounded(false).plan();
        BuildPlan before = rounded(true).plan();
        assertThat(after.steps().stream()
                        .map(s -> s.operation().key().written())
                        .toList())
                .containsSubsequence("binding-front:rout", "binding-front:finish", "rounding-front:carve")
                .doesNotContain("binding-front:carve");
        assertThat(before.steps().stream()
                        .map(s -> s.operation().key().written())
                        .toList())
                .containsSubsequence(
                        "rounding-front:carve",
                        "binding-front:rout",
                        "binding-front:glue",
                        "binding-front:finish",
                        "binding-front:carve",
                        "sanding:front");
        assertThat(before.history().finished().volume())
                .isCloseTo(after.history().finished().volume(), within(60.0));
        assertThat(before.findings()).noneMatch(f -> f.severity() == Finding.Severity.STOPS);
    }
}
