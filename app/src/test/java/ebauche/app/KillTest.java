package ebauche.app;

import static org.assertj.core.api.Assertions.assertThat;

import ebauche.app.testing.PrivateDatabase;
import ebauche.app.testing.Visitor;
import ebauche.exchange.file.DemoBodies;
import java.io.File;
import java.io.IOException;
import java.net.ServerSocket;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.TimeUnit;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** A reading that was acknowledged is there after a kill -9 of the app and of the database. */
@Tag("slow")
class KillTest {
    @TempDir
    Path folder;

    @Test
    void an_acknowledged_reading_a_sign_in_and_the_demo_survive_a_kill_of_app_and_database() throws Exception {
        try (PrivateDatabase database = new PrivateDatabase()) {
            int port = freePort();
            Process app = start(database, port);
            Visitor me = new Visitor("http://127.0.0.1:" + port).signIn("demo", "demo");
            String sedge = sedge(me);
            String id = UUID.randomUUID().toString();
            HttpResponse<String> answer = read(me, sedge, id);
            assertThat(answer.statusCode()).isEqualTo(302);
            database.kill();
            app.destroyForcibly().waitFor();
            database.start();
            app = start(database, port);
            // the same browser, still signed in
            String bench = me.get(sedge + "/bench?step=neck:rout&logged=" + id).body();
            assertThat(bench).contains("Logged").contains("24.15 mm");
            assertThat(read(me, sedge, id).statusCode()).isEqualTo(302);
            String file = me.get(sedge + "/file").body();
            assertThat(Pattern.compile(id).matcher(file).results().count()).isEqualTo(1);
            assertThat(Pattern.compile("<article")
                            .matcher(me.get("/").body())
                            .results()
                            .count())
                    .isEqualTo(DemoBodies.NAMES.size());
            app.destroy();
            assertThat(app.waitFor(20, TimeUnit.SECONDS)).isTrue();
        }
    }

    private static HttpResponse<String> read(Visitor me, String sedge, String id) {
        return me.post(
                sedge + "/bench",
                sedge + "/readings",
                Map.of("entry", id, "measures", "depth:neck", "value", "24.15 mm", "step", "neck:rout"));
    }

    private static String sedge(Visitor me) {
        Matcher m = Pattern.compile("href=\"(/bodies/[a-z0-9]{16})\" aria-label=\"Open Sedge\"")
                .matcher(me.get("/").body());
        assertThat(m.find()).isTrue();
        return m.group(1);
    }

    private static int freePort() throws IOException {
        try (ServerSocket socket = new ServerSocket(0)) {
            return socket.getLocalPort();
        }
    }

    private Process start(PrivateDatabase database, int port) throws Exception {
        File log = folder.resolve("app.log").toFile();
        Files.deleteIfExists(log.toPath());
        ProcessBuilder builder = new ProcessBuilder(List.of(
                Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                "-XX:+UseSerialGC",
                "-XX:TieredStopAtLevel=1",
                "-cp",
                System.getProperty("java.class.path"),
                "ebauche.app.EbaucheApp",
                "--server.port=" + port,
                "--ebauche.demo=true"));
        builder.environment().putAll(database.connection());
        Process app = builder.redirectErrorStream(true).redirectOutput(log).start();
        for (int i = 0; i < 600; i++) {
            if (log.exists() && Files.readString(log.toPath()).contains("Started EbaucheApp")) {
                return app;
            }
            assertThat(app.isAlive()).as(Files.readString(log.toPath())).isTrue();
            Thread.sleep(100);
        }
        throw new AssertionError("the app did not start");
    }
}
