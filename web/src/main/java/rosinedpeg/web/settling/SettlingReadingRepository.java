package rosinedpeg.web.settling;

import java.util.Collection;
import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

/** Readings of settling strings, as they are kept. */
interface SettlingReadingRepository extends JpaRepository<SettlingReadingEntity, UUID> {

    List<SettlingReadingEntity> findByFittedStringIdInOrderByReadAtAscRecordedAtAsc(Collection<UUID> fittedStringIds);

    boolean existsByPress(UUID press);
}
