package rosinedpeg.core.pegs;

import static java.util.Objects.requireNonNull;

import java.util.Arrays;
import java.util.List;
import java.util.Set;
import rosinedpeg.core.setup.PegKind;

/** What was done to a peg. No compound, paste, drops, soap or chalk goes on gears. */
public enum PegTreatment {
    CLEANED,
    PEG_COMPOUND,
    LUBRICATING_PASTE,
    GRIPPING_DROPS,
    DRY_SOAP,
    CHALK,
    /** As its maker says, on the worm and wheel of a machine head. */
    OIL,
    /** A repairer has seen to it. */
    REPAIRER;

    /**
     * What can be done to such pegs.
     *
     * @param kind what the strings are wound on
     * @return the treatments, in order
     */
    public static List<PegTreatment> of(PegKind kind) {
        requireNonNull(kind, "kind");
        return Arrays.stream(values())
                .filter(treatment -> switch (treatment) {
                    case CLEANED, REPAIRER -> true;
                    case PEG_COMPOUND, LUBRICATING_PASTE, GRIPPING_DROPS, DRY_SOAP, CHALK -> kind.holdsByFriction();
                    case OIL -> kind == PegKind.MACHINE_HEAD;
                })
                .toList();
    }

    /** {@return whether it makes a tapered peg turn more easily; never for one that slips} */
    public boolean lubricates() {
        return this == LUBRICATING_PASTE || this == DRY_SOAP;
    }

    /** {@return whether it may be used on a peg with those signs: nothing that lubricates goes on one that creeps back} */
    public boolean suits(Set<PegSign> signs) {
        requireNonNull(signs, "signs");
        return !lubricates() || !signs.contains(PegSign.CREEPS_BACK);
    }
}
