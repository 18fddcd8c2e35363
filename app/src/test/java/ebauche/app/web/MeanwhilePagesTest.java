package ebauche.app.web;

import static org.assertj.core.api.Assertions.assertThat;

import ebauche.app.body.Body;
import ebauche.app.testing.Visitor;
import ebauche.app.testing.WithVisitor;
import ebauche.app.ways.WaysStore;
import java.net.http.HttpResponse;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.stream.Collectors;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.beans.factory.annotation.Autowired;

/** Two makers at one bench: whoever is later is told who was quicker, on every page that keeps something, and nothing is overwritten. */
class MeanwhilePagesTest extends WithVisitor {
    @Autowired
    private WaysStore ways;

    private Body sedge;

    @BeforeEach
    void find() {
        sedge = shop.bodies().get("sedge");
    }

    private static Map<String, String> fields(String base, String typed) {
        Map<String, String> fields = Arrays.stream(typed.split("&"))
                .map(f -> f.split("=", 2))
                .collect(Collectors.toMap(f -> f[0].strip(), f -> f[1].strip(), (a, b) -> b, LinkedHashMap::new));
        fields.put("base", base);
        return fields;
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "/contours | act=keep&was=&start=line&id=forearm&face=front&depth=18 mm&shape=straight&radius=&fromx=-170&fromy=-10&tox=-10&toy=-170",
                "/contours | act=remove&was=forearm",
                "/cavity | bit=pattern bit 3/8&lip=5 mm",
                "/what-if | angle=1",
                "/glue-up | glue=HIDE&complementary=true",
                "/template/made | feature=neck&thickness=9 mm&material=mdf",
                "/template/outline | path=M -150 -180 L 150 -180 L 150 240 L -150 240 Z",
                "/feed/grain | grain=3",
            })
    void a_design_that_somebody_kept_is_not_kept_over(String page, String typed) {
        bodies.save(sedge, 1, bodies.head(sedge).file(), "the other maker");
        HttpResponse<String> answer = me.post("/bodies/take-on", shop.path("sedge") + page, fields("1", typed));
        assertThat(answer.statusCode()).isEqualTo(409);
        assertThat(answer.body())
                .containsOnlyOnce("The other maker saved revision 2 meanwhile")
                .contains("role=\"alert\"");
        assertThat(bodies.head(sedge).number()).isEqualTo(2);
        assertThat(bodies.head(sedge).madeBy()).isEqualTo("the other maker");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "/box/0 | kind=pot&name=small pot&bushing=7&thread=8 mm&across=17&along=20&below=1/2 in",
                "/crib/bits/0/remove | base=0",
                "/crib/thicknesses | templates=9 mm&spacers=",
            })
    void ways_that_somebody_kept_are_not_kept_over(String page, String typed) {
        ways.keep(shop.maker().shop(), 0, ways.of(shop.maker().shop()).json().deepCopy(), "the other maker");
        HttpResponse<String> answer = me.post("/bodies/take-on", page, fields("0", typed));
        assertThat(answer.statusCode()).isEqualTo(409);
        assertThat(answer.body())
                .containsOnlyOnce("Somebody changed the shop settings, tool crib or hardware meanwhile.");
        assertThat(ways.of(shop.maker().shop()).number()).isEqualTo(1);
    }

    /** The whole form of the ways as a browser sends it back, nothing changed. */
    @Test
    void the_ways_own_page_is_shown_again_with_what_was_typed() {
        String page = me.get("/ways").body();
        Map<String, String> typed = Visitor.filled(page);
        assertThat(typed).hasSizeGreaterThan(20);
        typed.put("base", "0");
        typed.put("cutting.margin", "6.5 mm");
        ways.keep(shop.maker().shop(), 0, ways.of(shop.maker().shop()).json().deepCopy(), "the other maker");
        HttpResponse<String> answer = me.post("/ways", "/ways", typed);
        assertThat(answer.statusCode()).isEqualTo(409);
        assertThat(answer.body())
                .contains("What you typed is below", "value=\"6.5 mm\"")
                .containsOnlyOnce("tool crib or hardware meanwhile");
        assertThat(ways.of(shop.maker().shop()).number()).isEqualTo(1);
    }

    @Test
    void who_was_not_late_is_told_nothing() {
        for (String page : new String[] {"/ways", "/crib", "/box", shop.path("sedge") + "/contours"}) {
            assertThat(me.get(page).body()).doesNotContain("meanwhile");
        }
    }
}
