package ebauche.core.cavity;

import ebauche.core.feature.Feature;
import ebauche.core.hardware.Control;
import ebauche.core.hardware.ControlCavity;
import ebauche.core.job.Build;
import ebauche.core.job.Finding;
import ebauche.core.job.History;
import ebauche.core.shop.Limits;
import ebauche.core.stock.WoodLeft;
import java.util.ArrayList;
import java.util.List;

/** Floors and walls of the finished body, from the exact voids, against the shop's limits. */
final class ThinWood {
    private ThinWood() {}

    static List<Finding> review(Build build, History history) {
        List<Finding> found = new ArrayList<>();
        Limits limits = build.shop().limits();
        for (WoodLeft.Thin thin : history.thinnest()) {
            if (limits.tooThin(thin.kind(), thin.thickness())) {
                found.add(thin.thickness() <= 0 ? broken(thin) : thinner(thin, build));
            }
        }
        return found;
    }

    private static Finding broken(WoodLeft.Thin thin) {
        boolean edge = thin.neighbour().equals(Feature.EDGE);
        boolean face = !edge && thin.neighbour().isFace();
        return Finding.stops("cavity", edge ? "breaks-out" : face ? "comes-through" : "breaks-in")
                .on(thin.feature())
                .at(thin.at())
                .length("overlap", -thin.thickness())
                .says(
                        "The " + thin.feature().said() + " breaks "
                                + (edge
                                        ? "out of the edge."
                                        : face
                                                ? "through the " + thin.neighbour() + " by {0}."
                                                : "into the " + thin.neighbour().said() + "."),
                        edge || face
                                ? "Move it, make it smaller or shallower."
                                : "Move one of them, or make it smaller or shallower, until a whole wall stands between.");
    }

    private static Finding thinner(WoodLeft.Thin thin, Build build) {
        Limits limits = build.shop().limits();
        boolean stops = limits.stops(thin.kind(), thin.thickness());
        boolean switchTop = thin.neighbour().equals(Feature.FRONT) && wantsThinTop(thin.feature(), build);
        String rule = switch (thin.kind()) {
            case FLOOR -> "thin-floor";
            case WALL -> "thin-wall";
            case ASLANT -> "thin-aslant";
        };
        Finding.Builder finding = stops
                ? Finding.stops("cavity", rule)
                : switchTop ? Finding.goodToKnow("cavity", "thin-on-purpose") : Finding.thinkAgain("cavity", rule);
        return finding.on(thin.feature())
                .at(thin.at())
                .length(thin.kind() == WoodLeft.Kind.FLOOR ? "floor left" : "wall left", thin.thickness())
                .length("the shop's limit", limits.least(thin.kind()))
                .length("stops under", limits.stops(thin.kind()))
                .says(
                        place(thin) + "; the shop's limit is {1}" + (stops ? ", and under {2} it stops." : "."),
                        cure(thin));
    }

    private static String place(WoodLeft.Thin thin) {
        String one = thin.feature().said();
        String other = thin.neighbour().said();
        return switch (thin.kind()) {
            case FLOOR -> "Only {0} of wood is left between the " + one + " and the " + other;
            case WALL -> "The wall between the " + one + " and the " + other + " is only {0}";
            case ASLANT -> "Aslant, only {0} of wood is left between the " + one + " and the " + other;
        };
    }

    private static String cure(WoodLeft.Thin thin) {
        return switch (thin.kind()) {
            case FLOOR -> "Make it shallower, or the body thicker; a thin top can be stiffened with thin glue.";
            case WALL -> "Move one of them by the difference.";
            case ASLANT -> "Move one of them, or make it shallower.";
        };
    }

    /** A part that wants a top thinner than the shop's limit gets it on purpose. */
    private static boolean wantsThinTop(Feature feature, Build build) {
        return build.design().controls().stream()
                .filter(c -> c.kind() == Control.Kind.BLADE_SWITCH)
                .anyMatch(c -> feature.equals(ControlFloor.step(c)) || feature.equals(ControlCavity.FEATURE));
    }
}
