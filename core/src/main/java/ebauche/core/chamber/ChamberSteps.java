package ebauche.core.chamber;

import ebauche.core.crib.Drill;
import ebauche.core.feature.StepKey;
import ebauche.core.feature.StepKind;
import ebauche.core.feature.Work;
import ebauche.core.geometry.Face;
import ebauche.core.geometry.Outline;
import ebauche.core.geometry.Region;
import ebauche.core.hardware.Cavity;
import ebauche.core.hardware.Chamber;
import ebauche.core.job.AsCut;
import ebauche.core.job.Build;
import ebauche.core.job.Finding;
import ebauche.core.job.FinishedFaces;
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
import ebauche.core.passes.Travel;
import ebauche.core.routing.Datum;
import ebauche.core.stock.Change;
import ebauche.core.stock.Solid;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/** The steps of one chamber, on the core before its top. */
record ChamberSteps(Build build, Chamber chamber) {
    /** A closed line whose area falls short of its circle's by less is round: share. */
    private static final double ROUND = 0.005;

    /** A hole in a hollow may be off its drawn size by so much, mm: common practice. */
    private static final double LIKE = 0.5;

    /** Flat wood round a sound hole for its lines, mm. */
    private static final double EDGE = 10;

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

    /** All of its steps, in the order in which they are thought of. */
    List<Operation> all() {
        List<Operation> steps = new ArrayList<>();
        steps.add(mark());
        hogged().map(h -> h.step(marked())).ifPresent(steps::add);
        steps.add(hollow());
        Region rest = UnderTop.isClosed(build) ? Region.EMPTY : UnderTop.rest(build, chamber);
        if (!rest.isEmpty()) {
            steps.add(widen(rest));
        }
        if (isDeepened() || isToBeDeepened()) {
            steps.add(deepen(rest));
        }
        if (UnderTop.hasSupports(build, chamber)) {
            steps.add(supportsAway());
        }
        if (!chamber.soundHoles().isEmpty()) {
            steps.add(soundHoles());
        }
        return steps;
    }

    private Optional<Hogging> hogged() {
        return drill().isPresent() ? Optional.empty() : Hogging.of(build, chamber);
    }

    /** Its supports: from the back, through a cavity that opens all of them, once the top is on; else before it. */
    private Operation supportsAway() {
        double front = UnderTop.front(build);
        Optional<Cavity> behind = UnderTop.behindSupports(build, chamber);
        Operation.Builder step = Operation.of(
                        Work.CHAMBER,
                        chamber.feature(),
                        StepKind.SUPPORTS,
                        "Cut the supports of the " + said() + " away"
                                + behind.map(c -> ", through the " + c.feature().said())
                                        .orElse(""))
                .face(behind.isPresent() ? Face.BACK : Face.FRONT)
                .set(
                        new Setting.ByHand(
                                "saw or chisel across the grain, half way from either side; what is left to the floor with the router"))
                .cuts(Change.Remove.fromBody(
                        chamber.feature(), Solid.Prism.between(chamber.standing(), front, floor())))
                .needs(UnderTop.hollowed(chamber.feature()))
                .needs(UnderTop.isBacked(build) ? new Condition[] {UnderTop.BACKED} : new Condition[0])
                .gives(UnderTop.supportsAway(chamber.feature()))
                .joins(chamber.joins())
                .caution(Caution.CHISEL, Caution.DUST)
                .takes(5 + 4 * chamber.supports().size(), 0, 0.004);
        behind.ifPresent(c -> step.needs(
                new Condition.Mark(
                        StepKey.of(c.feature(), StepKind.ROUT),
                        "the " + c.feature().said() + " at depth"),
                UnderTop.CLOSED));
        return (behind.isPresent() ? step : step.onCore()).build();
    }

    /** Sawn through the top once it is on and its front is flat: from there to the hollow under it. */
    private Operation soundHoles() {
        int count = chamber.soundHoles().size();
        Region open = chamber.open();
        return Operation.of(
                        Work.CHAMBER,
                        chamber.opened(),
                        StepKind.SAW,
                        count == 1
                                ? "Saw out the sound hole over the " + said()
                                : "Saw out the " + count + " sound holes over the " + said())
                .set(
                        new Setting.ByHand(
                                "lines from the centre line; drilled at the ends, sawn inside the line with a fine blade, filed to it"))
                .cuts(Change.Remove.fromBody(
                        chamber.opened(),
                        Solid.Prism.between(open, build.faces().now(Face.FRONT), UnderTop.front(build))))
                .needs(UnderTop.CLOSED, Datum.centreLine(Face.FRONT), Datum.flat(build, Face.FRONT, open.grown(EDGE)))
                .joins(Set.of(chamber.feature()))
                .caution(Caution.SAW, Caution.DUST)
                .takes(20 * count, 0, 0.006)
                .build();
    }

    Operation hollow() {
        Region plan = chamber.routed();
        double deep = depth().value();
        Solid taken = Solid.Prism.between(plan, UnderTop.front(build), UnderTop.front(build) + deep);
        boolean through = UnderTop.isThrough(build, chamber);
        String title = "Hollow out the " + said() + (through ? ", through the core into a spoil board" : "");
        Operation.Builder step = drill().map(this::drilled)
                .orElseGet(() -> routed(title, StepKind.ROUT, plan))
                .cuts(Change.Remove.fromBody(chamber.feature(), taken))
                .onCore()
                .needs(hogged().<Condition>map(Hogging::out).orElse(marked()))
                .gives(UnderTop.hollowed(chamber.feature()))
                .joins(chamber.joins());
        return (through ? step : step.inspect(depthRead())).build();
    }

    private Inspection depthRead() {
        return new Inspection(
                ChamberStation.read(chamber),
                depth(),
                Band.either(build.floorBand(chamber.feature(), Face.FRONT)),
                "depth gauge from the core's front");
    }

    /** Drawn larger once it was cut: the rest comes out as deep as what is out already. */
    private Operation widen(Region rest) {
        double front = UnderTop.front(build);
        return routed("Hollow out the rest of the " + said(), StepKind.WIDEN, rest)
                .cuts(Change.Remove.fromBody(chamber.feature(), Solid.Prism.between(rest, front, floor())))
                .onCore()
                .needs(UnderTop.hollowed(chamber.feature()))
                .gives(UnderTop.widened(chamber.feature()))
                .joins(chamber.joins())
                .build();
    }

    private boolean isDeepened() {
        return build.isDone(StepKey.of(chamber.feature(), StepKind.DEEPEN));
    }

    /** Whether it is cut, still open, and wanted deeper. */
    private boolean isToBeDeepened() {
        return !isDeepened() && !UnderTop.isClosed(build) && UnderTop.isAgainDeeper(build, chamber);
    }

    /** Drawn deeper once it was cut: down to its new floor, wherever it is open. */
    private Operation deepen(Region rest) {
        boolean through = UnderTop.isThrough(build, chamber);
        Region open = new AsCut(build, chamber.feature(), Face.FRONT).isDone(StepKind.SUPPORTS)
                ? chamber.plan()
                : chamber.routed();
        double front = UnderTop.front(build);
        Operation.Builder step = routed("Take the " + said() + " down to its new floor", StepKind.DEEPEN, open)
                .cuts(Change.Remove.fromBody(
                        chamber.feature(), Solid.Prism.between(open, front, front + depth().value())))
                .onCore()
                .needs(rest.isEmpty() ? UnderTop.hollowed(chamber.feature()) : UnderTop.widened(chamber.feature()))
                .gives(UnderTop.deepened(chamber.feature()))
                .joins(chamber.joins());
        return (through ? step : step.inspect(depthRead())).build();
    }

    /** Depth of its floor: as it was read, or as it is wanted. */
    private double floor() {
        return build.measuredFloor(chamber.feature(), Face.FRONT)
                .filter(f -> !isToBeDeepened())
                .map(FinishedFaces.MeasuredFloor::plane)
                .orElse(UnderTop.front(build) + depth().value());
    }

    private Operation.Builder routed(String title, StepKind step, Region plan) {
        Optional<HollowRouting> routing = routing(plan);
        double gone = step == StepKind.ROUT ? hogged().map(Hogging::cubic).orElse(0.0) : 0;
        return Operation.of(Work.CHAMBER, chamber.feature(), step, title)
                .set(new Setting.Routed(
                        routing.map(HollowRouting::tool).orElse("a bit that the crib lacks"),
                        Setting.Routed.BY_EYE
                                + " to the line, on "
                                + routing.map(r -> r.base().said()).orElse("a wide base")
                                + "; depth by depth, half a side at a time, chips out between",
                        Setting.Feed.CLOCKWISE,
                        depth(),
                        "deep from the core's front",
                        routing.map(HollowRouting::passes).orElse(List.of()),
                        new Travel(plan.perimeter(), plan.area())))
                .caution(Caution.ROUTER, Caution.FREEHAND, Caution.DUST)
                .takes(routing.map(r -> r.minutes(gone)).orElse(20), 0, 0.01);
    }

    /** How a part of it is routed; empty where no bit of the crib does, or it is all drilled. */
    private Optional<HollowRouting> routing(Region plan) {
        return drill().isPresent() ? Optional.empty() : HollowRouting.of(build, plan, depth().value());
    }

    /** How what is routed of it at first is routed. */
    Optional<HollowRouting> routing() {
        return routing(chamber.routed());
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
                .takes(Hogging.minutes(holes), 0, 0.004);
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
        return drill().filter(d -> !UnderTop.isThrough(build, chamber)).map(drill -> {
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
        boolean done = build.isDone(StepKey.of(chamber.feature(), StepKind.ROUT));
        if (done || drill().isPresent() || routing().isPresent()) {
            return Optional.empty();
        }
        return Optional.of(Finding.thinkAgain(Work.CHAMBER, "chamber-no-bit")
                .on(chamber.feature())
                .at(chamber.plan().inner())
                .length("deep", depth().value())
                .says(
                        "No bit of the crib reaches the floor of the " + said()
                                + ", {0} under the core's front, with nothing wider above its edges.",
                        "Take a longer straight or bowl bit without a bearing, or drill it out."));
    }
}
