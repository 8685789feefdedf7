package rosinedpeg.web.archive;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import rosinedpeg.web.account.Accounts;
import rosinedpeg.web.platform.WorkshopTables;

/**
 * What stands in an archive, list by list: every table of a workshop with all its columns, but for what is a secret, is worked out
 * of the rest, or waits for a day only.
 */
@Component
class ArchiveLayout {

    /**
     * Which form is written. A migration that changes what is asked of a list makes another; older ones are brought into it by
     * {@link Taking}.
     */
    static final int VERSION = 1;

    /** Secrets, what waits to be taken in, and what is worked out of the rest. */
    private static final Set<String> LEFT_OUT = Set.of(
            "person",
            "waiting_file",
            "one_time_link",
            "diary_feed",
            "known_device",
            "second_factor",
            "recovery_code",
            "rack_place",
            "settling_string",
            "due_string",
            "account.password_hash");

    /** Whatever is read belongs to whoever reads it. */
    private static final String OWN = "workshop_id";
    /** A press tells a thing sent twice; only here does it also hold several rows together. */
    private static final String HELD_TOGETHER_BY_PRESS = "measurement";

    /** What people are and do; whatever points to it is theirs. */
    private static final Set<String> OF_PEOPLE = Set.of("account", "occasion");
    /**
     * What lies in the drawer, is bought for it, planned at the bench or practised stays with the workshop, and so does who borrows, whatever
     * instrument it is for.
     */
    private static final Pattern OF_THE_WORKSHOP = Pattern.compile(
            "drawer_\\w+|instrument_player|case_kit|supplier|maker_bought|purchase(_line)?"
                    + "|bench_\\w+|practice_\\w+|two_sets|instrument_away|finished_work|borrower|shelf_instrument|loan");

    private static final String COLUMNS = """
            select c.relname as part, a.attname as name, t.typname as type, a.attnotnull as required,
                   case when t.typname = 'varchar' and a.atttypmod > 0 then a.atttypmod - 4 end as longest,
                   (select p.relname from pg_constraint f join pg_class p on p.oid = f.confrelid
                    where f.conrelid = c.oid and f.contype = 'f' and a.attnum = any (f.conkey) and p.relname <> 'workshop'
                    limit 1) as referred,
                   exists (select 1 from pg_index i where i.indrelid = c.oid and i.indisprimary
                           and a.attnum = any (i.indkey)) as identifies
            from pg_class c join pg_attribute a on a.attrelid = c.oid and a.attnum > 0 and not a.attisdropped
            join pg_type t on t.oid = a.atttypid
            where c.relnamespace = current_schema()::regnamespace and c.relkind = 'r'
            order by c.relname, a.attnum""";

    private static final String PERSON = "person";
    private static final Pattern WORD = Pattern.compile("_([a-z])");

    private final JdbcClient database;
    private final WorkshopTables tables;

    ArchiveLayout(JdbcClient database, WorkshopTables tables) {
        this.database = database;
        this.tables = tables;
    }

    /** {@return the lists, each after those it points to} */
    List<Part> parts() {
        Map<String, List<InSchema>> columns = new LinkedHashMap<>();
        database.sql(COLUMNS)
                .query(InSchema.class)
                .list()
                .forEach(column -> columns.computeIfAbsent(column.part(), none -> new ArrayList<>())
                        .add(column));
        Set<String> referred = new HashSet<>();
        columns.values().forEach(all -> all.forEach(column -> referred.add(String.valueOf(column.referred()))));
        List<Part> parts = new ArrayList<>();
        for (String table : tables.parentsFirst()) {
            if (!LEFT_OUT.contains(table)) {
                parts.add(part(table, columns.getOrDefault(table, List.of()), referred.contains(table)));
            }
        }
        return parts;
    }

    /** {@return the lists that tell of instruments, and not of people, what they play when, or what lies in the drawer, is bought or planned} */
    List<Part> partsOfInstruments() {
        return parts().stream()
                .filter(part -> !OF_THE_WORKSHOP.matcher(part.table()).matches())
                .filter(part -> part.columns().stream()
                        .flatMap(column -> column.group().stream())
                        .noneMatch(OF_PEOPLE::contains))
                .toList();
    }

    private static Part part(String table, List<InSchema> inSchema, boolean referred) {
        List<Column> kept = new ArrayList<>();
        List<String> given = new ArrayList<>();
        List<String> order = new ArrayList<>();
        for (InSchema one : inSchema) {
            if (one.identifies()) {
                order.add(one.name());
            }
            if (one.name().equals(OWN) || LEFT_OUT.contains(table + "." + one.name())) {
                continue;
            }
            boolean own = one.name().equals("id");
            boolean press = one.name().equals("press");
            if (own && !referred || press && !table.equals(HELD_TOGETHER_BY_PRESS)) {
                given.add(one.name());
            } else {
                kept.add(
                        PERSON.equals(one.referred())
                                ? signature(one)
                                : new Column(
                                        one.name(),
                                        camel(one.name()),
                                        one.type(),
                                        one.required(),
                                        Optional.ofNullable(one.longest()),
                                        group(table, one, own),
                                        false));
            }
        }
        return new Part(
                table,
                camel(table),
                kept,
                given,
                table.equals("run_event") ? "run_id, sequence" : String.join(", ", order));
    }

    /** Whoever reads an archive is told names: a person stands in it by what they are called. */
    private static Column signature(InSchema column) {
        return new Column(
                column.name(),
                camel(column.name().replaceFirst("^person_id$", "name")),
                "varchar",
                column.required(),
                Optional.of(Accounts.LONGEST_NAME),
                Optional.empty(),
                true);
    }

    /** What the keys in a column are keys of: a list, or something that has no list of its own. */
    private static Optional<String> group(String table, InSchema column, boolean own) {
        if (!column.type().equals("uuid")) {
            return Optional.empty();
        }
        String referred = column.referred();
        return Optional.of(
                camel(own ? table : referred != null ? referred : column.name().replaceFirst("_id$", "")));
    }

    /** {@return a name of the schema as it stands in the archive: fitted_string as fittedString} */
    static String camel(String name) {
        return WORD.matcher(name).replaceAll(word -> word.group(1).toUpperCase(Locale.ROOT));
    }

    /** A column as the database tells it. */
    record InSchema(
            String part,
            String name,
            String type,
            boolean required,
            @Nullable Integer longest,
            @Nullable String referred,
            boolean identifies) {}

    /**
     * A list of the archive.
     *
     * @param table its table
     * @param name what it is called in the archive
     * @param columns what stands in a row
     * @param given keys that do not stand in it, and are given anew to whoever reads it
     * @param order what its rows are ordered by
     */
    record Part(String table, String name, List<Column> columns, List<String> given, String order) {

        /** {@return one of its columns by its name in the schema, where it has it} */
        Optional<Column> column(String inSchema) {
            return columns.stream()
                    .filter(column -> column.inSchema().equals(inSchema))
                    .findFirst();
        }

        /** {@return the column that holds a picture, where it has one} */
        Optional<Column> picture() {
            return columns.stream()
                    .filter(column -> column.type().equals("bytea"))
                    .findFirst();
        }
    }

    /**
     * What stands in a row.
     *
     * @param inSchema its column
     * @param name what it is called in the archive
     * @param type the column's type
     * @param required whether it is always there
     * @param longest how many characters it may have, where that is limited
     * @param group what it is a key of, where it is one
     * @param person whether it is a person, by name
     */
    record Column(
            String inSchema,
            String name,
            String type,
            boolean required,
            Optional<Integer> longest,
            Optional<String> group,
            boolean person) {}
}
