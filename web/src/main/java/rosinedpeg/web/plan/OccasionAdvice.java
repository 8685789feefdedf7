package rosinedpeg.web.plan;

import java.time.Instant;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import rosinedpeg.core.dates.ChangeWindow;
import rosinedpeg.core.strings.Position;
import rosinedpeg.web.instrument.Instrument;
import rosinedpeg.web.kinds.StringKind;
import rosinedpeg.web.occasions.Occasion;

/**
 * Until when the chosen strings may be changed for an occasion.
 *
 * @param occasion the rehearsal or concert
 * @param latest until when, so that all of them hold by then nine times in ten
 * @param first the string that needs the time
 * @param inTime whether that is still to come
 */
record OccasionAdvice(Occasion occasion, Instant latest, Position first, boolean inTime) {

    static List<OccasionAdvice> of(
            List<Occasion> occasions, Instrument instrument, Map<Position, StringKind> replacements, Instant now) {
        return occasions.stream()
                .map(occasion -> replacements.entrySet().stream()
                        .map(entry -> {
                            ChangeWindow window = window(occasion, instrument, entry.getValue());
                            return new OccasionAdvice(occasion, window.latest(), entry.getKey(), window.inTime(now));
                        })
                        .min(Comparator.comparing(OccasionAdvice::latest))
                        .orElseThrow())
                .toList();
    }

    private static ChangeWindow window(Occasion occasion, Instrument instrument, StringKind string) {
        return ChangeWindow.of(
                string.spec().core(),
                string.lasts(instrument.demand()),
                instrument.hoursPerWeek(),
                occasion.steadiness(),
                occasion.beginsAt());
    }
}
