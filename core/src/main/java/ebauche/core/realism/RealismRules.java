package ebauche.core.realism;

import static ebauche.core.realism.Rule.About.*;

import ebauche.core.cavity.ControlFloor;
import ebauche.core.contour.ContourChecks;
import ebauche.core.contour.EdgeBand;
import ebauche.core.design.Contour;
import ebauche.core.feature.Feature;
import ebauche.core.feature.FeatureKind;
import ebauche.core.geometry.Point;
import ebauche.core.hardware.Bridge;
import ebauche.core.hardware.ControlCavity;
import ebauche.core.job.Build;
import ebauche.core.measure.Fact;
import ebauche.core.measure.Quantity;
import ebauche.core.measure.Reckoning;
import ebauche.core.plan.BuildPlan;
import ebauche.core.plan.DepthCard;
import ebauche.core.shop.Limits;
import ebauche.core.stock.WoodLeft;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;

/** The rules of what can be made, each with this body's number: whether the parts fit together, and into the wood. */
final class RealismRules {
    private static final double NO_END = Double.POSITIVE_INFINITY;

    /** Nearer than this to its limit a number is only just good: half a millimetre, as holes are drilled, common practice. */
    private static final double ONLY_JUST = 0.5;

    /** Of the wood that is left, so many of the thinnest places are told. */
    private static final int THINNEST = 8;

    private final BuildPlan plan;
    private final Build build;
    private final List<Rule> rules = new ArrayList<>();

    private RealismRules(BuildPlan plan) {
        this.plan = plan;
        this.build = plan.build();
    }

    static List<Rule> of(BuildPlan plan) {
        RealismRules rules = new RealismRules(plan);
        rules.block();
        rules.controls();
        rules.rules.addAll(NeckRules.of(plan.build()));
        rules.rules.addAll(Passages.of(plan.build()));
        rules.contours();
        rules.wood();
        return rules.rules;
    }

    private void add(
            String name,
            Rule.About about,
            Feature feature,
            String says,
            Reckoning number,
            double least,
            double most,
            double tight,
            Point at,
            String cure) {
        rules.add(new Rule(name, about, feature, says, number, least, most, tight, Optional.of(at), cure));
    }

    private Fact thickness() {
        return build.faces().thicknessReckoning(build).asFact();
    }

    /** A body of 1 3/8 to 1 1/2 in leaves a standard block at least 1/2 in proud of the back: common practice. */
    private void block() {
        Bridge bridge = build.design().bridge();
        bridge.vibrato().ifPresent(v -> {
            Reckoning block = build.blockReach().orElseThrow();
            double room = build.faces().thickness() - block.value();
            Reckoning behind = Reckoning.of("room behind the vibrato's block", Quantity.LENGTH)
                    .length("finished thickness", thickness())
                    .length(block.what(), block.asFact())
                    .is(room, "finished thickness − " + block.what());
            add(
                    "block",
                    SPEC,
                    Feature.of(FeatureKind.VIBRATO),
                    "The vibrato's block stays inside the back.",
                    behind,
                    0,
                    NO_END,
                    v.blockClearance(),
                    new Point(bridge.offCentre(), v.routeY()),
                    "A body as much deeper, a shorter block, or a bridge without one.");
        });
    }

    /** A potentiometer's thread sets one limit, a blade switch wants 1/8 to 3/16 in of top: common practice. */
    private void controls() {
        ControlFloor.of(build)
                .ifPresent(floor -> floor.tops().forEach(top -> {
                    String said = top.control().id().replace('-', ' ') + " "
                            + top.control().kind().word();
                    add(
                            "control-top",
                            SPEC,
                            top.control().feature(),
                            "The " + said + " gets a top that it can be mounted through.",
                            top.wood(),
                            top.control().thinnestTop(),
                            top.control().thickestTop(),
                            ONLY_JUST,
                            top.control().at(),
                            "A step in the cavity's floor under it, another depth, or another part; a thin top is stiffened with CA.");
                    double under = top.thickness().value() - top.wood().value();
                    double cover = build.design()
                            .controlCavity()
                            .map(ControlCavity::coverThickness)
                            .orElse(0.0);
                    Reckoning room = Reckoning.of("room under the " + said, Quantity.LENGTH)
                            .length(top.thickness().what(), top.thickness().asFact())
                            .length(top.wood().what(), top.wood().asFact())
                            .length("cover", Fact.typed(cover))
                            .length("reaches down", Fact.typed(top.control().below()))
                            .is(
                                    under - cover - top.control().below(),
                                    top.thickness().what() + " − " + top.wood().what() + " − cover − reaches down");
                    add(
                            "control-tall",
                            SPEC,
                            top.control().feature(),
                            "The cover closes over the " + said + ".",
                            room,
                            0,
                            NO_END,
                            ONLY_JUST,
                            top.control().at(),
                            "A shallower part, a thicker body, or less wood over it.");
                }));
    }

    private void contours() {
        for (Contour.Laid laid : build.contours()) {
            Contour contour = laid.contour();
            String said = contour.feature().said();
            ContourChecks.nearest(build, laid)
                    .ifPresent(near -> add(
                            "contour-clear",
                            CONTOURS,
                            contour.feature(),
                            "The line of the " + said + " keeps clear of the " + near.part() + ".",
                            near.clear(),
                            ContourChecks.CLEAR_OF_HARDWARE,
                            NO_END,
                            0,
                            near.at(),
                            "Begin the contour farther out, or move the part."));
            Reckoning left = Reckoning.of("half the body less the " + said, Quantity.LENGTH)
                    .length("finished thickness", thickness())
                    .length("deepest", Fact.typed(contour.depth()))
                    .is(
                            build.faces().thickness() * ContourChecks.USUAL_SHARE - contour.depth(),
                            "finished thickness / 2 − deepest");
            add(
                    "contour-half",
                    CONTOURS,
                    contour.feature(),
                    "The " + said + " takes half the body at most.",
                    left,
                    0,
                    NO_END,
                    1,
                    laid.course().farthest(laid.plan()),
                    "Less depth, unless the edge that is left is as you want it.");
        }
        for (EdgeBand band : EdgeBand.of(build)) {
            add(
                    "edge-band",
                    CONTOURS,
                    band.front().feature(),
                    "An even edge stays between the "
                            + band.front().feature().said() + " and the "
                            + band.back().feature().said() + "; it never comes to a point.",
                    band.thickness(),
                    build.shop().limits().thinnestWall(),
                    NO_END,
                    2,
                    band.at(),
                    "Make one of them shallower, or draw their lines apart.");
        }
    }

    private void wood() {
        Limits limits = build.shop().limits();
        Map<WoodLeft.Thin, Reckoning> sums = DepthCard.of(plan).stream()
                .flatMap(c -> c.left().stream())
                .collect(Collectors.toMap(DepthCard.Left::thin, DepthCard.Left::sum, (a, b) -> a));
        plan.thinnest().stream().limit(THINNEST).forEach(thin -> {
            boolean floor = thin.kind() == WoodLeft.Kind.FLOOR;
            String kind = switch (thin.kind()) {
                case FLOOR -> "floor of the ";
                case WALL -> "wall of the ";
                case ASLANT -> "wood aslant from the ";
            };
            String between =
                    kind + thin.feature().said() + " to the " + thin.neighbour().said();
            Reckoning number = sums.getOrDefault(
                    thin,
                    Reckoning.of(between, Quantity.LENGTH)
                            .length("as the cuts lie", thin.thickness())
                            .is(thin.thickness(), "as the cuts lie"));
            add(
                    floor ? "floor" : "wall",
                    WOOD,
                    thin.feature(),
                    "Wood is left: " + between + ".",
                    number,
                    limits.least(thin.kind()),
                    NO_END,
                    ONLY_JUST,
                    thin.at(),
                    floor ? "A shallower cut, or a thicker body there." : "Move one of them, or make it smaller.");
        });
    }
}
