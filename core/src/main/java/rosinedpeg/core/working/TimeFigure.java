package rosinedpeg.core.working;

import rosinedpeg.core.figure.Unit;

/** How long work usually takes. */
public enum TimeFigure implements Workable<TimeGrounds> {
    USUAL_TIME;

    @Override
    public Formula<TimeGrounds> formula() {
        return new Formula<>(Unit.MINUTE, TimeGrounds::minutes);
    }
}
