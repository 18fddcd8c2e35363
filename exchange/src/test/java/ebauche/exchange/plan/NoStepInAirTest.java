package ebauche.exchange.plan;

import static org.assertj.core.api.Assertions.assertThat;

import ebauche.core.geometry.Face;
import ebauche.core.geometry.Point;
import ebauche.core.geometry.Region;
import ebauche.core.job.Build;
import ebauche.core.job.FinishedFaces;
import ebauche.core.job.History;
import ebauche.core.job.UnderTop;
import ebauche.core.logbook.AsBuilt;
import ebauche.core.operation.Operation;
import ebauche.core.operation.Setting;
import ebauche.core.passes.Pass;
import ebauche.core.plan.Planner;
import ebauche.core.plan.Schedule;
import ebauche.core.plan.Stations;
import ebauche.core.routing.DrillPattern;
import ebauche.core.routing.GuidedPocket;
import ebauche.core.stock.Change;
import ebauche.core.stock.Solid;
import ebauche.core.stock.Stock;
import ebauche.exchange.OddBodies;
import ebauche.exchange.Remembering;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/**
 * No step of a plan cuts air, told from the wood on the grid as it is before the step: each pass of a router takes wood over its depth,
 * the template lies on wood along its line, a bearing without one has a wall to run on, a drill has wood down to its stop and for its
 * spur under it, and every single hole is bored into wood.
 */
@Tag("slow")
@ExtendWith(Remembering.class)
class NoStepInAirTest {
    /** Of what a pass sweeps, at least so much is wood: drilling leaves a skin round the cavity. */
    private static final double PASS = 0.03;

    /** Of a template's line, at least so much lies on the face: a cavity may open into its neighbour on one side. */
    private static final double LINE = 0.5;

    /** Of a wall that a bearing runs on. */
    private static final double WALL = 0.5;

    /** Of a single hole between the faces: a neck screw is drilled from the floor of its pocket. */
    private static final double HOLE = 0.3;

    /** A hole of drilled waste takes an eighth of itself at least. */
    private static final double WASTE = 0.12;

    /** No pass is set up for a shaving, mm. */
    private static final double BITE = 0.3;

    private static final double STEP = 0.5;

    static List<String> bodies() {
        return OddBodies.ALL;
    }

    private Schedule plan;
    private FinishedFaces faces;
    private final List<String> inAir = new ArrayList<>();

    @ParameterizedTest
    @MethodSource("bodies")
    void every_step_has_its_wood(String body) {
        Build bare = OddBodies.read(body).build();
        look(new Build(bare.drawn(), bare.shop(), new AsBuilt(List.of())));
    }

    /** What is done already, with what was read of it, moves the rest. */
    @ParameterizedTest
    @MethodSource("bodies")
    void what_is_left_of_a_body_begun_has_its_wood(String body) {
        look(OddBodies.read(body).build());
    }

    private void look(Build build) {
        plan = Planner.schedule(build);
        faces = plan.build().faces();
        int routed = 0;
        int drilled = 0;
        for (int i = 0; i < plan.steps().size(); i++) {
            if (plan.steps().get(i).done()) {
                continue;
            }
            Operation step = plan.steps().get(i).operation();
            Stock before = plan.history().before(i);
            if (step.setting() instanceof Setting.Routed && isCavity(step)) {
                routed += checkRouted(step, before);
            } else if (step.setting() instanceof Setting.Drilled
                    && step.key().written().endsWith(":waste")) {
                drilled += checkWaste(step, before);
            } else if (step.setting() instanceof Setting.Drilled) {
                checkHoles(step, before);
            }
        }
        assertThat(inAir).isEmpty();
        assertThat(routed).as("passes looked at").isGreaterThan(10);
        assertThat(drilled).as("holes in waste looked at").isGreaterThan(10);
    }

    private void wants(String what, double share, double least) {
        if (!(share > least)) {
            inAir.add(what + ": " + share);
        }
    }

    private static boolean isCavity(Operation step) {
        return step.changes().stream().anyMatch(History::isVoid);
    }

    private GuidedPocket pocket(Operation step) {
        List<GuidedPocket> pockets = Stations.pockets(plan.build());
        return pockets.stream()
                .filter(p -> p.feature().equals(step.feature()))
                .findFirst()
                .orElseThrow();
    }

    /** How far under the front the face lies that a step works from: on the core its own front. */
    private double under(Operation step) {
        return step.onCore()
                ? UnderTop.front(plan.build()) - plan.build().faces().frontNow()
                : 0;
    }

    private int checkRouted(Operation step, Stock before) {
        Region area = step.onCore()
                ? step.changes().get(0).solid().plan()
                : pocket(step).plan();
        double face = under(step);
        Region body = plan.build().design().outline().region();
        Region line = area.grown(2).minus(area).intersection(body);
        List<Pass> passes = step.setting().passes();
        for (Pass pass : passes) {
            wants(
                    "wood for pass " + pass.from() + " to " + pass.to() + " of " + step.key(),
                    share(before, area.intersection(body), step.face(), face + pass.from(), face + pass.to()),
                    PASS);
            wants("a bite worth its pass, of " + step.key(), pass.to() - pass.from(), BITE);
            double width = pass.cutter().bit().guideWidth();
            double end = pass.to() - pass.cutter().bit().cutterLength();
            switch (pass.guide()) {
                case TEMPLATE ->
                    wants(
                            "face under the template's line of " + step.key(),
                            share(before, line, step.face(), 0, 1),
                            LINE);
                case WALL ->
                    wants(
                            "wall for " + step.key(),
                            share(before, line, step.face(), Math.max(0, end - width), end),
                            WALL);
                case FAR_WALL ->
                    wants(
                            "wall beyond for " + step.key(),
                            share(before, line, step.face(), pass.to(), pass.to() + width),
                            WALL);
                case FREEHAND, EDGE, UNDER -> {}
            }
        }
        return passes.size();
    }

    /** Drilled on the core: every hole has its wood, from the core's front down to the stop. */
    private int checkWasteOnCore(Operation step, Stock before) {
        double stop = step.setting().figure().orElseThrow().value();
        List<Region> holes = step.changes().get(0).solid().plan().parts();
        for (Region hole : holes) {
            wants(
                    "wood under the drill of " + step.key() + " at " + hole.centroid(),
                    share(before, hole, step.face(), under(step), under(step) + stop),
                    WASTE);
        }
        return holes.size();
    }

    private int checkWaste(Operation step, Stock before) {
        if (step.onCore()) {
            return checkWasteOnCore(step, before);
        }
        DrillPattern drilling = pocket(step).drilling().orElseThrow();
        double stop = step.setting().figure().orElseThrow().value();
        for (Point hole : drilling.holes()) {
            Region disc = Region.disc(hole, drilling.drill().diameter());
            wants(
                    "wood under the drill of " + step.key() + " at " + hole,
                    share(before, disc, step.face(), 0, stop),
                    WASTE);
            wants(
                    "wood for the spur of " + step.key() + " at " + hole,
                    share(before, Region.disc(hole, 2), step.face(), stop - 2, stop),
                    0.9);
        }
        return drilling.holes().size();
    }

    private void checkHoles(Operation step, Stock before) {
        for (Change change : step.changes()) {
            Solid solid = change.solid();
            Region inBody =
                    solid.plan().intersection(plan.build().design().outline().region());
            double from = Math.max(solid.shallowest(), faces.frontNow());
            double to = Math.min(solid.deepest(), faces.backNow());
            // A level bore is a cylinder: over its plan no more than π/4 of its height is in it.
            wants("wood for " + step.feature().said() + " of " + step.key(), share(before, inBody, from, to), HOLE);
        }
    }

    private double share(Stock wood, Region area, Face face, double from, double to) {
        return face == Face.FRONT
                ? share(wood, area, faces.frontNow() + from, faces.frontNow() + to)
                : share(wood, area, faces.backNow() - to, faces.backNow() - from);
    }

    /** Share of an area's column between two of the stock's depths that is wood. */
    private static double share(Stock wood, Region area, double from, double to) {
        double there = 0;
        int places = 0;
        for (double x = area.minX() + STEP / 2; x < area.maxX(); x += STEP) {
            for (double y = area.minY() + STEP / 2; y < area.maxY(); y += STEP) {
                if (area.contains(new Point(x, y))) {
                    places++;
                    there += within(wood.intervalsAt(x, y), from, to);
                }
            }
        }
        return there / (places * (to - from));
    }

    private static double within(double[] intervals, double from, double to) {
        double sum = 0;
        for (int i = 0; i + 1 < intervals.length; i += 2) {
            sum += Math.max(0, Math.min(to, intervals[i + 1]) - Math.max(from, intervals[i]));
        }
        return sum;
    }
}
