package rosinedpeg.web.practice;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

/** What was done in attempts, as it is kept. */
interface ActionRepository extends JpaRepository<ActionEntity, UUID> {

    /** What counts, in order. */
    List<ActionEntity> findByAttemptIdAndUndonePressIsNullOrderBySequence(UUID attemptId);

    /** What was done last, of what counts. */
    Optional<ActionEntity> findFirstByAttemptIdAndUndonePressIsNullOrderBySequenceDesc(UUID attemptId);

    /** The number of what was done last, whether it counts or not; 0 before anything is. */
    @Query("select coalesce(max(action.sequence), 0) from ActionEntity action where action.attemptId = :attemptId")
    int last(UUID attemptId);

    /** When the first thing was done in an attempt, whether it counts or not. */
    @Query("select min(action.doneAt) from ActionEntity action where action.attemptId = :attemptId")
    Optional<Instant> first(UUID attemptId);

    long countByAttemptIdAndUndonePressIsNull(UUID attemptId);

    boolean existsByAttemptIdAndUndonePress(UUID attemptId, UUID press);
}
