package ebauche.core.sheet;

import static org.assertj.core.api.Assertions.assertThat;

import ebauche.core.TestBody;
import ebauche.core.feature.Feature;
import ebauche.core.feature.Work;
import java.util.List;
import org.junit.jupiter.api.Test;

class SideBySideTest {
    private static List<String> rows(SideBySide beside) {
        return beside.cavities().stream().map(r -> r.feature() + " " + r.what()).toList();
    }

    @Test
    void the_same_build_beside_itself_is_nothing() {
        SideBySide beside = SideBySide.of(new TestBody().plan(), new TestBody().plan());
        assertThat(beside.isEmpty()).isTrue();
    }

    @Test
    void a_thinner_body_moves_rear_depths_and_the_wood_under_front_ones_each_once() {
        TestBody thinner = new TestBody();
        thinner.thickness -= 3;
        SideBySide beside = SideBySide.of(new TestBody().plan(), thinner.plan());
        assertThat(rows(beside))
                .contains("controls depth", "pickup-neck thinnest wood under it", "neck thinnest wood under it")
                .doesNotContain("pickup-neck depth", "neck depth", "controls thinnest wood under it");
        assertThat(beside.others().stream().map(Moved::what))
                .contains("finished thickness", "mass of the finished wood")
                .doesNotContain("control cavity depth");
        beside.cavities().stream()
                .filter(r -> r.what().equals("depth"))
                .forEach(r ->
                        assertThat(r.then().getAsDouble()).isEqualTo(r.today().getAsDouble() - 3));
    }

    @Test
    void what_breaks_appears_what_is_cured_goes_and_what_only_follows_is_counted() {
        TestBody clash = new TestBody();
        clash.pickups.set(0, TestBody.pickup("neck", 0, 60, 19));
        SideBySide breaks = SideBySide.of(new TestBody().plan(), clash.plan());
        assertThat(breaks.causes()).anyMatch(f -> f.rule().equals("breaks-in"));
        assertThat(breaks.causes()).noneMatch(f -> f.rule().equals("circle"));
        SideBySide cured = SideBySide.of(clash.plan(), new TestBody().plan());
        assertThat(cured.gone()).anyMatch(f -> f.rule().equals("breaks-in"));
        assertThat(cured.appeared()).noneMatch(g -> g.work() != Work.CHANNEL);
        assertThat(breaks.stay()).noneMatch(g -> g.work() != Work.CHANNEL);
        TestBody thinner = new TestBody();
        thinner.pickups.set(0, TestBody.pickup("neck", 0, 60, 19));
        thinner.thickness -= 0.5;
        SideBySide still = SideBySide.of(clash.plan(), thinner.plan());
        assertThat(still.stay()).anyMatch(f -> f.rule().equals("breaks-in"));
        assertThat(still.appeared()).noneMatch(f -> f.rule().equals("breaks-in"));
    }

    @Test
    void a_wall_left_too_thin_is_marked() {
        TestBody near = new TestBody();
        near.pickups.set(0, TestBody.pickup("neck", 0, 71.5, 19));
        SideBySide beside = SideBySide.of(new TestBody().plan(), near.plan());
        assertThat(beside.cavities())
                .filteredOn(r -> r.feature().equals(Feature.parse("pickup-neck"))
                        && r.what().equals("thinnest wall"))
                .singleElement()
                .satisfies(r -> {
                    assertThat(r.then().getAsDouble()).isCloseTo(1.5, org.assertj.core.api.Assertions.within(1e-6));
                    assertThat(r.tooThin()).isTrue();
                });
    }
}
