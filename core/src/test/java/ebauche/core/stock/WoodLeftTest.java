package ebauche.core.stock;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import ebauche.core.feature.Feature;
import ebauche.core.geometry.Face;
import ebauche.core.geometry.Point;
import ebauche.core.geometry.Region;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;

class WoodLeftTest {
    private static final Region BODY = Region.rectangle(new Point(0, 0), 300, 400, 0, 0);

    private static WoodLeft body() {
        return new WoodLeft(BODY, FaceShape.flat(Face.FRONT, 0), FaceShape.flat(Face.BACK, 44), (a, b) -> false);
    }

    private static WoodLeft.Thin find(WoodLeft left, WoodLeft.Kind kind, String feature, Feature neighbour) {
        return left.thinnest().stream()
                .filter(t -> t.kind() == kind
                        && t.feature().word().equals(feature)
                        && t.neighbour().equals(neighbour))
                .findFirst()
                .orElseThrow();
    }

    @Test
    void a_pocket_leaves_its_floor_and_its_wall_to_the_edge() {
        WoodLeft left = body();
        left.add(
                Feature.parse("pocket"),
                Face.FRONT,
                Solid.Prism.between(Region.rectangle(new Point(100, 0), 60, 60, 0, 0), 0, 19));
        assertThat(find(left, WoodLeft.Kind.FLOOR, "pocket", Feature.BACK).thickness())
                .isEqualTo(25, within(1e-9));
        assertThat(find(left, WoodLeft.Kind.WALL, "pocket", Feature.EDGE).thickness())
                .isEqualTo(20, within(1e-6));
    }

    @Test
    void a_tilted_floor_is_thinnest_at_the_mouth() {
        WoodLeft left = body();
        Region pocket = Region.rectangle(new Point(0, 100), 50, 75, 0, 0);
        double slope = Math.tan(Math.toRadians(2));
        left.add(Feature.parse("neck"), Face.FRONT, new Solid.Prism(pocket, Plane.at(0), Plane.tilted(20, 62.5, 2)));
        WoodLeft.Thin thin = find(left, WoodLeft.Kind.FLOOR, "neck", Feature.BACK);
        assertThat(thin.thickness()).isEqualTo(44 - 20 - 75 * slope, within(1e-6));
        assertThat(thin.at().y()).isEqualTo(137.5, within(1e-6));
    }

    @Test
    void a_wall_of_0_8_between_turned_cavities_is_found_though_no_grid_shows_it() {
        WoodLeft left = body();
        left.add(
                Feature.parse("a"),
                Face.FRONT,
                Solid.Prism.between(Region.rectangle(new Point(0, 0), 80, 30, 0, 31), 0, 20));
        Point across = new Point(-30.8 * Math.sin(Math.toRadians(31)), 30.8 * Math.cos(Math.toRadians(31)));
        left.add(Feature.parse("b"), Face.FRONT, Solid.Prism.between(Region.rectangle(across, 80, 30, 0, 31), 0, 15));
        assertThat(find(left, WoodLeft.Kind.WALL, "a", Feature.parse("b")).thickness())
                .isEqualTo(0.8, within(1e-6));
    }

    @Test
    void walls_between_random_discs_are_what_their_centres_say() {
        Random r = new Random(9);
        for (int i = 0; i < 200; i++) {
            Point a = new Point(r.nextDouble() * 100 - 100, r.nextDouble() * 200 - 100);
            Point b = new Point(r.nextDouble() * 90 + 40, r.nextDouble() * 200 - 100);
            double da = 10 + r.nextDouble() * 20;
            double db = 10 + r.nextDouble() * 20;
            WoodLeft left = body();
            left.add(Feature.parse("a"), Face.FRONT, Solid.Prism.between(Region.disc(a, da), 0, 20));
            left.add(Feature.parse("b"), Face.FRONT, Solid.Prism.between(Region.disc(b, db), 0, 20));
            double exact = a.distance(b) - da / 2 - db / 2;
            double boxes = Math.hypot(
                    Math.max(0, Math.abs(a.x() - b.x()) - da / 2 - db / 2),
                    Math.max(0, Math.abs(a.y() - b.y()) - da / 2 - db / 2));
            if (boxes < 59) {
                // a disc drawn with 96 chords lies up to 0.06 % of its radius inside the circle
                assertThat(find(left, WoodLeft.Kind.WALL, "a", Feature.parse("b"))
                                .thickness())
                        .isEqualTo(exact, within(0.03));
            } else if (boxes > 61) {
                assertThat(left.thinnest()).noneMatch(t -> t.neighbour().equals(Feature.parse("b")));
            }
        }
    }

    @Test
    void cavities_of_different_depths_over_each_other_leave_a_floor_between() {
        WoodLeft left = body();
        Region plan = Region.rectangle(new Point(0, 0), 60, 60, 0, 0);
        left.add(Feature.parse("front"), Face.FRONT, Solid.Prism.between(plan, 0, 19));
        left.add(
                Feature.parse("rear"),
                Face.BACK,
                Solid.Prism.between(Region.rectangle(new Point(20, 0), 60, 60, 0, 0), 24.5, 44));
        assertThat(find(left, WoodLeft.Kind.FLOOR, "front", Feature.parse("rear"))
                        .thickness())
                .isEqualTo(5.5, within(1e-9));
    }

    @Test
    void a_pocket_deeper_than_the_body_has_less_than_no_floor() {
        WoodLeft left = body();
        left.add(Feature.parse("deep"), Face.FRONT, Solid.Prism.between(Region.disc(new Point(0, 0), 40), 0, 46));
        assertThat(find(left, WoodLeft.Kind.FLOOR, "deep", Feature.BACK).thickness())
                .isEqualTo(-2, within(1e-9));
    }

    private static Bore bore(double y, double depth) {
        return Bore.level(new Point(-60, y), new Point(60, y), depth, 8);
    }

    /** Two round holes: their axes' distance less their radii, side by side or one over the other. */
    @Test
    void round_holes_are_as_far_apart_as_their_axes_less_their_radii() {
        WoodLeft beside = body();
        beside.add(Feature.parse("a"), Face.FRONT, bore(0, 20));
        beside.add(Feature.parse("b"), Face.FRONT, bore(14, 26));
        assertThat(find(beside, WoodLeft.Kind.WALL, "a", Feature.parse("b")).thickness())
                .isCloseTo(Math.hypot(14, 6) - 8, within(0.02));
        WoodLeft over = body();
        over.add(Feature.parse("a"), Face.FRONT, bore(0, 12));
        over.add(Feature.parse("b"), Face.FRONT, bore(4, 28));
        assertThat(find(over, WoodLeft.Kind.ASLANT, "a", Feature.parse("b")).thickness())
                .isCloseTo(Math.hypot(16, 4) - 8, within(0.02));
        assertThat(over.thinnest())
                .as("told once, not straight as well")
                .noneMatch(t -> t.kind() == WoodLeft.Kind.FLOOR && t.neighbour().equals(Feature.parse("b")));
        WoodLeft straight = body();
        straight.add(Feature.parse("a"), Face.FRONT, bore(0, 12));
        straight.add(Feature.parse("b"), Face.FRONT, bore(0, 28));
        assertThat(find(straight, WoodLeft.Kind.FLOOR, "a", Feature.parse("b")).thickness())
                .isCloseTo(8, within(1e-6));
    }

    /** A round hole beside a pocket's lower edge: from that edge to its axis, less its radius, whichever was cut first. */
    @Test
    void a_round_hole_is_as_far_from_a_pockets_edge_as_its_axis_less_its_radius() {
        Solid pocket = Solid.Prism.between(Region.rectangle(new Point(0, -30), 60, 40, 0, 0), 0, 20);
        for (boolean pocketFirst : new boolean[] {true, false}) {
            WoodLeft left = body();
            left.add(Feature.parse(pocketFirst ? "a" : "b"), Face.FRONT, pocketFirst ? pocket : bore(0, 22));
            left.add(Feature.parse(pocketFirst ? "b" : "a"), Face.FRONT, pocketFirst ? bore(0, 22) : pocket);
            WoodLeft.Thin wall = left.thinnest().stream()
                    .filter(t ->
                            t.kind() == WoodLeft.Kind.WALL && !t.neighbour().equals(Feature.EDGE))
                    .findFirst()
                    .orElseThrow();
            assertThat(wall.thickness()).isCloseTo(Math.hypot(10, 2) - 4, within(0.02));
        }
    }

    /** Between two floors that slope alike the least wood is square to the slope. */
    @Test
    void wood_between_slopes_alike_is_told_square_to_them() {
        Region plan = Region.rectangle(new Point(0, 0), 60, 60, 0, 0);
        WoodLeft left = body();
        left.add(Feature.parse("a"), Face.FRONT, new Solid.Prism(plan, Plane.at(0), new Plane(14, 0.2, 0)));
        left.add(Feature.parse("b"), Face.BACK, new Solid.Prism(plan, new Plane(20, 0.2, 0), Plane.at(44)));
        assertThat(find(left, WoodLeft.Kind.FLOOR, "a", Feature.parse("b")).thickness())
                .isCloseTo(6, within(1e-6));
        assertThat(find(left, WoodLeft.Kind.ASLANT, "a", Feature.parse("b")).thickness())
                .isCloseTo(6 * Math.cos(Math.atan(0.2)), within(0.02));
    }

    /** A recess has no floor where the cavity that it joins goes on deeper in it; one that it does not meet hides nothing. */
    @Test
    void a_deeper_cavity_hides_the_floor_of_the_recess_it_is_in() {
        Region plan = Region.rectangle(new Point(0, 0), 60, 60, 0, 0);
        for (double top : new double[] {2, 10}) {
            WoodLeft left = new WoodLeft(
                    BODY,
                    FaceShape.flat(Face.FRONT, 0),
                    FaceShape.flat(Face.BACK, 44),
                    (a, b) -> !a.equals(Feature.BACK) && !b.equals(Feature.BACK) && !b.equals(Feature.EDGE));
            left.add(Feature.parse("recess"), Face.FRONT, Solid.Prism.between(plan, 0, 3));
            left.add(Feature.parse("cavity"), Face.FRONT, Solid.Prism.between(plan, top, 30));
            assertThat(left.thinnest().stream().filter(t -> t.neighbour().equals(Feature.BACK)))
                    .extracting(x -> x.feature().word())
                    .containsExactlyElementsOf(top < 3 ? List.of("cavity") : List.of("cavity", "recess"));
        }
    }

    /** Drilled waste is no void beside the cavity it is drilled for, unless it reaches out of it. */
    @Test
    void a_stage_on_the_way_is_swallowed_and_no_other() {
        Region plan = Region.rectangle(new Point(0, 0), 60, 60, 0, 0);
        Region hole = Region.disc(new Point(10, 10), 20);
        for (boolean firstTheHole : new boolean[] {true, false}) {
            WoodLeft left = body();
            Solid waste = Solid.Prism.between(hole, 0, 18);
            Solid whole = Solid.Prism.between(plan, 0, 20);
            left.add(Feature.parse("cavity"), Face.FRONT, firstTheHole ? waste : whole);
            left.add(Feature.parse("cavity"), Face.FRONT, firstTheHole ? whole : waste);
            assertThat(find(left, WoodLeft.Kind.FLOOR, "cavity", Feature.BACK).thickness())
                    .isEqualTo(24, within(1e-9));
            left.add(Feature.parse("cavity"), Face.FRONT, Solid.Prism.between(hole, 0, 22));
            assertThat(find(left, WoodLeft.Kind.FLOOR, "cavity", Feature.BACK).thickness())
                    .as("deeper than the cavity")
                    .isEqualTo(22, within(1e-9));
            left.add(
                    Feature.parse("cavity"), Face.FRONT, Solid.Prism.between(Region.disc(new Point(140, 0), 10), 0, 5));
            assertThat(find(left, WoodLeft.Kind.WALL, "cavity", Feature.EDGE).thickness())
                    .as("beside the cavity")
                    .isEqualTo(5, within(1e-6));
        }
    }

    @Test
    void what_is_declared_joined_is_no_wall() {
        WoodLeft left =
                new WoodLeft(BODY, FaceShape.flat(Face.FRONT, 0), FaceShape.flat(Face.BACK, 44), (a, b) -> true);
        left.add(Feature.parse("a"), Face.FRONT, Solid.Prism.between(Region.disc(new Point(0, 0), 40), 0, 20));
        left.add(Feature.parse("b"), Face.FRONT, Solid.Prism.between(Region.disc(new Point(21, 0), 40), 0, 20));
        assertThat(left.thinnest()).noneMatch(t -> t.neighbour().equals(Feature.parse("b")));
    }
}
