package ebauche.bench;

import ebauche.core.job.Build;
import ebauche.core.job.History;
import ebauche.core.memo.Memo;
import ebauche.core.plan.BuildPlan;
import ebauche.core.plan.Planner;
import ebauche.core.plan.Schedule;
import ebauche.core.stock.WoodLeft;
import ebauche.exchange.file.BuildFile;
import ebauche.exchange.file.DemoBodies;
import ebauche.exchange.json.JsonText;
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

/** The whole pipeline from an edited design, beside the baseline of reading the same file's JSON as a tree. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.SampleTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Warmup(iterations = 4, time = 3)
@Measurement(iterations = 4, time = 3)
@Fork(value = 1, jvmArgsAppend = "-Xmx1g")
public class PlanBench {
    @Param({"tussock", "sedge", "shale", "marram"})
    public String body;

    private byte[] bytes;
    private Build build;
    private Memo memo;
    private List<History.Step> steps;

    @Setup
    public void read() {
        bytes = DemoBodies.bytes(body);
        build = BuildFile.read(bytes).build();
        memo = Memo.of(256L << 20);
        steps = plan().history().steps();
    }

    /** Baseline: the file parsed as a tree and no more. */
    @Benchmark
    public Object parseOnly() {
        return JsonText.tree(bytes);
    }

    /** A build already read, planned: what follows from one reading. */
    @Benchmark
    public BuildPlan plan() {
        return memo.during(() -> Planner.plan(build));
    }

    /** Its steps, links and minutes alone. */
    @Benchmark
    public Schedule schedule() {
        return memo.during(() -> Planner.schedule(build));
    }

    /** A plan, and the wood after its last step weighed. */
    @Benchmark
    public double planAndWood() {
        return memo.during(
                () -> Planner.plan(build).history().finished().balance().grams());
    }

    /** Of a plan, what is asked about the wood left between voids, faces and edge, in every direction. */
    @Benchmark
    public List<WoodLeft.Thin> thinnest() {
        return new History(build, steps, memo).thinnest();
    }

    /** The file read and planned: what follows from an edited design. */
    @Benchmark
    public BuildPlan readAndPlan() {
        return memo.during(() -> Planner.plan(BuildFile.read(bytes).build()));
    }
}
