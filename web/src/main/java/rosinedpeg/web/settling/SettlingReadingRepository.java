package rosinedpeg.web.settling;

import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

/** Readings of settling strings, as they are kept. */
interface SettlingReadingRepository extends JpaRepository<SettlingReadingEntity, UUID> {

    List<SettlingReadingEntity> findByFittedStringIdInAndTakenBackAtIsNullOrderByReadAtAscRecordedAtAsc(
            Collection<UUID> fittedStringIds);

    Optional<SettlingReadingEntity> findByIdAndFittedStringIdAndTakenBackAtIsNull(UUID id, UUID fittedStringId);

    boolean existsByPress(UUID press);
}
