package ebauche.app;

import static org.assertj.core.api.Assertions.assertThat;

import ebauche.app.testing.AppProcess;
import ebauche.app.testing.PrivateDatabase;
import ebauche.app.testing.Visitor;
import ebauche.exchange.file.DemoBodies;
import java.net.http.HttpResponse;
import java.nio.file.Path;
import java.util.Map;
import java.util.UUID;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** A reading that was acknowledged is there after a kill -9 of the app and of the database. */
@Tag("slow")
class KillTest {
    private static final String DEMO = "--ebauche.demo=true";

    @TempDir
    Path folder;

    @Test
    void an_acknowledged_reading_a_sign_in_and_the_demo_survive_a_kill_of_app_and_database() throws Exception {
        try (PrivateDatabase database = new PrivateDatabase()) {
            int port = AppProcess.freePort();
            AppProcess app = AppProcess.start(database, port, folder, DEMO);
            Visitor me = new Visitor(app.address()).signIn("demo", "demo");
            String sedge = sedge(me);
            String id = UUID.randomUUID().toString();
            HttpResponse<String> answer = read(me, sedge, id);
            assertThat(answer.statusCode()).isEqualTo(302);
            database.kill();
            app.kill();
            database.start();
            app = AppProcess.start(database, port, folder, DEMO);
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
            assertThat(app.stop()).isTrue();
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
}
