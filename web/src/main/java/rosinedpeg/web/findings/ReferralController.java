package rosinedpeg.web.findings;

import java.time.Clock;
import java.util.UUID;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import rosinedpeg.core.figure.Origin;
import rosinedpeg.core.finding.Finding;
import rosinedpeg.core.setup.Quantity;
import rosinedpeg.web.instrument.Instrument;
import rosinedpeg.web.instrument.Instruments;
import rosinedpeg.web.platform.OpenTo;
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
    String note(@PathVariable UUID id, Model model) {
        Instrument instrument = instruments.get(id);
        model.addAttribute("instrument", instrument);
        model.addAttribute("referrals", notes.referrals(id));
        model.addAttribute(
                "findings",
                inspections.of(instrument).stream().filter(Finding::refer).toList());
        model.addAttribute(
                "measured",
                instrument.setUp().figures().entrySet().stream()
                        .filter(entry -> entry.getValue().origin() != Origin.DEFAULT)
                        .toList());
        model.addAttribute("vibratingLength", instrument.setUp().figure(Quantity.VIBRATING_LENGTH));
        model.addAttribute("today", clock.instant());
        return "findings/referral";
    }
}
