package rosinedpeg.web.instrument;

import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;
import rosinedpeg.core.strings.Position;

interface FittedStringRepository extends JpaRepository<FittedStringEntity, UUID> {

    String NOW = "select new rosinedpeg.web.instrument.FittedNow(string.id, string.instrumentId, string.position,"
            + " string.kindId, string.fittedAt, string.hoursBefore, string.signs)"
            + " from FittedStringEntity string where string.removedAt is null";

    /** Every string that is on an instrument. */
    @Query(NOW)
    List<FittedNow> now();

    /** The strings that are on some instruments. */
    @Query(NOW + " and string.instrumentId in :instrumentIds")
    List<FittedNow> now(Collection<UUID> instrumentIds);

    List<FittedStringEntity> findByInstrumentIdOrderByPosition(UUID instrumentId);

    Optional<FittedStringEntity> findByInstrumentIdAndPositionAndRemovedAtIsNull(UUID instrumentId, Position position);
}
