package rosinedpeg.web.drawer;

import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import rosinedpeg.core.setup.Family;

interface StringKindRepository extends JpaRepository<StringKindEntity, UUID> {

    List<StringKindEntity> findByFamilyOrderByMakerAscLineAscDesignLengthMmDesc(Family family);
}
