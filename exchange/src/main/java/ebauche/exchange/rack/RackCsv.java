package ebauche.exchange.rack;

import ebauche.core.measure.Decimals;
import ebauche.core.measure.Refusal;
import ebauche.core.timber.MeasuredOn;
import ebauche.core.timber.MoistureReading;
import ebauche.core.timber.Timbers;
import ebauche.exchange.json.BuildFileException;
import ebauche.exchange.table.CsvTable;
import java.time.DateTimeException;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/**
 * The rack as a table, a board a line. Lengths carry their unit (8/4 is two inches); defects stand in one cell, parted by
 * semicolons: kind, from the near end, from the marked edge, long, wide, from and to depth under face A, parted by slashes
 * with blanks around.
 */
public final class RackCsv {
    private static final List<String> NEEDED = List.of("name", "species", "length", "width", "thickness");
    private static final List<String> MORE =
            List.of("kind", "rings", "heart", "rise", "grain angle", "price", "moisture", "measured on", "defects");
    private static final int MOST_BOARDS = 2000;
    private static final String PARTED = " / ";
    private static final JsonNodeFactory JSON = JsonNodeFactory.instance;

    private RackCsv() {}

    /** A moisture reading of a row. */
    public record Moisture(double percent, String day) {}

    /** One board as its row says it. */
    public record Row(ObjectNode board, Optional<Moisture> moisture) {
        public String name() {
            return board.path("name").asString("");
        }
    }

    public static List<String> columns() {
        List<String> all = new ArrayList<>(NEEDED);
        all.addAll(MORE);
        return all;
    }

    /**
     * Reads a table; what is wrong with a row is said with its line.
     *
     * @param today the last day on which moisture can have been measured
     */
    public static CsvTable.Read<Row> read(String csv, Timbers timbers, LocalDate today) {
        return CsvTable.read(csv, NEEDED, MORE, MOST_BOARDS, row -> row(row, timbers, today));
    }

    private static Row row(CsvTable.Row row, Timbers timbers, LocalDate today) {
        ObjectNode out = JSON.objectNode();
        for (String column :
                List.of("name", "species", "length", "width", "thickness", "kind", "rings", "heart", "rise")) {
            String text = row.text(column);
            if (!text.isEmpty() || NEEDED.contains(column)) {
                out.put(column, text);
            }
        }
        number(row, "grain angle", out, "grainAngle");
        number(row, "price", out, "price");
        defects(row.text("defects"), out.putArray("defects"));
        try {
            BoardFile.read(out, timbers, List.of());
        } catch (BuildFileException e) {
            throw new Refusal(e.place().isEmpty() ? "board" : e.place(), e.getMessage());
        }
        return new Row(out, moisture(row, today));
    }

    private static void number(CsvTable.Row row, String column, ObjectNode out, String key) {
        if (!row.text(column).isEmpty()) {
            out.put(key, row.number(column));
        }
    }

    private static Optional<Moisture> moisture(CsvTable.Row row, LocalDate today) {
        if (row.text("moisture").isEmpty()) {
            return Optional.empty();
        }
        String day = row.text("measured on");
        Refusal.unless(
                !day.isEmpty(), "measured on", "is empty, and moisture was measured: give the day as 2026-11-25");
        try {
            MeasuredOn.trouble(LocalDate.parse(day), today).ifPresent(trouble -> {
                throw new Refusal("measured on", trouble);
            });
        } catch (DateTimeException e) {
            throw new Refusal("measured on", "“" + day + "” is no day; write it as 2026-11-25");
        }
        Moisture read = new Moisture(row.number("moisture"), day);
        Refusal.between(read.percent(), 0, MoistureReading.MOST, "moisture");
        return Optional.of(read);
    }

    private static void defects(String cell, ArrayNode out) {
        for (String defect : cell.split(";")) {
            if (defect.isBlank()) {
                continue;
            }
            String[] parts = defect.strip().split(PARTED);
            Refusal.unless(
                    parts.length == 7,
                    "defects",
                    "“" + defect.strip() + "” needs kind / from end / from edge / long / wide / from depth / to depth");
            ObjectNode d = out.addObject().put("kind", parts[0].strip());
            List<String> keys = List.of("fromEnd", "fromEdge", "along", "across", "top", "bottom");
            for (int i = 0; i < keys.size(); i++) {
                d.put(keys.get(i), parts[i + 1].strip());
            }
        }
    }

    /** A board with its newest reading, to be written. */
    public record Shelved(ObjectNode board, Optional<Moisture> moisture) {}

    public static String write(List<Shelved> boards) {
        return CsvTable.write(columns(), boards.stream().map(RackCsv::cells).toList());
    }

    private static List<String> cells(Shelved shelved) {
        List<String> cells = new ArrayList<>();
        ObjectNode board = shelved.board();
        for (String column : columns()) {
            cells.add(
                    switch (column) {
                        case "grain angle" -> board.path("grainAngle").asString("");
                        case "moisture" ->
                            shelved.moisture()
                                    .map(m -> Decimals.plain(m.percent(), 1))
                                    .orElse("");
                        case "measured on" ->
                            shelved.moisture().map(Moisture::day).orElse("");
                        case "defects" -> defects(board.path("defects"));
                        default -> board.path(column).asString("");
                    });
        }
        return cells;
    }

    private static String defects(JsonNode defects) {
        List<String> said = new ArrayList<>();
        for (JsonNode d : defects) {
            List<String> parts = new ArrayList<>();
            for (String key : List.of("kind", "fromEnd", "fromEdge", "along", "across", "top", "bottom")) {
                parts.add(d.path(key).asString(""));
            }
            said.add(String.join(PARTED, parts));
        }
        return String.join("; ", said);
    }

    /** The day of a moment, as the table writes it. */
    public static String day(Instant at) {
        return at.atZone(ZoneOffset.UTC).toLocalDate().toString();
    }
}
