package rosinedpeg.web.plan;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
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
        List<OccasionAdvice> advice = new ArrayList<>();
        for (Occasion occasion : occasions) {
            Optional<OccasionAdvice> tightest = Optional.empty();
            int day = 0;
            for (Map.Entry<Position, StringKind> entry : replacements.entrySet()) {
                ChangeWindow window =
                        window(occasion, instrument, entry.getValue()).ofWorkBegun(oneADay ? day++ : 0);
                if (tightest.filter(one -> !window.latest().isBefore(one.latest()))
                        .isEmpty()) {
                    tightest = Optional.of(
                            new OccasionAdvice(occasion, window.latest(), entry.getKey(), window.inTime(now)));
                }
            }
            tightest.ifPresent(advice::add);
        }
        return advice;
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
