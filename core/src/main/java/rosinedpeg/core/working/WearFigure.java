package rosinedpeg.core.working;

import java.util.function.ToDoubleFunction;
import rosinedpeg.core.figure.Unit;

/** The figures of a used string. */
public enum WearFigure implements Workable<WearGrounds> {
    HOURS_PLAYED(Unit.HOUR, on -> on.wear().hours()),
    WORN(Unit.SHARE, on -> on.wear().worn()),
    /** Until it is due; below 0 when it is over. */
    MONTHS_LEFT(Unit.MONTH, on -> on.wear().monthsLeft(on.demandShare(), on.hoursPerWeek())),
    /** Of playing until it is due; below 0 when it is over. */
    HOURS_LEFT(Unit.HOUR, on -> on.wear().hoursLeft(on.demandShare(), on.hoursPerWeek()));

    private final Formula<WearGrounds> formula;

    WearFigure(Unit unit, ToDoubleFunction<WearGrounds> from) {
        this.formula = new Formula<>(unit, from);
    }

    @Override
    public Formula<WearGrounds> formula() {
        return formula;
    }
}
