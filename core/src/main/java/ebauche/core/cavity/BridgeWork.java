package ebauche.core.cavity;

import ebauche.core.crib.Fit;
import ebauche.core.feature.Feature;
import ebauche.core.feature.FeatureKind;
import ebauche.core.feature.StepKey;
import ebauche.core.feature.StepKind;
import ebauche.core.feature.Work;
import ebauche.core.geometry.Face;
import ebauche.core.geometry.Point;
import ebauche.core.geometry.Region;
import ebauche.core.hardware.Bridge;
import ebauche.core.job.AsCut;
import ebauche.core.job.Build;
import ebauche.core.job.Finding;
import ebauche.core.job.Rule;
import ebauche.core.measure.Quantity;
import ebauche.core.measure.Reckoning;
import ebauche.core.operation.Caution;
import ebauche.core.operation.Condition;
import ebauche.core.operation.Operation;
import ebauche.core.operation.Place;
import ebauche.core.operation.Setting;
import ebauche.core.routing.Datum;
import ebauche.core.routing.Drilling;
import ebauche.core.routing.GuidedPocket;
import ebauche.core.stock.Change;
import ebauche.core.stock.Plane;
import ebauche.core.stock.Solid;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/** What the bridge takes out of the body: its studs, its recess, a vibrato route and springs. */
final class BridgeWork {
    /** Nothing is cut for the bridge before. */
    static final Condition.Mark PROVED =
            new Condition.Mark(StepKey.of(Bridge.FEATURE, StepKind.TRIAL), "the bridge's place proved by a trial");

    static final Feature STUDS = Bridge.STUDS;
    static final Feature RECESS = Feature.of(FeatureKind.BRIDGE_RECESS);
    static final Feature ROUTE = Feature.of(FeatureKind.VIBRATO);
    static final Feature SPRINGS = Bridge.SPRINGS;

    private static final Condition.Access STUD_HOLES =
            new Condition.Access(StepKey.of(STUDS, StepKind.DRILL), "bridge stud holes");
    private static final Condition.Access LOCATED =
            new Condition.Access(StepKey.of(ROUTE, StepKind.LOCATE), "two holes through the vibrato route");

    /** Holes that show on the back where the front is routed: small, so that they vanish in both routes; common practice. */
    private static final double LOCATING = 3;

    private static final double FROM_CORNER = 4;

    private final Build build;
    private final Bridge bridge;

    BridgeWork(Build build) {
        this.build = build;
        this.bridge = build.design().bridge();
    }

    List<Finding> check() {
        List<Finding> found = new ArrayList<>();
        Region body = build.design().outline().region();
        if (!body.contains(bridge.footprint())) {
            found.add(Finding.stops(Work.CAVITY, "bridge-off-body")
                    .on(Bridge.FEATURE)
                    .at(new Point(bridge.offCentre(), bridge.footprintY()))
                    .says("The bridge's footprint runs off the body.", "Check its place, or the outline's unit."));
        }
        bridge.studs()
                .ifPresent(s -> holes(
                        STUDS,
                        "bridge's stud",
                        List.of(stud(s, -1), stud(s, 1)),
                        s.diameter(),
                        body,
                        "Move the bridge, or take one with its studs closer together.",
                        found));
        bridge.stringThrough().ifPresent(s -> checkStrings(s, body, found));
        checkSpread(found);
        bridge.vibrato().ifPresent(v -> checkSprings(v, found));
        return found;
    }

    /** Springs hook into the block: their cavity must really meet its route, over the block's whole width. */
    private void checkSprings(Bridge.Vibrato vibrato, List<Finding> found) {
        Region route = route(vibrato);
        Region springs = springs(vibrato);
        double apart = Math.max(route.minY() - springs.maxY(), springs.minY() - route.maxY());
        if (apart >= 0) {
            found.add(Finding.stops(Work.CAVITY, "springs-miss-route")
                    .on(SPRINGS)
                    .at(new Point(
                            bridge.offCentre(),
                            (Math.min(route.maxY(), springs.maxY()) + Math.max(route.minY(), springs.minY())) / 2))
                    .length("wood between", apart)
                    .says(
                            "Between the spring cavity and the vibrato route {0} of wood is left: the springs do not reach the block.",
                            "Make the spring cavity longer by more than that, or move it towards the bridge."));
        }
    }

    private Region route(Bridge.Vibrato v) {
        return v.route(bridge.offCentre());
    }

    private Region springs(Bridge.Vibrato v) {
        return v.springs(bridge.offCentre());
    }

    /** Holes that leave the body, one finding for the worst. */
    static void holes(
            Feature feature,
            String what,
            List<Point> places,
            double diameter,
            Region body,
            String cure,
            List<Finding> found) {
        places.stream()
                .filter(at -> !body.contains(Region.disc(at, diameter)))
                .max(Comparator.comparingDouble(body::outside))
                .ifPresent(at -> found.add(Finding.stops(Work.CAVITY, "hole-off-body")
                        .on(feature)
                        .at(at)
                        .length("across from the centre line", at.x())
                        .length("from the scale line", at.y())
                        .length("beyond by", body.outside(at) + diameter / 2)
                        .says(
                                "The hole of the " + what
                                        + " at {0} from the centre line and {1} from the scale line reaches {2} off the body.",
                                cure)));
    }

    private void checkStrings(Bridge.StringThrough through, Region body, List<Finding> found) {
        List<Point> places =
                new StringWork(build, through).places().stream().map(Place::at).toList();
        double widest = through.ferrule()
                .map(f -> build.fitting().ferrule(Bridge.FERRULES, f).seat().value())
                .orElse(through.diameter());
        holes(Bridge.STRING_HOLES, "string", places, widest, body, "Move the row of holes, or the outline.", found);
        places.stream()
                .filter(at -> !bridge.footprint().contains(Region.disc(at, through.diameter())))
                .max(Comparator.comparingDouble(bridge.footprint()::outside))
                .ifPresent(at -> found.add(Finding.thinkAgain(Work.CAVITY, "string-beside-bridge")
                        .on(Bridge.STRING_HOLES)
                        .at(at)
                        .length("beyond by", bridge.footprint().outside(at) + through.diameter() / 2)
                        .says(
                                "A string's hole comes up {0} outside the bridge's footprint, where it shows and no string leads to it.",
                                "Move the row of holes under the bridge, or check the bridge's size.")));
    }

    /** Strings that are spread wider than the bridge. */
    private void checkSpread(List<Finding> found) {
        double spread = build.design().strings().spread();
        if (spread > bridge.across()) {
            found.add(Finding.stops(Work.CAVITY, "strings-beside-bridge")
                    .on(Bridge.FEATURE)
                    .at(new Point(bridge.offCentre() + spread / 2, 0))
                    .length("strings' spread", spread)
                    .length("bridge across", bridge.across())
                    .says(
                            "The outer strings are {0} apart at the saddles, and the bridge is only {1} across.",
                            "Check the strings' spread, or take a wider bridge."));
        }
    }

    private Point stud(Bridge.Studs studs, int side) {
        return new Point(bridge.offCentre() + side * studs.spacing() / 2, studs.y());
    }

    /** A body of 1 3/8 to 1 1/2 in leaves a standard block at least 1/2 in proud of the back: common practice. */
    List<Rule> rules() {
        return bridge.vibrato().map(this::block).stream().toList();
    }

    private Rule block(Bridge.Vibrato vibrato) {
        Reckoning block = build.blockReach().orElseThrow();
        double thickness = build.faces().thickness();
        double room = thickness - block.value();
        Point at = new Point(bridge.offCentre(), vibrato.routeY());
        Reckoning behind = Reckoning.of("room behind the vibrato's block", Quantity.LENGTH)
                .length(
                        "finished thickness",
                        build.faces().thicknessReckoning(build).asFact())
                .length(block.what(), block.asFact())
                .is(room, "finished thickness − " + block.what());
        return Rule.of(Work.CAVITY, "block", Rule.About.SPEC)
                .on(ROUTE)
                .at(at)
                .says("The vibrato's block stays inside the back.")
                .atLeast(behind, 0)
                .tight(vibrato.blockClearance())
                .cure("A thicker body, a shorter block, or a bridge without one.")
                .fails(() -> Finding.stops(Work.CAVITY, "block-too-long")
                        .on(ROUTE)
                        .at(at)
                        .length("block", block.value())
                        .length("body", thickness)
                        .length("proud by", -room)
                        .says(
                                "The vibrato's block reaches {0} down and the body is {1} thick: it stands {2} out of the back.",
                                "A body at least {2} thicker, a shorter block, or a bridge without one."))
                .onlyJust(() -> Finding.thinkAgain(Work.CAVITY, "block-near-back")
                        .on(ROUTE)
                        .at(at)
                        .length("block", block.value())
                        .length("body", thickness)
                        .length("room left", room)
                        .says(
                                "The vibrato's block reaches {0} down into a body {1} deep: {2} is left behind it.",
                                "Leave the cover off, or take a shorter block."))
                .build();
    }

    /** Its guided pockets; none for a bridge that stands on the front. */
    List<GuidedPocket> pockets() {
        List<GuidedPocket> pockets = new ArrayList<>();
        Optional<GuidedPocket> route = bridge.vibrato().map(this::routed);
        bridge.vibrato().ifPresent(v -> pockets.add(springs(v, route.orElseThrow())));
        route.ifPresent(pockets::add);
        if (bridge.recess() > 0) {
            GuidedPocket recess = pocket(
                    RECESS,
                    "bridge recess",
                    Face.FRONT,
                    bridge.footprint().opened(2 * Bridge.ROUTE_CORNER),
                    build.fitting().bridges().recess(bridge),
                    Set.of(STUDS, ROUTE),
                    onFront());
            pockets.add(route.map(recess::afterCavity).orElse(recess));
        }
        return pockets;
    }

    private GuidedPocket springs(Bridge.Vibrato v, GuidedPocket route) {
        boolean located = located();
        GuidedPocket springs = pocket(
                SPRINGS,
                "spring cavity",
                Face.BACK,
                springs(v),
                Reckoning.typed("spring cavity depth", v.springsDepth()),
                Set.of(ROUTE),
                located ? LOCATED : route.atDepth());
        return located ? springs.afterHoles(locating(v), LOCATED) : springs.afterCavity(route);
    }

    private GuidedPocket routed(Bridge.Vibrato v) {
        GuidedPocket route = pocket(
                ROUTE,
                "vibrato route",
                Face.FRONT,
                route(v),
                Reckoning.typed("vibrato route depth", build.faces().thickness()),
                Set.of(SPRINGS, RECESS, Feature.BACK),
                onFront());
        return located() ? route.afterHoles(locating(v), LOCATED) : route;
    }

    /** Whether small holes place the spring cavity: one that was begun without them is placed by the route itself. */
    private boolean located() {
        return build.isDone(StepKey.of(ROUTE, StepKind.LOCATE)) || !new AsCut(build, ROUTE, Face.FRONT).isBegun();
    }

    /** What shows on the front where the bridge comes. */
    private Condition onFront() {
        return bridge.studs().isPresent() ? STUD_HOLES : Datum.BRIDGE_MARKED;
    }

    private GuidedPocket pocket(
            Feature feature,
            String noun,
            Face face,
            Region plan,
            Reckoning depth,
            Set<Feature> joins,
            Condition located) {
        return new GuidedPocket(
                build,
                Work.CAVITY,
                feature,
                noun,
                face,
                plan,
                Plane.at(build.faces().planeUnderFinished(face, depth.value())),
                depth,
                Bridge.ROUTE_CORNER,
                joins,
                located,
                false,
                GuidedPocket.CutBefore.NOTHING);
    }

    List<Operation> operations() {
        List<Operation> steps = new ArrayList<>();
        bridge.studs().ifPresent(studs -> steps.add(drillStuds(studs)));
        bridge.stringThrough().ifPresent(s -> steps.addAll(new StringWork(build, s).operations()));
        bridge.vibrato().filter(v -> located()).ifPresent(v -> steps.add(drillLocating(v)));
        pockets().forEach(p -> steps.addAll(p.operations()));
        return proved(steps);
    }

    /** Nothing is drilled or routed for the bridge before a trial has shown that its place is right. */
    private List<Operation> proved(List<Operation> steps) {
        if (steps.stream().noneMatch(s -> s.needs().contains(Datum.BRIDGE_MARKED))) {
            return steps;
        }
        List<Operation> all = new ArrayList<>();
        all.add(Operation.of(Work.CAVITY, Bridge.FEATURE, StepKind.TRIAL, "Prove the bridge's place with a trial")
                .set(new Setting.ByHand(trial() + "; the outer strings and the centre line looked along"))
                .needs(Datum.BRIDGE_MARKED)
                .gives(PROVED)
                .takes(10, 0, 0.001)
                .build());
        steps.forEach(s -> all.add(s.needs().contains(Datum.BRIDGE_MARKED) ? s.needing(PROVED) : s));
        return all;
    }

    private String trial() {
        if (bridge.studs().isPresent()) {
            return "the drill's spur alone at each stud's mark, the bridge's posts held over them";
        }
        return bridge.vibrato().isPresent() || bridge.recess() > 0
                ? "a cut of a millimetre to the template, the bridge set in it"
                : "the bridge held on its marks, a drill's spur alone at two of its holes";
    }

    /** Two places in the block's route that the spring cavity takes away too, or else in the middle of the route. */
    private List<Point> locatingPlaces(Bridge.Vibrato v) {
        Region route = route(v);
        Region springs = springs(v);
        double low = Math.max(route.minY(), springs.minY());
        double high = Math.min(route.maxY(), springs.maxY());
        double y = low < high ? (low + high) / 2 : v.routeY();
        double aside = Math.max(0, Math.min(v.routeAcross(), v.springsAcross()) / 2 - FROM_CORNER - LOCATING / 2);
        return List.of(new Point(bridge.offCentre() - aside, y), new Point(bridge.offCentre() + aside, y));
    }

    private Region locating(Bridge.Vibrato v) {
        return locatingPlaces(v).stream().map(at -> Region.disc(at, LOCATING)).reduce(Region.EMPTY, Region::union);
    }

    /** The spring cavity is cut from the other face: what places it must come through to the back first. */
    private Operation drillLocating(Bridge.Vibrato v) {
        double top = build.faces().frontNow();
        double bottom = build.faces().backNow();
        Operation.Builder step = Operation.of(
                        Work.CAVITY,
                        ROUTE,
                        StepKind.LOCATE,
                        "Drill two small holes through the vibrato route, to place the springs")
                .set(Drilling.through(build, LOCATING, Fit.CLEAR, Drilling.throughBody(build)))
                .needs(onFront(), Datum.flat(build, Face.FRONT, bridge.footprint()))
                .gives(LOCATED)
                .joins(Set.of(SPRINGS, RECESS, Feature.BACK))
                .caution(Caution.DRILL)
                .takes(8, 0, 0.002);
        for (Point at : locatingPlaces(v)) {
            Region hole = Region.disc(at, LOCATING);
            step.at(side(at) + " hole", at)
                    .cuts(Change.Remove.fromBody(ROUTE, Solid.Prism.between(hole, top, bottom)))
                    .needs(Datum.wood(build, hole));
        }
        return step.build();
    }

    /** Which side of the bridge's middle a place lies on. */
    private String side(Point at) {
        return build.design().hand().side(at.x() - bridge.offCentre());
    }

    private Operation drillStuds(Bridge.Studs studs) {
        double top = build.faces().frontNow();
        double bottom = build.faces().planeUnderFinished(Face.FRONT, studs.depth());
        Reckoning finished = build.fitting().bridges().studDepth(bridge);
        Reckoning depth = build.fromAsItIs(
                Face.FRONT, "stud hole from the front as it is now", finished.what(), finished.asFact());
        Operation.Builder step = Operation.of(Work.CAVITY, STUDS, StepKind.DRILL, "Drill the bridge stud holes")
                .set(Drilling.to(build, studs.diameter(), Fit.PRESS, depth, "deep from the front"))
                .needs(Datum.BRIDGE_MARKED, Datum.flat(build, Face.FRONT, bridge.footprint()))
                .gives(STUD_HOLES)
                .joins(Set.of(RECESS))
                .caution(Caution.DRILL)
                .takes(20, 0, 0.008);
        for (int side = -1; side <= 1; side += 2) {
            Point at = stud(studs, side);
            Region hole = Region.disc(at, studs.diameter());
            step.at(side(at) + " stud", at)
                    .cuts(Change.Remove.fromBody(STUDS, Solid.Prism.between(hole, top, bottom)))
                    .needs(new Condition.Wood(hole, build.faces().frontFinished(), bottom));
        }
        return step.build();
    }
}
