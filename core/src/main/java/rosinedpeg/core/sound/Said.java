package rosinedpeg.core.sound;

import static java.util.Objects.requireNonNull;

/**
 * What was said once of a string on one scale.
 *
 * @param kind what kind of string it is
 * @param instrument on which instrument it is
 * @param place where on the scale, {@link SoundScale#LOWEST} to {@link SoundScale#HIGHEST}
 * @param <K> what kinds are known by
 * @param <I> what instruments are known by
 */
public record Said<K, I>(K kind, I instrument, int place) {

    /**
     * Checks the parts.
     *
     * @throws IllegalArgumentException when the place is on no scale
     */
    public Said {
        requireNonNull(kind, "kind");
        requireNonNull(instrument, "instrument");
        SoundScale.require(place);
    }
}
