package rosinedpeg.web.archive;

import static java.nio.charset.StandardCharsets.UTF_8;

import java.io.IOException;
import java.io.OutputStream;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;
import rosinedpeg.web.archive.ArchiveLayout.Column;
import rosinedpeg.web.archive.ArchiveLayout.Part;
import rosinedpeg.web.platform.Cells;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** The lists of an archive as tables to look at: with names in the place of keys, and without what only a program can read. */
class Lists {

    private final Map<String, String> names = new HashMap<>();

    /** Writes a list as a table; those it points to have to be written before. */
    void write(Part part, Rows rows, OutputStream file) throws IOException {
        List<Column> shown = part.columns().stream()
                .filter(column -> !column.type().equals("jsonb"))
                .toList();
        StringBuilder table = new StringBuilder(Cells.UNICODE);
        CSVPrinter printer = new CSVPrinter(table, CSVFormat.RFC4180);
        printer.printRecord(shown.stream().map(column -> column.inSchema().replaceFirst("_id$", "")));
        rows.each(part, row -> {
            remember(part, row);
            printer.printRecord(shown.stream().map(column -> cell(column, row.path(column.name()))));
            file.write(table.toString().getBytes(UTF_8));
            table.setLength(0);
        });
        file.write(table.toString().getBytes(UTF_8));
    }

    private void remember(Part part, ObjectNode row) {
        String name = switch (part.name()) {
            case "instrument", "account" -> text(row, "name");
            case "stringKind" -> text(row, "maker") + " " + text(row, "line") + " " + text(row, "position");
            default -> "";
        };
        if (!name.isEmpty()) {
            names.put(text(row, "id"), name.strip());
        }
    }

    private static String text(ObjectNode row, String name) {
        return row.path(name).asString("");
    }

    private String cell(Column column, JsonNode value) {
        if (value.isNull() || value.isMissingNode()) {
            return "";
        }
        if (value.isNumber()) {
            return value.asString();
        }
        String text = value.isArray()
                ? value.valueStream().map(JsonNode::asString).collect(Collectors.joining(" "))
                : value.asString();
        boolean pointing = column.group().isPresent() && !column.inSchema().equals("id");
        return Cells.harmless(pointing ? names.getOrDefault(text, text) : text);
    }
}
