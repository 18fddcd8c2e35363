package ebauche.core.crib;

import ebauche.core.measure.Refusal;
import java.time.LocalDate;
import java.util.List;

/**
 * How far a bit's edge has cut since it was last sharp.
 *
 * @param metres by the record
 * @param lasts after how many metres the shop looks at an edge
 */
public record EdgeUse(double metres, double lasts) {
    private static final double MM_PER_METRE = 1000;

    public EdgeUse {
        Refusal.notNegative(metres, "metres");
        Refusal.positive(lasts, "lasts");
    }

    /**
     * What one step routed with one bit.
     *
     * @param bit its name
     * @param on the day it was done
     * @param way how far it cut, mm
     */
    public record Cut(String bit, LocalDate on, double way) {}

    /** What of a shop's cuts a bit made since the day it was sharpened, or ever where that is not known. */
    public static EdgeUse of(Bit bit, List<Cut> cuts, double lasts) {
        double way = cuts.stream()
                .filter(c -> c.bit().equals(bit.name()))
                .filter(c -> bit.sharpened().map(day -> !c.on().isBefore(day)).orElse(true))
                .mapToDouble(Cut::way)
                .sum();
        return new EdgeUse(way / MM_PER_METRE, lasts);
    }

    /** Whether its edge wants to be looked at before it cuts on. */
    public boolean isDue() {
        return metres >= lasts;
    }
}
