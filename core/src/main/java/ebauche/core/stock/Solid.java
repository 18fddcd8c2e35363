package ebauche.core.stock;

import ebauche.core.geometry.Region;

/** An exact piece of space that a tool sweeps or a piece of wood fills. */
public sealed interface Solid permits Solid.Prism, Bore {
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
}
