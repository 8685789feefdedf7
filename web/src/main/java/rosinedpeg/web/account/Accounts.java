package rosinedpeg.web.account;

import static java.util.Objects.requireNonNull;
import static org.springframework.security.web.context.HttpSessionSecurityContextRepository.SPRING_SECURITY_CONTEXT_KEY;

import java.time.Clock;
import java.time.Instant;
import java.time.OffsetDateTime;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.UUID;
import org.springframework.jdbc.core.RowMapper;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.core.context.SecurityContext;
import org.springframework.security.core.context.SecurityContextImpl;
import org.springframework.security.core.userdetails.UserDetailsService;
import org.springframework.security.core.userdetails.UsernameNotFoundException;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.session.FindByIndexNameSessionRepository;
import org.springframework.session.Session;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.support.TransactionSynchronization;
import org.springframework.transaction.support.TransactionSynchronizationManager;
import rosinedpeg.core.pitch.ReferenceA;
import rosinedpeg.web.platform.NotFoundException;
import rosinedpeg.web.platform.Role;
import rosinedpeg.web.platform.Secret;
import rosinedpeg.web.platform.SignedIn;

/**
 * The people of the workshops. Reads accounts by plain queries, because somebody who signs in has no workshop yet;
 * every other query names the workshop it is for.
 */
@Service
public class Accounts implements UserDetailsService {

    private static final String SELECT =
            "select a.id, a.workshop_id, w.name as workshop, w.zone, w.reference_a_hz, a.sign_in, a.name,"
                    + " a.role, a.password_hash, a.active, w.leaves_at from account a join workshop w on w.id = a.workshop_id ";
    private static final RowMapper<SignedIn> ROW = (row, number) -> new SignedIn(
            row.getObject("id", UUID.class),
            row.getObject("workshop_id", UUID.class),
            row.getString("workshop"),
            ZoneId.of(row.getString("zone")),
            row.getDouble("reference_a_hz"),
            row.getString("sign_in"),
            row.getString("name"),
            Role.valueOf(row.getString("role")),
            row.getString("password_hash"),
            row.getBoolean("active"),
            row.getObject("leaves_at", OffsetDateTime.class) == null
                    ? null
                    : row.getObject("leaves_at", OffsetDateTime.class).toInstant());

    /** How many characters the name of a workshop or a person may have. */
    public static final int LONGEST_NAME = 80;

    private final JdbcClient database;
    private final PasswordEncoder passwords;
    private final FindByIndexNameSessionRepository<? extends Session> sessions;
    private final Clock clock;

    Accounts(
            JdbcClient database,
            PasswordEncoder passwords,
            FindByIndexNameSessionRepository<? extends Session> sessions,
            Clock clock) {
        this.database = database;
        this.passwords = passwords;
        this.sessions = sessions;
        this.clock = clock;
    }

    @Override
    public SignedIn loadUserByUsername(String signIn) {
        return find(signIn).orElseThrow(() -> new UsernameNotFoundException(signIn));
    }

    /** {@return whether there is any workshop yet} */
    public boolean anyWorkshop() {
        return database.sql("select exists (select 1 from workshop)")
                .query(Boolean.class)
                .single();
    }

    /** Opens a workshop under an id of the caller's choice. */
    @Transactional
    public void openWorkshop(UUID id, String name, ZoneId zone, ReferenceA referenceA) {
        database.sql("insert into workshop (id, name, zone, reference_a_hz, created_at) values (?, ?, ?, ?, ?)")
                .params(id, name, zone.getId(), referenceA.hertz(), OffsetDateTime.now(clock.withZone(ZoneOffset.UTC)))
                .update();
    }

    /**
     * Opens the first workshop with its keeper.
     *
     * @return whether it was done; not when somebody has opened one meanwhile
     */
    @Transactional
    boolean openFirst(
            String workshop, ZoneId zone, ReferenceA referenceA, String signIn, String name, String password) {
        database.sql("lock table workshop in exclusive mode").update();
        if (anyWorkshop()) {
            return false;
        }
        UUID id = UUID.randomUUID();
        openWorkshop(id, workshop, zone, referenceA);
        return add(id, signIn, name, Role.KEEPER, password);
    }

    /** Changes what a workshop is called, where it stands and what it is tuned to; whoever is signed in sees it at once. */
    @Transactional
    public void changeWorkshop(UUID id, String name, ZoneId zone, ReferenceA referenceA) {
        database.sql("update workshop set name = ?, zone = ?, reference_a_hz = ? where id = ?")
                .params(name, zone.getId(), referenceA.hertz(), id)
                .update();
        tellSessions(id);
    }

    /** Puts what is on record of the people of a workshop into the sessions they are signed in with, once it is certain. */
    void tellSessions(UUID workshopId) {
        List<SignedIn> people = people(workshopId);
        TransactionSynchronizationManager.registerSynchronization(new TransactionSynchronization() {
            @Override
            public void afterCommit() {
                people.forEach(person -> tell(sessions, person));
            }
        });
    }

    private static <S extends Session> void tell(FindByIndexNameSessionRepository<S> sessions, SignedIn person) {
        for (S session : sessions.findByPrincipalName(person.signIn()).values()) {
            SecurityContext before = session.getAttribute(SPRING_SECURITY_CONTEXT_KEY);
            if (before != null && before.getAuthentication() != null) {
                UsernamePasswordAuthenticationToken now = UsernamePasswordAuthenticationToken.authenticated(
                        person, before.getAuthentication().getCredentials(), person.getAuthorities());
                now.setDetails(before.getAuthentication().getDetails());
                session.setAttribute(SPRING_SECURITY_CONTEXT_KEY, new SecurityContextImpl(now));
                sessions.save(session);
            }
        }
    }

    /**
     * Adds a person to a workshop.
     *
     * @return whether it was done; not when the sign-in name is in use
     */
    @Transactional
    public boolean add(UUID workshopId, String signIn, String name, Role role, String password) {
        return database.sql("insert into account (id, workshop_id, sign_in, name, role, password_hash, version)"
                                + " values (?, ?, ?, ?, ?, ?, 0) on conflict (sign_in) do nothing")
                        .params(UUID.randomUUID(), workshopId, normal(signIn), name, role.name(), encoded(password))
                        .update()
                == 1;
    }

    /** {@return what is kept of a password that nobody knows} */
    public String passwordOfNobody() {
        return encoded(Secret.fresh());
    }

    Optional<SignedIn> find(String signIn) {
        return database.sql(SELECT + "where a.sign_in = ?")
                .param(normal(signIn))
                .query(ROW)
                .optional();
    }

    /** {@return the people of a workshop, those who may sign in first} */
    public List<SignedIn> people(UUID workshopId) {
        return database.sql(SELECT + "where a.workshop_id = ? order by a.active desc, a.role, a.name")
                .param(workshopId)
                .query(ROW)
                .list();
    }

    /** Lets a person of the workshop in, or no longer. */
    @Transactional
    void setActive(UUID workshopId, UUID accountId, boolean active) {
        int rows = database.sql("update account set active = ?, version = version + 1 where id = ? and workshop_id = ?")
                .params(active, accountId, workshopId)
                .update();
        if (rows == 0) {
            throw new NotFoundException("account " + accountId);
        }
        if (!active) {
            endSessions(signIn(accountId));
        }
    }

    /** {@return whether the password is that of the account, as it is stored now} */
    boolean knows(SignedIn account, String password) {
        return find(account.signIn())
                .map(stored -> passwords.matches(password, stored.passwordHash()))
                .orElse(false);
    }

    private String encoded(String password) {
        return requireNonNull(passwords.encode(password));
    }

    /** Changes a password, and ends every other session of the account. */
    @Transactional
    void changePassword(SignedIn account, String password, String sessionToKeep) {
        database.sql("update account set password_hash = ?, version = version + 1 where id = ?")
                .params(encoded(password), account.accountId())
                .update();
        endOtherSessions(account, sessionToKeep);
    }

    /** Gives somebody of a workshop another password, and ends every session of theirs. */
    @Transactional
    void setPassword(UUID workshopId, UUID accountId, String password) {
        int rows = database.sql("update account set password_hash = ?, version = version + 1"
                        + " where id = ? and workshop_id = ?")
                .params(encoded(password), accountId, workshopId)
                .update();
        if (rows == 0) {
            throw new NotFoundException("account " + accountId);
        }
        endSessions(signIn(accountId));
    }

    private String signIn(UUID accountId) {
        return database.sql("select sign_in from account where id = ?")
                .param(accountId)
                .query(String.class)
                .single();
    }

    /** Ends every session of somebody. */
    void endSessions(String signIn) {
        database.sql("delete from spring_session where principal_name = ?")
                .param(signIn)
                .update();
    }

    /** {@return the last backup of the whole database; empty where none was made} */
    Optional<LastBackup> lastBackup() {
        return database.sql("select made_at, bytes is null as failed from backup order by made_at desc limit 1")
                .query((row, number) -> new LastBackup(
                        row.getObject("made_at", OffsetDateTime.class).toInstant(), row.getBoolean("failed")))
                .optional();
    }

    /** {@return the sessions in which somebody is signed in, the one used last first} */
    List<SignInSession> sessions(SignedIn account, String present) {
        return database.sql("select session_id, creation_time, last_access_time from spring_session"
                        + " where principal_name = ? order by last_access_time desc")
                .param(account.signIn())
                .query((row, number) -> new SignInSession(
                        Instant.ofEpochMilli(row.getLong("creation_time")),
                        Instant.ofEpochMilli(row.getLong("last_access_time")),
                        row.getString("session_id").equals(present)))
                .list();
    }

    /** Ends every session of somebody but one. */
    @Transactional
    void endOtherSessions(SignedIn account, String present) {
        database.sql("delete from spring_session where principal_name = ? and session_id <> ?")
                .params(account.signIn(), present)
                .update();
    }

    private static String normal(String signIn) {
        return signIn.strip().toLowerCase(Locale.ROOT);
    }
}
