package ebauche.app.design;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import ebauche.core.feature.Feature;
import ebauche.core.hardware.Cover;
import ebauche.core.hardware.Part;
import ebauche.core.measure.Length;
import ebauche.core.measure.LengthUnit;
import ebauche.exchange.design.Additions;
import ebauche.exchange.design.DesignCatalogue;
import ebauche.exchange.design.FeatureMove;
import ebauche.exchange.design.PartExchange;
import ebauche.exchange.field.Field;
import ebauche.exchange.file.BuildFile;
import ebauche.exchange.file.DemoBodies;
import ebauche.exchange.json.JsonPaths;
import ebauche.exchange.table.BoxFile;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;
import tools.jackson.databind.node.ObjectNode;

class DesignEditTest {
    private ObjectNode design;

    @BeforeEach
    void read() {
        design = DemoBodies.read("tussock").design();
    }

    private static Map<String, String> form(ObjectNode design) {
        Map<String, String> typed = new HashMap<>();
        DesignCatalogue.sections(design)
                .forEach(s -> s.fields().forEach(f -> typed.put(f.path(), JsonPaths.text(design, f.path()))));
        return typed;
    }

    /** The form sent back as it came changes nothing, whatever the maker's unit: who typed 1 3/4 reads it again. */
    @ParameterizedTest
    @ValueSource(strings = {"tussock", "sedge", "shale", "marram"})
    void an_untouched_form_changes_nothing(String name) {
        ObjectNode before = DemoBodies.read(name).design();
        for (LengthUnit unit : LengthUnit.values()) {
            assertThat(DesignEdit.apply(before, form(before), unit)).isEqualTo(before);
            assertThat(DesignDifference.between(before, DesignEdit.apply(before, form(before), unit)))
                    .isEmpty();
        }
    }

    /** A cover off the body's own back and a bought one take each other's place, and nothing else changes. */
    @Test
    void a_cover_of_the_body_s_own_wood_and_a_bought_one_give_way_to_each_other() {
        ObjectNode bought = DemoBodies.read("sedge").design();
        ObjectNode part = (ObjectNode) bought.at("/cavities/0/cover");
        Map<String, String> typed = form(bought);
        typed.put("cavities.0.closed", "own-back");
        ObjectNode own = DesignEdit.apply(bought, typed, LengthUnit.MILLIMETRE);
        assertThat(own.at("/cavities/0").has("cover")).isFalse();
        assertThat(own.at("/cavities/0/coverThickness")).isEqualTo(part.at("/sizes/thickness"));
        assertThat(cover(own).kind()).isEqualTo(Cover.Kind.OWN_BACK);

        Part again = cover(bought).part().orElseThrow();
        assertThat(PartExchange.put(own, Feature.parse("recess-controls"), again))
                .isTrue();
        assertThat(own).isEqualTo(bought);
    }

    /** A jack's dish and a cover take each other's place, whether the part or the word is changed. */
    @Test
    void a_dish_and_a_cover_give_way_to_each_other() {
        ObjectNode before = DemoBodies.read("tussock").design();
        Additions.add(before, "jack-dish");
        int at = before.get("cavities").size() - 1;
        String dish = "/cavities/" + at;
        Part part = BoxFile.SHIPPED.stream()
                .filter(p -> p.key().equals("jack-dish"))
                .findFirst()
                .orElseThrow()
                .part();
        assertThat(before.at(dish + "/cover/kind").asString())
                .isEqualTo(part.kind().key());
        Map<String, String> typed = form(before);
        typed.put("cavities." + at + ".closed", "control-plate");
        ObjectNode plated = DesignEdit.apply(before, typed, LengthUnit.MILLIMETRE);
        assertThat(plated.at(dish).has("cover")).isFalse();
        assertThat(plated.at(dish + "/coverThickness")).isEqualTo(before.at(dish + "/cover/sizes/thickness"));
        assertThat(PartExchange.put(plated, Feature.parse("recess-dish"), part)).isTrue();
        assertThat(plated).isEqualTo(before);
        Part cover = cover(DemoBodies.read("sedge").design()).part().orElseThrow();
        assertThat(PartExchange.put(plated, Feature.parse("recess-dish"), cover))
                .isTrue();
        assertThat(plated.at(dish).has("closed")).isFalse();
    }

    private static Cover cover(ObjectNode design) {
        ObjectNode file = DemoBodies.read("sedge").withoutRecord();
        return BuildFile.of(file.set("design", design))
                .build()
                .design()
                .cavities()
                .get(0)
                .cover();
    }

    /** As a browser sends it: each choice that is not made with its first option. It may change nothing, and be read as before. */
    @ParameterizedTest
    @ValueSource(strings = {"tussock", "sedge", "shale", "marram"})
    void a_choice_that_nobody_made_stays_unsaid(String name) {
        ObjectNode before = DemoBodies.read(name).design();
        Map<String, String> sent = form(before);
        DesignCatalogue.sections(before)
                .forEach(s -> s.fields().stream()
                        .filter(f -> f.kind() == Field.Kind.CHOICE)
                        .filter(f -> sent.get(f.path()).isEmpty())
                        .forEach(f -> sent.put(f.path(), f.options().get(0).word())));
        assertThat(sent).containsEntry("hand", "right");
        assertThat(DesignEdit.apply(before, sent, LengthUnit.MILLIMETRE)).isEqualTo(before);
        sent.put("hand", "left");
        assertThat(DesignEdit.apply(before, sent, LengthUnit.MILLIMETRE)
                        .get("hand")
                        .asString())
                .isEqualTo("left");
    }

    @ParameterizedTest
    @CsvSource({
        "neck.heelThickness, 30, MILLIMETRE, 30 mm",
        "neck.heelThickness, 1.25, INCH, 1.25 in",
        "pickups.1.part.sizes.height, 5/8, MILLIMETRE, 5/8",
        "jack.entry.x, -3 in, MILLIMETRE, -3 in",
        "name, Bracken, INCH, Bracken"
    })
    void what_is_typed_lands_in_its_place_as_it_was_written(String path, String typed, LengthUnit unit, String kept) {
        ObjectNode after = DesignEdit.apply(design, Map.of(path, typed), unit);
        assertThat(JsonPaths.text(after, path)).isEqualTo(kept);
        assertThat(DesignDifference.between(design, after))
                .singleElement()
                .satisfies(
                        p -> assertThat(DesignDifference.text(after, p.path())).isEqualTo(kept));
        assertThat(JsonPaths.text(design, path))
                .as("the old design is left alone")
                .isNotEqualTo(kept);
    }

    @Test
    void an_emptied_field_gives_its_usual_value_back() {
        ObjectNode after = DesignEdit.apply(design, Map.of("bridge.wantedSaddle", " "), LengthUnit.INCH);
        assertThat(after.path("bridge").has("wantedSaddle")).isFalse();
        design = after;
        BuildFile.of(DemoBodies.read("tussock").withoutRecord().deepCopy().set("design", design));
    }

    @Test
    void numbers_become_numbers_and_what_is_none_stays_as_typed() {
        ObjectNode after = DesignEdit.apply(design, Map.of("neck.angle", "1,5", "strings.count", "7"), LengthUnit.INCH);
        assertThat(after.path("neck").path("angle").doubleValue()).isEqualTo(1.5);
        assertThat(after.path("strings").path("count").intValue()).isEqualTo(7);
        ObjectNode odd = DesignEdit.apply(design, Map.of("neck.angle", "steep"), LengthUnit.INCH);
        assertThat(odd.path("neck").path("angle").asString()).isEqualTo("steep");
        assertThat(DesignEdit.apply(design, Map.of("neck.angle", "NaN"), LengthUnit.INCH)
                        .path("neck")
                        .path("angle")
                        .isNumber())
                .isFalse();
    }

    @Test
    void every_wrong_length_is_told_at_once() {
        Map<String, String> typed = new LinkedHashMap<>();
        typed.put("thickness", "thick");
        typed.put("neck.fretHeight", "1/0 in");
        typed.put("scale", "25 1/2 in");
        assertThat(DesignEdit.troubles(design, typed, LengthUnit.INCH))
                .containsOnlyKeys("thickness", "neck.fretHeight");
    }

    @ParameterizedTest
    @CsvSource({
        "design.pickups[1].depth, pickups.0.depth",
        "design.neck.heelThickness, neck.heelThickness",
        "design, design",
        "design.controls[12].at.x, controls.11.at.x"
    })
    void a_place_in_the_file_is_found_in_the_form(String place, String field) {
        assertThat(DesignEdit.field(place)).isEqualTo(field);
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "pickup",
                "pot",
                "toggle-switch",
                "blade-switch",
                "control-cavity",
                "switch-cavity",
                "front-rout",
                "plate-rout",
                "jack",
                "studs",
                "vibrato",
                "strap-button",
                "insert"
            })
    void an_added_part_can_be_read_and_left_out_again(String kind) {
        ObjectNode plain = DemoBodies.read("marram").design().deepCopy();
        for (String part : new String[] {"pickups", "controls", "cavities", "jack"}) {
            plain.remove(part);
        }
        ((ObjectNode) plain.get("bridge")).remove("studs");
        int before = DesignCatalogue.sections(plain).size();
        Additions.add(plain, kind);
        assertThat(DesignCatalogue.sections(plain)).hasSize(before + 1);
        ObjectNode file = DemoBodies.read("marram").withoutRecord();
        file.set("design", plain);
        BuildFile.of(file);
        DesignCatalogue.Section added = DesignCatalogue.sections(plain).stream()
                .filter(DesignCatalogue.Section::optional)
                .findFirst()
                .orElseThrow();
        assertThat(DesignCatalogue.sections(DesignEdit.without(plain, List.of(added.path()))))
                .hasSize(before);
    }

    /** What a button added, and a form brings back before anything is kept, is the same thing again. */
    @Test
    void whatever_can_be_added_comes_back_from_its_form() {
        for (Additions.Addition addition : Additions.to(design)) {
            ObjectNode added = design.deepCopy();
            Additions.add(added, addition.name());
            Map<String, String> typed = new LinkedHashMap<>();
            DesignCatalogue.sections(added)
                    .forEach(section ->
                            section.fields().forEach(f -> typed.put(f.path(), JsonPaths.text(added, f.path()))));
            assertThat(DesignEdit.apply(Additions.shown(design, typed), typed, LengthUnit.MILLIMETRE))
                    .as(addition.name())
                    .isEqualTo(added);
        }
    }

    @Test
    void two_added_parts_have_two_names() {
        Additions.add(design, "pickup");
        Additions.add(design, "pickup");
        assertThat(JsonPaths.text(design, "pickups.2.id")).isEqualTo("pickup");
        assertThat(JsonPaths.text(design, "pickups.3.id")).isEqualTo("pickup-2");
    }

    @Test
    void a_forged_field_or_part_does_nothing() {
        ObjectNode after = DesignEdit.apply(
                design, Map.of("neck.colour", "red", "__proto__", "x", "pickups.99.depth", "3 mm"), LengthUnit.INCH);
        assertThat(after).isEqualTo(design);
        Additions.add(after, "engine");
        assertThat(DesignEdit.without(after, List.of("pickups.99", "neck", "name")))
                .isEqualTo(design);
    }

    @Test
    void several_parts_left_out_at_once_are_the_ones_that_were_marked() {
        for (int i = 0; i < 10; i++) {
            Additions.add(design, "pickup");
        }
        ObjectNode left = DesignEdit.without(design, List.of("pickups.1", "pickups.2", "pickups.10", "jack"));
        List<String> ids = new ArrayList<>();
        left.path("pickups").forEach(p -> ids.add(p.path("id").asString()));
        assertThat(ids).hasSize(9).startsWith("neck", "pickup-2").doesNotContain("bridge", "pickup", "pickup-9");
        assertThat(left.has("jack")).isFalse();
    }

    private static ObjectNode changed(ObjectNode design, String... typed) {
        Map<String, String> fields = new HashMap<>();
        for (int i = 0; i < typed.length; i += 2) {
            fields.put(typed[i], typed[i + 1]);
        }
        return DesignEdit.apply(design, fields, LengthUnit.INCH);
    }

    @Test
    void of_two_makers_changes_both_stand_and_where_both_changed_one_mine_does() {
        ObjectNode mine = changed(design, "thickness", "1 5/8 in", "scale", "25 in");
        ObjectNode theirs = changed(design, "thickness", "1 1/2 in", "neck.fretHeight", "0.05 in");
        ObjectNode merged = DesignMerge.of(design, mine, theirs);
        assertThat(JsonPaths.text(merged, "thickness")).isEqualTo("1 5/8 in");
        assertThat(JsonPaths.text(merged, "scale")).isEqualTo("25 in");
        assertThat(JsonPaths.text(merged, "neck.fretHeight")).isEqualTo("0.05 in");
        assertThat(DesignMerge.of(design, design, theirs)).isEqualTo(theirs);
        assertThat(DesignMerge.of(design, mine, design)).isEqualTo(mine);
    }

    @Test
    void a_change_to_a_part_follows_the_part_and_not_its_place() {
        ObjectNode mine = changed(design, "pickups.1.part.sizes.height", "3/4 in");
        ObjectNode theirs = DesignEdit.without(design, List.of("pickups.0"));
        ObjectNode merged = DesignMerge.of(design, mine, theirs);
        assertThat(merged.path("pickups").size()).isEqualTo(1);
        assertThat(JsonPaths.text(merged, "pickups.0.id")).isEqualTo("bridge");
        assertThat(JsonPaths.text(merged, "pickups.0.part.sizes.height")).isEqualTo("3/4 in");
    }

    @Test
    void a_part_changed_here_and_taken_out_there_comes_back_whole() {
        ObjectNode mine = changed(design, "jack.part.sizes.hole", "3/4 in", "pickups.0.part.sizes.height", "1/2 in");
        ObjectNode theirs = DesignEdit.without(design, List.of("jack", "pickups.0"));
        ObjectNode merged = DesignMerge.of(design, mine, theirs);
        assertThat(merged.path("jack")).isEqualTo(mine.path("jack"));
        assertThat(merged.path("pickups").get(1)).isEqualTo(mine.path("pickups").get(0));
    }

    @Test
    void parts_added_on_both_sides_are_all_there() {
        ObjectNode mine = design.deepCopy();
        Additions.add(mine, "pickup");
        ObjectNode theirs = design.deepCopy();
        Additions.add(theirs, "toggle-switch");
        ObjectNode merged = DesignMerge.of(design, mine, theirs);
        assertThat(merged.path("pickups").size()).isEqualTo(3);
        assertThat(merged.path("controls").size())
                .isEqualTo(design.path("controls").size() + 1);
    }

    /** A bridge exchanged here and moved there: the other part stands where they put it. */
    @Test
    void a_part_exchanged_here_and_moved_there_is_both() {
        ObjectNode mine = design.deepCopy();
        PartExchange.put(mine, Feature.parse("bridge"), part("posts-metric"));
        PartExchange.put(mine, Feature.parse("pickup-neck"), part("coil-double"));
        ObjectNode theirs = changed(design, "bridge.footprintY", "-1/2 in", "pickups.0.at.y", "5 1/4 in");
        ObjectNode merged = DesignMerge.of(design, mine, theirs);
        assertThat(JsonPaths.text(merged, "bridge.part.kind")).isEqualTo("post-bridge");
        assertThat(JsonPaths.text(merged, "bridge.footprintY")).isEqualTo("-1/2 in");
        assertThat(JsonPaths.text(merged, "bridge.studs.y")).isEqualTo("4 mm");
        assertThat(JsonPaths.text(merged, "pickups.0.part.name")).contains("double coil");
        assertThat(JsonPaths.text(merged, "pickups.0.at.y")).isEqualTo("5 1/4 in");
        BuildFile.of(DemoBodies.read("tussock").withoutRecord().set("design", merged));
    }

    private static Part part(String key) {
        return BoxFile.SHIPPED.stream()
                .filter(g -> g.key().equals(key))
                .findFirst()
                .orElseThrow()
                .part();
    }

    @ParameterizedTest
    @ValueSource(strings = {"tussock", "sedge", "shale", "marram"})
    void every_generic_part_fits_into_every_design_where_its_kind_belongs(String name) {
        ObjectNode file = DemoBodies.read(name).withoutRecord();
        for (BoxFile.Generic generic : BoxFile.SHIPPED) {
            for (Feature feature : DesignCatalogue.fitted(file.path("design"))) {
                var kind = generic.part().kind();
                var wanted = PartExchange.usualKind(feature);
                if (kind == wanted
                        || (kind.isBridge() && wanted.isBridge())
                        || (kind.isControl() && wanted.isControl())) {
                    ObjectNode other = file.deepCopy();
                    assertThat(PartExchange.put(other.withObject("/design"), feature, generic.part()))
                            .isTrue();
                    assertThat(BuildFile.of(other).build().drawn().parts()).containsKey(feature);
                }
            }
        }
    }

    @ParameterizedTest
    @CsvSource({"pickup-neck, pickups.0.at", "control-tone, controls.2.at", "jack, jack.entry"})
    void a_feature_moved_there_and_back_stands_where_it_was(String named, String place) {
        Feature feature = Feature.parse(named);
        ObjectNode moved = design.deepCopy();
        assertThat(FeatureMove.move(moved, feature, 3, -2)).isTrue();
        double x = Length.parse(JsonPaths.text(design, place + ".x")).millimetres();
        assertThat(Length.parse(JsonPaths.text(moved, place + ".x")).millimetres())
                .isCloseTo(x + 3, within(1e-6));
        FeatureMove.move(moved, feature, -3, 2);
        assertThat(Length.parse(JsonPaths.text(moved, place + ".y")).millimetres())
                .isCloseTo(Length.parse(JsonPaths.text(design, place + ".y")).millimetres(), within(1e-6));
    }

    /** What may be left out whole comes with the first of it that is typed, in the unit that is chosen, and goes with the last. */
    @Test
    void a_plates_outline_is_typed_in_and_taken_out_again() {
        ObjectNode design = DemoBodies.read("tussock").design().deepCopy();
        ObjectNode without = DesignEdit.apply(
                design,
                Map.of("neck.scratchPlate.outline.unit", "in", "neck.scratchPlate.outline.path", " "),
                LengthUnit.INCH);
        assertThat(without.at("/neck/scratchPlate").has("outline")).isFalse();
        assertThat(without.at("/neck/scratchPlate").has("screws")).isTrue();
        ObjectNode again = DesignEdit.apply(
                without,
                Map.of("neck.scratchPlate.outline.unit", "in", "neck.scratchPlate.outline.path", "M 0 1 L 1 1 L 1 2 Z"),
                LengthUnit.INCH);
        assertThat(again.at("/neck/scratchPlate/outline").toString())
                .isEqualTo("{\"unit\":\"in\",\"path\":\"M 0 1 L 1 1 L 1 2 Z\"}");
        // A form sent as it stands, with nothing typed where nothing was, begins nothing.
        assertThat(DesignEdit.apply(
                                without,
                                Map.of("neck.scratchPlate.outline.unit", "mm", "neck.scratchPlate.outline.path", ""),
                                LengthUnit.INCH)
                        .at("/neck/scratchPlate")
                        .has("outline"))
                .isFalse();
    }

    /** A blank of three pieces becomes three strips, the middle one of another timber; an untouched form then changes nothing. */
    @ParameterizedTest
    @EnumSource(LengthUnit.class)
    void strips_are_begun_even_and_given_a_timber(LengthUnit unit) {
        ((ObjectNode) design.get("blank")).put("pieces", 1).remove("strips");
        assertThat(Additions.to(design)).extracting(Additions.Addition::name).doesNotContain("strips");
        ((ObjectNode) design.get("blank")).put("pieces", 3);
        assertThat(Additions.to(design)).extracting(Additions.Addition::name).contains("strips");
        Additions.add(design, "strips");
        Map<String, String> typed = form(design);
        assertThat(DesignEdit.apply(design, typed, unit)).isEqualTo(design);
        typed.put("blank.strips.1.species", "alder");
        ObjectNode then = DesignEdit.apply(design, typed, unit);
        assertThat(then.at("/blank/strips/1/species").asString()).isEqualTo("alder");
        assertThat(then.at("/blank/strips/0").has("species")).isFalse();
        assertThat(DesignDifference.between(design, then))
                .singleElement()
                .satisfies(d -> assertThat(d.field()).isEqualTo("Strips of the blank, from the left, timber 2"));
        ObjectNode file = DemoBodies.read("tussock").withoutRecord().deepCopy();
        file.set("design", then);
        assertThat(BuildFile.of(file).build().design().blank().unevenSeams()).hasSize(2);
        typed.put("blank.strips.1.species", "");
        assertThat(DesignEdit.apply(then, typed, unit)).isEqualTo(design);
    }
}
