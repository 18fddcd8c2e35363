package ebauche.app.calendar;

import static org.assertj.core.api.Assertions.assertThat;

import ebauche.app.testing.WithVisitor;
import java.net.http.HttpResponse;
import java.time.DayOfWeek;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.temporal.TemporalAdjusters;
import java.time.zone.ZoneOffsetTransition;
import java.time.zone.ZoneRules;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** Who works and when: what is wrong is told at its field, and nothing is kept until nothing is. */
class WeekPagesTest extends WithVisitor {
    private static final LocalDate MONDAY = LocalDate.now().with(TemporalAdjusters.next(DayOfWeek.MONDAY));

    /** The form as it stands on the page. */
    private Map<String, String> form() {
        String page = me.get("/calendar/week").body();
        Map<String, String> typed = new HashMap<>();
        Pattern.compile("<input[^>]*>")
                .matcher(page)
                .results()
                .map(m -> m.group())
                .forEach(input -> {
                    String name = attribute(input, "name");
                    boolean ticked = !input.contains("type=\"checkbox\"") || input.contains("checked");
                    if (!name.isEmpty() && !name.equals("_csrf") && ticked) {
                        typed.put(name, input.contains("type=\"checkbox\"") ? "on" : attribute(input, "value"));
                    }
                });
        return typed;
    }

    private static String attribute(String input, String name) {
        return Pattern.compile(" " + name + "=\"([^\"]*)\"")
                .matcher(input)
                .results()
                .map(m -> m.group(1))
                .findFirst()
                .orElse("");
    }

    private HttpResponse<String> keep(Map<String, String> typed) {
        return me.post("/calendar/week", "/calendar/week", typed);
    }

    private HttpResponse<String> keepWith(String field, String value) {
        Map<String, String> typed = form();
        typed.put(field, value);
        return keep(typed);
    }

    private static String troubleAt(String page, String field) {
        return Pattern.compile(
                        "name=\"" + Pattern.quote(field) + "\"[^>]*>\\s*<span class=\"field-trouble\"[^>]*>([^<]*)")
                .matcher(page)
                .results()
                .map(m -> m.group(1))
                .findFirst()
                .orElse("");
    }

    @Test
    void before_anything_is_kept_the_makers_of_the_shop_work_the_usual_hours() {
        assertThat(form())
                .containsEntry("hands.0.name", shop.maker().name())
                .containsEntry("hands.0.monday", "8:00-12:00, 13:00-17:00")
                .containsEntry("hands.0.sunday", "");
    }

    @Test
    void a_second_hand_and_its_hours_are_kept_and_work() {
        Map<String, String> typed = form();
        typed.put("hands.1.name", "Joss");
        typed.put("hands.1.monday", "22:00-26:00");
        typed.put("hands.1.off", MONDAY + " to " + MONDAY.plusDays(2));
        typed.put("closed", "2030-12-24 to 2030-12-26, 2031-01-01");
        assertThat(keep(typed).statusCode()).isEqualTo(302);
        assertThat(form())
                .containsEntry("hands.1.name", "Joss")
                .containsEntry("hands.1.monday", "22:00-26:00")
                .containsEntry("hands.1.off", MONDAY + " to " + MONDAY.plusDays(2))
                .containsEntry("closed", "2030-12-24 to 2030-12-26, 2031-01-01");
        String page = me.get("/calendar/day?on=" + MONDAY).body();
        assertThat(page).contains("Joss").contains("Does not work on this day.");
        assertThat(me.get("/calendar/day?on=" + MONDAY.plusDays(7)).body())
                .doesNotContain("Does not work on this day.");
    }

    @Test
    void hours_that_end_before_they_begin_overlap_or_are_none_are_told_at_their_field() {
        HttpResponse<String> backwards = keepWith("hands.0.tuesday", "17:00-8:00");
        assertThat(backwards.statusCode()).isEqualTo(422);
        assertThat(troubleAt(backwards.body(), "hands.0.tuesday")).contains("end before they begin");
        assertThat(troubleAt(keepWith("hands.0.friday", "8-12, 11-15").body(), "hands.0.friday"))
                .contains("overlap");
        assertThat(troubleAt(keepWith("hands.0.friday", "all day").body(), "hands.0.friday"))
                .contains("is no hours");
        assertThat(troubleAt(keepWith("hands.0.off", "2026-12-28 to 2026-12-24").body(), "hands.0.off"))
                .contains("ends before it begins");
        assertThat(troubleAt(keepWith("zone", "Atlantis").body(), "zone")).contains("is no time zone");
        assertThat(form()).containsEntry("base", "0");
    }

    @Test
    void a_shop_without_hands_or_with_two_of_one_name_is_refused() {
        HttpResponse<String> nobody = keepWith("hands.0.name", " ");
        assertThat(nobody.statusCode()).isEqualTo(422);
        assertThat(nobody.body()).contains("somebody has to work");
        assertThat(keepWith("hands.1.name", shop.maker().name()).body()).contains("two hands are called");
    }

    @Test
    void a_form_that_rests_on_an_older_week_is_answered_with_what_was_typed() {
        Map<String, String> old = form();
        assertThat(keepWith("hands.0.monday", "9:00-12:00").statusCode()).isEqualTo(302);
        old.put("hands.0.monday", "10:00-12:00");
        HttpResponse<String> stale = keep(old);
        assertThat(stale.statusCode()).isEqualTo(409);
        assertThat(stale.body())
                .contains("changed the hands and hours meanwhile")
                .contains("10:00-12:00");
        assertThat(form()).containsEntry("hands.0.monday", "9:00-12:00");
    }

    /** Two router tables instead of one are as many as there are. */
    @Test
    void so_many_of_a_thing_are_kept_and_what_is_no_number_is_told() {
        assertThat(form()).containsKey("things.the saw");
        assertThat(keepWith("things.the saw", "2").statusCode()).isEqualTo(302);
        assertThat(form()).containsEntry("things.the saw", "2");
        HttpResponse<String> none = keepWith("things.the saw", "two");
        assertThat(none.statusCode()).isEqualTo(422);
        assertThat(troubleAt(none.body(), "things.the saw")).contains("is no number");
    }

    /** Whole hours that a day's rule is marked with. */
    private List<String> hours(LocalDate day) {
        String page = me.get("/calendar?from=" + day).body();
        int begins = page.indexOf("class=\"hour\"");
        int next = page.indexOf("class=\"day\"", begins);
        return Pattern.compile("class=\"hour\"[^>]*>([^<]*)<")
                .matcher(page.substring(begins, next))
                .results()
                .map(m -> m.group(1))
                .toList();
    }

    /** In spring the hour after one is missing, in autumn there is one twice. */
    @Test
    void a_day_on_which_the_clocks_change_has_the_hours_that_it_has() {
        Map<String, String> typed = form();
        typed.put("zone", "Europe/Berlin");
        typed.put("hands.0.sunday", "0:00-8:00");
        assertThat(keep(typed).statusCode()).isEqualTo(302);
        ZoneRules rules = ZoneId.of("Europe/Berlin").getRules();
        ZoneOffsetTransition next = rules.nextTransition(Instant.now().plus(Duration.ofDays(1)));
        for (ZoneOffsetTransition change : List.of(next, rules.nextTransition(next.getInstant()))) {
            List<String> hours = hours(change.getDateTimeBefore().toLocalDate());
            if (change.isGap()) {
                assertThat(hours).startsWith("00:00", "01:00", "03:00", "04:00");
            } else {
                assertThat(hours).startsWith("00:00", "01:00", "02:00", "02:00", "03:00");
            }
        }
    }
}
