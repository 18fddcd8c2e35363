package ebauche.exchange.design;

import ebauche.core.geometry.Face;
import ebauche.core.geometry.Point;
import ebauche.core.geometry.Region;
import ebauche.core.stock.Carve;
import ebauche.core.stock.Course;
import ebauche.core.stock.Plane;
import ebauche.core.stock.Profile;
import ebauche.core.stock.Ruled;
import ebauche.core.stock.Surface;
import ebauche.exchange.json.JsonPlace;
import ebauche.exchange.json.Words;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.stream.DoubleStream;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/**
 * The upper or lower surface of a cut in the record of what was done: three numbers for a flat one, an object for a
 * carved one. Millimetres of the stock.
 */
public final class SurfaceFile {
    private static final JsonNodeFactory JSON = JsonNodeFactory.instance;
    private static final int MOST_RINGS = 200;
    private static final int MOST_COORDINATES = 100_000;
    public static final Map<String, Face> FACES = Words.of(Face::word, Face.values());
    static final Map<String, Profile.Shape> SHAPES = Words.of(Profile.Shape::word, Profile.Shape.values());

    /** Nothing in a body lies farther from its bridge, mm. */
    public static final double FARTHEST = 5000;

    private static final double STEEPEST = 1;

    private SurfaceFile() {}

    public static Surface read(JsonPlace spot) {
        return spot.node().isObject() ? spot.asObject(SurfaceFile::carve) : plane(spot);
    }

    private static Plane plane(JsonPlace spot) {
        double[] p = spot.numbers(3, FARTHEST);
        if (p.length != 3) {
            throw spot.trouble("must be a depth and its two slopes, or a carve");
        }
        if (Math.hypot(p[1], p[2]) > STEEPEST) {
            throw spot.trouble("its slopes are steeper than " + STEEPEST + ", and no floor is");
        }
        return new Plane(p[0], p[1], p[2]);
    }

    private static Carve carve(JsonPlace spot) {
        double width = spot.number("width", 0.1, FARTHEST);
        return new Carve(
                spot.word("face", FACES),
                spot.number("flat", -FARTHEST, FARTHEST),
                course(spot, width),
                new Profile(
                        spot.word("shape", SHAPES),
                        width,
                        spot.number("depth"),
                        spot.number("radius", 0),
                        spot.number("edge", 0)));
    }

    private static Course course(JsonPlace spot, double width) {
        if (spot.has("rays")) {
            return rays(spot.at("rays"));
        }
        if (spot.has("spot")) {
            return disc(spot.at("spot"));
        }
        if (spot.has("guide")) {
            return new Course.Stretch(guide(spot.at("guide")), width);
        }
        return spot.has("line") ? line(spot.at("line")) : Course.Rim.of(region(spot, "rim"), width);
    }

    private static Course rays(JsonPlace spot) {
        double[] p = spot.numbers(MOST_COORDINATES, FARTHEST);
        if (p.length < 10 || p.length % 5 != 0) {
            throw spot.trouble("must be the x, y of its line, the x, y of its edge and its reach, ray by ray");
        }
        List<Ruled.Ray> rays = new ArrayList<>();
        for (int i = 0; i < p.length; i += 5) {
            rays.add(new Ruled.Ray(new Point(p[i], p[i + 1]), new Point(p[i + 2], p[i + 3]), p[i + 4]));
        }
        return new Ruled(rays);
    }

    private static Course disc(JsonPlace spot) {
        double[] p = spot.numbers(3, FARTHEST);
        if (p.length != 3 || p[2] <= 0) {
            throw spot.trouble("must be x, y of its middle and its radius");
        }
        return new Course.Spot(new Point(p[0], p[1]), p[2]);
    }

    private static List<Point> guide(JsonPlace spot) {
        double[] p = spot.numbers(MOST_COORDINATES, FARTHEST);
        if (p.length < 4 || p.length % 2 != 0) {
            throw spot.trouble("must be x, y, x, y, ... of an open line");
        }
        List<Point> guide = new ArrayList<>();
        for (int i = 0; i < p.length; i += 2) {
            guide.add(new Point(p[i], p[i + 1]));
        }
        return guide;
    }

    private static Course line(JsonPlace spot) {
        double[] p = spot.numbers(4, FARTHEST);
        if (p.length != 4) {
            throw spot.trouble("must be x, y, x, y of its two ends");
        }
        if (Math.hypot(p[2] - p[0], p[3] - p[1]) < 1) {
            throw spot.trouble("its two ends lie closer than 1 mm together");
        }
        return new Course.Line(new Point(p[0], p[1]), new Point(p[2], p[3]));
    }

    /** An area on the plan, as its rings. */
    public static Region region(JsonPlace spot, String key) {
        List<double[]> rings = spot.list(key, MOST_RINGS, SurfaceFile::ring);
        Region.troubleOf(rings).ifPresent(trouble -> {
            throw spot.at(key).trouble(trouble);
        });
        return Region.ofRings(rings);
    }

    private static double[] ring(JsonPlace spot) {
        double[] ring = spot.numbers(MOST_COORDINATES, FARTHEST);
        boolean closed = ring.length >= 8
                && ring.length % 2 == 0
                && ring[0] == ring[ring.length - 2]
                && ring[1] == ring[ring.length - 1];
        if (!closed) {
            throw spot.trouble("must be x, y, x, y, ... coming back to its first point");
        }
        return ring;
    }

    public static JsonNode write(Surface surface) {
        if (surface instanceof Plane plane) {
            return numbers(plane.depth(), plane.slopeX(), plane.slopeY());
        }
        Carve carve = (Carve) surface;
        ObjectNode out = JSON.objectNode();
        out.put("face", carve.face().word()).put("flat", carve.flat());
        if (carve.course() instanceof Course.Line line) {
            out.set(
                    "line",
                    numbers(
                            line.from().x(),
                            line.from().y(),
                            line.to().x(),
                            line.to().y()));
        } else if (carve.course() instanceof Ruled ruled) {
            out.set(
                    "rays",
                    numbers(ruled.rays().stream()
                            .flatMapToDouble(r -> DoubleStream.of(
                                    r.line().x(),
                                    r.line().y(),
                                    r.edge().x(),
                                    r.edge().y(),
                                    r.reach()))
                            .map(SurfaceFile::micrometre)
                            .toArray()));
        } else if (carve.course() instanceof Course.Stretch stretch) {
            out.set(
                    "guide",
                    numbers(stretch.guide().stream()
                            .flatMapToDouble(p -> DoubleStream.of(p.x(), p.y()))
                            .map(SurfaceFile::micrometre)
                            .toArray()));
        } else if (carve.course() instanceof Course.Spot disc) {
            out.set("spot", numbers(disc.middle().x(), disc.middle().y(), disc.radius()));
        } else {
            out.set("rim", rings(((Course.Rim) carve.course()).outline()));
        }
        Profile profile = carve.profile();
        out.put("shape", profile.shape().word())
                .put("width", profile.width())
                .put("depth", profile.depth())
                .put("radius", profile.radius());
        return profile.edge() > 0 ? out.put("edge", profile.edge()) : out;
    }

    /** The rings of an area, to a micrometre. */
    public static ArrayNode rings(Region region) {
        ArrayNode rings = JSON.arrayNode();
        region.forEachRing(ring -> rings.add(
                numbers(Arrays.stream(ring).map(SurfaceFile::micrometre).toArray())));
        return rings;
    }

    private static double micrometre(double v) {
        return Math.rint(v * 1000) / 1000;
    }

    public static ArrayNode numbers(double... values) {
        ArrayNode out = JSON.arrayNode();
        for (double v : values) {
            out.add(v);
        }
        return out;
    }
}
