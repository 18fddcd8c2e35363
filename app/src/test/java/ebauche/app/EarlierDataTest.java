package ebauche.app;

import static org.assertj.core.api.Assertions.assertThat;

import ebauche.app.testing.AppProcess;
import ebauche.app.testing.PrivateDatabase;
import ebauche.app.testing.Visitor;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.Statement;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/**
 * A maker's data as an earlier program left it, kept as it was: the rows of a shop that had the demo's bodies and rack, changed a design,
 * kept a blank and its own ways. Its revisions are of format version 1.
 */
@Tag("slow")
class EarlierDataTest {
    private static final List<String> PAGES = List.of(
            "",
            "/weigh",
            "/bench",
            "/design",
            "/parts",
            "/what-if",
            "/check",
            "/x-ray",
            "/blank",
            "/cut-list",
            "/glue-up",
            "/thickness",
            "/template",
            "/passes",
            "/feed",
            "/tiles",
            "/neck",
            "/depths",
            "/cavity",
            "/contours",
            "/edges",
            "/record");

    @TempDir
    Path folder;

    private static void load(PrivateDatabase database) throws Exception {
        String rows;
        try (InputStream in = EarlierDataTest.class.getResourceAsStream("/earlier-data.sql")) {
            rows = new String(in.readAllBytes(), StandardCharsets.UTF_8);
        }
        assertThat(rows).contains("\\\"version\\\":1").contains("controlCavity");
        try (Connection sql = DriverManager.getConnection(
                        database.url(), "ebauche_migrate", database.connection().get("DB_MIGRATE_PASSWORD"));
                Statement statement = sql.createStatement()) {
            for (String insert : rows.split("\n")) {
                statement.execute(insert);
            }
        }
    }

    private static Set<String> bodies(String floor) {
        Set<String> there = new LinkedHashSet<>();
        Matcher m = Pattern.compile("href=\"(/bodies/[a-z0-9]{16})\" aria-label=\"Open ")
                .matcher(floor);
        while (m.find()) {
            there.add(m.group(1));
        }
        return there;
    }

    @Test
    void a_shop_from_before_many_cavities_opens_goes_on_and_gives_files_of_today() throws Exception {
        try (PrivateDatabase database = new PrivateDatabase();
                AppProcess app = AppProcess.start(database, AppProcess.freePort(), folder)) {
            load(database);
            Visitor me = new Visitor(app.address()).signIn("earlier maker", "demo");
            Set<String> bodies = bodies(me.get("/").body());
            assertThat(bodies).hasSize(4);
            for (String body : bodies) {
                for (String page : PAGES) {
                    assertThat(me.get(body + page).statusCode()).as(body + page).isEqualTo(200);
                }
                assertThat(me.get(body + "/file").body())
                        .contains("\"version\" : 2", "\"cavities\"")
                        .doesNotContain("controlCavity");
            }
            assertThat(me.get("/timber").statusCode()).isEqualTo(200);
            assertThat(me.get("/calendar").body()).contains("class=\"week\"").contains("Sedge");
            assertThat(me.get("/ways").body()).contains("value=\"1/8 in\"");
            goesOn(
                    me,
                    bodies.stream()
                            .filter(b -> me.get(b).body().contains("Sedge"))
                            .findFirst()
                            .orElseThrow());
        }
    }

    /** The design that was changed then has 9 mm over its controls; another change makes a revision of today. */
    private static void goesOn(Visitor me, String sedge) {
        String form = me.get(sedge + "/design").body();
        assertThat(form).containsPattern("name=\"cavities\\.0\\.woodOver\" value=\"9 mm\"");
        String id = UUID.randomUUID().toString();
        assertThat(me.post(
                                sedge + "/bench",
                                sedge + "/readings",
                                Map.of("entry", id, "measures", "depth:neck", "value", "24.15 mm", "step", "neck:rout"))
                        .statusCode())
                .isEqualTo(302);
        assertThat(me.get(sedge + "/file").body()).contains(id);
    }
}
