package rosinedpeg.web.account;

import java.time.Clock;
import java.time.Duration;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.util.Optional;
import java.util.UUID;
import java.util.concurrent.TimeUnit;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import rosinedpeg.web.platform.NotFoundException;
import rosinedpeg.web.platform.PersonNames;
import rosinedpeg.web.platform.SignedIn;
import rosinedpeg.web.platform.WorkshopTables;

/**
 * Takes people away, and workshops.
 *
 * <p>What somebody recorded belongs to the instruments and stays, signed by a person without a name. A workshop goes whole, after a
 * pause in which it can be kept. Which tables that concerns is asked of the database, so that none is forgotten.
 */
@Service
class Leaving {

    /** How long a workshop that is taken away can still be kept. */
    static final Duration PAUSE = Duration.ofDays(7);

    private final JdbcClient database;
    private final WorkshopTables tables;
    private final Accounts accounts;
    private final PersonNames names;
    private final ApplicationEventPublisher events;
    private final Clock clock;

    Leaving(
            JdbcClient database,
            WorkshopTables tables,
            Accounts accounts,
            PersonNames names,
            ApplicationEventPublisher events,
            Clock clock) {
        this.database = database;
        this.tables = tables;
        this.accounts = accounts;
        this.names = names;
        this.events = events;
        this.clock = clock;
    }

    /**
     * Takes a person away: their account, what they like, their calendar addresses. What they recorded stays and is signed by
     * somebody.
     *
     * @return whether it was done; not when nobody would keep the workshop any more
     * @throws NotFoundException when the workshop has nobody with that id
     */
    @Transactional
    boolean remove(UUID workshopId, UUID accountId) {
        SignedIn person = accounts.person(workshopId, accountId);
        if (!accounts.isKeptWithout(workshopId, accountId)) {
            return false;
        }
        forget("account_id", accountId, workshopId);
        forget("person_id", person.personId(), workshopId);
        accounts.endSessions(person.accountId());
        database.sql("delete from account where id = ? and workshop_id = ?")
                .params(accountId, workshopId)
                .update();
        names.rename(workshopId, person.personId(), null);
        RightsLog.tell("It was removed", accountId);
        events.publishEvent(new PersonLeft(person.personId()));
        return true;
    }

    /** What points to somebody goes with them, but for their account itself, which other rows point to. */
    private void forget(String column, UUID whose, UUID workshopId) {
        for (String table : tables.with(column)) {
            if (!table.equals("account")) {
                database.sql("delete from " + table + " where " + column + " = ? and workshop_id = ?")
                        .params(whose, workshopId)
                        .update();
            }
        }
    }

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
            letLedgersGo();
            for (String table : tables.childrenFirst()) {
                database.sql("delete from " + table + " where workshop_id = ?")
                        .param(workshop)
                        .update();
            }
            database.sql("delete from workshop where id = ?").param(workshop).update();
        }
    }

    /** Until the end of the transaction. */
    private void letLedgersGo() {
        database.sql("select set_config('peg.leaving', 'workshop', true)")
                .query(String.class)
                .single();
    }

    private OffsetDateTime now() {
        return OffsetDateTime.now(clock.withZone(ZoneOffset.UTC));
    }
}
