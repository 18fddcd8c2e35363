package ebauche.core.realism;

import ebauche.core.feature.Feature;
import ebauche.core.feature.FeatureKind;
import ebauche.core.feature.StepKey;
import ebauche.core.plan.BuildPlan;
import java.util.List;
import java.util.Optional;

/**
 * How one kind of step is done in this shop.
 *
 * @param work the kind of step
 * @param wants the tool that is usually taken for it, with what it must be able to do
 * @param how with that tool, another way, or not at all
 * @param with what is taken here; for a step that cannot be done here, what would be needed
 * @param mind what the other way asks for
 * @param steps of the plan that are done so, their keys
 */
public record ToolChoice(String work, String wants, How how, String with, String mind, List<StepKey> steps) {
    /** How a step can be done here. */
    public enum How {
        NOT_HERE("not here"),
        STAND_IN("another way"),
        AS_USUAL("as usual");

        private final String words;

        How(String words) {
            this.words = words;
        }

        public String words() {
            return words;
        }
    }

    /** How a step is done here, if that is another way than usual or cannot be done. */
    public static Optional<ToolChoice> instead(BuildPlan plan, StepKey step) {
        return ToolSubstitutes.of(plan).stream()
                .filter(w -> w.how() != How.AS_USUAL && w.steps().contains(step))
                .findFirst();
    }

    public ToolChoice {
        steps = List.copyOf(steps);
    }

    /** What could be left open so that this kind of step is not asked of the shop: the voids and carves that its steps cut. */
    public List<Feature> leavable(BuildPlan plan) {
        return plan.steps().stream()
                .filter(s -> !s.done() && steps.contains(s.operation().key()))
                .map(s -> s.operation().feature())
                .filter(f -> f.isVoid() || f.kind().role() == FeatureKind.Role.SHAPE)
                .map(Feature::owner)
                .distinct()
                .toList();
    }
}
