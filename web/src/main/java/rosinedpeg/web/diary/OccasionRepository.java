package rosinedpeg.web.diary;

import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

/** Rehearsals and concerts, as they are kept. */
interface OccasionRepository extends JpaRepository<OccasionEntity, UUID> {

    List<OccasionEntity> findByBeginsAtAfterOrderByBeginsAt(Instant moment);
}
