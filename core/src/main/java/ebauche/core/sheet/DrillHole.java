package ebauche.core.sheet;

import ebauche.core.geometry.Face;
import ebauche.core.geometry.Point;
import ebauche.core.job.FinishedFaces;
import ebauche.core.measure.Quantity;
import ebauche.core.measure.Reckoning;
import ebauche.core.operation.Operation;
import ebauche.core.operation.Setting;
import ebauche.core.operation.StepKind;
import ebauche.core.plan.BuildPlan;
import ebauche.core.stock.Bore;
import ebauche.core.stock.Change;
import ebauche.core.stock.Solid;
import java.util.ArrayList;
import java.util.List;

/**
 * One hole of the drill list, placed from the centre line and the scale.
 *
 * @param step the operation that drills it
 * @param at its middle on the plan, or where it enters the edge; x from the centre line, y from the scale line
 * @param face it is drilled from; for a hole in the edge, the face its height is measured from
 * @param fromFret12 along the body from fret 12 towards the bridge, mm
 * @param diameter mm
 * @param depth from that face as it is now; for a hole in the edge, from that face to its middle
 * @param inEdge whether it is drilled level, into the edge
 * @param through whether it comes out of the other face
 */
public record DrillHole(
        Operation step,
        Point at,
        Face face,
        double fromFret12,
        double diameter,
        Reckoning depth,
        boolean inEdge,
        boolean through,
        boolean done) {

    private static final double NEARLY = 1e-6;

    /** Every hole that is drilled for a part or a screw, in the order of the plan; drilled waste is no hole. */
    public static List<DrillHole> of(BuildPlan plan) {
        List<DrillHole> holes = new ArrayList<>();
        for (BuildPlan.PlanStep step : plan.steps()) {
            Operation op = step.operation();
            if (op.setting() instanceof Setting.Drilled && !op.key().is(StepKind.WASTE)) {
                for (Change change : op.changes()) {
                    holes.add(hole(plan, step, change.solid()));
                }
            }
        }
        return holes;
    }

    private static DrillHole hole(BuildPlan plan, BuildPlan.PlanStep step, Solid solid) {
        FinishedFaces faces = plan.build().faces();
        double fret12 = plan.build().design().fret(12);
        if (solid instanceof Bore bore) {
            return bored(plan, step, bore);
        }
        Face face = step.operation().face();
        double far = face == Face.FRONT ? solid.deepest() : solid.shallowest();
        Reckoning depth = Reckoning.of("hole's depth", Quantity.LENGTH)
                .length("its end", far)
                .length(face.word() + " now", faces.now(face))
                .is(faces.fromFaceNow(face, far), face == Face.FRONT ? "its end − front now" : "back now − its end");
        Point at = solid.plan().centroid();
        return new DrillHole(
                step.operation(),
                at,
                face,
                fret12 - at.y(),
                solid.plan().maxX() - solid.plan().minX(),
                depth,
                false,
                solid.deepest() >= faces.backNow() - NEARLY && solid.shallowest() <= faces.frontNow() + NEARLY,
                step.done());
    }

    /** In the edge its height is what is set out, on a face its length. */
    private static DrillHole bored(BuildPlan plan, BuildPlan.PlanStep step, Bore bore) {
        FinishedFaces faces = plan.build().faces();
        Face face = step.operation().face();
        boolean inEdge = faces.fromFaceNow(face, bore.fromDepth()) > NEARLY;
        Reckoning height = Reckoning.of("middle of the hole from the front", Quantity.LENGTH)
                .length("its axis", bore.fromDepth())
                .length("front now", faces.frontNow())
                .is(bore.fromDepth() - faces.frontNow(), "its axis − front now");
        Reckoning length = Reckoning.of("hole's length", Quantity.LENGTH)
                .length("along its axis", bore.length())
                .is(bore.length(), "along its axis");
        return new DrillHole(
                step.operation(),
                bore.from(),
                inEdge ? Face.FRONT : face,
                plan.build().design().fret(12) - bore.from().y(),
                bore.diameter(),
                inEdge ? height : length,
                inEdge,
                false,
                step.done());
    }
}
