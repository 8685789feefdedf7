package rosinedpeg.web.platform;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.time.Duration;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.support.TransactionSynchronization;
import org.springframework.transaction.support.TransactionSynchronizationManager;

/**
 * What the people of a workshop are called. Whatever is recorded is signed by a person and not by a name, so that a name is kept once:
 * changed, it is another everywhere at once, and whoever is removed is somebody from then on. A person may have an account, have had
 * one, or be somebody who only ever stands at the bench.
 *
 * <p>Another instance may show a former name for {@value #SECONDS} seconds.
 */
@Component("names")
public class PersonNames {

    /** Of the database: whoever is called so with an account before whoever has none. */
    private static final String CALLED = "select p.id from person p left join account a on a.person_id = p.id"
            + " where p.workshop_id = ? and lower(p.name) = lower(?) order by a.id is null, p.id limit 1";

    private static final int SECONDS = 5;
    private static final int WORKSHOPS = 1_000;

    private final JdbcClient database;
    private final Words words;
    private final Cache<UUID, Map<UUID, Optional<String>>> known = Caffeine.newBuilder()
            .expireAfterWrite(Duration.ofSeconds(SECONDS))
            .maximumSize(WORKSHOPS)
            .build();

    PersonNames(JdbcClient database, Words words) {
        this.database = database;
        this.words = words;
    }

    /** {@return what a person of the present workshop is called; "somebody" where they were removed, nothing where there is none} */
    public String of(@Nullable UUID person) {
        return person == null ? "" : find(person).orElseGet(() -> words.say("people.somebody"));
    }

    /** {@return what a person of the present workshop is called; empty where they were removed} */
    public Optional<String> find(UUID person) {
        UUID workshop = CurrentWorkshop.id();
        Map<UUID, Optional<String>> there = known.get(workshop, this::read);
        if (!there.containsKey(person)) {
            // Somebody who came since, perhaps by another instance.
            there = read(workshop);
            known.put(workshop, there);
        }
        return there.getOrDefault(person, Optional.empty());
    }

    private Map<UUID, Optional<String>> read(UUID workshop) {
        Map<UUID, Optional<String>> names = new HashMap<>();
        database.sql("select id, name from person where workshop_id = ?")
                .param(workshop)
                .query(row -> {
                    names.put(row.getObject("id", UUID.class), Optional.ofNullable(row.getString("name")));
                });
        return names;
    }

    /** {@return the person of the present workshop who is called so, whichever the case; entered where there is none} */
    @Transactional
    public UUID called(String name) {
        return find(CurrentWorkshop.id(), name).orElseGet(() -> add(CurrentWorkshop.id(), name));
    }

    /** {@return the person of a workshop who is called so, whichever the case} */
    public Optional<UUID> find(UUID workshop, String name) {
        return database.sql(CALLED).params(workshop, name).query(UUID.class).optional();
    }

    /** {@return a new person of a workshop} */
    @Transactional
    public UUID add(UUID workshop, String name) {
        UUID id = UUID.randomUUID();
        database.sql("insert into person (id, workshop_id, name) values (?, ?, ?)")
                .params(id, workshop, name)
                .update();
        changed(workshop);
        return id;
    }

    /** A person is called otherwise from now on, or, without a name, is somebody. */
    @Transactional
    public void rename(UUID workshop, UUID person, @Nullable String name) {
        database.sql("update person set name = :name where id = :person and workshop_id = :workshop")
                .param("name", name)
                .param("person", person)
                .param("workshop", workshop)
                .update();
        changed(workshop);
    }

    private void changed(UUID workshop) {
        TransactionSynchronizationManager.registerSynchronization(new TransactionSynchronization() {
            @Override
            public void afterCommit() {
                known.invalidate(workshop);
            }
        });
    }
}
