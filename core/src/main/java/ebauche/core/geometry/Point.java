package ebauche.core.geometry;

/** A place on the plan, millimetres in the body's frame. */
public record Point(double x, double y) {
    public Point {
        if (!Double.isFinite(x) || !Double.isFinite(y)) {
            throw new IllegalArgumentException("a point needs two finite coordinates");
        }
    }

    public double distance(Point other) {
        // Millimetres of a body neither overflow nor vanish when they are squared; hypot guards against it at ten times
        // the time.
        double dx = x - other.x;
        double dy = y - other.y;
        return Math.sqrt(dx * dx + dy * dy);
    }

    public Point plus(double dx, double dy) {
        return new Point(x + dx, y + dy);
    }

    /** The point a share {@code t} of the way to {@code other}. */
    public Point towards(Point other, double t) {
        return new Point(x + (other.x - x) * t, y + (other.y - y) * t);
    }

    double cross(Point other) {
        return x * other.y - other.x * y;
    }
}
