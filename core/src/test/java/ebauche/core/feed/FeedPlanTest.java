package ebauche.core.feed;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static org.assertj.core.api.Assertions.withinPercentage;

import ebauche.core.TestTimber;
import ebauche.core.crib.Aid;
import ebauche.core.crib.Drill;
import ebauche.core.crib.Router;
import ebauche.core.design.Blank;
import ebauche.core.design.BlankLayer;
import ebauche.core.design.Strip;
import ebauche.core.geometry.Face;
import ebauche.core.geometry.Outline;
import ebauche.core.geometry.Point;
import ebauche.core.geometry.Region;
import ebauche.core.passes.BaseSupport;
import ebauche.core.passes.Foot;
import ebauche.core.timber.Hardness;
import ebauche.core.timber.Rings;
import ebauche.core.timber.Side;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Two sets of bites, their order, short grain, layers that differ, remedies for a base that tips, relief cuts. */
class FeedPlanTest {
    private static final Outline DISC = Outline.parse(
            "M 150 0 A 150 150 0 0 1 0 150 A 150 150 0 0 1 -150 0 A 150 150 0 0 1 0 -150 A 150 150 0 0 1 150 0 Z", 1);

    /** A block with a finger of 24 mm to the treble side, its inside corners rounded by 12. */
    private static final Outline FINGERED = Outline.parse(
            "M -100 -150 L 100 -150 L 100 -24 A 12 12 0 0 0 112 -12 L 188 -12 A 12 12 0 0 1 188 12 L 112 12"
                    + " A 12 12 0 0 0 100 24 L 100 150 L -100 150 Z",
            1);

    private static FeedPlan plan(Outline outline, Grain... layers) {
        return FeedPlan.of(outline, List.of(layers));
    }

    @ParameterizedTest
    @EnumSource(Face.class)
    void bites_are_short_and_those_of_a_stretch_go_from_the_outermost_inward(Face up) {
        Point middle = FINGERED.region().centroid();
        List<FeedPlan.Bite> bites = plan(FINGERED, Grain.even(20)).bites(up);
        assertThat(bites).isNotEmpty();
        double last = Double.POSITIVE_INFINITY;
        for (int i = 0; i < bites.size(); i++) {
            FeedPlan.Bite bite = bites.get(i);
            assertThat(bite.number()).isEqualTo(i + 1);
            assertThat(bite.run().length()).isLessThan(64);
            boolean sameStretch = i > 0 && joined(bites.subList(0, i), bite);
            double out = FeedPlan.out(bite.run(), middle);
            if (sameStretch) {
                assertThat(out).isLessThanOrEqualTo(last + 1e-9);
            }
            last = out;
        }
    }

    /** A stretch is cut in as few bites of at most 60 mm as it takes; the stretch that reaches farthest out comes first, each begun anew. */
    @ParameterizedTest
    @EnumSource(Face.class)
    void stretches_are_cut_in_as_few_bites_as_it_takes_the_outermost_first(Face up) {
        FeedPlan plan = plan(FINGERED, Grain.even(20));
        Point middle = FINGERED.region().centroid();
        List<FeedPlan.Run> stretches = new ArrayList<>();
        List<FeedPlan.Bite> bites = plan.bites(up);
        for (int i = 0; i < bites.size(); ) {
            FeedPlan.Run whole = stretchOf(plan, up, bites.get(i).run());
            int count = (int) Math.ceil(whole.length() / 60);
            double sum = 0;
            for (int k = i; k < i + count; k++) {
                assertThat(whole.edges()).containsAll(bites.get(k).run().edges());
                sum += bites.get(k).run().length();
            }
            assertThat(sum).isCloseTo(whole.length(), within(1e-6));
            stretches.add(whole);
            i += count;
        }
        assertThat(stretches).hasSizeGreaterThan(1).doesNotHaveDuplicates();
        assertThat(stretches).allSatisfy(s -> {
            double before = s.edges().stream()
                    .takeWhile(e -> !e.middle().equals(s.middle()))
                    .mapToDouble(e -> e.length())
                    .sum();
            assertThat(before).as("where a stretch's name is written").isBetween(0.0, s.length() * 0.75);
        });
        assertThat(stretches)
                .isSortedAccordingTo((a, b) -> Double.compare(FeedPlan.out(b, middle), FeedPlan.out(a, middle)));
    }

    /** The stretch that a bite belongs to: its edges and all that are bitten before and after them without a gap. */
    private static FeedPlan.Run stretchOf(FeedPlan plan, Face up, FeedPlan.Run bite) {
        List<FeedMap.Edge> bitten =
                plan.bites(up).stream().flatMap(b -> b.run().edges().stream()).toList();
        return FeedPlan.runs(plan.map(up).edges(), bitten::contains).stream()
                .filter(r -> r.edges().containsAll(bite.edges()))
                .findFirst()
                .orElseThrow();
    }

    private static boolean joined(List<FeedPlan.Bite> before, FeedPlan.Bite bite) {
        Point start = bite.run().edges().get(0).from();
        Point end = bite.run().edges().get(bite.run().edges().size() - 1).to();
        FeedPlan.Run last = before.get(before.size() - 1).run();
        return last.edges().get(0).from().distance(end) < 1e-6
                || last.edges().get(last.edges().size() - 1).to().distance(start) < 1e-6;
    }

    /** Fibres along y under a finger that points along x are as long as the finger is wide: 24 mm, but for its round end. */
    @Test
    void a_finger_across_the_grain_is_short_grain_and_one_along_it_is_not() {
        FeedPlan across = plan(FINGERED, Grain.even(0));
        assertThat(across.tips()).isNotEmpty();
        assertThat(across.tips()).allMatch(t -> t.at().x() > 100);
        assertThat(across.tips().stream().mapToDouble(FeedPlan.Tip::fibre).min().orElseThrow())
                .isEqualTo(2 * Math.sqrt(12 * 12 - 4 * 4), within(1.0));
        assertThat(plan(FINGERED, Grain.even(90)).tips()).noneMatch(t -> t.at().x() > 105);
    }

    /** Two layers at right angles disagree at 45 degrees round a disc: there no face will do, and it says so. */
    @Test
    void layers_across_one_another_leave_stretches_for_small_bites() {
        FeedPlan crossed = plan(DISC, Grain.even(0), Grain.even(45));
        assertThat(crossed.left()).isNotEmpty();
        double bitten =
                crossed.bites().stream().mapToDouble(b -> b.run().length()).sum();
        double left = crossed.left().stream().mapToDouble(FeedPlan.Run::length).sum();
        assertThat(bitten + left).isEqualTo(2 * Math.PI * 150, within(0.3));
        assertThat(crossed.bites())
                .allMatch(b -> b.run().edges().stream().noneMatch(e -> e.band().against()));
        for (FeedPlan.Run run : crossed.left()) {
            for (FeedMap.Edge e : run.edges()) {
                double at = Math.toDegrees(Math.atan2(e.middle().y(), e.middle().x()));
                // Worked by hand, by half turns. Front up, layer 0 refuses 110 to 175 degrees and layer 45 refuses 65
                // to
                // 130; back up, 5 to 70 and 140 to 205.
                double half = (at + 360) % 180;
                assertThat((half > 64 && half < 71) || (half > 139 && half < 176))
                        .as("at %s", at)
                        .isTrue();
            }
        }
    }

    @Test
    void a_book_matched_layer_has_its_own_grain_on_each_side() {
        Strip left = new Strip(150, "", Side.A, true, Rings.FLAT, Optional.empty(), 0, -8, Optional.empty());
        Strip right = new Strip(150, "", Side.B, true, Rings.FLAT, Optional.empty(), 0, 8, Optional.empty());
        BlankLayer layer = new BlankLayer(TestTimber.ALDER, List.of(left, right), 40, List.of());
        Blank blank = new Blank(300, 450, 10, 0, layer, Optional.empty());
        Grain grain = Grain.of(blank, layer);
        assertThat(grain.at(new Point(9, 0))).isEqualTo(-8);
        assertThat(grain.at(new Point(11, 0))).isEqualTo(8);
        assertThat(grain.at(new Point(900, 0))).isEqualTo(8);
        assertThat(grain.at(new Point(-900, 0))).isEqualTo(-8);
    }

    /** On a finger of 24 mm a round base tips; a block beside it or a knob over the broad part do not let it. */
    @Test
    void remedies_steady_a_base_on_a_narrow_finger() {
        FeedMap map = FeedMap.of(FINGERED, List.of(Grain.even(0)), Face.FRONT);
        Region body = FINGERED.region();
        Foot plain = Foot.round(90);
        double plainLength = tipping(Steadying.along(map, body, 12.7, plain));
        assertThat(plainLength).isGreaterThan(10);
        Region blocked = body.union(BaseSupport.block(body, 12.7, 60));
        assertThat(tipping(Steadying.along(map, blocked, 12.7, plain))).isZero();
        assertThat(tipping(Steadying.along(map, body, 12.7, Foot.offset(90, 110))))
                .isLessThan(plainLength);
        // The block leaves room for the bit all round.
        assertThat(BaseSupport.block(body, 12.7, 60).overlaps(body.grown(12.7))).isFalse();
    }

    /** Each thing of the crib that carries a base is tried, what only leads a router is not, and the table bears the work itself. */
    @Test
    void a_shops_remedies_are_those_that_carry_a_base() {
        FeedMap map = FeedMap.of(FINGERED, List.of(Grain.even(0)), Face.FRONT);
        Region body = FINGERED.region();
        Router trimmer = Router.usual("trimmer", 90, 40);
        Router plunge = Router.usual("plunge", 160, 60);
        List<Aid> aids = List.of(
                new Aid("wide base", Aid.Kind.LARGE_BASE, 200),
                new Aid("knob base", Aid.Kind.OFFSET_BASE, 110),
                new Aid("block", Aid.Kind.SUPPORT_BLOCK, 60),
                new Aid("fence", Aid.Kind.EDGE_GUIDE, 150),
                new Aid("rail", Aid.Kind.STRAIGHTEDGE, 900));
        Steadying bare = Steadying.bare(map, body, 12.7, trimmer);
        List<Steadying> tried = Steadying.remedies(map, body, body, 12.7, trimmer, List.of(trimmer, plunge), aids);
        assertThat(tried)
                .extracting(Steadying::with)
                .containsExactly("trimmer, template off", "wide base", "knob base", "block", "plunge, template on");
        Steadying block = tried.get(3);
        assertThat(bare.length(BaseSupport.Footing.TIPS)).isPositive();
        assertThat(block.length(BaseSupport.Footing.TIPS)).isZero();
        for (Steadying one : tried) {
            double round = 0;
            for (BaseSupport.Footing footing : BaseSupport.Footing.values()) {
                round += one.length(footing);
            }
            assertThat(round).as(one.with()).isCloseTo(FINGERED.perimeter(), withinPercentage(8));
        }
        assertThat(new Steadying("table", List.of()).length(BaseSupport.Footing.TIPS))
                .isZero();
    }

    private static double tipping(List<Steadying.Place> places) {
        return places.stream()
                .filter(p -> p.support().footing() == BaseSupport.Footing.TIPS)
                .mapToDouble(p -> p.edge().length())
                .sum();
    }

    /** The saw's line in a round inside corner of 12, left 3 outside, turns by 9: no blade of 16 goes there, one of 8 does. */
    @ParameterizedTest
    @ValueSource(doubles = {8, 16})
    void relief_cuts_stand_where_the_blade_cannot_turn_and_stay_in_the_waste(double turns) {
        FeedMap map = FeedMap.of(FINGERED, List.of(Grain.even(0)), Face.FRONT);
        Region blank = Region.rectangle(new Point(40, 0), 340, 340, 0, 0);
        ReliefCuts relief = ReliefCuts.of(
                map, FINGERED.region(), blank, 3, turns, List.of(drill(10), drill(14), drill(25), drill(5)));
        if (turns < 9) {
            assertThat(relief.tight()).isEmpty();
            assertThat(relief.cuts()).isEmpty();
            return;
        }
        // Two inside corners, and the finger's round end of 12 + 3.
        assertThat(relief.tight()).hasSize(3);
        assertThat(relief.cuts()).hasSizeGreaterThanOrEqualTo(3);
        Region kept = FINGERED.region().grown(3);
        // Inside corners of 12, sawn 3 outside, take a drill of up to 18: the 14; the finger's outward end none.
        assertThat(relief.holes()).hasSize(2).allSatisfy(h -> {
            assertThat(h.drill().diameter()).isEqualTo(14);
            assertThat(kept.outside(h.at())).isBetween(6.5, 8.5);
        });
        List<Point> starts = new ArrayList<>();
        for (ReliefCuts.Cut cut : relief.cuts()) {
            for (double t = 0; t <= 1; t += 0.05) {
                assertThat(kept.contains(cut.from().towards(cut.to(), t))).isFalse();
            }
            assertThat(blank.contains(cut.from())).isFalse();
            assertThat(kept.outside(cut.to())).isBetween(0.5, 2.5);
            starts.add(cut.from());
        }
        assertThat(starts).doesNotHaveDuplicates();
    }

    private static Drill drill(double diameter) {
        return new Drill("Forstner " + diameter, Drill.Kind.FORSTNER, diameter, 2, 60);
    }

    /** Where a seam of hard and soft comes out at the edge the router stays away from it: common practice. */
    @Test
    void a_seam_of_hard_and_soft_is_left_to_the_drum() {
        FeedPlan even = FeedPlan.of(DISC, List.of(Grain.even(20)));
        FeedPlan plan = FeedPlan.of(DISC, new FeedPlan.Wood(List.of(Grain.even(20)), false, List.of(-60.0, 60.0)));
        assertThat(even.uneven()).isEmpty();
        assertThat(plan.uneven()).hasSize(4).allSatisfy(run -> {
            assertThat(Math.abs(run.middle().x())).isCloseTo(60, within(2.0));
            // Twelve across, as the circle is cut at a slope there.
            assertThat(run.length()).isCloseTo(12 / Math.sin(Math.acos(60.0 / 150)), within(6.5));
        });
        List<FeedMap.Edge> cut = new ArrayList<>();
        plan.bites().forEach(b -> cut.addAll(b.run().edges()));
        double left = plan.uneven().stream().mapToDouble(FeedPlan.Run::length).sum();
        assertThat(cut).noneMatch(e -> Math.abs(Math.abs(e.middle().x()) - 60) < 5);
        assertThat(cut.stream().mapToDouble(FeedMap.Edge::length).sum() + left)
                .isCloseTo(
                        even.bites().stream().mapToDouble(b -> b.run().length()).sum(), within(1e-6));
    }

    /** A timber that chips leaves more of its horns to the drum, and is cut in the bites of the next harder: common practice. */
    @Test
    void a_brittle_timber_is_held_shorter_and_cut_lighter() {
        assertThat(FeedPlan.of(FINGERED, new FeedPlan.Wood(List.of(Grain.even(35)), true, List.of())).tips().stream()
                        .mapToDouble(t -> t.run().length())
                        .sum())
                .isGreaterThanOrEqualTo(
                        FeedPlan.of(FINGERED, new FeedPlan.Wood(List.of(Grain.even(35)), false, List.of()))
                                .tips()
                                .stream()
                                .mapToDouble(t -> t.run().length())
                                .sum());
        assertThat(TestTimber.HEAT_TREATED_ASH.hardness()).isEqualTo(Hardness.MEDIUM);
        assertThat(TestTimber.HEAT_TREATED_ASH.cutAs()).isEqualTo(Hardness.HARD);
        assertThat(TestTimber.ALDER.cutAs()).isEqualTo(TestTimber.ALDER.hardness());
    }
}
