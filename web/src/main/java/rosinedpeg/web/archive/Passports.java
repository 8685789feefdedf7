package rosinedpeg.web.archive;

import static java.nio.charset.StandardCharsets.UTF_8;

import java.io.IOException;
import java.io.OutputStream;
import java.nio.file.Path;
import java.time.Clock;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Stream;
import javax.sql.DataSource;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Isolation;
import org.springframework.transaction.annotation.Transactional;
import rosinedpeg.web.archive.ArchiveLayout.Column;
import rosinedpeg.web.archive.ArchiveLayout.Part;
import rosinedpeg.web.instrument.InstrumentNames;
import rosinedpeg.web.instrument.Instruments;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/**
 * All that is on record of one instrument, as a text that goes with it to another workshop. Kinds of string that the other
 * workshop has already are not entered twice.
 */
@Service
class Passports {

    static final String KIND = "passport";

    /** What tells two kinds of one name apart: what the calculations rest on. Prices and lives are each workshop's own. */
    private static final List<String> FIGURES = List.of(
            "core",
            "winding",
            "nominal_midi",
            "tension_n",
            "diameter_mm",
            "axial_stiffness_n",
            "tail_silk_end_mm",
            "top_silk_start_mm",
            "total_length_mm");

    private static final String SAME_KIND = "select id, " + String.join(", ", FIGURES) + " from string_kind"
            + " where workshop_id = ? and lower(maker) = lower(?) and lower(line) = lower(?) and family = ? and position = ?"
            + " and string_end = ? and design_length_mm = ?";

    private final ArchiveLayout layout;
    private final JdbcTemplate database;
    private final JsonMapper json;
    private final Instruments instruments;
    private final InstrumentNames instrumentNames;
    private final Arrival arrival;
    private final Clock clock;

    Passports(
            ArchiveLayout layout,
            DataSource database,
            JsonMapper json,
            Instruments instruments,
            InstrumentNames instrumentNames,
            Arrival arrival,
            Clock clock) {
        this.layout = layout;
        this.database = new JdbcTemplate(database);
        this.json = json;
        this.instruments = instruments;
        this.instrumentNames = instrumentNames;
        this.arrival = arrival;
        this.clock = clock;
    }

    /**
     * Writes the passport of an instrument.
     *
     * @param workshop the workshop it is on record in
     * @param called what that is called; whatever somebody recorded is signed by it
     * @param instrument the instrument
     * @return the passport, in a file that whoever asked for it removes
     * @throws rosinedpeg.web.platform.NotFoundException when the workshop has no such instrument
     */
    @Transactional(readOnly = true, isolation = Isolation.REPEATABLE_READ)
    public Path write(UUID workshop, String called, UUID instrument) {
        instruments.require(instrument);
        Rows rows = Rows.ofInstrument(database, json, workshop, instrument, called);
        return SentFile.written(file -> write(rows, called, file));
    }

    private void write(Rows rows, String called, OutputStream text) throws IOException {
        String head = json.writeValueAsString(json.createObjectNode()
                .put("kind", KIND)
                .put("version", ArchiveLayout.VERSION)
                .put("madeAt", clock.instant().truncatedTo(ChronoUnit.SECONDS).toString())
                .put("from", called));
        text.write((head.substring(0, head.length() - 1) + ",\n\"data\": {").getBytes(UTF_8));
        String before = "\n";
        for (Part part : layout.partsOfInstruments()) {
            text.write((before + "\"" + part.name() + "\": ").getBytes(UTF_8));
            rows.write(part, text);
            before = ",\n";
        }
        text.write("}}\n".getBytes(UTF_8));
    }

    /**
     * Takes an instrument in with all that is on record of it: all of it, or nothing.
     *
     * @param workshop the workshop it comes to
     * @param file its passport
     * @param press the press of the button that this is, which becomes its id; one that was taken before changes nothing
     * @return its id here
     * @throws UnreadableArchiveException when it cannot be taken in
     */
    @Transactional
    public UUID take(UUID workshop, Path file, UUID press) {
        // Of two presses at one moment the second waits, and finds what the first has done.
        database.query("select pg_advisory_xact_lock(?)", row -> {}, press.getLeastSignificantBits());
        if (!instrumentNames.of(List.of(press)).isEmpty()) {
            return press;
        }
        try (Source source = new Source.Text(json, file)) {
            source.head(KIND);
            Taking taking = new Taking(database, json, workshop);
            int count = 0;
            for (Part part : layout.partsOfInstruments()) {
                switch (part.table()) {
                    case "string_kind" ->
                        taking.take(source, part, row -> isNew(part, row, workshop, taking), Map.of());
                    case "instrument" ->
                        count = taking.take(
                                source,
                                part,
                                row -> {
                                    taking.is(row.path("id").asString(""), press);
                                    row.put("name", freeName(row.path("name").asString("")))
                                            .putNull("retiredAt");
                                    return true;
                                },
                                Map.of());
                    default -> taking.take(source, part, Taking.Say.NOTHING, Map.of());
                }
            }
            source.end();
            if (count != 1) {
                throw new UnreadableArchiveException("kind." + KIND);
            }
            arrival.check(List.of(press), true);
            return press;
        } catch (IOException | JacksonException unread) {
            throw new UnreadableArchiveException("kind." + KIND);
        }
    }

    /** A kind that is here under its name, with the same figures, is the same; with others it gets a number. */
    private boolean isNew(Part part, ObjectNode kind, UUID workshop, Taking taking) {
        String line = kind.path("line").asString("");
        for (int number = 2; ; number++) {
            List<JsonNode> here = database.query(
                    SAME_KIND,
                    (row, at) -> {
                        ObjectNode figures = json.createObjectNode().put("id", row.getString("id"));
                        for (String figure : FIGURES) {
                            figures.set(figure, json.valueToTree(row.getObject(figure)));
                        }
                        return (JsonNode) figures;
                    },
                    workshop,
                    kind.path("maker").asString(""),
                    kind.path("line").asString(""),
                    kind.path("family").asString(""),
                    kind.path("position").asString(""),
                    kind.path("stringEnd").asString(""),
                    kind.path("designLengthMm").asDouble(0));
            if (here.isEmpty()) {
                return true;
            }
            if (sameFigures(part, kind, here.get(0))) {
                taking.is(
                        kind.path("id").asString(""),
                        UUID.fromString(here.get(0).path("id").asString()));
                return false;
            }
            kind.put("line", numbered(line, number, LONGEST_LINE));
        }
    }

    private static final int LONGEST_LINE = 60;

    private static boolean sameFigures(Part part, ObjectNode kind, JsonNode here) {
        return FIGURES.stream().allMatch(figure -> {
            JsonNode there = kind.path(part.column(figure).map(Column::name).orElse(figure));
            JsonNode own = here.path(figure);
            return own.isNumber()
                    ? own.asDouble() == there.asDouble(Double.NaN)
                    : own.asString().equals(there.asString(""));
        });
    }

    private String freeName(String name) {
        return Stream.iterate(1, number -> number + 1)
                .map(number -> number == 1 ? name : numbered(name, number, LONGEST_LINE))
                .filter(free -> !instrumentNames.taken(free))
                .findFirst()
                .orElseThrow();
    }

    private static String numbered(String name, int number, int longest) {
        String ending = " (" + number + ")";
        return name.substring(0, Math.min(name.length(), longest - ending.length())) + ending;
    }
}
