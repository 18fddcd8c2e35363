package ebauche.core.plan;

import ebauche.core.crib.HoldDown;
import ebauche.core.feature.Feature;
import ebauche.core.feature.StepKey;
import ebauche.core.feature.StepKind;
import ebauche.core.geometry.Face;
import ebauche.core.geometry.Point;
import ebauche.core.geometry.Region;
import ebauche.core.job.Build;
import ebauche.core.job.History;
import ebauche.core.measure.Fact;
import ebauche.core.measure.Listing;
import ebauche.core.measure.Quantity;
import ebauche.core.measure.Reckoning;
import ebauche.core.memo.Memo;
import ebauche.core.operation.Caution;
import ebauche.core.operation.Operation;
import ebauche.core.operation.Setting;
import ebauche.core.routing.GuidedPocket;
import ebauche.core.stock.Change;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * How one template is held, by the order of the plan: screws and pins want wood that a later cut takes away.
 *
 * @param meant how the shop or the design means to hold it
 * @param seats places in wood of the same face that is cut after the template goes on
 */
public record Holding(HoldDown meant, List<Seat> seats) {
    /** Screws or pins that keep a template from turning. */
    private static final int LEAST_SEATS = 2;

    /** A screw's middle stays so far off what is cut, mm: common practice. */
    private static final double SCREW_CLEARS = 4;

    /** Left under a screw's tip, mm: common practice. */
    private static final double UNDER_TIP = 1;

    /** Two screws so near to each other do not keep a template from turning, mm: common practice. */
    private static final double APART = 30;

    /**
     * Where a screw or pin may go.
     *
     * @param at in the body's frame
     * @param waste the feature that takes the hole away
     * @param longest screw: template and the depth that is cut there, less a little
     */
    public record Seat(Point at, Feature waste, Reckoning longest) {}

    public Holding {
        seats = List.copyOf(seats);
    }

    /** Whether it can be held as it is meant to be. */
    public boolean asMeant() {
        return !meant.inWaste() || seats.size() >= LEAST_SEATS;
    }

    /** How it is held: with tape where there are not two places for screws or pins. */
    public HoldDown how() {
        return asMeant() ? meant : HoldDown.TAPE;
    }

    /** How it is held, and where, in words. */
    public String words() {
        if (!asMeant()) {
            return how().words() + ": no cavity that is cut later on this face leaves two places for screws or pins";
        }
        return meant.inWaste()
                ? meant.words() + ": "
                        + Listing.or(seats.stream()
                                .map(s -> s.waste().said())
                                .distinct()
                                .toList())
                : meant.words();
    }

    /** The longest screw that is safe at every place that is offered. */
    public Optional<Reckoning> longest() {
        return meant.inWaste() && asMeant()
                ? seats.stream().map(Seat::longest).reduce((a, b) -> b.value() < a.value() ? b : a)
                : Optional.empty();
    }

    /**
     * How a feature's template is held by a plan.
     *
     * @param pockets every guided pocket of the build
     */
    public static Holding of(Build build, History history, Feature feature, Face face, List<GuidedPocket> pockets) {
        int on = indexOf(history, feature, true);
        Region cut = cut(feature, pockets);
        List<Seat> seats = new ArrayList<>();
        for (GuidedPocket p : pockets) {
            if (p.face() == face && !p.feature().equals(feature) && indexOf(history, p.feature(), false) > on) {
                Reckoning longest = longest(build, feature, p);
                places(p, cut).forEach(at -> seats.add(new Seat(at, p.feature(), longest)));
            }
        }
        return new Holding(build.hold(feature), seats);
    }

    /**
     * By the step that fixes a template which is meant to be held in waste, the first cut of each cavity of the same face that has room for
     * enough screws or pins.
     */
    static Map<StepKey, Set<StepKey>> seated(Build build, List<Operation> steps, List<GuidedPocket> pockets) {
        Map<Feature, StepKey> firstCuts = new HashMap<>();
        steps.stream()
                .filter(o -> o.changes().stream().anyMatch(Change.Remove.class::isInstance))
                .forEach(o -> firstCuts.putIfAbsent(o.feature(), o.key()));
        Map<StepKey, Set<StepKey>> seated = new LinkedHashMap<>();
        for (Operation fit : steps) {
            if (fixes(fit) && build.hold(fit.feature()).inWaste()) {
                Region cut = cut(fit.feature(), pockets);
                Set<StepKey> firsts = new LinkedHashSet<>();
                for (GuidedPocket p : pockets) {
                    StepKey first = firstCuts.get(p.feature());
                    if (first != null
                            && p.face() == fit.face()
                            && !p.feature().equals(fit.feature())
                            && places(p, cut).size() >= LEAST_SEATS) {
                        firsts.add(first);
                    }
                }
                seated.put(fit.key(), firsts);
            }
        }
        return seated;
    }

    private static boolean fixes(Operation step) {
        return step.key().is(StepKind.FIT) && step.setting() instanceof Setting.ByHand;
    }

    /** What a template leads the cutting of, and what screws keep off round it. */
    private static Region cut(Feature feature, List<GuidedPocket> pockets) {
        return pockets.stream()
                .filter(p -> p.feature().equals(feature))
                .findFirst()
                .map(p -> p.plan().grown(SCREW_CLEARS))
                .orElse(Region.EMPTY);
    }

    /** The two places of a cavity's waste that are farthest apart along it, or the one that there is room for. */
    private static List<Point> places(GuidedPocket waste, Region cut) {
        return Memo.here()
                .get(
                        new Asked(waste.plan(), waste.before().cavities(), cut),
                        () -> places(waste.plan().minus(waste.before().cavities()), cut),
                        p -> 64);
    }

    private record Asked(Region waste, Region before, Region cut) {}

    private static List<Point> places(Region waste, Region cut) {
        Region room = waste.grown(-SCREW_CLEARS).minus(cut);
        if (room.isEmpty()) {
            return List.of();
        }
        boolean tall = room.maxY() - room.minY() > room.maxX() - room.minX();
        Point one = room.farthest(tall ? 0 : 1, tall ? 1 : 0);
        Point other = room.farthest(tall ? 0 : -1, tall ? -1 : 0);
        return one.distance(other) < APART ? List.of(room.inner()) : List.of(other, one);
    }

    private static Reckoning longest(Build build, Feature feature, GuidedPocket waste) {
        double template = build.templateThickness(feature);
        return Reckoning.of("longest screw in the " + waste.noun(), Quantity.LENGTH)
                .length("template", Fact.typed(template))
                .length("cut there later", waste.depthNow().asFact())
                .length("left under its tip", Fact.rule(UNDER_TIP, "common practice"))
                .is(template + waste.depthNow().value() - UNDER_TIP, "template + cut there later − left under its tip");
    }

    /** The steps of a plan, those that fix a template saying how and where. */
    static List<Operation> said(Build build, History history, List<GuidedPocket> pockets) {
        List<Operation> said = new ArrayList<>();
        for (History.Step step : history.steps()) {
            Operation fit = step.operation();
            said.add(
                    fixes(fit) && !step.done()
                            ? of(build, history, fit.feature(), fit.face(), pockets)
                                    .on(fit)
                            : fit);
        }
        return said;
    }

    private Operation on(Operation fit) {
        String clamps = how().inWaste() ? "" : "clamps, ";
        return fit.with(new Setting.Fixed(clamps + words(), longest())).minding(List.of(Caution.of(how())));
    }

    /** The step at which a feature's template is fixed, or at which it is first cut. */
    private static int indexOf(History history, Feature feature, boolean fixed) {
        List<History.Step> steps = history.steps();
        for (int i = 0; i < steps.size(); i++) {
            boolean its = steps.get(i).operation().feature().equals(feature);
            boolean cuts = steps.get(i).changes().stream().anyMatch(Change.Remove.class::isInstance);
            boolean fits = steps.get(i).operation().key().equals(StepKey.of(feature, StepKind.FIT));
            if (its && (fixed ? fits : cuts)) {
                return i;
            }
        }
        return steps.size();
    }
}
