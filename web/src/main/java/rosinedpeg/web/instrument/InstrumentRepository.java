package rosinedpeg.web.instrument;

import java.util.Collection;
import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface InstrumentRepository extends JpaRepository<InstrumentEntity, UUID> {

    List<InstrumentEntity> findAllByOrderByCreatedAt();

    /** Those of some ids that this workshop has. */
    List<InstrumentEntity> findByIdIn(Collection<UUID> ids);

    boolean existsByNameIgnoreCase(String name);
}
