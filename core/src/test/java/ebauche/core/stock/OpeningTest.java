package ebauche.core.stock;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import ebauche.core.feature.Feature;
import ebauche.core.geometry.Face;
import ebauche.core.geometry.Point;
import ebauche.core.geometry.Region;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** What comes out of the edge on purpose: only its mouth joins, the wood beside it is judged. */
class OpeningTest {
    /** A body 100 wide that ends at y = 50. */
    private static final Region BODY = Region.rectangle(new Point(0, 0), 100, 100, 0, 0);

    private static final WoodLeft.Opening NORTH = new WoodLeft.Opening(0, 1, 49);

    private static WoodLeft.Thin edge(Region body, Solid solid, WoodLeft.Opening opening) {
        WoodLeft left =
                new WoodLeft(body, FaceShape.flat(Face.FRONT, 0), FaceShape.flat(Face.BACK, 45), (a, b) -> false);
        left.add(Feature.parse("pocket"), Face.FRONT, solid, Optional.of(opening));
        return left.thinnest().stream()
                .filter(t -> t.neighbour().equals(Feature.EDGE))
                .findFirst()
                .orElseThrow();
    }

    private static Solid pocket(double left, double right) {
        Region plan = Region.quadrilateral(
                new Point(left, 0), new Point(right, 0), new Point(right, 55), new Point(left, 55));
        return Solid.Prism.between(plan, 0, 20);
    }

    @Test
    void the_thinner_cheek_is_told_with_its_side() {
        WoodLeft.Thin thin = edge(BODY, pocket(-28, 49.2), NORTH);
        assertThat(thin.thickness()).isCloseTo(0.8, within(1e-6));
        assertThat(thin.at().x()).isCloseTo(49.2, within(1e-6));
        assertThat(edge(BODY, pocket(-48.5, 28), NORTH).thickness()).isCloseTo(1.5, within(1e-6));
        assertThat(edge(BODY, pocket(-48.5, 28), NORTH).at().x()).isCloseTo(-48.5, within(1e-6));
    }

    @Test
    void a_pocket_wider_than_the_body_has_less_than_no_cheek() {
        assertThat(edge(BODY, pocket(-28, 51.5), NORTH).thickness()).isCloseTo(-1.5, within(1e-6));
    }

    /** Its mouth is no wall, and neither is what lies beyond the body's end; its end wall is. */
    @Test
    void the_mouth_itself_is_not_judged_and_the_end_wall_is() {
        Region shallow = Region.rectangle(new Point(0, 24), 100, 52, 0, 0);
        WoodLeft.Thin thin = edge(shallow, pocket(-28, 28), NORTH);
        assertThat(thin.thickness())
                .as("from its end wall at 0 to the edge at -2")
                .isCloseTo(2, within(1e-6));
        assertThat(edge(BODY, pocket(-28, 28), NORTH).thickness()).isCloseTo(22, within(1e-6));
    }

    /** A slanting edge: the cheek is told square to the pocket's wall, where it is thinnest. */
    @Test
    void a_tapering_cheek_is_told_where_it_is_thinnest() {
        Region tapered =
                Region.quadrilateral(new Point(-50, -50), new Point(50, -50), new Point(30, 50), new Point(-30, 50));
        WoodLeft.Thin thin = edge(tapered, pocket(-28, 28), NORTH);
        // The side runs from (50, -50) to (30, 50): at y = 49 it stands at 30.2.
        assertThat(thin.thickness()).isCloseTo(2.2, within(0.11));
        assertThat(thin.at().y()).isCloseTo(49, within(0.5));
    }

    /** A jack hole may break out where it is drilled in, and nowhere else. */
    @Test
    void a_bore_joins_the_edge_only_where_it_comes_out() {
        Point entry = new Point(50, 0);
        Point inner = new Point(10, 0);
        Solid bore = Bore.level(entry, inner, 22, 22);
        WoodLeft.Thin sound = edge(BODY, bore, WoodLeft.Opening.of(BODY, entry, inner, 22));
        assertThat(sound.thickness()).isCloseTo(39, within(1e-6));
        assertThat(WoodLeft.Opening.of(BODY, entry, inner, 22).until())
                .as("out at 50, less its half width and the rounding")
                .isCloseTo(50 - 11 - 1, within(1e-6));
        Point low = new Point(50, -38);
        Solid beside = Bore.level(low, new Point(10, -38), 22, 22);
        assertThat(edge(BODY, beside, WoodLeft.Opening.of(BODY, low, new Point(10, -38), 22))
                        .thickness())
                .as("11 of radius, 12 from the edge")
                .isCloseTo(1, within(1e-6));
        Solid through = Bore.level(entry, new Point(-49, 0), 22, 22);
        assertThat(edge(BODY, through, WoodLeft.Opening.of(BODY, entry, new Point(-49, 0), 22))
                        .thickness())
                .as("its end")
                .isCloseTo(1, within(1e-6));
    }
}
