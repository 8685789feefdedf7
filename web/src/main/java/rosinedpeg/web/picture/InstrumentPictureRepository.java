package rosinedpeg.web.picture;

import java.time.Instant;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

interface InstrumentPictureRepository extends JpaRepository<InstrumentPictureEntity, UUID> {

    /** {@return when an instrument's picture was kept, without reading it} */
    @Query("select recordedAt from InstrumentPictureEntity where instrumentId = :instrumentId")
    Optional<Instant> keptAt(UUID instrumentId);

    Optional<InstrumentPictureEntity> findByInstrumentId(UUID instrumentId);
}
