package rosinedpeg.web.plan;

import java.util.Map;
import java.util.UUID;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.stereotype.Component;
import rosinedpeg.core.plan.ChangePlan;
import rosinedpeg.core.strings.Position;
import rosinedpeg.web.bench.Benches;
import rosinedpeg.web.bench.Reason;
import rosinedpeg.web.instrument.Instrument;
import rosinedpeg.web.instrument.Instruments;
import rosinedpeg.web.platform.NotFoundException;

/** Takes a plan to the bench. Two presses, or two devices, at the same moment come to the same run. */
@Component
class Start {

    private final Instruments instruments;
    private final Benches benches;

    Start(Instruments instruments, Benches benches) {
        this.instruments = instruments;
        this.benches = benches;
    }

    /**
     * An instrument that work can be planned for.
     *
     * @throws NotFoundException when this workshop has none with that id, or a string of it is not recorded
     */
    Instrument plannable(UUID id) {
        Instrument instrument = instruments.get(id);
        if (!instrument.canBePlanned()) {
            throw new NotFoundException("plan for " + id);
        }
        return instrument;
    }

    /** {@return the run that follows the plan, or the one that was opened first} */
    UUID run(UUID instrument, ChangePlan plan, Map<Position, UUID> replacements, Reason reason, boolean keepOld) {
        try {
            return benches.start(instrument, plan, replacements, reason, keepOld);
        } catch (DataIntegrityViolationException pressedTwice) {
            return benches.openFor(instrument).orElseThrow(() -> pressedTwice);
        }
    }
}
