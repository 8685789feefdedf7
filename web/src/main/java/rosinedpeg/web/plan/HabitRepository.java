package rosinedpeg.web.plan;

import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import rosinedpeg.core.setup.Family;

interface HabitRepository extends JpaRepository<HabitEntity, UUID> {

    Optional<HabitEntity> findByAccountIdAndFamily(UUID accountId, Family family);
}
