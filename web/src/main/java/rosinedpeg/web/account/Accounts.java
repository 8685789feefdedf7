package rosinedpeg.web.account;

import static java.util.Objects.requireNonNull;

import java.time.Clock;
import java.time.Instant;
import java.time.OffsetDateTime;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.jdbc.core.RowMapper;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.security.core.userdetails.UserDetails;
import org.springframework.security.core.userdetails.UserDetailsPasswordService;
import org.springframework.security.core.userdetails.UserDetailsService;
import org.springframework.security.core.userdetails.UsernameNotFoundException;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import rosinedpeg.core.pitch.ReferenceA;
import rosinedpeg.web.platform.NotFoundException;
import rosinedpeg.web.platform.PersonNames;
import rosinedpeg.web.platform.Role;
import rosinedpeg.web.platform.Secret;
import rosinedpeg.web.platform.SignedIn;
import rosinedpeg.web.platform.ZoneChanged;

/**
 * The people of the workshops. Reads accounts by plain queries, because somebody who signs in has no workshop yet;
 * every other query names the workshop it is for.
 */
@Service
public class Accounts implements UserDetailsService, UserDetailsPasswordService {

    private static final String SELECT =
            "select a.id, a.person_id, a.workshop_id, w.name as workshop, w.zone, w.reference_a_hz, a.sign_in, p.name,"
                    + " a.role, a.active, w.players_own_only, w.keepers_second_step, w.leaves_at,"
                    + " w.keepers_second_step and a.role = 'KEEPER' and not exists (select 1 from second_factor f"
                    + " where f.account_id = a.id and f.confirmed_at is not null) as second_step_due from account a"
                    + " join workshop w on w.id = a.workshop_id join person p on p.id = a.person_id ";
    private static final RowMapper<SignedIn> ROW = (row, number) -> new SignedIn(
            row.getObject("id", UUID.class),
            row.getObject("person_id", UUID.class),
            row.getObject("workshop_id", UUID.class),
            row.getString("workshop"),
            ZoneId.of(row.getString("zone")),
            row.getDouble("reference_a_hz"),
            row.getString("sign_in"),
            row.getString("name"),
            Role.valueOf(row.getString("role")),
            row.getBoolean("active"),
            row.getBoolean("players_own_only"),
            row.getBoolean("keepers_second_step"),
            row.getBoolean("second_step_due"),
            row.getObject("leaves_at", OffsetDateTime.class) == null
                    ? null
                    : row.getObject("leaves_at", OffsetDateTime.class).toInstant());

    /** How many characters the name of a workshop or a person may have. */
    public static final int LONGEST_NAME = 80;

    /** How many characters somebody signs in with at most. */
    static final int LONGEST_SIGN_IN = 60;

    private static final int KEEPERS_TOLD = 50;

    private final JdbcClient database;
    private final PasswordEncoder passwords;
    private final PersonNames names;
    private final ApplicationEventPublisher events;
    private final Clock clock;

    Accounts(
            JdbcClient database,
            PasswordEncoder passwords,
            PersonNames names,
            ApplicationEventPublisher events,
            Clock clock) {
        this.database = database;
        this.passwords = passwords;
        this.names = names;
        this.events = events;
        this.clock = clock;
    }

    @Override
    public UserDetails loadUserByUsername(String signIn) {
        return find(signIn).map(this::credentials).orElseThrow(() -> new UsernameNotFoundException(signIn));
    }

    private Credentials credentials(SignedIn account) {
        return database.sql("select password_hash, exists (select 1 from second_factor f where f.account_id = a.id"
                        + " and f.confirmed_at is not null) as second_step from account a where id = ?")
                .param(account.accountId())
                .query((row, number) ->
                        new Credentials(account, row.getString("password_hash"), row.getBoolean("second_step")))
                .single();
    }

    /** Keeps a hash that was made anew, of the same password, by what makes them now. */
    @Override
    @Transactional
    public UserDetails updatePassword(UserDetails person, @Nullable String hash) {
        Credentials credentials = (Credentials) person;
        String kept = requireNonNull(hash);
        database.sql("update account set password_hash = ? where id = ?")
                .params(kept, credentials.account().accountId())
                .update();
        return new Credentials(credentials.account(), kept, credentials.secondStep());
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

    /** Says whether players look after the instruments they play only, or help with every one. */
    @Transactional
    public void letPlayers(UUID workshop, boolean ownOnly) {
        database.sql("update workshop set players_own_only = ? where id = ?")
                .params(ownOnly, workshop)
                .update();
    }

    /** Changes all that a keeper decides for a workshop, or nothing of it. */
    @Transactional
    void changeWorkshop(
            SignedIn keeper, String name, ZoneId zone, ReferenceA referenceA, boolean ownOnly, boolean secondStep) {
        changeWorkshop(keeper.workshopId(), name, zone, referenceA);
        if (!zone.equals(keeper.zone())) {
            events.publishEvent(new ZoneChanged());
        }
        letPlayers(keeper.workshopId(), ownOnly);
        if (secondStep != keeper.keepersSecondStep()) {
            askKeepers(keeper.workshopId(), secondStep);
        }
    }

    /** Says whether keepers have to sign in with a second step; one without it sets it up at the next page. */
    private void askKeepers(UUID workshop, boolean secondStep) {
        database.sql("update workshop set keepers_second_step = ? where id = ?")
                .params(secondStep, workshop)
                .update();
        RightsLog.tell("Keepers of workshop " + workshop + (secondStep ? " need" : " need no") + " second step");
    }

    /** Changes what a workshop is called, where it stands and what it is tuned to; whoever is signed in sees it at the next page. */
    @Transactional
    public void changeWorkshop(UUID id, String name, ZoneId zone, ReferenceA referenceA) {
        database.sql("update workshop set name = ?, zone = ?, reference_a_hz = ? where id = ?")
                .params(name, zone.getId(), referenceA.hertz(), id)
                .update();
    }

    /**
     * Adds a person to a workshop.
     *
     * @return whether it was done; not when the sign-in name is in use
     */
    @Transactional
    public boolean add(UUID workshopId, String signIn, String name, Role role, String password) {
        Optional<UUID> there = withoutAccount(workshopId, name);
        UUID person = there.orElseGet(() -> names.add(workshopId, name));
        UUID account = UUID.randomUUID();
        boolean added = database.sql("insert into account (id, workshop_id, person_id, sign_in, role, password_hash,"
                                + " version) values (?, ?, ?, ?, ?, ?, 0) on conflict (sign_in) do nothing")
                        .params(account, workshopId, person, normal(signIn), role.name(), encoded(password))
                        .update()
                == 1;
        if (added) {
            RightsLog.tell("It was made, as " + role, account);
        } else if (there.isEmpty()) {
            database.sql("delete from person where id = ?").param(person).update();
        }
        return added;
    }

    /** Somebody who stood at the bench before they had an account is the same person. */
    private Optional<UUID> withoutAccount(UUID workshopId, String name) {
        return names.find(workshopId, name).filter(person -> !withAccount(person));
    }

    /** {@return what is kept of a password that nobody knows} */
    public String passwordOfNobody() {
        return encoded(Secret.fresh());
    }

    /** {@return the account with a sign-in name} */
    public Optional<SignedIn> find(String signIn) {
        return database.sql(SELECT + "where a.sign_in = ?")
                .param(normal(signIn))
                .query(ROW)
                .optional();
    }

    Optional<SignedIn> find(UUID accountId) {
        return database.sql(SELECT + "where a.id = ?")
                .param(accountId)
                .query(ROW)
                .optional();
    }

    /** {@return the people of a workshop, those who may sign in first} */
    public List<SignedIn> people(UUID workshopId) {
        return database.sql(SELECT + "where a.workshop_id = ? order by a.active desc, a.role, p.name")
                .param(workshopId)
                .query(ROW)
                .list();
    }

    /** {@return who keeps any workshop, no more than {@value #KEEPERS_TOLD} of them: for whoever has the database, and nobody else} */
    List<SignedIn> keepers() {
        return database.sql(SELECT + "where a.role = 'KEEPER' and a.active order by w.name, p.name, a.id limit ?")
                .param(KEEPERS_TOLD)
                .query(ROW)
                .list();
    }

    /**
     * Whether a name is somebody's already. Whoever is invited may be somebody who stood at the bench before they had an account; nobody
     * who has one can become them.
     *
     * @param workshopId the workshop
     * @param name the name
     * @param ofWhom whose name it is to be; empty for somebody who is invited
     */
    boolean isCalled(UUID workshopId, String name, Optional<SignedIn> ofWhom) {
        return names.find(workshopId, name)
                .filter(person ->
                        ofWhom.map(one -> !one.personId().equals(person)).orElseGet(() -> withAccount(person)))
                .isPresent();
    }

    private boolean withAccount(UUID person) {
        return database.sql("select exists (select 1 from account where person_id = ?)")
                .param(person)
                .query(Boolean.class)
                .single();
    }

    /**
     * Whether somebody else keeps a workshop, and will until the end of the transaction: of two keepers who take each other away at one
     * moment, one stays.
     */
    boolean isKeptWithout(UUID workshopId, UUID accountId) {
        database.sql("select id from workshop where id = ? for update")
                .param(workshopId)
                .query(UUID.class)
                .single();
        return database.sql("select exists (select 1 from account where workshop_id = ? and id <> ? and role = 'KEEPER'"
                        + " and active)")
                .params(workshopId, accountId)
                .query(Boolean.class)
                .single();
    }

    /**
     * Changes what somebody is called and what they may do; both hold at the next page.
     *
     * @return whether it was done; not when nobody would keep the workshop any more
     */
    @Transactional
    boolean change(SignedIn account, String name, Role role) {
        if (role != Role.KEEPER && !isKeptWithout(account.workshopId(), account.accountId())) {
            return false;
        }
        names.rename(account.workshopId(), account.personId(), name);
        database.sql("update account set role = ?, version = version + 1 where id = ?")
                .params(role.name(), account.accountId())
                .update();
        if (role != account.role()) {
            RightsLog.tell("Its role is " + role + " now", account.accountId());
        }
        return true;
    }

    /**
     * One of the people of a workshop.
     *
     * @throws NotFoundException when the workshop has nobody with that id
     */
    SignedIn person(UUID workshopId, UUID accountId) {
        return find(accountId)
                .filter(account -> account.workshopId().equals(workshopId))
                .orElseThrow(() -> new NotFoundException("account " + accountId));
    }

    /**
     * Lets a person of the workshop in, or no longer.
     *
     * @return whether it was done; not when nobody would keep the workshop any more
     */
    @Transactional
    boolean setActive(UUID workshopId, UUID accountId, boolean active) {
        if (!active && !isKeptWithout(workshopId, accountId)) {
            return false;
        }
        int rows = database.sql("update account set active = ?, version = version + 1 where id = ? and workshop_id = ?")
                .params(active, accountId, workshopId)
                .update();
        if (rows == 0) {
            throw new NotFoundException("account " + accountId);
        }
        RightsLog.tell(active ? "It may sign in again" : "It was shut", accountId);
        if (!active) {
            endSessions(accountId);
        }
        return true;
    }

    /** {@return whether the password is that of the account, as it is stored now} */
    boolean knows(SignedIn account, String password) {
        return passwords.matches(password, credentials(account).passwordHash());
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
        RightsLog.tell("Its password was changed", account.accountId());
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
        RightsLog.tell("It has a new password, by a link", accountId);
        endSessions(accountId);
    }

    /** Ends every session of somebody. */
    void endSessions(UUID accountId) {
        database.sql("delete from spring_session where principal_name = ?")
                .param(accountId.toString())
                .update();
    }

    /** {@return the last backup of the whole database; empty where none was made} */
    public Optional<LastBackup> lastBackup() {
        return database.sql("select made_at, bytes is null as failed from backup order by made_at desc limit 1")
                .query((row, number) -> new LastBackup(
                        row.getObject("made_at", OffsetDateTime.class).toInstant(), row.getBoolean("failed")))
                .optional();
    }

    /** {@return the sessions in which somebody is signed in, the one used last first} */
    List<SignInSession> sessions(SignedIn account, String present) {
        return database.sql("select session_id, creation_time, last_access_time from spring_session"
                        + " where principal_name = ? order by last_access_time desc")
                .param(account.accountId().toString())
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
                .params(account.accountId().toString(), present)
                .update();
    }

    /** {@return a sign-in name as it is kept} */
    static String normal(String signIn) {
        return signIn.strip().toLowerCase(Locale.ROOT);
    }
}
