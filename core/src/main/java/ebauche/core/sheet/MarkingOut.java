package ebauche.core.sheet;

import ebauche.core.design.BodyDesign;
import ebauche.core.feature.StepKind;
import ebauche.core.geometry.Face;
import ebauche.core.geometry.Point;
import ebauche.core.geometry.Region;
import ebauche.core.job.Build;
import ebauche.core.measure.Quantity;
import ebauche.core.measure.Reckoning;
import ebauche.core.operation.Operation;
import ebauche.core.operation.Place;
import ebauche.core.plan.BuildPlan;
import ebauche.core.plan.Stations;
import ebauche.core.routing.Datum;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.Set;
import java.util.stream.Stream;

/**
 * Where a step's places lie, from two lines on the wood that a rule can be laid to: the centre line, and square to it the saddle line
 * or an end of the body.
 *
 * <p>The saddle line is there on the front once it is marked; before that, and on the back, whichever end of the body on the centre
 * line lies nearer is measured from (common practice). The diagonal proves both at once.
 *
 * @param face that is up
 * @param from what the distances along the centre line are measured from
 * @param marks in the order of marking
 * @param roughly whether nothing hangs on a millimetre: waste that is drilled out, a line to carve to
 * @param check one distance to measure across the marks
 * @param there the earlier step that has marked or drilled all of these places, if one has
 */
public record MarkingOut(
        Face face, Along from, List<Mark> marks, boolean roughly, Check check, Optional<Operation> there) {
    /** What distances along the centre line are measured from. */
    public enum Along {
        SADDLE_LINE("the saddle line"),
        TAIL_END("the tail end"),
        NECK_END("the neck end");

        private final String words;

        Along(String words) {
            this.words = words;
        }

        public String words() {
            return words;
        }
    }

    /**
     * One place.
     *
     * @param number in the order of marking, from 1
     * @param across from the centre line, right positive as seen from the front, mm
     * @param along from the line or the end that is measured from, towards the neck positive, mm
     */
    public record Mark(int number, Place place, double across, double along) {}

    /**
     * A distance straight from one mark to another.
     *
     * @param one number of a mark; 0 where the two lines cross
     * @param other number of the other mark
     */
    public record Check(int one, int other, Reckoning straight) {}

    private static final Set<StepKind> ROUGH = Set.of(StepKind.WASTE, StepKind.LINE);

    /** Two places this close are the same mark, mm. */
    private static final double SAME = 0.05;

    public MarkingOut {
        marks = List.copyOf(marks);
    }

    /** Which way all of its marks lie along the centre line: 1 to the neck, -1 to the tail; empty where they lie both ways. */
    public OptionalInt oneWay() {
        boolean neck = marks.stream().anyMatch(m -> m.along() > 0);
        boolean tail = marks.stream().anyMatch(m -> m.along() < 0);
        return neck && tail ? OptionalInt.empty() : OptionalInt.of(tail ? -1 : 1);
    }

    /** Whether any of them lies on the edge or on a wall, and has its height besides. */
    public boolean hasWalls() {
        return marks.stream().anyMatch(m -> m.place().wall().isPresent());
    }

    /** The places of one step of a plan; none where it has none. */
    public static Optional<MarkingOut> of(BuildPlan plan, int index) {
        Operation step = plan.steps().get(index).operation();
        List<Place> places = places(plan.build(), step);
        if (places.isEmpty()) {
            return Optional.empty();
        }
        List<Operation> before = plan.steps().subList(0, index).stream()
                .map(BuildPlan.PlanStep::operation)
                .toList();
        BodyDesign design = plan.build().design();
        boolean bridge = step.face() == Face.FRONT
                && before.stream().anyMatch(o -> o.gives().contains(Datum.BRIDGE_MARKED));
        double middle = places.stream().mapToDouble(p -> p.at().y()).average().orElseThrow();
        OptionalDouble tail = end(design, -1);
        OptionalDouble neck = end(design, 1);
        Along from = bridge || tail.isEmpty() || neck.isEmpty()
                ? Along.SADDLE_LINE
                : middle - tail.getAsDouble() <= neck.getAsDouble() - middle ? Along.TAIL_END : Along.NECK_END;
        double zero = switch (from) {
            case SADDLE_LINE -> 0;
            case TAIL_END -> tail.orElseThrow();
            case NECK_END -> neck.orElseThrow();
        };
        List<Mark> marks = new ArrayList<>();
        for (Place place : places) {
            marks.add(
                    new Mark(marks.size() + 1, place, place.at().x(), place.at().y() - zero));
        }
        return Optional.of(new MarkingOut(
                step.face(),
                from,
                marks,
                ROUGH.contains(step.key().kind()),
                check(marks, from),
                there(step.face(), places, before)));
    }

    /** Where a step marks or drills; a pattern for a pocket's waste is laid out when somebody asks for it. */
    public static List<Place> places(Build build, Operation step) {
        if (!step.key().is(StepKind.WASTE) || !step.places().isEmpty()) {
            return step.places();
        }
        return Place.numbered(
                "hole",
                Stations.pockets(build).stream()
                        .filter(p -> p.feature().equals(step.feature()))
                        .flatMap(p -> p.drilling().stream())
                        .flatMap(d -> d.holes().stream())
                        .toList());
    }

    /** Where the centre line leaves the body at its tail or at its neck; empty where the body does not lie round it. */
    private static OptionalDouble end(BodyDesign design, int way) {
        Region body = design.outline().region();
        Point inside = new Point(0, way < 0 ? 0 : design.neck().endWallToSaddle());
        return body.contains(inside)
                ? OptionalDouble.of(inside.y() + way * body.wayOut(inside, 0, way))
                : OptionalDouble.empty();
    }

    /** The latest step whose places are these, on the same face if there is one; where an edge is only read no mark is left. */
    private static Optional<Operation> there(Face up, List<Place> places, List<Operation> before) {
        List<Operation> same = before.stream()
                .filter(o -> !o.places().isEmpty() && !o.key().is(StepKind.READ_EDGE))
                .filter(o -> places.stream()
                        .allMatch(p -> o.places().stream().anyMatch(q -> q.at().distance(p.at()) < SAME)))
                .toList();
        return latest(same.stream().filter(o -> o.face() == up)).or(() -> latest(same.stream()));
    }

    private static Optional<Operation> latest(Stream<Operation> steps) {
        return steps.reduce((earlier, later) -> later);
    }

    /** Between the two marks farthest apart; of one mark, from where the lines cross. */
    private static Check check(List<Mark> marks, Along from) {
        if (marks.size() == 1) {
            Mark only = marks.get(0);
            return new Check(
                    0,
                    1,
                    straight(
                            "from where the centre line meets " + from.words(),
                            Math.abs(only.across()),
                            Math.abs(only.along())));
        }
        Mark one = marks.get(0);
        Mark other = marks.get(1);
        for (Mark a : marks) {
            for (Mark b : marks) {
                if (a.number() < b.number() && apart(a, b) > apart(one, other)) {
                    one = a;
                    other = b;
                }
            }
        }
        return new Check(
                one.number(),
                other.number(),
                straight(
                        one.number() + " to " + other.number(),
                        Math.abs(one.across() - other.across()),
                        Math.abs(one.along() - other.along())));
    }

    private static double apart(Mark a, Mark b) {
        return a.place().at().distance(b.place().at());
    }

    private static Reckoning straight(String what, double across, double along) {
        return Reckoning.of(what, Quantity.LENGTH)
                .length("across, a", across)
                .length("along, b", along)
                .is(Math.hypot(across, along), "√(a² + b²)");
    }
}
