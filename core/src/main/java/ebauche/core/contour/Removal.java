package ebauche.core.contour;

import ebauche.core.crib.Bit;
import ebauche.core.crib.Drum;
import ebauche.core.crib.Machine;
import ebauche.core.crib.Saw;
import ebauche.core.design.CarveSchool;
import ebauche.core.design.Contour;
import ebauche.core.geometry.Point;
import ebauche.core.geometry.Region;
import ebauche.core.job.Build;
import ebauche.core.measure.Fact;
import ebauche.core.measure.Gauge;
import ebauche.core.measure.Quantity;
import ebauche.core.measure.Reckoning;
import ebauche.core.measure.Rounding;
import ebauche.core.operation.Caution;
import ebauche.core.operation.LedgerRow;
import ebauche.core.shop.Practice;
import ebauche.core.stock.Course;
import ebauche.core.stock.Profile;
import ebauche.core.timber.Hardness;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;

/**
 * One way to bring a contour out of the wood: what is done, line by line, never below its surface; what that leaves to fair, and what it costs.
 *
 * @param rows what is done, in order; told also where this shop cannot
 * @param leaves the most that stands over the surface before it is faired, mm
 * @param cannot why this shop cannot do it so, or this contour cannot be done so; empty where it can
 */
public record Removal(
        CarveSchool school,
        List<LedgerRow> rows,
        double leaves,
        int minutes,
        List<Caution> cautions,
        Optional<String> cannot) {
    /** A saw rasp's scratch, and what a first and a second cut of a file leave, mm: common practice. */
    static final double RASP_SCRATCH = 0.8;

    private static final double FIRST_CUT = 0.3;
    private static final double SECOND_CUT = 0.1;

    /** Kerfs lie so far apart that the chips split off, mm, and end so far over the surface: common practice. */
    static final double KERFS_APART = 8;

    static final double OVER = 0.5;

    /** Deepest step of a router off a fence, mm: steps that a rasp fairs in a few strokes; common practice. */
    static final double STEP = 2.8;

    /** A drum's table comes up by so much at a time, mm: common practice. */
    static final double LIFT = 2;

    /** A band saw's marks, and what a coarse belt leaves, mm: common practice. */
    private static final double SAW_MARKS = 0.5;

    private static final double BELT_MARKS = 0.2;

    /** Minutes to knife and pare a definite edge: common practice. */
    private static final int PARED = 15;

    /** Steeper than this nobody tips a body on a jig, degrees: common practice. */
    private static final double STEEPEST = 45;

    private static final String RUNS_OUT = "it runs out over the line, where a definite edge is to stay";

    /** What a contour is to all of them. */
    private record Work(Build build, Contour.Laid laid, Optional<OtherLine> line) {
        double depth() {
            return laid.profile().depth();
        }

        double width() {
            return laid.profile().width();
        }

        double area() {
            return laid.plan().area() / 10_000;
        }

        Hardness hardness() {
            return build.design().blank().hardness();
        }

        /** How much longer it takes by hand than in a middling timber. */
        double hard() {
            return switch (hardness()) {
                case SOFT -> 0.72;
                case MEDIUM -> 1;
                case HARD -> 1.4;
            };
        }

        boolean isPlane() {
            return laid.course() instanceof Course.Line
                    && laid.profile().shape() == Profile.Shape.STRAIGHT
                    && !isEdged();
        }

        /** Whether it ends on a definite edge, which nothing that runs out over its line leaves. */
        boolean isEdged() {
            return laid.profile().edge() > 0;
        }

        boolean isRound() {
            return laid.contour().start() instanceof Contour.Start.Round;
        }

        Reckoning slope() {
            return laid.slope();
        }
    }

    /** Those of a build's contours that were asked for: step, paper, page and finding ask for the same. */
    private record Known(Map<Contour.Laid, List<Removal>> of) {}

    /** All schools, that which costs least first, those that cannot be last. */
    public static List<Removal> of(Build build, Contour.Laid laid) {
        Map<Contour.Laid, List<Removal>> known = build.once()
                .of(Known.class, () -> new Known(new ConcurrentHashMap<>()))
                .of();
        return known.computeIfAbsent(laid, l -> reckoned(build, l));
    }

    private static List<Removal> reckoned(Build build, Contour.Laid laid) {
        Work work = new Work(build, laid, OtherLine.of(build, laid));
        List<Removal> all = new ArrayList<>(
                laid.contour().start() instanceof Contour.Start.Disc
                        ? DiscRecess.ways(build, laid)
                        : work.isRound()
                                ? List.of(
                                        rasp(work),
                                        belt(work),
                                        NestedTemplates.removal(build, laid),
                                        BevelJig.removal(build, laid))
                                : List.of(rasp(work), bandSaw(work), kerfs(work), fence(work), drum(work), belt(work)));
        all.replaceAll(r -> r.edged(laid.profile().edge()));
        all.sort(Comparator.<Removal, Boolean>comparing(r -> r.cannot().isPresent())
                .thenComparingInt(Removal::minutes));
        return List.copyOf(all);
    }

    /** The way that its maker chose, else the one that costs least here; by rasp where nothing else can. */
    public static Removal chosen(Build build, Contour.Laid laid) {
        List<Removal> all = of(build, laid);
        return laid.contour()
                .by()
                .flatMap(by -> all.stream().filter(r -> r.school() == by).findFirst())
                .orElseGet(() -> all.stream()
                        .filter(r -> r.isPossible() || r.school() == CarveSchool.RASP)
                        .min(Comparator.<Removal, Boolean>comparing(r -> !r.isPossible())
                                .thenComparingInt(Removal::minutes))
                        .orElseThrow());
    }

    public boolean isPossible() {
        return cannot.isEmpty();
    }

    /** With the definite edge that it ends on, pared along a knifed line before all else reaches it. */
    private Removal edged(double edge) {
        if (edge == 0) {
            return this;
        }
        List<LedgerRow> all = new ArrayList<>(rows);
        all.add(LedgerRow.of(
                "Knife along the line, then pare a facet of 45 degrees down from it: the contour ends on it and goes no farther",
                Reckoning.of("definite edge, deep", Quantity.LENGTH)
                        .length("wanted", Fact.typed(edge))
                        .is(edge, "wanted")));
        return new Removal(school, all, leaves, minutes + PARED, cautions, cannot);
    }

    private static Reckoning left(String name, double left) {
        return Reckoning.of("left over the surface", Quantity.LENGTH)
                .length(name, Fact.rule(left, "common practice"))
                .is(left, name);
    }

    private static Removal rasp(Work work) {
        List<LedgerRow> rows = new ArrayList<>();
        double shortOf = RASP_SCRATCH * work.width() / work.depth();
        rows.add(LedgerRow.of(
                "Tape along the line on the side that stays; saw rasp from the deepest place towards both ends, every stroke into the wood that goes away; stop short of the line by its scratch",
                Reckoning.of("short of the line", Quantity.LENGTH)
                        .length("the rasp's scratch", Fact.rule(RASP_SCRATCH, "common practice"))
                        .length("wide", work.width())
                        .length("deepest", Fact.typed(work.depth()))
                        .is(shortOf, "the rasp's scratch × wide / deepest"),
                left("the rasp's scratch", RASP_SCRATCH)));
        rows.add(LedgerRow.of("First-cut file across the rasp's marks", left("the first cut's scratch", FIRST_CUT)));
        rows.add(LedgerRow.of(
                "Second-cut file along the line; straightedge across at each station: its surface equals P180, sanding begins at P220",
                left("the second cut's scratch", SECOND_CUT)));
        double each = work.isRound() ? 30 : 25;
        return new Removal(
                CarveSchool.RASP,
                rows,
                SECOND_CUT,
                (int) Math.round(10 + each * work.hard() * work.area()),
                List.of(Caution.DUST, Caution.CARVE),
                work.build().shop().practice().skills().contains(Practice.Skill.CARVE)
                        ? Optional.empty()
                        : Optional.of("hands here are not trusted to rasp to a line by eye"));
    }

    /** The body on its edge, leaned by the contour's slope: the guides stand over all of it. */
    private static Reckoning guides(Work work) {
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

    private static double across(Work work, Region body) {
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

    private static Removal bandSaw(Work work) {
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
                        left("the saw's marks", SAW_MARKS)),
                LedgerRow.of(
                        "File or scraper along the marks, straightedge across",
                        left("the second cut's scratch", SECOND_CUT)));
        return new Removal(
                CarveSchool.BAND_SAW,
                rows,
                SAW_MARKS,
                (int) Math.round(25 + 7 * work.area()),
                List.of(Caution.SAW, Caution.DUST),
                cannot);
    }

    /** Kerfs square to the line, to just over the surface at the edge. */
    static List<OtherLine.Place> kerfPlaces(OtherLine line) {
        double length = line.places()
                .get(0)
                .line()
                .distance(line.places().get(line.places().size() - 1).line());
        int count = (int) Math.max(4, Math.round(length / KERFS_APART));
        return line.stations(count).stream().filter(p -> p.down() > 2 * OVER).toList();
    }

    private static Removal kerfs(Work work) {
        List<LedgerRow> rows = new ArrayList<>();
        rows.add(LedgerRow.of("Knife both lines; mark the kerfs square to the line on the face, and down the edge"));
        List<OtherLine.Place> places = work.line().map(Removal::kerfPlaces).orElse(List.of());
        int number = 0;
        for (OtherLine.Place place : places) {
            number++;
            double down = Gauge.settable(place.down() - OVER, Rounding.LESS);
            rows.add(LedgerRow.of(
                    "Kerf " + number + ": from the line to the mark on the edge, no deeper",
                    Reckoning.of("along the edge", Quantity.LENGTH)
                            .length("from where the contour begins", place.along())
                            .is(place.along(), "from where the contour begins"),
                    Reckoning.of("down the edge", Quantity.LENGTH)
                            .length("the surface there", place.down())
                            .length("left over it", Fact.rule(OVER, "common practice"))
                            .is(down, "the surface there − left over it")));
        }
        rows.add(LedgerRow.of(
                "Split the chips off with a wide chisel, bevel down, from the edge inward; pare to the bottoms of the kerfs",
                left("over the surface at the edge", OVER)));
        rows.add(LedgerRow.of(
                "File across until the kerfs are gone, straightedge across",
                left("the second cut's scratch", SECOND_CUT)));
        boolean sags = work.laid().profile().shape() == Profile.Shape.STRAIGHT
                || work.laid().profile().shape() == Profile.Shape.HOLLOW;
        Optional<String> cannot = !sags
                ? Optional.of("a straight kerf would cut under a surface that is round across")
                : work.build().shop().practice().skills().contains(Practice.Skill.SAW)
                        ? Optional.empty()
                        : Optional.of("hands here are not trusted to saw a kerf to a line");
        return new Removal(
                CarveSchool.KERFS,
                rows,
                OVER,
                (int) Math.round(12 + (1.5 * number + 14 * work.area()) * work.hard()),
                List.of(Caution.CHISEL, Caution.CARVE, Caution.DUST),
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

    private static Removal fence(Work work) {
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

    private static Removal drum(Work work) {
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
        rows.add(LedgerRow.of("Curved scraper over the sweeps", left("a coarse sleeve's scratch", BELT_MARKS)));
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
                BELT_MARKS,
                (int) Math.round(25 + 2 * lifts + 12 * work.area() * work.hard()),
                List.of(Caution.DUST),
                cannot);
    }

    private static Removal belt(Work work) {
        List<LedgerRow> rows = List.of(
                LedgerRow.of(
                        "P60, the body held flat against the belt at the slope, moving all the time; to a pencil's width of both lines",
                        work.slope(),
                        left("a coarse belt's scratch", BELT_MARKS)),
                LedgerRow.of("P120 to both lines", left("its scratch", SECOND_CUT)),
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
                BELT_MARKS,
                (int) Math.round(8 + 14 * work.area() * work.hard()),
                List.of(Caution.DUST),
                cannot);
    }
}
