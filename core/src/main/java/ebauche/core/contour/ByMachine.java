package ebauche.core.contour;

import ebauche.core.crib.Bit;
import ebauche.core.crib.Drum;
import ebauche.core.crib.Machine;
import ebauche.core.crib.Saw;
import ebauche.core.design.CarveSchool;
import ebauche.core.geometry.Point;
import ebauche.core.geometry.Region;
import ebauche.core.measure.Fact;
import ebauche.core.measure.Gauge;
import ebauche.core.measure.Quantity;
import ebauche.core.measure.Reckoning;
import ebauche.core.measure.Rounding;
import ebauche.core.operation.Caution;
import ebauche.core.operation.LedgerRow;
import ebauche.core.stock.Course;
import ebauche.core.stock.Profile;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/** A contour brought out by a machine: band saw, router off a fence, drum, belt. */
final class ByMachine {
    /** Deepest step of a router off a fence, mm: steps that a rasp fairs in a few strokes; common practice. */
    static final double STEP = 2.8;

    /** A drum's table comes up by so much at a time, mm: common practice. */
    static final double LIFT = 2;

    /** A band saw's marks, mm: common practice. */
    private static final double SAW_MARKS = 0.5;

    /** Steeper than this nobody tips a body on a jig, degrees: common practice. */
    private static final double STEEPEST = 45;

    private static final String RUNS_OUT = "it runs out over the line, where a definite edge is to stay";

    /** The body on its edge, leaned by the contour's slope: the guides stand over all of it. */
    private static Reckoning guides(CarveWork work) {
        double angle = Math.atan2(work.depth(), work.width());
        Region body = work.build().design().outline().region();
        double across = across(work, body);
        double thick = work.build().faces().thickness();
        double height = across * Math.cos(angle) + thick * Math.sin(angle);
        return Reckoning.of("guides over the table", Quantity.LENGTH)
                .length("body square to the line", across)
                .length("finished thickness", Fact.typed(thick))
                .angle("slope", work.slope().asFact())
                .is(height, "body square to the line × cos slope + finished thickness × sin slope");
    }

    private static double across(CarveWork work, Region body) {
        if (!(work.laid().course() instanceof Course.Line line)) {
            return body.maxX() - body.minX();
        }
        double length = line.from().distance(line.to());
        double dx = -(line.to().y() - line.from().y()) / length;
        double dy = (line.to().x() - line.from().x()) / length;
        Point far = body.farthest(dx, dy);
        Point near = body.farthest(-dx, -dy);
        return (far.x() - near.x()) * dx + (far.y() - near.y()) * dy;
    }

    static Removal bandSaw(CarveWork work) {
        Reckoning guides = guides(work);
        double opens = work.build().shop().cutting().resawHeight();
        Optional<Saw> saw = work.build().shop().crib().saws().stream()
                .filter(s -> s.kind() == Saw.Kind.BAND)
                .max(Comparator.comparingDouble(Saw::blade));
        Optional<String> cannot = !work.isPlane()
                ? Optional.of(
                        work.isEdged()
                                ? RUNS_OUT
                                : "a saw's cut is a plane: only a straight line with one slope is sawn so")
                : saw.isEmpty()
                        ? Optional.of("the crib has no band saw")
                        : guides.value() > opens
                                ? Optional.of(
                                        "its saw does not open so far: the body stands higher on edge than the guides go")
                                : work.slope().value() > STEEPEST
                                        ? Optional.of("it is too steep for a body to be leaned so")
                                        : Optional.empty();
        List<LedgerRow> rows = List.of(
                LedgerRow.of(
                        "Before anything: the body on its edge in the jig, does it pass under the guides",
                        guides,
                        Reckoning.of("the saw opens", Quantity.LENGTH)
                                .length("the shop's saw", Fact.usual(opens, "the shop's cutting"))
                                .is(opens, "the shop's saw")),
                LedgerRow.of(
                        "Jig leaned by the slope, both lines drawn; saw on scrap of the same thickness first",
                        work.slope()),
                LedgerRow.of(
                        "Saw on the waste side of both lines, the body held to the jig, not by hands near the blade",
                        CarveWork.left("the saw's marks", SAW_MARKS)),
                LedgerRow.of(
                        "File or scraper along the marks, straightedge across",
                        CarveWork.left("the second cut's scratch", CarveWork.SECOND_CUT)));
        return new Removal(
                CarveSchool.BAND_SAW,
                rows,
                SAW_MARKS,
                (int) Math.round(25 + 7 * work.area()),
                List.of(Caution.SAW, Caution.DUST),
                cannot);
    }

    /** The passes of a router off a fence, the deepest at the edge: how far from the edge each goes, and how deep. */
    record Pass(double fromEdge, double depth, double exact) {}

    static List<Pass> passes(Profile profile) {
        int bands = (int) Math.ceil(profile.depth() / STEP);
        List<Pass> passes = new ArrayList<>();
        for (int k = 1; k < bands; k++) {
            double depth = profile.depth() * (bands - k) / bands;
            double set = Gauge.settable(depth, Rounding.LESS);
            // So far from the line the surface lies just so deep: the pass stays on the edge's side of it.
            double reach = profile.width() - profile.across(set);
            passes.add(new Pass(Gauge.settable(reach, Rounding.LESS), set, depth));
        }
        return passes;
    }

    static Removal fence(CarveWork work) {
        List<LedgerRow> rows = new ArrayList<>();
        Optional<Bit> bit = work.build().shop().crib().bits().stream()
                .filter(b -> b.profile() == Bit.Profile.STRAIGHT || b.profile() == Bit.Profile.BOWL)
                .filter(b -> work.build().shop().crib().inHand(b).isPresent())
                .max(Comparator.comparingDouble(Bit::diameter));
        rows.add(LedgerRow.of(
                "Fence along the line, the router's base flat on the face that stays; a board of the same height beyond the edge carries it"
                        + bit.map(b -> "; " + b.name()).orElse("")));
        List<Pass> passes = passes(work.laid().profile());
        for (int k = passes.size() - 1; k >= 0; k--) {
            Pass pass = passes.get(k);
            rows.add(LedgerRow.of(
                    "Pass " + (passes.size() - k) + ": the cutter's edge no farther in from the body's edge, no deeper",
                    Reckoning.of("from the edge", Quantity.LENGTH)
                            .length("wide", work.width())
                            .length("from the line to where the surface is so deep", work.width() - pass.fromEdge())
                            .is(pass.fromEdge(), "wide − from the line to where the surface is so deep"),
                    Reckoning.of("deep", Quantity.LENGTH)
                            .length("its step", pass.exact())
                            .is(pass.depth(), "its step, set to the side that leaves wood")));
        }
        double step = work.depth() / (passes.size() + 1);
        rows.add(LedgerRow.of(
                "Fair the steps with a rasp along the line until the last corner just goes, then file",
                Reckoning.of("left over the surface", Quantity.LENGTH)
                        .length("deepest", Fact.typed(work.depth()))
                        .term("bands", Fact.typed(passes.size() + 1), Quantity.NUMBER)
                        .is(step, "deepest / bands")));
        Optional<String> cannot = !(work.laid().course() instanceof Course.Line)
                ? Optional.of("a straight fence does not follow a curved line, nor a depth that changes along the edge")
                : bit.isEmpty()
                        ? Optional.of("the crib has no straight or bowl bit with a router for it")
                        : Optional.empty();
        return new Removal(
                CarveSchool.FENCE,
                rows,
                step,
                (int) Math.round(20 + 3 * passes.size() + 9 * work.area() * work.hard()),
                List.of(Caution.ROUTER, Caution.DUST, Caution.CARVE),
                cannot);
    }

    static Removal drum(CarveWork work) {
        Optional<Drum> drum = work.build().shop().crib().drums().stream()
                .filter(d -> work.laid().contour().radius().isPresent()
                        && d.diameter() / 2 <= work.laid().contour().radius().getAsDouble())
                .max(Comparator.comparingDouble(Drum::diameter));
        boolean press =
                work.build().shop().crib().machines().stream().anyMatch(m -> m.kind() == Machine.Kind.DRILL_PRESS);
        int lifts = (int) Math.ceil(work.depth() / LIFT);
        List<LedgerRow> rows = new ArrayList<>();
        rows.add(LedgerRow.of(
                "Jig on the press's table at the slope"
                        + drum.map(d -> "; " + d.name()).orElse(""),
                work.slope()));
        for (int k = 1; k <= lifts; k++) {
            double up = Gauge.settable(Math.min(work.depth(), k * LIFT), Rounding.LESS);
            rows.add(LedgerRow.of(
                    "Table up, sweep the body past the drum from end to end, against its turn",
                    Reckoning.of("table up in all", Quantity.LENGTH)
                            .length("deepest", Fact.typed(work.depth()))
                            .length("each lift", Fact.rule(LIFT, "common practice"))
                            .is(up, k + " × each lift, at most deepest")));
        }
        rows.add(LedgerRow.of(
                "Curved scraper over the sweeps", CarveWork.left("a coarse sleeve's scratch", CarveWork.BELT_MARKS)));
        Optional<String> cannot = work.isEdged()
                ? Optional.of(RUNS_OUT)
                : work.laid().profile().shape() != Profile.Shape.HOLLOW
                        ? Optional.of("a drum leaves a hollow: this contour is none")
                        : !press
                                ? Optional.of("the crib has no drill press")
                                : drum.isEmpty()
                                        ? Optional.of("no drum of the crib is as small as this hollow's radius")
                                        : Optional.empty();
        return new Removal(
                CarveSchool.DRUM,
                rows,
                CarveWork.BELT_MARKS,
                (int) Math.round(25 + 2 * lifts + 12 * work.area() * work.hard()),
                List.of(Caution.DUST),
                cannot);
    }

    static Removal belt(CarveWork work) {
        List<LedgerRow> rows = List.of(
                LedgerRow.of(
                        "P60, the body held flat against the belt at the slope, moving all the time; to a pencil's width of both lines",
                        work.slope(),
                        CarveWork.left("a coarse belt's scratch", CarveWork.BELT_MARKS)),
                LedgerRow.of("P120 to both lines", CarveWork.left("its scratch", CarveWork.SECOND_CUT)),
                LedgerRow.of("Long block along the line, P180, straightedge across"));
        boolean has =
                work.build().shop().crib().machines().stream().anyMatch(m -> m.kind() == Machine.Kind.BELT_SANDER);
        Optional<String> cannot = work.isEdged()
                ? Optional.of(RUNS_OUT)
                : work.laid().profile().shape() == Profile.Shape.HOLLOW
                        ? Optional.of("a flat belt leaves no hollow")
                        : has ? Optional.empty() : Optional.of("the crib has no belt or disc sander");
        return new Removal(
                CarveSchool.BELT,
                rows,
                CarveWork.BELT_MARKS,
                (int) Math.round(8 + 14 * work.area() * work.hard()),
                List.of(Caution.DUST),
                cannot);
    }
}
