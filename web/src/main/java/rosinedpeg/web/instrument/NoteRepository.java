package rosinedpeg.web.instrument;

import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface NoteRepository extends JpaRepository<NoteEntity, UUID> {

    List<NoteEntity> findByReferTrueAndSettledAtIsNullOrderByRecordedAt();

    List<NoteEntity> findByInstrumentIdOrderByRecordedAt(UUID instrumentId);
}
