package rosinedpeg.web.instrument;

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
}
