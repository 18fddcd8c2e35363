package ebauche.exchange.table;

import ebauche.core.measure.LengthFormatException;
import ebauche.core.measure.Refusal;
import java.io.IOException;
import java.io.StringReader;
import java.io.StringWriter;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVPrinter;
import org.apache.commons.csv.CSVRecord;
import org.apache.commons.csv.DuplicateHeaderMode;

/**
 * Tables with a header line, comma separated (RFC 4180). A row that cannot be read is named by its line and the reason,
 * the good ones stand beside it. Limits come before work: so many rows, so many letters in a cell.
 */
public final class CsvTable {
    private static final int MOST_LETTERS = 4000;

    /** Signs by which spreadsheets take a cell for a formula. */
    private static final String FORMULA = "=+-@\t\r";

    private static final CSVFormat FORMAT = CSVFormat.RFC4180
            .builder()
            .setHeader()
            .setSkipHeaderRecord(true)
            .setIgnoreHeaderCase(true)
            .setTrim(true)
            .setIgnoreEmptyLines(true)
            .setDuplicateHeaderMode(DuplicateHeaderMode.DISALLOW)
            .get();

    private CsvTable() {}

    /**
     * What is wrong, and where.
     *
     * @param line of the file, counted from 1
     */
    public record Trouble(long line, String reason) {
        public String inWords() {
            return "line " + line + ": " + reason;
        }
    }

    /** The rows that could be read, and what was wrong with the others. */
    public record Read<T>(List<T> good, List<Trouble> troubles) {
        public Read {
            good = List.copyOf(good);
            troubles = List.copyOf(troubles);
        }
    }

    /** One row, its cells by their column's name. */
    public static final class Row {
        private final CSVRecord cells;

        private Row(CSVRecord cells) {
            this.cells = cells;
        }

        /** A cell's text, empty if the column is not there. */
        public String text(String column) {
            if (!cells.isSet(column)) {
                return "";
            }
            String text = cells.get(column);
            Refusal.unless(text.length() <= MOST_LETTERS, column, "is longer than " + MOST_LETTERS + " letters");
            // What the writer put before a cell that a spreadsheet would have run.
            return text.length() > 1 && text.charAt(0) == '\'' && FORMULA.indexOf(text.charAt(1)) >= 0
                    ? text.substring(1)
                    : text;
        }

        public double number(String column) {
            String text = text(column);
            try {
                double value = Double.parseDouble(text);
                Refusal.unless(
                        Double.isFinite(value) && text.matches("[-+.0-9eE]+"), column, "“" + text + "” is no number");
                return value;
            } catch (NumberFormatException e) {
                throw new Refusal(
                        column, text.isEmpty() ? "is empty, and a number is wanted" : "“" + text + "” is no number");
            }
        }
    }

    /**
     * Reads a table.
     *
     * @param needed columns without which nothing can be read
     * @param allowed further columns that may be there
     */
    public static <T> Read<T> read(
            String csv, List<String> needed, List<String> allowed, int mostRows, Function<Row, T> reader) {
        String text = csv.startsWith("\uFEFF") ? csv.substring(1) : csv;
        List<T> good = new ArrayList<>();
        List<Trouble> troubles = new ArrayList<>();
        try (CSVParser parser = CSVParser.parse(new StringReader(text), FORMAT)) {
            header(parser, text, needed, allowed).forEach(reason -> troubles.add(new Trouble(1, reason)));
            if (!troubles.isEmpty()) {
                return new Read<>(good, troubles);
            }
            long before = parser.getCurrentLineNumber();
            for (CSVRecord record : parser) {
                if (good.size() + troubles.size() >= mostRows) {
                    troubles.add(new Trouble(
                            before + 1, "the table has more than " + mostRows + " rows; the rest was not read"));
                    break;
                }
                row(record, before + 1, reader, good, troubles);
                before = parser.getCurrentLineNumber();
            }
        } catch (IOException | UncheckedIOException | IllegalArgumentException e) {
            troubles.add(new Trouble(1, "this is no table that can be read: " + firstLine(e)));
        }
        return new Read<>(good, troubles);
    }

    private static <T> void row(
            CSVRecord record, long line, Function<Row, T> reader, List<T> good, List<Trouble> troubles) {
        if (!record.isConsistent()) {
            troubles.add(new Trouble(
                    line,
                    "has " + record.size() + " cells, and the header has "
                            + record.getParser().getHeaderNames().size()
                            + "; put text with commas in double quotes"));
            return;
        }
        try {
            good.add(reader.apply(new Row(record)));
        } catch (Refusal e) {
            troubles.add(new Trouble(line, e.field() + " " + e.getMessage()));
        } catch (LengthFormatException e) {
            troubles.add(new Trouble(line, e.getMessage()));
        }
    }

    private static List<String> header(CSVParser parser, String text, List<String> needed, List<String> allowed) {
        List<String> names = parser.getHeaderNames().stream()
                .map(n -> n.toLowerCase(Locale.ROOT))
                .toList();
        String first = text.lines().findFirst().orElse("");
        if (names.size() <= 1 && (first.contains(";") || first.contains("\t"))) {
            return List.of("the columns are parted by " + (first.contains(";") ? "semicolons" : "tabs")
                    + "; save the table with commas");
        }
        Set<String> known = new HashSet<>(needed);
        known.addAll(allowed);
        List<String> troubles = new ArrayList<>();
        List<String> missing = needed.stream().filter(n -> !names.contains(n)).toList();
        if (!missing.isEmpty()) {
            troubles.add("the header lacks " + String.join(", ", missing));
        }
        String strange = names.stream().filter(n -> !known.contains(n)).collect(Collectors.joining(", "));
        if (!strange.isEmpty()) {
            troubles.add("the header has columns that are not known here: " + strange);
        }
        return troubles;
    }

    private static String firstLine(Exception e) {
        String message =
                e.getMessage() == null ? "" : e.getMessage().lines().findFirst().orElse("");
        return message.length() > 120 ? message.substring(0, 117) + "..." : message;
    }

    /** Writes a table; a cell that a spreadsheet would run as a formula gets an apostrophe before it. */
    public static String write(List<String> columns, List<List<String>> rows) {
        StringWriter out = new StringWriter();
        try (CSVPrinter printer = new CSVPrinter(out, CSVFormat.RFC4180)) {
            printer.printRecord(columns);
            for (List<String> row : rows) {
                printer.printRecord(row.stream().map(CsvTable::safe).toList());
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return out.toString();
    }

    private static String safe(String cell) {
        boolean runs = !cell.isEmpty() && FORMULA.indexOf(cell.charAt(0)) >= 0 && !cell.matches("-?[0-9.]+( mm| in)?");
        return runs ? "'" + cell : cell;
    }
}
