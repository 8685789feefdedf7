package rosinedpeg.web.pegs;

import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import org.springframework.data.domain.Limit;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

/** Looks at pegs, as they are kept; none of them changes. */
interface PegLookRepository extends JpaRepository<PegLookEntity, UUID> {

    boolean existsByPress(UUID press);

    List<PegLookEntity> findByInstrumentIdOrderByLookedOnDescRecordedAtDesc(UUID instrumentId);

    /**
     * The last look at each peg that was looked at since a day, had a sign, was not treated then and has not made way for one of another
     * kind since; the latest first.
     */
    @Query("select look from PegLookEntity look where look.lookedOn >= :since and look.treatment is null"
            + " and array_length(look.signs) > 0"
            + " and (look.pegs is null or exists (select 1 from InstrumentEntity instrument"
            + " where instrument.id = look.instrumentId and instrument.pegKind = look.pegs))"
            + " and not exists (select 1 from PegLookEntity later where later.instrumentId = look.instrumentId"
            + " and later.position = look.position and (later.lookedOn > look.lookedOn"
            + " or later.lookedOn = look.lookedOn and later.recordedAt > look.recordedAt))"
            + " order by look.lookedOn desc, look.id")
    List<PegLookEntity> lastSince(LocalDate since, Limit most);
}
