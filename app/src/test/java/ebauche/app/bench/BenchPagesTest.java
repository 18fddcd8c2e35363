package ebauche.app.bench;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import ebauche.app.body.Bodies;
import ebauche.app.reading.DepthGauge;
import ebauche.app.testing.WithVisitor;
import ebauche.core.design.Measurand;
import ebauche.core.measure.Length;
import ebauche.core.measure.LengthUnit;
import ebauche.core.operation.Inspection;
import ebauche.core.plan.BuildPlan;
import java.net.http.HttpResponse;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/** The bench without a script: what is typed there is logged once, or refused with what was typed left standing. */
class BenchPagesTest extends WithVisitor {
    @Autowired
    private Bodies plans;

    private String here;

    @BeforeEach
    void find() {
        here = shop.path("sedge");
    }

    private BuildPlan plan() {
        return plans.current(shop.bodies().get("sedge")).plan();
    }

    private int logged() {
        return bodies.standing(shop.bodies().get("sedge")).entries();
    }

    /** The first step still to come at which a depth is measured. */
    private BuildPlan.PlanStep measured() {
        return plan().steps().stream()
                .filter(s -> !s.done() && depth(s) != null)
                .findFirst()
                .orElseThrow();
    }

    private static Inspection depth(BuildPlan.PlanStep step) {
        return step.operation().inspections().stream()
                .filter(i -> i.measurand() instanceof Measurand.DepthOf)
                .findFirst()
                .orElse(null);
    }

    @Test
    void a_card_says_where_its_holes_are_marked() {
        String card = me.get(here + "/bench?step=bridge-studs:drill").body();
        assertThat(card)
                .contains("from the saddle line toward the tail", "bass stud", "treble stud", "straight from 1 to 2");
        String jack = me.get(here + "/bench?step=jack:drill").body();
        assertThat(jack).contains("Already there: “", "Mark the middle of the jack");
    }

    /** Of three things to read on one step the bench asks for the one that is still missing. */
    @Test
    void what_is_read_is_not_asked_for_again() {
        BuildPlan.PlanStep step = plan().step("neck:rout").orElseThrow();
        List<String> keys = step.operation().inspections().stream()
                .map(i -> i.measurand().key())
                .toList();
        assertThat(keys).hasSizeGreaterThan(2);
        for (int i = 0; i < 2; i++) {
            Inspection inspection = step.operation().inspections().get(i);
            me.post(
                    here + "/bench",
                    here + "/readings",
                    Map.of(
                            "entry", UUID.randomUUID().toString(),
                            "measures", keys.get(i),
                            "value",
                                    Length.ofMillimetres(inspection.expected().value())
                                            .toString(),
                            "step", "neck:rout"));
            assertThat(me.get(here + "/bench?step=neck:rout").body())
                    .containsPattern("value=\"" + keys.get(i + 1) + "\"[^>]* selected");
        }
    }

    private HttpResponse<String> read(UUID entry, String value) {
        BuildPlan.PlanStep step = measured();
        return me.post(
                here + "/bench",
                here + "/readings",
                Map.of(
                        "entry", entry.toString(),
                        "measures", depth(step).measurand().key(),
                        "value", value,
                        "step", step.operation().key().written()));
    }

    @Test
    void a_reading_pressed_twice_stands_once_and_says_what_it_was() {
        int before = logged();
        UUID entry = UUID.randomUUID();
        String value =
                Length.ofMillimetres(depth(measured()).expected().value()).toString();
        HttpResponse<String> first = read(entry, value);
        assertThat(first.statusCode()).isEqualTo(302);
        assertThat(read(entry, value).statusCode()).isEqualTo(302);
        assertThat(logged()).isEqualTo(before + 1);
        String told = first.headers().firstValue("Location").orElseThrow();
        assertThat(me.get(told.replaceFirst("^https?://[^/]+", "")).body()).contains("logged");
    }

    @Test
    void what_is_no_reading_is_refused_with_what_was_typed_and_nothing_is_logged() {
        int before = logged();
        for (String typed : new String[] {"deep", "", "-3 mm", "4000 mm"}) {
            HttpResponse<String> answer = read(UUID.randomUUID(), typed);
            assertThat(answer.statusCode()).as(typed).isEqualTo(422);
            assertThat(answer.body()).as(typed).contains("role=\"alert\"").contains("value=\"" + typed + "\"");
        }
        assertThat(logged()).isEqualTo(before);
    }

    @Test
    void a_mishap_wants_a_few_words() {
        int before = logged();
        String step = measured().operation().key().written();
        for (String what : new String[] {" ", "x".repeat(3000)}) {
            assertThat(me.post(
                                    here + "/bench",
                                    here + "/mishaps",
                                    Map.of("entry", UUID.randomUUID().toString(), "step", step, "what", what))
                            .statusCode())
                    .isEqualTo(422);
        }
        assertThat(logged()).isEqualTo(before);
    }

    /** A careful hand and a last digit: within a tenth of a millimetre, and the same at the same moment of the record. */
    @Test
    void the_simulated_gauge_reads_what_is_there() {
        DepthGauge gauge = new DepthGauge();
        for (long moment = 0; moment < 200; moment++) {
            String shown = gauge.read(19.05, moment, LengthUnit.INCH);
            assertThat(shown).matches("0\\.7\\d\\d in").isEqualTo(gauge.read(19.05, moment, LengthUnit.INCH));
            assertThat(Length.parse(shown).millimetres()).isCloseTo(19.05, within(0.1 + 25.4 / 2000));
        }
    }
}
