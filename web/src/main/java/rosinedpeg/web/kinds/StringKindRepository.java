package rosinedpeg.web.kinds;

import java.time.Instant;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;
import rosinedpeg.core.setup.Family;

/** The kinds of string, as they are kept. */
interface StringKindRepository extends JpaRepository<StringKindEntity, UUID> {

    /** Asked on nearly every page: unlike {@code findAllById} its statement is made once. */
    List<StringKindEntity> findByIdIn(Collection<UUID> ids);

    List<StringKindEntity> findAllByOrderByFamilyAscMakerAscLineAscDesignLengthMmDescPositionAscStringEndAsc();

    /** Of all of them what tells whether anything has changed that a {@link StringKind} says; empty where there is none. */
    @Query(
            "select listagg(concat(cast(kind.id as String), ' ', cast(kind.version as String), ' ',"
                    + " coalesce(cast(kind.learnedAt as String), '')), ',') within group (order by kind.id) from StringKindEntity kind")
    Optional<String> editions();

    List<StringKindEntity> findByFamilyAndSource(Family family, StringKind.Source source);

    /** What was learned is nothing that anybody changes in a form: the version stays. */
    @Modifying(flushAutomatically = true)
    @Query(
            "update StringKindEntity kind set kind.learnedAll = :all, kind.learnedConcert = :concert, kind.learnedStudy = :study,"
                    + " kind.learnedLoan = :loan, kind.learnedAt = :at where kind.id = :id")
    void learn(
            UUID id,
            @Nullable Double all,
            @Nullable Double concert,
            @Nullable Double study,
            @Nullable Double loan,
            @Nullable Instant at);

    /** Until the transaction is over nobody else lays out usual kinds. */
    @Query(nativeQuery = true, value = "select 1 from pg_advisory_xact_lock(hashtext('usual kinds of string'))")
    int lockUsual();
}
