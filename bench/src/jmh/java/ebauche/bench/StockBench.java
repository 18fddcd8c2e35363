package ebauche.bench;

import ebauche.core.job.History;
import ebauche.core.plan.BuildPlan;
import ebauche.core.plan.Planner;
import ebauche.core.stock.Grid;
import ebauche.core.stock.Stock;
import ebauche.exchange.file.DemoBodies;
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

/** All steps applied to the stock, beside the baseline of copying every touched cell once. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.SampleTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Warmup(iterations = 4, time = 3)
@Measurement(iterations = 4, time = 3)
@Fork(value = 1, jvmArgsAppend = "-Xmx1g")
public class StockBench {
    @Param({"tussock", "shale"})
    public String body;

    private History history;
    private int asked;

    @Setup
    public void plan() {
        BuildPlan plan = Planner.plan(DemoBodies.read(body).build());
        history = plan.history();
    }

    /** On a grid that was not asked for before, so that no tile is remembered. */
    @Benchmark
    public Stock apply() {
        Grid grid = history.before(0).grid();
        Stock stock =
                Stock.empty(new Grid(grid.pitch(), grid.x0() + ++asked * 1e-7, grid.y0(), grid.columns(), grid.rows()));
        for (History.Step step : history.steps()) {
            stock = stock.after(step.changes());
        }
        return stock;
    }

    /** Baseline: the cells that each step touched, copied and nothing else. */
    @Benchmark
    public long copyTouched() {
        long cells = 0;
        for (int i = 0; i < history.steps().size(); i++) {
            cells += history.before(i + 1).copyOfCellsUnlike(history.before(i));
        }
        return cells;
    }
}
