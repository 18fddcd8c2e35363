package ebauche.core.job;

import static org.assertj.core.api.Assertions.assertThat;

import ebauche.core.TestBody;
import ebauche.core.feature.Feature;
import ebauche.core.feature.Work;
import ebauche.core.geometry.Point;
import ebauche.core.measure.Reckoning;
import ebauche.core.plan.BuildPlan;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** A rule says once what its number may be; its finding and what the page shows of it follow from that. */
class RuleTest {
    private static final Map<Finding.Severity, Rule.Verdict> BEYOND = new EnumMap<>(Map.of(
            Finding.Severity.STOPS, Rule.Verdict.FAILS,
            Finding.Severity.THINK_AGAIN, Rule.Verdict.THINK_AGAIN,
            Finding.Severity.GOOD_TO_KNOW, Rule.Verdict.UNUSUAL));

    private static Rule.Builder gap(double value) {
        return Rule.of(Work.NECK, "gap", Rule.About.NECK)
                .on(Feature.parse("neck"))
                .at(new Point(1, 2))
                .says("The neck is snug.")
                .between(Reckoning.typed("gap", value), 0, 0.4)
                .tight(0.1)
                .cure("Shim it.");
    }

    /** From nought to 0.4, nearer than 0.1 to either is only just good; the ends themselves are still within. */
    @ParameterizedTest
    @CsvSource({
        "-0.01,false,FAILS",
        "0,true,ONLY_JUST",
        "0.09,true,ONLY_JUST",
        "0.1,true,HOLDS",
        "0.3,true,HOLDS",
        "0.31,true,ONLY_JUST",
        "0.4,true,ONLY_JUST",
        "0.41,false,FAILS"
    })
    void a_number_stands_to_its_ends(double value, boolean holds, Rule.Verdict verdict) {
        Rule rule = gap(value).build();
        assertThat(rule.verdict()).isEqualTo(verdict);
        assertThat(rule.finding().isEmpty()).isEqualTo(holds);
        assertThat(rule.room() >= 0).isEqualTo(holds);
    }

    @Test
    void beyond_its_end_it_is_as_grave_as_what_is_told() {
        BEYOND.forEach((severity, verdict) -> {
            Rule rule = gap(0.5).fails(severity).build();
            assertThat(rule.verdict()).isEqualTo(verdict);
            assertThat(rule.finding().orElseThrow().severity()).isEqualTo(severity);
        });
        assertThat(BEYOND).hasSize(Finding.Severity.values().length);
    }

    @Test
    void without_words_of_its_own_it_tells_its_number_and_the_end_that_it_misses() {
        Finding over = gap(0.5).build().finding().orElseThrow();
        assertThat(over.what(v -> v.name() + " " + v.value()))
                .isEqualTo("The neck is snug: not here. Gap is gap 0.5; most 0.4 is the most.");
        assertThat(over.cure(v -> "")).isEqualTo("Shim it.");
        assertThat(over.where()).contains(new Point(1, 2));
        assertThat(over.isOn(Feature.parse("neck"))).isTrue();
        Finding under = gap(-0.5).build().finding().orElseThrow();
        assertThat(under.what(v -> "" + v.value())).endsWith("Gap is -0.5; 0.0 is the least.");
    }

    @Test
    void what_only_just_holds_is_told_by_those_that_say_so_and_only_then() {
        Finding near = Finding.thinkAgain(Work.NECK, "near").says("Near.", "Mind it.");
        assertThat(gap(0.35).onlyJust(() -> near).build().finding()).contains(near);
        assertThat(gap(0.2).onlyJust(() -> near).build().finding()).isEmpty();
        Finding beyond = gap(0.5).onlyJust(() -> near).build().finding().orElseThrow();
        assertThat(beyond.rule()).isEqualTo("gap");
    }

    @Test
    void a_rule_without_an_end_runs_out_there() {
        Rule least = gap(100).atLeast(Reckoning.typed("gap", 100), 0).build();
        assertThat(least.hasLeast()).isTrue();
        assertThat(least.hasMost()).isFalse();
        assertThat(least.room()).isEqualTo(100);
        Rule most = gap(-100).atMost(Reckoning.typed("gap", -100), 0).build();
        assertThat(most.hasLeast()).isFalse();
        assertThat(most.verdict()).isEqualTo(Rule.Verdict.HOLDS);
    }

    /** Every rule that does not hold is among the findings, on a body where much is wrong, and nothing else of a rule is. */
    @Test
    void the_plan_tells_all_rules_that_do_not_hold() {
        TestBody body = new TestBody();
        body.thickness = 20;
        body.offCentre = 2;
        BuildPlan plan = body.plan();
        List<Rule> broken = plan.rules().stream().filter(r -> r.room() < -1e-6).toList();
        assertThat(broken).hasSizeGreaterThan(3);
        assertThat(plan.findings())
                .containsAll(broken.stream()
                        .map(Rule::finding)
                        .map(Optional::orElseThrow)
                        .toList());
        assertThat(plan.rules())
                .filteredOn(r -> r.verdict() == Rule.Verdict.HOLDS)
                .allMatch(r -> r.finding().isEmpty());
    }
}
