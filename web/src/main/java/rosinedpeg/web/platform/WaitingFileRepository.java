package rosinedpeg.web.platform;

import java.time.Instant;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

/** Files that wait to be taken in, as they are kept. */
interface WaitingFileRepository extends JpaRepository<WaitingFileEntity, UUID> {

    Optional<WaitingFileEntity> findByIdAndPurpose(UUID id, WaitingFiles.Purpose purpose);

    void deleteByCameAtBefore(Instant moment);
}
