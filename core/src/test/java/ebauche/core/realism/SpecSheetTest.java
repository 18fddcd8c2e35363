package ebauche.core.realism;

import static org.assertj.core.api.Assertions.assertThat;

import ebauche.core.TestBody;
import ebauche.core.TestPractice;
import ebauche.core.design.Contour;
import ebauche.core.feature.Feature;
import ebauche.core.feature.StepKey;
import ebauche.core.geometry.Face;
import ebauche.core.geometry.Point;
import ebauche.core.job.Finding;
import ebauche.core.logbook.AsBuilt;
import ebauche.core.measure.Quantity;
import ebauche.core.shop.Practice;
import ebauche.core.stock.Profile;
import java.util.List;
import java.util.OptionalDouble;
import java.util.Set;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;

/** The page to show before wood is cut: the body in the client's words, and all that ought to give pause. */
@Tag("slow")
class SpecSheetTest {
    private static String line(SpecSheet sheet, String what) {
        return sheet.lines().stream()
                .filter(l -> l.what().equals(what))
                .findFirst()
                .orElseThrow(() -> new AssertionError(what))
                .says(v -> "%.1f".formatted(v.value()));
    }

    @Test
    void a_body_is_told_in_the_words_of_a_talk_about_it() {
        SpecSheet sheet = SpecSheet.of(new TestBody().plan());
        // 320 wide from -160 to 160, 390 long from -150 to 240: the outline's own numbers.
        assertThat(line(sheet, "Body")).startsWith("44.5 thick, 390.0 long, 320.0 wide, about ");
        assertThat(line(sheet, "Strings")).startsWith("6, right-handed, 640.0 scale");
        assertThat(line(sheet, "Neck")).isEqualTo("bolted on with 2 screws, no tilt");
        assertThat(line(sheet, "Pickups")).contains("neck pickup").contains("bridge pickup");
        assertThat(line(sheet, "Controls")).contains("volume").contains("control cavity from the back");
        assertThat(line(sheet, "Carved")).isEqualTo("nothing: front and back stay flat");
    }

    /** What the wood weighs stands beside its volume and the timber's density, from outside the plan: within the cavities' share. */
    @Test
    void its_weight_is_of_the_finished_wood() {
        TestBody body = new TestBody();
        Finding.Value wood = SpecSheet.of(body.plan()).lines().get(0).numbers().get(3);
        assertThat(wood.quantity()).isEqualTo(Quantity.MASS);
        double slab = body.build().design().outline().region().area()
                * 44.5
                * body.build().design().blank().species().density().value()
                * 1e-6;
        assertThat(wood.value()).isBetween(0.75 * slab, 0.97 * slab);
    }

    @Test
    void other_necks_are_told_apart() {
        TestBody back = new TestBody();
        back.angle = 1.5;
        assertThat(line(SpecSheet.of(back.plan()), "Neck")).endsWith("tilted back 1.5");
        back.angle = -0.5;
        assertThat(line(SpecSheet.of(back.plan()), "Neck")).endsWith("tilted forward 0.5");
    }

    @Test
    void what_waits_what_is_open_and_what_is_not_measured_give_pause_until_they_are_settled() {
        TestBody body = new TestBody();
        body.undecided = Set.of(Feature.parse("pickup-neck"));
        body.timeline.add(
                new AsBuilt.Asked("a", "2026-11-01T10:00:00Z", "me", StepKey.parse("controls:rout"), "client"));
        SpecSheet sheet = SpecSheet.of(body.plan());
        assertThat(sheet.open()).extracting(o -> o.feature().word()).containsExactly("pickup-neck");
        assertThat(sheet.unsettled()).hasSize(1);
        assertThat(sheet.isClear()).isFalse();
        body.timeline.add(new AsBuilt.Settled("s", "2026-11-01T11:00:00Z", "me", "a"));
        body.undecided = Set.of();
        SpecSheet then = SpecSheet.of(body.plan());
        assertThat(then.open()).isEmpty();
        assertThat(then.unsettled()).isEmpty();
    }

    /** A shop that cannot carve is told what it could leave open instead: the carves, whose wood is then kept. */
    @Test
    void what_a_shop_cannot_do_can_be_left_open() {
        TestBody body = new TestBody();
        body.contours = List.of(new Contour(
                "belly",
                Face.BACK,
                new Contour.Start.Across(new Point(-160, 150), new Point(-90, 240)),
                12,
                Profile.Shape.STRAIGHT,
                OptionalDouble.empty()));
        body.shop = body.shop.with(TestPractice.with(body.shop.practice(), Set.<Practice.Skill>of()));
        ToolChoice way = SpecSheet.of(body.plan()).notHere().stream()
                .filter(w -> w.work().equals("Carve contours"))
                .findFirst()
                .orElseThrow();
        assertThat(way.leavable(body.plan())).extracting(Feature::word).containsExactly("contour-belly");
        body.undecided = Set.copyOf(way.leavable(body.plan()));
        SpecSheet then = SpecSheet.of(body.plan());
        assertThat(then.notHere()).extracting(ToolChoice::work).doesNotContain("Carve contours");
        assertThat(then.open()).hasSize(1);
    }
}
