package ebauche.core.contour;

import ebauche.core.design.Contour;
import ebauche.core.geometry.Face;
import ebauche.core.geometry.Point;
import ebauche.core.geometry.Region;
import ebauche.core.job.Build;
import ebauche.core.stock.Profile;
import java.util.OptionalDouble;

/**
 * Contours as they are usually begun, laid on a body's own outline for the maker to move: common practice, shares of the
 * body's length, width and thickness. The arm and the belly lie on the side away from the controls.
 */
public enum UsualContour {
    FOREARM("forearm") {
        @Override
        Contour on(Region body, double bass, double thick) {
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
    BELLY("belly") {
        @Override
        Contour on(Region body, double bass, double thick) {
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
    TOP("top") {
        @Override
        Contour on(Region body, double bass, double thick) {
            double width = Math.rint(0.15 * (body.maxX() - body.minX()));
            return new Contour(
                    id(),
                    Face.FRONT,
                    new Contour.Start.Round(width),
                    Math.rint(0.2 * thick * 2) / 2,
                    Profile.Shape.ROUND,
                    OptionalDouble.empty());
        }
    };

    private final String id;

    UsualContour(String id) {
        this.id = id;
    }

    public String id() {
        return id;
    }

    /** As it is usually begun on this body. */
    public Contour on(Build build) {
        Region body = build.design().outline().region();
        return on(body, -build.design().hand().treble(), build.design().thickness());
    }

    /** @param bass which way the bass side lies: -1 to the left, seen from the front */
    abstract Contour on(Region body, double bass, double thick);

    Contour across(Face face, Point from, Point to, double depth, Profile.Shape shape, OptionalDouble radius) {
        return new Contour(
                id, face, new Contour.Start.Across(half(from), half(to)), Math.rint(depth * 2) / 2, shape, radius);
    }

    private static Point half(Point p) {
        return new Point(Math.rint(p.x() * 2) / 2, Math.rint(p.y() * 2) / 2);
    }
}
