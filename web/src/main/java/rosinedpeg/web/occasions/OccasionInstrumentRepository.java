package rosinedpeg.web.occasions;

import java.time.Instant;
import java.util.Collection;
import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;
import rosinedpeg.core.dates.OccasionKind;

interface OccasionInstrumentRepository extends JpaRepository<OccasionInstrumentEntity, OccasionInstrumentEntity.Key> {

    @Query("select key from OccasionInstrumentEntity where key.occasionId in :occasionIds")
    List<OccasionInstrumentEntity.Key> of(Collection<UUID> occasionIds);

    void deleteByKeyOccasionIdIn(Collection<UUID> occasionIds);

    /** {@return when which of some instruments is played, of what is not over by a moment} */
    @Query("select played.key.instrumentId as instrumentId, o.beginsAt as beginsAt, o.endsAt as endsAt"
            + " from OccasionInstrumentEntity played join OccasionEntity o on o.id = played.key.occasionId"
            + " where among(played.key.instrumentId, :instrumentIds) and o.endsAt > :since and o.kind in :kinds"
            + " order by o.beginsAt")
    List<PlayedOn> played(UUID[] instrumentIds, Instant since, Collection<OccasionKind> kinds);

    /** When an instrument is played. */
    interface PlayedOn {
        UUID getInstrumentId();

        Instant getBeginsAt();

        Instant getEndsAt();
    }
}
