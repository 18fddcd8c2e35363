package ebauche.core.stock;

import ebauche.core.geometry.Point;
import ebauche.core.geometry.Region;

/** The depth of a surface over the plan, mm: a flat one, or one that is carved. */
public sealed interface Surface permits Plane, Carve, Bore.Side {
    double depthAt(double x, double y);

    default double depthAt(Point p) {
        return depthAt(p.x(), p.y());
    }

    /** Whether it has one depth everywhere. */
    boolean isLevel();

    /** Where it comes nearest to the front over an area. */
    Point highest(Region over);

    /** Where it lies deepest over an area. */
    Point lowest(Region over);

    /** Its depths over the cells of a grid. */
    interface Depths {
        double at(int column, int row);
    }

    /** Its depth at the middle of each cell of a grid, for who asks for very many of them. */
    default Depths over(Grid grid) {
        return (column, row) -> depthAt(grid.x(column), grid.y(row));
    }

    /** The same surface so much deeper. */
    Surface lowered(double by);

    /** Its least depth over an area. */
    default double shallowest(Region over) {
        return depthAt(highest(over));
    }

    /** Its greatest depth over an area. */
    default double deepest(Region over) {
        return depthAt(lowest(over));
    }
}
