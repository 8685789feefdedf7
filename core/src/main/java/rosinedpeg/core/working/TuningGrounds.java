package rosinedpeg.core.working;

import static java.util.Objects.requireNonNull;
import static rosinedpeg.core.figure.Finite.requireFinite;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import rosinedpeg.core.figure.Figure;
import rosinedpeg.core.figure.Unit;
import rosinedpeg.core.pitch.Cents;
import rosinedpeg.core.rounds.Coupling;
import rosinedpeg.core.rounds.NextRound;
import rosinedpeg.core.setup.SetUp;
import rosinedpeg.core.strings.Position;
import rosinedpeg.core.strings.StringSpec;

/**
 * What the tuning of strings together rests on.
 *
 * @param setUp the instrument
 * @param strings the strings on it, at pitch or on their way
 * @param tensionsN present tension of each, in N
 * @param coupling how much body and neck give, in mm/N, by default or learned
 * @param raised the string that is brought up, empty in a round of all
 * @param asked the string whose sinking is asked about; empty where none is
 */
public record TuningGrounds(
        SetUp setUp,
        Map<Position, StringSpec> strings,
        Map<Position, Double> tensionsN,
        Figure coupling,
        Optional<Position> raised,
        Optional<Position> asked)
        implements Grounds<TuningGrounds> {

    /** Checks the parts and copies the collections. */
    public TuningGrounds {
        requireNonNull(setUp, "setUp");
        requireNonNull(coupling, "coupling");
        requireNonNull(raised, "raised");
        requireNonNull(asked, "asked");
        requireFinite("tensionsN", tensionsN);
        strings = Position.inOrder(strings);
        tensionsN = Position.inOrder(tensionsN);
    }

    /** {@return the same, asked about the sinking of one string with the one that is tuned next; of none without one} */
    public TuningGrounds about(@Nullable Position asked) {
        Optional<Position> next = asked == null ? raised : next().map(NextRound::next);
        return new TuningGrounds(setUp, strings, tensionsN, coupling, next, Optional.ofNullable(asked));
    }

    /** {@return what to touch next; empty when every string is in tune} */
    public Optional<NextRound> next() {
        return NextRound.of(setUp, strings, tensionsN, new Coupling(coupling.value()), raised.orElse(null));
    }

    double sinksByCents() {
        Position sinks =
                asked.orElseThrow(() -> new IllegalArgumentException("asked is missing; this figure is one string's"));
        Position tuned = raised.orElseThrow(
                () -> new IllegalArgumentException("raised is missing; a string sinks with one that is tuned"));
        Cents cents = NextRound.sinkings(setUp, strings, tensionsN, new Coupling(coupling.value()), tuned)
                .get(sinks);
        if (cents == null) {
            throw new IllegalArgumentException("asked is " + sinks + ", which does not sink");
        }
        return cents.value();
    }

    /** {@inheritDoc} */
    @Override
    public List<Ingredient<TuningGrounds>> ingredients() {
        List<Ingredient<TuningGrounds>> all = new ArrayList<>(
                Numbers.of(setUp, other -> new TuningGrounds(other, strings, tensionsN, coupling, raised, asked)));
        strings.values().forEach(string -> all.addAll(Numbers.of(string, this::with)));
        all.addAll(Numbers.of(
                What.Part.CARRIED,
                tensionsN,
                Unit.NEWTON,
                moved -> new TuningGrounds(setUp, strings, moved, coupling, raised, asked)));
        all.add(Ingredient.of(
                What.Other.of(What.Part.COUPLING),
                coupling,
                Coupling.RANGE,
                value -> new TuningGrounds(
                        setUp,
                        strings,
                        tensionsN,
                        new Figure(value, coupling.unit(), coupling.origin()),
                        raised,
                        asked)));
        return List.copyOf(all);
    }

    private TuningGrounds with(StringSpec other) {
        Map<Position, StringSpec> moved = new EnumMap<>(strings);
        moved.put(other.position(), other);
        return new TuningGrounds(setUp, moved, tensionsN, coupling, raised, asked);
    }
}
