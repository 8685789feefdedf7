package rosinedpeg.web.instrument;

import static java.util.stream.Collectors.joining;

import java.util.List;
import java.util.UUID;
import java.util.stream.Stream;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import rosinedpeg.web.platform.CurrentWorkshop;
import rosinedpeg.web.platform.NotFoundException;
import rosinedpeg.web.platform.WorkshopTables;

/**
 * Removes instruments that were entered and never used, as by mistake. As soon as anything was done with one its record stays, and it
 * can only leave the rack. Which tables tell of it is asked of the database, so that none is forgotten.
 */
@Service
public class NeverUsed {

    /** What is entered with an instrument before anything is done with it, each before what it points to. */
    private static final List<String> ENTERED = List.of(
            "settling_string",
            "due_string",
            "fitted_string",
            "measurement",
            "peg_look",
            "rack_place",
            "case_kit",
            "shelf_instrument",
            "occasion_instrument",
            "instrument_player",
            "instrument_picture",
            "bridge_picture");

    private static final String STRINGS_OF_IT = " in (select id from fitted_string where instrument_id = :id)";

    private final JdbcClient database;
    private final WorkshopTables tables;

    NeverUsed(JdbcClient database, WorkshopTables tables) {
        this.database = database;
        this.tables = tables;
    }

    /** {@return whether nothing was ever done with an instrument} */
    @Transactional(readOnly = true)
    public boolean is(UUID instrument) {
        String done = Stream.concat(
                        tables.pointingTo("instrument").stream()
                                .filter(one -> !ENTERED.contains(one.table()))
                                .map(one ->
                                        "exists (select 1 from " + one.table() + " where " + one.column() + " = :id)"),
                        tables.pointingTo("fitted_string").stream()
                                .filter(one -> !ENTERED.contains(one.table()))
                                .map(one -> "exists (select 1 from " + one.table() + " where " + one.column()
                                        + STRINGS_OF_IT + ")"))
                .collect(joining(" or "));
        return database.sql(
                        "select not (" + done
                                + " or exists (select 1 from fitted_string where instrument_id = :id and removed_at is not null))")
                .param("id", instrument)
                .query(Boolean.class)
                .single();
    }

    /**
     * Removes an instrument with all that was entered of it.
     *
     * @return whether it was done; not when something was done with it
     * @throws NotFoundException when the workshop has no such instrument
     */
    @Transactional
    public boolean remove(UUID instrument) {
        // Whoever works out its place just now is done with it first: the two would wait for each other.
        database.sql("select instrument_id from rack_place where instrument_id = ? and workshop_id = ? for update")
                .params(instrument, CurrentWorkshop.id())
                .query(UUID.class)
                .optional();
        // Whoever is about to do something with it waits, and finds it gone.
        database.sql("select id from instrument where id = ? and workshop_id = ? for update")
                .params(instrument, CurrentWorkshop.id())
                .query(UUID.class)
                .optional()
                .orElseThrow(() -> new NotFoundException("instrument " + instrument));
        if (!is(instrument)) {
            return false;
        }
        for (String table : ENTERED) {
            String which = table.equals("settling_string") ? "fitted_string_id" + STRINGS_OF_IT : "instrument_id = :id";
            database.sql("delete from " + table + " where " + which)
                    .param("id", instrument)
                    .update();
        }
        database.sql("delete from instrument where id = ?").param(instrument).update();
        return true;
    }
}
