package rosinedpeg.web.instrument;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import rosinedpeg.core.strings.Position;

interface FittedStringRepository extends JpaRepository<FittedStringEntity, UUID> {

    List<FittedStringEntity> findByRemovedAtIsNull();

    List<FittedStringEntity> findByInstrumentIdOrderByPosition(UUID instrumentId);

    Optional<FittedStringEntity> findByInstrumentIdAndPositionAndRemovedAtIsNull(UUID instrumentId, Position position);
}
