package rosinedpeg.web.diary;

import java.time.Clock;
import java.time.OffsetDateTime;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import rosinedpeg.web.platform.Secret;
import rosinedpeg.web.platform.SignedIn;

/**
 * Secret addresses at which calendar programs read the diary. Each belongs to one person, and ends when they or their account do.
 */
@Service
@Transactional(readOnly = true)
class DiaryFeeds {

    /** Nobody needs more at one time. */
    static final int MOST = 5;

    private final JdbcClient database;
    private final Clock clock;

    DiaryFeeds(JdbcClient database, Clock clock) {
        this.database = database;
        this.clock = clock;
    }

    /** {@return the secret of a new address; empty where somebody has {@value #MOST} already} */
    @Transactional
    Optional<String> make(SignedIn person) {
        if (of(person).size() >= MOST) {
            return Optional.empty();
        }
        String text = Secret.fresh();
        database.sql("insert into diary_feed (id, hash, workshop_id, account_id, made_at) values (?, ?, ?, ?, ?)")
                .params(UUID.randomUUID(), Secret.hash(text), person.workshopId(), person.accountId(), now())
                .update();
        return Optional.of(text);
    }

    /** {@return the addresses somebody has, the oldest first} */
    List<Feed> of(SignedIn person) {
        return database.sql("select id, made_at, read_at from diary_feed where workshop_id = ? and account_id = ?"
                        + " order by made_at, id")
                .params(person.workshopId(), person.accountId())
                .query((row, number) -> new Feed(
                        row.getObject("id", UUID.class),
                        row.getObject("made_at", OffsetDateTime.class),
                        Optional.ofNullable(row.getObject("read_at", OffsetDateTime.class))))
                .list();
    }

    /** Ends one of somebody's addresses. */
    @Transactional
    void end(SignedIn person, UUID id) {
        database.sql("delete from diary_feed where id = ? and workshop_id = ? and account_id = ?")
                .params(id, person.workshopId(), person.accountId())
                .update();
    }

    /** {@return whose diary a secret opens; empty where it never did, was ended, or its owner may no longer sign in} */
    @Transactional
    Optional<Owner> open(String secret) {
        byte[] hash = Secret.hash(secret);
        Optional<Owner> owner = database.sql("select f.id, f.workshop_id, w.name, w.zone, a.person_id from diary_feed f"
                        + " join workshop w on w.id = f.workshop_id"
                        + " join account a on a.id = f.account_id and a.workshop_id = f.workshop_id"
                        + " where f.hash = ? and a.active")
                .param(hash)
                .query((row, number) -> new Owner(
                        row.getObject("workshop_id", UUID.class),
                        row.getString("name"),
                        ZoneId.of(row.getString("zone")),
                        row.getObject("person_id", UUID.class)))
                .optional();
        owner.ifPresent(there -> database.sql("update diary_feed set read_at = ? where hash = ?")
                .params(now(), hash)
                .update());
        return owner;
    }

    private OffsetDateTime now() {
        return OffsetDateTime.now(clock.withZone(ZoneOffset.UTC));
    }

    /**
     * An address that somebody has.
     *
     * @param id its id, which is not its secret
     * @param madeAt since when
     * @param readAt when something last read it
     */
    record Feed(UUID id, OffsetDateTime madeAt, Optional<OffsetDateTime> readAt) {}

    /**
     * Whose diary it is.
     *
     * @param workshopId the workshop
     * @param workshop its name
     * @param zone its zone
     * @param personId the person
     */
    record Owner(UUID workshopId, String workshop, ZoneId zone, UUID personId) {}
}
