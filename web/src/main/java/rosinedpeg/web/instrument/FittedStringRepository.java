package rosinedpeg.web.instrument;

import java.util.Collection;
import java.util.List;
import java.util.Optional;
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

    /** Those that went on or came off last, the latest first. */
    @Query("select string from FittedStringEntity string where string.instrumentId = :instrumentId"
            + " order by coalesce(string.removedAt, string.fittedAt) desc nulls last, string.position")
    List<FittedStringEntity> latest(UUID instrumentId, Limit most);

    Optional<FittedStringEntity> findByInstrumentIdAndPositionAndRemovedAtIsNull(UUID instrumentId, Position position);
}
