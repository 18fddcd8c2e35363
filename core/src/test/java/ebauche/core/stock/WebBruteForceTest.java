package ebauche.core.stock;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import ebauche.core.feature.Feature;
import ebauche.core.geometry.Face;
import ebauche.core.geometry.Outline;
import ebauche.core.geometry.Point;
import ebauche.core.geometry.Region;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.function.Predicate;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/**
 * The least wood between two voids on small bodies at odd angles, against looking everywhere: both are filled with places, and round the
 * nearest pairs of them ever finer, which knows nothing of slices. Within 0.02 mm.
 */
@Tag("slow")
class WebBruteForceTest {
    private static final double WITHIN = 0.02;

    /** So many times the usual number of cases: {@code ./ebauche test --long} takes ten. */
    private static final int TIMES = Integer.getInteger("ebauche.times", 1);

    /** A place in space; depth downward. */
    private record Place(double x, double y, double z) {
        double to(Place other) {
            return Math.sqrt(Math.pow(x - other.x, 2) + Math.pow(y - other.y, 2) + Math.pow(z - other.z, 2));
        }
    }

    /** What is in a void, and the box that it lies in. */
    @SuppressWarnings("ArrayRecordComponent") // never compared
    private record Filled(Predicate<Place> in, double[] box) {
        List<Place> places(Place middle, double half, int steps) {
            List<Place> found = new ArrayList<>();
            for (int i = 0; i <= steps; i++) {
                for (int j = 0; j <= steps; j++) {
                    for (int k = 0; k <= steps; k++) {
                        Place p = new Place(
                                middle.x - half + 2 * half * i / steps,
                                middle.y - half + 2 * half * j / steps,
                                middle.z - half + 2 * half * k / steps);
                        if (in.test(p)) {
                            found.add(p);
                        }
                    }
                }
            }
            return found;
        }

        List<Place> everywhere(double step) {
            List<Place> found = new ArrayList<>();
            for (double x = box[0]; x <= box[1]; x += step) {
                for (double y = box[2]; y <= box[3]; y += step) {
                    for (double z = box[4]; z <= box[5] + 1e-9; z += step) {
                        Place p = new Place(x, y, z);
                        if (in.test(p)) {
                            found.add(p);
                        }
                    }
                }
            }
            return found;
        }
    }

    private static Filled filled(Solid solid) {
        double[] box = {
            solid.plan().minX(),
            solid.plan().maxX(),
            solid.plan().minY(),
            solid.plan().maxY(),
            solid.shallowest(),
            solid.deepest()
        };
        if (solid instanceof Bore bore) {
            return new Filled(p -> RoundHole.holds(bore, p.x, p.y, p.z), box);
        }
        Solid.Prism prism = (Solid.Prism) solid;
        return new Filled(
                p -> p.z >= prism.top().depthAt(p.x, p.y) - 1e-9
                        && p.z <= prism.bottom().depthAt(p.x, p.y) + 1e-9
                        && prism.plan().contains(new Point(p.x, p.y)),
                box);
    }

    private static Filled air(FaceShape.Carved carved) {
        Carve carve = carved.surface();
        double[] box = {
            carved.plan().minX(),
            carved.plan().maxX(),
            carved.plan().minY(),
            carved.plan().maxY(),
            carve.flat(),
            carve.flat() + carve.profile().depth()
        };
        return new Filled(
                p -> p.z >= carve.flat()
                        && p.z <= carve.depthAt(p.x, p.y) + 1e-9
                        && carved.plan().contains(new Point(p.x, p.y)),
                box);
    }

    /** The nearest of all pairs of places, then ever finer round the best. */
    private static double nearest(Filled one, Filled other) {
        List<Place> a = one.everywhere(0.8);
        List<Place> b = other.everywhere(0.8);
        List<Place[]> best = new ArrayList<>();
        for (Place p : a) {
            Place near = null;
            for (Place q : b) {
                near = near == null || p.to(q) < p.to(near) ? q : near;
            }
            best.add(new Place[] {p, near});
        }
        best.sort((u, v) -> Double.compare(u[0].to(u[1]), v[0].to(v[1])));
        double least = Double.POSITIVE_INFINITY;
        for (Place[] pair : best.subList(0, Math.min(60, best.size()))) {
            Place p = pair[0];
            Place q = pair[1];
            for (double half = 0.9; half > 0.002; half *= 0.7) {
                for (int turn = 0; turn < 5; turn++) {
                    Place to = q;
                    Place from = p;
                    p = one.places(p, half, 6).stream().reduce(p, (u, v) -> v.to(to) < u.to(to) ? v : u);
                    Place moved = p;
                    q = other.places(q, half, 6).stream().reduce(q, (u, v) -> v.to(moved) < u.to(moved) ? v : u);
                    if (p.equals(from) && q.equals(to)) {
                        break;
                    }
                }
            }
            least = Math.min(least, p.to(q));
        }
        return least;
    }

    /** Straight down in every column that both have: over hardly tilted floors that is the least, and a long way to creep to. */
    private static double columns(Solid upper, Solid lower) {
        double least = Double.POSITIVE_INFINITY;
        Region plan = upper.plan();
        for (double x = plan.minX(); x <= plan.maxX(); x += 0.04) {
            for (double y = plan.minY(); y <= plan.maxY(); y += 0.04) {
                if (plan.contains(new Point(x, y)) && lower.plan().contains(new Point(x, y))) {
                    least = Math.min(least, surface(lower, x, y, false) - surface(upper, x, y, true));
                }
            }
        }
        return least;
    }

    private static double surface(Solid solid, double x, double y, boolean under) {
        if (solid instanceof Solid.Prism prism) {
            return (under ? prism.bottom() : prism.top()).depthAt(x, y);
        }
        Bore bore = (Bore) solid;
        double[] piece = bore.pieceAt(x, y);
        return piece.length == 0 ? under ? bore.shallowest() : bore.deepest() : piece[under ? 1 : 0];
    }

    private static Solid solid(Random random, double x, double low, double high) {
        Point at = new Point(x + random.nextDouble() * 4, random.nextDouble() * 10 - 5);
        double turned = random.nextDouble() * 180;
        if (random.nextInt(3) == 0) {
            Point end = at.plus(8 * Math.cos(Math.toRadians(turned)), 8 * Math.sin(Math.toRadians(turned)));
            double diameter = Math.min(3 + random.nextDouble() * 3, high - low);
            double lean = random.nextBoolean() ? 0 : (high - low - diameter) / 2;
            return new Bore(at, (low + high) / 2 - lean, end, (low + high) / 2 + lean, diameter);
        }
        Region area = Region.rectangle(at, 5 + random.nextDouble() * 5, 4 + random.nextDouble() * 4, 1, turned);
        if (random.nextBoolean()) {
            return Solid.Prism.between(area, low, high);
        }
        double slope = 0.02 + random.nextDouble() * 0.25;
        double way = random.nextDouble() * 2 * Math.PI;
        Plane floor = new Plane(0, slope * Math.cos(way), slope * Math.sin(way));
        double most = floor.deepest(area);
        return new Solid.Prism(area, Plane.at(low), floor.lowered(high - most));
    }

    static Stream<Long> seeds() {
        return IntStream.range(0, 8 * TIMES).mapToObj(i -> 4_001L + 13L * i);
    }

    @ParameterizedTest
    @MethodSource("seeds")
    void the_least_wood_between_two_voids_is_what_looking_everywhere_finds(long seed) {
        Random random = new Random(seed);
        Solid one = solid(random, -9, 0, 6 + random.nextDouble() * 4);
        double low = 7 + random.nextDouble() * 5;
        Solid other = solid(random, random.nextInt(14) - 8, low, low + 7);
        double found = Web.least(Slices.of(one), Slices.of(other)).orElseThrow().thickness();
        double looked = Math.min(nearest(filled(one), filled(other)), columns(one, other));
        if (looked > 0.05) {
            assertThat(found).as(one + " and " + other).isCloseTo(looked, within(WITHIN));
        } else {
            assertThat(found).isLessThan(0.1);
        }
    }

    static Stream<Long> carves() {
        return IntStream.range(0, 4 * TIMES).mapToObj(i -> 77L + 5L * i);
    }

    @ParameterizedTest
    @MethodSource("carves")
    void the_least_wood_to_a_carved_face_lies_aslant(long seed) {
        Random random = new Random(seed);
        Region body = Outline.parse("M -20 -15 L 20 -15 L 20 15 L -20 15 Z", 1).region();
        double width = 12 + random.nextDouble() * 6;
        double depth = 4 + random.nextDouble() * 4;
        double lean = random.nextDouble() * 6 - 3;
        Course.Line line = new Course.Line(new Point(-20 + width + lean, -15), new Point(-20 + width - lean, 15));
        boolean left = line.across(-20, 0) > 0;
        Course.Line course = left ? line : new Course.Line(line.to(), line.from());
        Profile profile = random.nextBoolean() ? Profile.straight(width, depth) : Profile.round(width, depth);
        Region plan = body.intersection(body.leftOf(course.from(), course.to()));
        FaceShape.Carved carved =
                new FaceShape.Carved(Feature.parse("contour-x"), plan, new Carve(Face.FRONT, 0, course, profile));
        Region pit = Region.rectangle(new Point(-12 + random.nextDouble() * 10, 0), 9, 7, 1, random.nextInt(90));
        Solid rear = Solid.Prism.between(pit, depth + 1 + random.nextDouble() * 3, 20);
        double found = Web.least(carved, Slices.of(rear)).orElseThrow().thickness();
        assertThat(found).isCloseTo(nearest(air(carved), filled(rear)), within(WITHIN));
    }

    /** 0.05 over and 0.05 beside each other: 0.07 of wood, which neither a floor nor a wall tells. */
    @Test
    void a_front_floor_just_over_and_beside_a_rear_ceiling_is_found() {
        WoodLeft left = new WoodLeft(
                Region.rectangle(new Point(0, 0), 100, 100, 0, 0),
                FaceShape.flat(Face.FRONT, 0),
                FaceShape.flat(Face.BACK, 45),
                (a, b) -> false);
        left.add(
                Feature.parse("front-pit"),
                Face.FRONT,
                Solid.Prism.between(Region.rectangle(new Point(-10, 0), 20, 20, 0, 0), 0, 20));
        left.add(
                Feature.parse("rear-pit"),
                Face.BACK,
                Solid.Prism.between(Region.rectangle(new Point(10.05, 0), 20, 20, 0, 0), 20.05, 45));
        WoodLeft.Thin least = left.thinnest().get(0);
        assertThat(least.kind()).isEqualTo(WoodLeft.Kind.ASLANT);
        assertThat(least.thickness()).isCloseTo(Math.hypot(0.05, 0.05), within(1e-6));
        assertThat(least.at().x()).isCloseTo(0.025, within(0.01));
    }

    /** A bore is round: over its crown it is nearest, at its sides not; two crossing bores are as far apart as their axes, less both radii. */
    @Test
    void bores_are_round() {
        Solid bore = Bore.level(new Point(0, 0), new Point(0, 30), 20, 10);
        Solid beside = Solid.Prism.between(Region.rectangle(new Point(12, 15), 10, 10, 0, 0), 0, 12);
        // From the axis: 7 beside, 8 over; the wood is the way to the edge less the radius.
        assertThat(Web.least(Slices.of(bore), Slices.of(beside)).orElseThrow().thickness())
                .isCloseTo(Math.hypot(7, 8) - 5, within(1e-3));
        Solid across = Bore.level(new Point(-20, 15), new Point(20, 15), 32, 6);
        assertThat(Web.least(Slices.of(bore), Slices.of(across)).orElseThrow().thickness())
                .isCloseTo(12 - 5 - 3, within(0.01));
    }
}
