package rosinedpeg.core.wear;

import static java.util.Objects.requireNonNull;
import static rosinedpeg.core.figure.Finite.requireFinite;

import rosinedpeg.core.figure.Origin;
import rosinedpeg.core.figure.Range;
import rosinedpeg.core.figure.Unit;
import rosinedpeg.core.setup.Family;
import rosinedpeg.core.strings.Position;
import rosinedpeg.core.strings.StringCore;
import rosinedpeg.core.strings.StringSpec;
import rosinedpeg.core.strings.Winding;

/**
 * How long a string lasts: playing uses up its hours, mere time its months, both together.
 *
 * @param hours played, 10 to 10 000 h
 * @param months on the instrument, 1 to 240
 * @param origin measured where whoever uses such strings has found it, default otherwise
 */
public record Life(double hours, double months, Origin origin) {

    /** Allowed hours. */
    public static final Range HOURS = new Range(10, 10_000, Unit.HOUR);
    /** Allowed months. */
    public static final Range MONTHS = new Range(1, 240, Unit.MONTH);

    /**
     * Checks the figures.
     *
     * @throws rosinedpeg.core.figure.OutOfRangeException when one is outside its range
     */
    public Life {
        requireNonNull(origin, "origin");
        requireFinite("hours", hours);
        HOURS.require("lifeHours", hours);
        MONTHS.require("lifeMonths", months);
    }

    /** A default life. */
    public Life(double hours, double months) {
        this(hours, months, Origin.DEFAULT);
    }

    /** {@return the default life of such a string on such an instrument} */
    public static Life usual(Family family, StringSpec string) {
        boolean steel = string.core().isSteel();
        return switch (family) {
            case VIOLIN, VIOLA -> {
                if (string.core() == StringCore.GUT) {
                    yield new Life(180, 15);
                }
                boolean bareSteelFirst = string.core() == StringCore.PLAIN_STEEL && string.position() == Position.I;
                yield bareSteelFirst ? new Life(160, 12) : new Life(300, 30);
            }
            case CELLO -> {
                if (steel) {
                    yield string.winding() == Winding.TUNGSTEN ? new Life(900, 36) : new Life(600, 30);
                }
                // No separate experience with soft cores on the cello: as on the viola.
                yield string.core() == StringCore.GUT ? new Life(180, 15) : new Life(300, 30);
            }
            case BASS -> steel ? new Life(1500, 48) : new Life(900, 30);
        };
    }
}
