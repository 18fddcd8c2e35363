package ebauche.app.design;

import static org.assertj.core.api.Assertions.assertThat;

import ebauche.exchange.file.DemoBodies;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;
import tools.jackson.databind.node.StringNode;

/** Whatever differs between two designs is told, field of the form or not. */
class DesignDifferenceTest {
    static List<String> bodies() {
        return DemoBodies.NAMES;
    }

    /** A demo's design with what none of them has, so that every kind of key is there at least once. */
    private static ObjectNode full(String name) {
        ObjectNode design = DemoBodies.read(name).design();
        design.putArray("undecided").add("pickup-neck");
        design.putArray("templates")
                .addObject()
                .put("feature", "neck")
                .put("thickness", "9 mm")
                .put("hold", "tape");
        ObjectNode contour = design.putArray("contours").addObject();
        contour.put("id", "belly").put("depth", "12 mm").putObject("to").put("x", "1 mm");
        return design;
    }

    /** A way to one value: a key or a list's place, one after the other. */
    private record Leaf(List<Object> way) {
        JsonNode parent(ObjectNode design) {
            JsonNode at = design;
            for (Object step : way.subList(0, way.size() - 1)) {
                at = step instanceof Integer i ? at.get(i) : at.get((String) step);
            }
            return at;
        }

        Object last() {
            return way.get(way.size() - 1);
        }
    }

    private static List<Leaf> leaves(ObjectNode design) {
        List<Leaf> leaves = new ArrayList<>();
        collect(design, List.of(), leaves);
        return leaves;
    }

    private static void collect(JsonNode node, List<Object> way, List<Leaf> leaves) {
        if (node instanceof ObjectNode object) {
            for (String key : object.propertyNames()) {
                collect(object.get(key), with(way, key), leaves);
            }
        } else if (node instanceof ArrayNode array) {
            for (int i = 0; i < array.size(); i++) {
                collect(array.get(i), with(way, i), leaves);
            }
        } else {
            leaves.add(new Leaf(way));
        }
    }

    private static List<Object> with(List<Object> way, Object step) {
        List<Object> longer = new ArrayList<>(way);
        longer.add(step);
        return longer;
    }

    @ParameterizedTest
    @MethodSource("bodies")
    void every_key_that_is_changed_or_gone_is_in_the_difference(String name) {
        ObjectNode design = full(name);
        List<Leaf> leaves = leaves(design);
        assertThat(leaves).hasSizeGreaterThan(60);
        for (Leaf leaf : leaves) {
            ObjectNode changed = design.deepCopy();
            ObjectNode without = design.deepCopy();
            String key = String.valueOf(leaf.last());
            if (leaf.parent(changed) instanceof ObjectNode object) {
                object.put(key, "otherwise");
                ((ObjectNode) leaf.parent(without)).remove(key);
                assertThat(DesignDifference.between(design, without))
                        .as("without " + leaf.way())
                        .isNotEmpty();
            } else {
                ((ArrayNode) leaf.parent(changed)).set((Integer) leaf.last(), StringNode.valueOf("otherwise"));
            }
            List<DesignDifference.Place> found = DesignDifference.between(design, changed);
            assertThat(found)
                    .as("changed " + leaf.way())
                    .isNotEmpty()
                    .allSatisfy(p -> assertThat(p.field()).isNotBlank());
            assertThat(found)
                    .as("what stands there now, " + leaf.way())
                    .anyMatch(p -> DesignDifference.text(changed, p.path()).equals("otherwise"));
        }
    }

    /** A pickup taken out before another is one pickup gone, not two that changed. */
    @Test
    void members_of_a_list_are_known_by_their_ids() {
        ObjectNode design = full("sedge");
        ObjectNode without = design.deepCopy();
        ((ArrayNode) without.get("pickups")).remove(0);
        String gone = design.get("pickups").get(0).get("id").asString();
        assertThat(DesignDifference.between(design, without))
                .isNotEmpty()
                .allMatch(p -> p.path().get(1).equals(gone))
                .allMatch(p -> DesignDifference.text(without, p.path()).isEmpty());
        assertThat(DesignDifference.between(without, design))
                .allMatch(p -> !DesignDifference.text(design, p.path()).isEmpty());
    }

    @Test
    void what_the_form_has_no_field_for_is_said_by_its_keys() {
        ObjectNode design = full("sedge");
        ObjectNode deeper = design.deepCopy();
        ((ObjectNode) deeper.get("contours").get(0)).put("depth", "14 mm");
        assertThat(DesignDifference.between(design, deeper))
                .extracting(DesignDifference.Place::field)
                .containsExactly("contours, belly, depth");
        ObjectNode named = design.deepCopy();
        named.put("name", "Other");
        assertThat(DesignDifference.between(design, named))
                .singleElement()
                .satisfies(p -> assertThat(p.field()).contains(", "));
    }
}
