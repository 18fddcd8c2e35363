package ebauche.core.design;

import ebauche.core.geometry.Point;
import ebauche.core.geometry.Region;
import ebauche.core.measure.Refusal;
import ebauche.core.timber.Species;

/**
 * The rough blank that the body comes out of.
 *
 * @param species its timber
 * @param pieces how many are glued edge to edge
 * @param across its width, along x
 * @param along its length, along y
 * @param middleY y of its middle
 * @param thickness rough
 */
public record Blank(Species species, int pieces, double across, double along, double middleY, double thickness) {
    public Blank {
        Refusal.between(pieces, 1, 12, "pieces");
        Refusal.between(across, 1, 600, "across");
        Refusal.between(along, 1, 1200, "along");
        Refusal.between(thickness, 1, 120, "thickness");
        Refusal.between(middleY, -1200, 1200, "middleY");
    }

    public Region plan() {
        return Region.rectangle(new Point(0, middleY), across, along, 0, 0);
    }

    /** Mass at 12 % moisture, g. */
    public double grams() {
        return across * along * thickness * species.density().value() * 1e-6;
    }

    /** x of the seams between its pieces, which are of one width; none in a blank of one piece. */
    public double[] seams() {
        double[] at = new double[pieces - 1];
        for (int i = 0; i < at.length; i++) {
            at[i] = -across / 2 + (i + 1) * across / pieces;
        }
        return at;
    }
}
