package ebauche.app.timber;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import ebauche.app.testing.Visitor;
import ebauche.app.testing.WithVisitor;
import ebauche.app.web.NotHere;
import ebauche.app.web.Stale;
import ebauche.core.measure.LengthUnit;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.beans.factory.annotation.Autowired;
import tools.jackson.databind.node.ObjectNode;

/** Bad input at the rack, its store, and other shops: a clear answer, a status that fits, nothing half-saved. */
class TimberPagesTest extends WithVisitor {
    @Autowired
    private BoardStore boards;

    private List<Shelved> rack() {
        return boards.rack(shop.maker().shop());
    }

    private Shelved board(String name) {
        return rack().stream()
                .filter(b -> b.board().name().equals(name))
                .findFirst()
                .orElseThrow();
    }

    private static Map<String, String> form(String... changes) {
        Map<String, String> fields = new HashMap<>(
                Map.of("name", "N1", "species", "ash", "length", "900 mm", "width", "200 mm", "thickness", "52 mm"));
        for (int i = 0; i < changes.length; i += 2) {
            fields.put(changes[i], changes[i + 1]);
        }
        return fields;
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "width | 0 mm | must lie between 5 and 1200, and is 0",
                "width | -4 in | must lie between 5 and 1200",
                "length | 90000 mm | is beyond 10000 mm",
                "thickness | thick | is no length",
                "thickness | 8/0 | is a fraction over zero",
                "species | cheese | is no timber known here",
                "grainAngle | steep | is no number",
                "grainAngle | 80 | must lie between -45 and 45",
                "price | -3 | must lie between 0",
                "rings | round | is none of",
                "name | '' | needs a name"
            })
    void a_board_that_cannot_be_is_answered_in_its_field_and_not_kept(String field, String value, String words) {
        int before = rack().size();
        HttpResponse<String> answer = me.post("/timber/new", "/timber/boards", form(field, value));
        assertThat(answer.statusCode()).isEqualTo(422);
        String other = field.equals("length") ? "200 mm" : "900 mm";
        assertThat(answer.body()).contains(words).contains("value=\"" + other + "\"");
        assertThat(rack()).hasSize(before);
    }

    @Test
    void lengths_are_kept_as_they_were_typed() {
        HttpResponse<String> answer = me.post(
                "/timber/new", "/timber/boards", form("thickness", "8/4", "width", "7 1/2 in", "length", "900"));
        assertThat(answer.statusCode()).isEqualTo(302);
        Shelved kept = board("N1");
        assertThat(kept.file().path("thickness").asString("")).isEqualTo("8/4");
        assertThat(kept.file().path("length").asString("")).isEqualTo("900 mm");
        assertThat(kept.board().thickness()).isEqualTo(50.8);
    }

    @ParameterizedTest
    @CsvSource({"400, at most 150 %", "wet, is no number", "-2, is no number", "1e9, is no number"})
    void moisture_that_cannot_be_is_refused(String percent, String words) {
        String page = "/timber/" + board("A1").publicId();
        HttpResponse<String> answer = me.post(
                page,
                page + "/moisture",
                Map.of("entry", UUID.randomUUID().toString(), "percent", percent, "day", "2026-11-01"));
        assertThat(answer.statusCode()).isEqualTo(422);
        assertThat(answer.body()).contains(words);
        assertThat(board("A1").readings()).hasSize(1);
    }

    /** A day's reading from a table stands at noon at the latest, and never after one that is taken at the bench. */
    @Test
    void a_reading_of_today_from_a_table_is_outranked_by_one_taken_after_it() {
        String today = LocalDate.now(ZoneId.systemDefault()).toString();
        String table =
                "name,species,length,width,thickness,moisture,measured on\nT1,ash,900 mm,200 mm,52 mm,8.1," + today;
        me.post("/timber/table", "/timber/table/keep", Map.of("csv", table));
        String page = "/timber/" + board("T1").publicId();
        me.post(
                page,
                page + "/moisture",
                Map.of("entry", UUID.randomUUID().toString(), "percent", "9.7", "day", today));
        assertThat(board("T1").readings()).extracting(r -> r.percent()).containsExactly(8.1, 9.7);
        assertThat(me.post("/timber/table", "/timber/table", Map.of()).statusCode())
                .isBetween(400, 499);
        String far = table.replace("T1", "T2").replace(today, "2099-01-01");
        assertThat(me.upload("/timber/table", "/timber/table", far.getBytes(StandardCharsets.UTF_8))
                        .body())
                .contains("2099-01-01 is still to come");
        me.post("/timber/table", "/timber/table/keep", Map.of("csv", far));
        assertThat(rack()).noneMatch(b -> b.board().name().equals("T2"));
    }

    @Test
    void moisture_of_tomorrow_is_refused_and_the_same_reading_sent_twice_counts_once_and_can_be_withdrawn() {
        String page = "/timber/" + board("A1").publicId();
        Map<String, String> late = Map.of("entry", UUID.randomUUID().toString(), "percent", "9", "day", "2199-01-01");
        assertThat(me.post(page, page + "/moisture", late).body()).contains("is still to come");
        Map<String, String> once = Map.of("entry", UUID.randomUUID().toString(), "percent", "9.5", "day", "2026-11-22");
        me.post(page, page + "/moisture", once);
        me.post(page, page + "/moisture", once);
        assertThat(board("A1").readings()).hasSize(2);
        long newest = board("A1").readings().get(1).id();
        me.post(page, page + "/moisture/withdraw", Map.of("reading", "" + newest));
        me.post(page, page + "/moisture/withdraw", Map.of("reading", "" + newest));
        assertThat(board("A1").readings()).hasSize(1);
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "name;species\nA;ash\n",
                "name,species\nA,ash\n",
                "",
                "\u0000\u0001",
                "name,species,length,width,thickness\nA,ash,9\n"
            })
    void a_table_that_is_none_keeps_nothing(String csv) {
        int before = rack().size();
        HttpResponse<String> answer = me.upload("/timber/table", "/timber/table", csv.getBytes(StandardCharsets.UTF_8));
        assertThat(answer.statusCode()).isEqualTo(422);
        assertThat(answer.body()).contains("cannot be read");
        assertThat(me.post("/timber/table", "/timber/table/keep", Map.of("csv", csv))
                        .statusCode())
                .isEqualTo(422);
        assertThat(rack()).hasSize(before);
    }

    @Test
    void a_table_too_large_or_in_no_unicode_is_refused() {
        byte[] large = "name,species,length,width,thickness\n".repeat(30_000).getBytes(StandardCharsets.UTF_8);
        assertThat(me.upload("/timber/table", "/timber/table", large).body()).contains("at most 700000 are read");
        byte[] latin = "name,species\n\u00e9,ash\n".getBytes(StandardCharsets.ISO_8859_1);
        assertThat(me.upload("/timber/table", "/timber/table", latin).body()).contains("no text in UTF-8");
    }

    @Test
    void another_shops_boards_are_not_there() {
        Shop other = openShop(LengthUnit.MILLIMETRE);
        Visitor them = visitor(other);
        String page = "/timber/" + board("A1").publicId();
        assertThat(them.get(page).statusCode()).isEqualTo(404);
        assertThat(them.post("/timber", page + "/gone", Map.of("base", "1")).statusCode())
                .isEqualTo(404);
        assertThat(them.get(shop.path("tussock") + "/blank").statusCode()).isEqualTo(404);
        assertThat(them.get(shop.path("tussock") + "/glue-up").statusCode()).isEqualTo(404);
        assertThatThrownBy(() -> boards.find(other.maker().shop(), board("A1").publicId()))
                .isInstanceOf(NotHere.class);
        assertThat(board("A1").place()).isEqualTo(Shelved.Place.RACK);
    }

    @Test
    void a_state_that_is_no_longer_the_newest_cannot_be_built_on() {
        Shelved board = board("A2");
        ObjectNode changed = board.file().deepCopy().put("name", "A2x");
        boards.keep(board, board.state(), changed, Shelved.Place.RACK, Optional.empty(), "me");
        assertThatThrownBy(() -> boards.keep(board, board.state(), changed, Shelved.Place.GONE, Optional.empty(), "me"))
                .isInstanceOf(Stale.class);
        assertThat(board("A2x").state()).isEqualTo(board.state() + 1);
    }

    @Test
    void an_outline_larger_than_every_board_is_answered_with_what_is_missing() {
        HttpResponse<String> answer = me.get(shop.path("tussock") + "/blank?timber=mahogany&most=1");
        assertThat(answer.statusCode()).isEqualTo(200);
        assertThat(answer.body()).contains("No board gives this blank.");
        HttpResponse<String> room = me.get(shop.path("tussock") + "/blank?room=900+mm");
        assertThat(room.statusCode()).isEqualTo(422);
        assertThat(room.body()).contains("Room of 900 mm cannot be");
        HttpResponse<String> kept = me.post(
                shop.path("tussock") + "/blank",
                shop.path("tussock") + "/blank",
                Map.of("base", "1", "timber", "mahogany", "most", "1"));
        assertThat(kept.statusCode()).isEqualTo(422);
        assertThat(bodies.head(shop.bodies().get("tussock")).number()).isEqualTo(1);
    }

    @Test
    void the_simulated_hygrometer_is_damper_in_summer_than_in_winter() {
        Hygrometer july = at("2026-07-15T15:00:00Z");
        Hygrometer january = at("2026-01-15T15:00:00Z");
        assertThat(july.read().humidity()).isGreaterThan(january.read().humidity());
        assertThat(july.read().equilibriumMoisture().value())
                .isGreaterThan(january.read().equilibriumMoisture().value());
    }

    private static Hygrometer at(String moment) {
        return new Hygrometer(Clock.fixed(Instant.parse(moment), ZoneOffset.UTC));
    }

    @Test
    void names_with_numbers_are_sorted_as_people_count() {
        List<String> names = new java.util.ArrayList<>(List.of("B10", "b2", "A1-2", "A1", "B1"));
        names.sort(new NumbersInNames());
        assertThat(names).containsExactly("A1", "A1-2", "B1", "b2", "B10");
    }
}
