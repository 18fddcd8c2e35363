package ebauche.core.station;

import ebauche.core.feature.StepKey;
import ebauche.core.feature.Work;
import ebauche.core.gluing.Clamping;
import ebauche.core.job.Build;
import ebauche.core.job.Finding;
import ebauche.core.job.History;
import ebauche.core.job.Rule;
import ebauche.core.measure.Reckoning;
import ebauche.core.operation.Operation;
import ebauche.core.routing.GuidedPocket;
import ebauche.core.routing.GuidedWork;
import ebauche.core.routing.TemplateLine;
import java.util.List;

/** A kind of work. All are alike from outside: they check the build, add operations, and look at what is left. */
public interface Station {
    /** What kind of work it is: all that it says and adds carries it. */
    Work work();

    /** The rules of the trade that this work keeps to, each with this build's number. */
    default List<Rule> rules(Build build) {
        return List.of();
    }

    /** What cannot work, or only just, and no number tells. */
    default List<Finding> check(Build build) {
        return List.of();
    }

    /** The operations that this work adds; their order follows from what they need and give. */
    List<Operation> operations(Build build);

    /** The pockets of this work that are routed along a template, by the order of the design. */
    default List<GuidedPocket> pockets(Build build) {
        return List.of();
    }

    /** What of this work is routed along a template: its pockets, and whatever else is. */
    default List<GuidedWork> guidedWork(Build build) {
        return pockets(build).stream().map(GuidedWork::of).toList();
    }

    /** The templates that this work wants, by the order of the design: one for each pocket, and whatever else is cut along one. */
    default List<TemplateLine> templates(Build build) {
        return pockets(build).stream().map(TemplateLine::of).toList();
    }

    /** What else of this work is printed at full size, to be taped on or cut out of paper. */
    default List<TemplateLine> papers(Build build) {
        return List.of();
    }

    /** What a depth card of one of its pockets says besides the depth. */
    default PocketNotes notes(GuidedPocket pocket) {
        return PocketNotes.NONE;
    }

    /** The numbers of this work that a maker asks about, each with its sum. */
    default List<Reckoning> reckonings(Build build) {
        return List.of();
    }

    /** Which of the shop's clamps and cauls a step of this work takes; none unless it glues. */
    default Clamping clamping(Build build, StepKey step) {
        return Clamping.NONE;
    }

    /** The rules about the wood that is left, each with its number. */
    default List<Rule> rules(Build build, History history) {
        return List.of();
    }

    /** What the wood that is left tells and no number does; adds findings, never operations. */
    default List<Finding> review(Build build, History history) {
        return List.of();
    }
}
