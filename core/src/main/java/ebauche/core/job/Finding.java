package ebauche.core.job;

import ebauche.core.feature.Feature;
import ebauche.core.feature.Work;
import ebauche.core.geometry.Point;
import ebauche.core.measure.Quantity;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;

/**
 * Something about a build that its maker should know.
 *
 * <p>{@code what} and {@code cure} are templates: {@code {0}}, {@code {1}}... stand for the numbers, which whoever
 * shows them writes in the maker's unit.
 *
 * @param severity how much it matters
 * @param work the kind of work it belongs to
 * @param rule a short lasting name of the rule that found it
 * @param what is wrong
 * @param feature the feature of the design that it is about, if it is about one
 * @param where on the plan, if it has a place
 * @param numbers in the templates' order
 * @param cure what would put it right
 */
public record Finding(
        Severity severity,
        Work work,
        String rule,
        String what,
        Optional<Feature> feature,
        Optional<Point> where,
        List<Value> numbers,
        String cure) {

    public enum Severity {
        STOPS("stops the build"),
        THINK_AGAIN("think again"),
        GOOD_TO_KNOW("good to know");

        private final String words;

        Severity(String words) {
            this.words = words;
        }

        public String words() {
            return words;
        }
    }

    /** One number of a finding. */
    public record Value(String name, double value, Quantity quantity) {}

    public Finding {
        numbers = List.copyOf(numbers);
    }

    /** Whether it is about that feature. */
    public boolean isOn(Feature which) {
        return feature.filter(which::equals).isPresent();
    }

    /** What is wrong, its numbers written by {@code writer}. */
    public String what(Function<Value, String> writer) {
        return filled(what, numbers, writer);
    }

    /** What would cure it, its numbers written by {@code writer}. */
    public String cure(Function<Value, String> writer) {
        return filled(cure, numbers, writer);
    }

    /** A template with its numbers in their places. */
    public static String filled(String template, List<Value> numbers, Function<Value, String> writer) {
        String text = template;
        for (int i = 0; i < numbers.size(); i++) {
            text = text.replace("{" + i + "}", writer.apply(numbers.get(i)));
        }
        return text;
    }

    public static Builder stops(Work work, String rule) {
        return new Builder(Severity.STOPS, work, rule);
    }

    public static Builder thinkAgain(Work work, String rule) {
        return new Builder(Severity.THINK_AGAIN, work, rule);
    }

    public static Builder goodToKnow(Work work, String rule) {
        return new Builder(Severity.GOOD_TO_KNOW, work, rule);
    }

    public static Builder of(Severity severity, Work work, String rule) {
        return new Builder(severity, work, rule);
    }

    /** Gathers a finding. */
    public static final class Builder {
        private final Severity severity;
        private final Work work;
        private final String rule;
        private final List<Value> numbers = new ArrayList<>();
        private Optional<Feature> feature = Optional.empty();
        private Optional<Point> where = Optional.empty();

        private Builder(Severity severity, Work work, String rule) {
            this.severity = severity;
            this.work = work;
            this.rule = rule;
        }

        public Builder on(Feature named) {
            feature = Optional.of(named);
            return this;
        }

        public Builder at(Point place) {
            where = Optional.of(place);
            return this;
        }

        public Builder length(String name, double value) {
            numbers.add(new Value(name, value, Quantity.LENGTH));
            return this;
        }

        public Builder number(String name, double value, Quantity quantity) {
            numbers.add(new Value(name, value, quantity));
            return this;
        }

        public Finding says(String what, String cure) {
            return new Finding(severity, work, rule, what, feature, where, numbers, cure);
        }
    }
}
