package ebauche.app.box;

import static org.assertj.core.api.Assertions.assertThat;

import ebauche.app.body.Bodies;
import ebauche.app.body.Body;
import ebauche.app.testing.WithVisitor;
import ebauche.app.ways.WaysStore;
import ebauche.core.feature.Feature;
import ebauche.core.hardware.Part;
import ebauche.core.hardware.PartSize;
import ebauche.core.logbook.AsBuilt;
import ebauche.core.measure.LengthUnit;
import ebauche.core.plan.BuildPlan;
import java.net.http.HttpResponse;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.beans.factory.annotation.Autowired;

/** The hardware box and the parts in hand, through their real forms. */
class BoxPagesTest extends WithVisitor {
    @Autowired
    private WaysStore ways;

    @Autowired
    private Bodies plans;

    private List<Part> own() {
        return ways.of(shop.maker().shop()).means().box();
    }

    private static Map<String, String> pot(String... changes) {
        Map<String, String> fields = new HashMap<>(Map.of(
                "base", "0",
                "kind", "pot",
                "name", "house pot",
                "bushing", "7",
                "thread", "8 mm",
                "across", "17",
                "along", "20",
                "below", "1/2 in"));
        for (int i = 0; i < changes.length; i += 2) {
            fields.put(changes[i], changes[i + 1]);
        }
        return fields;
    }

    private HttpResponse<String> keep(int place, Map<String, String> fields) {
        return me.post("/box/new/pot", "/box/" + place, fields);
    }

    @Test
    void a_part_of_the_shops_own_is_kept_changed_and_taken_out() {
        assertThat(keep(0, pot()).statusCode()).isEqualTo(302);
        assertThat(own()).singleElement().satisfies(p -> {
            assertThat(p.get(PartSize.BELOW)).isEqualTo(12.7);
            assertThat(p.has(PartSize.NUT)).isFalse();
        });
        assertThat(me.get("/box").body()).contains("house pot", "as the shop typed it", "common practice");
        assertThat(me.get("/box/0").body()).contains("1/2 in");
        assertThat(keep(0, pot("base", "1", "nut", "2")).statusCode()).isEqualTo(302);
        assertThat(own().get(0).get(PartSize.NUT)).isEqualTo(2);
        assertThat(me.post("/box/0", "/box/0/remove", Map.of("base", "2")).statusCode())
                .isEqualTo(302);
        assertThat(own()).isEmpty();
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "thread   | long     | is no length",
                "thread   | 99 mm    | between 0.1 and 60",
                "nut      | 9 mm     | none is left for the wood",
                "below    | deep     | is no length",
                "name     | ''       | needs a name",
                "across   | 0 mm     | between 1 and 400"
            })
    void a_part_that_cannot_be_is_named_in_its_field_and_not_kept(String field, String value, String why) {
        HttpResponse<String> answer = keep(0, pot(field, value));
        assertThat(answer.statusCode()).isEqualTo(422);
        assertThat(answer.body()).contains(why);
        assertThat(answer.body().contains("value=\"house pot\""))
                .as("what was typed stays in the form")
                .isEqualTo(!field.equals("name"));
        assertThat(own()).isEmpty();
    }

    @Test
    void two_parts_of_one_name_an_old_form_and_a_forged_place_keep_nothing() {
        keep(0, pot());
        assertThat(keep(1, pot("base", "1")).body()).contains("is called “house pot” already");
        assertThat(keep(1, pot("name", "other", "base", "0")).statusCode()).isEqualTo(409);
        assertThat(keep(7, pot("base", "1")).statusCode()).isEqualTo(404);
        assertThat(me.get("/box/new/kettle").statusCode()).isEqualTo(404);
        assertThat(own()).hasSize(1);
    }

    private Map<String, String> measured(String... sizes) {
        Map<String, String> fields = new LinkedHashMap<>();
        for (int i = 0; i < sizes.length; i += 2) {
            fields.put(sizes[i], sizes[i + 1]);
            fields.put("entry." + sizes[i], UUID.randomUUID().toString());
        }
        return fields;
    }

    private HttpResponse<String> log(Map<String, String> fields) {
        return me.post(shop.path("sedge") + "/parts", shop.path("sedge") + "/parts", fields);
    }

    private List<AsBuilt.Entry> record() {
        return plans.current(shop.bodies().get("sedge"))
                .plan()
                .build()
                .asBuilt()
                .timeline();
    }

    @Test
    void a_part_measured_in_hand_moves_its_cavity_and_says_so() {
        int before = record().size();
        HttpResponse<String> answer = log(measured("size:pickup-bridge.height", "22.5 mm"));
        assertThat(answer.statusCode()).isEqualTo(302);
        String page = me.get(
                        answer.headers().firstValue("Location").orElseThrow().replace(address(), ""))
                .body();
        assertThat(page).contains("bridge pickup cavity depth", "bridge pickup leg pockets depth");
        assertThat(page.substring(page.indexOf("id=\"moved\""), page.indexOf("parts-grid")))
                .doesNotContain("neck pocket depth")
                .doesNotContain("neck pickup cavity depth")
                .doesNotContain("volume");
        assertThat(record()).hasSize(before + 1);
    }

    /** The pickup comes late: its cavity is cut, and is wanted wider by 3 mm on each side. */
    @Test
    void a_part_measured_after_its_cavity_was_cut_has_it_routed_again() {
        Body sedge = shop.bodies().get("sedge");
        BuildPlan plan = plans.current(sedge).plan();
        int last = plan.indexOf(plan.step("pickup-bridge:rout").orElseThrow());
        bodies.log(
                sedge,
                plan.steps().subList(0, last + 1).stream()
                        .filter(s -> !s.done())
                        .map(s -> s.asDone(UUID.randomUUID().toString(), "2026-11-05T10:00:00Z", "me"))
                        .toList());
        assertThat(me.get(shop.path("sedge")).body()).doesNotContain("cut-too-small");
        double across =
                plan.build().drawn().parts().get(Feature.parse("pickup-bridge")).get(PartSize.ACROSS);
        HttpResponse<String> answer = log(measured("size:pickup-bridge.across", across + 6 + " mm"));
        String page = me.get(
                        answer.headers().firstValue("Location").orElseThrow().replace(address(), ""))
                .body();
        assertThat(page).contains("Rout the bridge pickup cavity again");
        assertThat(me.get(shop.path("sedge")).body())
                .contains("data-rule=\"cut-too-small\"", "it is wanted larger now: by 3 mm at its edge");
        assertThat(me.get(shop.path("sedge") + "/bench?step=pickup-bridge:widen")
                        .body())
                .contains("to a template as it is wanted now", "Should read");
        assertThat(me.get(shop.path("sedge") + "/depths").body()).contains("still to cut");
    }

    @Test
    void what_an_earlier_reading_contradicts_is_asked_for_again_and_then_both_are_kept() {
        log(measured("size:bridge.highest-saddle", "15.2 mm"));
        int before = record().size();
        HttpResponse<String> again = log(measured("size:bridge.highest-saddle", "16.4 mm"));
        assertThat(again.statusCode()).isEqualTo(422);
        assertThat(again.body()).contains("Measure once more").contains("first.size:bridge.highest-saddle");
        assertThat(record()).hasSize(before);
        // Another number yet is asked for again too.
        Map<String, String> third = measured("size:bridge.highest-saddle", "17.9 mm");
        third.put("first.size:bridge.highest-saddle", "16.4 mm");
        assertThat(log(third).statusCode()).isEqualTo(422);
        Map<String, String> sure = measured("size:bridge.highest-saddle", "16.35 mm");
        sure.put("first.size:bridge.highest-saddle", "16.4 mm");
        assertThat(log(sure).statusCode()).isEqualTo(302);
        assertThat(record()).hasSize(before + 1);
        assertThat(record().stream()
                        .filter(e -> e instanceof AsBuilt.Reading r
                                && r.measures().key().equals("size:bridge.highest-saddle")))
                .hasSize(2);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "size:control-tone.nut     | 10.5 mm | none is left for the wood",
                "size:control-tone.below   | 400 mm  | it can be 1 mm to 120 mm",
                "size:control-tone.below   | wide    | is no length",
                "size:control-nobody.below | 20 mm   | no such part",
                "size:bridge.block-length  | 40 mm   | no such size",
                "size:bridge.lowest-saddle | 15.5 mm | must stand over the lowest"
            })
    void a_reading_that_no_part_can_have_is_refused_and_nothing_is_logged(String size, String value, String why) {
        int before = record().size();
        Map<String, String> fields = measured("size:control-volume.thread", "9.8 mm", size, value);
        HttpResponse<String> answer = log(fields);
        assertThat(answer.statusCode()).isEqualTo(422);
        boolean onPage = !size.contains("nobody") && !size.contains("block");
        if (onPage) {
            assertThat(answer.body()).contains(why);
        }
        assertThat(record()).hasSize(before);
    }

    @Test
    void a_repeated_form_counts_once_and_an_empty_one_says_so() {
        int before = record().size();
        Map<String, String> fields = measured("size:jack.hole", "22.4 mm");
        log(fields);
        log(fields);
        assertThat(record()).hasSize(before + 1);
        HttpResponse<String> empty = log(Map.of());
        assertThat(empty.statusCode()).isEqualTo(422);
        assertThat(empty.body()).contains("Nothing was typed");
    }

    @Test
    void the_simulated_calliper_reads_near_what_the_part_is_sold_as_and_only_parts_that_are_there() {
        String at = shop.path("sedge") + "/parts/calliper?measures=";
        String read = me.get(at + "size:pickup-neck.height").body();
        assertThat(Double.parseDouble(read.replace(" mm", ""))).isBetween(20.8, 21.2);
        assertThat(me.get(at + "size:pickup-neck.height").body()).isEqualTo(read);
        assertThat(me.get(at + "size:pickup-nobody.height").statusCode()).isEqualTo(404);
        assertThat(me.get(at + "heel-thickness").statusCode()).isEqualTo(404);
        assertThat(me.get(at + "nonsense").statusCode()).isEqualTo(404);
    }

    @Test
    void another_shops_body_is_not_there() {
        Shop other = openShop(LengthUnit.INCH);
        assertThat(me.get(other.path("sedge") + "/parts").statusCode()).isEqualTo(404);
        assertThat(me.get(other.path("sedge") + "/depths").statusCode()).isEqualTo(404);
        assertThat(me.get(other.path("sedge") + "/x-ray").statusCode()).isEqualTo(404);
        assertThat(me.get(other.path("sedge") + "/what-if").statusCode()).isEqualTo(404);
    }
}
