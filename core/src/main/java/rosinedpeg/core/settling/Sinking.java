package rosinedpeg.core.settling;

import static java.util.Objects.requireNonNull;
import static rosinedpeg.core.figure.Finite.requireFinite;

/**
 * How far a string had sunk since the reading before, and what that is to be put down to.
 *
 * @param reading the reading
 * @param sankCents what it lost since the reading before
 * @param expectedCents what the readings until then let one expect
 * @param spreadCents how widely that may be missed, by the forecast and by both readings
 * @param behaviour what follows
 */
public record Sinking(
        SettlingReading reading, double sankCents, double expectedCents, double spreadCents, Behaviour behaviour) {

    /** Checks the parts. */
    public Sinking {
        requireNonNull(reading, "reading");
        requireNonNull(behaviour, "behaviour");
        requireFinite("sankCents", sankCents);
        requireFinite("expectedCents", expectedCents);
        requireFinite("spreadCents", spreadCents);
    }
}
