package ebauche.app.account;

import static org.assertj.core.api.Assertions.assertThat;

import ebauche.app.testing.Visitor;
import ebauche.app.testing.WithApp;
import ebauche.core.measure.LengthUnit;
import java.net.http.HttpResponse;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class AccountTest extends WithApp {
    private Visitor visitor() {
        return new Visitor(address());
    }

    @ParameterizedTest
    @ValueSource(
            strings = {"/", "/log", "/bodies/take-on", "/bodies/abcdefghijkmnpqr", "/bodies/abcdefghijkmnpqr/bench"})
    void nothing_is_shown_to_who_is_not_signed_in(String path) {
        HttpResponse<String> answer = visitor().get(path);
        assertThat(answer.statusCode()).isEqualTo(302);
        assertThat(answer.headers().firstValue("Location").orElseThrow()).endsWith("/sign-in");
    }

    @Test
    void another_shops_body_answers_404_in_words_on_every_page() {
        Shop other = openShop(LengthUnit.MILLIMETRE);
        Shop mine = openShop(LengthUnit.MILLIMETRE);
        Visitor me = visitor().signIn(mine.maker().name(), PASSWORD);
        assertThat(me.get(mine.path("sedge")).statusCode()).isEqualTo(200);
        for (String page : new String[] {"", "/design", "/bench", "/file"}) {
            HttpResponse<String> answer = me.get(other.path("sedge") + page);
            assertThat(answer.statusCode()).as(page).isEqualTo(404);
        }
        assertThat(me.post(
                                mine.path("sedge") + "/bench",
                                other.path("sedge") + "/readings",
                                Map.of(
                                        "entry",
                                        java.util.UUID.randomUUID().toString(),
                                        "measures",
                                        "depth:neck",
                                        "value",
                                        "24 mm",
                                        "step",
                                        "neck:rout"))
                        .statusCode())
                .isEqualTo(404);
    }

    @Test
    void a_form_without_its_token_is_refused_and_an_expired_sign_in_leads_back_to_the_door() {
        Shop shop = openShop(LengthUnit.MILLIMETRE);
        Visitor me = visitor().signIn(shop.maker().name(), PASSWORD);
        Map<String, String> reading = Map.of(
                "entry",
                java.util.UUID.randomUUID().toString(),
                "measures",
                "depth:neck",
                "value",
                "24 mm",
                "step",
                "neck:rout");
        int before = bodies.standing(shop.bodies().get("sedge")).entries();
        assertThat(me.forge(shop.path("sedge") + "/readings", reading).statusCode())
                .isEqualTo(403);
        HttpResponse<String> stranger = visitor().forge(shop.path("sedge") + "/readings", reading);
        assertThat(stranger.statusCode()).isEqualTo(302);
        assertThat(stranger.headers().firstValue("Location").orElseThrow()).endsWith("/sign-in?expired");
        assertThat(bodies.standing(shop.bodies().get("sedge")).entries()).isEqualTo(before);
    }

    @Test
    void pages_carry_the_headers_that_keep_foreign_script_out() {
        HttpResponse<String> page = visitor().get("/sign-in");
        assertThat(page.headers().firstValue("Content-Security-Policy").orElseThrow())
                .contains("script-src 'self'")
                .doesNotContain("unsafe");
        assertThat(page.headers().firstValue("X-Content-Type-Options")).contains("nosniff");
        assertThat(page.headers().firstValue("X-Frame-Options")).isPresent();
        assertThat(page.body())
                .doesNotContain(" style=\"")
                .doesNotContain("<script>")
                .doesNotContain("onclick");
    }

    @Test
    void after_five_wrong_passwords_even_the_right_one_waits() {
        Shop shop = openShop(LengthUnit.MILLIMETRE);
        Visitor me = visitor();
        for (int i = 0; i < SignInStore.TRIES; i++) {
            HttpResponse<String> wrong = me.post(
                    "/sign-in", "/sign-in", Map.of("username", shop.maker().name(), "password", "wrong"));
            assertThat(wrong.headers().firstValue("Location").orElseThrow()).endsWith("?wrong");
        }
        HttpResponse<String> right =
                me.post("/sign-in", "/sign-in", Map.of("username", shop.maker().name(), "password", PASSWORD));
        assertThat(right.headers().firstValue("Location").orElseThrow()).endsWith("?wait");
    }

    @Test
    void wrong_passwords_from_elsewhere_do_not_keep_a_maker_out_of_their_own_device() {
        Shop shop = openShop(LengthUnit.MILLIMETRE);
        Map<String, String> right = Map.of("username", shop.maker().name(), "password", PASSWORD);
        Visitor me = visitor().signIn(shop.maker().name(), PASSWORD);
        me.post("/", "/sign-out", Map.of());
        assertThat(me.get("/").statusCode()).as("signed out").isEqualTo(302);
        for (int i = 0; i <= SignInStore.TRIES; i++) {
            visitor().signIn(shop.maker().name(), "wrong");
        }
        assertThat(location(visitor().post("/sign-in", "/sign-in", right))).endsWith("?wait");
        assertThat(location(me.post("/sign-in", "/sign-in", right))).doesNotContain("sign-in");
        assertThat(me.get("/").statusCode()).isEqualTo(200);
    }

    @ParameterizedTest
    @ValueSource(strings = {"no\u200bra", "\u202enora", "no\u0000ra", "d\u00e9mo", "\uff24emo"})
    void a_name_that_hides_something_or_passes_for_the_demos_is_refused(String name) {
        Map<String, String> fields =
                Map.of("shop", "Hill End", "name", name, "password", PASSWORD, "unit", "MILLIMETRE");
        HttpResponse<String> answer = visitor().post("/sign-in", "/new-shop", fields);
        assertThat(answer.statusCode()).isEqualTo(422);
        assertThat(answer.body()).containsAnyOf("does not show", "is the demo's", "is the demo&#39;s");
    }

    @Test
    void a_request_under_a_foreign_name_is_refused() throws java.io.IOException {
        for (Map.Entry<String, String> host : Map.of("127.0.0.1", "200", "localhost", "200", "other.example", "400")
                .entrySet()) {
            try (java.net.Socket socket = new java.net.Socket(java.net.InetAddress.getLoopbackAddress(), port)) {
                socket.getOutputStream()
                        .write(("GET /sign-in HTTP/1.1\r\nHost: " + host.getKey() + "\r\nConnection: close\r\n\r\n")
                                .getBytes(java.nio.charset.StandardCharsets.US_ASCII));
                String answer = new String(
                        socket.getInputStream().readAllBytes(), java.nio.charset.StandardCharsets.ISO_8859_1);
                assertThat(answer).as(host.getKey()).startsWith("HTTP/1.1 " + host.getValue());
            }
        }
    }

    private static String location(HttpResponse<String> answer) {
        return answer.headers().firstValue("Location").orElseThrow();
    }

    @Test
    void a_shop_of_ones_own_is_opened_and_signed_into_at_once_and_a_taken_name_is_said() {
        Visitor me = visitor();
        Map<String, String> fields = new java.util.HashMap<>(
                Map.of("shop", "Hill End", "name", "nora " + System.nanoTime(), "password", PASSWORD, "unit", "INCH"));
        assertThat(me.post("/sign-in", "/new-shop", fields)
                        .headers()
                        .firstValue("Location")
                        .orElseThrow())
                .endsWith("/");
        assertThat(me.get("/").body()).contains("Hill End").contains("New body");
        HttpResponse<String> again = visitor().post("/sign-in", "/new-shop", fields);
        assertThat(again.statusCode()).isEqualTo(422);
        assertThat(again.body()).contains("already signs in here");
        fields.put("password", "short");
        assertThat(visitor().post("/sign-in", "/new-shop", fields).body()).contains("10 to 72 characters");
        fields.put("name", "Demo");
        fields.put("password", PASSWORD);
        assertThat(visitor().post("/sign-in", "/new-shop", fields).statusCode()).isEqualTo(422);
    }

    @Test
    void passwords_are_kept_as_hashes_only() {
        Shop shop = openShop(LengthUnit.MILLIMETRE);
        assertThat(shop.maker().password()).startsWith("$2").doesNotContain(PASSWORD);
    }

    /** What is written in the language that the browser asks for is said in it, the rest in English. */
    @Test
    void a_page_is_said_in_the_language_that_is_asked_for() {
        assertThat(visitor().asking("eo").get("/sign-in").body())
                .contains("<html lang=\"eo\"", "<title>Ensaluti · Ebauche</title>", "Open a shop of your own");
        assertThat(visitor().asking("de").get("/sign-in").body())
                .contains("<html lang=\"en\"", "<title>Sign in · Ebauche</title>");
    }
}
