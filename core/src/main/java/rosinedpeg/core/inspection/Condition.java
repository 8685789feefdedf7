package rosinedpeg.core.inspection;

import static java.util.Objects.requireNonNull;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import rosinedpeg.core.care.Rosining;
import rosinedpeg.core.pegs.CollarTrend.Collar;
import rosinedpeg.core.pegs.PegSign;
import rosinedpeg.core.pegs.PegWood;
import rosinedpeg.core.setup.SetUp;
import rosinedpeg.core.strings.Position;
import rosinedpeg.core.strings.StringSpec;
import rosinedpeg.core.wear.WearState;

/**
 * What is known of an instrument as it stands.
 *
 * @param setUp its set-up
 * @param strings the strings on it; some may be missing
 * @param wear how far they are used up
 * @param pegSigns what was noticed last at each peg; a peg that nobody looked at is missing
 * @param collars every collar distance that was logged, by peg
 * @param parchment whether a parchment is glued over the groove of I
 * @param tube whether a tube is on I
 * @param tunersBuiltIn whether its fine tuners are part of the tailpiece
 * @param newestStringOn the day the newest string went on; none when nobody knows
 * @param bridgeLookedAtOn the day the bridge was measured last; none when it never was
 * @param rosining how often rosin went on lately
 * @param pegWood what its pegs are made of; none when nobody recorded it
 */
public record Condition(
        SetUp setUp,
        Map<Position, StringSpec> strings,
        Map<Position, WearState> wear,
        Map<Position, Set<PegSign>> pegSigns,
        Map<Position, List<Collar>> collars,
        boolean parchment,
        boolean tube,
        boolean tunersBuiltIn,
        @Nullable LocalDate newestStringOn,
        @Nullable LocalDate bridgeLookedAtOn,
        Rosining rosining,
        @Nullable PegWood pegWood) {

    /** Copies what is mutable. */
    public Condition {
        requireNonNull(setUp, "setUp");
        requireNonNull(rosining, "rosining");
        strings = Position.inOrder(strings);
        wear = Position.inOrder(wear);
        pegSigns = Position.inOrder(pegSigns);
        collars = Position.inOrder(collars);
    }

    /** {@return an instrument of which nothing is known but its set-up and its strings} */
    public static Condition of(SetUp setUp, Map<Position, StringSpec> strings) {
        return new Condition(
                setUp, strings, Map.of(), Map.of(), Map.of(), false, false, false, null, null, Rosining.NONE, null);
    }
}
