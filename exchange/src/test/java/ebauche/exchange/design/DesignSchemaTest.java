package ebauche.exchange.design;

import static org.assertj.core.api.Assertions.assertThat;

import ebauche.exchange.field.Field;
import ebauche.exchange.file.DemoBodies;
import ebauche.exchange.file.ShopFields;
import ebauche.exchange.json.JsonText;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Assumptions;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * What the published schema says of a design and of a shop is what their catalogues say. When a catalogue is meant to change, write it anew with
 * {@code -Dschema=write} and read what changed in the diff.
 */
class DesignSchemaTest {
    private static final Path FILE = Path.of("../docs/format/ebauche-build.schema.json");

    /** Objects and lists that fit into a line stay in one. */
    private static final int LINE = 140;

    @Test
    void the_published_schema_is_the_catalogues() throws IOException {
        ObjectNode schema = (ObjectNode) JsonText.tree(Files.readAllBytes(FILE));
        if ("write".equals(System.getProperty("schema"))) {
            schema.withObject("/$defs").set("design", DesignSchema.of());
            schema.withObject("/$defs").set("measures", DesignSchema.measures());
            schema.withObject("/$defs").set("shop", ShopFields.schema());
            schema.withObject("/$defs").set("astray", ShopFields.ASTRAY.schema());
            Files.writeString(FILE, written(schema, "") + "\n", StandardCharsets.UTF_8);
            Assumptions.abort("written anew: read what changed, then run again");
        }
        assertThat(schema.path("$defs").path("design")).isEqualTo(DesignSchema.of());
        assertThat(schema.path("$defs").path("measures")).isEqualTo(DesignSchema.measures());
        assertThat(schema.path("$defs").path("shop")).isEqualTo(ShopFields.schema());
        assertThat(schema.path("$defs").path("astray")).isEqualTo(ShopFields.ASTRAY.schema());
    }

    /** All that a form asks stands at a place that the schema knows, and what it cannot leave out the schema wants. */
    @Test
    void the_schema_knows_every_place_of_the_form() {
        for (String name : DemoBodies.NAMES) {
            ObjectNode design = DemoBodies.read(name).design();
            for (DesignCatalogue.Section section : DesignCatalogue.sections(design)) {
                for (Field.Input input : section.fields()) {
                    assertThat(known(DesignSchema.of(), input.path()))
                            .as(name + " " + input.path())
                            .isTrue();
                }
            }
        }
    }

    private static boolean known(JsonNode schema, String path) {
        JsonNode at = schema;
        for (String key : path.split("\\.")) {
            if (at.has("$ref")) {
                return true; // defined by itself, and read by its own reader
            }
            at = key.matches("\\d+") ? at.path("items") : at.path("properties").path(key);
        }
        return !at.isMissingNode();
    }

    private static String written(JsonNode node, String indent) {
        String compact =
                node.toString().replace("\":", "\": ").replace(",\"", ", \"").replace("},{", "}, {");
        if (!node.isContainer() || (indent.length() + compact.length() <= LINE && depth(node) < 3)) {
            return node.isContainer() ? compact : node.toString();
        }
        String deeper = indent + "  ";
        List<String> members = new ArrayList<>();
        if (node.isObject()) {
            node.propertyStream()
                    .forEach(p -> members.add(deeper + "\"" + p.getKey() + "\": " + written(p.getValue(), deeper)));
        } else {
            node.forEach(n -> members.add(deeper + written(n, deeper)));
        }
        String open = node.isObject() ? "{" : "[";
        String close = node.isObject() ? "}" : "]";
        return open + "\n" + String.join(",\n", members) + "\n" + indent + close;
    }

    private static int depth(JsonNode node) {
        int deepest = 0;
        for (JsonNode child : node) {
            deepest = Math.max(deepest, depth(child));
        }
        return node.isContainer() ? deepest + 1 : 0;
    }
}
