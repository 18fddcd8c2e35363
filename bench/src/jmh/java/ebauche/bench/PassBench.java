package ebauche.bench;

import ebauche.core.crib.Bit;
import ebauche.core.crib.Crib;
import ebauche.core.memo.Memo;
import ebauche.core.passes.GuidedCut;
import ebauche.core.passes.PassPlan;
import ebauche.core.passes.PassPlanner;
import ebauche.core.passes.Shortage;
import ebauche.core.plan.BuildPlan;
import ebauche.core.plan.Planner;
import ebauche.core.shop.Shop;
import ebauche.core.timber.Hardness;
import ebauche.exchange.file.DemoBodies;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import java.util.Random;
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

/** The pass planner over cribs of many bits, beside the baseline of planning a whole body in the same run. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.SampleTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Warmup(iterations = 3, time = 2)
@Measurement(iterations = 3, time = 2)
@Fork(value = 1, jvmArgsAppend = "-Xmx1g")
public class PassBench {
    private final Memo memo = Memo.of(256L << 20);

    @Param({"8", "60", "240"})
    public int bits;

    private Crib crib;
    private BuildPlan body;

    /** A cavity of 38 in hard wood, undrilled: many passes. */
    private final GuidedCut deep = new GuidedCut(38, 45, 9, OptionalDouble.empty(), 0.8, 6.35, Hardness.HARD, 10);

    /** A corner that only the narrowest turn in, so deep that nothing reaches it: all must be tried. */
    private final GuidedCut hopeless = new GuidedCut(80, 85, 9, OptionalDouble.empty(), 0.8, 6.35, Hardness.HARD, 10);

    @Setup
    public void fillTheCrib() {
        Random random = new Random(5);
        List<Bit> all = new ArrayList<>();
        for (int i = 0; i < bits; i++) {
            double diameter = 4 + random.nextInt(15);
            double length = Math.max(diameter / 2, 5 + random.nextInt(35));
            Bit.Bearing bearing = Bit.Bearing.values()[random.nextInt(4)];
            all.add(Bit.usual("bit " + i, bearing, diameter, length, random.nextBoolean() ? 6.35 : 12.7));
        }
        crib = Shop.starter(Shop.STARTER).crib().only(all);
        body = memo.during(() -> Planner.plan(DemoBodies.read("tussock").build()));
    }

    /** Baseline: the whole of a body's plan. */
    @Benchmark
    public BuildPlan planBody() {
        return memo.during(() -> Planner.plan(body.build()));
    }

    /** The cheapest plan and two alternatives. */
    @Benchmark
    public List<PassPlan> planPasses() {
        return PassPlanner.plans(deep, crib);
    }

    /** What is missing where there is no plan. */
    @Benchmark
    public Shortage sayWhatIsMissing() {
        return Shortage.of(hopeless, crib);
    }
}
