package ebauche.core.shielding;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import ebauche.core.TestBody;
import ebauche.core.feature.Feature;
import ebauche.core.geometry.Outline;
import ebauche.core.geometry.Point;
import ebauche.core.hardware.Cavity;
import ebauche.core.hardware.Cover;
import ebauche.core.hardware.Shield;
import ebauche.core.job.Finding;
import ebauche.core.measure.Refusal;
import ebauche.core.plan.BuildPlan;
import ebauche.core.shielding.Ground.Bond;
import ebauche.core.shielding.Ground.Node;
import ebauche.core.shielding.Suspects.Read;
import ebauche.core.shop.ShieldStock;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashSet;
import java.util.List;
import java.util.Random;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.locationtech.jts.io.ParseException;
import org.locationtech.jts.io.WKTReader;

class ShieldingOutsideTest {
    private static final Feature CONTROLS = Feature.parse("controls");

    private static TestBody lined(Shield.By by) {
        TestBody body = new TestBody().wired();
        body.shields.add(new Shield("controls", CONTROLS, by));
        return body;
    }

    /** Floor 6000, round it 320, depth 34: 16 880 mm² without lip and cover. The plan is 100 x 60, its area and its rim by JTS. */
    @Test
    void an_area_is_floor_wall_lip_and_cover() throws ParseException {
        TestBody body = new TestBody();
        body.thickness = 40;
        Outline box = Outline.parse("M 60 -80 L 120 -80 L 120 20 L 60 20 Z", 1);
        Cavity open = TestBody.cavity(box, 6);
        body.cavities.set(0, open.with(Cover.letIn(2, 0)));
        body.shields.add(new Shield("controls", CONTROLS, Shield.By.PAINT));
        var jts = new WKTReader().read("POLYGON ((60 -80, 120 -80, 120 20, 60 20, 60 -80))");
        Skin skin = Skin.all(body.build()).get(0);
        assertThat(skin.area().value()).isCloseTo(jts.getArea() + jts.getLength() * 34 + jts.getArea(), within(0.5));
        assertThat(jts.getArea() + jts.getLength() * 34).isEqualTo(16_880);
        body.cavities.set(0, open.with(Cover.letIn(2, 5)));
        double recess = jts.buffer(5, 64).getArea();
        assertThat(Skin.all(body.build()).get(0).area().value())
                .isCloseTo(16_880 + recess - jts.getArea() + recess, within(3.0));
    }

    /** 150 mL for a square metre and coat, two coats: 16 880 mm² and a cover of 6000 take 6.9 mL. */
    @Test
    void paint_is_area_coats_and_spread() {
        TestBody body = lined(Shield.By.PAINT);
        Skin skin = Skin.all(body.build()).get(0);
        assertThat(skin.paint().value()).isCloseTo(skin.area().value() / 1e6 * 2 * 150, within(1e-9));
    }

    /** 70 wide off a roll of 50 with 6 of overlap: two strips; and by laying them: none wider than the roll, together as wide and the overlaps. */
    @ParameterizedTest
    @CsvSource({
        "70, 50, 6, 2",
        "50, 50, 6, 1",
        "51, 50, 6, 2",
        "94, 50, 6, 2",
        "94.1, 50, 6, 3",
        "30, 50, 6, 1",
        "200, 25, 5, 10"
    })
    void so_many_strips_cover_a_width(double wide, double roll, double overlap, int strips) {
        assertThat(Skin.strips(wide, roll, overlap)).isEqualTo(strips);
        assertThat(strips * roll - (strips - 1) * overlap).isGreaterThanOrEqualTo(wide);
        assertThat((strips - 1) * roll - (strips - 2) * overlap).isLessThan(wide);
    }

    /** Every piece lies on the roll, none on another, and no other order of rows is shorter: 300 seeded lists against every way to share them out. */
    @Test
    void the_cut_list_is_the_shortest() {
        Random random = new Random(8);
        for (int i = 0; i < 300; i++) {
            List<Roll.Piece> pieces = new ArrayList<>();
            int n = 1 + random.nextInt(6);
            for (int k = 0; k < n; k++) {
                pieces.add(new Roll.Piece("p" + k, 5 + random.nextInt(46), 20 + random.nextInt(200)));
            }
            Roll roll = Roll.of(pieces, 50);
            assertThat(roll.pieces().stream().map(Roll.Placed::piece)).containsExactlyInAnyOrderElementsOf(pieces);
            for (Roll.Placed a : roll.pieces()) {
                assertThat(a.across() + a.piece().wide()).isLessThanOrEqualTo(50 + 1e-9);
                assertThat(a.along() + a.piece().length()).isLessThanOrEqualTo(roll.length() + 1e-9);
                assertThat(roll.pieces())
                        .filteredOn(b -> b != a)
                        .allMatch(b -> a.across() >= b.across() + b.piece().wide() - 1e-9
                                || b.across() >= a.across() + a.piece().wide() - 1e-9
                                || a.along() >= b.along() + b.piece().length() - 1e-9
                                || b.along() >= a.along() + a.piece().length() - 1e-9);
            }
            assertThat(roll.length()).isCloseTo(shortest(pieces, new int[n], 0), within(1e-9));
        }
    }

    /** Every piece in every row. */
    private static double shortest(List<Roll.Piece> pieces, int[] row, int next) {
        int n = pieces.size();
        if (next < n) {
            double best = Double.POSITIVE_INFINITY;
            for (int r = 0; r < n; r++) {
                row[next] = r;
                best = Math.min(best, shortest(pieces, row, next + 1));
            }
            return best;
        }
        double[] wide = new double[n];
        double[] length = new double[n];
        for (int k = 0; k < n; k++) {
            wide[row[k]] += pieces.get(k).wide();
            length[row[k]] = Math.max(length[row[k]], pieces.get(k).length());
        }
        return Arrays.stream(wide).anyMatch(w -> w > 50)
                ? Double.POSITIVE_INFINITY
                : Arrays.stream(length).sum();
    }

    /** In a star one reading a bond, each node by one way; a bus may have more; everything is joined to the sleeve. */
    @ParameterizedTest
    @EnumSource(ShieldStock.Grounding.class)
    void all_that_is_grounded_comes_to_the_sleeve(ShieldStock.Grounding school) {
        TestBody body = lined(Shield.By.COPPER);
        body.controls.add(TestBody.pot("tone", 100, -58, 8));
        body.shields.add(new Shield("neck", Feature.parse("pickup-neck"), Shield.By.COPPER));
        body.shop = body.shop.with(new ShieldStock(150, 2, 4, 50, 6, true, school));
        Ground ground = Ground.of(body.build());
        assertThat(ground.alone()).isEmpty();
        assertThat(ground.readings()).hasSize(ground.nodes().size() - 1);
        assertThat(ground.nodes().stream().map(Node::key))
                .contains(
                        "sleeve",
                        "bridge",
                        "shield-controls",
                        "cover-controls",
                        "shield-pickup-neck",
                        "control-volume");
        if (school == ShieldStock.Grounding.STAR) {
            assertThat(ground.bonds()).hasSize(ground.nodes().size() - 1);
            // Both pots' nuts sit on the shield: a wire from case to case would be a second way.
            assertThat(ground.leftOut()).extracting(Bond::how).containsExactly("a wire from case to case");
        } else {
            assertThat(ground.leftOut()).isEmpty();
            assertThat(ground.bonds().size()).isGreaterThan(ground.nodes().size() - 1);
        }
    }

    /** Said to be joined by a lug or by solder it is, beside the parts that stand in it: in a star that is a second way, and left out. */
    @Test
    void a_shield_is_joined_as_it_is_said() {
        TestBody body = lined(Shield.By.COPPER);
        body.shop = body.shop.with(new ShieldStock(150, 2, 4, 50, 6, true, ShieldStock.Grounding.BUS));
        body.shields.set(0, new Shield("controls", CONTROLS, Shield.By.COPPER, Shield.Joined.SOLDER));
        assertThat(Ground.of(body.build()).bonds())
                .filteredOn(b -> b.isOf("shield-controls"))
                .extracting(Bond::how)
                .contains("its nut", "a wire soldered to it");
        body.shop = body.shop.with(new ShieldStock(150, 2, 4, 50, 6, true, ShieldStock.Grounding.STAR));
        assertThat(Ground.of(body.build()).leftOut()).extracting(Bond::how).containsExactly("a wire soldered to it");
        // The pickup's rout holds no part that grounds it: by itself it gets a lug, and solder where that is said.
        body.shields.add(new Shield("neck", Feature.parse("pickup-neck"), Shield.By.COPPER));
        assertThat(joining(body)).containsExactly("a wire from a lug under a screw");
        body.shields.set(1, new Shield("neck", Feature.parse("pickup-neck"), Shield.By.COPPER, Shield.Joined.SOLDER));
        assertThat(joining(body)).containsExactly("a wire soldered to it");
    }

    private static List<String> joining(TestBody body) {
        return Ground.of(body.build()).bonds().stream()
                .filter(b -> b.isOf("shield-pickup-neck"))
                .map(Bond::how)
                .toList();
    }

    /** Common practice: solder takes on copper, not on aluminium or paint; what does not take is not told to be soldered either. */
    @ParameterizedTest
    @EnumSource(
            value = Shield.By.class,
            names = {"PAINT", "ALUMINIUM"})
    void solder_takes_on_copper_alone(Shield.By by) {
        assertThatThrownBy(() -> new Shield("a", CONTROLS, by, Shield.Joined.SOLDER))
                .isInstanceOf(Refusal.class)
                .hasMessageContaining("solder does not take on " + by.words());
        TestBody body = lined(by);
        body.shop = body.shop.with(new ShieldStock(150, 2, 4, 50, 6, false, ShieldStock.Grounding.STAR));
        assertThat(body.schedule()
                        .step("controls:shield")
                        .orElseThrow()
                        .operation()
                        .setting()
                        .tool())
                .doesNotContain("solder");
    }

    private static Ground random(Random random, int nodes, int more) {
        List<Node> all = new ArrayList<>();
        List<Bond> bonds = new ArrayList<>();
        for (int i = 0; i < nodes; i++) {
            all.add(new Node(i == 0 ? "sleeve" : "n" + i, "n" + i, new Point(0, 0)));
            if (i > 0) {
                bonds.add(new Bond(all.get(random.nextInt(i)).key(), all.get(i).key(), "w" + i, 1));
            }
        }
        for (int k = 0; k < more; k++) {
            int a = random.nextInt(nodes);
            int b = random.nextInt(nodes);
            if (a != b) {
                bonds.add(new Bond(all.get(a).key(), all.get(b).key(), "x" + k, 1));
            }
        }
        return new Ground(all, bonds, List.of());
    }

    private static boolean reads(Ground ground, Set<Bond> bad, String one, String other) {
        List<Bond> sound = ground.bonds().stream().filter(b -> !bad.contains(b)).toList();
        return Ground.joined(one, sound).contains(other);
    }

    /** On seeded graphs, with every single fault and every double one of a tree: the true fault, if it shows, is among the suspects. */
    @Test
    void the_bad_bond_is_among_the_suspects() {
        Random random = new Random(5);
        int shown = 0;
        for (int i = 0; i < 60; i++) {
            Ground ground = random(random, 4 + random.nextInt(5), i % 3);
            for (Bond bad : ground.bonds()) {
                List<Read> readings = new ArrayList<>();
                for (Node node : ground.nodes()) {
                    if (random.nextInt(3) > 0) {
                        readings.add(new Read("sleeve", node.key(), reads(ground, Set.of(bad), "sleeve", node.key())));
                    }
                }
                Suspects suspects = Suspects.of(ground, readings);
                if (readings.stream().anyMatch(r -> !r.good())) {
                    shown++;
                    assertThat(suspects.faults()).contains(Set.of(bad));
                } else {
                    assertThat(suspects.faults()).isEmpty();
                }
            }
        }
        assertThat(shown).isGreaterThan(100);
    }

    /** In a tree a single suspect is a bond on every bad way and on no good one: told here by the ways themselves. */
    @Test
    void in_a_star_the_suspects_lie_on_every_bad_way_and_on_no_good_one() {
        Random random = new Random(9);
        for (int i = 0; i < 100; i++) {
            Ground ground = random(random, 8, 0);
            Bond bad = ground.bonds().get(random.nextInt(7));
            List<Read> readings = new ArrayList<>();
            Set<Bond> expected = new HashSet<>(ground.bonds());
            for (int k = 1; k < 8; k++) {
                if (random.nextBoolean()) {
                    boolean good = reads(ground, Set.of(bad), "sleeve", "n" + k);
                    readings.add(new Read("sleeve", "n" + k, good));
                    Set<Bond> way = way(ground, "n" + k);
                    if (good) {
                        expected.removeAll(way);
                    } else {
                        expected.retainAll(way);
                    }
                }
            }
            if (readings.stream().anyMatch(r -> !r.good())) {
                assertThat(Suspects.of(ground, readings).bonds()).isEqualTo(expected);
            }
        }
    }

    /** Up the tree: the bond that each node was hung on by is the one named after it. */
    private static Set<Bond> way(Ground ground, String from) {
        Set<Bond> way = new HashSet<>();
        String here = from;
        while (!here.equals("sleeve")) {
            String name = "w" + here.substring(1);
            Bond up = ground.bonds().stream()
                    .filter(b -> b.how().equals(name))
                    .findFirst()
                    .orElseThrow();
            way.add(up);
            here = up.beyond(here);
        }
        return way;
    }

    /** Two bad bonds that no single one explains: found as a pair; and the reading that is asked for next parts what is left. */
    @Test
    void two_bad_bonds_are_found_as_a_pair_and_the_next_reading_parts_them() {
        Random random = new Random(3);
        for (int i = 0; i < 40; i++) {
            Ground ground = random(random, 7, 0);
            Set<Bond> bad = Set.of(ground.bonds().get(0), ground.bonds().get(1 + random.nextInt(5)));
            List<Read> readings = new ArrayList<>();
            for (Bond bond : ground.bonds()) {
                readings.add(new Read(bond.one(), bond.other(), !bad.contains(bond)));
            }
            assertThat(Suspects.of(ground, readings).faults()).containsExactly(bad);
            Suspects vague = Suspects.of(ground, List.of(new Read("sleeve", "n6", false)));
            vague.next(ground).ifPresent(next -> {
                long good = vague.faults().stream()
                        .filter(f -> reads(ground, f, next.one(), next.other()))
                        .count();
                assertThat(good).isPositive().isLessThan(vague.faults().size());
            });
        }
    }

    @Test
    void it_is_lined_once_it_is_at_depth_drilled_and_sanded_and_then_proved() {
        TestBody body = lined(Shield.By.PAINT);
        BuildPlan plan = body.plan();
        List<String> keys =
                plan.steps().stream().map(s -> s.operation().key().written()).toList();
        assertThat(keys)
                .containsSubsequence(
                        "controls:rout", "channel-wires:drill", "sanding:front", "controls:shield", "jack:meter");
        assertThat(plan.findings().stream().map(Finding::rule))
                .doesNotContain("nobody-gives", "circle", "not-grounded");
        assertThat(plan.findings().stream().map(Finding::rule)).contains("hot-tip");
    }

    @Test
    void what_cannot_be_is_refused_or_told() {
        assertThatThrownBy(() -> new ShieldStock(150, 2, 4, 10, 6, true, ShieldStock.Grounding.STAR))
                .isInstanceOf(Refusal.class)
                .hasMessageContaining("wider than two overlaps");
        assertThatThrownBy(() -> new Shield("a", Feature.parse("neck"), Shield.By.PAINT))
                .isInstanceOf(Refusal.class);
        TestBody body = new TestBody().wired();
        body.shields.add(new Shield("attic", Feature.parse("cavity-attic"), Shield.By.PAINT));
        assertThat(body.rules()).contains("shield-of-nothing");
    }
}
