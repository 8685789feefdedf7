package rosinedpeg.web.platform;

import jakarta.persistence.LockModeType;
import jakarta.persistence.QueryHint;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Lock;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.jpa.repository.QueryHints;

/** Files that wait to be taken in, as they are kept. */
interface WaitingFileRepository extends JpaRepository<WaitingFileEntity, UUID> {

    Optional<WaitingFileEntity> findByIdAndPurpose(UUID id, WaitingFiles.Purpose purpose);

    /** One that is asked for, for nobody else until the transaction is over; empty where somebody else has it in hand. */
    @Lock(LockModeType.PESSIMISTIC_WRITE)
    @QueryHints(@QueryHint(name = "jakarta.persistence.lock.timeout", value = SKIP_LOCKED))
    @Query("select file from WaitingFileEntity file where file.id = :id and file.state = ASKED")
    Optional<WaitingFileEntity> asked(UUID id);

    /** Somebody wants one taken in. It may be in hand already, or have been taken in meanwhile: then nothing is to be done. */
    @Modifying(clearAutomatically = true)
    @Query("update WaitingFileEntity file set file.state = ASKED, file.askedBy = :by, file.askedOn = :on"
            + " where file.id = :id and file.state <> ASKED")
    void ask(UUID id, UUID by, LocalDate on);

    /** What Hibernate calls not to wait for what somebody else has in hand. */
    String SKIP_LOCKED = "-2";

    /** Those that nobody has asked for. */
    @Query("select file.id from WaitingFileEntity file where file.state <> ASKED order by file.cameAt desc, file.id")
    List<UUID> newestFirst();

    /** One has been taken in; another press at the same moment may have said so already. */
    @Modifying(flushAutomatically = true)
    @Query("delete from WaitingFileEntity file where file.id = :id")
    void remove(UUID id);

    @Modifying
    @Query("delete from WaitingFileEntity file where file.cameAt < :moment and file.state <> ASKED")
    void deleteOld(Instant moment);
}
