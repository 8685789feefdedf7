package rosinedpeg.web.account;

import java.time.Clock;
import java.time.Duration;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.concurrent.TimeUnit;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import rosinedpeg.web.platform.NotFoundException;
import rosinedpeg.web.platform.SignedIn;
import rosinedpeg.web.platform.Words;

/**
 * Takes people away, and workshops.
 *
 * <p>What somebody recorded belongs to the instruments and stays, signed by nobody in particular. A workshop goes whole, after a
 * pause in which it can be kept. Which tables and columns that concerns is asked of the database, so that none is forgotten.
 */
@Service
class Leaving {

    /** How long a workshop that is taken away can still be kept. */
    static final Duration PAUSE = Duration.ofDays(7);

    /** Tables that have a column of that name. */
    private static final String TABLES_WITH =
            "select c.relname from pg_class c join pg_attribute a on a.attrelid = c.oid and a.attname = ?"
                    + " where c.relnamespace = current_schema()::regnamespace and c.relkind = 'r' order by c.relname";
    /** Columns that hold the name of whoever did something. */
    private static final String SIGNED =
            "select c.relname, a.attname from pg_class c join pg_attribute a on a.attrelid = c.oid and a.attname ~ '_by$'"
                    + " join pg_attribute w on w.attrelid = c.oid and w.attname = 'workshop_id'"
                    + " where c.relnamespace = current_schema()::regnamespace and c.relkind = 'r' order by c.relname";
    /** Which table points to which. */
    private static final String REFERENCES =
            "select child.relname as child, parent.relname as parent from pg_constraint f"
                    + " join pg_class child on child.oid = f.conrelid join pg_class parent on parent.oid = f.confrelid"
                    + " where f.contype = 'f' and f.connamespace = current_schema()::regnamespace";

    private final JdbcClient database;
    private final Accounts accounts;
    private final Words words;
    private final Clock clock;

    Leaving(JdbcClient database, Accounts accounts, Words words, Clock clock) {
        this.database = database;
        this.accounts = accounts;
        this.words = words;
        this.clock = clock;
    }

    /**
     * Takes a person away: their account, what they like, their calendar addresses. What they recorded stays and is signed by
     * somebody; where another person of the workshop has the same name, nobody can tell whose it is, and the name stays.
     *
     * @throws NotFoundException when the workshop has nobody with that id
     */
    @Transactional
    void remove(UUID workshopId, UUID accountId) {
        List<SignedIn> people = accounts.people(workshopId);
        SignedIn person = people.stream()
                .filter(one -> one.accountId().equals(accountId))
                .findFirst()
                .orElseThrow(() -> new NotFoundException("account " + accountId));
        for (String table : tablesWith("account_id")) {
            database.sql("delete from " + table + " where account_id = ? and workshop_id = ?")
                    .params(accountId, workshopId)
                    .update();
        }
        accounts.endSessions(person.signIn());
        database.sql("delete from account where id = ? and workshop_id = ?")
                .params(accountId, workshopId)
                .update();
        boolean shared = people.stream()
                .anyMatch(other -> other != person && other.name().equals(person.name()));
        if (!shared) {
            leaving("person");
            for (Column column : database.sql(SIGNED)
                    .query((row, number) -> new Column(row.getString("relname"), row.getString("attname")))
                    .list()) {
                database.sql("update " + column.table() + " set " + column.name() + " = ? where workshop_id = ? and "
                                + column.name() + " = ?")
                        .params(words.say("people.somebody"), workshopId, person.name())
                        .update();
            }
        }
    }

    private record Column(String table, String name) {}

    /** Says that a workshop goes after the pause. */
    @Transactional
    void announce(UUID workshopId) {
        leavesAt(workshopId, Optional.of(now().plus(PAUSE)));
    }

    /** Keeps a workshop that was to go. */
    @Transactional
    void keep(UUID workshopId) {
        leavesAt(workshopId, Optional.empty());
    }

    private void leavesAt(UUID workshopId, Optional<OffsetDateTime> moment) {
        database.sql("update workshop set leaves_at = :moment where id = :id")
                .param("moment", moment.orElse(null))
                .param("id", workshopId)
                .update();
        accounts.tellSessions(workshopId);
    }

    /** Takes away the workshops whose pause is over. Of several servers one does it. */
    @Transactional
    @Scheduled(fixedDelay = 1, initialDelay = 0, timeUnit = TimeUnit.HOURS)
    void removeDue() {
        for (UUID workshop : database.sql("select id from workshop where leaves_at <= ? for update skip locked")
                .param(now())
                .query(UUID.class)
                .list()) {
            accounts.people(workshop).forEach(person -> accounts.endSessions(person.signIn()));
            leaving("workshop");
            for (String table : childrenFirst()) {
                database.sql("delete from " + table + " where workshop_id = ?")
                        .param(workshop)
                        .update();
            }
            database.sql("delete from workshop where id = ?").param(workshop).update();
        }
    }

    /** The tables of a workshop, each before those it points to. */
    private List<String> childrenFirst() {
        List<String> left = new ArrayList<>(tablesWith("workshop_id"));
        List<Reference> references = database.sql(REFERENCES)
                .query((row, number) -> new Reference(row.getString("child"), row.getString("parent")))
                .list();
        List<String> order = new ArrayList<>();
        while (!left.isEmpty()) {
            Set<String> pointedTo = new HashSet<>();
            references.stream()
                    .filter(one -> left.contains(one.child()) && !one.child().equals(one.parent()))
                    .forEach(one -> pointedTo.add(one.parent()));
            List<String> free =
                    left.stream().filter(table -> !pointedTo.contains(table)).toList();
            if (free.isEmpty()) {
                throw new IllegalStateException("these tables point to each other in a ring: " + left);
            }
            order.addAll(free);
            left.removeAll(free);
        }
        return order;
    }

    private List<String> tablesWith(String column) {
        return database.sql(TABLES_WITH).param(column).query(String.class).list();
    }

    private record Reference(String child, String parent) {}

    /** Lets the ledgers be touched until the end of the transaction. */
    private void leaving(String what) {
        database.sql("select set_config('peg.leaving', ?, true)")
                .param(what)
                .query(String.class)
                .single();
    }

    private OffsetDateTime now() {
        return OffsetDateTime.now(clock.withZone(ZoneOffset.UTC));
    }
}
