package rosinedpeg.web.platform;

import static org.springframework.web.context.request.RequestAttributes.SCOPE_REQUEST;

import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.context.request.RequestAttributes;
import org.springframework.web.context.request.RequestContextHolder;

/**
 * What the people of a workshop are called. Whatever is recorded is signed by a person and not by a name, so that a name is kept once:
 * changed, it is another everywhere at once, and whoever is removed is somebody from then on. A person may have an account, have had
 * one, or be somebody who only ever stands at the bench.
 *
 * <p>They are read once for a page, and kept no longer.
 */
@Component("names")
public class PersonNames {

    /** Of the database: whoever is called so with an account before whoever has none. */
    private static final String CALLED = "select p.id from person p left join account a on a.person_id = p.id"
            + " where p.workshop_id = ? and lower(p.name) = lower(?) order by a.id is null, p.id limit 1";

    private static final String READ = PersonNames.class.getName();

    private final JdbcClient database;
    private final Words words;

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
        Map<UUID, Optional<String>> there = there();
        if (!there.containsKey(person)) {
            // Somebody who came since.
            forget();
            there = there();
        }
        return there.getOrDefault(person, Optional.empty());
    }

    @SuppressWarnings("unchecked")
    private Map<UUID, Optional<String>> there() {
        UUID workshop = CurrentWorkshop.id();
        RequestAttributes page = RequestContextHolder.getRequestAttributes();
        if (page == null) {
            return read(workshop);
        }
        Object read = page.getAttribute(READ + workshop, SCOPE_REQUEST);
        if (read == null) {
            read = read(workshop);
            page.setAttribute(READ + workshop, read, SCOPE_REQUEST);
        }
        return (Map<UUID, Optional<String>>) read;
    }

    private static void forget() {
        RequestAttributes page = RequestContextHolder.getRequestAttributes();
        if (page != null) {
            page.removeAttribute(READ + CurrentWorkshop.id(), SCOPE_REQUEST);
        }
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
        forget();
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
        forget();
    }
}
