package ebauche.app.people;

import static org.assertj.core.api.Assertions.assertThat;

import ebauche.app.account.Hash;
import ebauche.app.account.InviteCode;
import ebauche.app.account.Maker;
import ebauche.app.testing.Visitor;
import ebauche.app.testing.WithApp;
import ebauche.core.measure.LengthUnit;
import java.net.http.HttpResponse;
import java.util.HashSet;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** Several makers of one shop: let in by a code that works once and for a week, taken out again, a password of one's own. */
class PeopleTest extends WithApp {
    private static final Pattern CODE = Pattern.compile("invite-code\">([A-Z0-9-]+)<");

    private Shop shop;
    private Visitor opener;

    @BeforeEach
    void open() {
        shop = openShop(LengthUnit.MILLIMETRE);
        opener = new Visitor(address()).signIn(shop.maker().name(), PASSWORD);
    }

    private String code() {
        Matcher shown =
                CODE.matcher(opener.post("/people", "/people/invite", Map.of()).body());
        assertThat(shown.find()).isTrue();
        return shown.group(1);
    }

    private static String name() {
        return "second " + System.nanoTime();
    }

    private static HttpResponse<String> join(Visitor who, String code, String name) {
        return who.post("/join", "/join", Map.of("code", code, "name", name, "password", PASSWORD, "unit", "INCH"));
    }

    @Test
    void a_code_lets_one_into_the_shop_and_their_name_stands_under_what_they_enter() {
        String code = code();
        String name = name();
        Visitor second = new Visitor(address());
        // As it is typed on another tablet: small letters, blanks.
        assertThat(join(second, code.toLowerCase(Locale.ROOT).replace('-', ' '), name)
                        .statusCode())
                .isEqualTo(302);
        assertThat(second.get(shop.path("sedge")).statusCode()).isEqualTo(200);
        assertThat(opener.get("/people").body()).contains(name).contains("who opened the shop");
        assertThat(second.get("/people").body()).doesNotContain("Let somebody in");
        second.post(
                shop.path("sedge") + "/bench",
                shop.path("sedge") + "/readings",
                Map.of(
                        "entry",
                        UUID.randomUUID().toString(),
                        "measures",
                        "sanded-off:back",
                        "value",
                        "0.05 mm",
                        "step",
                        ""));
        assertThat(opener.get("/log").body()).contains(name);
        HttpResponse<String> third = join(new Visitor(address()), code, name());
        assertThat(third.statusCode()).isEqualTo(422);
        assertThat(third.body()).contains("has been used");
    }

    @Test
    void a_code_that_is_late_or_of_nobody_or_a_name_that_is_taken_lets_nobody_in() {
        makers.invite(
                shop.maker(),
                Hash.of(InviteCode.bare("LATE2-LATE2-" + shop.maker().id())),
                1);
        assertThat(join(new Visitor(address()), "LATE2-LATE2-" + shop.maker().id(), name())
                        .body())
                .contains("more than a week old");
        assertThat(join(new Visitor(address()), "AAAAA-AAAAA-AAAAA", name()).body())
                .contains("No shop has given that code");
        String code = code();
        Visitor twin = new Visitor(address());
        assertThat(join(twin, code, shop.maker().name()).body()).contains("Take another name");
        // The code is not lost by it.
        assertThat(join(twin, code, name()).statusCode()).isEqualTo(302);
    }

    @Test
    void who_is_taken_out_is_out_at_once_and_for_good_and_their_name_stays_theirs() {
        String name = name();
        Visitor second = new Visitor(address());
        join(second, code(), name);
        long id = makers.find(name).orElseThrow().id();
        assertThat(second.get("/").statusCode()).isEqualTo(200);
        assertThat(second.post(
                                "/people",
                                "/people/out",
                                Map.of("id", "" + shop.maker().id()))
                        .statusCode())
                .as("only who opened the shop")
                .isEqualTo(404);
        assertThat(opener.post(
                                "/people",
                                "/people/out",
                                Map.of("id", "" + shop.maker().id()))
                        .statusCode())
                .as("nobody takes the opener out")
                .isEqualTo(404);
        assertThat(opener.post("/people", "/people/out", Map.of("id", "" + id)).statusCode())
                .isEqualTo(302);
        assertThat(second.get("/").statusCode()).isEqualTo(302);
        assertThat(makers.find(name)).isEmpty();
        assertThat(opener.get("/people").body()).doesNotContain(name);
        assertThat(makers.open("Another", name, "x", LengthUnit.INCH)).isEmpty();
        assertThat(opener.post("/people", "/people/out", Map.of("id", "" + id)).statusCode())
                .as("twice")
                .isEqualTo(404);
    }

    @Test
    void a_shop_takes_nobody_out_of_another() {
        Shop other = openShop(LengthUnit.MILLIMETRE);
        String name = name();
        join(new Visitor(address()), code(), name);
        long id = makers.find(name).orElseThrow().id();
        Visitor stranger = new Visitor(address()).signIn(other.maker().name(), PASSWORD);
        assertThat(stranger.post("/people", "/people/out", Map.of("id", "" + id))
                        .statusCode())
                .isEqualTo(404);
        assertThat(makers.find(name)).isPresent();
    }

    @Test
    void a_password_is_changed_with_the_one_that_is_and_signs_out_elsewhere() {
        Visitor elsewhere = new Visitor(address()).signIn(shop.maker().name(), PASSWORD);
        HttpResponse<String> wrong = opener.post(
                "/people", "/people/password", Map.of("now", "not that one at all", "next", "another long word"));
        assertThat(wrong.statusCode()).isEqualTo(422);
        assertThat(wrong.body()).contains("not the password you have");
        assertThat(opener.post("/people", "/people/password", Map.of("now", PASSWORD, "next", "short"))
                        .statusCode())
                .isEqualTo(422);
        assertThat(opener.post("/people", "/people/password", Map.of("now", PASSWORD, "next", "another long word"))
                        .statusCode())
                .isEqualTo(302);
        assertThat(opener.get("/people?changed").body()).contains("Changed.");
        assertThat(elsewhere.get("/").statusCode()).isEqualTo(302);
        Optional<Maker> now = makers.find(shop.maker().name());
        assertThat(new Visitor(address())
                        .signIn(now.orElseThrow().name(), "another long word")
                        .get("/people")
                        .statusCode())
                .isEqualTo(200);
        assertThat(new Visitor(address())
                        .signIn(shop.maker().name(), PASSWORD)
                        .get("/people")
                        .statusCode())
                .isEqualTo(302);
    }

    /** By the alphabet: no letter that reads like a digit, and no two alike in a thousand. */
    @Test
    void codes_are_read_out_without_a_slip() {
        Set<String> seen = new HashSet<>();
        for (int i = 0; i < 1000; i++) {
            String code = InviteCode.fresh();
            assertThat(code).matches("[2-9A-HJ-NP-Z]{5}(-[2-9A-HJ-NP-Z]{5}){2}");
            assertThat(seen.add(code)).isTrue();
            assertThat(InviteCode.bare(code)).hasSize(15);
        }
    }
}
