package rosinedpeg.core.plan;

import static java.util.Objects.requireNonNull;

import java.util.EnumMap;
import java.util.EnumSet;
import java.util.Map;
import java.util.Set;
import rosinedpeg.core.clearance.StrungPegbox;
import rosinedpeg.core.load.LoadBands;
import rosinedpeg.core.setup.Family;
import rosinedpeg.core.setup.SetUp;
import rosinedpeg.core.strings.Position;
import rosinedpeg.core.strings.StringSpec;
import rosinedpeg.core.winding.WindingChoice;

/**
 * What is to be changed, and how.
 *
 * @param setUp the instrument
 * @param present the strings on it, one for every position; for a broken one the string that was there
 * @param replacements the new strings, at least one
 * @param covering for a string, those that lie over its peg and have to make way while it is changed
 * @param broken strings that are broken and carry nothing; they have to be among the replacements
 * @param pegs how pegs behave; a peg that is not named fits
 * @param schools the choices of the work
 * @param particulars what is particular to this instrument
 * @param service whether the whole instrument is seen to along with it: fine tuners, body
 */
public record ChangeRequest(
        SetUp setUp,
        Map<Position, StringSpec> present,
        Map<Position, StringSpec> replacements,
        Map<Position, Set<Position>> covering,
        Set<Position> broken,
        Map<Position, PegCondition> pegs,
        Schools schools,
        Particulars particulars,
        boolean service) {

    /**
     * Checks that the parts go together.
     *
     * @throws IllegalArgumentException when a position has no string, nothing is to be replaced, a string lies over its
     *     own peg, a broken string is not replaced, or a lock is chosen that only a bass string takes
     */
    public ChangeRequest {
        requireNonNull(setUp, "setUp");
        requireNonNull(schools, "schools");
        requireNonNull(particulars, "particulars");
        present = Map.copyOf(present);
        replacements = Map.copyOf(replacements);
        covering = copy(covering);
        broken = Set.copyOf(broken);
        pegs = Map.copyOf(pegs);
        if (!present.keySet().containsAll(setUp.positions())) {
            throw new IllegalArgumentException("present has strings at " + present.keySet()
                    + "; it must have one at each of " + setUp.positions());
        }
        if (replacements.isEmpty() || !setUp.positions().containsAll(replacements.keySet())) {
            throw new IllegalArgumentException("replacements are for " + replacements.keySet()
                    + "; they must be for at least one of " + setUp.positions());
        }
        if (!replacements.keySet().containsAll(broken)) {
            throw new IllegalArgumentException(
                    "broken are " + broken + "; they must be among the replacements " + replacements.keySet());
        }
        covering.forEach((position, over) -> {
            if (over.contains(position) || !setUp.positions().containsAll(over)) {
                throw new IllegalArgumentException("covering has " + over + " lying over the peg of " + position
                        + "; they must be other strings of the instrument");
            }
        });
        if (schools.atPeg().lock().forBassOnly() && setUp.family() != Family.BASS) {
            throw new IllegalArgumentException("lock is " + schools.atPeg().lock() + " and family " + setUp.family()
                    + "; that lock must be on a BASS");
        }
    }

    /**
     * A change by the usual choices: which string lies over which peg is taken from the pegbox's geometry, pegs fit,
     * nothing is broken.
     *
     * @param setUp the instrument
     * @param present the strings on it
     * @param replacements the new strings
     * @return the request
     */
    public static ChangeRequest usual(
            SetUp setUp, Map<Position, StringSpec> present, Map<Position, StringSpec> replacements) {
        Schools schools = Schools.usual(setUp.family());
        return new ChangeRequest(
                setUp,
                present,
                replacements,
                covering(setUp, present, schools),
                Set.of(),
                Map.of(),
                schools,
                Particulars.USUAL,
                false);
    }

    /** {@return for each string those that lie over its peg, by the pegbox's geometry} */
    public static Map<Position, Set<Position>> covering(
            SetUp setUp, Map<Position, StringSpec> strings, Schools schools) {
        Map<Position, WindingChoice> choices = new EnumMap<>(Position.class);
        setUp.positions()
                .forEach(position -> choices.put(position, schools.winding(setUp, position, PegCondition.FITS)));
        StrungPegbox pegbox = new StrungPegbox(setUp, strings, choices);
        Map<Position, Set<Position>> covering = new EnumMap<>(Position.class);
        strings.keySet().forEach(position -> covering.put(position, pegbox.coveredBy(position)));
        return covering;
    }

    private static Map<Position, Set<Position>> copy(Map<Position, Set<Position>> covering) {
        Map<Position, Set<Position>> copy = new EnumMap<>(Position.class);
        covering.forEach((position, over) -> copy.put(position, Set.copyOf(over)));
        return copy;
    }

    /** {@return the strings that lie over the peg of that one} */
    public Set<Position> over(Position position) {
        requireNonNull(position, "position");
        return covering.getOrDefault(position, EnumSet.noneOf(Position.class));
    }

    /** {@return how the peg of that string behaves} */
    public PegCondition peg(Position position) {
        return pegs.getOrDefault(position, PegCondition.FITS);
    }

    /** {@return how a string is wound} */
    public WindingChoice winding(Position position) {
        return schools.winding(setUp, position, peg(position));
    }

    /** {@return the same request by other schools} */
    public ChangeRequest by(Schools other) {
        return new ChangeRequest(setUp, present, replacements, covering, broken, pegs, other, particulars, service);
    }

    /** {@return the same request with other strings lying over pegs, as seen on the instrument} */
    public ChangeRequest covered(Map<Position, Set<Position>> other) {
        return new ChangeRequest(setUp, present, replacements, other, broken, pegs, schools, particulars, service);
    }

    /** {@return the same request with pegs that behave so} */
    public ChangeRequest withPegs(Map<Position, PegCondition> other) {
        return new ChangeRequest(setUp, present, replacements, covering, broken, other, schools, particulars, service);
    }

    /** {@return the same request with those strings broken} */
    public ChangeRequest withBroken(Set<Position> other) {
        return new ChangeRequest(setUp, present, replacements, covering, other, pegs, schools, particulars, service);
    }

    /** {@return the same request on an instrument with those particulars} */
    public ChangeRequest on(Particulars other) {
        return new ChangeRequest(setUp, present, replacements, covering, broken, pegs, schools, other, service);
    }

    /** {@return the same request as a full service: fine tuners and body are seen to along with the strings} */
    public ChangeRequest asService(boolean wanted) {
        return new ChangeRequest(setUp, present, replacements, covering, broken, pegs, schools, particulars, wanted);
    }

    /** {@return where the bands of the post's load lie} */
    public LoadBands bands() {
        return particulars.bands();
    }

    /**
     * The same request for those of its strings only, as when just the due ones are to be changed.
     *
     * @param wanted the strings to change; broken ones are always changed
     * @return the request
     * @throws IllegalArgumentException when nothing would be left to change
     */
    public ChangeRequest only(Set<Position> wanted) {
        Map<Position, StringSpec> fewer = new EnumMap<>(Position.class);
        replacements.forEach((position, string) -> {
            if (wanted.contains(position) || broken.contains(position)) {
                fewer.put(position, string);
            }
        });
        return new ChangeRequest(setUp, present, fewer, covering, broken, pegs, schools, particulars, service);
    }

    /** {@return every string once the change is done} */
    public Map<Position, StringSpec> afterwards() {
        Map<Position, StringSpec> afterwards = new EnumMap<>(present);
        afterwards.putAll(replacements);
        return Position.inOrder(afterwards);
    }
}
