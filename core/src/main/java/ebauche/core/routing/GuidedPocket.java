package ebauche.core.routing;

import ebauche.core.build.Build;
import ebauche.core.build.Finding;
import ebauche.core.crib.Bit;
import ebauche.core.crib.Crib;
import ebauche.core.crib.Drill;
import ebauche.core.design.Measurand;
import ebauche.core.geometry.Face;
import ebauche.core.geometry.Region;
import ebauche.core.measure.Quantity;
import ebauche.core.measure.Reckoning;
import ebauche.core.operation.Caution;
import ebauche.core.operation.Condition;
import ebauche.core.operation.Inspection;
import ebauche.core.operation.Operation;
import ebauche.core.operation.Setting;
import ebauche.core.passes.GuidedCut;
import ebauche.core.passes.Pass;
import ebauche.core.passes.PassPlan;
import ebauche.core.passes.PassPlanner;
import ebauche.core.passes.Shortage;
import ebauche.core.stock.Change;
import ebauche.core.stock.Plane;
import ebauche.core.stock.Solid;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * A cavity cut from one face against a template: waste drilled short of the floor, routed to a last light pass, brought
 * to depth, the template taken off.
 *
 * <p>Steps and allowances are common practice. Depths on cards are from the face as it is now, so that a maker's stop
 * can be set from the wood in hand.
 *
 * @param feature the feature's lasting name
 * @param noun as it is called in a title, such as {@code neck pocket}
 * @param face it is cut from
 * @param plan its area
 * @param floor its final floor in the stock
 * @param depthFinished wanted depth from the finished face, with its sum
 * @param cornerRadius smallest inside corner
 * @param joins features that it may break into
 * @param located what shows where the template goes
 * @param floorIsTop whether the floor is the wood left under the other face's show side
 */
public record GuidedPocket(
        Build build,
        String station,
        String feature,
        String noun,
        Face face,
        Region plan,
        Plane floor,
        Reckoning depthFinished,
        double cornerRadius,
        Set<String> joins,
        Condition located,
        boolean floorIsTop) {

    /** Kept between the drilled waste and the template's line: common practice. */
    private static final double SKIN = 2.0;

    /** A recess shallower than this is not drilled out first. */
    private static final double SHALLOW = 6.0;

    private static final double CUBIC_CM_PER_MINUTE = 12;

    private static final double NEARLY = 1e-6;

    private Condition.Held template() {
        return new Condition.Held(noun + " template");
    }

    private Condition.Mark wasteOut() {
        return new Condition.Mark("the waste of the " + noun + " drilled out");
    }

    private Condition.Mark roughed() {
        return new Condition.Mark("the " + noun + " routed to its last pass");
    }

    /** What holds once the cavity is at depth. */
    public Condition.Mark atDepth() {
        return new Condition.Mark("the " + noun + " at depth");
    }

    private Condition.Mark started() {
        return new Condition.Mark("the " + noun + " begun on its template");
    }

    private Condition.Mark templateOff() {
        return new Condition.Mark("the " + noun + " template off");
    }

    /** A pocket that the crib's bits cannot make, with the least that would help. */
    public List<Finding> check() {
        Crib crib = build.shop().crib();
        Optional<GuidedCut> asked = cut();
        if (asked.isEmpty() || PassPlanner.isFeasible(asked.get(), crib)) {
            return List.of();
        }
        GuidedCut cut = asked.get();
        Shortage shortage = Shortage.of(cut, crib);
        Finding.Builder finding = Finding.thinkAgain(station, shortage.cornerTooTight() ? "no-bit" : "no-passes")
                .on(feature)
                .at(plan.centroid())
                .length("corner radius", cornerRadius)
                .length("depth", cut.depth())
                .length("template", cut.template());
        String what = shortage.cornerTooTight()
                ? "No sound bearing bit in the crib turns in the " + noun + "'s corner of {0}."
                : "No passes of the crib's bits make the " + noun + ", {1} deep, on a template {2} thick.";
        return List.of(finding.says(what, cure(shortage, finding)));
    }

    private static String cure(Shortage shortage, Finding.Builder finding) {
        List<String> cures = new ArrayList<>();
        int next = 3;
        if (shortage.bit().isPresent()) {
            Bit bit = shortage.bit().get();
            finding.length("a bit's diameter", bit.diameter()).length("its cutter's length", bit.cutterLength());
            cures.add("a " + (bit.bearing().atTip() ? "tip" : "shank") + "-bearing bit {" + next++
                    + "} across with a cutter {" + next++ + "} long");
        }
        if (shortage.template().isPresent()) {
            finding.length("a template's thickness", shortage.template().getAsDouble());
            cures.add("a template {" + next + "} thick");
        }
        String others = shortage.cornerTooTight() ? "Open the corner, or square it by hand" : "Make it another depth";
        return cures.isEmpty()
                ? others + "."
                : "What would do: " + String.join(", or ", cures) + ". " + others + " otherwise.";
    }

    /** The cut as the pass planner is asked for it, from the face as it is now; nothing where the design leaves no depth. */
    public Optional<GuidedCut> cut() {
        double depth = depthNow().value();
        if (!(depth > 0)) {
            return Optional.empty();
        }
        return Optional.of(new GuidedCut(
                depth,
                // A pocket is never finished from the other face, not even where it comes out of it.
                Math.max(build.faces().backNow() - build.faces().frontNow(), depth + 1),
                GuidedCut.corner(cornerRadius),
                drilled().isPresent() ? OptionalDouble.of(SKIN) : OptionalDouble.empty(),
                isDeep() ? build.shop().practice().lastPass() : 0,
                build.shop().crib().templates().get(0),
                build.design().blank().species().hardness()));
    }

    /** The cheapest passes, if the crib gives any. */
    public Optional<PassPlan> passes() {
        return cut().flatMap(c -> PassPlanner.best(c, build.shop().crib()));
    }

    /** Whether its waste is drilled first and a last light pass is kept. */
    private boolean isDeep() {
        return depthFinished.value() > SHALLOW;
    }

    private Optional<Drill> forstner() {
        double across = Math.min(plan.maxX() - plan.minX(), plan.maxY() - plan.minY());
        return build.shop().crib().forstner(across - 2 * SKIN);
    }

    /** The waste that is drilled out first, if it is deep enough and a drill fits. */
    private Optional<Region> drilled() {
        return isDeep()
                ? forstner()
                        .map(drill -> plan.grown(-SKIN).opened(drill.diameter()))
                        .filter(core -> !core.isEmpty())
                : Optional.empty();
    }

    public List<Operation> operations() {
        return new Steps().all();
    }

    /** The steps, which share the face round the cavity and its wall. */
    private final class Steps {
        private final Condition.Flat surround = Datum.surround(build, face, plan);
        private final Condition.Wall wall = Datum.wall(build, noun, plan, top(), bottom());

        private final List<Pass> passes = passes().map(PassPlan::passes).orElse(List.of());

        List<Operation> all() {
            List<Operation> steps = new ArrayList<>();
            steps.add(fit());
            Optional<Region> core = drilled();
            core.ifPresent(c -> steps.add(drillWaste(forstner().orElseThrow(), c)));
            Condition before = core.isPresent() ? wasteOut() : null;
            boolean on = true;
            for (Stage stage : stages()) {
                if (on && stage.offTemplate()) {
                    steps.add(takeOff(before));
                    on = false;
                }
                steps.add(stage.last() ? finish(stage, before) : rough(stage, before));
                before = stage.gives();
            }
            if (on) {
                steps.add(takeOff(before));
            }
            return steps;
        }

        /**
         * Passes that make one step: to one depth, against one guide.
         *
         * @param key of the step
         * @param keep left above the floor
         */
        private record Stage(String key, double keep, List<Pass> passes, Condition.Mark gives, boolean last) {
            boolean offTemplate() {
                return !passes.isEmpty() && passes.get(0).guide() != Pass.Guide.TEMPLATE;
            }
        }

        /** Rough and last passes, apart; rough ones on the template and off it apart too. */
        private List<Stage> stages() {
            List<Stage> stages = new ArrayList<>();
            double keep = isDeep() ? build.shop().practice().lastPass() : 0;
            double depth = depthNow().value();
            List<Pass> rough = passes.stream()
                    .filter(p -> keep > 0 && p.to() <= depth - keep + NEARLY)
                    .toList();
            List<Pass> last = passes.subList(rough.size(), passes.size());
            if (keep > 0) {
                stages.add(new Stage("rough", keep, begun(rough, depth, stages), roughed(), false));
                stages.add(new Stage("rout", 0, last, atDepth(), true));
            } else {
                stages.add(new Stage("rout", 0, begun(last, depth, stages), atDepth(), true));
            }
            return stages;
        }

        /** Passes on the template become a stage of their own where others follow with it off; answers those that are left. */
        private List<Pass> begun(List<Pass> all, double depth, List<Stage> stages) {
            List<Pass> on =
                    all.stream().filter(p -> p.guide() == Pass.Guide.TEMPLATE).toList();
            List<Pass> off = all.subList(on.size(), all.size());
            if (on.isEmpty() || off.isEmpty()) {
                return all;
            }
            stages.add(new Stage("start", depth - on.get(on.size() - 1).to(), on, started(), false));
            return off;
        }

        private Operation fit() {
            return Operation.of(station, feature, "fit", "Fix the " + noun + " template on the " + face.word())
                    .face(face)
                    .set(new Setting.ByHand(
                            "clamps, " + build.shop().practice().holdDown().words()))
                    .needs(located, surround)
                    .gives(template())
                    .joins(joins)
                    .takes(10, 0, 0)
                    .build();
        }

        private Operation drillWaste(Drill drill, Region core) {
            double shy = build.shop().practice().wasteShy() + drill.spur();
            Reckoning stop = Reckoning.of("depth stop for the waste", Quantity.LENGTH)
                    .length(
                            "depth from the " + face.word() + " as it is now",
                            depthNow().asFact())
                    .length("the drill's spur", drill.spur())
                    .length("kept for the router", build.shop().practice().wasteShy())
                    .is(depthNow().value() - shy, "depth - spur - kept for the router");
            return cutting("waste", "Drill out the waste of the " + noun)
                    .set(new Setting.Drilled(drill.name(), stop, "deep from the " + face.word()))
                    .cuts(removed(core, shy))
                    .needs(located, new Condition.Wood(core, top(), bottom()))
                    .gives(wasteOut())
                    .caution(Caution.DRILL, Caution.DUST)
                    .takes(minutes(core, stop.value()), 0, 0.004)
                    .build();
        }

        private Operation rough(Stage stage, Condition before) {
            boolean start = stage.key().equals("start");
            Reckoning depth = Reckoning.of(
                            "depth before the " + (start ? "template comes off" : "last pass"), Quantity.LENGTH)
                    .length(
                            "depth from the " + face.word() + " as it is now",
                            depthNow().asFact())
                    .length(start ? "left for the passes after" : "last pass", stage.keep())
                    .is(depthNow().value() - stage.keep(), start ? "depth - what is left" : "depth - last pass");
            String title = start ? "Begin the " + noun + " on its template" : "Rout the " + noun + " to its last pass";
            double shallow = start ? build.shop().limits().depthTolerance() : stage.keep();
            return routing(stage, title, depth, before)
                    .cuts(removed(plan, stage.keep()))
                    .inspect(new Inspection(
                            new Measurand.DepthOf(feature),
                            depth,
                            shallow,
                            build.shop().limits().depthTolerance(),
                            "depth gauge from the " + face.word()))
                    .takes(minutes(plan, depthNow().value()), 0, 0.01)
                    .build();
        }

        private Operation finish(Stage stage, Condition before) {
            double tolerance = build.shop().limits().depthTolerance();
            Operation.Builder step = routing(stage, "Rout the " + noun + " to depth", depthNow(), before)
                    .cuts(removed(plan, 0))
                    .inspect(new Inspection(
                            new Measurand.DepthOf(feature),
                            depthNow(),
                            tolerance,
                            tolerance,
                            "depth gauge from the " + face.word()))
                    .takes(8 + (isDeep() ? 0 : minutes(plan, depthNow().value())), 0, 0.012);
            if (floorIsTop) {
                step.caution(Caution.LAST_OF_FLOOR);
            }
            return step.build();
        }

        private Operation takeOff(Condition after) {
            Operation.Builder step = Operation.of(station, feature, "off", "Take the " + noun + " template off")
                    .face(face)
                    .set(new Setting.ByHand("nothing but patience"))
                    .gives(templateOff())
                    .spoils(template())
                    .joins(joins)
                    .takes(3, 0, 0);
            if (after != null) {
                step.needs(after);
            }
            return step.build();
        }

        private Operation.Builder routing(Stage stage, String title, Reckoning depth, Condition before) {
            String tool = stage.passes().isEmpty()
                    ? "a bit that the crib lacks"
                    : stage.passes().stream()
                            .map(p -> p.cutter().bit().name())
                            .distinct()
                            .collect(Collectors.joining(", then "));
            Operation.Builder routed = cutting(stage.key(), title)
                    .set(new Setting.Routed(
                            tool,
                            stage.offTemplate() ? "wall just cut" : noun + " template",
                            Setting.Feed.CLOCKWISE,
                            depth,
                            "deep from the " + face.word(),
                            stage.passes()))
                    .needs(stage.offTemplate() ? templateOff() : template(), wall)
                    .gives(stage.gives())
                    .caution(Caution.ROUTER, Caution.DUST);
            if (before != null) {
                routed.needs(before);
            }
            return routed;
        }

        private Operation.Builder cutting(String step, String title) {
            return Operation.of(station, feature, step, title)
                    .face(face)
                    .needs(surround)
                    .joins(joins);
        }
    }

    /** Depth from the face as it is now: the wanted depth plus what is still to be sanded off. */
    public Reckoning depthNow() {
        double toSand = build.faces().toSand(face);
        if (toSand == 0) {
            return depthFinished;
        }
        return Reckoning.of(noun + " depth from the " + face.word() + " as it is now", Quantity.LENGTH)
                .length(depthFinished.what(), depthFinished.asFact())
                .length("still to be sanded off the " + face.word(), toSand)
                .is(depthFinished.value() + toSand, "wanted depth + still to be sanded off");
    }

    /** Least depth at which it wants wood: none outside the body, however deep the design has it. */
    private double top() {
        return Math.max(swept(plan, 0).shallowest(), build.faces().frontNow());
    }

    private double bottom() {
        return Math.min(swept(plan, 0).deepest(), build.faces().backNow());
    }

    private Change removed(Region area, double shy) {
        return Change.Remove.fromBody(feature, swept(area, shy));
    }

    /** What is swept from the face down to {@code shy} above the floor. */
    private Solid swept(Region area, double shy) {
        return face == Face.FRONT
                ? new Solid.Prism(area, Plane.at(build.faces().frontNow()), floor.lowered(-shy))
                : new Solid.Prism(
                        area, floor.lowered(shy), Plane.at(build.faces().backNow()));
    }

    private static int minutes(Region area, double depth) {
        return (int) Math.max(5, Math.round(5 + area.area() * depth / 1000 / CUBIC_CM_PER_MINUTE));
    }
}
