package ebauche.core.sanding;

import ebauche.core.design.Measurand;
import ebauche.core.feature.Feature;
import ebauche.core.feature.FeatureKind;
import ebauche.core.feature.StepKey;
import ebauche.core.feature.StepKind;
import ebauche.core.feature.Work;
import ebauche.core.geometry.Face;
import ebauche.core.geometry.Region;
import ebauche.core.job.Build;
import ebauche.core.job.Finding;
import ebauche.core.job.FinishedFaces;
import ebauche.core.job.Rule;
import ebauche.core.logbook.AsBuilt;
import ebauche.core.measure.Fact;
import ebauche.core.measure.Quantity;
import ebauche.core.measure.Reckoning;
import ebauche.core.operation.Band;
import ebauche.core.operation.Caution;
import ebauche.core.operation.Condition;
import ebauche.core.operation.Condition.OuterSurface;
import ebauche.core.operation.Inspection;
import ebauche.core.operation.LedgerRow;
import ebauche.core.operation.Operation;
import ebauche.core.operation.Setting;
import ebauche.core.routing.Datum;
import ebauche.core.station.Station;
import ebauche.core.stock.Carve;
import ebauche.core.stock.Change;
import ebauche.core.stock.FaceShape;
import ebauche.core.stock.Relief;
import ebauche.core.stock.Solid;
import ebauche.core.wires.Run;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/** Faces and edge sanded, once nothing more is cut into them. Depths of cavities already allow for it. */
public final class SandingStation implements Station {
    public static final Feature FEATURE = Feature.of(FeatureKind.SANDING);

    /** Decimal noise under which a sum counts as the limit itself, mm. */
    private static final double NOISE = 1e-9;

    /** So far over a face nothing is left that could be sanded, mm. */
    private static final double OVER = 1;

    /**
     * Minutes to begin, and for a square decimetre through all grits. Sanding is about half of the hands-on time of a body, and end
     * grain takes three times as long as a face: common practice.
     */
    private static final int BEGIN = 10;

    /** Papers: the first on a machined face, the first after files, the first on a small round-over, and the last. Common practice. */
    private static final int COARSE = 120;

    private static final int AFTER_FILES = 220;
    private static final int SPARING = 150;
    private static final int FINE = 320;

    /** A round-over of so little is spoiled by a coarse paper, mm: common practice. */
    private static final double SMALL_RADIUS = 6.4;

    private static final double MINUTES_OF_FACE = 20;
    private static final double MINUTES_OF_EDGE = 60;

    @Override
    public Work work() {
        return Work.SANDING;
    }

    @Override
    public List<Finding> check(Build build) {
        return Stream.of(Face.FRONT, Face.BACK)
                .flatMap(f -> overTaken(build, f).stream())
                .toList();
    }

    @Override
    public List<Operation> operations(Build build) {
        Condition[] settled = settled(build);
        return List.of(
                face(build, Face.FRONT, settled, "Sand the front, 120 to 320"),
                face(build, Face.BACK, settled, "Sand the back, 120 to 320"),
                Operation.of(Work.SANDING, FEATURE, StepKind.EDGE, "Sand the edge, 120 to 320")
                        .set(new Setting.ByHand("drum in the inside curves, flat block outside", edgeRows(build)))
                        .needs(settled)
                        .caution(Caution.DUST)
                        .takes(minutes(edge(build), MINUTES_OF_EDGE), 0, 0.002)
                        .build());
    }

    /** Area of the edge, mm². */
    private static double edge(Build build) {
        return build.design().outline().region().perimeter() * build.faces().thickness();
    }

    private static int minutes(double squareMillimetres, double each) {
        return (int) Math.round(BEGIN + squareMillimetres / 10_000 * each);
    }

    /**
     * Sanding waits for all three surfaces, and for the long drill, which cuts none of them: a sanded face is not laid on the bench again
     * for a router, nor does a chuck turn over it (common practice).
     */
    private static Condition[] settled(Build build) {
        Region body = build.design().outline().region();
        List<Condition> settled = new ArrayList<>(List.of(
                new Condition.Settled(OuterSurface.FRONT, build.faces().frontNow(), body),
                new Condition.Settled(OuterSurface.BACK, build.faces().backNow(), body),
                new Condition.Settled(OuterSurface.EDGE, 0, body)));
        for (Run run : Run.all(build)) {
            Feature feature = run.channel().feature();
            settled.add(
                    run.passage().isPlugged()
                            ? new Condition.Mark(
                                    StepKey.of(feature, StepKind.PLUG),
                                    "the mouth of the " + feature.said() + " plugged")
                            : new Condition.Access(StepKey.of(feature, StepKind.DRILL), feature.said()));
        }
        return settled.toArray(Condition[]::new);
    }

    private static Operation face(Build build, Face face, Condition[] settled, String title) {
        Region body = build.design().outline().region();
        FinishedFaces faces = build.faces();
        Reckoning allowance = allowance(build, face);
        double finished = faces.finished(face);
        double rough = roughest(build, face);
        Solid dust = Solid.Prism.between(body, Math.min(rough, finished), Math.max(rough, finished));
        Operation.Builder step = Operation.of(Work.SANDING, FinishedFaces.finish(face), title)
                .face(face)
                .set(new Setting.Sanded(
                        "long flat block, paper " + flat(face).words(), still(build, face), rows(build, face)))
                .cuts(Change.Remove.fromBody(FEATURE, dust))
                .needs(Datum.centreLine(face))
                .needs(settled)
                .inspect(new Inspection(
                        new Measurand.SandedOff(face),
                        allowance,
                        new Band(sandingBand(build, face, false), sandingBand(build, face, true)),
                        "calliper against the last thickness"))
                .gives(Datum.sanded(face))
                .caution(Caution.DUST)
                .takes(minutes(body.area(), MINUTES_OF_FACE), 0, 0.003);
        for (FaceShape.Carved carved : build.finished(face).carves()) {
            step.cuts(Change.Remove.fromBody(FEATURE, carvedDust(build, face, carved)));
        }
        return step.build();
    }

    private static Reckoning allowance(Build build, Face face) {
        double off = build.shop().practice().sanding(face);
        return Reckoning.of("to sand off the " + face.word(), Quantity.LENGTH)
                .length("allowance", Fact.usual(off, "the shop's practice"))
                .is(off, "allowance");
    }

    private static Reckoning sandingBand(Build build, Face face, boolean more) {
        Reckoning allowance = allowance(build, face);
        return Reckoning.of("how far off is still good", Quantity.LENGTH)
                .length("allowance", Fact.usual(allowance.value(), "the shop's practice"))
                .is(build.sandingBand(face, more), more ? "half as much again" : "all of it may stay on");
    }

    /** A face from planer, router or scraper. */
    private static Grits flat(Face face) {
        return new Grits(face.word(), Grits.TOOL_MARKS, Grits.between(COARSE, FINE));
    }

    /** Paper by paper: the flat, then whatever shapes the face, from the surface that its tool left. */
    private static List<LedgerRow> rows(Build build, Face face) {
        List<LedgerRow> rows = new ArrayList<>();
        Region body = build.design().outline().region();
        double allowance = allowance(build, face).value();
        if (isUneven(build)) {
            rows.add(
                    LedgerRow.of(
                            "Timbers of unlike hardness, or a glue line, lie in it: the long block alone, never a soft pad, which hollows the softer"));
        }
        rows.addAll(flat(face).rows(allowance, MINUTES_OF_FACE * body.area() / 10_000, read(build, face)));
        for (Relief relief : build.surfaces()) {
            if (relief.face() == face && !build.design().leavesOpen(relief.feature())) {
                rows.addAll(
                        shaped(relief).rows(0, MINUTES_OF_FACE * relief.plan().area() / 10_000));
            }
        }
        rows.add(LedgerRow.of("Before finish: cavities, pocket and recesses masked; what lines them stays"));
        return rows;
    }

    /** What each paper took of a face, as it was read after it; nothing more once the step is done. */
    private static List<Double> read(Build build, Face face) {
        return build.isDone(FinishedFaces.finish(face))
                ? List.of()
                : build.asBuilt().readingsAt(FinishedFaces.finish(face), new Measurand.SandedOff(face)).stream()
                        .map(AsBuilt.Reading::value)
                        .toList();
    }

    /** Papers that are still to come and want more than is left of the allowance. */
    private static Optional<Finding> overTaken(Build build, Face face) {
        List<Double> read = read(build, face);
        double taken = read.stream().mapToDouble(Double::doubleValue).sum();
        double left = build.shop().practice().sanding(face) - taken;
        double want = flat(face).needAfter(read.size());
        return read.isEmpty() || want <= left + NOISE
                ? Optional.empty()
                : Optional.of(Finding.thinkAgain(Work.SANDING, "sanding-over")
                        .on(FEATURE)
                        .length("still to take", want)
                        .length("left", Math.max(0, left))
                        .says(
                                "The papers still to come take {0} off the " + face.word()
                                        + "; {1} of the allowance is left: depths come out that much shallower.",
                                "Begin the rest with a finer paper, or take the depths anew once it is sanded."));
    }

    /** A filed contour is as smooth as P180; a small round-over keeps its shape only under a fine paper. */
    private static Grits shaped(Relief relief) {
        boolean small =
                relief.feature().is(FeatureKind.ROUND_OVER) && relief.profile().width() <= SMALL_RADIUS;
        return new Grits(
                relief.feature().said(),
                small ? Grits.TOOL_MARKS / 2 : Grits.FILE_MARKS,
                Grits.between(small ? SPARING : AFTER_FILES, FINE));
    }

    private static List<LedgerRow> edgeRows(Build build) {
        List<LedgerRow> rows = new ArrayList<>();
        rows.add(
                LedgerRow.of("End grain drinks light: both ends one paper finer than the sides, or they stain darker"));
        rows.addAll(new Grits("edge", Grits.TOOL_MARKS, Grits.between(COARSE, FINE))
                .rows(0, MINUTES_OF_EDGE * edge(build) / 10_000));
        return rows;
    }

    private static boolean isUneven(Build build) {
        return !build.design().blank().unevenSeams().isEmpty();
    }

    @Override
    public List<Rule> rules(Build build) {
        return Stream.of(Face.FRONT, Face.BACK)
                .filter(f -> build.shop().practice().sanding(f) > 0)
                .map(f -> allowed(build, f))
                .toList();
    }

    private static Rule allowed(Build build, Face face) {
        double allowance = build.shop().practice().sanding(face);
        Reckoning need = flat(face).need();
        String cure = "Allow more for sanding in the shop's settings, or begin with a finer paper on a scraped face.";
        Finding.Builder told = Finding.thinkAgain(Work.SANDING, "sanding-too-little")
                .on(FEATURE)
                .length("must come off", need.value())
                .length("allowance", allowance);
        return Rule.of(Work.SANDING, "sanding-too-little", Rule.About.WOOD)
                .on(FEATURE)
                .says("What the papers must take off the " + face.word() + " is allowed for.")
                .atMost(need, allowance)
                .cure(cure)
                .fails(() -> told.says(
                        "The papers must take {0} off the " + face.word()
                                + "; the shop allows {1}, so marks stay or depths come out shallow.",
                        cure))
                .build();
    }

    /** What is left of the allowance by the readings at this step. */
    private static Reckoning still(Build build, Face face) {
        Reckoning allowance = allowance(build, face);
        double read = Math.min(FinishedFaces.finishRead(build.asBuilt(), face), allowance.value());
        if (read == 0 || build.isDone(FinishedFaces.finish(face))) {
            return allowance;
        }
        return Reckoning.of(allowance.what(), Quantity.LENGTH)
                .length("allowance", Fact.usual(allowance.value(), "the shop's practice"))
                .length("of it sanded off already", Fact.measured(read, "read at this step"))
                .is(allowance.value() - read, "allowance − of it sanded off already");
    }

    /** A depth in the air over the face as it was before any sanding. */
    private static double roughest(Build build, Face face) {
        double sanded = build.sandedOff(face);
        return face == Face.FRONT
                ? build.faces().frontNow() - sanded - OVER
                : build.faces().backNow() + sanded + OVER;
    }

    /** What sanding takes off a carved part of the face, as much as off the flat. */
    private static Solid carvedDust(Build build, Face face, FaceShape.Carved carved) {
        Carve finished = carved.surface();
        double over = Math.abs(build.faces().finished(face) - roughest(build, face));
        return face == Face.FRONT
                ? new Solid.Prism(carved.plan(), finished.lowered(-over), finished)
                : new Solid.Prism(carved.plan(), finished, finished.lowered(over));
    }
}
