package ebauche.core.chamber;

import ebauche.core.design.Measurand;
import ebauche.core.feature.StepKey;
import ebauche.core.feature.StepKind;
import ebauche.core.feature.Work;
import ebauche.core.geometry.Face;
import ebauche.core.geometry.Outline;
import ebauche.core.geometry.Point;
import ebauche.core.geometry.Region;
import ebauche.core.hardware.Chamber;
import ebauche.core.hollow.CapPlate;
import ebauche.core.hollow.Carrying;
import ebauche.core.job.Build;
import ebauche.core.job.Finding;
import ebauche.core.job.Rule;
import ebauche.core.job.UnderTop;
import ebauche.core.measure.Reckoning;
import ebauche.core.operation.Operation;
import ebauche.core.passes.BaseSupport;
import ebauche.core.station.Station;
import ebauche.core.stock.FaceShape;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/** Chambers: marked on the core, hollowed out depth by depth or drilled in rows, and closed by the top. */
public final class ChamberStation implements Station {
    /** A floor that is drawn so near to a plate is that plate, mm. */
    private static final double DRAWN = 0.05;

    /** What a bit may leave in corners and along walls before it counts as shut out, mm². */
    private static final double NO_WAY = 300;

    @Override
    public Work work() {
        return Work.CHAMBER;
    }

    @Override
    public List<Operation> operations(Build build) {
        List<Operation> steps = new ArrayList<>();
        for (Chamber chamber : UnderTop.chambers(build)) {
            if (UnderTop.depth(build, chamber).value() > 0 && !isTooLate(build, chamber)) {
                steps.addAll(new ChamberSteps(build, chamber).all());
            }
        }
        InHollow.all(build).forEach(c -> steps.add(c.drill()));
        return steps;
    }

    /** A chamber with supports that carry the router which hollows it out, as far as rounds help; as it is where it stands without. */
    public static Chamber supported(Build build, Chamber chamber) {
        // Where supports stand already they are thought of anew.
        Chamber bare = new Chamber(chamber.id(), chamber.parts(), chamber.floor(), chamber.joins());
        List<Point> places = new ChamberSteps(build, bare)
                .routing()
                .map(HollowRouting::supports)
                .orElse(List.of());
        List<Outline> supports = UnderTop.isThrough(build, bare)
                ? reachingTheWall(bare, places)
                : places.stream().map(p -> Outline.circle(p, Carrying.SUPPORT)).toList();
        return new Chamber(
                chamber.id(), chamber.parts(), chamber.floor(), chamber.joins(), supports, chamber.soundHoles());
    }

    /** Supports as wide as round ones that the nearest wall holds: one by itself falls out where the hollow goes through the core. */
    private static List<Outline> reachingTheWall(Chamber chamber, List<Point> places) {
        Region plan = chamber.plan();
        Region held = Region.union(places.stream()
                .map(p -> Region.disc(p, Carrying.SUPPORT))
                .map(round -> round.hullWith(Region.disc(round.nearestToEdge(plan)[1], Carrying.SUPPORT)))
                .toList());
        return held.intersection(plan).parts().stream()
                .filter(part -> places.stream().anyMatch(part::contains))
                .map(part -> Outline.rings(part).get(0))
                .toList();
    }

    @Override
    public List<Reckoning> reckonings(Build build) {
        return UnderTop.chambers(build).stream()
                .map(c -> UnderTop.depth(build, c))
                .toList();
    }

    @Override
    public List<Rule> rules(Build build) {
        List<Rule> rules = new ArrayList<>();
        for (Chamber chamber : UnderTop.chambers(build)) {
            rules.addAll(carryAThumb(build, chamber));
            ChamberSteps steps = new ChamberSteps(build, chamber);
            steps.spur().ifPresent(rules::add);
            if (!build.isDone(StepKey.of(chamber.feature(), StepKind.ROUT))) {
                steps.routing()
                        .flatMap(HollowRouting::carrying)
                        .ifPresent(c -> rules.add(keepsTheRouterUp(chamber, c)));
            }
        }
        InHollow.all(build).forEach(c -> rules.addAll(c.rules()));
        return rules;
    }

    /** The top over it, and the back plate under it where it goes through the core. */
    private static List<Rule> carryAThumb(Build build, Chamber chamber) {
        List<Rule> rules = new ArrayList<>();
        cap(chamber, build.topReaches().orElse(0), build.finished(Face.FRONT))
                .ifPresent(c -> rules.add(carriesAThumb(chamber, c, "top over")));
        if (UnderTop.isThrough(build, chamber)) {
            cap(chamber, build.backReaches().orElse(0), build.finished(Face.BACK))
                    .ifPresent(c -> rules.add(carriesAThumb(chamber, c, "back plate under")));
        }
        return rules;
    }

    /** What is left of a plate over the widest span between walls and posts, with what the contours of its face take there. */
    private static Optional<CapPlate> cap(Chamber chamber, double reaches, FaceShape face) {
        return chamber.plan().parts().stream()
                .filter(p -> reaches > face.mostFall(p))
                .map(p -> CapPlate.over(p, reaches - face.mostFall(p)))
                .max(Comparator.comparingDouble(c -> c.deflection().value()));
    }

    private static Rule carriesAThumb(Chamber chamber, CapPlate cap, String plate) {
        String cure = "Leave a post or a wider centre block in it, or take a thicker top or plate.";
        String said = plate + " the " + chamber.feature().said();
        return Rule.of(Work.CHAMBER, "cap-bends", Rule.About.WOOD)
                .on(chamber.feature())
                .at(chamber.plan().inner())
                .says("The " + said + " carries a thumb.")
                .atMost(cap.deflection(), CapPlate.FELT)
                .cure(cure)
                .fails(() -> Finding.thinkAgain(Work.CHAMBER, "cap-bends")
                        .on(chamber.feature())
                        .at(chamber.plan().inner())
                        .length("gives under a thumb", cap.deflection().value())
                        .length("felt from", CapPlate.FELT)
                        .says("The " + said + " gives {0} under a thumb; from {1} on it is felt.", cure))
                .build();
    }

    private static Rule keepsTheRouterUp(Chamber chamber, Carrying carrying) {
        String cure =
                "Leave supports in it that carry the base and are cut away afterwards, or put a wider base on the router.";
        String said = chamber.feature().said();
        return Rule.of(Work.CHAMBER, "router-falls-in", Rule.About.CAVITIES)
                .on(chamber.feature())
                .at(carrying.worst())
                .says("The router's base is carried wherever its bit goes in the " + said + ".")
                .atLeast(carrying.reckoning(said), BaseSupport.TIPS)
                .cure(cure)
                .fails(() -> Finding.thinkAgain(Work.CHAMBER, "router-falls-in")
                        .on(chamber.feature())
                        .at(carrying.worst())
                        .length("base", carrying.base())
                        .says(
                                "When most of the " + said + " is out, a router on a base of {0} "
                                        + (carrying.stand() < 0 ? "falls into it." : "tips over its edge."),
                                cure))
                .build();
    }

    @Override
    public List<Finding> check(Build build) {
        List<Finding> found = new ArrayList<>();
        boolean open = !build.design().blank().isCovered();
        for (Chamber chamber : build.design().chambers()) {
            if (open) {
                found.add(finding(chamber, "chamber-open")
                        .says(
                                "Nothing closes the " + chamber.feature().said() + ": the blank has no top.",
                                "Give the blank a top, or make it a cavity from the back with a cover."));
            }
        }
        for (Chamber chamber : UnderTop.chambers(build)) {
            double depth = UnderTop.depth(build, chamber).value();
            if (!(depth > 0)) {
                found.add(finding(chamber, "chamber-no-depth")
                        .length("short by", -depth)
                        .says(
                                "With the floor that the " + chamber.feature().said()
                                        + " leaves the core is all floor: {0} too much.",
                                "Leave a thinner floor, or take a thicker core."));
            } else if (isTooLate(build, chamber)) {
                found.add(finding(chamber, "chamber-closed")
                        .says(
                                "The top is glued on, and the "
                                        + chamber.feature().said() + " was never hollowed out.",
                                "Leave it out, or reach it from the back as a cavity with a cover."));
            } else {
                ChamberSteps steps = new ChamberSteps(build, chamber);
                steps.lacksBit().ifPresent(found::add);
                noWay(build, chamber, steps).ifPresent(found::add);
                stillStands(build, chamber).ifPresent(found::add);
                found.addAll(onItsPlate(build, chamber));
            }
        }
        InHollow.all(build).forEach(c -> c.noWayIn().ifPresent(found::add));
        return found;
    }

    /** What a back plate under it makes of its floor and of what stands in it. */
    private static List<Finding> onItsPlate(Build build, Chamber chamber) {
        String said = chamber.feature().said();
        List<Finding> found = new ArrayList<>();
        double least = build.shop().limits().thinnestFloor();
        boolean through = UnderTop.isThrough(build, chamber);
        double web = through ? 0 : UnderTop.web(build, chamber).orElse(0);
        if (web > 0 && web < least) {
            found.add(Finding.thinkAgain(Work.CHAMBER, "chamber-web")
                    .on(chamber.feature())
                    .at(chamber.plan().inner())
                    .length("left of the core", web)
                    .length("thinnest floor", least)
                    .says(
                            "Before the back plate is on, the " + said
                                    + " leaves only {0} of the core under it; under {1} it breaks through.",
                            "Take it through the core, down to the plate, or leave a thicker floor."));
        }
        boolean done = build.isDone(StepKey.of(chamber.feature(), StepKind.ROUT));
        Region loose = through && !done ? chamber.loose() : Region.EMPTY;
        if (!loose.isEmpty()) {
            found.add(Finding.stops(Work.CHAMBER, "support-falls-out")
                    .on(chamber.feature())
                    .at(loose.inner())
                    .says(
                            "The " + said
                                    + " goes through the core, and a support in it is held by no wall: it falls out.",
                            "Draw it out to a wall, or leave some of the core under the " + said + "."));
        }
        double asked = build.drawn().chambers().stream()
                .filter(c -> c.id().equals(chamber.id()))
                .mapToDouble(Chamber::floor)
                .findFirst()
                .orElse(chamber.floor());
        if (asked < chamber.floor() - DRAWN) {
            found.add(Finding.goodToKnow(Work.CHAMBER, "chamber-on-plate")
                    .on(chamber.feature())
                    .at(chamber.plan().inner())
                    .length("back plate", chamber.floor())
                    .length("asked", asked)
                    .says(
                            "The " + said
                                    + " goes through the core: its floor is the back plate, {0} in the finished body, not the {1} asked for.",
                            "Saw a thinner back off if the floor is to be thinner."));
        }
        return found;
    }

    /** Its supports leave the bit no way round them. */
    private static Optional<Finding> noWay(Build build, Chamber chamber, ChamberSteps steps) {
        boolean done = build.isDone(StepKey.of(chamber.feature(), StepKind.ROUT));
        double left = done || chamber.supports().isEmpty()
                ? 0
                : steps.routing().map(HollowRouting::notReached).orElse(0.0);
        return left < NO_WAY
                ? Optional.empty()
                : Optional.of(
                        Finding.thinkAgain(Work.CHAMBER, "supports-in-the-way")
                                .on(chamber.feature())
                                .at(chamber.standing().inner())
                                .says(
                                        "The supports of the "
                                                + chamber.feature().said() + " leave the bit no way to "
                                                + Math.round(100
                                                        * left
                                                        / chamber.routed().area()) + " % of it.",
                                        "Move them farther from each other and from the walls, fewer of them, or take a narrower bit."));
    }

    /** Drawn larger once it was hollowed out: told while it is open, and when nobody can reach it any more. */
    private static Optional<Finding> stillStands(Build build, Chamber chamber) {
        Region rest = UnderTop.rest(build, chamber);
        if (rest.isEmpty()) {
            return Optional.empty();
        }
        String said = chamber.feature().said();
        boolean closed = UnderTop.isClosed(build);
        return Optional.of(
                (closed
                                ? Finding.thinkAgain(Work.CHAMBER, "chamber-lacks")
                                : Finding.goodToKnow(Work.CHAMBER, "chamber-lacks"))
                        .on(chamber.feature())
                        .at(rest.inner())
                        .says(
                                "The " + said + " is hollowed out, and "
                                        + Math.round(100
                                                * rest.area()
                                                / chamber.plan().area())
                                        + " % of what is drawn now still stand"
                                        + (closed ? ", under the top." : "."),
                                closed
                                        ? "Draw it as it was cut: nobody reaches it any more."
                                        : "Its plan has a step that takes the rest out before the top is glued on; or draw it as it was cut."));
    }

    private static Finding.Builder finding(Chamber chamber, String rule) {
        Region plan = chamber.plan();
        return Finding.stops(Work.CHAMBER, rule).on(chamber.feature()).at(plan.inner());
    }

    /** Whether the top was glued on before it was hollowed out. */
    private static boolean isTooLate(Build build, Chamber chamber) {
        return UnderTop.isClosed(build) && !build.isDone(StepKey.of(chamber.feature(), StepKind.ROUT));
    }

    /** What is read of a chamber once it is hollowed out. */
    static Measurand read(Chamber chamber) {
        return new Measurand.DepthOf(chamber.feature());
    }
}
