package rosinedpeg.core.choosing;

import java.util.Collections;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.Map;
import java.util.Set;
import rosinedpeg.core.sound.SoundScale;

/**
 * What the next string is to be like, against the one that is on.
 *
 * @param sound how it is to sound; a scale that is missing does not matter
 * @param limits what it is to keep to
 */
public record Wish(Map<SoundScale, Towards> sound, Set<Limit> limits) {

    /** Copies the parts. */
    public Wish {
        Map<SoundScale, Towards> copy = new EnumMap<>(SoundScale.class);
        copy.putAll(sound);
        sound = Collections.unmodifiableMap(copy);
        Set<Limit> kept = EnumSet.noneOf(Limit.class);
        kept.addAll(limits);
        limits = Collections.unmodifiableSet(kept);
    }

    /** {@return whether nothing is wished} */
    public boolean isEmpty() {
        return sound.isEmpty() && limits.isEmpty();
    }
}
