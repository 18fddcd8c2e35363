package ebauche.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.TimeUnit;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** The start command's words and exit codes; what it starts is the same app that the other tests run. */
@Tag("slow")
class CommandTest {
    @TempDir
    Path home;

    private record Answer(int exit, String out, String err) {}

    private static Path script() {
        Path root = Path.of("").toAbsolutePath();
        return Files.exists(root.resolve("ebauche")) ? root.resolve("ebauche") : root.resolve("../ebauche");
    }

    private Answer ebauche(String... words) throws IOException, InterruptedException {
        List<String> command = new ArrayList<>(List.of(script().toString()));
        command.addAll(List.of(words));
        ProcessBuilder builder = new ProcessBuilder(command);
        builder.environment().put("EBAUCHE_HOME", home.toString());
        Path out = home.resolve("out");
        Path err = home.resolve("err");
        Process process =
                builder.redirectOutput(out.toFile()).redirectError(err.toFile()).start();
        assertThat(process.waitFor(60, TimeUnit.SECONDS)).isTrue();
        return new Answer(process.exitValue(), Files.readString(out), Files.readString(err));
    }

    @Test
    void help_names_every_command() throws Exception {
        assertThat(ebauche("help").out()).contains("run", "stop", "plan FILE", "test", "--no-demo", "--bind");
        assertThat(ebauche().out()).isEqualTo(ebauche("help").out());
    }

    @Test
    void an_unknown_word_is_said_and_help_goes_to_standard_error() throws Exception {
        Answer answer = ebauche("fly");
        assertThat(answer.exit()).isEqualTo(2);
        assertThat(answer.out()).isEmpty();
        assertThat(answer.err()).contains("“fly” is not known").contains("./ebauche run");
        assertThat(ebauche("run", "--fast").exit()).isEqualTo(2);
    }

    /** The plan and password commands are started by their classes' names, and mutants by their packages': a move must not leave one behind. */
    @Test
    void what_the_script_names_of_the_code_is_there() throws Exception {
        Path sources = script().resolveSibling("core/src/main/java");
        List<String> started = new ArrayList<>();
        Matcher named = Pattern.compile("\\bebauche((?:\\.[a-z]+)+)(\\.[A-Z]\\w*\\b(?<!Test))?")
                .matcher(Files.readString(script()));
        while (named.find()) {
            String where = "ebauche" + named.group(1);
            if (named.group(2) != null) {
                started.add(where + named.group(2));
                assertThat(Class.forName(where + named.group(2)).getMethod("main", String[].class))
                        .isNotNull();
            } else if (where.startsWith("ebauche.core")) {
                assertThat(sources.resolve(where.replace('.', '/'))).isDirectory();
            }
        }
        assertThat(started)
                .containsExactlyInAnyOrder("ebauche.app.account.Passwords", "ebauche.exchange.plan.PlanCommand");
    }

    @Test
    void plan_without_a_file_is_asked_for_one() throws Exception {
        Answer answer = ebauche("plan");
        assertThat(answer.exit()).isEqualTo(2);
        assertThat(answer.out()).isEmpty();
        assertThat(answer.err()).contains("wants one build file");
    }

    @Test
    void stop_says_when_nothing_runs() throws Exception {
        assertThat(ebauche("stop").err()).contains("Nothing runs");
    }

    @Test
    void a_second_start_says_that_one_runs_and_leaves_it_alone() throws Exception {
        Path lock = Files.writeString(home.resolve("lock"), "0\n");
        Files.writeString(home.resolve("address"), "http://127.0.0.1:1/");
        Process holder = new ProcessBuilder("flock", lock.toString(), "sleep", "30").start();
        try {
            for (int i = 0;
                    i < 50
                            && new ProcessBuilder("flock", "-n", lock.toString(), "true")
                                            .start()
                                            .waitFor()
                                    == 0;
                    i++) {
                Thread.sleep(50);
            }
            Answer answer = ebauche("run");
            assertThat(answer.exit()).isEqualTo(1);
            assertThat(answer.err()).contains("already runs").contains("http://127.0.0.1:1/");
        } finally {
            holder.descendants().forEach(ProcessHandle::destroy);
            holder.destroy();
        }
    }
}
