package ebauche.core.shop;

import ebauche.core.measure.Refusal;

/**
 * Clamps of one kind. Millimetres and newtons.
 *
 * @param name what the shop calls them
 * @param count how many there are
 * @param opening widest work they take
 * @param reach from the bar to the middle of the jaw
 * @param jaw width of the jaw
 * @param force that one gives, tightened by hand
 */
public record Clamp(String name, int count, double opening, double reach, double jaw, double force) {
    public Clamp {
        Refusal.unless(!name.isBlank() && name.length() <= 60, "name", "needs a name of at most 60 letters");
        Refusal.between(count, 0, 200, "count");
        Refusal.between(opening, 20, 3000, "opening");
        Refusal.between(reach, 5, 600, "reach");
        Refusal.between(jaw, 5, 200, "jaw");
        Refusal.between(force, 50, 40_000, "force");
    }
}
