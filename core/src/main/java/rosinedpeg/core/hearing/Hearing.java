package rosinedpeg.core.hearing;

import static java.util.Objects.requireNonNull;
import static rosinedpeg.core.figure.Finite.requireFinite;

import java.util.Optional;
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
     * @param rang how it rang; told once a pluck, when it has rung long enough
     */
    record Heard(
            double atSeconds,
            double soundsSeconds,
            Position string,
            double hertz,
            Cents cents,
            double spreadCents,
            Optional<Ringing> rang)
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
            requireNonNull(rang, "rang");
        }
    }
}
