package ebauche.core.hollow;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import ebauche.core.TestBody;
import ebauche.core.TestTimber;
import ebauche.core.design.Plates;
import ebauche.core.feature.FeatureKind;
import ebauche.core.geometry.Region;
import ebauche.core.hardware.Bridge;
import ebauche.core.job.Build;
import ebauche.core.measure.Refusal;
import ebauche.core.plan.BuildPlan;
import ebauche.core.shop.Cutting;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What saw and plane take where plates are sawn off and glued back; what a new cap does to an old body. */
class ResawingTest {
    private static Build build(double blank) {
        TestBody body = new TestBody();
        body.blankThickness = blank;
        return body.build();
    }

    /** By construction: all that is sawn apart and what the saw takes is the blank; what comes together is the plates and the core. */
    @ParameterizedTest
    @CsvSource({"60, 6, 5", "55, 8, 0", "52, 0, 6"})
    void the_parts_and_what_is_lost_are_the_blank(double blank, double front, double back) {
        Build build = build(blank);
        Cutting cutting = build.shop().cutting();
        Resawing resawing = new Resawing(build, new Plates(front, back));
        int plates = (front > 0 ? 1 : 0) + (back > 0 ? 1 : 0);
        double core = resawing.core().value();
        assertThat(front + core + back + plates * (cutting.resawKerf() + cutting.flattening()))
                .isCloseTo(blank, within(1e-9));
        assertThat(resawing.glued().value()).isCloseTo(front + core + back, within(1e-9));
        assertThat(resawing.lacks())
                .isCloseTo(
                        build.thicknessed()
                                + cutting.flattening()
                                - resawing.glued().value(),
                        within(1e-9));
    }

    /** 44.5 finished with its sandings, 2 to flatten, and 1.6 + 2 for each plate, by hand. */
    @Test
    void it_says_how_thick_a_blank_it_wants() {
        Build build = build(50);
        Resawing both = new Resawing(build, new Plates(6, 5));
        assertThat(both.wants().value()).isCloseTo(build.thicknessed() + 2 + 2 * 3.6, within(1e-9));
        assertThat(both.lacks()).isPositive();
        assertThat(new Resawing(build(60), new Plates(6, 5)).lacks()).isNegative();
        assertThat(both.leavesACore()).isTrue();
        assertThat(new Resawing(build, new Plates(30, 20)).leavesACore()).isFalse();
        assertThat(both.sawOpens()).isTrue();
    }

    @ParameterizedTest
    @CsvSource({"0, 0", "2, 0", "50, 0", "6, 1"})
    void a_plate_that_cannot_be_is_refused(double front, double back) {
        Build build = build(50);
        assertThatThrownBy(() -> new Resawing(build, new Plates(front, back))).isInstanceOf(Refusal.class);
    }

    /** A pickup's rout of 19 under a cap of 4 over 1 planed off is 22 deep; its window lies inside it, three millimetres off its walls. */
    @Test
    void under_a_new_cap_cavities_lie_deeper_and_are_found_again() {
        BuildPlan plan = new TestBody().plan();
        NewCap capped = NewCap.of(plan.build(), plan.history(), 1, 4);
        NewCap.Deeper pickup = capped.deeper().stream()
                .filter(d -> d.feature().word().equals("pickup-bridge"))
                .findFirst()
                .orElseThrow();
        assertThat(pickup.is().value() - pickup.was().value()).isCloseTo(3, within(1e-9));
        assertThat(pickup.was().value()).isCloseTo(19, within(0.2));
        Region rout = plan.build().design().pickups().get(1).footprint();
        assertThat(rout.grown(-2.9).contains(Region.disc(pickup.window(), pickup.widest())))
                .isTrue();
        assertThat(capped.deeper())
                .extracting(d -> d.feature().word())
                .contains("neck")
                .doesNotContain("controls");
        assertThat(capped.thickness().value()).isCloseTo(44.5 + 3, within(0.2));
        assertThat(capped.higher()).isEqualTo(3);
    }

    @Test
    void holes_are_buried_and_shallow_ones_planed_away() {
        TestBody body = new TestBody();
        body.studs = Optional.of(new Bridge.Studs(82, 0, 11, 18));
        BuildPlan plan = body.plan();
        assertThat(NewCap.of(plan.build(), plan.history(), 1, 4).buried()).anySatisfy(b -> {
            assertThat(b.feature().word()).isEqualTo("bridge-studs");
            assertThat(b.places()).hasSize(2);
        });
        assertThat(NewCap.of(plan.build(), plan.history(), 1, 4).buried())
                .as("a pickup's leg pockets are opened with it")
                .noneMatch(b -> b.feature().is(FeatureKind.LEGS));
        assertThat(NewCap.of(plan.build(), plan.history(), 19.9, 4).buried())
                .noneMatch(b -> b.feature().word().equals("bridge-studs"));
    }

    /** Area by depth by density, by hand: what of the front is open is neither planed nor capped. */
    @Test
    void what_is_planed_off_and_what_comes_on_is_weighed() {
        TestBody body = new TestBody();
        BuildPlan plan = body.plan();
        NewCap capped = NewCap.of(plan.build(), plan.history(), 1, 4);
        Region front = plan.build().design().outline().region().minus(capped.cavities());
        NewCap.Wood on = capped.comesOn(TestTimber.ASH);
        assertThat(on.grams())
                .isCloseTo(front.area() * 4 * TestTimber.ASH.density().value() * 1e-6, within(1e-6));
        NewCap.Wood off = capped.planedOff(plan.history());
        double planed = front.area() * 1 * TestTimber.ALDER.density().value() * 1e-6;
        // Holes that are buried and the controls' are open as well.
        assertThat(off.grams()).isLessThan(planed).isCloseTo(planed, within(planed * 0.03));
        assertThat(off.at().y()).isCloseTo(front.centroid().y(), within(3.0));
        assertThat(NewCap.of(plan.build(), plan.history(), 0, 4)
                        .planedOff(plan.history())
                        .grams())
                .isZero();
    }

    /** Its bearing runs on the old edge, under the cap: at the tip, and the cutter reaches through. */
    @Test
    void a_bit_with_its_bearing_at_the_tip_trims_the_cap() {
        BuildPlan plan = new TestBody().plan();
        assertThat(NewCap.of(plan.build(), plan.history(), 0, 4).trims()).hasValueSatisfying(b -> {
            assertThat(b.bearing().atTip()).isTrue();
            assertThat(b.cutterLength()).isGreaterThanOrEqualTo(4);
        });
    }

    @Test
    void a_cap_that_cannot_be_is_refused_where_it_was_asked() {
        BuildPlan plan = new TestBody().plan();
        assertThatThrownBy(() -> NewCap.of(plan.build(), plan.history(), 0, 0.2))
                .isInstanceOfSatisfying(
                        Refusal.class, r -> assertThat(r.field()).isEqualTo("cap"));
        assertThatThrownBy(() -> NewCap.of(plan.build(), plan.history(), 44, 4))
                .isInstanceOfSatisfying(
                        Refusal.class, r -> assertThat(r.field()).isEqualTo("planed"));
    }
}
