package rosinedpeg.web;

import static java.nio.charset.StandardCharsets.UTF_8;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import jakarta.persistence.EntityManagerFactory;
import jakarta.persistence.Table;
import java.io.IOException;
import java.io.InputStream;
import java.net.URI;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import java.util.zip.GZIPInputStream;
import org.flywaydb.core.Flyway;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.jdbc.datasource.DriverManagerDataSource;
import rosinedpeg.core.pegs.PegSign;
import rosinedpeg.core.pitch.ReferenceA;
import rosinedpeg.core.plan.Material;
import rosinedpeg.core.setup.Family;
import rosinedpeg.core.setup.PegKind;
import rosinedpeg.core.setup.Side;
import rosinedpeg.core.setup.Size;
import rosinedpeg.core.setup.TailEnd;
import rosinedpeg.core.strings.Position;
import rosinedpeg.core.strings.StringFigure;
import rosinedpeg.core.wear.Demand;
import rosinedpeg.core.wear.WearSign;
import rosinedpeg.web.instrument.Instruments;
import rosinedpeg.web.instrument.NewInstrument;
import rosinedpeg.web.lend.WithIt;
import rosinedpeg.web.platform.Constraint;
import rosinedpeg.web.platform.CurrentWorkshop;

/** What the database itself holds to, and that it can be brought here from every release. */
class SchemaIT extends RunningApplication {

    private static final Path RELEASES = Path.of("src/test/resources/releases");

    /** Columns that hold several words, and the words that each may hold. */
    private static final Map<String, Class<? extends Enum<?>>> IN_ARRAYS = Map.of(
            "instrument.tail_ends", TailEnd.class,
            "instrument.peg_sides", Side.class,
            "fitted_string.signs", WearSign.class,
            "peg_look.signs", PegSign.class,
            "owed_work.strings", Position.class,
            "bench_wish.strings", Position.class,
            "loan.with_it", WithIt.class,
            "owed_work.materials", Material.class,
            "string_kind.assumed", StringFigure.class);

    /** What a list in a check allows. */
    private static final Pattern WORD = Pattern.compile("'(\\w+)'::");

    @Autowired
    EntityManagerFactory entities;

    @Autowired
    Instruments instruments;

    /** A key that leaves the workshop out would let one stand in another's way, or point into it. */
    @Test
    void everyKeyCarriesTheWorkshop() {
        List<String> keys = database.sql("""
                        select pg_get_indexdef(i.indexrelid) from pg_index i
                        join pg_attribute a on a.attrelid = i.indrelid and a.attname = 'workshop_id'
                        where i.indisunique and not i.indisprimary and not a.attnum = any (i.indkey)
                        union
                        select c.conrelid::regclass || ' ' || pg_get_constraintdef(c.oid) from pg_constraint c
                        join pg_attribute a on a.attrelid = c.confrelid and a.attname = 'workshop_id'
                        where c.contype = 'f' and not a.attnum = any (c.confkey)
                        """).query(String.class).list();
        assertThat(keys)
                .as("nobody signs in to two workshops by one name")
                .singleElement()
                .satisfies(key -> assertThat(key).contains("account", "(sign_in)"));
    }

    /** An enum that gains a value needs a migration, and a list that names what the code does not know cannot be read. */
    @Test
    void listsInTheSchemaAreTheEnumsOfTheCode() {
        Map<String, List<String>> lists = new TreeMap<>();
        database.sql("""
                        select c.conrelid::regclass || '.' || a.attname as place, pg_get_constraintdef(c.oid) as list
                        from pg_constraint c join pg_attribute a on a.attrelid = c.conrelid and a.attnum = c.conkey[1]
                        where c.contype = 'c' and cardinality(c.conkey) = 1 and pg_get_constraintdef(c.oid) like '%ARRAY[%'
                        """)
                .query()
                .listOfRows()
                .forEach(row -> lists.put(
                        row.get("place").toString(),
                        WORD.matcher(row.get("list").toString())
                                .results()
                                .map(word -> word.group(1))
                                .toList()));
        List<String> unlisted = new ArrayList<>();
        entities.getMetamodel()
                .getEntities()
                .forEach(entity -> entity.getSingularAttributes().stream()
                        .filter(attribute -> attribute.getJavaType().isEnum())
                        .forEach(attribute -> {
                            String place = entity.getJavaType()
                                            .getAnnotation(Table.class)
                                            .name() + "."
                                    + attribute
                                            .getName()
                                            .replaceAll("([A-Z])", "_$1")
                                            .toLowerCase(Locale.ROOT);
                            List<String> values = Arrays.stream(
                                            attribute.getJavaType().getEnumConstants())
                                    .map(value -> ((Enum<?>) value).name())
                                    .toList();
                            if (!lists.containsKey(place)) {
                                unlisted.add(place);
                            } else {
                                assertThat(lists.get(place)).as(place).containsExactlyInAnyOrderElementsOf(values);
                            }
                        }));
        assertThat(unlisted).isEmpty();
        assertThat(database.sql("""
                        select table_name || '.' || column_name from information_schema.columns
                        where table_schema = 'public' and udt_name = '_varchar'
                        """).query(String.class).list())
                .containsExactlyInAnyOrderElementsOf(IN_ARRAYS.keySet());
        IN_ARRAYS.forEach((place, words) -> assertThat(lists.get(place))
                .as(place)
                .containsExactlyInAnyOrderElementsOf(
                        Arrays.stream(words.getEnumConstants()).map(Enum::name).toList()));
    }

    @Test
    void constraintsThatTheCodeTellsApartAreThere() {
        List<String> named = database.sql("select conname from pg_constraint union select indexname from pg_indexes")
                .query(String.class)
                .list();
        assertThat(Arrays.stream(Constraint.values()).map(Constraint::inSchema)).isSubsetOf(named);
    }

    /** As when two devices send the same name at one moment. */
    @Test
    void theDatabaseSaysWhatItComplainsOf() {
        NewInstrument wanted = new NewInstrument(
                "PIT 1 VIOLIN",
                Size.of(Family.VIOLIN, "4/4"),
                false,
                ReferenceA.STANDARD,
                Family.VIOLIN.openStrings(),
                Collections.nCopies(4, TailEnd.SLOT),
                false,
                PegKind.TAPERED_WOOD,
                5,
                Demand.STUDY);
        assertThatThrownBy(() -> CurrentWorkshop.in(account("bench"), () -> instruments.add(wanted)))
                .isInstanceOfSatisfying(DataIntegrityViolationException.class, complaint -> {
                    assertThat(Constraint.INSTRUMENT_NAME.isViolatedBy(complaint))
                            .isTrue();
                    assertThat(Constraint.CARE_ONCE.isViolatedBy(complaint)).isFalse();
                });
    }

    static Stream<Path> releases() throws IOException {
        try (Stream<Path> files = Files.list(RELEASES)) {
            return files.sorted().toList().stream();
        }
    }

    private DriverManagerDataSource emptyDatabase(String name) {
        database.sql("create database " + name).update();
        return new DriverManagerDataSource(
                System.getenv("PEG_DATABASE_URL").replaceFirst("/[^/]*$", "/" + name),
                System.getenv("PEG_DATABASE_USER"),
                System.getenv("PEG_DATABASE_PASSWORD"));
    }

    /**
     * A database that a release before this one filled is brought here, and nothing of it is lost; whoever wants back puts the backup
     * they made before in its place, and has all of it as it was.
     */
    @ParameterizedTest
    @MethodSource("releases")
    void aDatabaseOfAReleaseBeforeIsBroughtHereAndBack(Path release) throws Exception {
        String name = "migrated_" + System.nanoTime();
        DriverManagerDataSource old = emptyDatabase(name);
        try (Connection connection = DriverManager.getConnection(old.getUrl(), old.getUsername(), old.getPassword());
                InputStream dump = new GZIPInputStream(Files.newInputStream(release))) {
            connection.createStatement().execute(new String(dump.readAllBytes(), UTF_8));
        }
        Path backup = Files.createTempFile("before", ".backup");
        postgres("pg_dump", "-Fc", "-f", backup.toString(), name);
        Map<String, String> asItWas = contents(old);
        Map<String, Long> before = counts(old);
        List<String> signatures = signatures(old, "r.started_by");
        Flyway.configure().dataSource(old).load().migrate();
        Map<String, Long> after = counts(old);
        before.forEach((table, rows) -> assertThat(after.get(table)).as(table).isEqualTo(rows));
        assertThat(signatures(old, "(select p.name from person p where p.id = r.started_by)"))
                .as("who began which run")
                .isNotEmpty()
                .isEqualTo(signatures);

        DriverManagerDataSource back = emptyDatabase(name + "_back");
        postgres("pg_restore", "--exit-on-error", "--no-owner", "-d", name + "_back", backup.toString());
        Files.delete(backup);
        assertThat(contents(back)).isEqualTo(asItWas);
        assertThat(shape(JdbcClient.create(old)))
                .as("the same schema as an empty database comes to")
                .containsExactlyInAnyOrderElementsOf(shape(database));
        assertThat(JdbcClient.create(old)
                        .sql(
                                "select name from instrument where lower(name) like 'pit 1 violin%' order by created_at, name desc")
                        .query(String.class)
                        .list())
                .isIn(List.of("Pit 1 violin"), List.of("Pit 1 violin", "PIT 1 violin (2)"));
    }

    private static List<String> signatures(DriverManagerDataSource source, String startedBy) {
        return JdbcClient.create(source)
                .sql("select r.id || ' ' || " + startedBy + " from run r order by 1")
                .query(String.class)
                .list();
    }

    private static List<String> tables(JdbcClient client) {
        return client.sql(
                        "select tablename from pg_tables where schemaname = 'public' and tablename <> 'flyway_schema_history'")
                .query(String.class)
                .list();
    }

    /** {@return every table with a sum over all its rows} */
    private static Map<String, String> contents(DriverManagerDataSource source) {
        JdbcClient client = JdbcClient.create(source);
        Map<String, String> contents = new TreeMap<>();
        tables(client)
                .forEach(table -> contents.put(
                        table,
                        client.sql("select coalesce(md5(string_agg(r::text, ' ' order by r::text)), '') from public."
                                        + table + " r")
                                .query(String.class)
                                .single()));
        return contents;
    }

    /** Runs a program of the PostgreSQL that the tests have. */
    private static void postgres(String program, String... arguments) throws Exception {
        URI server = URI.create(System.getenv("PEG_DATABASE_URL").replaceFirst("^jdbc:", ""));
        List<String> command = new ArrayList<>(List.of(
                "sh",
                "-c",
                "exec \"$(ls -d /usr/lib/postgresql/*/bin | sort -V | tail -n 1)/$0\" \"$@\"",
                program,
                "-h",
                server.getHost(),
                "-p",
                String.valueOf(server.getPort()),
                "-U",
                System.getenv("PEG_DATABASE_USER")));
        command.addAll(List.of(arguments));
        ProcessBuilder process = new ProcessBuilder(command).redirectErrorStream(true);
        process.environment().put("PGPASSWORD", System.getenv("PEG_DATABASE_PASSWORD"));
        Process running = process.start();
        String said = new String(running.getInputStream().readAllBytes(), UTF_8);
        assertThat(running.waitFor()).as(said).isZero();
    }

    private static Map<String, Long> counts(DriverManagerDataSource source) throws SQLException {
        JdbcClient client = JdbcClient.create(source);
        Map<String, Long> counts = new TreeMap<>();
        tables(client)
                .forEach(table -> counts.put(
                        table,
                        client.sql("select count(*) from public." + table)
                                .query(Long.class)
                                .single()));
        return counts;
    }

    private static TreeSet<String> shape(JdbcClient client) {
        // A dump writes the casts of a list in another place.
        return client.sql("""
                        select table_name || ' ' || column_name || ' ' || data_type || ' ' || is_nullable
                        from information_schema.columns where table_schema = 'public'
                        union
                        select c.conrelid::regclass || ' ' || c.conname || ' ' || pg_get_constraintdef(c.oid)
                        from pg_constraint c join pg_namespace n on n.oid = c.connamespace where n.nspname = 'public'
                        union select indexdef from pg_indexes where schemaname = 'public'
                        """).query(String.class).list().stream()
                .map(line -> line.replaceAll("::(character varying|text)(\\[])?|[()]", ""))
                .collect(Collectors.toCollection(TreeSet::new));
    }
}
