package ebauche.core.channel;

import ebauche.core.crib.Crib;
import ebauche.core.crib.Drill;
import ebauche.core.crib.Fit;
import ebauche.core.design.Passage.Begun;
import ebauche.core.design.Space;
import ebauche.core.feature.Feature;
import ebauche.core.feature.StepKey;
import ebauche.core.feature.StepKind;
import ebauche.core.geometry.Face;
import ebauche.core.hardware.Channel;
import ebauche.core.hardware.Jack;
import ebauche.core.job.Build;
import ebauche.core.job.History;
import ebauche.core.measure.Fact;
import ebauche.core.measure.Quantity;
import ebauche.core.measure.Reckoning;
import ebauche.core.measure.Source;
import ebauche.core.stock.WoodLeft;
import ebauche.core.wires.ComingOut;
import ebauche.core.wires.Run;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;

/**
 * A channel looked at in its wood before it is drilled: how thin the wood beside it gets, how likely it comes out, whether drill and chuck
 * can be held for it, and how long the drill must be.
 *
 * @param beside the wood to faces, edge and what it is not meant to open into, thinnest first
 * @param drill how long the drill must be out of its chuck; empty where its chuck would stand in the wood at any length
 */
public record BoreLook(Run run, List<WoodLeft.Thin> beside, Optional<Reckoning> drill) {
    /** Half of a chuck, and how long it is, mm: common practice. */
    public static final double CHUCK = 19;

    public static final double CHUCK_LONG = 50;

    /** Wood that is looked at beside it, mm. */
    private static final double FAR = 15;

    public BoreLook {
        beside = List.copyOf(beside);
    }

    /** Looked at among all that the body's steps cut, whatever they make of the channel itself. */
    public static BoreLook of(Build build, History history, Channel channel) {
        Run run = Run.of(build, channel);
        Around around = new Around(build, history, f -> f.equals(channel.feature()));
        Set<Feature> met = new HashSet<>(around.met(line(run)));
        run.spaces().forEach(s -> met.add(s.feature()));
        if (run.begun() == Begun.ON_THE_FRONT) {
            met.add(Feature.FRONT);
        }
        return new BoreLook(run, around.beside(run, met, FAR), drill(run, around));
    }

    private static Line line(Run run) {
        Channel channel = run.channel();
        double front = run.build().faces().frontFinished();
        double in = run.entersAt();
        double out = Math.max(in + 1, run.leavesAt());
        return new Line(channel.at(in), front + channel.under(in), channel.at(out), front + channel.under(out));
    }

    /** How long the drill must be out of its chuck; empty where its chuck would stand in the wood at any length. */
    static Optional<Reckoning> drill(Run run, Around around) {
        Line line = line(run);
        OptionalDouble held = new DrillRoom(around)
                .heldOutOfDrawn(
                        line, run.from().map(Space::feature), run.channel().diameter());
        if (held.isEmpty()) {
            return Optional.empty();
        }
        Reckoning deep = ChannelSteps.depth(run);
        return Optional.of(Reckoning.of(
                        "drill out of its chuck for the "
                                + run.channel().feature().said(),
                        Quantity.LENGTH)
                .length(deep.what(), deep.asFact())
                .length(
                        "behind where it goes in",
                        new Fact(
                                held.getAsDouble(),
                                Source.COMPUTED,
                                "so that the chuck clears the wood; looked at every 4 mm"))
                .is(deep.value() + held.getAsDouble(), deep.what() + " + behind where it goes in"));
    }

    /** How far behind where it goes in its chuck must stand, mm; empty where it would stand in the wood at any length. */
    public OptionalDouble heldOut() {
        return drill.map(d -> OptionalDouble.of(d.terms().get(1).value())).orElse(OptionalDouble.empty());
    }

    /** Of the angle that it is begun at, degrees, standard deviation. */
    public double spread() {
        return spread(run).value();
    }

    /** The drill that the crib has for it, the one that is long enough before others. */
    public Optional<Drill> inCrib() {
        return inCrib(run, drill);
    }

    static Optional<Drill> inCrib(Run run, Optional<Reckoning> drill) {
        Crib crib = run.build().shop().crib();
        return crib.longDrill(
                run.channel().diameter(), Fit.CLEAR, drill.map(Reckoning::value).orElse(0.0));
    }

    /** Whether it is drilled, or was read: then it lies where it lies, and no hand moves it any more. */
    public boolean isFact() {
        Build build = run.build();
        Feature feature = run.channel().feature();
        return build.isDone(StepKey.of(feature, StepKind.DRILL))
                || build.drawn().channels().stream()
                        .anyMatch(c -> c.feature().equals(feature) && !c.equals(run.channel()));
    }

    /** Towards a face: where the least angle is by which the bit may go astray. */
    public Optional<ComingOut.Clearance> tightest(Face face) {
        return run.beside(face).stream().min((a, b) -> Double.compare(angle(a), angle(b)));
    }

    private static double angle(ComingOut.Clearance c) {
        return ComingOut.leeway(List.of(c));
    }

    /** Least angle towards a face, degrees; a right angle where it is begun on it. */
    static double leeway(Run run, Face face) {
        boolean begunThere = face == Face.FRONT && run.begun() == Begun.ON_THE_FRONT;
        return begunThere ? 90 : ComingOut.leeway(run.beside(face));
    }

    /** The least angles towards both faces, degrees. */
    record Leeways(double front, double back) {
        static Leeways of(Run run) {
            return new Leeways(leeway(run, Face.FRONT), leeway(run, Face.BACK));
        }

        /** Whether it lies in a face as it runs. */
        boolean isOut() {
            return front <= 0 || back <= 0;
        }
    }

    /** How likely it comes out of one face, per cent. */
    public Reckoning chance(Face face) {
        double leeway = leeway(run, face);
        Fact spread = spread(run).asFact();
        return Reckoning.of(
                        "chance that the " + run.channel().feature().said() + " comes out of the " + face.word()
                                + ", %",
                        Quantity.NUMBER)
                .term("leeway, degrees", asItLies(leeway), Quantity.ANGLE)
                .term("spread of the angle it is begun at, degrees", spread, Quantity.ANGLE)
                .is(
                        100 * ComingOut.chance(leeway, spread.value()),
                        "100 × (1 − Φ(leeway / spread of the angle it is begun at))");
    }

    /** The same of both faces. */
    static Reckoning chance(Run run, Leeways leeways) {
        Fact spread = spread(run).asFact();
        double front = leeways.front();
        double back = leeways.back();
        double chance = 100 * (ComingOut.chance(front, spread.value()) + ComingOut.chance(back, spread.value()));
        return Reckoning.of("chance that the " + run.channel().feature().said() + " comes out, %", Quantity.NUMBER)
                .term("leeway to the front, degrees", asItLies(front), Quantity.ANGLE)
                .term("leeway to the back, degrees", asItLies(back), Quantity.ANGLE)
                .term("spread of the angle it is begun at, degrees", spread, Quantity.ANGLE)
                .is(
                        Math.min(100, chance),
                        "100 × (1 − Φ(leeway to the front / spread of the angle it is begun at)) + 100 × (1 − Φ(leeway to the back / spread of the angle it is begun at))");
    }

    private static Fact asItLies(double degrees) {
        return new Fact(degrees, Source.COMPUTED, "the channel and the faces as they will be");
    }

    /** Of the angle that it is begun at: the shop's own record and what is usual. */
    public static Reckoning spread(Run run) {
        return Straying.spread(
                run.build(), Straying.held(run.build(), run.channel().held()));
    }

    /** How far it runs off the centre line towards the treble side, degrees; nought straight to the neck. */
    public double yaw() {
        Channel channel = run.channel();
        return Math.toDegrees(Math.atan2(
                channel.to().x() - channel.from().x(),
                channel.to().y() - channel.from().y()));
    }

    /** How far its under side stands over the floor of what it ends in, where it comes out, mm; empty where that is open below. */
    public OptionalDouble overFloor() {
        return run.into()
                .filter(s -> s.bottom() < run.build().faces().thickness())
                .map(s -> {
                    double half = run.channel().diameter()
                            / 2
                            * run.channel().across()
                            / run.channel().length();
                    return OptionalDouble.of(s.bottom() - run.channel().under(run.leavesAt()) - half);
                })
                .orElse(OptionalDouble.empty());
    }

    /** How far it runs off the jack's own axis, degrees, and how far its bit can lean there; empty where it is not begun in it. */
    public Optional<Lean> lean() {
        return lean(run);
    }

    static Optional<Lean> lean(Run run) {
        Optional<Jack> jack = run.build()
                .design()
                .jack()
                .filter(j ->
                        run.from().filter(s -> s.feature().equals(Jack.FEATURE)).isPresent());
        return jack.map(j -> new Lean(
                DrillRoom.offJack(line(run), j),
                DrillRoom.leanInJack(j.diameter(), run.channel().diameter())));
    }

    /**
     * In the jack's hole.
     *
     * @param off degrees off its axis
     * @param most that the bit can lean, degrees
     */
    public record Lean(double off, double most) {}
}
