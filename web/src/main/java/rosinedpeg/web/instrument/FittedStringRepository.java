package rosinedpeg.web.instrument;

import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.springframework.data.domain.Limit;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;
import rosinedpeg.core.strings.Position;

/** Strings on instruments and those that came off, as they are kept. */
interface FittedStringRepository extends JpaRepository<FittedStringEntity, UUID> {

    /** The strings that are on some instruments. */
    @Query(
            "select new rosinedpeg.web.instrument.FittedNow(string.id, string.instrumentId, string.position,"
                    + " string.kindId, string.fittedAt, string.hoursBefore, string.hoursCountedAt, string.signs,"
                    + " string.version)"
                    + " from FittedStringEntity string where string.removedAt is null and string.instrumentId in :instrumentIds")
    List<FittedNow> now(Collection<UUID> instrumentIds);

    /** Those of some ids that are still on. */
    List<FittedStringEntity> findByIdInAndRemovedAtIsNull(Collection<UUID> ids);

    /** The kinds that are on any instrument of the rack. */
    @Query("select kind.id from StringKindEntity kind where exists (select 1 from FittedStringEntity string,"
            + " InstrumentEntity instrument where string.kindId = kind.id and string.removedAt is null"
            + " and instrument.id = string.instrumentId and instrument.retiredAt is null)")
    Set<UUID> kindsOn();

    /** All that were ever of a kind, of which anybody knows since when they were on; the first first. */
    List<FittedStringEntity> findByKindIdAndFittedAtNotNullOrderByFittedAtAscIdAsc(UUID kindId);

    /** How many went which way, of those of which anybody knows since when they were on. */
    @Query("select new rosinedpeg.web.instrument.PastCount(string.kindId, string.instrumentId, string.cameOff,"
            + " string.brokeWhere, count(string)) from FittedStringEntity string where string.fittedAt is not null"
            + " group by string.kindId, string.instrumentId, string.cameOff, string.brokeWhere")
    List<PastCount> counts();

    /** The kinds that were ever on some instruments. */
    @Query("select distinct string.kindId from FittedStringEntity string where string.instrumentId in :instrumentIds")
    Set<UUID> kindsEverOn(Collection<UUID> instrumentIds);

    /** Those of some ids that have come off. */
    List<FittedStringEntity> findByIdInAndRemovedAtNotNull(Collection<UUID> ids);

    /** Those that went on or came off last, the latest first. */
    @Query("select string from FittedStringEntity string where string.instrumentId = :instrumentId"
            + " order by coalesce(string.removedAt, string.fittedAt) desc nulls last, string.position")
    List<FittedStringEntity> latest(UUID instrumentId, Limit most);

    Optional<FittedStringEntity> findByInstrumentIdAndPositionAndRemovedAtIsNull(UUID instrumentId, Position position);
}
