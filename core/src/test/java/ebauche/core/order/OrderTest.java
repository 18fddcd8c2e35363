package ebauche.core.order;

import static org.assertj.core.api.Assertions.assertThat;

import ebauche.core.TestBody;
import ebauche.core.build.Finding;
import ebauche.core.geometry.Face;
import ebauche.core.geometry.Point;
import ebauche.core.geometry.Region;
import ebauche.core.operation.Condition;
import ebauche.core.operation.Operation;
import ebauche.core.plan.BuildPlan;
import ebauche.core.stock.Change;
import ebauche.core.stock.Solid;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class OrderTest {
    private static final Condition.Mark LINE = new Condition.Mark("the line");
    private static final Region HERE = Region.disc(new Point(0, 0), 40);

    private static Operation.Builder step(String name) {
        return Operation.of("test", name, "do", "Do " + name);
    }

    private static List<String> order(List<Operation> operations) {
        Precedence precedence = Precedence.of(operations);
        return Sequence.of(operations, precedence.links(), List.of()).operations().stream()
                .map(Operation::feature)
                .toList();
    }

    @Test
    void a_giver_comes_before_its_needer_and_says_why() {
        List<Operation> operations = List.of(
                step("rout").needs(LINE).build(), step("mark").gives(LINE).build());
        assertThat(order(operations)).containsExactly("mark", "rout");
        assertThat(Precedence.of(operations).links()).singleElement().satisfies(link -> {
            assertThat(link.because()).contains("needs the line").contains("Do mark");
            assertThat(link.before()).isEqualTo("mark:do");
        });
    }

    @Test
    void who_needs_wood_comes_before_who_cuts_it_away_because_of_where_the_cut_is() {
        Change away = Change.Remove.fromBody("big", Solid.Prism.between(HERE, 0, 20));
        Change elsewhere =
                Change.Remove.fromBody("far", Solid.Prism.between(Region.disc(new Point(200, 0), 40), 0, 20));
        Condition.Wood wood = new Condition.Wood(Region.disc(new Point(5, 0), 10), 0, 12);
        List<Operation> operations = List.of(
                step("big").cuts(away).build(),
                step("far").cuts(elsewhere).build(),
                step("seat").needs(wood).build(),
                step("blank").gives(new Condition.Wood(HERE.grown(300), 0, 45)).build());
        List<Link> links = Precedence.of(operations).links();
        assertThat(links)
                .anyMatch(l -> l.before().equals("seat:do") && l.after().equals("big:do"));
        assertThat(links).noneMatch(l -> l.after().equals("far:do"));
        List<String> order = order(operations);
        assertThat(order.indexOf("seat")).isLessThan(order.indexOf("big"));
    }

    @Test
    void a_face_half_cut_away_no_longer_carries_a_base_and_a_small_hole_does_no_harm() {
        Condition.Flat flat = new Condition.Flat(Face.FRONT, 0, HERE, Condition.Flat.HALF);
        Change hole = Change.Remove.fromBody("x", Solid.Prism.between(Region.disc(new Point(0, 0), 10), 0, 20));
        Change crater = Change.Remove.fromBody("x", Solid.Prism.between(Region.disc(new Point(0, 0), 36), 0, 20));
        Change fromBehind = Change.Remove.fromBody("x", Solid.Prism.between(HERE, 30, 45));
        assertThat(flat.spoiledBy(hole)).isFalse();
        assertThat(flat.spoiledBy(crater)).isTrue();
        assertThat(flat.spoiledBy(fromBehind)).isFalse();
    }

    @Test
    void a_need_that_nobody_gives_is_named_and_the_rest_is_still_ordered() {
        List<Operation> operations =
                List.of(step("rout").needs(LINE).build(), step("sand").build());
        Precedence precedence = Precedence.of(operations);
        assertThat(precedence.findings()).singleElement().satisfies(f -> {
            assertThat(f.rule()).isEqualTo("nobody-gives");
            assertThat(f.what()).contains("the line");
        });
        assertThat(order(operations)).hasSize(2);
    }

    @Test
    void a_circle_names_its_links_and_everything_is_still_there() {
        Condition.Mark a = new Condition.Mark("a");
        Condition.Mark b = new Condition.Mark("b");
        List<Operation> operations = List.of(
                step("one").needs(b).gives(a).build(),
                step("two").needs(a).gives(b).build(),
                step("three").build());
        Sequence sequence = Sequence.of(operations, Precedence.of(operations).links(), List.of());
        assertThat(sequence.operations()).hasSize(3);
        assertThat(sequence.findings()).anySatisfy(f -> {
            assertThat(f.rule()).isEqualTo("circle");
            assertThat(f.what()).contains("“Do one” before “Do two”").contains("“Do two” before “Do one”");
        });
    }

    /** Two cavities that were put into each other: the cause comes first, the cure parts them, and joining them is never advised. */
    @Test
    void a_circle_tells_its_cause_first_and_never_advises_to_join() {
        TestBody clash = new TestBody();
        clash.pickups.set(0, TestBody.pickup("neck", 0, 60, 19));
        BuildPlan plan = clash.plan();
        List<String> rules = plan.findings().stream().map(Finding::rule).toList();
        assertThat(rules).contains("breaks-in", "circle");
        assertThat(rules.indexOf("breaks-in")).isLessThan(rules.indexOf("circle"));
        Finding circle = plan.findings().get(rules.indexOf("circle"));
        assertThat(circle.what(v -> ""))
                .startsWith("In each other's way: the ")
                .contains("neck pickup cavity", "bridge pickup cavity");
        assertThat(circle.cure(v -> "")).contains("apart");
        assertThat(plan.findings()).noneMatch(f -> f.cure(v -> "").contains("join"));
    }

    /** A step that was done too early is told once for each feature that should have come first, not once for each of its steps. */
    @Test
    void done_early_is_told_once_for_each_feature() {
        TestBody body = new TestBody().doneUpTo("neck-screws:drill").done("cover:rout");
        List<String> early = body.plan().findings().stream()
                .filter(f -> f.rule().equals("done-early"))
                .map(f -> f.what(v -> ""))
                .toList();
        assertThat(early)
                .hasSizeLessThan(4)
                .anyMatch(w -> w.contains("control cavity"))
                .doesNotHaveDuplicates();
    }

    @Test
    void of_three_screw_seats_the_two_that_fewest_cuts_reach_are_kept() {
        List<Condition.Wood> seats = new ArrayList<>();
        for (int i = 0; i < 3; i++) {
            seats.add(new Condition.Wood(Region.disc(new Point(60 * i, 0), 8), 0, 8));
        }
        Change atFirst = Change.Remove.fromBody("x", Solid.Prism.between(Region.disc(new Point(0, 0), 30), 0, 20));
        List<Operation> operations = List.of(
                step("template")
                        .needs(new Condition.AtLeast(2, "screw seats", seats))
                        .build(),
                step("pocket").cuts(atFirst).build());
        assertThat(Precedence.of(operations).links()).isEmpty();
    }

    /** Property: over random needs and gives, every link is kept and every telling reason is one of the links. */
    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3, 4, 5, 6, 7, 8})
    void random_builds_are_put_in_an_order_that_keeps_every_link(long seed) {
        Random random = new Random(seed);
        List<Operation> operations = new ArrayList<>();
        for (int i = 0; i < 40; i++) {
            Operation.Builder step =
                    step("s" + i).gives(new Condition.Mark("m" + i)).face(Face.values()[random.nextInt(2)]);
            for (int k = 0; k < 2 && i > 0; k++) {
                step.needs(new Condition.Mark("m" + random.nextInt(i)));
            }
            operations.add(step.build());
        }
        java.util.Collections.shuffle(operations, random);
        List<Link> links = Precedence.of(operations).links();
        Sequence sequence = Sequence.of(operations, links, List.of());
        List<String> keys = sequence.operations().stream().map(Operation::key).toList();
        assertThat(keys).hasSize(40).doesNotHaveDuplicates();
        assertThat(links).allMatch(l -> keys.indexOf(l.before()) < keys.indexOf(l.after()));
        assertThat(links).containsAll(sequence.telling());
        assertThat(reachable(sequence.telling())).isEqualTo(reachable(links));
    }

    /** Who comes before whom, all that follows drawn out: the slow obvious closure. */
    private static java.util.Set<String> reachable(List<Link> links) {
        java.util.Set<String> pairs = new java.util.TreeSet<>();
        links.forEach(l -> pairs.add(l.before() + ">" + l.after()));
        boolean grew = true;
        while (grew) {
            grew = false;
            for (String one : List.copyOf(pairs)) {
                for (Link next : links) {
                    if (one.endsWith(">" + next.before())) {
                        grew |= pairs.add(one.substring(0, one.indexOf('>')) + ">" + next.after());
                    }
                }
            }
        }
        return pairs;
    }
}
