package ebauche.core.contour;

import ebauche.core.design.Contour;
import ebauche.core.design.Measurand;
import ebauche.core.feature.StepKey;
import ebauche.core.feature.StepKind;
import ebauche.core.feature.Work;
import ebauche.core.geometry.EdgeWalk;
import ebauche.core.geometry.Face;
import ebauche.core.geometry.Point;
import ebauche.core.geometry.Region;
import ebauche.core.hardware.Control;
import ebauche.core.job.Build;
import ebauche.core.job.CarveReadings;
import ebauche.core.job.Finding;
import ebauche.core.job.Rule;
import ebauche.core.measure.Fact;
import ebauche.core.measure.Quantity;
import ebauche.core.measure.Reckoning;
import ebauche.core.operation.Band;
import ebauche.core.operation.Caution;
import ebauche.core.operation.Condition;
import ebauche.core.operation.Inspection;
import ebauche.core.operation.LedgerRow;
import ebauche.core.operation.Operation;
import ebauche.core.operation.Place;
import ebauche.core.operation.Setting;
import ebauche.core.routing.Datum;
import ebauche.core.routing.TemplateLine;
import ebauche.core.station.Station;
import ebauche.core.stock.Course;
import ebauche.core.stock.Ruled;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.stream.Stream;

/**
 * Contours and carved tops: each its line drawn, then carved to leave what finish sanding takes.
 *
 * <p>That whatever wants the flat comes first, and the last pass of a cavity under the carve after it, follows from the
 * conditions: a carve takes flats, walls and wood where it cuts.
 */
public final class ContourStation implements Station {
    /** Farther than any body reaches, mm. */
    private static final double FAR = 2000;

    /** A line as an area, mm to either side. */
    private static final double THIN = 0.01;

    @Override
    public Work work() {
        return Work.CONTOUR;
    }

    @Override
    public List<Rule> rules(Build build) {
        return ContourRules.of(build);
    }

    /** A school that its maker chose, and that this shop or this contour does not give. */
    @Override
    public List<Finding> check(Build build) {
        List<Finding> told = new ArrayList<>();
        for (Contour.Laid laid : build.contours()) {
            if (laid.contour().by().isPresent()) {
                Removal chosen = Removal.chosen(build, laid);
                chosen.cannot()
                        .ifPresent(why -> told.add(Finding.thinkAgain(Work.CONTOUR, "carve-by")
                                .on(laid.feature())
                                .at(laid.plan().inner())
                                .says(
                                        "The " + laid.feature().said() + " is to be brought out by "
                                                + chosen.school().words() + ": " + why + ".",
                                        "Choose another way on its page, or add what is missing to the crib.")));
            }
        }
        for (Contour.Laid laid : build.contours()) {
            CarveLeft.off(build, laid).forEach(r -> told.add(off(laid, r)));
        }
        return told;
    }

    private static Finding off(Contour.Laid laid, CarveReadings.Read read) {
        double over = read.over().value();
        String code = over < 0 ? "carved-deeper" : "carved-proud";
        String said = laid.feature().said();
        return Finding.goodToKnow(Work.CONTOUR, code)
                .on(laid.feature())
                .at(read.at())
                .length("off", Math.abs(over))
                .says(
                        over < 0
                                ? "The " + said
                                        + " was read {0} under its surface there: what lies under it is told by that."
                                : "The " + said + " was read {0} over its surface there, and is called done.",
                        over < 0
                                ? "Fair the rest into it, or let it be: floors and walls near it are reckoned as read."
                                : "Take it down and read it again, or draw it less deep.");
    }

    /** Each contour's strip and gauge, or its family of templates. */
    @Override
    public List<TemplateLine> papers(Build build) {
        return build.contours().stream().map(l -> ContourPaper.of(build, l)).toList();
    }

    @Override
    public List<Operation> operations(Build build) {
        List<Operation> steps = new ArrayList<>();
        for (Contour.Laid laid : build.contours()) {
            steps.add(line(build, laid));
            steps.add(carve(build, laid));
        }
        return steps;
    }

    private static Condition.Mark drawn(Contour contour) {
        return new Condition.Mark(
                StepKey.of(contour.feature(), StepKind.LINE),
                "the line of the " + contour.feature().said() + " drawn");
    }

    private static Operation line(Build build, Contour.Laid laid) {
        Contour contour = laid.contour();
        Operation.Builder step = Operation.of(
                        Work.CONTOUR,
                        contour.feature(),
                        StepKind.LINE,
                        "Draw the line of the " + contour.feature().said() + " on the "
                                + contour.face().word())
                .face(contour.face())
                .set(drawing(contour))
                .needs(Datum.centreLine(contour.face()), Datum.OUTLINE_ROUTED)
                .gives(drawn(contour))
                .takes(8, 0, 0);
        ends(laid, build.design().outline().region()).forEach(step::at);
        return step.build();
    }

    private static Setting drawing(Contour contour) {
        if (contour.start() instanceof Contour.Start.Round round) {
            Reckoning inside = Reckoning.of("line inside the edge", Quantity.LENGTH)
                    .length("wanted", Fact.typed(round.width()))
                    .is(round.width(), "wanted");
            return new Setting.Marked(
                    "compass or gauge run along the edge; tape on the flat that stays", inside, "inside the edge");
        }
        return new Setting.ByHand(
                contour.start() instanceof Contour.Start.Disc
                        ? "its middle pricked, compass round it"
                        : "long rule or thin batten, tape on the side that stays");
    }

    /** Where the line meets the edge, the end nearer the neck first; none of one that runs all round. */
    private static List<Place> ends(Contour.Laid laid, Region body) {
        if (laid.contour().start() instanceof Contour.Start.Round round) {
            EdgeWalk edge = new EdgeWalk(body);
            return round.along()
                    .map(s -> List.of(
                            new Place("where it begins to fade", edge.at(edge.nearest(s.from()), 0)),
                            new Place("where it begins to fade", edge.at(edge.nearest(s.to()), 0))))
                    .orElse(List.of());
        }
        if (laid.contour().start() instanceof Contour.Start.Disc disc) {
            return List.of(new Place("its middle", disc.at()));
        }
        if (laid.course() instanceof Ruled ruled) {
            List<Ruled.Ray> rays = ruled.rays();
            Ruled.Ray deepest = rays.stream()
                    .max(Comparator.comparingDouble(Ruled.Ray::reach))
                    .orElseThrow();
            return List.of(
                    new Place("on the edge", rays.get(0).line()),
                    new Place("on the edge", rays.get(rays.size() - 1).line()),
                    new Place("on the line where it is deepest", deepest.line()));
        }
        Course.Line line = (Course.Line) laid.course();
        Point from = line.from();
        double length = from.distance(line.to());
        double dx = (line.to().x() - from.x()) / length;
        double dy = (line.to().y() - from.y()) / length;
        Region on = Region.alongLine(List.of(from.plus(-FAR * dx, -FAR * dy), from.plus(FAR * dx, FAR * dy)), THIN)
                .intersection(body);
        Point one = on.farthest(dx, dy);
        Point other = on.farthest(-dx, -dy);
        return Stream.of(one, other)
                .sorted(Comparator.comparingDouble(Point::y).reversed())
                .map(p -> new Place("on the edge", p))
                .toList();
    }

    private static Operation carve(Build build, Contour.Laid laid) {
        Contour contour = laid.contour();
        Face face = contour.face();
        double now = build.faces().now(face);
        Reckoning depth = Reckoning.of("depth of the carve at its deepest", Quantity.LENGTH)
                .length("wanted", Fact.typed(contour.depth()))
                .is(contour.depth(), "wanted");
        Removal by = Removal.chosen(build, laid);
        List<CarveStation> stations = CarveStation.of(build, laid);
        CarveLeft left = CarveLeft.of(build, laid);
        List<LedgerRow> rows =
                Stream.concat(by.rows().stream(), left.rows(stations).stream()).toList();
        Operation.Builder step = Operation.of(
                        Work.CONTOUR,
                        contour.feature(),
                        StepKind.CARVE,
                        "Carve the " + contour.feature().said())
                .face(face)
                .set(new Setting.Carved(by.school().words(), depth, rows))
                .cuts(laid.cut(laid.plan(), now))
                .needs(drawn(contour), Datum.OUTLINE_ROUTED)
                .gives(Datum.carved(contour.feature()))
                .caution(by.cautions().toArray(Caution[]::new))
                .takes((int) Math.round(by.minutes() * left.share()), 0, 0.01);
        if (contour.start() instanceof Contour.Start.Disc) {
            step.needs(Datum.rim(build, face, laid.plan()));
        }
        build.deeper().stream()
                .filter(d -> d.feature().equals(contour.feature()))
                .forEach(d -> step.cuts(d.cut(d.plan(), now)));
        int number = 0;
        for (CarveStation each : stations) {
            number++;
            step.at(new Place("station " + number, each.at())).inspect(each.inspection(build));
        }
        if (face == Face.FRONT) {
            for (Control control : build.design().controls()) {
                if (build.design().isThroughWood(control)
                        && laid.under(now).fall(control.at()) > ContourRules.LEVEL
                        && laid.plan().contains(control.at())) {
                    step.inspect(thickness(build, laid, control));
                }
            }
        }
        return step.build();
    }

    /** The body is read at each control's hole after the carve: that decides the last pass of its cavity. */
    private static Inspection thickness(Build build, Contour.Laid laid, Control control) {
        double flat = build.faces().backNow() - build.faces().frontNow();
        double fall = laid.under(0).fall(control.at());
        Reckoning expected = Reckoning.of("body at the " + control.feature().said(), Quantity.LENGTH)
                .length("body now where it is flat", flat)
                .length("carved down there", fall)
                .is(flat - fall, "body now where it is flat − carved down there");
        return new Inspection(
                new Measurand.ThicknessAt(control.feature()),
                expected,
                Band.shops("wood that is shaped by hand", build.shop().bands().shaped()),
                "depth gauge through the hole, the body flat on its back");
    }

    @Override
    public List<Reckoning> reckonings(Build build) {
        return build.contours().stream().map(Contour.Laid::slope).toList();
    }
}
