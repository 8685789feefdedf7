package rosinedpeg.web.lend;

import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.domain.Limit;
import org.springframework.data.domain.Page;
import org.springframework.data.domain.Pageable;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

/** Who borrows. */
interface BorrowerRepository extends JpaRepository<BorrowerEntity, UUID> {

    Optional<BorrowerEntity> findFirstByNameIgnoreCase(String name);

    List<BorrowerEntity> findByIdIn(Collection<UUID> ids);

    Page<BorrowerEntity> findAllByOrderByNameAscId(Pageable part);

    /** Their names, for who types one. */
    @Query("select borrower.name from BorrowerEntity borrower order by lower(borrower.name)")
    List<String> names(Limit most);
}
