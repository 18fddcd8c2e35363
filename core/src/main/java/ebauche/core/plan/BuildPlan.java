package ebauche.core.plan;

import ebauche.core.design.Measurand;
import ebauche.core.feature.Feature;
import ebauche.core.feature.StepKey;
import ebauche.core.feature.StepKind;
import ebauche.core.geometry.Region;
import ebauche.core.job.Build;
import ebauche.core.job.Finding;
import ebauche.core.job.History;
import ebauche.core.job.Rule;
import ebauche.core.job.UnderTop;
import ebauche.core.logbook.AsBuilt;
import ebauche.core.measure.Reckoning;
import ebauche.core.operation.Operation;
import ebauche.core.order.Link;
import ebauche.core.stock.WoodLeft;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * Everything that follows from a build.
 *
 * @param schedule its steps in their order
 * @param findings gravest first
 * @param rules of the trade, each with this body's number; the findings of those that do not hold are among the findings
 * @param reckonings the numbers a maker asks about
 */
public record BuildPlan(Schedule schedule, List<Finding> findings, List<Rule> rules, List<Reckoning> reckonings) {

    public BuildPlan {
        findings = List.copyOf(findings);
        rules = List.copyOf(rules);
        reckonings = List.copyOf(reckonings);
    }

    /** What it follows from. */
    public Build build() {
        return schedule.build();
    }

    public List<PlanStep> steps() {
        return schedule.steps();
    }

    /** The reasons for the order, those that follow from others left out. */
    public List<Link> links() {
        return schedule.links();
    }

    /** How long each undecided choice stays open. */
    public List<StillOpen> stillOpen() {
        return schedule.stillOpen();
    }

    public History history() {
        return schedule.history();
    }

    /**
     * One operation in its place.
     *
     * @param done whether it is a fact
     * @param startMinutes hands-on minutes of all before it
     * @param slip what spoiling the body here would cost
     */
    public record PlanStep(Operation operation, boolean done, int startMinutes, Slip slip) {

        /** The record of this step done as planned. */
        public AsBuilt.Done asDone(String id, String at, String by) {
            Map<Measurand, Double> expected = new LinkedHashMap<>();
            operation
                    .inspections()
                    .forEach(i -> expected.put(i.measurand(), i.expected().value()));
            return new AsBuilt.Done(
                    id,
                    at,
                    by,
                    operation.key(),
                    operation.title(),
                    operation.face(),
                    operation.changes(),
                    expected,
                    operation.setting().routed());
        }
    }

    /**
     * What the body holds when a step begins: what a slip there could cost.
     *
     * @param minutes of work in it, this step's included
     * @param timberGrams of rough timber in it, 0 before the blank is
     */
    public record Slip(int minutes, double timberGrams) {}

    /** Floors and walls of the finished body, thinnest first. */
    public List<WoodLeft.Thin> thinnest() {
        return history().thinnest();
    }

    /** Whether something stops the build. */
    public boolean stops() {
        return findings.stream().anyMatch(f -> f.severity() == Finding.Severity.STOPS);
    }

    /** The first step that is not done. */
    public Optional<PlanStep> next() {
        return schedule.next();
    }

    public Optional<PlanStep> step(StepKey key) {
        return schedule.step(key);
    }

    /** The step that an address or a form names. */
    public Optional<PlanStep> step(String written) {
        return schedule.step(written);
    }

    /** The body's plan before a step once it is sawn: with its tabs as long as they stand. */
    public Region edgeBefore(int step) {
        boolean standing = step(StepKey.of(Feature.OUTLINE, StepKind.TABS_OFF))
                .filter(off -> step <= indexOf(off))
                .isPresent();
        Region body = build().design().outline().region();
        return standing ? body.union(build().drawn().withTabs()) : body;
    }

    public int indexOf(PlanStep step) {
        return steps().indexOf(step);
    }

    /** Hands-on minutes of the whole build. */
    public int totalMinutes() {
        return schedule.totalMinutes();
    }

    /** Hands-on minutes of what is done. */
    public int doneMinutes() {
        return schedule.doneMinutes();
    }

    /** What a step waits for, of what is done. */
    public List<Schedule.Rest> rests(StepKey key) {
        return schedule.rests(key);
    }

    /** The reasons why a step stands after others. */
    public List<Link> reasons(StepKey key) {
        return schedule.reasons(key);
    }

    /** A named number of the plan. */
    public Optional<Reckoning> reckoning(String what) {
        return reckonings.stream().filter(r -> r.what().equals(what)).findFirst();
    }

    /** What nobody can do any more once a step is done: what is still to be done on the core when its top is glued on. */
    public List<Operation> lostWith(PlanStep step) {
        return step.operation().key().equals(UnderTop.CLOSES)
                ? steps().stream()
                        .filter(s -> s.operation().onCore() && !s.done())
                        .map(PlanStep::operation)
                        .toList()
                : List.of();
    }
}
