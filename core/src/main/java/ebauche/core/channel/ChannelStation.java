package ebauche.core.channel;

import ebauche.core.crib.Drill;
import ebauche.core.design.Passage.Begun;
import ebauche.core.feature.Feature;
import ebauche.core.feature.StepKey;
import ebauche.core.feature.StepKind;
import ebauche.core.feature.Work;
import ebauche.core.hardware.Channel;
import ebauche.core.job.Build;
import ebauche.core.job.Finding;
import ebauche.core.job.History;
import ebauche.core.job.Rule;
import ebauche.core.job.UnderTop;
import ebauche.core.measure.Fact;
import ebauche.core.measure.Quantity;
import ebauche.core.measure.Reckoning;
import ebauche.core.measure.Source;
import ebauche.core.operation.Operation;
import ebauche.core.station.Station;
import ebauche.core.wires.Run;
import ebauche.core.wires.WireWays;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** Wire channels: a long drill out of the neck pocket, a cavity, the jack hole, from the edge or from under the bridge. */
public final class ChannelStation implements Station {
    /** About three bodies in a hundred come out through a face: common practice. More is not worth the risk. */
    static final double MOST_PER_CENT = 3;

    @Override
    public Work work() {
        return Work.CHANNEL;
    }

    @Override
    public List<Operation> operations(Build build) {
        List<Operation> steps = new ArrayList<>();
        for (Run run : Run.all(build)) {
            if (UnderTop.isLost(build, run.passage())) {
                continue;
            }
            steps.add(ChannelSteps.drill(run));
            if (run.passage().isPlugged()) {
                steps.add(ChannelSteps.plug(run));
            }
        }
        return steps;
    }

    @Override
    public List<Rule> rules(Build build) {
        List<Rule> rules = new ArrayList<>();
        for (Run run : Run.all(build)) {
            BoreLook.Leeways leeways = BoreLook.Leeways.of(run);
            if (!isDrilled(run) || leeways.isOut()) {
                rules.add(comesOut(run, leeways));
            }
        }
        WireWays.of(build).fills().forEach(f -> rules.add(full(f)));
        return rules;
    }

    /** How long a drill must stand out of its chuck for a channel; empty where none can be held. */
    private record Held(Run run, Optional<Reckoning> drill) {}

    /** For all that are still to be drilled: rules and review ask alike. */
    private record Drills(List<Held> held) {
        static List<Held> of(Build build, History history) {
            return history.once()
                    .of(Drills.class, () -> {
                        List<Run> runs = toDrill(build);
                        Around around = runs.isEmpty() ? null : new Around(build, history, f -> false);
                        return new Drills(runs.stream()
                                .map(r -> new Held(r, BoreLook.drill(r, around)))
                                .toList());
                    })
                    .held();
        }
    }

    /** Those for which a drill is still to be held. */
    private static List<Run> toDrill(Build build) {
        return Run.all(build).stream()
                .filter(r -> !isDrilled(r) && !UnderTop.isLost(build, r.passage()))
                .toList();
    }

    private static boolean isDrilled(Run run) {
        return run.build().isDone(StepKey.of(run.channel().feature(), StepKind.DRILL));
    }

    private static Rule comesOut(Run run, BoreLook.Leeways leeways) {
        Channel channel = run.channel();
        Reckoning sum = BoreLook.chance(run, leeways);
        double chance = sum.value();
        String said = channel.feature().said();
        boolean out = leeways.isOut();
        boolean drilled = isDrilled(run);
        String cure = drilled
                ? "Plug it with a dowel of the same wood, level it, and drill it anew beside it."
                : "Lay it nearer the middle of the body, make it shorter, or begin it beside a square or with a jig.";
        return Rule.of(Work.CHANNEL, "channel-comes-out", Rule.About.CAVITIES)
                .on(channel.feature())
                .at(channel.at(channel.length() / 2))
                .says("The " + said + " stays in the wood: it comes out in so many bodies of a hundred.")
                .atMost(sum, MOST_PER_CENT)
                .cure(cure)
                .fails(() -> (out
                                ? Finding.stops(Work.CHANNEL, "channel-comes-out")
                                : Finding.thinkAgain(Work.CHANNEL, "channel-comes-out"))
                        .on(channel.feature())
                        .at(channel.at(channel.length() / 2))
                        .says(
                                out
                                        ? (drilled ? "As it was read, the " : "As drawn, the ") + said
                                                + " comes out through the "
                                                + (leeways.front() <= 0 ? "front." : "back.")
                                        : "In " + Math.round(chance) + " bodies of a hundred the " + said
                                                + " would come out through a face.",
                                cure))
                .build();
    }

    /** Whether drill and chuck can be held for each, with what the crib has. */
    @Override
    public List<Rule> rules(Build build, History history) {
        List<Rule> rules = new ArrayList<>();
        for (Held held : Drills.of(build, history)) {
            Run run = held.run();
            Optional<Reckoning> wanted = held.drill();
            BoreLook.inCrib(run, wanted)
                    .filter(d -> wanted.isPresent())
                    .ifPresent(d -> rules.add(reaches(run, wanted.get(), d)));
            BoreLook.lean(run).ifPresent(l -> rules.add(leans(run, l)));
        }
        return rules;
    }

    private static Rule reaches(Run run, Reckoning wanted, Drill drill) {
        Feature channel = run.channel().feature();
        return Rule.of(Work.CHANNEL, "channel-drill-short", Rule.About.CAVITIES)
                .on(channel)
                .at(run.channel().from())
                .says("The drill for the " + channel.said() + " is long enough to keep its chuck off the wood.")
                .atMost(wanted, drill.reach())
                .cure("A longer drill or an extension, or begin it nearer to where it ends.")
                .fails(() -> Finding.thinkAgain(Work.CHANNEL, "channel-drill-short")
                        .on(channel)
                        .at(run.channel().from())
                        .length("drill wanted", wanted.value())
                        .length("drill's reach", drill.reach())
                        .says(
                                "The " + channel.said() + " wants a drill {0} out of its chuck; " + drill.name()
                                        + " reaches {1}.",
                                "A longer drill or an extension, or begin it nearer to where it ends."))
                .build();
    }

    private static Rule leans(Run run, BoreLook.Lean lean) {
        Feature channel = run.channel().feature();
        Reckoning off = Reckoning.of("the " + channel.said() + " off the jack hole's axis, degrees", Quantity.ANGLE)
                .term(
                        "as drawn",
                        new Fact(lean.off(), Source.COMPUTED, "the channel and the jack hole"),
                        Quantity.ANGLE)
                .is(lean.off(), "as drawn");
        return Rule.of(Work.CHANNEL, "channel-leans", Rule.About.CAVITIES)
                .on(channel)
                .at(run.channel().from())
                .says("The drill of the " + channel.said() + " has room to lean in the jack hole.")
                .atMost(off, lean.most())
                .cure("Aim it nearer to the jack hole's own axis, or drill it narrower.")
                .fails(() -> Finding.stops(Work.CHANNEL, "channel-leans")
                        .on(channel)
                        .at(run.channel().from())
                        .says(
                                "The " + channel.said() + " runs " + Math.round(lean.off())
                                        + "° off the jack hole; the drill can lean " + Math.round(lean.most())
                                        + "° there.",
                                "Aim it nearer to the jack hole's own axis, or drill it narrower."))
                .build();
    }

    /** Channels for which no drill can be held. */
    @Override
    public List<Finding> review(Build build, History history) {
        List<Finding> found = new ArrayList<>();
        for (Held held : Drills.of(build, history)) {
            Run run = held.run();
            boolean begun = run.begun() != Begun.IN_WOOD;
            if (begun && held.drill().isEmpty()) {
                found.add(Finding.stops(Work.CHANNEL, "channel-no-room")
                        .on(run.channel().feature())
                        .at(run.channel().from())
                        .says(
                                "No drill can be held for the "
                                        + run.channel().feature().said()
                                        + ": behind where it begins it stands in the wood.",
                                "Aim it so that the drill comes out over a face or the edge, or begin it elsewhere."));
            }
        }
        return found;
    }

    private static Rule full(WireWays.Fill fill) {
        Feature channel = fill.channel().feature();
        String cure = "Drill it wider, drill a second one, or lay some of the wires another way.";
        return Rule.of(Work.CHANNEL, "channel-full", Rule.About.CAVITIES)
                .on(channel)
                .says("The wires of the " + channel.said() + " can be pulled through it.")
                .atMost(fill.share(), fill.most())
                .cure(cure)
                .fails(() -> Finding.thinkAgain(Work.CHANNEL, "channel-full")
                        .on(channel)
                        .at(fill.channel().at(fill.channel().length() / 2))
                        .says(
                                fill.wires().size() + " wires take "
                                        + Math.round(100 * fill.share().value()) + " % of the " + channel.said()
                                        + "; more than " + Math.round(100 * fill.most()) + " % is hard to pull.",
                                cure))
                .build();
    }

    /** Channels that begin or end where no wire can go. */
    @Override
    public List<Finding> check(Build build) {
        List<Finding> found = new ArrayList<>();
        for (Run run : Run.all(build)) {
            Channel channel = run.channel();
            String said = channel.feature().said();
            if (UnderTop.isLost(build, run.passage())) {
                found.add(Finding.stops(Work.CHANNEL, "channel-closed")
                        .on(channel.feature())
                        .at(channel.from())
                        .says(
                                "The top is glued on, and the " + said
                                        + ", whose drill was to stand in the "
                                        + run.from().orElseThrow().feature().said() + ", was never drilled.",
                                "Drill it the other way round, out of what it was to end in, or leave it out."));
            }
            if (run.begun() == Begun.IN_WOOD) {
                found.add(
                        Finding.stops(Work.CHANNEL, "channel-in-wood")
                                .on(channel.feature())
                                .at(channel.from())
                                .says(
                                        "The " + said + " begins in solid wood: no drill can be set there.",
                                        "Begin it in the neck pocket, a cavity or the jack hole, at the edge, or on the front under the bridge."));
            }
            if (run.into().isEmpty()) {
                boolean air = run.passage().endsInTheAir();
                found.add(Finding.stops(Work.CHANNEL, air ? "channel-in-air" : "channel-in-wood")
                        .on(channel.feature())
                        .at(channel.to())
                        .says(
                                "The " + said + (air ? " ends in the air outside the body." : " ends in solid wood."),
                                "Let it end in a cavity, a pickup's rout, the jack hole or the neck pocket."));
            }
            if (run.begun() == Begun.ON_THE_FRONT
                    && !build.design().bridge().footprint().contains(channel.from())) {
                found.add(Finding.thinkAgain(Work.CHANNEL, "channel-shows")
                        .on(channel.feature())
                        .at(channel.from())
                        .says(
                                "The " + said + " begins on the front where the bridge does not cover it.",
                                "Begin it under the bridge, beside its hollow."));
            }
            if (run.passage().isPlugged() && !build.isDone(StepKey.of(channel.feature(), StepKind.PLUG))) {
                found.add(
                        Finding.goodToKnow(Work.CHANNEL, "channel-plug")
                                .on(channel.feature())
                                .at(channel.from())
                                .says(
                                        "The " + said + " begins at the edge, and shows there.",
                                        "Its plan has a step that plugs it with a dowel of the same wood; begun in a space nothing shows."));
            }
        }
        found.addAll(WireWays.of(build).findings());
        return found;
    }
}
