package ebauche.core.routing;

import ebauche.core.build.Build;
import ebauche.core.build.Finding;
import ebauche.core.crib.Bit;
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
import ebauche.core.stock.Change;
import ebauche.core.stock.Plane;
import ebauche.core.stock.Solid;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;

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
    public Condition.Mark cut() {
        return new Condition.Mark("the " + noun + " at depth");
    }

    /** A pocket that no bit or drill in the crib can make. */
    public List<Finding> check() {
        double depth = depthFinished.value();
        if (build.shop().crib().patternBit(cornerRadius, depth).isPresent()) {
            return List.of();
        }
        return List.of(Finding.thinkAgain(station, "no-bit")
                .on(feature)
                .at(plan.centroid())
                .length("corner radius", cornerRadius)
                .length("depth", depth)
                .says(
                        "No bearing bit in the crib turns in the " + noun + "'s corner of {0} and reaches {1}.",
                        "Add a pattern bit of at most twice that radius, open the corner, or square it by hand."));
    }

    public List<Operation> operations() {
        return new Steps().all();
    }

    /** The steps, which share the face round the cavity and its wall. */
    private final class Steps {
        private final Condition.Flat surround = Datum.surround(build, face, plan);
        private final Condition.Wall wall = Datum.wall(build, noun, plan, top(), bottom());

        List<Operation> all() {
            List<Operation> steps = new ArrayList<>();
            steps.add(fit());
            boolean drilled = false;
            if (depthFinished.value() > SHALLOW && forstner().isPresent()) {
                Region core = plan.grown(-SKIN).opened(forstner().get().diameter());
                drilled = !core.isEmpty();
                if (drilled) {
                    steps.add(drillWaste(forstner().get(), core));
                }
            }
            boolean light = depthFinished.value() > SHALLOW;
            if (light) {
                steps.add(rough(drilled));
            }
            steps.add(finish(light, drilled));
            steps.add(takeOff());
            return steps;
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

        private Optional<Drill> forstner() {
            double across = Math.min(plan.maxX() - plan.minX(), plan.maxY() - plan.minY());
            return build.shop().crib().forstner(across - 2 * SKIN);
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

        private Operation rough(boolean drilled) {
            double keep = build.shop().practice().lastPass();
            Reckoning depth = Reckoning.of("depth before the last pass", Quantity.LENGTH)
                    .length(
                            "depth from the " + face.word() + " as it is now",
                            depthNow().asFact())
                    .length("last pass", keep)
                    .is(depthNow().value() - keep, "depth - last pass");
            return routing("rough", "Rout the " + noun + " to its last pass", depth, drilled)
                    .cuts(removed(plan, keep))
                    .gives(roughed())
                    .inspect(new Inspection(
                            new Measurand.DepthOf(feature),
                            depth,
                            keep,
                            build.shop().limits().depthTolerance(),
                            "depth gauge from the " + face.word()))
                    .takes(minutes(plan, depthNow().value()), 0, 0.01)
                    .build();
        }

        private Operation finish(boolean light, boolean drilled) {
            double tolerance = build.shop().limits().depthTolerance();
            Operation.Builder step = routing("rout", "Rout the " + noun + " to depth", depthNow(), drilled && !light)
                    .cuts(removed(plan, 0))
                    .gives(cut())
                    .inspect(new Inspection(
                            new Measurand.DepthOf(feature),
                            depthNow(),
                            tolerance,
                            tolerance,
                            "depth gauge from the " + face.word()))
                    .takes(8 + (light ? 0 : minutes(plan, depthNow().value())), 0, 0.012);
            if (light) {
                step.needs(roughed());
            }
            if (floorIsTop) {
                step.caution(Caution.LAST_OF_FLOOR);
            }
            return step.build();
        }

        private Operation takeOff() {
            return Operation.of(station, feature, "off", "Take the " + noun + " template off")
                    .face(face)
                    .set(new Setting.ByHand("nothing but patience"))
                    .needs(cut())
                    .spoils(template())
                    .joins(joins)
                    .takes(3, 0, 0)
                    .build();
        }

        private Operation.Builder routing(String step, String title, Reckoning depth, boolean afterWaste) {
            String tool = build.shop()
                    .crib()
                    .patternBit(cornerRadius, depthFinished.value())
                    .map(Bit::name)
                    .orElse("a bit that the crib lacks");
            Operation.Builder routed = cutting(step, title)
                    .set(new Setting.Routed(
                            tool, noun + " template", Setting.Feed.CLOCKWISE, depth, "deep from the " + face.word()))
                    .needs(template(), wall)
                    .caution(Caution.ROUTER, Caution.DUST);
            if (afterWaste) {
                routed.needs(wasteOut());
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
