package ebauche.core.geometry;

/**
 * A way to lay a drawing on the plan that keeps its shapes: mirrored about the y axis or not, then scaled, turned and moved.
 *
 * @param mirrored whether x changes its sign first
 * @param scale mm per unit of the drawing
 * @param turned anticlockwise, radians
 */
public record Placing(boolean mirrored, double scale, double turned, double dx, double dy) {
    public static final Placing AS_IT_IS = new Placing(false, 1, 0, 0, 0);

    public Placing {
        if (!(scale > 0) || !Double.isFinite(scale + turned + dx + dy)) {
            throw new IllegalArgumentException("a drawing is laid down at a scale of more than zero");
        }
    }

    public static Placing scaled(double scale) {
        return new Placing(false, scale, 0, 0, 0);
    }

    public static Placing moved(double dx, double dy) {
        return new Placing(false, 1, 0, dx, dy);
    }

    /** Mirrored about the centre line: as seen from the back. */
    public static Placing fromTheBack() {
        return new Placing(true, 1, 0, 0, 0);
    }

    public Point of(Point p) {
        double x = mirrored ? -p.x() : p.x();
        double c = scale * Math.cos(turned);
        double s = scale * Math.sin(turned);
        return new Point(c * x - s * p.y() + dx, s * x + c * p.y() + dy);
    }

    /** Where a direction points afterwards, radians from the x axis. */
    double angle(double radians) {
        return (mirrored ? Math.PI - radians : radians) + turned;
    }
}
