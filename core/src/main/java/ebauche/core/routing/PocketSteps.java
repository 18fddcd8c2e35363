package ebauche.core.routing;

import ebauche.core.crib.Drill;
import ebauche.core.design.Measurand;
import ebauche.core.feature.StepKey;
import ebauche.core.feature.StepKind;
import ebauche.core.geometry.Region;
import ebauche.core.job.AsCut;
import ebauche.core.measure.Quantity;
import ebauche.core.measure.Reckoning;
import ebauche.core.operation.Band;
import ebauche.core.operation.Caution;
import ebauche.core.operation.Condition;
import ebauche.core.operation.Inspection;
import ebauche.core.operation.Operation;
import ebauche.core.operation.Setting;
import ebauche.core.passes.GuidedCut;
import ebauche.core.passes.Pass;
import ebauche.core.passes.PassPlan;
import ebauche.core.passes.PassPlanner;
import ebauche.core.passes.Travel;
import ebauche.core.shop.Practice;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;

/**
 * The steps of a {@link GuidedPocket}, which share the face round the cavity and its wall: template on, waste drilled, routed to a
 * last light pass and to depth, template off where the passes want it off.
 */
class PocketSteps {
    /** A pocket's wood goes slowly, a hollow's with a bowl bit on a wide base fast, as the shop says: 20 to 25 min for one, common practice. */
    private static final double CUBIC_CM_PER_MINUTE = 12;

    private static final double POCKET_CUBIC_CM = 60;
    private static final double NEARLY = 1e-6;

    /** A pass that ends within this of where a step was left is that step's last, mm. */
    private static final double LIKE = 0.05;

    final GuidedPocket of;
    final Condition.Wall wall;
    final List<Pass> passes;
    private final boolean planned;
    private final Condition.Flat surround;
    final Condition.Rim rim;

    PocketSteps(GuidedPocket of) {
        this.of = of;
        this.surround = Datum.surround(of.build(), of.face(), of.plan());
        this.rim = Datum.rim(of.build(), of.face(), of.plan());
        this.wall = Datum.wall(of.build(), of.noun(), of.plan(), of.top(), of.bottom());
        Optional<PassPlan> plan = of.passes();
        this.planned = plan.isPresent();
        this.passes = plan.map(PassPlan::passes).orElse(List.of());
    }

    /** What is done is a fact: a cavity at depth keeps the steps that made it, and only more wood wanted adds one. */
    List<Operation> all() {
        AsCut cut = new AsCut(of.build(), of.feature(), of.face());
        List<Operation> steps = cut.isDone(StepKind.ROUT) ? made(cut) : toMake();
        steps.addAll(again(cut));
        return steps;
    }

    /** The steps of a cavity that is at depth: those that are done, and a template that is still on. */
    List<Operation> made(AsCut cut) {
        List<Operation> steps = new ArrayList<>();
        for (Operation step : toMake()) {
            if (of.build().isDone(step.key())) {
                steps.add(step);
            }
        }
        if (cut.isDone(StepKind.FIT) && !cut.isDone(StepKind.OFF)) {
            steps.add(takeOff(of.atDepth()));
        }
        if (cut.isDone(StepKind.FIT_AGAIN) && !cut.isDone(StepKind.OFF_AGAIN)) {
            steps.add(takeOffAgain(of.atDepth()));
        }
        return steps;
    }

    List<Operation> toMake() {
        List<Operation> steps = new ArrayList<>();
        Condition before = begin(steps);
        boolean on = true;
        for (Stage stage : stages()) {
            boolean air = planned && stage.passes().isEmpty() && !stage.last();
            if (air && !of.build().isDone(StepKey.of(of.feature(), stage.step()))) {
                continue;
            }
            boolean carvedFirst = stage.last() && !of.carvesOver().isEmpty();
            boolean offTemplate = stage.offTemplate();
            if (on && (offTemplate || carvedFirst)) {
                steps.add(takeOff(before));
                on = false;
            }
            boolean again = carvedFirst && !offTemplate;
            if (again) {
                steps.add(fitAgain());
            }
            steps.add(stage.last() ? finish(stage, again ? fittedAgain() : null, before) : rough(stage, before));
            before = stage.gives();
            if (again) {
                steps.add(takeOffAgain(before));
            }
        }
        if (on) {
            steps.add(takeOff(before));
        }
        return steps;
    }

    /**
     * The waste is drilled or routed freehand to the drawn line before the template lies in the chuck's way; where the template is on already it stays. What
     * the first round needs of the two.
     */
    Condition begin(List<Operation> steps) {
        Optional<Region> core = of.drilled();
        core.ifPresent(c -> steps.add(drillWaste(of.forstner().orElseThrow(), c)));
        Optional<Freehand> freehand = of.freehand();
        freehand.ifPresent(f -> steps.add(routWaste(f)));
        Condition before = core.isPresent() || freehand.isPresent() ? wasteOut() : null;
        boolean onFirst = of.build().isDone(StepKey.of(of.feature(), StepKind.FIT));
        steps.add(fit(onFirst ? null : before));
        return before;
    }

    /**
     * Once a cavity is called done and more is wanted of it, by a reading, a part measured afterwards or a new number, a step takes the
     * rest; done, it stays.
     */
    private List<Operation> again(AsCut cut) {
        List<Operation> again = new ArrayList<>();
        boolean wider = isWantedWider(cut);
        if (wider || cut.isDone(StepKind.WIDEN)) {
            again.add(rest(
                    StepKind.WIDEN, widening(), of.whole().flatMap(this::best).orElse(List.of())));
        }
        boolean deeper = cut.isTooShallow(of.depthFinished().value());
        // A round that widens it takes it to its depth as well.
        if ((deeper && !wider) || cut.isDone(StepKind.DEEPEN)) {
            again.add(rest(StepKind.DEEPEN, "Deepen the " + of.noun() + " to its new depth", deepening(cut)));
        }
        return again;
    }

    /** From the floor as it was found, on its own wall if a bit reaches so, else on the template put back. */
    private List<Pass> deepening(AsCut cut) {
        if (cut.isDone(StepKind.DEEPEN)) {
            return List.of();
        }
        double found = cut.depth("depth as it is").map(Reckoning::value).orElse(0.0)
                + of.build().faces().toSand(of.face());
        Optional<GuidedCut> whole = of.whole();
        return whole.flatMap(w -> best(w.from(found, true)))
                .or(() -> whole.flatMap(w -> best(w.from(found, false))))
                .orElse(List.of());
    }

    private Optional<List<Pass>> best(GuidedCut cut) {
        return PassPlanner.best(cut, of.crib()).map(PassPlan::passes);
    }

    boolean isWantedWider(AsCut cut) {
        return cut.isDone(StepKind.ROUT) && !cut.standing(of.plan()).isEmpty();
    }

    String widening() {
        return "Rout the " + of.noun() + " again, to a template as it is wanted now";
    }

    private Operation rest(StepKind step, String title, List<Pass> taken) {
        boolean template = taken.isEmpty() || taken.get(0).guide() == Pass.Guide.TEMPLATE;
        return cutting(step, title)
                .set(new Setting.Routed(
                        tool(step, taken),
                        template ? of.template() + " as it is now" : "wall just cut",
                        Setting.Feed.CLOCKWISE,
                        of.depthNow(),
                        "deep from the " + of.face().word(),
                        taken,
                        of.travel()))
                .cuts(of.removed(of.plan(), 0))
                .needs(of.atDepth())
                .inspect(fullDepth())
                .caution(Caution.ROUTER, Caution.DUST)
                .takes(12, 0, 0.012)
                .build();
    }

    private Inspection fullDepth() {
        Reckoning within = of.build().floorBand(of.feature(), of.face());
        return new Inspection(
                new Measurand.DepthOf(of.feature()),
                of.depthNow(),
                Band.either(within),
                "depth gauge from the " + of.face().word());
    }

    /** The template back in its place for the last pass, once the other face is carved. */
    private Operation fitAgain() {
        return Operation.of(
                        of.work(),
                        of.feature(),
                        StepKind.FIT_AGAIN,
                        "Fix the " + of.template() + " on the " + of.face().word() + " again")
                .face(of.face())
                .set(new Setting.ByHand("its own screw holes or the wall just cut; the carved face on a soft pad"))
                .needs(templateOff(), surround)
                .needs(of.carvesOver().toArray(Condition[]::new))
                .gives(fittedAgain())
                .joins(of.joins())
                .takes(6, 0, 0)
                .build();
    }

    private Operation takeOffAgain(Condition after) {
        return Operation.of(of.work(), of.feature(), StepKind.OFF_AGAIN, "Take the " + of.template() + " off for good")
                .face(of.face())
                .set(new Setting.ByHand("ease it off with a thin wedge"))
                .spoils(fittedAgain())
                .needs(after)
                .joins(of.joins())
                .takes(3, 0, 0)
                .build();
    }

    private Condition.Held fittedAgain() {
        return new Condition.Held(StepKey.of(of.feature(), StepKind.FIT_AGAIN), of.noun() + " template, once more,");
    }

    /**
     * Passes that make one step: to one depth, against one guide.
     *
     * @param step which it is
     * @param keep left above the floor
     * @param offTemplate whether it is cut with the template off: what is done, as it was
     */
    private record Stage(
            StepKind step, double keep, List<Pass> passes, boolean offTemplate, Condition.Mark gives, boolean last) {
        Stage(StepKind step, double keep, List<Pass> passes, Condition.Mark gives, boolean last) {
            this(step, keep, passes, !passes.isEmpty() && passes.get(0).guide() != Pass.Guide.TEMPLATE, gives, last);
        }
    }

    /** What is done, as it came; then rough and last passes, apart, rough ones on the template and off it apart too. */
    private List<Stage> stages() {
        AsCut cut = new AsCut(of.build(), of.feature(), of.face());
        double depth = of.depthNow().value();
        List<Stage> stages = new ArrayList<>();
        double came = 0;
        for (StepKind step : List.of(StepKind.START, StepKind.ROUGH, StepKind.ROUT)) {
            if (cut.isDone(step)) {
                double to = cut.came(step).orElse(depth);
                List<Pass> its = whole(came, to);
                boolean last = step == StepKind.ROUT;
                boolean off = !(last && cut.isDone(StepKind.FIT_AGAIN)) && cut.isDoneBefore(StepKind.OFF, step);
                stages.add(new Stage(step, last ? 0 : depth - to, its, off, gives(step), last));
                came = to;
            }
        }
        if (!cut.isDone(StepKind.ROUT)) {
            left(cut, depth, stages);
        }
        return stages;
    }

    private Condition.Mark gives(StepKind step) {
        return step == StepKind.START ? started() : step == StepKind.ROUGH ? roughed() : of.atDepth();
    }

    /** The passes of the whole plan between two depths; none if it does not stop there. */
    private List<Pass> whole(double from, double to) {
        List<Pass> its = passes.stream()
                .filter(p -> p.from() >= from - LIKE && p.to() <= to + LIKE)
                .toList();
        boolean ends = !its.isEmpty()
                && Math.abs(its.get(0).from() - from) < LIKE
                && Math.abs(its.get(its.size() - 1).to() - to) < LIKE;
        return ends ? its : List.of();
    }

    private void left(AsCut cut, double depth, List<Stage> stages) {
        double keep = of.isDeep() && !cut.isDone(StepKind.ROUGH)
                ? of.build().shop().practice().lastPass()
                : 0;
        List<Pass> rough = passes.stream()
                .filter(p -> keep > 0 && p.to() <= depth - keep + NEARLY)
                .toList();
        List<Pass> last = passes.subList(rough.size(), passes.size());
        boolean begun = !stages.isEmpty();
        if (keep > 0) {
            stages.add(new Stage(
                    StepKind.ROUGH, keep, begun ? rough : onTemplateFirst(rough, depth, stages), roughed(), false));
            stages.add(new Stage(StepKind.ROUT, 0, last, of.atDepth(), true));
        } else {
            stages.add(new Stage(
                    StepKind.ROUT, 0, begun ? last : onTemplateFirst(last, depth, stages), of.atDepth(), true));
        }
    }

    /** Passes on the template become a stage of their own where others follow with it off; answers those that are left. */
    private List<Pass> onTemplateFirst(List<Pass> all, double depth, List<Stage> stages) {
        List<Pass> on =
                all.stream().filter(p -> p.guide() == Pass.Guide.TEMPLATE).toList();
        List<Pass> off = all.subList(on.size(), all.size());
        if (on.isEmpty() || off.isEmpty()) {
            return all;
        }
        stages.add(new Stage(StepKind.START, depth - on.get(on.size() - 1).to(), on, started(), false));
        return off;
    }

    private Operation fit(Condition after) {
        Operation.Builder step = Operation.of(
                        of.work(),
                        of.feature(),
                        StepKind.FIT,
                        "Fix the " + of.template() + " on the " + of.face().word())
                .face(of.face())
                .set(new Setting.ByHand("clamps"))
                .needs(of.located(), surround, rim)
                .needs(of.before().marks().toArray(Condition[]::new))
                .gives(template())
                .joins(of.joins())
                .takes(10, 0, 0);
        return after == null ? step.build() : step.needs(after).build();
    }

    /** The depth that the others are reckoned from, in words. */
    private String now() {
        return "depth from the " + of.face().word() + " as it is now";
    }

    Operation drillWaste(Drill drill, Region core) {
        double shy = of.build().shop().practice().wasteShy() + drill.spur();
        Reckoning stop = Reckoning.of("depth stop for the waste", Quantity.LENGTH)
                .length(now(), of.depthNow().asFact())
                .length("the drill's spur", drill.spur())
                .length("kept for the router", of.build().shop().practice().wasteShy())
                .is(of.depthNow().value() - shy, now() + " − the drill's spur − kept for the router");
        return cutting(StepKind.WASTE, "Drill out the waste of the " + of.noun())
                .set(new Setting.Drilled(
                        drill.name(), stop, "deep from the " + of.face().word()))
                .cuts(of.removed(core, shy))
                .needs(of.located(), rim, new Condition.Wood(core, of.top(), of.bottom()))
                .needs(of.before().marks().toArray(Condition[]::new))
                .gives(wasteOut())
                .caution(Caution.drilling(drill.diameter()))
                .caution(Caution.DUST)
                .takes(minutes(core, stop.value()), 0, 0.004)
                .build();
    }

    private Operation routWaste(Freehand freehand) {
        double shy = of.build().shop().practice().wasteShy();
        Reckoning depth = Reckoning.of("depth for the waste", Quantity.LENGTH)
                .length(now(), of.depthNow().asFact())
                .length("kept for the template", shy)
                .is(of.depthNow().value() - shy, now() + " − kept for the template");
        return cutting(StepKind.WASTE, "Rout out the waste of the " + of.noun() + " freehand")
                .set(new Setting.Routed(
                        tool(StepKind.WASTE, freehand.passes()),
                        Setting.Routed.BY_EYE + ", inside a pencil line",
                        Setting.Feed.CLOCKWISE,
                        depth,
                        "deep from the " + of.face().word(),
                        freehand.passes(),
                        new Travel(freehand.core().perimeter(), freehand.core().area())))
                .cuts(of.removed(freehand.core(), shy))
                .needs(of.located(), rim, new Condition.Wood(freehand.core(), of.top(), of.bottom()))
                .needs(of.before().marks().toArray(Condition[]::new))
                .gives(wasteOut())
                .caution(Caution.ROUTER, Caution.FREEHAND, Caution.DUST)
                .takes(minutes(freehand.core(), depth.value()), 0, 0.01)
                .build();
    }

    private Operation rough(Stage stage, Condition before) {
        boolean start = stage.step() == StepKind.START;
        Reckoning depth = Reckoning.of(
                        "depth before the " + (start ? "template comes off" : "last pass"), Quantity.LENGTH)
                .length(now(), of.depthNow().asFact())
                .length(start ? "left for the passes after" : "last pass", stage.keep())
                .is(
                        of.depthNow().value() - stage.keep(),
                        now() + (start ? " − left for the passes after" : " − last pass"));
        String title =
                start ? "Begin the " + of.noun() + " on its template" : "Rout the " + of.noun() + " short of depth";
        Reckoning within =
                Band.shop("a depth between passes", of.build().shop().bands().pass());
        return routing(stage, title, depth, null, before)
                .cuts(of.removed(of.plan(), Math.max(0, stage.keep())))
                .inspect(new Inspection(
                        new Measurand.DepthOf(of.feature()),
                        depth,
                        new Band(within, Band.least(within, "what the next pass is to take", stage.keep())),
                        "depth gauge from the " + of.face().word()))
                .takes(minutes(of.plan(), of.depthNow().value()), 0, 0.01)
                .build();
    }

    private Operation finish(Stage stage, Condition held, Condition before) {
        Operation.Builder step = routing(stage, "Rout the " + of.noun() + " to depth", of.depthNow(), held, before)
                .needs(of.carvesOver().toArray(Condition[]::new))
                .cuts(of.removed(of.plan(), 0))
                .inspect(fullDepth())
                .takes(
                        8 + (of.isDeep() ? 0 : minutes(of.plan(), of.depthNow().value())),
                        0,
                        of.build().floorRisk(of.feature(), of.face()));
        if (of.floorIsTop()) {
            step.caution(Caution.LAST_OF_FLOOR);
        }
        return step.build();
    }

    Operation takeOff(Condition after) {
        Operation.Builder step = Operation.of(
                        of.work(), of.feature(), StepKind.OFF, "Take the " + of.template() + " off")
                .face(of.face())
                .set(new Setting.ByHand("ease it off with a thin wedge"))
                .gives(templateOff())
                .spoils(template())
                .joins(of.joins())
                .takes(3, 0, 0);
        if (after != null) {
            step.needs(after);
        }
        return step.build();
    }

    /** The bits of a step's passes, in words. */
    String tool(StepKind step, List<Pass> passes) {
        String none = of.build().isDone(StepKey.of(of.feature(), step))
                ? "as it was done"
                : planned ? "nothing left to take" : "a bit that the crib lacks";
        return passes.isEmpty()
                ? none
                : passes.stream().map(p -> p.cutter().bit().name()).distinct().collect(Collectors.joining(", then "));
    }

    private Operation.Builder routing(Stage stage, String title, Reckoning depth, Condition held, Condition before) {
        String tool = tool(stage.step(), stage.passes());
        Operation.Builder routed = cutting(stage.step(), title)
                .set(new Setting.Routed(
                        tool,
                        stage.offTemplate() ? "wall just cut" : of.template(),
                        Setting.Feed.CLOCKWISE,
                        depth,
                        "deep from the " + of.face().word(),
                        stage.passes(),
                        of.travel()))
                .needs(held != null ? held : stage.offTemplate() ? templateOff() : template(), wall, rim)
                .gives(stage.gives())
                .caution(Caution.ROUTER, Caution.DUST);
        if (before != null) {
            routed.needs(before);
        }
        return routed;
    }

    Operation.Builder cutting(StepKind step, String title) {
        return Operation.of(of.work(), of.feature(), step, title)
                .face(of.face())
                .needs(surround)
                .joins(of.joins());
    }

    Condition.Held template() {
        return new Condition.Held(StepKey.of(of.feature(), StepKind.FIT), of.template());
    }

    Condition.Mark wasteOut() {
        return new Condition.Mark(
                StepKey.of(of.feature(), StepKind.WASTE),
                "the waste of the " + of.noun() + (of.freehand().isPresent() ? " routed out" : " drilled out"));
    }

    private Condition.Mark roughed() {
        return new Condition.Mark(
                StepKey.of(of.feature(), StepKind.ROUGH), "the " + of.noun() + " routed short of depth");
    }

    Condition.Mark started() {
        return new Condition.Mark(
                StepKey.of(of.feature(), StepKind.START), "the " + of.noun() + " begun on its template");
    }

    Condition.Mark templateOff() {
        return new Condition.Mark(StepKey.of(of.feature(), StepKind.OFF), "the " + of.template() + " off");
    }

    /** Hands-on minutes for what is routed out of an area down to a depth. */
    int minutes(Region area, double depth) {
        return minutes(area.area() * depth, of.build().shop().practice());
    }

    /** The same for so much wood, mm³. */
    static int minutes(double cubic, Practice practice) {
        double wood = cubic / 1000;
        double slow = Math.min(wood, POCKET_CUBIC_CM);
        return (int) Math.max(
                5, Math.round(5 + slow / CUBIC_CM_PER_MINUTE + (wood - slow) / 1000 * practice.hollowMinutes()));
    }
}
