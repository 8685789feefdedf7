package rosinedpeg.web.plan;

import java.util.Collection;
import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;
import rosinedpeg.core.plan.Material;

/** What people have in their kits, as it is kept. */
interface KitItemRepository extends JpaRepository<KitItemEntity, UUID> {

    List<KitItemEntity> findByAccountId(UUID accountId);

    void deleteByAccountIdAndMaterialNotIn(UUID accountId, Collection<Material> materials);

    /** What is there already stays as it is, also when the list is sent twice. */
    @Modifying
    @Query(nativeQuery = true, value = """
                    insert into kit_item (id, workshop_id, account_id, material)
                    values (gen_random_uuid(), :workshopId, :accountId, :material)
                    on conflict (workshop_id, account_id, material) do nothing
                    """)
    void add(UUID workshopId, UUID accountId, String material);
}
