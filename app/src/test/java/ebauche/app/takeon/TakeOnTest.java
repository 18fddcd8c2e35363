package ebauche.app.takeon;

import static org.assertj.core.api.Assertions.assertThat;

import ebauche.app.testing.WithVisitor;
import ebauche.app.web.PublicIds;
import java.net.http.HttpResponse;
import java.util.HashMap;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** Taking a body on, without a script: twice is once, what it has is recorded, what cannot be is answered on the page. */
class TakeOnTest extends WithVisitor {
    private HttpResponse<String> take(String entry, String... answers) {
        Map<String, String> fields = new HashMap<>(Map.of("name", "Bracken", "entry", entry));
        for (int i = 0; i < answers.length; i += 2) {
            fields.put(answers[i], answers[i + 1]);
        }
        return me.post("/bodies/take-on", "/bodies/take-on", fields);
    }

    private static String where(HttpResponse<String> answer) {
        assertThat(answer.statusCode()).as(answer.body()).isEqualTo(302);
        return answer.headers().firstValue("Location").orElseThrow().replaceFirst("^https?://[^/]+", "");
    }

    @Test
    void a_body_taken_on_twice_is_one_body() {
        String entry = PublicIds.next();
        String first = where(take(entry));
        assertThat(where(take(entry))).isEqualTo(first).endsWith(entry);
        assertThat(me.get(first).statusCode()).isEqualTo(200);
        assertThat(where(take(PublicIds.next()))).isNotEqualTo(first);
        assertThat(take("nonsense").statusCode()).isEqualTo(404);
    }

    @Test
    void what_a_bought_body_has_is_recorded_as_done() {
        String body = where(take(PublicIds.next(), "has-neck", "yes", "has-controls", "yes", "newCap", "yes"));
        String log = me.get("/log").body();
        assertThat(log).contains("As it came: ");
        var file = me.fileOf(body);
        assertThat(file.path("asBuilt")
                        .path("timeline")
                        .valueStream()
                        .map(e -> e.path("operation").asString("")))
                .anyMatch(o -> o.startsWith("neck:"))
                .anyMatch(o -> o.startsWith("outline:"))
                .noneMatch(o -> o.startsWith("pickup-neck:"));
        assertThat(file.path("design").has("newCap")).isTrue();
        assertThat(me.get(body).statusCode()).isEqualTo(200);
        assertThat(me.get(body + "/check").statusCode()).isEqualTo(200);
    }

    @Test
    void what_cannot_be_is_answered_on_the_page_and_no_body_is_there() {
        String entry = PublicIds.next();
        HttpResponse<String> refused = take(entry, "strings", "0", "name", "");
        assertThat(refused.statusCode()).isEqualTo(422);
        assertThat(refused.body()).contains("must be a whole number from 4 to 12", "a body needs a name");
        assertThat(me.get("/bodies/" + entry).statusCode()).isEqualTo(404);
        HttpResponse<String> narrow =
                take(entry, "outline", "own", "path", "M -160 -160 L 160 -160 L 20 200 L -20 200 Z");
        assertThat(narrow.statusCode()).isEqualTo(422);
        assertThat(narrow.body()).contains("Where the neck leaves it");
    }

    @Test
    void an_unrouted_body_and_an_inch_maker_have_their_plans() {
        String body = where(take(PublicIds.next(), "endsAs", "unrouted", "scale", "25 1/2 in", "hand", "left"));
        assertThat(me.fileOf(body).path("design").path("endsAs").asString("")).isEqualTo("unrouted");
        assertThat(me.get(body + "/design").body()).contains("a shaped body without its routs");
        for (String page :
                new String[] {"", "/bench", "/design", "/check", "/depths", "/x-ray", "/wires", "/contours", "/blank"
                }) {
            assertThat(me.get(body + page).statusCode()).as(page).isEqualTo(200);
        }
    }
}
