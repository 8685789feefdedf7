package rosinedpeg.web.practice;

import jakarta.persistence.LockModeType;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.domain.Limit;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Lock;
import org.springframework.data.jpa.repository.Query;

/** Who practises, as it is kept. */
interface AttemptRepository extends JpaRepository<AttemptEntity, UUID> {

    Optional<AttemptEntity> findByIdAndAccountId(UUID id, UUID accountId);

    /** Whoever acts waits for who acts already. */
    @Lock(LockModeType.PESSIMISTIC_WRITE)
    @Query("select attempt from AttemptEntity attempt where attempt.id = :id and attempt.accountId = :accountId")
    Optional<AttemptEntity> locked(UUID id, UUID accountId);

    List<AttemptEntity> findByAccountIdOrderByTouchedAtDescId(UUID accountId, Limit most);
}
