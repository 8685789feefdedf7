package rosinedpeg.web.buying;

import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

/** Those who sell strings, as they are kept. */
interface SupplierRepository extends JpaRepository<SupplierEntity, UUID> {

    List<SupplierEntity> findAllByOrderByName();
}
