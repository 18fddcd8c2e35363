package ebauche.core.edge;

import ebauche.core.design.Binding;
import ebauche.core.design.Contour;
import ebauche.core.design.RoundOver;
import ebauche.core.feature.StepKey;
import ebauche.core.feature.StepKind;
import ebauche.core.feature.Work;
import ebauche.core.geometry.Region;
import ebauche.core.job.Build;
import ebauche.core.job.Finding;
import ebauche.core.job.Rule;
import ebauche.core.measure.Fact;
import ebauche.core.measure.Gauge;
import ebauche.core.measure.Quantity;
import ebauche.core.measure.Reckoning;
import ebauche.core.measure.Rounding;
import ebauche.core.operation.Caution;
import ebauche.core.operation.Condition;
import ebauche.core.operation.LedgerRow;
import ebauche.core.operation.Operation;
import ebauche.core.operation.Place;
import ebauche.core.operation.Setting;
import ebauche.core.passes.Cutter;
import ebauche.core.passes.Pass;
import ebauche.core.passes.Travel;
import ebauche.core.routing.Datum;
import ebauche.core.shop.Practice;
import ebauche.core.station.Station;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * Round-overs: by a bit whose bearing rides on the edge wherever it has wall and its base a face, by hand where not, and blended.
 *
 * <p>That they come before contours, as most shops do it, follows from what they need: wall for the bearing and flat for the base, which a
 * contour takes; then the corner that a contour leaves is broken by hand. Where a shop carves first, the zones by hand are longer, and the
 * corner runs into the contour.
 */
public final class EdgeStation implements Station {
    /** A bite of a round-over bit, mm: larger ones in several, the last light; common practice. */
    private static final double BITE = 4;

    /** What a base wants flat inside the edge, mm: common practice, half a small base. */
    private static final double FLAT = 40;

    /** Minutes to set the bit and try it on scrap, for a metre by router, for a metre by hand: common practice. */
    private static final double SET = 8;

    private static final double BY_ROUTER = 3;
    private static final double BY_HAND = 35;

    /** To blend what hands did into what the bit left, and scrape its marks, for a metre: common practice. */
    private static final double BLEND = 6;

    @Override
    public Work work() {
        return Work.EDGE;
    }

    static Optional<RoundingBit> bit(Build build, RoundOver.Laid laid) {
        return RoundingBit.of(build.shop().crib(), laid.roundOver().radius());
    }

    /** Where a binding's ledge is cut by hand, and why; empty where no bit of the crib has the bearing for it. */
    public static Optional<EdgeZones> zones(Build build, Binding binding) {
        return BindingSteps.zones(build, binding);
    }

    /** Where it is done by hand, and why; empty where the crib has no bit for it. */
    public static Optional<EdgeZones> zones(Build build, RoundOver.Laid laid) {
        return bit(build, laid).map(b -> EdgeZones.of(build, laid, b));
    }

    @Override
    public List<Operation> operations(Build build) {
        return Stream.concat(
                        BindingSteps.of(build).stream(),
                        build.roundOvers().stream().flatMap(laid -> steps(build, laid)))
                .toList();
    }

    private static Stream<Operation> steps(Build build, RoundOver.Laid laid) {
        Optional<RoundingBit> bit = bit(build, laid);
        List<Contour.Laid> carved = carvedThere(build, laid);
        if (bit.isEmpty()) {
            return Stream.of(byHand(build, laid, List.of(), laid.plan(), length(laid)));
        }
        EdgeZones zones = EdgeZones.of(build, laid, bit.get());
        Region hands = Region.union(zones.byHand().stream()
                        .map(z -> z.within(laid.roundOver().radius() * 1.5))
                        .toList())
                .intersection(laid.plan());
        Stream<Operation> shaped = Stream.of(
                byRouter(build, laid, bit.get(), zones, laid.plan().minus(hands)),
                byHand(build, laid, zones.byHand(), hands, zones.byHandLength()));
        return isAfterContours(build) || zones.lost() == 0
                ? shaped
                : Stream.concat(shaped, Stream.of(broken(laid, carved, zones.lost())));
    }

    /** The contours that take of a corner, or of the wall under it. */
    private static List<Contour.Laid> carvedThere(Build build, RoundOver.Laid laid) {
        return build.contours().stream()
                .filter(c -> !build.design().leavesOpen(c.feature()))
                .filter(c -> c.plan().overlaps(laid.plan()))
                .toList();
    }

    /** Contours came after it and took its corner: the one that they leave is broken, and runs into what stayed. */
    private static Operation broken(RoundOver.Laid laid, List<Contour.Laid> carved, double length) {
        String said = laid.feature().said();
        Reckoning along = Reckoning.of("new corner", Quantity.LENGTH)
                .length("along the contours", length)
                .is(length, "along the contours");
        return Operation.of(
                        Work.EDGE,
                        laid.feature(),
                        StepKind.FINISH,
                        "Break the corner that contours leave, and run the " + said + " into it")
                .face(laid.face())
                .set(new Setting.ByHand(
                        "file along the corner to the same round, fading where the contour runs out",
                        List.of(LedgerRow.of(
                                "File, then paper round a soft block, from the routed corner outward", along))))
                .needs(Datum.carved(laid.feature()))
                .needs(carved.stream()
                        .filter(c -> c.face() == laid.face())
                        .map(c -> Datum.carved(c.feature()))
                        .toArray(Condition[]::new))
                .caution(Caution.DUST)
                .takes((int) Math.round(BY_HAND * length / 1000), 0, 0.002)
                .build();
    }

    /** Both orders on a body, that of its shop first. */
    public static List<ShapingCost> costs(Build build) {
        Practice.Shaping own = build.shop().practice().shaping();
        return Stream.of(Practice.Shaping.values())
                .sorted(Comparator.comparing(s -> s != own))
                .map(s -> cost(s == own ? build : shaping(build, s)))
                .toList();
    }

    private static Build shaping(Build build, Practice.Shaping first) {
        return new Build(
                build.drawn(), build.shop().with(build.shop().practice().with(first)), build.asBuilt());
    }

    private static ShapingCost cost(Build build) {
        Practice.Shaping first = build.shop().practice().shaping();
        int minutes = build.roundOvers().stream()
                .flatMap(laid -> steps(build, laid))
                .mapToInt(Operation::handsOnMinutes)
                .sum();
        double byHand = build.roundOvers().stream()
                .flatMap(laid -> zones(build, laid).stream())
                .mapToDouble(z -> z.byHandLength() + (first == Practice.Shaping.CONTOURS_FIRST ? 0 : z.lost()))
                .sum();
        return new ShapingCost(first, minutes, byHand);
    }

    /** Length of a corner, by the area that it takes of the plan. */
    private static double length(RoundOver.Laid laid) {
        return laid.plan().area() / laid.roundOver().radius();
    }

    private static Condition.Mark routed(RoundOver.Laid laid) {
        return new Condition.Mark(
                StepKey.of(laid.feature(), StepKind.ROUT),
                "the " + laid.feature().said() + " routed");
    }

    private static Operation byRouter(Build build, RoundOver.Laid laid, RoundingBit bit, EdgeZones zones, Region plan) {
        double radius = laid.roundOver().radius();
        int bites = (int) Math.ceil(radius / BITE);
        double length = zones.length() - zones.byHandLength();
        Reckoning deep = Reckoning.of("round-over under its face", Quantity.LENGTH)
                .length("radius", Fact.typed(radius))
                .is(radius, "radius");
        return Operation.of(
                        Work.EDGE,
                        laid.feature(),
                        StepKind.ROUT,
                        "Rout the " + laid.feature().said())
                .face(laid.face())
                .set(new Setting.Routed(
                        bit.bit().name(),
                        "edge, the router flat on the " + laid.face().word() + "; "
                                + (bites == 1
                                        ? "one bite, tried on scrap first"
                                        : bites + " bites, the last one light, tried on scrap first"),
                        Setting.Feed.ANTICLOCKWISE,
                        deep,
                        "deep: deeper leaves an uneven curve, less a step",
                        passes(bit, radius, bites),
                        new Travel(length, 0)))
                .cuts(laid.cut(plan, build.faces().now(laid.face())))
                .needs(Datum.OUTLINE_ROUTED, Datum.flat(build, laid.face(), base(build, laid)))
                .needs(before(build, laid))
                .gives(routed(laid))
                .caution(Caution.ROUTER, Caution.DUST)
                .takes((int) Math.round(SET + bites * BY_ROUTER * length / 1000), 0, 0.008)
                .build();
    }

    /** Bite by bite down to the radius; the last one takes what is left. */
    private static List<Pass> passes(RoundingBit bit, double radius, int bites) {
        Cutter cutter = new Cutter(bit.bit(), bit.router());
        List<Pass> passes = new ArrayList<>();
        double from = 0;
        for (int i = 1; i <= bites; i++) {
            double to = i == bites ? radius : Gauge.settable(Math.min(i * BITE, radius), Rounding.LESS);
            passes.add(new Pass(cutter, Pass.Guide.EDGE, 0, from, to, to, radius));
            from = to;
        }
        return passes;
    }

    /** The face beside the corner that carries the base: where contours come first, what they leave of it. */
    private static Region base(Build build, RoundOver.Laid laid) {
        Region body = build.design().outline().region();
        Region beside = body.minus(body.grown(-FLAT)).intersection(laid.plan().grown(FLAT));
        return isAfterContours(build)
                ? carvedThere(build, laid).stream()
                        .filter(c -> c.face() == laid.face())
                        .map(Contour.Laid::plan)
                        .reduce(beside, Region::minus)
                : beside;
    }

    private static boolean isAfterContours(Build build) {
        return build.shop().practice().shaping() == Practice.Shaping.CONTOURS_FIRST;
    }

    /** The contours that come before it, where the shop carves first. */
    private static Condition[] before(Build build, RoundOver.Laid laid) {
        return isAfterContours(build)
                ? carvedThere(build, laid).stream()
                        .map(c -> Datum.carved(c.feature()))
                        .toArray(Condition[]::new)
                : new Condition[0];
    }

    private static Operation byHand(
            Build build, RoundOver.Laid laid, List<EdgeZones.Zone> zones, Region plan, double length) {
        String said = laid.feature().said();
        boolean all = zones.isEmpty() && !plan.isEmpty();
        String title = all
                ? "Shape the " + said + " by hand"
                : zones.isEmpty()
                        ? "Blend the " + said
                        : "Shape the " + said + " by hand where the router does not go, and blend it";
        Operation.Builder step = Operation.of(Work.EDGE, laid.feature(), StepKind.CARVE, title)
                .face(laid.face())
                .set(
                        new Setting.ByHand(
                                "two lines a radius off the corner, rasp to a flat between them, file it round, scraper and a strip of paper"))
                .needs(all ? Datum.OUTLINE_ROUTED : routed(laid))
                .needs(before(build, laid))
                .gives(Datum.carved(laid.feature()))
                .caution(Caution.DUST, Caution.CARVE)
                .takes((int) Math.round(SET + BY_HAND * length / 1000 + BLEND * length(laid) / 1000), 0, 0.004);
        if (!plan.isEmpty()) {
            step.cuts(laid.cut(plan, build.faces().now(laid.face())));
        }
        zones.forEach(z -> step.at(new Place(z.words(), z.middle())));
        return step.build();
    }

    @Override
    public List<Rule> rules(Build build) {
        List<Rule> rules = new ArrayList<>(BindingSteps.rules(build));
        for (RoundOver.Laid laid : build.roundOvers()) {
            EdgeRules.wallLeft(build, laid).ifPresent(rules::add);
            EdgeRules.besideTheJack(build, laid).ifPresent(rules::add);
        }
        return rules;
    }

    @Override
    public List<Finding> check(Build build) {
        List<Finding> found = new ArrayList<>();
        for (RoundOver.Laid laid : build.roundOvers()) {
            boolean done = build.isDone(StepKey.of(laid.feature(), StepKind.CARVE));
            if (!done && bit(build, laid).isEmpty()) {
                found.add(Finding.goodToKnow(Work.EDGE, "edge-no-bit")
                        .on(laid.feature())
                        .length("radius", laid.roundOver().radius())
                        .says(
                                "No sound round-over bit of the crib has a radius of {0}: the "
                                        + laid.feature().said() + " is planned by hand.",
                                "Put such a bit into the crib, or take a radius that it has."));
            }
        }
        return found;
    }
}
