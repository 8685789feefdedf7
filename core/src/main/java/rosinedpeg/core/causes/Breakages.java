package rosinedpeg.core.causes;

import static java.util.Objects.requireNonNull;

import java.util.List;
import rosinedpeg.core.strings.Position;

/**
 * The breaks on record of one instrument. Twice at one place is a fault of the instrument, not of the string.
 *
 * @param all every break
 */
public record Breakages(List<Breakage> all) {

    /** Copies the list. */
    public Breakages {
        all = List.copyOf(all);
    }

    /** {@return how often that string broke there} */
    public long count(Position position, BreakPlace place) {
        requireNonNull(place, "place");
        requireNonNull(position, "position");
        return all.stream()
                .filter(breakage -> breakage.position() == position && breakage.place() == place)
                .count();
    }

    /** {@return whether the instrument is at fault: that string broke there twice, and not from its own age} */
    public boolean instrumentAtFault(Position position, BreakPlace place) {
        requireNonNull(place, "place");
        requireNonNull(position, "position");
        return place != BreakPlace.MID_LENGTH && count(position, place) >= 2;
    }

    /**
     * A break.
     *
     * @param position the string
     * @param place where it broke
     */
    public record Breakage(Position position, BreakPlace place) {
        /** Checks the parts. */
        public Breakage {
            requireNonNull(place, "place");
            requireNonNull(position, "position");
        }
    }
}
