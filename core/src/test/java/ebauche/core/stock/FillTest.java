package ebauche.core.stock;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import ebauche.core.TestBody;
import ebauche.core.TestTimber;
import ebauche.core.feature.Feature;
import ebauche.core.feature.StepKey;
import ebauche.core.geometry.Face;
import ebauche.core.geometry.Point;
import ebauche.core.geometry.Region;
import ebauche.core.logbook.AsBuilt;
import ebauche.core.plan.BuildPlan;
import java.util.List;
import java.util.Map;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Wood put back into a body: plugs, shims and caps, for the wood that is told and the wood that is weighed. */
class FillTest {
    private static final Feature PIT = Feature.parse("pit");
    private static final Region AREA = Region.rectangle(new Point(0, 0), 40, 30, 0, 0);
    private static final Solid.Prism POCKET = Solid.Prism.between(AREA, 0, 20);

    private static WoodLeft with(Solid hole, Solid fill) {
        WoodLeft wood = new WoodLeft(
                Region.rectangle(new Point(0, 0), 200, 100, 0, 0),
                FaceShape.flat(Face.FRONT, 0),
                FaceShape.flat(Face.BACK, 45),
                (a, b) -> false);
        wood.add(PIT, Face.FRONT, hole);
        wood.fill(fill);
        return wood;
    }

    private static double least(WoodLeft wood, Feature to) {
        return wood.thinnest().stream()
                .filter(t -> t.neighbour().equals(to))
                .findFirst()
                .orElseThrow()
                .thickness();
    }

    /** A shim of 3 under a neck leaves 28 where 25 was; a cap of 5 over a pocket buries it, with 5 over it and 25 under it. */
    @Test
    void a_shim_thickens_the_floor_and_a_cap_buries_the_pocket() {
        WoodLeft shimmed = with(POCKET, Solid.Prism.between(AREA, 17, 20));
        assertThat(least(shimmed, Feature.BACK)).isCloseTo(28, within(1e-9));
        assertThat(shimmed.thinnest()).noneMatch(t -> t.neighbour().equals(Feature.FRONT));
        WoodLeft capped = with(POCKET, Solid.Prism.between(AREA.grown(20), 0, 5));
        assertThat(least(capped, Feature.FRONT)).isCloseTo(5, within(1e-9));
        assertThat(least(capped, Feature.BACK)).isCloseTo(25, within(1e-9));
    }

    /** A plug takes the pocket away; half a plug leaves the other half, its wall 25 nearer the edge no more. */
    @Test
    void a_plug_takes_the_pocket_away() {
        assertThat(with(POCKET, Solid.Prism.between(AREA.grown(1), -1, 21)).thinnest())
                .isEmpty();
        WoodLeft half = with(POCKET, Solid.Prism.between(Region.rectangle(new Point(-10, 0), 20, 30, 0, 0), 0, 20));
        assertThat(least(half, Feature.EDGE)).isCloseTo(35, within(1e-9));
        assertThat(half.thinnest().get(0).at().x()).isBetween(-1e-9, 20 + 1e-9);
    }

    /** What is cut after the plug is cut into it. */
    @Test
    void a_pocket_that_is_cut_again_is_there_again() {
        WoodLeft wood = with(POCKET, Solid.Prism.between(AREA, 0, 20));
        wood.add(PIT, Face.FRONT, Solid.Prism.between(AREA, 0, 12));
        assertThat(least(wood, Feature.BACK)).isCloseTo(33, within(1e-9));
    }

    /** Place by place, a hole less its fill is what is left of it. */
    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3, 4, 5, 6})
    void what_is_left_is_the_hole_less_the_fill(long seed) {
        Random random = new Random(seed);
        Solid hole = prism(random);
        List<Solid> left = Fill.without(List.of(hole), prism(random));
        left = Fill.without(left, random.nextBoolean() ? prism(random) : hole);
        List<Solid> again = Fill.without(Fill.without(List.of(hole), prism(new Random(seed + 99))), hole);
        assertThat(again).as("filled with itself").isEmpty();
        Random same = new Random(seed);
        prism(same);
        Solid first = prism(same);
        Solid second = same.nextBoolean() ? prism(same) : hole;
        for (int i = 0; i < 2000; i++) {
            double x = random.nextDouble() * 60 - 30;
            double y = random.nextDouble() * 60 - 30;
            double z = random.nextDouble() * 45;
            boolean open = in(hole, x, y, z) && !in(first, x, y, z) && !in(second, x, y, z);
            assertThat(left.stream().anyMatch(s -> in(s, x, y, z)))
                    .as("%s, %s, %s", x, y, z)
                    .isEqualTo(open);
        }
    }

    private static Solid prism(Random random) {
        Point at = new Point(random.nextDouble() * 20 - 10, random.nextDouble() * 20 - 10);
        Region plan = Region.rectangle(at, 10 + random.nextInt(30), 10 + random.nextInt(30), 0, random.nextInt(90));
        double top = random.nextInt(20);
        return Solid.Prism.between(plan, top, top + 4 + random.nextInt(20));
    }

    private static boolean in(Solid solid, double x, double y, double z) {
        return solid.plan().contains(new Point(x, y)) && z > solid.shallowest() && z < solid.deepest();
    }

    /** A dowel on the axis of a hole shortens it, whichever way it was pushed in; one beside it leaves the hole as it was. */
    @Test
    void a_dowel_shortens_the_hole_that_it_is_glued_into() {
        Bore hole = new Bore(new Point(0, 0), 10, new Point(60, 0), 30, 8);
        Point half = new Point(30, 0);
        assertThat(Fill.without(hole, new Bore(half, 20, new Point(0, 0), 10, 8)))
                .singleElement()
                .satisfies(s -> assertThat(((Bore) s).length()).isCloseTo(hole.length() / 2, within(1e-9)))
                .satisfies(s -> assertThat(s.deepest()).isCloseTo(hole.deepest(), within(1e-9)));
        assertThat(Fill.without(hole, hole)).isEmpty();
        assertThat(Fill.without(hole, new Bore(half, 20, new Point(30, 9), 20, 8)))
                .containsExactly(hole);
        assertThat(Fill.without(hole, new Bore(new Point(0, 0), 10, half, 20, 6)))
                .as("a thinner dowel")
                .containsExactly(hole);
        assertThat(Fill.without(hole, Solid.Prism.between(hole.plan().grown(1), 0, 40)))
                .as("cut out and a block let in")
                .isEmpty();
    }

    /** A pocket that was cut too deep stops the build; glued up from the floor again it does not, and the glued wood is weighed. */
    @Test
    void a_repair_that_is_recorded_answers_what_the_design_wants_back() {
        TestBody body = new TestBody().doneUpTo("pickup-neck:rout");
        body.pickups.set(0, TestBody.pickup("neck", 0, 130, 15));
        assertThat(body.rules()).contains("done-contradicted");
        double before = body.plan().history().finished().volume();
        Region pocket = body.pickups.get(0).footprint();
        double floor = body.build().faces().frontFinished() + 19;
        body.timeline.add(new AsBuilt.Done(
                "repair",
                "2026-11-02T10:00:00Z",
                "test",
                StepKey.parse("repair-floor:glue"),
                "Glue a block into the floor",
                Face.FRONT,
                List.of(new Change.Add(
                        Feature.parse("repair-floor"),
                        Workpiece.BODY,
                        Solid.Prism.between(pocket, floor - 4, floor),
                        TestTimber.MATERIAL)),
                Map.of()));
        BuildPlan plan = body.plan();
        assertThat(body.rules()).doesNotContain("done-contradicted");
        assertThat(plan.history().finished().volume() - before)
                .isCloseTo(4 * pocket.area(), within(4 * pocket.area() * 0.01));
        assertThat(plan.history().thinnest())
                .filteredOn(t -> t.feature().equals(Feature.parse("pickup-neck"))
                        && t.neighbour().equals(Feature.BACK))
                .allSatisfy(t -> assertThat(t.thickness()).isCloseTo(body.thickness - 15, within(1e-6)));
    }
}
