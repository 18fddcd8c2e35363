package ebauche.core.passes;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import ebauche.core.crib.Bit;
import ebauche.core.crib.Crib;
import ebauche.core.crib.Router;
import ebauche.core.measure.Gauge;
import ebauche.core.measure.Refusal;
import ebauche.core.measure.Rounding;
import ebauche.core.passes.Pass.Guide;
import ebauche.core.shop.Shop;
import ebauche.core.timber.Hardness;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Random;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;

/** The pass planner against the worked cases, a plain search over every depth, and the rules of each pass. */
@Tag("slow")
class PassPlannerOutsideTest {
    /** So many times the usual number of cases: {@code ./ebauche test --long} takes ten. */
    private static final int TIMES = Integer.getInteger("ebauche.times", 1);

    private static final Crib STARTER = Shop.starter(1).crib();

    private static GuidedCut pocket(double depth, OptionalDouble engaged) {
        return new GuidedCut(depth, 45, 6.35, engaged, 0.8, 6.35, Hardness.MEDIUM, 10);
    }

    private static Crib only(Crib crib, Bit... bits) {
        return new Crib(crib.routers(), List.of(bits), crib.drills(), crib.templates(), crib.spacers());
    }

    /** A 16 mm pickup cavity on a quarter inch template: the inch bit cannot begin, the half inch bit goes on without it. */
    @Test
    void a_pickup_cavity_of_16_on_a_quarter_inch_template() {
        PassPlan plan =
                PassPlanner.best(pocket(16, OptionalDouble.of(2)), STARTER).orElseThrow();
        assertThat(PassRules.broken(pocket(16, OptionalDouble.of(2)), plan)).isEmpty();
        Bit inch = Bit.usual("inch", Bit.Bearing.AT_SHANK, 12.7, 25.4, 12.7);
        Bit half = Bit.usual("half", Bit.Bearing.AT_SHANK, 12.7, 12.7, 12.7);
        GuidedCut cut = pocket(16, OptionalDouble.of(2));
        Crib noSpacers = new Crib(STARTER.routers(), List.of(inch), STARTER.drills(), List.of(6.35), List.of());
        assertThat(PassPlanner.best(cut, noSpacers)).isEmpty();
        PassPlan short12 = PassPlanner.best(
                        cut, new Crib(STARTER.routers(), List.of(half), STARTER.drills(), List.of(6.35), List.of()))
                .orElseThrow();
        assertThat(short12.passes().get(0).guide()).isEqualTo(Guide.TEMPLATE);
        assertThat(short12.passes().get(0).to()).isBetween(8.35, 12.7);
        Pass last = short12.passes().get(short12.passes().size() - 1);
        assertThat(last.guide()).isEqualTo(Guide.WALL);
        assertThat(last.to()).isEqualTo(16, within(1e-9));
        assertThat(last.bite()).isLessThanOrEqualTo(0.8 + 1e-9);
        assertThat(short12.setUps()).isEqualTo(1);
    }

    /** Three bits that each do alone, and one that cannot be done without: the next two are found past both of the first. */
    @Test
    void the_next_two_leave_out_what_was_left_out_before() {
        Bit flush = Bit.usual("flush", Bit.Bearing.AT_TIP, 12.7, 38.1, 12.7);
        Bit[] ways = {
            Bit.usual("half", Bit.Bearing.AT_SHANK, 12.7, 25.4, 12.7),
            Bit.usual("three eighths", Bit.Bearing.AT_SHANK, 9.525, 25.4, 12.7),
            Bit.usual("quarter", Bit.Bearing.AT_SHANK, 6.35, 12.7, 12.7)
        };
        GuidedCut through = new GuidedCut(45, 45, 10, OptionalDouble.of(4), 0, 6.35, Hardness.SOFT, 20).flip();
        List<PassPlan> plans = PassPlanner.plans(through, only(STARTER, ways[0], ways[1], ways[2], flush));
        assertThat(plans).hasSize(3);
        assertThat(plans).extracting(PassPlan::bits).doesNotHaveDuplicates().allMatch(b -> b.contains("flush"));
        assertThat(plans).isSortedAccordingTo(Comparator.comparingInt(PassPlan::cost));
    }

    /** A cover's recess of 2.5: only with a spacer under the template does a half inch bit come so high. */
    @Test
    void a_shallow_recess_wants_a_spacer() {
        Bit half = Bit.usual("half", Bit.Bearing.AT_SHANK, 12.7, 12.7, 6.35);
        GuidedCut recess = new GuidedCut(2.5, 45, 6.35, OptionalDouble.empty(), 0, 6.35, Hardness.MEDIUM, 10);
        PassPlan plan = PassPlanner.best(recess, only(STARTER, half)).orElseThrow();
        assertThat(plan.passes())
                .singleElement()
                // By hand: L - t - s + c <= d, so s >= 12.7 + 2 - 6.35 - 2.5 = 5.85: the thinner of 6.35 and 12.7 will
                // do.
                .satisfies(p -> assertThat(p.spacer()).isEqualTo(6.35));
        Crib without = new Crib(STARTER.routers(), List.of(half), STARTER.drills(), List.of(6.35), List.of());
        Shortage shortage = Shortage.of(recess, without);
        assertThat(shortage.cornerTooTight()).isFalse();
        // By hand: L - t + c <= d, so t >= 12.7 + 2 - 2.5 = 12.2.
        assertThat(shortage.template().orElseThrow()).isEqualTo(12.2, within(1e-9));
        // The shortest usual cutter with L - 6.35 + 2 <= 2.5 is the quarter inch.
        assertThat(shortage.bit().orElseThrow().cutterLength()).isEqualTo(6.35, within(1e-9));
    }

    @Test
    void a_missing_bit_is_named_and_a_plan_exists_with_it() {
        Bit inch = Bit.usual("inch", Bit.Bearing.AT_SHANK, 12.7, 25.4, 12.7);
        Crib crib = new Crib(STARTER.routers(), List.of(inch), STARTER.drills(), List.of(6.35), List.of());
        GuidedCut cut = pocket(16, OptionalDouble.of(2));
        Shortage shortage = Shortage.of(cut, crib);
        Bit missing = shortage.bit().orElseThrow();
        assertThat(missing.cutterLength()).isLessThan(25.4);
        assertThat(PassPlanner.best(cut, crib.with(missing))).isPresent();
        assertThat(PassPlanner.best(cut.on(shortage.template().orElseThrow()), crib))
                .isPresent();
        GuidedCut tight = new GuidedCut(16, 45, 2, OptionalDouble.of(2), 0.8, 6.35, Hardness.MEDIUM, 10);
        assertThat(Shortage.of(tight, crib).cornerTooTight()).isTrue();
    }

    /** The outline: from the front with the longest pattern bit, then flipped, a tip bearing takes the rest in one pass. */
    @Test
    void an_outline_is_finished_from_the_other_face() {
        GuidedCut outline = new GuidedCut(45, 45, 12, OptionalDouble.of(4), 0, 6.35, Hardness.MEDIUM, 20);
        // With a longer pattern bit it would go through from the front, the template off.
        assertThat(PassPlanner.best(outline, STARTER).orElseThrow().setUps()).isEqualTo(1);
        Bit small = Bit.usual("short", Bit.Bearing.AT_SHANK, 12.7, 12.7, 6.35);
        Bit flush = Bit.usual("flush", Bit.Bearing.AT_TIP, 12.7, 38.1, 12.7);
        PassPlan plan = PassPlanner.best(outline, only(STARTER, small, flush)).orElseThrow();
        assertThat(PassRules.broken(outline, plan)).isEmpty();
        assertThat(plan.setUps()).isGreaterThanOrEqualTo(2);
        Pass last = plan.passes().get(plan.passes().size() - 1);
        assertThat(last.guide()).isEqualTo(Guide.FAR_WALL);
        assertThat(last.cutter().bit().bearing().atTip()).isTrue();
        addsUpAsShown(plan);
        assertThat(last.crossSection())
                .as("what stands, the 4 mm that the saw left")
                .isCloseTo(4 * last.bite(), within(1e-9));
    }

    /** One bit does the whole recess in one pass, whichever it is: the narrower takes less wood at once, and is no dearer. */
    @Test
    void of_plans_that_cost_alike_the_lighter_is_taken() {
        GuidedCut slot = new GuidedCut(8, 45, 12, OptionalDouble.empty(), 0, 6.35, Hardness.SOFT, 10);
        Bit wide = Bit.usual("wide", Bit.Bearing.AT_SHANK, 12.7, 12.7, 12.7);
        Bit narrow = Bit.usual("narrow", Bit.Bearing.AT_SHANK, 9.525, 12.7, 12.7);
        for (Crib crib : List.of(only(STARTER, wide, narrow), only(STARTER, narrow, wide))) {
            Pass pass = PassPlanner.best(slot, crib).orElseThrow().passes().get(0);
            assertThat(pass.cutter().bit().name()).isEqualTo("narrow");
        }
    }

    @Test
    void a_cut_that_meets_no_wood_is_refused() {
        assertThatThrownBy(() -> new GuidedCut(8, 45, 12, OptionalDouble.of(0), 0, 6.35, Hardness.SOFT, 10))
                .isInstanceOf(Refusal.class)
                .hasMessageContaining("more than");
    }

    @Test
    void alternatives_use_other_bits_and_cost_no_less() {
        List<PassPlan> plans = PassPlanner.plans(pocket(20, OptionalDouble.of(2)), STARTER);
        assertThat(plans).hasSizeGreaterThan(1);
        assertThat(plans).isSortedAccordingTo((a, b) -> Integer.compare(a.cost(), b.cost()));
        assertThat(plans.stream().map(PassPlan::bits)).doesNotHaveDuplicates();
        plans.forEach(p -> assertThat(PassRules.broken(pocket(20, OptionalDouble.of(2)), p))
                .isEmpty());
    }

    private static double shown(double depth) {
        return Gauge.settable(depth, Rounding.LESS);
    }

    /** What each pass takes, as a gauge shows it, is what lies between the depths shown beside it. */
    private static void addsUpAsShown(PassPlan plan) {
        for (Pass pass : plan.passes()) {
            assertThat(shown(pass.to()) - shown(pass.from()))
                    .as("%s", plan.passes())
                    .isCloseTo(shown(pass.bite()), within(1e-6));
        }
    }

    /** Depths as they come out of a neck's geometry, with all their decimals: no plan is lost to rounding, and it can be set. */
    @Test
    void depths_with_many_decimals_are_planned_like_round_ones() {
        Random random = new Random(9);
        for (int i = 0; i < 60 * TIMES; i++) {
            double round = 7 + random.nextInt(120) * GRID;
            GuidedCut near = pocket(round + 0.1, OptionalDouble.of(2));
            GuidedCut exact = pocket(round + 0.1 + random.nextDouble() * 1e-3, OptionalDouble.of(2));
            assertThat(PassPlanner.best(exact, STARTER).map(PassPlan::cost))
                    .as("depth %s", exact.depth())
                    .isEqualTo(PassPlanner.best(near, STARTER).map(PassPlan::cost));
            List<PassPlan> plans = PassPlanner.plans(exact, STARTER);
            assertThat(plans).extracting(PassPlan::bits).doesNotHaveDuplicates();
            plans.forEach(p -> assertThat(PassRules.broken(exact, p)).isEmpty());
            plans.stream().limit(1).forEach(PassPlannerOutsideTest::addsUpAsShown);
        }
        assertThat(PassPlanner.best(pocket(23.55779806094372, OptionalDouble.of(2)), STARTER))
                .isPresent();
    }

    private static Cutter cutter(double diameter, double shank, int router) {
        Bit bit = Bit.usual("b", Bit.Bearing.AT_SHANK, diameter, 50, shank);
        return new Cutter(bit, STARTER.routers().get(router));
    }

    /** C2's worked bites; common practice. */
    @Test
    void a_bit_bites_no_deeper_than_it_bears() {
        Cutter half = cutter(12.7, 12.7, 1);
        assertThat(half.byBit(Hardness.HARD, 12.7)).as("slot, hard").isEqualTo(6.35, within(1e-9));
        assertThat(half.byBit(Hardness.HARD, 4)).as("4 met, hard").isEqualTo(20.16, within(0.01));
        assertThat(half.byBit(Hardness.HARD, 2)).as("2 met, hard").isEqualTo(38.1, within(1e-9));
        Cutter quarter = cutter(6.35, 6.35, 1);
        assertThat(quarter.bite(Hardness.SOFT, 6.35, 20)).as("stands out 20").isEqualTo(6.35, within(1e-9));
        assertThat(quarter.bite(Hardness.SOFT, 6.35, 34)).as("stands out 34").isEqualTo(4.67, within(0.005));
        // A quarter-inch shank bears two diameters at most, a half-inch one three.
        assertThat(quarter.byBit(Hardness.SOFT, 1)).isEqualTo(12.7, within(1e-9));
        assertThat(cutter(6.35, 12.7, 1).byBit(Hardness.SOFT, 1)).isEqualTo(19.05, within(1e-9));
        Router table = new Router(
                "t", Router.Kind.TABLE, Router.Power.STRONG, 600, 300, 60, List.of(12.7, 6.35), 8, 8000, 24000);
        assertThat(new Cutter(half.bit(), table).slot(Hardness.HARD))
                .as("on a table")
                .isEqualTo(12.7, within(1e-9));
        assertThat(new Cutter(quarter.bit(), table).slot(Hardness.HARD)).isEqualTo(3.175, within(1e-9));
    }

    /** A pocket in hard wood goes down in slots of half a diameter at most, and never deeper than the shop takes. */
    @Test
    void a_quarter_inch_bit_takes_no_full_slot_of_15_9() {
        Bit quarter = Bit.usual("quarter", Bit.Bearing.AT_SHANK, 6.35, 15.875, 6.35);
        for (Hardness hardness : Hardness.values()) {
            GuidedCut cut = new GuidedCut(15.9, 45, 3.2, OptionalDouble.empty(), 0, 6.35, hardness, 10);
            Crib crib = new Crib(STARTER.routers(), List.of(quarter), List.of(), List.of(6.35), List.of(6.35, 12.7));
            PassPlanner.best(cut, crib).ifPresent(plan -> {
                assertThat(PassRules.broken(cut, plan)).isEmpty();
                assertThat(plan.passes()).allMatch(p -> p.bite() <= 6.36);
                assertThat(plan.passes()).hasSizeGreaterThanOrEqualTo(3);
            });
            Shortage shortage = Shortage.of(cut, crib);
            assertThat(PassPlanner.best(cut, crib).isPresent() || shortage.bit().isPresent())
                    .isTrue();
        }
    }

    /** What is cut already is not cut again: the plan goes on from there, on the template or with it off. */
    @Test
    void a_cut_goes_on_from_where_it_was_left() {
        GuidedCut cut = pocket(20, OptionalDouble.empty());
        for (double begun : new double[] {3, 9.4, 12.7, 19.2, 19.7}) {
            for (boolean off : new boolean[] {false, true}) {
                Optional<PassPlan> plan = PassPlanner.best(cut.from(begun, off), STARTER);
                if (plan.isEmpty()) {
                    assertThat(off && begun < 3.01).as("no plan from " + begun).isTrue();
                    continue;
                }
                List<Pass> passes = plan.get().passes();
                assertThat(passes.get(0).from()).isEqualTo(begun, within(1e-9));
                assertThat(passes.get(passes.size() - 1).to()).isEqualTo(20, within(1e-9));
                double done = begun;
                for (Pass p : passes) {
                    assertThat(PassRules.broken(cut, p, done)).isEmpty();
                    assertThat(off && p.guide() == Guide.TEMPLATE).isFalse();
                    done = p.to();
                }
            }
        }
        assertThat(PassPlanner.best(cut.from(20, true), STARTER).orElseThrow().passes())
                .isEmpty();
    }

    /** Two bites of 7.5, not one of 10 and one of 5; on a thinner template the bit cannot begin so shallow. */
    @Test
    void passes_of_one_run_are_evened_out() {
        GuidedCut cut = new GuidedCut(15, 45, 6.35, OptionalDouble.empty(), 0, 12.7, Hardness.SOFT, 10);
        Bit half = Bit.usual("half", Bit.Bearing.AT_SHANK, 12.7, 12.7, 12.7);
        Crib crib = new Crib(STARTER.routers().subList(1, 2), List.of(half), List.of(), List.of(12.7), List.of());
        assertThat(depths(PassPlanner.best(cut, crib).orElseThrow())).isEqualTo("7.50 15.00");
        // L - t + c = 12.7 - 6.35 + 2
        assertThat(depths(PassPlanner.best(cut.on(6.35), crib).orElseThrow())).isEqualTo("8.35 15.00");
    }

    private static String depths(PassPlan plan) {
        return plan.passes().stream()
                .map(p -> String.format(Locale.ROOT, "%.2f", p.to()))
                .collect(Collectors.joining(" "));
    }

    /** Sizes lie on a grid of a quarter millimetre, so that the plain search below can try every depth there is. */
    private static final double GRID = 0.25;

    private record Case(GuidedCut cut, Crib crib) {}

    private static double grid(Random random, double least, double most) {
        return least + GRID * random.nextInt((int) Math.round((most - least) / GRID) + 1);
    }

    private static Case random(long seed) {
        Random random = new Random(seed);
        List<Bit> bits = new ArrayList<>();
        for (int i = random.nextInt(4) + 1; i > 0; i--) {
            double length = grid(random, 5, 30);
            double shank = random.nextBoolean() ? 12.7 : 6.35;
            Bit.Bearing bearing = Bit.Bearing.values()[1 + random.nextInt(4)];
            double diameter = bearing.turns() ? 8 + random.nextInt(2) * 4 : shank;
            double width = bearing.turns() ? grid(random, 2.5, 6) : 0;
            bits.add(new Bit(
                    "bit " + i,
                    Bit.Profile.STRAIGHT,
                    bearing,
                    diameter,
                    length,
                    length + width + 25 + grid(random, 0, 20),
                    shank,
                    bearing.turns() ? diameter : 0,
                    width,
                    2,
                    Bit.Spiral.NONE,
                    true,
                    0,
                    Bit.Edge.SHARP,
                    true,
                    ""));
        }
        List<Router> routers = random.nextBoolean()
                ? STARTER.routers()
                : List.of(STARTER.routers().get(random.nextInt(2)));
        List<Double> spacers = random.nextBoolean() ? List.of() : List.of(grid(random, 3, 12));
        boolean through = random.nextInt(3) == 0;
        double work = grid(random, 20, 40);
        double depth = through ? work : grid(random, 2, work - 3);
        // So that the widest bite of each machine is a whole number of steps too.
        double engaged = random.nextBoolean() ? 2 : 4;
        GuidedCut cut = new GuidedCut(
                depth,
                work,
                random.nextInt(4) == 0 ? 4 : 6,
                OptionalDouble.of(engaged),
                random.nextBoolean() ? 0 : 0.75,
                grid(random, 3, 12),
                Hardness.values()[random.nextInt(3)],
                random.nextBoolean() ? 10 : 20);
        return new Case(cut, new Crib(routers, bits, List.of(), List.of(6.0), spacers));
    }

    /** The cheapest of all plans whose passes end on the grid: every depth, every cutter, every guide, no bounds. */
    private static OptionalDouble plainSearch(Case c) {
        List<Cutter> cutters = new ArrayList<>();
        c.crib().bits().forEach(b -> c.crib().routers().forEach(r -> cutters.add(new Cutter(b, r))));
        int levels = (int) Math.round(c.cut().depth() / GRID);
        int guides = c.crib().spacers().size() + 2; // with spacer, alone, off
        int n = cutters.size();
        double[][][] cost = new double[levels + 1][n + 1][guides];
        Arrays.stream(cost).forEach(a -> Arrays.stream(a).forEach(b -> Arrays.fill(b, 1e9)));
        for (int g = 0; g < guides - 1; g++) {
            cost[0][n][g] = 0;
        }
        for (int u = 0; u < levels; u++) {
            for (int last = 0; last <= n; last++) {
                for (int g = 0; g < guides; g++) {
                    if (cost[u][last][g] < 1e9) {
                        spread(c, cutters, cost, u, last, g);
                    }
                }
            }
        }
        double best = Arrays.stream(cost[levels])
                .flatMapToDouble(Arrays::stream)
                .min()
                .orElseThrow();
        return best < 1e9 ? OptionalDouble.of(best) : OptionalDouble.empty();
    }

    private static void spread(Case c, List<Cutter> cutters, double[][][] cost, int u, int last, int g) {
        int guides = cost[0][0].length;
        for (int k = 0; k < cutters.size(); k++) {
            double bit = k == last ? 0 : PassPlan.A_BIT;
            for (int then = g; then < guides; then++) {
                boolean off = then == guides - 1;
                double spacer = then < guides - 2 ? c.crib().spacers().get(then) : 0;
                for (int to = u + 1; to < cost.length; to++) {
                    double depth = to * GRID;
                    double projection = off ? depth : depth + spacer + c.cut().template();
                    Pass pass = new Pass(
                            cutters.get(k), off ? Guide.WALL : Guide.TEMPLATE, spacer, u * GRID, depth, projection, 0);
                    if (PassRules.broken(c.cut(), pass, u * GRID).isEmpty()) {
                        double all = cost[u][last][g]
                                + bit
                                + PassPlan.A_PASS
                                + (then > g ? PassPlan.A_SET_UP : 0)
                                + (pass.isRidden() ? PassPlan.RIDDEN : 0);
                        cost[to][k][then] = Math.min(cost[to][k][then], all);
                    }
                }
            }
            for (double end = GRID; end <= c.cut().work(); end += GRID) {
                Pass pass = new Pass(cutters.get(k), Guide.FAR_WALL, 0, 0, end, end, 0);
                if (PassRules.broken(c.cut(), pass, u * GRID).isEmpty()) {
                    double all =
                            cost[u][last][g] + bit + PassPlan.A_PASS + PassPlan.A_SET_UP * (g == guides - 1 ? 1 : 2);
                    int there = cost.length - 1;
                    cost[there][k][guides - 1] = Math.min(cost[there][k][guides - 1], all);
                }
            }
        }
    }

    /** A hundred small cribs: the same cost as the plain search, or no plan where it finds none; and every rule kept. */
    @Test
    void the_plan_is_the_cheapest_there_is_and_keeps_every_rule() {
        int plans = 0;
        int none = 0;
        for (long seed = 1; seed <= 100 * TIMES; seed++) {
            Case c = random(seed);
            Optional<PassPlan> plan = PassPlanner.best(c.cut(), c.crib());
            OptionalDouble plain = plainSearch(c);
            assertThat(plan.isPresent()).as("a plan, seed %s", seed).isEqualTo(plain.isPresent());
            if (plan.isPresent()) {
                assertThat(PassRules.broken(c.cut(), plan.get()))
                        .as("seed %s", seed)
                        .isEmpty();
                assertThat((double) plan.get().cost()).as("seed %s", seed).isEqualTo(plain.getAsDouble());
                assertThat(PassPlanner.plans(c.cut(), c.crib()))
                        .extracting(PassPlan::bits)
                        .as("each with other bits, seed %s", seed)
                        .doesNotHaveDuplicates();
                plans++;
            } else {
                none++;
            }
        }
        assertThat(plans).isGreaterThan(33 * TIMES);
        assertThat(none).isGreaterThan(16 * TIMES);
    }
}
