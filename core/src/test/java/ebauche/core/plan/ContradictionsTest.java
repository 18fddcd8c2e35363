package ebauche.core.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import ebauche.core.TestBody;
import ebauche.core.feature.Feature;
import ebauche.core.feature.Work;
import ebauche.core.geometry.Point;
import ebauche.core.hardware.Cavity;
import ebauche.core.hardware.Pickup;
import ebauche.core.job.Finding;
import ebauche.core.sheet.Moved;
import ebauche.core.sheet.SideBySide;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Consumer;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What is done against what is wanted now: by how much, how grave, in which words; and what a plan tells of its next step. */
class ContradictionsTest {
    private static Optional<Finding> after(String done, Consumer<TestBody> change) {
        TestBody body = new TestBody().done(done);
        change.accept(body);
        List<Finding> found = body.plan().findings().stream()
                .filter(f -> f.rule().equals("done-contradicted"))
                .toList();
        assertThat(found).hasSizeLessThanOrEqualTo(1);
        return found.stream().findFirst();
    }

    private static String said(Finding f) {
        return f.what(v -> String.valueOf(Math.rint(v.value() * 100) / 100));
    }

    /** A cavity of the front wanted shallower: within 2 mm it is usable, larger than wanted, beyond it stops; what the cards let pass is none. */
    @ParameterizedTest
    @CsvSource({"0.14, ''", "1.5, THINK_AGAIN", "2.5, STOPS"})
    void cut_deeper_than_wanted_now(double less, String severity) {
        Optional<Finding> found =
                after("pickup-neck:rout", b -> b.pickups.set(0, TestBody.pickup("neck", 0, 130, 19 - less)));
        assertThat(found.map(f -> f.severity().name()).orElse("")).isEqualTo(severity);
        found.ifPresent(f -> {
            assertThat(f.numbers().get(0).value()).isCloseTo(less, within(1e-6));
            assertThat(said(f)).contains("deeper than the design now wants");
        });
    }

    /** A cavity of the back that now leaves more wood over it was cut too deep, towards the front. */
    @ParameterizedTest
    @CsvSource({"6, ''", "7.5, THINK_AGAIN", "9, STOPS"})
    void a_rear_cavity_cut_deeper_than_wanted_now(double wood, String severity) {
        Optional<Finding> found = after("controls:rout", b -> b.cavities.set(0, TestBody.cavity(wood)));
        assertThat(found.map(f -> f.severity().name()).orElse("")).isEqualTo(severity);
        found.ifPresent(f -> assertThat(f.numbers().get(0).value()).isCloseTo(wood - 6, within(1e-6)));
        assertThat(TestBody.cavity(wood).floor()).isEqualTo(new Cavity.Floor.Leaving(wood));
    }

    /** Narrower by 1.5 on each side is room; moved by 10 the design wants wood that is gone; left out it no longer has it. */
    @Test
    void cut_where_it_is_not_wanted_now() {
        Finding roomier = after(
                        "pickup-neck:rout",
                        b -> b.pickups.set(
                                0, new Pickup("neck", new Point(0, 130), 77, 30, 4.8, 0, 19, Set.of(Cavity.ELDEST))))
                .orElseThrow();
        assertThat(roomier.severity()).isEqualTo(Finding.Severity.THINK_AGAIN);
        assertThat(roomier.numbers().get(0).value()).isCloseTo(1.5, within(0.05));
        assertThat(said(roomier)).contains("more at its edge than is wanted now");
        Finding moved = after("pickup-neck:rout", b -> b.pickups.set(0, TestBody.pickup("neck", 10, 130, 19)))
                .orElseThrow();
        assertThat(moved.severity()).isEqualTo(Finding.Severity.STOPS);
        assertThat(said(moved)).contains("now wants wood that it took");
        assertThat(moved.where().orElseThrow().x())
                .as("the wood lies on the left")
                .isLessThan(-30);
        Finding gone = after("pickup-neck:rout", b -> b.pickups.remove(0)).orElseThrow();
        assertThat(gone.severity()).isEqualTo(Finding.Severity.STOPS);
        assertThat(said(gone)).contains("the design no longer has what it cut");
        assertThat(after("pickup-neck:rout", b -> b.pickups.set(0, TestBody.pickup("neck", 0, 130, 21))))
                .as("wanted deeper is a shortfall")
                .isEmpty();
    }

    /** The first step that is not done is next; a number is asked for by its name; what is done is no longer told as moved. */
    @Test
    void what_comes_next_and_what_moved() {
        TestBody body = new TestBody();
        BuildPlan fresh = body.plan();
        assertThat(fresh.next().orElseThrow()).isEqualTo(fresh.steps().get(0));
        body.doneUpTo("blank:glue");
        BuildPlan begun = body.plan();
        assertThat(begun.next().orElseThrow().operation().key().written()).isEqualTo("thickness:front");
        assertThat(begun.reckoning("finished thickness").orElseThrow().value()).isEqualTo(44.5);
        assertThat(begun.reckoning("no such number")).isEmpty();
        body.thickness = 43;
        List<Moved> moved = Moved.between(begun, body.plan());
        assertThat(moved).extracting(Moved::what).contains("finished thickness", "Flatten the front");
        body.doneUpTo("thickness:front");
        BuildPlan now = body.plan();
        body.thickness = 42;
        assertThat(Moved.between(now, body.plan()))
                .extracting(Moved::what)
                .contains("finished thickness")
                .doesNotContain("Flatten the front");
    }

    /** Another body's finding of the same rule is another finding: one goes, one comes. */
    @Test
    void findings_beside_each_other_are_told_apart_by_what_they_are_about() {
        TestBody one = new TestBody();
        one.pickups.set(0, sharp("sharp", 130));
        TestBody other = new TestBody();
        other.pickups.set(1, sharp("keen", 40));
        SideBySide beside = SideBySide.of(one.plan(), other.plan());
        assertThat(beside.gone())
                .filteredOn(f -> f.work() != Work.CHANNEL)
                .extracting(f -> f.feature().map(Feature::word).orElse(""))
                .containsOnly("pickup-sharp");
        assertThat(beside.appeared())
                .filteredOn(f -> f.work() != Work.CHANNEL)
                .extracting(f -> f.feature().map(Feature::word).orElse(""))
                .containsOnly("pickup-keen");
    }

    /** A pickup drawn with corners that no bit turns in. */
    private static Pickup sharp(String id, double y) {
        return new Pickup(id, new Point(0, y), 80, 30, 0.5, 0, 19, Set.of(Cavity.ELDEST));
    }

    /** What goes wrong aside comes back as what it was. */
    @Test
    void a_failure_aside_is_the_failure_itself() {
        IllegalStateException wrong = new IllegalStateException("wrong");
        Concurrent<String> failing = Concurrent.of(() -> {
            throw wrong;
        });
        assertThatThrownBy(failing::get).isSameAs(wrong);
        assertThat(Concurrent.of(() -> "fine").get()).isEqualTo("fine");
    }
}
