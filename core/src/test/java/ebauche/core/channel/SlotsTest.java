package ebauche.core.channel;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import ebauche.core.TestBody;
import ebauche.core.channel.Slots.Slot;
import ebauche.core.design.ScratchPlate;
import ebauche.core.feature.Feature;
import ebauche.core.feature.FeatureKind;
import ebauche.core.geometry.Face;
import ebauche.core.geometry.Outline;
import ebauche.core.geometry.Point;
import ebauche.core.hardware.Cavity;
import ebauche.core.hardware.Cover;
import ebauche.core.job.Finding;
import ebauche.core.plan.BuildPlan;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;

/** Slots between neighbours under the scratch plate: hidden by it, off all else, and a way for the wires. */
class SlotsTest {
    private static final String PLATE = "M -60 10 L 140 10 L 140 165 L -60 165 Z";

    /** Two pickups and a cavity for the controls, all from the front under one plate. */
    private static TestBody underPlate(String plate) {
        TestBody body = new TestBody();
        body.scratchPlate = Optional.of(new ScratchPlate(2.3, false, Optional.of(Outline.parse(plate, 1)), List.of()));
        body.pickups =
                List.of(TestBody.pickup("neck", 0, 130, 16, Set.of()), TestBody.pickup("bridge", 0, 60, 19, Set.of()));
        body.controls.clear();
        body.controls.add(TestBody.pot("volume", 95, 50, 8));
        body.cavities = new ArrayList<>(List.of(new Cavity(
                FeatureKind.ELDEST,
                Face.FRONT,
                Outline.parse("M 75 25 L 125 25 L 125 80 L 75 80 Z", 1),
                new Cavity.Floor.Deep(30),
                new Cover(Cover.Kind.SCRATCH_PLATE, 0, 0, List.of(), Optional.empty()),
                Set.of())));
        return body;
    }

    private static Cavity cavity(Slot slot, String id) {
        return new Cavity(
                id,
                Face.FRONT,
                Outline.parse(slot.path(), 1),
                new Cavity.Floor.Deep(slot.depth()),
                new Cover(Cover.Kind.SCRATCH_PLATE, 0, 0, List.of(), Optional.empty()),
                Set.of(slot.from(), slot.into()));
    }

    private static List<Slot> found(TestBody body) {
        BuildPlan plan = body.plan();
        return Slots.missing(plan.build(), plan.history());
    }

    private static List<String> rules(TestBody body, Finding.Severity least) {
        return body.plan().findings().stream()
                .filter(f -> f.severity().compareTo(least) <= 0)
                .map(Finding::rule)
                .toList();
    }

    @Test
    void what_is_found_gives_every_pickup_a_way_and_stops_nothing() {
        TestBody body = underPlate(PLATE);
        List<String> before = rules(body, Finding.Severity.STOPS);
        assertThat(rules(body, Finding.Severity.GOOD_TO_KNOW)).contains("no-way-for-wires");
        List<Slot> found = found(body);
        assertThat(found).hasSize(2);
        assertThat(found).allSatisfy(s -> {
            // Two straight sides and two half circles; as deep as the shallower of its neighbours.
            double length = s.one().distance(s.other());
            assertThat(s.plan().area()).isCloseTo(length * s.wide() + Math.PI * s.wide() * s.wide() / 4, within(1.0));
            assertThat(s.depth()).isIn(16.0, 19.0);
            assertThat(s.wood()).isCloseTo(length - 4, within(1e-9)).isPositive();
        });
        for (int i = 0; i < found.size(); i++) {
            body.cavities.add(cavity(found.get(i), "slot-" + i));
        }
        assertThat(rules(body, Finding.Severity.GOOD_TO_KNOW).stream().filter("no-way-for-wires"::equals))
                .as("all but the bridge's ground, which comes from under it")
                .hasSizeLessThanOrEqualTo(1);
        assertThat(rules(body, Finding.Severity.STOPS)).isSubsetOf(before);
        assertThat(found(body)).isEmpty();
        assertThat(body.schedule().step("cavity-slot-0:rout")).isPresent();
    }

    /** What the plate does not hide is no slot; without a plate, or one whose line nobody drew, there is none. */
    @Test
    void only_where_the_plate_hides_it() {
        assertThat(found(underPlate("M -60 10 L 140 10 L 140 100 L -60 100 Z")))
                .extracting(Slot::into)
                .containsExactly(Feature.parse("pickup-bridge"));
        TestBody bare = underPlate(PLATE);
        bare.scratchPlate = Optional.of(new ScratchPlate(2.3, false));
        assertThat(found(bare)).isEmpty();
        bare.scratchPlate = Optional.empty();
        assertThat(found(bare)).isEmpty();
    }

    /** A screw of the plate where the shortest slot would lie: it is laid beside it, three millimetres off. */
    @Test
    void it_is_laid_beside_what_stands_in_its_way() {
        TestBody body = underPlate(PLATE);
        Slot straight = found(body).stream()
                .filter(s -> s.into().equals(Feature.parse("pickup-neck")))
                .findFirst()
                .orElseThrow();
        Point middle = straight.one().towards(straight.other(), 0.5);
        body.scratchPlate =
                Optional.of(new ScratchPlate(2.3, false, Optional.of(Outline.parse(PLATE, 1)), List.of(middle)));
        Slot beside = found(body).stream()
                .filter(s -> s.into().equals(Feature.parse("pickup-neck")))
                .findFirst()
                .orElseThrow();
        assertThat(beside.plan().outside(middle)).isGreaterThan(3);
    }
}
