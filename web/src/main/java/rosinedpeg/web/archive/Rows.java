package rosinedpeg.web.archive;

import static java.util.stream.Collectors.joining;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.springframework.jdbc.core.JdbcTemplate;
import rosinedpeg.web.archive.ArchiveLayout.Column;
import rosinedpeg.web.archive.ArchiveLayout.Part;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/**
 * The rows of a workshop as they stand in an archive: the database's own reading of each, with a name as {@code instrument-4} in
 * the place of every key, so that the same records make the same archive wherever they are kept.
 */
class Rows {

    /** Where a picture is looked for, when it is a file of its own. */
    static final String PICTURES = "pictures/";
    /** In which column, of what is kept in a form of its own, there are keys, and of what. */
    static final Map<String, String> KEYS_WITHIN = Map.of("run.replacements", "stringKind");

    /** A passport tells of an instrument, and of nobody: neither of people nor of what they play when. */
    private static final Set<String> OF_NOBODY = Set.of("account", "occasion");

    private static final String MEDIA_TYPE = "media_type";

    private final JdbcTemplate database;
    private final JsonMapper json;
    private final UUID workshop;
    private final Optional<Passport> passport;
    private final Map<String, Map<String, String>> names = new HashMap<>();

    private Rows(JdbcTemplate database, JsonMapper json, UUID workshop, Optional<Passport> passport) {
        this.database = database;
        this.json = json;
        this.workshop = workshop;
        this.passport = passport;
    }

    /** {@return all that a workshop has on record} */
    static Rows ofWorkshop(JdbcTemplate database, JsonMapper json, UUID workshop) {
        return new Rows(database, json, workshop, Optional.empty());
    }

    /**
     * All there is on record of one instrument, as it may be shown elsewhere: no prices, no notes of one's own on kinds of string,
     * and whatever somebody recorded is signed by the workshop.
     */
    static Rows ofInstrument(JdbcTemplate database, JsonMapper json, UUID workshop, UUID instrument, String signed) {
        return new Rows(database, json, workshop, Optional.of(new Passport(instrument, signed)));
    }

    private record Passport(UUID instrument, String signed) {}

    /** Takes rows one by one. */
    interface Taker {
        void take(ObjectNode row) throws IOException;
    }

    /** {@return whether anything of a list concerns what is written} */
    boolean has(Part part) {
        return passport.isEmpty() || where(part).isPresent();
    }

    /** Hands over every row of a list. */
    void each(Part part, Taker taker) {
        String columns =
                part.columns().stream().map(column -> asked(part, column)).collect(joining(", "));
        database.query(
                "select row_to_json(r)::text from (select " + columns + " from " + part.table() + " where "
                        + where(part).orElse("false") + " order by " + part.order() + ") r",
                result -> {
                    try {
                        taker.take(named(part, (ObjectNode) json.readTree(result.getString(1))));
                    } catch (IOException unwritten) {
                        throw new UncheckedIOException(unwritten);
                    }
                });
    }

    /** Takes pictures one by one. */
    interface PictureTaker {
        void take(String name, byte[] picture) throws IOException;
    }

    /** Hands over every picture of a list, under the name its row gives it. */
    void eachPicture(Part part, PictureTaker taker) {
        part.picture().ifPresent(column -> {
            String mediaType = part.column(MEDIA_TYPE).isPresent() ? MEDIA_TYPE : "'image/jpeg'";
            database.query(
                    "select row_number() over (order by " + part.order() + "), " + mediaType + ", " + column.inSchema()
                            + " from " + part.table() + " where " + where(part).orElse("false") + " order by 1",
                    result -> {
                        try {
                            taker.take(pictureName(part, result.getInt(1), result.getString(2)), result.getBytes(3));
                        } catch (IOException unwritten) {
                            throw new UncheckedIOException(unwritten);
                        }
                    });
        });
    }

    private static String pictureName(Part part, int number, String mediaType) {
        return PICTURES + part.name() + "-" + number + (mediaType.equals("image/png") ? ".png" : ".jpg");
    }

    private String asked(Part part, Column column) {
        if (!column.type().equals("bytea")) {
            return column.inSchema();
        }
        return passport.isPresent()
                ? "translate(encode(" + column.inSchema() + ", 'base64'), E'\\n', '') as " + column.inSchema()
                : "row_number() over (order by " + part.order() + ") as " + column.inSchema();
    }

    /** Which rows concern what is written. */
    private Optional<String> where(Part part) {
        String own = "workshop_id = '" + workshop + "'";
        if (passport.isEmpty()) {
            return Optional.of(own);
        }
        String of = " = '" + passport.get().instrument() + "'";
        return switch (part.table()) {
            case "instrument" -> Optional.of(own + " and id" + of);
            case "string_kind" ->
                Optional.of(own + " and (id in (select kind_id from fitted_string where instrument_id" + of
                        + ") or id::text in (select e.value from run, jsonb_each_text(replacements) e where instrument_id"
                        + of + "))");
            default -> {
                if (part.columns().stream()
                        .anyMatch(column ->
                                column.group().filter(OF_NOBODY::contains).isPresent())) {
                    yield Optional.empty();
                }
                if (part.column("instrument_id").isPresent()) {
                    yield Optional.of(own + " and instrument_id" + of);
                }
                yield part.columns().stream()
                        .filter(column -> column.inSchema().matches("run_id|fitted_string_id"))
                        .findFirst()
                        .map(column -> own + " and " + column.inSchema() + " in (select id from "
                                + column.inSchema().replaceFirst("_id$", "") + " where instrument_id" + of + ")");
            }
        };
    }

    private ObjectNode named(Part part, ObjectNode inSchema) {
        ObjectNode row = json.createObjectNode();
        for (Column column : part.columns()) {
            JsonNode value = inSchema.get(column.inSchema());
            if (value == null || value.isNull()) {
                row.putNull(column.name());
            } else if (column.group().isPresent()) {
                row.put(column.name(), name(column.group().get(), value.asString()));
            } else if (column.type().equals("bytea") && passport.isEmpty()) {
                row.put(
                        column.name(),
                        pictureName(part, value.asInt(), row.path("mediaType").asString("image/jpeg")));
            } else {
                String within = KEYS_WITHIN.get(part.table() + "." + column.inSchema());
                row.set(column.name(), within == null ? value : namedWithin((ObjectNode) value, within));
            }
        }
        passport.ifPresent(shown -> {
            part.columns().stream()
                    .filter(column -> column.inSchema().endsWith("_by"))
                    .filter(column -> !row.path(column.name()).isNull())
                    .forEach(column -> row.put(column.name(), shown.signed()));
            if (part.table().equals("string_kind")) {
                row.putNull("price").putNull("currency").put("note", "");
            }
        });
        return row;
    }

    private ObjectNode namedWithin(ObjectNode value, String group) {
        ObjectNode named = json.createObjectNode();
        value.properties()
                .forEach(one ->
                        named.put(one.getKey(), name(group, one.getValue().asString())));
        return named;
    }

    private String name(String group, String key) {
        Map<String, String> known = names.computeIfAbsent(group, none -> new HashMap<>());
        return known.computeIfAbsent(key, unknown -> group + "-" + (known.size() + 1));
    }
}
