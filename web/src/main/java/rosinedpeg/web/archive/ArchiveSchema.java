package rosinedpeg.web.archive;

import java.util.List;
import rosinedpeg.web.archive.ArchiveLayout.Column;
import rosinedpeg.web.archive.ArchiveLayout.Part;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** Says what stands in an archive as a JSON Schema, for programs of other people. */
class ArchiveSchema {

    private final JsonMapper json;

    ArchiveSchema(JsonMapper json) {
        this.json = json;
    }

    /** {@return the schema: under {@code $defs} each list by its name} */
    ObjectNode of(List<Part> parts) {
        ObjectNode schema = json.createObjectNode()
                .put("$schema", "https://json-schema.org/draft/2020-12/schema")
                .put("title", "Records of a workshop, form " + ArchiveLayout.VERSION);
        ObjectNode lists = schema.putObject("$defs");
        for (Part part : parts) {
            ObjectNode row = lists.putObject(part.name()).put("type", "array").putObject("items");
            row.put("type", "object").put("additionalProperties", false);
            ObjectNode properties = row.putObject("properties");
            ArrayNode required = row.putArray("required");
            for (Column column : part.columns()) {
                describe(column, properties.putObject(column.name()));
                if (column.required()) {
                    required.add(column.name());
                }
            }
        }
        return schema;
    }

    private static void describe(Column column, ObjectNode value) {
        String type = switch (column.type().replaceFirst("^_", "")) {
            case "int2", "int4", "int8" -> "integer";
            case "float8", "numeric" -> "number";
            case "bool" -> "boolean";
            case "jsonb" -> "object";
            default -> "string";
        };
        boolean several = column.type().startsWith("_");
        ArrayNode types = value.putArray("type").add(several ? "array" : type);
        if (!column.required()) {
            types.add("null");
        }
        if (several) {
            value.putObject("items").put("type", type);
        }
        if (column.type().equals("timestamptz")) {
            value.put("format", "date-time");
        } else if (column.type().equals("date")) {
            value.put("format", "date");
        }
        column.group().ifPresent(group -> value.put("pattern", "^" + group + "-[0-9]+$"));
        column.longest().ifPresent(most -> value.put("maxLength", most));
    }
}
