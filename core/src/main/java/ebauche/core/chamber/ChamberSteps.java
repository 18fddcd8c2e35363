package ebauche.core.chamber;

import ebauche.core.crib.Drill;
import ebauche.core.feature.Work;
import ebauche.core.geometry.Face;
import ebauche.core.geometry.Outline;
import ebauche.core.geometry.Region;
import ebauche.core.hardware.Chamber;
import ebauche.core.job.Build;
import ebauche.core.job.Finding;
import ebauche.core.job.Rule;
import ebauche.core.job.UnderTop;
import ebauche.core.measure.Fact;
import ebauche.core.measure.Quantity;
import ebauche.core.measure.Reckoning;
import ebauche.core.operation.Band;
import ebauche.core.operation.Caution;
import ebauche.core.operation.Condition;
import ebauche.core.operation.Inspection;
import ebauche.core.operation.Operation;
import ebauche.core.operation.Place;
import ebauche.core.operation.Setting;
import ebauche.core.operation.StepKey;
import ebauche.core.operation.StepKind;
import ebauche.core.passes.Travel;
import ebauche.core.routing.Freehand;
import ebauche.core.stock.Change;
import ebauche.core.stock.Solid;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;

/** The steps of one chamber, on the core before its top. */
record ChamberSteps(Build build, Chamber chamber) {
    /** A closed line whose area falls short of its circle's by less is round: share. */
    private static final double ROUND = 0.005;

    /** A hole in a hollow may be off its drawn size by so much, mm: common practice. */
    private static final double LIKE = 0.5;

    /** Hands-on minutes to set a press to its stop, and for each hole: common practice. */
    private static final double TO_SET = 6;

    private static final double EACH = 1.5;

    private String said() {
        return chamber.feature().said();
    }

    private Reckoning depth() {
        return UnderTop.depth(build, chamber);
    }

    private Condition.Mark marked() {
        return new Condition.Mark(UnderTop.mark(chamber), "the " + said() + " marked on the core");
    }

    Operation mark() {
        Operation.Builder step = Operation.of(
                        Work.CHAMBER, chamber.feature(), StepKind.MARK, "Mark the " + said() + " on the core's front")
                .set(
                        new Setting.ByHand(
                                "centre line first, then pattern or rule from it; two pin holes in what is sawn away bring the top back to its place"))
                .onCore()
                .needs(UnderTop.LEVELLED)
                .gives(marked())
                .takes(10 + chamber.parts().size(), 0, 0.001);
        if (UnderTop.putsCore(build).filter(UnderTop.mark(chamber)::equals).isPresent()) {
            UnderTop.core(build).forEach(step::cuts);
        }
        return step.build();
    }

    Operation hollow() {
        Region plan = chamber.plan();
        double deep = depth().value();
        Solid taken = Solid.Prism.between(plan, UnderTop.front(build), UnderTop.front(build) + deep);
        return drill().map(this::drilled)
                .orElseGet(() -> routed(plan, deep))
                .cuts(Change.Remove.fromBody(chamber.feature(), taken))
                .onCore()
                .needs(marked())
                .gives(UnderTop.hollowed(chamber.feature()))
                .joins(chamber.joins())
                .inspect(new Inspection(
                        ChamberStation.read(chamber),
                        depth(),
                        Band.either(build.floorBand(chamber.feature(), Face.FRONT)),
                        "depth gauge from the core's front"))
                .build();
    }

    private Operation.Builder routed(Region plan, double deep) {
        Optional<Freehand> freehand = freehand(plan, deep);
        String tool = freehand.map(f -> f.passes().stream()
                        .map(p -> p.cutter().bit().name())
                        .distinct()
                        .collect(Collectors.joining(", then ")))
                .orElse("a bit that the crib lacks");
        return Operation.of(Work.CHAMBER, chamber.feature(), StepKind.ROUT, "Hollow out the " + said())
                .set(new Setting.Routed(
                        tool,
                        Setting.Routed.BY_EYE
                                + " to the line, on a wide base; depth by depth, half a side at a time, chips out between",
                        Setting.Feed.CLOCKWISE,
                        depth(),
                        "deep from the core's front",
                        freehand.map(Freehand::passes).orElse(List.of()),
                        new Travel(plan.perimeter(), plan.area())))
                .caution(Caution.ROUTER, Caution.FREEHAND, Caution.DUST)
                .takes(freehand.map(f -> f.minutes(deep)).orElse(20), 0, 0.01);
    }

    private Optional<Freehand> freehand(Region plan, double deep) {
        return Freehand.ofHollow(build, plan, deep);
    }

    private Operation.Builder drilled(Drill drill) {
        int holes = chamber.parts().size();
        Operation.Builder step = Operation.of(
                        Work.CHAMBER,
                        chamber.feature(),
                        StepKind.ROUT,
                        holes == 1 ? "Drill the " + said() : "Drill the " + holes + " holes of the " + said())
                .set(new Setting.Drilled(drill.name(), depth(), "deep from the core's front"))
                .caution(Caution.drilling(drill.diameter()))
                .caution(Caution.DUST)
                .takes((int) Math.round(TO_SET + EACH * holes), 0, 0.004);
        int number = 1;
        for (Outline part : chamber.parts()) {
            step.at(new Place("hole " + number++, part.region().centroid()));
        }
        return step;
    }

    /** The drill that makes all its parts, where they are round and of one size and the crib has it. */
    private Optional<Drill> drill() {
        double wide = diameter(chamber.parts().get(0));
        boolean alike = chamber.parts().stream().allMatch(p -> isRound(p) && Math.abs(diameter(p) - wide) < LIKE);
        return alike
                ? build.shop().crib().forstner(wide + LIKE).filter(d -> d.diameter() > wide - LIKE)
                : Optional.empty();
    }

    private static double diameter(Outline part) {
        return 2 * Math.sqrt(part.area() / Math.PI);
    }

    /** A circle has the least edge for its area. */
    private static boolean isRound(Outline part) {
        double round = part.perimeter() * part.perimeter() / (4 * Math.PI);
        return part.area() > round * (1 - ROUND);
    }

    /** Whether the spur of the drill stays in the floor. */
    Optional<Rule> spur() {
        return drill().map(drill -> {
            Reckoning left = Reckoning.of("wood under the spur", Quantity.LENGTH)
                    .length("floor of the chamber", Fact.typed(chamber.floor()))
                    .length("spur", drill.spur())
                    .is(chamber.floor() - drill.spur(), "floor of the chamber − spur");
            String cure = "Leave a thicker floor, or rout the holes.";
            return Rule.of(Work.CHAMBER, "spur-comes-through", Rule.About.WOOD)
                    .on(chamber.feature())
                    .says("The drill's spur stays in the floor of the " + said() + ".")
                    .atLeast(left, 1)
                    .cure(cure)
                    .fails(() -> Finding.thinkAgain(Work.CHAMBER, "spur-comes-through")
                            .on(chamber.feature())
                            .length("floor", chamber.floor())
                            .length("spur", drill.spur())
                            .says("The " + said() + " leaves a floor of {0}, and the drill's spur is {1} long.", cure))
                    .build();
        });
    }

    /** Said where no bit of the crib reaches its floor. */
    Optional<Finding> lacksBit() {
        double deep = depth().value();
        boolean done = build.isDone(StepKey.of(chamber.feature(), StepKind.ROUT));
        if (done || drill().isPresent() || freehand(chamber.plan(), deep).isPresent()) {
            return Optional.empty();
        }
        return Optional.of(Finding.thinkAgain(Work.CHAMBER, "chamber-no-bit")
                .on(chamber.feature())
                .at(chamber.plan().inner())
                .length("deep", deep)
                .says(
                        "No bit of the crib reaches the floor of the " + said()
                                + ", {0} under the core's front, with nothing wider above its edges.",
                        "Take a longer straight or bowl bit without a bearing, or drill it out."));
    }
}
