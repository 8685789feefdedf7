package rosinedpeg.web.instrument;

import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import rosinedpeg.core.bridge.StuckShares;
import rosinedpeg.core.figure.Evidence;
import rosinedpeg.core.setup.SetUp;
import rosinedpeg.core.strings.Position;
import rosinedpeg.core.strings.StringSpec;
import rosinedpeg.web.kinds.StringKind;

/**
 * An instrument as far as hands at work on it ask: how it is set up and which strings are on it. How worn those are, which takes the
 * whole diary to tell, is told by {@link Instrument}.
 *
 * @param id the id of the instrument
 * @param name what it is called
 * @param setUp its set-up
 * @param strings the strings on it, I first
 * @param coupling what its runs have shown of how much it gives
 * @param stuck how much of a string sticks in its bridge grooves
 */
public record Stringing(UUID id, String name, SetUp setUp, List<One> strings, Evidence coupling, StuckShares stuck) {

    /**
     * A string that is on.
     *
     * @param fittedId the id of this very string
     * @param position where it is
     * @param kind what it is
     */
    public record One(UUID fittedId, Position position, StringKind kind) {}

    /** {@return the string at a position, empty when none is recorded there} */
    public Optional<One> string(Position position) {
        return strings.stream().filter(string -> string.position() == position).findFirst();
    }

    /** {@return the figures of the strings on it} */
    public Map<Position, StringSpec> specs() {
        Map<Position, StringSpec> specs = new EnumMap<>(Position.class);
        strings.forEach(string -> specs.put(string.position(), string.kind().spec()));
        return specs;
    }
}
