package rosinedpeg.web.week;

import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

/** Days on which jobs are not wanted. */
interface NotOnRepository extends JpaRepository<NotOnEntity, UUID> {

    List<NotOnEntity> findByDayGreaterThanEqual(LocalDate today);

    List<NotOnEntity> findByJob(String job);
}
