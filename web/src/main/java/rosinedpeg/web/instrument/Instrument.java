package rosinedpeg.web.instrument;

import java.time.Instant;
import java.time.LocalDate;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;
import rosinedpeg.core.bridge.StuckShares;
import rosinedpeg.core.figure.Evidence;
import rosinedpeg.core.grooves.Guard;
import rosinedpeg.core.load.FeetLoad;
import rosinedpeg.core.load.InstrumentLoad;
import rosinedpeg.core.load.LoadBands;
import rosinedpeg.core.pegs.CollarTrend.Collar;
import rosinedpeg.core.plan.Particulars;
import rosinedpeg.core.setup.SetUp;
import rosinedpeg.core.strings.Position;
import rosinedpeg.core.strings.StringSpec;
import rosinedpeg.core.wear.Demand;
import rosinedpeg.web.drawing.Strands;

/**
 * An instrument as it stands.
 *
 * @param id its id
 * @param name what it is called
 * @param setUp its set-up
 * @param hoursPerWeek how much it is played
 * @param demand how fresh its strings are wanted
 * @param strings the strings on it, I first
 * @param fittings what it has beside its measurements
 * @param collars every collar distance that was measured, by peg
 * @param bridgeLookedAtOn the day its bridge was measured last, if it ever was
 * @param coupling what its runs have shown of how much it gives
 * @param stuck how much of a string sticks in its bridge grooves
 * @param bands how much load its post wants
 * @param retiredAt when it left the rack; empty while it is on it
 * @param version how often it has been changed, which a form that changes it sends along
 */
public record Instrument(
        UUID id,
        String name,
        SetUp setUp,
        double hoursPerWeek,
        Demand demand,
        List<StringOn> strings,
        Fittings fittings,
        Map<Position, List<Collar>> collars,
        @Nullable LocalDate bridgeLookedAtOn,
        Evidence coupling,
        StuckShares stuck,
        LoadBands bands,
        Optional<Instant> retiredAt,
        int version) {

    /** {@return as much of it as hands at work on it ask} */
    public Stringing stringing() {
        return new Stringing(
                id,
                name,
                setUp,
                strings.stream()
                        .map(string -> new Stringing.One(string.fittedId(), string.position(), string.kind()))
                        .toList(),
                coupling,
                stuck);
    }

    /** {@return what a plan has to know of it beside its set-up} */
    public Particulars particulars() {
        return new Particulars(bands, Guard.of(fittings.parchment(), fittings.tube() && !fittings.parchment()), stuck);
    }

    /** {@return how it stands, without its set-up} */
    public Standing standing() {
        return new Standing(id, name, setUp.family(), fullyStrung(), strings);
    }

    /** {@return the string at a position, empty when none is recorded there} */
    public Optional<StringOn> string(Position position) {
        return strings.stream().filter(string -> string.position() == position).findFirst();
    }

    /** {@return whether every position has a recorded string} */
    public boolean fullyStrung() {
        return strings.size() == setUp.positions().size();
    }

    /** {@return the figures of the strings on it} */
    public Map<Position, StringSpec> specs() {
        return stringing().specs();
    }

    /**
     * Its strings, drawn.
     *
     * @param state in which state each is shown: on, settling or off
     */
    public Strands drawn(Function<StringOn, String> state) {
        Map<Position, Strands.Strand> strands = new EnumMap<>(Position.class);
        strings.forEach(string -> strands.put(string.position(), string.strand(state.apply(string))));
        return Strands.of(setUp, strands);
    }

    /** {@return what its strings put on its feet; empty where one is missing} */
    public Optional<FeetLoad> load() {
        return fullyStrung()
                ? Optional.of(new InstrumentLoad(setUp, setUp.tensionsN(specs())).fullyStrung())
                : Optional.empty();
    }

    /** {@return the string that most wants changing} */
    public Optional<StringOn> mostWorn() {
        return StringOn.mostWorn(strings);
    }
}
