package ebauche.core.sanding;

import ebauche.core.measure.Fact;
import ebauche.core.measure.Quantity;
import ebauche.core.measure.Reckoning;
import ebauche.core.operation.LedgerRow;
import java.util.ArrayList;
import java.util.List;

/**
 * Papers one after the other, each taking what the one before scratched.
 *
 * @param surface what is sanded, in words
 * @param marks how deep the tool's marks are that the first paper takes, mm
 * @param grits from coarse to fine
 */
public record Grits(String surface, double marks, List<Integer> grits) {
    /** Mean grain of papers, mm: FEPA's P scale as ISO 6344 has it (memory). */
    private static final int[] P = {60, 80, 100, 120, 150, 180, 220, 240, 320, 400, 600};

    private static final double[] GRAIN = {
        0.269, 0.201, 0.162, 0.125, 0.100, 0.082, 0.068, 0.0585, 0.0462, 0.035, 0.0258
    };

    /** A paper scratches about so much of its grain deep: common practice. */
    private static final double SCRATCH = 1.0 / 3;

    /** No step finer than this share of the grain before: what is skipped is not sanded out. Common practice. */
    private static final double FINEST_STEP = 0.5;

    /** The marks of planer, router and scraper, and of a second-cut file, mm: common practice. */
    static final double TOOL_MARKS = 0.1;

    static final double FILE_MARKS = 0.03;

    /** Mean grain of a paper, mm. */
    public static double grain(int grit) {
        for (int i = 0; i < P.length; i++) {
            if (P[i] == grit) {
                return GRAIN[i];
            }
        }
        throw new IllegalArgumentException("P" + grit);
    }

    /** From a paper to another by the longest steps that sand out what the last one scratched. */
    public static List<Integer> between(int first, int last) {
        List<Integer> all = new ArrayList<>(List.of(first));
        while (all.get(all.size() - 1) < last) {
            double grain = grain(all.get(all.size() - 1));
            int next = last;
            for (int grit : P) {
                if (grit > all.get(all.size() - 1) && grit <= last && grain(grit) >= FINEST_STEP * grain) {
                    next = grit;
                }
            }
            all.add(next);
        }
        return all;
    }

    /** What each must take, from coarse to fine, mm. */
    public List<Double> takes() {
        List<Double> takes = new ArrayList<>(List.of(marks));
        for (int i = 1; i < grits.size(); i++) {
            takes.add(grain(grits.get(i - 1)) * SCRATCH);
        }
        return takes;
    }

    /** All that must come off, mm. */
    public Reckoning need() {
        Reckoning.Builder sum = Reckoning.of("must come off the " + surface, Quantity.LENGTH)
                .length("tool's marks", Fact.rule(marks, "common practice"));
        StringBuilder formula = new StringBuilder("tool's marks");
        for (int i = 0; i + 1 < grits.size(); i++) {
            String name = "scratch of P" + grits.get(i);
            sum.length(name, Fact.rule(grain(grits.get(i)) * SCRATCH, "a third of its mean grain, common practice"));
            formula.append(" + ").append(name);
        }
        return sum.is(takes().stream().mapToDouble(Double::doubleValue).sum(), formula.toString());
    }

    /** Nothing read yet. */
    public List<LedgerRow> rows(double allowance, double minutes) {
        return rows(allowance, minutes, List.of());
    }

    /** What those papers must take that are still to come once so many were read, mm. */
    public double needAfter(int papers) {
        return takes().stream().skip(papers).mapToDouble(Double::doubleValue).sum();
    }

    /**
     * Paper by paper: what the allowance has beyond what must come off goes with the first that is still to come, which makes the face flat.
     *
     * @param allowance what is to come off in all, mm
     * @param minutes for all of it
     * @param read what each paper took, from the first on, as far as it was read, mm
     */
    public List<LedgerRow> rows(double allowance, double minutes, List<Double> read) {
        List<Double> takes = takes();
        double left = allowance - read.stream().mapToDouble(Double::doubleValue).sum();
        double rest = Math.max(0, left - needAfter(read.size()));
        List<LedgerRow> rows = new ArrayList<>();
        for (int i = 0; i < grits.size(); i++) {
            // The first paper has as much to do as all that follow.
            double share = i == 0 ? (grits.size() == 1 ? 1 : 0.5) : 0.5 / (grits.size() - 1);
            Reckoning time = Reckoning.of("minutes", Quantity.TIME)
                    .term("all of it", Fact.rule(minutes, "common practice"), Quantity.TIME)
                    .term("its share", Fact.rule(share, "common practice"), Quantity.NUMBER)
                    .is(minutes * share, "all of it × its share");
            rows.add(
                    i < read.size()
                            ? LedgerRow.of(
                                    surface + ", P" + grits.get(i) + ": done, as it was read", took(i, read.get(i)))
                            : LedgerRow.of(
                                    surface + ", P" + grits.get(i) + ": "
                                            + (i == 0
                                                    ? "until no mark of a tool is left in a low light"
                                                    : "until the last paper's scratches are gone"),
                                    comesOff(i, takes.get(i), i == read.size() ? rest : 0),
                                    time));
        }
        return rows;
    }

    private static Reckoning took(int paper, double read) {
        return Reckoning.of("came off", Quantity.LENGTH)
                .length("read after it", Fact.measured(read, "reading " + (paper + 1) + " at this step"))
                .is(read, "read after it");
    }

    private Reckoning comesOff(int paper, double takes, double beyond) {
        String name = paper == 0 ? "tool's marks" : "scratch of P" + grits.get(paper - 1);
        Reckoning.Builder sum = Reckoning.of("comes off", Quantity.LENGTH)
                .length(
                        name,
                        Fact.rule(
                                takes, paper == 0 ? "common practice" : "a third of its mean grain, common practice"));
        return beyond > 0 || paper == 0
                ? sum.length("what is left of the allowance beyond all papers", beyond)
                        .is(takes + beyond, name + " + what is left of the allowance beyond all papers")
                : sum.is(takes, name);
    }

    /** In words, such as {@code 120, 220, 320}. */
    public String words() {
        return String.join(", ", grits.stream().map(String::valueOf).toList());
    }
}
