package ebauche.core.realism;

import static org.assertj.core.api.Assertions.assertThat;

import ebauche.core.TestBody;
import ebauche.core.TestPractice;
import ebauche.core.crib.Aid;
import ebauche.core.crib.Bit;
import ebauche.core.crib.Crib;
import ebauche.core.crib.Drum;
import ebauche.core.crib.Machine;
import ebauche.core.crib.Router;
import ebauche.core.crib.Saw;
import ebauche.core.design.Contour;
import ebauche.core.feature.StepKey;
import ebauche.core.geometry.Face;
import ebauche.core.geometry.Point;
import ebauche.core.shop.Practice;
import ebauche.core.stock.Profile;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.OptionalDouble;
import java.util.Set;
import org.junit.jupiter.api.Test;

/** Each kind of step against the crib, its machines and what hands are trusted with: the way round, or none. */
class ToolSubstitutesTest {
    /** Other bits, saws, guides and machines in the crib. */
    private static void stock(TestBody body, List<Bit> bits, List<Saw> saws, List<Aid> aids, List<Machine> machines) {
        Crib c = body.shop.crib();
        body.shop = body.shop.with(new Crib(
                c.routers(),
                bits,
                c.drills(),
                c.templates(),
                c.spacers(),
                saws,
                c.drums(),
                aids,
                machines,
                c.bearings()));
    }

    private static void machine(TestBody body, Machine one) {
        Crib c = body.shop.crib();
        stock(body, c.bits(), c.saws(), c.aids(), List.of(one));
    }

    private static TestBody shop(TestBody body, List<Machine> machines, List<Saw> saws, Set<Practice.Skill> skills) {
        Crib c = body.shop.crib();
        stock(body, c.bits(), saws, List.of(), machines);
        body.shop = body.shop.with(TestPractice.with(body.shop.practice(), skills));
        return body;
    }

    private static ToolChoice way(TestBody body, String work) {
        return Realism.of(body.plan()).ways().stream()
                .filter(w -> w.work().equals(work))
                .findFirst()
                .orElseThrow(() -> new AssertionError(work));
    }

    /** Each step that the shop has no tool for has a stand-in: craft of small shops, common practice. */
    @Test
    void a_shop_without_machines_is_told_the_way_round() {
        TestBody body = shop(
                new TestBody(),
                List.of(),
                List.of(Saw.usual("jigsaw", Saw.Kind.JIG, 7)),
                EnumSet.allOf(Practice.Skill.class));
        ToolChoice edges = way(body, "Joint mating edges");
        assertThat(edges.how()).isEqualTo(ToolChoice.How.STAND_IN);
        assertThat(edges.with()).isEqualTo("hand plane");
        ToolChoice saw = way(body, "Saw the outline");
        assertThat(saw.how()).isEqualTo(ToolChoice.How.STAND_IN);
        assertThat(saw.mind()).contains("well outside the line");
        ToolChoice drill = way(body, "Drill upright");
        assertThat(drill.with()).isEqualTo("a square beside the drill");
        assertThat(drill.steps()).extracting(StepKey::written).contains("control-volume:drill", "pickup-bridge:waste");
        assertThat(Realism.of(body.plan()).ways())
                .extracting(ToolChoice::work)
                .as("no press, so nothing lies beyond its reach")
                .doesNotContain("Drill upright, farther in than the drill press reaches");
        assertThat(way(body, "Bring the blank to thickness").how()).isEqualTo(ToolChoice.How.AS_USUAL);
        StepKey joint = edges.steps().get(0);
        assertThat(ToolChoice.instead(body.plan(), joint)).contains(edges);
        assertThat(ToolChoice.instead(body.plan(), StepKey.parse("neck:fit"))).isEmpty();
    }

    @Test
    void what_neither_a_tool_nor_a_hand_can_do_is_said_to_be_impossible_here() {
        TestBody body = shop(new TestBody(), List.of(), List.of(), Set.of());
        Realism realism = Realism.of(body.plan());
        assertThat(way(body, "Saw the outline").how()).isEqualTo(ToolChoice.How.NOT_HERE);
        assertThat(way(body, "Joint mating edges").how()).isEqualTo(ToolChoice.How.NOT_HERE);
        assertThat(realism.impossible()).isGreaterThanOrEqualTo(3);
    }

    /** No jointer: flush-trim along a straightedge, with a bit as long as the blank is thick. */
    @Test
    void a_straightedge_and_a_long_flush_bit_stand_in_for_a_jointer() {
        TestBody body = new TestBody();
        body.blankThickness = 38;
        body.thickness = 34;
        body.heel = 18;
        Crib c = body.shop.crib();
        List<Aid> aids = new ArrayList<>(c.aids());
        aids.add(new Aid("rail", Aid.Kind.STRAIGHTEDGE, 900));
        stock(body, c.bits(), c.saws(), aids, List.of());
        ToolChoice edges = way(body, "Joint mating edges");
        assertThat(edges.how()).isEqualTo(ToolChoice.How.STAND_IN);
        assertThat(edges.with()).isEqualTo("flush bit 1/2 along a straightedge");
    }

    /** A planer that is too narrow for the blank is no planer for it. */
    @Test
    void a_planer_narrower_than_the_blank_gives_way_to_the_sled() {
        TestBody body = new TestBody();
        body.shop = body.shop.with(body.shop.practice().withThicknessing(Practice.Thicknessing.PLANER));
        for (double wide : new double[] {300, 345}) {
            machine(body, new Machine("planer", Machine.Kind.PLANER, wide));
            ToolChoice way = way(body, "Bring the blank to thickness");
            assertThat(way.how()).isEqualTo(wide < 340 ? ToolChoice.How.STAND_IN : ToolChoice.How.AS_USUAL);
        }
    }

    /** A drill press reaches so far in from the body's edge and no farther; the neck pickup's waste lies beyond a small one. */
    @Test
    void a_small_drill_press_leaves_the_middle_of_the_body_to_a_square() {
        TestBody body = new TestBody();
        machine(body, new Machine("small press", Machine.Kind.DRILL_PRESS, 100));
        ToolChoice near = way(body, "Drill upright");
        ToolChoice far = way(body, "Drill upright, farther in than the drill press reaches");
        assertThat(near.steps()).extracting(StepKey::written).contains("control-volume:drill");
        assertThat(far.how()).isEqualTo(ToolChoice.How.STAND_IN);
        assertThat(far.steps())
                .extracting(StepKey::written)
                .contains("pickup-bridge:waste")
                .doesNotContain("control-volume:drill");
    }

    /** No slot bit: a knife between two drilled holes; a slot bit is 1/16 to 3/32 in: common practice. */
    @Test
    void a_knife_between_two_holes_stands_in_for_a_slot_bit() {
        TestBody body = new TestBody();
        body.controls.add(TestBody.bladeSwitch(3, 5, OptionalDouble.of(4)));
        Crib c = body.shop.crib();
        String slot = "Cut the blade switch slot";
        for (double across : new double[] {1.4, 25.4 / 16, 2, 25.4 * 3 / 32, 2.6}) {
            List<Bit> bits = new ArrayList<>(c.bits());
            bits.removeIf(b -> b.diameter() < 3);
            bits.add(Bit.usual("slot bit", Bit.Bearing.NONE, across, 8, 6.35));
            stock(body, bits, c.saws(), c.aids(), c.machines());
            boolean slots = across >= 25.4 / 16 && across <= 25.4 * 3 / 32;
            assertThat(way(body, slot).how())
                    .as("%s mm", across)
                    .isEqualTo(slots ? ToolChoice.How.AS_USUAL : ToolChoice.How.STAND_IN);
        }
        assertThat(way(body, slot).with()).isEqualTo("knife between two drilled holes");
        assertThat(way(body, slot).steps()).allMatch(s -> s.feature().word().equals("control-selector"));
        body.controls.remove(body.controls.size() - 1);
        assertThat(Realism.of(body.plan()).ways()).extracting(ToolChoice::work).doesNotContain(slot);
    }

    /** A contour without a big band saw: rasps, or some twenty hand-saw kerfs from line to line and a chisel: common practice. */
    @Test
    void hand_saw_kerfs_stand_in_for_the_rasp_of_a_contour() {
        TestBody body = new TestBody();
        Crib c = body.shop.crib();
        body.contours = List.of(new Contour(
                "forearm",
                Face.FRONT,
                new Contour.Start.Across(new Point(-170, -40), new Point(-40, -180)),
                12,
                Profile.Shape.STRAIGHT,
                OptionalDouble.empty()));
        shop(body, c.machines(), c.saws(), EnumSet.of(Practice.Skill.CARVE));
        assertThat(way(body, "Carve contours").how()).isEqualTo(ToolChoice.How.AS_USUAL);
        shop(body, c.machines(), c.saws(), EnumSet.of(Practice.Skill.SAW));
        ToolChoice kerfs = way(body, "Carve contours");
        assertThat(kerfs.how()).isEqualTo(ToolChoice.How.STAND_IN);
        assertThat(kerfs.with()).contains("twenty hand-saw kerfs");
        assertThat(kerfs.steps()).extracting(StepKey::written).containsExactly("contour-forearm:carve");
        shop(body, c.machines(), c.saws(), Set.of());
        assertThat(way(body, "Carve contours").how()).isEqualTo(ToolChoice.How.NOT_HERE);
    }

    /** Where hands are not trusted with a router freehand, the table or a drum and block to the line: common practice. */
    @Test
    void the_outline_is_routed_on_a_table_or_sanded_where_no_hand_is_trusted() {
        TestBody body = new TestBody();
        Crib c = body.shop.crib();
        shop(body, c.machines(), c.saws(), EnumSet.of(Practice.Skill.ROUT));
        assertThat(way(body, "Rout the outline").how()).isEqualTo(ToolChoice.How.AS_USUAL);
        shop(body, c.machines(), c.saws(), Set.of());
        List<Router> hand =
                c.routers().stream().filter(r -> r.kind() != Router.Kind.TABLE).toList();
        List<Router> withTable = new ArrayList<>(hand);
        withTable.add(new Router(
                "table", Router.Kind.TABLE, Router.Power.STRONG, 400, 200, 60, List.of(6.35, 12.7), 8, 8_000, 24_000));
        Drum drum = new Drum("spindle", 50, 90);
        outline(body, hand, List.of());
        assertThat(way(body, "Rout the outline").how()).isEqualTo(ToolChoice.How.NOT_HERE);
        outline(body, hand, List.of(drum));
        assertThat(way(body, "Rout the outline").with()).isEqualTo("drum and flat block to the line");
        assertThat(way(body, "Rout the outline").how()).isEqualTo(ToolChoice.How.STAND_IN);
        outline(body, withTable, List.of(drum));
        assertThat(way(body, "Rout the outline").with()).isEqualTo("router table");
        assertThat(way(body, "Rout the outline").how()).isEqualTo(ToolChoice.How.STAND_IN);
    }

    private static void outline(TestBody body, List<Router> routers, List<Drum> drums) {
        Crib c = body.shop.crib();
        body.shop = body.shop.with(new Crib(
                routers,
                c.bits(),
                c.drills(),
                c.templates(),
                c.spacers(),
                c.saws(),
                drums,
                c.aids(),
                c.machines(),
                c.bearings()));
    }

    /** A planer that the shop likes to use and does not have is not planned: the card names what the check names. */
    @Test
    void the_card_names_the_way_round_that_the_check_names() {
        for (Practice.Thicknessing liked : Practice.Thicknessing.values()) {
            TestBody body = new TestBody();
            body.shop = body.shop.with(body.shop.practice().withThicknessing(liked));
            String tool = body.schedule()
                    .step("thickness:front")
                    .orElseThrow()
                    .operation()
                    .setting()
                    .tool();
            ToolChoice way = way(body, "Bring the blank to thickness");
            assertThat(way.wants()).isEqualTo(liked.words());
            assertThat(tool).startsWith(way.with().replaceFirst(",.*", ""));
        }
    }
}
