package ebauche.app.stories;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import ebauche.app.body.Body;
import ebauche.app.testing.Story;
import ebauche.core.feature.Feature;
import ebauche.core.geometry.Face;
import ebauche.core.job.Build;
import ebauche.core.logbook.AsBuilt;
import ebauche.core.measure.LengthUnit;
import ebauche.core.plan.BuildPlan;
import ebauche.core.plan.Planner;
import ebauche.exchange.file.DemoBodies;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;

/** At the bench, with one hand and a glove: one story a test. */
class BenchStoriesTest extends Story {
    /** The issue's own story: 0.4 mm sanded off the front moves what is still to cut and the saddles. */
    @ParameterizedTest
    @EnumSource(Screen.class)
    void what_is_sanded_off_the_front_moves_the_pockets_remaining_depth_and_the_saddles(Screen screen) {
        open(screen, LengthUnit.MILLIMETRE);
        go(shop.path("sedge") + "/bench");
        page.getByLabel("What you measured").selectOption("sanded off the front");
        button("Keypad").click();
        for (String key : new String[] {"0", ".", "4"}) {
            button(key).click();
        }
        button("Log reading").click();
        assertThat(page.locator("#logged")).containsText("sanded off the front 0.4 mm");
        assertThat(page.locator("#moved")).containsText("still to cut in the pocket: 0.85 mm → 1.25 mm");
        assertThat(page.locator("#moved")).containsText("saddle height: 12.85 mm → 13.25 mm");
        go(shop.path("sedge") + "/design");
        assertThat(page.locator("#trial")).containsText("1.25 mm still to cut, saddles 13.25 mm over the front");
    }

    /** What may be off to either side has its sign under the thumb; what cannot be less than nothing has none. */
    @Test
    void a_reading_to_the_other_side_is_typed_without_a_keyboard() {
        open(Screen.TABLET, LengthUnit.MILLIMETRE);
        go(shop.path("sedge") + "/bench?step=neck:check");
        page.getByLabel("What you measured").selectOption("sanded off the front");
        assertThat(button("Change the sign")).isHidden();
        page.getByLabel("What you measured")
                .selectOption("neck's line at the bridge off the centre line, treble positive");
        button("Keypad").click();
        button("0").click();
        button(".").click();
        button("3").click();
        button("Change the sign").click();
        assertThat(page.getByLabel("Reading", new Page.GetByLabelOptions().setExact(true)))
                .hasValue("-0.3");
        button("Log reading").click();
        assertThat(page.locator("#logged")).containsText("-0.3 mm");
        fits();
    }

    @ParameterizedTest
    @EnumSource(Screen.class)
    void at_the_bench_the_gauge_is_read_the_reading_logged_and_the_step_done(Screen screen) {
        open(screen, LengthUnit.MILLIMETRE);
        go(shop.path("sedge"));
        link("To the bench").click();
        assertThat(page.getByRole(
                        AriaRole.HEADING, new Page.GetByRoleOptions().setName("Rout the neck pocket to depth")))
                .isVisible();
        assertThat(page.locator(".hero .big")).containsText("24.35");
        button("Read the gauge").click();
        assertThat(page.getByLabel("Reading", new Page.GetByLabelOptions().setExact(true)))
                .hasValue(Pattern.compile("24\\.\\d\\d mm"));
        assertThat(page.locator(".band:visible")).hasAttribute("data-says", "in band");
        button("Log reading").click();
        assertThat(page.locator("#logged")).containsText("in band");
        button("Done, next step").click();
        assertThat(page.locator("#logged")).containsText("Done: Rout the neck pocket to depth");
        assertThat(page.getByRole(
                        AriaRole.HEADING, new Page.GetByRoleOptions().setName("Take the neck pocket template off")))
                .isVisible();
        fits();
    }

    /** The bench's own order of buttons, over each sanding step of every demo body: the reading first, then "Done". */
    @ParameterizedTest
    @ValueSource(strings = {"tussock", "sedge", "shale", "marram"})
    void sanding_is_read_and_then_called_done_and_counts_once(String name) {
        open(Screen.TABLET, LengthUnit.MILLIMETRE);
        Body body = shop.bodies().get(name);
        Build bare = DemoBodies.read(name).build();
        List<AsBuilt.Entry> timeline = new ArrayList<>(bodies.record(body).timeline());
        for (BuildPlan.PlanStep step : Planner.schedule(soFar(bare, timeline)).steps()) {
            if (step.operation().feature().equals(Feature.parse("sanding"))) {
                break;
            }
            if (!step.done()) {
                timeline.add(step.asDone("u" + timeline.size(), "2026-11-20T10:00:00Z", "t"));
                bodies.log(body, timeline.get(timeline.size() - 1));
            }
        }
        BuildPlan plan = plan(bare, timeline);
        double grams = plan.history().finished().balance().grams();
        for (Face face : new Face[] {Face.BACK, Face.FRONT}) {
            go(shop.path(name) + "/bench?step=sanding:" + face.word());
            page.getByLabel("What you measured").selectOption("sanded off the " + face.word());
            button("Keypad").click();
            for (String key : new String[] {"0", ".", "3"}) {
                button(key).click();
            }
            button("Log reading").click();
            assertThat(page.locator("#logged")).containsText("in band");
            button("Done, next step").click();
            assertThat(page.locator("#logged")).containsText("Done: Sand the " + face.word());
        }
        BuildPlan then = plan(bare, bodies.record(body).timeline());
        assertThat(then.build().faces().thickness())
                .isEqualTo(plan.build().faces().thickness(), within(1e-9));
        assertThat(then.history().finished().balance().grams()).isEqualTo(grams, within(0.05));
        assertThat(then.findings()).noneMatch(f -> f.rule().equals("done-contradicted"));
    }

    private static Build soFar(Build bare, List<AsBuilt.Entry> timeline) {
        return new Build(bare.drawn(), bare.shop(), new AsBuilt(timeline));
    }

    private static BuildPlan plan(Build bare, List<AsBuilt.Entry> timeline) {
        return Planner.plan(soFar(bare, timeline));
    }

    @ParameterizedTest
    @EnumSource(Screen.class)
    void the_keypad_writes_fractions_of_an_inch(Screen screen) {
        open(screen, LengthUnit.INCH);
        go(shop.path("sedge") + "/bench?step=neck:rout");
        Locator reading = page.getByLabel("Reading", new Page.GetByLabelOptions().setExact(true));
        button("Keypad").click();
        for (String key : new String[] {"1/2", "1/4", "1/8", "1/16", "1/64"}) {
            button(key).click();
        }
        assertThat(reading).hasValue("61/64 in");
        assertThat(page.locator(".band:visible")).hasAttribute("data-says", "in band");
        button("Log reading").click();
        assertThat(page.locator("#logged")).containsText("61/64 in");
    }

    @ParameterizedTest
    @EnumSource(Screen.class)
    void a_reading_that_cannot_be_is_answered_at_its_place_and_keeps_what_was_typed(Screen screen) {
        open(screen, LengthUnit.MILLIMETRE);
        go(shop.path("sedge") + "/bench");
        Locator reading = page.getByLabel("Reading", new Page.GetByLabelOptions().setExact(true));
        reading.fill("4000 mm");
        button("Log reading").click();
        assertThat(page.locator("#trouble")).containsText("it can be 0 mm to 120 mm");
        assertThat(page.getByLabel("Reading", new Page.GetByLabelOptions().setExact(true)))
                .hasValue("4000 mm");
    }

    @ParameterizedTest
    @EnumSource(Screen.class)
    void what_went_wrong_is_logged_and_stands_in_the_log(Screen screen) {
        open(screen, LengthUnit.MILLIMETRE);
        go(shop.path("sedge") + "/bench");
        button("Log a mistake").click();
        page.getByLabel("What went wrong?").fill("bit slipped in the collet");
        button("Log it").click();
        assertThat(page.locator("#logged")).containsText("bit slipped in the collet");
        go("/log");
        assertThat(page.getByRole(AriaRole.ROW).filter(new Locator.FilterOptions().setHasText("bit slipped")))
                .containsText("Mistake");
    }

    @ParameterizedTest
    @EnumSource(Screen.class)
    void a_reading_typed_when_the_sign_in_had_run_out_is_not_lost_and_counts_once(Screen screen) {
        open(screen, LengthUnit.MILLIMETRE);
        go(shop.path("sedge") + "/bench");
        int before = bodies.standing(shop.bodies().get("sedge")).entries();
        page.getByLabel("Reading", new Page.GetByLabelOptions().setExact(true)).fill("24.2 mm");
        page.context().clearCookies();
        button("Log reading").click();
        assertThat(page.getByText("Your sign-in ran out.")).isVisible();
        Locator form = page.locator("form").filter(new Locator.FilterOptions().setHasText("Sign in"));
        form.getByLabel("Name").fill(shop.maker().name());
        form.getByLabel("Password").fill(PASSWORD);
        button("Sign in").click();
        page.getByText("The reading 24.2 mm was not acknowledged.").click();
        assertThat(page.getByLabel("Reading", new Page.GetByLabelOptions().setExact(true)))
                .hasValue("24.2 mm");
        button("Log reading").click();
        assertThat(page.locator("#logged")).containsText("24.2 mm");
        assertThat(bodies.standing(shop.bodies().get("sedge")).entries()).isEqualTo(before + 1);
        go("/");
        assertThat(page.getByText("was not acknowledged")).hasCount(0);
    }

    @ParameterizedTest
    @EnumSource(Screen.class)
    void a_maker_changes_units_and_every_figure_follows(Screen screen) {
        open(screen, LengthUnit.MILLIMETRE);
        go(shop.path("sedge"));
        assertThat(page.locator(".hero .big")).containsText("24.35");
        button("inches").click();
        assertThat(page.locator(".hero .big")).containsText("0.958 in");
        assertThat(page.locator(".hero .other")).containsText("near 61/64 in, 24.35 mm");
        assertThat(page.locator(".hero .other .frac")).hasCSS("font-variant-numeric", "diagonal-fractions");
    }

    @ParameterizedTest
    @EnumSource(Screen.class)
    void after_the_glue_up_the_next_step_waits_with_a_timer(Screen screen) {
        open(screen, LengthUnit.INCH);
        go("/bodies/take-on/other");
        page.getByLabel("Called").fill("Bracken");
        page.getByLabel("Tussock").check();
        button("Add this body").click();
        view("Order", "Step by step");
        link("To the bench").click();
        assertThat(page.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setName("Joint the mating edges")))
                .isVisible();
        button("Done, next step").click();
        assertThat(page.locator(".hero .big")).containsText("24 h");
        button("Done, next step").click();
        assertThat(page.getByText("must rest until")).isVisible();
        assertThat(page.locator(".timer")).hasText(Pattern.compile("2[34]:\\d\\d:\\d\\d"));
    }
}
