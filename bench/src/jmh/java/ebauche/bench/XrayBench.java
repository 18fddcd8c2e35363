package ebauche.bench;

import ebauche.core.memo.Memo;
import ebauche.core.plan.BuildPlan;
import ebauche.core.plan.Planner;
import ebauche.core.sheet.SideBySide;
import ebauche.exchange.file.BuildFile;
import ebauche.exchange.file.DemoBodies;
import java.nio.charset.StandardCharsets;
import java.util.Locale;
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

/**
 * One edit to a fresh X-ray, as a hand that drags a cavity makes it: the edited file read, planned, its thinnest wood found, the wood
 * weighed and its flats added up, and all of it laid beside today; beside the baseline of planning the body as it is.
 */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.SampleTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Warmup(iterations = 4, time = 3)
@Measurement(iterations = 4, time = 3)
@Fork(value = 1, jvmArgsAppend = "-Xmx1g")
public class XrayBench {
    private final Memo memo = Memo.of(256L << 20);

    @Param({"tussock", "sedge", "marram"})
    public String body;

    private BuildFile today;
    private BuildPlan plan;
    private String before;
    private String after;
    private int dragged;

    @Setup
    public void read() {
        byte[] bytes = DemoBodies.bytes(body);
        today = BuildFile.read(bytes);
        plan = memo.during(() -> Planner.plan(today.build()));
        String text = new String(bytes, StandardCharsets.UTF_8);
        int pickups = text.indexOf("\"bridge\"", text.indexOf("\"pickups\""));
        int y = text.indexOf("\"y\" : \"", pickups) + 7;
        int end = text.indexOf('"', y);
        before = text.substring(0, y);
        after = text.substring(end);
    }

    /** The file with the bridge pickup half a millimetre on, back and forth over 8 mm and never twice at one place. */
    private byte[] edited() {
        dragged++;
        double at = 36 + dragged * 0.5 % 8 + dragged * 1e-5;
        return (before + String.format(Locale.ROOT, "%.5f mm", at) + after).getBytes(StandardCharsets.UTF_8);
    }

    /** Baseline: the body planned as it is, once more: every area and tile is remembered. */
    @Benchmark
    public BuildPlan planAsItIs() {
        return memo.during(() -> Planner.plan(today.build()));
    }

    /** The edit, with all that the X-ray tells of it. */
    @Benchmark
    public double editToXray() {
        BuildPlan then = memo.during(() -> Planner.plan(BuildFile.read(edited()).build()));
        SideBySide beside = SideBySide.of(plan, then);
        double flat = then.history().finished().flat(then.build().faces().frontFinished(), true);
        return flat
                + then.history().finished().balance().grams()
                + then.thinnest().get(0).thickness()
                + beside.cavities().size();
    }
}
