package ebauche.core.hollow;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import ebauche.core.TestBody;
import ebauche.core.design.Contour;
import ebauche.core.feature.Feature;
import ebauche.core.geometry.Face;
import ebauche.core.geometry.Point;
import ebauche.core.geometry.Region;
import ebauche.core.job.Build;
import ebauche.core.measure.Refusal;
import ebauche.core.plan.BuildPlan;
import ebauche.core.stock.Change;
import ebauche.core.stock.Profile;
import ebauche.core.stock.Solid;
import ebauche.core.stock.Stock;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** What a body can be hollowed by, held to points tried one by one, to wood counted cell by cell, and to a scan. */
class HollowOutsideTest {
    private static Hollow.Asked asked(double wall, double centre, double cap, double floor) {
        return new Hollow.Asked(wall, centre, cap, floor, 12.7, Optional.empty());
    }

    /** 4,000 places of each seeded body: in it only what is far from edge, block and all that must stay; out of it nothing that is farther by a bit. */
    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3, 4, 5, 6})
    void it_is_the_largest_that_keeps_its_walls(long seed) {
        Random random = new Random(seed);
        Build build = new TestBody().build();
        Hollow.Asked asked = asked(8 + random.nextDouble() * 25, random.nextDouble() * 140, 6, 8);
        Hollow hollow = Hollow.of(build, asked);
        Region body = build.design().outline().region();
        int in = 0;
        int tooSmall = 0;
        for (int i = 0; i < 4000; i++) {
            Point p = new Point(random.nextDouble() * 340 - 170, random.nextDouble() * 420 - 170);
            boolean inside = hollow.parts().stream().anyMatch(r -> r.contains(p));
            double edge = -body.outside(p) - asked.wall();
            double block = Math.abs(p.x()) - asked.centre() / 2;
            double kept = hollow.keepOuts().stream()
                    .mapToDouble(k -> k.region().outside(p))
                    .min()
                    .orElseThrow();
            double room = Math.min(Math.min(edge, block), kept);
            if (inside) {
                in++;
                assertThat(room).as("%s", p).isGreaterThan(-0.02);
            } else {
                // A disc as wide as the bit fits round it: it belongs to a part that is too small to be routed.
                tooSmall += room < asked.bit() / 2 + 0.05 ? 0 : 1;
            }
        }
        assertThat(in).isGreaterThan(100);
        // A place stands for 36 mm²; two parts of under 400 may have been left out.
        assertThat(tooSmall).isLessThan(22);
    }

    /** The wood that it takes out, counted on the grid of the finished body: within 2 in a thousand. */
    @Test
    void it_weighs_what_the_cells_weigh() {
        BuildPlan plan = new TestBody().plan();
        for (Optional<Double> round : List.of(Optional.<Double>empty(), Optional.of(32.0))) {
            Hollow hollow = Hollow.of(plan.build(), new Hollow.Asked(14, 80, 6, 9, 12.7, round));
            double top = plan.build().faces().frontFinished() + 6;
            List<Change> cuts = new ArrayList<>();
            for (Region part : hollow.parts()) {
                cuts.add(Change.Remove.fromBody(Feature.OUTLINE, Solid.Prism.between(part, top, top + hollow.depth())));
            }
            Stock before = plan.history().finished();
            Stock after = before.after(cuts);
            double counted = before.balance().grams() - after.balance().grams();
            assertThat(hollow.grams()).isGreaterThan(100).isCloseTo(counted, within(counted * 0.002));
            Point centre = hollow.centre().orElseThrow();
            double y = (before.balance().grams() * before.balance().at().y()
                            - after.balance().grams() * after.balance().at().y())
                    / counted;
            assertThat(centre.y()).isCloseTo(y, within(0.5));
        }
    }

    /** Solved for a mass it is no farther off than any wall or floor of a scan. */
    @Test
    void solved_for_a_mass_it_is_what_a_scan_finds() {
        Build build = new TestBody().build();
        Hollow hollow = Hollow.of(build, asked(14, 60, 6, 8));
        double wanted = hollow.grams() * 0.7;
        Hollow byWall = hollow.byWall(wanted).orElseThrow();
        Hollow byFloor = hollow.byFloor(wanted).orElseThrow();
        assertThat(byFloor.grams()).isCloseTo(wanted, within(0.01));
        assertThat(byFloor.asked().wall()).isEqualTo(14);
        double nearest = Double.POSITIVE_INFINITY;
        for (double wall = 10; wall < 60; wall += 0.5) {
            nearest = Math.min(
                    nearest, Math.abs(Hollow.of(build, asked(wall, 60, 6, 8)).grams() - wanted));
        }
        assertThat(Math.abs(byWall.grams() - wanted)).isLessThanOrEqualTo(nearest + 0.5);
        assertThat(byWall.asked().wall()).isGreaterThan(14);
        assertThat(hollow.byWall(1e5)).isEmpty();
        assertThat(hollow.byFloor(1e5)).isEmpty();
        assertThat(hollow.byFloor(-5)).isEmpty();
    }

    /** No fewer round holes than rows that are marked from one corner, all of them whole and with wood between them. */
    @ParameterizedTest
    @ValueSource(doubles = {16, 25, 32, 40})
    void round_holes_are_as_many_as_rows_that_are_marked(double diameter) {
        Build build = new TestBody().build();
        Hollow room = Hollow.of(build, asked(14, 0, 6, 8));
        Region all = room.parts().stream().reduce(Region.EMPTY, Region::union);
        List<Region> holes = RoundHoles.in(all, diameter, 6);
        int marked =
                RoundHoles.rows(all.grown(-diameter / 2), diameter + 6, 0, 0, 0).size();
        assertThat(holes).hasSizeGreaterThanOrEqualTo(Math.max(1, marked));
        for (int i = 0; i < holes.size(); i++) {
            assertThat(all.grown(0.05).contains(holes.get(i))).isTrue();
            for (int j = 0; j < i; j++) {
                double apart = holes.get(i).centroid().distance(holes.get(j).centroid()) - diameter;
                assertThat(apart).isGreaterThan(6 - 1e-6);
            }
        }
    }

    /** Each keep-out says why; without it no less can be taken out, and without the bridge's more. */
    @Test
    void what_must_stay_says_why_and_what_it_costs() {
        Build build = new TestBody().build();
        Hollow hollow = Hollow.of(build, asked(14, 0, 6, 8));
        assertThat(hollow.keepOuts()).allSatisfy(k -> assertThat(k.why()).isNotBlank());
        assertThat(hollow.keepOuts())
                .extracting(k -> k.feature().word())
                .contains("bridge", "neck", "pickup-neck", "controls", "jack");
        assertThat(hollow.keepOuts())
                .allSatisfy(k -> assertThat(hollow.costs(k)).isNotNegative());
        assertThat(hollow.costs(hollow.keepOuts().get(0))).isGreaterThan(20);
    }

    /** A control that has no cavity stands in the hollow: no post is kept for it. */
    @Test
    void a_control_without_a_cavity_leaves_no_post() {
        TestBody body = new TestBody();
        assertThat(Hollow.of(body.build(), asked(14, 60, 6, 8)).keepOuts())
                .extracting(k -> k.feature().word())
                .contains("control-volume");
        body.cavities.clear();
        assertThat(Hollow.of(body.build(), asked(14, 60, 6, 8)).keepOuts())
                .extracting(k -> k.feature().word())
                .doesNotContain("control-volume", "controls");
    }

    /** Half the margin round the bridge lets the hollow nearer, and says what it gains; none of the others moves. */
    @Test
    void a_keep_out_is_moved_and_says_what_that_does() {
        Build build = new TestBody().build();
        Hollow usual = Hollow.of(build, asked(14, 0, 6, 8));
        KeepOut bridge = usual.keepOuts().get(0);
        Hollow moved = Hollow.of(build, usual.asked().keeping(bridge.feature(), bridge.margin() / 2));
        KeepOut nearer = moved.keepOuts().get(0);
        assertThat(nearer.margin()).isEqualTo(bridge.margin() / 2);
        assertThat(moved.gains(nearer)).isPositive().isCloseTo(moved.grams() - usual.grams(), within(1e-6));
        assertThat(moved.gains(moved.keepOuts().get(1))).isZero();
        assertThat(moved.usualMargin(nearer)).isEqualTo(bridge.margin());
        Hollow under = Hollow.of(build, usual.asked().keeping(bridge.feature(), -80));
        assertThat(under.grams())
                .as("nothing of it stays")
                .isCloseTo(usual.grams() + usual.costs(bridge), within(1e-6));
        assertThatThrownBy(() -> usual.asked().keeping(bridge.feature(), 300)).isInstanceOf(Refusal.class);
    }

    /** As many as come nearest to the mass, by whole holes; a scan over all numbers finds none that comes nearer. */
    @ParameterizedTest
    @ValueSource(doubles = {0.25, 0.5, 0.9})
    void so_many_holes_as_a_mass_wants(double share) {
        Build build = new TestBody().build();
        Hollow all = Hollow.of(build, new Hollow.Asked(14, 60, 6, 8, 12.7, Optional.of(25.0)));
        double wanted = all.grams() * share;
        Hollow some = all.byNumber(wanted).orElseThrow();
        double each = all.grams() / all.parts().size();
        double nearest = Double.POSITIVE_INFINITY;
        for (int n = 1; n <= all.parts().size(); n++) {
            nearest = Math.min(nearest, Math.abs(n * each - wanted));
        }
        assertThat(Math.abs(some.grams() - wanted)).isCloseTo(nearest, within(0.5));
        assertThat(all.parts()).containsAll(some.parts());
        assertThat(all.byNumber(all.grams() * 2)).isEmpty();
        assertThat(Hollow.of(build, asked(14, 60, 6, 8)).byNumber(wanted)).isEmpty();
    }

    @Test
    void the_trade_off_is_what_each_wall_gives() {
        Build build = new TestBody().build();
        Hollow hollow = Hollow.of(build, asked(14, 60, 6, 8));
        var curve = hollow.tradeOff(8, 6, 5);
        assertThat(curve).extracting(Hollow.Traded::wall).containsExactly(8.0, 14.0, 20.0, 26.0, 32.0);
        assertThat(curve.get(1).grams()).isCloseTo(hollow.grams(), within(1e-9));
        assertThat(curve).isSortedAccordingTo((a, b) -> Double.compare(b.grams(), a.grams()));
        assertThat(hollow.tradeOff(8, 6, 5)).isSameAs(curve);
    }

    /** The widest circle of a disc is the disc, of a ring as wide as the ring. */
    @Test
    void the_span_is_that_of_the_largest_circle_inside() {
        Region disc = Region.disc(new Point(3, 4), 50);
        assertThat(disc.widest()).isCloseTo(25, within(0.1));
        assertThat(disc.minus(Region.disc(new Point(3, 4), 20)).widest()).isCloseTo(7.5, within(0.1));
    }

    @Test
    void what_cannot_be_is_refused_where_it_was_asked() {
        Build build = new TestBody().build();
        assertThatThrownBy(() -> Hollow.of(build, asked(190, 0, 6, 8)))
                .isInstanceOfSatisfying(
                        Refusal.class, r -> assertThat(r.field()).isEqualTo("wall"));
        assertThatThrownBy(() -> Hollow.of(build, asked(14, 0, 40, 8)))
                .isInstanceOfSatisfying(
                        Refusal.class, r -> assertThat(r.field()).isEqualTo("cap"));
        assertThatThrownBy(() -> asked(14, 0, 0, 8)).isInstanceOf(Refusal.class);
    }

    /** An edge to come of twelve keeps the hollow twelve and the thinnest wall inside the outline, where the wall asked for is less. */
    @Test
    void an_edge_to_come_keeps_its_wood() {
        Build build = new TestBody().build();
        double least = build.shop().limits().thinnestWall();
        Region body = build.design().outline().region();
        Hollow.Asked asked = asked(8, 60, 6, 8);
        Hollow plain = Hollow.of(build, asked);
        Hollow edged = Hollow.of(build, asked.edged(12));
        assertThat(plain.parts()).anyMatch(p -> !body.grown(-11.9 - least).contains(p));
        assertThat(edged.parts()).allMatch(p -> body.grown(-11.9 - least).contains(p));
        assertThat(edged.keepOuts())
                .anyMatch(k -> k.feature().equals(Feature.OUTLINE) && k.why().contains("bound"));
        assertThat(Hollow.of(build, asked(30, 60, 6, 8).edged(12)).grams())
                .as("a wall that is wider than both keeps them anyhow")
                .isCloseTo(Hollow.of(build, asked(30, 60, 6, 8)).grams(), within(0.1));
    }

    /** A contour of the front takes of the wood over a hollow: from the front that is the cap, from the back what is left standing. */
    @Test
    void from_the_back_a_contour_of_the_front_takes_of_the_wood_that_stays() {
        TestBody body = new TestBody();
        body.contours.add(new Contour(
                "top", Face.FRONT, new Contour.Start.Round(40), 6, Profile.Shape.ROUND, OptionalDouble.empty()));
        Hollow.Asked asked = asked(8, 60, 5, 14);
        Build build = body.build();
        assertThat(Hollow.of(build, asked).keepOuts())
                .extracting(k -> k.feature().word())
                .contains("contour-top");
        assertThat(Hollow.of(build, asked.cutFrom(Face.BACK)).keepOuts())
                .as("six of fourteen leaves eight")
                .extracting(k -> k.feature().word())
                .doesNotContain("contour-top");
        assertThat(Hollow.of(build, asked(8, 60, 14, 5).cutFrom(Face.BACK)).keepOuts())
                .extracting(k -> k.feature().word())
                .contains("contour-top");
    }

    /** As many as any of the patterns holds when every place of every pattern is tried. */
    @ParameterizedTest
    @ValueSource(doubles = {16, 25.4, 40})
    void the_best_pattern_is_found_as_if_all_were_tried(double diameter) {
        Build build = new TestBody().build();
        for (Region room : List.of(
                Hollow.of(build, asked(14, 60, 6, 8)).parts().get(0),
                Region.rectangle(new Point(3, 5), 150, 97, 0, 0),
                Region.rectangle(new Point(0, 0), 4 * (diameter + 6) - 6, 2 * diameter + 7, 0, 0))) {
            Region middles = room.grown(-diameter / 2);
            int most = 0;
            for (double turn : new double[] {0, 90}) {
                for (int i = 0; i < 144; i++) {
                    double apart = diameter + 6;
                    most = Math.max(
                            most,
                            RoundHoles.rows(middles, apart, turn, apart * (i % 12) / 12, apart * (i / 12) / 12)
                                    .size());
                }
            }
            assertThat(RoundHoles.in(room, diameter, 6)).hasSize(most);
        }
    }

    /** The part that bends most is told whichever comes first, and no part is passed over that bends more than one before it. */
    @Test
    void the_cap_is_told_over_the_part_where_it_bends_most() {
        Build build = new TestBody().build();
        for (double centre : new double[] {0, 60, 100, 140}) {
            Hollow hollow = Hollow.of(build, asked(12, centre, 6, 8));
            double most = hollow.parts().stream()
                    .mapToDouble(p -> CapPlate.over(p, 6).deflection().value())
                    .max()
                    .orElseThrow();
            assertThat(hollow.cap().orElseThrow().deflection().value()).isEqualTo(most);
            assertThat(hollow.parts())
                    .allMatch(p -> CapPlate.atMost(p, 6)
                            >= CapPlate.over(p, 6).deflection().value());
        }
    }
}
