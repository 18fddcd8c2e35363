package ebauche.core.routing;

import ebauche.core.crib.Crib;
import ebauche.core.crib.Drill;
import ebauche.core.feature.Feature;
import ebauche.core.feature.StepKey;
import ebauche.core.feature.StepKind;
import ebauche.core.feature.Work;
import ebauche.core.geometry.Face;
import ebauche.core.geometry.Region;
import ebauche.core.job.AsCut;
import ebauche.core.job.Build;
import ebauche.core.job.Finding;
import ebauche.core.logbook.AsBuilt;
import ebauche.core.measure.Reckoning;
import ebauche.core.operation.Condition;
import ebauche.core.operation.Operation;
import ebauche.core.passes.Cutter;
import ebauche.core.passes.GuidedCut;
import ebauche.core.passes.PassPlan;
import ebauche.core.passes.PassPlanner;
import ebauche.core.passes.Travel;
import ebauche.core.shop.Practice;
import ebauche.core.stock.Change;
import ebauche.core.stock.Plane;
import ebauche.core.stock.Solid;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
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
 * @param before what of its area other work has cut away by then
 */
public record GuidedPocket(
        Build build,
        Work work,
        Feature feature,
        String noun,
        Face face,
        Region plan,
        Plane floor,
        Reckoning depthFinished,
        double cornerRadius,
        Set<Feature> joins,
        Condition located,
        boolean floorIsTop,
        CutBefore before) {

    /**
     * What is cut away of its area before its own waste is drilled.
     *
     * @param cavities in it or over its edge, at least as deep: nothing is drilled there
     * @param marks that it is done
     * @param holes no drill is set down on: its spur would have no wood
     */
    public record CutBefore(Region cavities, List<Condition> marks, Region holes) {
        public static final CutBefore NOTHING = new CutBefore(Region.EMPTY, List.of(), Region.EMPTY);

        public CutBefore {
            marks = List.copyOf(marks);
        }
    }

    /** The same, where another cavity that is meant to join it is cut first: in it, or so that each has its line on the face. */
    public GuidedPocket afterCavity(GuidedPocket first) {
        if (first.plan.isEmpty()) {
            return this;
        }
        List<Condition> marks = new ArrayList<>(before.marks);
        marks.add(first.atDepth());
        return after(new CutBefore(before.cavities.union(first.plan), marks, before.holes));
    }

    /** The same, where holes are drilled first, which gives a mark. */
    public GuidedPocket afterHoles(Region drilled, Condition mark) {
        List<Condition> marks = new ArrayList<>(before.marks);
        marks.add(mark);
        return after(new CutBefore(before.cavities, marks, before.holes.union(drilled)));
    }

    private GuidedPocket after(CutBefore cut) {
        return new GuidedPocket(
                build,
                work,
                feature,
                noun,
                face,
                plan,
                floor,
                depthFinished,
                cornerRadius,
                joins,
                located,
                floorIsTop,
                cut);
    }

    /** Kept between the drilled waste and the template's line: common practice. */
    private static final double SKIN = 2.0;

    /** A recess shallower than this is not drilled out first. */
    private static final double SHALLOW = 6.0;

    /** What holds once the cavity is at depth. */
    public Condition.Mark atDepth() {
        return new Condition.Mark(StepKey.of(feature, StepKind.ROUT), "the " + noun + " at depth");
    }

    /** A pocket that the crib's bits cannot make, with the least that would help. */
    public List<Finding> check() {
        return cut()
                .flatMap(c -> CribTrouble.of(c, crib(), work, feature, noun, plan.centroid(), cornerRadius))
                .stream()
                .toList();
    }

    /** Whether it goes right through the body, so that it is met from the other face. */
    public boolean through() {
        boolean meant = joins.contains(face == Face.FRONT ? Feature.BACK : Feature.FRONT);
        return meant && depthFinished.value() >= build.faces().thickness() - 1e-6;
    }

    /** Carves of the other face, still to come, over a floor that is to be its top: the last pass waits for them. */
    List<Condition.Mark> carvesOver() {
        return floorIsTop ? Datum.carvesToCome(build, face.other(), plan) : List.of();
    }

    /** Thickness of the body as it is now. */
    double thicknessNow() {
        return build.thicknessNow();
    }

    /**
     * What is left of the cut as the pass planner is asked for it, from the face as it is now: all of it before it is begun and once it
     * is at depth; nothing where the design leaves no depth.
     */
    public Optional<GuidedCut> cut() {
        if (through()) {
            OptionalDouble round = ThroughSteps.cutSoFar(this);
            return whole().map(w -> round.isPresent() ? w.from(round.getAsDouble(), true) : w);
        }
        AsCut cut = new AsCut(build, feature, face);
        double begun = cut.isDone(StepKind.ROUT) ? 0 : cut.begun();
        // Begun on its template to go on without it: what waits for a carve does not bring it back for a reading's
        // sake.
        boolean goesOff = cut.isDone(StepKind.START) && !carvesOver().isEmpty();
        return whole().map(w -> begun > 0 ? left(w, begun, goesOff || cut.isDone(StepKind.OFF)) : w);
    }

    /** With the template off it stays off; only for a last pass that waited for a carve it comes back, if no bit does without. */
    private GuidedCut left(GuidedCut whole, double begun, boolean off) {
        GuidedCut left = whole.from(begun, off);
        boolean comesBack = off && !carvesOver().isEmpty() && !PassPlanner.isFeasible(left, crib());
        return comesBack ? whole.from(begun, false) : left;
    }

    /** The whole cut, from the face as it is now. */
    Optional<GuidedCut> whole() {
        double depth = through() ? thicknessNow() : depthNow().value();
        if (!(depth > 0)) {
            return Optional.empty();
        }
        GuidedCut cut = new GuidedCut(
                depth,
                // Only a cavity that is meant to go through is finished from the other face.
                through() ? depth : Math.max(thicknessNow(), depth + 1),
                GuidedCut.corner(cornerRadius),
                // On the floor that drilling leaves, and on the ridges between its holes, the bit meets wood all over.
                // Where it was routed freehand nearly to its floor, only the rest beside the line stands.
                freehand().isPresent() ? OptionalDouble.of(Freehand.SHY) : OptionalDouble.empty(),
                isDeep() && !through() ? build.shop().practice().lastPass() : 0,
                build.templateThickness(feature) + build.raised(feature),
                build.design().blank().cutAs(plan),
                build.shop().limits().pocketPass());
        GuidedCut flipped = through() ? cut.flip() : cut;
        return Optional.of(drilled().isPresent() || freehand().isPresent() ? flipped.drilledFirst() : flipped);
    }

    /** The cheapest passes, if the crib gives any. */
    public Optional<PassPlan> passes() {
        return cut().flatMap(c -> PassPlanner.best(c, crib()));
    }

    /** The tools that a pocket is routed with: a body's pockets are not cut on the table. */
    Crib crib() {
        return build.shop().crib().tables(false);
    }

    /** Whether its waste is drilled first and a last light pass is kept. */
    boolean isDeep() {
        return depthFinished.value() > SHALLOW;
    }

    Optional<Drill> forstner() {
        double across = Math.min(plan.maxX() - plan.minX(), plan.maxY() - plan.minY());
        return build.shop().crib().forstner(across - 2 * SKIN);
    }

    /** The waste that is drilled out first, if it is deep enough and a drill fits. */
    Optional<Region> drilled() {
        return isDeep() && freehand().isEmpty()
                ? forstner()
                        .filter(drill -> !DrillPattern.centres(waste(), drill, SKIN, before.holes())
                                .isEmpty())
                        .map(drill -> waste().grown(-SKIN).opened(drill.diameter()))
                        .filter(core -> !core.isEmpty())
                : Optional.empty();
    }

    /** Its template, as it is said; of a long name what it is for stands behind. */
    String template() {
        return noun.contains(" under ") ? "template for the " + noun : noun + " template";
    }

    /** The waste that is routed out freehand first, where the shop does so and a bit can; else it is drilled. */
    Optional<Freehand> freehand() {
        Optional<AsBuilt.Done> done = build.asBuilt().done(StepKey.of(feature, StepKind.WASTE));
        boolean freehand = done.map(d -> !d.routed().isEmpty())
                .orElse(build.shop().practice().waste() == Practice.Waste.FREEHAND);
        if (!freehand || !isDeep() || through()) {
            return Optional.empty();
        }
        Crib bench = crib();
        return Freehand.of(
                waste(),
                depthNow().value() - build.shop().practice().wasteShy(),
                build.design().blank().cutAs(plan),
                build.shop().limits().pocketPass(),
                bench.bits().stream().flatMap(b -> bench.routers().stream().map(r -> new Cutter(b, r))));
    }

    /** Where its waste is drilled, if it is. */
    public Optional<DrillPattern> drilling() {
        return drilled()
                .flatMap(core -> forstner())
                .map(drill -> DrillPattern.of(waste(), drill, SKIN, before.holes()));
    }

    /** What is there to drill. */
    private Region waste() {
        return before.cavities().isEmpty() ? plan : plan.minus(before.cavities());
    }

    /** The way that a bit goes at one depth of it. */
    Travel travel() {
        return new Travel(plan.perimeter(), plan.area());
    }

    public List<Operation> operations() {
        return through() ? new ThroughSteps(this).all() : new PocketSteps(this).all();
    }

    /** Depth from the face as it is now: the wanted depth plus what is still to be sanded off. */
    public Reckoning depthNow() {
        return build.faces().toSand(face) == 0
                ? depthFinished
                : build.fromAsItIs(
                        face,
                        noun + " depth from the " + face.word() + " as it is now",
                        depthFinished.what(),
                        depthFinished.asFact());
    }

    /** Least depth at which it wants wood: none outside the body, however deep the design has it. */
    double top() {
        return Math.max(swept(plan, 0).shallowest(), build.faces().frontNow());
    }

    double bottom() {
        return Math.min(swept(plan, 0).deepest(), build.faces().backNow());
    }

    Change removed(Region area, double shy) {
        return Change.Remove.fromBody(feature, swept(area, shy));
    }

    /** What is swept from the face down to {@code shy} above the floor. */
    private Solid swept(Region area, double shy) {
        return face == Face.FRONT
                ? new Solid.Prism(area, Plane.at(build.faces().frontNow()), floor.lowered(-shy))
                : new Solid.Prism(
                        area, floor.lowered(shy), Plane.at(build.faces().backNow()));
    }
}
