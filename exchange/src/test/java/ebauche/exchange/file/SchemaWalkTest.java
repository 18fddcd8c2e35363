package ebauche.exchange.file;

import static org.assertj.core.api.Assertions.assertThat;

import com.networknt.schema.InputFormat;
import com.networknt.schema.Schema;
import com.networknt.schema.SchemaRegistry;
import com.networknt.schema.SpecificationVersion;
import ebauche.core.design.Measurand;
import ebauche.core.feature.Feature;
import ebauche.core.geometry.Face;
import ebauche.core.hardware.Channel;
import ebauche.core.hardware.PartSize;
import ebauche.core.shop.HouseRule;
import ebauche.core.shop.HouseRules;
import ebauche.core.shop.LongHoles;
import ebauche.core.shop.Shop;
import ebauche.core.shop.Stage;
import ebauche.exchange.design.Additions;
import ebauche.exchange.design.PartFile;
import ebauche.exchange.json.BuildFileException;
import ebauche.exchange.json.JsonText;
import ebauche.exchange.table.BoxFile;
import ebauche.exchange.table.TimberFile;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * The published schema and the reader know the same: every key of every object, every word of every choice, every measurand. What the
 * reader takes it tells itself, when it is given a key or a word that it does not.
 */
@Tag("slow")
class SchemaWalkTest {
    private static final String UNKNOWN = "zz-unknown";
    private static final String STRETCH = """
            {"stretch": {"from": {"x": "-100 mm", "y": "150 mm"}, "to": {"x": "100 mm", "y": "150 mm"}, "fade": "60 mm"}}""";
    private static final JsonNode SCHEMA = JsonText.tree(text("/ebauche/format/ebauche-build.schema.json"));
    private static final Schema JUDGE = SchemaRegistry.withDefaultDialect(SpecificationVersion.DRAFT_2020_12)
            .getSchema(
                    new String(text("/ebauche/format/ebauche-build.schema.json"), StandardCharsets.UTF_8),
                    InputFormat.JSON);

    private static byte[] text(String resource) {
        try (var in = SchemaWalkTest.class.getResourceAsStream(resource)) {
            return in.readAllBytes();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static final String DISC = """
            {"id": "knob", "face": "front", "disc": {"at": {"x": "90 mm", "y": "-60 mm"}, "diameter": "28 mm"},
             "width": "6 mm", "depth": "3 mm", "shape": "hollow", "radius": "7.5 mm"}""";

    /** One file with whatever a file can hold, and the demo bodies, which hold what excludes it. */
    static List<ObjectNode> samples() {
        List<ObjectNode> samples = new ArrayList<>();
        for (String name : DemoBodies.NAMES) {
            samples.add((ObjectNode) JsonText.tree(DemoBodies.bytes(name)));
        }
        ObjectNode full = samples.get(0).deepCopy();
        full.set("shop", shop());
        ObjectNode design = full.withObject("/design");
        ObjectNode blank = design.withObject("/blank");
        blank.put("pieces", 2).put("middleX", "0 mm").put("middleY", "1 3/4 in").remove("grainAngle");
        double across = ebauche.core.measure.Length.parse(blank.path("across").asString())
                .millimetres();
        layered(blank, across);
        design.putArray("order").add("neck:rout").add("outline:saw");
        design.putArray("wires")
                .addObject()
                .put("id", "out")
                .put("from", "control-volume")
                .put("to", "jack")
                .put("diameter", "3 mm");
        ObjectNode top = blank.putObject("top");
        top.put("species", "maple").put("thickness", "8 mm").put("pieces", 2);
        layered(top, across);
        blank.put("sawnBack", "8 mm");
        design.withObject("/neck")
                .putObject("scratchPlate")
                .put("thickness", "2 mm")
                .put("runs", "beside");
        design.withObject("/neck")
                .put("screwLength", "1 3/4 in")
                .put("plateUnderHeel", "0 mm")
                .put("plateUnderBridge", "0 mm");
        design.putArray("templates")
                .addObject()
                .put("feature", "neck")
                .put("thickness", "1/4 in")
                .put("material", "plywood")
                .put("hold", "tape");
        ((ObjectNode) design.path("controls").get(0)).put("cavity", "controls");
        Additions.add(design, "plate-rout");
        Additions.add(design, "tab");
        Additions.add(design, "channel");
        Additions.add(design, "chamber");
        Additions.add(design, "round-over");
        Additions.add(design, "new-cap");
        Additions.add(design, "binding");
        ((ObjectNode) design.at("/contours/0"))
                .put("by", "kerfs")
                .put("edge", "1 mm")
                .withObject("/line")
                .setAll((ObjectNode) JsonText.tree(BOWED));
        design.withArray("/contours").add(JsonText.tree(DISC));
        ((ObjectNode) design.at("/bindings/0"))
                .put("purfling", "1 mm")
                .put("purflingDepth", "2 mm")
                .put("rounded", "before")
                .setAll((ObjectNode) JsonText.tree(STRETCH).path("stretch").deepCopy());
        ((ObjectNode) design.at("/bindings/0")).remove("fade");
        ((ObjectNode) design.at("/roundOvers/0"))
                .set("stretch", JsonText.tree(STRETCH).path("stretch"));
        ((ObjectNode) design.at("/chambers/0")).putArray("joins").add("controls");
        ((ObjectNode) design.path("cavities").get(1)).putArray("joins").add("controls");
        design.putArray("undecided").add("jack");
        design.put("endsAs", "unrouted");
        full.putObject("asBuilt").set("timeline", timeline());
        samples.add(full);
        ObjectNode drawn = samples.get(3).deepCopy();
        ObjectNode vibrato = drawn.withObject("/design/bridge").putObject("vibrato");
        for (String length : List.of("blockLength", "blockClearance", "routeAcross", "routeAlong", "routeY")) {
            vibrato.put(length, "20 mm");
        }
        for (String length : List.of("springsAcross", "springsAlong", "springsY", "springsDepth")) {
            vibrato.put(length, "20 mm");
        }
        ObjectNode even = drawn.withObject("/design/blank/top").put("pieces", 2).put("grainAngle", 3);
        even.remove(List.of("strips", "flaws"));
        JsonText.tree(STRETCH)
                .propertyStream()
                .forEach(p -> ((ObjectNode) drawn.at("/design/contours/0")).set(p.getKey(), p.getValue()));
        drawn.withObject("/design/jack").put("diameter", "22 mm").remove("part");
        samples.add(drawn);
        ObjectNode sawn = samples.get(0).deepCopy();
        sawn.withObject("/design/blank").put("sawnFront", "1/4 in");
        samples.add(sawn);
        return samples;
    }

    private static void layered(ObjectNode layer, double across) {
        ArrayNode strips = layer.putArray("strips");
        for (int i = 0; i < 2; i++) {
            strips.addObject()
                    .put("width", across / 2 + " mm")
                    .put("board", "B" + i)
                    .put("up", "A")
                    .put("neckEnd", "far")
                    .put("rings", "flat")
                    .put("heart", "up")
                    .put("planed", "either")
                    .put("grainAngle", 0)
                    .put("species", i == 0 ? "maple" : "ash");
        }
        layer.putArray("flaws")
                .addObject()
                .put("kind", "knot")
                .put("minX", "10 mm")
                .put("maxX", "20 mm")
                .put("minY", "10 mm")
                .put("maxY", "20 mm")
                .put("top", "0 mm")
                .put("bottom", "5 mm");
    }

    private static ObjectNode shop() {
        Shop starter = Shop.starter(Shop.STARTER);
        ObjectNode shop = tools.jackson.databind.node.JsonNodeFactory.instance
                .objectNode()
                .put("starter", 1);
        shop.set("crib", ShopFields.CRIB.write(starter.crib()));
        shop.set("practice", ShopFields.PRACTICE.write(starter.practice()));
        shop.set("limits", ShopFields.LIMITS.write(starter.limits()));
        shop.set("bands", ShopFields.BANDS.write(starter.bands()));
        shop.set("wire", ShopFields.WIRE.write(starter.wire()));
        shop.set(
                "rules",
                ShopFields.RULES.write(new HouseRules(true, List.of(new HouseRule(Stage.POCKET, Stage.SAWING)))));
        shop.set("worth", ShopFields.WORTH.write(starter.worth()));
        shop.set("shielding", ShopFields.SHIELDING.write(starter.shielding()));
        shop.set(
                "longHoles",
                ShopFields.LONG_HOLES.write(
                        new LongHoles(2, 1, 0.5, 0.4, 12, List.of(new LongHoles.Own(Channel.Held.JIG, 7, 0.61)))));
        shop.set("clearances", ShopFields.CLEARANCES.write(starter.clearances()));
        shop.set("cutting", ShopFields.CUTTING.write(starter.cutting()));
        shop.set("gluing", ShopFields.GLUING.write(starter.gluing()));
        shop.putObject("printing").put("across", 1).put("along", 1);
        ObjectNode timber = OwnTimbers.write(TimberFile.SHIPPED.of("alder"));
        shop.putArray("timbers").add(timber.put("key", "house-alder"));
        shop.putArray("box").add(PartFile.write(BoxFile.SHIPPED.get(0).part()));
        return shop;
    }

    private static ArrayNode timeline() {
        JsonNode read = JsonText.tree("""
                [{"id": "a", "kind": "reading", "at": "2026-11-01T10:00:00Z", "by": "m", "operation": "neck:fit",
                  "measures": "heel-thickness", "value": "25.4 mm"},
                 {"id": "g", "kind": "reading", "at": "2026-11-01T10:00:00Z", "by": "m", "operation": "channel-a:drill",
                  "measures": "bore-lower:channel-a", "value": "1.2 mm", "astray": {"held": "jig", "degrees": 0.6}},
                 {"id": "b", "kind": "mishap", "at": "2026-11-01T10:00:00Z", "by": "m", "operation": "neck:fit", "what": "slip",
                  "minutes": 20, "open": "yes"},
                 {"id": "e", "kind": "asked", "at": "2026-11-01T10:00:00Z", "by": "m", "operation": "neck:fit", "whom": "Mo"},
                 {"id": "f", "kind": "settled", "at": "2026-11-01T10:00:00Z", "by": "m", "entry": "e"},
                 {"id": "c", "kind": "withdrawn", "at": "2026-11-01T10:00:00Z", "by": "m", "entry": "b"},
                 {"id": "d", "kind": "done", "at": "2026-11-01T10:00:00Z", "by": "m", "operation": "neck:rout", "title": "t",
                  "face": "front", "expected": {"depth:neck": 20.123456789012345},
                  "routed": {"pattern bit": "8420 mm", "bowl bit": "26556 mm"},
                  "changes": [
                    {"kind": "add", "feature": "neck", "workpiece": "cap", "species": "alder", "density": 400,
                     "solid": {"kind": "bore", "from": [0, 0], "to": [0, 20], "depth": 10, "toDepth": 14.5, "diameter": 5}},
                    {"kind": "remove", "feature": "neck",
                     "solid": {"kind": "prism", "rings": [[0, 0, 9, 0, 9, 9, 0, 0]], "top": [0, 0, 0],
                       "bottom": {"face": "front", "flat": 0, "line": [0, 0, 0, 50], "shape": "hollow", "width": 20, "depth": 5,
                         "radius": 200}}},
                    {"kind": "remove", "feature": "neck",
                     "solid": {"kind": "prism", "rings": [[0, 0, 9, 0, 9, 9, 0, 0]], "top": [0, 0, 0],
                       "bottom": {"face": "front", "flat": 0, "rim": [[0, 0, 99, 0, 99, 99, 0, 0]], "shape": "straight",
                         "width": 20, "depth": 5}}},
                    {"kind": "remove", "feature": "neck",
                     "solid": {"kind": "prism", "rings": [[0, 0, 9, 0, 9, 9, 0, 0]], "top": [0, 0, 0],
                       "bottom": {"face": "front", "flat": 0, "guide": [0, 0, 50, 0, 60, 20], "shape": "straight",
                         "width": 20, "depth": 5}}},
                    {"kind": "remove", "feature": "neck",
                     "solid": {"kind": "prism", "rings": [[0, 0, 9, 0, 9, 9, 0, 0]], "top": [0, 0, 0],
                       "bottom": {"face": "front", "flat": 0, "spot": [3, 4, 14], "shape": "arched", "edge": 1,
                         "width": 20, "depth": 5}}}]}]
                """.getBytes(StandardCharsets.UTF_8));
        return (ArrayNode) read;
    }

    private final Map<JsonNode, Set<String>> keys = new LinkedHashMap<>();
    private final Map<JsonNode, Set<String>> words = new LinkedHashMap<>();

    private static final String BOWED = """
            {"through": [{"x": "0 mm", "y": "0 mm"}], "along": "typed", "fade": "50 mm", "lean": 0.2, "depths": ["2 mm", "4 mm"]}""";

    @Test
    void what_the_reader_takes_the_schema_has_and_the_other_way_round() {
        for (ObjectNode sample : samples()) {
            assertThat(JUDGE.validate(sample.toString(), InputFormat.JSON))
                    .as(sample.path("design").path("name").asString())
                    .isEmpty();
            BuildFile.of(sample);
            walk(sample, "", sample, SCHEMA);
        }
        assertThat(keys).hasSizeGreaterThan(45);
        assertThat(words).hasSizeGreaterThan(25);
        keys.forEach((schema, known) -> assertThat(known)
                .as("keys of " + schema.path("properties").propertyNames())
                .isEqualTo(new TreeSet<>(schema.path("properties").propertyNames())));
        words.forEach((schema, known) -> {
            Set<String> told = new TreeSet<>();
            schema.path("enum").forEach(w -> told.add(w.asString()));
            assertThat(known).as("words of " + schema).isEqualTo(told);
        });
        assertThat(unvisited(SCHEMA, ""))
                .as("objects of the schema that no sample holds")
                .isEmpty();
    }

    private void walk(ObjectNode root, String pointer, JsonNode node, JsonNode schema) {
        JsonNode here = resolved(schema, node);
        if (node instanceof ObjectNode object) {
            if (!here.has("propertyNames") && !pointer.endsWith("/sizes")) {
                keys.computeIfAbsent(here, k -> new TreeSet<>()).addAll(known(root, pointer));
            } else {
                keys.computeIfAbsent(
                        here, k -> new TreeSet<>(here.path("properties").propertyNames()));
            }
            for (String key : object.propertyNames()) {
                walk(
                        root,
                        pointer + "/" + key,
                        object.get(key),
                        here.path("properties").path(key));
            }
        } else if (node instanceof ArrayNode list) {
            for (int i = 0; i < list.size(); i++) {
                walk(root, pointer + "/" + i, list.get(i), here.path("items"));
            }
        } else if (here.has("enum") && !words.containsKey(here)) {
            words.put(here, choices(root, pointer));
        }
    }

    private static JsonNode resolved(JsonNode schema, JsonNode node) {
        if (schema.has("$ref")) {
            return resolved(SCHEMA.at(schema.path("$ref").asString().substring(1)), node);
        }
        boolean chooses =
                schema.has("oneOf") && !schema.path("additionalProperties").isBoolean();
        if (!chooses) {
            return schema;
        }
        for (JsonNode branch : schema.path("oneOf")) {
            boolean kind = node.has("kind")
                    && branch.path("properties").path("kind").path("const").equals(node.path("kind"));
            boolean type = branch.path("type").asString("").equals(node.isArray() ? "array" : "object")
                    && !branch.path("properties").has("kind");
            if (kind || (type && !node.has("kind"))) {
                return resolved(branch, node);
            }
        }
        throw new AssertionError("no branch of " + schema + " for " + node);
    }

    /** The keys that the reader names when it is given one more. */
    private static Set<String> known(ObjectNode root, String pointer) {
        ObjectNode copy = root.deepCopy();
        ((ObjectNode) (pointer.isEmpty() ? copy : copy.at(pointer))).put(UNKNOWN, 1);
        String message = refusal(copy, pointer);
        assertThat(message).as(pointer).contains("Known: ").doesNotContain(UNKNOWN);
        return new TreeSet<>(
                Arrays.asList(message.substring(message.indexOf("Known: ") + 7).split(", ")));
    }

    /** The words that the reader names when it is given another. */
    private static Set<String> choices(ObjectNode root, String pointer) {
        ObjectNode copy = root.deepCopy();
        int slash = pointer.lastIndexOf('/');
        JsonNode parent = copy.at(pointer.substring(0, slash));
        String last = pointer.substring(slash + 1);
        if (parent instanceof ObjectNode object) {
            object.put(last, UNKNOWN);
        } else {
            ((ArrayNode) parent).set(Integer.parseInt(last), UNKNOWN);
        }
        String message = refusal(copy, pointer);
        assertThat(message).as(pointer).containsPattern("none of |must be ");
        return new TreeSet<>(Arrays.asList(
                message.replaceAll("(?s).*(none of |must be )", "").split(", | or ")));
    }

    private static String refusal(ObjectNode file, String pointer) {
        try {
            BuildFile.of(file);
        } catch (BuildFileException e) {
            return e.getMessage();
        }
        throw new AssertionError("the reader takes anything at " + pointer);
    }

    /** Object schemas that were never visited, by their place. */
    private List<String> unvisited(JsonNode schema, String place) {
        List<String> missing = new ArrayList<>();
        boolean closed = schema.path("additionalProperties").isBoolean() && schema.has("properties");
        if (closed && !keys.containsKey(schema)) {
            missing.add(place);
        }
        for (String key : schema.isObject() ? schema.propertyNames() : List.<String>of()) {
            missing.addAll(unvisited(schema.get(key), place + "/" + key));
        }
        for (int i = 0; schema.isArray() && i < schema.size(); i++) {
            missing.addAll(unvisited(schema.get(i), place + "/" + i));
        }
        return missing;
    }

    @Test
    void every_measurand_is_in_the_schema() {
        List<String> all =
                new ArrayList<>(List.of("depth:neck", "thickness-at:control-volume", "wood-at:contour-top.-120.45"));
        for (Measurand.Dimension d : Measurand.Dimension.values()) {
            all.add(d.key());
        }
        for (Face face : Face.values()) {
            all.add(new Measurand.SandedOff(face).key());
            all.add(new Measurand.OutOfFlat(face).key());
        }
        Set<String> sizes = new TreeSet<>();
        for (PartSize size : PartSize.values()) {
            all.add(new Measurand.SizeOf(Feature.parse("bridge"), size).key());
            sizes.add(size.key());
        }
        String pattern = SCHEMA.at("/$defs/measures/pattern").asString();
        assertThat(all).hasSizeGreaterThan(50).allMatch(key -> key.matches(pattern));
        for (String word : pattern.replaceAll("^\\^\\(|\\)\\$$", "").split("\\|")) {
            if (word.matches("[a-z0-9-]+")) {
                Measurand.parse(word);
            }
        }
        assertThat(sizes)
                .isEqualTo(new TreeSet<>(
                        SCHEMA.at("/$defs/part/properties/sizes/properties").propertyNames()));
    }
}
