package rosinedpeg.web.drawer;

import java.time.Instant;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

/** Files that wait to be taken in, as they are kept. */
interface WaitingFileRepository extends JpaRepository<WaitingFileEntity, UUID> {

    void deleteByCameAtBefore(Instant moment);
}
