package rosinedpeg.web.lend;

import java.util.EnumMap;
import java.util.EnumSet;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.springframework.validation.BindingResult;
import rosinedpeg.core.inspection.LookOver;
import rosinedpeg.core.inspection.Seen;
import rosinedpeg.core.pegs.PegSign;
import rosinedpeg.core.setup.Measurable;
import rosinedpeg.core.setup.Quantity;
import rosinedpeg.core.setup.SetUp;
import rosinedpeg.core.strings.Position;
import rosinedpeg.core.wear.WearSign;
import rosinedpeg.web.platform.Entry;
import rosinedpeg.web.platform.Lengths;

/**
 * A look over an instrument, as it is ticked and typed.
 *
 * @param way which way it goes: pressed twice, what goes out does not come back at once
 * @param good the stops at which everything was as it should be
 * @param missing the strings that are not there
 * @param strings what was seen on strings, each as its position and the sign: II COLOUR_GONE
 * @param pegs what was noticed at pegs, in the same way
 * @param tuners the strings whose fine tuner is all the way in
 * @param signs what was seen on the rest
 * @param gap the gap at the top of the bridge, as typed; empty when nobody measured it
 * @param withIt what goes with it, or came back with it
 * @param text what else there is to say
 * @param on the day, as typed
 * @param allTheSame whether it goes out although something stops it
 */
record LookForm(
        @Nullable Way way,
        Set<LookOver.Stop> good,
        Set<Position> missing,
        Set<String> strings,
        Set<String> pegs,
        Set<Position> tuners,
        Set<Seen.Sign> signs,
        String gap,
        List<WithIt> withIt,
        String text,
        String on,
        Boolean allTheSame) {

    /** Which way an instrument goes. */
    enum Way {
        OUT,
        BACK;

        /** {@return the next way of one that is lent and has not come back} */
        static Way of(Lent lent) {
            return lent.isPromised() ? OUT : BACK;
        }
    }

    /** The most characters of what else there is to say. */
    static final int LONGEST_TEXT = 300;

    /** A box that is not ticked is not sent. */
    LookForm {
        good = good == null ? Set.of() : good;
        missing = missing == null ? Set.of() : missing;
        strings = strings == null ? Set.of() : strings;
        pegs = pegs == null ? Set.of() : pegs;
        tuners = tuners == null ? Set.of() : tuners;
        signs = signs == null ? Set.of() : signs;
        gap = Entry.orEmpty(gap);
        withIt = withIt == null ? List.of() : withIt;
        text = Entry.orEmpty(text);
        on = Entry.orEmpty(on);
        allTheSame = Boolean.TRUE.equals(allTheSame);
    }

    static LookForm blank(Way way, List<WithIt> withIt, String today) {
        return new LookForm(
                way, Set.of(), Set.of(), Set.of(), Set.of(), Set.of(), Set.of(), "", withIt, "", today, false);
    }

    /**
     * Reads it. At every stop something is ticked: what was seen, or that all is as it should be, and never both.
     *
     * @param setUp of the instrument
     * @param result where it is said what cannot be taken
     * @return what was seen; whatever does not belong to the instrument is left out
     */
    Seen read(SetUp setUp, BindingResult result) {
        Set<Position> positions = new HashSet<>(setUp.positions());
        Seen seen = new Seen(
                of(missing, positions),
                signs(strings, WearSign.class, LookOver.onAString(), positions),
                signs(pegs, PegSign.class, LookOver.atAPeg(setUp), positions),
                of(tuners, positions),
                signs);
        for (LookOver.Stop stop : LookOver.stops(setUp)) {
            boolean noticed = noticedAt(stop, seen);
            if (noticed == good.contains(stop)) {
                result.rejectValue("good", "look." + (noticed ? "both" : "neither") + "." + stop);
            }
        }
        return seen;
    }

    private static boolean noticedAt(LookOver.Stop stop, Seen seen) {
        boolean sign = seen.signs().stream().anyMatch(one -> one.stop() == stop);
        return switch (stop) {
            case STRINGS -> !seen.missing().isEmpty() || !seen.wear().isEmpty();
            case PEGS -> !seen.pegs().isEmpty();
            case FINE_TUNERS -> sign || !seen.tunersIn().isEmpty();
            default -> sign;
        };
    }

    private static Set<Position> of(Set<Position> ticked, Set<Position> positions) {
        Set<Position> kept = EnumSet.noneOf(Position.class);
        kept.addAll(ticked);
        kept.retainAll(positions);
        return kept;
    }

    private static <E extends Enum<E>> Map<Position, Set<E>> signs(
            Set<String> ticked, Class<E> type, Set<E> asked, Set<Position> positions) {
        Map<Position, Set<E>> signs = new EnumMap<>(Position.class);
        for (Position position : positions) {
            for (E sign : asked) {
                if (ticked.contains(position + " " + sign)) {
                    signs.computeIfAbsent(position, none -> EnumSet.noneOf(type))
                            .add(sign);
                }
            }
        }
        return signs;
    }

    /** {@return the gap at the top of the bridge in mm; empty when nobody measured it, or it was refused} */
    Optional<Double> gapMm(SetUp setUp, Lengths lengths, BindingResult result) {
        if (gap.isBlank()) {
            return Optional.empty();
        }
        OptionalDouble mm =
                Entry.measurement(result, "gap", gap, setUp.rangeOf(Measurable.of(Quantity.BRIDGE_GAP)), lengths);
        return mm.isPresent() ? Optional.of(mm.getAsDouble()) : Optional.empty();
    }
}
