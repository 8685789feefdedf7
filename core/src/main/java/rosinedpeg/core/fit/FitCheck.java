package rosinedpeg.core.fit;

import static java.util.Objects.requireNonNull;
import static rosinedpeg.core.figure.Finite.requireFinite;
import static rosinedpeg.core.finding.Severity.GOOD;
import static rosinedpeg.core.finding.Severity.STOPS;
import static rosinedpeg.core.finding.Severity.WATCH;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import rosinedpeg.core.figure.Figure;
import rosinedpeg.core.figure.Origin;
import rosinedpeg.core.figure.Unit;
import rosinedpeg.core.finding.Finding;
import rosinedpeg.core.finding.FindingKind;
import rosinedpeg.core.finding.Severity;
import rosinedpeg.core.load.InstrumentLoad;
import rosinedpeg.core.setup.Measurable;
import rosinedpeg.core.setup.Quantity;
import rosinedpeg.core.setup.SetUp;
import rosinedpeg.core.strings.Position;
import rosinedpeg.core.strings.StringFigure;
import rosinedpeg.core.strings.StringSpec;
import rosinedpeg.core.winding.Lock;
import rosinedpeg.core.winding.Turns;
import rosinedpeg.core.winding.WindingPlan;

/**
 * Judges a new string against the instrument it is meant for: its size, its end, its silk, its length, its pull.
 *
 * <p>Positions along the string are counted from the ball, as they come to lie at pitch. The tail silk must end before the bridge, the top silk must
 * start at or just past the nut, and what passes the peg must give enough turns and not too many.
 */
public final class FitCheck {

    /** A rise of the load on the top beyond this is said aloud. */
    public static final double LOAD_RISE_LIMIT = 0.08;

    /** A design length further than this share from the instrument's own is another size's; a default of our own. */
    public static final double OTHER_SIZE = 0.06;
    /** Further than this share it is not to be fitted. */
    public static final double WRONG_SIZE = 0.12;

    private static final double SILK_TOLERANCE_MM = 0.5;
    /** Silk that reaches further before the nut lies where fingers stop the string. */
    private static final double SILK_UNDER_FINGER_MM = 10;

    private final SetUp setUp;
    private final Map<Position, StringSpec> present;
    private final Map<Position, Double> grooveWidthsMm;
    private final Map<Position, Double> slotWidthsMm;

    /**
     * Takes the instrument as it is strung now.
     *
     * @param setUp the instrument
     * @param present the strings on it
     */
    public FitCheck(SetUp setUp, Map<Position, StringSpec> present) {
        this(setUp, present, Map.of(), Map.of());
    }

    /**
     * Takes the instrument with what was measured of its grooves and slots.
     *
     * @param setUp the instrument
     * @param present the strings on it
     * @param grooveWidthsMm width of the narrower groove of a string, at bridge or nut, above 0; missing when not measured
     * @param slotWidthsMm width of the slot of the tuner or tailpiece a string goes through, above 0; missing likewise
     */
    public FitCheck(
            SetUp setUp,
            Map<Position, StringSpec> present,
            Map<Position, Double> grooveWidthsMm,
            Map<Position, Double> slotWidthsMm) {
        requireFinite("grooveWidthsMm", grooveWidthsMm);
        requireFinite("slotWidthsMm", slotWidthsMm);
        this.setUp = requireNonNull(setUp, "setUp");
        this.present = Map.copyOf(present);
        this.grooveWidthsMm = Map.copyOf(grooveWidthsMm);
        this.slotWidthsMm = Map.copyOf(slotWidthsMm);
    }

    /** {@return a check of an instrument with what was measured of its grooves and slots} */
    public static FitCheck of(SetUp setUp, Map<Position, StringSpec> present) {
        Map<Position, Double> groovesMm = new EnumMap<>(Position.class);
        Map<Position, Double> slotsMm = new EnumMap<>(Position.class);
        for (Position position : setUp.positions()) {
            measuredMm(setUp, Quantity.BRIDGE_GROOVE_WIDTH, position).ifPresent(mm -> groovesMm.put(position, mm));
            measuredMm(setUp, Quantity.NUT_GROOVE_WIDTH, position)
                    .ifPresent(mm -> groovesMm.merge(position, mm, Math::min));
            measuredMm(setUp, Quantity.TAIL_SLOT_WIDTH, position).ifPresent(mm -> slotsMm.put(position, mm));
        }
        return new FitCheck(setUp, present, groovesMm, slotsMm);
    }

    private static Optional<Double> measuredMm(SetUp setUp, Quantity quantity, Position position) {
        return Optional.of(setUp.figure(quantity, position))
                .filter(figure -> figure.origin() == Origin.MEASURED)
                .map(Figure::value);
    }

    /** {@return what was found of a string that is locked the usual way} */
    public List<Finding> judge(Position position, StringSpec string) {
        requireNonNull(position, "position");
        return judge(position, string, Lock.FAR_SIDE_THEN_CROSS);
    }

    /**
     * Judges one new string.
     *
     * @param position where it is to go
     * @param string the new string
     * @param lock how its tip is to be held; a knot takes up some of its length
     * @return what was found, worst first; a single {@code FITS} when nothing is wrong
     */
    public List<Finding> judge(Position position, StringSpec string, Lock lock) {
        requireNonNull(position, "position");
        if (string.position() != position) {
            return List.of(Finding.on(position, FindingKind.WRONG_POSITION, STOPS));
        }
        List<Finding> found = new ArrayList<>();
        madeForOtherSize(position, string).ifPresent(found::add);
        if (!position.in(setUp.tailEnds()).takes(string.end())) {
            found.add(Finding.on(position, FindingKind.END_MISMATCH, STOPS));
        }
        silk(position, string, found);
        Turns wound = Turns.of(setUp, string, lock);
        Origin turnsOrigin = setUp.weakestOrigin(List.of(
                        Measurable.of(Quantity.AFTERLENGTH),
                        Measurable.of(Quantity.VIBRATING_LENGTH),
                        Measurable.of(Quantity.SHAFT_DIAMETER),
                        Measurable.of(Quantity.NUT_TO_PEG, position)))
                .orWeaker(string.origin(StringFigure.TOTAL_LENGTH));
        Figure turns = Figure.workedOut(wound.count(), Unit.TURN, turnsOrigin);
        double wrongFrom = Turns.wrongFrom(setUp.family(), string.core());
        WindingPlan.Outcome outcome = wound.outcome(setUp.family());
        if (outcome == WindingPlan.Outcome.TOO_SHORT) {
            found.add(Finding.on(
                    position, FindingKind.TOO_FEW_TURNS, STOPS, turns, Figure.byDefault(Turns.FEWEST, Unit.TURN)));
        } else if (wound.count() >= wrongFrom) {
            found.add(Finding.on(
                    position, FindingKind.FAR_TOO_MANY_TURNS, STOPS, turns, Figure.byDefault(wrongFrom, Unit.TURN)));
        } else if (outcome == WindingPlan.Outcome.TOO_LONG) {
            double most = Turns.most(setUp.family());
            found.add(
                    Finding.on(position, FindingKind.TOO_MANY_TURNS, WATCH, turns, Figure.byDefault(most, Unit.TURN)));
        }
        tooThick(position, string, slotWidthsMm, FindingKind.TOO_THICK_FOR_SLOT, STOPS)
                .ifPresent(found::add);
        tooThick(position, string, grooveWidthsMm, FindingKind.TOO_THICK_FOR_GROOVE, WATCH)
                .ifPresent(found::add);
        Figure rise = loadRise(Map.of(position, string));
        if (rise.value() > LOAD_RISE_LIMIT) {
            found.add(Finding.on(
                    position, FindingKind.LOAD_RISE, WATCH, rise, Figure.byDefault(LOAD_RISE_LIMIT, Unit.SHARE)));
        }
        if (found.isEmpty()) {
            found.add(
                    present.isEmpty()
                            ? Finding.on(position, FindingKind.FITS, GOOD, turns)
                            : Finding.on(position, FindingKind.FITS, GOOD, turns, rise));
        }
        found.sort((a, b) -> b.severity().compareTo(a.severity()));
        return List.copyOf(found);
    }

    /** The size it is made for says more than the turns that come of it, so it is named before they are counted. */
    private Optional<Finding> madeForOtherSize(Position position, StringSpec string) {
        double lengthMm = setUp.value(Quantity.VIBRATING_LENGTH);
        double off = Math.abs(string.designLengthMm() / lengthMm - 1);
        if (off <= OTHER_SIZE) {
            return Optional.empty();
        }
        return Optional.of(Finding.on(
                position,
                FindingKind.MADE_FOR_OTHER_SIZE,
                off > WRONG_SIZE ? STOPS : WATCH,
                millimetres(string.designLengthMm(), string.origin(StringFigure.DESIGN_LENGTH)),
                millimetres(lengthMm, setUp.weakestOrigin(Quantity.VIBRATING_LENGTH))));
    }

    /** Silk is where it comes to lie at pitch: every part of the string is longer then by the same share. */
    private void silk(Position position, StringSpec string, List<Finding> found) {
        double bridgeMm = setUp.value(Quantity.AFTERLENGTH);
        double tailSilkMm = tailSilkMm(setUp, string);
        if (tailSilkMm > bridgeMm) {
            found.add(Finding.on(
                    position,
                    FindingKind.TAIL_SILK_ON_BRIDGE,
                    STOPS,
                    millimetres(
                            tailSilkMm,
                            setUp.weakestOrigin(Quantity.VIBRATING_LENGTH)
                                    .orWeaker(string.origin(StringFigure.TAIL_SILK_END))),
                    millimetres(bridgeMm, setUp.weakestOrigin(Quantity.AFTERLENGTH))));
        }
        double nutMm = bridgeMm + setUp.value(Quantity.VIBRATING_LENGTH);
        double topSilkMm = topSilkMm(setUp, string);
        if (topSilkMm < nutMm - SILK_TOLERANCE_MM) {
            Origin scaleOrigin = setUp.weakestOrigin(Quantity.AFTERLENGTH, Quantity.VIBRATING_LENGTH);
            found.add(Finding.on(
                    position,
                    FindingKind.TOP_SILK_ON_PLAYING_LENGTH,
                    nutMm - topSilkMm > SILK_UNDER_FINGER_MM ? STOPS : WATCH,
                    millimetres(topSilkMm, scaleOrigin.orWeaker(string.origin(StringFigure.TOP_SILK_START))),
                    millimetres(nutMm, scaleOrigin)));
        }
    }

    /** {@return where a string's tail silk ends at pitch, in mm from the ball} */
    public static double tailSilkMm(SetUp setUp, StringSpec string) {
        return atPitchMm(string.tailSilkEndMm(), setUp.tensionN(string), string.axialStiffnessN());
    }

    /** {@return where a string's top silk begins at pitch, in mm from the ball} */
    public static double topSilkMm(SetUp setUp, StringSpec string) {
        return atPitchMm(string.topSilkStartMm(), setUp.tensionN(string), string.axialStiffnessN());
    }

    /**
     * Where a place on a string comes to lie at pitch: {@code position · (1 + T/EA)}, by Hooke's law.
     *
     * @param positionMm from the ball, on the slack string, 0 mm or more
     * @param tensionN T, 0 N or more
     * @param axialStiffnessN EA, 500 to 80 000 N
     * @return from the ball, in mm
     */
    public static double atPitchMm(double positionMm, double tensionN, double axialStiffnessN) {
        requireFinite("positionMm", positionMm);
        requireFinite("tensionN", tensionN);
        StringSpec.AXIAL_STIFFNESS.require("axialStiffnessN", axialStiffnessN);
        return positionMm * (1 + tensionN / axialStiffnessN);
    }

    /** Widening a groove or a slot is a repairer's work. */
    private static Optional<Finding> tooThick(
            Position position, StringSpec string, Map<Position, Double> widthsMm, FindingKind kind, Severity severity) {
        Double widthMm = widthsMm.get(position);
        if (widthMm == null || string.diameterMm() <= widthMm) {
            return Optional.empty();
        }
        List<Figure> figures = List.of(
                millimetres(string.diameterMm(), string.origin(StringFigure.DIAMETER)),
                millimetres(widthMm, Origin.MEASURED));
        return Optional.of(new Finding(kind, severity, position, figures, true));
    }

    /**
     * Judges what several new strings press on the top together; each may be harmless alone.
     *
     * @param strings the new strings
     * @return {@code LOAD_RISE} of the whole instrument when it is beyond the limit, nothing otherwise
     */
    public Optional<Finding> judgeTogether(Map<Position, StringSpec> strings) {
        return Optional.of(loadRise(strings))
                .filter(rise -> rise.value() > LOAD_RISE_LIMIT)
                .map(rise -> Finding.on(
                        null, FindingKind.LOAD_RISE, WATCH, rise, Figure.byDefault(LOAD_RISE_LIMIT, Unit.SHARE)));
    }

    /**
     * By how much more the strings would press the top. Like is compared with like: where no string was on, a new one raises
     * nothing.
     *
     * @param strings the new strings, in place of what is on
     * @return the rise as a share of what is on presses; below 0 where it would be less
     */
    public Figure loadRise(Map<Position, StringSpec> strings) {
        Map<Position, StringSpec> changed = new EnumMap<>(Position.class);
        changed.putAll(present);
        strings.forEach((position, string) -> changed.replace(position, string));
        InstrumentLoad load = new InstrumentLoad(setUp, setUp.tensionsN(present));
        double rise = present.isEmpty()
                ? 0
                : load.feet(setUp.tensionsN(changed)).totalN()
                                / load.fullyStrung().totalN()
                        - 1;
        Origin origin = Stream.concat(present.values().stream(), strings.values().stream())
                .map(string -> string.origin(StringFigure.TENSION))
                .reduce(setUp.weakestOrigin(Quantity.VIBRATING_LENGTH), Origin::orWeaker);
        return Figure.workedOut(rise, Unit.SHARE, origin);
    }

    private static Figure millimetres(double value, Origin origin) {
        return new Figure(value, Unit.MILLIMETRE, origin);
    }
}
