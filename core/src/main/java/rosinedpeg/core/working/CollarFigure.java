package rosinedpeg.core.working;

import java.util.function.ToDoubleFunction;
import rosinedpeg.core.figure.Unit;

/** The figures of a wooden peg that wears its way in. */
public enum CollarFigure implements Workable<CollarGrounds> {
    /** How far it moves in within a year; below 0 when it comes out. */
    MOVES_IN(Unit.MILLIMETRE, CollarGrounds::mmPerYear),
    /** Until its collar is as good as at the wall; a hundred years when it does not move in. */
    MONTHS_TO_WALL(Unit.MONTH, CollarGrounds::monthsToWall);

    private final Formula<CollarGrounds> formula;

    CollarFigure(Unit unit, ToDoubleFunction<CollarGrounds> from) {
        this.formula = new Formula<>(unit, from);
    }

    @Override
    public Formula<CollarGrounds> formula() {
        return formula;
    }
}
