package ebauche.core.channel;

import ebauche.core.crib.Fit;
import ebauche.core.design.Passage.Begun;
import ebauche.core.design.Space;
import ebauche.core.feature.Feature;
import ebauche.core.feature.StepKey;
import ebauche.core.feature.StepKind;
import ebauche.core.feature.Work;
import ebauche.core.geometry.Face;
import ebauche.core.geometry.Point;
import ebauche.core.geometry.Region;
import ebauche.core.hardware.Bridge;
import ebauche.core.hardware.Channel;
import ebauche.core.hardware.Jack;
import ebauche.core.job.Build;
import ebauche.core.job.UnderTop;
import ebauche.core.measure.Fact;
import ebauche.core.measure.Quantity;
import ebauche.core.measure.Reckoning;
import ebauche.core.measure.Source;
import ebauche.core.operation.Caution;
import ebauche.core.operation.Condition;
import ebauche.core.operation.Operation;
import ebauche.core.operation.Place;
import ebauche.core.operation.Setting;
import ebauche.core.routing.Datum;
import ebauche.core.routing.Drilling;
import ebauche.core.stock.Bore;
import ebauche.core.stock.Change;
import ebauche.core.stock.Material;
import ebauche.core.stock.Workpiece;
import ebauche.core.timber.Species;
import ebauche.core.wires.Run;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;

/** The steps of a channel: drilled once all that it opens into is cut, and plugged at the edge where it shows. */
final class ChannelSteps {
    /** So long is a plug at the edge, and so far it stays from what the channel opens into, mm: common practice. */
    private static final double PLUG = 20;

    private static final double BEFORE_SPACE = 3;

    /** Flat wood round the start of a hole that is begun on the face, mm. */
    private static final double ROUND_START = 10;

    private ChannelSteps() {}

    static Operation drill(Run run) {
        Channel channel = run.channel();
        Build build = run.build();
        Reckoning deep = depth(run);
        boolean aslant = Math.abs(channel.pitch()) >= 0.05;
        String says = "deep from " + wall(run) + ", a flag of tape"
                + (aslant ? ", the drill " + lean(channel.pitch()) : ", the drill level");
        Operation.Builder step = Operation.of(Work.CHANNEL, channel.feature(), StepKind.DRILL, title(run))
                .set(Drilling.deep(build, channel.diameter(), Fit.CLEAR, deep, says))
                .at(entry(run))
                .at(exit(run))
                .cuts(Change.Remove.fromBody(channel.feature(), run.bore()))
                .gives(UnderTop.drilled(channel))
                .joins(joins(run))
                .caution(Caution.DRILL)
                .caution(Caution.LONG_DRILL)
                .takes(15, 0, 0.02);
        begun(run).forEach(step::needs);
        BoreInspections.of(run).forEach(step::inspect);
        step.opens(run.opening());
        return (UnderTop.isOnCore(run.passage()) ? step.onCore() : step).build();
    }

    /** Closes its mouth at the edge: a dowel short enough to leave the way between the spaces free. */
    static Operation plug(Run run) {
        Channel channel = run.channel();
        double from = run.entersAt();
        double first =
                run.spaces().stream().mapToDouble(s -> s.met(channel)[0]).min().orElse(run.leavesAt());
        double to = from + Math.max(1, Math.min(PLUG, first - from - BEFORE_SPACE));
        double front = run.build().faces().frontFinished();
        Species species = run.build().design().blank().species();
        return Operation.of(
                        Work.CHANNEL,
                        channel.feature(),
                        StepKind.PLUG,
                        "Plug the " + channel.feature().said() + " at the edge")
                .set(new Setting.ByHand(
                        "dowel of the same wood, its grain with the edge's, glued in; sawn off and levelled"))
                .cuts(new Change.Add(
                        channel.feature(),
                        Workpiece.BODY,
                        new Bore(
                                channel.at(from),
                                front + channel.under(from),
                                channel.at(to),
                                front + channel.under(to),
                                channel.diameter()),
                        new Material(species.key(), species.density().value())))
                .needs(UnderTop.drilled(channel))
                .gives(new Condition.Mark(
                        StepKey.of(channel.feature(), StepKind.PLUG),
                        "the mouth of the " + channel.feature().said() + " plugged"))
                .takes(15, 60, 0.002)
                .build();
    }

    private static Place entry(Run run) {
        String name = "where the drill goes in";
        Point at = run.channel().at(run.entersAt());
        return run.begun() == Begun.IN_A_SPACE || run.begun() == Begun.AT_THE_EDGE
                ? new Place(name, at, wall(run), down(run, "where it goes in", run.entersAt()))
                : new Place(name, at);
    }

    /** Marked on the face above it, to sight along; what it comes out of inside the body nobody can mark before. */
    private static Place exit(Run run) {
        String wall =
                run.into().map(s -> "the wall of the " + s.feature().said()).orElse("its blind end");
        return new Place(
                "where it comes out",
                run.channel().at(run.leavesAt()),
                wall,
                down(run, "where it comes out", run.leavesAt()));
    }

    /** From the front as it is now, or from the core's, to its middle, so far along it. */
    private static Reckoning down(Run run, String where, double along) {
        Build build = run.build();
        String what = "middle of the " + run.channel().feature().said() + " " + where;
        String under = "its middle under the finished front";
        Fact middle = new Fact(run.channel().under(along), Source.COMPUTED, "the design");
        if (!UnderTop.isOnCore(run.passage())) {
            return build.fromAsItIs(Face.FRONT, what, under, middle);
        }
        double top = build.topReaches().orElseThrow();
        return Reckoning.of(what, Quantity.LENGTH)
                .length(under, middle)
                .length("top in the finished body", top)
                .is(middle.value() - top, under + " − top in the finished body");
    }

    private static String title(Run run) {
        String from = switch (run.begun()) {
            case IN_A_SPACE -> "the " + run.from().orElseThrow().feature().said();
            case AT_THE_EDGE -> "the edge";
            case ON_THE_FRONT -> "the front";
            case IN_WOOD -> "solid wood";
        };
        String into = run.into()
                .map(s -> "into the " + s.feature().said())
                .orElse(run.passage().endsInTheAir() ? "into the open" : "to a blind end");
        return "Drill the " + run.channel().feature().said() + " from " + from + " " + into;
    }

    private static String wall(Run run) {
        return switch (run.begun()) {
            case IN_A_SPACE ->
                "the wall of the " + run.from().orElseThrow().feature().said();
            case AT_THE_EDGE -> "the edge";
            case ON_THE_FRONT, IN_WOOD -> "the front";
        };
    }

    private static String lean(double pitch) {
        return Math.round(Math.abs(pitch) * 10) / 10.0 + "° " + (pitch > 0 ? "down" : "up") + " on its way";
    }

    static Reckoning depth(Run run) {
        double wood = run.leavesAt() - run.entersAt();
        return Reckoning.of("depth of the " + run.channel().feature().said(), Quantity.LENGTH)
                .length("wood along its axis", wood)
                .length("the point, and a little", Fact.rule(Channel.BEYOND, "common practice"))
                .is(wood + Channel.BEYOND, "wood along its axis + the point, and a little");
    }

    private static Set<Feature> joins(Run run) {
        Set<Feature> joins = new HashSet<>();
        run.spaces().forEach(s -> joins.add(s.feature()));
        // With a pickup's rout it may open into the pockets of its legs, with a cavity into its cover's recess and its
        // parts' holes.
        run.build().design().pickups().stream()
                .filter(p -> joins.contains(p.feature()))
                .forEach(p -> joins.add(p.legs()));
        run.build().design().cavities().stream()
                .filter(c -> joins.contains(c.feature()))
                .forEach(c -> joins.add(c.recess()));
        run.build().design().controls().stream()
                .filter(c -> run.build()
                        .design()
                        .cavityOf(c)
                        .filter(in -> joins.contains(in.feature()))
                        .isPresent())
                .forEach(c -> joins.add(c.feature()));
        if (run.begun() == Begun.ON_THE_FRONT) {
            joins.add(Feature.FRONT);
        }
        return joins;
    }

    /**
     * What must be there before the drill is set: all that it opens into is cut, so that no bearing falls into its hole. Out of a chamber
     * it is drilled before its top, and what is not in the core opens into it later.
     */
    private static List<Condition> begun(Run run) {
        boolean onCore = UnderTop.isOnCore(run.passage());
        List<Condition> needs = new ArrayList<>();
        run.spaces().stream()
                .map(Space::feature)
                .filter(f -> !onCore || UnderTop.isInCore(f))
                .forEach(f -> needs.add(cut(f)));
        switch (run.begun()) {
            case IN_A_SPACE -> {}
            case AT_THE_EDGE -> needs.add(Datum.OUTLINE_ROUTED);
            case ON_THE_FRONT, IN_WOOD -> {
                needs.add(Datum.BRIDGE_MARKED);
                needs.add(Datum.flat(
                        run.build(),
                        Face.FRONT,
                        Region.disc(run.channel().from(), 2 * ROUND_START)
                                .intersection(run.build().design().outline().region())));
            }
        }
        return needs;
    }

    private static Condition cut(Feature space) {
        if (UnderTop.isInCore(space)) {
            return UnderTop.hollowed(space);
        }
        return space.equals(Jack.FEATURE) || space.equals(Bridge.STUDS)
                ? new Condition.Access(StepKey.of(space, StepKind.DRILL), space.said())
                : new Condition.Mark(StepKey.of(space, StepKind.ROUT), "the " + space.said() + " at depth");
    }
}
