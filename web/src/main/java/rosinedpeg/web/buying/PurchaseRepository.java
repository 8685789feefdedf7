package rosinedpeg.web.buying;

import jakarta.persistence.LockModeType;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.domain.Page;
import org.springframework.data.domain.Pageable;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Lock;
import org.springframework.data.jpa.repository.Query;

/** Orders, as they are kept. */
interface PurchaseRepository extends JpaRepository<PurchaseEntity, UUID> {

    /** One that is about to be changed, or its lines are: whoever saw it before has seen another from then on. */
    @Lock(LockModeType.OPTIMISTIC_FORCE_INCREMENT)
    Optional<PurchaseEntity> findToChangeById(UUID id);

    /** Until the transaction is over nobody else writes an order. */
    @Query(nativeQuery = true, value = "select 1 from pg_advisory_xact_lock(hashtext('orders'))")
    int lock();

    /** Those of which something is still to come. */
    @Query("select purchase from PurchaseEntity purchase where exists (select 1 from PurchaseLineEntity line"
            + " where line.purchaseId = purchase.id and line.arrived + line.givenUp < line.strings)"
            + " order by purchase.writtenAt, purchase.id")
    List<PurchaseEntity> open();

    /** Those of which nothing is to come any more, the last first. */
    @Query("select purchase from PurchaseEntity purchase where not exists (select 1 from PurchaseLineEntity line"
            + " where line.purchaseId = purchase.id and line.arrived + line.givenUp < line.strings)"
            + " order by purchase.writtenAt desc, purchase.id")
    Page<PurchaseEntity> closed(Pageable window);
}
