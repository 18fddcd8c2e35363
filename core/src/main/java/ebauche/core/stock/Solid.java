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

    /** Least depth it reaches over a part of the plan, mm. */
    default double shallowest(Region over) {
        return shallowest();
    }

    /** Greatest depth it reaches over a part of the plan, mm. */
    default double deepest(Region over) {
        return deepest();
    }

    /**
     * Upright walls over a region between two surfaces.
     *
     * @param top the surface nearer the front
     * @param bottom the surface nearer the back
     */
    record Prism(Region plan, Surface top, Surface bottom) implements Solid {
        public static Prism between(Region plan, double top, double bottom) {
            return new Prism(plan, Plane.at(top), Plane.at(bottom));
        }

        @Override
        public double shallowest() {
            return shallowest(plan);
        }

        @Override
        public double deepest() {
            return deepest(plan);
        }

        @Override
        public double shallowest(Region over) {
            return extreme(top, over, true);
        }

        @Override
        public double deepest(Region over) {
            return extreme(bottom, over, false);
        }

        /**
         * A carve is level with its face beyond its own plan, so that it needs no cutting to size; a flat surface goes on
         * beyond it and does.
         */
        @SuppressWarnings("ReferenceEquality") // the whole of it, as it was given: no need to cut it to size
        private double extreme(Surface surface, Region over, boolean least) {
            if (surface.isLevel() || plan.isEmpty()) {
                return surface.depthAt(0, 0);
            }
            Region part = over == plan || surface instanceof Carve ? over : plan.intersection(over);
            Region asked = part.isEmpty() ? plan : part;
            return least ? surface.shallowest(asked) : surface.deepest(asked);
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
