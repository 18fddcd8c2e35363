package ebauche.app.stories;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import ebauche.app.testing.Story;
import ebauche.core.measure.LengthUnit;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.temporal.TemporalAdjusters;
import java.util.Arrays;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** A maker looks at the days of the shop, moves work by hand, reads the list of a day and goes to the bench from it. */
class CalendarStoriesTest extends Story {
    private static final LocalDate FAR = LocalDate.now().plusDays(100).with(TemporalAdjusters.next(DayOfWeek.TUESDAY));

    private void workedOut(Page on) {
        assertThat(on.locator("#stage")).hasAttribute("data-under-way", "false");
        String number = on.locator("#stage").getAttribute("data-number");
        assertThat(on.locator("#shown")).hasAttribute("data-number", number);
        assertThat(on.locator("svg.week")).isVisible();
    }

    /** Where something of the drawing lies: a rectangle is asked itself. */
    private static double[] box(Locator rect) {
        String at = (String) rect.evaluate("""
                rect => {
                  const box = rect.getBoundingClientRect();
                  return `${box.x} ${box.y} ${box.width} ${box.height}`;
                }""");
        return Arrays.stream(at.split(" ")).mapToDouble(Double::parseDouble).toArray();
    }

    /** Takes a block to the beginning of the last rule of the page. */
    private static void dragToTheLastRule(Page on, Locator block) {
        Locator rule = on.locator("svg.week .of-hand .steel").last();
        rule.scrollIntoViewIfNeeded();
        double[] last =
                box(on.locator("svg.week .of-hand").last().locator(".steel").first());
        double[] from = box(block.locator(".bar"));
        on.mouse().move(from[0] + 2, from[1] + from[3] / 2);
        on.mouse().down();
        on.mouse().move(last[0] + 20, last[1] + 10);
        on.mouse().move(last[0] + 4, last[1] + 10);
        on.mouse().up();
    }

    @ParameterizedTest
    @EnumSource(Screen.class)
    void a_block_is_dragged_to_another_day_and_let_go_again(Screen screen) {
        open(screen, LengthUnit.MILLIMETRE);
        page.setViewportSize(screen == Screen.DESK ? 1280 : 820, 1600);
        go("/");
        page.getByLabel("Places").getByText("Calendar").click();
        workedOut(page);
        Locator first = page.locator("svg.week a.slot").first();
        String body = first.getAttribute("data-body");
        String step = first.getAttribute("data-step");
        dragToTheLastRule(page, first);
        assertThat(page.getByText("Put there by")).isVisible();
        workedOut(page);
        // A block that its hand's hours tear is drawn in two.
        Locator moved = page.locator("svg.week a.slot[data-body='" + body + "'][data-step='" + step + "']")
                .first();
        assertThat(moved).hasClass(Pattern.compile("pinned"));
        button("Let it find its place").click();
        assertThat(page.getByText("Put there by")).isHidden();
        workedOut(page);
        assertThat(moved).not().hasClass(Pattern.compile("pinned"));
        accessible();
        fits();
    }

    @Test
    void of_two_tablets_that_move_the_same_block_the_second_is_told_and_sees_where_it_is() {
        open(Screen.TABLET, LengthUnit.MILLIMETRE);
        Page other = signIn(Screen.TABLET);
        go("/calendar");
        workedOut(page);
        other.navigate(address() + "/calendar");
        workedOut(other);
        page.setViewportSize(820, 1600);
        other.setViewportSize(820, 1600);
        dragToTheLastRule(page, page.locator("svg.week a.slot").first());
        assertThat(page.getByText("Put there by")).isVisible();
        dragToTheLastRule(other, other.locator("svg.week a.slot").first());
        assertThat(other.locator(".meanwhile")).containsText("changed that meanwhile");
        assertThat(other.locator("svg.week a.slot.pinned")).isVisible();
    }

    @ParameterizedTest
    @EnumSource(Screen.class)
    void what_is_put_before_what_it_needs_is_told_beside_what_was_typed(Screen screen) {
        open(screen, LengthUnit.MILLIMETRE);
        go("/calendar");
        workedOut(page);
        Locator blocks = page.locator("svg.week a.slot");
        blocks.first().focus();
        page.keyboard().press("Enter");
        page.getByLabel("Day", new Page.GetByLabelOptions().setExact(true)).fill(FAR.toString());
        page.getByLabel("Time").fill("09:00");
        button("Put it there").click();
        assertThat(page.getByText("Put there by")).isVisible();
        String body = page.locator("#put [name=body]").getAttribute("value");
        go("/calendar?from=" + FAR);
        Locator later = page.locator("svg.week a.slot:not(.pinned)[data-body='" + body + "']")
                .first();
        later.focus();
        page.keyboard().press("Enter");
        page.getByLabel("Day", new Page.GetByLabelOptions().setExact(true))
                .fill(FAR.minusDays(7).toString());
        button("Put it there").click();
        assertThat(page.getByRole(AriaRole.ALERT).first()).containsText("first: not before");
        accessible();
    }

    @ParameterizedTest
    @EnumSource(Screen.class)
    void the_list_of_a_day_leads_to_the_bench(Screen screen) {
        open(screen, LengthUnit.MILLIMETRE);
        go("/calendar");
        workedOut(page);
        link("Lists of the day").click();
        for (int i = 0; i < 4 && page.locator(".day-lines a").count() == 0; i++) {
            link("Day after").click();
            page.waitForLoadState();
        }
        accessible();
        fits();
        Locator step = page.locator(".day-lines a").first();
        String title = step.innerText();
        step.click();
        assertThat(page.getByRole(
                        AriaRole.HEADING,
                        new Page.GetByRoleOptions().setName(title).setExact(true)))
                .isVisible();
    }

    @Test
    void another_hand_takes_work_over() {
        open(Screen.DESK, LengthUnit.MILLIMETRE);
        go("/calendar/week");
        page.locator("[name='hands.1.name']").fill("Joss");
        page.keyboard().press("Enter");
        workedOut(page);
        assertThat(page.locator("svg.week .of-hand .hand").getByText("Joss").first())
                .isVisible();
        assertThat(page.locator("svg.week .of-hand:has(.hand:text('Joss')) a.slot")
                        .count())
                .isPositive();
    }
}
