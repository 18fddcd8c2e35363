package ebauche.app.testing;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;

/** A MariaDB of the tests' own on loopback, started by the same script as the app's. */
public final class PrivateDatabase implements AutoCloseable {
    private final Path folder;
    private Map<String, String> connection;

    public PrivateDatabase() {
        try {
            folder = Files.createTempDirectory("ebauche-test-db");
        } catch (IOException e) {
            throw new IllegalStateException(e);
        }
        Runtime.getRuntime().addShutdownHook(new Thread(this::close));
        start();
    }

    public void start() {
        script("start");
        connection = new HashMap<>();
        try (Stream<String> lines = Files.lines(folder.resolve("connection"))) {
            lines.forEach(l -> connection.put(l.substring(0, l.indexOf('=')), l.substring(l.indexOf('=') + 1)));
        } catch (IOException e) {
            throw new IllegalStateException(e);
        }
    }

    /** DB_PORT, DB_APP_PASSWORD and DB_MIGRATE_PASSWORD. */
    public Map<String, String> connection() {
        return connection;
    }

    public String url() {
        return "jdbc:mariadb://127.0.0.1:" + connection.get("DB_PORT") + "/ebauche";
    }

    /** As a power cut would: no word to the server. */
    public void kill() {
        try {
            long pid = Long.parseLong(
                    Files.readString(folder.resolve("mariadb.pid")).strip());
            ProcessHandle server = ProcessHandle.of(pid).orElseThrow();
            server.destroyForcibly();
            server.onExit().join();
        } catch (IOException e) {
            throw new IllegalStateException(e);
        }
    }

    private void script(String verb) {
        Path root = Path.of("").toAbsolutePath();
        Path script = Files.exists(root.resolve("tools")) ? root.resolve("tools") : root.resolve("../tools");
        try {
            Process process = new ProcessBuilder(
                            List.of(script.resolve("database.sh").toString(), verb, folder.toString()))
                    .inheritIO()
                    .start();
            if (process.waitFor() != 0) {
                throw new IllegalStateException("the test database did not " + verb);
            }
        } catch (IOException e) {
            throw new IllegalStateException(e);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new IllegalStateException(e);
        }
    }

    @Override
    public void close() {
        if (!Files.exists(folder)) {
            return;
        }
        script("stop");
        try (Stream<Path> all = Files.walk(folder)) {
            all.sorted(java.util.Comparator.reverseOrder())
                    .forEach(p -> p.toFile().delete());
        } catch (IOException e) {
            throw new IllegalStateException(e);
        }
    }
}
