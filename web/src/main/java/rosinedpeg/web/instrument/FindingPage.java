package rosinedpeg.web.instrument;

import java.util.Locale;
import rosinedpeg.core.finding.Finding;

/** The page that a finding comes from and is drawn on. */
enum FindingPage {
    BRIDGE,
    PEGBOX,
    PEGS,
    TAILPIECE,
    FIT,
    PLAN;

    /** {@return where a finding is drawn} */
    static FindingPage of(Finding finding) {
        return switch (finding.kind()) {
            case WRONG_POSITION,
                    END_MISMATCH,
                    TAIL_SILK_ON_BRIDGE,
                    TOP_SILK_ON_PLAYING_LENGTH,
                    TOO_FEW_TURNS,
                    TOO_MANY_TURNS,
                    TOO_THICK_FOR_SLOT,
                    TOO_THICK_FOR_GROOVE,
                    LOAD_RISE,
                    FITS -> FIT;
            case BRIDGE_TO_EASE_BACK,
                    BRIDGE_TO_STRAIGHTEN,
                    BRIDGE_FALLING,
                    BRIDGE_TO_LOOK_AT,
                    BRIDGE_WRONG_WAY_ROUND,
                    BRIDGE_WARPED,
                    BRIDGE_TWISTED,
                    BRIDGE_OFF_ITS_LINE,
                    BRIDGE_OFF_CENTRE,
                    CURVE_UNEVEN,
                    BRIDGE_GROOVE_SHALLOW,
                    BRIDGE_GROOVE_DEEP,
                    BRIDGE_GROOVE_TOO_DEEP,
                    BRIDGE_GROOVE_PINCHES,
                    NUT_GROOVE_SHALLOW,
                    NUT_GROOVE_DEEP,
                    NUT_GROOVE_TOO_DEEP,
                    NUT_GROOVE_PINCHES,
                    GUARD_MISSING,
                    GUARD_TWICE -> BRIDGE;
            case AFTERLENGTH_OFF,
                    TAILPIECE_HEAVY,
                    TAILPIECE_NEAR_TOP,
                    TUNER_RATTLES,
                    TUNER_AT_ITS_END,
                    TUNER_LEVER_NEAR_TOP -> TAILPIECE;
            case PEG_CRACKED, PEG_TAPER_MISMATCH, PEG_WORN_IN, PEG_SLIPS, PEG_STICKS, COLLAR_RUNS_OUT -> PEGS;
            case STRING_TOUCHES, STRING_TOUCHES_BOTH_WAYS -> PEGBOX;
            case STRING_TO_CHANGE_NOW, STRING_DUE, STRING_AGE_UNKNOWN, POST_LET_GO, BASS_FOOT_LIFTS -> PLAN;
        };
    }

    /** {@return the last part of its address} */
    String path(Finding finding) {
        String page = name().toLowerCase(Locale.ROOT);
        return this == FIT
                ? page
                        + finding.concerns()
                                .map(position -> "?string=" + position)
                                .orElse("")
                : page;
    }
}
