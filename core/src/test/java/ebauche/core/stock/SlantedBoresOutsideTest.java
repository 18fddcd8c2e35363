package ebauche.core.stock;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import ebauche.core.feature.Feature;
import ebauche.core.geometry.Face;
import ebauche.core.geometry.Point;
import ebauche.core.geometry.Region;
import java.util.List;
import java.util.OptionalDouble;
import java.util.Random;
import java.util.function.ToDoubleFunction;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/**
 * The wood beside a slanted bore against dense sampling: the bore's own points are tried, in a net that is drawn in round the nearest, and
 * each is asked how far it is from a plane, a box, another round bar or a sloping face by the textbook's formulas. 500 seeded bodies.
 */
class SlantedBoresOutsideTest {
    private static final double THICK = 45;
    private static final Region BODY = Region.rectangle(new Point(0, 0), 300, 240, 0, 0);
    private static final Feature BORE = Feature.parse("channel-a");
    private static final Feature OTHER = Feature.parse("cavity-b");
    private static final int BODIES = 125;

    /** What lies beside it. */
    private enum Neighbour {
        FACES,
        POCKET,
        BORE,
        CARVE
    }

    private static Bore bore(Random random) {
        double angle = random.nextDouble() * 2 * Math.PI;
        double length = 30 + random.nextDouble() * 110;
        Point from = new Point(random.nextDouble() * 60 - 30, random.nextDouble() * 60 - 30);
        Point to = from.plus(length * Math.cos(angle) * 0.7, length * Math.sin(angle) * 0.7);
        double first = 9 + random.nextDouble() * 27;
        // One in five hardly leans.
        double last =
                random.nextInt(5) == 0 ? first + (random.nextDouble() - 0.5) * 0.01 : 9 + random.nextDouble() * 27;
        return new Bore(from, first, to, last, 3 + random.nextDouble() * 7);
    }

    /** The least of a distance over all points of a bore. */
    private static double least(Bore bore, ToDoubleFunction<double[]> far) {
        double[] u = {
            (bore.to().x() - bore.from().x()) / bore.length(),
            (bore.to().y() - bore.from().y()) / bore.length(),
            (bore.toDepth() - bore.fromDepth()) / bore.length()
        };
        double flat = Math.hypot(u[0], u[1]);
        double[] side = {-u[1] / flat, u[0] / flat, 0};
        double[] up = {-u[2] * side[1], u[2] * side[0], u[0] * side[1] - u[1] * side[0]};
        double[] best = {bore.length() / 2, 0, 0};
        double[] step = {bore.length() / 2, bore.diameter() / 2, bore.diameter() / 2};
        double least = Double.POSITIVE_INFINITY;
        for (int round = 0; round < 14; round++) {
            double[] middle = best.clone();
            for (int i = -8; i <= 8; i++) {
                for (int j = -8; j <= 8; j++) {
                    for (int k = -8; k <= 8; k++) {
                        double s = Math.max(0, Math.min(bore.length(), middle[0] + i * step[0] / 8));
                        double a = middle[1] + j * step[1] / 8;
                        double b = middle[2] + k * step[2] / 8;
                        double out = Math.hypot(a, b) / (bore.diameter() / 2);
                        if (out > 1) {
                            a /= out;
                            b /= out;
                        }
                        double[] place = new double[3];
                        double[] start = {bore.from().x(), bore.from().y(), bore.fromDepth()};
                        for (int c = 0; c < 3; c++) {
                            place[c] = start[c] + s * u[c] + a * side[c] + b * up[c];
                        }
                        double here = far.applyAsDouble(place);
                        if (here < least) {
                            least = here;
                            best = new double[] {s, a, b};
                        }
                    }
                }
            }
            for (int c = 0; c < 3; c++) {
                step[c] *= 0.5;
            }
        }
        return least;
    }

    private static double toBox(double[] place, Point middle, double across, double along, double top, double bottom) {
        double dx = Math.max(0, Math.abs(place[0] - middle.x()) - across / 2);
        double dy = Math.max(0, Math.abs(place[1] - middle.y()) - along / 2);
        double dz = Math.max(0, Math.max(top - place[2], place[2] - bottom));
        return Math.sqrt(dx * dx + dy * dy + dz * dz);
    }

    private static double toBar(double[] place, Bore bar) {
        double[] axis = {
            bar.to().x() - bar.from().x(), bar.to().y() - bar.from().y(), bar.toDepth() - bar.fromDepth()
        };
        double length = Math.sqrt(axis[0] * axis[0] + axis[1] * axis[1] + axis[2] * axis[2]);
        double[] to = {place[0] - bar.from().x(), place[1] - bar.from().y(), place[2] - bar.fromDepth()};
        double along = (to[0] * axis[0] + to[1] * axis[1] + to[2] * axis[2]) / length;
        double square = to[0] * to[0] + to[1] * to[1] + to[2] * to[2] - along * along;
        double beside = Math.max(0, Math.sqrt(Math.max(0, square)) - bar.diameter() / 2);
        double beyond = Math.max(0, Math.max(-along, along - length));
        return Math.hypot(beside, beyond);
    }

    private static OptionalDouble told(WoodLeft left, Feature one, Feature other) {
        return left.thinnest().stream()
                .filter(t -> List.of(t.feature(), t.neighbour()).containsAll(List.of(one, other)))
                .mapToDouble(WoodLeft.Thin::thickness)
                .min();
    }

    private static WoodLeft body(FaceShape front) {
        return new WoodLeft(BODY, front, FaceShape.flat(Face.BACK, THICK), (a, b) -> false);
    }

    @ParameterizedTest
    @EnumSource(Neighbour.class)
    void the_wood_beside_it_is_what_trying_its_points_finds(Neighbour neighbour) {
        Random random = new Random(4_711 + neighbour.ordinal());
        int near = 0;
        for (int i = 0; i < BODIES; i++) {
            near += switch (neighbour) {
                case FACES -> faces(random, i);
                case POCKET -> pocket(random, i);
                case BORE -> bars(random, i);
                case CARVE -> carve(random, i);
            };
        }
        assertThat(near)
                .as("bodies in which the two lie so near that it is told")
                .isGreaterThan(BODIES / 4);
    }

    private static int faces(Random random, int number) {
        Bore bore = bore(random);
        WoodLeft left = body(FaceShape.flat(Face.FRONT, 0));
        left.add(BORE, Face.FRONT, bore);
        assertThat(told(left, BORE, Feature.FRONT).orElseThrow())
                .as("body %s, %s", number, bore)
                .isCloseTo(least(bore, p -> p[2]), within(0.02));
        assertThat(told(left, BORE, Feature.BACK).orElseThrow())
                .as("body %s, %s", number, bore)
                .isCloseTo(least(bore, p -> THICK - p[2]), within(0.02));
        return 1;
    }

    private static int pocket(Random random, int number) {
        Bore bore = bore(random);
        Point middle = new Point(random.nextDouble() * 120 - 60, random.nextDouble() * 120 - 60);
        double across = 12 + random.nextDouble() * 50;
        double along = 12 + random.nextDouble() * 50;
        boolean fromFront = random.nextBoolean();
        double depth = 4 + random.nextDouble() * 30;
        double top = fromFront ? 0 : THICK - depth;
        double bottom = fromFront ? depth : THICK;
        WoodLeft left = body(FaceShape.flat(Face.FRONT, 0));
        left.add(BORE, Face.FRONT, bore);
        left.add(
                OTHER,
                fromFront ? Face.FRONT : Face.BACK,
                Solid.Prism.between(Region.rectangle(middle, across, along, 0, 0), top, bottom));
        return compare(left, least(bore, p -> toBox(p, middle, across, along, top, bottom)), number, bore);
    }

    private static int bars(Random random, int number) {
        Bore bore = bore(random);
        Bore other = bore(random);
        WoodLeft left = body(FaceShape.flat(Face.FRONT, 0));
        left.add(BORE, Face.FRONT, bore);
        left.add(OTHER, Face.FRONT, other);
        return compare(left, least(bore, p -> toBar(p, other)), number, bore);
    }

    private static int compare(WoodLeft left, double sampled, int number, Bore bore) {
        OptionalDouble told = told(left, BORE, OTHER);
        if (sampled > 0.05 && sampled < 14.9) {
            assertThat(told)
                    .as("body %s, %s: sampled %s", number, bore, sampled)
                    .isPresent();
            assertThat(told.getAsDouble()).as("body %s, %s", number, bore).isCloseTo(sampled, within(0.02));
            return 1;
        }
        if (sampled == 0) {
            assertThat(told.orElse(99)).as("body %s, %s meet", number, bore).isLessThanOrEqualTo(0.02);
        }
        return 0;
    }

    /** A plane bevel across the front from x = line on, so wide, so deep and level beyond: told straight or aslant, whichever is less. */
    private static int carve(Random random, int number) {
        Bore bore = bore(random);
        double line = random.nextDouble() * 60 - 30;
        double width = 30 + random.nextDouble() * 60;
        double deep = 2 + random.nextDouble() * 10;
        Region plan = Region.rectangle(new Point((line + 150) / 2, 0), 150 - line, 240, 0, 0);
        Carve surface = new Carve(
                Face.FRONT,
                0,
                new Course.Line(new Point(line, 120), new Point(line, -120)),
                Profile.straight(width, deep));
        WoodLeft left = body(
                new FaceShape(Face.FRONT, 0, List.of(new FaceShape.Carved(Feature.parse("contour-c"), plan, surface))));
        left.add(BORE, Face.FRONT, bore);
        double sampled = Math.min(
                least(bore, p -> Math.hypot(Math.max(0, p[0] - line), p[2])),
                Math.min(
                        least(bore, p -> toPiece(p[0], p[2], line, 0, line + width, deep)),
                        least(bore, p -> Math.hypot(Math.max(0, line + width - p[0]), p[2] - deep))));
        double told = told(left, BORE, Feature.FRONT).orElseThrow();
        boolean clear = least(bore, p -> p[2] - surface.depthAt(p[0], p[1])) > 0.05;
        if (clear && sampled < 14.9) {
            // Straight and aslant are told as one where they differ by less than 0.02.
            assertThat(told)
                    .as("body %s, %s, bevel %s, %s, %s", number, bore, line, width, deep)
                    .isBetween(sampled - 0.02, sampled + 0.04);
            return 1;
        }
        return 0;
    }

    private static double toPiece(double x, double z, double x0, double z0, double x1, double z1) {
        double share = ((x - x0) * (x1 - x0) + (z - z0) * (z1 - z0)) / ((x1 - x0) * (x1 - x0) + (z1 - z0) * (z1 - z0));
        double held = Math.max(0, Math.min(1, share));
        return Math.hypot(x - x0 - held * (x1 - x0), z - z0 - held * (z1 - z0));
    }
}
