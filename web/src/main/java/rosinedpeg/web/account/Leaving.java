package rosinedpeg.web.account;

import java.time.Clock;
import java.time.Duration;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.concurrent.TimeUnit;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import rosinedpeg.web.platform.NotFoundException;
import rosinedpeg.web.platform.SignedIn;
import rosinedpeg.web.platform.Words;
import rosinedpeg.web.platform.WorkshopTables;

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

    /** Columns that hold the name of whoever did something. */
    private static final String SIGNED =
            "select c.relname, a.attname from pg_class c join pg_attribute a on a.attrelid = c.oid and a.attname ~ '_by$'"
                    + " join pg_attribute w on w.attrelid = c.oid and w.attname = 'workshop_id'"
                    + " where c.relnamespace = current_schema()::regnamespace and c.relkind = 'r' order by c.relname";

    private final JdbcClient database;
    private final WorkshopTables tables;
    private final Accounts accounts;
    private final Words words;
    private final Clock clock;

    Leaving(JdbcClient database, WorkshopTables tables, Accounts accounts, Words words, Clock clock) {
        this.database = database;
        this.tables = tables;
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
        for (String table : tables.with("account_id")) {
            database.sql("delete from " + table + " where account_id = ? and workshop_id = ?")
                    .params(accountId, workshopId)
                    .update();
        }
        accounts.endSessions(person.accountId());
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
    }

    /** Takes away the workshops whose pause is over. Of several servers one does it. */
    @Transactional
    @Scheduled(fixedDelay = 1, initialDelay = 0, timeUnit = TimeUnit.HOURS)
    void removeDue() {
        for (UUID workshop : database.sql("select id from workshop where leaves_at <= ? for update skip locked")
                .param(now())
                .query(UUID.class)
                .list()) {
            accounts.people(workshop).forEach(person -> accounts.endSessions(person.accountId()));
            leaving("workshop");
            for (String table : tables.childrenFirst()) {
                database.sql("delete from " + table + " where workshop_id = ?")
                        .param(workshop)
                        .update();
            }
            database.sql("delete from workshop where id = ?").param(workshop).update();
        }
    }

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
