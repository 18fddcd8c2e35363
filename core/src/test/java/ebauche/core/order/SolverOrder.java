package ebauche.core.order;

import com.google.ortools.Loader;
import com.google.ortools.sat.CircuitConstraint;
import com.google.ortools.sat.CpModel;
import com.google.ortools.sat.CpSolver;
import com.google.ortools.sat.CpSolverStatus;
import com.google.ortools.sat.LinearExpr;
import com.google.ortools.sat.LinearExprBuilder;
import com.google.ortools.sat.Literal;
import ebauche.core.operation.Operation;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.stream.IntStream;

/**
 * The order that costs least as a constraint solver finds it: OR-Tools' CP-SAT, a general-purpose library. It is told the costs once more, in its own
 * words: for each two steps which comes first, in every holder the round of those that use it.
 */
final class SolverOrder {
    /** Chances are counted in thousandths, minutes whole. */
    static final int SCALE = 1000;

    private final Costs costs;
    private final int n;
    private final CpModel model = new CpModel();
    private final Literal[][] before;
    private final LinearExprBuilder cost = LinearExpr.newBuilder();

    /** What the solver found. */
    record Found(double cost, double bound, boolean proved, List<Operation> order) {}

    private SolverOrder(Costs costs) {
        this.costs = costs;
        this.n = costs.size();
        this.before = new Literal[n][n];
    }

    /**
     * Asks it.
     *
     * @param hint an order to begin from; empty for none
     * @param seconds that it may take
     * @param workers that search beside each other; one finds the same every time
     */
    static Found of(Costs costs, List<Link> links, List<Operation> hint, double seconds, int workers) {
        Loader.loadNativeLibraries();
        SolverOrder asked = new SolverOrder(costs);
        asked.places(links);
        asked.losses();
        asked.holders();
        asked.model.minimize(asked.cost);
        for (int i = 0; i < hint.size(); i++) {
            for (int j = i + 1; j < hint.size(); j++) {
                int a = costs.number(hint.get(i));
                int b = costs.number(hint.get(j));
                asked.model.addHint(asked.before[Math.min(a, b)][Math.max(a, b)], a < b);
            }
        }
        return asked.found(seconds, workers);
    }

    private void places(List<Link> links) {
        for (int i = 0; i < n; i++) {
            for (int j = i + 1; j < n; j++) {
                before[i][j] = model.newBoolVar("b" + i + "," + j);
                before[j][i] = before[i][j].not();
            }
        }
        for (int i = 0; i < n; i++) {
            for (int j = 0; j < n; j++) {
                for (int k = 0; k < n; k++) {
                    if (i != j && j != k && i != k) {
                        model.addBoolOr(new Literal[] {before[i][j].not(), before[j][k].not(), before[i][k]});
                    }
                }
            }
        }
        for (Link link : links) {
            int from = IntStream.range(0, n)
                    .filter(i -> costs.step(i).key().equals(link.before()))
                    .findFirst()
                    .orElseThrow();
            int to = IntStream.range(0, n)
                    .filter(i -> costs.step(i).key().equals(link.after()))
                    .findFirst()
                    .orElseThrow();
            model.addBoolOr(new Literal[] {before[from][to]});
        }
    }

    private void losses() {
        for (int i = 0; i < n; i++) {
            long chance = Math.round(costs.risk[i] * SCALE);
            cost.add(chance * Math.round(costs.brings[i]));
            for (int j = 0; j < n; j++) {
                if (i != j) {
                    cost.addTerm(before[j][i], chance * Math.round(costs.brings[j]));
                    if (costs.props[j] != null && costs.props[j][i]) {
                        cost.addTerm(before[j][i], (long) Lying.PROPPED * SCALE);
                    }
                }
            }
            if (costs.seats[i] != null) {
                List<Literal> held = new ArrayList<>();
                for (int cut : costs.seats[i]) {
                    held.add(before[i][cut]);
                }
                Literal loose = model.newBoolVar("loose" + i);
                held.add(loose);
                model.addBoolOr(held);
                cost.addTerm(loose, (long) Price.LOOSE * SCALE);
            }
        }
    }

    private void holders() {
        for (int h = 0; h < costs.change.length; h++) {
            int holder = h;
            int[] users = IntStream.range(0, n)
                    .filter(i -> costs.first[i][holder] != Costs.NOTHING)
                    .toArray();
            if (users.length > 1) {
                CircuitConstraint round = model.addCircuit();
                for (int u = 0; u < users.length; u++) {
                    round.addArc(0, u + 1, model.newBoolVar("first" + h + "," + u));
                    round.addArc(u + 1, 0, model.newBoolVar("last" + h + "," + u));
                    for (int v = 0; v < users.length; v++) {
                        if (u != v) {
                            Literal next = model.newBoolVar("next" + h + "," + u + "," + v);
                            round.addArc(u + 1, v + 1, next);
                            model.addImplication(next, before[users[u]][users[v]]);
                            if (costs.last[users[u]][h] != costs.first[users[v]][h]) {
                                cost.addTerm(next, (long) costs.change[h] * SCALE);
                            }
                        }
                    }
                }
            }
        }
    }

    private Found found(double seconds, int workers) {
        CpSolver solver = new CpSolver();
        solver.getParameters().setNumWorkers(workers).setRandomSeed(1).setMaxTimeInSeconds(seconds);
        CpSolverStatus status = solver.solve(model);
        if (status != CpSolverStatus.OPTIMAL && status != CpSolverStatus.FEASIBLE) {
            throw new IllegalStateException("the solver says " + status);
        }
        List<Integer> order = new ArrayList<>();
        IntStream.range(0, n).forEach(order::add);
        order.sort(Comparator.comparingLong(i -> IntStream.range(0, n)
                .filter(j -> j != i && solver.booleanValue(before[j][i]))
                .count()));
        return new Found(
                solver.objectiveValue() / SCALE,
                solver.bestObjectiveBound() / SCALE,
                status == CpSolverStatus.OPTIMAL,
                order.stream().map(costs::step).toList());
    }
}
