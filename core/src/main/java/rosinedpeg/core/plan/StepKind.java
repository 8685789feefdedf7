package rosinedpeg.core.plan;

import static rosinedpeg.core.plan.Place.BRIDGE;
import static rosinedpeg.core.plan.Place.FINGERBOARD;
import static rosinedpeg.core.plan.Place.NUT;
import static rosinedpeg.core.plan.Place.PEG;
import static rosinedpeg.core.plan.Place.TAIL;
import static rosinedpeg.core.plan.Place.WHOLE;

import java.util.Set;

/** A kind of step, in about the order of the work, with its place and the minutes it usually takes. */
public enum StepKind {
    LOOK_OVER(WHOLE, 2),
    TUNE_AND_STRAIGHTEN(BRIDGE, 2, Reading.GAP, Reading.PITCH),
    LAY_OUT_KIT(WHOLE, 2),
    REST_INSTRUMENT(WHOLE, 1),
    MARK_BRIDGE(BRIDGE, 1),

    BACK_OUT_FINE_TUNER(TAIL, 0.5),
    SET_ASIDE_NEIGHBOUR(NUT, 1),
    LET_DOWN(PEG, 1),
    FREE_TAIL_END(TAIL, 0.5),
    COIL_OLD_STRING(WHOLE, 0.5),
    CUT_UP_OLD_STRING(WHOLE, 0.5),
    WIPE_FINGERBOARD(FINGERBOARD, 1),
    TREAT_PEG(PEG, 2),
    CLEAN_PEG(PEG, 1.5),
    GRAPHITE(BRIDGE, 1),
    HANG_TAIL_END(TAIL, 0.5),
    LOCK_FAR_SIDE_THEN_CROSS(PEG, 1),
    LOCK_STRAIGHT_TO_WALL(PEG, 1),
    WIND_TO_WALL(PEG, 2),
    WIND_LEAVING_GAP(PEG, 2),
    SEAT_IN_GROOVES(NUT, 1),
    BRING_UP(PEG, 2, Reading.PITCH),
    CHECK_BRIDGE(BRIDGE, 1, Reading.GAP),
    RETURN_NEIGHBOUR(NUT, 1, Reading.PITCH),

    TUNING_ROUND(PEG, 3, Reading.PITCH, Reading.GAP),
    LAST_BRIDGE_CHECK(BRIDGE, 1, Reading.GAP),
    CHECK_FINE_TUNERS(TAIL, 0.5),
    RECORD(WHOLE, 1);

    private static final Set<StepKind> MAY_BE_SKIPPED =
            Set.of(MARK_BRIDGE, WIPE_FINGERBOARD, TREAT_PEG, CLEAN_PEG, GRAPHITE);
    private static final Set<StepKind> RAISES_TENSION = Set.of(BRING_UP, RETURN_NEIGHBOUR, TUNING_ROUND);

    private final Place place;
    private final double minutes;
    private final Set<Reading> readings;

    StepKind(Place place, double minutes, Reading... readings) {
        this.place = place;
        this.minutes = minutes;
        this.readings = Set.of(readings);
    }

    /** {@return where it happens} */
    public Place place() {
        return place;
    }

    /** {@return the minutes it usually takes} */
    public double minutes() {
        return minutes;
    }

    /** {@return what can be read at this step} */
    public Set<Reading> readings() {
        return readings;
    }

    /** {@return whether the work can go on without it, leaving it owed} */
    public boolean mayBeSkipped() {
        return MAY_BE_SKIPPED.contains(this);
    }

    /** {@return whether a string gains tension in it} */
    public boolean raisesTension() {
        return RAISES_TENSION.contains(this);
    }
}
