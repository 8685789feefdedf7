package rosinedpeg.web.plan;

import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface KitItemRepository extends JpaRepository<KitItemEntity, UUID> {

    List<KitItemEntity> findByAccountId(UUID accountId);
}
