package ebauche.exchange.design;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import ebauche.core.hardware.Part;
import ebauche.core.hardware.PartSize;
import ebauche.core.job.Build;
import ebauche.core.logbook.AsBuilt;
import ebauche.core.plan.BuildPlan;
import ebauche.core.plan.Planner;
import ebauche.exchange.file.BuildFile;
import ebauche.exchange.file.DemoBodies;
import ebauche.exchange.json.BuildFileException;
import ebauche.exchange.json.JsonPlace;
import ebauche.exchange.json.JsonText;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import tools.jackson.databind.node.ObjectNode;

class PartFileTest {
    private static final String SEDGE = new String(DemoBodies.bytes("sedge"), StandardCharsets.UTF_8);

    private static BuildFile read(String json) {
        return BuildFile.of(JsonText.tree(json));
    }

    @ParameterizedTest
    @ValueSource(strings = {"tussock", "sedge", "shale"})
    void every_part_of_a_demo_body_is_the_same_when_written_and_read_again(String name) {
        for (Part part : DemoBodies.read(name).build().drawn().parts().values()) {
            ObjectNode written = PartFile.write(part);
            Part again = JsonPlace.root(written).asObject(PartFile::read);
            assertThat(again.kind()).isEqualTo(part.kind());
            assertThat(again.sizes().keySet()).isEqualTo(part.sizes().keySet());
            for (PartSize size : part.sizes().keySet()) {
                assertThat(again.get(size)).isCloseTo(part.get(size), org.assertj.core.api.Assertions.within(1e-5));
            }
        }
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            "thread" : "10 mm",             | ''                                     | thread           | needs its “thread over its body”
            "nut" : "2 mm",                 | "nut" : "10 mm",                       | thread           | none is left for the wood
            "bushing" : "9.1 mm",           | "bushing" : "9.1 mm", "colour" : "1 mm",| sizes.colour    | not known here
            "kind" : "pot"                  | "kind" : "kettle"                      | part.kind        | is none of
            "kind" : "pot"                  | "kind" : "jack"                        | sizes            | needs its “hole it wants”
            "hole" : "22.2 mm"              | "hole" : "70 mm"                       | hole             | between 1 and 60
            "proud" : "5 mm"                | "proud" : "30 mm"                      | proud            | wholly over the front
            "proud" : "5 mm"                | "proud" : "5 mm", "depth" : "19 mm"    | depth            | not known here
            """)
    void a_part_that_cannot_be_is_refused_at_its_place(String from, String to, String place, String why) {
        assertThat(SEDGE).contains(from);
        int at = SEDGE.indexOf(from);
        String slip = SEDGE.substring(0, at) + to + SEDGE.substring(at + from.length());
        assertThatThrownBy(() -> read(slip))
                .isInstanceOf(BuildFileException.class)
                .hasMessageContaining(why)
                .satisfies(e -> assertThat(((BuildFileException) e).place()).contains(place));
    }

    @Test
    void a_part_measured_a_millimetre_and_a_half_longer_moves_exactly_its_cavities() {
        Build build = DemoBodies.read("shale").build();
        BuildPlan before = Planner.plan(build);
        AsBuilt.Reading longer = new AsBuilt.Reading(
                "r",
                "2026-11-20T10:00:00Z",
                "test",
                Optional.empty(),
                ebauche.core.design.Measurand.parse("size:bridge.block-along"),
                13.5);
        BuildPlan after = Planner.plan(new Build(build.drawn(), build.shop(), new AsBuilt(List.of(longer))));
        assertThat(ebauche.core.sheet.Moved.between(before, after))
                .singleElement()
                .satisfies(m -> {
                    assertThat(m.what()).isEqualTo("vibrato route along");
                    assertThat(m.after().getAsDouble() - m.before().getAsDouble())
                            .isCloseTo(1.5, org.assertj.core.api.Assertions.within(1e-9));
                });
    }
}
