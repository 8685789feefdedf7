package rosinedpeg.web.rack;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import rosinedpeg.core.figure.Figure;
import rosinedpeg.core.setup.Quantity;
import rosinedpeg.web.bench.Run;
import rosinedpeg.web.drawing.Strands;
import rosinedpeg.web.findings.Referral;
import rosinedpeg.web.instrument.Instrument;
import rosinedpeg.web.instrument.StringOn;
import rosinedpeg.web.settling.SettlingString;

/**
 * One instrument on the rack.
 *
 * @param instrument the instrument
 * @param referrals what a repairer has to see to, oldest first
 * @param strands its drawing
 * @param need what it needs, which decides the one action offered
 * @param about the string this is about; empty when it is none in particular
 * @param run its open run; empty when it is not on the bench or cannot be read
 * @param unreadable the id of its open run when that cannot be read
 * @param settling its settling strings, newest first
 */
record RackRow(
        Instrument instrument,
        List<Referral> referrals,
        Strands strands,
        Need need,
        Optional<StringOn> about,
        Optional<Run> run,
        Optional<UUID> unreadable,
        List<SettlingString> settling) {

    static RackRow of(
            Instrument instrument,
            List<Referral> referrals,
            Optional<Run> run,
            Optional<UUID> unreadable,
            List<SettlingString> settling) {
        Need need = unreadable.isPresent()
                ? Need.UNREADABLE
                : Need.of(instrument.standing(), run.isPresent(), !referrals.isEmpty(), !settling.isEmpty());
        Optional<StringOn> about = need == Need.SETTLING
                ? settling.stream().findFirst().map(SettlingString::string)
                : instrument.mostWorn();
        return new RackRow(
                instrument, referrals, strands(instrument, run, settling), need, about, run, unreadable, settling);
    }

    private static Strands strands(Instrument instrument, Optional<Run> run, List<SettlingString> settling) {
        return instrument.drawn(string -> {
            boolean off = run.isPresent() && run.get().off().contains(string.position());
            boolean settles = settling.stream().anyMatch(s -> s.fittedId().equals(string.fittedId()));
            return off ? "off" : settles ? "settling" : "on";
        });
    }

    /** {@return the string this is about} */
    public StringOn string() {
        return about.orElseThrow();
    }

    /** {@return the instrument's vibrating length, with its origin} */
    public Figure vibratingLength() {
        return instrument.setUp().figure(Quantity.VIBRATING_LENGTH);
    }
}
