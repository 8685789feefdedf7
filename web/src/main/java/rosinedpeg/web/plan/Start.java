package rosinedpeg.web.plan;

import java.util.Map;
import java.util.UUID;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.stereotype.Component;
import rosinedpeg.core.plan.ChangePlan;
import rosinedpeg.core.strings.Position;
import rosinedpeg.web.bench.Benches;
import rosinedpeg.web.bench.Reason;

/** Takes a plan to the bench. Two presses, or two devices, at the same moment come to the same run. */
@Component
class Start {

    private final Benches benches;

    Start(Benches benches) {
        this.benches = benches;
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
