package ebauche.bench;

import ebauche.core.feature.StepKey;
import ebauche.core.operation.Operation;
import ebauche.core.order.Ordering;
import ebauche.core.order.Sequence;
import ebauche.core.plan.Planner;
import ebauche.core.shop.HouseRule;
import ebauche.core.shop.HouseRules;
import ebauche.core.shop.Stage;
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

/** What the order of least loss adds to a plan, beside an order that only keeps the links, and beside reading the file's JSON as a tree. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.SampleTime)
@OutputTimeUnit(TimeUnit.MICROSECONDS)
@Warmup(iterations = 3, time = 2)
@Measurement(iterations = 4, time = 2)
@Fork(value = 1, jvmArgsAppend = "-Xmx1g")
public class OrderBench {
    private static final HouseRules RULES = new HouseRules(
            true,
            List.of(
                    new HouseRule(Stage.CAVITIES, Stage.PICKUPS),
                    new HouseRule(Stage.CONTOURS, Stage.JACK),
                    new HouseRule(Stage.FRONT, Stage.BACK)));

    @Param({"tussock", "marram"})
    public String body;

    private byte[] bytes;
    private Ordering ordering;
    private Sequence found;
    private List<StepKey> done;
    private List<Operation> stations;

    @Setup
    public void read() {
        bytes = DemoBodies.bytes(body);
        ordering = Planner.schedule(DemoBodies.read(body).build()).ordering();
        stations = ordering.operations();
        done = stations.subList(0, ordering.done()).stream()
                .map(Operation::key)
                .toList();
        found = Sequence.of(stations, ordering.links(), done);
    }

    /** Baseline: the file parsed as a tree and no more. */
    @Benchmark
    public Object parseOnly() {
        return JsonText.tree(bytes);
    }

    /** Some order that keeps the links. */
    @Benchmark
    public Sequence anyOrder() {
        return Sequence.of(stations, ordering.links(), done);
    }

    /** The cheapest that is found, begun with it. */
    @Benchmark
    public Ordering leastLoss() {
        return Ordering.of(found, ordering.costs(), ordering.links(), done, List.of(), HouseRules.NONE);
    }

    /** The same with rules of the shop. */
    @Benchmark
    public Ordering byRules() {
        return Ordering.of(found, ordering.costs(), ordering.links(), done, List.of(), RULES);
    }
}
