package rosinedpeg.web.archive;

import static java.nio.charset.StandardCharsets.UTF_8;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.DateTimeException;
import java.time.ZoneId;
import java.time.temporal.ChronoUnit;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import javax.sql.DataSource;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Isolation;
import org.springframework.transaction.annotation.Transactional;
import rosinedpeg.core.pitch.ReferenceA;
import rosinedpeg.web.account.Accounts;
import rosinedpeg.web.archive.ArchiveLayout.Part;
import rosinedpeg.web.drawer.Drawer;
import rosinedpeg.web.platform.SignedIn;
import rosinedpeg.web.platform.Words;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/**
 * A whole workshop as one archive, out and in: its records as JSON, every list as a table besides, the pictures, and a text that
 * says what is what.
 */
@Service
class WorkshopArchives {

    static final String KIND = "workshop";

    /** So many times its size an archive may unpack to, and a little more: text packs well, but not better than this. */
    private static final int UNPACKS_TO_AT_MOST = 64;

    /** What was written before there was a drawer tells of kept strings by the instruments they were on alone. */
    private static final String LIST_OF_THE_DRAWER = "drawerString";

    private static final int LITTLE_BYTES = 10_000_000;
    private static final int FETCHED_AT_A_TIME = 500;

    private final ArchiveLayout layout;
    private final JdbcTemplate database;
    private final JsonMapper json;
    private final Accounts accounts;
    private final Arrival arrival;
    private final Drawer drawer;
    private final Words words;
    private final Clock clock;

    WorkshopArchives(
            ArchiveLayout layout,
            DataSource database,
            JsonMapper json,
            Accounts accounts,
            Arrival arrival,
            Drawer drawer,
            Words words,
            Clock clock) {
        this.layout = layout;
        this.database = new JdbcTemplate(database);
        this.database.setFetchSize(FETCHED_AT_A_TIME);
        this.json = json;
        this.accounts = accounts;
        this.arrival = arrival;
        this.drawer = drawer;
        this.words = words;
        this.clock = clock;
    }

    /** {@return the archive of a workshop as it stands at this moment, in a file that whoever asked for it removes} */
    @Transactional(readOnly = true, isolation = Isolation.REPEATABLE_READ)
    public Path write(UUID workshop) {
        return SentFile.written(file -> {
            try (ZipOutputStream folder = new ZipOutputStream(file, UTF_8)) {
                write(workshop, folder);
            }
        });
    }

    private void write(UUID workshop, ZipOutputStream folder) throws IOException {
        List<Part> parts = layout.parts();
        Rows rows = Rows.ofWorkshop(database, json, workshop, words.say("people.somebody"));
        begin(folder, "readme.txt");
        folder.write(words.say("archive.readme", ArchiveLayout.VERSION).getBytes(UTF_8));
        begin(folder, "schema.json");
        folder.write(json.writerWithDefaultPrettyPrinter().writeValueAsBytes(new ArchiveSchema(json).of(parts)));
        Map<String, Integer> counts = new LinkedHashMap<>();
        for (Part part : parts) {
            begin(folder, "data/" + part.name() + ".json");
            counts.put(part.name(), rows.write(part, folder));
        }
        Lists lists = new Lists();
        for (Part part : parts) {
            begin(folder, "lists/" + part.name() + ".csv");
            lists.write(part, rows, folder);
        }
        for (Part part : parts) {
            rows.eachPicture(part, (name, picture) -> {
                begin(folder, name);
                folder.write(picture);
            });
        }
        begin(folder, "workshop.json");
        folder.write(json.writerWithDefaultPrettyPrinter().writeValueAsBytes(head(workshop, counts)));
    }

    private ObjectNode head(UUID workshop, Map<String, Integer> counts) {
        ObjectNode head = json.createObjectNode()
                .put("kind", KIND)
                .put("version", ArchiveLayout.VERSION)
                .put("madeAt", clock.instant().truncatedTo(ChronoUnit.SECONDS).toString());
        database.query(
                "select name, zone, reference_a_hz, players_own_only from workshop where id = ?",
                row -> {
                    head.put("name", row.getString(1))
                            .put("zone", row.getString(2))
                            .put("referenceAHz", row.getDouble(3))
                            .put("playersOwnOnly", row.getBoolean(4));
                },
                workshop);
        ObjectNode counted = head.putObject("rows");
        counts.forEach(counted::put);
        return head;
    }

    private static void begin(ZipOutputStream folder, String name) throws IOException {
        ZipEntry entry = new ZipEntry(name);
        entry.setTime(0);
        folder.putNextEntry(entry);
    }

    /** {@return whether nothing is on record in a workshop but its people and the shelf it began with} */
    @Transactional(readOnly = true)
    public boolean isEmpty(UUID workshop) {
        return layout.parts().stream()
                .filter(part -> !part.table().equals("account"))
                .noneMatch(part -> exists(
                        part.table() + " where workshop_id = ?"
                                + (part.table().equals("string_kind") ? " and source <> 'USUAL'" : ""),
                        workshop));
    }

    private boolean exists(String of, Object value) {
        return Boolean.TRUE.equals(
                database.queryForObject("select exists (select 1 from " + of + ")", Boolean.class, value));
    }

    /**
     * Takes an archive into a workshop in which nothing is on record yet: all of it, or nothing.
     *
     * @param workshop the workshop
     * @param file the archive
     * @return how many instruments came
     * @throws UnreadableArchiveException when it cannot be taken in
     */
    @Transactional
    public int take(UUID workshop, Path file) {
        database.queryForObject("select id from workshop where id = ? for update", UUID.class, workshop);
        if (!isEmpty(workshop)) {
            throw new UnreadableArchiveException("notEmpty");
        }
        try (Source source = new Source.Packed(json, file, UNPACKS_TO_AT_MOST * Files.size(file) + LITTLE_BYTES)) {
            JsonNode head = source.head(KIND);
            settle(workshop, head);
            database.update("delete from string_kind where workshop_id = ?", workshop);
            Taking taking = new Taking(database, json, workshop);
            int instruments = 0;
            for (Part part : layout.parts()) {
                boolean people = part.table().equals("account");
                int count = taking.take(
                        source,
                        part,
                        people ? row -> isNew(row, workshop, taking) : Taking.Say.NOTHING,
                        people ? Map.of("password_hash", accounts.passwordOfNobody()) : Map.of());
                int said = head.path("rows").path(part.name()).asInt(0);
                if (!people && count != said) {
                    throw new UnreadableArchiveException("count", part.name(), count, said);
                }
                instruments += part.table().equals("instrument") ? count : 0;
            }
            source.end();
            if (!head.path("rows").has(LIST_OF_THE_DRAWER)) {
                drawer.layKept();
            }
            arrival.check(
                    database.queryForList("select id from instrument where workshop_id = ?", UUID.class, workshop),
                    false);
            return instruments;
        } catch (IOException unread) {
            throw new UnreadableArchiveException("kind." + KIND);
        }
    }

    private void settle(UUID workshop, JsonNode head) {
        String name = head.path("name").asString("").strip();
        double referenceAHz = head.path("referenceAHz").asDouble(0);
        Optional<ZoneId> zone = zone(head.path("zone").asString(""));
        if (name.isEmpty()
                || name.length() > Accounts.LONGEST_NAME
                || zone.isEmpty()
                || !ReferenceA.RANGE.contains(referenceAHz)) {
            throw new UnreadableArchiveException("head");
        }
        accounts.changeWorkshop(workshop, name, zone.get(), new ReferenceA(referenceAHz));
        accounts.letPlayers(workshop, head.path("playersOwnOnly").asBoolean(false));
    }

    private static Optional<ZoneId> zone(String id) {
        try {
            return Optional.of(ZoneId.of(id));
        } catch (DateTimeException unknown) {
            return Optional.empty();
        }
    }

    /** Who signs in here by that name already is the same person; a name that somebody elsewhere has gets a number. */
    private boolean isNew(ObjectNode person, UUID workshop, Taking taking) {
        String signIn = person.path("signIn").asString("");
        String name = person.path("name").asString("");
        Optional<SignedIn> here =
                accounts.find(signIn).filter(account -> account.workshopId().equals(workshop));
        if (here.isPresent()) {
            taking.is(person.path("id").asString(""), here.get().accountId());
            taking.isCalled(name, here.get().personId());
            return false;
        }
        if (taking.called(name)
                .filter(there -> exists("account where person_id = ?", there))
                .isPresent()) {
            // Of two of one name each is a person of their own.
            taking.isCalled(name, taking.enter(name));
        }
        String free = signIn;
        for (int number = 2; exists("account where sign_in = ?", free); number++) {
            free = signIn + "-" + number;
        }
        person.put("signIn", free);
        return true;
    }
}
