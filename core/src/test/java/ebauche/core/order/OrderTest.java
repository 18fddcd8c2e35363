package ebauche.core.order;

import static org.assertj.core.api.Assertions.assertThat;

import ebauche.core.TestBody;
import ebauche.core.feature.Feature;
import ebauche.core.feature.StepKey;
import ebauche.core.feature.Work;
import ebauche.core.geometry.Face;
import ebauche.core.geometry.Point;
import ebauche.core.geometry.Region;
import ebauche.core.job.Finding;
import ebauche.core.operation.Condition;
import ebauche.core.operation.Operation;
import ebauche.core.operation.Setting;
import ebauche.core.plan.BuildPlan;
import ebauche.core.stock.Change;
import ebauche.core.stock.Solid;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class OrderTest {
    private static final Condition.Mark LINE = new Condition.Mark(StepKey.parse("mark:do"), "the line");
    private static final Region HERE = Region.disc(new Point(0, 0), 40);

    private static Operation.Builder step(String name) {
        return Operation.of(Work.PLAN, StepKey.parse(name + ":do"), "Do " + name);
    }

    private static List<String> order(List<Operation> operations) {
        Precedence precedence = Precedence.of(operations);
        return Sequence.of(operations, precedence.links(), List.of()).operations().stream()
                .map(x -> x.feature().word())
                .toList();
    }

    @Test
    void a_giver_comes_before_its_needer_and_says_why() {
        List<Operation> operations = List.of(
                step("rout").needs(LINE).build(), step("mark").gives(LINE).build());
        assertThat(order(operations)).containsExactly("mark", "rout");
        assertThat(Precedence.of(operations).links()).singleElement().satisfies(link -> {
            assertThat(link.because()).contains("needs the line").contains("Do mark");
            assertThat(link.before().written()).isEqualTo("mark:do");
        });
    }

    @Test
    void who_needs_wood_comes_before_who_cuts_it_away_because_of_where_the_cut_is() {
        Change away = Change.Remove.fromBody(Feature.parse("big"), Solid.Prism.between(HERE, 0, 20));
        Change elsewhere = Change.Remove.fromBody(
                Feature.parse("far"), Solid.Prism.between(Region.disc(new Point(200, 0), 40), 0, 20));
        Condition.Wood wood = new Condition.Wood(Region.disc(new Point(5, 0), 10), 0, 12);
        List<Operation> operations = List.of(
                step("big").cuts(away).build(),
                step("far").cuts(elsewhere).build(),
                step("seat").needs(wood).build(),
                step("blank").gives(new Condition.Wood(HERE.grown(300), 0, 45)).build());
        List<Link> links = Precedence.of(operations).links();
        assertThat(links)
                .anyMatch(l -> l.before().written().equals("seat:do")
                        && l.after().written().equals("big:do"));
        assertThat(links).noneMatch(l -> l.after().written().equals("far:do"));
        List<String> order = order(operations);
        assertThat(order.indexOf("seat")).isLessThan(order.indexOf("big"));
    }

    @Test
    void a_face_half_cut_away_no_longer_carries_a_base_and_a_small_hole_does_no_harm() {
        Condition.Flat flat = new Condition.Flat(Face.FRONT, 0, HERE, Condition.Flat.HALF);
        Change hole = Change.Remove.fromBody(
                Feature.parse("x"), Solid.Prism.between(Region.disc(new Point(0, 0), 10), 0, 20));
        Change crater = Change.Remove.fromBody(
                Feature.parse("x"), Solid.Prism.between(Region.disc(new Point(0, 0), 36), 0, 20));
        Change fromBehind = Change.Remove.fromBody(Feature.parse("x"), Solid.Prism.between(HERE, 30, 45));
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
        Condition.Mark a = mark("a");
        Condition.Mark b = mark("b");
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

    /** Steps of which some wait for each other stand as they were found: a search that let a link go would put them where nobody can work. */
    @Test
    void an_order_with_a_circle_is_not_searched_for_a_cheaper_one() {
        TestBody clash = new TestBody();
        clash.pickups.set(0, TestBody.pickup("neck", 0, 60, 19));
        BuildPlan plan = clash.plan();
        assertThat(plan.schedule().ordering().sequence().circled()).isTrue();
        assertThat(plan.schedule().ordering().price())
                .isEqualTo(plan.schedule().ordering().asFound());
        assertThat(new TestBody().plan().schedule().ordering().sequence().circled())
                .isFalse();
    }

    /** Two cavities that were put into each other: the cause comes first, the cure parts them, and joining them is never advised. */
    @Test
    void a_circle_tells_its_cause_first_and_never_advises_to_join() {
        TestBody clash = new TestBody();
        clash.pickups.set(0, TestBody.pickup("neck", 0, 60, 19));
        BuildPlan plan = clash.plan();
        List<String> rules = plan.findings().stream().map(Finding::rule).toList();
        assertThat(rules).contains("breaks-in").containsOnlyOnce("circle");
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
        TestBody body = new TestBody().doneUpTo("outline:finish").done("cover:rout");
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
        Change atFirst = Change.Remove.fromBody(
                Feature.parse("x"), Solid.Prism.between(Region.disc(new Point(0, 0), 30), 0, 20));
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
            Operation.Builder step = step("s" + i).gives(mark("m" + i)).face(Face.values()[random.nextInt(2)]);
            for (int k = 0; k < 2 && i > 0; k++) {
                step.needs(mark("m" + random.nextInt(i)));
            }
            operations.add(step.build());
        }
        java.util.Collections.shuffle(operations, random);
        List<Link> links = Precedence.of(operations).links();
        Sequence sequence = Sequence.of(operations, links, List.of());
        List<String> keys =
                sequence.operations().stream().map(o -> o.key().written()).toList();
        assertThat(keys).hasSize(40).doesNotHaveDuplicates();
        assertThat(links)
                .allMatch(l -> keys.indexOf(l.before().written())
                        < keys.indexOf(l.after().written()));
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

    private static List<String> tied(List<Operation> operations, List<String> done) {
        return Sequence.of(operations, Precedence.of(operations).links(), keys(done)).operations().stream()
                .map(o -> o.key().written())
                .toList();
    }

    private static Operation step(String feature, String key, Face face, String tool) {
        return Operation.of(Work.PLAN, StepKey.parse(feature + ":" + key), feature + " " + key)
                .face(face)
                .set(new Setting.ByHand(tool))
                .build();
    }

    /** Among steps that nothing holds back: the same feature, then the face that is up, then the tool in hand, then the stations' order. */
    @Test
    void ties_go_to_feature_then_face_then_tool_then_rank() {
        Operation first = step("a", "one", Face.FRONT, "router");
        Operation otherFace = step("b", "one", Face.BACK, "router");
        Operation otherTool = step("c", "one", Face.FRONT, "drill");
        Operation sameTool = step("d", "one", Face.FRONT, "router");
        Operation sameFeature = step("a", "two", Face.BACK, "knife");
        assertThat(tied(List.of(first, otherFace, otherTool, sameTool, sameFeature), List.of()))
                .containsExactly("a:one", "a:two", "b:one", "d:one", "c:one");
        assertThat(tied(List.of(first, otherFace, otherTool, sameTool), List.of()))
                .containsExactly("a:one", "d:one", "c:one", "b:one");
        assertThat(tied(List.of(first, otherTool, otherFace), List.of())).containsExactly("a:one", "c:one", "b:one");
    }

    /** What is done stands first, in the order of doing, whatever the plan would have had. */
    @Test
    void what_is_done_stays_first_in_the_order_of_doing() {
        List<Operation> operations = List.of(
                step("a", "one", Face.FRONT, "x"),
                step("b", "one", Face.FRONT, "x"),
                step("c", "one", Face.FRONT, "x"));
        assertThat(tied(operations, List.of("c:one", "b:one"))).containsExactly("c:one", "b:one", "a:one");
        assertThat(tied(operations, List.of("gone:one", "b:one"))).first().isEqualTo("b:one");
    }

    @Test
    void only_what_was_skipped_is_told_as_done_early() {
        List<Operation> operations = List.of(
                step("rout").needs(LINE).build(), step("mark").gives(LINE).build());
        List<Link> links = Precedence.of(operations).links();
        assertThat(Sequence.of(operations, links, List.of()).findings()).isEmpty();
        assertThat(Sequence.of(operations, links, keys(List.of("mark:do"))).findings())
                .isEmpty();
        assertThat(Sequence.of(operations, links, keys(List.of("mark:do", "rout:do")))
                        .findings())
                .isEmpty();
        assertThat(Sequence.of(operations, links, keys(List.of("rout:do"))).findings())
                .singleElement()
                .satisfies(f -> {
                    assertThat(f.rule()).isEqualTo("done-early");
                    assertThat(f.severity()).isEqualTo(Finding.Severity.THINK_AGAIN);
                    assertThat(f.what(v -> "")).contains("“Do rout” is done", "“Do mark” should have come before");
                });
    }

    /** Of a chain with a short cut the short cut goes: its reason follows from the others. Of two ways that part both stay. */
    @Test
    void reasons_that_follow_from_others_are_left_out() {
        List<Operation> operations = List.of(
                step("a").build(),
                step("b").build(),
                step("c").build(),
                step("d").build());
        List<Link> links =
                List.of(link("a", "b"), link("b", "c"), link("a", "c"), link("a", "d"), link("b", "d"), link("c", "d"));
        assertThat(Sequence.of(operations, links, List.of()).telling())
                .extracting(l -> l.before().written() + l.after())
                .containsExactlyInAnyOrder("a:dob:do", "b:doc:do", "c:dod:do");
        List<Link> fork = List.of(link("a", "c"), link("b", "c"), link("c", "d"));
        assertThat(Sequence.of(operations, fork, List.of()).telling()).containsExactlyInAnyOrderElementsOf(fork);
    }

    private static Condition.Mark mark(String name) {
        return new Condition.Mark(StepKey.parse(name + ":mark"), name);
    }

    private static List<StepKey> keys(List<String> written) {
        return written.stream().map(StepKey::parse).toList();
    }

    private static Link link(String before, String after) {
        return new Link(StepKey.parse(before + ":do"), StepKey.parse(after + ":do"), "because", false, 0);
    }

    /** A seat that must stay comes before the cut that takes it away, and says so. */
    @Test
    void a_kept_seat_is_used_before_it_is_cut_away() {
        List<Condition.Wood> seats = new ArrayList<>();
        for (int i = 0; i < 2; i++) {
            seats.add(new Condition.Wood(Region.disc(new Point(60 * i, 0), 8), 0, 8));
        }
        Change atFirst = Change.Remove.fromBody(
                Feature.parse("pocket"), Solid.Prism.between(Region.disc(new Point(0, 0), 30), 0, 20));
        List<Operation> operations = List.of(
                step("pocket").cuts(atFirst).build(),
                step("template")
                        .needs(new Condition.AtLeast(2, "screw seats", seats))
                        .build());
        assertThat(Precedence.of(operations).links()).singleElement().satisfies(l -> {
            assertThat(l.before().written()).isEqualTo("template:do");
            assertThat(l.after().written()).isEqualTo("pocket:do");
            assertThat(l.takesAway()).isTrue();
            assertThat(l.because()).contains("at least 2 screw seats");
        });
        assertThat(order(operations)).containsExactly("template", "pocket");
        List<Operation> tooFew = List.of(step("template")
                .needs(new Condition.AtLeast(3, "screw seats", seats))
                .build());
        assertThat(Precedence.of(tooFew).findings()).singleElement().satisfies(f -> {
            assertThat(f.rule()).isEqualTo("too-few-seats");
            assertThat(f.what(v -> "")).contains("only 2");
        });
    }

    /** Half of a line may be lost to a neighbour, more may not; sanding the whole face leaves it whole. */
    @Test
    void a_line_on_the_face_is_lost_where_more_than_half_of_it_is_cut() {
        Region cavity = Region.rectangle(new Point(0, 0), 40, 40, 0, 0);
        Region line = cavity.grown(2).minus(cavity);
        Region around = cavity.grown(40).minus(cavity);
        Condition.Rim rim = new Condition.Rim(Face.BACK, 45, line, around);
        assertThat(rim.spoiledBy(cut(new Point(0, 0), 60, 60, 35, 46)))
                .as("all round")
                .isTrue();
        assertThat(rim.spoiledBy(cut(new Point(20, 0), 60, 60, 35, 46)))
                .as("three sides")
                .isTrue();
        assertThat(rim.spoiledBy(cut(new Point(40, 0), 60, 60, 35, 46)))
                .as("one side and a bit")
                .isFalse();
        assertThat(rim.spoiledBy(cut(new Point(0, 0), 60, 60, 0, 20)))
                .as("from the other face")
                .isFalse();
        assertThat(rim.spoiledBy(cut(new Point(0, 0), 300, 300, 44, 46)))
                .as("the whole face")
                .isFalse();
        assertThat(rim.answers(rim)).isFalse();
        assertThat(new Condition.Flat(Face.BACK, 45, around.union(line), 0.5).answers(rim))
                .isTrue();
        assertThat(new Condition.Flat(Face.FRONT, 0, around.union(line), 0.5).answers(rim))
                .isFalse();
    }

    private static Change cut(Point at, double across, double along, double from, double to) {
        return Change.Remove.fromBody(
                Feature.parse("other"), Solid.Prism.between(Region.rectangle(at, across, along, 0, 0), from, to));
    }

    /** What wants the front settled comes after all that still cuts it, and two that want it so do not wait for each other. */
    @Test
    void a_settled_face_waits_for_all_who_cut_it_but_those_who_settle_it() {
        Region body = Region.rectangle(new Point(0, 0), 300, 300, 0, 0);
        Condition.Settled settled = new Condition.Settled(Condition.OuterSurface.FRONT, 0, body);
        Change all = Change.Remove.fromBody(Feature.parse("sanding"), Solid.Prism.between(body, -1, 0.3));
        Change back = Change.Remove.fromBody(Feature.parse("rear"), Solid.Prism.between(HERE, 20, 46));
        List<Operation> operations = List.of(
                step("sand").needs(settled).cuts(all).build(),
                step("level").needs(settled).cuts(all).build(),
                step("hole")
                        .cuts(Change.Remove.fromBody(Feature.parse("hole"), Solid.Prism.between(HERE, -1, 20)))
                        .build(),
                step("rear").cuts(back).build());
        assertThat(Precedence.of(operations).links())
                .extracting(l -> l.before() + " > " + l.after())
                .containsExactlyInAnyOrder("hole:do > sand:do", "hole:do > level:do");
        assertThat(Precedence.of(operations).links()).allSatisfy(l -> {
            assertThat(l.because()).contains("needs the front settled", "“Do hole” still cuts it");
            assertThat(l.takesAway()).isFalse();
        });
        assertThat(Precedence.of(operations).findings()).isEmpty();
    }

    /** Features that are meant to join do not spoil each other's wood or walls; what is taken away by declaration is taken from all. */
    @Test
    void joined_features_spare_each_other_only_what_is_wood() {
        Change cut = Change.Remove.fromBody(Feature.parse("pocket"), Solid.Prism.between(HERE, 0, 20));
        Condition.Wood wood = new Condition.Wood(HERE, 0, 12);
        Condition.Wall wall = new Condition.Wall("seat", HERE, 0, 12);
        Operation blank =
                step("blank").gives(new Condition.Wood(HERE.grown(300), 0, 45)).build();
        for (Condition need : List.of(wood, wall)) {
            Operation seat = step("seat").needs(need).build();
            Operation joinedSeat = step("seat")
                    .needs(need)
                    .joins(Set.of(Feature.parse("pocket")))
                    .build();
            assertThat(links(blank, seat, step("pocket").cuts(cut).build())).contains("seat:do > pocket:do");
            assertThat(links(
                            blank,
                            seat,
                            step("pocket")
                                    .cuts(cut)
                                    .joins(Set.of(Feature.parse("seat")))
                                    .build()))
                    .containsExactly("blank:do > seat:do");
            assertThat(links(blank, joinedSeat, step("pocket").cuts(cut).build()))
                    .containsExactly("blank:do > seat:do");
            Operation own = Operation.of(Work.PLAN, StepKey.parse("seat:more"), "More of the seat")
                    .cuts(cut)
                    .build();
            assertThat(links(blank, seat, own)).as("its own cut").containsExactly("blank:do > seat:do");
        }
        assertThat(links(
                        step("mark").gives(LINE).build(),
                        step("rout").needs(LINE).build(),
                        step("off")
                                .spoils(LINE)
                                .joins(Set.of(Feature.parse("rout")))
                                .build()))
                .containsExactlyInAnyOrder("mark:do > rout:do", "rout:do > off:do");
    }

    private static List<String> links(Operation... operations) {
        return Precedence.of(List.of(operations)).links().stream()
                .map(l -> l.before() + " > " + l.after())
                .toList();
    }

    /** Of a circle the step that waits for least is let go; one within a single feature says so. */
    @Test
    void a_circle_lets_the_least_held_step_go_first() {
        Condition.Mark p = mark("p");
        Condition.Mark q = mark("q");
        Condition.Mark r = mark("r");
        List<Operation> operations = List.of(
                step("x").needs(p, q).gives(r).build(),
                step("y").needs(r).gives(p).build(),
                step("z").needs(r).gives(q).build());
        Sequence sequence = Sequence.of(operations, Precedence.of(operations).links(), List.of());
        assertThat(sequence.operations()).extracting(x -> x.feature().word()).containsExactly("y", "x", "z");
        List<Operation> own = List.of(
                Operation.of(Work.PLAN, StepKey.parse("pocket:one"), "One")
                        .needs(p)
                        .gives(q)
                        .build(),
                Operation.of(Work.PLAN, StepKey.parse("pocket:two"), "Two")
                        .needs(q)
                        .gives(p)
                        .build());
        Finding circle = Sequence.of(own, Precedence.of(own).links(), List.of())
                .findings()
                .get(0);
        assertThat(circle.what(v -> ""))
                .startsWith("These steps wait for each other: “")
                .contains("; “")
                .doesNotContain("In each other's way");
        assertThat(circle.cure(v -> "")).startsWith("Change the pocket").contains("no longer takes");
        assertThat(circle.feature()).contains(Feature.parse("pocket"));
        assertThat(circle.severity()).isEqualTo(Finding.Severity.STOPS);
    }

    @Test
    void as_many_seats_as_are_wanted_are_enough() {
        List<Condition.Wood> seats = List.of(
                new Condition.Wood(Region.disc(new Point(0, 0), 8), 0, 8),
                new Condition.Wood(Region.disc(new Point(60, 0), 8), 0, 8));
        List<Operation> operations = List.of(
                step("template").needs(new Condition.AtLeast(2, "seats", seats)).build());
        assertThat(Precedence.of(operations).findings()).isEmpty();
        assertThat(Precedence.of(operations, Map.of(StepKey.parse("template:do"), List.of()))
                        .findings())
                .isEmpty();
        List<Operation> three = List.of(
                step("template").needs(new Condition.AtLeast(3, "seats", seats)).build());
        assertThat(Precedence.of(three, Map.of(StepKey.parse("template:do"), List.of()))
                        .findings())
                .as("what is done held")
                .isEmpty();
    }
}
