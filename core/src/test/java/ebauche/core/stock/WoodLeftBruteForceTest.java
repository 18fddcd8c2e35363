package ebauche.core.stock;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import ebauche.core.feature.Feature;
import ebauche.core.geometry.Face;
import ebauche.core.geometry.Point;
import ebauche.core.geometry.Region;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** Thinnest floors and walls on small bodies against what anybody would do: try every pair of points. */
class WoodLeftBruteForceTest {
    private static final double FINE = 0.1;
    private static final double THICK = 20;
    private static final Region BODY = Region.rectangle(new Point(0, 0), 60, 50, 0, 0);

    private record Pit(Feature name, Face face, Region area, double depth) {
        double top() {
            return face == Face.FRONT ? 0 : THICK - depth;
        }

        double bottom() {
            return face == Face.FRONT ? depth : THICK;
        }
    }

    static Stream<Long> seeds() {
        return IntStream.range(0, 40).mapToObj(i -> 90_001L + 7L * i);
    }

    private static List<Pit> pits(Random random) {
        List<Pit> pits = new ArrayList<>();
        for (String name : List.of("a", "b", "c")) {
            Point at = new Point(random.nextDouble() * 36 - 18, random.nextDouble() * 28 - 14);
            Region area = random.nextBoolean()
                    ? Region.disc(at, 6 + random.nextInt(8))
                    : Region.rectangle(at, 6 + random.nextInt(9), 5 + random.nextInt(7), 0, random.nextInt(90));
            Face face = random.nextBoolean() ? Face.FRONT : Face.BACK;
            pits.add(new Pit(Feature.parse(name), face, area, 2 + random.nextInt(15)));
        }
        return pits;
    }

    private static List<Point> edge(Region area) {
        List<Point> points = new ArrayList<>();
        area.forEachRing(ring -> {
            for (int i = 0; i + 3 < ring.length; i += 2) {
                Point from = new Point(ring[i], ring[i + 1]);
                Point to = new Point(ring[i + 2], ring[i + 3]);
                int pieces = (int) Math.ceil(from.distance(to) / FINE);
                for (int k = 0; k < pieces; k++) {
                    points.add(from.towards(to, (double) k / pieces));
                }
            }
        });
        return points;
    }

    private static double nearest(Region one, Region other) {
        double least = Double.POSITIVE_INFINITY;
        List<Point> others = edge(other);
        for (Point p : edge(one)) {
            for (Point q : others) {
                least = Math.min(least, p.distance(q));
            }
        }
        return least;
    }

    @ParameterizedTest
    @MethodSource("seeds")
    void floors_and_walls_are_those_that_trying_every_pair_of_points_finds(long seed) {
        List<Pit> pits = pits(new Random(seed));
        WoodLeft left =
                new WoodLeft(BODY, FaceShape.flat(Face.FRONT, 0), FaceShape.flat(Face.BACK, THICK), (a, b) -> false);
        pits.forEach(p -> left.add(p.name(), p.face(), Solid.Prism.between(p.area(), p.top(), p.bottom())));
        List<WoodLeft.Thin> found = left.thinnest();
        for (Pit one : pits) {
            Feature far = one.face() == Face.FRONT ? Feature.BACK : Feature.FRONT;
            assertThat(thin(found, one.name(), far).thickness()).isCloseTo(THICK - one.depth(), within(1e-9));
            assertThat(thin(found, one.name(), Feature.EDGE).thickness())
                    .isCloseTo(nearest(one.area(), BODY), within(FINE));
        }
        for (int i = 0; i < 3; i++) {
            for (int k = i + 1; k < 3; k++) {
                between(pits.get(i), pits.get(k), found);
            }
        }
    }

    private static void between(Pit one, Pit other, List<WoodLeft.Thin> found) {
        double shared = one.area().intersection(other.area()).area();
        double inDepth = Math.min(one.bottom(), other.bottom()) - Math.max(one.top(), other.top());
        if (shared > 1e-3) {
            // one over the other (or through each other): the gap between floor and ceiling, less than nought where
            // they meet
            assertThat(thin(found, one.name(), other.name()).thickness()).isCloseTo(-inDepth, within(1e-9));
        } else if (inDepth > 0.01) {
            assertThat(thin(found, one.name(), other.name()).thickness())
                    .isCloseTo(nearest(one.area(), other.area()), within(FINE));
        } else {
            double aslant = Math.hypot(nearest(one.area(), other.area()), -inDepth);
            if (aslant < 15 - FINE) {
                assertThat(thin(found, one.name(), other.name()).thickness()).isCloseTo(aslant, within(FINE));
                assertThat(thin(found, one.name(), other.name()).kind()).isEqualTo(WoodLeft.Kind.ASLANT);
            } else if (aslant > 15 + FINE) {
                assertThat(found).noneMatch(t -> names(t, one.name(), other.name()));
            }
        }
    }

    private static boolean names(WoodLeft.Thin thin, Feature one, Feature other) {
        return (thin.feature().equals(one) && thin.neighbour().equals(other))
                || (thin.feature().equals(other) && thin.neighbour().equals(one));
    }

    private static WoodLeft.Thin thin(List<WoodLeft.Thin> found, Feature one, Feature other) {
        return found.stream().filter(t -> names(t, one, other)).findFirst().orElseThrow();
    }
}
