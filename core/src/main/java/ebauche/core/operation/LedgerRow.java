package ebauche.core.operation;

import ebauche.core.measure.Reckoning;
import java.util.List;

/**
 * A line of what a step is done by, ticked at the bench as it goes.
 *
 * @param does what is done
 * @param figures what it is set or done to, each with its sum
 */
public record LedgerRow(String does, List<Reckoning> figures) {
    public LedgerRow {
        figures = List.copyOf(figures);
    }

    public static LedgerRow of(String does, Reckoning... figures) {
        return new LedgerRow(does, List.of(figures));
    }
}
