package ebauche.exchange.design;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import ebauche.core.feed.FeedMap;
import ebauche.core.feed.FeedPlan;
import ebauche.core.feed.Grain;
import ebauche.core.geometry.Face;
import ebauche.core.geometry.Point;
import ebauche.core.job.Finding;
import ebauche.core.measure.Reckoning;
import ebauche.core.operation.Operation;
import ebauche.core.plan.BuildPlan;
import ebauche.core.plan.Planner;
import ebauche.core.stock.Change;
import ebauche.exchange.OddBodies;
import ebauche.exchange.Remembering;
import ebauche.exchange.file.BuildFile;
import ebauche.exchange.file.DemoBodies;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;
import tools.jackson.databind.node.ObjectNode;

/**
 * The mirror of a right-handed body is a left-handed one, and its plan is the plan mirrored: the same steps in the same order with the
 * same figures and findings, every cut on the other side, the wood as heavy.
 */
@Tag("slow")
@ExtendWith(Remembering.class)
class MirroredTest {
    /** The outline is written to ten thousandths of a millimetre, and the grid is not cut at the same places. */
    private static final double FINE = 0.005;

    static List<String> bodies() {
        return OddBodies.RIGHT_HANDED;
    }

    private static BuildPlan plan(BuildFile file, ObjectNode design) {
        ObjectNode bare = file.withoutRecord();
        bare.set("design", design);
        return Planner.plan(BuildFile.of(bare).build());
    }

    @ParameterizedTest
    @MethodSource("bodies")
    void the_mirrored_body_has_the_mirrored_plan(String name) {
        BuildFile file = OddBodies.read(name);
        ObjectNode design = file.design();
        BuildPlan right = plan(file, design);
        BuildPlan left = plan(file, Mirrored.of(design));
        assertThat(keys(left)).isEqualTo(keys(right));
        for (int i = 0; i < right.steps().size(); i++) {
            alike(right.steps().get(i).operation(), left.steps().get(i).operation());
        }
        findings(right, left);
        assertThat(left.history().finished().balance().grams())
                .isCloseTo(right.history().finished().balance().grams(), within(3.0));
        Point balance = right.history().finished().balance().at();
        assertThat(left.history().finished().balance().at().distance(new Point(-balance.x(), balance.y())))
                .isLessThan(0.5);
        assertThat(List.of(
                        left.build().design().hand().side(1),
                        right.build().design().hand().side(1)))
                .containsExactlyInAnyOrder("bass", "treble");
    }

    private static List<String> keys(BuildPlan plan) {
        return plan.steps().stream().map(s -> s.operation().key().written()).toList();
    }

    private static void alike(Operation right, Operation left) {
        assertThat(left.face()).isEqualTo(right.face());
        assertThat(left.setting().tool()).isEqualTo(right.setting().tool());
        assertThat(left.setting().figureSays()).isEqualTo(right.setting().figureSays());
        assertThat(left.setting().feed())
                .as("a router turns one way")
                .isEqualTo(right.setting().feed());
        double figure = right.setting().figure().map(Reckoning::value).orElse(0.0);
        assertThat(left.setting().figure().map(Reckoning::value).orElse(0.0))
                .as("figure of " + right.key())
                .isCloseTo(figure, within(FINE));
        assertThat(left.setting().passes()).hasSameSizeAs(right.setting().passes());
        assertThat(left.changes()).hasSameSizeAs(right.changes());
        List<Point> there = places(left.changes(), 1);
        List<Point> here = places(right.changes(), -1);
        for (int i = 0; i < here.size(); i++) {
            assertThat(there.get(i).distance(here.get(i)))
                    .as(right.key() + " is cut on the other side")
                    .isLessThan(0.1);
        }
    }

    private static List<Point> places(List<Change> changes, int side) {
        List<Point> places = new ArrayList<>();
        for (Change change : changes) {
            Point at = change.solid().plan().centroid();
            places.add(new Point(side * at.x(), at.y()));
        }
        places.sort(
                Comparator.comparingDouble((Point p) -> Math.rint(p.y() * 10)).thenComparingDouble(Point::x));
        return places;
    }

    private static void findings(BuildPlan right, BuildPlan left) {
        Map<String, Finding> here = byName(right);
        Map<String, Finding> there = byName(left);
        assertThat(there.keySet()).isEqualTo(here.keySet());
        here.forEach((name, finding) -> {
            Finding mirror = there.get(name);
            assertThat(mirror.severity()).isEqualTo(finding.severity());
            assertThat(mirror.numbers()).hasSameSizeAs(finding.numbers());
            for (int i = 0; i < finding.numbers().size(); i++) {
                assertThat(Math.abs(mirror.numbers().get(i).value()))
                        .as(name)
                        .isCloseTo(Math.abs(finding.numbers().get(i).value()), within(0.02));
            }
        });
    }

    private static Map<String, Finding> byName(BuildPlan plan) {
        Map<String, Finding> byName = new TreeMap<>();
        for (Finding f : plan.findings()) {
            byName.put(f.rule() + " " + f.feature(), f);
        }
        return byName;
    }

    /** The router turns the same way round: from its front the mirrored body asks for what the other asks from its back. */
    @ParameterizedTest
    @MethodSource("bodies")
    void the_mirrored_edge_is_fed_as_the_other_from_its_back(String name) {
        BuildFile file = OddBodies.read(name);
        FeedPlan right = feed(plan(file, file.design()));
        FeedPlan left = feed(plan(file, Mirrored.of(file.design())));
        double against = 0;
        for (FeedMap.Band band : FeedMap.Band.values()) {
            double back = right.map(Face.BACK).length(band);
            assertThat(left.map(Face.FRONT).length(band)).as(band.words()).isCloseTo(back, within(8.0));
            against += Math.abs(back - right.map(Face.FRONT).length(band));
        }
        assertThat(against).as("front and back do differ").isGreaterThan(0);
    }

    private static FeedPlan feed(BuildPlan plan) {
        return FeedPlan.of(
                plan.build().design().outline(),
                List.of(Grain.of(
                        plan.build().design().blank(),
                        plan.build().design().blank().core())));
    }

    /** Mirrored twice it is the body it was, as it was typed. */
    @ParameterizedTest
    @MethodSource("bodies")
    void mirrored_twice_it_is_what_it_was(String name) {
        ObjectNode design = OddBodies.read(name).design();
        ObjectNode twice = Mirrored.of(Mirrored.of(design));
        ObjectNode once = Mirrored.of(design);
        assertThat(once).isNotEqualTo(design);
        assertThat(twice.path("pickups")).isEqualTo(design.path("pickups"));
        assertThat(twice.path("controls")).isEqualTo(design.path("controls"));
        assertThat(twice.path("jack")).isEqualTo(design.path("jack"));
        assertThat(twice.path("hand").asString("right"))
                .isEqualTo(design.path("hand").asString("right"));
        assertThat(once.path("jack").path("entry").path("x").asString())
                .isEqualTo(opposite(design.path("jack").path("entry").path("x").asString()));
    }

    /** Scale, strings and spread are what a bass and a seven-string ask for, and nothing stops their build. */
    @ParameterizedTest
    @CsvSource({"bass, 4, 432, 28.5, 19", "seven, 7, 324, 31.5, 10.5"})
    void other_scales_and_counts_of_strings_are_built_too(
            String name, int count, double fret12, double outermost, double apart) {
        BuildPlan plan = Planner.plan(OddBodies.read(name).build());
        assertThat(plan.findings()).noneMatch(f -> f.severity() == Finding.Severity.STOPS);
        assertThat(plan.build().design().strings().count()).isEqualTo(count);
        assertThat(plan.step("neck:bridge")
                        .orElseThrow()
                        .operation()
                        .inspections()
                        .get(0)
                        .expected()
                        .value())
                .isCloseTo(fret12, within(1e-9));
        assertThat(plan.build().design().strings().offset(0)).isCloseTo(-outermost, within(1e-9));
        assertThat(plan.build().design().strings().offset(1)
                        - plan.build().design().strings().offset(0))
                .isCloseTo(apart, within(1e-9));
    }

    /** Strings are counted from the bass side: its saddle stands the farthest back, on the left of a right-handed body. */
    @Test
    void the_bass_string_lies_on_its_own_side() {
        BuildFile file = DemoBodies.read("sedge");
        BuildPlan right = plan(file, file.design());
        BuildPlan left = plan(file, Mirrored.of(file.design()));
        assertThat(right.build().design().strings().offset(0)).isNegative();
        assertThat(left.build().design().strings().offset(0)).isPositive();
        assertThat(left.build().design().strings().compensation(0))
                .isEqualTo(right.build().design().strings().compensation(0));
    }

    private static String opposite(String length) {
        return length.startsWith("-") ? length.substring(1) : "-" + length;
    }
}
