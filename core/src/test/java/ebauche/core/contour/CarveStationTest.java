package ebauche.core.contour;

import static ebauche.core.contour.TestContours.*;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import ebauche.core.TestBody;
import ebauche.core.design.Contour;
import ebauche.core.design.Measurand;
import ebauche.core.feature.Feature;
import ebauche.core.feature.StepKey;
import ebauche.core.feature.StepKind;
import ebauche.core.geometry.Face;
import ebauche.core.geometry.Point;
import ebauche.core.geometry.Region;
import ebauche.core.job.Build;
import ebauche.core.job.SecondLook;
import ebauche.core.logbook.AsBuilt;
import ebauche.core.measure.Refusal;
import ebauche.core.operation.LedgerRow;
import ebauche.core.operation.Operation;
import ebauche.core.operation.Setting;
import ebauche.core.plan.BuildPlan;
import ebauche.core.plan.Planner;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.function.ToDoubleFunction;
import org.junit.jupiter.api.Test;

/** The wood read through a carve, and what its readings do to the rest. */
class CarveStationTest {
    private static final StepKey CARVE = StepKey.of(Feature.parse("contour-top"), StepKind.CARVE);

    private static Contour.Laid laid(Build build) {
        return build.contours().get(0);
    }

    private static AsBuilt.Reading read(CarveStation station, double value, int number) {
        return new AsBuilt.Reading(
                "r" + number, "2026-01-0" + (number % 9 + 1), "maker", Optional.of(CARVE), station.measurand(), value);
    }

    /** Every station read with the wood standing so far over the surface. */
    private static BuildPlan readAt(BuildPlan plan, ToDoubleFunction<CarveStation> over) {
        Build build = plan.build();
        List<AsBuilt.Entry> record = new ArrayList<>(build.asBuilt().timeline());
        for (CarveStation each : CarveStation.of(build, laid(build))) {
            double drawn = each.inspection(build).expected().value();
            record.add(read(each, drawn + over.applyAsDouble(each), record.size()));
        }
        return Planner.plan(new Build(build.drawn(), build.shop(), new AsBuilt(record)));
    }

    private static Operation carve(BuildPlan plan) {
        return plan.step(CARVE).orElseThrow().operation();
    }

    @Test
    void a_carved_top_is_read_at_nine_places_and_more_where_a_calliper_finds_wood_from_face_to_face() {
        Build build = with(top(60, 8)).plan().build();
        List<CarveStation> stations = CarveStation.of(build, laid(build));
        assertThat(stations).hasSizeBetween(9, 20);
        assertThat(stations).allSatisfy(s -> {
            assertThat(laid(build).plan().contains(s.at())).isTrue();
            assertThat(build.design().cavities())
                    .noneMatch(c -> c.recessPlan().union(c.plan()).grown(5).contains(s.at()));
            assertThat(s.inspection(build).expected().value())
                    .as("thickness less the fall, told by the profile")
                    .isCloseTo(
                            build.thicknessNow()
                                    - laid(build)
                                            .profile()
                                            .fall(laid(build).course().across(s.at().x(), s.at().y())),
                            within(1e-9));
        });
        Operation carve = carve(with(top(60, 8)).plan());
        assertThat(carve.inspections()).hasSizeGreaterThanOrEqualTo(stations.size());
        assertThat(carve.called(stations.get(2).measurand())).isEqualTo("body thickness at station 3");
    }

    @Test
    void half_way_down_the_ledger_has_the_rest_and_half_the_minutes() {
        BuildPlan before = with(top(60, 8)).plan();
        Build build = before.build();
        BuildPlan half = readAt(before, s -> laid(build).under(0).fall(s.at()) / 2);
        Removal rest = Removal.chosen(half.build(), laid(half.build()));
        assertThat(carve(half).handsOnMinutes())
                .isEqualTo((int) Math.round(rest.minutes() / 2.0))
                .isLessThan(carve(before).handsOnMinutes() / 2 + 1);
        List<String> rows = ((Setting.Carved) carve(half).setting())
                .ledger().stream().map(LedgerRow::does).toList();
        assertThat(rows).filteredOn(r -> r.contains("still to come off")).hasSizeGreaterThanOrEqualTo(8);
        assertThat(half.findings()).noneMatch(f -> f.rule().startsWith("carved-"));
    }

    @Test
    void a_template_whose_places_are_as_deep_already_is_not_cut_again() {
        Build build = with(top(60, 12)).plan().build();
        NestedTemplates nested = NestedTemplates.of(build, laid(build));
        Build atSurface = readAt(with(top(60, 12)).plan(), s -> 0).build();
        Build untouched = readAt(
                        with(top(60, 12)).plan(), s -> laid(build).under(0).fall(s.at()))
                .build();
        assertThat(nested.all()).hasSizeGreaterThan(2);
        assertThat(nested.all())
                .filteredOn(t ->
                        nested.isCut(t, CarveLeft.of(atSurface, laid(build)).reads()))
                .isNotEmpty();
        assertThat(nested.all())
                .noneMatch(t ->
                        nested.isCut(t, CarveLeft.of(untouched, laid(build)).reads()));
        int rest = NestedTemplates.removal(atSurface, laid(build)).minutes();
        assertThat(rest).isLessThan(NestedTemplates.removal(build, laid(build)).minutes());
    }

    /** By hand: a floor under the place that was read lies so much nearer to the surface; one far from it stays. */
    @Test
    void a_place_that_is_too_deep_holds_for_what_is_nearest_to_it_and_for_nothing_else() {
        BuildPlan before = with(top(60, 8)).plan();
        Build drawn = before.build();
        List<CarveStation> stations = CarveStation.of(drawn, laid(drawn));
        CarveStation deep = stations.get(0);
        Build build = readAt(before, s -> s.at().equals(deep.at()) ? -1.5 : 0).build();
        for (CarveStation each : stations) {
            double off = build.finished(Face.FRONT).fall(each.at())
                    - drawn.finished(Face.FRONT).fall(each.at());
            assertThat(off).isCloseTo(each.equals(deep) ? 1.5 : 0, within(1e-9));
        }
        // Thrown places: each goes by the nearest reading.
        Random random = new Random(19);
        int asked = 0;
        while (asked < 300) {
            Point at = new Point(random.nextInt(400) - 200, random.nextInt(500) - 250);
            if (!laid(drawn).plan().contains(at)) {
                continue;
            }
            asked++;
            boolean nearest = stations.stream()
                    .allMatch(s ->
                            s.equals(deep) || s.at().distance(at) >= deep.at().distance(at));
            double off = build.finished(Face.FRONT).fall(at)
                    - drawn.finished(Face.FRONT).fall(at);
            assertThat(off).isCloseTo(nearest ? 1.5 : 0, within(1e-9));
        }
        assertThat(Planner.plan(build).findings()).anyMatch(f -> f.rule().equals("carved-deeper"));
    }

    @Test
    void a_carve_that_is_done_and_read_deeper_has_taken_that_wood() {
        TestBody body = with(top(60, 8));
        body.doneUpTo("contour-top:carve");
        BuildPlan done = body.plan();
        Build build = done.build();
        BuildPlan deeper = readAt(done, s -> -1);
        double gone = mass(done) - mass(deeper);
        Region solid = laid(build).plan().minus(build.design().neck().pocket());
        assertThat(gone).as("a millimetre off its area").isCloseTo(solid.area(), within(0.005 * solid.area()));
        assertThat(deeper.findings()).anyMatch(f -> f.rule().equals("carved-deeper"));
        assertThat(readAt(done, s -> 1.5).findings()).anyMatch(f -> f.rule().equals("carved-proud"));
        assertThat(mass(readAt(done, s -> 1.5)))
                .as("proud is still to come off")
                .isEqualTo(mass(done));
    }

    private static double mass(BuildPlan plan) {
        return plan.history()
                .before(plan.indexOf(plan.step(CARVE).orElseThrow()) + 1)
                .volume();
    }

    @Test
    void wood_does_not_grow_back_under_a_calliper() {
        BuildPlan plan = readAt(with(top(60, 8)).plan(), s -> 0);
        CarveStation first = CarveStation.of(plan.build(), laid(plan.build())).get(0);
        double now = first.inspection(plan.build()).expected().value();
        assertThat(SecondLook.at(plan.build(), first.measurand(), now + 2)).isPresent();
        assertThat(SecondLook.at(plan.build(), first.measurand(), now - 2)).isEmpty();
    }

    @Test
    void its_word_is_read_back_and_nonsense_is_refused() {
        Measurand place = new Measurand.WoodAt(Feature.parse("contour-top"), -120, 45);
        assertThat(Measurand.parse(place.key())).isEqualTo(place);
        assertThat(place.key()).matches(Measurand.pattern());
        assertThatThrownBy(() -> Measurand.parse("wood-at:contour-top.1200.0")).isInstanceOf(Refusal.class);
        assertThatThrownBy(() -> Measurand.parse("wood-at:contour-top.12")).isInstanceOf(Refusal.class);
    }

    /** One band for two contours, told where the reading left the least. */
    @Test
    void a_place_that_was_read_too_deep_is_in_the_edge_that_stays() {
        BuildPlan before = with(top(60, 8), belly(12)).plan();
        double drawn = EdgeBand.of(before.build()).get(0).thickness().value();
        List<EdgeBand> bands =
                EdgeBand.of(readAt(before, s -> s.at().x() < 0 ? -2 : 0).build());
        assertThat(bands).hasSize(1);
        assertThat(bands.get(0).thickness().value()).isCloseTo(drawn - 2, within(0.3));
    }
}
