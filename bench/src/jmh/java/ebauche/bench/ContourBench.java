package ebauche.bench;

import ebauche.core.contour.Dragged;
import ebauche.core.design.Contour;
import ebauche.core.job.Build;
import ebauche.core.logbook.AsBuilt;
import ebauche.core.memo.Memo;
import ebauche.core.plan.BuildPlan;
import ebauche.core.plan.Planner;
import ebauche.core.plan.Stations;
import ebauche.exchange.file.DemoBodies;
import ebauche.exchange.file.ShopPart;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.TimeUnit;
import org.openjdk.jmh.annotations.AuxCounters;
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
import org.openjdk.jmh.infra.Blackhole;

/**
 * A contour that follows the hand, and the zones of a whole outline, beside the baseline of the plan of that body edited so.
 *
 * <p>Each turn the contour is another: nothing of it is remembered.
 */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.SampleTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Warmup(iterations = 4, time = 3)
@Measurement(iterations = 4, time = 3)
@Fork(value = 1, jvmArgsAppend = "-Xmx1g")
public class ContourBench {
    private static final long ROOM = 256L << 20;
    private static final double STEP = 0.01;

    @Param({"rush", "marram"})
    public String body;

    private Build build;
    private BuildPlan plan;
    private Memo memo;
    private int turns;

    @Setup
    public void read() {
        memo = Memo.of(ROOM);
        Build read = DemoBodies.read(body).build();
        build = new Build(read.drawn(), ShopPart.read(DemoBodies.shop()).shop(), AsBuilt.NOTHING_YET);
        plan = memo.during(() -> Planner.plan(build));
        memo.during(() -> plan.thinnest());
    }

    /** The first contour a hair deeper each turn. */
    private Build held() {
        turns++;
        Contour first = build.drawn().contours().get(0);
        List<Contour> all = new ArrayList<>(build.drawn().contours());
        all.set(0, first.with(first.depth() - STEP * (turns % 100)));
        return new Build(build.drawn().withContours(all), build.shop(), build.asBuilt());
    }

    /** What each took in all, by turns: planned as edited, its contour held, its zones found. */
    @State(Scope.Thread)
    @AuxCounters(AuxCounters.Type.EVENTS)
    public static class Turns {
        public long planned;
        public long held;
        public long zones;
    }

    @Benchmark
    public void byTurns(Turns turns, Blackhole hole) {
        long start = System.nanoTime();
        hole.consume(memo.during(() -> Planner.plan(held()).thinnest()));
        long planned = System.nanoTime();
        hole.consume(memo.during(() -> {
            Build held = held();
            return Dragged.of(held, plan.history(), held.contours().get(0));
        }));
        long drag = System.nanoTime();
        hole.consume(memo.during(() -> {
            Build held = held();
            return held.roundOvers().stream().map(r -> Stations.zones(held, r)).toList();
        }));
        long zoned = System.nanoTime();
        turns.planned += planned - start;
        turns.held += drag - planned;
        turns.zones += zoned - drag;
    }
}
