package rosinedpeg.web.players;

import java.util.List;
import java.util.Set;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import rosinedpeg.web.platform.CurrentWorkshop;

/** Who plays which instrument of the present workshop. */
@Service
@Transactional(readOnly = true)
public class Players {

    private final JdbcClient database;

    Players(JdbcClient database) {
        this.database = database;
    }

    /** {@return who plays an instrument, by their names} */
    public List<UUID> of(UUID instrument) {
        return database.sql("select i.person_id from instrument_player i join person p on p.id = i.person_id"
                        + " where i.workshop_id = ? and i.instrument_id = ? order by p.name, p.id")
                .params(CurrentWorkshop.id(), instrument)
                .query(UUID.class)
                .list();
    }

    /** Says who plays an instrument, and that nobody else does. */
    @Transactional
    public void say(UUID instrument, Set<UUID> people) {
        database.sql("delete from instrument_player where workshop_id = ? and instrument_id = ?")
                .params(CurrentWorkshop.id(), instrument)
                .update();
        for (UUID person : people) {
            database.sql("insert into instrument_player (instrument_id, person_id, workshop_id) values (?, ?, ?)"
                            + " on conflict do nothing")
                    .params(instrument, person, CurrentWorkshop.id())
                    .update();
        }
    }
}
