package rosinedpeg.web.findings;

import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.springframework.stereotype.Controller;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import rosinedpeg.core.figure.Figure;
import rosinedpeg.core.figure.Origin;
import rosinedpeg.core.finding.Finding;
import rosinedpeg.core.setup.Measurable;
import rosinedpeg.core.setup.Quantity;
import rosinedpeg.web.instrument.Instrument;
import rosinedpeg.web.instrument.Instruments;
import rosinedpeg.web.platform.OpenTo;
import rosinedpeg.web.platform.Page;
import rosinedpeg.web.platform.Role;

/** A note for the repairer, on one page: what was found and what was measured. */
@Controller
class ReferralController {

    private final Instruments instruments;
    private final Inspections inspections;
    private final Notes notes;
    private final Clock clock;

    ReferralController(Instruments instruments, Inspections inspections, Notes notes, Clock clock) {
        this.instruments = instruments;
        this.inspections = inspections;
        this.notes = notes;
        this.clock = clock;
    }

    @OpenTo(Role.PLAYER)
    @GetMapping("/instruments/{id}/referral")
    @Transactional(readOnly = true)
    String note(@PathVariable UUID id, Model model) {
        Instrument instrument = instruments.get(id);
        Page.lay(
                new ReferralPage(
                        instrument,
                        notes.referrals(id),
                        inspections.of(instrument).stream()
                                .filter(Finding::refer)
                                .toList(),
                        clock.instant()),
                model);
        return "findings/referral";
    }

    /**
     * What a repairer is told.
     *
     * @param instrument the instrument
     * @param referrals what was noticed, oldest first
     * @param findings what was found
     * @param today the moment it is written
     */
    record ReferralPage(Instrument instrument, List<Referral> referrals, List<Finding> findings, Instant today) {

        /** {@return what is known of it beside what is usual} */
        public List<Map.Entry<Measurable, Figure>> measured() {
            return instrument.setUp().figures().entrySet().stream()
                    .filter(entry -> entry.getValue().origin() != Origin.DEFAULT)
                    .toList();
        }

        /** {@return its vibrating length} */
        public Figure vibratingLength() {
            return instrument.setUp().figure(Quantity.VIBRATING_LENGTH);
        }
    }
}
