package rosinedpeg.web.bench;

import java.util.Collection;
import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface RunEventRepository extends JpaRepository<RunEventEntity, UUID> {

    List<RunEventEntity> findByRunIdInOrderBySequence(Collection<UUID> runIds);
}
