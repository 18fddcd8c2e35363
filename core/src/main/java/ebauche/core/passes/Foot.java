package ebauche.core.passes;

import ebauche.core.geometry.Point;
import ebauche.core.geometry.Region;

/**
 * What a router stands on, and where the hand over the work presses.
 *
 * @param diameter of the round part about the bit, mm
 * @param press from the bit's axis to where the inner hand presses, mm
 * @param knob width of the tongue that reaches to an offset base's knob; nought for a round base
 */
public record Foot(double diameter, double press, double knob) {
    /** A round base: the inner hand presses half way from the axis to its rim. */
    public static Foot round(double diameter) {
        return new Foot(diameter, diameter / 4, 0);
    }

    /** A base with a knob on a tongue that lies over the work. */
    public static Foot offset(double diameter, double toKnob) {
        return new Foot(diameter, toKnob, diameter / 2);
    }

    /** Its area, the bit's axis at a place and the work on one side of it; the hole for the bit is not taken off. */
    public Region over(Point axis, Point outward) {
        Region disc = Region.disc(axis, diameter);
        return knob > 0 ? disc.hullWith(Region.disc(pressed(axis, outward), knob)) : disc;
    }

    /** Where the inner hand presses. */
    public Point pressed(Point axis, Point outward) {
        return axis.plus(-outward.x() * press, -outward.y() * press);
    }
}
