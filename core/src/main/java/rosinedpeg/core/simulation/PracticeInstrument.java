package rosinedpeg.core.simulation;

import static java.util.Objects.requireNonNull;

import java.util.Collections;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import rosinedpeg.core.bridge.Lean;
import rosinedpeg.core.bridge.Thrust;
import rosinedpeg.core.load.InstrumentLoad;
import rosinedpeg.core.load.LoadBand;
import rosinedpeg.core.load.LoadShares;
import rosinedpeg.core.pitch.Cents;
import rosinedpeg.core.plan.PegCondition;
import rosinedpeg.core.rounds.TuningRounds;
import rosinedpeg.core.setup.Quantity;
import rosinedpeg.core.setup.SetUp;
import rosinedpeg.core.strings.Elasticity;
import rosinedpeg.core.strings.Position;
import rosinedpeg.core.strings.StringSpec;
import rosinedpeg.core.winding.Lock;
import rosinedpeg.core.winding.WindingChoice;
import rosinedpeg.core.winding.WindingPlan;

/**
 * An instrument to practise on, at one moment. An action makes a new one of it; the same start and the same actions always
 * lead to the same end.
 *
 * <p>Strings stretch by Hooke's law ({@link Elasticity}) and are coupled through body and neck ({@link
 * rosinedpeg.core.rounds.Coupling}); a string that sticks in its groove drags the bridge ({@link rosinedpeg.core.bridge.Drag}), which
 * falls where its {@link Thrust} leaves its feet; the shaft is turned as far as the {@link WindingPlan} says until a new string is at
 * pitch; what the feet carry decides whether the post stays. Where luck decides in a workshop (a tip that is barely long enough, a turn
 * that is not guided, a post with little load, a bare ball over varnish) a seeded draw decides here. The chances and grips are guesses
 * of our own, meant to teach, not measured.
 */
public final class PracticeInstrument {

    /** A string below this share of its tension can be taken off or touched up without springing away. */
    static final double SLACK = 0.05;

    private final PracticeStart start;
    private final Map<Position, PracticeString> strings;
    private final Map<Position, PegCondition> pegs;
    private final Set<Position> broken;
    private final Set<Position> graphited;
    private final double gapMm;
    private final boolean bridgeStands;
    private final boolean postStands;
    private final int scratches;
    private final int actions;

    PracticeInstrument(Doing done) {
        this.start = done.start;
        this.strings = Collections.unmodifiableMap(new EnumMap<>(done.strings));
        this.pegs = Collections.unmodifiableMap(new EnumMap<>(done.pegs));
        this.broken = Set.copyOf(done.broken);
        this.graphited = Set.copyOf(done.graphited);
        this.gapMm = done.gapMm;
        this.bridgeStands = done.bridgeStands;
        this.postStands = done.postStands;
        this.scratches = done.scratches;
        this.actions = done.actions;
    }

    private PracticeInstrument(PracticeStart start) {
        this.start = start;
        Map<Position, PracticeString> strung = new EnumMap<>(Position.class);
        start.setUp().positions().forEach(position -> {
            StringSpec string = position.in(start.strings());
            strung.put(
                    position,
                    new PracticeString(
                            string,
                            start.setUp().elasticity(string).stretchMm(),
                            toPitchDegrees(start.setUp(), string, Lock.FAR_SIDE_THEN_CROSS),
                            true,
                            true,
                            false,
                            false,
                            false,
                            1,
                            Lock.FAR_SIDE_THEN_CROSS,
                            Lock.FAR_SIDE_THEN_CROSS.tipMm(
                                    start.setUp().family(),
                                    start.setUp().value(Quantity.SHAFT_DIAMETER),
                                    string.diameterMm())));
        });
        this.strings = Collections.unmodifiableMap(strung);
        this.pegs = start.pegs();
        this.broken = EnumSet.noneOf(Position.class);
        this.graphited = start.graphited();
        this.gapMm = start.setUp().value(Quantity.BRIDGE_GAP);
        this.bridgeStands = true;
        this.postStands = true;
        this.scratches = 0;
        this.actions = 0;
    }

    /** {@return an instrument as it is before anything is done to it} */
    public static PracticeInstrument of(PracticeStart start) {
        requireNonNull(start, "start");
        return new PracticeInstrument(start);
    }

    /** {@return how far a shaft is turned from the first grip until its string is at pitch, in degrees} */
    static double toPitchDegrees(SetUp setUp, StringSpec string, Lock lock) {
        return WindingPlan.of(setUp, string, WindingChoice.of(lock)).shaftDegrees();
    }

    /** {@return how it was before anything was done to it} */
    public PracticeStart start() {
        return start;
    }

    /** {@return the strings that are there, at the tail, at the peg or at both} */
    public Map<Position, PracticeString> strings() {
        return strings;
    }

    /** {@return how its pegs turn} */
    public Map<Position, PegCondition> pegs() {
        return pegs;
    }

    /** {@return how many actions it has seen} */
    public int actions() {
        return actions;
    }

    /** {@return the tension of a string, 0 N when it is slack or off} */
    public double tensionN(Position position) {
        requireNonNull(position, "position");
        PracticeString there = strings.get(position);
        return there == null || !bridgeStands ? 0 : tensionN(start.setUp(), there);
    }

    static double tensionN(SetUp setUp, PracticeString there) {
        return there.whole()
                ? Math.max(
                        0, there.stretchMm() * setUp.elasticity(there.string()).stiffnessNPerMm())
                : 0;
    }

    /** {@return the tension of each string, 0 N when it is slack or off} */
    public Map<Position, Double> tensionsN() {
        Map<Position, Double> now = new EnumMap<>(Position.class);
        start.setUp().positions().forEach(position -> now.put(position, tensionN(position)));
        return Collections.unmodifiableMap(now);
    }

    /** {@return the tension of each string at pitch} */
    public Map<Position, Double> atPitchN() {
        return Position.inOrder(start.setUp().tensionsN(start.strings()));
    }

    /**
     * How far a string is from its pitch.
     *
     * @param position the string
     * @return cents, below 0 where it is flat; empty when it does not sound
     */
    public Optional<Cents> cents(Position position) {
        requireNonNull(position, "position");
        PracticeString there = strings.get(position);
        double fullN = position.in(atPitchN());
        double nowN = tensionN(position);
        return there == null || there.aside() || nowN < SLACK * fullN
                ? Optional.empty()
                : Optional.of(Cents.betweenTensions(fullN, nowN));
    }

    /** {@return whether a string sounds within {@link TuningRounds#TOLERANCE_CENTS} of its pitch} */
    public boolean isInTune(Position position) {
        return cents(position)
                .filter(cents -> Math.abs(cents.value()) <= TuningRounds.TOLERANCE_CENTS)
                .isPresent();
    }

    /** {@return whether every string does} */
    public boolean isInTune() {
        return start.setUp().positions().stream().allMatch(this::isInTune);
    }

    /** {@return the load left on the feet, as a share of that with the first strings at pitch} */
    public LoadShares shares() {
        return new InstrumentLoad(start.setUp(), atPitchN()).shares(tensionsN());
    }

    /** {@return what the load left on the post means} */
    public LoadBand band() {
        return start.bands().of(shares().treble());
    }

    /** {@return how the bridge leans} */
    public Lean lean() {
        return Doing.lean(start.setUp(), gapMm);
    }

    /** {@return where the push of the strings meets its feet} */
    public Thrust thrust() {
        return Thrust.of(start.setUp(), lean());
    }

    /** {@return whether the bridge stands} */
    public boolean bridgeStands() {
        return bridgeStands;
    }

    /** {@return whether the sound post stands} */
    public boolean postStands() {
        return postStands;
    }

    /** {@return how many scratches the varnish has got} */
    public int scratches() {
        return scratches;
    }

    /** {@return the strings whose grooves have graphite} */
    public Set<Position> graphited() {
        return graphited;
    }

    /** {@return the strings that have broken and are not replaced} */
    public Set<Position> broken() {
        return broken;
    }

    double gapMm() {
        return gapMm;
    }

    /**
     * Does something.
     *
     * @param action what
     * @return the instrument afterwards, and what came of it
     * @throws IllegalArgumentException when the instrument has no such string
     */
    public Outcome act(Action action) {
        requireNonNull(action, "action");
        Doing doing = new Doing(this);
        List<Consequence> consequences = doing.act(action);
        return new Outcome(new PracticeInstrument(doing), consequences);
    }

    /**
     * What came of an action.
     *
     * @param after the instrument afterwards
     * @param consequences what happened, in order
     */
    public record Outcome(PracticeInstrument after, List<Consequence> consequences) {
        /** Checks the parts. */
        public Outcome {
            requireNonNull(after, "after");
            consequences = List.copyOf(consequences);
        }
    }
}
