package rosinedpeg.web.archive;

import static java.nio.charset.StandardCharsets.UTF_8;
import static java.util.stream.Collectors.joining;

import java.io.IOException;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
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

    private static final String MEDIA_TYPE = "media_type";

    private final JdbcTemplate database;
    private final JsonMapper json;
    private final UUID workshop;
    private final String somebody;
    private final Optional<Passport> passport;
    private final Map<String, Map<String, String>> names = new HashMap<>();

    private Rows(JdbcTemplate database, JsonMapper json, UUID workshop, String somebody, Optional<Passport> passport) {
        this.database = database;
        this.json = json;
        this.workshop = workshop;
        this.somebody = somebody;
        this.passport = passport;
        // Moments are written in one zone, whichever the server stands in.
        database.queryForObject("select set_config('TimeZone', 'UTC', true)", String.class);
    }

    /** {@return all that a workshop has on record; whoever was removed is called as given} */
    static Rows ofWorkshop(JdbcTemplate database, JsonMapper json, UUID workshop, String somebody) {
        return new Rows(database, json, workshop, somebody, Optional.empty());
    }

    /**
     * All there is on record of one instrument, as it may be shown elsewhere: no prices, no notes of one's own on kinds of string,
     * and whatever somebody recorded is signed by the workshop.
     */
    static Rows ofInstrument(JdbcTemplate database, JsonMapper json, UUID workshop, UUID instrument, String signed) {
        return new Rows(database, json, workshop, signed, Optional.of(new Passport(instrument, signed)));
    }

    private record Passport(UUID instrument, String signed) {}

    /** Takes rows one by one. */
    interface Taker {
        void take(ObjectNode row) throws IOException;
    }

    /** Hands over every row of a list. */
    void each(Part part, Taker taker) {
        String columns =
                part.columns().stream().map(column -> asked(part, column)).collect(joining(", "));
        database.query(
                "select row_to_json(r)::text from (select " + columns + " from " + part.table() + " where "
                        + where(part) + " order by " + part.order() + ") r",
                result -> {
                    try {
                        taker.take(named(part, (ObjectNode) json.readTree(result.getString(1))));
                    } catch (IOException unwritten) {
                        throw new UncheckedIOException(unwritten);
                    }
                });
    }

    /** Writes every row of a list, one to a line, and says how many there are. */
    int write(Part part, OutputStream file) throws IOException {
        int[] count = {0};
        file.write('[');
        each(part, row -> {
            file.write((count[0]++ == 0 ? "\n" : ",\n").getBytes(UTF_8));
            file.write(json.writeValueAsBytes(row));
        });
        file.write("\n]\n".getBytes(UTF_8));
        return count[0];
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
                            + " from " + part.table() + " where " + where(part) + " order by 1",
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
        if (column.person()) {
            return "(select coalesce(p.name, '') from person p where p.id = " + part.table() + "." + column.inSchema()
                    + ") as " + column.inSchema();
        }
        if (!column.type().equals("bytea")) {
            return column.inSchema();
        }
        return passport.isPresent()
                ? "translate(encode(" + column.inSchema() + ", 'base64'), E'\\n', '') as " + column.inSchema()
                : "row_number() over (order by " + part.order() + ") as " + column.inSchema();
    }

    /** Which rows concern what is written. */
    private String where(Part part) {
        String own = "workshop_id = '" + workshop + "'";
        return passport.map(of -> own + " and " + concerns(part, " = '" + of.instrument() + "'"))
                .orElse(own);
    }

    /** Which rows of a list concern an instrument: by their own key, by that of what they belong to, or because it has them on. */
    private static String concerns(Part part, String isInstrument) {
        if (part.table().equals("instrument")) {
            return "id" + isInstrument;
        }
        if (part.table().equals("string_kind")) {
            return "(id in (select kind_id from fitted_string where instrument_id" + isInstrument + ") or id::text in"
                    + " (select e.value from run, jsonb_each_text(replacements) e where instrument_id" + isInstrument
                    + "))";
        }
        if (part.column("instrument_id").isPresent()) {
            return "instrument_id" + isInstrument;
        }
        return part.columns().stream()
                .map(Column::inSchema)
                .filter(column -> column.matches("run_id|fitted_string_id"))
                .findFirst()
                .map(column -> column + " in (select id from " + column.replaceFirst("_id$", "")
                        + " where instrument_id" + isInstrument + ")")
                .orElseThrow(() -> new IllegalStateException(
                        "nothing says which rows of " + part.table() + " concern an instrument"));
    }

    private ObjectNode named(Part part, ObjectNode inSchema) {
        ObjectNode row = json.createObjectNode();
        for (Column column : part.columns()) {
            JsonNode value = inSchema.get(column.inSchema());
            if (value == null || value.isNull()) {
                row.putNull(column.name());
            } else if (column.person()) {
                row.put(column.name(), passport.map(Passport::signed).orElseGet(() -> called(value.asString())));
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
        if (passport.isPresent() && part.table().equals("string_kind")) {
            row.putNull("price").putNull("currency").putNull("ready").put("note", "");
            // What other strings here taught is not of this instrument.
            row.putNull("learnedAll")
                    .putNull("learnedConcert")
                    .putNull("learnedStudy")
                    .putNull("learnedLoan")
                    .putNull("learnedAt");
        }
        return row;
    }

    private String called(String name) {
        return name.isEmpty() ? somebody : name;
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
