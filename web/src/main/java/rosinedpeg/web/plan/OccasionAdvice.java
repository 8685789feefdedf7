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
 * Until when the chosen strings may be changed for an occasion, or the first of them where one goes on a day.
 *
 * @param occasion the rehearsal or concert
 * @param latest until when, so that all of them hold by then nine times in ten
 * @param first the string that needs the time
 * @param inTime whether that is still to come
 */
record OccasionAdvice(Occasion occasion, Instant latest, Position first, boolean inTime) {

    /**
     * For each occasion the string that leaves the least time.
     *
     * @param occasions what is to come
     * @param instrument the instrument
     * @param replacements what goes on, in the order in which it does
     * @param oneADay whether each goes on a day after the one before
     * @param now the moment
     * @return until when the first of them may go on
     */
    static List<OccasionAdvice> of(
            List<Occasion> occasions,
            Instrument instrument,
            Map<Position, StringKind> replacements,
            boolean oneADay,
            Instant now) {
        List<Position> inOrder = List.copyOf(replacements.keySet());
        return occasions.stream()
                .map(occasion -> inOrder.stream()
                        .map(position -> {
                            ChangeWindow window = window(occasion, instrument, position.in(replacements))
                                    .ofWorkBegun(oneADay ? inOrder.indexOf(position) : 0);
                            return new OccasionAdvice(occasion, window.latest(), position, window.inTime(now));
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
