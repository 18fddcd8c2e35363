package ebauche.core.realism;

import ebauche.core.balance.Balance;
import ebauche.core.design.Measurand;
import ebauche.core.design.NeckJoint;
import ebauche.core.feature.Feature;
import ebauche.core.hardware.Bridge;
import ebauche.core.hardware.Part;
import ebauche.core.job.Rule;
import ebauche.core.logbook.AsBuilt;
import ebauche.core.plan.BuildPlan;
import java.util.Comparator;
import java.util.List;
import java.util.stream.Stream;

/**
 * Can this body be made at all, and here? Every rule of the trade that can be told in numbers, with this body's number, its
 * place and what would cure it; every kind of step against what the shop has and what its hands are trusted with.
 *
 * @param rules those that fail first within each subject
 * @param ways how each kind of step is done here
 * @param unmeasured parts that are not measured yet while their cavity can still be cut to them
 */
public record Realism(List<Rule> rules, List<ToolChoice> ways, List<String> unmeasured) {
    public Realism {
        rules = List.copyOf(rules);
        ways = List.copyOf(ways);
        unmeasured = List.copyOf(unmeasured);
    }

    public static Realism of(BuildPlan plan) {
        List<Rule> rules = Stream.concat(plan.rules().stream(), Balance.of(plan).rules().stream())
                .filter(r -> !plan.build().design().leavesOpen(r.feature()))
                .sorted(Comparator.comparing(Rule::about).thenComparing(Rule::verdict))
                .toList();
        return new Realism(rules, ToolSubstitutes.of(plan), unmeasured(plan));
    }

    /** Hardware of one nominal kind differs between makers and years: measure the part in hand before its cavity is cut. */
    private static List<String> unmeasured(BuildPlan plan) {
        return plan.build().drawn().parts().entrySet().stream()
                .filter(p -> !measured(plan, p.getKey(), p.getValue()) && toCut(plan, p.getKey()))
                .map(p -> p.getKey().part())
                .toList();
    }

    private static boolean measured(BuildPlan plan, Feature feature, Part part) {
        AsBuilt record = plan.build().asBuilt();
        return part.sizes().keySet().stream()
                .anyMatch(size ->
                        record.latest(new Measurand.SizeOf(feature, size)).isPresent());
    }

    /** Whether wood is still to be cut to a part: a bridge sets the neck pocket's depth, whatever else is cut for it. */
    private static boolean toCut(BuildPlan plan, Feature feature) {
        return plan.steps().stream()
                .filter(s -> !s.done() && s.operation().cannotBeTakenBack())
                .map(s -> s.operation().feature())
                .anyMatch(f -> f.equals(feature)
                        || (feature.equals(Bridge.FEATURE)
                                && (f.equals(NeckJoint.FEATURE) || f.owner().equals(feature))));
    }

    /** How many rules stand so. */
    public long count(Rule.Verdict verdict) {
        return rules.stream().filter(r -> r.verdict() == verdict).count();
    }

    /** The rules of one subject. */
    public List<Rule> about(Rule.About about) {
        return rules.stream().filter(r -> r.about() == about).toList();
    }

    /** How many kinds of step can be done here neither by a tool nor by hand. */
    public long impossible() {
        return ways.stream().filter(w -> w.how() == ToolChoice.How.NOT_HERE).count();
    }
}
