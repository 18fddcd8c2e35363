package ebauche.core.plan;

import ebauche.core.crib.Drill;
import ebauche.core.job.Build;
import ebauche.core.job.Finding;
import ebauche.core.operation.Operation;
import ebauche.core.operation.Setting;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** Steps for whose holes the crib has no drill that fits, or none that is long enough. */
final class DrillsLacking {
    private DrillsLacking() {}

    static List<Finding> find(Build build, List<Operation> toDo) {
        List<Finding> found = new ArrayList<>();
        for (Operation step : toDo) {
            if (step.setting() instanceof Setting.Drilled drilled) {
                drilled.hole().flatMap(h -> of(build, step, drilled, h)).ifPresent(found::add);
            }
        }
        return found;
    }

    private static Optional<Finding> of(
            Build build, Operation step, Setting.Drilled drilled, Setting.Drilled.Hole hole) {
        double deep = drilled.depth().value();
        Optional<Drill> drill = build.shop().crib().drill(hole.wide(), hole.fit(), hole.through() ? deep / 2 : deep);
        if (drill.isEmpty()) {
            return Optional.of(missing(build, step, hole));
        }
        double reach = drill.get().reach() * (hole.through() ? 2 : 1);
        return reach >= deep
                ? Optional.empty()
                : Optional.of(Finding.thinkAgain(step.work(), "drill-too-short")
                        .on(step.feature())
                        .length("reach", drill.get().reach())
                        .length("deep", deep)
                        .says(
                                "“" + step.title() + "” goes {1} deep, and the "
                                        + drill.get().name() + " reaches {0}.",
                                "A longer drill of that width for the crib."));
    }

    private static Finding missing(Build build, Operation step, Setting.Drilled.Hole hole) {
        Optional<Drill> nearest = build.shop().crib().nearestDrill(hole.wide());
        Finding.Builder finding = Finding.thinkAgain(step.work(), "no-drill")
                .on(step.feature())
                .length("hole", hole.wide())
                .length("narrowest", hole.fit().least(hole.wide()))
                .length("widest", hole.fit().most(hole.wide()));
        String near = nearest.map(d -> " The nearest there, " + d.name() + ", is too "
                        + (d.diameter() > hole.wide() ? "wide" : "narrow") + ".")
                .orElse("");
        return finding.says(
                "“" + step.title() + "” wants a hole {0} wide, " + hole.fit().words()
                        + ", and no drill of the crib makes it." + near,
                "A drill of {1} to {2} for the crib.");
    }
}
