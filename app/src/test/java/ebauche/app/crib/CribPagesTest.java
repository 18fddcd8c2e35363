package ebauche.app.crib;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import ebauche.app.body.Bodies;
import ebauche.app.testing.WithVisitor;
import ebauche.app.ways.WaysStore;
import ebauche.core.crib.Bit;
import ebauche.core.crib.Crib;
import ebauche.core.crib.EdgeUse;
import ebauche.core.feature.StepKey;
import java.net.http.HttpResponse;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.HashMap;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.beans.factory.annotation.Autowired;

/** The crib's forms: what is kept counts in every plan, what cannot be is named in its field, and nothing is half-kept. */
class CribPagesTest extends WithVisitor {
    private static final int BITS =
            ebauche.core.shop.Shop.starter(1).crib().bits().size();

    @Autowired
    private WaysStore ways;

    @Autowired
    private Bodies plans;

    @Autowired
    private BitCutStore cuts;

    private Crib crib() {
        return ways.of(shop.maker().shop()).means().shop().crib();
    }

    private static Map<String, String> bit(String... changes) {
        Map<String, String> fields = new HashMap<>(Map.of(
                "base", "0",
                "name", "house bit",
                "bearing", "at-shank",
                "diameter", "9.5 mm",
                "cutterLength", "12 mm",
                "shank", "1/4 in"));
        for (int i = 0; i < changes.length; i += 2) {
            fields.put(changes[i], changes[i + 1]);
        }
        return fields;
    }

    private HttpResponse<String> post(String path, Map<String, String> fields) {
        return me.post("/crib/bits/new", path, fields);
    }

    @Test
    void a_bit_is_kept_with_what_was_stamped_and_the_rest_as_usual() {
        assertThat(post("/crib/bits/" + BITS, bit()).statusCode()).isEqualTo(302);
        Bit kept = crib().bits().get(BITS);
        assertThat(kept).isEqualTo(Bit.usual("house bit", Bit.Bearing.AT_SHANK, 9.5, 12, 6.35));
        assertThat(crib().routers()).hasSize(2);
        assertThat(me.get("/crib").body()).contains("house bit");
        // Changed, it keeps its place.
        assertThat(post("/crib/bits/" + BITS, bit("base", "1", "edge", "worn", "cutterLength", "14 mm"))
                        .statusCode())
                .isEqualTo(302);
        assertThat(crib().bits()).hasSize(BITS + 1);
        assertThat(crib().bits().get(BITS).edge()).isEqualTo(Bit.Edge.WORN);
        assertThat(crib().bits().get(BITS).cutterLength()).isEqualTo(14);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "diameter | 0 mm | must be more than zero",
                "diameter | wide | is no length",
                "cutterLength | '' | is empty, and a length is wanted here",
                "shank | 40 mm | must lie between 2 and 20",
                "overallLength | 5 mm | must lie between 12 and 250",
                "bearing | sideways | is none of",
                "mostTurns | fast | is no number",
                "mostTurns | 900000 | must lie between",
                "flutes | 0 | must lie between 1 and 12",
                "name | '' | needs a name",
                "name | flush bit 1/2 | is called “flush bit 1/2” already"
            })
    void a_bit_that_cannot_be_is_answered_in_its_field_and_not_kept(String field, String value, String words) {
        HttpResponse<String> answer = post("/crib/bits/" + BITS, bit(field, value));
        assertThat(answer.statusCode()).isEqualTo(422);
        assertThat(answer.body()).contains("name=\"" + field + "\"").contains("field-trouble");
        assertThat(answer.body()).contains(words);
        assertThat(ways.of(shop.maker().shop()).number()).isZero();
    }

    /** 12 and 12.7: it may lie in the crib, but no router turns it, and no plan counts on it. */
    @Test
    void a_bit_whose_shank_no_collet_takes_is_said_so_and_never_planned() {
        post(
                "/crib/bits/" + BITS,
                bit("name", "metric bit", "shank", "12 mm", "diameter", "9 mm", "cutterLength", "6 mm"));
        assertThat(me.get("/crib").body()).contains("No collet here closes on its 12 mm shank");
        assertThat(tools()).doesNotContain("metric bit");
        post("/crib/bits/" + BITS, bit("base", "1", "name", "inch bit", "diameter", "9 mm", "cutterLength", "6 mm"));
        assertThat(me.get("/crib").body()).doesNotContain("No collet here");
    }

    private String tools() {
        StringBuilder all = new StringBuilder();
        plans.current(shop.bodies().get("marram"))
                .plan()
                .steps()
                .forEach(s -> all.append(s.operation().setting().tool()).append('\n'));
        return all.toString();
    }

    @Test
    void what_is_taken_out_is_planned_without_and_what_is_missing_is_said() {
        assertThat(tools()).contains("pattern bit 1/2");
        for (int i = 0; i < 5; i++) {
            // The five shank-bearing bits come first.
            assertThat(post("/crib/bits/0/remove", Map.of("base", String.valueOf(i)))
                            .statusCode())
                    .isEqualTo(302);
        }
        assertThat(crib().bits()).hasSize(BITS - 5);
        assertThat(tools()).contains("a bit that the crib lacks");
        assertThat(plans.current(shop.bodies().get("marram")).plan().findings())
                .anySatisfy(f -> assertThat(f.rule()).isIn("no-bit", "no-passes"));
        assertThat(me.get(shop.path("marram")).body()).contains("What would do");
    }

    private static final String STEP = "pickup-bridge:rough";

    private void rout(String entry) {
        me.post(shop.path("marram") + "/bench", shop.path("marram") + "/done", Map.of("entry", entry, "step", STEP));
    }

    private double metres() {
        return cuts.of(shop.maker().shop()).stream()
                .mapToDouble(EdgeUse.Cut::way)
                .sum();
    }

    /** What is routed at the bench is counted for the bit; taken back it is not; sharpened, the count begins anew. */
    @Test
    void a_bit_counts_what_it_routs_until_it_is_sharpened() {
        double before = metres();
        String entry = UUID.randomUUID().toString();
        rout(entry);
        rout(UUID.randomUUID().toString());
        double once = metres() - before;
        Map<String, Double> planned = plans.current(shop.bodies().get("marram"))
                .plan()
                .build()
                .asBuilt()
                .done(StepKey.parse(STEP))
                .orElseThrow()
                .routed();
        assertThat(once)
                .isCloseTo(planned.values().stream().mapToDouble(w -> w).sum(), within(1.0))
                .isGreaterThan(200);
        me.post(
                shop.path("marram") + "/record",
                shop.path("marram") + "/withdrawals",
                Map.of("entry", entry, "ofBody", "true"));
        assertThat(metres()).isCloseTo(before, within(1e-6));

        assertThat(post("/crib/bits/1", dull()).statusCode()).isEqualTo(302);
        assertThat(crib().bits().get(1).edge()).isEqualTo(Bit.Edge.DULL);
        assertThat(post("/crib/bits/1/sharpened", Map.of("base", "1")).statusCode())
                .isEqualTo(302);
        Bit sharp = crib().bits().get(1);
        assertThat(sharp.edge()).isEqualTo(Bit.Edge.SHARP);
        assertThat(sharp.sharpened()).contains(LocalDate.now(ZoneOffset.UTC));
        assertThat(me.get("/crib").body()).contains("has cut 0 m since ");
        assertThat(post("/crib/bits/1/sharpened", Map.of("base", "1")).statusCode())
                .isEqualTo(409);
    }

    private static Map<String, String> dull() {
        return bit(
                "name",
                "pattern bit 1/2",
                "diameter",
                "1/2 in",
                "cutterLength",
                "1 in",
                "shank",
                "1/2 in",
                "edge",
                "dull");
    }

    /** Worn out, its bearing is a spare's from the drawer; the drawer is kept with templates and spacers. */
    @Test
    void a_bit_says_whether_its_spare_bearing_lies_in_the_drawer() {
        assertThat(me.get("/crib").body()).contains("in the drawer");
        post("/crib/bits/" + BITS, bit("diameter", "8 mm", "bearingSound", "no"));
        assertThat(me.get("/crib").body()).contains("No spare of its diameter lies in the drawer");
        assertThat(post(
                                "/crib/thicknesses",
                                Map.of("base", "1", "templates", "1/4 in", "spacers", "", "bearings", "8 mm; 1/2 in"))
                        .statusCode())
                .isEqualTo(302);
        assertThat(crib().bearings()).containsExactly(8.0, 12.7);
        assertThat(me.get("/crib").body()).contains("A spare lies in the drawer: fit it.");
        HttpResponse<String> wide = post("/crib/thicknesses", Map.of("base", "2", "bearings", "1 mm"));
        assertThat(wide.statusCode()).isEqualTo(422);
        assertThat(wide.body()).contains("must lie between 2 and 120");
        assertThat(crib().templates()).containsExactly(6.35);
    }

    @Test
    void two_who_change_the_crib_at_once_lose_nothing() {
        assertThat(post("/crib/bits/" + BITS, bit()).statusCode()).isEqualTo(302);
        HttpResponse<String> second = post("/crib/bits/0/remove", Map.of("base", "0"));
        assertThat(second.statusCode()).isEqualTo(409);
        assertThat(second.body()).contains("Nothing was saved; look again");
        assertThat(crib().bits()).hasSize(BITS + 1);
    }

    @Test
    void routers_drills_and_thicknesses_are_kept_too() {
        Map<String, String> router = Map.of(
                "base",
                "0",
                "name",
                "small one",
                "kind",
                "hand",
                "baseDiameter",
                "120 mm",
                "plunge",
                "40 mm",
                "collets",
                "8 mm; 6 mm");
        assertThat(post("/crib/routers/2", router).statusCode()).isEqualTo(302);
        assertThat(crib().routers().get(2).collets()).containsExactly(8.0, 6.0);
        Map<String, String> drill = Map.of("base", "1", "name", "long 5", "kind", "long", "diameter", "5 mm");
        assertThat(post("/crib/drills/10", drill).statusCode()).isEqualTo(302);
        assertThat(crib().drills().get(10).reach()).isEqualTo(300);
        assertThat(post("/crib/thicknesses", Map.of("base", "2", "templates", "9 mm; 1/4 in", "spacers", ""))
                        .statusCode())
                .isEqualTo(302);
        assertThat(crib().templates()).containsExactly(9.0, 6.35);
        assertThat(crib().spacers()).isEmpty();
        HttpResponse<String> none = post("/crib/thicknesses", Map.of("base", "3", "templates", "", "spacers", "thin"));
        assertThat(none.statusCode()).isEqualTo(422);
        assertThat(none.body()).contains("is no length");
        assertThat(post("/crib/thicknesses", Map.of("base", "3", "templates", "", "spacers", ""))
                        .body())
                .contains("follows none");
        assertThat(crib().templates()).hasSize(2);
    }

    @Test
    void what_is_not_there_is_not_found() {
        assertThat(me.get("/crib/bits/99").statusCode()).isEqualTo(404);
        assertThat(me.get("/crib/hammers/new").statusCode()).isEqualTo(404);
        assertThat(post("/crib/bits/99", bit()).statusCode()).isEqualTo(404);
    }
}
