package rosinedpeg.web.findings;

import java.util.Collection;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

interface NoteRepository extends JpaRepository<NoteEntity, UUID> {

    /** The instruments that a repairer has to see. */
    @Query("select distinct note.instrumentId from NoteEntity note where note.refer and note.settledAt is null")
    Set<UUID> referred();

    List<NoteEntity> findByInstrumentIdInAndReferTrueAndSettledAtIsNullOrderByRecordedAt(
            Collection<UUID> instrumentIds);

    List<NoteEntity> findByInstrumentIdOrderByRecordedAt(UUID instrumentId);
}
