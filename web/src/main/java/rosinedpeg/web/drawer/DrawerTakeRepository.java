package rosinedpeg.web.drawer;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import rosinedpeg.core.strings.Position;

/** What runs took from the drawer, as it is kept. */
interface DrawerTakeRepository extends JpaRepository<DrawerTakeEntity, DrawerTakeEntity.Key> {

    List<DrawerTakeEntity> findByRunIdOrderByPositionAscTurnAsc(UUID runId);

    Optional<DrawerTakeEntity> findFirstByRunIdAndPositionOrderByTurnDesc(UUID runId, Position position);
}
