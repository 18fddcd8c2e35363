package ebauche.core.stock;

import ebauche.core.geometry.Point;
import ebauche.core.geometry.Region;
import java.util.List;

/** An exact piece of space that a tool sweeps or a piece of wood fills. */
public sealed interface Solid {
    /** Its shadow on the plan. */
    Region plan();

    /** Least depth it reaches, mm. */
    double shallowest();

    /** Greatest depth it reaches, mm. */
    double deepest();

    /**
     * Upright walls over a region between two flat surfaces.
     *
     * @param top the surface nearer the front
     * @param bottom the surface nearer the back
     */
    record Prism(Region plan, Plane top, Plane bottom) implements Solid {
        public static Prism between(Region plan, double top, double bottom) {
            return new Prism(plan, Plane.at(top), Plane.at(bottom));
        }

        @Override
        public double shallowest() {
            return extreme(top, -1);
        }

        @Override
        public double deepest() {
            return extreme(bottom, 1);
        }

        private double extreme(Plane plane, int sign) {
            if (plane.isLevel() || plan.isEmpty()) {
                return plane.depth();
            }
            double[] most = {Double.NEGATIVE_INFINITY};
            plan.forEachRing(ring -> {
                for (int i = 0; i < ring.length; i += 2) {
                    most[0] = Math.max(most[0], sign * plane.depthAt(ring[i], ring[i + 1]));
                }
            });
            return sign * most[0];
        }
    }

    /**
     * A round hole drilled level, parallel to the faces.
     *
     * @param from where its axis enters the wood, on the plan
     * @param to where its axis ends
     * @param depth of the axis, mm
     */
    record Bore(Point from, Point to, double depth, double diameter) implements Solid {
        public Bore {
            if (!(diameter > 0) || from.distance(to) < 1e-6) {
                throw new IllegalArgumentException("a bore needs a diameter and a length");
            }
        }

        @Override
        public Region plan() {
            double length = from.distance(to);
            double sideX = -(to.y() - from.y()) / length * diameter / 2;
            double sideY = (to.x() - from.x()) / length * diameter / 2;
            return Region.ofRing(List.of(
                    from.plus(sideX, sideY),
                    from.plus(-sideX, -sideY),
                    to.plus(-sideX, -sideY),
                    to.plus(sideX, sideY)));
        }

        @Override
        public double shallowest() {
            return depth - diameter / 2;
        }

        @Override
        public double deepest() {
            return depth + diameter / 2;
        }

        /** Half the chord of the round section at a plan point, 0 outside. */
        double halfChord(double x, double y) {
            double length = from.distance(to);
            double off = ((to.x() - from.x()) * (y - from.y()) - (to.y() - from.y()) * (x - from.x())) / length;
            double square = diameter * diameter / 4 - off * off;
            return square > 0 ? Math.sqrt(square) : 0;
        }
    }
}
