package rosinedpeg.core.pegs;

import java.util.Arrays;
import java.util.Collections;
import java.util.EnumSet;
import java.util.Set;
import java.util.stream.Collectors;
import rosinedpeg.core.setup.PegKind;

/** Something seen, felt or heard at a peg. Gears have no bands that polish, and no taper that wears its way in. */
public enum PegSign {
    STICKS(true),
    CREAKS(true),
    JERKS(true),
    NEEDS_A_CLOTH_TO_TURN(true),
    CREEPS_BACK(true),
    /** Both bands are shiny all round: it fits. */
    BOTH_BANDS_SHINY(false),
    ONE_BAND_SHINY(false),
    HALF_A_BAND_SHINY(false),
    COLLAR_CLOSE_TO_WALL(false),
    END_STANDS_OUT_BEYOND_FAR_WALL(false),
    SPLIT(true),
    CRACK_NEAR_THE_HOLE(true);

    private final boolean ofGearsToo;

    PegSign(boolean ofGearsToo) {
        this.ofGearsToo = ofGearsToo;
    }

    /**
     * What can be noticed at such pegs.
     *
     * @param kind what the strings are wound on
     * @return the signs, in order
     */
    public static Set<PegSign> of(PegKind kind) {
        boolean friction = kind.holdsByFriction();
        return Collections.unmodifiableSet(Arrays.stream(values())
                .filter(sign -> friction || sign.ofGearsToo)
                .collect(Collectors.toCollection(() -> EnumSet.noneOf(PegSign.class))));
    }
}
