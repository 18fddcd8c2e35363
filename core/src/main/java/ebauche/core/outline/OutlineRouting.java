package ebauche.core.outline;

import ebauche.core.crib.Crib;
import ebauche.core.crib.HoldDown;
import ebauche.core.feature.Feature;
import ebauche.core.feature.StepKey;
import ebauche.core.feature.StepKind;
import ebauche.core.feature.Work;
import ebauche.core.geometry.Face;
import ebauche.core.geometry.Outline;
import ebauche.core.geometry.Point;
import ebauche.core.geometry.Region;
import ebauche.core.hardware.Pickup;
import ebauche.core.job.Build;
import ebauche.core.job.Finding;
import ebauche.core.logbook.AsBuilt;
import ebauche.core.measure.Quantity;
import ebauche.core.measure.Reckoning;
import ebauche.core.operation.Caution;
import ebauche.core.operation.Condition;
import ebauche.core.operation.Operation;
import ebauche.core.operation.Setting;
import ebauche.core.passes.GuidedCut;
import ebauche.core.passes.Pass;
import ebauche.core.passes.Pass.Guide;
import ebauche.core.passes.PassPlan;
import ebauche.core.passes.PassPlanner;
import ebauche.core.passes.Travel;
import ebauche.core.routing.CribTrouble;
import ebauche.core.routing.Datum;
import ebauche.core.shop.Practice;
import ebauche.core.stock.Change;
import ebauche.core.stock.Solid;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Collectors;

/**
 * The outline routed to its template: on the template from the front, deeper with the template off where the bits want that, the
 * rest from the back with a tip bearing on the wall just cut. In the hand the work is always flipped for the rest; on the table it
 * is where that is cheaper.
 */
public final class OutlineRouting {
    /** Wood round a template's screw or pin: common practice. */
    private static final double SEAT = 8;

    /** A bit meets at least so much wood, however close the saw went, mm. */
    private static final double LEAST_ENGAGED = 0.5;

    private static final double NEARLY = 1e-6;

    private static final StepKey FIT = StepKey.of(Feature.OUTLINE, StepKind.FIT);
    private static final StepKey OFF = StepKey.of(Feature.OUTLINE, StepKind.OFF);
    private static final StepKey FINISH = StepKey.of(Feature.OUTLINE, StepKind.FINISH);

    private static final Condition.Held TEMPLATE = new Condition.Held(FIT, "outline template");
    private static final Condition.Mark UPPER_ROUTED =
            new Condition.Mark(StepKey.of(Feature.OUTLINE, StepKind.ROUT), "the outline routed from the front");
    private static final Condition.Mark TEMPLATE_OFF = new Condition.Mark(OFF, "the outline template off");
    private static final Condition.Mark DEEPENED = new Condition.Mark(
            StepKey.of(Feature.OUTLINE, StepKind.DEEPEN), "the outline routed deeper on its own wall");

    private final Build build;
    private final Region body;
    private final Region waste;
    private final double thick;
    private final boolean onTable;
    private Region edge;

    public OutlineRouting(Build build) {
        this.build = build;
        this.body = build.drawn().withTabs();
        this.waste = build.design().blank().plan().minus(body);
        this.thick = build.thicknessNow();
        this.onTable = build.shop().practice().edge() == Practice.EdgeSchool.TABLE;
    }

    /** The tools that come into question: those of the table, or those that are held. */
    public Crib crib() {
        return build.shop().crib().tables(onTable);
    }

    /** What is left to rout after sawing, as the pass planner is asked for it. */
    public GuidedCut cut() {
        GuidedCut cut = new GuidedCut(
                thick,
                thick,
                GuidedCut.corner(tightest().radius()),
                OptionalDouble.of(
                        Math.max(LEAST_ENGAGED, build.shop().practice().sawAllowance())),
                0,
                build.templateThickness(Feature.OUTLINE),
                build.design().blank().cutAs(),
                build.shop().limits().edgePass());
        return onTable ? cut : cut.flip();
    }

    /** What is left of it once the first round is a fact; all of it before. */
    private GuidedCut left() {
        return upperDone().map(upper -> cut().from(upper, true)).orElseGet(this::cut);
    }

    private Outline.InsideRadius tightest() {
        return build.drawn().outline().smallestInsideRadius();
    }

    List<Finding> check() {
        if (onTable && crib().routers().isEmpty()) {
            return List.of(Finding.thinkAgain(Work.OUTLINE, "no-table")
                    .on(Feature.OUTLINE)
                    .says(
                            "The shop routs its outlines on the table, and the crib has none.",
                            "Put a router table into the crib, or rout them by hand."));
        }
        return CribTrouble.of(
                        cut(),
                        crib(),
                        Work.OUTLINE,
                        Feature.OUTLINE,
                        "outline",
                        tightest().at(),
                        tightest().radius())
                .stream()
                .toList();
    }

    /** What is done is a fact: an outline that is at the line keeps the steps that brought it there. */
    List<Operation> operations() {
        List<Operation> steps = toMake();
        if (build.isDone(FINISH)) {
            steps.removeIf(s -> !build.isDone(s.key()) && !(s.key().equals(OFF) && build.isDone(FIT)));
        }
        return steps;
    }

    private List<Operation> toMake() {
        Optional<Double> done = upperDone();
        List<Pass> passes =
                PassPlanner.best(left(), crib()).map(PassPlan::passes).orElse(List.of());
        double upper = done.orElseGet(() -> deepest(passes, Guide.TEMPLATE, thick));
        List<Pass> deepening = against(passes, Guide.WALL);
        double front = Math.max(upper, deepest(deepening, Guide.WALL, upper));
        List<Pass> last = against(passes, Guide.FAR_WALL);
        List<Operation> steps = new ArrayList<>(List.of(fit(), upper(against(passes, Guide.TEMPLATE), upper), off()));
        if (!deepening.isEmpty()) {
            steps.add(deepen(deepening, upper, front));
        }
        // What went right through does so still when the body is read a little thicker.
        if (front < thick - (done.isPresent() ? build.shop().bands().thickness() : NEARLY)) {
            steps.add(lower(last, front, deepening.isEmpty() ? UPPER_ROUTED : DEEPENED));
        }
        return steps;
    }

    /** How deep the first round went, if it is a fact. */
    private Optional<Double> upperDone() {
        return build.asBuilt().done(StepKey.of(Feature.OUTLINE, StepKind.ROUT)).map(AsBuilt.Done::changes).stream()
                .flatMap(List::stream)
                .map(c -> c.solid().deepest() - build.faces().frontNow())
                .reduce(Math::max);
    }

    private static List<Pass> against(List<Pass> passes, Guide guide) {
        return passes.stream().filter(p -> p.guide() == guide).toList();
    }

    private static double deepest(List<Pass> passes, Guide guide, double otherwise) {
        return against(passes, guide).stream().mapToDouble(Pass::to).max().orElse(otherwise);
    }

    private Operation fit() {
        HoldDown hold = build.hold(Feature.OUTLINE);
        Operation.Builder step = Operation.of(
                        Work.OUTLINE, Feature.OUTLINE, StepKind.FIT, "Fix the outline template on the front")
                .set(new Setting.ByHand(hold.words()))
                .needs(Datum.OUTLINE_SAWN, Datum.centreLine(Face.FRONT))
                .gives(TEMPLATE)
                .takes(10, 0, 0.001);
        if (hold.inWaste()) {
            step.needs(seats());
        }
        return step.build();
    }

    /** Screws and pins go where a later pocket takes the hole away. */
    private Condition seats() {
        List<Condition.Wood> seats = new ArrayList<>();
        seats.add(seat(build.design().neck().pocket().centroid()));
        for (Pickup pickup : build.design().pickups()) {
            seats.add(seat(pickup.at()));
        }
        return new Condition.AtLeast(2, "screw seats in future waste", seats);
    }

    private Condition.Wood seat(Point at) {
        double front = build.faces().frontFinished();
        return new Condition.Wood(Region.disc(at, SEAT), front, front + SEAT);
    }

    private Operation upper(List<Pass> passes, double reach) {
        Reckoning depth = Reckoning.of("depth of the first round", Quantity.LENGTH)
                .length("body as it is now", thick)
                .length("as deep as the passes on the template go", reach)
                .is(reach, "as deep as the passes on the template go");
        Operation.Builder step = routing(
                        StepKind.ROUT,
                        "Rout the outline to the template",
                        depth,
                        Face.FRONT,
                        "outline template",
                        passes)
                .cuts(Change.Remove.fromBody(Feature.OUTLINE, slice(0, reach)))
                .needs(TEMPLATE, Datum.flat(build, Face.FRONT, body), edgeWall(reach))
                .gives(UPPER_ROUTED)
                .takes(40, 0, 0.02);
        if (reach >= thick - NEARLY) {
            step.gives(Datum.OUTLINE_ROUTED);
        }
        if (build.hold(Feature.OUTLINE).inWaste()) {
            step.needs(seats());
        }
        return step.build();
    }

    private Operation deepen(List<Pass> passes, double from, double to) {
        Reckoning depth = Reckoning.of("depth with the template off", Quantity.LENGTH)
                .length("routed on the template", from)
                .length("deeper on its own wall", to - from)
                .is(to, "routed on the template + deeper on its own wall");
        Operation.Builder step = routing(
                        StepKind.DEEPEN,
                        "Rout the outline deeper, the bearing on the cut wall",
                        depth,
                        Face.FRONT,
                        "wall just cut",
                        passes)
                .cuts(Change.Remove.fromBody(Feature.OUTLINE, slice(from, to)))
                .needs(TEMPLATE_OFF, Datum.flat(build, Face.FRONT, body), edgeWall(to))
                .gives(DEEPENED)
                .takes(25, 0, 0.02);
        if (to >= thick - NEARLY) {
            step.gives(Datum.OUTLINE_ROUTED);
        }
        return step.build();
    }

    private Operation lower(List<Pass> passes, double reach, Condition.Mark before) {
        Reckoning depth = Reckoning.of("left to rout from the back", Quantity.LENGTH)
                .length("body as it is now", thick)
                .length("routed from the front", reach)
                .is(thick - reach, "body as it is now − routed from the front");
        return routing(
                        StepKind.FINISH,
                        "Flip, and rout the rest with the bearing on the cut wall",
                        depth,
                        Face.BACK,
                        "wall just cut",
                        passes)
                .cuts(Change.Remove.fromBody(Feature.OUTLINE, slice(reach, thick)))
                .needs(before, Datum.flat(build, Face.BACK, body), edgeWall(thick))
                .gives(Datum.OUTLINE_ROUTED)
                .takes(30, 0, 0.02)
                .build();
    }

    /** What is cut round the body between two depths under the front as it is now. */
    private Solid slice(double from, double to) {
        double front = build.faces().frontNow();
        return Solid.Prism.between(waste, front + from, front + to);
    }

    /** Made once for all steps, and only if there are any. */
    private Region edge() {
        if (edge == null) {
            edge = body.minus(body.grown(-2));
        }
        return edge;
    }

    /** The body's own edge, whole: a bearing dives into every hole that crosses it. */
    private Condition edgeWall(double to) {
        double front = build.faces().frontNow();
        return new Condition.Wall("outline", edge(), front, front + to);
    }

    /**
     * A round of the outline.
     *
     * @param worked the face that the cut goes in from: up under a router in the hand, down on the table
     */
    private Operation.Builder routing(
            StepKind step, String title, Reckoning depth, Face worked, String guide, List<Pass> passes) {
        String none = build.isDone(StepKey.of(Feature.OUTLINE, step))
                ? "as it was done"
                : "a bearing bit that the crib lacks";
        String tool = passes.isEmpty()
                ? none
                : passes.stream().map(p -> p.cutter().bit().name()).distinct().collect(Collectors.joining(", then "));
        // Seen from above: under a table the router sees the work from below, so it goes round it the other way.
        Setting.Feed feed = onTable ? Setting.Feed.CLOCKWISE : Setting.Feed.ANTICLOCKWISE;
        Operation.Builder routed = Operation.of(
                        Work.OUTLINE, Feature.OUTLINE, step, onTable ? title + ", on the table" : title)
                .face(onTable ? worked.other() : worked)
                .set(new Setting.Routed(
                        tool,
                        guide,
                        feed,
                        depth,
                        "deep from the " + worked.word(),
                        passes,
                        new Travel(body.perimeter(), 0)));
        return onTable
                ? routed.caution(Caution.ROUTER, Caution.TABLE, Caution.ROUTER_CLIMB, Caution.DUST)
                : routed.caution(Caution.ROUTER, Caution.ROUTER_CLIMB, Caution.ROUTER_TIP, Caution.DUST);
    }

    private static Operation off() {
        return Operation.of(Work.OUTLINE, Feature.OUTLINE, StepKind.OFF, "Take the outline template off")
                .set(new Setting.ByHand("ease it off with a thin wedge"))
                .needs(UPPER_ROUTED)
                .gives(TEMPLATE_OFF)
                .spoils(TEMPLATE)
                .takes(3, 0, 0)
                .build();
    }
}
