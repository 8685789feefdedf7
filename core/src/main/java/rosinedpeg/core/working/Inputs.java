package rosinedpeg.core.working;

import static java.util.Objects.requireNonNull;
import static rosinedpeg.core.figure.Finite.requireFinite;

import java.util.Map;
import java.util.Optional;
import rosinedpeg.core.bridge.StuckShares;
import rosinedpeg.core.load.InstrumentLoad;
import rosinedpeg.core.load.LoadShares;
import rosinedpeg.core.setup.SetUp;
import rosinedpeg.core.strings.Position;
import rosinedpeg.core.strings.StringSpec;
import rosinedpeg.core.winding.WindingChoice;

/**
 * Everything a figure of an instrument can rest on.
 *
 * @param setUp the instrument
 * @param strings the strings on it, whose load at pitch is the whole
 * @param position which string is asked about; empty where a figure is the whole instrument's
 * @param string that string; empty where none is on or a figure asks only where it lies
 * @param choice how that string is wound
 * @param carriedN what each string carries, in N, where that is asked about; all at pitch when empty
 * @param wholeN what each string carries at pitch, in N, which is the whole load; that of the strings on it when empty
 * @param stuck how much of a string sticks in its bridge groove
 */
public record Inputs(
        SetUp setUp,
        Map<Position, StringSpec> strings,
        Optional<Position> position,
        Optional<StringSpec> string,
        WindingChoice choice,
        Map<Position, Double> carriedN,
        Map<Position, Double> wholeN,
        StuckShares stuck) {

    /** Checks the parts and copies the collections. */
    public Inputs {
        requireNonNull(setUp, "setUp");
        requireNonNull(position, "position");
        requireNonNull(string, "string");
        requireNonNull(choice, "choice");
        requireNonNull(stuck, "stuck");
        requireFinite("carriedN", carriedN);
        requireFinite("wholeN", wholeN);
        strings = Position.inOrder(strings);
        carriedN = Position.inOrder(carriedN);
        wholeN = Position.inOrder(wholeN);
    }

    /** {@return an instrument with its strings, all of it at pitch, its grooves as usual} */
    public static Inputs of(SetUp setUp, Map<Position, StringSpec> strings) {
        return new Inputs(
                setUp,
                strings,
                Optional.empty(),
                Optional.empty(),
                WindingChoice.USUAL,
                Map.of(),
                Map.of(),
                StuckShares.USUAL);
    }

    /** {@return the same, asked about one string, wound so} */
    public Inputs about(StringSpec other, WindingChoice wound) {
        return new Inputs(
                setUp, strings, Optional.of(other.position()), Optional.of(other), wound, carriedN, wholeN, stuck);
    }

    /** {@return the same, asked about what lies at one string's place, whatever string is there} */
    public Inputs at(Position other) {
        return new Inputs(setUp, strings, Optional.of(other), Optional.empty(), choice, carriedN, wholeN, stuck);
    }

    /** {@return the same, with strings that carry so much of the whole, both in N} */
    public Inputs carrying(Map<Position, Double> carriedN, Map<Position, Double> wholeN) {
        return new Inputs(setUp, strings, position, string, choice, carriedN, wholeN, stuck);
    }

    /** {@return the same, with the grooves of this instrument} */
    public Inputs sticking(StuckShares other) {
        return new Inputs(setUp, strings, position, string, choice, carriedN, wholeN, other);
    }

    Inputs on(SetUp other) {
        return new Inputs(other, strings, position, string, choice, carriedN, wholeN, stuck);
    }

    Inputs with(StringSpec other) {
        return about(other, choice);
    }

    StringSpec theString() {
        return string.orElseThrow(() -> new IllegalArgumentException("string is missing; this figure is one string's"));
    }

    Position place() {
        return position.orElseThrow(
                () -> new IllegalArgumentException("position is missing; this figure is one string's"));
    }

    InstrumentLoad load() {
        return new InstrumentLoad(setUp, atPitchN());
    }

    LoadShares shares() {
        return load().shares(carriedN.isEmpty() ? atPitchN() : carriedN);
    }

    private Map<Position, Double> atPitchN() {
        return wholeN.isEmpty() ? setUp.tensionsN(strings) : wholeN;
    }
}
