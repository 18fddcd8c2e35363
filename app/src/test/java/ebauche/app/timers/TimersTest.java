package ebauche.app.timers;

import static org.assertj.core.api.Assertions.assertThat;

import ebauche.app.testing.Visitor;
import ebauche.app.testing.WithVisitor;
import ebauche.core.measure.LengthUnit;
import ebauche.exchange.json.JsonText;
import java.net.http.HttpResponse;
import java.time.Duration;
import java.time.Instant;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import tools.jackson.databind.JsonNode;

/** Timers run in the shop's database: of one shop only, set once, taken off for all, by themselves where a step must rest. */
class TimersTest extends WithVisitor {
    @Autowired
    private TimerStore store;

    private JsonNode running(Visitor who) {
        return JsonText.tree("{\"all\":" + who.get("/timers/running").body() + "}")
                .path("all");
    }

    private HttpResponse<String> set(UUID id, String says, String minutes) {
        return me.post("/timers", "/timers", Map.of("entry", id.toString(), "says", says, "minutes", minutes));
    }

    @Test
    void the_same_one_sent_twice_is_one_and_each_shop_has_its_own() {
        UUID id = UUID.randomUUID();
        assertThat(set(id, "glue", "30").statusCode()).isEqualTo(302);
        assertThat(set(id, "glue again", "60").statusCode()).isEqualTo(302);
        assertThat(running(me)).hasSize(1);
        assertThat(running(me).path(0).path("says").asString("")).isEqualTo("glue");
        Instant ends = Instant.ofEpochMilli(running(me).path(0).path("ends").asLong());
        assertThat(Duration.between(Instant.now(), ends).toMinutes()).isBetween(28L, 30L);
        Shop other = openShop(LengthUnit.MILLIMETRE);
        Visitor stranger = new Visitor(address()).signIn(other.maker().name(), PASSWORD);
        assertThat(running(stranger)).isEmpty();
        stranger.post("/timers", "/timers/off", Map.of("timer", id.toString()));
        assertThat(running(me)).hasSize(1);
        me.post("/timers", "/timers/off", Map.of("timer", id.toString()));
        me.post("/timers", "/timers/off", Map.of("timer", id.toString()));
        assertThat(running(me)).isEmpty();
        set(id, "glue", "30");
        assertThat(running(me)).as("one that was taken off stays off").isEmpty();
    }

    @Test
    void what_cannot_be_set_is_told_and_nothing_runs() {
        for (String minutes : new String[] {"", "0", "-5", "soon", "9999999", "1.5"}) {
            HttpResponse<String> refused = set(UUID.randomUUID(), "glue", minutes);
            assertThat(refused.statusCode()).as(minutes).isEqualTo(422);
            assertThat(refused.body()).contains("Minutes are a whole number");
        }
        assertThat(set(UUID.randomUUID(), "   ", "5").statusCode()).isEqualTo(422);
        assertThat(me.post(
                                "/timers",
                                "/timers",
                                Map.of(
                                        "entry",
                                        UUID.randomUUID().toString(),
                                        "says",
                                        "x",
                                        "minutes",
                                        "5",
                                        "body",
                                        "abcdefghijkmnpqr"))
                        .statusCode())
                .isEqualTo(404);
        assertThat(running(me)).isEmpty();
    }

    @Test
    void a_step_that_must_rest_sets_its_own_and_a_second_press_sets_none() {
        String body = shop.path("tussock");
        var file = me.fileOf(body);
        file.remove("asBuilt");
        String fresh = me.takenOn(file);
        for (String step : new String[] {"blank:joint", "blank:glue", "blank:glue"}) {
            me.post(
                    fresh + "/bench",
                    fresh + "/done",
                    Map.of("entry", UUID.randomUUID().toString(), "step", step));
        }
        assertThat(running(me)).hasSize(1);
        JsonNode glue = running(me).path(0);
        assertThat(glue.path("says").asString("")).contains("Tussock", "Glue up");
        assertThat(glue.path("here").asString("")).isEqualTo(fresh + "/bench");
        assertThat(Duration.between(
                                Instant.now(),
                                Instant.ofEpochMilli(glue.path("ends").asLong()))
                        .toHours())
                .isBetween(22L, 24L);
        assertThat(me.get("/timers").body()).contains("Glue up");
    }

    @Test
    void those_that_are_up_are_told_as_such() {
        store.set(
                shop.maker().shop(),
                UUID.randomUUID(),
                Optional.empty(),
                "long ago",
                Instant.now().minusSeconds(5),
                "Ada");
        assertThat(running(me).path(0).path("up").asBoolean()).isTrue();
        assertThat(me.get("/timers").body()).contains("Seen, take it off");
    }
}
