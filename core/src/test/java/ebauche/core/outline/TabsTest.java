package ebauche.core.outline;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import ebauche.core.TestBody;
import ebauche.core.TestPractice;
import ebauche.core.design.Tab;
import ebauche.core.geometry.Outline;
import ebauche.core.geometry.Point;
import ebauche.core.geometry.Region;
import ebauche.core.plan.BuildPlan;
import ebauche.core.shop.Practice;
import java.util.List;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;

/** Tabs and flats stand until everything that is located from them is located: common practice. */
@Tag("slow")
class TabsTest {
    private static final Tab TAIL = new Tab("tail", new Point(0, -160), 60, 8);

    private static TestBody tabbed() {
        TestBody body = new TestBody();
        body.tabs = List.of(TAIL);
        return body;
    }

    private static List<String> keys(TestBody body) {
        return body.schedule().steps().stream()
                .map(s -> s.operation().key().written())
                .toList();
    }

    /** On a straight edge a tab is its rectangle and two fillets of 13 mm, as far as it stands out: by hand. */
    @Test
    void a_tab_on_a_straight_edge_is_a_rectangle_with_its_corners_filled() {
        Outline square = Outline.parse("M -100 0 L 100 0 L 100 200 L -100 200 Z", 1);
        Region tab = new Tab("t", new Point(0, -5), 60, 20).region(square);
        double fillets = 2 * (13 * 13 - Math.PI * 13 * 13 / 4);
        assertThat(tab.area()).isCloseTo(60 * 20 + fillets, within(6.0));
        assertThat(tab.minY()).isEqualTo(-20, within(1e-6));
        assertThat(tab.maxX()).isEqualTo(43, within(0.2));
        assertThatThrownBy(() -> new Tab("t", new Point(0, 0), 5, 20)).hasMessageContaining("between 10 and 300");
    }

    @Test
    void it_is_sawn_off_after_all_that_is_located_from_it_and_before_the_edge_is_sanded() {
        for (Practice.EdgeSchool school : Practice.EdgeSchool.values()) {
            TestBody body = tabbed();
            body.shop = body.shop.with(TestPractice.with(body.shop.practice(), school));
            List<String> keys = keys(body);
            int off = keys.indexOf("outline:tabs-off");
            assertThat(off).as("%s", school).isPositive();
            for (String located :
                    List.of("neck:bridge", "neck:fit", "pickup-neck:fit", "pickup-bridge:fit", "controls:fit")) {
                assertThat(keys.indexOf(located)).as(located).isNotNegative().isLessThan(off);
            }
            assertThat(keys.indexOf("sanding:edge")).isGreaterThan(off);
            assertThat(body.rules()).doesNotContain("circle", "nobody-gives", "tab-beyond-blank");
        }
    }

    /** The wood is there until then and gone after; the finished body weighs what it would without. */
    @Test
    void its_wood_stands_until_it_is_sawn_off() {
        TestBody body = tabbed();
        BuildPlan plan = body.plan();
        int off = plan.indexOf(plan.step("outline:tabs-off").orElseThrow());
        assertThat(plan.history().before(off).intervalsAt(0, -154)).isNotEmpty();
        assertThat(plan.history().before(off + 1).intervalsAt(0, -154)).isEmpty();
        assertThat(plan.history().finished().balance().grams())
                .isCloseTo(new TestBody().plan().history().finished().balance().grams(), within(0.5));
    }

    @Test
    void a_tab_that_the_blank_has_no_wood_for_is_told() {
        TestBody body = tabbed();
        body.tabs = List.of(new Tab("tail", new Point(0, -160), 60, 120));
        assertThat(body.rules()).contains("tab-beyond-blank");
    }

    @Test
    void a_body_without_tabs_has_no_such_step() {
        assertThat(keys(new TestBody())).doesNotContain("outline:tabs-off");
    }
}
