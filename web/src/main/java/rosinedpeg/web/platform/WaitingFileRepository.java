package rosinedpeg.web.platform;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

/** Files that wait to be taken in, as they are kept. */
interface WaitingFileRepository extends JpaRepository<WaitingFileEntity, UUID> {

    Optional<WaitingFileEntity> findByIdAndPurpose(UUID id, WaitingFiles.Purpose purpose);

    @Query("select file.id from WaitingFileEntity file order by file.cameAt desc, file.id")
    List<UUID> newestFirst();

    void deleteByCameAtBefore(Instant moment);
}
