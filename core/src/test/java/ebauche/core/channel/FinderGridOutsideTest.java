package ebauche.core.channel;

import static org.assertj.core.api.Assertions.assertThat;

import ebauche.core.TestBody;
import ebauche.core.design.Passage.Begun;
import ebauche.core.design.Space;
import ebauche.core.feature.Feature;
import ebauche.core.geometry.Face;
import ebauche.core.geometry.Point;
import ebauche.core.hardware.Channel;
import ebauche.core.hardware.Jack;
import ebauche.core.job.Build;
import ebauche.core.plan.BuildPlan;
import ebauche.core.wires.Run;
import ebauche.core.wires.WireWays;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/**
 * The finder against every place of a fine grid, on bodies so thin that the bit has little leeway: what is found has no more than 2 % less
 * than the best of the grid, or so much that it comes out of fewer than one body in two thousand.
 */
@Tag("slow")
class FinderGridOutsideTest {
    /** Entries and exits on the grid lie so far apart along a wall, depths so far, mm. */
    private static final double ALONG = 6;

    private static final double DEEP = 2;

    /** 3.3 standard deviations leave one in two thousand on one side (standard normal table). */
    private static final double ENOUGH = 3.3;

    private static final double CLEAR = 3;

    private record Place(Point at, double under) {}

    /** A hole of the grid, and the most leeway that it can have: at its far end. */
    private record Tried(Line line, double most) {}

    private static TestBody body(long seed) {
        Random random = new Random(seed);
        TestBody body = new TestBody();
        body.thickness = 33 + 5 * random.nextDouble();
        double deep = 13 + 4 * random.nextDouble();
        body.pickups = List.of(TestBody.pickup(
                "bridge", -12 + 24 * random.nextDouble(), 30 + 50 * random.nextDouble(), deep, Set.of()));
        body.jack = Optional.empty();
        return body;
    }

    @ParameterizedTest
    @ValueSource(longs = {1, 3})
    void nothing_on_a_fine_grid_has_much_more_leeway(long seed) {
        BuildPlan plan = body(seed).plan();
        Build build = plan.build();
        List<Finder.Proposal> all = Finder.missing(build, plan.history());
        Finder.Proposal found = all.get(0);
        double spread = BoreLook.spread(Run.of(build, found.channel())).value();
        double leeway = leeway(Run.of(build, found.channel()));
        double best = best(plan, found.channel().diameter());
        assertThat(best).as("the grid finds one too").isPositive();
        assertThat(leeway).isGreaterThanOrEqualTo(0.98 * Math.min(best, ENOUGH * spread));
    }

    private static double leeway(Run run) {
        return Math.min(BoreLook.leeway(run, Face.FRONT), BoreLook.leeway(run, Face.BACK));
    }

    /** The most leeway that any hole of the grid has which a drill can be held for and which keeps its wood. */
    private static double best(BuildPlan plan, double wide) {
        Build build = plan.build();
        WireWays ways = new WireWays(build);
        Set<Feature> shut = ways.shut().keySet();
        List<Tried> grid = new ArrayList<>();
        for (Space from : build.spaces().all()) {
            for (Space into : build.spaces().all()) {
                boolean ends = !from.equals(into)
                        && !into.feature().equals(Jack.FEATURE)
                        && Around.carriesWires(into.feature());
                if (ends && Around.carriesWires(from.feature())) {
                    for (Place entry : places(build, from, wide)) {
                        for (Place exit : places(build, into, wide)) {
                            tried(build, entry, exit, wide).ifPresent(grid::add);
                        }
                    }
                }
            }
        }
        grid.sort(Comparator.comparingDouble(t -> -t.most()));
        double best = 0;
        for (Tried t : grid) {
            if (t.most() <= best) {
                break;
            }
            Optional<Channel> channel =
                    t.line().channel("grid", wide, build.faces().frontFinished());
            if (channel.filter(c -> holds(plan, c, shut)).isPresent()) {
                best = Math.max(best, leeway(Run.of(build, channel.get())));
            }
        }
        return best;
    }

    /** Of a straight hole between flat faces: no more leeway than the angle to the nearer face at its far end. */
    private static Optional<Tried> tried(Build build, Place entry, Place exit, double wide) {
        double across = entry.at().distance(exit.at());
        if (across < 2 * Line.INTO) {
            return Optional.empty();
        }
        double front = build.faces().frontFinished();
        double thick = build.design().thickness();
        double half = wide / 2;
        double wood = Math.min(exit.under(), thick - exit.under()) - half;
        double most = Math.toDegrees(Math.atan2(wood, across));
        Line line = new Line(entry.at(), front + entry.under(), exit.at(), front + exit.under());
        return most > 0 ? Optional.of(new Tried(line, most)) : Optional.empty();
    }

    private static boolean holds(BuildPlan plan, Channel channel, Set<Feature> shut) {
        Run run = Run.of(plan.build(), channel);
        Set<Feature> met = new HashSet<>();
        run.spaces().forEach(s -> met.add(s.feature()));
        boolean joins = run.begun() == Begun.IN_A_SPACE
                && run.into().isPresent()
                && met.stream().anyMatch(shut::contains)
                && met.contains(plan.build().design().cavities().get(0).feature());
        if (!joins) {
            return false;
        }
        BoreLook look = BoreLook.of(plan.build(), plan.history(), channel);
        return look.drill().filter(d -> d.value() <= DrillRoom.LONGEST_DRILL).isPresent()
                && look.beside().stream().allMatch(t -> t.thickness() >= CLEAR);
    }

    /** Places on the walls of a space, at every depth that keeps the faces three millimetres off and opens into the space. */
    private static List<Place> places(Build build, Space space, double wide) {
        List<Place> places = new ArrayList<>();
        double half = wide / 2;
        double least = Math.max(space.top() + half, half + CLEAR);
        double most = Math.min(space.bottom() - half, build.design().thickness() - half - CLEAR);
        space.plan().forEachRing(ring -> {
            for (int i = 0; i + 3 < ring.length; i += 2) {
                Point a = new Point(ring[i], ring[i + 1]);
                Point b = new Point(ring[i + 2], ring[i + 3]);
                for (double s = ALONG / 2; s < a.distance(b); s += ALONG) {
                    for (double under = least; under <= most; under += DEEP) {
                        places.add(new Place(a.towards(b, s / a.distance(b)), under));
                    }
                }
            }
        });
        return places;
    }
}
