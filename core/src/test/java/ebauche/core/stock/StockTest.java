package ebauche.core.stock;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import ebauche.core.TestBody;
import ebauche.core.TestTimber;
import ebauche.core.feature.Feature;
import ebauche.core.geometry.Outline;
import ebauche.core.geometry.Point;
import ebauche.core.geometry.Region;
import ebauche.core.memo.Memo;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

@Tag("slow")
class StockTest {
    private static final Region SLAB = Region.rectangle(new Point(0, 0), 120, 160, 0, 0);

    private static Stock slab(double pitch) {
        return slab(pitch, 0);
    }

    private static Stock slab(double pitch, double aside) {
        Grid over = Grid.covering(-62, 62, -82, 82, pitch);
        return Stock.empty(new Grid(pitch, over.x0() + aside, over.y0(), over.columns(), over.rows()))
                .after(new Change.Add(
                        Feature.parse("blank"), Workpiece.BODY, Solid.Prism.between(SLAB, 0, 40), TestTimber.MATERIAL));
    }

    private static Change cut(Solid solid) {
        return Change.Remove.fromBody(Feature.parse("cut"), solid);
    }

    private static Solid random(Random r) {
        Point at = new Point(r.nextDouble() * 100 - 50, r.nextDouble() * 140 - 70);
        if (r.nextInt(4) == 0) {
            Point end = at.plus(r.nextDouble() * 60 - 30, 40);
            double depth = 5 + r.nextDouble() * 30;
            return new Bore(at, depth, end, r.nextBoolean() ? depth : r.nextDouble() * 50, 4 + r.nextDouble() * 12);
        }
        Region plan = r.nextBoolean()
                ? Region.disc(at, 5 + r.nextDouble() * 40)
                : Region.rectangle(at, 5 + r.nextDouble() * 50, 5 + r.nextDouble() * 50, 2, r.nextDouble() * 90);
        double top = r.nextInt(3) == 0 ? -1 : r.nextDouble() * 30;
        double bottom = r.nextInt(3) == 0 ? 41 : top + 2 + r.nextDouble() * 20;
        return r.nextInt(4) == 0
                ? new Solid.Prism(plan, Plane.at(top), new Plane(bottom, 0.01, 0.02))
                : Solid.Prism.between(plan, top, bottom);
    }

    /** The slow obvious version: is there wood at this point in space? */
    private static boolean wood(List<Solid> cuts, double x, double y, double z) {
        boolean solid = z > 0 && z < 40 && SLAB.contains(new Point(x, y));
        for (Solid cut : cuts) {
            if (cut instanceof Solid.Prism p) {
                solid &= !(p.plan().contains(new Point(x, y))
                        && z > p.top().depthAt(x, y)
                        && z < p.bottom().depthAt(x, y));
            } else {
                solid &= !RoundHole.holds((Bore) cut, x, y, z);
            }
        }
        return solid;
    }

    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3, 4, 5})
    void random_cuts_leave_what_a_point_by_point_search_finds(long seed) {
        Random r = new Random(seed);
        List<Solid> cuts = new ArrayList<>();
        Stock stock = slab(2);
        for (int i = 0; i < 12; i++) {
            Solid solid = random(r);
            cuts.add(solid);
            stock = stock.after(cut(solid));
        }
        Grid grid = stock.grid();
        for (int row = 0; row < grid.rows(); row += 2) {
            for (int column = 0; column < grid.columns(); column += 2) {
                double x = grid.x(column);
                double y = grid.y(row);
                double[] in = stock.intervals(column, row);
                for (double z = 0.313; z < 40; z += 1.71) {
                    boolean solid = false;
                    for (int i = 0; i < in.length; i += 2) {
                        solid |= z > in[i] && z < in[i + 1];
                    }
                    assertThat(solid)
                            .as("seed %s at %s, %s, depth %s", seed, x, y, z)
                            .isEqualTo(wood(cuts, x, y, z));
                }
            }
        }
    }

    /**
     * A cut among others moved, as by a hand that drags a cavity: what is remembered of the others is used again, and the wood is that
     * of a stock whose grid nobody asked before, so that nothing of it is remembered.
     */
    @ParameterizedTest
    @ValueSource(longs = {11, 12, 13, 14, 15, 16})
    void an_edited_stock_is_the_one_that_is_made_anew(long seed) {
        Memo.of(64L << 20).during(() -> {
            edited(seed);
            return null;
        });
    }

    private static void edited(long seed) {
        Random r = new Random(seed);
        List<Solid> cuts = new ArrayList<>();
        for (int i = 0; i < 10; i++) {
            cuts.add(random(r));
        }
        swept(slab(1), cuts);
        for (int edit = 0; edit < 5; edit++) {
            cuts.set(r.nextInt(cuts.size()), random(r));
            Stock again = swept(slab(1), cuts);
            Stock anew = swept(slab(1, (edit + 1 + 10 * seed) * 1e-11), cuts);
            for (int row = 0; row < again.grid().rows(); row++) {
                for (int column = 0; column < again.grid().columns(); column++) {
                    assertThat(again.intervals(column, row))
                            .as("seed %s, edit %s, cell %s, %s", seed, edit, column, row)
                            .containsExactly(anew.intervals(column, row), within(1e-3));
                }
            }
            assertThat(again.balance().grams()).isCloseTo(anew.balance().grams(), within(0.01));
        }
        swept(slab(1), cuts);
        assertThat(swept(slab(1), cuts).tilesUnlike(swept(slab(1), cuts)))
                .as("the very same tiles the second time")
                .isZero();
    }

    private static Stock swept(Stock slab, List<Solid> cuts) {
        return slab.after(cuts.stream().map(StockTest::cut).toList());
    }

    @Test
    void volume_converges_on_the_exact_area_times_depth_as_the_grid_gets_finer() {
        Outline outline = Outline.parse(new TestBody().outline, 1);
        double exact = outline.area() * 40 * TestTimber.MATERIAL.density() * 1e-6;
        double last = Double.POSITIVE_INFINITY;
        for (double pitch : new double[] {2, 1, 0.5, 0.25}) {
            Grid grid = Grid.covering(-170, 170, -160, 250, pitch);
            Stock stock = Stock.empty(grid)
                    .after(new Change.Add(
                            Feature.parse("b"),
                            Workpiece.BODY,
                            Solid.Prism.between(outline.region(), 0, 40),
                            TestTimber.MATERIAL));
            double error = Math.abs(stock.balance().grams() - exact) / exact;
            double bound = outline.perimeter() * pitch / 2 / outline.area();
            assertThat(error).as("pitch %s", pitch).isLessThan(bound);
            last = error;
        }
        assertThat(last).isLessThan(1e-4);
    }

    @Test
    void mass_and_balance_of_a_block_with_a_hole_are_those_of_its_closed_form() {
        Stock stock =
                slab(0.5).after(cut(Solid.Prism.between(Region.rectangle(new Point(30, 0), 40, 40, 0, 0), -1, 20)));
        double density = TestTimber.MATERIAL.density() * 1e-6;
        double whole = 120 * 160 * 40.0;
        double hole = 40 * 40 * 20.0;
        Stock.Balance balance = stock.balance();
        assertThat(balance.grams()).isEqualTo((whole - hole) * density, within(0.01));
        assertThat(balance.at().x()).isEqualTo(-hole * 30 / (whole - hole), within(1e-3));
        assertThat(balance.depth()).isEqualTo((whole * 20 - hole * 10) / (whole - hole), within(1e-3));
    }

    @Test
    void a_small_cut_copies_only_the_tiles_it_touches_and_leaves_the_old_stock_alone() {
        Stock before = slab(0.5);
        double grams = before.balance().grams();
        Stock after = before.after(cut(Solid.Prism.between(Region.disc(new Point(5, 5), 6), 0, 10)));
        assertThat(after.tilesUnlike(before)).isBetween(1, 4);
        assertThat(before.balance().grams()).isEqualTo(grams);
        assertThat(before.intervalsAt(5, 5)).containsExactly(0, 40);
        assertThat(after.intervalsAt(5, 5)).containsExactly(10, 40);
    }

    /** A dense top of 6 on a light slab, a channel bored through the slab and one across both: each wood loses its own share. */
    @Test
    void cuts_take_of_each_wood_what_is_theirs() {
        Material dense = new Material("dense", 800);
        Stock glued = Stock.empty(Grid.covering(-62, 62, -82, 82, 0.5))
                .after(new Change.Add(
                        Feature.parse("slab"), Workpiece.BODY, Solid.Prism.between(SLAB, 6, 40), TestTimber.MATERIAL))
                .after(new Change.Add(Feature.parse("top"), Workpiece.BODY, Solid.Prism.between(SLAB, 0, 6), dense));
        double light = TestTimber.MATERIAL.density() * 1e-6;
        double whole = 120 * 160 * (34 * light + 6 * 800e-6);
        assertThat(glued.balance().grams()).isCloseTo(whole, within(0.01));
        Region strip = Region.rectangle(new Point(0, 0), 120, 20, 0, 0);
        Stock slotted = glued.after(cut(Solid.Prism.between(strip, 15, 25)));
        assertThat(slotted.balance().grams()).isCloseTo(whole - 120 * 20 * 10 * light, within(0.01));
        Stock both = slotted.after(cut(Solid.Prism.between(strip, 2, 10)));
        assertThat(both.balance().grams())
                .isCloseTo(whole - 120 * 20 * (10 * light + 4 * light + 4 * 800e-6), within(0.01));
        assertThat(both.intervalsAt(0.2, 0.2)).containsExactly(0, 2, 10, 15, 25, 40);
    }

    /** What a base finds to stand on: the slab's area, less what a pocket, a shallow one too, takes of that face. */
    @Test
    void a_face_is_as_large_as_what_is_left_of_it() {
        Stock stock = slab(0.5)
                .after(cut(Solid.Prism.between(Region.rectangle(new Point(0, 0), 40, 30, 0, 0), 0, 3)))
                .after(cut(Solid.Prism.between(Region.rectangle(new Point(-40, 50), 10, 10, 0, 0), 20, 40)));
        assertThat(stock.flat(0, true)).isCloseTo(120 * 160 - 40 * 30, within(1e-6));
        assertThat(stock.flat(3, true)).isCloseTo(40 * 30, within(1e-6));
        assertThat(stock.flat(40, false)).isCloseTo(120 * 160 - 10 * 10, within(1e-6));
        assertThat(stock.flat(20, false)).isCloseTo(10 * 10, within(1e-6));
    }

    /** A place and its cell; beyond the grid, the outermost. */
    @Test
    void a_place_lies_in_the_cell_whose_middle_is_nearest() {
        Grid grid = Grid.covering(-62, 62, -82, 82, 0.5);
        assertThat(grid.y(grid.rowAt(-81.9))).isCloseTo(-81.75, within(1e-9));
        assertThat(grid.y(grid.rowAt(17.3))).isCloseTo(17.25, within(1e-9));
        assertThat(grid.x(grid.columnAt(17.3))).isCloseTo(17.25, within(1e-9));
        assertThat(grid.rowAt(500)).isEqualTo(grid.rows() - 1);
        assertThat(grid.rowAt(-500)).isZero();
    }

    @Test
    void a_bore_reaches_its_radius_over_and_under_its_axis() {
        Solid bore = Bore.level(new Point(-70, 0), new Point(70, 0), 20, 8);
        assertThat(new double[] {bore.shallowest(), bore.deepest()}).containsExactly(16, 24);
        assertThat(new double[] {bore.shallowest(SLAB), bore.deepest(SLAB)}).containsExactly(16, 24);
    }

    /** A slope is asked only over what it covers of an area: 0.01 a mm along x, from -20 to 20. */
    @Test
    void a_sloping_floor_reaches_as_deep_as_it_does_within_its_own_plan() {
        Region plan = Region.rectangle(new Point(0, 0), 40, 20, 0, 0);
        Solid pocket = new Solid.Prism(plan, Plane.at(0), new Plane(20, 0.01, 0));
        assertThat(pocket.deepest(SLAB)).isCloseTo(20.2, within(1e-9));
        assertThat(pocket.deepest(Region.rectangle(new Point(-15, 0), 10, 10, 0, 0)))
                .isCloseTo(19.9, within(1e-9));
        Solid under = new Solid.Prism(plan, new Plane(20, 0.01, 0), Plane.at(40));
        assertThat(under.shallowest(SLAB)).isCloseTo(19.8, within(1e-9));
        assertThat(Gap.least(new Plane(5, 0.02, 0), new Plane(20, 0.01, 0), plan)
                        .thickness())
                .as("two slopes come nearest at x = 20")
                .isCloseTo(20.2 - 5.4, within(1e-9));
    }

    @Test
    void a_wood_without_weight_is_refused() {
        assertThatThrownBy(() -> new Material("balloon", 0.5)).hasMessageContaining("between");
    }

    @Test
    void a_channel_through_the_middle_leaves_wood_over_and_under_it() {
        Stock stock = slab(0.5).after(cut(Bore.level(new Point(-70, 0.25), new Point(70, 0.25), 20, 8)));
        double[] in = stock.intervalsAt(0.2, 0.25);
        assertThat(in).hasSize(4);
        assertThat(in[1]).isEqualTo(16, within(0.01));
        assertThat(in[2]).isEqualTo(24, within(0.01));
    }
}
