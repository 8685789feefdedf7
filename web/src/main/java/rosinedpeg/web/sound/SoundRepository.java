package rosinedpeg.web.sound;

import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.data.domain.Limit;
import org.springframework.data.domain.Page;
import org.springframework.data.domain.Pageable;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;
import rosinedpeg.core.sound.SoundScale;
import rosinedpeg.core.strings.Position;

/** What was said of strings, as it is kept. */
interface SoundRepository extends JpaRepository<SoundEntity, UUID> {

    /**
     * Something that was said, and the string it was said of.
     *
     * @param said that
     * @param instrumentId where the string is or was
     * @param position which string it is
     * @param kindId what it is
     * @param fittedAt since when; null where nobody knows
     * @param removedAt when it came off; null while it is on
     */
    record OfString(
            SoundEntity said,
            UUID instrumentId,
            Position position,
            UUID kindId,
            @Nullable Instant fittedAt,
            @Nullable Instant removedAt) {}

    /** All that was said of an instrument's strings, the latest first. */
    @Query("select new rosinedpeg.web.sound.SoundRepository$OfString(said, string.instrumentId, string.position,"
            + " string.kindId, string.fittedAt, string.removedAt) from SoundEntity said, FittedStringEntity string"
            + " where string.id = said.fittedStringId and said.passedOver = false"
            + " and said.instrumentId = :instrumentId order by said.saidAt desc, string.position")
    List<OfString> onInstrument(UUID instrumentId, Limit most);

    /** All that was said of strings of a kind, the latest first. */
    @Query("select new rosinedpeg.web.sound.SoundRepository$OfString(said, string.instrumentId, string.position,"
            + " string.kindId, string.fittedAt, string.removedAt) from SoundEntity said, FittedStringEntity string"
            + " where string.id = said.fittedStringId and said.passedOver = false"
            + " and said.kindId = :kindId order by said.saidAt desc, said.id")
    Page<OfString> ofKind(UUID kindId, Pageable window);

    /**
     * What was said of a string of some kind.
     *
     * @param kindId what it is
     * @param instrumentId where it is or was
     * @param columns what was said; null where it was on no scale
     */
    record OfKind(UUID kindId, UUID instrumentId, @Nullable SoundColumns columns) {

        @Nullable
        Short place(SoundScale scale) {
            return columns == null ? null : columns.at(scale);
        }
    }

    String WHILE_ON = " from SoundEntity said"
            + " where said.passedOver = false and said.moment = rosinedpeg.web.sound.SoundMoment.ON"
            + " and among(said.kindId, :kindIds)";

    /** All that was said of strings of some kinds while they were on. */
    @Query("select new rosinedpeg.web.sound.SoundRepository$OfKind(said.kindId, said.instrumentId, said.columns)"
            + WHILE_ON)
    List<OfKind> of(UUID... kindIds);

    /** What tells whether that has changed: what was said is never another, it comes and goes. */
    @Query("select concat(cast(count(*) as String), ' ',"
            + " coalesce(cast(sum(cast(function('hashtext', cast(said.id as String)) as Long)) as String), ''))"
            + WHILE_ON)
    String editions(UUID... kindIds);

    String OF_THE_RACK =
            " and exists (select 1 from InstrumentEntity instrument where instrument.id = string.instrumentId"
                    + " and instrument.retiredAt is null)";

    String UNHEARD_ON = "select string.id from FittedStringEntity string where string.removedAt is null"
            + " and string.fittedAt > :after and string.fittedAt <= :until"
            + " and not exists (select 1 from SoundEntity said where said.fittedStringId = string.id)" + OF_THE_RACK;

    /** Strings that are on since some time and of which nobody was asked or said anything yet, the longest on first. */
    @Query(UNHEARD_ON + " order by string.fittedAt, string.id")
    List<UUID> unheardOn(Instant after, Instant until, Limit most);

    /** The same on one instrument, I first. */
    @Query(UNHEARD_ON + " and string.instrumentId = :instrumentId order by string.position")
    List<UUID> unheardOn(UUID instrumentId, Instant after, Instant until);

    /**
     * A string that came off.
     *
     * @param id this very string
     * @param fittedAt since when it was on; null where nobody knows
     * @param removedAt when it came off
     */
    record Off(UUID id, @Nullable Instant fittedAt, Instant removedAt) {}

    String UNHEARD_OFF =
            "select new rosinedpeg.web.sound.SoundRepository$Off(string.id, string.fittedAt, string.removedAt)"
                    + " from FittedStringEntity string where string.removedAt > :since"
                    + " and not exists (select 1 from SoundEntity said where said.fittedStringId = string.id"
                    + " and said.moment = rosinedpeg.web.sound.SoundMoment.CAME_OFF)" + OF_THE_RACK;

    /** Strings that came off since then and of which nobody was asked or said how they were at the end, the latest first. */
    @Query(UNHEARD_OFF + " order by string.removedAt desc, string.position")
    List<Off> unheardOff(Instant since, Limit most);

    /** The same of one instrument. */
    @Query(UNHEARD_OFF + " and string.instrumentId = :instrumentId order by string.removedAt desc, string.position")
    List<Off> unheardOff(UUID instrumentId, Instant since);
}
