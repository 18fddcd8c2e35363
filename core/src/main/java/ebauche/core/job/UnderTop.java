package ebauche.core.job;

import ebauche.core.design.Blank;
import ebauche.core.design.BlankLayer;
import ebauche.core.design.Passage;
import ebauche.core.feature.Feature;
import ebauche.core.feature.FeatureKind;
import ebauche.core.feature.StepKey;
import ebauche.core.feature.StepKind;
import ebauche.core.geometry.Face;
import ebauche.core.geometry.Region;
import ebauche.core.hardware.Cavity;
import ebauche.core.hardware.Chamber;
import ebauche.core.hardware.Channel;
import ebauche.core.logbook.AsBuilt;
import ebauche.core.measure.Fact;
import ebauche.core.measure.Quantity;
import ebauche.core.measure.Reckoning;
import ebauche.core.operation.Condition;
import ebauche.core.stock.Change;
import ebauche.core.stock.Material;
import ebauche.core.stock.Solid;
import ebauche.core.stock.Workpiece;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.stream.Stream;

/**
 * The core before its top is glued over it: what the blank and the chambers that are routed into it must both know. Depths are the
 * stock's, mm.
 */
public final class UnderTop {
    private static final Feature BLANK = Feature.of(FeatureKind.BLANK);

    private static final StepKey LEVEL = StepKey.of(BLANK, StepKind.TOP_LEVEL);

    /** The step that glues the top on. */
    public static final StepKey CLOSES = StepKey.of(BLANK, StepKind.TOP);

    /** Holds once the top is on. */
    public static final Condition.Mark CLOSED = new Condition.Mark(CLOSES, "the top glued on");

    private static final StepKey BACKING = StepKey.of(BLANK, StepKind.BACKING);

    /** Holds once the back plate is on again. */
    public static final Condition.Mark BACKED = new Condition.Mark(BACKING, "the back plate glued on");

    /** The steps that put a blank on the bench which has neither top nor plates. */
    private static final Set<StepKey> WHOLE = Set.of(StepKey.of(BLANK, StepKind.GLUE), StepKey.of(BLANK, StepKind.CUT));

    /** A hollow that leaves less of the core than this leaves none, mm. */
    private static final double THROUGH = 0.005;

    /** Holds once core and top have the thickness that they are glued with. */
    public static final Condition.Mark LEVELLED = new Condition.Mark(LEVEL, "core and top level for their glue");

    private UnderTop() {}

    /** Whether a feature is cut into the core before its top is glued on: its depth is gauged from the core's front, which nobody sands. */
    public static boolean isInCore(Feature feature) {
        return feature.is(FeatureKind.CHAMBER);
    }

    /** The chambers that are decided on and can be cut: those of a blank with a top. */
    public static List<Chamber> chambers(Build build) {
        return build.design().blank().isCovered()
                ? build.design().chambers().stream()
                        .filter(c -> !build.design().leavesOpen(c.feature()))
                        .toList()
                : List.of();
    }

    /** Holds once a chamber is as deep as it is wanted. */
    public static Condition.Mark hollowed(Feature chamber) {
        return new Condition.Mark(StepKey.of(chamber, StepKind.ROUT), "the " + chamber.said() + " hollowed out");
    }

    /** The front of the core, under the glue. */
    public static double front(Build build) {
        return build.design().blank().topThickness() - build.roughAboveFront();
    }

    /** The back of the core, as it lies under the back plate where one is sawn off. */
    public static double back(Build build) {
        return front(build) + build.design().blank().coreThickness();
    }

    /** The back of the blank, its back plate with it. */
    private static double blankBack(Build build) {
        return build.design().blank().thickness() - build.roughAboveFront();
    }

    /** Depth of a chamber from the core's front, with its sum: until the body is brought to thickness the core is thicker than it will be. */
    public static Reckoning depth(Build build, Chamber chamber) {
        Blank blank = build.design().blank();
        double core = blank.coreThickness();
        double plate = blank.sawn().back();
        double off = blankBack(build) - build.faces().backFinished();
        String what = "off the back in all";
        String under = plate > 0 ? "core + back plate" : "core";
        Reckoning.Builder sum = Reckoning.of("depth of the " + chamber.feature().said(), Quantity.LENGTH)
                .length("core", Fact.typed(core));
        if (plate > 0) {
            sum.length("back plate", Fact.typed(plate));
        }
        return sum.length(what, off)
                .length("floor of the chamber", Fact.typed(chamber.floor()))
                .is(core + plate - off - chamber.floor(), under + " − " + what + " − floor of the chamber");
    }

    /** What a chamber leaves of the core under it before the back plate is on, mm; no number where no plate is sawn off. */
    public static OptionalDouble web(Build build, Chamber chamber) {
        Blank blank = build.design().blank();
        return blank.sawn().back() > 0
                ? OptionalDouble.of(
                        blank.coreThickness() - depth(build, chamber).value())
                : OptionalDouble.empty();
    }

    /** Whether a chamber goes through the core, and the back plate is its floor. */
    public static boolean isThrough(Build build, Chamber chamber) {
        return web(build, chamber).orElse(Double.MAX_VALUE) < THROUGH;
    }

    /**
     * The step that puts the core on the bench by itself, where chambers are cut into it: its levelling, or, where that is done and has
     * put no wood there, the marking of the first chamber. Empty where core and top come as one.
     */
    public static Optional<StepKey> putsCore(Build build) {
        Optional<StepKey> did = build.asBuilt().steps().values().stream()
                .filter(d ->
                        d.operation().equals(LEVEL) || isInCore(d.operation().feature()))
                .filter(d -> d.changes().stream().anyMatch(c -> c instanceof Change.Add add && add.isBlank()))
                .map(AsBuilt.Done::operation)
                .findFirst();
        boolean apart =
                !chambers(build).isEmpty() || build.design().blank().sawn().back() > 0;
        if (did.isPresent() || !apart || isClosed(build)) {
            return did;
        }
        if (!build.isDone(LEVEL)) {
            return Optional.of(LEVEL);
        }
        return chambers(build).stream().findFirst().map(UnderTop::mark);
    }

    /** What the step that glues the back plate on waits for: it is pressed on while supports stand. */
    public static List<Condition> beforeItIsBacked(Build build) {
        return chambers(build).stream().flatMap(c -> atSize(build, c)).toList();
    }

    /** Whether a back plate goes on, or did: not where the body was closed before anyone drew one. */
    public static boolean isBacked(Build build) {
        return build.design().blank().sawn().back() > 0 && (!isClosed(build) || build.isDone(BACKING));
    }

    /** Where nothing carries the back plate when it is glued on. */
    public static Region hollowWhenBacked(Build build) {
        return Region.union(chambers(build).stream()
                .filter(c -> isThrough(build, c))
                .map(c -> hasSupports(build, c) ? c.routed() : c.plan())
                .toList());
    }

    /** What the step that closes the chambers waits for: all are hollowed out, and what is drilled out of one is drilled. */
    public static List<Condition> beforeItCloses(Build build) {
        Stream<Condition> hollowed = chambers(build).stream().flatMap(c -> atSize(build, c));
        Stream<Condition> away = chambers(build).stream()
                .filter(c -> hasSupports(build, c) && behindSupports(build, c).isEmpty())
                .map(c -> supportsAway(c.feature()));
        Stream<Condition> drilled =
                build.spaces().passages().stream().filter(UnderTop::isOnCore).map(p -> drilled(p.channel()));
        Stream<Condition> backed = isBacked(build) ? Stream.of(BACKED) : Stream.empty();
        return Stream.of(backed, hollowed, away, drilled).flatMap(s -> s).toList();
    }

    /** The cavity in the back through which all supports of a chamber can be cut away once the top is on. */
    public static Optional<Cavity> behindSupports(Build build, Chamber chamber) {
        Region standing = chamber.standing();
        return build.design().cavities().stream()
                .filter(c -> c.face() == Face.BACK && !standing.isEmpty())
                .filter(c -> chamber.joins().contains(c.feature()) || c.joins().contains(chamber.feature()))
                .filter(c -> c.plan().contains(standing))
                .findFirst();
    }

    /** Where the core is hollow when its top is glued on: supports that go later still carry it. */
    public static Region hollowWhenClosed(Build build) {
        return Region.union(chambers(build).stream()
                .map(c -> behindSupports(build, c).isPresent() ? c.routed() : c.plan())
                .toList());
    }

    /** What still stands of a chamber that is hollowed out, as it is drawn now; nothing of one that is not, and nothing of its supports. */
    public static Region rest(Build build, Chamber chamber) {
        AsCut cut = new AsCut(build, chamber.feature(), Face.FRONT);
        return cut.isDone(StepKind.ROUT)
                ? cut.standing(cut.isDone(StepKind.SUPPORTS) ? chamber.plan() : chamber.routed())
                : Region.EMPTY;
    }

    /** Whether a chamber that is hollowed out is wanted deeper than it was cut, or was taken deeper once. */
    public static boolean isAgainDeeper(Build build, Chamber chamber) {
        AsCut cut = new AsCut(build, chamber.feature(), Face.FRONT);
        return cut.isDone(StepKind.DEEPEN)
                || cut.isTooShallow(depth(build, chamber).value());
    }

    /** Holds once it is as deep. */
    public static Condition.Mark deepened(Feature chamber) {
        return new Condition.Mark(
                StepKey.of(chamber, StepKind.DEEPEN), "the " + chamber.said() + " taken to its new depth");
    }

    /** What brings a chamber to its size and depth, or back to them where it is drawn larger or deeper once it is cut. */
    private static Stream<Condition> atSize(Build build, Chamber chamber) {
        Stream<Condition> first = Stream.of(hollowed(chamber.feature()));
        Stream<Condition> wider = rest(build, chamber).isEmpty() ? Stream.of() : Stream.of(widened(chamber.feature()));
        Stream<Condition> deeper = isAgainDeeper(build, chamber) ? Stream.of(deepened(chamber.feature())) : Stream.of();
        return Stream.of(first, wider, deeper).flatMap(s -> s);
    }

    /** Holds once that is out. */
    public static Condition.Mark widened(Feature chamber) {
        return new Condition.Mark(
                StepKey.of(chamber, StepKind.WIDEN), "the rest of the " + chamber.said() + " hollowed out");
    }

    /** Whether supports stand in a chamber, or will: not where it was routed out whole before anyone drew them. */
    public static boolean hasSupports(Build build, Chamber chamber) {
        AsCut cut = new AsCut(build, chamber.feature(), Face.FRONT);
        return !chamber.supports().isEmpty()
                && (!cut.isDone(StepKind.ROUT)
                        || cut.isDone(StepKind.SUPPORTS)
                        || !cut.standing(chamber.standing()).isEmpty());
    }

    /** Holds once the supports of a chamber are cut away. */
    public static Condition.Mark supportsAway(Feature chamber) {
        return new Condition.Mark(
                StepKey.of(chamber, StepKind.SUPPORTS), "the supports of the " + chamber.said() + " cut away");
    }

    /** Whether a channel is drilled on the core, before the top: its drill stands in a chamber. */
    public static boolean isOnCore(Passage passage) {
        return passage.from().filter(s -> isInCore(s.feature())).isPresent();
    }

    /** Whether a channel can never be drilled any more: the top lies over the chamber that its drill was to stand in. */
    public static boolean isLost(Build build, Passage passage) {
        return isOnCore(passage)
                && isClosed(build)
                && !build.isDone(StepKey.of(passage.channel().feature(), StepKind.DRILL));
    }

    /** Whether the top is glued on. */
    public static boolean isClosed(Build build) {
        return build.isDone(CLOSES);
    }

    /** Holds once a channel is drilled. */
    public static Condition drilled(Channel channel) {
        return new Condition.Access(
                StepKey.of(channel.feature(), StepKind.DRILL), channel.feature().said());
    }

    /** The step that marks a chamber on the core. */
    public static StepKey mark(Chamber chamber) {
        return StepKey.of(chamber.feature(), StepKind.MARK);
    }

    /** The core's wood, strip by strip; with it the back plate, where that was glued on before the core lay by itself. */
    public static List<Change> core(Build build) {
        double to = build.isDone(BACKING)
                        && putsCore(build).filter(k -> !build.isDone(k)).isPresent()
                ? blankBack(build)
                : back(build);
        return Stream.concat(
                        aside(build).stream(),
                        wood(build, build.design().blank().core(), front(build), to).stream())
                .toList();
    }

    /**
     * The blank's wood as it lies whole by the record, taken away: it was glued up before anyone thought of a top or of plates, and what
     * lies on the bench from now on is put there anew.
     */
    private static List<Change> aside(Build build) {
        return build.asBuilt().steps().values().stream()
                .filter(d -> WHOLE.contains(d.operation()))
                .flatMap(d -> d.changes().stream())
                .filter(c -> c instanceof Change.Add add && add.isBlank())
                .<Change>map(c -> Change.Remove.fromBody(BLANK, c.solid()))
                .toList();
    }

    /** The back plate's wood, strip by strip; none where none is sawn off. */
    public static List<Change> backPlate(Build build) {
        return build.design().blank().sawn().back() > 0
                ? wood(build, build.design().blank().core(), back(build), blankBack(build))
                : List.of();
    }

    /** The wood of the top, or of the front plate, strip by strip; none without one. */
    public static List<Change> top(Build build) {
        Blank blank = build.design().blank();
        return blank.isCovered()
                ? wood(build, blank.top().orElse(blank.core()), -build.roughAboveFront(), front(build))
                : List.of();
    }

    /** All of the blank's wood. */
    public static List<Change> all(Build build) {
        Stream<Change> own = wood(build, build.design().blank().core(), front(build), blankBack(build)).stream();
        Stream<Change> before = build.design().blank().isCovered() ? aside(build).stream() : Stream.empty();
        return Stream.of(before, top(build).stream(), own).flatMap(s -> s).toList();
    }

    private static List<Change> wood(Build build, BlankLayer layer, double from, double to) {
        return build.design().blank().stripes(layer).stream()
                .<Change>map(s -> new Change.Add(
                        BLANK,
                        Workpiece.BODY,
                        Solid.Prism.between(s.plan(), from, to),
                        new Material(s.species().key(), s.species().density().value())))
                .toList();
    }
}
