package rosinedpeg.web.diary;

import java.time.Clock;
import java.util.List;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The rehearsals and concerts of the workshop. */
@Service
@Transactional(readOnly = true)
public class Diary {

    private final OccasionRepository occasions;
    private final Clock clock;

    Diary(OccasionRepository occasions, Clock clock) {
        this.occasions = occasions;
        this.clock = clock;
    }

    /** {@return what is still to come, soonest first} */
    public List<Occasion> toCome() {
        return occasions.findByBeginsAtAfterOrderByBeginsAt(clock.instant()).stream()
                .map(OccasionEntity::view)
                .toList();
    }

    /** Enters an occasion. */
    @Transactional
    public void enter(Occasion occasion) {
        occasions.save(new OccasionEntity(occasion));
    }
}
