package rosinedpeg.web.drawer;

import jakarta.persistence.LockModeType;
import jakarta.persistence.QueryHint;
import java.math.BigDecimal;
import java.time.Instant;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.springframework.data.domain.Limit;
import org.springframework.data.domain.Page;
import org.springframework.data.domain.Pageable;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Lock;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.jpa.repository.QueryHints;
import rosinedpeg.core.strings.Position;

/** What lies in the drawer and what lay there, as it is kept. */
interface DrawerStringRepository extends JpaRepository<DrawerStringEntity, UUID> {

    /** What strings of a kind cost. */
    record Paid(UUID kindId, BigDecimal price, String currency) {}

    /** What was ever paid for each kind, what was paid last coming last. */
    @Query("select new rosinedpeg.web.drawer.DrawerStringRepository$Paid(string.kindId, string.price, string.currency)"
            + " from DrawerStringEntity string where string.price is not null"
            + " group by string.kindId, string.price, string.currency order by max(string.enteredAt)")
    List<Paid> paid();

    /** How many of each kind lie there, new and old, in the drawer and in cases, with the day the oldest was bought. */
    @Query("select new rosinedpeg.web.drawer.Heap(string.kindId,"
            + " case when string.fittedId is null then false else true end,"
            + " case when string.caseOf is null then false else true end, count(string), min(string.boughtOn))"
            + " from DrawerStringEntity string where string.leftAt is null and string.runId is null group by string.kindId,"
            + " case when string.fittedId is null then false else true end,"
            + " case when string.caseOf is null then false else true end")
    List<Heap> heaps();

    /** Those of some kinds that lie there, new ones before old ones, the oldest first. */
    @Query("select string from DrawerStringEntity string where string.leftAt is null and string.runId is null"
            + " and string.kindId in :kindIds order by case when string.fittedId is null then 0 else 1 end,"
            + " string.boughtOn nulls first, string.enteredAt, string.code")
    List<DrawerStringEntity> lying(Collection<UUID> kindIds);

    /** Those that lie in the case of an instrument, the oldest first. */
    @Query("select string from DrawerStringEntity string where string.leftAt is null and string.runId is null"
            + " and string.caseOf = :instrumentId order by string.boughtOn nulls first, string.enteredAt, string.code")
    List<DrawerStringEntity> inCase(UUID instrumentId);

    /** How many strings for one place lie in the case of an instrument. */
    @Query("select count(string) from DrawerStringEntity string, StringKindEntity kind where string.leftAt is null"
            + " and string.runId is null and string.caseOf = :instrumentId and kind.id = string.kindId"
            + " and kind.position = :position")
    long countInCase(UUID instrumentId, Position position);

    /** So many strings for one place lie in the case of an instrument. */
    record InCase(UUID instrumentId, Position position, long strings) {}

    /** How many strings for each place lie in each case. */
    @Query("select new rosinedpeg.web.drawer.DrawerStringRepository$InCase(string.caseOf, kind.position, count(string))"
            + " from DrawerStringEntity string, StringKindEntity kind where string.leftAt is null"
            + " and string.runId is null and string.caseOf is not null and kind.id = string.kindId"
            + " group by string.caseOf, kind.position")
    List<InCase> inCases();

    /** Those that lie there, of every kind, and came since; the oldest first. */
    @Query("select string from DrawerStringEntity string where string.leftAt is null and string.runId is null"
            + " and string.enteredAt >= :since order by string.enteredAt, string.press, string.pressNumber")
    List<DrawerStringEntity> since(Instant since, Limit most);

    /** The same, as much as a page shows. */
    @Query("select string from DrawerStringEntity string where string.leftAt is null and string.runId is null"
            + " and string.kindId = :kindId order by case when string.fittedId is null then 0 else 1 end,"
            + " string.boughtOn nulls first, string.enteredAt, string.code")
    Page<DrawerStringEntity> lying(UUID kindId, Pageable window);

    /** One that lies there, for nobody else until the transaction is over; empty where it is gone or somebody has just taken it. */
    @Lock(LockModeType.PESSIMISTIC_WRITE)
    @QueryHints(@QueryHint(name = "jakarta.persistence.lock.timeout", value = SKIP_LOCKED))
    @Query("select string from DrawerStringEntity string where string.id = :id and string.leftAt is null"
            + " and string.runId is null")
    Optional<DrawerStringEntity> takeable(UUID id);

    /** What Hibernate calls not to wait for what somebody else has in hand. */
    String SKIP_LOCKED = "-2";

    /** Strings that were kept when they came off their instruments, and have no row of their own here. */
    @Query("select new rosinedpeg.web.drawer.DrawerStringRepository$Kept(old.id, old.kindId, old.removedAt)"
            + " from FittedStringEntity old where old.kept = true and old.removedAt is not null"
            + " and not exists (select 1 from DrawerStringEntity string where string.fittedId = old.id)"
            + " order by old.removedAt, old.id")
    List<Kept> keptElsewhere();

    /**
     * An old string that was kept.
     *
     * @param fittedId what it was on an instrument
     * @param kindId what it is
     * @param removedAt when it came off
     */
    record Kept(UUID fittedId, UUID kindId, Instant removedAt) {}

    /** Whether there is any, wherever it is now. */
    @Query("select exists (select 1 from DrawerStringEntity string)")
    boolean anything();

    Optional<DrawerStringEntity> findByCode(String code);

    @Query("select string.code from DrawerStringEntity string where string.code in :codes")
    Set<String> taken(Collection<String> codes);

    List<DrawerStringEntity> findByRunId(UUID runId);

    boolean existsByPress(UUID press);

    int countByPress(UUID press);

    boolean existsByFittedId(UUID fittedId);
}
