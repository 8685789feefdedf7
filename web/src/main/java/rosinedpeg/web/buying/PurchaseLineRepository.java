package rosinedpeg.web.buying;

import java.util.Collection;
import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

/** What is ordered, as it is kept. */
interface PurchaseLineRepository extends JpaRepository<PurchaseLineEntity, UUID> {

    List<PurchaseLineEntity> findByPurchaseIdInOrderByNumber(Collection<UUID> purchaseIds);

    void deleteByPurchaseId(UUID purchaseId);
}
