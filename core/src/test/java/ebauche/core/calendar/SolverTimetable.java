package ebauche.core.calendar;

import com.google.ortools.Loader;
import com.google.ortools.sat.CpModel;
import com.google.ortools.sat.CpSolver;
import com.google.ortools.sat.CpSolverStatus;
import com.google.ortools.sat.CumulativeConstraint;
import com.google.ortools.sat.IntVar;
import com.google.ortools.sat.IntervalVar;
import com.google.ortools.sat.LinearExpr;
import com.google.ortools.sat.LinearExprBuilder;
import com.google.ortools.sat.Literal;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;

/**
 * The timetable with the least loss as a constraint solver finds it: OR-Tools' CP-SAT, a general-purpose library. It is told the work once more in its own words: intervals that may
 * not meet for each hand, body and machine, those of a hand besides the times in which it does not work, clamps as a cumulative resource. For work of one piece to a block, nothing
 * set up, all minutes multiples of five.
 */
final class SolverTimetable {
    private static final int GRAIN = 5;

    private final Workload load;
    private final long horizon;
    private final CpModel model = new CpModel();
    private final IntVar[] start;
    private final IntVar[] end;

    /** What the solver found, minutes. */
    record Found(double loss, double bound, boolean proved) {}

    private SolverTimetable(Workload load, Timetable known) {
        this.load = load;
        long last = known.slots().stream().mapToLong(Timetable.Slot::to).max().orElse(load.from());
        // No better timetable ends later than a loss as large as the known one's lets it.
        horizon = Math.min(scaled((long) (load.from() + known.loss().total())), scaled(last + 2L * 24 * 60));
        start = new IntVar[load.blocks().size()];
        end = new IntVar[load.blocks().size()];
    }

    /**
     * Asks it.
     *
     * @param known a timetable to begin from
     */
    static Found of(Workload load, Timetable known, double seconds) {
        Loader.loadNativeLibraries();
        SolverTimetable asked = new SolverTimetable(load, known);
        asked.blocks(known);
        asked.model.minimize(asked.loss());
        CpSolver solver = new CpSolver();
        solver.getParameters().setNumWorkers(2).setRandomSeed(1).setMaxTimeInSeconds(seconds);
        CpSolverStatus status = solver.solve(asked.model);
        if (status != CpSolverStatus.OPTIMAL && status != CpSolverStatus.FEASIBLE) {
            throw new IllegalStateException("the solver says " + status);
        }
        double scale = (double) GRAIN / load.jobs().size();
        return new Found(
                solver.objectiveValue() * scale, solver.bestObjectiveBound() * scale, status == CpSolverStatus.OPTIMAL);
    }

    private long scaled(long minute) {
        return Math.floorDiv(minute - load.from(), GRAIN);
    }

    private void blocks(Timetable known) {
        int n = start.length;
        List<List<IntervalVar>> ofHand = lists(load.hands().size());
        List<List<IntervalVar>> ofJob = lists(load.jobs().size());
        List<List<IntervalVar>> ofThing = lists(load.things().size());
        List<List<Long>> counts = new ArrayList<>();
        load.things().forEach(t -> counts.add(new ArrayList<>()));
        Map<Integer, Timetable.Slot> hint = known.byBlock();
        for (int i = 0; i < n; i++) {
            Block block = load.blocks().get(i);
            long length = block.minutes() / GRAIN;
            start[i] = model.newIntVar(0, horizon, "s" + i);
            end[i] = model.newIntVar(0, horizon, "e" + i);
            ofJob.get(block.job()).add(model.newIntervalVar(start[i], LinearExpr.constant(length), end[i], "i" + i));
            model.addHint(start[i], scaled(hint.get(i).from()));
            List<Literal> by = new ArrayList<>();
            for (int h = 0; h < load.hands().size(); h++) {
                if (load.hands().get(h).hand().trades().containsAll(block.trades())) {
                    Literal does = model.newBoolVar("h" + h + "," + i);
                    by.add(does);
                    ofHand.get(h)
                            .add(model.newOptionalIntervalVar(
                                    start[i], LinearExpr.constant(length), end[i], does, "o" + h + "," + i));
                }
            }
            model.addExactlyOne(by);
            for (Block.Use use : block.uses()) {
                long held = length + use.after() / GRAIN;
                ofThing.get(use.thing())
                        .add(model.newFixedSizeIntervalVar(start[i], held, "t" + use.thing() + "," + i));
                counts.get(use.thing()).add((long) use.count());
            }
        }
        for (int i = 0; i < n; i++) {
            for (Block.After after : load.blocks().get(i).after()) {
                model.addLessOrEqual(
                        LinearExpr.newBuilder()
                                .add(end[after.block()])
                                .add(after.rest() / GRAIN)
                                .build(),
                        start[i]);
            }
        }
        for (int h = 0; h < ofHand.size(); h++) {
            free(h, ofHand.get(h));
            model.addNoOverlap(ofHand.get(h));
        }
        ofJob.forEach(model::addNoOverlap);
        for (int t = 0; t < ofThing.size(); t++) {
            CumulativeConstraint taken =
                    model.addCumulative(load.things().get(t).count());
            for (int k = 0; k < ofThing.get(t).size(); k++) {
                taken.addDemand(ofThing.get(t).get(k), counts.get(t).get(k));
            }
        }
    }

    private static List<List<IntervalVar>> lists(int count) {
        List<List<IntervalVar>> lists = new ArrayList<>();
        for (int i = 0; i < count; i++) {
            lists.add(new ArrayList<>());
        }
        return lists;
    }

    /** The times in which a hand does not work. */
    private void free(int h, List<IntervalVar> of) {
        long worked = 0;
        for (Stretches.Span span : load.hands().get(h).time().spans()) {
            if (worked < horizon) {
                taken(of, worked, Math.min(horizon, scaled(span.from())));
                worked = scaled(span.to());
            }
        }
        taken(of, worked, horizon);
    }

    private void taken(List<IntervalVar> of, long from, long to) {
        if (to > from) {
            of.add(model.newFixedInterval(from, to - from, "free"));
        }
    }

    /** Times the number of bodies, so that the mean is whole. */
    private LinearExpr loss() {
        int jobs = load.jobs().size();
        IntVar last = model.newIntVar(0, horizon + 1_000, "last");
        LinearExprBuilder loss = LinearExpr.newBuilder().addTerm(last, jobs);
        for (int j = 0; j < jobs; j++) {
            IntVar done = model.newIntVar(0, horizon + 1_000, "d" + j);
            for (int i = 0; i < start.length; i++) {
                if (load.blocks().get(i).job() == j) {
                    long rest = Timetable.rests(load.blocks().get(i)) / GRAIN;
                    model.addLessOrEqual(
                            LinearExpr.newBuilder().add(end[i]).add(rest).build(), done);
                }
            }
            model.addLessOrEqual(done, last);
            loss.add(done);
            if (load.jobs().get(j).due().isPresent()) {
                IntVar late = model.newIntVar(0, horizon + 1_000, "l" + j);
                model.addLessOrEqual(
                        LinearExpr.newBuilder()
                                .add(done)
                                .add(-scaled(load.jobs().get(j).due().getAsLong()))
                                .build(),
                        late);
                loss.addTerm(late, (long) Timetable.Loss.LATE * jobs);
            }
        }
        return loss.build();
    }
}
