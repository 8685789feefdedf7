package rosinedpeg.web.demonstration;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.TreeMap;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import rosinedpeg.core.causes.BreakPlace;
import rosinedpeg.core.strings.Position;
import rosinedpeg.core.wear.CameOff;
import rosinedpeg.core.wear.Wear;
import rosinedpeg.web.instrument.Instrument;
import rosinedpeg.web.instrument.Instruments;
import rosinedpeg.web.instrument.Off;
import rosinedpeg.web.kinds.StringKind;

/**
 * Seasons that the theatre has behind it: strings that went on and came off before those that are on now, worn out most of them, some
 * broken, some changed before a night that mattered. The same ones for every demonstration, told from today.
 */
final class Seasons {

    private static final double SCATTER = 0.2;
    private static final double BROKE_SHARE = 0.1;
    private static final double GOOD_SHARE = 0.28;
    /** How far through its life one is that breaks, or is taken off while it is good. */
    private static final double CUT_SHORT = 0.65;

    private final Instruments instruments;
    private final Instant now;
    private final Random random = new Random(20260612);

    Seasons(Instruments instruments, Instant now) {
        this.instruments = instruments;
        this.now = now;
    }

    private record Past(StringKind kind, Instant from, Off off) {}

    /**
     * Strings an instrument, after what was on it before.
     *
     * @param instrumentId the instrument, bare
     * @param before what was on it before, the last first
     * @param set what is on it now
     * @param daysAgo since how many days
     * @param truth how many times the life that is thought of such strings they truly have
     */
    void fit(
            UUID instrumentId,
            List<Map<Position, StringKind>> before,
            Map<Position, StringKind> set,
            Map<Position, Integer> daysAgo,
            double truth) {
        Instrument instrument = instruments.get(instrumentId);
        new TreeMap<>(daysAgo).forEach((position, days) -> {
            Instant since = now.minus(Duration.ofDays(days));
            List<Past> past = new ArrayList<>();
            Instant until = since;
            for (Map<Position, StringKind> kinds : before) {
                StringKind kind = position.in(kinds);
                double roll = random.nextDouble();
                CameOff why =
                        roll < BROKE_SHARE ? CameOff.BROKE : roll < GOOD_SHARE ? CameOff.STILL_GOOD : CameOff.WORN;
                double lives =
                        truth * Math.exp(random.nextGaussian() * SCATTER) * (why == CameOff.WORN ? 1 : CUT_SHORT);
                double months = new Wear(0, 0, 0, kind.thought())
                        .monthsLeft(instrument.demand().threshold() * lives, instrument.hoursPerWeek());
                Instant from = until.minusSeconds(Math.round(months * Wear.HOURS_PER_MONTH * 3600));
                past.add(0, new Past(kind, from, new Off(why, why == CameOff.BROKE ? place() : null)));
                until = from;
            }
            @Nullable Off off = null;
            for (Past one : past) {
                instruments.fit(instrumentId, position, one.kind().id(), one.from(), 0, Set.of(), false, off);
                off = one.off();
            }
            instruments.fit(instrumentId, position, position.in(set).id(), since, 0, Set.of(), false, off);
        });
    }

    private BreakPlace place() {
        return BreakPlace.values()[random.nextInt(BreakPlace.values().length)];
    }
}
