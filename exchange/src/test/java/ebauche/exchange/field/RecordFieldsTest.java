package ebauche.exchange.field;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import ebauche.core.measure.Refusal;
import ebauche.exchange.json.BuildFileException;
import ebauche.exchange.json.JsonPlace;
import ebauche.exchange.json.JsonText;
import org.junit.jupiter.api.Test;

/** A record read and written by its fields, with a record of the test's own. */
class RecordFieldsTest {
    /** A rasp. */
    public record Rasp(String name, double length, int teeth) {
        public Rasp {
            Refusal.between(teeth, 1, 20, "teeth");
        }
    }

    private static final Field<String> NAME = Field.text("name", "called", 20);
    private static final Field<Double> LENGTH = Field.length("length", "long");
    private static final Field<Integer> TEETH = Field.whole("teeth", "teeth to the inch", 1, 20);
    private static final RecordFields<Rasp> RASPS = RecordFields.of(
            Rasp.class, said -> new Rasp(said.of(NAME), said.of(LENGTH), 9), NAME, LENGTH, TEETH.ifAny());
    private static final RecordFields<Rasp> SETTINGS = RecordFields.settings(Rasp.class, NAME, LENGTH, TEETH);

    private static Rasp read(String json) {
        return JsonPlace.root(JsonText.tree(json)).asObject(RASPS::read);
    }

    @Test
    void what_is_left_out_is_as_usual_and_what_is_said_counts() {
        assertThat(read("{\"name\": \"coarse\", \"length\": \"10 in\"}")).isEqualTo(new Rasp("coarse", 254, 9));
        assertThat(read("{\"name\": \"fine\", \"length\": \"200 mm\", \"teeth\": 13}"))
                .isEqualTo(new Rasp("fine", 200, 13));
    }

    @Test
    void what_must_be_there_and_what_the_record_refuses_is_named_where_it_lies() {
        assertThatThrownBy(() -> read("{\"name\": \"coarse\"}"))
                .isInstanceOfSatisfying(
                        BuildFileException.class, e -> assertThat(e.place()).isEqualTo("length"));
        assertThatThrownBy(() -> read("{\"name\": \"coarse\", \"length\": \"10 in\", \"teeth\": 40}"))
                .isInstanceOfSatisfying(BuildFileException.class, e -> {
                    assertThat(e.place()).isEqualTo("teeth");
                    assertThat(e).hasMessageContaining("between 1 and 20");
                });
        assertThatThrownBy(() -> read("{\"name\": \"coarse\", \"length\": \"10 in\", \"tooth\": 4}"))
                .isInstanceOfSatisfying(
                        BuildFileException.class, e -> assertThat(e.place()).isEqualTo("tooth"));
    }

    @Test
    void settings_are_read_over_others_and_need_nothing() {
        Rasp others = new Rasp("coarse", 254, 9);
        Rasp read = JsonPlace.root(JsonText.tree("{\"teeth\": 5}")).asObject(s -> SETTINGS.read(s, others));
        assertThat(read).isEqualTo(new Rasp("coarse", 254, 5));
        assertThat(SETTINGS.schema().has("required")).isFalse();
        assertThat(RASPS.schema().path("required")).hasSize(2);
    }

    @Test
    void what_is_written_is_read_back() {
        Rasp rasp = new Rasp("coarse", 253.97501, 11);
        Rasp read = JsonPlace.root(RASPS.write(rasp)).asObject(RASPS::read);
        assertThat(read).isEqualTo(rasp);
    }

    /** A component that was renamed or is new is told when the program starts, not when a file is read. */
    @Test
    void fields_and_components_must_be_the_same() {
        assertThatThrownBy(() -> RecordFields.of(Rasp.class, NAME, LENGTH))
                .isInstanceOf(IllegalArgumentException.class)
                .hasMessageContaining("teeth");
    }
}
