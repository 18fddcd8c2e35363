package ebauche.core.contour;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import ebauche.core.TestBody;
import ebauche.core.TestPractice;
import ebauche.core.crib.Crib;
import ebauche.core.crib.Machine;
import ebauche.core.crib.Saw;
import ebauche.core.design.CarveSchool;
import ebauche.core.design.Contour;
import ebauche.core.design.EdgeDepths;
import ebauche.core.feature.StepKey;
import ebauche.core.feature.StepKind;
import ebauche.core.geometry.Face;
import ebauche.core.geometry.Point;
import ebauche.core.geometry.Region;
import ebauche.core.job.Build;
import ebauche.core.measure.Reckoning;
import ebauche.core.operation.LedgerRow;
import ebauche.core.operation.Setting;
import ebauche.core.stock.Profile;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Schools of bringing a contour out: their numbers by hand, never below the surface, and what each shop can. */
class RemovalTest {
    private static Contour forearm(Profile.Shape shape, List<Point> through, EdgeDepths depths) {
        return new Contour(
                "forearm",
                Face.FRONT,
                new Contour.Start.Across(new Point(-160, -60), new Point(-60, -150), through, depths),
                18,
                shape,
                shape == Profile.Shape.HOLLOW ? OptionalDouble.of(400) : OptionalDouble.empty());
    }

    private static Contour plane() {
        return forearm(Profile.Shape.STRAIGHT, List.of(), EdgeDepths.WEDGE);
    }

    private static Build build(Contour contour) {
        TestBody body = new TestBody();
        body.contours.add(contour);
        return body.build();
    }

    private static Removal by(Build build, CarveSchool school) {
        return Removal.of(build, build.contours().get(0)).stream()
                .filter(r -> r.school() == school)
                .findFirst()
                .orElseThrow();
    }

    /** The worked example of the shop's own sums: 70 wide, 22.2 deep, in eight bands; each pass set to the side that leaves wood. */
    @Test
    void passes_off_a_fence_are_the_worked_examples() {
        List<ByMachine.Pass> passes = ByMachine.passes(Profile.straight(70, 22.2));
        assertThat(passes)
                .extracting(p -> Math.round(p.depth() * 100) / 100.0)
                .containsExactly(19.4, 16.65, 13.85, 11.1, 8.3, 5.55, 2.75);
        for (ByMachine.Pass pass : passes) {
            // x = w (1 − d / D) by hand, and no farther.
            assertThat(pass.fromEdge()).isCloseTo(70 * (1 - pass.depth() / 22.2), within(0.06));
            assertThat(pass.fromEdge()).isLessThanOrEqualTo(70 * (1 - pass.depth() / 22.2) + 1e-9);
        }
    }

    /** Whatever shape: the corner of each step stands on the surface or over it, and no step is higher than is said. */
    @ParameterizedTest
    @CsvSource({"STRAIGHT, 40, 12", "ROUND, 60, 20", "BLENDED, 55, 15", "STRAIGHT, 70, 22.2"})
    void no_pass_goes_below_the_surface(Profile.Shape shape, double width, double depth) {
        Profile profile = shape == Profile.Shape.ROUND
                ? Profile.round(width, depth)
                : shape == Profile.Shape.BLENDED ? Profile.blended(width, depth) : Profile.straight(width, depth);
        List<ByMachine.Pass> passes = ByMachine.passes(profile);
        double last = depth;
        for (ByMachine.Pass pass : passes) {
            assertThat(profile.fall(width - pass.fromEdge())).isGreaterThanOrEqualTo(pass.depth() - 0.02);
            assertThat(last - pass.depth()).isLessThanOrEqualTo(ByMachine.STEP + 0.06);
            last = pass.depth();
        }
        assertThat(last).isLessThanOrEqualTo(ByMachine.STEP + 0.06);
    }

    /** Each kerf ends half a millimetre over the surface at the edge, and they lie so close that the chips split off. */
    @Test
    void kerfs_stay_over_the_surface_and_close_together() {
        Build build = build(plane());
        Removal kerfs = by(build, CarveSchool.KERFS);
        List<LedgerRow> each =
                kerfs.rows().stream().filter(r -> r.does().startsWith("Kerf ")).toList();
        assertThat(each).hasSizeBetween(12, 26);
        List<OtherLine.Place> places =
                ByHand.kerfPlaces(OtherLine.of(build, build.contours().get(0)).orElseThrow());
        for (int i = 0; i < each.size(); i++) {
            double down = each.get(i).figures().get(1).value();
            assertThat(down)
                    .isCloseTo(places.get(i).down() - 0.5, within(0.06))
                    .isLessThan(places.get(i).down());
            if (i > 0) {
                assertThat(places.get(i).line().distance(places.get(i - 1).line()))
                        .isBetween(5.9, 10.1);
            }
        }
    }

    /** The line on the edge of a plane, by construction: so far from the line, so deep. */
    @Test
    void the_other_line_is_the_planes() {
        Build build = build(plane());
        Contour.Laid laid = build.contours().get(0);
        OtherLine line = OtherLine.of(build, laid).orElseThrow();
        Region body = build.design().outline().region();
        double slope = 18 / laid.profile().width();
        for (OtherLine.Place place : line.stations(9)) {
            // Distance of a point from the line through two others, school geometry.
            double off = Math.abs((-60 + 160) * (-60 - place.edge().y())
                            - (-160 - place.edge().x()) * (-150 + 60))
                    / Math.hypot(100, 90);
            assertThat(place.down()).isCloseTo(off * slope, within(0.01));
            assertThat(Math.abs(body.outside(place.edge()))).isLessThan(0.02);
            assertThat(OtherLine.down(laid, place).value()).isEqualTo(place.down());
        }
        assertThat(line.deepest().down()).isCloseTo(18, within(0.1));
        List<OtherLine.Place> along = line.stations(6);
        for (int i = 1; i < along.size(); i++) {
            assertThat(along.get(i).along()).isGreaterThan(along.get(i - 1).along());
        }
        assertThat(line.places().get(0).down()).isCloseTo(0, within(0.6));
    }

    /** Off a curve it is the ruled surface's own, deepest where it leans to. */
    @Test
    void the_other_line_of_a_bowed_one_follows_its_depths() {
        Build build = build(forearm(
                Profile.Shape.STRAIGHT, List.of(new Point(-100, -95)), new EdgeDepths.Typed(List.of(6.0, 18.0, 6.0))));
        Contour.Laid laid = build.contours().get(0);
        OtherLine line = OtherLine.of(build, laid).orElseThrow();
        assertThat(line.deepest().down()).isCloseTo(18, within(0.05));
        assertThat(line.stations(3))
                .extracting(OtherLine.Place::down)
                .satisfiesExactly(
                        d -> assertThat(d).isCloseTo(6, within(0.6)),
                        d -> assertThat(d).isCloseTo(18, within(0.6)),
                        d -> assertThat(d).isCloseTo(6, within(0.6)));
    }

    /** On its edge, leaned by the slope, a box stands as high as Pythagoras' triangles have it. */
    @Test
    void the_guides_must_pass_the_body_on_its_edge() {
        Build build = build(plane());
        Removal saw = by(build, CarveSchool.BAND_SAW);
        double guides = saw.rows().get(0).figures().get(0).value();
        double slope = Math.atan2(18, build.contours().get(0).profile().width());
        assertThat(guides).isGreaterThan(44.5 * Math.sin(slope)).isLessThan(560);
        assertThat(saw.cannot()).isPresent();
        TestBody tall = new TestBody();
        tall.contours.add(plane());
        tall.shop = tall.shop.with(new Crib(
                tall.shop.crib().routers(),
                tall.shop.crib().bits(),
                tall.shop.crib().drills(),
                tall.shop.crib().templates(),
                tall.shop.crib().spacers(),
                List.of(Saw.usual("tall saw", Saw.Kind.BAND, 19)),
                tall.shop.crib().drums(),
                tall.shop.crib().aids(),
                tall.shop.crib().machines(),
                tall.shop.crib().bearings()));
        assertThat(by(tall.build(), CarveSchool.BAND_SAW).cannot())
                .as("it opens 300, the body stands higher")
                .hasValueSatisfying(w -> assertThat(w).contains("does not open"));
    }

    @Test
    void what_cannot_be_says_why() {
        Build bowed = build(forearm(Profile.Shape.STRAIGHT, List.of(new Point(-100, -95)), EdgeDepths.WEDGE));
        assertThat(by(bowed, CarveSchool.FENCE).cannot())
                .hasValueSatisfying(w -> assertThat(w).contains("curved"));
        assertThat(by(bowed, CarveSchool.BAND_SAW).cannot())
                .hasValueSatisfying(w -> assertThat(w).contains("plane"));
        Build round = build(forearm(Profile.Shape.ROUND, List.of(), EdgeDepths.WEDGE));
        assertThat(by(round, CarveSchool.KERFS).cannot())
                .hasValueSatisfying(w -> assertThat(w).contains("round"));
        assertThat(by(build(plane()), CarveSchool.DRUM).cannot()).isPresent();
        Build hollow = build(forearm(Profile.Shape.HOLLOW, List.of(), EdgeDepths.WEDGE));
        assertThat(by(hollow, CarveSchool.BELT).cannot()).isPresent();
        assertThat(by(hollow, CarveSchool.RASP).cannot()).isEmpty();
    }

    /** The cheapest that the shop can, unless its maker chose; the step carries its ledger. */
    @Test
    void the_step_is_done_by_what_costs_least_or_was_chosen() {
        TestBody body = new TestBody();
        body.contours.add(plane());
        Removal cheapest = Removal.chosen(body.build(), body.build().contours().get(0));
        assertThat(cheapest.isPossible()).isTrue();
        assertThat(Removal.of(body.build(), body.build().contours().get(0)))
                .filteredOn(Removal::isPossible)
                .allMatch(r -> r.minutes() >= cheapest.minutes());
        Contour plain = plane();
        body.contours.set(
                0,
                new Contour(
                        plain.id(),
                        plain.face(),
                        plain.start(),
                        plain.depth(),
                        plain.shape(),
                        plain.radius(),
                        Optional.of(CarveSchool.KERFS)));
        Setting set = body.plan()
                .step(StepKey.of(plain.feature(), StepKind.CARVE))
                .orElseThrow()
                .operation()
                .setting();
        assertThat(set.ledger()).anyMatch(r -> r.does().startsWith("Kerf 5"));
        assertThat(set.tool()).contains("kerfs");
        body.shop = TestBody.owning(body.shop, new Machine("disc", Machine.Kind.BELT_SANDER, 300));
        assertThat(by(body.build(), CarveSchool.BELT).isPossible()).isTrue();
    }

    /** A way that its maker chose and that cannot be is told; where hands are trusted with nothing it is the rasp that stands. */
    @Test
    void a_chosen_way_that_cannot_be_is_told() {
        TestBody body = new TestBody();
        Contour plain = plane();
        body.contours.add(new Contour(
                plain.id(),
                plain.face(),
                plain.start(),
                plain.depth(),
                plain.shape(),
                plain.radius(),
                Optional.of(CarveSchool.DRUM)));
        assertThat(body.rules()).contains("carve-by");
        body.contours.set(0, plain);
        assertThat(body.rules()).doesNotContain("carve-by");
        body.shop = body.shop.with(TestPractice.with(body.shop.practice(), Set.of()));
        body.shop = body.shop.with(body.shop.crib().only(List.of()));
        Build bare = body.build();
        assertThat(Removal.of(bare, bare.contours().get(0))).noneMatch(Removal::isPossible);
        assertThat(Removal.chosen(bare, bare.contours().get(0)).school()).isEqualTo(CarveSchool.RASP);
    }

    /** Wood of a wedge on a straight edge, by hand: half width by depth by length; here the surface summed cell by cell. */
    @Test
    void what_it_takes_is_the_solid_under_the_face() {
        Build build = build(plane());
        double sum = build.contours().get(0).volume();
        double stock = build.contours().get(0).plan().area() * 18 / 3;
        assertThat(sum).isBetween(stock * 0.7, stock * 1.5);
    }

    /** A back contour with depths typed for it leaves one band beside the front's. */
    @Test
    void the_press_leaves_an_even_band() {
        TestBody body = new TestBody();
        body.contours.add(new Contour(
                "forearm",
                Face.FRONT,
                new Contour.Start.Across(
                        new Point(-160, -60),
                        new Point(-60, -150),
                        List.of(),
                        new EdgeDepths.Typed(List.of(12.0, 24.0, 12.0))),
                24,
                Profile.Shape.STRAIGHT,
                OptionalDouble.empty()));
        body.contours.add(new Contour(
                "belly",
                Face.BACK,
                new Contour.Start.Across(new Point(-170, -20), new Point(-20, -170)),
                13,
                Profile.Shape.STRAIGHT,
                OptionalDouble.empty()));
        Build build = body.build();
        List<Contour.Laid> laid = build.contours();
        double before = EdgeBand.of(build).get(0).evenness().value();
        Contour even = EdgeBand.even(build, laid.get(0), laid.get(1)).orElseThrow();
        body.contours.set(1, even);
        Build after = body.build();
        Reckoning evenness = EdgeBand.of(after).get(0).evenness();
        assertThat(evenness.value()).isLessThan(before - 0.02);
        assertThat(spread(after)).isLessThan(spread(build));
    }

    /** The largest over the least of what is left where the front takes much of it. */
    private static double spread(Build build) {
        List<Double> bands = new ArrayList<>();
        OtherLine.of(build, build.contours().get(1)).orElseThrow().stations(9).forEach(p -> {
            double taken = build.contours().get(0).under(0).fall(p.edge());
            if (taken > 10) {
                bands.add(44.5 - taken - p.down());
            }
        });
        assertThat(bands).hasSizeGreaterThan(1);
        return bands.stream().mapToDouble(Double::doubleValue).max().orElseThrow()
                / bands.stream().mapToDouble(Double::doubleValue).min().orElseThrow();
    }
}
