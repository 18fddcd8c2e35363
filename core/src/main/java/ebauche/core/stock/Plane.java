package ebauche.core.stock;

import ebauche.core.geometry.Point;
import ebauche.core.geometry.Region;

/**
 * A flat surface across the body: the depth over the plan.
 *
 * @param depth at the origin, mm
 * @param slopeX growth of depth per mm along x
 * @param slopeY growth of depth per mm along y
 */
public record Plane(double depth, double slopeX, double slopeY) implements Surface {
    public Plane {
        if (!Double.isFinite(depth) || !Double.isFinite(slopeX) || !Double.isFinite(slopeY)) {
            throw new IllegalArgumentException("a plane needs finite numbers");
        }
    }

    public static Plane at(double depth) {
        return new Plane(depth, 0, 0);
    }

    /** A plane that has {@code depth} along the line y = {@code y} and deepens towards the neck by {@code degrees}. */
    public static Plane tilted(double depth, double y, double degrees) {
        double slope = Math.tan(Math.toRadians(degrees));
        return new Plane(depth - slope * y, 0, slope);
    }

    @Override
    public double depthAt(double x, double y) {
        return depth + slopeX * x + slopeY * y;
    }

    @Override
    public boolean isLevel() {
        return slopeX == 0 && slopeY == 0;
    }

    /** A flat surface is deepest, and shallowest, at a corner; a level one is told from a place well inside. */
    @Override
    public Point highest(Region over) {
        return isLevel() ? over.inner() : over.farthest(-slopeX, -slopeY);
    }

    @Override
    public Point lowest(Region over) {
        return isLevel() ? over.inner() : over.farthest(slopeX, slopeY);
    }

    @Override
    public double shallowest(Region over) {
        return isLevel() ? depth : Surface.super.shallowest(over);
    }

    @Override
    public double deepest(Region over) {
        return isLevel() ? depth : Surface.super.deepest(over);
    }

    @Override
    public Plane lowered(double by) {
        return new Plane(depth + by, slopeX, slopeY);
    }
}
