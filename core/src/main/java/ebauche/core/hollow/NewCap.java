package ebauche.core.hollow;

import ebauche.core.crib.Bit;
import ebauche.core.design.Recap;
import ebauche.core.feature.Feature;
import ebauche.core.feature.FeatureKind;
import ebauche.core.feature.StepKey;
import ebauche.core.feature.StepKind;
import ebauche.core.geometry.Face;
import ebauche.core.geometry.Point;
import ebauche.core.geometry.Region;
import ebauche.core.gluing.TopPress;
import ebauche.core.job.Build;
import ebauche.core.job.History;
import ebauche.core.logbook.AsBuilt;
import ebauche.core.measure.Fact;
import ebauche.core.measure.Quantity;
import ebauche.core.measure.Reckoning;
import ebauche.core.measure.Refusal;
import ebauche.core.stock.Bore;
import ebauche.core.stock.Change;
import ebauche.core.stock.Relief;
import ebauche.core.stock.Solid;
import ebauche.core.stock.Stock;
import ebauche.core.timber.Species;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * A new cap glued over the front of a body that is built already: what lies deeper under it, which holes it buries, where it overhangs an
 * old carve, and where each buried cavity is found again: a window is drilled into the middle of its widest round, and its wall followed.
 *
 * @param planed wood that comes off the old front before, mm
 * @param cap thickness of the new cap, mm
 * @param deeper cavities of the front, the widest first
 * @param buried holes from the front, all of a feature together
 * @param overhung carves of the front that the cap would bridge
 */
public record NewCap(
        Build build, double planed, double cap, List<Deeper> deeper, List<Buried> buried, List<Overhung> overhung) {
    /** What is no larger than a round so wide is a hole, mm. */
    private static final double HOLE = 30;

    /** Kept between the window's drill and a cavity's wall, mm: common practice. */
    private static final double BESIDE = 3;

    private static final StepKey GLUES = StepKey.of(Recap.FEATURE, StepKind.TOP);

    /** A cavity that takes no wider drill has no window: it is opened by knife and chisel, mm. */
    public static final double NARROWEST = 8;

    /** A front that is off by less is the front, mm. */
    private static final double NEARLY = 0.05;

    /**
     * A cavity under the cap.
     *
     * @param plan where it lies
     * @param was its depth from the old front
     * @param is from the new one, routed through the cap to its old floor
     * @param window where a window is drilled to find it
     * @param widest drill that opens nothing but the cavity there, mm
     */
    public record Deeper(Feature feature, Region plan, Reckoning was, Reckoning is, Point window, double widest) {}

    /**
     * Holes under the cap: to be drilled anew through it.
     *
     * @param plan all of them
     * @param places their middles
     */
    public record Buried(Feature feature, Region plan, List<Point> places) {}

    /**
     * A carve under the cap.
     *
     * @param where the cap lies hollow over it
     * @param deepest how far it would stand over the old wood, mm
     */
    public record Overhung(Feature feature, Region where, double deepest) {}

    /**
     * Of a body as its history leaves it before any cap.
     *
     * @throws Refusal of a cap or a planing that cannot be
     */
    public static NewCap of(Build build, History history, double planed, double cap) {
        Recap.check(planed, cap);
        Refusal.unless(planed < build.faces().thickness() - 1, "planed", "with that no body is left under the cap");
        return of(
                build,
                history.steps().stream()
                        .filter(s -> !isOfTheCap(s.operation().feature()))
                        .flatMap(s -> s.changes().stream())
                        .toList(),
                planed,
                cap);
    }

    /** The cap that a design wants over what of the body is cut by now, or that lies on it already; empty where it wants none. */
    public static Optional<NewCap> overWhatIsCut(Build build) {
        List<AsBuilt.Done> done = build.asBuilt().standing().stream()
                .filter(AsBuilt.Done.class::isInstance)
                .map(AsBuilt.Done.class::cast)
                .toList();
        List<Change> cut = done.stream()
                .filter(d -> !isOfTheCap(d.operation().feature()))
                .flatMap(d -> build.changes(d).stream())
                .toList();
        double front = build.faces().frontFinished();
        return build.design()
                .recap()
                .map(wanted -> glued(done)
                        .map(on -> of(build, cut, on.deepest() - front, on.deepest() - on.shallowest()))
                        .orElseGet(() -> of(build, cut, wanted.planed(), wanted.cap())));
    }

    /**
     * Where the front lies after a step: that of the new cap once it is on.
     *
     * @param old where it lies without one, mm
     */
    public static double front(Build build, History history, int step, double old) {
        boolean isOn = history.steps().stream()
                .limit(step + 1L)
                .anyMatch(s -> s.operation().key().equals(GLUES));
        return isOn
                ? overWhatIsCut(build)
                        .map(c -> build.faces().frontFinished() - c.higher())
                        .orElse(old)
                : old;
    }

    /** How it is pressed onto what is left between the cavities. */
    public TopPress press() {
        return TopPress.onto(
                build.design().outline().region(), cavities(), cap, build.shop().gluing());
    }

    /** Whether a cap is glued on: from then on it is a fact, whatever the design says. */
    public static boolean isGlued(Build build) {
        return build.isDone(GLUES);
    }

    private static Optional<Solid> glued(List<AsBuilt.Done> done) {
        return done.stream()
                .filter(d -> d.operation().equals(GLUES))
                .flatMap(d -> d.changes().stream())
                .filter(Change.Add.class::isInstance)
                .map(Change::solid)
                .findFirst();
    }

    private static boolean isOfTheCap(Feature feature) {
        return feature.equals(Recap.FEATURE);
    }

    private static NewCap of(Build build, List<Change> cut, double planed, double cap) {
        double front = build.faces().frontFinished();
        Map<Feature, List<Solid>> voids = new LinkedHashMap<>();
        for (Change change : cut) {
            boolean opensFront = change instanceof Change.Remove
                    && change.feature().isVoid()
                    && change.solid().shallowest() <= front + NEARLY;
            if (opensFront) {
                voids.computeIfAbsent(change.feature(), f -> new ArrayList<>()).add(change.solid());
            }
        }
        List<Deeper> deeper = new ArrayList<>();
        List<Buried> buried = new ArrayList<>();
        voids.forEach((feature, solids) -> {
            Region plan = Region.union(solids.stream().map(Solid::plan).toList());
            double floor = solids.stream().mapToDouble(Solid::deepest).max().orElse(front);
            if (floor - front <= planed) {
                return;
            }
            boolean holes = plan.parts().stream().allMatch(p -> 2 * p.widest() <= HOLE && isRound(p));
            // A pickup's leg pockets are part of its cavity, however round they are.
            if ((holes && !feature.is(FeatureKind.LEGS)) || solids.stream().allMatch(Bore.class::isInstance)) {
                buried.add(new Buried(
                        feature,
                        plan,
                        plan.parts().stream().map(Region::centroid).toList()));
            } else {
                deeper.add(deeper(feature, plan, floor - front, planed, cap));
            }
        });
        deeper.sort(Comparator.comparingDouble(Deeper::widest).reversed());
        return new NewCap(build, planed, cap, deeper, buried, overhung(build, planed));
    }

    /** A circle has the least edge for its area. */
    private static boolean isRound(Region part) {
        return part.area() > 0.9 * part.perimeter() * part.perimeter() / (4 * Math.PI);
    }

    private static Deeper deeper(Feature feature, Region plan, double was, double planed, double cap) {
        Region widest = plan.parts().stream()
                .max(Comparator.comparingDouble(Region::widest))
                .orElse(plan);
        Point middle = widest.middleOfWidest();
        Reckoning before = Reckoning.of("depth of the " + feature.said() + " from the old front", Quantity.LENGTH)
                .length("as it was cut", was)
                .is(was, "as it was cut");
        Reckoning after = Reckoning.of("depth of the " + feature.said() + " from the new front", Quantity.LENGTH)
                .length("as it was cut", was)
                .length("planed off the old front", Fact.typed(planed))
                .length("cap", Fact.typed(cap))
                .is(was - planed + cap, "as it was cut − planed off the old front + cap");
        return new Deeper(feature, plan, before, after, middle, Math.max(0, 2 * (widest.widest() - BESIDE)));
    }

    private static List<Overhung> overhung(Build build, double planed) {
        List<Overhung> all = new ArrayList<>();
        for (Relief relief : build.surfaces()) {
            double deepest = relief.profile().depth() - planed;
            if (relief.face() == Face.FRONT && deepest > 0) {
                Region under = KeepOut.deeper(relief, planed)
                        .intersection(build.design().outline().region());
                all.add(new Overhung(relief.feature(), under, deepest));
            }
        }
        return all;
    }

    /**
     * Wood that comes off or on.
     *
     * @param at its centre of mass on the plan
     */
    public record Wood(double grams, Point at) {}

    /** What is planed off the old front; its wood is weighed as the body has it there. */
    public Wood planedOff(History history) {
        Stock before = history.before((int) history.steps().stream()
                .takeWhile(s -> !isOfTheCap(s.operation().feature()))
                .count());
        double front = build.faces().frontFinished();
        Region body = build.design().outline().region();
        Stock after = planed == 0
                ? before
                : before.after(List.of(Change.Remove.fromBody(
                        Feature.OUTLINE, Solid.Prism.between(body, front - NEARLY, front + planed))));
        return difference(before.balance(), after.balance());
    }

    private static Wood difference(Stock.Balance before, Stock.Balance after) {
        double grams = before.grams() - after.grams();
        if (!(grams > 0)) {
            return new Wood(0, before.at());
        }
        return new Wood(
                grams,
                new Point(
                        (before.grams() * before.at().x()
                                        - after.grams() * after.at().x())
                                / grams,
                        (before.grams() * before.at().y()
                                        - after.grams() * after.at().y())
                                / grams));
    }

    /** What the cap weighs once it is trimmed to the edge and opened over the cavities again. */
    public Wood comesOn(Species timber) {
        Region stays = opened();
        double grams = stays.area() * cap * timber.density().value() * 1e-6;
        return new Wood(grams, stays.centroid());
    }

    /** The cap as far as it stays, its cavities opened again. */
    private Region opened() {
        return build.design().outline().region().minus(cavities());
    }

    /** Where nothing is glued: the cavities under it. */
    public Region cavities() {
        return Region.union(deeper.stream().map(Deeper::plan).toList());
    }

    /**
     * The bit that trims the cap flush, its bearing on the old edge under it: the shortest of the crib that reaches through the cap; empty
     * where none does.
     */
    public Optional<Bit> trims() {
        return follows().min(Comparator.comparingDouble(Bit::cutterLength));
    }

    /** The bit that opens the cap over its cavities, its bearing on the old walls: the widest that goes into all but those found by hand. */
    public Optional<Bit> opens() {
        double narrowest = deeper.stream()
                .mapToDouble(Deeper::widest)
                .filter(w -> w >= NARROWEST)
                .min()
                .orElse(0);
        return follows().filter(b -> b.diameter() <= narrowest).max(Comparator.comparingDouble(Bit::diameter));
    }

    private Stream<Bit> follows() {
        return build.shop().crib().bits().stream()
                .filter(b -> b.copies() && b.bearing().atTip() && b.bearingSound() && b.cutterLength() >= cap);
    }

    /** Thickness of the body under its new cap, before that is sanded. */
    public Reckoning thickness() {
        double now = build.faces().thickness();
        return Reckoning.of("body with its new cap", Quantity.LENGTH)
                .length("body as it was finished", now)
                .length("planed off the old front", Fact.typed(planed))
                .length("cap", Fact.typed(cap))
                .is(now - planed + cap, "body as it was finished − planed off the old front + cap");
    }

    /** How much higher the front comes, and everything that stands on it with it: the neck's pocket and its angle follow, mm. */
    public double higher() {
        return cap - planed;
    }
}
