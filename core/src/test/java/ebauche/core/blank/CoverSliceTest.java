package ebauche.core.blank;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import ebauche.core.TestBody;
import ebauche.core.TestTimber;
import ebauche.core.design.Blank;
import ebauche.core.geometry.Face;
import ebauche.core.hardware.Cavity;
import ebauche.core.hardware.Cover;
import ebauche.core.hardware.Part;
import ebauche.core.hardware.PartKind;
import ebauche.core.hardware.PartSize;
import ebauche.core.job.Rule;
import ebauche.core.operation.Operation;
import ebauche.core.operation.Setting;
import ebauche.core.plan.BuildPlan;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** A cover out of the body's own back: sliced before the pieces are glued, the boards so much thicker: common practice. */
class CoverSliceTest {
    private static final double COVER = 3;

    private static TestBody ownBack(int pieces) {
        TestBody body = new TestBody();
        body.blank = Blank.plain(TestTimber.ALDER, pieces, 340, 420, 45, 50);
        Cavity cavity = body.cavities.get(0);
        body.cavities.set(0, cavity.with(new Cover(Cover.Kind.OWN_BACK, COVER, 5, List.of(), Optional.empty())));
        return body;
    }

    private static List<String> keys(BuildPlan plan) {
        return plan.steps().stream().map(s -> s.operation().key().written()).toList();
    }

    private static Operation step(BuildPlan plan, String key) {
        return plan.step(key).orElseThrow(() -> new AssertionError(key)).operation();
    }

    @ParameterizedTest
    @CsvSource({"1, blank:cut", "2, blank:joint", "3, blank:joint"})
    void it_comes_off_before_the_blank_is_whole_and_the_cover_before_its_recess(int pieces, String next) {
        BuildPlan plan = ownBack(pieces).plan();
        String recess = plan.build().design().cavities().get(0).recess().word();
        assertThat(keys(plan)).containsSubsequence("blank:slice", next, recess + ":cut", recess + ":rout");
        assertThat(plan.findings().stream().map(f -> f.rule())).doesNotContain("nobody-gives", "circle");
    }

    /** 3 of cover, 2 for the planes, 1.6 of kerf: pieces of 50 begin at 56.6. */
    @Test
    void the_pieces_begin_thicker_by_the_slice_and_its_kerf() {
        TestBody body = ownBack(2);
        Setting.Resawn set = (Setting.Resawn) step(body.plan(), "blank:slice").setting();
        assertThat(set.slice().value()).isCloseTo(5, within(1e-9));
        assertThat(set.board().value()).isCloseTo(56.6, within(1e-9));
        double plain = BlankNeed.whole(
                        new TestBody().build(), new TestBody().plan().history())
                .rough();
        assertThat(BlankNeed.whole(body.build(), body.plan().history()).rough()).isCloseTo(plain + 6.6, within(1e-9));
        assertThat(CoverSlice.takes(new TestBody().build())).isZero();
    }

    /** The cavity lies over one half: that half is sliced. Over a seam, both are. */
    @Test
    void only_the_pieces_under_the_cover_are_sliced() {
        TestBody body = ownBack(2);
        Cavity cavity = body.cavities.get(0);
        boolean right = cavity.plan().centroid().x() > 0;
        assertThat(step(body.plan(), "blank:slice").title()).endsWith("piece " + (right ? 2 : 1));
        body.cavities.set(0, cavity.moved(-cavity.plan().centroid().x(), 0));
        assertThat(CoverSlice.of(body.build()).orElseThrow().pieces()).containsExactly(1, 2);
        body.undecided = Set.of(cavity.recess());
        assertThat(CoverSlice.of(body.build())).isEmpty();
    }

    @ParameterizedTest
    @CsvSource({"1, false", "2, true"})
    void the_saw_must_reach_through_the_piece(int pieces, boolean holds) {
        Rule rule = CoverSlice.of(ownBack(pieces).build()).orElseThrow().reach();
        assertThat(rule.finding().isEmpty()).isEqualTo(holds);
    }

    @Test
    void what_cannot_be_sliced_is_refused() {
        Part bought = new Part(PartKind.COVER, "plate", Map.of(PartSize.THICKNESS, 2.0));
        assertThatThrownBy(() -> new Cover(Cover.Kind.OWN_BACK, 2, 5, List.of(), Optional.of(bought)))
                .hasMessageContaining("is not sliced off the body");
        Cavity back = new TestBody().cavities.get(0);
        Cover own = new Cover(Cover.Kind.OWN_BACK, 2, 5, List.of(), Optional.empty());
        assertThatThrownBy(
                        () -> new Cavity("front", Face.FRONT, back.outline(), new Cavity.Floor.Deep(30), own, Set.of()))
                .hasMessageContaining("closes a cavity in the back");
    }
}
