package ebauche.core.timber;

import ebauche.core.geometry.Point;
import ebauche.core.geometry.Region;
import ebauche.core.measure.Refusal;

/**
 * A board's fault where it has come to lie in a blank: the box around it in the body's frame, {@code top} and
 * {@code bottom} down from the blank's upper face. Millimetres.
 */
public record Flaw(Defect.Kind kind, double minX, double maxX, double minY, double maxY, double top, double bottom) {
    public Flaw {
        Refusal.unless(maxX > minX, "maxX", "must lie beyond minX");
        Refusal.unless(maxY > minY, "maxY", "must lie beyond minY");
        Refusal.unless(bottom > top, "bottom", "must lie below the top");
    }

    /** Its box on the plan. */
    public Region plan() {
        return Region.rectangle(new Point((minX + maxX) / 2, (minY + maxY) / 2), maxX - minX, maxY - minY, 0, 0);
    }

    /** The same fault when the blank is moved under the body. */
    public Flaw moved(double dx, double dy) {
        return new Flaw(kind, minX + dx, maxX + dx, minY + dy, maxY + dy, top, bottom);
    }
}
