package rosinedpeg.web.bridge;

import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

/** Photographs of bridges, as they are kept. */
interface BridgePictureRepository extends JpaRepository<BridgePictureEntity, UUID> {

    boolean existsByPress(UUID press);

    /** The kept pictures of an instrument, without their pixels, newest first. */
    List<Kept> findByInstrumentIdOrderByRecordedAtDesc(UUID instrumentId);

    /** A kept picture. */
    interface Kept {
        UUID getId();

        double getLeanDeg();

        Instant getRecordedAt();

        UUID getRecordedBy();
    }
}
