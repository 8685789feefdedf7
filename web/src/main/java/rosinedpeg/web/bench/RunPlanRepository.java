package rosinedpeg.web.bench;

import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

/** The plans that runs follow. */
interface RunPlanRepository extends JpaRepository<RunPlanEntity, UUID> {}
