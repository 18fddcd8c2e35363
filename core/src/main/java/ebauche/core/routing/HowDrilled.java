package ebauche.core.routing;

import ebauche.core.crib.Machine;
import ebauche.core.feature.FeatureKind;
import ebauche.core.feature.StepKind;
import ebauche.core.geometry.Region;
import ebauche.core.job.Build;
import ebauche.core.measure.Fact;
import ebauche.core.measure.Quantity;
import ebauche.core.measure.Reckoning;
import ebauche.core.operation.Operation;
import ebauche.core.operation.Setting;
import ebauche.core.shop.Practice;
import ebauche.core.stock.Bore;
import ebauche.core.stock.Change;
import java.util.Optional;

/**
 * How a hole is drilled in this shop, and so how far its place, its depth and its far end may be off.
 *
 * @param place on the face that it goes in at
 * @param depth of a hole to a stop; empty where it goes through
 * @param end where it ends, for the drill leans
 */
public record HowDrilled(Way way, Reckoning place, Optional<Reckoning> depth, Reckoning end) {

    /**
     * Ways to drill, the surest first. How far each is off is common practice, from memory: a mark pricked with an awl is hit within
     * half a millimetre, a flag of tape read within one, a square seen off by a degree.
     */
    public enum Way {
        PRESS("at the drill press, its stop set", 0.3, 0.3, 0.2),
        SQUARE("by hand beside a square, a flag of tape for its depth", 0.5, 1, 1),
        LEVEL("the body in a vise, a level on the drill, a flag of tape for its depth", 0.8, 1, 1),
        EYE("by eye, a flag of tape for its depth", 0.8, 1, 3);

        private final String words;
        private final double place;
        private final double depth;
        private final double lean;

        Way(String words, double place, double depth, double lean) {
            this.words = words;
            this.place = place;
            this.depth = depth;
            this.lean = lean;
        }

        public String words() {
            return words;
        }
    }

    private static final double NEARLY = 1e-6;

    /**
     * How a step's holes are drilled; empty where it drills none, or only waste, whose place is nothing's. What a wire channel's long
     * drill makes of its angle the channel itself tells.
     */
    public static Optional<HowDrilled> of(Build build, Operation step) {
        boolean told = step.key().is(StepKind.WASTE) || step.key().feature().is(FeatureKind.CHANNEL);
        if (told || !(step.setting() instanceof Setting.Drilled drilled)) {
            return Optional.empty();
        }
        Way way = way(build, step);
        Reckoning place = Reckoning.of("off its mark by at most", Quantity.LENGTH)
                .length(way.words(), rule(way.place))
                .is(way.place, way.words());
        boolean through = drilled.hole().filter(Setting.Drilled.Hole::through).isPresent();
        Optional<Reckoning> depth = through
                ? Optional.empty()
                : Optional.of(Reckoning.of("off its depth by at most", Quantity.LENGTH)
                        .length(way.words(), rule(way.depth))
                        .is(way.depth, way.words()));
        double deep = drilled.depth().value();
        double aside = deep * Math.tan(Math.toRadians(way.lean));
        Reckoning end = Reckoning.of("off at its end by at most", Quantity.LENGTH)
                .length("off its mark by at most", place.asFact())
                .length(drilled.depth().what(), deep)
                .term("lean, degrees", rule(way.lean), Quantity.ANGLE)
                .is(
                        place.value() + aside,
                        "off its mark by at most + " + drilled.depth().what() + " × tan(lean)");
        return Optional.of(new HowDrilled(way, place, depth, end));
    }

    private static Fact rule(double value) {
        return Fact.rule(value, "common practice (memory)");
    }

    private static Way way(Build build, Operation step) {
        boolean skilled = build.shop().practice().skills().contains(Practice.Skill.DRILL);
        if (isInEdge(build, step)) {
            return skilled ? Way.LEVEL : Way.EYE;
        }
        boolean inHeel = step.key().is(StepKind.HEEL);
        if (!inHeel && reaches(build, step)) {
            return Way.PRESS;
        }
        return skilled ? Way.SQUARE : Way.EYE;
    }

    /** Whether a step drills level, into the edge. */
    public static boolean isInEdge(Build build, Operation step) {
        return step.changes().stream()
                .anyMatch(c -> c.solid() instanceof Bore bore
                        && bore.fromDepth() > build.faces().frontNow()
                        && bore.fromDepth() < build.faces().backNow());
    }

    /** Whether the press's column stands clear of the body with the drill over every hole. */
    private static boolean reaches(Build build, Operation step) {
        double wanted = reach(step, build.design().outline().region());
        return build.shop()
                .crib()
                .machine(Machine.Kind.DRILL_PRESS)
                .filter(press -> wanted <= press.size() + NEARLY)
                .isPresent();
    }

    /** How far from the body's edge a step's holes lie: what a drill press must reach over, at the least, mm. */
    public static double reach(Operation operation, Region body) {
        double farthest = 0;
        for (Change change : operation.changes()) {
            for (Region hole : change.solid().plan().parts()) {
                farthest = Math.max(farthest, -body.outside(hole.centroid()));
            }
        }
        return farthest;
    }
}
