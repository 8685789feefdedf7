package rosinedpeg.web.practice;

import java.util.Collection;
import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

/** The lessons that are set, as they are kept. */
interface SetLessonRepository extends JpaRepository<SetLessonEntity, UUID> {

    List<SetLessonEntity> findByAccountIdIn(Collection<UUID> accountIds);
}
