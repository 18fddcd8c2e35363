package ebauche.core.stock;

import ebauche.core.measure.Refusal;
import java.util.function.DoubleUnaryOperator;

/**
 * How a carved surface falls away across its width, from the line where it begins to where it is deepest.
 *
 * <p>Straight, hollow (an arc that sags under the straight slope) or round (an arc that starts level with the face and
 * grows steeper). An arc goes through both ends of the straight slope; with c the length of that slope and R the radius,
 * its centre lies square to the slope's middle at √(R² − c²/4). Never rising: R ≥ (w² + d²) / 2d, where a hollow ends
 * level and a round one starts level. A blended one starts level along a parabola over a third of its width and goes on straight. An arched one
 * leaves the face level, is steepest at two thirds of its width and comes out level again, as a carved top does in its recurve: two parabolas
 * that meet with one slope, 2d / w. With a definite edge it begins down a facet of 45 degrees, and its shape lies behind that.
 *
 * @param width w, across the plan, mm
 * @param depth d, at the far side, mm
 * @param radius R of the arc; 0 for one that has none
 * @param edge how deep its definite edge is; 0 for one that feathers out onto the face
 */
public record Profile(Shape shape, double width, double depth, double radius, double edge) {
    /** Shapes across a carve. */
    public enum Shape {
        STRAIGHT("straight"),
        HOLLOW("hollow"),
        ROUND("round"),
        BLENDED("blended"),
        ARCHED("arched");

        private final String word;

        Shape(String word) {
            this.word = word;
        }

        public String word() {
            return word;
        }

        boolean isArc() {
            return this == HOLLOW || this == ROUND;
        }
    }

    /** An arched one is steepest at this share of its width: common practice. */
    private static final double RECURVE = 2.0 / 3;

    /** A definite edge's facet, degrees from the face: common practice. */
    private static final double FACET = 45;

    /** The share of its width over which a blended one leaves the face: common practice. */
    private static final double BLEND = 1.0 / 3;

    public Profile {
        Refusal.positive(width, "width");
        Refusal.positive(depth, "depth");
        Refusal.notNegative(edge, "edge");
        Refusal.unless(edge < depth && edge < width, "edge", "a definite edge is less deep than what lies behind it");
        if (!shape.isArc()) {
            Refusal.unless(radius == 0, "radius", "a straight slope has no radius");
        } else {
            Refusal.unless(
                    width >= depth,
                    "depth",
                    "an arc falls at most as far as it is wide; a straight one may be steeper");
            Refusal.unless(
                    radius >= smallestRadius(width - edge, depth - edge) - 1e-9,
                    "radius",
                    "an arc of that radius would rise again before the edge; at least "
                            + Math.ceil(smallestRadius(width - edge, depth - edge) * 10) / 10
                            + " mm over this width and depth");
        }
    }

    /** One that feathers out onto the face. */
    public Profile(Shape shape, double width, double depth, double radius) {
        this(shape, width, depth, radius, 0);
    }

    public static Profile straight(double width, double depth) {
        return new Profile(Shape.STRAIGHT, width, depth, 0);
    }

    /** An arc that starts level with the face. */
    public static Profile round(double width, double depth) {
        return new Profile(Shape.ROUND, width, depth, smallestRadius(width, depth));
    }

    /** A straight slope that begins level with the face, without an edge. */
    public static Profile blended(double width, double depth) {
        return new Profile(Shape.BLENDED, width, depth, 0);
    }

    /** Level at its line and level again where it ends, as an arch that runs out in a recurve. */
    public static Profile arched(double width, double depth) {
        return new Profile(Shape.ARCHED, width, depth, 0);
    }

    /** The same behind a definite edge so deep, which makes it so much wider and deeper. */
    public Profile behind(double definite) {
        return new Profile(shape, width + definite, depth + definite, radius, definite);
    }

    public static Profile hollow(double width, double depth, double radius) {
        return new Profile(Shape.HOLLOW, width, depth, radius);
    }

    /** The least radius of an arc that never rises between two ends w apart and d deep, mm. */
    public static double smallestRadius(double width, double depth) {
        return (width * width + depth * depth) / (2 * depth);
    }

    /** How far the surface has fallen at a distance from the line; nought before it and the whole depth beyond the width. */
    public double fall(double across) {
        return falling().applyAsDouble(across);
    }

    /** The same for who asks for very many distances: what they share is reckoned once. */
    DoubleUnaryOperator falling() {
        if (edge > 0) {
            DoubleUnaryOperator behind = feathered().falling();
            return t -> t <= 0 ? 0 : t < edge ? t : edge + behind.applyAsDouble(t - edge);
        }
        DoubleUnaryOperator within = switch (shape) {
            case STRAIGHT -> t -> depth * t / width;
            case BLENDED -> {
                double over = width * BLEND;
                double slope = depth / (width - over / 2);
                yield t -> t < over ? slope * t * t / (2 * over) : slope * (t - over / 2);
            }
            case ARCHED -> {
                double turns = width * RECURVE;
                double slope = 2 * depth / width;
                yield t -> t < turns
                        ? slope * t * t / (2 * turns)
                        : depth - slope * (width - t) * (width - t) / (2 * (width - turns));
            }
            case HOLLOW -> arc();
            // The same arc turned half round about the slope's middle.
            case ROUND -> {
                DoubleUnaryOperator arc = arc();
                yield t -> depth - arc.applyAsDouble(width - t);
            }
        };
        return t -> t <= 0 ? 0 : t >= width ? depth : within.applyAsDouble(t);
    }

    /** What lies behind its definite edge. */
    private Profile feathered() {
        return new Profile(shape, width - edge, depth - edge, radius);
    }

    /** How far from the line it has fallen so much: the reverse of {@link #fall}, by halving to a hundredth of a micrometre. */
    public double across(double fall) {
        double least = 0;
        double most = width;
        while (most - least > 1e-5) {
            double middle = (least + most) / 2;
            if (fall(middle) < fall) {
                least = middle;
            } else {
                most = middle;
            }
        }
        return (least + most) / 2;
    }

    /** The lower arc through (0, 0) and (w, d), depth downward: its centre lies above the slope, on the far side. */
    private DoubleUnaryOperator arc() {
        double slope = Math.hypot(width, depth);
        double rise = Math.sqrt(Math.max(0, radius * radius - slope * slope / 4));
        double centreAcross = width / 2 + rise * depth / slope;
        double centreDepth = depth / 2 - rise * width / slope;
        return t -> {
            double dx = t - centreAcross;
            return centreDepth + Math.sqrt(Math.max(0, radius * radius - dx * dx));
        };
    }

    /** The steepest it gets, degrees from the face. */
    public double steepest() {
        if (edge > 0) {
            return Math.max(FACET, feathered().steepest());
        }
        if (shape == Shape.ARCHED) {
            return Math.toDegrees(Math.atan2(2 * depth, width));
        }
        double level = shape == Shape.BLENDED ? width * BLEND / 2 : 0;
        double slope = Math.toDegrees(Math.atan2(depth, width - level));
        return radius == 0
                ? slope
                : slope + Math.toDegrees(Math.asin(Math.min(1, Math.hypot(width, depth) / (2 * radius))));
    }
}
