package ebauche.app.contour;

import static org.assertj.core.api.Assertions.assertThat;

import ebauche.app.body.Bodies;
import ebauche.app.testing.WithVisitor;
import ebauche.core.contour.UsualContour;
import ebauche.core.design.Measurand;
import ebauche.core.feature.Feature;
import ebauche.core.geometry.Face;
import ebauche.core.geometry.Point;
import ebauche.core.logbook.AsBuilt;
import ebauche.core.plan.BuildPlan;
import ebauche.core.sheet.DepthCard;
import java.net.http.HttpResponse;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.beans.factory.annotation.Autowired;

/** Contours laid on, tried, kept and taken out through their page. */
class ContourPagesTest extends WithVisitor {
    @Autowired
    private Bodies plans;

    private static Map<String, String> forearm() {
        return new HashMap<>(Map.ofEntries(
                Map.entry("base", "1"),
                Map.entry("act", "keep"),
                Map.entry("was", ""),
                Map.entry("start", "line"),
                Map.entry("id", "forearm"),
                Map.entry("face", "front"),
                Map.entry("depth", "18 mm"),
                Map.entry("shape", "straight"),
                Map.entry("radius", ""),
                Map.entry("fromx", "-170"),
                Map.entry("fromy", "-10"),
                Map.entry("tox", "-10"),
                Map.entry("toy", "-170")));
    }

    private HttpResponse<String> post(String body, Map<String, String> fields) {
        String path = shop.path(body) + "/contours";
        return me.post(path, path, fields);
    }

    private BuildPlan plan(String body) {
        return plans.current(shop.bodies().get(body)).plan();
    }

    @Test
    void a_contour_is_kept_with_its_steps_and_taken_out_again() {
        assertThat(plan("sedge").build().design().contours()).isEmpty();
        assertThat(post("sedge", forearm()).statusCode()).isEqualTo(302);
        assertThat(plan("sedge").build().design().contours())
                .extracting(c -> c.feature().word())
                .containsExactly("contour-forearm");
        assertThat(plan("sedge").step("contour-forearm:carve")).isPresent();
        String page = me.get(shop.path("sedge") + "/contours").body();
        assertThat(page).contains("slope of the forearm contour").contains("value=\"-170 mm\"");
        Map<String, String> out = forearm();
        out.putAll(Map.of("base", "2", "act", "remove", "was", "forearm"));
        assertThat(post("sedge", out).statusCode()).isEqualTo(302);
        assertThat(plan("sedge").build().design().contours()).isEmpty();
        assertThat(plans.current(shop.bodies().get("sedge")).revision().design().has("contours"))
                .isFalse();
    }

    @Test
    void trying_tells_what_moves_and_keeps_nothing() {
        Map<String, String> typed = forearm();
        typed.putAll(
                Map.of("act", "try", "id", "belly", "face", "back", "fromx", "-10", "tox", "-20", "fromy", "-200"));
        typed.put("toy", "260");
        HttpResponse<String> answer = post("sedge", typed);
        assertThat(answer.statusCode()).isEqualTo(200);
        assertThat(answer.body())
                .contains("If it is saved")
                .contains("tried, not saved")
                .contains("pickup cavity, ");
        assertThat(bodies.head(shop.bodies().get("sedge")).number()).isEqualTo(1);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "depth | deep | is no length",
                "depth | 60 mm | deeper than the body",
                "depth | -3 mm | must lie between",
                "id | Fore Arm | small letters",
                "fromx | there | is no length",
                "tox | -169 mm | closer than 10 mm",
                "fromx | 900 mm | does not cross",
            })
    void what_cannot_be_is_answered_at_the_form_and_keeps_nothing(String field, String value, String why) {
        Map<String, String> typed = forearm();
        typed.put(field, value);
        if (field.equals("tox")) {
            typed.put("toy", "-10");
        }
        if (value.equals("900 mm")) {
            typed.put("tox", "900");
        }
        HttpResponse<String> answer = post("sedge", typed);
        assertThat(answer.statusCode()).isEqualTo(422);
        assertThat(answer.body()).contains(why).contains("value=\"" + value + "\"");
        assertThat(bodies.head(shop.bodies().get("sedge")).number()).isEqualTo(1);
    }

    @Test
    void a_name_that_another_contour_has_is_answered_at_the_name() {
        Map<String, String> second = forearm();
        second.putAll(Map.of("fromx", "170", "fromy", "-170", "tox", "170", "toy", "-10", "depth", "6 mm"));
        assertThat(me.get(shop.path("tussock") + "/contours").body()).contains("value=\"forearm\"");
        HttpResponse<String> answer = post("tussock", second);
        assertThat(answer.statusCode()).isEqualTo(422);
        assertThat(answer.body()).containsOnlyOnce("another contour has that name");
        // itself under its own name is no other
        Map<String, String> same = forearm();
        same.putAll(Map.of("was", "forearm", "act", "try"));
        assertThat(post("tussock", same).statusCode()).isEqualTo(200);
    }

    @Test
    void a_hollow_too_tight_for_its_depth_is_told_the_least_radius() {
        Map<String, String> typed = forearm();
        typed.putAll(Map.of("shape", "hollow", "radius", "40"));
        HttpResponse<String> answer = post("sedge", typed);
        assertThat(answer.statusCode()).isEqualTo(422);
        assertThat(answer.body()).contains("would rise again");
        typed.put("radius", "");
        assertThat(post("sedge", typed).statusCode()).isEqualTo(422);
    }

    /** Work along a part of the edge is kept, shown again, and stays when something else of it is changed. */
    @Test
    void a_top_may_run_along_a_part_of_the_edge() {
        Map<String, String> top = new HashMap<>(Map.of(
                "base", "1", "act", "keep", "was", "top", "id", "top", "face", "front", "start", "round", "width",
                "52 mm"));
        top.putAll(Map.of("depth", "5 mm", "shape", "round", "along-fromx", "-100 mm", "along-fromy", "200 mm"));
        top.putAll(Map.of("along-tox", "90 mm", "along-toy", "180 mm", "fade", "20 mm"));
        HttpResponse<String> tooShort = post("marram", top);
        assertThat(tooShort.statusCode()).isEqualTo(422);
        assertThat(tooShort.body()).contains("no less than its width");
        top.put("fade", "70 mm");
        assertThat(post("marram", top).statusCode()).isEqualTo(302);
        assertThat(plan("marram").build().finished(Face.FRONT).fall(new Point(0, 243)))
                .isZero();
        assertThat(me.get(shop.path("marram") + "/contours").body()).contains("value=\"70 mm\"");
    }

    @Test
    void two_makers_lose_nothing_to_each_other() {
        assertThat(post("sedge", forearm()).statusCode()).isEqualTo(302);
        Map<String, String> late = forearm();
        late.put("id", "belly");
        late.put("face", "back");
        late.put("depth", "11.5 mm");
        HttpResponse<String> stale = post("sedge", late);
        assertThat(stale.statusCode()).isEqualTo(409);
        assertThat(stale.body()).contains("revision 2 meanwhile").contains("value=\"11.5 mm\"");
        late.put("base", "2");
        assertThat(post("sedge", late).statusCode()).isEqualTo(302);
        assertThat(plan("sedge").build().design().contours()).hasSize(2);
    }

    @Test
    void every_usual_contour_can_be_laid_on_every_body() {
        for (String body : shop.bodies().keySet()) {
            for (UsualContour usual : UsualContour.values()) {
                HttpResponse<String> answer = me.get(shop.path(body) + "/contours?add=" + usual.id());
                assertThat(answer.statusCode()).as(body + " " + usual).isEqualTo(200);
                assertThat(answer.body())
                        .as(body + " " + usual)
                        .contains("tried, not saved")
                        .doesNotContain("field-trouble");
            }
        }
        // Marram has a carved top already: a second one gets a name of its own.
        assertThat(me.get(shop.path("marram") + "/contours?add=top").body()).contains("value=\"top-2\"");
    }

    /** While its line is held: what it is, told without a plan, and nothing kept. */
    @Test
    void a_contour_that_is_held_has_its_section_its_edge_and_its_floors() {
        String path = shop.path("sedge") + "/contours";
        Map<String, String> typed = forearm();
        typed.putAll(
                Map.of("depth", "18 mm", "face", "back", "fromx", "-10", "tox", "-20", "fromy", "-200", "toy", "260"));
        HttpResponse<String> answer = me.post(path, path + "/held", typed);
        assertThat(answer.statusCode()).isEqualTo(200);
        assertThat(answer.body())
                .contains("slope of the forearm contour")
                .contains("contour-section")
                .contains("wood over the ");
        assertThat(plan("sedge").build().design().contours()).isEmpty();
        typed.putAll(Map.of("fromx", "900", "tox", "900"));
        assertThat(me.post(path, path + "/held", typed).body()).contains("does not cross");
        typed.put("fromx", "there");
        assertThat(me.post(path, path + "/held", typed).body()).contains("is no length");
    }

    @Test
    void a_knobs_recess_and_a_definite_edge_are_kept_and_stand_in_the_form_again() {
        Map<String, String> typed = forearm();
        typed.put("edge", "1.5 mm");
        assertThat(post("sedge", typed).statusCode()).isEqualTo(302);
        Map<String, String> knob = new HashMap<>(Map.of(
                "base", "2", "was", "", "act", "keep", "start", "disc", "id", "knob", "face", "front", "depth",
                "3 mm"));
        knob.putAll(Map.of(
                "shape",
                "hollow",
                "radius",
                "7.5 mm",
                "width",
                "6 mm",
                "diameter",
                "28 mm",
                "atx",
                "60 mm",
                "aty",
                "0"));
        assertThat(post("sedge", knob).statusCode()).isEqualTo(302);
        String page = me.get(shop.path("sedge") + "/contours").body();
        assertThat(page)
                .contains("name=\"edge\" autocomplete=\"off\" value=\"1.5 mm\"")
                .contains("name=\"diameter\" value=\"28 mm\"");
        assertThat(plan("sedge").step("contour-knob:carve")).isPresent();
        assertThat(me.get(shop.path("sedge") + "/contours/knob").body()).contains("router along nested templates");
        knob.putAll(Map.of("base", "3", "was", "knob", "atx", "900 mm"));
        assertThat(post("sedge", knob).body()).contains("its disc lies off the body");
    }

    /** The carve logged as done with its readings at the bench's file: the cavity's last pass moves by what was read. */
    @Test
    void a_reading_after_the_carve_moves_the_control_cavity_on_its_card() {
        BuildPlan plan = plan("marram");
        double before = depth(plan);
        List<AsBuilt.Entry> done = new ArrayList<>();
        for (BuildPlan.PlanStep step : plan.steps()) {
            if (!step.done()) {
                done.add(step.asDone("t" + done.size(), "2026-11-20T10:00:00Z", "test"));
            }
            if (step.operation().key().written().equals("contour-top:carve")) {
                break;
            }
        }
        bodies.log(shop.bodies().get("marram"), done);
        var carve = plan.step("contour-top:carve").orElseThrow().operation();
        bodies.log(
                shop.bodies().get("marram"),
                List.of(new AsBuilt.Reading(
                        "r1",
                        "2026-11-20T11:00:00Z",
                        "test",
                        Optional.of(carve.key()),
                        Measurand.parse("thickness-at:control-tone"),
                        plan.build().thicknessNow() - 0.5)));
        assertThat(depth(plan("marram"))).isCloseTo(before - 0.5, org.assertj.core.api.Assertions.within(0.01));
        assertThat(me.get(shop.path("marram") + "/depths").body()).contains("body measured there");
    }

    private static double depth(BuildPlan plan) {
        return DepthCard.of(plan).stream()
                .filter(c -> c.feature().equals(Feature.parse("controls")))
                .findFirst()
                .orElseThrow()
                .depth()
                .value();
    }
}
