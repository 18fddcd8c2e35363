package ebauche.core.wires;

import ebauche.core.design.BodyDesign;
import ebauche.core.design.NeckJoint;
import ebauche.core.design.Passage.Begun;
import ebauche.core.design.Space;
import ebauche.core.feature.Feature;
import ebauche.core.geometry.Point;
import ebauche.core.geometry.Region;
import ebauche.core.hardware.Bridge;
import ebauche.core.hardware.Cavity;
import ebauche.core.hardware.Channel;
import ebauche.core.hardware.Control;
import ebauche.core.hardware.Jack;
import ebauche.core.job.Build;
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

    /** Where one space opens into another. */
    private record Opening(Feature one, Feature other, Spot at) {
        boolean isOf(Feature space) {
            return one.equals(space) || other.equals(space);
        }

        boolean meets(Opening next) {
            return isOf(next.one) || isOf(next.other);
        }

        /** The space behind it. */
        Feature beyond(Feature space) {
            return one.equals(space) ? other : one;
        }
    }

    /** Where an end of a wire lies. */
    record End(Feature space, Spot at) {}

    /**
     * A way for a wire.
     *
     * @param through the spaces that it passes, those of its ends too
     * @param spots its ends, and between them the places where it goes from space to space; straight from one to the next
     */
    record Path(List<Feature> through, List<Spot> spots, double length) {}

    private final BodyDesign design;
    private final Map<Feature, Space> spaces = new LinkedHashMap<>();
    private final List<Opening> all = new ArrayList<>();

    Openings(Build build, List<Run> runs) {
        this.design = build.design();
        Space.all(design).forEach(s -> spaces.put(s.feature(), s));
        // The neck fills its pocket: no wire goes from one channel into another there.
        spaces.remove(NeckJoint.FEATURE);
        design.pickups().forEach(p -> p.joins().forEach(o -> joined(p.feature(), o)));
        design.cavities().forEach(c -> c.joins().forEach(o -> joined(c.feature(), o)));
        design.jack().ifPresent(this::jack);
        runs.forEach(this::channel);
        underBridge(runs);
    }

    private void joined(Feature one, Feature other) {
        Space a = spaces.get(one);
        Space b = spaces.get(other);
        if (a == null || b == null) {
            return;
        }
        double top = Math.max(a.top(), b.top());
        double bottom = Math.min(a.bottom(), b.bottom());
        Region shared = a.plan().intersection(b.plan());
        Point[] near = shared.isEmpty() ? a.plan().nearest(b.plan()) : new Point[] {shared.inner(), shared.inner()};
        if (top < bottom && near[0].distance(near[1]) <= TOUCHING) {
            all.add(new Opening(one, other, new Spot(near[0], bottom)));
        }
    }

    private void jack(Jack jack) {
        design.cavityOf(jack)
                .map(Cavity::feature)
                .filter(spaces::containsKey)
                .filter(c -> spaces.containsKey(Jack.FEATURE))
                .ifPresent(c -> all.add(new Opening(Jack.FEATURE, c, new Spot(jack.aim(), jack.fromFront()))));
    }

    private void channel(Run run) {
        Channel channel = run.channel();
        run.from().ifPresent(s -> open(channel, s, run.entersAt()));
        run.into().ifPresent(s -> open(channel, s, run.leavesAt()));
        run.passage().through().forEach(s -> Arrays.stream(s.met(channel)).forEach(along -> open(channel, s, along)));
    }

    private void open(Channel channel, Space space, double along) {
        if (spaces.containsKey(space.feature())) {
            Spot at = new Spot(channel.at(along), channel.under(along));
            all.add(new Opening(channel.feature(), space.feature(), at));
        }
    }

    /** What opens under the bridge: a channel that begins there, a rout or a front cavity that reaches under it, its studs' holes. */
    private void underBridge(List<Run> runs) {
        Region footprint = design.bridge().footprint();
        runs.stream()
                .filter(r -> r.begun() == Begun.ON_THE_FRONT)
                .map(Run::channel)
                .filter(c -> footprint.contains(c.from()))
                .forEach(c -> all.add(new Opening(c.feature(), Bridge.FEATURE, new Spot(c.from(), c.fromUnder()))));
        for (Space space : spaces.values()) {
            Region shared = space.top() > 0 ? Region.EMPTY : space.plan().intersection(footprint);
            if (shared.area() >= UNDER_BRIDGE) {
                all.add(new Opening(space.feature(), Bridge.FEATURE, new Spot(shared.inner(), 0)));
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
                        .map(p -> new End(part, new Spot(p.at(), p.depth())));
            case CONTROL ->
                design.controls().stream()
                        .filter(c -> c.feature().equals(part))
                        .findFirst()
                        .flatMap(this::end);
            case JACK ->
                design.jackDish().isPresent()
                        ? design.jackDish().flatMap(this::end)
                        : design.jack()
                                .map(j -> new End(part, new Spot(j.entry().towards(j.aim(), 0.5), j.fromFront())));
            case BRIDGE -> Optional.of(bridge());
            case CAVITY ->
                Optional.ofNullable(spaces.get(part))
                        .map(s -> new End(part, new Spot(s.plan().centroid(), s.top())));
            default -> Optional.empty();
        };
    }

    /** In a dish's rout the jack hangs over its middle. */
    private Optional<End> end(Cavity dish) {
        return Optional.ofNullable(spaces.get(dish.feature()))
                .map(s -> new End(s.feature(), new Spot(s.plan().inner(), (s.top() + s.bottom()) / 2)));
    }

    private Optional<End> end(Control control) {
        return design.cavityOf(control)
                .map(Cavity::feature)
                .map(spaces::get)
                .map(s -> new End(s.feature(), new Spot(control.at(), s.top())));
    }

    /** Of a bridge with springs at their claw, on the neck's side of their cavity; else under its middle. Both common practice. */
    private End bridge() {
        Bridge bridge = design.bridge();
        Space springs = spaces.get(Bridge.SPRINGS);
        return springs == null
                ? new End(Bridge.FEATURE, new Spot(new Point(bridge.offCentre(), bridge.footprintY()), 0))
                : new End(
                        Bridge.SPRINGS,
                        new Spot(new Point(bridge.offCentre(), springs.plan().maxY()), springs.top()));
    }

    /** A space and all that opens into it, if only through others. */
    Set<Feature> joinedWith(Feature space) {
        Set<Feature> joined = new LinkedHashSet<>();
        Deque<Feature> ahead = new ArrayDeque<>(Set.of(space));
        while (!ahead.isEmpty()) {
            Feature here = ahead.remove();
            if (joined.add(here)) {
                all.stream().filter(o -> o.isOf(here)).map(o -> o.beyond(here)).forEach(ahead::add);
            }
        }
        return joined;
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
            if (all.get(i).isOf(from.space())) {
                far[i] = from.at().distance(all.get(i).at());
            }
        }
        double best = from.space().equals(to.space()) ? from.at().distance(to.at()) : Double.POSITIVE_INFINITY;
        int last = -1;
        for (int here = nearest(far, settled); here >= 0 && far[here] < best; here = nearest(far, settled)) {
            settled[here] = true;
            Opening opening = all.get(here);
            if (opening.isOf(to.space()) && far[here] + opening.at().distance(to.at()) < best) {
                best = far[here] + opening.at().distance(to.at());
                last = here;
            }
            for (int i = 0; i < n; i++) {
                double via = far[here] + opening.at().distance(all.get(i).at());
                if (!settled[i] && opening.meets(all.get(i)) && via < far[i]) {
                    far[i] = via;
                    before[i] = here;
                }
            }
        }
        return Double.isInfinite(best) ? Optional.empty() : Optional.of(path(from, to, last, before, best));
    }

    private static int nearest(double[] far, boolean[] settled) {
        int best = -1;
        for (int i = 0; i < far.length; i++) {
            if (!settled[i] && !Double.isInfinite(far[i]) && (best < 0 || far[i] < far[best])) {
                best = i;
            }
        }
        return best;
    }

    private Path path(End from, End to, int last, int[] before, double length) {
        List<Opening> passed = new ArrayList<>();
        for (int i = last; i >= 0; i = before[i]) {
            passed.add(all.get(i));
        }
        Collections.reverse(passed);
        List<Spot> spots = new ArrayList<>();
        Set<Feature> through = new LinkedHashSet<>();
        spots.add(from.at());
        through.add(from.space());
        for (Opening opening : passed) {
            spots.add(opening.at());
        }
        for (int i = 0; i + 1 < passed.size(); i++) {
            Opening next = passed.get(i + 1);
            through.add(
                    next.isOf(passed.get(i).one())
                            ? passed.get(i).one()
                            : passed.get(i).other());
        }
        through.add(to.space());
        spots.add(to.at());
        return new Path(List.copyOf(through), spots, length);
    }
}
