package rosinedpeg.web.account;

import java.time.Clock;
import java.time.Duration;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.jdbc.core.RowMapper;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import rosinedpeg.web.platform.NotFoundException;
import rosinedpeg.web.platform.Role;
import rosinedpeg.web.platform.Secret;
import rosinedpeg.web.platform.SignedIn;

/**
 * Links that let somebody in once: whoever was invited, and whoever has forgotten their password. The keeper hands one over; it
 * holds for a week and for one use, and a newer one for the same person ends it.
 */
@Service
@Transactional(readOnly = true)
class OneTimeLinks {

    static final Duration HOLDS = Duration.ofDays(7);

    private static final RowMapper<Link> ROW = (row, number) -> new Link(
            row.getObject("id", UUID.class),
            row.getObject("workshop_id", UUID.class),
            row.getString("workshop"),
            Optional.ofNullable(row.getObject("account_id", UUID.class)),
            row.getString("name"),
            Role.valueOf(row.getString("role")),
            row.getObject("ends_at", OffsetDateTime.class),
            row.getBoolean("alone"));
    private static final String OPEN =
            "select l.id, l.workshop_id, w.name as workshop, l.account_id, l.name, l.role, l.ends_at,"
                    + " not exists (select 1 from workshop other where other.id <> w.id) as alone"
                    + " from one_time_link l join workshop w on w.id = l.workshop_id where l.used_at is null and l.ends_at > ?";

    private final JdbcClient database;
    private final Accounts accounts;
    private final SecondFactors factors;
    private final Clock clock;

    OneTimeLinks(JdbcClient database, Accounts accounts, SecondFactors factors, Clock clock) {
        this.database = database;
        this.accounts = accounts;
        this.factors = factors;
        this.clock = clock;
    }

    /** {@return the secret of a link for somebody who is to join a workshop} */
    @Transactional
    String invite(UUID workshopId, String name, Role role) {
        return make(workshopId, Optional.empty(), name, role);
    }

    /**
     * Makes a link by which somebody chooses a new password.
     *
     * @param workshopId the workshop
     * @param accountId whose
     * @return the secret of the link; links for the same person that were made before end
     * @throws NotFoundException when the workshop has nobody with that id
     */
    @Transactional
    String forgotten(UUID workshopId, UUID accountId) {
        SignedIn person = accounts.person(workshopId, accountId);
        database.sql("delete from one_time_link where account_id = ? and used_at is null")
                .param(accountId)
                .update();
        return make(workshopId, Optional.of(accountId), person.name(), person.role());
    }

    private String make(UUID workshopId, Optional<UUID> accountId, String name, Role role) {
        String text = Secret.fresh();
        database.sql("insert into one_time_link (id, hash, workshop_id, account_id, name, role, ends_at)"
                        + " values (:id, :hash, :workshop, :account, :name, :role, :ends)")
                .param("id", UUID.randomUUID())
                .param("hash", Secret.hash(text))
                .param("workshop", workshopId)
                .param("account", accountId.orElse(null))
                .param("name", name)
                .param("role", role.name())
                .param("ends", now().plus(HOLDS))
                .update();
        accountId.ifPresentOrElse(
                account -> RightsLog.tell("A link for a new password was made", account),
                () -> RightsLog.tell("Somebody was invited as " + role));
        return text;
    }

    /** {@return what a link is for; empty where it was used, has ended or never was} */
    Optional<Link> find(String secret) {
        return database.sql(OPEN + " and l.hash = ?")
                .params(now(), Secret.hash(secret))
                .query(ROW)
                .optional();
    }

    /** {@return the invitations of a workshop that wait for somebody} */
    List<Link> invitations(UUID workshopId) {
        return database.sql(OPEN + " and l.workshop_id = ? and l.account_id is null order by l.ends_at")
                .params(now(), workshopId)
                .query(ROW)
                .list();
    }

    /** Ends an invitation that nobody has used. */
    @Transactional
    void takeBack(UUID workshopId, UUID id) {
        database.sql("delete from one_time_link where id = ? and workshop_id = ? and used_at is null")
                .params(id, workshopId)
                .update();
    }

    /**
     * Uses a link.
     *
     * @param secret the secret of the link
     * @param signIn what whoever was invited signs in with; of no account where a password was forgotten
     * @param password the password
     * @return what became of it
     */
    @Transactional
    Used use(String secret, String signIn, String password) {
        Optional<Link> link = find(secret);
        // Two presses at one moment: the row is one's own, or it is gone.
        if (link.isEmpty()
                || database.sql("update one_time_link set used_at = ? where id = ? and used_at is null")
                                .params(now(), link.get().id())
                                .update()
                        == 0) {
            return Used.GONE;
        }
        Link there = link.get();
        if (there.accountId().isPresent()) {
            accounts.setPassword(there.workshopId(), there.accountId().get(), password);
            // Whoever has lost the telephone as well asks the keeper, too.
            factors.remove(there.accountId().get());
        } else if (!accounts.add(there.workshopId(), there.numbered(signIn), there.name(), there.role(), password)) {
            database.sql("update one_time_link set used_at = null where id = ?")
                    .param(there.id())
                    .update();
            return Used.SIGN_IN_TAKEN;
        }
        return Used.LET_IN;
    }

    private OffsetDateTime now() {
        return OffsetDateTime.now(clock.withZone(ZoneOffset.UTC));
    }

    /** What becomes of a link that is used. */
    enum Used {
        LET_IN,
        SIGN_IN_TAKEN,
        /** It was used, taken back, or its week is over. */
        GONE
    }

    /**
     * A link that still holds.
     *
     * @param id its id, which is not its secret
     * @param workshopId the workshop it is for
     * @param workshop that workshop's name
     * @param accountId whose password was forgotten; empty for an invitation
     * @param name who it is for
     * @param role what they may do
     * @param endsAt until when it holds
     * @param alone whether there is no other workshop
     */
    record Link(
            UUID id,
            UUID workshopId,
            String workshop,
            Optional<UUID> accountId,
            String name,
            Role role,
            OffsetDateTime endsAt,
            boolean alone) {

        private static final int NUMBERS = 10_000;

        /**
         * {@return what follows the name that somebody chooses to sign in with, of {@value #NUMBERS} by chance; nothing where there
         * is no other workshop} A name that is taken elsewhere would tell that there is somebody of that name.
         */
        public String number() {
            return alone ? "" : "-%04d".formatted(Math.floorMod(id.getLeastSignificantBits(), NUMBERS));
        }

        /** {@return what whoever chooses that name signs in with} */
        String numbered(String chosen) {
            return chosen.strip() + number();
        }
    }
}
