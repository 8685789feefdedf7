package rosinedpeg.web.findings;

import java.util.Collection;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import org.springframework.data.domain.Limit;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

/** Notes on instruments, as they are kept; one for a repairer is settled. */
interface NoteRepository extends JpaRepository<NoteEntity, UUID> {

    /** Those of some instruments that a repairer has to see. */
    @Query("select distinct note.instrumentId from NoteEntity note"
            + " where note.refer and note.settledAt is null and among(note.instrumentId, :instrumentIds)")
    Set<UUID> referred(UUID... instrumentIds);

    List<NoteEntity> findByInstrumentIdInAndReferTrueAndSettledAtIsNullOrderByRecordedAt(
            Collection<UUID> instrumentIds);

    /** Those that were written or settled last, the latest first. */
    @Query("select note from NoteEntity note where note.instrumentId = :instrumentId"
            + " order by coalesce(note.settledAt, note.recordedAt) desc, note.id")
    List<NoteEntity> latest(UUID instrumentId, Limit most);
}
