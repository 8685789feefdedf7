package rosinedpeg.web.instrument;

import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface InstrumentRepository extends JpaRepository<InstrumentEntity, UUID> {

    List<InstrumentEntity> findAllByOrderByCreatedAt();

    boolean existsByNameIgnoreCase(String name);
}
