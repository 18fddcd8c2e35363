package ebauche.bench;

import ebauche.core.design.Measurand;
import ebauche.core.job.Build;
import ebauche.core.logbook.AsBuilt;
import ebauche.core.memo.Memo;
import ebauche.core.plan.BuildPlan;
import ebauche.core.plan.Planner;
import ebauche.exchange.file.DemoBodies;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
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

/** How planning grows with the readings that a body's record holds; none is the baseline. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.SampleTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Warmup(iterations = 3, time = 3)
@Measurement(iterations = 3, time = 3)
@Fork(value = 1, jvmArgsAppend = "-Xmx1g")
public class GrowthBench {
    private final Memo memo = Memo.of(256L << 20);

    @Param({"0", "100", "1000", "20000"})
    public int readings;

    private Build build;

    @Setup
    public void read() {
        Build sedge = DemoBodies.read("sedge").build();
        List<AsBuilt.Entry> record = new ArrayList<>(sedge.asBuilt().timeline());
        for (int i = 0; i < readings; i++) {
            boolean heel = i % 2 == 0;
            Measurand measures = Measurand.parse(heel ? "heel-thickness" : "sanded-off:front");
            record.add(new AsBuilt.Reading("reading-" + i, "", "", Optional.empty(), measures, heel ? 25.4 : 1e-5));
        }
        build = new Build(sedge.design(), sedge.shop(), new AsBuilt(record));
    }

    @Benchmark
    public BuildPlan plan() {
        return memo.during(() -> Planner.plan(build));
    }
}
