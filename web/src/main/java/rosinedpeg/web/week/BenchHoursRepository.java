package rosinedpeg.web.week;

import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;

/** When people are at the bench. */
interface BenchHoursRepository extends JpaRepository<BenchHoursEntity, UUID> {

    /** As usual, and otherwise from a day on. */
    @Query("select hours from BenchHoursEntity hours where hours.day is null or hours.day >= :from"
            + " order by hours.person, hours.weekday, hours.day")
    List<BenchHoursEntity> from(LocalDate from);

    @Modifying
    @Query("delete from BenchHoursEntity hours where hours.person = :person")
    void remove(UUID person);
}
