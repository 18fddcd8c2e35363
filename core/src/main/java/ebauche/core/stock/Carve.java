package ebauche.core.stock;

import ebauche.core.geometry.Face;
import ebauche.core.geometry.Point;
import ebauche.core.geometry.Region;
import java.util.function.DoubleUnaryOperator;

/**
 * A face that falls away into the body from a line, by a profile across; level with the face where it is not carved.
 *
 * @param face that is carved
 * @param flat depth of that face in the stock where it is not carved
 */
public record Carve(Face face, double flat, Course course, Profile profile) implements Surface {
    /** How far it lies inside the face at a place, mm. */
    public double fall(double x, double y) {
        return profile.fall(course.across(x, y));
    }

    public double fall(Point at) {
        return fall(at.x(), at.y());
    }

    /** The most it lies inside the face over an area: a profile never rises again, so where it is farthest in. */
    public double mostFall(Region over) {
        return fall(course.farthest(over));
    }

    /** Whether another lies at one distance from it everywhere. */
    boolean runsWith(Carve other) {
        return face == other.face && course.equals(other.course) && profile.equals(other.profile);
    }

    @Override
    public double depthAt(double x, double y) {
        return face == Face.FRONT ? flat + fall(x, y) : flat - fall(x, y);
    }

    @Override
    public Depths over(Grid grid) {
        double sign = face == Face.FRONT ? 1 : -1;
        if (course instanceof Course.Rim rim) {
            return told(rim.over(grid, profile), sign);
        }
        if (course instanceof Course.Stretch stretch) {
            return told(stretch.over(grid, profile), sign);
        }
        DoubleUnaryOperator falling = profile.falling();
        return (column, row) -> flat + sign * falling.applyAsDouble(course.across(grid.x(column), grid.y(row)));
    }

    private Depths told(FallenCells fallen, double sign) {
        return (column, row) -> flat + sign * fallen.at(column, row);
    }

    @Override
    public boolean isLevel() {
        return false;
    }

    @Override
    public Point highest(Region over) {
        return face == Face.FRONT ? course.nearest(over) : course.farthest(over);
    }

    @Override
    public Point lowest(Region over) {
        return face == Face.FRONT ? course.farthest(over) : course.nearest(over);
    }

    /** On the side of the face it is told by the face itself, which it never passes. */
    @Override
    public double shallowest(Region over) {
        return face == Face.FRONT ? flat : Surface.super.shallowest(over);
    }

    @Override
    public double deepest(Region over) {
        return face == Face.FRONT ? Surface.super.deepest(over) : flat;
    }

    @Override
    public Carve lowered(double by) {
        return new Carve(face, flat + by, course, profile);
    }
}
