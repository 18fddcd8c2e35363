package ebauche.core.plan;

import static org.assertj.core.api.Assertions.assertThat;

import ebauche.core.TestBody;
import ebauche.core.TestTimber;
import ebauche.core.design.Blank;
import ebauche.core.design.BlankLayer;
import ebauche.core.design.Contour;
import ebauche.core.design.Recap;
import ebauche.core.design.RoundOver;
import ebauche.core.feature.StepKey;
import ebauche.core.feature.StepKind;
import ebauche.core.geometry.Face;
import ebauche.core.geometry.Outline;
import ebauche.core.geometry.Point;
import ebauche.core.hardware.Cavity;
import ebauche.core.hardware.Chamber;
import ebauche.core.hardware.Channel;
import ebauche.core.hardware.Shield;
import ebauche.core.job.Build;
import ebauche.core.job.Finding;
import ebauche.core.job.Rule;
import ebauche.core.operation.Operation;
import ebauche.core.routing.GuidedPocket;
import ebauche.core.routing.GuidedWork;
import ebauche.core.sheet.TemplateSheet;
import ebauche.core.station.Station;
import ebauche.core.stock.Profile;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import org.junit.jupiter.api.Test;

/** What every station has in common, and what plan and pages ask of it without naming one. */
class StationsTest {
    @Test
    void steps_and_findings_carry_the_name_of_their_station() {
        TestBody body = new TestBody();
        body.thickness = 20;
        body.contours.add(new Contour(
                "top", Face.FRONT, new Contour.Start.Round(40), 12, Profile.Shape.ROUND, OptionalDouble.empty()));
        body.roundOvers.add(new RoundOver("back", Face.BACK, 6, Optional.empty()));
        body.channels.add(new Channel("wires", new Point(0, 210), 12, new Point(80, -30), 24, 8));
        body.shields.add(new Shield("controls", Cavity.ELDEST, Shield.By.PAINT));
        BlankLayer core = BlankLayer.even(TestTimber.ALDER, 2, 340, 20);
        BlankLayer cap = BlankLayer.even(TestTimber.ASH, 2, 340, 6);
        body.blank = new Blank(340, 420, 0, 45, core, Optional.of(cap));
        body.chambers.add(new Chamber(
                "bass", List.of(Outline.parse("M -140 -60 L -80 -60 L -80 60 L -140 60 Z", 1)), 5, Set.of()));
        body.recap = Optional.of(new Recap(1, 5, TestTimber.ASH));
        Build build = body.build();
        assertThat(Stations.ALL).flatExtracting(s -> s.rules(build)).isNotEmpty();
        for (Station station : Stations.ALL) {
            assertThat(station.operations(build))
                    .as(station.work().word())
                    .isNotEmpty()
                    .extracting(Operation::work)
                    .allMatch(w -> w == station.work());
            assertThat(station.check(build)).extracting(Finding::work).allMatch(w -> w == station.work());
            assertThat(station.rules(build)).extracting(Rule::work).allMatch(w -> w == station.work());
        }
        assertThat(Stations.ALL).extracting(Station::work).doesNotHaveDuplicates();
    }

    /** The outline first, then the neck's pocket, then the cavities: each has its sheet, and a step that fixes its template. */
    @Test
    void all_that_is_routed_along_a_template_has_its_sheet_and_its_step() {
        BuildPlan plan = new TestBody().plan();
        List<GuidedWork> all = Stations.guidedWork(plan.build());
        assertThat(all)
                .extracting(w -> w.feature().word())
                .startsWith("outline", "neck")
                .contains("cover", "controls");
        assertThat(all).extracting(GuidedWork::feature).doesNotHaveDuplicates();
        assertThat(TemplateSheet.of(plan).stream().map(TemplateSheet::feature))
                .containsExactlyInAnyOrderElementsOf(
                        all.stream().map(GuidedWork::feature).toList());
        assertThat(all)
                .allSatisfy(w -> assertThat(plan.step(StepKey.of(w.feature(), StepKind.FIT)))
                        .as(w.name())
                        .isPresent());
    }

    @Test
    void every_pocket_is_guided_work_as_its_station_has_it() {
        Build build = new TestBody().build();
        assertThat(Stations.guidedWork(build))
                .filteredOn(w -> !w.outside())
                .extracting(GuidedWork::feature)
                .containsExactlyElementsOf(Stations.pockets(build).stream()
                        .map(GuidedPocket::feature)
                        .toList());
    }
}
