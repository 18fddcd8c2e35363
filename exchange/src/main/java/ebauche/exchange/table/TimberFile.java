package ebauche.exchange.table;

import ebauche.core.measure.Fact;
import ebauche.core.measure.Refusal;
import ebauche.core.timber.Species;
import ebauche.core.timber.Timbers;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Set;

/**
 * The table of timbers, {@code timbers.csv}: one readable file, each value with its source beside it. A shop adds to it
 * with a file of the same columns.
 */
public final class TimberFile {
    /** The columns, in the order in which they are written. */
    public static final List<String> COLUMNS = List.of(
            "key",
            "name",
            "density",
            "density from",
            "tangential",
            "radial",
            "movement from",
            "hardness",
            "hardness from",
            "dust",
            "dust from",
            "brittle");

    private static final int MOST_TIMBERS = 500;

    private static final String SHIPPED_AT = "/ebauche/timber/timbers.csv";

    /** The timbers that ship. */
    public static final Timbers SHIPPED = shipped();

    private TimberFile() {}

    private static Timbers shipped() {
        CsvTable.Read<Species> read = read(new String(shippedBytes(), StandardCharsets.UTF_8));
        if (!read.troubles().isEmpty()) {
            throw new IllegalStateException(
                    "timbers.csv: " + read.troubles().get(0).inWords());
        }
        return new Timbers(read.good());
    }

    /** The file as it ships. */
    public static byte[] shippedBytes() {
        try (InputStream in = TimberFile.class.getResourceAsStream(SHIPPED_AT)) {
            return in.readAllBytes();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** Reads a table of timbers; a bad row is named, the good ones stand beside it. */
    public static CsvTable.Read<Species> read(String csv) {
        return CsvTable.read(
                csv, COLUMNS.subList(0, 9), COLUMNS.subList(9, COLUMNS.size()), MOST_TIMBERS, TimberFile::species);
    }

    private static Species species(CsvTable.Row row) {
        return new Species(
                row.text("key"),
                row.text("name"),
                sourced(row, "density", "density from"),
                sourced(row, "tangential", "movement from"),
                sourced(row, "radial", "movement from"),
                sourced(row, "hardness", "hardness from"),
                row.text("dust"),
                brittle(row.text("brittle")));
    }

    private static boolean brittle(String said) {
        Refusal.unless(
                Set.of("", "yes", "no").contains(said), "brittle", "is “" + said + "”: say yes, or leave it empty");
        return said.equals("yes");
    }

    private static Fact sourced(CsvTable.Row row, String value, String from) {
        String source = row.text(from);
        Refusal.unless(!source.isBlank(), from, "is empty: say where the " + value + " comes from");
        return Fact.rule(row.number(value), source);
    }
}
