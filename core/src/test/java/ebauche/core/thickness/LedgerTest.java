package ebauche.core.thickness;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import ebauche.core.TestBody;
import ebauche.core.TestTimber;
import ebauche.core.crib.Bit;
import ebauche.core.crib.Crib;
import ebauche.core.crib.Machine;
import ebauche.core.design.Blank;
import ebauche.core.design.BlankLayer;
import ebauche.core.design.Strip;
import ebauche.core.geometry.Face;
import ebauche.core.shop.Practice.Thicknessing;
import ebauche.core.shop.Shop;
import ebauche.core.timber.Hardness;
import ebauche.core.timber.Rings;
import ebauche.core.timber.Side;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

class LedgerTest {
    private static Shop shop(Thicknessing school) {
        Shop starter = TestBody.owning(
                TestBody.owning(Shop.starter(1), new Machine("planer", Machine.Kind.PLANER, 500)),
                new Machine("drum sander", Machine.Kind.DRUM_SANDER, 500));
        return starter.with(starter.practice().withThicknessing(school));
    }

    private static TestBody body(Thicknessing school, double rough) {
        TestBody body = new TestBody();
        body.shop = shop(school);
        body.blankThickness = rough;
        return body;
    }

    /** Never more than the bite, never below what is wanted, and in sum what is to come off: over random blanks. */
    @ParameterizedTest
    @EnumSource(Thicknessing.class)
    void passes_keep_the_bite_the_thickness_and_the_sum(Thicknessing school) {
        Random random = new Random(school.ordinal());
        for (int i = 0; i < 60; i++) {
            double high = 46 + random.nextDouble() * 14;
            TestBody body = body(school, high)
                    .read("blank-thickest", high)
                    .read("blank-thinnest", high - random.nextDouble() * 2)
                    .read("out-of-flat:front", random.nextDouble() * 3);
            Ledger ledger = Ledger.of(body.build());
            double sum = 0;
            double left = high;
            int number = 0;
            for (ThicknessingPass pass : ledger.passes()) {
                assertThat(pass.bite())
                        .isPositive()
                        .isLessThanOrEqualTo(ledger.bite().most() + 1e-9);
                assertThat(pass.leaves()).isEqualTo(left - pass.bite(), within(1e-9));
                assertThat(pass.leaves()).isGreaterThanOrEqualTo(ledger.target() - 1e-9);
                assertThat(pass.number()).isEqualTo(++number);
                if (pass.last()) {
                    assertThat(pass.bite()).isLessThanOrEqualTo(ledger.bite().light() + 1e-9);
                }
                left = pass.leaves();
                sum += pass.bite();
            }
            assertThat(sum).isEqualTo(high - ledger.target(), within(1e-9));
            assertThat(ledger.passes().stream().filter(ThicknessingPass::flipFirst))
                    .hasSize(1);
        }
    }

    /** Two light passes are alike: the last is never the deeper one. */
    @ParameterizedTest
    @EnumSource(Thicknessing.class)
    void the_last_pass_is_never_deeper_than_those_before(Thicknessing school) {
        for (double high = 45.2; high < 52; high += 0.07) {
            Ledger ledger =
                    Ledger.of(body(school, 60).read("blank-thickest", high).build());
            for (Face face : Face.values()) {
                List<ThicknessingPass> passes =
                        ledger.passes().stream().filter(p -> p.face() == face).toList();
                for (int i = 1; i < passes.size(); i++) {
                    assertThat(passes.get(i).bite())
                            .isLessThanOrEqualTo(passes.get(i - 1).bite() + 1e-9);
                }
            }
        }
    }

    @Test
    void a_blank_without_readings_is_planned_from_the_design() {
        Ledger ledger = Ledger.of(body(Thicknessing.ROUTER_SLED, 50).build());
        assertThat(ledger.highNow().value()).isEqualTo(50);
        assertThat(ledger.offFront().value()).isEqualTo((50 - ledger.target()) / 2, within(1e-9));
        assertThat(ledger.passes().get(0).face()).isEqualTo(Face.FRONT);
    }

    @Test
    void each_reading_makes_the_rest_of_the_ledger_new() {
        TestBody body =
                body(Thicknessing.ROUTER_SLED, 52).read("blank-thickest", 52).read("out-of-flat:front", 2.5);
        Ledger before = Ledger.of(body.build());
        double aim = before.highNow().value() - before.offFront().value();
        // The first pass took less than it was set to.
        body.read("blank-thickest", 51);
        Ledger after = Ledger.of(body.build());
        assertThat(after.passesTaken()).isEqualTo(1);
        assertThat(after.passes().get(0).number()).isEqualTo(2);
        assertThat(after.frontLeft()).isEqualTo(51 - aim, within(1e-9));
        // Read flat: the rest comes off the back.
        body.read("out-of-flat:front", 0.1);
        Ledger flat = Ledger.of(body.build());
        assertThat(flat.frontLeft()).isZero();
        assertThat(flat.passes()).allMatch(p -> p.face() == Face.BACK);
        assertThat(flat.backLeft()).isEqualTo(51 - flat.target(), within(1e-9));
    }

    @Test
    void nothing_is_left_to_take_when_the_back_is_done() {
        TestBody body = body(Thicknessing.PLANER, 50).doneUpTo("thickness:back");
        assertThat(Ledger.of(body.build()).passes()).isEmpty();
    }

    @Test
    void a_blank_that_cannot_give_the_thickness_is_said_so_by_how_much() {
        TestBody body =
                body(Thicknessing.ROUTER_SLED, 47).read("blank-thickest", 45).read("blank-thinnest", 44);
        Ledger ledger = Ledger.of(body.build());
        assertThat(ledger.target() - ledger.lowNow().value()).isEqualTo(ledger.target() - 44, within(1e-9));
        assertThat(body.rules()).contains("blank-too-thin");
    }

    @Test
    void a_cupped_blank_may_fall_short_and_a_narrower_one_would_be_flatter() {
        TestBody body = body(Thicknessing.ROUTER_SLED, 47)
                .read("blank-thickest", 47)
                .read("blank-thinnest", 46.6)
                .read("out-of-flat:front", 3);
        Ledger ledger = Ledger.of(body.build());
        assertThat(ledger.lowNow().value()).isGreaterThanOrEqualTo(ledger.target());
        assertThat(-ledger.spareAtWorst().orElseThrow().value())
                .isEqualTo(ledger.target() + 0.4 + 3 - 46.6, within(1e-9));
        assertThat(body.rules()).contains("blank-only-just");
        // Against the circle itself: a chord's sagitta R - sqrt(R² - (w/2)²).
        double blank = 340;
        double radius = (blank * blank / 4 + 9) / 6;
        double outline = body.design().outline().region().maxX()
                - body.design().outline().region().minX();
        double exact = radius - Math.sqrt(radius * radius - outline * outline / 4);
        assertThat(ledger.cupOverBody().value()).isEqualTo(exact, within(0.01));
    }

    /**
     * Against blanks made up spot by spot: both faces uneven at random, the thickness taken at every spot, and what truly
     * stays between two planes laid on by hand. The ledger's promise is never larger.
     */
    @Test
    void what_the_blank_surely_gives_is_never_promised_too_large() {
        Random random = new Random(7);
        int promised = 0;
        for (int i = 0; i < 200; i++) {
            double front = 0;
            double back = 0;
            double high = 0;
            double low = Double.POSITIVE_INFINITY;
            double planes = 46 + random.nextDouble() * 2;
            double rough = random.nextDouble() * 3;
            for (int spot = 0; spot < 12; spot++) {
                double f = random.nextDouble() * rough;
                double b = random.nextDouble() * (3 - rough);
                front = Math.max(front, f);
                back = Math.max(back, b);
                high = Math.max(high, planes - f - b);
                low = Math.min(low, planes - f - b);
            }
            TestBody body = body(Thicknessing.ROUTER_SLED, 48)
                    .read("blank-thickest", high)
                    .read("blank-thinnest", low)
                    .read("out-of-flat:front", front);
            Ledger without = Ledger.of(body.build());
            Ledger with = Ledger.of(body.read("out-of-flat:back", back).build());
            for (Ledger ledger : List.of(without, with)) {
                if (ledger.spareAtWorst().isPresent()) {
                    double gives = ledger.target()
                            + 2 * Ledger.CLEAN_UP
                            + ledger.spareAtWorst().get().value();
                    assertThat(gives).isLessThanOrEqualTo(planes - front - back + 1e-9);
                    promised++;
                }
            }
            if (with.spareAtWorst().isPresent() && without.spareAtWorst().isPresent()) {
                assertThat(with.spareAtWorst().get().value())
                        .isGreaterThanOrEqualTo(without.spareAtWorst().get().value() - 1e-9);
            }
        }
        assertThat(promised).isGreaterThan(50);
    }

    @Test
    void the_front_leaves_the_back_what_flattens_it() {
        TestBody body =
                body(Thicknessing.ROUTER_SLED, 52).read("blank-thickest", 50).read("out-of-flat:front", 3.5);
        Ledger before = Ledger.of(body.build());
        double spare = 50 - before.target();
        assertThat(before.offFront().value()).isEqualTo(3.5 + 0.2, within(1e-9));
        Ledger after = Ledger.of(body.read("out-of-flat:back", 1.6).build());
        assertThat(after.offFront().value()).isEqualTo(spare - 1.6 - 0.2, within(1e-9));
        assertThat(after.backLeft()).isEqualTo(1.8, within(1e-9));
    }

    /** A top over a core: what the front loses comes off the top. Masses worked by hand from area, thicknesses, densities. */
    @Test
    void a_top_becomes_thinner_by_what_the_front_loses() {
        TestBody body = body(Thicknessing.ROUTER_SLED, 50);
        body.blank = new Blank(
                340,
                420,
                0,
                45,
                new BlankLayer(TestTimber.ALDER, List.of(plain(340)), 42, List.of()),
                Optional.of(new BlankLayer(TestTimber.WALNUT, List.of(plain(340)), 8, List.of())));
        body.read("blank-thickest", 49).read("out-of-flat:front", 1);
        Ledger ledger = Ledger.of(body.build());
        double off = ledger.offFront().value();
        assertThat(ledger.topThen().orElseThrow().value()).isEqualTo(8 - off, within(1e-9));
        double alder = TestTimber.ALDER.density().value() * 340 * 420 * 1e-6;
        double walnut = TestTimber.WALNUT.density().value() * 340 * 420 * 1e-6;
        assertThat(ledger.massNow().value()).isEqualTo(41 * alder + 8 * walnut, within(1e-6));
        assertThat(ledger.massThen().value())
                .isEqualTo((ledger.target() - 8 + off) * alder + (8 - off) * walnut, within(1e-6));
        // A pass of 0.6, then flat: the rest comes off the back, and the top keeps what it has.
        body.read("blank-thickest", 48.4).read("out-of-flat:front", 0.1);
        Ledger flat = Ledger.of(body.build());
        assertThat(flat.topThen().orElseThrow().value()).isEqualTo(7.4, within(1e-9));
        assertThat(flat.massNow().value()).isEqualTo(41 * alder + 7.4 * walnut, within(1e-6));
        body.read("blank-thickest", 47);
        assertThat(Ledger.of(body.build()).topThen().orElseThrow().value()).isEqualTo(7.4, within(1e-9));
    }

    private static Strip plain(double width) {
        return new Strip(width, "B1", Side.A, true, Rings.FLAT, Optional.empty(), 1, 0, Optional.empty());
    }

    @Test
    void a_planer_spoils_ends_that_are_too_near_the_body() {
        assertThat(body(Thicknessing.PLANER, 50).rules()).contains("snipe-reaches-body");
        assertThat(body(Thicknessing.ROUTER_SLED, 50).rules()).doesNotContain("snipe-reaches-body");
    }

    /** Common practice: a planer or sled bites less in hard woods than in soft, and the last pass is light. */
    @ParameterizedTest
    @EnumSource(Thicknessing.class)
    void hard_woods_are_taken_in_smaller_bites(Thicknessing school) {
        assertThat(Bite.of(school, Hardness.HARD).most())
                .isLessThan(Bite.of(school, Hardness.MEDIUM).most());
        assertThat(Bite.of(school, Hardness.MEDIUM).most())
                .isLessThan(Bite.of(school, Hardness.SOFT).most());
        assertThat(Bite.of(school, Hardness.HARD).light())
                .isLessThan(Bite.of(school, Hardness.HARD).most());
    }

    /** Common practice: a sled takes up to 1/8 in with a 1 in carbide surfacing bit in soft wood. */
    @Test
    void a_sled_takes_an_eighth_in_soft_wood() {
        assertThat(Bite.of(Thicknessing.ROUTER_SLED, Hardness.SOFT).most()).isEqualTo(25.4 / 8, within(0.03));
    }

    @Test
    void tracks_of_the_sled_cover_the_blank() {
        Tracks tracks = Tracks.over(340, shop(Thicknessing.ROUTER_SLED));
        assertThat((tracks.count() - 1) * tracks.step() + tracks.bit()).isGreaterThanOrEqualTo(340);
        assertThat((tracks.count() - 2) * tracks.step() + tracks.bit()).isLessThan(340);
    }

    /** Tracks of three fifths of the widest bit without a bearing; a bit of less than half an inch is none for surfacing. */
    @ParameterizedTest
    @CsvSource({"20, 300, 25", "20, 80, 6", "20, 80.1, 7", "20, 15, 1", "12.7, 90, 12", "12.6, 90, 6"})
    void tracks_follow_the_widest_surfacing_bit(double bit, double across, int tracks) {
        Shop shop = shop(Thicknessing.ROUTER_SLED);
        Crib c = shop.crib();
        List<Bit> bits = new ArrayList<>(
                c.bits().stream().filter(b -> b.bearing() != Bit.Bearing.NONE).toList());
        bits.addAll(c.bits().stream()
                .filter(b -> b.bearing() == Bit.Bearing.NONE && b.diameter() < 9)
                .toList());
        Bit plain = c.bits().stream()
                .filter(b -> b.bearing() == Bit.Bearing.NONE)
                .findFirst()
                .orElseThrow();
        bits.add(new Bit(
                "surfacing",
                plain.profile(),
                Bit.Bearing.NONE,
                bit,
                plain.cutterLength(),
                plain.overallLength(),
                plain.shank(),
                0,
                0,
                2,
                plain.spiral(),
                plain.centreCutting(),
                0,
                plain.edge(),
                plain.bearingSound(),
                ""));
        Crib crib = new Crib(
                c.routers(),
                bits,
                c.drills(),
                c.templates(),
                c.spacers(),
                c.saws(),
                c.drums(),
                c.aids(),
                c.machines(),
                c.bearings());
        Tracks over = Tracks.over(across, shop.with(crib));
        assertThat(over.bit()).isEqualTo(bit >= 12.7 ? bit : 25.4);
        assertThat(over.step()).isCloseTo(0.6 * over.bit(), within(1e-9));
        assertThat(over.count()).isEqualTo(tracks);
    }

    /** Common practice: book-matched halves are planed in opposite directions, and each turns round when flipped. */
    @Test
    void book_matched_halves_are_planed_in_opposite_directions() {
        Strip left = new Strip(170, "B1", Side.B, true, Rings.FLAT, Optional.empty(), 1, 0, Optional.empty());
        Strip right = new Strip(170, "B1", Side.A, true, Rings.FLAT, Optional.empty(), -1, 0, Optional.empty());
        Blank book = new Blank(
                340,
                420,
                0,
                45,
                new BlankLayer(TestTimber.WALNUT, List.of(left, right), 50, List.of()),
                Optional.empty());
        PlaningWays front = PlaningWays.of(book, Face.FRONT);
        assertThat(front.opposed()).isTrue();
        assertThat(front.inWords()).contains("from the centre seam outward");
        assertThat(PlaningWays.of(book, Face.BACK).strips())
                .as("turned over along its length the right half lies left, and each way turns round")
                .containsExactly(1, -1);
        assertThat(front.common()).isZero();
    }

    /** A narrow strip left with a way, a wide one right with none: from behind the wide one lies left. */
    @Test
    void seen_from_behind_the_last_strip_comes_first() {
        Strip left = new Strip(100, "B1", Side.B, true, Rings.FLAT, Optional.empty(), 1, 0, Optional.empty());
        BlankLayer core = new BlankLayer(TestTimber.WALNUT, List.of(left, Strip.plain(240)), 50, List.of());
        Blank blank = new Blank(340, 420, 0, 45, core, Optional.empty());
        PlaningWays front = PlaningWays.of(blank, Face.FRONT);
        PlaningWays back = PlaningWays.of(blank, Face.BACK);
        assertThat(front.strips()).containsExactly(1, 0);
        assertThat(front.widths()).containsExactly(100.0, 240.0);
        assertThat(back.strips()).containsExactly(0, -1);
        assertThat(back.widths()).containsExactly(240.0, 100.0);
        assertThat(List.of(front.common(), back.common())).containsExactly(1, -1);
        assertThat(front.inWords()).isEqualTo("Work towards the neck.");
        assertThat(back.inWords()).isEqualTo("Work from the neck end.");
        assertThat(PlaningWays.of(Blank.plain(TestTimber.ALDER, 2, 340, 420, 45, 50), Face.FRONT)
                        .inWords())
                .startsWith("Either direction");
    }

    /** Mass before and after differ by the wood that comes off: area x thickness x density, worked by hand. */
    @Test
    void mass_before_and_after() {
        Ledger ledger = Ledger.of(body(Thicknessing.PLANER, 50).build());
        assertThat(ledger.massNow().value()).isEqualTo(340 * 420 * 50 * 459.2e-6, within(1e-6));
        assertThat(ledger.massNow().value() - ledger.massThen().value())
                .isEqualTo(340 * 420 * (50 - ledger.target()) * 459.2e-6, within(1e-6));
    }

    /** A step at the seam is flattened like a hollow: the larger of the two and the clean-up come off the front. */
    @Test
    void a_step_at_the_seam_is_taken_off_the_front() {
        TestBody body =
                body(Thicknessing.ROUTER_SLED, 47).read("blank-thickest", 46.5).read("out-of-flat:front", 0.4);
        assertThat(Ledger.of(body.build()).offFront().value())
                .isEqualTo((46.5 - Ledger.of(body.build()).target()) / 2, within(1e-9));
        body.read("seam-step", 0.9);
        assertThat(Ledger.of(body.build()).offFront().value()).isEqualTo(0.9 + 0.2, within(1e-9));
        body.read("seam-step", 0.1);
        assertThat(Ledger.of(body.build()).offFront().value()).isLessThan(0.9);
    }

    /** Flat is 0.15 under the straightedge, common practice; more is not, and one reading alone tells only how it began. */
    @ParameterizedTest
    @CsvSource({"0.15, true", "0.16, false", "0.9, false"})
    void a_face_is_flat_from_a_bound_on(double read, boolean flat) {
        TestBody body = body(Thicknessing.ROUTER_SLED, 50).read("blank-thickest", 50);
        body.read("out-of-flat:front", read);
        assertThat(Ledger.of(body.build()).frontLeft())
                .as("the first reading is the start")
                .isPositive();
        body.read("out-of-flat:front", read);
        assertThat(Ledger.of(body.build()).frontLeft() == 0).isEqualTo(flat);
    }

    /** In the middle of the front, then of the back: passes are numbered on, stand so far under the first high spot, and the blank is turned once. */
    @Test
    void the_middle_of_the_work_goes_on_from_where_it_is() {
        TestBody body =
                body(Thicknessing.ROUTER_SLED, 52).read("blank-thickest", 52).read("out-of-flat:front", 2);
        Ledger start = Ledger.of(body.build());
        List<ThicknessingPass> all = start.passes();
        assertThat(all.get(0).number()).isEqualTo(1);
        assertThat(all.get(0).below()).isEqualTo(52 - all.get(0).leaves(), within(1e-9));
        assertThat(all.stream().filter(ThicknessingPass::flipFirst)).hasSize(1);
        assertThat(all.stream().filter(p -> p.face() == Face.FRONT)).noneMatch(ThicknessingPass::flipFirst);
        double aim = 52 - start.offFront().value();
        body.read("blank-thickest", 51.2);
        List<ThicknessingPass> begun = Ledger.of(body.build()).passes();
        assertThat(begun.get(0).number()).isEqualTo(2);
        assertThat(begun.get(0).below())
                .as("under the first high spot")
                .isEqualTo(0.8 + begun.get(0).bite(), within(1e-9));
        assertThat(begun.stream()
                        .filter(p -> p.face() == Face.FRONT)
                        .reduce((a, b) -> b)
                        .orElseThrow()
                        .leaves())
                .isEqualTo(aim, within(1e-9));
        body.read("blank-thickest", aim).done("thickness:front");
        List<ThicknessingPass> turned = Ledger.of(body.build()).passes();
        assertThat(turned).allMatch(p -> p.face() == Face.BACK);
        assertThat(turned.get(0).flipFirst()).isTrue();
        assertThat(turned.get(0).below()).isEqualTo(turned.get(0).bite(), within(1e-9));
        body.read("blank-thickest", aim - 1);
        List<ThicknessingPass> half = Ledger.of(body.build()).passes();
        assertThat(half.get(0).flipFirst())
                .as("it lies with its back up already")
                .isFalse();
        assertThat(half.get(0).below()).isEqualTo(1 + half.get(0).bite(), within(1e-9));
        assertThat(half.get(0).number()).isEqualTo(4);
        assertThat(half.get(half.size() - 1).leaves()).isEqualTo(start.target(), within(1e-9));
        assertThat(half.get(half.size() - 1).last()).isTrue();
    }

    /** What may be missing: nothing once the back is done, the front is flat, or what is missing is sure. */
    @Test
    void what_may_be_missing_is_asked_only_while_it_may() {
        TestBody body = body(Thicknessing.ROUTER_SLED, 47).read("blank-thickest", 46.4);
        body.read("blank-thinnest", 45.5).read("out-of-flat:front", 0.9);
        Ledger ledger = Ledger.of(body.build());
        assertThat(ledger.lowNow().value()).isGreaterThanOrEqualTo(ledger.target());
        double missing = ledger.target() + 0.4 + 0.9 - 45.5;
        assertThat(-ledger.spareAtWorst().orElseThrow().value()).isEqualTo(missing, within(1e-9));
        body.read("out-of-flat:back", 0.3);
        assertThat(-Ledger.of(body.build()).spareAtWorst().orElseThrow().value())
                .as("the flatter face is the back's")
                .isEqualTo(ledger.target() + 0.4 - Math.max(45.5 - 0.3, 46.4 - 1.2), within(1e-9));
        body.read("blank-thinnest", 45);
        Ledger sure = Ledger.of(body.build());
        assertThat(surelyShort(body)).hasValueCloseTo(sure.target() - 45, within(1e-9));
        assertThat(sure.spareAtWorst()).isEmpty();
        body.doneUpTo("thickness:back");
        assertThat(surelyShort(body)).as("the body is read by then").isEmpty();
    }

    /** By how much the blank surely cannot give the thickness, as the rule tells it. */
    private static OptionalDouble surelyShort(TestBody body) {
        return new ThicknessRules(body.build())
                .all().stream()
                        .filter(r -> r.name().equals("blank-too-thin"))
                        .flatMap(r -> r.finding().stream())
                        .mapToDouble(f -> f.numbers().get(2).value())
                        .findFirst();
    }
}
