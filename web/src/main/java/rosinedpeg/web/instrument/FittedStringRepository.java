package rosinedpeg.web.instrument;

import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.data.domain.Limit;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;
import rosinedpeg.core.causes.BreakPlace;
import rosinedpeg.core.setup.Family;
import rosinedpeg.core.strings.Position;
import rosinedpeg.core.wear.CameOff;

/** Strings on instruments and those that came off, as they are kept. */
interface FittedStringRepository extends JpaRepository<FittedStringEntity, UUID> {

    String NOW = "select new rosinedpeg.web.instrument.FittedNow(string.id, string.instrumentId, string.position,"
            + " string.kindId, string.fittedAt, string.hoursBefore, string.monthsBefore, string.hoursCountedAt, string.signs,"
            + " string.version)"
            + " from FittedStringEntity string where string.removedAt is null and ";

    /** The strings that are on some instruments. */
    @Query(NOW + "among(string.instrumentId, :instrumentIds)")
    List<FittedNow> now(UUID... instrumentIds);

    /** The strings that are on those instruments that some of them are on. */
    @Query(NOW
            + "string.instrumentId in (select one.instrumentId from FittedStringEntity one where one.removedAt is null"
            + " and among(one.id, :ids))")
    List<FittedNow> nowWith(UUID... ids);

    /** The kinds that are on any instrument of the rack. */
    @Query("select kind.id from StringKindEntity kind where exists (select 1 from FittedStringEntity string,"
            + " InstrumentEntity instrument where string.kindId = kind.id and string.removedAt is null"
            + " and instrument.id = string.instrumentId and instrument.retiredAt is null)")
    Set<UUID> kindsOn();

    /** All that were ever of a kind, of which anybody knows since when they were on; the first first. */
    List<FittedStringEntity> findByKindIdAndFittedAtNotNullOrderByFittedAtAscIdAsc(UUID kindId);

    /**
     * How many strings of a kind went one way.
     *
     * @param kindId what they are
     * @param why why they came off; null where nobody said, or while they are on
     * @param strings how many
     */
    record Count(UUID kindId, @Nullable CameOff why, long strings) {}

    String KIND_COUNTS =
            "select new rosinedpeg.web.instrument.FittedStringRepository$Count(string.kindId, string.cameOff, count(*))"
                    + " from FittedStringEntity string where string.fittedAt is not null";

    /** How many of each kind went which way, of those of which anybody knows since when they were on. */
    @Query(KIND_COUNTS + " group by string.kindId, string.cameOff")
    List<Count> counts();

    /** The same of some kinds. */
    @Query(KIND_COUNTS + " and string.kindId in :kindIds group by string.kindId, string.cameOff")
    List<Count> counts(Collection<UUID> kindIds);

    String BROKE = " from FittedStringEntity string, StringKindEntity kind where kind.id = string.kindId"
            + " and kind.family = :family and string.fittedAt is not null"
            + " and string.cameOff = rosinedpeg.core.wear.CameOff.BROKE";

    /**
     * How many strings broke at one place.
     *
     * @param where the place
     * @param strings how many
     */
    record BrokeAt(BreakPlace where, long strings) {}

    /** Where the strings of a family broke, as far as somebody said. */
    @Query("select new rosinedpeg.web.instrument.FittedStringRepository$BrokeAt(string.brokeWhere, count(*))" + BROKE
            + " and string.brokeWhere is not null group by string.brokeWhere")
    List<BrokeAt> brokeAt(Family family);

    /**
     * How many strings broke on one instrument.
     *
     * @param instrumentId the instrument
     * @param strings how many
     */
    record BrokeOn(UUID instrumentId, long strings) {}

    /** On which instruments most strings of a family broke. */
    @Query("select new rosinedpeg.web.instrument.FittedStringRepository$BrokeOn(string.instrumentId, count(*))" + BROKE
            + " group by string.instrumentId order by count(*) desc, string.instrumentId")
    List<BrokeOn> brokeOn(Family family, Limit most);

    /** The kinds for one place of a family that were ever on anything. */
    @Query(
            "select kind.id from StringKindEntity kind where kind.family = :family and kind.position = :position and exists"
                    + " (select 1 from FittedStringEntity string where string.kindId = kind.id and string.fittedAt is not null)")
    Set<UUID> everOn(Family family, Position position);

    /** The kinds that were ever on some instruments. */
    @Query("select distinct string.kindId from FittedStringEntity string where string.instrumentId in :instrumentIds")
    Set<UUID> kindsEverOn(Collection<UUID> instrumentIds);

    /** Those of some ids that have come off. */
    @Query("select string from FittedStringEntity string where string.removedAt is not null and among(string.id, :ids)")
    List<FittedStringEntity> off(UUID... ids);

    /** Those that went on or came off last, the latest first. */
    @Query("select string from FittedStringEntity string where string.instrumentId = :instrumentId"
            + " order by coalesce(string.removedAt, string.fittedAt) desc nulls last, string.position")
    List<FittedStringEntity> latest(UUID instrumentId, Limit most);

    Optional<FittedStringEntity> findByInstrumentIdAndPositionAndRemovedAtIsNull(UUID instrumentId, Position position);
}
