package rosinedpeg.core.usual;

import static java.util.Objects.requireNonNull;

import rosinedpeg.core.figure.Range;
import rosinedpeg.core.figure.Unit;
import rosinedpeg.core.strings.StringSpec;

/** What is known of how hard a string pulls: its tension, or what tension follows from. */
public sealed interface Pull {

    /**
     * The packet gives the tension at the length the string is made for.
     *
     * @param tensionN 10 to 450 N
     */
    record OfTension(double tensionN) implements Pull {

        /** Checks the tension. */
        public OfTension {
            StringSpec.TENSION.require("tensionN", tensionN);
        }
    }

    /**
     * The packet gives the mass of a metre of the playing length.
     *
     * @param gramsPerMetre 0.1 to 100 g/m
     */
    record OfMass(double gramsPerMetre) implements Pull {

        /** Allowed masses. */
        public static final Range MASS = new Range(0.1, 100, Unit.GRAM_PER_METRE);

        /** Checks the mass. */
        public OfMass {
            MASS.require("gramsPerMetre", gramsPerMetre);
        }
    }

    /**
     * Somebody put the string on kitchen scales. Silk and a thinner peg end weigh a little less than the playing length, the ball
     * a little more: the ball is taken off beforehand, or weighed alone and taken away.
     *
     * @param grams what they showed without the ball, 0.1 to 200 g
     * @param lengthMm the length of all that was on them, 200 to 2200 mm
     * @param stepG the step the scales show, 0.001 to 5 g; half of it may be wrong either way
     */
    record Weighed(double grams, double lengthMm, double stepG) implements Pull {

        /** Allowed masses. */
        public static final Range MASS = new Range(0.1, 200, Unit.GRAM);
        /** Allowed lengths. */
        public static final Range LENGTH = new Range(200, StringSpec.LONGEST_MM, Unit.MILLIMETRE);
        /** Allowed steps. */
        public static final Range STEP = new Range(0.001, 5, Unit.GRAM);

        /** Checks every part. */
        public Weighed {
            MASS.require("grams", grams);
            LENGTH.require("lengthMm", lengthMm);
            STEP.require("stepG", stepG);
        }

        /** {@return the mass of a metre, in g/m} */
        public double gramsPerMetre() {
            return grams / lengthMm * 1000;
        }

        /** {@return by what share of it the mass, and with it the tension, may be wrong either way} */
        public double uncertainty() {
            return stepG / 2 / grams;
        }
    }

    /** Nothing but how its maker grades it against others of the same line. */
    record OfGauge(Gauge gauge) implements Pull {

        /** Checks it. */
        public OfGauge {
            requireNonNull(gauge, "gauge");
        }
    }

    /** How a maker grades a string against others of the same line. */
    enum Gauge {
        LIGHT(0.92),
        MEDIUM(1),
        HEAVY(1.08);

        private final double tension;

        Gauge(double tension) {
            this.tension = tension;
        }

        /** {@return its tension against that of a medium one; a default} */
        public double tension() {
            return tension;
        }
    }
}
