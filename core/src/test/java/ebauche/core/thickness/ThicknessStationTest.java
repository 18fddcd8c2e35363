package ebauche.core.thickness;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import ebauche.core.TestBody;
import ebauche.core.TestTimber;
import ebauche.core.crib.Machine;
import ebauche.core.design.Blank;
import ebauche.core.design.BlankLayer;
import ebauche.core.feature.StepKey;
import ebauche.core.geometry.Face;
import ebauche.core.job.Finding;
import ebauche.core.operation.Inspection;
import ebauche.core.operation.Operation;
import ebauche.core.operation.Setting;
import ebauche.core.shop.Practice.Thicknessing;
import ebauche.core.shop.Shop;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** The two steps that bring a blank to thickness, and what is found when it was measured; a body of 45 from a blank of 50. */
class ThicknessStationTest {
    private static TestBody body(Thicknessing school) {
        TestBody body = new TestBody();
        Shop shop = TestBody.owning(
                TestBody.owning(Shop.starter(1), new Machine("planer", Machine.Kind.PLANER, 500)),
                new Machine("drum", Machine.Kind.DRUM_SANDER, 500));
        body.shop = shop.with(shop.practice().withThicknessing(school));
        body.thickness = 45;
        body.blankThickness = 50;
        return body;
    }

    private static Operation step(TestBody body, String key) {
        return body.schedule()
                .step(key)
                .orElseThrow(() -> new AssertionError(key))
                .operation();
    }

    private static Optional<Finding> finding(TestBody body, String rule) {
        return new ThicknessStation()
                .rules(body.build()).stream()
                        .flatMap(r -> r.finding().stream())
                        .filter(f -> f.rule().equals(rule))
                        .findFirst();
    }

    /** What is spare comes off half and half; the front's figure is what stays, the back's what is wanted before sanding. */
    @Test
    void each_face_is_taken_to_its_own_figure() {
        TestBody body = body(Thicknessing.ROUTER_SLED);
        double sanding =
                body.shop.practice().frontSanding() + body.shop.practice().backSanding();
        Operation front = step(body, "thickness:front");
        Operation back = step(body, "thickness:back");
        double wanted = body.thickness + sanding;
        assertThat(back.setting().figure().orElseThrow().value()).isCloseTo(wanted, within(1e-9));
        assertThat(front.setting().figure().orElseThrow().value()).isCloseTo((50 + wanted) / 2, within(1e-9));
        assertThat(front.face()).isEqualTo(Face.FRONT);
        assertThat(back.face()).isEqualTo(Face.BACK);
        assertThat(front.changes()).singleElement().satisfies(c -> {
            assertThat(c.solid().shallowest()).isCloseTo(-(50 - wanted) / 2 - 1, within(1e-9));
            assertThat(c.solid().deepest()).isZero();
        });
        assertThat(back.changes()).singleElement().satisfies(c -> {
            assertThat(c.solid().shallowest()).isCloseTo(wanted, within(1e-9));
            assertThat(c.solid().deepest()).isCloseTo(wanted + (50 - wanted) / 2 + 1, within(1e-9));
        });
        Inspection calliper = back.inspections().get(0);
        assertThat(calliper.band().below().value()).isEqualTo(0.3);
        assertThat(calliper.band().above().value()).isEqualTo(0.3);
        Inspection straightedge = front.inspections().get(0);
        assertThat(straightedge.band().below().value()).isZero();
        assertThat(straightedge.band().above().value()).isEqualTo(0.15);
    }

    /** A sled takes 2.4 at most in alder and 0.5 last; a hand plane's rounds are many; a face that is flat takes none. */
    @ParameterizedTest
    @CsvSource({"ROUTER_SLED", "PLANER", "DRUM_SANDER"})
    void the_card_says_how_many_passes(Thicknessing school) {
        TestBody body = body(school);
        for (Face face : Face.values()) {
            long passes = Ledger.of(body.build()).passes().stream()
                    .filter(p -> p.face() == face)
                    .count();
            assertThat(passes).isPositive();
            String tool =
                    ((Setting.Surfaced) step(body, "thickness:" + face.word()).setting()).tool();
            assertThat(tool).isEqualTo(school.words() + (passes == 1 ? ", one pass" : ", " + passes + " passes"));
        }
        body.read("blank-thickest", 50).read("out-of-flat:front", 0.1).read("out-of-flat:front", 0.1);
        assertThat(((Setting.Surfaced) step(body, "thickness:front").setting()).tool())
                .isEqualTo(school.words());
    }

    @Test
    void a_single_pass_is_called_one() {
        TestBody body = body(Thicknessing.PLANER);
        double target = Ledger.of(body.build()).target();
        body.blankThickness = target + 0.6;
        body.read("blank-thickest", target + 0.6);
        assertThat(((Setting.Surfaced) step(body, "thickness:back").setting()).tool())
                .isEqualTo(Thicknessing.PLANER.words() + ", one pass");
    }

    /** The planer dips at both ends: the nearer end of the body counts, and what hangs over the blank is another fault. */
    @ParameterizedTest
    @CsvSource({"-5, 10, true", "10, -5, true", "0.001, 0.001, false", "10, 10, false", "-61, 10, false"})
    void a_planers_dip_is_held_against_the_nearer_end(double atTail, double atNeck, boolean told) {
        TestBody body = body(Thicknessing.PLANER);
        double snipe = body.shop.cutting().snipe();
        assertThat(snipe).isBetween(10.0, 60.0);
        double low = body.design().outline().region().minY() - snipe - atTail;
        double high = body.design().outline().region().maxY() + snipe + atNeck;
        body.blank = Blank.plain(TestTimber.ALDER, 2, 340, high - low, (high + low) / 2, 50);
        Optional<Finding> found = finding(body, "snipe-reaches-body");
        assertThat(found.isPresent()).isEqualTo(told);
        found.ifPresent(f -> {
            assertThat(f.numbers().get(0).value()).isCloseTo(snipe - 5, within(1e-6));
            assertThat(f.numbers().get(1).value()).isEqualTo(snipe);
            assertThat(f.severity()).isEqualTo(Finding.Severity.THINK_AGAIN);
        });
        body.shop = body.shop.with(body.shop.practice().withThicknessing(Thicknessing.ROUTER_SLED));
        assertThat(finding(body, "snipe-reaches-body")).isEmpty();
    }

    /** The calliper's band is 0.3 either way: within it nothing is said, beyond it either side is, and by how much. */
    @ParameterizedTest
    @CsvSource({"44.7, ''", "44.699, thinner-than-wanted", "45, ''", "45.3, ''", "45.301, thicker-than-wanted"})
    void a_body_is_judged_by_what_it_will_finish_at(double finish, String rule) {
        TestBody body = body(Thicknessing.PLANER);
        double sanding =
                body.shop.practice().frontSanding() + body.shop.practice().backSanding();
        body.doneUpTo("thickness:back").read("body-thickness", finish + sanding);
        for (String one : List.of("thinner-than-wanted", "thicker-than-wanted")) {
            Optional<Finding> found = finding(body, one);
            assertThat(found.isPresent()).as(one).isEqualTo(one.equals(rule));
            found.ifPresent(f -> {
                assertThat(f.numbers().get(0).value()).isCloseTo(finish, within(1e-9));
                assertThat(f.numbers().get(1).value()).isEqualTo(45);
                assertThat(f.severity())
                        .isEqualTo(
                                one.startsWith("thinner")
                                        ? Finding.Severity.THINK_AGAIN
                                        : Finding.Severity.GOOD_TO_KNOW);
            });
        }
    }

    /** What nobody has measured or called done is not judged; a reading alone is enough. */
    @Test
    void a_blank_that_nobody_measured_is_not_judged() {
        TestBody body = body(Thicknessing.PLANER);
        body.thickness = 47;
        body.blankThickness = 48;
        assertThat(finding(body, "thinner-than-wanted")).isEmpty();
        body.read("body-thickness", 46);
        double sanding =
                body.shop.practice().frontSanding() + body.shop.practice().backSanding();
        assertThat(finding(body, "thinner-than-wanted")
                        .orElseThrow()
                        .numbers()
                        .get(0)
                        .value())
                .isCloseTo(46 - sanding, within(1e-9));
        TestBody thick = body(Thicknessing.PLANER).doneUpTo("thickness:back");
        thick.read("body-thickness", 48);
        assertThat(finding(thick, "thicker-than-wanted")
                        .orElseThrow()
                        .numbers()
                        .get(2)
                        .value())
                .isCloseTo(48 - sanding - 45, within(1e-9));
    }

    /** Finish sanding has its own band: all of its allowance may be left, half as much again taken; only on faces that are sanded. */
    @Test
    void a_sanded_face_widens_what_is_let_pass() {
        TestBody body = body(Thicknessing.PLANER);
        double back = body.shop.practice().backSanding();
        body.doneUpTo("sanding:back");
        boolean front = body.build().isDone(StepKey.parse("sanding:front"));
        double both = back + (front ? body.shop.practice().frontSanding() : 0);
        for (double off : List.of(0.3 + both - 0.01, 0.3 + both + 0.01)) {
            body.read("body-thickness", 45 + off + body.build().faces().toSand(Face.FRONT));
            assertThat(finding(body, "thicker-than-wanted").isPresent())
                    .as("thicker by " + off)
                    .isEqualTo(off > 0.3 + both);
        }
        for (double off : List.of(0.3 + both / 2 - 0.01, 0.3 + both / 2 + 0.01)) {
            body.read("body-thickness", 45 - off + body.build().faces().toSand(Face.FRONT));
            assertThat(finding(body, "thinner-than-wanted").isPresent())
                    .as("thinner by " + off)
                    .isEqualTo(off > 0.3 + both / 2);
        }
    }

    /** The harder of core and top decides how much a pass may take. */
    @Test
    void a_hard_top_takes_smaller_bites() {
        TestBody body = body(Thicknessing.ROUTER_SLED);
        double alder = Ledger.of(body.build()).bite().most();
        body.blank = layered(TestTimber.ALDER, TestTimber.ASH);
        double hardTop = Ledger.of(body.build()).bite().most();
        assertThat(hardTop).isLessThan(alder);
        body.blank = layered(TestTimber.ASH, TestTimber.ALDER);
        assertThat(Ledger.of(body.build()).bite().most()).isEqualTo(hardTop);
    }

    private static Blank layered(ebauche.core.timber.Species core, ebauche.core.timber.Species top) {
        return new Blank(
                340, 420, 0, 45, BlankLayer.even(core, 2, 340, 42), Optional.of(BlankLayer.even(top, 2, 340, 8)));
    }
}
