package ebauche.core.neck;

import ebauche.core.design.Heel;
import ebauche.core.design.Measurand.Dimension;
import ebauche.core.design.NeckJoint;
import ebauche.core.feature.StepKey;
import ebauche.core.feature.StepKind;
import ebauche.core.feature.Work;
import ebauche.core.geometry.Face;
import ebauche.core.job.Build;
import ebauche.core.measure.Fact;
import ebauche.core.measure.Quantity;
import ebauche.core.measure.Reckoning;
import ebauche.core.operation.Band;
import ebauche.core.operation.Condition;
import ebauche.core.operation.Inspection;
import ebauche.core.operation.Operation;
import ebauche.core.operation.Setting;
import ebauche.core.routing.Datum;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** What the pocket's template is made to and lies on: the heel measured, the jig made from it, the wedge under a tilted one. */
record NeckJig(Build build) {
    private static final Condition.Mark HEEL_MEASURED = new Condition.Mark(
            StepKey.of(NeckJoint.FEATURE, StepKind.MEASURE), "the heel of the finished neck measured");
    private static final Condition.Mark JIG_MADE =
            new Condition.Mark(StepKey.of(NeckJoint.FEATURE, StepKind.JIG), "the neck pocket's jig made");
    private static final Condition.Mark WEDGE_MADE =
            new Condition.Mark(StepKey.of(NeckJoint.FEATURE, StepKind.WEDGE), "the neck pocket's wedge made");

    /** The step that fixes the pocket's template. */
    private static final StepKey FIT = StepKey.of(NeckJoint.FEATURE, StepKind.FIT);

    /** A step of the pocket; fixing the template of a tilted one wants its wedge. */
    static Operation onWedge(Build build, Operation step) {
        boolean tilted = build.wedge(NeckJoint.FEATURE).isPresent();
        return tilted && step.key().equals(FIT) ? step.needing(WEDGE_MADE) : step;
    }

    /** A tilted pocket's template lies on a wedge, so that the base runs parallel to the floor. */
    private Optional<Operation> wedge() {
        return build.wedge(NeckJoint.FEATURE).map(rise -> {
            boolean back = rise.value() > 0;
            return Operation.of(
                            Work.NECK,
                            NeckJoint.FEATURE,
                            StepKind.WEDGE,
                            "Make the wedge that tilts the neck pocket's template")
                    .set(new Setting.Made(
                            "plane or sander, long bevel",
                            back ? rise : risen(rise),
                            "of rise over the pocket's length, thick at " + (back ? "the end wall" : "the mouth")))
                    .gives(WEDGE_MADE)
                    .takes(20, 0, 0)
                    .build();
        });
    }

    /** A neck that tilts forward: the same rise from the other end. */
    private static Reckoning risen(Reckoning rise) {
        return Reckoning.of(rise.what(), Quantity.LENGTH)
                .length("the floor falls towards the end wall by", -rise.value())
                .is(-rise.value(), "the floor falls towards the end wall by");
    }

    /** A pocket that is made to the neck wants the neck measured, and its jig made from it. */
    List<Operation> operations() {
        List<Operation> steps = new ArrayList<>();
        wedge().ifPresent(steps::add);
        Optional<NeckFit> fit = NeckFit.of(build);
        if (fit.isEmpty()) {
            return steps;
        }
        Heel heel = fit.get().heel();
        double tolerance = build.shop().limits().thicknessTolerance();
        if (heel.made() == Heel.Made.NECK_FIRST) {
            Operation.Builder measure = Operation.of(
                            Work.NECK, NeckJoint.FEATURE, StepKind.MEASURE, "Measure the heel of the finished neck")
                    .set(new Setting.ByHand("calliper"))
                    .gives(HEEL_MEASURED)
                    .takes(5, 0, 0);
            heelSizes(heel)
                    .forEach((size, fact) -> measure.inspect(new Inspection(
                            size,
                            Reckoning.of(size.label(), Quantity.LENGTH)
                                    .length("as known", fact)
                                    .is(fact.value(), "as known"),
                            Band.shops("readings of one part agree", tolerance),
                            "calliper")));
            steps.add(measure.build());
        }
        if (wantsJig(heel)) {
            Operation.Builder make = Operation.of(
                            Work.NECK, NeckJoint.FEATURE, StepKind.JIG, "Make the neck pocket's jig")
                    .set(new Setting.Made(heel.jig().words(), fit.get().jig(true), toMake(heel.jig())))
                    .needs(Datum.centreLine(Face.FRONT))
                    .gives(JIG_MADE)
                    .takes(25, 0, 0);
            if (heel.made() == Heel.Made.NECK_FIRST) {
                make.needs(HEEL_MEASURED);
            }
            steps.add(make.build());
        }
        return steps;
    }

    private Map<Dimension, Fact> heelSizes(Heel heel) {
        Map<Dimension, Fact> sizes = new LinkedHashMap<>();
        sizes.put(
                Dimension.HEEL_THICKNESS,
                build.fact(Dimension.HEEL_THICKNESS, build.design().neck().heelThickness()));
        sizes.put(Dimension.HEEL_WIDTH_END, build.fact(Dimension.HEEL_WIDTH_END, heel.widthAtEnd()));
        sizes.put(Dimension.HEEL_WIDTH_MOUTH, build.fact(Dimension.HEEL_WIDTH_MOUTH, heel.widthAtMouth()));
        sizes.put(Dimension.HEEL_LENGTH, build.fact(Dimension.HEEL_LENGTH, heel.length()));
        return sizes;
    }

    /** A pocket made to the neck, by whatever jig, and one made to the drawing by a jig of its own. */
    private static boolean wantsJig(Heel heel) {
        return heel.made() == Heel.Made.NECK_FIRST || heel.jig() != Heel.Jig.DRAWN;
    }

    private static String toMake(Heel.Jig jig) {
        return switch (jig) {
            case DRAWN -> "wide at its end";
            case THREE_STRIPS -> "wide, the middle strip at its end; ease it to the neck";
            case TRACED_NECK -> "wide at its end; file to the inside of the line";
        };
    }

    /** Where the pocket's template is located from: the jig, which is made on the centre line, else that line itself. */
    static Condition located(Build build) {
        return build.design().neck().heel().filter(NeckJig::wantsJig).isPresent()
                ? JIG_MADE
                : Datum.centreLine(Face.FRONT);
    }
}
