package rosinedpeg.web.kinds;

import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;
import rosinedpeg.core.setup.Family;

/** The kinds of string, as they are kept. */
interface StringKindRepository extends JpaRepository<StringKindEntity, UUID> {

    List<StringKindEntity> findByFamilyOrderByMakerAscLineAscDesignLengthMmDesc(Family family);

    List<StringKindEntity> findBySourceOrderByFamilyAscMakerAscLineAscDesignLengthMmDescPositionAscStringEndAsc(
            StringKind.Source source);

    List<StringKindEntity> findByFamilyAndSource(Family family, StringKind.Source source);

    /** Until the transaction is over nobody else lays out usual kinds. */
    @Query(nativeQuery = true, value = "select 1 from pg_advisory_xact_lock(hashtext('usual kinds of string'))")
    int lockUsual();
}
