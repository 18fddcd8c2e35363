package ebauche.core.stock;

import ebauche.core.geometry.EdgeDistance;
import ebauche.core.geometry.EdgeWalk;
import ebauche.core.geometry.Point;
import ebauche.core.geometry.Region;
import ebauche.core.memo.Memo;
import java.util.ArrayList;
import java.util.List;

/** Where a carve begins, and how far from there a place lies. */
public sealed interface Course permits Course.Line, Course.Rim, Course.Stretch, Course.Spot, Ruled {
    /** Distance of a place from where the carve begins, mm; nought or less where it is not carved. */
    double across(double x, double y);

    /** The place of an area that lies farthest into the carve. */
    Point farthest(Region over);

    /** The place of an area that lies nearest to where the carve begins, or out of it. */
    Point nearest(Region over);

    /** The part of an area that lies at least so far into the carve. */
    Region beyond(Region plan, double across);

    /** How much farther into the carve a place lies for each millimetre of way, at most. */
    default double steepest() {
        return 1;
    }

    /** A straight line over the face, carved to its left when walked from one end to the other. */
    final class Line implements Course {
        private final Point from;
        private final Point to;
        /** The way to the left, of length one: reckoned once, asked for every cell of a carve. */
        private final double leftX;

        private final double leftY;

        public Line(Point from, Point to) {
            double length = from.distance(to);
            if (length < 1) {
                throw new IllegalArgumentException("a line needs a length");
            }
            this.from = from;
            this.to = to;
            this.leftX = -(to.y() - from.y()) / length;
            this.leftY = (to.x() - from.x()) / length;
        }

        public Point from() {
            return from;
        }

        public Point to() {
            return to;
        }

        @Override
        public double across(double x, double y) {
            return leftX * (x - from.x()) + leftY * (y - from.y());
        }

        @Override
        public Point farthest(Region over) {
            return over.farthest(leftX, leftY);
        }

        @Override
        public Point nearest(Region over) {
            return over.farthest(-leftX, -leftY);
        }

        @Override
        public Region beyond(Region plan, double across) {
            Point a = from.plus(leftX * across, leftY * across);
            Point b = to.plus(leftX * across, leftY * across);
            return plan.intersection(plan.leftOf(a, b));
        }

        @Override
        public boolean equals(Object other) {
            return other instanceof Line line && line.from.equals(from) && line.to.equals(to);
        }

        @Override
        public int hashCode() {
            return from.hashCode() * 31 + to.hashCode();
        }
    }

    /**
     * All round, from a line so far inside the outline.
     *
     * <p>Distances from an outline are dear and the same for every plan of one body: rims are remembered with
     * what was reckoned of them, which changes no answer.
     */
    final class Rim implements Course {
        private record Key(Region outline, double width) {}

        private record Farthest(Key rim, Region over) {}

        private final Region outline;
        private final double width;
        private final EdgeDistance edge;
        private final FallenCells.Last cells = new FallenCells.Last();

        private Rim(Region outline, double width) {
            this.outline = outline;
            this.width = width;
            this.edge = EdgeDistance.of(outline, width);
        }

        /** The rim of an outline, so far in. */
        public static Rim of(Region outline, double width) {
            return Memo.here().get(new Key(outline, width), () -> new Rim(outline, width), Rim::bytes);
        }

        private long bytes() {
            return edge.bytes() + FallenCells.bytesOver(outline);
        }

        FallenCells over(Grid grid, Profile profile) {
            return cells.over(this, grid, profile);
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

        /** The area's place that lies nearest to the outline: every cut of a body asks for its own. */
        @Override
        public Point farthest(Region over) {
            return Memo.here()
                    .get(new Farthest(new Key(outline, width), over), () -> over.nearestToEdge(outline)[0], p -> 0);
        }

        @Override
        public Region beyond(Region plan, double across) {
            Region inside = outline.grown(across - width);
            return inside.isEmpty() ? plan : plan.minus(inside);
        }

        /** Any place well inside: how far the flat reaches is not asked for, and the face stands for it. */
        @Override
        public Point nearest(Region over) {
            return over.inner();
        }

        @Override
        public boolean equals(Object other) {
            return other == this || (other instanceof Rim rim && rim.outline.equals(outline) && rim.width == width);
        }

        @Override
        public int hashCode() {
            return outline.hashCode();
        }
    }

    /** Inside a circle, so far from it towards its middle. */
    record Spot(Point middle, double radius) implements Course {
        /** Its middle as an area. */
        private static final double POINT = 1e-6;

        @Override
        public double across(double x, double y) {
            return radius - Math.hypot(x - middle.x(), y - middle.y());
        }

        @Override
        public Point farthest(Region over) {
            return over.contains(middle) ? middle : over.nearest(Region.disc(middle, POINT))[0];
        }

        /** Any place well inside: the face stands for what lies nearer. */
        @Override
        public Point nearest(Region over) {
            return over.inner();
        }

        @Override
        public Region beyond(Region plan, double across) {
            return across >= radius ? Region.EMPTY : plan.intersection(Region.disc(middle, 2 * (radius - across)));
        }
    }

    /**
     * Along a stretch of the outline, from a line so far inside it, fading out at both ends.
     *
     * <p>It is told by the way to a guide: the stretch itself, and at each end a tail that leaves the outline outward until it is as far out
     * as the work is wide; there nothing of the body is reached any more. How far a place lies across therefore changes by no more than the
     * way to it, as with every course, and what is exact for a rim is exact here.
     */
    final class Stretch implements Course {
        /** The guide follows the outline by pieces no longer than this, mm. */
        private static final double PIECE = 1;

        /** The guide as an area has next to no width, mm. */
        private static final double THIN = 1e-6;

        /** A tail's length is told to this, mm, by so many of its places. */
        private static final double TAIL = 0.01;

        private static final int TRIED = 100;

        /** What an area along the guide weighs for each of its places. */
        private static final int BYTES_A_PLACE = 400;

        private final List<Point> guide;
        private final Point middle;
        private final double width;
        private final EdgeDistance way;
        private final Region line;
        /** Of its guide: asked for with every cut of a plan. */
        private final int hash;

        private final FallenCells.Last cells = new FallenCells.Last();

        /**
         * As a record has it.
         *
         * @param guide from the end of one tail to that of the other, the stretch between them
         */
        public Stretch(List<Point> guide, double width) {
            if (guide.size() < 2) {
                throw new IllegalArgumentException("a stretch needs a guide");
            }
            this.guide = List.copyOf(guide);
            this.middle = guide.get(guide.size() / 2);
            this.width = width;
            this.way = EdgeDistance.ofLine(guide, width);
            this.line = Region.alongLine(guide, THIN);
            this.hash = this.guide.hashCode();
        }

        /**
         * A stretch of an outline, walked anticlockwise.
         *
         * @param from near where it begins
         * @param to near where it ends
         * @param fade how far along the edge it takes to fade out, mm; at least the width
         * @param width how far inside the outline the work begins, mm
         */
        public static Stretch of(Region outline, Point from, Point to, double fade, double width) {
            return Memo.here()
                    .get(
                            new Question(outline, from, to, fade, width),
                            () -> laid(outline, from, to, fade, width),
                            s -> s.way.bytes() + FallenCells.bytesOver(outline));
        }

        private record FarthestIn(Stretch stretch, Region over) {}

        private record Question(Region outline, Point from, Point to, double fade, double width) {}

        private static Stretch laid(Region outline, Point from, Point to, double fade, double width) {
            EdgeWalk walk = new EdgeWalk(outline);
            double begins = walk.nearest(from);
            double ends = walk.nearest(to);
            double length = ends >= begins ? ends - begins : ends - begins + walk.length();
            List<Point> guide = new ArrayList<>();
            double leaves = tail(fade, width);
            int tail = (int) Math.max(4, Math.ceil(Math.max(leaves, width) / PIECE));
            for (int i = 0; i < tail; i++) {
                double out = 1 - (double) i / tail;
                guide.add(walk.at(begins - out * leaves, width * eased(out)));
            }
            int pieces = (int) Math.max(1, Math.ceil(length / PIECE));
            for (int i = 0; i <= pieces; i++) {
                guide.add(walk.at(begins + length * i / pieces, 0));
            }
            for (int i = 1; i <= tail; i++) {
                double out = (double) i / tail;
                guide.add(walk.at(begins + length + out * leaves, width * eased(out)));
            }
            return new Stretch(guide, width);
        }

        /**
         * How far along the edge a tail leaves it, so that a place as far along as the work fades lies as far off the tail as it is wide: the
         * longest such, by halving, on an edge that is straight there.
         */
        private static double tail(double fade, double width) {
            double least = 0;
            double most = fade;
            while (most - least > TAIL) {
                double middle = (least + most) / 2;
                double off = Double.POSITIVE_INFINITY;
                for (int i = 0; i <= TRIED; i++) {
                    double out = (double) i / TRIED;
                    off = Math.min(off, Math.hypot(fade - out * middle, width * eased(out)));
                }
                if (off >= width) {
                    least = middle;
                } else {
                    most = middle;
                }
            }
            return least;
        }

        /** What it takes of a body: where the body comes near a tail once more, that is another part of it and is left alone. */
        public Region over(Region body) {
            return beyond(body, 0).parts().stream()
                    .filter(p -> p.outside(middle) < PIECE)
                    .reduce(Region.EMPTY, Region::union);
        }

        /** Leaves the outline without a corner, and ends beside it. */
        private static double eased(double share) {
            return share * share * (3 - 2 * share);
        }

        public List<Point> guide() {
            return guide;
        }

        FallenCells over(Grid grid, Profile profile) {
            return cells.over(this, grid, profile);
        }

        @Override
        public double across(double x, double y) {
            return width - way.at(x, y);
        }

        @Override
        public Point farthest(Region over) {
            return Memo.here().get(new FarthestIn(this, over), () -> over.nearest(line)[0], p -> 0);
        }

        @Override
        public Point nearest(Region over) {
            return over.inner();
        }

        private record Along(Stretch stretch, double across) {}

        /** What lies so far in, or farther, of whatever body; drawings and reliefs ask for the same again. */
        private Region along(double across) {
            return Memo.here()
                    .get(
                            new Along(this, across),
                            () -> Region.alongLine(guide, width - across),
                            r -> (long) BYTES_A_PLACE * guide.size());
        }

        @Override
        public Region beyond(Region plan, double across) {
            return across >= width ? Region.EMPTY : plan.intersection(along(across));
        }

        @Override
        public boolean equals(Object other) {
            return other == this
                    || (other instanceof Stretch s && s.hash == hash && s.width == width && s.guide.equals(guide));
        }

        @Override
        public int hashCode() {
            return hash;
        }
    }
}
