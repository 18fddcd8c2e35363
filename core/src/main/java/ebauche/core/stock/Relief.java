package ebauche.core.stock;

import ebauche.core.feature.Feature;
import ebauche.core.geometry.Face;
import ebauche.core.geometry.Region;
import ebauche.core.measure.Fact;
import ebauche.core.measure.Quantity;
import ebauche.core.measure.Reckoning;

/** What shapes a face of the body: wood that falls away from a course by a profile, whatever kind of work cuts it. */
public interface Relief {
    /** The feature that makes it. */
    Feature feature();

    /** The face that it shapes. */
    Face face();

    /** What it takes of the plan. */
    Region plan();

    /** Where it begins. */
    Course course();

    /** How it falls away from there. */
    Profile profile();

    /** Its surface under a face that lies at a depth in the stock where it is not carved. */
    default Carve under(double flat) {
        return new Carve(face(), flat, course(), profile());
    }

    /** What cuts it over an area of a body whose face lies at that depth. */
    default Change cut(Region over, double now) {
        return Change.Remove.fromBody(
                feature(),
                face() == Face.FRONT
                        ? new Solid.Prism(over, Plane.at(now), under(now))
                        : new Solid.Prism(over, under(now), Plane.at(now)));
    }

    /** The part of it that lies at least so far from where it begins, mm. */
    default Region beyond(double across) {
        return course().beyond(plan(), across);
    }

    /** Wood that it takes under a flat face, mm³: by the middles of cells a millimetre wide, 0.2 % on what is wider than 20 mm. */
    default double volume() {
        Region plan = plan();
        Grid grid = Grid.covering(plan.minX(), plan.maxX(), plan.minY(), plan.maxY(), 1);
        Raster raster = Raster.of(plan, grid);
        Carve carve = under(0);
        double sum = 0;
        for (int row = raster.firstRow(); row < raster.endRow(); row++) {
            int[] spans = raster.spans(row);
            for (int i = 0; i < spans.length; i += 2) {
                for (int column = spans[i]; column < spans[i + 1]; column++) {
                    sum += carve.fall(grid.x(column), grid.y(row));
                }
            }
        }
        return sum;
    }

    /** How steeply it falls on the whole. */
    default Reckoning slope() {
        double width = profile().width();
        double depth = profile().depth();
        return Reckoning.of("slope of the " + feature().said(), Quantity.ANGLE)
                .length("deepest, d", Fact.typed(depth))
                .length("width there, w", width)
                .is(Math.toDegrees(Math.atan2(depth, width)), "arctan(d / w)");
    }
}
