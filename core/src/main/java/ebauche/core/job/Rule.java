package ebauche.core.job;

import ebauche.core.feature.Feature;
import ebauche.core.feature.Work;
import ebauche.core.geometry.Point;
import ebauche.core.measure.Reckoning;
import java.util.Locale;
import java.util.Optional;
import java.util.function.Supplier;

/**
 * One rule of the trade, with this body's number for it. It says alone what its number may be: "can it be made" shows it whether it
 * holds or not, and where it does not, it makes the finding that says so.
 *
 * @param work the kind of work that keeps to it
 * @param name short and lasting, such as {@code block}
 * @param about the subject of the trade that it belongs to
 * @param feature it is about
 * @param says what must hold, in the trade's words
 * @param number this body's
 * @param least the number may have; negative infinity for no end
 * @param most the number may have; infinity for no end
 * @param tight how near to an end is only just good, in the number's unit
 * @param at where on the body, if it has a place
 * @param cure what would help where it does not hold
 * @param finding what its maker is told: always where it does not hold, and by some rules where it only just does
 */
public record Rule(
        Work work,
        String name,
        About about,
        Feature feature,
        String says,
        Reckoning number,
        double least,
        double most,
        double tight,
        Optional<Point> at,
        String cure,
        Optional<Finding> finding) {
    private static final double NOISE = 1e-9;

    /** Subjects of the trade, in the order in which they are looked at. */
    public enum About {
        SPEC("Does it fit together?"),
        BLANK("Blank, thickness and outline"),
        NECK("Neck and bridge"),
        CAVITIES("Cavities and what goes into them"),
        CONTOURS("Contours"),
        WOOD("Wood that is left");

        private final String words;

        About(String words) {
            this.words = words;
        }

        public String words() {
            return words;
        }
    }

    /** How a number stands to its rule, gravest first. */
    public enum Verdict {
        FAILS("cannot be"),
        THINK_AGAIN("think again"),
        ONLY_JUST("only just"),
        UNUSUAL("not usual"),
        HOLDS("good");

        private final String words;

        Verdict(String words) {
            this.words = words;
        }

        public String words() {
            return words;
        }
    }

    /** Beyond an end it is as grave as its finding; within, it holds, or only just. */
    public Verdict verdict() {
        double room = room();
        if (room < -NOISE) {
            return switch (finding.orElseThrow().severity()) {
                case STOPS -> Verdict.FAILS;
                case THINK_AGAIN -> Verdict.THINK_AGAIN;
                case GOOD_TO_KNOW -> Verdict.UNUSUAL;
            };
        }
        return room < tight - NOISE ? Verdict.ONLY_JUST : Verdict.HOLDS;
    }

    /** How far the number is from the nearer end of what it may be; less than nought where it is beyond. */
    public double room() {
        return room(number, least, most);
    }

    private static double room(Reckoning number, double least, double most) {
        return Math.min(number.value() - least, most - number.value());
    }

    public boolean hasLeast() {
        return Double.isFinite(least);
    }

    public boolean hasMost() {
        return Double.isFinite(most);
    }

    /** A rule of a kind of work. */
    public static Builder of(Work work, String name, About about) {
        return new Builder(work, name, about);
    }

    /** Gathers a rule. What it says where it does not hold is made only then. */
    public static final class Builder {
        private final Work work;
        private final String name;
        private final About about;
        private Feature feature;
        private String says;
        private Reckoning number;
        private double least = Double.NEGATIVE_INFINITY;
        private double most = Double.POSITIVE_INFINITY;
        private double tight;
        private Optional<Point> at = Optional.empty();
        private String cure;
        private Supplier<Finding> fails = () -> plain(Finding.Severity.STOPS);
        private Optional<Supplier<Finding>> onlyJust = Optional.empty();

        private Builder(Work work, String name, About about) {
            this.work = work;
            this.name = name;
            this.about = about;
        }

        public Builder on(Feature named) {
            feature = named;
            return this;
        }

        public Builder says(String words) {
            says = words;
            return this;
        }

        public Builder at(Point place) {
            at = Optional.of(place);
            return this;
        }

        public Builder cure(String words) {
            cure = words;
            return this;
        }

        public Builder atLeast(Reckoning what, double limit) {
            return between(what, limit, Double.POSITIVE_INFINITY);
        }

        public Builder atMost(Reckoning what, double limit) {
            return between(what, Double.NEGATIVE_INFINITY, limit);
        }

        public Builder between(Reckoning what, double lower, double upper) {
            number = what;
            least = lower;
            most = upper;
            return this;
        }

        /** So near to an end it is only just good. */
        public Builder tight(double within) {
            tight = within;
            return this;
        }

        /** What is told where it does not hold: how much that matters, in plain words of its own. */
        public Builder fails(Finding.Severity severity) {
            return fails(() -> plain(severity));
        }

        /** What is told where it does not hold. */
        public Builder fails(Supplier<Finding> told) {
            fails = told;
            return this;
        }

        /** What is told where it only just holds; otherwise nothing is. */
        public Builder onlyJust(Supplier<Finding> told) {
            onlyJust = Optional.of(told);
            return this;
        }

        public Rule build() {
            double room = room(number, least, most);
            Optional<Finding> finding = room < -NOISE
                    ? Optional.of(fails.get())
                    : onlyJust.filter(told -> room < tight - NOISE).map(Supplier::get);
            return new Rule(work, name, about, feature, says, number, least, most, tight, at, cure, finding);
        }

        private Finding plain(Finding.Severity severity) {
            Finding.Builder told = Finding.of(severity, work, name)
                    .on(feature)
                    .number(number.what(), number.value(), number.quantity());
            at.ifPresent(told::at);
            boolean under = number.value() < least;
            told.number(under ? "least" : "most", under ? least : most, number.quantity());
            String what = number.what().substring(0, 1).toUpperCase(Locale.ROOT)
                    + number.what().substring(1);
            return told.says(
                    says.replaceAll("\\.$", "") + ": not here. " + what + " is {0}; {1} is the "
                            + (under ? "least." : "most."),
                    cure);
        }
    }
}
