package ebauche.app.testing;

import java.io.IOException;
import java.net.ServerSocket;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.TimeUnit;

/** The app as a process of its own, over a database of the test's. */
public final class AppProcess implements AutoCloseable {
    private static final int TENTHS = 600;

    private final Process process;
    private final int port;

    private AppProcess(Process process, int port) {
        this.process = process;
        this.port = port;
    }

    /** Starts it and waits until it serves. */
    public static AppProcess start(PrivateDatabase database, int port, Path folder, String... options) {
        try {
            Path log = folder.resolve("app.log");
            Files.deleteIfExists(log);
            List<String> command = new ArrayList<>(List.of(
                    Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                    "-XX:+UseSerialGC",
                    "-XX:TieredStopAtLevel=1",
                    "-cp",
                    System.getProperty("java.class.path"),
                    "ebauche.app.EbaucheApp",
                    "--server.port=" + port));
            command.addAll(List.of(options));
            ProcessBuilder builder = new ProcessBuilder(command);
            builder.environment().putAll(database.connection());
            AppProcess app = new AppProcess(
                    builder.redirectErrorStream(true)
                            .redirectOutput(log.toFile())
                            .start(),
                    port);
            for (int i = 0; i < TENTHS; i++) {
                if (Files.exists(log) && Files.readString(log).contains("Started EbaucheApp")) {
                    return app;
                }
                if (!app.process.isAlive()) {
                    throw new IllegalStateException(Files.readString(log));
                }
                TimeUnit.MILLISECONDS.sleep(100);
            }
            throw new IllegalStateException("the app did not start");
        } catch (IOException e) {
            throw new IllegalStateException(e);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new IllegalStateException(e);
        }
    }

    public static int freePort() {
        try (ServerSocket socket = new ServerSocket(0)) {
            return socket.getLocalPort();
        } catch (IOException e) {
            throw new IllegalStateException(e);
        }
    }

    public String address() {
        return "http://127.0.0.1:" + port;
    }

    /** As a power cut would. */
    public void kill() {
        process.destroyForcibly();
        process.onExit().join();
    }

    /** Asks it to stop; whether it did, in time. */
    public boolean stop() {
        process.destroy();
        try {
            return process.waitFor(20, TimeUnit.SECONDS);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            return false;
        }
    }

    @Override
    public void close() {
        if (process.isAlive()) {
            kill();
        }
    }
}
