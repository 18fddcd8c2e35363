package ebauche.core.layout;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import ebauche.core.layout.Judgement.Fate;
import ebauche.core.timber.Defect;
import ebauche.core.timber.Flaw;
import org.junit.jupiter.api.Test;

/** Where a fault lies decides what becomes of it: the facts of the trade, common practice. */
class JudgementTest {
    private static final Need NEED = Racks.need();
    private static final double FRONT_AT = 1.3;

    private static Judgement judge(Defect.Kind kind, double x, double y, double size, double top, double bottom) {
        return Judgement.of(
                new Flaw(kind, x - size / 2, x + size / 2, y - size / 2, y + size / 2, top, bottom), NEED, FRONT_AT);
    }

    @Test
    void outside_the_outline_it_falls_in_waste() {
        assertThat(judge(Defect.Kind.KNOT, 150, -150, 14, 0, 47).fates()).containsExactly(Fate.WASTE);
    }

    @Test
    void through_the_body_it_shows_on_both_faces_by_its_own_area() {
        Judgement knot = judge(Defect.Kind.KNOT, -80, 0, 20, 0, 47);
        assertThat(knot.fates()).containsExactlyInAnyOrder(Fate.SHOWS_FRONT, Fate.SHOWS_BACK);
        assertThat(knot.onFront()).isEqualTo(400, within(1e-6));
    }

    @Test
    void under_the_surface_it_stays_inside_and_skimmed_off_it_is_gone() {
        assertThat(judge(Defect.Kind.KNOT, -80, 0, 20, 10, 30).fates()).containsExactly(Fate.BURIED);
        assertThat(judge(Defect.Kind.STAIN, -80, 0, 20, 0, 1).fates()).containsExactly(Fate.WASTE);
    }

    @Test
    void in_a_cavity_it_is_cut_away() {
        // The rear cavity leaves 6 over it: a fault from 10 down to the back is gone with it.
        assertThat(judge(Defect.Kind.KNOT, 90, -60, 20, 12, 47).fates()).containsExactly(Fate.IN_POCKET);
        // One that reaches the front is not.
        assertThat(judge(Defect.Kind.KNOT, 90, -60, 20, 0, 47).fates()).contains(Fate.SHOWS_FRONT);
    }

    @Test
    void under_the_bridge_it_is_hidden_from_the_front_but_not_from_the_back() {
        assertThat(judge(Defect.Kind.KNOT, 0, -5, 20, 0, 20).fates()).containsExactly(Fate.UNDER_HARDWARE);
        assertThat(judge(Defect.Kind.KNOT, 0, -5, 20, 0, 47).fates()).contains(Fate.SHOWS_BACK);
    }

    @Test
    void across_the_outline_it_shows_on_the_edge_whatever_its_depth() {
        Judgement split = judge(Defect.Kind.SPLIT, 160, 40, 20, 15, 30);
        assertThat(split.fates()).containsExactly(Fate.SHOWS_EDGE);
        assertThat(split.onEdge()).isEqualTo(20, within(0.1));
    }

    @Test
    void in_the_necks_seat_a_knot_weakens_and_a_stain_does_not() {
        assertThat(judge(Defect.Kind.KNOT, 0, 205, 16, 20, 47).fates()).contains(Fate.IN_SEAT);
        assertThat(judge(Defect.Kind.STAIN, 0, 205, 16, 20, 40).fates()).doesNotContain(Fate.IN_SEAT);
    }

    @Test
    void a_nail_in_the_path_of_a_cutter_is_said() {
        assertThat(judge(Defect.Kind.METAL, 90, -60, 5, 12, 30).fates()).contains(Fate.MEETS_CUTTER);
        assertThat(judge(Defect.Kind.METAL, -80, 0, 5, 12, 30).fates()).doesNotContain(Fate.MEETS_CUTTER);
        assertThat(judge(Defect.Kind.METAL, -80, 0, 5, 12, 30).points()).isGreaterThan(5);
    }
}
