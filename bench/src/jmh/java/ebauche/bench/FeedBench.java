package ebauche.bench;

import ebauche.core.feed.FeedPlan;
import ebauche.core.feed.Grain;
import ebauche.core.feed.Steadying;
import ebauche.core.geometry.Outline;
import ebauche.core.geometry.Point;
import ebauche.core.geometry.Segment;
import ebauche.core.memo.Memo;
import ebauche.core.plan.BuildPlan;
import ebauche.core.plan.Planner;
import ebauche.exchange.file.DemoBodies;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.TimeUnit;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Param;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;

/** The feed map of an outline of more and more points, beside the baseline of planning a whole body in the same run. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.SampleTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Warmup(iterations = 3, time = 2)
@Measurement(iterations = 3, time = 2)
@Fork(value = 1, jvmArgsAppend = "-Xmx1g")
public class FeedBench {
    private final Memo memo = Memo.of(256L << 20);

    /** Pieces of the outline; nought for the demo body's own curves. */
    @Param({"0", "500", "5000"})
    public int pieces;

    private BuildPlan body;
    private Outline outline;

    @Setup
    public void draw() {
        body = memo.during(() -> Planner.plan(DemoBodies.read("tussock").build()));
        outline = pieces == 0
                ? body.build().design().outline()
                : chopped(body.build().design().outline());
    }

    /** The same outline as so many straight lines. */
    private Outline chopped(Outline drawn) {
        List<Point> points = new ArrayList<>();
        int each = pieces / drawn.segments().size();
        for (Segment s : drawn.segments()) {
            for (int i = 0; i < each; i++) {
                points.add(s.at((double) i / each));
            }
        }
        List<Segment> lines = new ArrayList<>();
        for (int i = 0; i < points.size(); i++) {
            lines.add(new Segment.Line(points.get(i), points.get((i + 1) % points.size())));
        }
        return Outline.of(lines);
    }

    /** Baseline: the whole of a body's plan. */
    @Benchmark
    public BuildPlan planBody() {
        return memo.during(() -> Planner.plan(body.build()));
    }

    /** What is made anew while the grain's arrow is turned. */
    @Benchmark
    public FeedPlan mapFeed() {
        return FeedPlan.of(outline, List.of(Grain.even(11)));
    }

    /** How one router stands all round, which is kept while the grain turns. */
    @Benchmark
    public Steadying stand() {
        FeedPlan feed = FeedPlan.of(outline, List.of(Grain.even(11)));
        return Steadying.bare(
                feed.front(),
                outline.region(),
                12.7,
                body.build().shop().crib().routers().get(0));
    }
}
