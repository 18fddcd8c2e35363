package ebauche.core.cavity;

import ebauche.core.build.Build;
import ebauche.core.crib.Fit;
import ebauche.core.design.StringSetup;
import ebauche.core.geometry.Face;
import ebauche.core.geometry.Point;
import ebauche.core.geometry.Region;
import ebauche.core.hardware.Bridge;
import ebauche.core.hardware.Part;
import ebauche.core.measure.Reckoning;
import ebauche.core.operation.Caution;
import ebauche.core.operation.Condition;
import ebauche.core.operation.Operation;
import ebauche.core.routing.Datum;
import ebauche.core.routing.Drilling;
import ebauche.core.stock.Change;
import ebauche.core.stock.Solid;
import ebauche.core.stock.WoodLeft;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.stream.IntStream;

/**
 * Strings through the body. With ferrules small holes come first, in which the spur of the seats' drill finds its place; then the
 * seats, and last the holes are opened to their width, so that no drill is set down on a hole wider than its spur.
 */
final class StringWork {
    /** Small enough for a spur, stiff enough for a body: common practice. */
    private static final double LOCATING = 2.4;

    private static final Condition.Access STRINGS = new Condition.Access("strings' holes through the body");
    private static final Condition.Access SMALL = new Condition.Access("small holes through the body for the strings");
    private static final Condition.Mark SEATS = new Condition.Mark("the ferrules' seats bored");

    private static final String LOCATE = "locate";
    private static final String DRILL = "drill";

    private final Build build;
    private final Bridge bridge;

    StringWork(Build build) {
        this.build = build;
        this.bridge = build.design().bridge();
    }

    /** One hole a string, at the strings' spread, from the front so that they meet the bridge. */
    List<Point> places(Bridge.StringThrough through) {
        StringSetup strings = build.design().strings();
        return IntStream.range(0, strings.count())
                .mapToObj(i -> new Point(bridge.offCentre() + strings.offset(i), through.y()))
                .toList();
    }

    List<Operation> operations(Bridge.StringThrough through) {
        List<Operation> steps = new ArrayList<>();
        boolean drilledBefore =
                build.isDone(Bridge.STRING_HOLES + ":" + DRILL) && !build.isDone(Bridge.STRING_HOLES + ":" + LOCATE);
        boolean small = through.ferrule().isPresent() && !drilledBefore;
        if (small) {
            steps.add(drill(through, LOCATE, "Drill small holes for the strings through the body", LOCATING)
                    .gives(SMALL)
                    .needs(Datum.BRIDGE_MARKED)
                    .build());
        }
        through.ferrule().ifPresent(f -> steps.add(seats(through, f, small ? SMALL : STRINGS)));
        String title = small ? "Open the strings' holes to their width" : "Drill the strings' holes through the body";
        steps.add(drill(through, DRILL, title, through.diameter())
                .gives(STRINGS)
                .needs(small ? SEATS : Datum.BRIDGE_MARKED)
                .build());
        return steps;
    }

    private Operation.Builder drill(Bridge.StringThrough through, String key, String title, double wide) {
        double top = build.faces().frontNow();
        double bottom = build.faces().backNow();
        Operation.Builder step = Operation.of("cavity", Bridge.STRING_HOLES, key, title)
                .set(Drilling.through(build, wide, Fit.CLEAR, Drilling.throughBody(build)))
                .needs(Datum.flat(build, Face.FRONT, bridge.footprint()))
                .joins(Set.of(WoodLeft.BACK, Bridge.FERRULES))
                .caution(Caution.DRILL)
                .takes(25, 0, 0.01);
        for (Point at : places(through)) {
            Region hole = Region.disc(at, wide);
            step.cuts(Change.Remove.fromBody(Bridge.STRING_HOLES, Solid.Prism.between(hole, top, bottom)))
                    .needs(Datum.wood(build, hole));
        }
        return step;
    }

    /** Seats for the ferrules, on the holes that came through; out of line shows at once. */
    private Operation seats(Bridge.StringThrough through, Part ferrule, Condition.Access holes) {
        Reckoning finished = build.fitting().bridges().ferruleDepth(ferrule);
        double seat = build.fitting().bridges().ferruleSeat(ferrule).value();
        Reckoning depth = build.fromAsItIs(
                Face.BACK, "ferrule seat from the back as it is now", finished.what(), finished.asFact());
        double floor = build.faces().planeUnderFinished(Face.BACK, finished.value());
        Operation.Builder step = Operation.of("cavity", Bridge.FERRULES, "bore", "Bore the ferrules' seats in the back")
                .face(Face.BACK)
                .set(Drilling.to(build, seat, Fit.PRESS, depth, "deep from the back"))
                .needs(holes)
                .gives(SEATS)
                .joins(Set.of(Bridge.STRING_HOLES))
                .caution(Caution.DRILL)
                .takes(25, 0, 0.008);
        for (Point at : places(through)) {
            Region hole = Region.disc(at, seat);
            step.cuts(Change.Remove.fromBody(
                    Bridge.FERRULES,
                    Solid.Prism.between(hole, floor, build.faces().backNow())));
        }
        return step.build();
    }
}
