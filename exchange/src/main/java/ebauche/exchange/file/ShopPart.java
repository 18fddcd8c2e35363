package ebauche.exchange.file;

import ebauche.core.hardware.Part;
import ebauche.core.shop.Glue;
import ebauche.core.shop.Shop;
import ebauche.core.timber.Species;
import ebauche.core.timber.Timbers;
import ebauche.exchange.json.BuildFileException;
import ebauche.exchange.json.JsonPlace;
import ebauche.exchange.json.Words;
import ebauche.exchange.table.TimberFile;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * What the {@code shop} part of a build file means.
 *
 * @param timbers those that ship and the shop's own
 * @param box the shop's own parts, to be put into designs
 */
public record ShopPart(Shop shop, Timbers timbers, List<Part> box) {
    public static final ShopPart STARTER = new ShopPart(Shop.starter(Shop.STARTER), TimberFile.SHIPPED, List.of());

    /**
     * Reads a shop part.
     *
     * @throws BuildFileException with the place and the reason
     */
    public static ShopPart read(ObjectNode json) {
        return JsonPlace.root(json).asObject(ShopReader::read);
    }

    /** The timbers of a shop part that do not ship. */
    public List<Species> own() {
        return timbers.all().stream()
                .filter(s -> !TimberFile.SHIPPED.all().contains(s))
                .toList();
    }

    private static JsonNode over(JsonNode ways, JsonNode filesOwn) {
        if (!(ways instanceof ObjectNode under) || !(filesOwn instanceof ObjectNode own)) {
            return filesOwn;
        }
        ObjectNode sum = under.deepCopy();
        own.properties().forEach(e -> sum.set(e.getKey(), e.getValue()));
        return sum;
    }

    /** A file's shop part over the shop's own ways: what the file says counts, what it leaves out comes from the shop. */
    public static ObjectNode over(ObjectNode ways, ObjectNode filesOwn) {
        ObjectNode sum = ways.deepCopy();
        filesOwn.properties().stream()
                .filter(e -> !e.getKey().equals("timbers"))
                .forEach(e -> sum.set(e.getKey(), over(sum.get(e.getKey()), e.getValue())));
        Map<String, JsonNode> timbers = new LinkedHashMap<>();
        ways.path("timbers").forEach(t -> timbers.put(t.path("key").asString(""), t));
        filesOwn.path("timbers").forEach(t -> timbers.put(t.path("key").asString(""), t));
        if (!timbers.isEmpty()) {
            var all = sum.putArray("timbers");
            timbers.values().forEach(all::add);
        }
        return sum;
    }

    /** Writes into a build file how this one body is glued; clamps, cauls and all else stay the shop's. */
    public static void glueWith(ObjectNode file, Glue glue, boolean complementary) {
        file.withObject("/shop/gluing")
                .put("glue", glue.key())
                .put("complementary", Words.word(Words.YES_NO, complementary));
    }
}
