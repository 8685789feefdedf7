package rosinedpeg.core.causes;

import static java.util.Objects.requireNonNull;
import static rosinedpeg.core.causes.BreakPlace.BRIDGE;
import static rosinedpeg.core.causes.BreakPlace.MID_LENGTH;
import static rosinedpeg.core.causes.BreakPlace.NUT;
import static rosinedpeg.core.causes.BreakPlace.PEG;
import static rosinedpeg.core.causes.BreakPlace.TUNER;

import java.util.Arrays;
import java.util.List;
import rosinedpeg.core.strings.Position;

/** Why a string breaks at a place, the likelier first. */
public enum BreakCause {
    DRY_NUT_GROOVE(NUT, false),
    TIGHT_NUT_GROOVE(NUT, true),
    SHARP_NUT_EDGE(NUT, true),
    TOUCHES_IN_PEGBOX(PEG, true),
    CROSSED_TURNS(PEG, false),
    ROUGH_PEG_HOLE(PEG, true),
    NO_GUARD_UNDER_FIRST(BRIDGE, false),
    SHARP_BRIDGE_EDGE(BRIDGE, true),
    DEEP_BRIDGE_GROOVE(BRIDGE, true),
    BURR_ON_TUNER(TUNER, true),
    WRONG_END(TUNER, false),
    AGE(MID_LENGTH, false),
    CORROSION(MID_LENGTH, false),
    OVERSHOT(MID_LENGTH, false);

    private final BreakPlace place;
    private final boolean refer;

    BreakCause(BreakPlace place, boolean refer) {
        this.place = place;
        this.refer = refer;
    }

    /** {@return whether curing it is a repairer's work} */
    public boolean refer() {
        return refer;
    }

    /**
     * What can be behind a break.
     *
     * @param position the string
     * @param place where it broke
     * @return the causes, the likelier first; a missing guard only for I
     */
    public static List<BreakCause> of(Position position, BreakPlace place) {
        requireNonNull(place, "place");
        requireNonNull(position, "position");
        return Arrays.stream(values())
                .filter(cause -> cause.place == place)
                .filter(cause -> cause != NO_GUARD_UNDER_FIRST || position == Position.I)
                .toList();
    }
}
