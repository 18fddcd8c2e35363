package ebauche.exchange.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import ebauche.exchange.Remembering;
import ebauche.exchange.file.DemoBodies;
import ebauche.exchange.json.JsonText;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.PrintStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import tools.jackson.databind.JsonNode;

@Tag("slow")
@ExtendWith(Remembering.class)
class PlanCommandTest {
    @TempDir
    Path folder;

    private record Answer(int exit, String out, String err) {
        JsonNode json() {
            return JsonText.tree(out);
        }
    }

    private Answer plan(String... args) {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        ByteArrayOutputStream err = new ByteArrayOutputStream();
        int exit = PlanCommand.run(args, new PrintStream(out), new PrintStream(err));
        return new Answer(exit, out.toString(StandardCharsets.UTF_8), err.toString(StandardCharsets.UTF_8));
    }

    private Path file(byte[] bytes) throws IOException {
        return Files.write(folder.resolve("body.ebauche.json"), bytes);
    }

    @Test
    void a_sound_body_is_planned_with_0_and_a_stopped_one_with_1_and_still_printed() throws IOException {
        assertThat(plan(file(DemoBodies.bytes("sedge")).toString()).exit()).isZero();
        Answer stopped = plan(file(DemoBodies.bytes("shale")).toString());
        assertThat(stopped.exit()).isEqualTo(1);
        assertThat(stopped.json().path("operations").size()).isGreaterThan(20);
        JsonNode finding = stopped.json().path("findings").get(0);
        assertThat(finding.path("severity").asString()).isEqualTo("stops");
        assertThat(finding.path("what").asString())
                .contains("42 mm")
                .contains("36 mm")
                .contains("6 mm");
        assertThat(finding.path("cure").asString()).isNotBlank();
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "{", "[[[[", "not json at all", "{\"format\":\"ebauche-build\",\"version\":99}"})
    void a_file_that_cannot_be_read_gives_2_one_line_and_nothing_on_standard_output(String text) throws IOException {
        Answer answer = plan(file(text.getBytes(StandardCharsets.UTF_8)).toString());
        assertThat(answer.exit()).isEqualTo(2);
        assertThat(answer.out()).isEmpty();
        assertThat(answer.err().strip())
                .isNotBlank()
                .doesNotContain("\n")
                .doesNotContain("\tat ")
                .doesNotContain("Exception");
    }

    @Test
    void no_file_a_folder_and_wrong_arguments_are_said_in_words() {
        assertThat(plan("no-such-file.json").err()).contains("no such file");
        assertThat(plan(folder.toString()).exit()).isEqualTo(2);
        assertThat(plan().err()).contains("wants one build file");
    }

    @ParameterizedTest
    @ValueSource(strings = {"tussock", "sedge", "shale", "marram"})
    void the_plan_has_what_is_promised_and_its_order_keeps_its_own_reasons(String name) throws IOException {
        JsonNode plan = plan(file(DemoBodies.bytes(name)).toString()).json();
        List<String> keys = new ArrayList<>();
        for (JsonNode op : plan.path("operations")) {
            for (String field : List.of(
                    "id",
                    "station",
                    "title",
                    "face",
                    "setting",
                    "needs",
                    "gives",
                    "spoils",
                    "after",
                    "because",
                    "inspections",
                    "handsOnMinutes",
                    "waitMinutes")) {
                assertThat(op.has(field)).as(field).isTrue();
            }
            assertThat(op.path("because").size()).isEqualTo(op.path("after").size());
            op.path("needs").forEach(n -> assertThat(n.isString()).isTrue());
            op.path("after").forEach(a -> assertThat(keys).contains(a.asString()));
            keys.add(op.path("id").asString());
        }
        assertThat(keys).doesNotHaveDuplicates();
        assertThat(plan.path("stock").path("massGrams").asDouble()).isBetween(1000.0, 5000.0);
        double last = Double.NEGATIVE_INFINITY;
        for (JsonNode thin : plan.path("stock").path("thinnest")) {
            assertThat(thin.path("thickness").asDouble()).isGreaterThanOrEqualTo(last);
            last = thin.path("thickness").asDouble();
        }
    }

    /** Worked examples of C1 come out of the demo bodies: 24.05 (Sedge), 26.31 (Shale), 11.84 at 1 1/8 in (Tussock). */
    @Test
    void the_demo_bodies_give_the_worked_values() throws IOException {
        assertThat(reckoning("sedge", "pocket depth")).isEqualTo(24.05, within(0.005));
        assertThat(reckoning("shale", "pocket depth")).isEqualTo(26.31, within(0.005));
        assertThat(reckoning("tussock", "pocket depth")).isEqualTo(28.575, within(0.02));
        assertThat(reckoning("tussock", "saddle height")).isEqualTo(11.84, within(0.005));
    }

    private double reckoning(String name, String what) throws IOException {
        for (JsonNode r : plan(file(DemoBodies.bytes(name)).toString()).json().path("reckonings")) {
            if (r.path("what").asString().equals(what)) {
                return r.path("value").asDouble();
            }
        }
        throw new AssertionError(what);
    }
}
