package ebauche.core.outline;

import ebauche.core.build.Build;
import ebauche.core.build.Finding;
import ebauche.core.build.Station;
import ebauche.core.crib.Bit;
import ebauche.core.geometry.Face;
import ebauche.core.geometry.Outline;
import ebauche.core.geometry.Point;
import ebauche.core.geometry.Region;
import ebauche.core.hardware.Pickup;
import ebauche.core.measure.Fact;
import ebauche.core.measure.Quantity;
import ebauche.core.measure.Reckoning;
import ebauche.core.operation.Caution;
import ebauche.core.operation.Condition;
import ebauche.core.operation.Operation;
import ebauche.core.operation.Setting;
import ebauche.core.passes.GuidedCut;
import ebauche.core.passes.Pass;
import ebauche.core.passes.PassPlan;
import ebauche.core.passes.PassPlanner;
import ebauche.core.routing.Datum;
import ebauche.core.shop.Practice;
import ebauche.core.stock.Change;
import ebauche.core.stock.Solid;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/** Centre line, outline drawn, sawn outside the line, routed to the template from both faces. */
public final class OutlineStation implements Station {
    public static final String FEATURE = "outline";

    /** Wood round a template's screw: common practice. */
    private static final double SCREW_SEAT = 8;

    /** A bit meets at least so much wood, however close the saw went, mm. */
    private static final double LEAST_ENGAGED = 0.5;

    private static final Condition.Held TEMPLATE = new Condition.Held("outline template");
    private static final Condition.Mark UPPER_ROUTED = new Condition.Mark("the outline routed from the front");
    private static final Condition.Mark ROUTED = new Condition.Mark("the outline routed");

    @Override
    public String name() {
        return "outline";
    }

    @Override
    public List<Finding> check(Build build) {
        List<Finding> found = new ArrayList<>();
        Outline.InsideRadius tightest = build.design().outline().smallestInsideRadius();
        double smallest = build.shop().crib().bits().stream()
                .filter(Bit::copies)
                .mapToDouble(b -> b.diameter() / 2)
                .min()
                .orElse(Double.POSITIVE_INFINITY);
        if (tightest.radius() < smallest) {
            found.add(Finding.thinkAgain("outline", "corner-too-tight")
                    .on(FEATURE)
                    .at(tightest.at())
                    .length("inside radius", tightest.radius())
                    .length("smallest bearing bit's radius", smallest)
                    .says(
                            "The outline turns inward at {0}; the smallest bearing bit in the crib leaves {1}.",
                            "Open the curve there, or finish the corner by file."));
        }
        return found;
    }

    @Override
    public List<Operation> operations(Build build) {
        Region body = build.design().outline().region();
        Region blank = build.design().blank().plan();
        double thick = build.thicknessed();
        Region waste = blank.minus(body);
        double corner = build.design().outline().smallestInsideRadius().radius();
        Bit first = build.shop().crib().stoutest(true, corner).orElse(null);
        double reach = first == null ? thick : Math.min(first.cutterLength(), thick);
        List<Operation> steps = new ArrayList<>(marking(build, body));
        steps.add(saw(build, body, blank, thick));
        steps.add(fit(build));
        steps.add(routUpper(build, waste, body, first, reach));
        steps.add(off());
        if (reach < thick) {
            steps.add(routLower(build, waste, body, reach, thick));
        }
        return steps;
    }

    private static List<Operation> marking(Build build, Region body) {
        return List.of(
                Operation.of("outline", FEATURE, "centre", "Mark the centre line on both faces")
                        .set(new Setting.ByHand("long rule, knife or sharp pencil, square over the edges"))
                        .needs(Datum.flat(build, Face.FRONT, body), Datum.flat(build, Face.BACK, body))
                        .gives(Datum.centreLine(Face.FRONT), Datum.centreLine(Face.BACK))
                        .takes(10, 0, 0.002)
                        .build(),
                Operation.of("outline", FEATURE, "draw", "Draw the outline from the template")
                        .set(new Setting.ByHand("template on the centre line; white pencil on dark wood"))
                        .needs(Datum.centreLine(Face.FRONT))
                        .gives(Datum.OUTLINE_DRAWN)
                        .takes(10, 0, 0.001)
                        .build());
    }

    private static Operation saw(Build build, Region body, Region blank, double thick) {
        double allowance = build.shop().practice().sawAllowance();
        Reckoning outside = Reckoning.of("saw allowance", Quantity.LENGTH)
                .length("left outside the line", Fact.usual(allowance, "the shop's practice"))
                .is(allowance, "the shop's practice");
        Region waste = blank.minus(body.grown(allowance));
        return Operation.of("outline", FEATURE, "saw", "Saw the outline outside the line")
                .set(new Setting.Sawn("bandsaw or jigsaw", outside))
                .cuts(Change.Remove.fromBody(
                        FEATURE, Solid.Prism.between(waste, build.faces().frontNow(), thick)))
                .needs(
                        Datum.OUTLINE_DRAWN,
                        Datum.flat(build, Face.BACK, body),
                        Datum.wood(build, body.grown(allowance).minus(body).intersection(blank)))
                .gives(Datum.OUTLINE_SAWN)
                .caution(Caution.SAW, Caution.DUST)
                .takes(25, 0, 0.006)
                .build();
    }

    private static Operation fit(Build build) {
        Operation.Builder step = Operation.of("outline", FEATURE, "fit", "Fix the outline template on the front")
                .set(new Setting.ByHand(build.shop().practice().holdDown().words()))
                .needs(Datum.OUTLINE_SAWN, Datum.centreLine(Face.FRONT))
                .gives(TEMPLATE)
                .takes(10, 0, 0.001);
        if (build.shop().practice().holdDown() == Practice.HoldDown.SCREWS_IN_WASTE) {
            step.needs(seats(build));
        }
        return step.build();
    }

    /** Screws go where a later pocket takes the hole away. */
    private static Condition seats(Build build) {
        List<Condition.Wood> seats = new ArrayList<>();
        seats.add(seat(build, build.design().neck().pocket().centroid()));
        for (Pickup pickup : build.design().pickups()) {
            seats.add(seat(build, pickup.at()));
        }
        return new Condition.AtLeast(2, "screw seats in future waste", seats);
    }

    private static Condition.Wood seat(Build build, Point at) {
        double front = build.faces().frontFinished();
        return new Condition.Wood(Region.disc(at, SCREW_SEAT), front, front + SCREW_SEAT);
    }

    private static Operation routUpper(Build build, Region waste, Region body, Bit bit, double reach) {
        double front = build.faces().frontNow();
        Reckoning depth = Reckoning.of("depth of the first round", Quantity.LENGTH)
                .length("cutter length", bit == null ? 0 : bit.cutterLength())
                .length("blank thickness", build.thicknessed())
                .is(reach, "the lesser of cutter length and thickness");
        List<Pass> passes = bit == null
                ? List.of()
                : PassPlanner.best(
                                cut(build, reach, build.thicknessed() + 1),
                                build.shop().crib().only(List.of(bit)))
                        .map(PassPlan::passes)
                        .orElse(List.of());
        Operation.Builder step = routing(
                        build, "rout", "Rout the outline to the template", bit, depth, Face.FRONT, passes)
                .cuts(Change.Remove.fromBody(FEATURE, Solid.Prism.between(waste, front, reach)))
                .needs(TEMPLATE, Datum.flat(build, Face.FRONT, body), edgeWall(build, body, reach))
                .gives(UPPER_ROUTED)
                .takes(40, 0, 0.02);
        if (reach >= build.thicknessed()) {
            step.gives(ROUTED);
        }
        if (build.shop().practice().holdDown() == Practice.HoldDown.SCREWS_IN_WASTE) {
            step.needs(seats(build));
        }
        return step.build();
    }

    private static Operation routLower(Build build, Region waste, Region body, double reach, double thick) {
        double corner = build.design().outline().smallestInsideRadius().radius();
        Optional<Pass> pass =
                PassPlanner.fromFarFace(cut(build, thick, thick), build.shop().crib(), reach);
        Bit bit = pass.map(p -> p.cutter().bit())
                .or(() -> build.shop().crib().stoutest(false, corner))
                .orElse(null);
        Reckoning depth = Reckoning.of("left to rout from the back", Quantity.LENGTH)
                .length("blank thickness", thick)
                .length("routed from the front", reach)
                .is(thick - reach, "thickness - routed from the front");
        return routing(
                        build,
                        "finish",
                        "Flip, and rout the rest with the bearing on the cut wall",
                        bit,
                        depth,
                        Face.BACK,
                        pass.stream().toList())
                .cuts(Change.Remove.fromBody(FEATURE, Solid.Prism.between(waste, reach, thick)))
                .needs(UPPER_ROUTED, Datum.flat(build, Face.BACK, body), edgeWall(build, body, thick))
                .gives(ROUTED)
                .takes(30, 0, 0.02)
                .build();
    }

    /** The body's own edge, whole: a bearing dives into every hole that crosses it. */
    private static Condition edgeWall(Build build, Region body, double to) {
        return new Condition.Wall(
                "outline", body.minus(body.grown(-2)), build.faces().frontNow(), to);
    }

    private static Operation.Builder routing(
            Build build, String step, String title, Bit bit, Reckoning depth, Face up, List<Pass> passes) {
        String tool = bit == null ? "a bearing bit that the crib lacks" : bit.name();
        String guide = up == Face.FRONT ? "outline template" : "the wall just cut";
        return Operation.of("outline", FEATURE, step, title)
                .face(up)
                .set(new Setting.Routed(
                        tool, guide, Setting.Feed.ANTICLOCKWISE, depth, "deep from the " + up.word(), passes))
                .caution(Caution.ROUTER, Caution.ROUTER_CLIMB, Caution.ROUTER_TIP, Caution.DUST);
    }

    /** What is left to rout after sawing, as the pass planner is asked for it. */
    private static GuidedCut cut(Build build, double depth, double work) {
        return new GuidedCut(
                depth,
                work,
                GuidedCut.corner(build.design().outline().smallestInsideRadius().radius()),
                OptionalDouble.of(
                        Math.max(LEAST_ENGAGED, build.shop().practice().sawAllowance())),
                0,
                build.shop().crib().templates().get(0),
                build.design().blank().species().hardness());
    }

    private static Operation off() {
        return Operation.of("outline", FEATURE, "off", "Take the outline template off")
                .set(new Setting.ByHand("nothing but patience"))
                .needs(UPPER_ROUTED)
                .spoils(TEMPLATE)
                .takes(3, 0, 0)
                .build();
    }
}
