package rosinedpeg.web.drawer;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;
import rosinedpeg.core.strings.Position;

/** What runs took from the drawer, as it is kept. */
interface DrawerTakeRepository extends JpaRepository<DrawerTakeEntity, DrawerTakeEntity.Key> {

    List<DrawerTakeEntity> findByRunIdOrderByPositionAscTurnAsc(UUID runId);

    /**
     * What a run has in hand.
     *
     * @param position the place it is for
     * @param string the packet
     */
    record InHand(Position position, DrawerStringEntity string) {}

    /** What was taken last for each place, where that is still the run's. */
    @Query("select new rosinedpeg.web.drawer.DrawerTakeRepository$InHand(take.position, string)"
            + " from DrawerTakeEntity take, DrawerStringEntity string where take.runId = :runId"
            + " and string.id = take.stringId and string.runId = :runId"
            + " and not exists (select 1 from DrawerTakeEntity later where later.runId = :runId"
            + " and later.position = take.position and later.turn > take.turn)")
    List<InHand> inHand(UUID runId);

    Optional<DrawerTakeEntity> findFirstByRunIdAndPositionOrderByTurnDesc(UUID runId, Position position);
}
