package rosinedpeg.web.instrument;

import java.time.Clock;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.List;
import org.springframework.stereotype.Component;
import rosinedpeg.core.finding.Finding;
import rosinedpeg.core.inspection.Condition;
import rosinedpeg.core.inspection.Inspection;
import rosinedpeg.web.platform.CurrentWorkshop;

/** Looks instruments over, by everything that is recorded of them. */
@Component
public class Inspections {

    private final Aftercare aftercare;
    private final Clock clock;

    Inspections(Aftercare aftercare, Clock clock) {
        this.aftercare = aftercare;
        this.clock = clock;
    }

    /** {@return everything that is not as it should be, what stops the work first} */
    List<Finding> of(Instrument instrument) {
        return Inspection.of(condition(instrument), today());
    }

    /** {@return what has to be known before anybody works on it} */
    public Beforehand beforehand(Instrument instrument) {
        return new Beforehand(instrument.referrals(), Inspection.beforeWork(condition(instrument), today()));
    }

    private Condition condition(Instrument instrument) {
        ZoneId zone = CurrentWorkshop.zone();
        return instrument.condition(zone, aftercare.rosining(instrument, zone));
    }

    private LocalDate today() {
        return clock.instant().atZone(CurrentWorkshop.zone()).toLocalDate();
    }
}
