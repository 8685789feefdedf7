package rosinedpeg.web.sound;

import static java.util.Objects.requireNonNull;

import java.util.EnumMap;
import java.util.Map;
import rosinedpeg.core.sound.SoundScale;

/**
 * What is said of how a string sounds.
 *
 * @param places where it stands on each scale of which something is said
 * @param note what else is said; empty where nothing is
 */
public record InWords(Map<SoundScale, Integer> places, String note) {

    /** So long may a note be. */
    public static final int LONGEST_NOTE = 500;

    /** Somebody is asked and does not want to say. */
    static final InWords NOTHING = new InWords(Map.of(), "");

    /** Puts the scales in order. */
    public InWords {
        Map<SoundScale, Integer> inOrder = new EnumMap<>(SoundScale.class);
        inOrder.putAll(places);
        places = inOrder;
        requireNonNull(note, "note");
    }

    /** {@return whether nothing is said} */
    public boolean isNothing() {
        return places.isEmpty() && note.isEmpty();
    }
}
