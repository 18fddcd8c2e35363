package ebauche.core.contour;

import static ebauche.core.contour.TestContours.*;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import ebauche.core.TestBody;
import ebauche.core.design.CarveSchool;
import ebauche.core.design.Contour;
import ebauche.core.geometry.Face;
import ebauche.core.geometry.Point;
import ebauche.core.measure.Refusal;
import ebauche.core.plan.BuildPlan;
import ebauche.core.stock.Profile;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;

/** A contour that ends on a definite edge, and a knob's recess. */
class EdgedAndRecessedTest {
    private static Contour edged(double edge) {
        Contour plain = forearm(16);
        return new Contour(
                plain.id(),
                plain.face(),
                plain.start(),
                16,
                Profile.Shape.STRAIGHT,
                OptionalDouble.empty(),
                Optional.empty(),
                OptionalDouble.of(edge));
    }

    private static Contour knob(Point at) {
        return new Contour(
                "knob", Face.FRONT, new Contour.Start.Disc(at, 28, 6), 3, Profile.Shape.HOLLOW, OptionalDouble.of(7.5));
    }

    @Test
    void a_definite_edge_stands_along_the_line_and_the_deepest_place_stays() {
        TestBody body = with(edged(1.5));
        Contour.Laid laid = body.build().contours().get(0);
        Contour.Laid plain = with(forearm(16)).build().contours().get(0);
        assertThat(laid.profile().width()).isCloseTo(plain.profile().width(), within(1e-9));
        assertThat(laid.under(0).mostFall(laid.plan())).isCloseTo(16, within(1e-9));
        assertThat(laid.profile().fall(1.5)).as("45 degrees down to it").isCloseTo(1.5, within(1e-9));
        assertThat(laid.volume()).isGreaterThan(plain.volume());
        assertThatThrownBy(() -> edged(16)).isInstanceOf(Refusal.class);
    }

    @Test
    void what_runs_out_over_the_line_leaves_no_definite_edge() {
        TestBody body = with(edged(1.5));
        List<Removal> ways = Removal.of(body.build(), body.build().contours().get(0));
        assertThat(ways)
                .filteredOn(
                        r -> r.cannot().filter(c -> c.contains("definite edge")).isPresent())
                .extracting(Removal::school)
                .containsExactlyInAnyOrder(CarveSchool.BAND_SAW, CarveSchool.DRUM, CarveSchool.BELT);
        assertThat(ways)
                .allSatisfy(r ->
                        assertThat(r.rows().get(r.rows().size() - 1).does()).contains("facet of 45 degrees"));
    }

    /** Half the wood over the surface is never cut: the steps off a fence stay over a surface that begins with an edge too. */
    @Test
    void steps_off_a_fence_stay_over_a_surface_with_an_edge() {
        Contour.Laid laid = with(edged(2)).build().contours().get(0);
        Profile profile = laid.profile();
        assertThat(ByMachine.passes(profile)).isNotEmpty().allSatisfy(p -> {
            double across = profile.width() - p.fromEdge();
            assertThat(profile.fall(across)).isGreaterThanOrEqualTo(p.depth() - 1e-3);
        });
    }

    @Test
    void a_knobs_recess_makes_its_controls_top_thinner_and_comes_while_the_face_is_flat() {
        TestBody flat = new TestBody();
        Point at = flat.controls.get(0).at();
        BuildPlan plain = flat.plan();
        TestBody body = with(knob(at), top(60, 8));
        BuildPlan plan = body.plan();
        double wood = body.build().thicknessAt(at);
        assertThat(flat.build().thicknessAt(at) - wood).isCloseTo(3, within(1e-9));
        List<String> keys =
                plan.steps().stream().map(s -> s.operation().key().written()).toList();
        assertThat(keys.indexOf("contour-knob:carve")).isBetween(0, keys.indexOf("contour-top:carve") - 1);
        assertThat(plain.steps().size()).isLessThan(plan.steps().size());
        assertThatThrownBy(() -> with(knob(new Point(900, 0))).build())
                .isInstanceOf(Refusal.class)
                .hasMessageContaining("off the body");
    }

    /** A template's hole is the recess less what the bit is wider than its bearing: by construction. */
    @Test
    void its_template_is_reckoned_and_the_crib_asked_for_a_bowl_bit() {
        TestBody body = with(knob(new Point(100, -40)));
        Contour.Laid laid = body.build().contours().get(0);
        Removal byTemplate = Removal.of(body.build(), laid).stream()
                .filter(r -> r.school() == CarveSchool.TEMPLATES)
                .findFirst()
                .orElseThrow();
        double hole = byTemplate.rows().get(0).figures().get(0).value();
        assertThat(hole).isLessThanOrEqualTo(28);
        assertThat(byTemplate.rows()).hasSizeGreaterThanOrEqualTo(4);
        assertThat(Removal.chosen(body.build(), laid).isPossible()).isTrue();
    }
}
