package rosinedpeg.web.instrument;

import java.time.Instant;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.data.domain.Limit;
import org.springframework.data.domain.Page;
import org.springframework.data.domain.Pageable;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;
import rosinedpeg.core.setup.Family;

/** The instruments of the workshop, as they are kept. */
interface InstrumentRepository extends JpaRepository<InstrumentEntity, UUID> {

    String LISTED = "select new rosinedpeg.web.instrument.Listed(one.id, one.name, one.family, one.size,"
            + " array_length(one.openStrings), one.hoursPerWeek, one.demand, one.retiredAt) from InstrumentEntity one";

    /** Those of some ids that this workshop has. */
    @Query(LISTED + " where among(one.id, :ids)")
    List<Listed> listed(UUID... ids);

    /**
     * A string that is on an instrument, as far as it takes to tell whether anything has changed that a {@link Stringing} shows. A string
     * stays at its place, and measurements are only ever added.
     *
     * @param instrument how often the instrument was changed
     * @param measurements how often something was measured on it
     * @param string the id of this very string; null where none is on
     * @param kind what it is
     * @param ofKind how often the kind was changed
     * @param learnedAt when it was learned how long the kind lasts
     */
    record Edition(
            int instrument,
            long measurements,
            @Nullable UUID string,
            @Nullable UUID kind,
            @Nullable Integer ofKind,
            @Nullable Instant learnedAt) {}

    /** The strings that are on an instrument; one of nothing while it is bare, none when this workshop has no such instrument. */
    @Query("select new rosinedpeg.web.instrument.InstrumentRepository$Edition(instrument.version,"
            + " (select count(one) from MeasurementEntity one where one.instrumentId = instrument.id),"
            + " string.id, kind.id, kind.version, kind.learnedAt) from InstrumentEntity instrument"
            + " left join FittedStringEntity string on string.instrumentId = instrument.id and string.removedAt is null"
            + " left join StringKindEntity kind on kind.id = string.kindId where instrument.id = :id")
    Set<Edition> editions(UUID id);

    /** Those of some ids that this workshop has. */
    @Query("select one from InstrumentEntity one where among(one.id, :ids)")
    List<InstrumentEntity> some(UUID... ids);

    /** Those of some ids that are of a size and on the rack, in the order of their names. */
    @Query(LISTED + " where one.id in :ids and one.family = :family"
            + " and one.size = :size and one.retiredAt is null order by one.name")
    List<Listed> sized(Collection<UUID> ids, Family family, String size, Limit most);

    /** Those on the rack whose name begins so, in small letters. */
    @Query(LISTED + " where one.retiredAt is null"
            + " and substring(lower(one.name), 1, length(:beginning)) = :beginning order by one.name")
    List<Listed> beginning(String beginning, Limit most);

    Optional<InstrumentEntity> findFirstByNameIgnoreCase(String name);

    boolean existsByNameIgnoreCase(String name);

    boolean existsByNameIgnoreCaseAndIdNot(String name, UUID id);

    /** Those that have left the rack, the last first. */
    Page<InstrumentEntity> findByRetiredAtNotNullOrderByRetiredAtDescIdAsc(Pageable window);

    int countByRetiredAtNotNull();
}
