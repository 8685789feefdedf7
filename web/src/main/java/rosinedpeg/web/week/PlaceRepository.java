package rosinedpeg.web.week;

import java.time.LocalDate;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;
import org.springframework.transaction.annotation.Transactional;

/** Where jobs stand. */
interface PlaceRepository extends JpaRepository<PlaceEntity, UUID> {

    Optional<PlaceEntity> findByJob(String job);

    List<PlaceEntity> findAllByOrderByJob();

    /**
     * A job was planned there, or nowhere; of two who plan at one moment the later one says. A pin stands whatever was planned, until its
     * day is over.
     */
    @Transactional
    @Modifying(flushAutomatically = true, clearAutomatically = true)
    @Query(nativeQuery = true, value = """
            insert into bench_place (id, workshop_id, job, day, person, pinned)
            values (gen_random_uuid(), :workshopId, :job, cast(:day as date), cast(:person as uuid), false)
            on conflict (workshop_id, job) do update
            set day = excluded.day, person = excluded.person, pinned = false
            where not bench_place.pinned or bench_place.day < :today""")
    void stand(UUID workshopId, String job, @Nullable LocalDate day, @Nullable UUID person, LocalDate today);

    /** Jobs that are no more. */
    @Transactional
    @Modifying(flushAutomatically = true, clearAutomatically = true)
    @Query("delete from PlaceEntity place where place.job in :jobs")
    void forget(Collection<String> jobs);
}
