package ebauche.exchange.file;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import ebauche.core.hardware.Cavity;
import ebauche.core.plan.Planner;
import ebauche.exchange.json.BuildFileException;
import ebauche.exchange.json.JsonText;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import tools.jackson.databind.node.ObjectNode;

/** Files that an earlier program wrote, kept as they were: the four examples of format version 1, with their records. */
class EarlierVersionsTest {
    private static byte[] first(String name) {
        try (var in = EarlierVersionsTest.class.getResourceAsStream("/version-1/" + name + ".ebauche.json")) {
            return in.readAllBytes();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** Read, planned, written again as the present version has it, and read from that the same; the record keeps its words. */
    @ParameterizedTest
    @ValueSource(strings = {"tussock", "sedge", "shale", "marram"})
    void a_file_of_the_first_version_is_read_and_written_as_the_present_one(String name) {
        ObjectNode file = (ObjectNode) JsonText.tree(first(name));
        assertThat(file.path("version").asInt()).isEqualTo(1);
        BuildFile read = BuildFile.of(file);
        assertThat(read.build().design().cavities()).extracting(Cavity::feature).containsExactly(Cavity.ELDEST);
        assertThat(Planner.schedule(read.build()).steps()).isNotEmpty();
        ObjectNode again = (ObjectNode)
                JsonText.tree(BuildFile.write(read.withoutRecord(), read.build().asBuilt()));
        assertThat(again.path("version").asInt()).isEqualTo(BuildFile.VERSION);
        assertThat(BuildFile.of(again).build().asBuilt().timeline())
                .isEqualTo(read.build().asBuilt().timeline());
        ObjectNode design = (ObjectNode) again.get("design");
        ObjectNode only = (ObjectNode) design.remove("cavities").get(0);
        assertThat(only.remove("id").asString()).isEqualTo("controls");
        design.set("controlCavity", only);
        assertThat(design).isEqualTo(file.get("design"));
        assertThat(BuildFile.stored(first(name)).path("design")).isEqualTo(read.design());
    }

    /** What is wrong in it is told at the place that its maker wrote. */
    @Test
    void an_error_names_the_place_that_the_file_itself_has() {
        ObjectNode file = (ObjectNode) JsonText.tree(first("shale"));
        file.withObject("/design/controlCavity").put("woodOver", "6");
        assertThatThrownBy(() -> BuildFile.of(file))
                .isInstanceOfSatisfying(
                        BuildFileException.class,
                        e -> assertThat(e.place()).isEqualTo("design.controlCavity.woodOver"));
        file.withObject("/design").put("controlCavity", 3);
        assertThatThrownBy(() -> BuildFile.of(file)).hasMessageContaining("object");
    }

    /** The old name is none in a file of the present version, and the two together are none in any. */
    @Test
    void the_old_name_is_unknown_to_the_present_version() {
        for (int version : List.of(1, BuildFile.VERSION)) {
            ObjectNode file = (ObjectNode) JsonText.tree(DemoBodies.bytes("shale"));
            file.put("version", version).withObject("/design").putObject("controlCavity");
            assertThatThrownBy(() -> BuildFile.of(file))
                    .isInstanceOfSatisfying(
                            BuildFileException.class,
                            e -> assertThat(e.inWords()).contains("controlCavity"));
        }
    }
}
