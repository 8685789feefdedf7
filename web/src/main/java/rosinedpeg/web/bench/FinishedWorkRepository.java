package rosinedpeg.web.bench;

import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.springframework.data.domain.Limit;
import org.springframework.data.jpa.repository.JpaRepository;

/** How long runs took. */
interface FinishedWorkRepository extends JpaRepository<FinishedWorkEntity, UUID> {

    List<FinishedWorkEntity> findByFinishedAtGreaterThanEqual(Instant since);

    List<FinishedWorkEntity> findByOrderByFinishedAtDescRunId(Limit most);
}
