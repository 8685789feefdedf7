package rosinedpeg.web.drawer;

import java.util.List;
import java.util.UUID;
import org.springframework.data.domain.Limit;
import org.springframework.data.jpa.repository.JpaRepository;

/** What was found when the drawer was counted, as it is kept. */
interface DrawerCountRepository extends JpaRepository<DrawerCountEntity, UUID> {

    boolean existsByPress(UUID press);

    List<DrawerCountEntity> findByKindIdOrderByCountedAtDesc(UUID kindId, Limit most);
}
