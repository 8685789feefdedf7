package rosinedpeg.core.fit;

import static rosinedpeg.core.finding.Severity.GOOD;
import static rosinedpeg.core.finding.Severity.STOPS;
import static rosinedpeg.core.finding.Severity.WATCH;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import rosinedpeg.core.figure.Figure;
import rosinedpeg.core.figure.Origin;
import rosinedpeg.core.figure.Unit;
import rosinedpeg.core.finding.Finding;
import rosinedpeg.core.finding.FindingKind;
import rosinedpeg.core.load.InstrumentLoad;
import rosinedpeg.core.setup.Quantity;
import rosinedpeg.core.setup.SetUp;
import rosinedpeg.core.strings.Position;
import rosinedpeg.core.strings.StringSpec;
import rosinedpeg.core.winding.Turns;

/**
 * Judges a new string against the instrument it is meant for: its end, its silk, its length, its pull.
 *
 * <p>Positions along the string are counted from the ball. The tail silk must end before the bridge, the top silk must
 * start at or just past the nut, and what passes the peg must give enough turns and not too many.
 */
public final class FitCheck {

    /** A rise of the load on the top beyond this is said aloud. */
    public static final double LOAD_RISE_LIMIT = 0.08;

    private final SetUp setUp;
    private final Map<Position, StringSpec> present;

    /**
     * Takes the instrument as it is strung now.
     *
     * @param setUp the instrument
     * @param present the strings on it
     */
    public FitCheck(SetUp setUp, Map<Position, StringSpec> present) {
        this.setUp = setUp;
        this.present = Map.copyOf(present);
    }

    /**
     * Judges one new string.
     *
     * @param position where it is to go
     * @param string the new string
     * @return what was found, worst first; a single {@code FITS} when nothing is wrong
     */
    public List<Finding> judge(Position position, StringSpec string) {
        if (string.position() != position) {
            return List.of(Finding.on(position, FindingKind.WRONG_POSITION, STOPS));
        }
        List<Finding> found = new ArrayList<>();
        if (!setUp.tailEnds().get(position).takes(string.end())) {
            found.add(Finding.on(position, FindingKind.END_MISMATCH, STOPS));
        }
        Origin tailOrigin = setUp.weakestOrigin(Quantity.AFTERLENGTH);
        double bridgeMm = setUp.value(Quantity.AFTERLENGTH);
        if (string.tailSilkEndMm() > bridgeMm) {
            found.add(Finding.on(
                    position,
                    FindingKind.TAIL_SILK_ON_BRIDGE,
                    STOPS,
                    millimetres(string.tailSilkEndMm(), Origin.MEASURED),
                    millimetres(bridgeMm, tailOrigin)));
        }
        Origin scaleOrigin = setUp.weakestOrigin(Quantity.AFTERLENGTH, Quantity.VIBRATING_LENGTH);
        double nutMm = bridgeMm + setUp.value(Quantity.VIBRATING_LENGTH);
        if (string.topSilkStartMm() < nutMm - 0.5) {
            found.add(Finding.on(
                    position,
                    FindingKind.TOP_SILK_ON_PLAYING_LENGTH,
                    nutMm - string.topSilkStartMm() > 10 ? STOPS : WATCH,
                    millimetres(string.topSilkStartMm(), Origin.MEASURED),
                    millimetres(nutMm, scaleOrigin)));
        }
        Figure turns = Figure.workedOut(Turns.of(setUp, string).count(), Unit.TURN, scaleOrigin);
        double most = Turns.most(setUp.family());
        if (turns.value() < Turns.FEWEST) {
            found.add(Finding.on(
                    position, FindingKind.TOO_FEW_TURNS, STOPS, turns, Figure.byDefault(Turns.FEWEST, Unit.TURN)));
        } else if (turns.value() > most) {
            found.add(
                    Finding.on(position, FindingKind.TOO_MANY_TURNS, WATCH, turns, Figure.byDefault(most, Unit.TURN)));
        }
        Figure rise = loadRise(string);
        if (rise.value() > LOAD_RISE_LIMIT) {
            found.add(Finding.on(
                    position, FindingKind.LOAD_RISE, WATCH, rise, Figure.byDefault(LOAD_RISE_LIMIT, Unit.SHARE)));
        }
        if (found.isEmpty()) {
            found.add(Finding.on(position, FindingKind.FITS, GOOD, turns, rise));
        }
        found.sort((a, b) -> b.severity().compareTo(a.severity()));
        return List.copyOf(found);
    }

    private Figure loadRise(StringSpec string) {
        Map<Position, Double> before = setUp.tensionsN(present);
        InstrumentLoad load = new InstrumentLoad(setUp, before);
        Map<Position, StringSpec> changed = new EnumMap<>(Position.class);
        changed.putAll(present);
        changed.put(string.position(), string);
        double after = load.feet(setUp.tensionsN(changed)).totalN();
        return Figure.workedOut(
                after / load.fullyStrung().totalN() - 1, Unit.SHARE, setUp.weakestOrigin(Quantity.VIBRATING_LENGTH));
    }

    private static Figure millimetres(double value, Origin origin) {
        return new Figure(value, Unit.MILLIMETRE, origin);
    }
}
