package ebauche.core.shop;

import ebauche.core.measure.Refusal;

/**
 * Cauls of one kind: stiff bars that spread a clamp's force. Millimetres.
 *
 * @param count how many there are
 * @param length of each
 * @param width the side that lies on the work
 * @param thickness in the direction of the force
 * @param crowned whether they are planed hollow towards the ends, so that clamping their ends presses their middle
 */
public record Caul(String name, int count, double length, double width, double thickness, boolean crowned) {
    public Caul {
        Refusal.unless(!name.isBlank() && name.length() <= 60, "name", "needs a name of at most 60 letters");
        Refusal.between(count, 0, 200, "count");
        Refusal.between(length, 20, 1500, "length");
        Refusal.between(width, 5, 300, "width");
        Refusal.between(thickness, 3, 200, "thickness");
    }
}
