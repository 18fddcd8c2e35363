package ebauche.exchange.file;

import ebauche.core.shop.Shop;
import ebauche.exchange.json.JsonText;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import tools.jackson.databind.node.ObjectNode;

/** The bodies of the demo shop: the same files that stand in docs/format/examples. */
public final class DemoBodies {
    /** Names of the files, in the order in which the shop took them on. */
    public static final List<String> NAMES = List.of("tussock", "sedge", "shale", "marram", "fescue", "rush");

    private DemoBodies() {}

    public static BuildFile read(String name) {
        return BuildFile.read(bytes(name));
    }

    /** The demo shop's rack, as a table. */
    public static String rack() {
        return new String(resource("rack.csv"), StandardCharsets.UTF_8);
    }

    /** The starter shop with the bits for edges that the demo shop has beside its own, as a build file's shop part. */
    public static ObjectNode shop() {
        ObjectNode crib = ShopFields.CRIB.write(Shop.starter(Shop.STARTER).crib());
        JsonText.tree(resource("crib.json"))
                .propertyStream()
                .forEach(p -> p.getValue().forEach(crib.withArray("/" + p.getKey())::add));
        ObjectNode shop = crib.objectNode().put("starter", Shop.STARTER);
        shop.set("crib", crib);
        return shop;
    }

    public static byte[] bytes(String name) {
        return resource(name + ".ebauche.json");
    }

    private static byte[] resource(String name) {
        String path = "/ebauche/format/examples/" + name;
        try (InputStream in = DemoBodies.class.getResourceAsStream(path)) {
            if (in == null) {
                throw new IllegalStateException(path + " does not ship");
            }
            return in.readAllBytes();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
