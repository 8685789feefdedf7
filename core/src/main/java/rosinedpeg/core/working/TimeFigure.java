package rosinedpeg.core.working;

import rosinedpeg.core.figure.Unit;

/** How long work usually takes. */
public enum TimeFigure implements Workable<TimeGrounds> {
    USUAL_TIME;

    @Override
    public Unit unit() {
        return Unit.MINUTE;
    }

    @Override
    public double value(TimeGrounds grounds) {
        return grounds.minutes();
    }
}
