package rosinedpeg.web.findings;

import java.time.Clock;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Component;
import rosinedpeg.core.finding.Finding;
import rosinedpeg.core.inspection.Condition;
import rosinedpeg.core.inspection.Inspection;
import rosinedpeg.core.inspection.LookOver;
import rosinedpeg.core.inspection.Seen;
import rosinedpeg.core.setup.Measurable;
import rosinedpeg.core.setup.SetUp;
import rosinedpeg.core.strings.Position;
import rosinedpeg.core.wear.WearState;
import rosinedpeg.web.aftercare.Aftercare;
import rosinedpeg.web.instrument.Fittings;
import rosinedpeg.web.instrument.Instrument;
import rosinedpeg.web.pegs.PegLooks;
import rosinedpeg.web.platform.CurrentWorkshop;

/** Looks instruments over, by everything that is recorded of them. */
@Component
public class Inspections {

    private final Notes notes;
    private final PegLooks pegs;
    private final Aftercare aftercare;
    private final Clock clock;

    Inspections(Notes notes, PegLooks pegs, Aftercare aftercare, Clock clock) {
        this.notes = notes;
        this.pegs = pegs;
        this.aftercare = aftercare;
        this.clock = clock;
    }

    /** {@return everything that is not as it should be, what stops the work first} */
    public List<Finding> of(Instrument instrument) {
        return Inspection.of(condition(instrument), today());
    }

    /**
     * What a look over an instrument comes to, beside everything that is on record.
     *
     * @param instrument the instrument
     * @param seen what was seen
     * @param measured what was measured with it and is not on record yet
     * @return everything that is not as it should be, what stops the work first
     */
    public List<Finding> of(Instrument instrument, Seen seen, Map<Measurable, Double> measured) {
        return LookOver.findings(condition(instrument, instrument.setUp().measured(measured)), seen, today());
    }

    /** {@return what has to be known before anybody works on it} */
    public Beforehand beforehand(Instrument instrument) {
        return new Beforehand(notes.referrals(instrument.id()), Inspection.beforeWork(condition(instrument), today()));
    }

    private Condition condition(Instrument instrument) {
        return condition(instrument, instrument.setUp());
    }

    private Condition condition(Instrument instrument, SetUp setUp) {
        ZoneId zone = CurrentWorkshop.zone();
        Map<Position, WearState> wear = new EnumMap<>(Position.class);
        instrument.strings().forEach(string -> wear.put(string.position(), string.state()));
        Fittings fittings = instrument.fittings();
        return new Condition(
                setUp,
                instrument.specs(),
                wear,
                pegs.signs(instrument.id(), setUp.pegKind()),
                instrument.collars(),
                fittings.parchment(),
                fittings.tube(),
                fittings.tunersBuiltIn(),
                instrument.strings().stream()
                        .flatMap(string -> string.fittedAt().stream())
                        .max(Comparator.naturalOrder())
                        .map(at -> at.atZone(zone).toLocalDate())
                        .orElse(null),
                instrument.bridgeLookedAtOn(),
                aftercare.rosining(instrument, zone),
                fittings.pegWood().orElse(null));
    }

    private LocalDate today() {
        return CurrentWorkshop.today(clock);
    }
}
