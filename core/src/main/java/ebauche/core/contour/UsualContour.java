package ebauche.core.contour;

import ebauche.core.design.Contour;
import ebauche.core.geometry.EdgeWalk;
import ebauche.core.geometry.Face;
import ebauche.core.geometry.Point;
import ebauche.core.geometry.Region;
import ebauche.core.hardware.Control;
import ebauche.core.job.Build;
import ebauche.core.stock.Profile;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * Contours as they are usually begun, laid on a body's own outline for the maker to move: common practice, shares of the
 * body's length, width and thickness. The arm and the belly lie on the side away from the controls.
 */
public enum UsualContour {
    FOREARM("forearm", "forearm") {
        @Override
        Contour on(Build build, Region body, double bass, double thick) {
            double tail = body.minY();
            double edge = bass < 0 ? body.minX() : body.maxX();
            double width = body.maxX() - body.minX();
            double length = body.maxY() - tail;
            return across(
                    Face.FRONT,
                    new Point(edge, tail + 0.42 * length),
                    new Point(edge - bass * 0.55 * width, tail),
                    0.4 * thick,
                    Profile.Shape.STRAIGHT,
                    OptionalDouble.empty());
        }
    },
    BELLY("belly", "belly") {
        @Override
        Contour on(Build build, Region body, double bass, double thick) {
            double edge = bass < 0 ? body.minX() : body.maxX();
            double length = body.maxY() - body.minY();
            double in = 0.24 * (body.maxX() - body.minX());
            return across(
                    Face.BACK,
                    new Point(edge - bass * in, body.minY() + 0.45 * length),
                    new Point(edge - bass * in * 0.8, body.maxY()),
                    0.35 * thick,
                    Profile.Shape.HOLLOW,
                    OptionalDouble.of(400));
        }
    },
    TOP("top", "carved top") {
        @Override
        Contour on(Build build, Region body, double bass, double thick) {
            double width = Math.rint(0.15 * (body.maxX() - body.minX()));
            return new Contour(
                    id(),
                    Face.FRONT,
                    new Contour.Start.Round(width),
                    Math.rint(0.2 * thick * 2) / 2,
                    Profile.Shape.ROUND,
                    OptionalDouble.empty());
        }
    },
    HEEL("heel", "heel ramp") {
        @Override
        Contour on(Build build, Region body, double bass, double thick) {
            return along(Face.BACK, besideTheNeck(build, body, -bass, 70, 45), 40, 0.35 * thick, Profile.Shape.BLENDED);
        }
    },
    CUTAWAY("cutaway", "cutaway relief") {
        @Override
        Contour on(Build build, Region body, double bass, double thick) {
            return along(Face.BACK, besideTheNeck(build, body, -bass, 160, 40), 26, 0.25 * thick, Profile.Shape.ROUND);
        }
    },
    WRIST("wrist", "wrist relief") {
        @Override
        Contour on(Build build, Region body, double bass, double thick) {
            double tail = body.minY();
            double length = body.maxY() - tail;
            return along(
                    Face.FRONT,
                    between(body, bass, tail + 0.12 * length, tail + 0.38 * length, 50),
                    34,
                    0.15 * thick,
                    Profile.Shape.BLENDED);
        }
    },
    BEVEL("bevel", "comfort bevel") {
        @Override
        Contour on(Build build, Region body, double bass, double thick) {
            double tail = body.minY();
            double length = body.maxY() - tail;
            // As a bit of 60 degrees leaves it: tan 30 of its width down the edge.
            return along(
                    Face.FRONT,
                    between(body, bass, tail + 0.1 * length, tail + 0.55 * length, 60),
                    18,
                    18 * Math.tan(Math.toRadians(30)),
                    Profile.Shape.STRAIGHT);
        }
    },
    KNOB("knob", "knob recess") {
        @Override
        Contour on(Build build, Region body, double bass, double thick) {
            Point at = build.design().controls().stream()
                    .map(Control::at)
                    .filter(p -> build.design().contours().stream().noneMatch(c -> isAt(c, p)))
                    .findFirst()
                    .orElse(body.inner());
            double deep = 3;
            double rounded = 6;
            return new Contour(
                    id(),
                    Face.FRONT,
                    new Contour.Start.Disc(half(at), 28, rounded),
                    deep,
                    Profile.Shape.HOLLOW,
                    OptionalDouble.of(Math.ceil(2 * Profile.smallestRadius(rounded, deep)) / 2));
        }
    };

    /** Nearer to a disc's middle a place is that disc's, mm. */
    private static final double SAME = 5;

    private final String id;
    private final String words;

    UsualContour(String id, String words) {
        this.id = id;
        this.words = words;
    }

    public String words() {
        return words;
    }

    public String id() {
        return id;
    }

    /** As it is usually begun on this body. */
    public Contour on(Build build) {
        Region body = build.design().outline().region();
        return on(build, body, -build.design().hand().treble(), build.design().thickness());
    }

    /** @param bass which way the bass side lies: -1 to the left, seen from the front */
    abstract Contour on(Build build, Region body, double bass, double thick);

    Contour across(Face face, Point from, Point to, double depth, Profile.Shape shape, OptionalDouble radius) {
        return new Contour(
                id, face, new Contour.Start.Across(half(from), half(to)), Math.rint(depth * 2) / 2, shape, radius);
    }

    Contour along(Face face, Contour.Start.Stretch stretch, double width, double depth, Profile.Shape shape) {
        return new Contour(
                id,
                face,
                new Contour.Start.Round(width, Optional.of(stretch)),
                Math.rint(depth * 2) / 2,
                shape,
                OptionalDouble.empty());
    }

    /** So much of the edge beside the neck's mouth, on a side of it. */
    static Contour.Start.Stretch besideTheNeck(Build build, Region body, double side, double length, double fade) {
        EdgeWalk walk = new EdgeWalk(body);
        Region pocket = build.design().neck().pocket();
        Point mouth = pocket.isEmpty()
                ? new Point(side * 30, body.maxY())
                : new Point(side > 0 ? pocket.maxX() : pocket.minX(), pocket.maxY());
        double beside = walk.nearest(mouth) - side * (fade + 5);
        return stretch(walk, Math.min(beside, beside - side * length), Math.max(beside, beside - side * length), fade);
    }

    /** The edge on a side between two heights. */
    static Contour.Start.Stretch between(Region body, double side, double low, double high, double fade) {
        EdgeWalk walk = new EdgeWalk(body);
        double far = side < 0 ? body.minX() : body.maxX();
        double one = walk.nearest(new Point(far, low));
        double other = walk.nearest(new Point(far, high));
        // Anticlockwise the edge goes up on the right and down on the left.
        return side < 0 ? stretch(walk, other, one, fade) : stretch(walk, one, other, fade);
    }

    private static Contour.Start.Stretch stretch(EdgeWalk walk, double from, double to, double fade) {
        return new Contour.Start.Stretch(half(walk.at(from, 0)), half(walk.at(to, 0)), fade);
    }

    static boolean isAt(Contour contour, Point at) {
        return contour.start() instanceof Contour.Start.Disc disc && disc.at().distance(at) < SAME;
    }

    static Point half(Point p) {
        return new Point(Math.rint(p.x() * 2) / 2, Math.rint(p.y() * 2) / 2);
    }
}
