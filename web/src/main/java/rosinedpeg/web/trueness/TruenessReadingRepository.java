package rosinedpeg.web.trueness;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

/** Readings of how true strings are, as they are kept. */
interface TruenessReadingRepository extends JpaRepository<TruenessReadingEntity, UUID> {

    List<TruenessReadingEntity> findByFittedStringIdAndTakenBackAtIsNullOrderByReadAtAscIdAsc(UUID fittedStringId);

    Optional<TruenessReadingEntity> findByIdAndFittedStringIdAndTakenBackAtIsNull(UUID id, UUID fittedStringId);

    boolean existsByPress(UUID press);
}
