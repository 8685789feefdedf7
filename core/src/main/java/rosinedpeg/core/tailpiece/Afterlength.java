package rosinedpeg.core.tailpiece;

import static java.util.Objects.requireNonNull;

import rosinedpeg.core.figure.Range;
import rosinedpeg.core.figure.Unit;
import rosinedpeg.core.pitch.Cents;
import rosinedpeg.core.pitch.Pitch;
import rosinedpeg.core.setup.Quantity;
import rosinedpeg.core.setup.SetUp;

/**
 * The string between bridge and tailpiece. A sixth of the vibrating length sounds two octaves and a fifth above the open
 * string, which lets it ring along.
 *
 * @param vibratingLengthMm L, 100 to 1500 mm
 * @param measuredMm a, the afterlength as it is, 10 to 400 mm
 */
public record Afterlength(double vibratingLengthMm, double measuredMm) {

    /** What a sixth sounds above the open string. */
    public static final double TARGET_CENTS = 1200 * Math.log(6) / Math.log(2);

    /** Nobody sets a cord more finely. */
    private static final double SETTABLE_MM = 0.2;

    private static final Range LENGTH = new Range(100, 1500, Unit.MILLIMETRE);
    private static final Range MEASURED = new Range(10, 400, Unit.MILLIMETRE);

    /**
     * Checks the figures.
     *
     * @throws rosinedpeg.core.figure.OutOfRangeException when one is outside its range
     */
    public Afterlength {
        LENGTH.require("vibratingLengthMm", vibratingLengthMm);
        MEASURED.require("measuredMm", measuredMm);
    }

    /** {@return the afterlength of an instrument} */
    public static Afterlength of(SetUp setUp) {
        return new Afterlength(setUp.value(Quantity.VIBRATING_LENGTH), setUp.value(Quantity.AFTERLENGTH));
    }

    /** {@return what it should be, {@code L/6}, in mm} */
    public double targetMm() {
        return vibratingLengthMm / 6;
    }

    /** {@return what it sounds above the open string: {@code 1200·log2(L/a)}} */
    public Cents interval() {
        return Cents.between(measuredMm, vibratingLengthMm);
    }

    /** {@return how far that is from the target; positive sounds too high, because it is too short} */
    public Cents offTarget() {
        return new Cents(interval().value() - TARGET_CENTS);
    }

    /**
     * The note it sounds, to the nearest semitone.
     *
     * @param openString the open string
     * @return the nearest pitch, and how far it is from it
     */
    public Sounding sounding(Pitch openString) {
        double cents = interval().value();
        int semitones = (int) Math.round(cents / 100);
        return new Sounding(new Pitch(openString.midi() + semitones), new Cents(cents - semitones * 100.0));
    }

    /**
     * How much the tail cord has to be let out for the target. A loop of cord moves the tailpiece by half its change, so
     * it is twice the way the tailpiece has to go towards the bridge or away from it.
     *
     * @return mm; negative to take it in
     */
    public double cordChangeMm() {
        return 2 * (measuredMm - targetMm());
    }

    /** {@return what is to be done about the cord; a change too small to be set is none} */
    public CordChange cord() {
        if (Math.abs(cordChangeMm()) <= SETTABLE_MM) {
            return CordChange.NONE;
        }
        return cordChangeMm() > 0 ? CordChange.LET_OUT : CordChange.TAKE_IN;
    }

    /** What is to be done about the tail cord. */
    public enum CordChange {
        NONE,
        LET_OUT,
        TAKE_IN
    }

    /**
     * A note.
     *
     * @param nearest the nearest pitch
     * @param off how far it is from that
     */
    public record Sounding(Pitch nearest, Cents off) {
        /** Checks the parts. */
        public Sounding {
            requireNonNull(nearest, "nearest");
            requireNonNull(off, "off");
        }
    }
}
