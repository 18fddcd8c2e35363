package ebauche.app.ways;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import ebauche.app.web.TypedValues;
import ebauche.core.measure.LengthUnit;
import ebauche.core.shop.Gluing;
import ebauche.core.shop.Practice.Thicknessing;
import ebauche.exchange.file.ShopPart;
import java.util.LinkedHashMap;
import java.util.Map;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;
import tools.jackson.databind.node.StringNode;

/** The form of the shop's ways: every trouble named at its place, and lengths kept as they were typed. */
class WaysFormTest {
    private static Map<String, String> usual() {
        Map<String, String> typed = new LinkedHashMap<>();
        for (WaysForm.Section section : WaysForm.SECTIONS) {
            section.written()
                    .apply(ShopPart.STARTER.shop())
                    .properties()
                    .forEach(e -> typed.put(section.name() + "." + e.getKey(), text(e)));
        }
        typed.put("practice.thicknessing", "hand-plane");
        typed.put("gluing.glue", "pva");
        typed.put("gluing.edges", "jointer");
        typed.put("gluing.complementary", "yes");
        typed.put("gluing.outOfSquare", "0.2");
        return typed;
    }

    private static String text(Map.Entry<String, tools.jackson.databind.JsonNode> e) {
        return e.getValue().asString("");
    }

    private static void clamp(Map<String, String> typed, int row, String name, String force) {
        String at = "gluing.clamps." + row + ".";
        typed.put(at + "name", name);
        typed.put(at + "count", "4");
        typed.put(at + "opening", "24 in");
        typed.put(at + "reach", "80 mm");
        typed.put(at + "jaw", "35 mm");
        typed.put(at + "force", force);
    }

    private static WaysForm read(Map<String, String> typed) {
        return WaysForm.of(typed, JsonNodeFactory.instance.objectNode(), LengthUnit.MILLIMETRE);
    }

    @Test
    void good_ways_are_read_whole_with_lengths_as_typed() {
        Map<String, String> typed = usual();
        typed.put("cutting.ripKerf", "1/8 in");
        clamp(typed, 0, "bar clamp", "4500");
        clamp(typed, 2, "pipe clamp", "5500");
        WaysForm form = read(typed);
        assertThat(form.troubles()).isEmpty();
        assertThat(form.ways().path("cutting").path("ripKerf").asString("")).isEqualTo("1/8 in");
        ShopPart part = ShopPart.read(form.ways());
        assertThat(part.shop().gluing().clamps()).hasSize(2);
        assertThat(part.shop().practice().thicknessing()).isEqualTo(Thicknessing.HAND_PLANE);
        assertThat(part.shop().gluing().edges()).isEqualTo(Gluing.Edges.JOINTER);
    }

    /** A form of which a part is lost on the way changes nothing: what it says nothing of is not kept as it was, nor emptied. */
    @Test
    void a_form_that_came_in_part_is_refused() {
        for (String lost : usual().keySet()) {
            Map<String, String> typed = usual();
            typed.remove(lost);
            if (WaysForm.SECTIONS.stream()
                    .flatMap(s -> s.fields().stream())
                    .anyMatch(f -> f.path().equals(lost))) {
                assertThat(read(typed).troubles()).as(lost).containsKey(lost);
            }
        }
    }

    @Test
    void every_field_that_cannot_be_read_is_named_at_once() {
        Map<String, String> typed = usual();
        typed.put("cutting.margin", "wide");
        typed.put("cutting.readyWithin", "");
        typed.put("gluing.outOfSquare", "a little");
        clamp(typed, 1, "bar clamp", "strong");
        assertThat(read(typed).troubles())
                .containsKeys("cutting.margin", "cutting.readyWithin", "gluing.outOfSquare", "gluing.clamps.1.force");
    }

    /** The row that was left empty does not shift where the trouble is shown. */
    @Test
    void what_core_refuses_is_named_in_the_row_where_it_was_typed() {
        Map<String, String> typed = usual();
        clamp(typed, 0, "", "4500");
        clamp(typed, 1, "bar clamp", "4500");
        clamp(typed, 3, "toy clamp", "0");
        assertThat(read(typed).troubles()).containsOnlyKeys("gluing.clamps.3.force");
        assertThat(read(typed).troubles().get("gluing.clamps.3.force")).contains("must lie between 50 and 40000");
    }

    @Test
    void timbers_of_the_shops_own_stay_when_its_ways_are_kept() {
        ObjectNode from = JsonNodeFactory.instance.objectNode();
        from.putArray("timbers").addObject().put("key", "pear");
        WaysForm form = WaysForm.of(usual(), from, LengthUnit.MILLIMETRE);
        assertThat(form.ways().path("timbers").get(0).path("key").asString("")).isEqualTo("pear");
        assertThat(from.has("cutting")).isFalse();
    }

    @Test
    void room_round_parts_is_kept_as_typed_and_refused_where_it_cannot_be() {
        Map<String, String> typed = usual();
        typed.put("clearances.pickupSide", "1/16 in");
        typed.put("clearances.neck", "0.2");
        WaysForm kept = read(typed);
        assertThat(kept.troubles()).isEmpty();
        assertThat(ShopPart.read(kept.ways()).shop().clearances().pickupSide()).isCloseTo(25.4 / 16, within(1e-9));
        assertThat(ShopPart.read(kept.ways()).shop().clearances().neck()).isEqualTo(0.2);
        typed.put("clearances.neck", "9 mm");
        assertThat(read(typed).troubles()).containsKey("clearances.neck");
    }

    @Test
    void what_only_a_fraction_of_an_inch_says_shortly_is_said_by_it() {
        assertThat(TypedValues.asTyped(StringNode.valueOf("0.79375 mm"))).isEqualTo("1/32 in");
        assertThat(TypedValues.asTyped(StringNode.valueOf("0.8 mm"))).isEqualTo("0.8 mm");
        assertThat(TypedValues.asTyped(StringNode.valueOf("0.79376 mm"))).isEqualTo("0.79376 mm");
    }
}
