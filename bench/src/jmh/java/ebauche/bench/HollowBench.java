package ebauche.bench;

import ebauche.core.hollow.Hollow;
import ebauche.core.job.Build;
import ebauche.core.logbook.AsBuilt;
import ebauche.core.memo.Memo;
import ebauche.core.plan.BuildPlan;
import ebauche.core.plan.Planner;
import ebauche.exchange.file.DemoBodies;
import java.util.List;
import java.util.Optional;
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

/** A body with its chambers beside the baseline of the same body without any; a hollow whose wall follows the hand beside that plan. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.SampleTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Warmup(iterations = 4, time = 3)
@Measurement(iterations = 4, time = 3)
@Fork(value = 1, jvmArgsAppend = "-Xmx1g")
public class HollowBench {
    private static final long ROOM = 256L << 20;

    @Param({"fescue", "rush"})
    public String body;

    private Build solid;
    private Build hollow;
    private Build dragged;
    private int drags;
    private Memo memo;

    @Setup
    public void read() {
        memo = Memo.of(ROOM);
        Build read = DemoBodies.read(body).build();
        hollow = new Build(read.drawn(), read.shop(), AsBuilt.NOTHING_YET);
        solid = new Build(read.drawn().withChambers(List.of()), read.shop(), hollow.asBuilt());
        dragged = plan(solid).build();
    }

    /** Of a build that knows nothing of itself yet, as each request has one. */
    private BuildPlan plan(Build build) {
        return plan(build, memo);
    }

    private static BuildPlan plan(Build build, Memo memo) {
        return memo.during(() -> Planner.plan(new Build(build.drawn(), build.shop(), build.asBuilt())));
    }

    /** What each took in all, by turns: the machine's own changes of speed meet all alike. */
    @State(Scope.Thread)
    @AuxCounters(AuxCounters.Type.EVENTS)
    public static class Turns {
        public long nanosSolid;
        public long nanosHollow;
        public long nanosDrag;
        public long nanosSolidFirst;
        public long nanosHollowFirst;
    }

    /**
     * One of each after the other; the ratios of the counters are what chambers cost in a plan, what a wall costs that is dragged, and what
     * they cost in the first plan of all, with nothing remembered.
     */
    @Benchmark
    @BenchmarkMode(Mode.AverageTime)
    public void byTurns(Turns turns, Blackhole sink) {
        long start = System.nanoTime();
        sink.consume(plan(solid));
        long between = System.nanoTime();
        sink.consume(plan(hollow));
        long then = System.nanoTime();
        sink.consume(drag());
        turns.nanosSolid += between - start;
        turns.nanosHollow += then - between;
        long done = System.nanoTime();
        sink.consume(plan(solid, Memo.of(ROOM)));
        long first = System.nanoTime();
        sink.consume(plan(hollow, Memo.of(ROOM)));
        turns.nanosDrag += done - then;
        turns.nanosSolidFirst += first - done;
        turns.nanosHollowFirst += System.nanoTime() - first;
    }

    /** The largest region, its mass and its cap, with a wall that it did not have before. */
    @Benchmark
    public double drag() {
        drags++;
        return memo.during(() -> {
            Hollow now = Hollow.of(
                    dragged, new Hollow.Asked(8 + drags % 80 * 0.5 + drags * 1e-6, 90, 6, 8, 12.7, Optional.empty()));
            return now.grams() + now.cap().map(c -> c.deflection().value()).orElse(0.0);
        });
    }
}
