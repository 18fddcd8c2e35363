package ebauche.core.stock;

/** A bore by its definition: what lies no farther than its radius from its axis, between its two ends. */
final class RoundHole {
    private RoundHole() {}

    /** Whether a place in space, depth downward, lies in it. */
    static boolean holds(Bore bore, double x, double y, double z) {
        double[] axis = {
            bore.to().x() - bore.from().x(), bore.to().y() - bore.from().y(), bore.toDepth() - bore.fromDepth()
        };
        double[] place = {x - bore.from().x(), y - bore.from().y(), z - bore.fromDepth()};
        double length = Math.sqrt(dot(axis, axis));
        double along = dot(axis, place) / length;
        double off = Math.sqrt(Math.max(0, dot(place, place) - along * along));
        return off < bore.diameter() / 2 && along > 0 && along < length;
    }

    private static double dot(double[] a, double[] b) {
        return a[0] * b[0] + a[1] * b[1] + a[2] * b[2];
    }
}
