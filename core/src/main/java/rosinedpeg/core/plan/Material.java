package rosinedpeg.core.plan;

import java.util.EnumSet;
import java.util.Set;

/** What has to lie ready. */
public enum Material {
    NEW_STRING,
    SOFT_PENCIL,
    LINT_FREE_CLOTH,
    ALCOHOL,
    PEG_COMPOUND,
    LUBRICATING_PASTE,
    GRIPPING_DROPS,
    DRY_SOAP,
    CHALK,
    TWEEZERS,
    TUNER,
    GOOD_LIGHT,
    EYE_PROTECTION,
    CLOTH_UNDER_TAILPIECE,
    RIGHT_ANGLE_CARD,
    STRING_PACKET,
    BLANKET,
    BLOCKS,
    LONG_NOSED_PLIERS,
    WINDER,
    FELTS,
    CUTTER,
    TAILPIECE,
    RULER,
    TUBE,
    /** Soft, to tie strings together in a loop. */
    TIE;

    private static final Set<Material> USED_UP =
            EnumSet.of(ALCOHOL, PEG_COMPOUND, LUBRICATING_PASTE, GRIPPING_DROPS, CHALK, FELTS, TUBE);

    /** {@return whether there is less of it in the case afterwards} */
    public boolean usedUp() {
        return USED_UP.contains(this);
    }
}
