package ebauche.exchange.file;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import ebauche.core.feature.StepKey;
import ebauche.core.geometry.Face;
import ebauche.core.logbook.AsBuilt;
import ebauche.core.plan.BuildPlan;
import ebauche.core.plan.Planner;
import ebauche.exchange.Remembering;
import ebauche.exchange.json.BuildFileException;
import ebauche.exchange.plan.PlanJson;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.UnaryOperator;
import java.util.stream.Stream;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;
import tools.jackson.databind.JsonNode;

@Tag("slow")
@ExtendWith(Remembering.class)
class BuildFileTest {
    static final String SHALE = new String(DemoBodies.bytes("shale"), StandardCharsets.UTF_8);

    private static BuildFile read(String json) {
        return BuildFile.read(json.getBytes(StandardCharsets.UTF_8));
    }

    static Stream<Arguments> mistakes() {
        return Stream.of(
                mistake("design.thickness", "no length", s -> s.replace("\"36 mm\"", "\"thick\"")),
                mistake(
                        "design.thickness",
                        "bare number",
                        s -> s.replace("\"thickness\": \"36 mm\"", "\"thickness\": 36")),
                mistake("design.thickness", "between 5 and 120", s -> s.replace("\"36 mm\"", "\"-36 mm\"")),
                mistake("design.thickness", "over zero", s -> s.replace("\"36 mm\"", "\"3/0 in\"")),
                mistake("design.thickness", "more than one unit", s -> s.replace("\"36 mm\"", "\"1 in 3 mm\"")),
                mistake("design.thickness", "no length", s -> s.replace("\"36 mm\"", "\"NaN mm\"")),
                mistake("design.thickness", "no length", s -> s.replace("\"36 mm\"", "\"1e9 mm\"")),
                mistake(
                        "design.neck.heelThickness",
                        "is missing",
                        s -> s.replace("\"heelThickness\": \"25.4 mm\",", "")),
                mistake(
                        "design.neck.heelThickness",
                        "more than zero",
                        s -> s.replace("\"heelThickness\": \"25.4 mm\"", "\"heelThickness\": \"0 mm\"")),
                mistake("design.neck.angle", "between -10 and 10", s -> s.replace("\"angle\": 2", "\"angle\": 40")),
                mistake(
                        "design.neck.kind",
                        "none of bolt-on, set",
                        s -> s.replace("\"kind\": \"set\"", "\"kind\": \"glued\"")),
                mistake("design.blank.species", "no timber known here", s -> s.replace("\"walnut\"", "\"cheese\"")),
                mistake(
                        "design.colour",
                        "is not known here",
                        s -> s.replace("\"name\": \"Shale\"", "\"name\": \"Shale\", \"colour\": \"red\"")),
                mistake(
                        "design.pickups[2].depth",
                        "more than zero",
                        s -> s.replace(
                                "\"cornerRadius\": \"4.8 mm\", \"depth\": \"16 mm\" }\n    ]",
                                "\"cornerRadius\": \"4.8 mm\", \"depth\": \"-2 mm\" }\n    ]")),
                mistake("design", "two parts are called", s -> s.replace("\"id\": \"bridge\"", "\"id\": \"neck\"")),
                mistake("design.outline.path", "open", s -> s.replace("224 Z\"", "220\"")),
                mistake(
                        "design.outline.path",
                        "crosses",
                        s -> s.replaceFirst("\"M -35 224[^\"]*\"", "\"M 0 0 L 100 100 L 100 0 L 0 100 Z\"")),
                mistake("design.outline", "larger than", s -> s.replaceFirst("\"unit\": \"mm\"", "\"unit\": \"in\"")),
                mistake("version", "newer program", s -> s.replace("\"version\": 2", "\"version\": 7")),
                mistake("version", "whole number", s -> s.replace("\"version\": 2", "\"version\": 1.5")),
                mistake("format", "another kind of file", s -> s.replace("ebauche-build", "something-else")),
                mistake("shop.starter", "no starter shop 9", s -> s.replace("\"starter\": 1", "\"starter\": 9")),
                mistake(
                        "design",
                        "object in braces",
                        s -> s.replaceFirst("(?s)\"design\": \\{.*\"shop\"", "\"design\": 5, \"shop\"")));
    }

    private static Arguments mistake(String place, String words, UnaryOperator<String> slip) {
        return Arguments.of(place, words, slip);
    }

    @ParameterizedTest(name = "{0}: {1}")
    @MethodSource("mistakes")
    void a_mistake_is_answered_with_its_place_and_reason(String place, String words, UnaryOperator<String> slip) {
        String broken = slip.apply(SHALE);
        assertThat(broken).as("the slip changed nothing").isNotEqualTo(SHALE);
        assertThatThrownBy(() -> read(broken)).isInstanceOfSatisfying(BuildFileException.class, e -> {
            assertThat(e.place()).isEqualTo(place);
            assertThat(e.getMessage()).contains(words);
        });
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "",
                "   \n ",
                "null",
                "[]",
                "17",
                "\"text\"",
                "{",
                "{\"format\"",
                "\u0000\u0001\u0002",
                "{\"format\": \"ebauche-build\"} {}",
                "{\"a\":1,\"a\":2}"
            })
    void what_is_no_build_file_is_refused_in_words(String junk) {
        assertThatThrownBy(() -> read(junk))
                .isInstanceOfSatisfying(
                        BuildFileException.class,
                        e -> assertThat(e.inWords())
                                .isNotBlank()
                                .doesNotContain("tools.jackson")
                                .doesNotContain("Exception"));
    }

    @Test
    void a_file_cut_in_half_anywhere_is_refused_and_says_where() {
        byte[] whole = DemoBodies.bytes("shale");
        for (int cut = 1; cut < whole.length - 2; cut += 97) {
            byte[] half = java.util.Arrays.copyOf(whole, cut);
            assertThatThrownBy(() -> BuildFile.read(half)).isInstanceOf(BuildFileException.class);
        }
    }

    @Test
    void nesting_of_200_000_levels_and_50_megabytes_are_refused_quickly() {
        String deep = "[".repeat(200_000) + "]".repeat(200_000);
        assertThatThrownBy(() -> read(deep)).isInstanceOf(BuildFileException.class);
        assertThatThrownBy(() -> BuildFile.read(new byte[50_000_000]))
                .isInstanceOf(BuildFileException.class)
                .hasMessageContaining("at most 4000000");
    }

    @Test
    void noise_never_brings_anything_but_a_clear_refusal() {
        java.util.Random random = new java.util.Random(4);
        byte[] whole = DemoBodies.bytes("shale");
        for (int i = 0; i < 400; i++) {
            byte[] noisy = whole.clone();
            for (int k = 0; k < 3; k++) {
                noisy[random.nextInt(noisy.length)] = (byte) random.nextInt(256);
            }
            try {
                BuildFile.read(noisy);
            } catch (BuildFileException expected) {
                assertThat(expected.inWords()).isNotBlank();
            }
        }
    }

    @ParameterizedTest
    @ValueSource(strings = {"tussock", "sedge", "shale", "marram"})
    void a_body_leaves_and_comes_back_as_the_same_body(String name) {
        BuildFile first = DemoBodies.read(name);
        BuildFile again = BuildFile.read(
                BuildFile.write(first.withoutRecord(), first.build().asBuilt()));
        assertThat(again.design()).isEqualTo(first.design());
        assertThat(again.build().asBuilt().timeline())
                .hasSameSizeAs(first.build().asBuilt().timeline());
        BuildPlan one = Planner.plan(first.build());
        BuildPlan two = Planner.plan(again.build());
        assertThat(PlanJson.write(two)).isEqualTo(PlanJson.write(one));
        assertThat(BuildFile.write(again.withoutRecord(), again.build().asBuilt()))
                .isEqualTo(BuildFile.write(first.withoutRecord(), first.build().asBuilt()));
    }

    @Test
    void lengths_come_back_as_they_were_written() {
        JsonNode design = DemoBodies.read("tussock").design();
        assertThat(design.path("thickness").asString()).isEqualTo("1 3/4 in");
    }

    @Test
    void entries_of_every_kind_survive_writing() {
        BuildFile sedge = DemoBodies.read("sedge");
        for (AsBuilt.Entry entry : sedge.build().asBuilt().timeline()) {
            AsBuilt.Entry again = BuildFile.entry(Timeline.write(entry));
            assertThat(again.id()).isEqualTo(entry.id());
            assertThat(Timeline.write(again)).isEqualTo(Timeline.write(entry));
        }
        for (AsBuilt.Entry entry : new AsBuilt.Entry[] {
            new AsBuilt.Mishap("m", "2026-11-01T10:00:00Z", "a", Optional.of(StepKey.parse("neck:rout")), "slipped"),
            new AsBuilt.Mishap(
                    "m2", "2026-11-01T10:00:00Z", "a", Optional.of(StepKey.parse("neck:rout")), "tore", 45, true),
            new AsBuilt.Asked("q", "2026-11-01T10:00:00Z", "a", StepKey.parse("contour-belly:carve"), "the client"),
            new AsBuilt.Settled("s", "2026-11-02T10:00:00Z", "b", "q"),
            new AsBuilt.Withdrawn("w", "2026-11-01T10:00:00Z", "a", "m"),
            new AsBuilt.Done(
                    "d",
                    "2026-11-01T10:00:00Z",
                    "a",
                    StepKey.parse("neck:rough"),
                    "Rout",
                    Face.FRONT,
                    List.of(),
                    Map.of(),
                    Map.of("pattern bit 1/2", 8420.0))
        }) {
            assertThat(BuildFile.entry(Timeline.write(entry))).isEqualTo(entry);
        }
    }

    @Test
    void every_demo_number_is_the_one_its_sum_gives() {
        for (String name : DemoBodies.NAMES) {
            BuildPlan plan = Planner.plan(DemoBodies.read(name).build());
            plan.reckoning("pocket depth").ifPresent(r -> {
                double sum = 0;
                for (var term : r.terms()) {
                    sum += switch (term.name().replaceAll(".*, ", "")) {
                        case "h", "f", "r" -> term.value() / Math.cos(angle(r));
                        case "a12" -> 2 * term.value() / Math.cos(angle(r));
                        case "a0" -> -term.value() / Math.cos(angle(r));
                        case "d" -> term.value() * Math.tan(angle(r));
                        case "plate under the heel" -> term.value();
                        case "plate under the bridge", "H" -> -term.value();
                        default -> 0;
                    };
                }
                assertThat(sum).as(name).isEqualTo(r.value(), within(1e-9));
            });
        }
    }

    private static double angle(ebauche.core.measure.Reckoning r) {
        return Math.toRadians(r.terms().stream()
                .filter(t -> t.name().startsWith("neck angle"))
                .findFirst()
                .orElseThrow()
                .value());
    }

    /** A record is written down as the work goes on. */
    @Test
    void what_was_done_of_a_demo_body_follows_in_time() {
        for (String name : DemoBodies.NAMES) {
            List<Instant> done = DemoBodies.read(name).build().asBuilt().timeline().stream()
                    .map(e -> Instant.parse(e.at()))
                    .toList();
            assertThat(done).as(name).isSorted();
        }
    }
}
