package ebauche.exchange;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.List;

/** The bodies of the demo shop: the same files that stand in docs/format/examples. */
public final class DemoBodies {
    /** Names of the files, in the order in which the shop took them on. */
    public static final List<String> NAMES = List.of("tussock", "sedge", "shale");

    private DemoBodies() {}

    public static BuildFile read(String name) {
        return BuildFile.read(bytes(name));
    }

    public static byte[] bytes(String name) {
        String path = "/ebauche/format/examples/" + name + ".ebauche.json";
        try (InputStream in = DemoBodies.class.getResourceAsStream(path)) {
            if (in == null) {
                throw new IllegalStateException("the demo body " + name + " does not ship");
            }
            return in.readAllBytes();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
