package ebauche.bench;

import ebauche.core.blank.BlankNeed;
import ebauche.core.layout.BlankPlanner;
import ebauche.core.layout.Need;
import ebauche.core.layout.OnRack;
import ebauche.core.layout.Preference;
import ebauche.core.memo.Memo;
import ebauche.core.plan.BuildPlan;
import ebauche.core.plan.Planner;
import ebauche.core.shop.Cutting;
import ebauche.core.timber.Board;
import ebauche.core.timber.Defect;
import ebauche.core.timber.Rings;
import ebauche.core.timber.Rise;
import ebauche.core.timber.Side;
import ebauche.core.timber.Species;
import ebauche.exchange.file.DemoBodies;
import ebauche.exchange.table.TimberFile;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
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

/** The blank planner over racks of one timber, beside the baseline of planning the body that it is for. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.SampleTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Warmup(iterations = 4, time = 3)
@Measurement(iterations = 4, time = 3)
@Fork(value = 1, jvmArgsAppend = "-Xmx1g")
public class BlankBench {
    private final Memo memo = Memo.of(256L << 20);

    @Param({"10", "60", "200"})
    public int boards;

    private BuildPlan body;
    private BlankPlanner.Request request;
    private BlankPlanner.Request top;

    @Setup
    public void stockTheRack() {
        body = memo.during(() -> Planner.plan(DemoBodies.read("tussock").build()));
        Need need = BlankNeed.whole(body.build(), body.history());
        request = new BlankPlanner.Request(rack(boards), need, Cutting.USUAL, false, 7, Preference.BALANCED);
        Need thin = BlankNeed.top(body.build(), body.history(), 6);
        top = new BlankPlanner.Request(rack(boards), thin, Cutting.USUAL, false, 7, Preference.BALANCED);
    }

    private static List<OnRack> rack(int boards) {
        Random random = new Random(11);
        Species ash = TimberFile.SHIPPED.of("ash");
        List<OnRack> rack = new ArrayList<>();
        for (int i = 0; i < boards; i++) {
            double length = 500 + random.nextInt(2000);
            double width = 80 + random.nextInt(300);
            double thickness = 48 + random.nextInt(8);
            List<Defect> defects = new ArrayList<>();
            for (int d = random.nextInt(4); d > 0; d--) {
                defects.add(new Defect(
                        Defect.Kind.KNOT,
                        random.nextDouble() * (length - 60),
                        random.nextDouble() * (width - 40),
                        20 + random.nextInt(40),
                        10 + random.nextInt(30),
                        0,
                        thickness));
            }
            Board board = new Board(
                    "B" + i,
                    ash,
                    random.nextInt(5) == 0,
                    length,
                    width,
                    thickness,
                    Rings.values()[random.nextInt(3)],
                    Optional.of(Side.values()[random.nextInt(2)]),
                    Rise.values()[random.nextInt(3)],
                    random.nextInt(7) - 3,
                    OptionalDouble.empty(),
                    List.of(),
                    defects);
            rack.add(new OnRack(board, OptionalDouble.of(8 + random.nextDouble() * 4), random.nextInt(4) > 0));
        }
        return rack;
    }

    /** Baseline: the body's own plan. */
    @Benchmark
    public BuildPlan planBody() {
        return memo.during(() -> Planner.plan(body.build()));
    }

    /** A thin top out of the same boards: every piece is a slice off one of their faces. */
    @Benchmark
    public BlankPlanner.Answer planTop() {
        return BlankPlanner.plan(top);
    }

    /** All layouts that the rack gives. */
    @Benchmark
    public BlankPlanner.Answer planBlank() {
        return BlankPlanner.plan(request);
    }
}
