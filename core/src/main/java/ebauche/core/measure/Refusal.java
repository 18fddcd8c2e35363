package ebauche.core.measure;

/**
 * A value that cannot be: which field of which thing, what was read and what would do.
 *
 * <p>Thrown by the constructors of core's values, so that whoever reads a file or a form can say where it entered.
 */
public final class Refusal extends IllegalArgumentException {
    private static final long serialVersionUID = 1L;

    private final String field;

    public Refusal(String field, String message) {
        super(message);
        this.field = field;
    }

    /** The record component that is refused. */
    public String field() {
        return field;
    }

    public static void unless(boolean holds, String field, String message) {
        if (!holds) {
            throw new Refusal(field, message);
        }
    }

    /** Refuses nought, negative and not-a-number. */
    public static void positive(double value, String field) {
        unless(value > 0, field, "must be more than zero, and is " + Decimals.plain(finite(value, field), 3));
    }

    public static void notNegative(double value, String field) {
        unless(value >= 0, field, "cannot be below zero, and is " + Decimals.plain(finite(value, field), 3));
    }

    public static void between(double value, double least, double most, String field) {
        unless(
                value >= least && value <= most,
                field,
                "must lie between " + Decimals.plain(least, 3) + " and " + Decimals.plain(most, 3) + ", and is "
                        + Decimals.plain(finite(value, field), 3));
    }

    private static double finite(double value, String field) {
        if (!Double.isFinite(value)) {
            throw new Refusal(field, "must be a number");
        }
        return value;
    }
}
