package ebauche.core.sheet;

import ebauche.core.feature.StepKind;
import ebauche.core.geometry.Face;
import ebauche.core.geometry.Point;
import ebauche.core.geometry.Region;
import ebauche.core.job.FinishedFaces;
import ebauche.core.measure.Quantity;
import ebauche.core.measure.Reckoning;
import ebauche.core.operation.Operation;
import ebauche.core.operation.Place;
import ebauche.core.operation.Setting;
import ebauche.core.plan.BuildPlan;
import ebauche.core.stock.Bore;
import ebauche.core.stock.Change;
import ebauche.core.stock.Solid;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * One hole of the drill list, placed from the centre line and what lies across it.
 *
 * @param step the operation that drills it
 * @param name which of its holes it is, as its places are called
 * @param at its middle on the plan, or where it enters the edge; x from the centre line, y from the saddle line
 * @param face it is drilled from, or that is up
 * @param from what its distance along the centre line is measured from
 * @param along that distance, towards the neck positive, mm
 * @param fromFret12 along the body from fret 12 towards the bridge, mm
 * @param diameter mm
 * @param depth so far the drill goes in from there
 * @param wall where on the edge or on a wall inside the body it is begun; empty on a face
 * @param through whether it is drilled right through
 */
public record DrillHole(
        Operation step,
        String name,
        Point at,
        Face face,
        MarkingOut.Along from,
        double along,
        double fromFret12,
        double diameter,
        Reckoning depth,
        Optional<Place.OnAWall> wall,
        boolean through,
        boolean done) {

    /** Every hole that is drilled for a part or a screw, in the order of the plan; drilled waste is no hole. */
    public static List<DrillHole> of(BuildPlan plan) {
        List<DrillHole> holes = new ArrayList<>();
        for (int i = 0; i < plan.steps().size(); i++) {
            BuildPlan.PlanStep step = plan.steps().get(i);
            Operation op = step.operation();
            if (op.setting() instanceof Setting.Drilled drilled && !op.key().is(StepKind.WASTE)) {
                Optional<MarkingOut> card = MarkingOut.of(plan, i);
                for (Change change : op.changes()) {
                    if (change.solid() instanceof Bore bore) {
                        holes.add(bored(plan, step, card, drilled, bore));
                    } else {
                        change.solid()
                                .plan()
                                .parts()
                                .forEach(hole -> holes.add(hole(plan, step, card, drilled, change.solid(), hole)));
                    }
                }
            }
        }
        return holes;
    }

    /** The mark that a hole is drilled on; what a record alone knows of is measured from the saddle line. */
    private static MarkingOut.Mark mark(Operation step, Optional<MarkingOut> card, Point at) {
        return card.flatMap(c -> c.marks().stream()
                        .min(Comparator.comparingDouble(m -> m.place().at().distance(at))))
                .orElseGet(() -> new MarkingOut.Mark(1, new Place(step.feature().said(), at), at.x(), at.y()));
    }

    private static MarkingOut.Along from(Optional<MarkingOut> card) {
        return card.map(MarkingOut::from).orElse(MarkingOut.Along.SADDLE_LINE);
    }

    /** One of the holes that a step drills as one. */
    private static DrillHole hole(
            BuildPlan plan,
            BuildPlan.PlanStep step,
            Optional<MarkingOut> card,
            Setting.Drilled drilled,
            Solid solid,
            Region hole) {
        FinishedFaces faces = plan.build().faces();
        double fret12 = plan.build().design().fret(12);
        Face face = step.operation().face();
        double far = face == Face.FRONT ? solid.deepest() : solid.shallowest();
        Reckoning toItsEnd = Reckoning.of("hole's depth", Quantity.LENGTH)
                .length("its end", far)
                .length(face.word() + " now", faces.now(face))
                .is(faces.fromFaceNow(face, far), face == Face.FRONT ? "its end − front now" : "back now − its end");
        boolean through = drilled.hole().filter(Setting.Drilled.Hole::through).isPresent();
        Point at = hole.centroid();
        MarkingOut.Mark mark = mark(step.operation(), card, at);
        return new DrillHole(
                step.operation(),
                mark.place().name(),
                at,
                face,
                from(card),
                mark.along(),
                fret12 - at.y(),
                hole.maxX() - hole.minX(),
                through ? drilled.depth() : toItsEnd,
                mark.place().wall(),
                through,
                step.done());
    }

    /** Along its axis into the edge, from a wall or aslant from a face. */
    private static DrillHole bored(
            BuildPlan plan, BuildPlan.PlanStep step, Optional<MarkingOut> card, Setting.Drilled drilled, Bore bore) {
        MarkingOut.Mark mark = mark(step.operation(), card, bore.from());
        return new DrillHole(
                step.operation(),
                mark.place().name(),
                mark.place().at(),
                step.operation().face(),
                from(card),
                mark.along(),
                plan.build().design().fret(12) - mark.place().at().y(),
                bore.diameter(),
                drilled.depth(),
                mark.place().wall(),
                false,
                step.done());
    }
}
