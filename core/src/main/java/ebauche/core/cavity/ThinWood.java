package ebauche.core.cavity;

import ebauche.core.feature.Feature;
import ebauche.core.feature.Work;
import ebauche.core.hardware.Cavity;
import ebauche.core.hardware.Control;
import ebauche.core.job.Build;
import ebauche.core.job.Finding;
import ebauche.core.job.FloorSum;
import ebauche.core.job.History;
import ebauche.core.job.Rule;
import ebauche.core.measure.Reckoning;
import ebauche.core.shop.Limits;
import ebauche.core.stock.WoodLeft;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** Floors and walls of the finished body, from the exact voids, against the shop's limits. */
final class ThinWood {
    /** So many of the thinnest places are told however thick they are. */
    private static final int THINNEST = 8;

    /** Nearer than this to its limit a number is only just good: half a millimetre, as is routed and drilled, common practice. */
    private static final double ONLY_JUST = 0.5;

    private ThinWood() {}

    /** Of the wood that is left, the thinnest places, and all that are thinner than the shop leaves. */
    static List<Rule> rules(Build build, History history) {
        List<Rule> rules = new ArrayList<>();
        FloorSum floors = new FloorSum(build, history);
        for (WoodLeft.Thin thin : history.thinnest()) {
            if (rules.size() < THINNEST || build.shop().limits().tooThin(thin.kind(), thin.thickness())) {
                rules.add(rule(build, floors, thin));
            }
        }
        return rules;
    }

    private static Rule rule(Build build, FloorSum floors, WoodLeft.Thin thin) {
        boolean floor = thin.kind() == WoodLeft.Kind.FLOOR;
        String kind = switch (thin.kind()) {
            case FLOOR -> "floor of the ";
            case WALL -> "wall of the ";
            case ASLANT -> "wood at an angle from the ";
        };
        String between =
                kind + thin.feature().said() + " to the " + thin.neighbour().said();
        Optional<Reckoning> sum = floor ? floors.of(thin, thin.neighbour()) : Optional.empty();
        return Rule.of(Work.CAVITY, floor ? "floor" : "wall", Rule.About.WOOD)
                .on(thin.feature())
                .at(thin.at())
                .says("Enough wood is left: " + between + ".")
                .atLeast(
                        sum.orElseGet(() -> thin.reckoning(between)),
                        build.shop().limits().least(thin.kind()))
                .tight(ONLY_JUST)
                .cure(floor ? "A shallower cut, or a thicker body there." : "Move one of them, or make it smaller.")
                .fails(() -> thin.thickness() <= 0 ? broken(thin) : thinner(thin, build))
                .build();
    }

    private static Finding broken(WoodLeft.Thin thin) {
        boolean edge = thin.neighbour().equals(Feature.EDGE);
        boolean face = !edge && thin.neighbour().isFace();
        return Finding.stops(Work.CAVITY, edge ? "breaks-out" : face ? "comes-through" : "breaks-in")
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
                ? Finding.stops(Work.CAVITY, rule)
                : switchTop
                        ? Finding.goodToKnow(Work.CAVITY, "thin-on-purpose")
                        : Finding.thinkAgain(Work.CAVITY, rule);
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
                .anyMatch(c -> feature.equals(CavityFloor.step(c))
                        || build.design()
                                .cavityOf(c)
                                .filter(Cavity::throughWood)
                                .map(Cavity::feature)
                                .filter(feature::equals)
                                .isPresent());
    }
}
