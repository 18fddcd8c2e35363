package ebauche.core.channel;

import ebauche.core.crib.Drill;
import ebauche.core.design.BodyDesign;
import ebauche.core.design.NeckJoint;
import ebauche.core.feature.Feature;
import ebauche.core.feature.FeatureKind;
import ebauche.core.geometry.Face;
import ebauche.core.geometry.Point;
import ebauche.core.geometry.Region;
import ebauche.core.hardware.Channel;
import ebauche.core.hardware.Jack;
import ebauche.core.job.Build;
import ebauche.core.job.History;
import ebauche.core.operation.StepKind;
import ebauche.core.stock.Bore;
import ebauche.core.stock.Change;
import ebauche.core.stock.FaceShape;
import ebauche.core.stock.Solid;
import ebauche.core.stock.WoodLeft;
import ebauche.core.wires.ComingOut;
import ebauche.core.wires.Run;
import ebauche.core.wires.WireWays;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * Finds the channels that give wires a way where they have none: straight holes from the wall of the neck pocket, the jack hole or a
 * space into a space. Entries and exits are tried along the walls and at a few depths; of those that a drill and its
 * chuck can be held for, that keep clear of what they must not meet and that seldom come out, the one that gives most parts a way is
 * taken, then the least chance, then the shortest; then the next, until none is missing or none is found.
 */
public final class Finder {
    /** Along a wall places are tried so far apart, mm. */
    private static final double ALONG_WALL = 12;

    /** Wood kept beside what a channel must not meet, mm: common practice. */
    private static final double CLEAR = 3;

    /** How far it is looked along a hole from place to place, mm. */
    private static final double STRIDE = 4;

    /** The hole's middle lies so far over a floor that it grazes it by, mm. */
    private static final double OVER_FLOOR = 1;

    /** Stages of a pocket that its last pass swallows. */
    private static final Set<StepKind> ON_THE_WAY = EnumSet.of(StepKind.WASTE, StepKind.START, StepKind.ROUGH);

    /** Half of a chuck, and how far a drill is held out behind it at the most, mm: common practice. */
    private static final double CHUCK = 19;

    private static final double LONGEST_DRILL = 460;

    /** The drill is set so far inside a space, and goes on so far into the other, on the plan, mm. */
    private static final double INTO = 12;

    /** An axis so near a floor hardly opens the space over it, mm. */
    private static final double GRAZES = 0.5;

    /** Written to a tenth of a millimetre it may lie so much nearer, mm. */
    private static final double NEARLY = 0.05;

    /** At the least so far, mm; and its middle at the least so far under the front there. */
    private static final double LEAST_INTO = 2;

    private static final double UNDER_FRONT = 1;

    /** What comes out more often than so is not proposed. */
    private static final double WORST = 0.2;

    /** A bit leans in the jack's hole by what room it has there over this length, mm: the wall it is drilled through. */
    private static final double JACK_WALL = 25;

    /** A hole meets its walls no flatter than so: cosine of the angle to the square. */
    private static final double STEEPEST = 0.35;

    /** Usual width of a channel for two or three wires, mm: common practice. */
    public static final double USUAL = 8;

    /** So many candidates are looked at in the wood, the most promising first. */
    private static final int MOST_TRIED = 600;

    private final Build build;
    private final BodyDesign design;
    private final Region body;
    private final double front;
    private final double spread;
    private final FaceShape frontShape;
    private final FaceShape backShape;
    private final Map<Feature, List<Solid>> voids = new LinkedHashMap<>();
    private final Map<Feature, List<Wall>> walls = new HashMap<>();

    /** Of the spaces that carry wires. */
    private final Map<Feature, Region> plans = new LinkedHashMap<>();

    private Finder(Build build, History history) {
        this.build = build;
        this.design = build.design();
        this.body = design.outline().region();
        this.front = build.faces().frontFinished();
        this.spread = ChannelStation.spread(build);
        this.frontShape = build.finished(Face.FRONT);
        this.backShape = build.finished(Face.BACK);
        for (History.Step step : history.steps()) {
            if (ON_THE_WAY.contains(step.operation().key().kind())) {
                continue;
            }
            for (Change change : step.changes()) {
                if (History.isVoid(change)) {
                    voids.computeIfAbsent(change.feature(), f -> new ArrayList<>())
                            .add(change.solid());
                }
            }
        }
        voids.forEach((feature, all) -> {
            if (carriesWires(feature)) {
                plans.put(feature, all.stream().map(Solid::plan).reduce(Region.EMPTY, Region::union));
            }
        });
    }

    /**
     * One that is proposed.
     *
     * @param chance that it comes out through a face, between 0 and 1
     * @param drill the least length of drill out of its chuck, mm
     * @param reaches the spaces that it gives a way
     */
    public record Proposal(Channel channel, double chance, double drill, Set<Feature> reaches) {}

    /** Channels that together give a way to what has none, so far as any are found; none where nothing is missing. */
    public static List<Proposal> missing(Build build, History history) {
        return new Finder(build, history).all();
    }

    private List<Proposal> all() {
        WireWays ways = new WireWays(build);
        Set<Feature> reached = ways.reached();
        Set<Feature> shut = new LinkedHashSet<>(ways.shut().keySet());
        List<Proposal> found = new ArrayList<>();
        while (!shut.isEmpty()) {
            Optional<Proposal> next = best(reached, shut, found.size());
            if (next.isEmpty()) {
                return found;
            }
            found.add(next.get());
            next.get().reaches().forEach(f -> {
                Set<Feature> with = ways.joinedWith(f);
                reached.addAll(with);
                shut.removeAll(with);
            });
        }
        return found;
    }

    /**
     * A hole that may do, as far as it is known without looking at the wood.
     *
     * @param gives the most spaces without a way that it can open into
     * @param chance that it comes out of flat faces
     */
    private record Candidate(Feature from, Feature into, Line line, int gives, double chance) {
        /** Whether it seldom comes out. */
        boolean isLikely() {
            return chance <= ChannelStation.MOST_PER_CENT / 100;
        }
    }

    private static final Comparator<Candidate> PROMISING = Comparator.<Candidate>comparingInt(c -> c.isLikely() ? 0 : 1)
            .thenComparingInt(c -> -c.gives())
            .thenComparingDouble(c -> Math.rint(c.chance() * 1000))
            .thenComparingDouble(c -> c.line().length());

    private Optional<Proposal> best(Set<Feature> reached, Set<Feature> shut, int number) {
        double wide = width();
        List<Candidate> candidates = candidates(reached, shut, wide);
        candidates.sort(PROMISING);
        Optional<Proposal> best = Optional.empty();
        for (Candidate c : candidates.subList(0, Math.min(MOST_TRIED, candidates.size()))) {
            Optional<Proposal> found = tried(c, wide, number, reached, shut);
            if (found.isPresent()) {
                boolean better = best.isEmpty()
                        || found.get().reaches().size() > best.get().reaches().size();
                best = better ? found : best;
                if (best.get().reaches().size() >= c.gives()) {
                    return best;
                }
            }
        }
        return best;
    }

    private List<Candidate> candidates(Set<Feature> reached, Set<Feature> shut, double wide) {
        Set<Feature> targets = new LinkedHashSet<>(shut);
        targets.addAll(reached);
        targets.retainAll(voids.keySet());
        List<Candidate> all = new ArrayList<>();
        for (Feature into : targets) {
            for (Feature from : sources(reached, shut)) {
                if (!from.equals(into)) {
                    for (Wall exit : wall(into)) {
                        for (Wall entry : wall(from)) {
                            lines(from, entry, into, exit, wide, reached, shut, all);
                        }
                    }
                }
            }
        }
        return all;
    }

    /** From wall to wall, if it leaves the one and meets the other steeply enough, at every depth that the two allow. */
    private void lines(
            Feature from,
            Wall out,
            Feature into,
            Wall in,
            double wide,
            Set<Feature> reached,
            Set<Feature> shut,
            List<Candidate> all) {
        double way = out.at().distance(in.at());
        if (way < 2 * INTO) {
            return;
        }
        double dx = (in.at().x() - out.at().x()) / way;
        double dy = (in.at().y() - out.at().y()) / way;
        boolean leaves = dx * out.dx() + dy * out.dy() > STEEPEST;
        boolean arrives = dx * in.dx() + dy * in.dy() < -STEEPEST;
        if (!leaves || !arrives) {
            return;
        }
        Set<Feature> crossed = crossed(out.at(), in.at());
        crossed.add(from);
        crossed.add(into);
        int gives = (int) crossed.stream().filter(shut::contains).count();
        if (gives == 0 || crossed.stream().noneMatch(reached::contains)) {
            return;
        }
        double room = walls(from, out, dx, dy);
        for (double start : out.depths()) {
            for (double end : in.depths()) {
                Line line = new Line(out.at(), start, in.at(), end);
                double chance = flatChance(line, wide);
                if (chance <= WORST && clears(line, room, (end - start) / way, wide / 2)) {
                    all.add(new Candidate(from, into, line, gives, chance));
                }
            }
        }
    }

    /** How far it is back over a space to its other wall; endless where it is open to the edge there. */
    private double walls(Feature from, Wall out, double dx, double dy) {
        Region plan = plans.containsKey(from)
                ? plans.get(from)
                : voids.get(from).get(0).plan();
        double room = plan.wayOut(out.at().plus(-dx / 2, -dy / 2), -dx, -dy);
        double beyond = room + CLEAR;
        return body.contains(out.at().plus(-beyond * dx, -beyond * dy)) ? room : Double.POSITIVE_INFINITY;
    }

    /** Whether the drill is out over the front, or over the back, before it meets the other wall of the space that it is set in. */
    private boolean clears(Line line, double room, double fall, double half) {
        return Double.isInfinite(room)
                || line.start() - fall * room + half <= front
                || line.start() - fall * room - half >= build.faces().backFinished();
    }

    /** Spaces for wires over which a way lies on the plan. */
    private Set<Feature> crossed(Point entry, Point exit) {
        Set<Feature> crossed = new LinkedHashSet<>();
        double way = entry.distance(exit);
        plans.forEach((space, plan) -> {
            boolean near = Math.max(entry.x(), exit.x()) > plan.minX()
                    && Math.min(entry.x(), exit.x()) < plan.maxX()
                    && Math.max(entry.y(), exit.y()) > plan.minY()
                    && Math.min(entry.y(), exit.y()) < plan.maxY();
            for (double s = STRIDE; near && s < way; s += 2 * STRIDE) {
                if (plan.contains(entry.towards(exit, s / way))) {
                    crossed.add(space);
                    return;
                }
            }
        });
        return crossed;
    }

    /** The usual width, or that of the crib's long drill nearest to it. */
    private double width() {
        return build.shop().crib().drills().stream()
                .filter(d -> d.kind() == Drill.Kind.LONG)
                .map(Drill::diameter)
                .min(Comparator.comparingDouble(d -> Math.abs(d - USUAL)))
                .filter(d -> d >= 3 && d <= 14)
                .orElse(USUAL);
    }

    private Set<Feature> sources(Set<Feature> reached, Set<Feature> shut) {
        Set<Feature> sources = new LinkedHashSet<>();
        sources.add(NeckJoint.FEATURE);
        sources.add(Jack.FEATURE);
        sources.addAll(reached);
        sources.addAll(shut);
        sources.retainAll(voids.keySet());
        return sources;
    }

    /**
     * A place on the wall of a space.
     *
     * @param dx of the way out of it, of length one with {@code dy}
     * @param depths at which a hole's middle may lie there, in the stock
     */
    private record Wall(Point at, double dx, double dy, List<Double> depths) {}

    /** Places along the walls of a space, on the plan. */
    private List<Wall> wall(Feature space) {
        return walls.computeIfAbsent(space, this::walls);
    }

    private List<Wall> walls(Feature space) {
        List<Wall> places = new ArrayList<>();
        Region plan = plans.containsKey(space)
                ? plans.get(space)
                : voids.get(space).stream().map(Solid::plan).reduce(Region.EMPTY, Region::union);
        plan.forEachRing(ring -> {
            for (int i = 0; i + 3 < ring.length; i += 2) {
                Point a = new Point(ring[i], ring[i + 1]);
                Point b = new Point(ring[i + 2], ring[i + 3]);
                double length = a.distance(b);
                int steps = (int) Math.ceil(length / ALONG_WALL);
                for (int k = 0; k < steps; k++) {
                    Point at = a.towards(b, (k + 0.5) / steps);
                    double dx = (b.y() - a.y()) / length;
                    double dy = -(b.x() - a.x()) / length;
                    boolean out = !plan.contains(at.plus(dx, dy));
                    if (body.outside(at) < -CLEAR
                            && places.stream().noneMatch(o -> o.at().distance(at) < ALONG_WALL / 2)) {
                        int side = out ? 1 : -1;
                        List<Double> depths = depths(space, at.plus(-side * dx, -side * dy), width());
                        places.add(new Wall(at, side * dx, side * dy, depths));
                    }
                }
            }
        });
        return places;
    }

    private boolean staysInside(Point entry, Point exit) {
        double way = entry.distance(exit);
        for (double s = 0; s <= way; s += 4 * STRIDE) {
            if (body.outside(entry.towards(exit, s / way)) > -CLEAR) {
                return false;
            }
        }
        return true;
    }

    /** Depths of a middle beside a wall of a space: just over its floor and under its roof, and between. */
    private List<Double> depths(Feature space, Point inside, double wide) {
        double top = Double.POSITIVE_INFINITY;
        double bottom = Double.NEGATIVE_INFINITY;
        for (Solid solid : voids.get(space)) {
            double[] piece = piece(solid, inside);
            if (piece.length > 0) {
                top = Math.min(top, piece[0]);
                bottom = Math.max(bottom, piece[1]);
            }
        }
        double half = wide / 2;
        double least = Math.max(top + half + OVER_FLOOR, front + half + CLEAR);
        double most = Math.min(bottom - half - OVER_FLOOR, build.faces().backFinished() - half - CLEAR);
        if (!(most >= least)) {
            return List.of();
        }
        return most - least < 2 ? List.of(most) : List.of(least, (2 * least + most) / 3, (least + 2 * most) / 3, most);
    }

    /** Between which depths a solid is cut away at a place; nothing where it is not. */
    private static double[] piece(Solid solid, Point at) {
        if (solid instanceof Bore bore) {
            return bore.plan().contains(at) ? bore.pieceAt(at.x(), at.y()) : new double[0];
        }
        Solid.Prism prism = (Solid.Prism) solid;
        return prism.plan().contains(at)
                ? new double[] {prism.top().depthAt(at), prism.bottom().depthAt(at)}
                : new double[0];
    }

    /** A candidate looked at in the wood. */
    private Optional<Proposal> tried(Candidate c, double wide, int number, Set<Feature> reached, Set<Feature> shut) {
        Line line = c.line();
        Feature from = c.from();
        Feature into = c.into();
        if (!staysInside(line.entry(), line.exit())) {
            return Optional.empty();
        }
        if (from.equals(Jack.FEATURE) && !leansInJack(line, wide)) {
            return Optional.empty();
        }
        double held = heldOutAt(line, from, wide);
        double drill = line.length() + INTO + held;
        if (!Double.isFinite(held) || drill > LONGEST_DRILL) {
            return Optional.empty();
        }
        Set<Feature> met = met(line);
        met.add(from);
        met.add(into);
        Set<Feature> gives = new HashSet<>(met);
        gives.retainAll(shut);
        boolean joined = met.stream().anyMatch(reached::contains);
        if (gives.isEmpty() || !joined || !keepsClear(line, wide, met)) {
            return Optional.empty();
        }
        Optional<Channel> drawn = line.channel("wires" + (number == 0 ? "" : "-" + (number + 1)), wide, front);
        if (drawn.isEmpty()) {
            return Optional.empty();
        }
        Channel channel = drawn.get();
        double chance = chance(line, wide);
        if (chance > WORST) {
            return Optional.empty();
        }
        // As it will be drawn it must be read as what it is: out of the one space, into the other.
        Run run = Run.of(build, channel);
        boolean reads = run.from().filter(s -> s.feature().equals(from)).isPresent()
                && run.into().filter(s -> s.feature().equals(into)).isPresent();
        return reads && keepsItsWood(run, met)
                ? Optional.of(new Proposal(channel, chance, drill, gives))
                : Optional.empty();
    }

    /** Whether it leaves wood all round as exactly as the plan will tell it: to the faces, and to all that it is not meant to open into. */
    private boolean keepsItsWood(Run run, Set<Feature> met) {
        Feature own = run.channel().feature();
        WoodLeft left = new WoodLeft(body, frontShape, backShape, (one, other) -> {
            Feature neighbour = one.equals(own) ? other : one;
            boolean its = one.equals(own) || other.equals(own);
            return !its || met.contains(neighbour) || isPartOf(neighbour, met);
        });
        voids.forEach((feature, all) -> all.forEach(s -> left.add(feature, Face.FRONT, s)));
        left.add(own, Face.FRONT, run.bore());
        return left.thinnest().stream()
                .filter(t -> t.feature().equals(own) || t.neighbour().equals(own))
                .allMatch(t -> t.thickness() >= CLEAR - NEARLY);
    }

    /** How likely it comes out of the faces as they will be. */
    private double chance(Line line, double wide) {
        double sum = 0;
        double lean = line.entry().distance(line.exit()) / line.length();
        double half = wide / 2 * lean;
        for (Face face : Face.values()) {
            FaceShape shape = face == Face.FRONT ? frontShape : backShape;
            List<ComingOut.Clearance> beside = new ArrayList<>();
            for (double s = 1; s <= line.length(); s += 1) {
                double surface = shape.depthAt(line.at(s));
                double axis = line.depth(s);
                double wood = (face == Face.FRONT ? axis - surface : surface - axis) - half;
                // Straight up a hole that leans is taller than it is wide.
                if (wood + half - wide / 2 / lean < CLEAR) {
                    return 1;
                }
                beside.add(new ComingOut.Clearance(s, wood));
            }
            sum += ComingOut.chance(ComingOut.leeway(beside), spread);
        }
        return sum;
    }

    /** How likely it comes out of faces that are flat: a carve only makes it worse. */
    private double flatChance(Line line, double wide) {
        double half = wide / 2;
        double back = build.faces().backFinished();
        double top = Math.min(leeway(line.start() - front - half, 1), leeway(line.end() - front - half, line.length()));
        double bottom =
                Math.min(leeway(back - line.start() - half, 1), leeway(back - line.end() - half, line.length()));
        return ComingOut.chance(top, spread) + ComingOut.chance(bottom, spread);
    }

    private static double leeway(double wood, double along) {
        return wood <= 0 ? 0 : Math.toDegrees(Math.atan2(wood, along));
    }

    /** Where a hole enters the wood and leaves it, in the stock. */
    private record Line(Point entry, double start, Point exit, double end) {
        double length() {
            return Math.hypot(entry.distance(exit), end - start);
        }

        Point at(double along) {
            return entry.towards(exit, along / length());
        }

        /** Whether its box is surely farther from a solid's than so. */
        boolean isAwayFrom(Solid solid, double most) {
            Region plan = solid.plan();
            return Math.max(entry.x(), exit.x()) + most < plan.minX()
                    || Math.min(entry.x(), exit.x()) - most > plan.maxX()
                    || Math.max(entry.y(), exit.y()) + most < plan.minY()
                    || Math.min(entry.y(), exit.y()) - most > plan.maxY()
                    || Math.max(start, end) + most < solid.shallowest()
                    || Math.min(start, end) - most > solid.deepest();
        }

        double depth(double along) {
            return start + (end - start) * along / length();
        }

        /** Begun and ended a little inside the two spaces, where the front lets it. */
        Optional<Channel> channel(String id, double wide, double front) {
            double across = entry.distance(exit);
            double fall = (end - start) / across;
            double before = fall > 0 ? Math.min(INTO, (start - front - UNDER_FRONT) / fall) : INTO;
            double after = fall < 0 ? Math.min(INTO / 2, (end - front - UNDER_FRONT) / -fall) : INTO / 2;
            if (before < LEAST_INTO || after < LEAST_INTO) {
                return Optional.empty();
            }
            double slope = length() / across;
            return Optional.of(new Channel(
                    id,
                    at(-before * slope),
                    start - before * fall - front,
                    at(length() + after * slope),
                    end + after * fall - front,
                    wide));
        }
    }

    /** Whether a bit in the jack's hole can be leaned so: as far as its room there lets it. */
    private boolean leansInJack(Line line, double wide) {
        Jack jack = design.jack().orElseThrow();
        double room = Math.toDegrees(Math.atan2(jack.diameter() - wide, JACK_WALL));
        Point aim = jack.aim();
        Point in = jack.entry();
        double cos = ((aim.x() - in.x()) * (line.exit().x() - line.entry().x())
                        + (aim.y() - in.y()) * (line.exit().y() - line.entry().y()))
                / (in.distance(aim) * line.length());
        return Math.toDegrees(Math.acos(Math.min(1, cos))) <= room;
    }

    /** How far behind where it enters the drill must be held out so that bit and chuck are in no wood, mm; endless where they always are. */
    private double heldOutAt(Line line, Feature from, double wide) {
        double free = 0;
        for (double back = STRIDE; back <= LONGEST_DRILL; back += STRIDE) {
            Point at = line.at(-back);
            double depth = line.depth(-back);
            if (!inAir(at, depth, wide / 2 - OVER_FLOOR, from)) {
                return Double.POSITIVE_INFINITY;
            }
            if (!inAir(at, depth, CHUCK, from)) {
                free = back + STRIDE;
            }
            if (body.outside(at) > 2 * CHUCK) {
                break;
            }
        }
        return free;
    }

    /** Whether a ball so large has no wood in it: over the front, beyond the edge, or in a space with room for it. */
    private boolean inAir(Point at, double depth, double radius, Feature from) {
        if (depth < front - radius || depth > build.faces().backFinished() + radius || body.outside(at) > radius) {
            return true;
        }
        for (Solid solid : voids.get(from)) {
            double[] piece = piece(solid, at);
            boolean tall = piece.length > 0
                    && depth - radius >= Math.min(piece[0], piece[0] <= front + 0.1 ? -1e9 : piece[0]) - 0.01
                    && depth + radius <= (piece[1] >= build.faces().backFinished() - 0.1 ? 1e9 : piece[1]) + 0.01;
            if (tall && (radius < wideEnough() || solid.plan().outside(at) <= -radius)) {
                return true;
            }
        }
        return false;
    }

    /** A bit itself needs no room beside it: it lies in the space that it is set in. */
    private static double wideEnough() {
        return CHUCK - 1;
    }

    /** Spaces for wires that it runs into on its way. */
    private Set<Feature> met(Line line) {
        Set<Feature> met = new LinkedHashSet<>();
        for (Map.Entry<Feature, List<Solid>> each : voids.entrySet()) {
            if (carriesWires(each.getKey()) && each.getValue().stream().anyMatch(s -> meets(line, s))) {
                met.add(each.getKey());
            }
        }
        return met;
    }

    private static boolean carriesWires(Feature feature) {
        return feature.is(FeatureKind.PICKUP) || feature.is(FeatureKind.CAVITY) || feature.equals(NeckJoint.FEATURE);
    }

    /** Whether its axis goes through a solid: a hole that only grazes a space lets no wire in. */
    private static boolean meets(Line line, Solid solid) {
        if (line.isAwayFrom(solid, 0)) {
            return false;
        }
        for (double s = 0; s <= line.length(); s += STRIDE) {
            double[] piece = piece(solid, line.at(s));
            if (piece.length > 0 && line.depth(s) >= piece[0] + GRAZES && line.depth(s) <= piece[1] - GRAZES) {
                return true;
            }
        }
        return false;
    }

    /** Whether it stays away from all that it is not meant to open into. */
    private boolean keepsClear(Line line, double wide, Set<Feature> met) {
        for (Map.Entry<Feature, List<Solid>> each : voids.entrySet()) {
            Feature other = each.getKey();
            boolean itsOwn = met.contains(other) || isPartOf(other, met);
            if (!itsOwn && each.getValue().stream().anyMatch(s -> nearer(line, s, wide / 2 + CLEAR))) {
                return false;
            }
        }
        return true;
    }

    /** Whether a void belongs to one that the channel opens into: a pickup's legs, a cavity's recess, what is drilled into its floor. */
    private static boolean isPartOf(Feature other, Set<Feature> met) {
        return switch (other.kind()) {
            case LEGS, COVER -> met.contains(other.owner());
            case CONTROL, STEP -> met.stream().anyMatch(m -> m.is(FeatureKind.CAVITY));
            default -> false;
        };
    }

    private static boolean nearer(Line line, Solid solid, double least) {
        if (line.isAwayFrom(solid, least)) {
            return false;
        }
        Region plan = solid.plan();
        double top = solid.shallowest() - least;
        double bottom = solid.deepest() + least;
        for (double s = 0; s <= line.length(); s += STRIDE) {
            double depth = line.depth(s);
            if (depth > top && depth < bottom && plan.outside(line.at(s)) < least) {
                return true;
            }
        }
        return false;
    }
}
