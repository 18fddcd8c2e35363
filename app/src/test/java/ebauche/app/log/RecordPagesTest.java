package ebauche.app.log;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import ebauche.app.body.Body;
import ebauche.app.testing.Visitor;
import ebauche.app.testing.WithVisitor;
import ebauche.app.web.Stale;
import ebauche.core.design.Measurand;
import ebauche.core.feature.StepKey;
import ebauche.core.logbook.AsBuilt;
import ebauche.exchange.file.DemoBodies;
import ebauche.exchange.json.BuildFileException;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.stream.Stream;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.FormElement;
import org.jsoup.select.Elements;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.simple.JdbcClient;

/** What goes into the record can be read back, and what is in it already and cannot breaks no page. */
class RecordPagesTest extends WithVisitor {
    @Autowired
    private JdbcClient sql;

    private static final List<String> PAGES =
            List.of("", "/bench", "/neck", "/depths", "/x-ray", "/check", "/design", "/parts", "/template", "/passes");

    private void everyPageAnswers() {
        assertThat(me.get("/").statusCode()).isEqualTo(200);
        assertThat(me.get("/log").statusCode()).isEqualTo(200);
        for (String page : PAGES) {
            assertThat(me.get(shop.path("sedge") + page).statusCode()).as(page).isEqualTo(200);
        }
    }

    private HttpResponse<String> mishap(String step) {
        return me.post(
                shop.path("sedge") + "/bench",
                shop.path("sedge") + "/mishaps",
                Map.of("entry", UUID.randomUUID().toString(), "step", step, "what", "slipped"));
    }

    private HttpResponse<String> post(String what, Map<String, String> fields) {
        return me.post(shop.path("sedge") + "/bench", shop.path("sedge") + what, fields);
    }

    private AsBuilt record() {
        return bodies.record(shop.bodies().get("sedge"));
    }

    private static String fresh() {
        return UUID.randomUUID().toString();
    }

    /** What it cost and whether it is good stands in the log, until it is made good; twice made good is once. */
    @Test
    void a_mistake_stays_on_the_list_until_it_is_made_good() {
        String id = fresh();
        post(
                "/mishaps",
                Map.of("entry", id, "step", "neck:rout", "what", "tore a chip", "minutes", "45", "open", "true"));
        String log = me.get("/log").body();
        assertThat(log).contains("Not settled yet").contains("tore a chip, 45 min lost, to be made good");
        assertThat(record().unsettled()).hasSize(1);
        post("/settled", Map.of("entry", id));
        post("/settled", Map.of("entry", id));
        assertThat(record().unsettled()).isEmpty();
        assertThat(record().standing().stream().filter(AsBuilt.Settled.class::isInstance))
                .hasSize(1);
        assertThat(me.get("/log").body()).doesNotContain("Not settled yet").contains("tore a chip, 45 min lost");
        for (String minutes : List.of("soon", "-3", "20001", "1e3")) {
            HttpResponse<String> refused = post(
                    "/mishaps", Map.of("entry", fresh(), "step", "neck:rout", "what", "again", "minutes", minutes));
            assertThat(refused.statusCode()).as(minutes).isEqualTo(422);
            assertThat(refused.body()).contains("number of minutes");
        }
    }

    /** A step that waits for the client's yes says so at the bench until the yes is there. */
    @Test
    void a_step_waits_for_a_yes() {
        String id = fresh();
        assertThat(post("/asked", Map.of("entry", id, "step", "neck:rout", "whom", "the client"))
                        .statusCode())
                .isEqualTo(302);
        String bench = shop.path("sedge") + "/bench?step=neck:rout";
        assertThat(me.get(bench).body())
                .contains("waits for a yes from")
                .contains("The answer is yes")
                .contains("Done all the same")
                .doesNotContain("Done, next step");
        assertThat(me.get(shop.path("sedge") + "/bench?step=neck:off").body()).doesNotContain("The answer is yes");
        assertThat(me.get("/log").body()).contains("waits for a yes from the client");
        assertThat(post("/settled", Map.of("entry", id, "step", "neck:rout")).statusCode())
                .isEqualTo(302);
        assertThat(me.get(bench).body()).doesNotContain("The answer is yes");
        assertThat(post("/asked", Map.of("entry", fresh(), "step", "neck:rout", "whom", " "))
                        .statusCode())
                .isEqualTo(422);
        // Taken back, it waits for nobody.
        String again = fresh();
        post("/asked", Map.of("entry", again, "step", "neck:rout", "whom", "Mo"));
        post("/withdrawals", Map.of("entry", again));
        assertThat(me.get(bench).body()).doesNotContain("The answer is yes");
    }

    @Test
    void the_log_is_narrowed_by_body_kind_and_hand() {
        mishap("neck:rout");
        assertThat(me.get("/log?kind=mishap").body()).contains("slipped").doesNotContain("Rout the");
        assertThat(me.get("/log?kind=done").body()).doesNotContain("slipped");
        assertThat(me.get("/log?sought=shale").body()).doesNotContain("slipped");
        assertThat(me.get("/log?sought=SEDGE").body()).contains("slipped");
        assertThat(me.get("/log?sought=gorse").body()).contains("Nothing in the log is of that body");
        assertThat(me.get("/log?hand=nobody").body()).contains("Nothing in the log is of that body");
        assertThat(me.get("/log?hand=" + shop.maker().name().replace(" ", "%20"))
                        .body())
                .contains("slipped");
        assertThat(me.get("/log?before=1").body()).contains("Nothing in the log");
        assertThat(me.get("/log?before=x").statusCode()).isEqualTo(400);
    }

    /** Whoever narrowed the log and withdraws a line finds the same lines again. */
    @Test
    void the_log_comes_back_as_it_was_narrowed() {
        mishap("neck:rout");
        String first = record().timeline().get(record().timeline().size() - 1).id();
        Document page = Jsoup.parse(me.get("/log?kind=mishap&sought=Sedge").body());
        Map<String, String> sent = new HashMap<>(Map.of("entry", first));
        ((FormElement) page.selectFirst("form.wide-table"))
                .formData()
                .forEach(field -> sent.put(field.key(), field.value()));
        sent.remove("_csrf");
        HttpResponse<String> answer = me.post("/log", shop.path("sedge") + "/withdrawals", sent);
        assertThat(answer.headers().firstValue("Location"))
                .hasValueSatisfying(to -> assertThat(to).endsWith("/log?sought=Sedge&kind=mishap"));
        sent.put("sought", "a&b {c} 1%");
        HttpResponse<String> odd = me.post("/log", shop.path("sedge") + "/withdrawals", sent);
        assertThat(odd.headers().firstValue("Location"))
                .hasValueSatisfying(to -> assertThat(to).endsWith("/log?sought=a%26b%20%7Bc%7D%201%25&kind=mishap"));
    }

    /** The withdrawal is of another kind, by another hand or on another page: the entry is gone nevertheless, and only that one. */
    @Test
    void what_was_withdrawn_is_shown_as_gone_wherever_its_withdrawal_stands() {
        mishap("neck:rout");
        mishap("neck:rout");
        String first = record().timeline().stream()
                .filter(AsBuilt.Mishap.class::isInstance)
                .map(AsBuilt.Entry::id)
                .findFirst()
                .orElseThrow();
        post("/withdrawals", Map.of("entry", first));
        for (String page : List.of("/log?kind=mishap", shop.path("sedge") + "/record")) {
            Elements lines = Jsoup.parse(me.get(page).body()).select("tr.mishap");
            assertThat(lines).as(page).hasSize(2);
            assertThat(lines.select("button[name=entry]")).as(page).hasSize(1);
            assertThat(lines.select("button[value=" + first + "]")).as(page).isEmpty();
            assertThat(lines.select(".gone")).as(page).hasSize(1);
        }
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "x", "neck:nothing", "NECK:ROUT", "neck:rout\u0000", "'; drop table entry; --"})
    void a_mishap_at_no_step_of_the_plan_is_refused_and_nothing_is_stored(String step) {
        int before = bodies.standing(shop.bodies().get("sedge")).entries();
        assertThat(mishap(step).statusCode()).isBetween(400, 499);
        assertThat(mishap("a".repeat(81)).statusCode()).isBetween(400, 499);
        assertThat(bodies.standing(shop.bodies().get("sedge")).entries()).isEqualTo(before);
        assertThat(mishap("neck:rout").statusCode()).isEqualTo(302);
        everyPageAnswers();
    }

    @Test
    void the_store_takes_only_what_it_can_read_back() {
        Body sedge = shop.bodies().get("sedge");
        int before = bodies.standing(sedge).entries();
        List<AsBuilt.Entry> unreadable = List.of(
                new AsBuilt.Mishap("m1", "2026-11-20T10:00:00Z", "t".repeat(81), Optional.empty(), "x"),
                new AsBuilt.Mishap("m2", "2026-11-20", "t", Optional.of(StepKey.parse("neck:rout")), "x"),
                new AsBuilt.Mishap("m3", "", "t", Optional.of(StepKey.parse("neck:rout")), "x"),
                new AsBuilt.Mishap("m4", "2026-13-20T10:00:00Z", "t", Optional.of(StepKey.parse("neck:rout")), "x"),
                new AsBuilt.Mishap(
                        "m5", "2026-11-20T10:00:00Z", "t", Optional.of(StepKey.parse("neck:rout")), "x".repeat(2001)),
                new AsBuilt.Withdrawn("w".repeat(81), "2026-11-20T10:00:00Z", "t", "m"));
        for (AsBuilt.Entry entry : unreadable) {
            assertThatThrownBy(() -> bodies.log(sedge, entry)).isInstanceOf(BuildFileException.class);
        }
        assertThat(bodies.standing(sedge).entries()).isEqualTo(before);
    }

    @Test
    void an_entry_that_is_stored_already_and_cannot_be_read_is_told_and_left_out() {
        Body sedge = shop.bodies().get("sedge");
        for (String bad : List.of(
                "{\"id\": \"bad-1\", \"kind\": \"mishap\", \"at\": \"2026-11-20\", \"operation\": \"" + "a".repeat(81)
                        + "\", \"what\": \"x\"}",
                "{\"id\": \"bad-2\", \"kind\": \"reading\", \"measures\": \"depth:neck\", \"value\": \"24 mm\"}",
                "[]")) {
            sql.sql("insert into entry (shop, body, client_id, entry) values (:shop, :body, :client, :entry)")
                    .param("shop", sedge.shop())
                    .param("body", sedge.id())
                    .param("client", UUID.randomUUID().toString())
                    .param("entry", bad)
                    .update();
        }
        everyPageAnswers();
        assertThat(me.get("/log").body()).contains("Cannot be read").contains("2026-11-20");
        assertThat(me.get(shop.path("sedge")).body()).contains("data-rule=\"entry-unreadable\"");
        assertThat(me.get(shop.path("sedge") + "/file").statusCode()).isEqualTo(200);
        for (AsBuilt.Entry entry : bodies.record(sedge).timeline()) {
            if (entry instanceof AsBuilt.Unreadable) {
                me.post("/log", shop.path("sedge") + "/withdrawals", Map.of("entry", entry.id()));
            }
        }
        assertThat(me.get(shop.path("sedge")).body()).doesNotContain("data-rule=\"entry-unreadable\"");
        everyPageAnswers();
    }

    @ParameterizedTest
    @ValueSource(
            strings = {"2026-11-02", "2026-13-02T08:00:00Z", "soon", "1955-11-02T08:00:00Z", "2126-11-02T08:00:00Z"})
    void a_file_with_a_moment_that_is_none_is_refused_at_its_place(String moment) {
        String file = new String(DemoBodies.bytes("sedge"), StandardCharsets.UTF_8)
                .replaceFirst("2026-11-02T11:05:00Z", moment);
        HttpResponse<String> answer =
                me.upload("/bodies/take-on", "/bodies/from-file", file.getBytes(StandardCharsets.UTF_8));
        assertThat(answer.statusCode()).isEqualTo(422);
        assertThat(answer.body()).contains("asBuilt.timeline[2].at");
    }

    @Test
    void the_same_step_done_by_two_at_once_is_one_event() throws Exception {
        Body sedge = shop.bodies().get("sedge");
        int before = bodies.standing(sedge).entries();
        ExecutorService hands = Executors.newFixedThreadPool(6);
        List<Visitor> tablets = Stream.generate(() -> visitor(shop)).limit(6).toList();
        List<Callable<Integer>> presses = tablets.stream()
                .<Callable<Integer>>map(tablet -> () -> tablet.post(
                                shop.path("sedge") + "/bench",
                                shop.path("sedge") + "/done",
                                Map.of("entry", UUID.randomUUID().toString(), "step", "neck:rout"))
                        .statusCode())
                .toList();
        for (var answer : hands.invokeAll(presses)) {
            assertThat(answer.get()).isEqualTo(302);
        }
        hands.shutdown();
        assertThat(bodies.standing(sedge).entries()).isEqualTo(before + 1);
    }

    @Test
    void an_id_that_another_bodys_entry_has_is_refused_and_not_swallowed() {
        String id = UUID.randomUUID().toString();
        AsBuilt.Reading reading = new AsBuilt.Reading(
                id,
                "2026-11-20T10:00:00Z",
                "t",
                Optional.of(StepKey.parse("neck:rout")),
                Measurand.parse("depth:neck"),
                24.1);
        bodies.log(shop.bodies().get("sedge"), reading);
        Body marram = shop.bodies().get("marram");
        int before = bodies.standing(marram).entries();
        assertThatThrownBy(() -> bodies.log(marram, reading)).isInstanceOf(Stale.class);
        assertThat(me.post(
                                shop.path("marram") + "/bench",
                                shop.path("marram") + "/readings",
                                Map.of("entry", id, "measures", "depth:neck", "value", "24 mm", "step", "neck:rout"))
                        .statusCode())
                .isEqualTo(409);
        assertThat(bodies.standing(marram).entries()).isEqualTo(before);
    }
}
