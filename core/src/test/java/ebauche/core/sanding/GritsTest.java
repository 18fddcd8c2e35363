package ebauche.core.sanding;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import ebauche.core.TestBody;
import ebauche.core.TestPractice;
import ebauche.core.design.RoundOver;
import ebauche.core.feature.StepKey;
import ebauche.core.feature.StepKind;
import ebauche.core.geometry.Face;
import ebauche.core.operation.LedgerRow;
import ebauche.core.operation.Setting;
import ebauche.core.plan.BuildPlan;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** The ledger of papers: grains by the published scale, and what each must take. */
class GritsTest {
    /** Mean grains of FEPA's P scale (ISO 6344-3), micrometres, from memory of the table. */
    @ParameterizedTest
    @CsvSource({
        "60, 269",
        "80, 201",
        "100, 162",
        "120, 125",
        "150, 100",
        "180, 82",
        "220, 68",
        "240, 58.5",
        "320, 46.2",
        "400, 35",
        "600, 25.8"
    })
    void grains_are_the_published_ones(int grit, double micrometres) {
        assertThat(Grits.grain(grit) * 1000).isCloseTo(micrometres, within(1e-9));
    }

    /** No step more than halves the grain, and none is shorter than it must be. */
    @ParameterizedTest
    @CsvSource({"80, 320", "120, 320", "60, 600", "150, 240", "220, 320", "120, 120"})
    void papers_follow_by_the_longest_steps_that_sand_out(int first, int last) {
        List<Integer> all = Grits.between(first, last);
        assertThat(all).startsWith(first).endsWith(last).isSorted();
        for (int i = 1; i < all.size(); i++) {
            assertThat(Grits.grain(all.get(i))).isGreaterThanOrEqualTo(Grits.grain(all.get(i - 1)) / 2);
        }
        for (int i = 2; i < all.size(); i++) {
            assertThat(Grits.grain(all.get(i)))
                    .as("two steps in one would skip")
                    .isLessThan(Grits.grain(all.get(i - 2)) / 2);
        }
    }

    /** The sum of what comes off is the allowance, paper by paper. */
    @Test
    void what_comes_off_is_the_allowance() {
        BuildPlan plan = new TestBody().plan();
        for (StepKind face : List.of(StepKind.FRONT, StepKind.BACK)) {
            Setting set = plan.step(StepKey.of(SandingStation.FEATURE, face))
                    .orElseThrow()
                    .operation()
                    .setting();
            double off = set.ledger().stream()
                    .flatMap(r -> r.figures().stream())
                    .filter(f -> f.what().equals("comes off"))
                    .mapToDouble(f -> f.value())
                    .sum();
            assertThat(off).isCloseTo(0.3, within(1e-9));
            double minutes = set.ledger().stream()
                    .flatMap(r -> r.figures().stream())
                    .filter(f -> f.what().equals("minutes"))
                    .mapToDouble(f -> f.value())
                    .sum();
            assertThat(minutes)
                    .isCloseTo(20 * plan.build().design().outline().region().area() / 10_000, within(1e-6));
        }
        // 0.1 of marks, then a third of 125 and of 68 micrometres, by hand.
        assertThat(new Grits("front", 0.1, Grits.between(120, 320)).need().value())
                .isCloseTo(0.1 + 0.125 / 3 + 0.068 / 3, within(1e-9));
    }

    /** A small round-over never sees a coarse paper; its ledger stands beside the face's. */
    @Test
    void a_small_round_over_is_spared_the_coarse_papers() {
        TestBody body = new TestBody();
        body.roundOvers.add(new RoundOver("front", Face.FRONT, 4, Optional.empty()));
        List<String> rows = body
                .plan()
                .step(StepKey.of(SandingStation.FEATURE, StepKind.FRONT))
                .orElseThrow()
                .operation()
                .setting()
                .ledger()
                .stream()
                .map(LedgerRow::does)
                .toList();
        assertThat(rows).anyMatch(r -> r.startsWith("front round-over, P150"));
        assertThat(rows).noneMatch(r -> r.startsWith("front round-over, P120"));
        assertThat(rows).anyMatch(r -> r.startsWith("front, P120"));
    }

    @Test
    void an_allowance_that_the_papers_outrun_is_told() {
        TestBody body = new TestBody();
        assertThat(body.rules()).doesNotContain("sanding-too-little");
        body.shop = body.shop.with(TestPractice.sanding(body.shop.practice(), 0.1));
        assertThat(body.rules()).contains("sanding-too-little");
    }

    /** Read after its paper, the rest is laid out anew: what is still to come off is the allowance less what came off. */
    @Test
    void what_a_paper_took_is_read_and_the_rest_laid_out_anew() {
        Grits papers = new Grits("front", Grits.TOOL_MARKS, Grits.between(120, 320));
        double allowance = 0.4;
        for (double first : new double[] {0.1, 0.2, 0.3}) {
            List<LedgerRow> rows = papers.rows(allowance, 60, List.of(first));
            assertThat(rows.get(0).does()).contains("done");
            double rest = rows.stream()
                    .flatMap(r -> r.figures().stream())
                    .filter(f -> f.what().equals("comes off"))
                    .mapToDouble(f -> f.value())
                    .sum();
            assertThat(rest).isCloseTo(allowance - first, within(1e-9));
        }
        // Too much taken: the papers still take what they must, and it is told.
        TestBody body = new TestBody();
        double off = body.shop.practice().frontSanding();
        assertThat(body.read("sanded-off:front", off * 0.5, "sanding:front").rules())
                .doesNotContain("sanding-over");
        assertThat(body.read("sanded-off:front", off * 0.49, "sanding:front").rules())
                .contains("sanding-over");
    }
}
