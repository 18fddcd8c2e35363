package ebauche.app.blank;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import ebauche.app.body.Bodies;
import ebauche.app.body.Body;
import ebauche.app.testing.WithApp;
import ebauche.app.timber.BoardStore;
import ebauche.app.timber.Shelved;
import ebauche.app.web.Stale;
import ebauche.core.design.Blank;
import ebauche.core.layout.Layout;
import ebauche.core.measure.LengthUnit;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/** A blank is cut whole or not at all: boards leave the rack, offcuts come onto it, and nobody cuts a board twice. */
class CutPlanTest extends WithApp {
    @Autowired
    private Bodies current;

    @Autowired
    private BlankPlanning planning;

    @Autowired
    private CutPlanStore plans;

    @Autowired
    private BoardStore boards;

    private Shop shop;

    @BeforeEach
    void openOne() {
        shop = openShop(LengthUnit.MILLIMETRE);
    }

    private BlankPlanning.Planned planned(String body, String timber, String top) {
        BlankChoice choice = new BlankChoice(timber, 5, null, null, top, "maple", null, 0, 0, null, null);
        return planning.plan(current.current(shop.bodies().get(body)), choice, LengthUnit.MILLIMETRE);
    }

    private List<Shelved> rack() {
        return boards.rack(shop.maker().shop());
    }

    private CutPlan kept(Body body, List<Layout> layers) {
        plans.keep(body, CutPlan.of(layers, rack(), List.of()), "me");
        return plans.latest(body).orElseThrow();
    }

    /** A layout out of two boards, so that a half-done cut could be told. */
    private Layout ofTwoBoards() {
        return planned("shale", "ash", "").coreAnswer().layouts().stream()
                .filter(l -> l.boards().size() == 2)
                .findFirst()
                .orElseThrow();
    }

    @Test
    void boards_leave_the_rack_and_offcuts_come_with_their_boards_readings() {
        Body body = shop.bodies().get("shale");
        Layout layout = ofTwoBoards();
        int before = rack().size();
        CutPlan plan = kept(body, List.of(layout));
        plans.cut(body, plan, "me");
        assertThat(rack()).hasSize(before - 2 + layout.offcuts().size());
        assertThat(rack().stream().map(s -> s.board().name()))
                .doesNotContainAnyElementsOf(
                        layout.boards().stream().map(b -> b.name()).toList());
        for (Shelved offcut : rack()) {
            if (layout.offcuts().stream()
                    .anyMatch(o -> o.name().equals(offcut.board().name()))) {
                assertThat(offcut.readings()).isNotEmpty();
                assertThat(offcut.board().offcut()).isTrue();
            }
        }
        assertThat(plans.latest(body).orElseThrow().done()).isTrue();
        assertThatThrownBy(() -> plans.cut(body, plan, "me"))
                .isInstanceOf(Stale.class)
                .hasMessageContaining("already");
    }

    @Test
    void when_one_board_was_changed_meanwhile_nothing_at_all_is_cut() {
        Body body = shop.bodies().get("shale");
        Layout layout = ofTwoBoards();
        CutPlan plan = kept(body, List.of(layout));
        String second = layout.boards().get(1).name();
        Shelved changed = rack().stream()
                .filter(s -> s.board().name().equals(second))
                .findFirst()
                .orElseThrow();
        boards.keep(changed, changed.state(), changed.file(), Shelved.Place.RACK, Optional.empty(), "somebody");
        int before = rack().size();
        assertThatThrownBy(() -> plans.cut(body, plan, "me"))
                .isInstanceOf(Stale.class)
                .hasMessageContaining("“" + second + "” was changed meanwhile");
        assertThat(rack()).hasSize(before);
        assertThat(plans.latest(body).orElseThrow().done()).isFalse();
    }

    @Test
    void what_is_kept_of_a_plan_is_read_back_as_it_was() {
        Layout layout = ofTwoBoards();
        CutPlan plan = kept(shop.bodies().get("shale"), List.of(layout));
        assertThat(plan.cuts()).isEqualTo(layout.cuts());
        assertThat(plan.pieces()).hasSameSizeAs(layout.pieces());
        assertThat(plan.pieces().get(0).across())
                .isEqualTo(layout.pieces().get(0).roughWidth(), within(1e-9));
        assertThat(plan.boards()).hasSize(2);
    }

    @Test
    void a_top_is_sawn_to_its_cores_edges_and_both_fit_one_blank() {
        BlankPlanning.Planned planned = planned("sedge", "alder", "8 mm");
        assertThat(planned.complete()).isTrue();
        Blank blank = planned.blank();
        assertThat(blank.top().orElseThrow().width()).isEqualTo(blank.across(), within(0.3));
        double wanted =
                current.current(shop.bodies().get("sedge")).plan().build().thicknessed();
        // A millimetre is left for levelling both faces of the glued blank.
        assertThat(blank.thickness()).isEqualTo(wanted + 1, within(1e-9));
        assertThat(blank.topThickness()).isGreaterThan(8);
        assertThat(planned.top().orElseThrow().layout().thickness()).isGreaterThanOrEqualTo(blank.topThickness());
    }

    @Test
    void a_moved_outline_moves_the_blank_the_other_way_and_its_faults_with_it() {
        BlankChoice still = new BlankChoice("ash", 1, null, null, "", "", null, 0, 0, null, null);
        BlankChoice moved = new BlankChoice("ash", 1, null, null, "", "", null, 0, 0, "5 mm", "-3 mm");
        Bodies.Current tussock = current.current(shop.bodies().get("tussock"));
        LaidOut one =
                planning.plan(tussock, still, LengthUnit.MILLIMETRE).core().orElseThrow();
        LaidOut other =
                planning.plan(tussock, moved, LengthUnit.MILLIMETRE).core().orElseThrow();
        assertThat(other.alone().middleX()).isEqualTo(one.alone().middleX() - 5, within(1e-9));
        assertThat(other.alone().middleY()).isEqualTo(one.alone().middleY() + 3, within(1e-9));
        assertThat(other.layer().flaws()).hasSameSizeAs(one.layer().flaws()).isNotEmpty();
        assertThat(other.layer().flaws().get(0).minX())
                .isEqualTo(one.layer().flaws().get(0).minX() - 5, within(1e-9));
    }
}
