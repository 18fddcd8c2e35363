package ebauche.core.passes;

import ebauche.core.crib.Bit;

/**
 * One pass.
 *
 * @param cutter the bit in its router
 * @param guide what its bearing runs on
 * @param spacer under the template, nought without
 * @param from depth that was cut before it; in a pass from the far face, what stands between
 * @param to depth that it is set to, from the face the router stands over
 * @param projection of the bit out of the sole
 * @param engaged width of wood that it meets
 */
public record Pass(
        Cutter cutter, Guide guide, double spacer, double from, double to, double projection, double engaged) {

    /** What a bearing runs on. */
    public enum Guide {
        TEMPLATE("template on"),
        WALL("template off, bearing on the wall just cut"),
        FREEHAND("freehand, inside the line"),
        EDGE("tip bearing on the edge under the corner"),
        UNDER("tip bearing on the old wood under the cap"),
        FAR_WALL("flipped, tip bearing on the wall cut from the other face");

        private final String words;

        Guide(String words) {
            this.words = words;
        }

        /** Whether it is a wall that was cut before. */
        public boolean isWall() {
            return this == WALL || this == FAR_WALL;
        }

        public String words() {
            return words;
        }
    }

    /** The same bit on the same guide between other depths. */
    Pass between(double otherFrom, double otherTo) {
        return new Pass(cutter, guide, spacer, otherFrom, otherTo, projection - to + otherTo, engaged);
    }

    /** Whether its shank rides on the guide, without a bearing. */
    public boolean isRidden() {
        return cutter.bit().bearing() == Bit.Bearing.ITSELF;
    }

    /** What it is led by, as a card says it: a bit that is ridden has no bearing. */
    public String led() {
        return isRidden() && guide == Guide.WALL ? "template off, its shank on the wall just cut" : guide.words();
    }

    /** Depth that it takes. */
    public double bite() {
        return to - from;
    }

    /** Depth x width, mm². */
    public double crossSection() {
        return bite() * engaged;
    }
}
