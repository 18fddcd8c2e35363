package ebauche.exchange.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import ebauche.core.design.Passage.Begun;
import ebauche.core.feature.FeatureKind;
import ebauche.core.feature.StepKind;
import ebauche.core.geometry.Face;
import ebauche.core.geometry.Point;
import ebauche.core.geometry.Region;
import ebauche.core.job.Build;
import ebauche.core.job.UnderTop;
import ebauche.core.logbook.AsBuilt;
import ebauche.core.operation.Operation;
import ebauche.core.operation.Place;
import ebauche.core.operation.Setting;
import ebauche.core.plan.BuildPlan;
import ebauche.core.plan.Planner;
import ebauche.core.sheet.MarkingOut;
import ebauche.core.stock.Bore;
import ebauche.core.stock.Change;
import ebauche.core.wires.Run;
import ebauche.exchange.OddBodies;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/**
 * Whatever is drilled says where, for every body that there is: the places are the middles of what the step takes away, told from the
 * wood and not from where the stations have them; and the distances that a card gives lead a rule back to them.
 */
@Tag("slow")
class PlacesTest {
    static List<String> bodies() {
        return OddBodies.ALL;
    }

    private static BuildPlan plan(String body) {
        Build build = OddBodies.read(body).build();
        return Planner.plan(new Build(build.drawn(), build.shop(), new AsBuilt(List.of())));
    }

    /** The middles of the holes that a step bores, by what it takes away. */
    private static List<Point> bored(Operation step, Region outline) {
        List<Point> middles = new ArrayList<>();
        for (Change change : step.changes()) {
            if (change.solid() instanceof Bore bore) {
                middles.add(onEdge(bore, outline));
            } else {
                change.solid().plan().parts().stream().map(Region::centroid).forEach(middles::add);
            }
        }
        return middles;
    }

    /** A level hole is marked where its axis comes out of the drawn edge. */
    private static Point onEdge(Bore bore, Region outline) {
        double width = 0.02;
        double length = bore.from().distance(bore.to());
        double dx = (bore.from().x() - bore.to().x()) / length;
        double dy = (bore.from().y() - bore.to().y()) / length;
        Region axis = Region.alongLine(List.of(bore.to(), bore.from().plus(20 * dx, 20 * dy)), width);
        return axis.intersection(outline).farthest(dx, dy);
    }

    @ParameterizedTest
    @MethodSource("bodies")
    void every_hole_has_its_place(String body) {
        BuildPlan plan = plan(body);
        Region outline = plan.build().design().outline().region();
        int holes = 0;
        for (BuildPlan.PlanStep step : plan.steps()) {
            Operation op = step.operation();
            if (op.feature().is(FeatureKind.CHANNEL)) {
                onAxis(op, plan);
                continue;
            }
            if (op.setting() instanceof Setting.Drilled && !op.key().is(StepKind.WASTE)) {
                List<Point> bored = bored(op, outline);
                if (!bored.isEmpty()) {
                    assertThat(op.places()).as(op.title()).hasSameSizeAs(bored);
                }
                bored.forEach(
                        hole -> assertThat(op.places()).as(op.title()).anyMatch(p -> p.at().distance(hole) < 0.05));
                holes += bored.size();
            }
        }
        assertThat(holes).isGreaterThan(3);
    }

    /**
     * A channel goes in at the wall of what it is begun in, or where it is set on the front, and comes out at the wall of what it ends
     * in, on the hole's axis; down a wall as far as the hole's own axis lies there.
     */
    private static void onAxis(Operation channel, BuildPlan plan) {
        assertThat(channel.places()).hasSize(2);
        Place in = channel.places().get(0);
        Place out = channel.places().get(1);
        Bore bore = (Bore) channel.changes().get(0).solid();
        Run run = Run.all(plan.build()).stream()
                .filter(r -> r.channel().feature().equals(channel.feature()))
                .findFirst()
                .orElseThrow();
        double way = bore.from().distance(bore.to());
        double front = channel.onCore()
                ? UnderTop.front(plan.build())
                : plan.build().faces().frontNow();
        for (Place place : channel.places()) {
            assertThat(bore.from().distance(place.at()) + place.at().distance(bore.to()))
                    .isCloseTo(way, within(1e-6));
            double share = bore.from().distance(place.at()) / way;
            place.wall()
                    .ifPresent(w -> assertThat(w.down().value() + front)
                            .isCloseTo(bore.fromDepth() + share * (bore.toDepth() - bore.fromDepth()), within(1e-6)));
        }
        assertThat(run.into().orElseThrow().plan().outside(out.at())).isCloseTo(0, within(0.05));
        if (run.begun() == Begun.IN_A_SPACE) {
            assertThat(in.wall().orElseThrow().words())
                    .isEqualTo("the wall of the "
                            + run.from().orElseThrow().feature().said());
            assertThat(run.from().orElseThrow().plan().outside(in.at())).isCloseTo(0, within(0.05));
        } else {
            assertThat(in.at()).isEqualTo(run.channel().from());
        }
    }

    @ParameterizedTest
    @MethodSource("bodies")
    void waste_is_pricked_through_where_its_drill_stays_inside_the_line(String body) {
        BuildPlan plan = plan(body);
        for (BuildPlan.PlanStep step : plan.steps()) {
            Operation op = step.operation();
            if (op.key().is(StepKind.WASTE)) {
                List<Place> holes = MarkingOut.places(plan.build(), op);
                assertThat(holes).as(op.title()).isNotEmpty();
                Region taken = op.changes().get(0).solid().plan();
                assertThat(holes)
                        .as(op.title())
                        .allSatisfy(p -> assertThat(taken.contains(p.at())).isTrue());
            }
        }
    }

    /** With the two distances of each mark, from where the datum lies on the drawn outline, one comes to the place itself. */
    @ParameterizedTest
    @MethodSource("bodies")
    void a_rule_laid_by_the_card_comes_to_the_place(String body) {
        BuildPlan plan = plan(body);
        Region outline = plan.build().design().outline().region();
        int marked = 0;
        for (int i = 0; i < plan.steps().size(); i++) {
            MarkingOut card = MarkingOut.of(plan, i).orElse(null);
            if (card == null) {
                continue;
            }
            Region centreLine = Region.alongLine(List.of(new Point(0, -2000), new Point(0, 2000)), 0.05);
            double zero = switch (card.from()) {
                case SADDLE_LINE -> 0;
                case TAIL_END -> outline.intersection(centreLine).minY();
                case NECK_END -> outline.intersection(centreLine).maxY();
            };
            for (MarkingOut.Mark mark : card.marks()) {
                assertThat(mark.across()).isCloseTo(mark.place().at().x(), within(1e-9));
                assertThat(zero + mark.along()).isCloseTo(mark.place().at().y(), within(0.05));
                marked++;
            }
            if (card.face() == Face.BACK) {
                assertThat(card.from())
                        .as("the saddle line is on the front")
                        .isNotEqualTo(MarkingOut.Along.SADDLE_LINE);
            }
            double straight = card.check().straight().value();
            Point other = card.marks().get(card.check().other() - 1).place().at();
            Point one = card.check().one() == 0
                    ? new Point(0, zero)
                    : card.marks().get(card.check().one() - 1).place().at();
            assertThat(straight).isCloseTo(one.distance(other), within(0.05));
        }
        assertThat(marked).isGreaterThan(5);
    }
}
