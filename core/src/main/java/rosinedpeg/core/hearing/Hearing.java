package rosinedpeg.core.hearing;

import static java.util.Objects.requireNonNull;
import static rosinedpeg.core.figure.Finite.requireFinite;

import rosinedpeg.core.pitch.Cents;
import rosinedpeg.core.strings.Position;

/** What was heard at one moment. */
public sealed interface Hearing {

    /** {@return when, in seconds since the ear began to listen} */
    double atSeconds();

    /**
     * Nothing sounds.
     *
     * @param atSeconds when, finite
     */
    record Silence(double atSeconds) implements Hearing {

        /** Checks the figure. */
        public Silence {
            requireFinite("atSeconds", atSeconds);
        }
    }

    /**
     * Something sounds, and it cannot be told what: noise, two strings alike, or no string at all.
     *
     * @param atSeconds when, finite
     */
    record NotSure(double atSeconds) implements Hearing {

        /** Checks the figure. */
        public NotSure {
            requireFinite("atSeconds", atSeconds);
        }
    }

    /**
     * A string, told apart with confidence.
     *
     * @param atSeconds when
     * @param soundsSeconds how long it has sounded by then
     * @param string which
     * @param hertz what it sounds: its lowest partial
     * @param cents how far that is from its pitch
     * @param spreadCents how far its readings lie apart: a string that is false or bowed with vibrato spreads more
     * @param partials how many of its partials were heard
     * @param stiffness B of {@code f·n·√(1 + B·n²)}, as its partials lie
     */
    record Heard(
            double atSeconds,
            double soundsSeconds,
            Position string,
            double hertz,
            Cents cents,
            double spreadCents,
            int partials,
            double stiffness)
            implements Hearing {

        /**
         * Checks the figures.
         *
         * @throws IllegalArgumentException when one is infinite or not a number
         */
        public Heard {
            requireFinite("atSeconds", atSeconds);
            requireFinite("soundsSeconds", soundsSeconds);
            requireNonNull(string, "string");
            requireFinite("hertz", hertz);
            requireNonNull(cents, "cents");
            requireFinite("spreadCents", spreadCents);
            requireFinite("stiffness", stiffness);
        }
    }
}
