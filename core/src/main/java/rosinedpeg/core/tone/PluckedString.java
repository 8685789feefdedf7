package rosinedpeg.core.tone;

import static java.util.Objects.requireNonNull;
import static rosinedpeg.core.figure.Finite.requireFinite;

import rosinedpeg.core.figure.Range;
import rosinedpeg.core.figure.Unit;
import rosinedpeg.core.setup.Quantity;
import rosinedpeg.core.setup.SetUp;
import rosinedpeg.core.strings.StringCore;
import rosinedpeg.core.strings.StringSpec;

/**
 * What a plucked string sounds like: the sum of its partials, each with its own place, strength and decay.
 *
 * <p>A stiff string sounds a little sharp of a perfect one, the higher the partial the more: {@code f·n·√(1 + B·n²)} with {@code B =
 * π²·EI/(T·L²)} (Fletcher, 1964). Plucked at a share p of its length, partial n begins as strong as {@code sin(nπp)/n} at the bridge, so
 * that a string that is plucked at its middle has no even ones. It dies away as {@code exp(−t·(b₁ + b₃·ω²))}: the higher the
 * sooner (Bensa and others, 2003); the two figures of each core are defaults of our own, for an instrument that is played, not struck.
 *
 * @param pitchHz its lowest partial if it were not stiff, 10 to 2500 Hz
 * @param stiffness B, 0 to 0.1
 * @param pluckedAt where, as a share of its length from the bridge, 0.02 to 0.5
 * @param decay how it dies away
 */
public record PluckedString(double pitchHz, double stiffness, double pluckedAt, Decay decay) {

    /** What is sounded. */
    public static final Range PITCH = new Range(10, 2500, Unit.HERTZ);
    /** How stiff a string can be. */
    public static final Range STIFFNESS = new Range(0, 0.1, Unit.SHARE);
    /** Where it can be plucked. */
    public static final Range PLUCKED_AT = new Range(0.02, 0.5, Unit.SHARE);
    /** So many values a second. */
    public static final int SAMPLES_PER_SECOND = 22_050;
    /** Where somebody plucks who tunes: over the end of the fingerboard. */
    public static final double USUALLY_AT = 0.22;

    private static final int MOST_PARTIALS = 60;
    private static final double HIGHEST_SHARE = 0.45;
    private static final Range SECONDS = new Range(0.05, 6, Unit.SECOND);
    /** Its first moment swells, as a finger leaves it; a step would click. */
    private static final double SWELLS_SECONDS = 0.004;
    /** Of a wound string the core bends; its windings hardly resist. */
    private static final double CORE_OF_WOUND = 0.4;

    /**
     * How a string dies away.
     *
     * @param perSecond b₁, 0.1 to 100 for each second
     * @param perHertz b₃, seconds, for the square of 2π times the frequency
     */
    public record Decay(double perSecond, double perHertz) {

        private static final Range PER_SECOND = new Range(0.1, 100, Unit.SHARE);
        private static final Range PER_HERTZ = new Range(0, 1e-5, Unit.SECOND);

        /**
         * Checks the figures.
         *
         * @throws rosinedpeg.core.figure.OutOfRangeException when one is outside its range
         */
        public Decay {
            PER_SECOND.require("perSecond", perSecond);
            PER_HERTZ.require("perHertz", perHertz);
        }

        /** {@return how strings of a core die away, a default of our own} */
        public static Decay usual(StringCore core) {
            return switch (core) {
                case PLAIN_STEEL -> new Decay(2.2, 6e-9);
                case ROPE_STEEL -> new Decay(2.4, 1.2e-8);
                case SYNTHETIC -> new Decay(3.6, 2e-8);
                case GUT -> new Decay(4.8, 3e-8);
            };
        }

        double rate(double hertz) {
            double omega = 2 * Math.PI * hertz;
            return perSecond + perHertz * omega * omega;
        }
    }

    /**
     * Checks the figures.
     *
     * @throws rosinedpeg.core.figure.OutOfRangeException when one is outside its range
     */
    public PluckedString {
        PITCH.require("pitchHz", pitchHz);
        STIFFNESS.require("stiffness", stiffness);
        PLUCKED_AT.require("pluckedAt", pluckedAt);
        requireNonNull(decay, "decay");
    }

    /**
     * A string on an instrument at some tension.
     *
     * @param setUp the instrument
     * @param string the string
     * @param tensionN its tension, above 0 N
     * @return it; as slack as it sounds at all where the tension would put it lower
     */
    public static PluckedString of(SetUp setUp, StringSpec string, double tensionN) {
        requireFinite("tensionN", tensionN);
        double fullN = setUp.tensionN(string);
        double atPitchHz = setUp.openString(string.position()).frequencyHz(setUp.referenceA());
        double share = Math.max(0, tensionN / fullN);
        double length = setUp.value(Quantity.VIBRATING_LENGTH);
        double bends =
                string.core() == StringCore.PLAIN_STEEL ? string.diameterMm() : string.diameterMm() * CORE_OF_WOUND;
        double bendingNMm2 = string.axialStiffnessN() * bends * bends / 16;
        double stiffness = Math.PI * Math.PI * bendingNMm2 / (Math.max(1, tensionN) * length * length);
        return new PluckedString(
                PITCH.clamp(atPitchHz * Math.sqrt(share)),
                STIFFNESS.clamp(stiffness),
                USUALLY_AT,
                Decay.usual(string.core()));
    }

    /** {@return a tone to tune by, which hardly dies away and whose partials lie where those of a perfect string would} */
    public static PluckedString steady(double pitchHz) {
        return new PluckedString(pitchHz, 0, USUALLY_AT, new Decay(Decay.PER_SECOND.low(), 0));
    }

    /** {@return the frequency of a partial, from 1, in Hz} */
    public double partialHz(int partial) {
        if (partial < 1) {
            throw new IllegalArgumentException("partial is " + partial + "; the lowest is 1");
        }
        return pitchHz * partial * Math.sqrt(1 + stiffness * partial * partial);
    }

    /**
     * Its sound.
     *
     * @param seconds how long, 0.05 to 6 s
     * @return the values, {@link #SAMPLES_PER_SECOND} a second, between −1 and 1, the loudest first
     * @throws rosinedpeg.core.figure.OutOfRangeException when the time is outside its range
     */
    public double[] samples(double seconds) {
        SECONDS.require("seconds", seconds);
        double[] values = new double[(int) Math.round(seconds * SAMPLES_PER_SECOND)];
        double loudest = 0;
        for (int partial = 1; partial <= MOST_PARTIALS; partial++) {
            double hertz = partialHz(partial);
            if (hertz > HIGHEST_SHARE * SAMPLES_PER_SECOND) {
                break;
            }
            double strength = Math.sin(partial * Math.PI * pluckedAt) / partial;
            loudest += Math.abs(strength);
            add(values, hertz, strength, decay.rate(hertz));
        }
        for (int i = 0; i < values.length; i++) {
            double swells = Math.min(1, i / (SWELLS_SECONDS * SAMPLES_PER_SECOND));
            double left = (values.length - 1.0 - i) / (SWELLS_SECONDS * SAMPLES_PER_SECOND);
            values[i] *= swells * Math.min(1, left) / loudest;
        }
        return values;
    }

    /** Each value follows from the two before it: a sine that dies away, without a sine for each value. */
    private static void add(double[] values, double hertz, double strength, double rate) {
        double step = 2 * Math.PI * hertz / SAMPLES_PER_SECOND;
        double dies = Math.exp(-rate / SAMPLES_PER_SECOND);
        double turn = 2 * dies * Math.cos(step);
        double square = dies * dies;
        double before = 0;
        double now = strength * dies * Math.sin(step);
        for (int i = 1; i < values.length; i++) {
            values[i] += now;
            double next = turn * now - square * before;
            before = now;
            now = next;
        }
    }
}
