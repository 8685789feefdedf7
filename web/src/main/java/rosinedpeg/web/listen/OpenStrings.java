package rosinedpeg.web.listen;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import rosinedpeg.core.hearing.Awaited;
import rosinedpeg.core.pitch.Fifths;
import rosinedpeg.core.rounds.Coupling;
import rosinedpeg.core.setup.SetUp;
import rosinedpeg.core.strings.Position;
import rosinedpeg.core.strings.StringSpec;

/**
 * The open strings of an instrument as they should sound.
 *
 * @param setUp the instrument
 * @param strings what is on it, or usually is
 * @param coupling how much the instrument gives
 * @param fifths how wide its steps are
 */
record OpenStrings(SetUp setUp, Map<Position, StringSpec> strings, Coupling coupling, Fifths fifths) {

    /** {@return what each string should sound, in Hz} */
    Map<Position, Double> hertz() {
        List<Double> hertz = fifths.hertz(setUp.openStrings(), setUp.referenceA());
        Map<Position, Double> each = new EnumMap<>(Position.class);
        setUp.positions().forEach(position -> each.put(position, hertz.get(position.number() - 1)));
        return each;
    }

    Awaited awaited() {
        return new Awaited(hertz(), Optional.empty());
    }

    /** {@return the strings with what is to be known of them, I first} */
    List<One> each() {
        Map<Position, Double> hertz = hertz();
        List<One> all = new ArrayList<>();
        for (Position position : setUp.positions()) {
            int next = position.number() + 1;
            Optional<Position> lower =
                    next > setUp.positions().size() ? Optional.empty() : Optional.of(Position.ofNumber(next));
            all.add(new One(
                    position,
                    setUp.openString(position).spelling(),
                    position.in(hertz),
                    lower,
                    lower.map(low -> beats(low, position, hertz)).orElse(OptionalDouble.empty())));
        }
        return all;
    }

    private OptionalDouble beats(Position low, Position high, Map<Position, Double> hertz) {
        return Fifths.beatsPerSecond(setUp.openString(low), low.in(hertz), setUp.openString(high), high.in(hertz));
    }

    /**
     * A string.
     *
     * @param position which
     * @param note its note with the octave
     * @param hertz what it should sound
     * @param lower the one below it, if there is one
     * @param beatsPerSecond how often the two beat; empty where they are neither a fifth nor a fourth apart
     */
    record One(Position position, String note, double hertz, Optional<Position> lower, OptionalDouble beatsPerSecond) {}
}
