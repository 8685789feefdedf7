package rosinedpeg.core.causes;

import static java.util.Objects.requireNonNull;
import static rosinedpeg.core.causes.BreakPlace.BRIDGE;
import static rosinedpeg.core.causes.BreakPlace.MID_LENGTH;
import static rosinedpeg.core.causes.BreakPlace.NUT;
import static rosinedpeg.core.causes.BreakPlace.PEG;
import static rosinedpeg.core.causes.BreakPlace.TUNER;

import java.util.Arrays;
import java.util.List;
import rosinedpeg.core.grooves.Guard;
import rosinedpeg.core.setup.SetUp;
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
     * @param setUp the instrument
     * @param position the string
     * @param place where it broke
     * @return the causes, the likelier first: a missing guard only where one may be needed, an end that does not
     *     suit its fine tuner only where there is one
     * @throws IllegalArgumentException when the instrument has no such string
     */
    public static List<BreakCause> of(SetUp setUp, Position position, BreakPlace place) {
        requireNonNull(place, "place");
        boolean tuned = position.in(setUp.tailEnds()).hasFineTuner();
        return Arrays.stream(values())
                .filter(cause -> cause.place == place)
                .filter(cause -> switch (cause) {
                    case NO_GUARD_UNDER_FIRST -> Guard.mayBeNeeded(setUp.family(), position);
                    case WRONG_END -> tuned;
                    default -> true;
                })
                .toList();
    }
}
