package rosinedpeg.core.working;

import java.util.function.ToDoubleFunction;
import rosinedpeg.core.figure.Unit;
import rosinedpeg.core.rounds.NextRound;

/** The figures of strings that are being tuned. */
public enum TuningFigure implements Workable<TuningGrounds> {
    /** How far a string sinks when another is brought to pitch; below 0 for a drop. */
    SINKS_BY(Unit.CENT, TuningGrounds::sinksByCents),
    /** How often it will have to be gone round before every string is in tune. */
    ROUNDS(Unit.RATIO, on -> on.next().map(NextRound::rounds).orElse(0));

    private final Formula<TuningGrounds> formula;

    TuningFigure(Unit unit, ToDoubleFunction<TuningGrounds> from) {
        this.formula = new Formula<>(unit, from);
    }

    @Override
    public Formula<TuningGrounds> formula() {
        return formula;
    }
}
