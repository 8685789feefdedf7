package rosinedpeg.web.instrument;

import static java.util.Objects.requireNonNull;

import java.time.Duration;
import java.time.Instant;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import rosinedpeg.core.fit.FitCheck;
import rosinedpeg.core.setup.Size;
import rosinedpeg.core.stock.SecondLife;
import rosinedpeg.core.strings.Position;
import rosinedpeg.core.wear.CameOff;
import rosinedpeg.core.wear.Wear;
import rosinedpeg.core.wear.WearSign;
import rosinedpeg.web.kinds.StringKind;

/**
 * A string that has come off its instrument.
 *
 * @param fittedId the id of this very string
 * @param instrumentId where it was
 * @param instrument what that is called
 * @param size its size
 * @param position which string it was
 * @param kind what it is
 * @param removedAt when it came off
 * @param why why, where that was said
 * @param signs what was seen or heard on it
 * @param wear how far it was used up then; empty when nobody knows how old it was
 */
public record OldString(
        UUID fittedId,
        UUID instrumentId,
        String instrument,
        Size size,
        Position position,
        StringKind kind,
        Instant removedAt,
        Optional<CameOff> why,
        Set<WearSign> signs,
        Optional<Wear> wear) {

    private static final double MONTHS_READ = 1200;

    /** {@return the share of it that was used up; one that nobody knows the age of counts as spent} */
    public double worn() {
        return wear.map(Wear::worn).orElse(Wear.SPENT);
    }

    /**
     * Judges it for an instrument.
     *
     * @param instrument the instrument
     * @param check what fits that
     * @return whether it may go on again
     */
    public SecondLife secondLife(Instrument instrument, FitCheck check) {
        return SecondLife.of(size, worn(), signs, instrument.setUp().size(), check.judge(position, kind.spec()));
    }

    /** {@return the months from one moment to another, no more than are read of any string} */
    static double months(Instant on, Instant off) {
        return Math.min(MONTHS_READ, Duration.between(on, off).toHours() / Wear.HOURS_PER_MONTH);
    }

    static OldString of(FittedStringEntity string, Listed from, StringKind kind) {
        Instant off = requireNonNull(string.removedAt());
        Instant on = string.fittedAt();
        Double hours = string.hoursPlayed();
        Set<WearSign> signs = string.now().signs();
        return new OldString(
                string.id(),
                from.id(),
                from.name(),
                from.size(),
                string.position(),
                kind,
                off,
                Optional.ofNullable(string.cameOff()),
                signs,
                on == null || hours == null
                        ? Optional.empty()
                        : Optional.of(new Wear(
                                hours,
                                Math.min(MONTHS_READ, string.now().ageHours(off) / Wear.HOURS_PER_MONTH),
                                Wear.shareOf(signs),
                                kind.lasts(from.demand()))));
    }
}
