package ebauche.core.contour;

import ebauche.core.design.Contour;
import ebauche.core.design.Measurand;
import ebauche.core.feature.Work;
import ebauche.core.geometry.Face;
import ebauche.core.geometry.Region;
import ebauche.core.hardware.Control;
import ebauche.core.job.Build;
import ebauche.core.job.Rule;
import ebauche.core.measure.Fact;
import ebauche.core.measure.Quantity;
import ebauche.core.measure.Reckoning;
import ebauche.core.operation.Caution;
import ebauche.core.operation.Condition;
import ebauche.core.operation.Inspection;
import ebauche.core.operation.Operation;
import ebauche.core.operation.Setting;
import ebauche.core.operation.StepKey;
import ebauche.core.operation.StepKind;
import ebauche.core.routing.Datum;
import ebauche.core.station.Station;
import ebauche.core.stock.Change;
import ebauche.core.stock.Plane;
import ebauche.core.stock.Solid;
import java.util.ArrayList;
import java.util.List;

/**
 * Contours and carved tops: each its line drawn, then carved to leave what finish sanding takes.
 *
 * <p>That whatever wants the flat comes first, and the last pass of a cavity under the carve after it, follows from the
 * conditions: a carve takes flats, walls and wood where it cuts.
 */
public final class ContourStation implements Station {
    /** How closely a surface carved by hand and eye is hit, either way: common practice, mm. */
    private static final double BY_EYE = 0.5;

    /** Minutes for a square decimetre of carve, and to begin: common practice. */
    private static final double MINUTES_PER_DM2 = 12;

    private static final int BEGIN = 10;

    @Override
    public Work work() {
        return Work.CONTOUR;
    }

    @Override
    public List<Rule> rules(Build build) {
        return ContourRules.of(build);
    }

    @Override
    public List<Operation> operations(Build build) {
        List<Operation> steps = new ArrayList<>();
        for (Contour.Laid laid : build.contours()) {
            steps.add(line(laid));
            steps.add(carve(build, laid));
        }
        return steps;
    }

    private static Condition.Mark drawn(Contour contour) {
        return new Condition.Mark(
                StepKey.of(contour.feature(), StepKind.LINE),
                "the line of the " + contour.feature().said() + " drawn");
    }

    private static Operation line(Contour.Laid laid) {
        Contour contour = laid.contour();
        boolean round = contour.start() instanceof Contour.Start.Round;
        return Operation.of(
                        Work.CONTOUR,
                        contour.feature(),
                        StepKind.LINE,
                        "Draw the line of the " + contour.feature().said() + " on the "
                                + contour.face().word())
                .face(contour.face())
                .set(new Setting.ByHand(
                        round
                                ? "compass or gauge run along the edge; tape on the flat that stays"
                                : "long rule or thin batten, tape on the side that stays"))
                .needs(Datum.centreLine(contour.face()), Datum.OUTLINE_ROUTED)
                .gives(drawn(contour))
                .takes(8, 0, 0)
                .build();
    }

    private static Operation carve(Build build, Contour.Laid laid) {
        Contour contour = laid.contour();
        Face face = contour.face();
        double now = build.faces().now(face);
        Reckoning depth = Reckoning.of("depth of the carve at its deepest", Quantity.LENGTH)
                .length("wanted", Fact.typed(contour.depth()))
                .is(contour.depth(), "wanted");
        Operation.Builder step = Operation.of(
                        Work.CONTOUR,
                        contour.feature(),
                        StepKind.CARVE,
                        "Carve the " + contour.feature().said())
                .face(face)
                .set(new Setting.Carved(tool(laid), depth))
                .cuts(Change.Remove.fromBody(
                        contour.feature(),
                        face == Face.FRONT
                                ? new Solid.Prism(laid.plan(), Plane.at(now), laid.under(now))
                                : new Solid.Prism(laid.plan(), laid.under(now), Plane.at(now))))
                .needs(drawn(contour), Datum.OUTLINE_ROUTED)
                .gives(Datum.carved(contour.feature()))
                .caution(Caution.DUST, Caution.CARVE)
                .takes(minutes(laid.plan()), 0, 0.01);
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

    private static String tool(Contour.Laid laid) {
        boolean round = laid.contour().start() instanceof Contour.Start.Round;
        return round
                ? "stepped router passes, then disc, scraper and a bright light"
                : switch (laid.profile().shape()) {
                    case STRAIGHT, ROUND -> "saw rasp, then files, straightedge across";
                    case HOLLOW -> "half-round rasp, then files and a curved scraper";
                };
    }

    private static int minutes(Region plan) {
        return (int) Math.round(BEGIN + plan.area() / 10_000 * MINUTES_PER_DM2);
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
                BY_EYE,
                BY_EYE,
                "depth gauge through the hole, the body flat on its back");
    }

    @Override
    public List<Reckoning> reckonings(Build build) {
        return build.contours().stream().map(Contour.Laid::slope).toList();
    }
}
