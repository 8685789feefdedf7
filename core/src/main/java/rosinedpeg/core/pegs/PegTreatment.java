package rosinedpeg.core.pegs;

import static java.util.Objects.requireNonNull;

import java.util.Set;

/** What was done to a peg. */
public enum PegTreatment {
    CLEANED,
    PEG_COMPOUND,
    LUBRICATING_PASTE,
    GRIPPING_DROPS,
    DRY_SOAP,
    CHALK,
    /** A repairer has seen to it. */
    REPAIRER;

    /** {@return whether it makes a peg turn more easily; never for one that slips} */
    public boolean lubricates() {
        return this == LUBRICATING_PASTE || this == DRY_SOAP;
    }

    /** {@return whether it may be used on a peg with those signs: nothing that lubricates goes on one that creeps back} */
    public boolean suits(Set<PegSign> signs) {
        requireNonNull(signs, "signs");
        return !lubricates() || !signs.contains(PegSign.CREEPS_BACK);
    }
}
