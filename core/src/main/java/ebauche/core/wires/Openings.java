package ebauche.core.wires;

import ebauche.core.design.BodyDesign;
import ebauche.core.design.NeckJoint;
import ebauche.core.design.Passage.Begun;
import ebauche.core.design.Space;
import ebauche.core.feature.Feature;
import ebauche.core.geometry.Dijkstra;
import ebauche.core.geometry.Point;
import ebauche.core.geometry.Region;
import ebauche.core.geometry.WayInside;
import ebauche.core.hardware.Bridge;
import ebauche.core.hardware.Cavity;
import ebauche.core.hardware.Channel;
import ebauche.core.hardware.Control;
import ebauche.core.hardware.Jack;
import ebauche.core.job.Build;
import ebauche.core.job.UnderTop;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.Deque;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** The spaces of a body and the places where one opens into another, so that a wire gets through. */
final class Openings {
    /** Two spaces so near each other on the plan touch, mm. */
    private static final double TOUCHING = 0.5;

    /** A wire gets through under the bridge where so much of a space lies under it, mm². */
    private static final double UNDER_BRIDGE = 20;

    /** What a wire lies in: a space, or a channel; of a chamber one of its hollows that do not meet. */
    record Room(Feature feature, int piece) {
        static Room of(Feature feature) {
            return new Room(feature, 0);
        }

        static Room of(Space space) {
            return new Room(space.feature(), space.piece());
        }
    }

    /** Where one space opens into another. */
    private record Opening(Room one, Room other, Spot at) {
        boolean isOf(Room space) {
            return one.equals(space) || other.equals(space);
        }

        /** The room that it shares with another. */
        Optional<Room> shared(Opening next) {
            return next.isOf(one) ? Optional.of(one) : next.isOf(other) ? Optional.of(other) : Optional.empty();
        }

        /** The space behind it. */
        Room beyond(Room space) {
            return one.equals(space) ? other : one;
        }
    }

    /** Where an end of a wire lies. */
    record End(Room room, Spot at) {
        Feature space() {
            return room.feature();
        }
    }

    /**
     * A way for a wire.
     *
     * @param through the spaces that it passes, those of its ends too
     * @param spots its ends, and between them the places where it goes from space to space or round a corner; straight from one to the next
     */
    record Path(List<Feature> through, List<Spot> spots, double length) {}

    private final BodyDesign design;
    private final Map<Room, Space> spaces = new LinkedHashMap<>();
    private final List<Opening> all = new ArrayList<>();

    Openings(Build build, List<Run> runs) {
        this.design = build.design();
        build.spaces().all().forEach(s -> spaces.put(Room.of(s), s));
        // The neck fills its pocket: no wire goes from one channel into another there.
        spaces.remove(Room.of(NeckJoint.FEATURE));
        design.pickups().forEach(p -> p.joins().forEach(o -> joined(p.feature(), o)));
        design.cavities().forEach(c -> c.joins().forEach(o -> joined(c.feature(), o)));
        design.chambers().forEach(c -> c.joins().forEach(o -> joined(c.feature(), o)));
        design.jack().ifPresent(this::jack);
        List<Run> there =
                runs.stream().filter(r -> !UnderTop.isLost(build, r.passage())).toList();
        there.forEach(this::channel);
        underBridge(there);
    }

    private void joined(Feature one, Feature other) {
        for (Space a : of(one)) {
            of(other).forEach(b -> joined(a, b));
        }
    }

    private List<Space> of(Feature feature) {
        return spaces.values().stream().filter(s -> s.feature().equals(feature)).toList();
    }

    private void joined(Space a, Space b) {
        double top = Math.max(a.top(), b.top());
        double bottom = Math.min(a.bottom(), b.bottom());
        Region shared = a.plan().intersection(b.plan());
        Point[] near = shared.isEmpty() ? a.plan().nearest(b.plan()) : new Point[] {shared.inner(), shared.inner()};
        if (top < bottom && near[0].distance(near[1]) <= TOUCHING) {
            all.add(new Opening(Room.of(a), Room.of(b), new Spot(near[0], bottom)));
        }
    }

    private void jack(Jack jack) {
        design.cavityOf(jack)
                .map(c -> Room.of(c.feature()))
                .filter(spaces::containsKey)
                .filter(c -> spaces.containsKey(Room.of(Jack.FEATURE)))
                .ifPresent(c -> all.add(new Opening(Room.of(Jack.FEATURE), c, new Spot(jack.aim(), jack.fromFront()))));
    }

    private void channel(Run run) {
        Channel channel = run.channel();
        run.from().ifPresent(s -> open(channel, s, run.entersAt()));
        run.into().ifPresent(s -> open(channel, s, run.leavesAt()));
        run.passage().through().forEach(s -> Arrays.stream(s.met(channel)).forEach(along -> open(channel, s, along)));
    }

    private void open(Channel channel, Space space, double along) {
        if (spaces.containsKey(Room.of(space))) {
            Spot at = new Spot(channel.at(along), channel.under(along));
            all.add(new Opening(Room.of(channel.feature()), Room.of(space), at));
        }
    }

    /** What opens under the bridge: a channel that begins there, a rout or a front cavity that reaches under it, its studs' holes. */
    private void underBridge(List<Run> runs) {
        Region footprint = design.bridge().footprint();
        runs.stream()
                .filter(r -> r.begun() == Begun.ON_THE_FRONT)
                .map(Run::channel)
                .filter(c -> footprint.contains(c.from()))
                .forEach(c -> all.add(
                        new Opening(Room.of(c.feature()), Room.of(Bridge.FEATURE), new Spot(c.from(), c.fromUnder()))));
        for (Space space : spaces.values()) {
            Region shared = space.top() > 0 ? Region.EMPTY : space.plan().intersection(footprint);
            if (shared.area() >= UNDER_BRIDGE) {
                all.add(new Opening(Room.of(space), Room.of(Bridge.FEATURE), new Spot(shared.inner(), 0)));
            }
        }
    }

    /** Where a part's wires end; empty where its space is not there. */
    Optional<End> end(Feature part) {
        return switch (part.kind()) {
            case PICKUP ->
                design.pickups().stream()
                        .filter(p -> p.feature().equals(part))
                        .findFirst()
                        .map(p -> new End(Room.of(part), new Spot(p.at(), p.depth())));
            case CONTROL ->
                design.controls().stream()
                        .filter(c -> c.feature().equals(part))
                        .findFirst()
                        .flatMap(this::end);
            case JACK ->
                design.jackDish().isPresent()
                        ? design.jackDish().flatMap(this::end)
                        : design.jack()
                                .map(j -> new End(
                                        Room.of(part), new Spot(j.entry().towards(j.aim(), 0.5), j.fromFront())));
            case BRIDGE -> Optional.of(bridge());
            case CAVITY ->
                Optional.ofNullable(spaces.get(Room.of(part)))
                        .map(s -> new End(Room.of(part), new Spot(s.plan().centroid(), s.top())));
            default -> Optional.empty();
        };
    }

    /** In a dish's rout the jack hangs over its middle. */
    private Optional<End> end(Cavity dish) {
        return Optional.ofNullable(spaces.get(Room.of(dish.feature())))
                .map(s -> new End(Room.of(s), new Spot(s.plan().inner(), (s.top() + s.bottom()) / 2)));
    }

    private Optional<End> end(Control control) {
        Optional<Space> hollow = design.chamberOf(control)
                .flatMap(c -> of(c.feature()).stream()
                        .filter(s -> s.plan().contains(control.at()))
                        .findFirst());
        if (hollow.isPresent()) {
            return hollow.map(s -> new End(Room.of(s), new Spot(control.at(), s.top())));
        }
        return design.cavityOf(control)
                .map(c -> Room.of(c.feature()))
                .map(spaces::get)
                .map(s -> new End(Room.of(s), new Spot(control.at(), s.top())));
    }

    /** Of a bridge with springs at their claw, on the neck's side of their cavity; else under its middle. Both common practice. */
    private End bridge() {
        Bridge bridge = design.bridge();
        Space springs = spaces.get(Room.of(Bridge.SPRINGS));
        return springs == null
                ? new End(Room.of(Bridge.FEATURE), new Spot(new Point(bridge.offCentre(), bridge.footprintY()), 0))
                : new End(
                        Room.of(springs),
                        new Spot(new Point(bridge.offCentre(), springs.plan().maxY()), springs.top()));
    }

    /** A space and all that opens into it, if only through others; of a chamber in pieces what opens into its first. */
    Set<Feature> joinedWith(Feature space) {
        Set<Room> joined = new LinkedHashSet<>();
        Deque<Room> ahead = new ArrayDeque<>();
        ahead.add(of(space).stream().findFirst().map(Room::of).orElse(Room.of(space)));
        while (!ahead.isEmpty()) {
            Room here = ahead.remove();
            if (joined.add(here)) {
                all.stream().filter(o -> o.isOf(here)).map(o -> o.beyond(here)).forEach(ahead::add);
            }
        }
        Set<Feature> features = new LinkedHashSet<>();
        joined.forEach(r -> features.add(r.feature()));
        return features;
    }

    /** Places on the way from one to another within a room, both first and last: in a chamber round what stands in it, else straight. */
    private List<Spot> within(Room room, Spot from, Spot to) {
        Space space = spaces.get(room);
        if (space == null || space.piece() == 0) {
            return List.of(from, to);
        }
        List<Point> way = WayInside.of(space.plan()).between(from.at(), to.at()).orElse(List.of(from.at(), to.at()));
        double across = across(way);
        List<Spot> spots = new ArrayList<>();
        double gone = 0;
        for (int i = 0; i < way.size(); i++) {
            gone += i == 0 ? 0 : way.get(i - 1).distance(way.get(i));
            double share = across == 0 ? 1 : gone / across;
            spots.add(new Spot(way.get(i), from.under() + share * (to.under() - from.under())));
        }
        return spots;
    }

    private static double across(List<Point> way) {
        double across = 0;
        for (int i = 1; i < way.size(); i++) {
            across += way.get(i - 1).distance(way.get(i));
        }
        return across;
    }

    private double far(Room room, Spot from, Spot to) {
        return length(within(room, from, to));
    }

    private static double length(List<Spot> way) {
        double length = 0;
        for (int i = 1; i < way.size(); i++) {
            length += way.get(i - 1).distance(way.get(i));
        }
        return length;
    }

    /** The shortest way between two ends (Dijkstra); empty where there is none. */
    Optional<Path> shortest(End from, End to) {
        int n = all.size();
        double[] far = new double[n];
        int[] before = new int[n];
        boolean[] settled = new boolean[n];
        Arrays.fill(far, Double.POSITIVE_INFINITY);
        Arrays.fill(before, -1);
        for (int i = 0; i < n; i++) {
            if (all.get(i).isOf(from.room())) {
                far[i] = far(from.room(), from.at(), all.get(i).at());
            }
        }
        double best = from.room().equals(to.room()) ? far(from.room(), from.at(), to.at()) : Double.POSITIVE_INFINITY;
        int last = -1;
        for (int here = Dijkstra.nearest(far, settled);
                here >= 0 && far[here] < best;
                here = Dijkstra.nearest(far, settled)) {
            settled[here] = true;
            Opening opening = all.get(here);
            if (opening.isOf(to.room())) {
                double whole = far[here] + far(to.room(), opening.at(), to.at());
                if (whole < best) {
                    best = whole;
                    last = here;
                }
            }
            for (int i = 0; i < n; i++) {
                Optional<Room> shared = settled[i] ? Optional.empty() : opening.shared(all.get(i));
                if (shared.isPresent()) {
                    double via = far[here]
                            + far(shared.get(), opening.at(), all.get(i).at());
                    if (via < far[i]) {
                        far[i] = via;
                        before[i] = here;
                    }
                }
            }
        }
        return Double.isInfinite(best) ? Optional.empty() : Optional.of(path(from, to, last, before));
    }

    private Path path(End from, End to, int last, int[] before) {
        List<Opening> passed = new ArrayList<>();
        for (int i = last; i >= 0; i = before[i]) {
            passed.add(all.get(i));
        }
        Collections.reverse(passed);
        List<Room> rooms = new ArrayList<>();
        rooms.add(from.room());
        for (int i = 0; i + 1 < passed.size(); i++) {
            rooms.add(passed.get(i).shared(passed.get(i + 1)).orElseThrow());
        }
        List<Spot> places = new ArrayList<>();
        places.add(from.at());
        passed.forEach(o -> places.add(o.at()));
        places.add(to.at());
        if (!passed.isEmpty()) {
            rooms.add(to.room());
        }
        List<Spot> spots = new ArrayList<>(List.of(from.at()));
        for (int i = 0; i + 1 < places.size(); i++) {
            List<Spot> way = within(rooms.get(i), places.get(i), places.get(i + 1));
            spots.addAll(way.subList(1, way.size()));
        }
        Set<Feature> through = new LinkedHashSet<>();
        rooms.forEach(r -> through.add(r.feature()));
        return new Path(List.copyOf(through), List.copyOf(spots), length(spots));
    }

    /** Whether anything opens into a space. */
    boolean isOpen(Space space) {
        return all.stream().anyMatch(o -> o.isOf(Room.of(space)));
    }
}
