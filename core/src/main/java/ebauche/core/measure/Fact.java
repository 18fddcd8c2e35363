package ebauche.core.measure;

/**
 * A number that the plan may rely on, and where it comes from.
 *
 * @param value in millimetres, degrees or what the quantity says
 * @param source typed, measured, usual value, rule or computed
 * @param origin the same in words, such as {@code design} or {@code reading of 14 May}
 */
public record Fact(double value, Source source, String origin) {

    public static Fact typed(double value) {
        return new Fact(value, Source.TYPED, "the design");
    }

    public static Fact nominal(double value, String part) {
        return new Fact(value, Source.NOMINAL, part + ", as sold");
    }

    public static Fact measured(double value, String origin) {
        return new Fact(value, Source.MEASURED, origin);
    }

    public static Fact usual(double value, String origin) {
        return new Fact(value, Source.DEFAULT, origin);
    }

    public static Fact rule(double value, String origin) {
        return new Fact(value, Source.RULE, origin);
    }
}
