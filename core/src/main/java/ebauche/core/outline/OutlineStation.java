package ebauche.core.outline;

import ebauche.core.crib.Saw;
import ebauche.core.feature.Feature;
import ebauche.core.feature.FeatureKind;
import ebauche.core.geometry.Face;
import ebauche.core.geometry.Region;
import ebauche.core.job.Build;
import ebauche.core.job.Finding;
import ebauche.core.measure.Fact;
import ebauche.core.measure.Quantity;
import ebauche.core.measure.Reckoning;
import ebauche.core.operation.Caution;
import ebauche.core.operation.Operation;
import ebauche.core.operation.Setting;
import ebauche.core.operation.StepKind;
import ebauche.core.routing.Datum;
import ebauche.core.routing.GuidedWork;
import ebauche.core.shop.Practice;
import ebauche.core.station.Station;
import ebauche.core.stock.Change;
import ebauche.core.stock.Solid;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/** Centre line, outline drawn, sawn outside the line, brought to it as the shop does that. */
public final class OutlineStation implements Station {
    public static final Feature FEATURE = Feature.of(FeatureKind.OUTLINE);

    private static final double NEARLY = 1e-6;

    @Override
    public String name() {
        return "outline";
    }

    @Override
    public List<Finding> check(Build build) {
        List<Finding> found = new ArrayList<>();
        tooNearTheLine(build).ifPresent(found::add);
        if (sandsToLine(build)) {
            OutlineSanding.check(build).ifPresent(found::add);
        } else {
            found.addAll(new OutlineRouting(build).check());
        }
        return found;
    }

    /** The outline, unless it is sanded to its line. */
    @Override
    public List<GuidedWork> guidedWork(Build build) {
        if (sandsToLine(build)) {
            return List.of();
        }
        OutlineRouting routing = new OutlineRouting(build);
        return List.of(new GuidedWork(
                FEATURE,
                "outline",
                Face.FRONT,
                build.design().outline().region(),
                Optional.of(routing.cut()),
                routing.crib(),
                Optional.empty()));
    }

    private static boolean sandsToLine(Build build) {
        return build.shop().practice().edge() == Practice.EdgeSchool.SAND_TO_LINE;
    }

    /** What the crib's best saw and the hand at it should leave outside the line; nothing in a shop without a saw. */
    public static Optional<Reckoning> allowance(Build build) {
        double thick = build.thicknessed();
        double steadiness = build.shop().practice().hand().steadiness();
        return saw(build)
                .map(s -> Reckoning.of("saw allowance for the " + s.name(), Quantity.LENGTH)
                        .length("thickness", thick)
                        .length(
                                "a hand that is "
                                        + build.shop().practice().hand().words(),
                                s.allowance(steadiness, 0))
                        .length(
                                "the blade's wander in thick work",
                                s.allowance(steadiness, thick) - s.allowance(steadiness, 0))
                        .is(s.allowance(steadiness, thick), "what the hand needs + the blade's wander"));
    }

    /** The crib's saw that wants the least allowance, and of those the one that follows the tighter curve. */
    public static Optional<Saw> saw(Build build) {
        double steadiness = build.shop().practice().hand().steadiness();
        return build.shop().crib().saws().stream()
                .min(Comparator.<Saw>comparingDouble(s -> s.allowance(steadiness, build.thicknessed()))
                        .thenComparingDouble(Saw::turns)
                        .thenComparing(Saw::name));
    }

    private static Optional<Finding> tooNearTheLine(Build build) {
        double left = build.shop().practice().sawAllowance();
        return allowance(build)
                .filter(wanted -> left < wanted.value() - NEARLY && !sandsToLine(build))
                .map(wanted -> Finding.thinkAgain("outline", "saw-near-line")
                        .on(FEATURE)
                        .length("left outside the line", left)
                        .length("saw allowance", wanted.value())
                        .says(
                                "The outline is sawn {0} outside the line; this saw in this hand wants {1}.",
                                "Leave more, or saw with another blade."));
    }

    @Override
    public List<Operation> operations(Build build) {
        Region body = build.design().outline().region();
        Region blank = build.design().blank().plan();
        List<Operation> steps = new ArrayList<>(marking(build, body));
        steps.add(sawn(build, body, blank));
        if (sandsToLine(build)) {
            steps.add(OutlineSanding.step(build));
        } else {
            steps.addAll(new OutlineRouting(build).operations());
        }
        return steps;
    }

    private static List<Operation> marking(Build build, Region body) {
        return List.of(
                Operation.of("outline", FEATURE, StepKind.CENTRE, "Mark the centre line on both faces")
                        .set(new Setting.ByHand("long rule, knife or sharp pencil, square over the edges"))
                        .needs(Datum.flat(build, Face.FRONT, body), Datum.flat(build, Face.BACK, body))
                        .gives(Datum.centreLine(Face.FRONT), Datum.centreLine(Face.BACK))
                        .takes(10, 0, 0.002)
                        .build(),
                Operation.of("outline", FEATURE, StepKind.DRAW, "Draw the outline from the template")
                        .set(new Setting.ByHand("template on the centre line; white pencil on dark wood"))
                        .needs(Datum.centreLine(Face.FRONT))
                        .gives(Datum.OUTLINE_DRAWN)
                        .takes(10, 0, 0.001)
                        .build());
    }

    private static Operation sawn(Build build, Region body, Region blank) {
        double allowance = build.shop().practice().sawAllowance();
        Reckoning outside = Reckoning.of("saw allowance", Quantity.LENGTH)
                .length("left outside the line", Fact.usual(allowance, "the shop's practice"))
                .is(allowance, "left outside the line");
        Region kept = body.grown(allowance);
        Region waste = blank.minus(kept);
        return Operation.of("outline", FEATURE, StepKind.SAW, "Saw the outline outside the line")
                .set(new Setting.Sawn(saw(build).map(Saw::name).orElse("a saw that the crib lacks"), outside))
                .cuts(Change.Remove.fromBody(
                        FEATURE,
                        Solid.Prism.between(
                                waste, build.faces().frontNow(), build.faces().backNow())))
                .needs(
                        Datum.OUTLINE_DRAWN,
                        Datum.flat(build, Face.BACK, body),
                        Datum.wood(build, kept.minus(body).intersection(blank)))
                .gives(Datum.OUTLINE_SAWN)
                .caution(Caution.SAW, Caution.DUST)
                .takes(25, 0, 0.006)
                .build();
    }
}
