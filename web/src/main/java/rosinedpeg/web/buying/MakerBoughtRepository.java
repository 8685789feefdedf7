package rosinedpeg.web.buying;

import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

/** From whom strings of each maker are bought, as it is kept. */
interface MakerBoughtRepository extends JpaRepository<MakerBoughtEntity, UUID> {

    Optional<MakerBoughtEntity> findByMakerIgnoreCase(String maker);
}
