package ebauche.bench;

import ebauche.core.channel.BoreLook;
import ebauche.core.channel.Finder;
import ebauche.core.hardware.Channel;
import ebauche.core.job.Build;
import ebauche.core.memo.Memo;
import ebauche.core.plan.BuildPlan;
import ebauche.core.plan.Planner;
import ebauche.exchange.file.BuildFile;
import ebauche.exchange.file.DemoBodies;
import ebauche.exchange.json.JsonText;
import java.nio.charset.StandardCharsets;
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
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** A body with six channels beside the baseline of the same body without any; channels found; one that follows the hand looked at. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.SampleTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Warmup(iterations = 4, time = 3)
@Measurement(iterations = 4, time = 3)
@Fork(value = 1, jvmArgsAppend = "-Xmx1g")
public class ChannelBench {
    private static final int SIX = 6;

    /** One that is drawn again lies so far beside it, mm. */
    private static final double BESIDE = 4;

    @Param({"tussock", "sedge", "shale", "marram"})
    public String body;

    private Build without;
    private Build six;
    private BuildPlan planWithout;
    private BuildPlan planSix;
    private Channel dragged;
    private int drags;
    private Memo memo;

    @Setup
    public void read() {
        memo = Memo.of(256L << 20);
        ObjectNode file = (ObjectNode) JsonText.tree(DemoBodies.bytes(body));
        ObjectNode design = (ObjectNode) file.get("design");
        ArrayNode drawn = (ArrayNode) design.get("channels").deepCopy();
        design.remove("channels");
        without = build(file);
        List<Channel> own =
                BuildFile.read(DemoBodies.bytes(body)).build().design().channels();
        for (int i = 0; drawn.size() < SIX; i++) {
            Channel one = own.get(i % own.size());
            ObjectNode again = (ObjectNode) drawn.get(i % own.size()).deepCopy();
            again.put("id", "again-" + i);
            for (String end : List.of("from", "to")) {
                double x = (end.equals("from") ? one.from() : one.to()).x();
                ((ObjectNode) again.get(end)).put("x", x + BESIDE * (1 + i / own.size()) + " mm");
            }
            drawn.add(again);
        }
        design.set("channels", drawn);
        six = build(file);
        planWithout = plan(without);
        planSix = plan(six);
        dragged = six.design().channels().get(0);
    }

    private static Build build(ObjectNode file) {
        return BuildFile.read(file.toString().getBytes(StandardCharsets.UTF_8)).build();
    }

    /** Of a build that knows nothing of itself yet, as each request has one. */
    private BuildPlan plan(Build build) {
        return memo.during(() -> Planner.plan(anew(build)));
    }

    private static Build anew(Build build) {
        return new Build(build.drawn(), build.shop(), build.asBuilt());
    }

    /** Baseline: the same body, no channel drawn. */
    @Benchmark
    public BuildPlan planWithout() {
        return plan(without);
    }

    @Benchmark
    public BuildPlan planSix() {
        return plan(six);
    }

    /** What the two took in all, by turns: the machine's own changes of speed meet both alike. */
    @State(Scope.Thread)
    @AuxCounters(AuxCounters.Type.EVENTS)
    public static class Turns {
        public long nanosWithout;
        public long nanosSix;
    }

    /** One of each after the other; the ratio of the two counters is what six channels cost. */
    @Benchmark
    @BenchmarkMode(Mode.AverageTime)
    public void byTurns(Turns turns, Blackhole sink) {
        long start = System.nanoTime();
        sink.consume(plan(without));
        long between = System.nanoTime();
        sink.consume(plan(six));
        turns.nanosWithout += between - start;
        turns.nanosSix += System.nanoTime() - between;
    }

    /** The same two of a body that nobody planned before. */
    @Benchmark
    public BuildPlan firstPlanWithout() {
        return Memo.of(256L << 20).during(() -> Planner.plan(anew(without)));
    }

    @Benchmark
    public BuildPlan firstPlanSix() {
        return Memo.of(256L << 20).during(() -> Planner.plan(anew(six)));
    }

    /** All that is missing, found. */
    @Benchmark
    public List<Finder.Proposal> propose() {
        return memo.during(() -> Finder.missing(planWithout.build(), planWithout.history()));
    }

    /** An end that the hand moves on by a tenth of a millimetre each time, to no place where it was before. */
    @Benchmark
    public BoreLook drag() {
        drags++;
        Channel moved = new Channel(
                dragged.id(),
                dragged.from(),
                dragged.fromUnder(),
                dragged.to().plus(drags % 50 * 0.1, drags * 1e-6),
                dragged.toUnder(),
                dragged.diameter(),
                dragged.held());
        return memo.during(() -> {
            BoreLook look = BoreLook.of(six, planSix.history(), moved);
            look.beside();
            return look;
        });
    }
}
