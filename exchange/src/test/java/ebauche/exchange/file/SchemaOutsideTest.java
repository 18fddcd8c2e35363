package ebauche.exchange.file;

import static org.assertj.core.api.Assertions.assertThat;

import com.networknt.schema.InputFormat;
import com.networknt.schema.Schema;
import com.networknt.schema.SchemaRegistry;
import com.networknt.schema.SpecificationVersion;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** The published JSON Schema (draft 2020-12), judged by a general-purpose validator. */
class SchemaOutsideTest {
    private static final Schema SCHEMA = SchemaRegistry.withDefaultDialect(SpecificationVersion.DRAFT_2020_12)
            .getSchema(text("/ebauche/format/ebauche-build.schema.json"), InputFormat.JSON);

    private static String text(String resource) {
        try (var in = SchemaOutsideTest.class.getResourceAsStream(resource)) {
            return new String(in.readAllBytes(), StandardCharsets.UTF_8);
        } catch (IOException e) {
            throw new java.io.UncheckedIOException(e);
        }
    }

    private static List<?> errors(String json) {
        return SCHEMA.validate(json, InputFormat.JSON);
    }

    @ParameterizedTest
    @ValueSource(strings = {"tussock", "sedge", "shale", "marram"})
    void the_demo_bodies_hold_to_the_schema_as_shipped_and_as_written_again(String name) {
        BuildFile file = DemoBodies.read(name);
        assertThat(errors(new String(DemoBodies.bytes(name), StandardCharsets.UTF_8)))
                .isEmpty();
        assertThat(errors(new String(
                        BuildFile.write(file.withoutRecord(), file.build().asBuilt()), StandardCharsets.UTF_8)))
                .isEmpty();
    }

    @ParameterizedTest
    @ValueSource(strings = {"\"36\"x", "36", "\"thick\"", "\"1/2/3 in\"", "\"12 furlongs\""})
    void what_the_reader_refuses_as_a_length_the_schema_refuses_too(String length) {
        assertThat(errors(BuildFileTest.SHALE.replace(
                        "\"thickness\": \"36 mm\"", "\"thickness\": " + (length.endsWith("x") ? "true" : length))))
                .isNotEmpty();
    }

    @Test
    void unknown_keys_and_missing_parts_are_refused_by_the_schema_too() {
        assertThat(errors(
                        BuildFileTest.SHALE.replace("\"name\": \"Shale\"", "\"name\": \"Shale\", \"colour\": \"red\"")))
                .isNotEmpty();
        assertThat(errors("{\"format\": \"ebauche-build\", \"version\": 1}")).isNotEmpty();
    }
}
