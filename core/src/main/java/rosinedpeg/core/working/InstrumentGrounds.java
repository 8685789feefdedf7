package rosinedpeg.core.working;

import static java.util.Objects.requireNonNull;
import static rosinedpeg.core.figure.Finite.requireFinite;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import rosinedpeg.core.bridge.StuckShares;
import rosinedpeg.core.figure.Figure;
import rosinedpeg.core.figure.Range;
import rosinedpeg.core.figure.Unit;
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
 * @param raisedTo to what share of its tension a string is raised, where that is asked about, above 0; 1 is pitch
 */
public record InstrumentGrounds(
        SetUp setUp,
        Map<Position, StringSpec> strings,
        Optional<Position> position,
        Optional<StringSpec> string,
        WindingChoice choice,
        Map<Position, Double> carriedN,
        Map<Position, Double> wholeN,
        StuckShares stuck,
        double raisedTo)
        implements Grounds<InstrumentGrounds> {

    private static final Range RAISED_TO = new Range(0.01, 1, Unit.SHARE);

    /** Checks the parts and copies the collections. */
    public InstrumentGrounds {
        requireNonNull(setUp, "setUp");
        requireNonNull(position, "position");
        requireNonNull(string, "string");
        requireNonNull(choice, "choice");
        requireNonNull(stuck, "stuck");
        requireFinite("carriedN", carriedN);
        requireFinite("wholeN", wholeN);
        RAISED_TO.require("raisedTo", raisedTo);
        strings = Position.inOrder(strings);
        carriedN = Position.inOrder(carriedN);
        wholeN = Position.inOrder(wholeN);
    }

    /** {@return an instrument with its strings, all of it at pitch, its grooves as usual} */
    public static InstrumentGrounds of(SetUp setUp, Map<Position, StringSpec> strings) {
        return new InstrumentGrounds(
                setUp,
                strings,
                Optional.empty(),
                Optional.empty(),
                WindingChoice.USUAL,
                Map.of(),
                Map.of(),
                StuckShares.USUAL,
                1);
    }

    /** {@return the same, asked about one string, wound so} */
    public InstrumentGrounds about(StringSpec other, WindingChoice wound) {
        return new InstrumentGrounds(
                setUp,
                strings,
                Optional.of(other.position()),
                Optional.of(other),
                wound,
                carriedN,
                wholeN,
                stuck,
                raisedTo);
    }

    /** {@return the same, asked about what lies at one string's place, whatever string is there} */
    public InstrumentGrounds at(Position other) {
        return new InstrumentGrounds(
                setUp, strings, Optional.of(other), Optional.empty(), choice, carriedN, wholeN, stuck, raisedTo);
    }

    /** {@return the same, with strings that carry so much of the whole, both in N} */
    public InstrumentGrounds carrying(Map<Position, Double> carriedN, Map<Position, Double> wholeN) {
        return new InstrumentGrounds(setUp, strings, position, string, choice, carriedN, wholeN, stuck, raisedTo);
    }

    /** {@return the same, with the grooves of this instrument} */
    public InstrumentGrounds sticking(StuckShares other) {
        return new InstrumentGrounds(setUp, strings, position, string, choice, carriedN, wholeN, other, raisedTo);
    }

    /** {@return the same, asked about a string that is raised to a share of its tension} */
    public InstrumentGrounds raisedTo(double raisedTo) {
        return new InstrumentGrounds(setUp, strings, position, string, choice, carriedN, wholeN, stuck, raisedTo);
    }

    /** {@inheritDoc} */
    @Override
    public List<Ingredient<InstrumentGrounds>> ingredients() {
        List<Ingredient<InstrumentGrounds>> all = new ArrayList<>(Numbers.of(setUp, this::on));
        string.ifPresent(one -> all.addAll(Numbers.of(one, this::with)));
        all.addAll(Numbers.of(What.Part.CARRIED, carriedN, Unit.NEWTON, moved -> carrying(moved, wholeN)));
        all.addAll(Numbers.of(What.Part.AT_PITCH, wholeN, Unit.NEWTON, moved -> carrying(carriedN, moved)));
        all.add(Ingredient.unbounded(
                What.Other.of(What.Part.STUCK_DRY),
                stuck.dry(),
                value -> sticking(new StuckShares(other(stuck.dry(), value), stuck.graphited()))));
        all.add(Ingredient.unbounded(
                What.Other.of(What.Part.STUCK_GRAPHITED),
                stuck.graphited(),
                value -> sticking(new StuckShares(stuck.dry(), other(stuck.graphited(), value)))));
        all.add(Ingredient.of(
                What.Other.of(What.Part.RAISED_TO), Figure.byDefault(raisedTo, Unit.SHARE), RAISED_TO, this::raisedTo));
        return List.copyOf(all);
    }

    private static Figure other(Figure figure, double value) {
        return new Figure(value, figure.unit(), figure.origin());
    }

    private InstrumentGrounds on(SetUp other) {
        return new InstrumentGrounds(other, strings, position, string, choice, carriedN, wholeN, stuck, raisedTo);
    }

    private InstrumentGrounds with(StringSpec other) {
        return about(other, choice);
    }

    StringSpec theString() {
        return string.orElseThrow(() -> new IllegalArgumentException("string is missing; this figure is one string's"));
    }

    Position place() {
        return position.orElseThrow(
                () -> new IllegalArgumentException("position is missing; this figure is one string's"));
    }

    Map<Position, Double> carried() {
        if (carriedN.isEmpty()) {
            throw new IllegalArgumentException("carriedN is missing; this figure says what it comes to");
        }
        return carriedN;
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
