package rosinedpeg.web.plan;

import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;
import rosinedpeg.core.setup.Family;

/** How people like to work, as it is kept: one row for each person and family. */
interface HabitRepository extends JpaRepository<HabitEntity, UUID> {

    Optional<HabitEntity> findByAccountIdAndFamily(UUID accountId, Family family);

    /** The last one stands, also when somebody starts two runs at the same moment. */
    @Modifying
    @Query(nativeQuery = true, value = """
                    insert into habit (id, workshop_id, account_id, family, schools)
                    values (gen_random_uuid(), :workshopId, :accountId, :family, cast(:schools as jsonb))
                    on conflict (workshop_id, account_id, family) do update set schools = excluded.schools
                    """)
    void remember(UUID workshopId, UUID accountId, String family, String schools);
}
