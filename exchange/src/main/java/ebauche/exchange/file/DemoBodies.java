package ebauche.exchange.file;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.List;

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
