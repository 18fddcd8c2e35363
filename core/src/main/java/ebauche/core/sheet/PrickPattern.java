package ebauche.core.sheet;

import ebauche.core.feature.StepKey;
import ebauche.core.feature.StepKind;
import ebauche.core.geometry.Face;
import ebauche.core.geometry.Placing;
import ebauche.core.geometry.Point;
import ebauche.core.plan.BuildPlan;
import ebauche.core.plan.Stations;
import ebauche.core.routing.GuidedPocket;
import java.util.List;
import java.util.Optional;

/**
 * Where a cavity's waste is drilled out, to be pricked through a print of its template.
 *
 * @param wide diameter of the drill, mm
 * @param at middles in the order of the step's own marks, as seen with the template's face up
 */
public record PrickPattern(double wide, List<Point> at) {
    public PrickPattern {
        at = List.copyOf(at);
    }

    /** Of a template whose waste is still to be drilled; empty of any other. */
    public static Optional<PrickPattern> of(BuildPlan plan, TemplateSheet sheet) {
        return plan.step(StepKey.of(sheet.feature(), StepKind.WASTE))
                .filter(s -> !s.done())
                .flatMap(s -> Stations.pockets(plan.build()).stream()
                        .filter(p -> p.feature().equals(sheet.feature()))
                        .findFirst()
                        .flatMap(GuidedPocket::drilling)
                        .map(d -> new PrickPattern(
                                d.drill().diameter(),
                                d.holes().stream()
                                        .map(p -> sheet.face() == Face.FRONT
                                                ? p
                                                : Placing.fromTheBack().of(p))
                                        .toList())));
    }
}
