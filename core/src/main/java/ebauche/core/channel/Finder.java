package ebauche.core.channel;

import ebauche.core.channel.Walls.Wall;
import ebauche.core.crib.Drill;
import ebauche.core.design.BodyDesign;
import ebauche.core.design.NeckJoint;
import ebauche.core.design.Passage.Begun;
import ebauche.core.feature.Feature;
import ebauche.core.geometry.Face;
import ebauche.core.geometry.Region;
import ebauche.core.hardware.Bridge;
import ebauche.core.hardware.Channel;
import ebauche.core.hardware.Jack;
import ebauche.core.hardware.Wire;
import ebauche.core.job.Build;
import ebauche.core.job.History;
import ebauche.core.job.UnderTop;
import ebauche.core.stock.FaceShape;
import ebauche.core.wires.ComingOut;
import ebauche.core.wires.Run;
import ebauche.core.wires.WireWays;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.stream.Stream;

/**
 * Finds the channels that give wires a way where they have none: straight holes from the wall of the neck pocket, the jack hole or a
 * space into a space, and one from under the bridge for its ground; where none of these will do, from the edge through one space into
 * another, its mouth to be plugged. Entries and exits are tried along the walls and at a few depths; of those that a drill and its
 * chuck can be held for, that keep clear of what they must not meet and that seldom come out, the one that gives most parts a way is
 * taken, then the least chance, then the shortest; then the next, until none is missing or none is found.
 */
public final class Finder {
    /** Wood kept beside what a channel must not meet, mm: common practice. */
    private static final double CLEAR = 3;

    /** Written to a tenth of a millimetre it may lie so much nearer, mm. */
    private static final double NEARLY = 0.05;

    /** What comes out more often than so is not proposed. */
    private static final double WORST = 0.2;

    /** A hole meets its walls no flatter than so, and the edge that it is begun at: cosine of the angle to the square. */
    private static final double STEEPEST = 0.35;

    private static final double SQUAREST = 0.8;

    /** Usual width of a channel for two or three wires, and of a ground wire's, mm: common practice. */
    public static final double USUAL = 8;

    private static final double GROUND = 3.2;

    /** What comes out less often than so is not bettered: one body in two thousand; and by less it is no better. */
    private static final double SELDOM = 5e-4;

    private static final double LESS = 1e-4;

    /** An end is moved to places along its wall that lie so near, mm. */
    private static final double NEAR_BY = 26;

    /** So many candidates are looked at in the wood, the most promising first. */
    private static final int MOST_TRIED = 600;

    private final Build build;
    private final BodyDesign design;
    private final Around around;
    private final DrillRoom room;
    private final double spread;
    private final Map<Double, Walls> walls = new HashMap<>();

    private Finder(Build build, History history) {
        this.build = build;
        this.design = build.design();
        this.around = new Around(build, history, f -> false);
        this.room = new DrillRoom(around);
        this.spread = Straying.spread(build, Straying.held(build, Channel.Held.AS_USUAL))
                .value();
    }

    /**
     * One that is proposed.
     *
     * @param chance that it comes out through a face, between 0 and 1
     * @param drill the least length of drill out of its chuck, mm
     * @param reaches the spaces that it gives a way
     */
    public record Proposal(Channel channel, double chance, double drill, Set<Feature> reaches) {
        private boolean isLikely() {
            return seldom(chance);
        }
    }

    /** Whether it comes out of so few bodies that it is worth the risk. */
    private static boolean seldom(double chance) {
        return chance <= ChannelStation.MOST_PER_CENT / 100;
    }

    /** Channels that together give a way to what has none, so far as any are found; none where nothing is missing. */
    public static List<Proposal> missing(Build build, History history) {
        return new Finder(build, history).all();
    }

    /** Ways round for the first channel that is missing, each out of another space or into another, the best first. */
    public static List<Proposal> ranked(Build build, History history, int most) {
        Finder finder = new Finder(build, history);
        WireWays ways = WireWays.of(build);
        Set<Feature> shut = new LinkedHashSet<>(ways.shut().keySet());
        Optional<Quest> quest = shut.isEmpty()
                ? finder.ground(ways, ways.reached())
                : Optional.of(finder.wires(0, ways.reached(), shut));
        return quest.map(q -> finder.ranked(q, most)).orElse(List.of());
    }

    /**
     * What is looked for.
     *
     * @param reached what a wire gets to from the jack
     * @param shut what it does not
     */
    private record Quest(String name, double wide, Set<Feature> from, Set<Feature> reached, Set<Feature> shut) {
        Quest fromTheEdge() {
            return new Quest(name, wide, Set.of(Feature.OUTLINE), reached, shut);
        }
    }

    private List<Proposal> all() {
        WireWays ways = WireWays.of(build);
        Set<Feature> reached = ways.reached();
        Set<Feature> shut = new LinkedHashSet<>(ways.shut().keySet());
        List<Proposal> found = new ArrayList<>();
        while (!shut.isEmpty()) {
            List<Proposal> next = ranked(wires(found.size(), reached, shut), 1);
            if (next.isEmpty()) {
                break;
            }
            found.addAll(next);
            next.forEach(p -> around.add(Run.of(build, p.channel())));
            next.get(0).reaches().forEach(f -> {
                Set<Feature> with = ways.joinedWith(f);
                reached.addAll(with);
                shut.removeAll(with);
            });
        }
        ground(ways, reached).ifPresent(q -> found.addAll(ranked(q, 1)));
        return found;
    }

    private Quest wires(int number, Set<Feature> reached, Set<Feature> shut) {
        Set<Feature> sources = new LinkedHashSet<>();
        sources.add(NeckJoint.FEATURE);
        sources.add(Jack.FEATURE);
        sources.addAll(reached);
        sources.addAll(shut);
        sources.retainAll(around.features());
        // No drill gets into a chamber under its top.
        sources.removeIf(f -> UnderTop.isInCore(f) && (UnderTop.isClosed(build) || !around.isForWires(f)));
        return new Quest(
                "wires" + (number == 0 ? "" : "-" + (number + 1)), width(USUAL, 3, 14), sources, reached, shut);
    }

    /** From under a bridge whose ground has no way. */
    private Optional<Quest> ground(WireWays ways, Set<Feature> reached) {
        boolean missing = ways.without().stream().anyMatch(Wire::isGround)
                && !around.features().contains(Bridge.SPRINGS)
                && !reached.contains(Bridge.FEATURE);
        Set<Feature> bridge = Set.of(Bridge.FEATURE);
        return missing
                ? Optional.of(new Quest("ground", width(GROUND, 2, 5), bridge, reached, bridge))
                : Optional.empty();
    }

    /** The usual width, or that of the crib's long drill nearest to it. */
    private double width(double usual, double least, double most) {
        return build.shop().crib().drills().stream()
                .filter(d -> d.kind() == Drill.Kind.LONG)
                .map(Drill::diameter)
                .filter(d -> d >= least && d <= most)
                .min(Comparator.comparingDouble(d -> Math.abs(d - usual)))
                .orElse(usual);
    }

    /**
     * A hole that may do, as far as it is known without looking at the wood.
     *
     * @param gives the most spaces without a way that it can open into
     * @param chance that it comes out of flat faces
     */
    private record Candidate(Feature from, Feature into, Line line, int gives, double chance) {
        boolean isLikely() {
            return seldom(chance);
        }
    }

    private static final Comparator<Candidate> PROMISING = Comparator.<Candidate>comparingInt(c -> c.isLikely() ? 0 : 1)
            .thenComparingInt(c -> -c.gives())
            .thenComparingDouble(c -> Math.rint(c.chance() * 1000))
            .thenComparingDouble(c -> c.line().length());

    /** The best out of each space into each, so many of them; from the edge, where it shows, only what nothing inside does as well. */
    private List<Proposal> ranked(Quest quest, int most) {
        List<Proposal> inside = searched(quest, most);
        boolean enough = inside.size() >= most && inside.stream().anyMatch(Proposal::isLikely);
        if (enough || quest.from().contains(Bridge.FEATURE)) {
            return inside;
        }
        return Stream.concat(inside.stream(), searched(quest.fromTheEdge(), most).stream())
                .sorted(Comparator.comparing(p -> !p.isLikely()))
                .limit(most)
                .toList();
    }

    private List<Proposal> searched(Quest quest, int most) {
        List<Candidate> candidates = candidates(quest);
        candidates.sort(PROMISING);
        Map<List<Feature>, Proposal> best = new LinkedHashMap<>();
        int tried = 0;
        for (Candidate c : candidates) {
            if (!c.isLikely() && best.values().stream().anyMatch(Proposal::isLikely)) {
                break;
            }
            List<Feature> between = List.of(c.from(), c.into());
            // Only what gives more than is known already is worth a look at the wood.
            int more = mostOf(most == 1 ? best.values() : known(best, between));
            if (c.gives() > more && tried++ < MOST_TRIED) {
                tried(c, quest, more).ifPresent(p -> best.put(between, bettered(c, p, quest)));
            }
        }
        return best.values().stream()
                .sorted(Comparator.comparingInt((Proposal p) -> -p.reaches().size()))
                .limit(most)
                .toList();
    }

    /**
     * What little leeway can be made more of: its ends moved a little, one way at a time, as long as it comes out less often for it. Places
     * and depths that were tried at first lie far apart.
     */
    private Proposal bettered(Candidate first, Proposal found, Quest quest) {
        Candidate at = first;
        Proposal best = found;
        for (boolean better = true; better && best.chance() > SELDOM; ) {
            better = false;
            for (Line line : beside(at, quest)) {
                double chance = flatChance(line, quest.wide() / 2, !at.from().equals(Bridge.FEATURE));
                if (chance < best.chance() - LESS) {
                    Candidate moved = new Candidate(at.from(), at.into(), line, at.gives(), chance);
                    Optional<Proposal> there =
                            tried(moved, quest, best.reaches().size() - 1);
                    if (there.isPresent() && there.get().chance() < best.chance() - LESS) {
                        at = moved;
                        best = there.get();
                        better = true;
                        break;
                    }
                }
            }
        }
        return best;
    }

    /** The same with one end a little higher, lower or farther along its wall. */
    private List<Line> beside(Candidate c, Quest quest) {
        Line line = c.line();
        List<Line> all = new ArrayList<>();
        for (double by : new double[] {-4, 4, -1.5, 1.5, -0.5, 0.5}) {
            if (!c.from().equals(Bridge.FEATURE)) {
                all.add(new Line(line.entry(), line.start() + by, line.exit(), line.end()));
            }
            all.add(new Line(line.entry(), line.start(), line.exit(), line.end() + by));
        }
        begins(walls(quest), c.from()).stream()
                .filter(w -> w.at().distance(line.entry()) < NEAR_BY)
                .forEach(w -> all.add(new Line(w.at(), line.start(), line.exit(), line.end())));
        walls(quest).of(c.into()).stream()
                .filter(w -> w.at().distance(line.exit()) < NEAR_BY)
                .forEach(w -> all.add(new Line(line.entry(), line.start(), w.at(), line.end())));
        return all;
    }

    /** Places of one width of hole are looked for once. */
    private Walls walls(Quest quest) {
        return walls.computeIfAbsent(quest.wide(), wide -> new Walls(around, wide, CLEAR));
    }

    private List<Candidate> candidates(Quest quest) {
        Walls walls = walls(quest);
        Set<Feature> targets = new LinkedHashSet<>(quest.shut());
        targets.addAll(quest.reached());
        targets.retainAll(around.features());
        targets.removeIf(f -> UnderTop.isInCore(f) && !around.isForWires(f));
        List<Candidate> all = new ArrayList<>();
        for (Feature into : targets) {
            for (Feature from : quest.from()) {
                if (!from.equals(into)) {
                    List<Wall> begins = begins(walls, from);
                    for (Wall exit : walls.of(into)) {
                        for (Wall entry : begins) {
                            lines(from, entry, into, exit, quest, all);
                        }
                    }
                }
            }
        }
        return all;
    }

    private List<Wall> begins(Walls walls, Feature from) {
        if (from.equals(Bridge.FEATURE)) {
            return walls.underBridge(design.bridge().footprint());
        }
        return from.equals(Feature.OUTLINE) ? walls.edge() : walls.of(from);
    }

    /** From wall to wall, if it leaves the one and meets the other steeply enough, at every depth that the two allow. */
    private void lines(Feature from, Wall out, Feature into, Wall in, Quest quest, List<Candidate> all) {
        double way = out.at().distance(in.at());
        if (way < 2 * Line.INTO) {
            return;
        }
        double dx = (in.at().x() - out.at().x()) / way;
        double dy = (in.at().y() - out.at().y()) / way;
        boolean atEdge = from.equals(Feature.OUTLINE);
        boolean leaves = !out.isUpright() || dx * out.dx() + dy * out.dy() > (atEdge ? SQUAREST : STEEPEST);
        boolean arrives = dx * in.dx() + dy * in.dy() < -STEEPEST;
        if (!leaves || !arrives) {
            return;
        }
        Set<Feature> crossed = around.crossed(out.at(), in.at());
        crossed.add(from);
        crossed.add(into);
        int gives = (int) crossed.stream().filter(quest.shut()::contains).count();
        if (gives == 0 || crossed.stream().noneMatch(quest.reached()::contains)) {
            return;
        }
        double half = quest.wide() / 2;
        double back = out.isUpright() && !atEdge ? behind(from, out, dx, dy) : Double.POSITIVE_INFINITY;
        for (double start : out.depths()) {
            for (double end : in.depths()) {
                Line line = new Line(out.at(), start, in.at(), end);
                double chance = flatChance(line, half, out.isUpright());
                if (chance <= WORST && clears(line, back, (end - start) / way, half)) {
                    all.add(new Candidate(from, into, line, gives, chance));
                }
            }
        }
    }

    /** How far it is back over a space to its other wall; endless where it is open to the edge there. */
    private double behind(Feature from, Wall out, double dx, double dy) {
        Region plan = around.plan(from);
        double back = plan.wayOut(out.at().plus(-dx / 2, -dy / 2), -dx, -dy);
        double beyond = back + CLEAR;
        return around.body().contains(out.at().plus(-beyond * dx, -beyond * dy)) ? back : Double.POSITIVE_INFINITY;
    }

    /** Whether the drill is out over the front, or over the back, before it meets the other wall of the space that it is set in. */
    private boolean clears(Line line, double back, double fall, double half) {
        return Double.isInfinite(back)
                || line.start() - fall * back + half <= around.frontDepth()
                || line.start() - fall * back - half >= around.backDepth();
    }

    private static Collection<Proposal> known(Map<List<Feature>, Proposal> best, List<Feature> between) {
        return Optional.ofNullable(best.get(between)).stream().toList();
    }

    private static int mostOf(Collection<Proposal> proposals) {
        return proposals.stream().mapToInt(p -> p.reaches().size()).max().orElse(0);
    }

    /**
     * A candidate looked at in the wood.
     *
     * @param more it must give a way to more spaces than so many
     */
    private Optional<Proposal> tried(Candidate c, Quest quest, int more) {
        Line line = c.line();
        double wide = quest.wide();
        boolean onFront = c.from().equals(Bridge.FEATURE);
        boolean atEdge = c.from().equals(Feature.OUTLINE);
        Set<Feature> met = around.met(line);
        if (!atEdge) {
            met.add(c.from());
        }
        met.add(c.into());
        Set<Feature> gives = new HashSet<>(met);
        gives.retainAll(quest.shut());
        boolean joins = gives.size() > more && met.stream().anyMatch(quest.reached()::contains);
        boolean leansTooFar = c.from().equals(Jack.FEATURE) && !leansInJack(line, wide);
        if (!joins || !staysInside(line, atEdge) || leansTooFar) {
            return Optional.empty();
        }
        OptionalDouble held = room.heldOut(line, Optional.of(c.from()).filter(f -> !atEdge), wide);
        double drill = line.length() + Line.INTO + held.orElse(Double.POSITIVE_INFINITY);
        if (drill > DrillRoom.LONGEST_DRILL || !around.keepsClear(line, wide, CLEAR, met)) {
            return Optional.empty();
        }
        Optional<Channel> drawn = onFront || atEdge
                ? line.fromOutside(quest.name(), wide, around.frontDepth())
                : line.channel(quest.name(), wide, around.frontDepth());
        double chance = chance(line, wide, onFront);
        if (drawn.isEmpty() || chance > WORST) {
            return Optional.empty();
        }
        // As it will be drawn it must be read as what it is: out of the one space, into the other.
        Run run = Run.of(build, drawn.get());
        boolean begins = (onFront || atEdge)
                ? run.begun() == (onFront ? Begun.ON_THE_FRONT : Begun.AT_THE_EDGE)
                : run.from().filter(s -> s.feature().equals(c.from())).isPresent();
        boolean ends = run.into().filter(s -> s.feature().equals(c.into())).isPresent();
        if (onFront) {
            met.add(Feature.FRONT);
        }
        return begins && ends && keepsItsWood(run, met)
                ? Optional.of(new Proposal(drawn.get(), chance, drill, gives))
                : Optional.empty();
    }

    /**
     * Whether it keeps off the edge from end to end; begun at it, from where it is as deep in the wood as it should be.
     */
    private boolean staysInside(Line line, boolean atEdge) {
        // Nowhere nearer to the edge than it is here less the way from here.
        for (double s = atEdge ? CLEAR / SQUAREST + Around.STRIDE : 0; s <= line.length(); ) {
            double room = -around.body().outside(line.at(s)) - CLEAR;
            if (room < 0) {
                return false;
            }
            s += Math.max(4 * Around.STRIDE, room);
        }
        return true;
    }

    private boolean leansInJack(Line line, double wide) {
        Jack jack = design.jack().orElseThrow();
        return DrillRoom.offJack(line, jack) <= DrillRoom.leanInJack(jack.diameter(), wide);
    }

    private boolean keepsItsWood(Run run, Set<Feature> met) {
        return around.beside(run, met, CLEAR).stream().allMatch(t -> t.thickness() >= CLEAR - NEARLY);
    }

    /** How likely it comes out of the faces as they will be. */
    private double chance(Line line, double wide, boolean onFront) {
        double sum = 0;
        double half = wide / 2 * line.lean();
        for (Face face : onFront ? List.of(Face.BACK) : List.of(Face.values())) {
            FaceShape shape = around.face(face);
            List<ComingOut.Clearance> beside = new ArrayList<>();
            for (double s = 0; s <= line.length(); s += 1) {
                double surface = shape.depthAt(line.at(s));
                double axis = line.depth(s);
                double wood = (face == Face.FRONT ? axis - surface : surface - axis) - half;
                // Straight up a hole that leans is taller than it is wide.
                if (wood + half - wide / 2 / line.lean() < CLEAR) {
                    return 1;
                }
                if (s > 0) {
                    beside.add(new ComingOut.Clearance(s, wood));
                }
            }
            sum += ComingOut.chance(ComingOut.leeway(beside), spread);
        }
        return sum;
    }

    /** How likely it comes out of faces that are flat: a carve only makes it worse. */
    private double flatChance(Line line, double half, boolean underFront) {
        double front = around.frontDepth();
        double back = around.backDepth();
        double top = Math.min(leeway(line.start() - front - half, 1), leeway(line.end() - front - half, line.length()));
        double bottom =
                Math.min(leeway(back - line.start() - half, 1), leeway(back - line.end() - half, line.length()));
        return (underFront ? ComingOut.chance(top, spread) : 0) + ComingOut.chance(bottom, spread);
    }

    private static double leeway(double wood, double along) {
        return wood <= 0 ? 0 : Math.toDegrees(Math.atan2(wood, along));
    }
}
