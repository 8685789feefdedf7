package rosinedpeg.web.practice;

import jakarta.persistence.LockModeType;
import java.time.Instant;
import java.util.Collection;
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

    /** The fastest changes of a string that count, on instruments of a name, begun before a moment. */
    List<AttemptEntity> findByAccountIdAndQuickChangeAndNameAndCleanTrueAndBegunAtBeforeOrderByTotalMs(
            UUID accountId, String quickChange, String name, Instant before, Limit most);

    /** The best time of each string on instruments of each name. */
    @Query("select attempt.quickChange, attempt.name, min(attempt.totalMs) from AttemptEntity attempt"
            + " where attempt.accountId = :accountId and attempt.clean and attempt.quickChange is not null"
            + " group by attempt.quickChange, attempt.name order by attempt.quickChange, attempt.name")
    List<Best> best(UUID accountId);

    /** Every lesson that was done, in order. */
    @Query("select attempt.accountId, attempt.lesson, attempt.finishedAt, attempt.clean from AttemptEntity attempt"
            + " where attempt.lesson is not null and attempt.finishedAt is not null and attempt.accountId in :accountIds"
            + " order by attempt.finishedAt")
    List<DoneLesson> lessonsDone(Collection<UUID> accountIds);

    /** A best time. */
    record Best(String quickChange, String name, Long totalMs) {}

    /** A lesson that was done. */
    record DoneLesson(UUID accountId, String lesson, Instant finishedAt, Boolean clean) {}
}
