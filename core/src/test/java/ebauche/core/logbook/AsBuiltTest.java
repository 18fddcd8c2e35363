package ebauche.core.logbook;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import ebauche.core.design.Measurand;
import ebauche.core.design.Measurand.Dimension;
import ebauche.core.feature.StepKey;
import ebauche.core.geometry.Face;
import ebauche.core.measure.Refusal;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.Test;

/** A record only grows; what counts of it is what stands, the last of each. */
class AsBuiltTest {
    private static final String AT = "2026-01-05T10:00:00Z";
    private static final StepKey ROUT = StepKey.parse("neck:rout");
    private static final StepKey SAND = StepKey.parse("sanding:front");
    private static final Measurand OFF = new Measurand.SandedOff(Face.FRONT);

    private static AsBuilt.Reading read(String id, Measurand what, double value, StepKey... step) {
        return new AsBuilt.Reading(
                id, AT, "me", step.length == 0 ? Optional.empty() : Optional.of(step[0]), what, value);
    }

    private static AsBuilt.Done done(String id, StepKey step, Map<Measurand, Double> expected) {
        return new AsBuilt.Done(id, AT, "me", step, "title " + id, Face.FRONT, List.of(), expected);
    }

    private static AsBuilt.Withdrawn withdrawn(String id, String entry) {
        return new AsBuilt.Withdrawn(id, AT, "me", entry);
    }

    @Test
    void what_is_withdrawn_stands_no_more_and_stays_in_the_record() {
        AsBuilt record = new AsBuilt(List.of(
                read("a", Dimension.FRET_HEIGHT, 1.2), read("b", Dimension.FRET_HEIGHT, 1.4), withdrawn("c", "b")));
        assertThat(record.timeline()).hasSize(3);
        assertThat(record.standing()).extracting(AsBuilt.Entry::id).containsExactly("a");
        assertThat(record.latest(Dimension.FRET_HEIGHT).orElseThrow().value()).isEqualTo(1.2);
        assertThat(record.latest(Dimension.NUT_HEIGHT)).isEmpty();
    }

    @Test
    void the_last_record_of_a_step_counts_in_the_order_of_doing() {
        AsBuilt record =
                new AsBuilt(List.of(done("a", ROUT, Map.of()), done("b", SAND, Map.of()), done("c", ROUT, Map.of())));
        assertThat(record.steps().keySet()).containsExactly(SAND, ROUT);
        assertThat(record.done(ROUT).orElseThrow().id()).isEqualTo("c");
        AsBuilt back = new AsBuilt(List.of(done("a", ROUT, Map.of()), withdrawn("b", "a")));
        assertThat(back.done(ROUT)).isEmpty();
        assertThat(back.steps()).isEmpty();
    }

    /** A reading counts as it stands; a step done counts as planned only where nothing was read at it. */
    @Test
    void sanding_counts_once() {
        AsBuilt planned = new AsBuilt(List.of(done("a", SAND, Map.of(OFF, 0.3))));
        assertThat(planned.sandedOff(Face.FRONT, 0)).isEqualTo(0.3);
        assertThat(planned.sandedOff(Face.BACK, 0)).isZero();
        AsBuilt read = new AsBuilt(List.of(read("r", OFF, 0.5, SAND), done("a", SAND, Map.of(OFF, 0.3))));
        assertThat(read.sandedOff(Face.FRONT, 0)).isEqualTo(0.5);
        AsBuilt elsewhere = new AsBuilt(List.of(read("r", OFF, 0.1), done("a", SAND, Map.of(OFF, 0.3))));
        assertThat(elsewhere.sandedOff(Face.FRONT, 0)).isCloseTo(0.4, within(1e-12));
        assertThat(elsewhere.sandedOff(Face.FRONT, 1))
                .as("from the second entry on")
                .isEqualTo(0.3);
    }

    @Test
    void an_id_stands_once() {
        assertThatThrownBy(() ->
                        new AsBuilt(List.of(read("a", Dimension.FRET_HEIGHT, 1), read("a", Dimension.NUT_HEIGHT, 0.5))))
                .isInstanceOf(Refusal.class)
                .hasMessageContaining("twice");
    }

    /** Two records of the same entries are one; what was handed in and is changed afterwards changes none. */
    @Test
    void a_record_is_its_entries() {
        List<AsBuilt.Entry> entries = new ArrayList<>(List.of(read("a", Dimension.FRET_HEIGHT, 1)));
        AsBuilt record = new AsBuilt(entries);
        entries.clear();
        assertThat(record).isEqualTo(new AsBuilt(List.of(read("a", Dimension.FRET_HEIGHT, 1))));
        assertThat(record).hasSameHashCodeAs(new AsBuilt(List.of(read("a", Dimension.FRET_HEIGHT, 1))));
        assertThat(record).isNotEqualTo(AsBuilt.NOTHING_YET);
        assertThatThrownBy(() -> record.steps().clear()).isInstanceOf(UnsupportedOperationException.class);
    }

    /** Against looking through all that stands, entry by entry, on random records. */
    @Test
    void what_is_looked_up_is_what_a_walk_through_the_record_finds() {
        Random random = new Random(7);
        Dimension[] dimensions = {Dimension.FRET_HEIGHT, Dimension.NUT_HEIGHT, Dimension.ACTION_BASS};
        StepKey[] steps = {ROUT, SAND, StepKey.parse("jack:drill")};
        for (int run = 0; run < 200; run++) {
            List<AsBuilt.Entry> entries = new ArrayList<>();
            for (int i = 0; i < 20; i++) {
                entries.add(
                        switch (random.nextInt(3)) {
                            case 0 -> read("e" + i, dimensions[random.nextInt(3)], 0.5 + random.nextDouble());
                            case 1 -> done("e" + i, steps[random.nextInt(3)], Map.of());
                            default -> withdrawn("e" + i, "e" + random.nextInt(i + 1));
                        });
            }
            AsBuilt record = new AsBuilt(entries);
            List<AsBuilt.Entry> standing = entries.stream()
                    .filter(e -> !(e instanceof AsBuilt.Withdrawn))
                    .filter(e -> entries.stream()
                            .noneMatch(w -> w instanceof AsBuilt.Withdrawn gone
                                    && gone.entry().equals(e.id())))
                    .toList();
            assertThat(record.standing()).isEqualTo(standing);
            for (Dimension dimension : dimensions) {
                Optional<AsBuilt.Reading> last = standing.stream()
                        .filter(e ->
                                e instanceof AsBuilt.Reading r && r.measures().equals(dimension))
                        .map(AsBuilt.Reading.class::cast)
                        .reduce((a, b) -> b);
                assertThat(record.latest(dimension)).isEqualTo(last);
            }
            for (StepKey step : steps) {
                Optional<AsBuilt.Done> last = standing.stream()
                        .filter(e ->
                                e instanceof AsBuilt.Done d && d.operation().equals(step))
                        .map(AsBuilt.Done.class::cast)
                        .reduce((a, b) -> b);
                assertThat(record.done(step)).isEqualTo(last);
            }
        }
    }

    /** A mishap to be made good and a step that waits for a yes stay open until each is settled, or taken back. */
    @Test
    void what_is_not_settled_stays_open() {
        StepKey carve = StepKey.parse("contour-belly:carve");
        AsBuilt.Mishap torn = new AsBuilt.Mishap("torn", AT, "me", Optional.empty(), "tore", 30, true);
        AsBuilt.Mishap small = new AsBuilt.Mishap("small", AT, "me", Optional.empty(), "a dent");
        AsBuilt.Asked asked = new AsBuilt.Asked("asked", AT, "me", carve, "the client");
        AsBuilt open = new AsBuilt(List.of(torn, small, asked));
        assertThat(open.unsettled()).containsExactly(torn, asked);
        assertThat(open.awaited(carve)).contains(asked);
        assertThat(open.awaited(StepKey.parse("contour-belly:line"))).isEmpty();
        AsBuilt yes = new AsBuilt(List.of(torn, small, asked, new AsBuilt.Settled("s", AT, "you", "asked")));
        assertThat(yes.unsettled()).containsExactly(torn);
        assertThat(yes.awaited(carve)).isEmpty();
        // A yes that was a slip is taken back: it waits again.
        AsBuilt again = new AsBuilt(List.of(
                asked, new AsBuilt.Settled("s", AT, "you", "asked"), new AsBuilt.Withdrawn("w", AT, "you", "s")));
        assertThat(again.awaited(carve)).contains(asked);
        assertThatThrownBy(() -> new AsBuilt.Mishap("m", AT, "me", Optional.empty(), "x", -1, false))
                .isInstanceOf(Refusal.class);
    }
}
