package ebauche.core.balance;

import ebauche.core.design.BodyDesign;
import ebauche.core.design.Hand;
import ebauche.core.feature.Feature;
import ebauche.core.feature.Work;
import ebauche.core.geometry.Point;
import ebauche.core.hardware.PartHole;
import ebauche.core.hardware.PartKind;
import ebauche.core.job.Finding;
import ebauche.core.job.History;
import ebauche.core.job.Rule;
import ebauche.core.measure.Fact;
import ebauche.core.measure.Quantity;
import ebauche.core.measure.Reckoning;
import ebauche.core.measure.Source;
import ebauche.core.plan.BuildPlan;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * What a guitar will weigh, where it balances, and how it hangs from its strap.
 *
 * @param guitar as it will be
 * @param hang from its two strap buttons; empty where the design has not both
 * @param played how far over level its neck is to stay, degrees
 */
public record Balance(Guitar guitar, Optional<Hang> hang, double played) {
    /** Wood that a hollow may take out, a way that a button may move, a share that lighter tuners weigh: to be tried. */
    private static final double LESS_WOOD = 300;

    private static final double BUTTON = 25;
    private static final double LIGHTER = 0.6;

    /** Of the finished body of a plan. */
    public static Balance of(BuildPlan plan) {
        return of(plan.build().design(), plan.history(), plan.steps().size());
    }

    /** Of a plan's body before one of its steps. */
    static Balance of(BodyDesign design, History history, int step) {
        Guitar guitar = new Guitar(history.before(step).balance(), Loads.of(design));
        return new Balance(
                guitar, hang(design, guitar.centre()), design.hanging().played());
    }

    private static Optional<Hang> hang(BodyDesign design, Point centre) {
        List<Point> buttons = design.holes().stream()
                .filter(h -> h.part().kind() == PartKind.STRAP_BUTTON)
                .map(PartHole::at)
                .sorted(Comparator.comparingDouble(Point::y))
                .toList();
        return buttons.size() < 2
                ? Optional.empty()
                : Optional.of(new Hang(
                        buttons.get(0),
                        buttons.get(buttons.size() - 1),
                        design.hanging().strap(),
                        centre,
                        design.hand() == Hand.RIGHT ? 1 : -1));
    }

    /** The angles at which it stays; empty where no angle is known or it stays at none. */
    public Optional<Hang.Range> range() {
        return hang.flatMap(Hang::highest);
    }

    /** The same with so much wood taken out at a place, g. */
    public Balance without(double grams, Point at) {
        Guitar lighter = guitar.without(grams, at);
        return new Balance(lighter, hang.map(h -> h.balancing(lighter.centre())), played);
    }

    /**
     * Something that would make it hang otherwise.
     *
     * @param what of all that can be tried
     * @param most the highest angle at which it would stay then, degrees; empty for none
     */
    public record Otherwise(Change what, double by, Optional<Hang.Range> most) {
        /** What is changed. */
        public enum Change {
            LESS_WOOD,
            MORE_WOOD,
            BUTTON_TO_THE_NECK,
            LIGHTER_TUNERS
        }
    }

    /** What less or more wood, a moved button and lighter tuners would do to it. */
    public List<Otherwise> otherwise() {
        List<Otherwise> all = new ArrayList<>();
        hang.ifPresent(h -> {
            all.add(otherwise(h, Otherwise.Change.LESS_WOOD, LESS_WOOD, guitar.lighter(LESS_WOOD)));
            all.add(otherwise(h, Otherwise.Change.MORE_WOOD, LESS_WOOD, guitar.lighter(-LESS_WOOD)));
            all.add(new Otherwise(
                    Otherwise.Change.BUTTON_TO_THE_NECK,
                    BUTTON,
                    h.from(h.high().plus(0, BUTTON)).highest()));
            guitar.loads().stream()
                    .filter(l -> l.said().endsWith("tuners"))
                    .findFirst()
                    .ifPresent(t -> all.add(otherwise(
                            h,
                            Otherwise.Change.LIGHTER_TUNERS,
                            t.grams().value() * (1 - LIGHTER),
                            guitar.with(t.said(), LIGHTER))));
        });
        return all;
    }

    private static Otherwise otherwise(Hang hang, Otherwise.Change change, double by, Guitar then) {
        return new Otherwise(change, by, hang.balancing(then.centre()).highest());
    }

    /**
     * The guitar while it is built, as if all that it carries were on it.
     *
     * @param step how many steps are done then
     * @param grams of the body's wood
     * @param most the highest angle at which its neck would stay, degrees; empty for none
     */
    public record Stage(int step, double grams, Point centre, Optional<Hang.Range> most) {}

    /** Before its first cut and after every step that takes or puts wood on, in their order. */
    public static List<Stage> stages(BuildPlan plan) {
        List<Stage> all = new ArrayList<>();
        double last = Double.NaN;
        for (int step = 0; step <= plan.steps().size(); step++) {
            double grams = plan.history().before(step).balance().grams();
            if (grams > 0 && grams != last) {
                Balance then = of(plan.build().design(), plan.history(), step);
                all.add(new Stage(step, grams, then.guitar().centre(), then.range()));
                last = grams;
            }
        }
        return all;
    }

    /** A neck that does not stay level by itself is told before the blank is cut: common practice. */
    public List<Rule> rules() {
        if (hang.isEmpty()) {
            return List.of();
        }
        double most = range().map(Hang.Range::most).orElse(-90.0);
        Reckoning angle = Reckoning.of("highest that the neck stays by itself, over level", Quantity.ANGLE)
                .term(
                        "where the strap begins to slip",
                        new Fact(most, Source.COMPUTED, "its masses and its strap"),
                        Quantity.ANGLE)
                .is(most, "where the strap begins to slip");
        return List.of(Rule.of(Work.PLAN, "neck-heavy", Rule.About.SPEC)
                .on(Feature.OUTLINE)
                .at(guitar.centre())
                .says("On a strap the neck stays up by itself.")
                .atLeast(angle, 0)
                .tight(Math.max(0, played))
                .cure(
                        "Move the button at the horn to the neck, leave more wood behind the bridge, or take lighter tuners.")
                .fails(Finding.Severity.THINK_AGAIN)
                .build());
    }
}
