package rosinedpeg.core.working;

import java.util.function.ToDoubleFunction;
import rosinedpeg.core.figure.Unit;
import rosinedpeg.core.settling.SettlingForecast;
import rosinedpeg.core.settling.SettlingReading;
import rosinedpeg.core.settling.Sinking;

/** The figures of a string that settles. Hours count from when it came to pitch. */
public enum SettlingFigure implements Workable<SettlingGrounds> {
    /** Everything it will lose. */
    LOSES_IN_ALL(Unit.CENT, on -> on.fit().forecast().totalCents()),
    /** The hour by which it has lost most of it. */
    LOSES_MOST_BY(Unit.HOUR, on -> on.fit().forecast().tauHours()),
    HAS_LOST(Unit.CENT, on -> on.fit().forecast().lostCents(on.hours())),
    STEADY_AT(Unit.HOUR, on -> on.fit().forecast().steadyAtHours(on.toleranceCents(), on.windowHours())),
    STEADY_AT_EARLIEST(
            Unit.HOUR,
            on -> on.fit().steadyAtHours(on.toleranceCents(), on.windowHours()).low()),
    STEADY_AT_LATEST(
            Unit.HOUR,
            on -> on.fit().steadyAtHours(on.toleranceCents(), on.windowHours()).high()),
    /** When it will have sunk by the tolerance since it was last tuned; a year after that when it never will. */
    WANTS_TUNING_AT(
            Unit.HOUR,
            on -> on.fit()
                    .forecast()
                    .wantsTuningAtHours(on.tunedAtHours(), on.toleranceCents())
                    .orElse(on.tunedAtHours() + SettlingForecast.FURTHEST_HOURS)),
    /** All that was read to be lost by the reading that is asked about. */
    READ_LOST(Unit.CENT, on -> SettlingReading.losses(on.readings()).get(on.askedReading())),
    /** What such a string has usually lost by then. */
    USUALLY_LOST(Unit.CENT, on -> on.usual().lostCents(on.hours())),
    /** By how many spreads a reading was further down than expected. */
    OUT_OF_LINE(Unit.RATIO, on -> {
        Sinking sinking = on.fit().sinkings().get(on.askedReading());
        return (sinking.sankCents() - sinking.expectedCents()) / sinking.spreadCents();
    });

    private final Formula<SettlingGrounds> formula;

    SettlingFigure(Unit unit, ToDoubleFunction<SettlingGrounds> from) {
        this.formula = new Formula<>(unit, from);
    }

    @Override
    public Formula<SettlingGrounds> formula() {
        return formula;
    }
}
