package ebauche.app.calendar;

import static org.assertj.core.api.Assertions.assertThat;

import ebauche.app.body.Body;
import ebauche.app.testing.Visitor;
import ebauche.app.testing.WithVisitor;
import ebauche.app.ways.WaysStore;
import ebauche.core.measure.LengthUnit;
import java.net.http.HttpResponse;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.temporal.TemporalAdjusters;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import tools.jackson.databind.node.ObjectNode;

/** The calendar's pages: what is moved by hand stays or is refused where it was typed, and two who move the same block do not undo each other. */
class CalendarPagesTest extends WithVisitor {
    /** Far enough from now for everything to be done before it, however the search does it. */
    private static final LocalDate FAR =
            LocalDate.now().plusDays(200).with(TemporalAdjusters.next(DayOfWeek.WEDNESDAY));

    private static final String GLUE = "blank:glue";

    @Autowired
    private WaysStore ways;

    private String id(String body) {
        return shop.bodies().get(body).publicId();
    }

    private String held(String body, String step) {
        return me.get("/calendar?body=" + id(body) + "&step=" + step).body();
    }

    private static String base(String page) {
        return Pattern.compile("id=\"put\".*?name=\"base\" value=\"(\\d+)\"", Pattern.DOTALL)
                .matcher(page)
                .results()
                .map(m -> m.group(1))
                .findFirst()
                .orElseThrow();
    }

    private HttpResponse<String> put(Visitor who, String body, String step, String base, LocalDate day, String time) {
        return who.post("/calendar", "/calendar/put", fields(body, step, base, day, time));
    }

    private Map<String, String> fields(String body, String step, String base, LocalDate day, String time) {
        return Map.of(
                "body", id(body), "step", step, "base", base, "hand", hand(), "day", day.toString(), "time", time);
    }

    private String hand() {
        return Pattern.compile("name=\"hands.0.key\" value=\"([^\"]+)\"")
                .matcher(me.get("/calendar/week").body())
                .results()
                .map(m -> m.group(1))
                .findFirst()
                .orElseThrow();
    }

    /** A body none of whose steps is done, so that its blank is still to be glued. */
    private String uncut() {
        return "rush";
    }

    private String firstStepOf(String body) {
        return Pattern.compile("data-body=\"" + id(body) + "\" data-step=\"([^\"]+)\"")
                .matcher(me.get("/calendar").body())
                .results()
                .map(m -> m.group(1))
                .findFirst()
                .orElse(GLUE);
    }

    private String whenDone() throws InterruptedException {
        String page = me.get("/calendar").body();
        for (int i = 0; i < 300 && page.contains("data-under-way=\"true\""); i++) {
            Thread.sleep(100);
            page = me.get("/calendar").body();
        }
        assertThat(page).contains("data-under-way=\"false\"");
        return page;
    }

    @Test
    void the_days_the_bodies_and_the_bound_are_shown_at_once_and_the_search_ends() throws InterruptedException {
        assertThat(me.get("/calendar").body()).contains("class=\"week\"");
        String page = whenDone();
        assertThat(page).contains("nothing better is being looked for").contains("No order could be done before");
        shop.bodies().forEach((name, body) -> assertThat(page).contains("/bodies/" + body.publicId()));
    }

    @Test
    void a_block_that_is_put_somewhere_stays_and_can_be_let_go() {
        String step = firstStepOf(uncut());
        HttpResponse<String> moved = put(me, uncut(), step, base(held(uncut(), step)), FAR, "09:15");
        assertThat(moved.statusCode()).as(moved.body()).isEqualTo(302);
        String page = held(uncut(), step);
        assertThat(page).contains("Put there by " + shop.maker().name());
        assertThat(page).contains("09:15 to");
        Map<String, String> free = Map.of("body", id(uncut()), "step", step, "base", base(page), "kind", "free");
        assertThat(me.post("/calendar", "/calendar/block", free).statusCode()).isEqualTo(302);
        assertThat(held(uncut(), step)).doesNotContain("Put there by");
    }

    @Test
    void what_cannot_stay_is_refused_where_it_was_typed_and_nothing_moves() {
        String step = firstStepOf(uncut());
        String base = base(held(uncut(), step));
        LocalDate sunday = FAR.with(TemporalAdjusters.next(DayOfWeek.SUNDAY));
        HttpResponse<String> notThen = put(me, uncut(), step, base, sunday, "09:00");
        assertThat(notThen.statusCode()).isEqualTo(422);
        assertThat(notThen.body()).contains("does not work then").contains("value=\"" + sunday + "\"");
        HttpResponse<String> over = put(me, uncut(), step, base, LocalDate.now().minusDays(3), "09:00");
        assertThat(over.statusCode()).isEqualTo(422);
        assertThat(over.body()).contains("That time is over.");
        HttpResponse<String> none = put(me, uncut(), step, base, FAR, "noon");
        assertThat(none.statusCode()).isEqualTo(422);
        assertThat(none.body()).contains("Say a day and a time.");
        assertThat(base(held(uncut(), step))).isEqualTo(base);
        assertThat(held(uncut(), step)).doesNotContain("Put there by");
    }

    @Test
    void a_block_before_what_was_put_later_by_hand_and_needs_it_is_refused() {
        String first = firstStepOf(uncut());
        String early = base(held(uncut(), first));
        assertThat(put(me, uncut(), first, early, FAR, "09:00").statusCode()).isEqualTo(302);
        String last = Pattern.compile("data-body=\"" + id(uncut()) + "\" data-step=\"([^\"]+)\"")
                .matcher(me.get("/calendar?from=" + FAR).body())
                .results()
                .map(m -> m.group(1))
                .filter(s -> !s.equals(first))
                .findFirst()
                .orElseThrow();
        HttpResponse<String> refused = put(me, uncut(), last, base(held(uncut(), last)), FAR.minusDays(7), "09:00");
        assertThat(refused.statusCode()).isEqualTo(422);
        assertThat(refused.body()).contains("first: not before");
    }

    @Test
    void of_two_who_move_the_same_block_at_once_one_is_told_and_other_blocks_are_not_touched() throws Exception {
        String step = firstStepOf(uncut());
        String base = base(held(uncut(), step));
        String token = me.tokenOn("/calendar");
        ExecutorService both = Executors.newFixedThreadPool(2);
        List<Callable<Integer>> moves = List.of(
                () -> send(token, fields(uncut(), step, base, FAR, "09:00")),
                () -> send(token, fields(uncut(), step, base, FAR.plusDays(1), "10:00")));
        List<Integer> answers = new ArrayList<>();
        for (Future<Integer> answer : both.invokeAll(moves)) {
            answers.add(answer.get());
        }
        both.shutdown();
        assertThat(answers).containsExactlyInAnyOrder(302, 409);
        HttpResponse<String> late = put(me, uncut(), step, base, FAR.plusDays(2), "11:00");
        assertThat(late.statusCode()).isEqualTo(409);
        assertThat(late.body()).contains("changed that meanwhile");
    }

    private int send(String token, Map<String, String> fields) {
        Map<String, String> all = new HashMap<>(fields);
        all.put("_csrf", token);
        return me.forge("/calendar/put", all).statusCode();
    }

    @Test
    void a_block_that_is_taken_out_has_no_place_and_neither_has_what_needs_it() throws InterruptedException {
        String step = firstStepOf(uncut());
        Map<String, String> out =
                Map.of("body", id(uncut()), "step", step, "base", base(held(uncut(), step)), "kind", "out");
        assertThat(me.post("/calendar", "/calendar/block", out).statusCode()).isEqualTo(302);
        String page = whenDone();
        assertThat(page)
                .contains("Taken out of the calendar by " + shop.maker().name())
                .contains("more blocks come after these")
                .contains("nobody knows");
    }

    @Test
    void a_day_in_the_past_is_no_due_day_and_one_that_cannot_be_kept_is_late_with_what_would_help()
            throws InterruptedException {
        Map<String, String> past =
                due("tussock", "0", LocalDate.now().minusDays(2).toString());
        HttpResponse<String> refused = me.post("/calendar", "/calendar/due", past);
        assertThat(refused.statusCode()).isEqualTo(422);
        assertThat(refused.body()).contains("is over: today is");
        assertThat(me.post("/calendar", "/calendar/due", due("tussock", "0", "yesterday"))
                        .statusCode())
                .isEqualTo(422);
        String soon = LocalDate.now().plusDays(1).toString();
        assertThat(me.post("/calendar", "/calendar/due", due("tussock", "0", soon))
                        .statusCode())
                .isEqualTo(302);
        String page = whenDone();
        assertThat(page).contains("value=\"" + soon + "\"").contains("1 Tussock is done");
        assertThat(page).containsAnyOf("What would help", "Neither a Saturday");
        assertThat(me.post("/calendar", "/calendar/due", due("tussock", "0", soon))
                        .statusCode())
                .isEqualTo(409);
    }

    private Map<String, String> due(String body, String base, String day) {
        return Map.of("body", id(body), "base", base, "day", day);
    }

    @Test
    void a_step_that_waits_for_a_yes_waits_until_a_day_is_said() {
        String step = firstStepOf(uncut());
        me.post(
                shop.path(uncut()) + "/bench",
                shop.path(uncut()) + "/asked",
                Map.of("entry", UUID.randomUUID().toString(), "step", step, "whom", "the client"));
        assertThat(me.get("/calendar").body()).contains("Waits for the client.");
        Map<String, String> day = Map.of("body", id(uncut()), "step", step, "base", "0", "day", FAR.toString());
        assertThat(me.post("/calendar", "/calendar/answer", day).statusCode()).isEqualTo(302);
        assertThat(me.get("/calendar").body()).doesNotContain("Waits for the client.");
        assertThat(me.get("/calendar?from=" + FAR).body()).contains("data-step=\"" + step + "\"");
    }

    /** What was glued just now rests as long for the bench, the timers and the calendar. */
    @Test
    void a_glue_up_that_is_done_rests_alike_on_every_page() {
        String glue = "blank:glue";
        List<String> before = shop.bodies().keySet().stream()
                .filter(b -> me.get("/calendar?body=" + id(b) + "&step=" + glue)
                        .body()
                        .contains("id=\"put\""))
                .toList();
        assertThat(before).isNotEmpty();
        String body = before.get(0);
        String here = shop.path(body);
        Map<String, String> done = Map.of("entry", UUID.randomUUID().toString(), "step", glue, "tick", "checked");
        assertThat(me.post(here + "/bench", here + "/done", done).statusCode()).isEqualTo(302);
        String moment = "[A-Z][a-z]{2} \\d+ [A-Z][a-z]{2}, \\d\\d:\\d\\d";
        String onCalendar = first(me.get("/calendar").body(), body(body) + " rests until (" + moment + ")");
        String waiting = Pattern.compile("data-step=\"([a-z0-9-]+:[a-z0-9-]+)\"")
                .matcher(me.get(here).body())
                .results()
                .map(m -> first(
                        me.get(here + "/bench?step=" + m.group(1)).body(),
                        "must rest until\\s*<time[^>]*>(" + moment + ")"))
                .filter(found -> !found.startsWith("nothing"))
                .findFirst()
                .orElseThrow();
        assertThat(waiting).isEqualTo(onCalendar);
        assertThat(first(me.get("/timers").body(), ">(" + moment + ")<")).isEqualTo(onCalendar);
    }

    private String body(String name) {
        return Integer.toString(shop.bodies().get(name).number());
    }

    private static String first(String page, String pattern) {
        return Pattern.compile(pattern)
                .matcher(page)
                .results()
                .map(m -> m.group(1))
                .findFirst()
                .orElse("nothing like " + pattern);
    }

    @Test
    void another_shop_has_none_of_it() {
        String step = firstStepOf(uncut());
        Visitor stranger = visitor(openShop(LengthUnit.INCH));
        Map<String, String> theirs = fields(uncut(), step, "0", FAR, "09:00");
        assertThat(stranger.post("/calendar", "/calendar/put", theirs).statusCode())
                .isEqualTo(404);
        assertThat(stranger.post("/calendar", "/calendar/due", due(uncut(), "0", FAR.toString()))
                        .statusCode())
                .isEqualTo(404);
        Body body = shop.bodies().get(uncut());
        assertThat(stranger.get("/calendar?body=" + body.publicId() + "&step=" + step)
                        .body())
                .doesNotContain("id=\"put\"");
    }

    @Test
    void what_is_done_is_done_and_moves_the_rest() {
        String step = firstStepOf(uncut());
        assertThat(held(uncut(), step)).contains("id=\"put\"");
        Map<String, String> done =
                Map.of("entry", UUID.randomUUID().toString(), "step", step, "minutes", "240", "tick", "checked");
        assertThat(me.post(shop.path(uncut()) + "/bench", shop.path(uncut()) + "/done", done)
                        .statusCode())
                .isEqualTo(302);
        assertThat(me.get("/calendar").body())
                .doesNotContain("data-body=\"" + id(uncut()) + "\" data-step=\"" + step + "\"");
    }

    @Test
    void files_for_other_programs_are_taken_by_them() {
        HttpResponse<String> ics = me.get("/calendar/ebauche.ics");
        assertThat(ics.headers().firstValue("Content-Type")).hasValue("text/calendar;charset=UTF-8");
        assertThat(ics.body()).startsWith("BEGIN:VCALENDAR").contains("Tussock");
        HttpResponse<String> nobody = me.get("/calendar/ebauche.ics?hand=nobody");
        assertThat(nobody.statusCode()).isEqualTo(200);
        assertThat(nobody.body()).doesNotContain("DESCRIPTION");
        assertThat(me.get("/calendar/calendar.csv").body()).startsWith("day,from,to,hand,body,steps");
    }

    /** A shop of more bodies than are looked at while somebody waits: a file without them would be taken for a shop with nothing to do. */
    @Test
    void while_bodies_are_looked_at_for_the_first_time_files_and_moves_are_put_off_with_words() {
        ObjectNode file = fileOf("tussock");
        for (int i = 0; i < 13; i++) {
            file.withObject("/design").put("name", "One of many " + i);
            takenOn(file);
        }
        HttpResponse<String> early = me.get("/calendar/ebauche.ics");
        assertThat(early.statusCode()).isEqualTo(503);
        assertThat(early.body()).contains("In a moment the calendar is there");
        String page = me.get("/calendar").body();
        for (int i = 0; i < 600 && page.contains("data-under-way=\"true\"") && !page.contains("class=\"week"); i++) {
            page = me.get("/calendar").body();
        }
        HttpResponse<String> then = me.get("/calendar/ebauche.ics");
        assertThat(then.statusCode()).isEqualTo(200);
        assertThat(then.body()).contains("One of many 12");
    }

    /** What a glue-up wants besides the clamps that there are is told in the calendar too. */
    @Test
    void too_few_clamps_for_a_glue_up_are_told() {
        assertThat(me.get("/calendar").body()).doesNotContain("Too few clamps");
        ObjectNode few = ways.of(shop.maker().shop()).json().deepCopy();
        few.withObject("/gluing")
                .putArray("clamps")
                .addObject()
                .put("name", "pipe clamp")
                .put("count", 1)
                .put("opening", "900 mm")
                .put("reach", "45 mm")
                .put("jaw", "45 mm")
                .put("force", 5500);
        ways.keep(shop.maker().shop(), ways.of(shop.maker().shop()).number(), few, "test");
        assertThat(me.get("/calendar").body())
                .contains("Too few clamps")
                .contains("takes what there is, and would want more")
                .contains("more clamps that open wide enough would do");
        String neck = "1 × pipe clamp, 1 more clamp that opens over body, neck and cauls";
        assertThat(me.get("/calendar").body()).contains("1 more clamp that opens over body, neck and cauls");
        assertThat(me.get(shop.path("marram") + "/neck").body()).contains(neck);
        assertThat(me.get(shop.path("marram") + "/bench?step=neck:glue").body()).contains(neck);
        assertThat(me.get(shop.path("sedge") + "/neck").body()).doesNotContain("A clamp over the joint");
    }
}
