package ebauche.exchange.table;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class CsvTableTest {
    private static CsvTable.Read<String> read(String csv) {
        return CsvTable.read(
                csv, List.of("name", "width"), List.of("note"), 1000, r -> r.text("name") + r.number("width"));
    }

    @Test
    void rows_are_named_by_the_line_that_an_editor_shows() {
        CsvTable.Read<String> read =
                read("name,width,note\r\na,1,\r\n\"b\",2,\"two\r\nlines\"\r\nc,x,\r\nd,4,extra,cell\r\n");
        assertThat(read.good()).containsExactly("a1.0", "b2.0");
        assertThat(read.troubles().stream().map(CsvTable.Trouble::inWords))
                .containsExactly(
                        "line 5: width “x” is no number",
                        "line 6: has 4 cells, and the header has 3; put text with commas in double quotes");
    }

    @Test
    void wrong_separators_and_wrong_columns_are_said() {
        assertThat(read("name;width\na;1\n").troubles().get(0).inWords())
                .isEqualTo("line 1: the columns are parted by semicolons; save the table with commas");
        assertThat(read("name\twidth\na\t1\n").troubles().get(0).reason()).contains("tabs");
        assertThat(read("name,colour\na,red\n").troubles().stream().map(CsvTable.Trouble::reason))
                .containsExactly("the header lacks width", "the header has columns that are not known here: colour");
    }

    @Test
    void too_many_rows_are_not_read() {
        StringBuilder csv = new StringBuilder("name,width\n");
        for (int i = 0; i < 100_000; i++) {
            csv.append("a,1\n");
        }
        CsvTable.Read<String> read = read(csv.toString());
        assertThat(read.good()).hasSize(1000);
        assertThat(read.troubles()).hasSize(1);
        assertThat(read.troubles().get(0).inWords())
                .isEqualTo("line 1002: the table has more than 1000 rows; the rest was not read");
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "\n\n", "name,width,name\na,1,b\n", "name,width\n\"a,1\n", "\u0000\u0001\u0002"})
    void what_is_no_table_is_answered_and_not_thrown(String csv) {
        assertThat(read(csv).troubles()).isNotEmpty();
        assertThat(read(csv).good()).isEmpty();
    }

    @Test
    void a_cell_that_would_run_as_a_formula_is_written_harmless_and_read_back_as_it_was() {
        String csv = CsvTable.write(
                List.of("name", "width", "note"),
                List.of(List.of("=1+1", "-2", "a, b"), List.of("@cmd", "3", "say \"hi\"")));
        assertThat(csv).contains("'=1+1,-2,\"a, b\"").contains("'@cmd");
        assertThat(read(csv).good()).containsExactly("=1+1-2.0", "@cmd3.0");
    }

    @Test
    void a_mark_at_the_files_start_and_capitals_in_the_header_do_no_harm() {
        assertThat(read("\uFEFFName,WIDTH\na,1\n").good()).containsExactly("a1.0");
    }
}
