package rosinedpeg.web.rack;

import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.data.domain.Pageable;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;
import rosinedpeg.core.strings.Position;

/** When strings fall due, as it was worked out with the places of their instruments. */
interface DueStringRepository extends JpaRepository<DueStringEntity, UUID> {

    /** How many of a kind are due on a day; already, where that is null. */
    record Many(UUID kindId, @Nullable LocalDate dueOn, long strings) {}

    /** One of them, as it was worked out; before it come so many others of its kind. */
    record Kept(
            UUID instrumentId,
            String instrumentName,
            Position position,
            UUID kindId,
            Instant workedOutAt,
            @Nullable LocalDate dueOn,
            double worn,
            double wornAnHour,
            double hoursPerWeek,
            long before) {}

    /** What is due by a day; by kinds, the first due first. */
    String BY_KIND = " from (select due.instrumentId as instrumentId, due.instrumentName as instrumentName,"
            + " due.position as position, due.kindId as kindId, due.workedOutAt as workedOutAt, due.dueOn as dueOn,"
            + " due.worn as worn, due.wornAnHour as wornAnHour, due.hoursPerWeek as hoursPerWeek,"
            + " row_number() over (partition by due.kindId"
            + " order by due.dueOn nulls first, due.instrumentName, due.position, due.fittedStringId) as place"
            + " from DueStringEntity due where due.dueOn is null or due.dueOn <= :until) one";

    String KEPT = "select new rosinedpeg.web.rack.DueStringRepository$Kept(one.instrumentId, one.instrumentName,"
            + " one.position, one.kindId, one.workedOutAt, one.dueOn, one.worn, one.wornAnHour, one.hoursPerWeek,";

    @Query("select new rosinedpeg.web.rack.DueStringRepository$Many(due.kindId, due.dueOn, count(*))"
            + " from DueStringEntity due where due.dueOn is null or due.dueOn <= :until group by due.kindId, due.dueOn")
    List<Many> many(LocalDate until);

    /** The first of each kind. */
    @Query(KEPT + " one.place - 1)" + BY_KIND + " where one.place <= :most order by one.kindId, one.place")
    List<Kept> firstOfEach(LocalDate until, long most);

    /** Those of the instruments of which a string is due first. */
    @Query(KEPT + " one.place - 1)" + BY_KIND
            + " where one.instrumentId in (select place.instrumentId from RackPlaceEntity place"
            + " where place.dueAt < :end order by place.dueAt, place.instrumentId limit :most)"
            + " order by one.kindId, one.place")
    List<Kept> ofFirstInstruments(LocalDate until, Instant end, int most);

    /** Those of some kinds, the first due first. */
    @Query(KEPT + " 0L) from DueStringEntity one where among(one.kindId, :kindIds)"
            + " and (one.dueOn is null or one.dueOn <= :until)"
            + " order by one.dueOn nulls first, one.instrumentName, one.position, one.fittedStringId")
    List<Kept> of(LocalDate until, UUID[] kindIds, Pageable window);

    /** Instruments are worked out again, or leave the rack. */
    @Modifying
    @Query("delete from DueStringEntity due where among(due.instrumentId, :instrumentIds)")
    void deleteOn(UUID... instrumentIds);
}
