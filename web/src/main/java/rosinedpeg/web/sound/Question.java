package rosinedpeg.web.sound;

import java.util.UUID;

/**
 * How does it sound?
 *
 * @param fittedId which very string
 * @param moment when in its life
 */
public record Question(UUID fittedId, SoundMoment moment) {

    /** {@return what a form knows it by} */
    public String key() {
        return fittedId + ":" + moment;
    }

    /**
     * The question that a form means.
     *
     * @throws IllegalArgumentException when it means none
     */
    static Question read(String key) {
        String[] parts = key.split(":", 2);
        if (parts.length < 2) {
            throw new IllegalArgumentException(key + " is no question");
        }
        return new Question(UUID.fromString(parts[0]), SoundMoment.valueOf(parts[1]));
    }
}
