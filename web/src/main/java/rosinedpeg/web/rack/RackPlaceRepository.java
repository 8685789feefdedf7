package rosinedpeg.web.rack;

import jakarta.persistence.LockModeType;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.springframework.data.domain.Limit;
import org.springframework.data.domain.Page;
import org.springframework.data.domain.Pageable;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Lock;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;

/** Where instruments stand on the rack, as it was worked out last. */
interface RackPlaceRepository extends JpaRepository<RackPlaceEntity, UUID> {

    /** Those whose name has that in it, what most wants hands first; everything has an empty text in it. */
    @Query("select place from RackPlaceEntity place where locate(:find, place.name) > 0"
            + " order by place.urgency, place.arrivedAt, place.instrumentId")
    Page<RackPlaceEntity> inOrder(String find, Pageable window);

    @Query("select place from RackPlaceEntity place order by place.urgency, place.arrivedAt, place.instrumentId")
    Page<RackPlaceEntity> inOrder(Pageable window);

    @Query("select place.instrumentId from RackPlaceEntity place where place.dueAt <= :then"
            + " order by place.dueAt, place.instrumentId")
    List<UUID> dueBy(Instant then, Limit most);

    @Query("select count(place) from RackPlaceEntity place where place.urgency <= :urgency")
    int countUpTo(int urgency);

    /**
     * Something happened to an instrument: its place has to be worked out again. Written even if it says so already, so that it
     * waits for whoever is working the place out just now from what was there before.
     */
    @Modifying
    @Query("update RackPlaceEntity place set place.holdsUntil = :past where place.instrumentId = :instrumentId")
    void outdate(UUID instrumentId, Instant past);

    /** Those with a string of a kind on have to be worked out again. */
    @Modifying
    @Query("update RackPlaceEntity place set place.holdsUntil = :past where place.instrumentId in"
            + " (select string.instrumentId from FittedStringEntity string"
            + " where string.kindId = :kindId and string.removedAt is null)")
    void outdateWith(UUID kindId, Instant past);

    /** All of them have to be worked out again. */
    @Modifying
    @Query("update RackPlaceEntity place set place.holdsUntil = :past")
    void outdateAll(Instant past);

    /** Those that have to be worked out again. By their moments, so that the few of them are not looked for among all. */
    @Query(
            "select place.instrumentId from RackPlaceEntity place where place.holdsUntil <= :now order by place.holdsUntil")
    List<UUID> outdated(Instant now, Limit most);

    /** Those of some that have to be worked out again still; nobody else changes them until that is done. */
    @Lock(LockModeType.PESSIMISTIC_WRITE)
    @Query("select place from RackPlaceEntity place where among(place.instrumentId, :ids) and place.holdsUntil <= :now"
            + " order by place.instrumentId")
    List<RackPlaceEntity> stillOutdated(UUID[] ids, Instant now);
}
