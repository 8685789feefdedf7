package rosinedpeg.web.archive;

import java.io.IOException;
import java.security.SecureRandom;
import java.util.HashMap;
import java.util.HexFormat;
import java.util.LinkedHashSet;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.springframework.core.NestedExceptionUtils;
import org.springframework.dao.DataAccessException;
import org.springframework.jdbc.core.JdbcTemplate;
import rosinedpeg.web.archive.ArchiveLayout.Column;
import rosinedpeg.web.archive.ArchiveLayout.Part;
import tools.jackson.core.JacksonException;
import tools.jackson.core.JsonParser;
import tools.jackson.core.JsonToken;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/**
 * Takes the rows of a file into a workshop, under keys of its own. The database reads every value in its own way and holds every
 * row to its rules; what breaks one is told with the list and the rows it was among, and nothing is taken in.
 *
 * <p>Keys are given in the order in which they come, so that rows stay in the order they had.
 */
class Taking {

    private static final int ROWS_AT_A_TIME = 500;
    private static final int CHARACTERS_AT_A_TIME = 1_000_000;
    /** A picture that is larger was never kept; the database says so, too. */
    private static final int LARGEST_PICTURE_BYTES = 4_000_000;

    private static final Pattern NAMED = Pattern.compile("(?:constraint|column) \"([a-z_]+)\"");

    private final JdbcTemplate database;
    private final JsonMapper json;
    private final UUID workshop;
    private final Map<String, UUID> keys = new HashMap<>();
    private final Map<String, UUID> people = new HashMap<>();
    private final long own;
    private long next;

    Taking(JdbcTemplate database, JsonMapper json, UUID workshop) {
        this.database = database;
        this.json = json;
        this.workshop = workshop;
        this.own = new SecureRandom().nextLong() & 0x3fff_ffff_ffff_ffffL | 0x8000_0000_0000_0000L;
    }

    /** Has a say in a row before it is taken in. */
    interface Say {

        /** {@return whether the row is to be taken in; what it says can be changed} */
        boolean to(ObjectNode row);

        /** Takes every row as it stands. */
        Say NOTHING = row -> true;
    }

    /** {@return the key that a name of the file stands for here} */
    UUID key(String name) {
        return keys.computeIfAbsent(name, unknown -> fresh());
    }

    /** A name of the file stands for something that is here already. */
    void is(String name, UUID here) {
        keys.put(name, here);
    }

    /** {@return the person who is called so in the file, once they came} */
    Optional<UUID> called(String name) {
        return Optional.ofNullable(people.get(name));
    }

    /** Whoever is called so in the file is somebody who is here already. */
    void isCalled(String name, UUID here) {
        people.put(name, here);
    }

    /** {@return a new person of that name} */
    UUID enter(String name) {
        UUID person = fresh();
        database.update("insert into person (id, workshop_id, name) values (?, ?, ?)", person, workshop, name);
        return person;
    }

    private UUID fresh() {
        // Version 8 and variant 2 of RFC 9562: a half that counts, and a random half of one's own.
        return new UUID(next++ << Short.SIZE | 0x8000L, own);
    }

    /** Takes in the rows of a list. */
    int take(Source source, Part part, Say say, Map<String, Object> given) throws IOException {
        Optional<JsonParser> rows = source.rows(part);
        if (rows.isEmpty()) {
            return 0;
        }
        Map<String, Column> columns =
                part.columns().stream().collect(Collectors.toMap(Column::name, Function.identity()));
        int count = 0;
        Batch batch = new Batch(part);
        try (JsonParser parser = rows.get()) {
            if (parser.nextToken() != JsonToken.START_ARRAY) {
                throw new UnreadableArchiveException("rows", part.name());
            }
            while (parser.nextToken() != JsonToken.END_ARRAY) {
                if (parser.currentToken() != JsonToken.START_OBJECT) {
                    throw new UnreadableArchiveException("rows", part.name());
                }
                source.nextRow();
                ObjectNode row = parser.readValueAsTree();
                try {
                    if (say.to(row)) {
                        count++;
                        batch.add(inSchema(source, part, columns, row, given));
                    }
                } catch (DataAccessException unlikeAName) {
                    throw new UnreadableArchiveException("row", part.name(), count, count, reason(unlikeAName));
                }
            }
            batch.send();
        } catch (JacksonException cutOff) {
            throw new UnreadableArchiveException("rows", part.name());
        }
        return count;
    }

    private ObjectNode inSchema(
            Source source, Part part, Map<String, Column> columns, ObjectNode row, Map<String, Object> given)
            throws IOException {
        ObjectNode inSchema = json.createObjectNode();
        for (Map.Entry<String, JsonNode> one : row.properties()) {
            Column column = columns.get(one.getKey());
            if (column == null) {
                throw new UnreadableArchiveException(
                        "column", part.name(), UnreadableArchiveException.shortened(one.getKey()));
            }
            JsonNode value = one.getValue();
            if (value.isNull()) {
                continue;
            }
            String within = Rows.KEYS_WITHIN.get(part.table() + "." + column.inSchema());
            if (column.person()) {
                String name = value.asString("");
                if (!name.isBlank()) {
                    inSchema.put(
                            column.inSchema(),
                            people.computeIfAbsent(name, this::enter).toString());
                }
            } else if (column.group().isPresent()) {
                inSchema.put(column.inSchema(), key(value.asString("")).toString());
            } else if (column.type().equals("bytea")) {
                inSchema.put(
                        column.inSchema(),
                        "\\x" + HexFormat.of().formatHex(source.picture(value.asString(""), LARGEST_PICTURE_BYTES)));
            } else if (within != null) {
                ObjectNode keyed = inSchema.putObject(column.inSchema());
                value.properties()
                        .forEach(inner -> keyed.put(
                                inner.getKey(),
                                key(inner.getValue().asString("")).toString()));
            } else {
                inSchema.set(column.inSchema(), value);
            }
        }
        part.given().forEach(column -> inSchema.put(column, fresh().toString()));
        given.forEach((column, value) -> inSchema.set(column, json.valueToTree(value)));
        return inSchema.put("workshop_id", workshop.toString());
    }

    /** Rows on their way into the database. */
    private final class Batch {

        private final Part part;
        private final StringBuilder rows = new StringBuilder("[");
        private final Set<String> columns = new LinkedHashSet<>();
        private int count;
        private int sent;

        Batch(Part part) {
            this.part = part;
        }

        void add(ObjectNode row) {
            if (count > 0) {
                rows.append(',');
            }
            rows.append(json.writeValueAsString(row));
            columns.addAll(row.propertyNames());
            count++;
            if (count == ROWS_AT_A_TIME || rows.length() > CHARACTERS_AT_A_TIME) {
                send();
            }
        }

        void send() {
            if (count == 0) {
                return;
            }
            String named = String.join(", ", columns);
            try {
                database.update(
                        "insert into " + part.table() + " (" + named + ") select " + named
                                + " from jsonb_populate_recordset(null::" + part.table() + ", ?::jsonb)",
                        rows.append(']').toString());
            } catch (DataAccessException refused) {
                throw new UnreadableArchiveException("row", part.name(), sent + 1, sent + count, reason(refused));
            }
            sent += count;
            count = 0;
            rows.setLength(1);
            columns.clear();
        }
    }

    /** The rule that was broken, or the column, by its name in the schema; without either, what the value should have been. */
    private static String reason(DataAccessException refused) {
        String told = String.valueOf(
                NestedExceptionUtils.getMostSpecificCause(refused).getMessage());
        Matcher named = NAMED.matcher(told);
        return named.find()
                ? named.group(1)
                : told.lines().findFirst().orElse("").replaceFirst("^ERROR: ", "");
    }
}
