package rosinedpeg.core.pegs;

/** Something seen, felt or heard at a peg. */
public enum PegSign {
    STICKS,
    CREAKS,
    JERKS,
    NEEDS_A_CLOTH_TO_TURN,
    CREEPS_BACK,
    /** Both bands are shiny all round: it fits. */
    BOTH_BANDS_SHINY,
    ONE_BAND_SHINY,
    HALF_A_BAND_SHINY,
    COLLAR_CLOSE_TO_WALL,
    END_STANDS_OUT_BEYOND_FAR_WALL,
    SPLIT,
    CRACK_NEAR_THE_HOLE
}
