package ebauche.core.stock;

import ebauche.core.geometry.EdgeDistance;
import ebauche.core.geometry.Point;
import ebauche.core.geometry.Region;

/** Where a carve begins, and how far from there a place lies. */
public sealed interface Course {
    /** Distance of a place from where the carve begins, mm; nought or less where it is not carved. */
    double across(double x, double y);

    /** The place of an area that lies farthest into the carve. */
    Point farthest(Region over);

    /** The place of an area that lies nearest to where the carve begins, or out of it. */
    Point nearest(Region over);

    /** A straight line over the face, carved to its left when walked from one end to the other. */
    record Line(Point from, Point to) implements Course {
        public Line {
            if (from.distance(to) < 1) {
                throw new IllegalArgumentException("a line needs a length");
            }
        }

        @Override
        public double across(double x, double y) {
            return leftX() * (x - from.x()) + leftY() * (y - from.y());
        }

        private double leftX() {
            return -(to.y() - from.y()) / from.distance(to);
        }

        private double leftY() {
            return (to.x() - from.x()) / from.distance(to);
        }

        @Override
        public Point farthest(Region over) {
            return over.farthest(leftX(), leftY());
        }

        @Override
        public Point nearest(Region over) {
            return over.farthest(-leftX(), -leftY());
        }
    }

    /** All round, from a line so far inside the outline. */
    final class Rim implements Course {
        private final Region outline;
        private final double width;
        private final EdgeDistance edge;

        public Rim(Region outline, double width) {
            this.outline = outline;
            this.width = width;
            this.edge = EdgeDistance.of(outline, width);
        }

        public Region outline() {
            return outline;
        }

        public double width() {
            return width;
        }

        @Override
        public double across(double x, double y) {
            return width - edge.at(x, y);
        }

        /** The area's place that lies nearest to the outline. */
        @Override
        public Point farthest(Region over) {
            return over.nearestToEdge(outline)[0];
        }

        /** Any place well inside: how far the flat reaches is not asked for, and the face stands for it. */
        @Override
        public Point nearest(Region over) {
            return over.inner();
        }

        @Override
        public boolean equals(Object other) {
            return other instanceof Rim rim && rim.outline.equals(outline) && rim.width == width;
        }

        @Override
        public int hashCode() {
            return outline.hashCode();
        }
    }
}
