package ebauche.core.contour;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import ebauche.core.TestBody;
import ebauche.core.design.CarveSchool;
import ebauche.core.design.Contour;
import ebauche.core.feature.StepKey;
import ebauche.core.feature.StepKind;
import ebauche.core.geometry.Face;
import ebauche.core.geometry.Outline;
import ebauche.core.geometry.Point;
import ebauche.core.geometry.Region;
import ebauche.core.job.Build;
import ebauche.core.operation.Setting;
import ebauche.core.stock.Profile;
import java.util.Optional;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Nested templates against the cut itself: the bit's profile swept along each line, cell by cell over a body. */
class NestedTemplatesOutsideTest {
    private static final Outline BODY = Outline.parse(
            "M -150 -60 C -170 -20 -150 60 -90 120 C -40 160 60 150 120 100 C 180 20 180 -80 110 -130 C 40 -170 -120 -130 -150 -60 Z",
            1);

    private static Contour.Laid top(double width, double depth, Profile.Shape shape) {
        return new Contour("top", Face.FRONT, new Contour.Start.Round(width), depth, shape, OptionalDouble.empty())
                .on(BODY);
    }

    /** Cell by cell, each as deep as the deepest cut whose template lies inside of it: proud everywhere, and nowhere by more than the step. */
    @ParameterizedTest
    @CsvSource({"60, 12, ROUND, 6.35", "60, 12, STRAIGHT, 6.35", "90, 16, ROUND, 0", "45, 9.5, BLENDED, 4"})
    void swept_cell_by_cell_the_cuts_stay_over_the_surface(
            double width, double depth, Profile.Shape shape, double corner) {
        Contour.Laid laid = top(width, depth, shape);
        Region body = BODY.region();
        NestedTemplates nested = NestedTemplates.of(laid, body, corner, 0.5, 2.5, Optional.empty());
        assertThat(nested.all()).hasSizeBetween(2, 12);
        double most = 0;
        for (double x = body.minX() + 1; x < body.maxX(); x += 4) {
            for (double y = body.minY() + 1; y < body.maxY(); y += 4) {
                Point at = new Point(x, y);
                if (!body.contains(at)) {
                    continue;
                }
                double cut = 0;
                for (NestedTemplates.Template each : nested.all()) {
                    double outside = each.line().outside(at);
                    if (outside > 0) {
                        // The bit's corner: a quarter round from the wall down to the floor.
                        double in = Math.max(0, corner - outside);
                        cut = Math.max(cut, each.depth() - (corner - Math.sqrt(corner * corner - in * in)));
                    }
                }
                double surface = laid.under(0).fall(at);
                assertThat(surface - cut).as("over the surface at %s", at).isGreaterThan(cut > 0 ? 0.4 : -1e-9);
                most = Math.max(most, surface - cut);
            }
        }
        assertThat(most).isCloseTo(nested.mostOver(), within(0.35));
        if (corner == 0) {
            assertThat(most).isLessThanOrEqualTo(2.5 + 0.5 + 0.1);
        }
    }

    /** At a sharp corner of the outline the bit's round stands off its template's corner: less stays over the surface, never nothing. */
    @Test
    void at_a_sharp_corner_no_cut_goes_below_either() {
        Outline sharp = Outline.parse("M -150 -120 L 150 -120 L 120 130 L -140 110 Z", 1);
        Contour.Laid laid = new Contour(
                        "top", Face.FRONT, new Contour.Start.Round(60), 12, Profile.Shape.ROUND, OptionalDouble.empty())
                .on(sharp);
        NestedTemplates nested = NestedTemplates.of(laid, sharp.region(), 6.35, 0.5, 2.5, Optional.empty());
        for (double e = 1; e < 60; e += 0.5) {
            Point at = new Point(-150 + e, -120 + e);
            double cut = nested.all().stream()
                    .mapToDouble(
                            t -> NestedTemplates.cut(6.35, t.depth(), t.line().outside(at)))
                    .max()
                    .orElse(0);
            assertThat(laid.under(0).fall(at) - cut).as("%s in", e).isGreaterThan(0);
        }
    }

    /** From the rim inward, each shallower than the last, the first as deep as a binding wants it. */
    @Test
    void each_is_shallower_and_smaller_than_the_last() {
        NestedTemplates nested =
                NestedTemplates.of(top(60, 12, Profile.Shape.ROUND), BODY.region(), 6.35, 0.5, 2.5, Optional.of(9.5));
        assertThat(nested.all().get(0).depth()).isEqualTo(9.5);
        for (int i = 1; i < nested.all().size(); i++) {
            assertThat(nested.all().get(i).depth())
                    .isLessThan(nested.all().get(i - 1).depth());
            assertThat(nested.all().get(i).inside())
                    .isGreaterThan(nested.all().get(i - 1).inside());
            assertThat(nested.all()
                            .get(i - 1)
                            .line()
                            .contains(nested.all().get(i).line()))
                    .isTrue();
        }
        int fine = NestedTemplates.of(top(60, 12, Profile.Shape.ROUND), BODY.region(), 6.35, 0.5, 1.2, Optional.empty())
                .all()
                .size();
        assertThat(fine)
                .as("a lower step wants more of them")
                .isGreaterThan(nested.all().size());
    }

    /** In a shop with a bit whose bearing is on its shank a carved top is roughed along them, line by line. */
    @Test
    void a_carved_top_is_brought_out_along_them() {
        TestBody body = new TestBody();
        body.contours.add(new Contour(
                "top",
                Face.FRONT,
                new Contour.Start.Round(50),
                10,
                Profile.Shape.ROUND,
                OptionalDouble.empty(),
                Optional.of(CarveSchool.TEMPLATES)));
        Build build = body.build();
        Removal by = Removal.chosen(build, build.contours().get(0));
        assertThat(by.school()).isEqualTo(CarveSchool.TEMPLATES);
        assertThat(by.isPossible()).isTrue();
        Setting set = body.plan()
                .step(StepKey.of(build.contours().get(0).feature(), StepKind.CARVE))
                .orElseThrow()
                .operation()
                .setting();
        assertThat(set.ledger()).anyMatch(r -> r.does().startsWith("Template 2"));
    }
}
