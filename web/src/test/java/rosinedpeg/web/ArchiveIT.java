package rosinedpeg.web;

import static java.nio.charset.StandardCharsets.ISO_8859_1;
import static java.nio.charset.StandardCharsets.UTF_8;
import static java.util.stream.Collectors.joining;
import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.user;

import com.networknt.schema.InputFormat;
import com.networknt.schema.Schema;
import com.networknt.schema.SchemaRegistry;
import com.networknt.schema.SpecificationVersion;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.UUID;
import java.util.function.UnaryOperator;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import java.util.zip.ZipOutputStream;
import javax.imageio.ImageIO;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.mock.web.MockMultipartFile;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.test.web.servlet.assertj.MvcTestResult;
import rosinedpeg.web.platform.SignedIn;

/** A workshop's archive and an instrument's passport: out of one workshop, and into another with nothing lost. */
class ArchiveIT extends InRequests {

    private static final Path ARCHIVE_OF_FORM_1 = Path.of("src/test/resources/archives/form-1.zip");
    private static final Path SCHEMA = Path.of("../docs/archive-schema.json");

    @Autowired
    PasswordEncoder passwords;

    /** Something in every list, in all the ways it can be written down. */
    private void fill(Random random) {
        UUID workshop = account("keeper").workshopId();
        UUID violin = instrument("Pit 1 violin");
        UUID keeper = account("keeper").accountId();
        sql(
                "update string_kind set price = ?, currency = 'EUR', note = ? where workshop_id = ?",
                random.nextInt(100_000) / 100.0,
                text(random, 200),
                workshop);
        sql(
                "insert into habit values (gen_random_uuid(), ?, ?, 'VIOLA', ?::jsonb)",
                workshop,
                keeper,
                "{\"" + text(random, 9).replaceAll("[\"\\\\]", "") + "\": " + random.nextDouble() + "}");
        sql(
                "insert into drawer_count select gen_random_uuid(), ?, id, 3, 2, gen_random_uuid(), now(), ? from string_kind"
                        + " where workshop_id = ? limit 1",
                workshop,
                person(workshop, text(random, 80)),
                workshop);
        sql("update drawer_string set place = ? where workshop_id = ?", text(random, 60), workshop);
        sql("update supplier set name = ? || name where workshop_id = ?", text(random, 20), workshop);
        sql(
                "with attempt as (insert into practice_attempt values (gen_random_uuid(), ?, ?, ?, ?, '{}', now(), now(),"
                        + " 'WIND', null, 1, 2, now(), false)"
                        + " returning id, workshop_id) insert into practice_action (id, workshop_id, attempt_id, sequence,"
                        + " action, done_at) select gen_random_uuid(), workshop_id, id, n, '{\"does\": \"CARD\"}', now()"
                        + " from attempt, generate_series(1, 2) n",
                workshop,
                keeper,
                violin,
                text(random, 40));
        sql(
                "insert into practice_lesson values (gen_random_uuid(), ?, ?, 'WIND', '2027-01-01', now(), ?)",
                workshop,
                keeper,
                person(workshop, text(random, 40)));
        sql("insert into kit_item values (gen_random_uuid(), ?, ?, 'TUBE')", workshop, keeper);
        sql(
                "insert into care values (gen_random_uuid(), ?, ?, 'WIPED', gen_random_uuid(), now(), ?)",
                workshop,
                violin,
                person(workshop, text(random, 80)));
        UUID removed = person(workshop, null);
        sql("insert into instrument_picture values (?, ?, ?, now(), ?)", violin, workshop, bytes(random), removed);
        sql(
                "insert into bridge_picture values (gen_random_uuid(), ?, ?, 'image/png', ?, ?, ?, true, ?, gen_random_uuid(),"
                        + " now(), ?)",
                workshop,
                violin,
                bytes(random),
                new Double[] {0.1, random.nextDouble(), 1 / 3.0, 1e-7},
                new Double[] {0.0, 1.0, 2.0, -0.0},
                random.nextDouble(),
                removed);
        sql(
                "insert into occasion values (gen_random_uuid(), ?, ?, 'LESSON', now(), ?, now() + interval '1 hour',"
                        + " gen_random_uuid(), 3)",
                workshop,
                text(random, 60),
                text(random, 200));
        sql(
                "insert into measurement (id, workshop_id, instrument_id, quantity, value, measured_on, recorded_at, recorded_by,"
                        + " press) values (gen_random_uuid(), ?, ?, 'VIBRATING_LENGTH', ?, date '2026-01-02', now(), ?,"
                        + " gen_random_uuid())",
                workshop,
                violin,
                327 + random.nextDouble(),
                account("pit").personId());
        for (int i = 0; i < 20; i++) {
            sql(
                    "insert into instrument_note (id, workshop_id, instrument_id, text, refer, recorded_at, recorded_by, version,"
                            + " kind) values (gen_random_uuid(), ?, ?, ?, false, now(), ?, 0, 'WRITTEN')",
                    workshop,
                    violin,
                    text(random, 500),
                    removed);
        }
    }

    private UUID person(UUID workshop, @Nullable String name) {
        UUID person = UUID.randomUUID();
        sql("insert into person values (?, ?, ?)", person, workshop, name);
        return person;
    }

    private void sql(String statement, Object... values) {
        database.sql(statement).params(Arrays.asList(values)).update();
    }

    private static byte[] bytes(Random random) {
        byte[] bytes = new byte[100 + random.nextInt(2000)];
        random.nextBytes(bytes);
        return bytes;
    }

    /** Any text that can be typed: quotes, commas, formulas, other alphabets, signs beyond the first plane. */
    private static String text(Random random, int longest) {
        String text = random.ints(1 + random.nextInt(longest), 0, 12)
                .mapToObj(of -> of == 0
                        ? "\"',;=@\\\n\t\u2028{}".substring(random.nextInt(10)).substring(0, 1)
                        : new String(
                                Character.toChars(of < 9 ? ' ' + random.nextInt(90) : 0xa1 + random.nextInt(0x1f00))))
                .collect(joining());
        return "x" + text.substring(0, Math.min(text.length(), longest - 1));
    }

    private byte[] archive(SignedIn keeper) throws Exception {
        MvcTestResult sent =
                mvc.get().uri("/workshop/archive.zip").with(user(keeper)).exchange();
        assertThat(sent).hasStatus(200).hasContentType("application/zip");
        return sent.getResponse().getContentAsByteArray();
    }

    private MvcTestResult send(SignedIn who, String path, String name, byte[] file) {
        return mvc.post()
                .uri(path)
                .multipart()
                .file(new MockMultipartFile(name, "sent", "application/octet-stream", file))
                .with(user(who))
                .with(csrf())
                .exchange();
    }

    private MvcTestResult take(SignedIn keeper, byte[] archive) {
        return send(keeper, "/workshop/archive", "file", archive);
    }

    private static Map<String, String> unpacked(byte[] archive) throws IOException {
        Map<String, String> files = new LinkedHashMap<>();
        try (ZipInputStream folder = new ZipInputStream(new ByteArrayInputStream(archive))) {
            for (ZipEntry entry = folder.getNextEntry(); entry != null; entry = folder.getNextEntry()) {
                byte[] content = folder.readAllBytes();
                files.put(
                        entry.getName(),
                        entry.getName().startsWith("pictures/")
                                ? Arrays.toString(content)
                                : new String(content, UTF_8));
            }
        }
        return files;
    }

    private static byte[] packed(Map<String, String> files) throws IOException {
        ByteArrayOutputStream archive = new ByteArrayOutputStream();
        try (ZipOutputStream folder = new ZipOutputStream(archive)) {
            for (Map.Entry<String, String> file : files.entrySet()) {
                folder.putNextEntry(new ZipEntry(file.getKey()));
                folder.write(file.getValue().getBytes(UTF_8));
            }
        }
        return archive.toByteArray();
    }

    /** Without the moment it was made, and without the keeper of the other workshop, who was there before. */
    private static Map<String, String> comparable(Map<String, String> files) {
        Map<String, String> people = new LinkedHashMap<>();
        Pattern.compile("\\{\"id\":\"(account-\\d+)\",\"signIn\":\"[^\"]*\",(.*\"name\":\"([^\"]*)\".*)}")
                .matcher(files.get("data/account.json"))
                .results()
                .filter(person -> !person.group(3).equals("Stranger"))
                .forEach(person -> people.put(person.group(1), person.group(3) + " " + person.group(2)));
        Map<String, String> comparable = new LinkedHashMap<>(files);
        comparable.put("data/account.json", people.values().stream().sorted().collect(joining("\n")));
        comparable.remove("lists/account.csv");
        comparable.computeIfPresent(
                "workshop.json",
                (name, head) ->
                        head.replaceFirst("\"madeAt\" : \"[^\"]*\"", "").replaceFirst("\"account\" : \\d+", ""));
        comparable.replaceAll((name, file) -> Pattern.compile("account-\\d+")
                .matcher(file)
                .replaceAll(key -> people.get(key.group()).replaceAll("\\W", "")));
        return comparable;
    }

    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3})
    void outInAndOutAgainIsTheSame(long seed) throws Exception {
        fill(new Random(seed));
        byte[] archive = archive(account("keeper"));
        Map<String, String> before = unpacked(archive);
        assertThat(before.entrySet())
                .filteredOn(file -> file.getKey().startsWith("data/"))
                .as("a list in which nothing stands proves nothing")
                .noneMatch(file -> file.getValue().length() < 10);
        SignedIn elsewhere = stranger();
        assertThat(take(elsewhere, archive)).hasStatus(302).redirectedUrl().isEqualTo("/");
        assertThat(comparable(unpacked(archive(account(elsewhere.signIn())))))
                .containsExactlyEntriesOf(comparable(before));
        assertThat(unpacked(archive(account("keeper"))).get("data/instrument.json"))
                .as("nothing went away where it came from")
                .isEqualTo(before.get("data/instrument.json"));
    }

    /** What was taken in is not only on record: it can be worked with. */
    @Test
    void whatWasTakenInGoesOn() throws Exception {
        SignedIn elsewhere = stranger();
        take(elsewhere, archive(account("keeper")));
        SignedIn keeper = account(elsewhere.signIn());
        assertThat(keeper.workshopName()).isEqualTo("Lantern Quay");
        everyPageOpens(keeper);
        String rack = page(keeper, "/");
        assertThat(rack).contains("Pit 5 viola", "On the bench, II off", "For a repairer");
        UUID run = database.sql("select id from run where outcome = 'OPEN' and workshop_id = ?")
                .param(keeper.workshopId())
                .query(UUID.class)
                .single();
        assertThat(page(keeper, "/bench/" + run)).contains("Pit 5 viola");
        assertThat(page(keeper, "/settling")).contains("Pit 2 violin");
        assertThat(page(keeper, "/people")).contains("Bench under the stage", "bench-2");
        assertThat(take(keeper, archive(account("keeper"))))
                .as("a second time")
                .bodyText()
                .contains("Something is on record in this workshop by now");
    }

    /** Whoever moves a workshop of their own is not there twice; the others come without a password. */
    @Test
    void whoSignsInByTheSameNameIsTheSamePerson() throws Exception {
        fill(new Random(8));
        SignedIn elsewhere = stranger();
        Map<String, String> files = unpacked(archive(account("keeper")));
        byte[] archive = with(
                files,
                "data/account.json",
                people -> people.replace("\"signIn\":\"keeper\"", "\"signIn\":\"" + elsewhere.signIn() + "\""));
        assertThat(take(elsewhere, archive)).hasStatus(302);
        assertThat(database.sql("select sign_in from account where workshop_id = ? order by 1")
                        .param(elsewhere.workshopId())
                        .query(String.class)
                        .list())
                .containsExactly("bench-2", "pit-2", elsewhere.signIn(), "village-2");
        assertThat(database.sql("select account_id from kit_item where workshop_id = ?")
                        .param(elsewhere.workshopId())
                        .query(UUID.class)
                        .list())
                .as("whose kit it is")
                .containsExactly(elsewhere.accountId());
        assertThat(passwords.matches(PASSWORD, hash("bench-2"))).isFalse();
        assertThat(page(account(elsewhere.signIn()), "/people")).contains("bench-2", "Link for a new password");
    }

    private void everyPageOpens(SignedIn keeper) throws Exception {
        List<UUID> instruments = database.sql("select id from instrument where workshop_id = ?")
                .param(keeper.workshopId())
                .query(UUID.class)
                .list();
        assertThat(instruments).isNotEmpty();
        for (UUID id : instruments) {
            for (String end : List.of("", "/log", "/passport", "/passport.pdf", "/bridge", "/pegs", "/post", "/edit")) {
                assertThat(mvc.get().uri("/instruments/" + id + end).with(user(keeper)))
                        .as(end)
                        .hasStatus(200);
            }
        }
    }

    /** Whatever this release wrote is read by every later one. */
    @Test
    void anArchiveOfTheFirstFormIsRead() throws Exception {
        SignedIn elsewhere = stranger();
        assertThat(take(elsewhere, Files.readAllBytes(ARCHIVE_OF_FORM_1))).hasStatus(302);
        assertThat(database.sql("select (select count(*) from drawer_string where workshop_id = ?) from fitted_string"
                                + " where kept and workshop_id = ? group by kept having count(*) > 0")
                        .params(elsewhere.workshopId(), elsewhere.workshopId())
                        .query(Integer.class)
                        .single())
                .as("old strings that were kept before there was a drawer lie in it")
                .isEqualTo(1);
        everyPageOpens(account(elsewhere.signIn()));
    }

    @Test
    void theFormIsTheOneDocumentedAndEveryListKeepsToIt() throws Exception {
        fill(new Random(4));
        Map<String, String> files = unpacked(archive(account("keeper")));
        String schema = files.get("schema.json");
        assertThat(schema + "\n")
                .as("the form changed: say so in docs/archive.md, count it on in ArchiveLayout, and renew " + SCHEMA)
                .isEqualTo(Files.readString(SCHEMA));
        for (String name : files.keySet()) {
            if (name.startsWith("data/")) {
                String list = name.replaceAll("data/|\\.json", "");
                Schema one = SchemaRegistry.withDefaultDialect(SpecificationVersion.DRAFT_2020_12)
                        .getSchema(
                                schema.replaceFirst("\\{", "{\"\\$ref\": \"#/\\$defs/" + list + "\","),
                                InputFormat.JSON);
                assertThat(one.validate(files.get(name), InputFormat.JSON))
                        .as(name)
                        .isEmpty();
            }
        }
    }

    /** No cell is a formula, and a number stays one. */
    @Test
    void tablesAreHarmlessAndSayWhatIsMeant() throws Exception {
        SignedIn keeper = account("keeper");
        post(keeper, "/instruments/" + instrument("Pit 1 violin") + "/notes", "text", "=HYPERLINK(\"x\")");
        Map<String, String> files = unpacked(archive(keeper));
        assertThat(files.get("lists/instrumentNote.csv")).contains("Pit 1 violin,\"'=HYPERLINK(\"\"x\"\")\"");
        assertThat(files.get("lists/settlingReading.csv")).contains(",-71,").doesNotContain("'-");
    }

    @Test
    void noSecretsAndNothingOfAnotherWorkshopIsInIt() throws Exception {
        SignedIn other = stranger();
        post(other, "/instruments/new", "name", "Not yours", "size", "VIOLA 16", "strung", "UNKNOWN");
        String all = String.join("\n", unpacked(archive(account("keeper"))).values());
        assertThat(all)
                .doesNotContain(
                        "bcrypt",
                        "passwordHash",
                        "Not yours",
                        other.workshopId().toString())
                .doesNotContain(account("keeper").workshopId().toString());
    }

    static Stream<Arguments> badArchives() {
        return Stream.of(
                bad("empty", files -> new byte[0], "Choose a file first"),
                bad("no archive", files -> "PK, but not really".getBytes(UTF_8), "This is no archive of a workshop"),
                bad("cut off", files -> Arrays.copyOf(packed(files), 9000), "This is no archive of a workshop"),
                bad("of something else", files -> packed(Map.of("a.txt", "b")), "This is no archive of a workshop"),
                bad("a path that leads out", files -> with(files, "../../etc/evil", x -> "x"), "leads out of it"),
                bad("gigabytes", files -> bomb(), "larger than any workshop"),
                bad("newer", head("\"version\" : 1", "\"version\" : 9"), "written in form 9"),
                bad("no place", head("Europe/London", "Middle/Earth"), "does not say what the workshop is called"),
                bad("a list missing", files -> without(files, "data/instrument.json"), "has 0 rows where"),
                bad("a row missing", list("instrument", "(?s)\\{[^\n]*},\n", ""), "has 15 rows where"),
                bad("a list cut off", list("measurement", "(?s)^(.{900}).*", "$1"), "measurement is cut off"),
                bad("no list", list("measurement", "(?s).+", "7"), "measurement is cut off"),
                bad("a column nobody knows", list("run", "\"reason\"", "\"season\""), "something unknown: season"),
                bad("a word nobody knows", list("run", "BEFORE_PERFORMANCE", "FOR_FUN"), "run_reason_check"),
                bad("no number", list("instrument", "\"hoursPerWeek\":[0-9.]+", "\"hoursPerWeek\":\"many\""), "double"),
                bad(
                        "a key that leads nowhere",
                        list("run", "\"instrumentId\":\"[^\"]+", "\"instrumentId\":\"x"),
                        "fkey"),
                bad("too long", list("instrument", "\"name\":\"", "\"name\":\"" + "x".repeat(99)), "character varying"),
                bad("a sign no text has", list("instrument", "\"name\":\"", "\"name\":\"\\\\u0000"), "Unicode"),
                bad("no size", list("instrument", "\"size\":\"[^\"]+", "\"size\":\"9/9"), "cannot be true"));
    }

    /** Turns the files of a good archive into a bad one. */
    private interface Spoiling {
        byte[] spoil(Map<String, String> files) throws IOException;
    }

    private static Arguments bad(String name, Spoiling spoiling, String sentence) {
        return Arguments.argumentSet(name, spoiling, sentence);
    }

    private static Spoiling head(String what, String with) {
        return files -> with(files, "workshop.json", head -> head.replace(what, with));
    }

    private static Spoiling list(String list, String what, String with) {
        return files -> with(files, "data/" + list + ".json", rows -> rows.replaceFirst(what, with));
    }

    private static byte[] with(Map<String, String> files, String name, UnaryOperator<String> change)
            throws IOException {
        Map<String, String> changed = new LinkedHashMap<>(files);
        changed.put(name, change.apply(files.getOrDefault(name, "")));
        return packed(changed);
    }

    private static byte[] without(Map<String, String> files, String name) throws IOException {
        Map<String, String> changed = new LinkedHashMap<>(files);
        changed.remove(name);
        return packed(changed);
    }

    /** A third of a gigabyte of nothing, in less than a third of a megabyte. */
    private static byte[] bomb() throws IOException {
        ByteArrayOutputStream archive = new ByteArrayOutputStream();
        try (ZipOutputStream folder = new ZipOutputStream(archive)) {
            folder.putNextEntry(new ZipEntry("workshop.json"));
            folder.write(("{\"kind\":\"workshop\",\"version\":1,\"name\":\"x\",\"zone\":\"UTC\",\"referenceAHz\":440,"
                            + "\"rows\":{}}")
                    .getBytes(UTF_8));
            folder.putNextEntry(new ZipEntry("data/stringKind.json"));
            blanks(folder, 300);
        }
        return archive.toByteArray();
    }

    private static void blanks(OutputStream file, int megabytes) throws IOException {
        byte[] blanks = " ".repeat(1_000_000).getBytes(UTF_8);
        file.write('[');
        for (int i = 0; i < megabytes; i++) {
            file.write(blanks);
        }
    }

    @ParameterizedTest
    @MethodSource("badArchives")
    void aBadArchiveGetsASentenceAndChangesNothing(Spoiling spoiling, String sentence) throws Exception {
        SignedIn elsewhere = stranger();
        Map<String, String> files = unpacked(archive(account("keeper")));
        byte[] before = archive(elsewhere);
        MvcTestResult answer = take(elsewhere, spoiling.spoil(files));
        assertThat(answer).hasStatus(200).bodyText().contains(sentence);
        assertThat(comparable(unpacked(archive(account(elsewhere.signIn()))))).isEqualTo(comparable(unpacked(before)));
    }

    private byte[] passport(UUID instrument) throws Exception {
        MvcTestResult sent = mvc.get()
                .uri("/instruments/" + instrument + "/passport.json")
                .with(user(account("keeper")))
                .exchange();
        assertThat(sent).hasStatus(200);
        return sent.getResponse().getContentAsByteArray();
    }

    private MvcTestResult arrive(SignedIn who, byte[] passport) {
        return arrive(who, passport, UUID.randomUUID());
    }

    private MvcTestResult arrive(SignedIn who, byte[] passport, UUID press) {
        return send(who, "/instruments/passport?press=" + press, "file", passport);
    }

    @Test
    void anInstrumentGoesToAnotherWorkshopWithItsHistory() throws Exception {
        fill(new Random(5));
        UUID violin = instrument("Pit 1 violin");
        byte[] passport = passport(violin);
        assertThat(new String(passport, UTF_8))
                .contains("\"recordedBy\":\"Lantern Quay\"")
                .doesNotContain("Bench under the stage", "EUR", "Pit 2 violin", "Opening night", "bench");
        SignedIn elsewhere = stranger();
        MvcTestResult arrived = arrive(elsewhere, passport);
        assertThat(arrived).hasStatus(302);
        String there = arrived.getResponse().getRedirectedUrl();
        assertThat(there).startsWith("/instruments/");
        for (String page : List.of("", "/log", "/bridge", "/passport", "/plan")) {
            assertThat(page(elsewhere, there + page)).contains("Pit 1 violin");
        }
        assertThat(page(elsewhere, there)).contains("/picture.jpg");
        assertThat(new String(passport, UTF_8))
                .contains("\"learnedAll\":null")
                .doesNotContainPattern("\"learnedAll\":\\d");
        assertThat(database.sql("select count(*) from string_kind where workshop_id = ? and learned_all is not null")
                        .param(elsewhere.workshopId())
                        .query(Integer.class)
                        .single())
                .as("what its own strings teach is learned there")
                .isPositive();
        assertThat(recorded(UUID.fromString(there.substring(13)))).isEqualTo(recorded(violin));
        assertThat(page(elsewhere, "/")).contains("Pit 1 violin");

        int kinds = kinds(elsewhere);
        String again = arrive(elsewhere, passport).getResponse().getRedirectedUrl();
        assertThat(page(elsewhere, again)).contains("Pit 1 violin (2)");
        assertThat(kinds(elsewhere)).as("kinds that were there already").isEqualTo(kinds);
        sql("update string_kind set tension_n = tension_n + 1 where workshop_id = ?", elsewhere.workshopId());
        arrive(elsewhere, passport);
        assertThat(kinds(elsewhere)).as("kinds of that name with other figures").isEqualTo(2 * kinds);
    }

    private int kinds(SignedIn who) {
        return database.sql("select count(*) from string_kind where workshop_id = ?")
                .param(who.workshopId())
                .query(Integer.class)
                .single();
    }

    /** How much there is on record of an instrument, list by list. */
    private List<Integer> recorded(UUID instrument) {
        return Stream.of(
                        "fitted_string",
                        "measurement",
                        "instrument_note",
                        "run",
                        "peg_look",
                        "care",
                        "bridge_picture",
                        "instrument_picture",
                        "owed_work")
                .map(table -> database.sql("select count(*) from " + table + " where instrument_id = ?")
                        .param(instrument)
                        .query(Integer.class)
                        .single())
                .toList();
    }

    @Test
    void aPassportThatIsSentTwiceIsTakenInOnce() throws Exception {
        SignedIn elsewhere = stranger();
        byte[] passport = passport(instrument("Pit 2 violin"));
        UUID press = UUID.randomUUID();
        for (int i = 0; i < 2; i++) {
            assertThat(arrive(elsewhere, passport, press)).hasRedirectedUrl("/instruments/" + press);
        }
        assertThat(page(elsewhere, "/")).contains("Pit 2 violin").doesNotContain("Pit 2 violin (2)");
        assertThat(arrive(elsewhere, passport, instrument("Pit 3 violin")))
                .as("the key of somebody else's instrument")
                .hasStatus(200)
                .bodyText()
                .contains("instrument_pkey");
    }

    @Test
    void whatIsOnTheBenchGoesOnElsewhere() throws Exception {
        SignedIn elsewhere = stranger();
        arrive(elsewhere, passport(instrument("Pit 5 viola")));
        UUID run = database.sql("select id from run where outcome = 'OPEN' and workshop_id = ?")
                .param(elsewhere.workshopId())
                .query(UUID.class)
                .single();
        assertThat(page(elsewhere, "/bench/" + run)).contains("step 13 of 24");
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "{",
                "[]",
                "{\"kind\":\"workshop\",\"version\":1}",
                "{\"kind\":\"passport\",\"version\":1}",
                "{\"kind\":\"passport\",\"version\":1,\"data\":{\"instrument\":[]}}",
                "{\"kind\":\"passport\",\"version\":1,\"data\":{\"instrument\":[{}]}}",
                "{\"kind\":\"passport\",\"version\":1,\"data\":[]}",
                "{\"kind\":\"passport\",\"version\":1,\"data\":{\"account\":[]}}",
                "{\"kind\":\"passport\",\"version\":1,\"data\":{\"instrument\":[{\"name\":\"x\"",
                "\u0000\u0001\u0002"
            })
    void aBadPassportGetsASentence(String passport) {
        SignedIn elsewhere = stranger();
        assertThat(arrive(elsewhere, passport.getBytes(UTF_8)))
                .hasStatus(200)
                .bodyText()
                .contains("Nothing was changed");
        assertThat(database.sql("select count(*) from instrument where workshop_id = ?")
                        .param(elsewhere.workshopId())
                        .query(Integer.class)
                        .single())
                .isZero();
    }

    @Test
    void aPictureIsMadeSmallKeptReplacedAndTakenAway() throws Exception {
        SignedIn keeper = account("keeper");
        String violin = "/instruments/" + instrument("Pit 1 violin");
        ByteArrayOutputStream large = new ByteArrayOutputStream();
        ImageIO.write(new BufferedImage(3000, 1500, BufferedImage.TYPE_INT_RGB), "png", large);
        assertThat(send(keeper, violin + "/passport/picture", "picture", "no picture".getBytes(UTF_8)))
                .bodyText()
                .contains("Choose a JPEG or PNG picture");
        assertThat(mvc.get().uri(violin + "/picture.jpg").with(user(keeper))).hasStatus(404);
        assertThat(send(keeper, violin + "/passport/picture", "picture", large.toByteArray()))
                .hasStatus(302);
        BufferedImage kept = ImageIO.read(new ByteArrayInputStream(picture(violin)));
        assertThat(kept.getWidth()).isEqualTo(1400);
        assertThat(kept.getHeight()).isEqualTo(700);
        assertThat(mvc.get().uri(violin + "/picture.jpg").with(user(stranger())))
                .hasStatus(404);
        assertThat(send(keeper, violin + "/passport/picture", "picture", takenUpright()))
                .hasStatus(302);
        byte[] replaced = picture(violin);
        BufferedImage upright = ImageIO.read(new ByteArrayInputStream(replaced));
        assertThat(upright.getHeight()).as("a telephone held upright").isEqualTo(2 * upright.getWidth());
        assertThat(new String(replaced, ISO_8859_1)).as("where it was taken").doesNotContain("Exif");
        assertThat(post(keeper, violin + "/passport/picture/remove")).hasStatus(302);
        assertThat(page(keeper, violin)).doesNotContain("/picture.jpg");
    }

    private byte[] picture(String instrument) throws Exception {
        return mvc.get()
                .uri(instrument + "/picture.jpg")
                .with(user(account("keeper")))
                .exchange()
                .getResponse()
                .getContentAsByteArray();
    }

    /** A picture that lies on its side, with the note of a camera that it is to be turned. */
    private static byte[] takenUpright() throws IOException {
        ByteArrayOutputStream picture = new ByteArrayOutputStream();
        ImageIO.write(new BufferedImage(800, 400, BufferedImage.TYPE_INT_RGB), "jpg", picture);
        byte[] lying = picture.toByteArray();
        byte[] turned = "Exif\0\0MM\0*\0\0\0\b\0\1\1\22\0\3\0\0\0\1\0\6\0\0\0\0\0\0".getBytes(ISO_8859_1);
        ByteArrayOutputStream noted = new ByteArrayOutputStream();
        noted.write(lying, 0, 2);
        noted.write(new byte[] {(byte) 0xff, (byte) 0xe1, 0, (byte) (turned.length + 2)});
        noted.write(turned);
        noted.write(lying, 2, lying.length - 2);
        return noted.toByteArray();
    }

    /** On one sheet, whatever was recorded. */
    @ParameterizedTest
    @ValueSource(strings = {"Pit 1 violin", "Pit 4 violin, five strings", "Pit 11 bass", "Lending ½ violin 3"})
    void aPassportFillsOneSheet(String name) throws Exception {
        fill(new Random(6));
        sql("update fitted_string set removed_at = now() where instrument_id = ?", instrument("Pit 11 bass"));
        byte[] sheet = mvc.get()
                .uri("/instruments/" + instrument(name) + "/passport.pdf")
                .with(user(account("pit")))
                .exchange()
                .getResponse()
                .getContentAsByteArray();
        try (PDDocument pdf = Loader.loadPDF(sheet)) {
            assertThat(pdf.getNumberOfPages()).isEqualTo(1);
            assertThat(new PDFTextStripper().getText(pdf).replaceAll("\\s+", " "))
                    .contains(name, "Strings on it now", "What happened last", "looks for the sound post first");
        }
    }
}
