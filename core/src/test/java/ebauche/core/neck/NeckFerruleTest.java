package ebauche.core.neck;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.tuple;
import static org.assertj.core.api.Assertions.within;

import ebauche.core.TestBody;
import ebauche.core.TestParts;
import ebauche.core.design.Contour;
import ebauche.core.feature.Feature;
import ebauche.core.geometry.Face;
import ebauche.core.geometry.Point;
import ebauche.core.hardware.Part;
import ebauche.core.hardware.PartKind;
import ebauche.core.hardware.PartSize;
import ebauche.core.job.Finding;
import ebauche.core.job.Rule;
import ebauche.core.measure.Refusal;
import ebauche.core.operation.Condition;
import ebauche.core.operation.Operation;
import ebauche.core.plan.BuildPlan;
import ebauche.core.realism.Realism;
import ebauche.core.stock.Profile;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;

/** Ferrules under the neck screws' heads: what they take of the wood, and what they do to the screws. */
class NeckFerruleTest {
    /** A ferrule 14 wide and 7 long, in which the head lies 3 under the rim. */
    private static TestBody body() {
        TestBody body = new TestBody();
        body.neckFerrule = Optional.of(TestParts.neckFerrule());
        return body;
    }

    private static Part ferrule(double diameter, double length, double headSunk) {
        return TestParts.of(
                PartKind.NECK_FERRULE,
                PartSize.DIAMETER,
                diameter,
                PartSize.LENGTH,
                length,
                PartSize.HEAD_SUNK,
                headSunk);
    }

    private static Operation step(BuildPlan plan, String key) {
        return plan.step(key).orElseThrow(() -> new AssertionError(key)).operation();
    }

    private static List<String> keys(BuildPlan plan) {
        return plan.steps().stream()
                .map(s -> s.operation().key().written())
                .filter(k -> k.startsWith("neck-screws:") || k.startsWith("neck-ferrules:"))
                .toList();
    }

    @Test
    void small_holes_then_seats_then_the_holes_at_their_width() {
        TestBody body = body();
        BuildPlan plan = body.plan();
        assertThat(keys(plan))
                .containsExactly(
                        "neck-screws:locate",
                        "neck-ferrules:bore",
                        "neck-screws:drill",
                        "neck-screws:heel",
                        "neck-screws:recheck");
        Operation bore = step(plan, "neck-ferrules:bore");
        assertThat(bore.face()).isEqualTo(Face.BACK);
        double sand = body.build().faces().toSand(Face.BACK);
        assertThat(sand).isPositive();
        assertThat(bore.setting().figure().orElseThrow().value()).isCloseTo(7 + sand, within(1e-9));
        assertThat(bore.changes()).hasSize(2).allSatisfy(c -> {
            assertThat(c.solid().plan().area()).isCloseTo(Math.PI * 49, within(1.0));
            assertThat(c.solid().deepest() - c.solid().shallowest()).isCloseTo(7 + sand, within(1e-9));
        });
        double finished = body.build().faces().backFinished();
        assertThat(step(plan, "neck-screws:drill").needs())
                .filteredOn(Condition.Wood.class::isInstance)
                .as("the wood that it cuts lies under the seats")
                .extracting(n -> ((Condition.Wood) n).from(), n -> ((Condition.Wood) n).to())
                .containsOnly(tuple(finished - 8, finished - 7));
        assertThat(step(plan, "neck-screws:locate").changes())
                .allSatisfy(c -> assertThat(
                                c.solid().plan().maxX() - c.solid().plan().minX())
                        .isCloseTo(2.4, within(0.01)));
        assertThat(keys(new TestBody().plan()))
                .containsExactly("neck-screws:drill", "neck-screws:heel", "neck-screws:recheck");
    }

    /** Holes that were drilled before anybody thought of ferrules are not drilled again: the seats are bored on them. */
    @Test
    void seats_on_holes_that_are_there() {
        TestBody body = new TestBody();
        body.doneUpTo("neck-screws:heel");
        body.neckFerrule = Optional.of(TestParts.neckFerrule());
        BuildPlan plan = body.plan();
        assertThat(keys(plan))
                .containsExactlyInAnyOrder(
                        "neck-screws:drill", "neck-ferrules:bore", "neck-screws:heel", "neck-screws:recheck");
        assertThat(plan.step("neck-ferrules:bore").orElseThrow().done()).isFalse();
        assertThat(plan.step("neck-screws:drill").orElseThrow().done()).isTrue();
    }

    /** The head sits 3 lower, so both ends of the window move by 3; the pilots go 3 deeper for the same screw. */
    @Test
    void a_sunk_head_wants_a_shorter_screw() {
        NeckScrews plain = NeckScrews.of(new TestBody().build()).orElseThrow();
        NeckScrews sunk = NeckScrews.of(body().build()).orElseThrow();
        assertThat(sunk.shortest().value()).isCloseTo(plain.shortest().value() - 3, within(1e-9));
        assertThat(sunk.longest().value()).isCloseTo(plain.longest().value() - 3, within(1e-9));
        assertThat(sunk.leastWood().value()).isEqualTo(plain.leastWood().value());
        assertThat(plain.pulls().value()).isEqualTo(plain.leastWood().value());
        assertThat(sunk.pulls().value()).isCloseTo(plain.leastWood().value() - 7, within(1e-9));
        TestBody body = body();
        body.screwLength = OptionalDouble.of(40);
        double deep = step(body.plan(), "neck-screws:heel")
                .setting()
                .figure()
                .orElseThrow()
                .value();
        assertThat(deep).isCloseTo(40 - (plain.leastWood().value() - 3), within(1e-9));
        double fits = Math.floor(plain.longest().value());
        assertThat(fits).isGreaterThan(sunk.longest().value());
        body.screwLength = OptionalDouble.of(fits);
        assertThat(body.rules()).contains("screw-too-long");
        body.neckFerrule = Optional.empty();
        assertThat(body.rules()).doesNotContain("screw-too-long");
    }

    /** The parts in hand count, not what they are sold as. */
    @Test
    void a_ferrule_is_measured() {
        TestBody body = body();
        body.read("size:neck-ferrules.length", 8.2).read("size:neck-ferrules.diameter", 15);
        Operation bore = step(body.plan(), "neck-ferrules:bore");
        double sand = body.build().faces().toSand(Face.BACK);
        assertThat(bore.setting().figure().orElseThrow().value()).isCloseTo(8.2 + sand, within(1e-9));
        assertThat(bore.changes().get(0).solid().plan().maxX()
                        - bore.changes().get(0).solid().plan().minX())
                .isCloseTo(15, within(0.01));
        assertThat(body.build().fitting().sums(body.design(), Feature.parse("neck-ferrules")))
                .extracting(r -> r.value())
                .containsExactly(15.0, 8.2);
    }

    /** Nothing holds the neck but the wood between seat and pocket: 3/8 in at least. */
    @Test
    void the_wood_under_the_ferrules_is_judged() {
        TestBody body = body();
        double wood = NeckScrews.of(body.build()).orElseThrow().leastWood().value();
        assertThat(screwWood(body).number().value()).isCloseTo(wood - 7, within(1e-9));
        body.neckFerrule = Optional.of(ferrule(14, wood - 2, 3));
        assertThat(screwWood(body).number().value()).isCloseTo(2, within(1e-9));
        assertThat(screwWood(body).least()).isCloseTo(9.525, within(1e-9));
        assertThat(body.plan().findings())
                .filteredOn(f -> f.rule().equals("thin-floor") || f.rule().equals("thin-wall"))
                .as("2 mm between pocket and seat")
                .anySatisfy(f -> assertThat(f.numbers())
                        .extracting(Finding.Value::value)
                        .anySatisfy(v -> assertThat(v).isCloseTo(2, within(0.02))));
    }

    private static Rule screwWood(TestBody body) {
        return Realism.of(body.plan()).rules().stream()
                .filter(r -> r.name().equals("screw-wood"))
                .findFirst()
                .orElseThrow();
    }

    /** A hole may lie on the body and the seat round it hang over its edge. */
    @Test
    void a_seat_that_leaves_the_body_is_told() {
        TestBody body = body();
        double edge = body.design().outline().region().maxY();
        body.screws = List.of(new Point(-19, 180), new Point(19, edge - 4));
        assertThat(body.rules()).contains("screw-off-body");
        Finding off = body.plan().findings().stream()
                .filter(f -> f.rule().equals("screw-off-body"))
                .findFirst()
                .orElseThrow();
        assertThat(off.numbers().get(2).value()).isCloseTo(3, within(0.05));
        body.neckFerrule = Optional.empty();
        assertThat(body.rules()).doesNotContain("screw-off-body");
    }

    /** A ramp takes 4 or so of the back at a screw: the seat is bored as deep as before from what the ramp leaves, once it is carved. */
    @Test
    void a_seat_in_a_ramp_waits_for_the_carve() {
        TestBody body = body();
        body.contours = List.of(new Contour(
                "ramp",
                Face.BACK,
                new Contour.Start.Across(new Point(-60, 160), new Point(60, 160)),
                10,
                Profile.Shape.STRAIGHT,
                OptionalDouble.empty()));
        BuildPlan plan = body.plan();
        double fall = body.build().finished(Face.BACK).fall(body.screws.get(0));
        assertThat(fall).isBetween(1.0, 9.0);
        NeckScrews flat = NeckScrews.of(body().build()).orElseThrow();
        NeckScrews ramped = NeckScrews.of(body.build()).orElseThrow();
        assertThat(ramped.leastWood().value())
                .as("the ramp takes of the wood under the screws")
                .isCloseTo(flat.leastWood().value() - fall, within(1e-9));
        assertThat(ramped.longest().value()).isCloseTo(flat.longest().value() - fall, within(1e-9));
        Operation bore = step(plan, "neck-ferrules:bore");
        assertThat(bore.changes().get(0).solid().shallowest())
                .isCloseTo(body.build().faces().backFinished() - fall - 7, within(1e-9));
        List<String> keys =
                plan.steps().stream().map(s -> s.operation().key().written()).toList();
        assertThat(keys.indexOf("neck-ferrules:bore"))
                .isGreaterThan(keys.stream()
                        .filter(k -> k.startsWith("contour-ramp:"))
                        .mapToInt(keys::indexOf)
                        .max()
                        .orElseThrow());
    }

    @Test
    void what_is_no_ferrule_for_a_neck_is_refused() {
        TestBody body = new TestBody();
        body.neckFerrule = Optional.of(TestParts.ferrule());
        assertThatThrownBy(body::design).isInstanceOf(Refusal.class).hasMessageContaining("string ferrule");
        body.neckFerrule = Optional.of(ferrule(4.5, 7, 3));
        assertThatThrownBy(body::design).isInstanceOf(Refusal.class).hasMessageContaining("as wide as");
        assertThatThrownBy(() -> ferrule(14, 7, 7)).isInstanceOf(Refusal.class).hasMessageContaining("not in it");
        body.neckFerrule = Optional.of(TestParts.neckFerrule());
        body.screws = List.of();
        assertThatThrownBy(body::design).isInstanceOf(Refusal.class).hasMessageContaining("no neck screws");
    }
}
