package rosinedpeg.web.rack;

import java.util.List;
import java.util.UUID;
import rosinedpeg.core.figure.Figure;
import rosinedpeg.core.setup.Quantity;
import rosinedpeg.web.bench.Run;
import rosinedpeg.web.drawing.Strands;
import rosinedpeg.web.findings.Referral;
import rosinedpeg.web.instrument.Instrument;
import rosinedpeg.web.instrument.Standing;
import rosinedpeg.web.instrument.StringOn;
import rosinedpeg.web.settling.SettlingString;

/**
 * One instrument on the rack.
 *
 * @param instrument the instrument
 * @param referrals what a repairer has to see to, oldest first
 * @param strands its drawing
 * @param need what it needs, which decides the one action offered
 * @param string the string this is about, null when it is none in particular
 * @param run its open run, null when it is not on the bench or cannot be read
 * @param unreadable the id of its open run when that cannot be read, null otherwise
 * @param settling its settling strings, newest first
 */
record RackRow(
        Instrument instrument,
        List<Referral> referrals,
        Strands strands,
        Need need,
        StringOn string,
        Run run,
        UUID unreadable,
        List<SettlingString> settling) {

    /** {@return the instrument's vibrating length, with its origin} */
    public Figure vibratingLength() {
        return instrument.setUp().figure(Quantity.VIBRATING_LENGTH);
    }

    /** What an instrument needs, most pressing first. */
    enum Need {
        ON_BENCH,
        /** Its run cannot be read. */
        UNREADABLE,
        /** A repairer has to see it. */
        REFERRED,
        CHANGE_NOW,
        DUE,
        AGE_UNKNOWN,
        SETTLING,
        SOON,
        GOOD,
        NO_STRINGS;

        /** {@return what an instrument needs} */
        static Need of(Standing instrument, boolean onBench, boolean unreadable, boolean referred, boolean settling) {
            if (onBench) {
                return ON_BENCH;
            }
            if (unreadable) {
                return UNREADABLE;
            }
            if (referred) {
                return REFERRED;
            }
            if (!instrument.fullyStrung()) {
                return NO_STRINGS;
            }
            return switch (instrument.mostWorn().orElseThrow().state()) {
                case CHANGE_NOW -> CHANGE_NOW;
                case DUE -> DUE;
                case AGE_UNKNOWN -> AGE_UNKNOWN;
                case SOON -> settling ? SETTLING : SOON;
                case GOOD -> settling ? SETTLING : GOOD;
            };
        }

        /** {@return whether somebody has to lay hands on it} */
        public boolean wantsHands() {
            return compareTo(AGE_UNKNOWN) <= 0;
        }
    }
}
