package ebauche.exchange.design;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import ebauche.core.design.Blank;
import ebauche.core.design.BlankLayer;
import ebauche.core.design.Plates;
import ebauche.core.design.Strip;
import ebauche.core.geometry.Point;
import ebauche.core.geometry.Region;
import ebauche.core.operation.Caution;
import ebauche.core.plan.BuildPlan;
import ebauche.core.plan.Planner;
import ebauche.core.shop.Cutting;
import ebauche.core.shop.Glue;
import ebauche.core.shop.Gluing;
import ebauche.core.shop.Practice.Thicknessing;
import ebauche.core.timber.Defect;
import ebauche.core.timber.Flaw;
import ebauche.core.timber.Hardness;
import ebauche.core.timber.Rings;
import ebauche.core.timber.Side;
import ebauche.exchange.file.BuildFile;
import ebauche.exchange.file.DemoBodies;
import ebauche.exchange.file.OwnTimbers;
import ebauche.exchange.file.ShopFields;
import ebauche.exchange.file.ShopPart;
import ebauche.exchange.json.BuildFileException;
import ebauche.exchange.rack.RackCsv;
import ebauche.exchange.table.CsvTable;
import ebauche.exchange.table.TimberFile;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tools.jackson.databind.node.ObjectNode;

/** A laid-out blank and the shop's ways, written and read back. */
class BlankReaderTest {
    private static final Strip LEFT =
            new Strip(190.5, "A1", Side.B, false, Rings.RIFT, Optional.of(true), -1, 2.5, Optional.empty());
    private static final Strip RIGHT =
            new Strip(189.5, "A2", Side.A, true, Rings.FLAT, Optional.empty(), 0, 0, Optional.empty());

    static Blank laidOut() {
        BlankLayer core = new BlankLayer(
                TimberFile.SHIPPED.of("ash"),
                List.of(LEFT, RIGHT),
                38,
                List.of(new Flaw(Defect.Kind.KNOT, -20, 10, 100, 130, 0, 38)));
        BlankLayer top = new BlankLayer(
                TimberFile.SHIPPED.of("maple"), List.of(Strip.plain(190), Strip.plain(190)), 9, List.of());
        return new Blank(380, 480, 3, 48, core, Optional.of(top));
    }

    static ObjectNode withBlank(Blank blank) {
        ObjectNode file = DemoBodies.read("sedge").withoutRecord().deepCopy();
        ((ObjectNode) file.get("design")).set("blank", BlankReader.write(blank));
        return file;
    }

    @Test
    void a_laid_out_blank_is_read_back_as_it_was() {
        Blank blank = BuildFile.of(withBlank(laidOut())).build().design().blank();
        assertThat(blank).isEqualTo(laidOut());
    }

    @Test
    void plates_that_are_sawn_off_are_read_back_and_refused_at_their_place() {
        Blank laid = laidOut();
        Blank sawn = new Blank(380, 480, 3, 48, laid.core(), Optional.empty(), new Plates(6.35, 8));
        assertThat(BuildFile.of(withBlank(sawn)).build().design().blank()).isEqualTo(sawn);
        ObjectNode file = withBlank(sawn);
        ((ObjectNode) file.at("/design/blank")).put("sawnBack", "2 mm");
        assertThatThrownBy(() -> BuildFile.of(file))
                .isInstanceOfSatisfying(
                        BuildFileException.class, e -> assertThat(e.place()).isEqualTo("design.blank.sawnBack"))
                .hasMessageContaining("between 3 and 40 mm");
        ((ObjectNode) file.at("/design/blank")).put("sawnBack", "8 mm").put("sawnFront", "0 mm");
        assertThatThrownBy(() -> BuildFile.of(file)).hasMessageContaining("closed from the front too");
    }

    @Test
    void strips_that_do_not_add_up_are_refused_with_what_to_do() {
        ObjectNode file = withBlank(laidOut());
        ((ObjectNode) file.get("design").get("blank")).put("across", "390 mm");
        assertThatThrownBy(() -> BuildFile.of(file))
                .isInstanceOf(BuildFileException.class)
                .hasMessageContaining("the strips are 380 mm wide together, and the blank is 390 mm");
        ((ObjectNode) file.get("design").get("blank")).put("across", "380 mm").put("pieces", 3);
        assertThatThrownBy(() -> BuildFile.of(file)).hasMessageContaining("says 3, and there are 2 strips");
    }

    @Test
    void a_top_adds_its_steps_its_wood_and_its_weight() {
        BuildPlan plan = Planner.plan(BuildFile.of(withBlank(laidOut())).build());
        assertThat(plan.steps().stream().map(s -> s.operation().key().written()))
                .containsSubsequence("blank:pieces", "blank:glue", "blank:top-level", "blank:top", "thickness:front");
        assertThat(plan.findings().stream().map(f -> f.rule())).doesNotContain("nobody-gives", "circle");
        double area = 380 * 480 * 1e-6;
        double grams = area * (38 * 672 + 9 * 705.6);
        assertThat(plan.build().design().blank().grams()).isCloseTo(grams, org.assertj.core.data.Offset.offset(1e-6));
        int glued = plan.indexOf(plan.step("blank:top").orElseThrow());
        double stock = plan.history().before(glued + 1).balance().grams();
        assertThat(stock).isCloseTo(grams, org.assertj.core.data.Offset.offset(grams * 0.01));
    }

    /** Ash with a strip of maple down its middle: read back, weighed strip by strip, told where cuts cross from hard to soft. */
    @Test
    void strips_have_timbers_of_their_own() {
        Strip alder = Strip.plain(165);
        Strip middle = Strip.plain(50).of(TimberFile.SHIPPED.of("maple"));
        BlankLayer core = new BlankLayer(TimberFile.SHIPPED.of("alder"), List.of(alder, middle, alder), 47, List.of());
        Blank mixed = new Blank(380, 480, 0, 48, core, Optional.empty());
        ObjectNode file = withBlank(mixed);
        assertThat(BuildFile.of(file).build().design().blank()).isEqualTo(mixed);
        assertThat(mixed.timbers()).isEqualTo("red alder with sugar maple");
        assertThat(mixed.unevenSeams()).containsExactly(-25.0, 25.0);
        BuildPlan plan = Planner.plan(BuildFile.of(file).build());
        double alderDensity = TimberFile.SHIPPED.of("alder").density().value();
        double mapleDensity = TimberFile.SHIPPED.of("maple").density().value();
        double grams = 480 * 47 * 1e-6 * (330 * alderDensity + 50 * mapleDensity);
        assertThat(mixed.grams()).isCloseTo(grams, org.assertj.core.data.Offset.offset(1e-6));
        int glued = plan.indexOf(plan.step("blank:glue").orElseThrow());
        assertThat(plan.history().before(glued + 1).balance().grams())
                .isCloseTo(grams, org.assertj.core.data.Offset.offset(grams * 0.01));
        assertThat(plan.steps().stream()
                        .filter(s -> s.operation().cautions().contains(Caution.UNEVEN))
                        .map(s -> s.operation().feature().word()))
                .contains("outline", "neck", "pickup-neck")
                .doesNotContain("controls", "legs-bridge", "bridge-studs");
        assertThat(mixed.cutAs()).isEqualTo(Hardness.HARD);
        assertThat(mixed.cutAs(Region.rectangle(new Point(100, 0), 100, 100, 0, 0)))
                .isEqualTo(Hardness.SOFT);
        assertThat(mixed.cutAs(Region.rectangle(new Point(0, 0), 100, 100, 0, 0)))
                .isEqualTo(Hardness.HARD);
        assertThat(Planner.plan(BuildFile.of(withBlank(laidOut())).build()).steps())
                .noneMatch(s -> s.operation().cautions().contains(Caution.UNEVEN));
    }

    @Test
    void a_fault_that_shows_is_a_finding_with_its_place() {
        Blank blank = laidOut();
        BlankLayer bad = new BlankLayer(
                blank.species(),
                blank.core().strips(),
                50,
                List.of(new Flaw(Defect.Kind.KNOT, -120, -90, 0, 30, 0, 50)));
        Blank whole = new Blank(380, 480, 0, 48, bad, Optional.empty());
        BuildPlan plan = Planner.plan(BuildFile.of(withBlank(whole)).build());
        assertThat(plan.findings().stream()
                        .filter(f -> f.rule().equals("fault-in-the-way"))
                        .findFirst()
                        .orElseThrow()
                        .what(v -> v.value() + ""))
                .contains("knot: shows on the front, shows on the back");
    }

    @Test
    void the_shops_ways_are_read_back_and_a_files_own_count_before_them() {
        Gluing gluing = new Gluing(
                Glue.HIDE, Gluing.Edges.HAND_PLANE, 0.25, false, Gluing.USUAL.clamps(), Gluing.USUAL.cauls());
        ObjectNode ways = tools.jackson.databind.node.JsonNodeFactory.instance.objectNode();
        ways.set("gluing", ShopFields.GLUING.write(gluing));
        ways.set("cutting", ShopFields.CUTTING.write(Cutting.USUAL.withMargin(12)));
        ways.putObject("practice").put("thicknessing", "planer");
        ways.putArray("timbers").add(OwnTimbers.write(TimberFile.SHIPPED.of("ash")));
        ShopPart read = ShopPart.read(ways);
        assertThat(read.shop().gluing()).isEqualTo(gluing);
        assertThat(read.shop().cutting().margin()).isEqualTo(12);
        assertThat(read.shop().practice().thicknessing()).isEqualTo(Thicknessing.PLANER);
        ObjectNode own = tools.jackson.databind.node.JsonNodeFactory.instance.objectNode();
        own.putObject("cutting").put("margin", "5 mm");
        ShopPart over = ShopPart.read(ShopPart.over(ways, own));
        assertThat(over.shop().cutting().margin()).isEqualTo(5);
        assertThat(over.shop().cutting().jointing()).isEqualTo(Cutting.USUAL.jointing());
        assertThat(over.shop().gluing()).isEqualTo(gluing);
    }

    @Test
    void how_one_body_is_glued_is_written_beside_what_the_file_says_already() {
        ObjectNode file = DemoBodies.read("shale").withoutRecord().deepCopy();
        ShopPart.glueWith(file, Glue.EPOXY, false);
        ShopPart read = ShopPart.read((ObjectNode) file.get("shop"));
        assertThat(read.shop().gluing().glue()).isEqualTo(Glue.EPOXY);
        assertThat(read.shop().gluing().complementary()).isFalse();
        assertThat(read.shop().gluing().cauls()).isEqualTo(Gluing.USUAL.cauls());
        assertThat(read.shop().practice().thicknessing()).isEqualTo(Thicknessing.PLANER);
        // Said twice, the last counts.
        ShopPart.glueWith(file, Glue.HIDE, true);
        assertThat(ShopPart.read((ObjectNode) file.get("shop")).shop().gluing().glue())
                .isEqualTo(Glue.HIDE);
    }

    @Test
    void the_demos_rack_can_be_read_to_its_last_row_and_is_written_as_it_was() {
        CsvTable.Read<RackCsv.Row> read = RackCsv.read(DemoBodies.rack(), TimberFile.SHIPPED, LocalDate.MAX);
        assertThat(read.troubles()).isEmpty();
        assertThat(read.good()).hasSizeGreaterThan(20);
        String out = RackCsv.write(read.good().stream()
                .map(r -> new RackCsv.Shelved(r.board(), r.moisture()))
                .toList());
        CsvTable.Read<RackCsv.Row> again = RackCsv.read(out, TimberFile.SHIPPED, LocalDate.MAX);
        assertThat(again.good()).isEqualTo(read.good());
    }

    @ParameterizedTest
    @CsvSource({
        "1955-03-01, lies before 1990-01-01",
        "2099-01-01, is still to come",
        "2026-11-29, is still to come",
        "2026-02-30, is no day",
        "last week, is no day",
        "'', is empty"
    })
    void moisture_of_a_day_on_which_nobody_can_have_measured_is_refused_in_its_row(String day, String why) {
        String table = "name,species,length,width,thickness,moisture,measured on\n"
                + "near,ash,600 mm,200 mm,50 mm,9,2026-11-28\n"
                + "far,ash,600 mm,200 mm,50 mm,9," + day + "\n";
        CsvTable.Read<RackCsv.Row> read = RackCsv.read(table, TimberFile.SHIPPED, LocalDate.of(2026, 11, 28));
        assertThat(read.good()).extracting(RackCsv.Row::name).containsExactly("near");
        assertThat(read.troubles()).hasSize(1).first().asString().contains("measured on", why);
    }
}
