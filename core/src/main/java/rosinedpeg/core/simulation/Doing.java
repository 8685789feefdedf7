package rosinedpeg.core.simulation;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.SplittableRandom;
import java.util.function.Consumer;
import rosinedpeg.core.bridge.Lean;
import rosinedpeg.core.bridge.Thrust;
import rosinedpeg.core.bridge.ThrustBand;
import rosinedpeg.core.load.InstrumentLoad;
import rosinedpeg.core.load.LoadShares;
import rosinedpeg.core.pegs.PegTreatment;
import rosinedpeg.core.pitch.Cents;
import rosinedpeg.core.plan.PegCondition;
import rosinedpeg.core.setup.Quantity;
import rosinedpeg.core.setup.SetUp;
import rosinedpeg.core.strings.Elasticity;
import rosinedpeg.core.strings.Position;
import rosinedpeg.core.strings.StringSpec;
import rosinedpeg.core.winding.Lock;
import rosinedpeg.core.winding.WindingChoice;
import rosinedpeg.core.winding.WindingPlan;

/** One action being carried out on a practice instrument. */
final class Doing {

    /** A peg that is pushed well in holds this many times the string's own tension. */
    private static final double FULL_GRIP_HOLDS = 1.6;
    /** What a peg that slips holds of that. */
    private static final double SLIPPERY = 0.35;
    /** How much firmer one push seats a peg, and half a turn while it is pushed. */
    private static final double PUSH = 0.35;
    /** Grip a peg loses when it is turned back half a turn. */
    private static final double LOOSENED = 0.3;
    /** Grip a peg loses when it is drawn up half a turn without being pushed. */
    private static final double UNPUSHED = 0.1;
    /** A peg that sticks goes in jumps of so many degrees. */
    private static final double JUMP = 8;
    /** A tip that is shorter than this share of what its lock needs may pull out. */
    private static final double SAFE_TIP = 0.75;
    /** Chance in each half turn that is not guided that a turn lies over another one. */
    private static final double CROSSES = 0.3;
    /** Turns cross after the first, which locks the tip. */
    private static final double LOCKED_AFTER = 360;
    /** From this share of its tension on a crossed turn slides off. */
    private static final double CLIMBS_FROM = 0.6;
    /** Chance that a bare ball scratches the varnish. */
    private static final double SCRATCH = 0.5;
    /** Chance that a post falls at an action while nothing at all holds it. */
    private static final double FALLS_WHEN_UNLOADED = 0.15;
    /** Chance that it falls with the bridge, which jolts it. */
    private static final double FALLS_WITH_BRIDGE = 0.3;
    /** Chance that it falls at an action while the bridge lies: nothing holds it, and little moves it. */
    private static final double FALLS_LATER = 0.02;
    /** A bridge that carries less than this share of its load slides over. */
    private static final double BRIDGE_HELD_FROM = 0.02;
    /** How far above or below its default breaking tension a string breaks. */
    private static final double BREAKING_SPREAD = 0.05;
    /** A string that lies beside its groove slides off the nut above this share of its tension. */
    private static final double SLIDES_FROM = 0.5;
    /** How much of a bridge's easing strings in dry grooves hold back. */
    private static final double HELD_BACK = 0.5;
    /** Smaller moves of the others are not told. */
    private static final double TOLD_FROM_CENTS = 3;

    private static final double HALF_TURN = 180;

    final PracticeStart start;
    final Map<Position, PracticeString> strings = new EnumMap<>(Position.class);
    final Map<Position, PegCondition> pegs = new EnumMap<>(Position.class);
    final Set<Position> broken = EnumSet.noneOf(Position.class);
    final Set<Position> graphited = EnumSet.noneOf(Position.class);
    final int actions;
    double gapMm;
    boolean bridgeStands;
    boolean postStands;
    int scratches;

    private final SetUp setUp;
    private final SplittableRandom luck;
    private final List<Consequence> consequences = new ArrayList<>();
    private final PracticeInstrument before;

    Doing(PracticeInstrument before) {
        this.before = before;
        this.start = before.start();
        this.setUp = start.setUp();
        this.strings.putAll(before.strings());
        this.pegs.putAll(before.pegs());
        this.broken.addAll(before.broken());
        this.graphited.addAll(before.graphited());
        this.gapMm = before.gapMm();
        this.bridgeStands = before.bridgeStands();
        this.postStands = before.postStands();
        this.scratches = before.scratches();
        this.actions = before.actions() + 1;
        this.luck = new SplittableRandom(start.seed() * 1_000_003 + actions);
    }

    /** {@return the lean of a bridge with that gap at its top, which has fallen beyond the range of any lean} */
    static Lean lean(SetUp setUp, double gapMm) {
        double height = setUp.value(Quantity.BRIDGE_HEIGHT);
        return Lean.fromGap(Lean.gapRange(height).clamp(gapMm), height);
    }

    List<Consequence> act(Action action) {
        if (action instanceof Action.TurnPeg turn) {
            withString(turn.position(), there -> turn(turn, there));
        } else if (action instanceof Action.Push push) {
            withString(
                    push.position(),
                    there -> strings.put(
                            push.position(),
                            there.gripped(Math.min(1, there.grip() + PUSH)).held(true)));
        } else if (action instanceof Action.LetGo letGo) {
            withString(letGo.position(), there -> letGo(letGo.position(), there));
        } else if (action instanceof Action.SetAside aside) {
            withString(aside.position(), there -> setAside(aside.position(), there));
        } else if (action instanceof Action.LayBack back) {
            withString(back.position(), there -> layBack(back.position(), there));
        } else if (action instanceof Action.TakeOff off) {
            withString(off.position(), there -> takeOff(off, there));
        } else if (action instanceof Action.Hang hang) {
            hang(hang.position());
        } else if (action instanceof Action.Thread thread) {
            thread(thread);
        } else if (action instanceof Action.TreatPeg treat) {
            treat(treat);
        } else if (action instanceof Action.RubGraphite rub) {
            rub(rub.position());
        } else if (action instanceof Action.HoldCard) {
            holdCard();
        } else if (action instanceof Action.EaseBridge ease) {
            ease(ease.degrees());
        } else if (action instanceof Action.StandBridge) {
            stand();
        } else if (action instanceof Action.Pluck pluck) {
            pluck(pluck.position());
        }
        see(isQuiet(action));
        return consequences;
    }

    /** A card, a plucked string and a peg that is turned up shake nothing: a post that nothing holds still stands through them. */
    private static boolean isQuiet(Action action) {
        return action instanceof Action.HoldCard
                || action instanceof Action.Pluck
                || action instanceof Action.TurnPeg turn && turn.degrees() >= 0;
    }

    private void withString(Position position, Consumer<PracticeString> act) {
        requireThere(position);
        PracticeString there = strings.get(position);
        if (there == null) {
            notPossible(Consequence.Why.NO_STRING_THERE);
        } else {
            act.accept(there);
        }
    }

    private void requireThere(Position position) {
        if (!setUp.positions().contains(position)) {
            throw new IllegalArgumentException("position is " + position + "; it must be one of " + setUp.positions());
        }
    }

    private void notPossible(Consequence.Why why) {
        consequences.add(new Consequence.NotPossible(why));
    }

    private double tensionN(Position position) {
        PracticeString there = strings.get(position);
        return there == null || !bridgeStands ? 0 : PracticeInstrument.tensionN(setUp, there);
    }

    private double fullN(Position position) {
        return setUp.tensionN(position.in(start.strings()));
    }

    private boolean slack(Position position) {
        return tensionN(position) <= PracticeInstrument.SLACK * fullN(position);
    }

    private double stiffnessNPerMm(StringSpec string) {
        return setUp.elasticity(string).stiffnessNPerMm();
    }

    private double mm(double degrees, StringSpec string) {
        return Elasticity.drawnInMm(degrees, setUp.value(Quantity.SHAFT_DIAMETER), string.diameterMm());
    }

    private void turn(Action.TurnPeg turn, PracticeString there) {
        Position position = turn.position();
        if (!there.threaded()) {
            notPossible(Consequence.Why.NOT_AT_THE_PEG);
            return;
        }
        double degrees = Math.max(moved(position, turn.degrees()), -there.turnedDegrees());
        boolean frictionless = !setUp.pegKind().holdsByFriction();
        double halfTurns = Math.abs(degrees) / HALF_TURN;
        double grip = there.grip();
        if (degrees < 0) {
            grip -= LOOSENED * halfTurns;
        } else {
            grip += (turn.pushing() ? PUSH : -UNPUSHED) * halfTurns;
        }
        boolean wasSlack = slack(position);
        strings.put(
                position,
                there.held(true)
                        .gripped(frictionless ? 1 : Math.max(0, Math.min(1, grip)))
                        .turned(there.turnedDegrees() + degrees));
        if (there.hung()) {
            stretch(position, there.stretchMm() + mm(degrees, there.string()));
        }
        if (degrees > 0 && wasSlack && !turn.guiding()) {
            cross(position, there.turnedDegrees(), degrees);
        }
        if (bridgeStands) {
            climb(position);
            slideOff(position);
            breakOrPullOut(position);
            tellOthers(position);
        }
    }

    /** A peg that sticks moves in jumps, and not at all for less. */
    private double moved(Position position, double degrees) {
        if (position.in(pegs) != PegCondition.STICKS) {
            return degrees;
        }
        double moved = Math.rint(degrees / JUMP) * JUMP;
        consequences.add(new Consequence.Jerked(position, moved));
        return moved;
    }

    private void cross(Position position, double from, double degrees) {
        PracticeString there = position.in(strings);
        long halves = Math.round(Math.floor((from + degrees) / HALF_TURN)
                - Math.floor(Math.max(from, LOCKED_AFTER - HALF_TURN) / HALF_TURN));
        if (!there.crossed() && halves > 0 && luck.nextDouble() < 1 - Math.pow(1 - CROSSES, halves)) {
            strings.put(position, there.crossed(true));
            consequences.add(new Consequence.TurnsCrossed(position));
        }
    }

    private void climb(Position position) {
        PracticeString there = strings.get(position);
        if (there != null && there.crossed() && tensionN(position) > CLIMBS_FROM * fullN(position)) {
            double lostMm = Math.PI * there.string().diameterMm();
            strings.put(position, there.crossed(false));
            stretch(position, there.stretchMm() - lostMm);
            consequences.add(new Consequence.TurnsClimbed(position, lostMm));
        }
    }

    private void slideOff(Position position) {
        PracticeString there = strings.get(position);
        if (there != null && there.aside() && tensionN(position) > SLIDES_FROM * fullN(position)) {
            double nowN = tensionN(position);
            strings.put(position, there.stretched(Math.min(0, there.stretchMm())));
            follow(position, -nowN);
            consequences.add(new Consequence.SlidOff(position));
        }
    }

    /** Gives a string another stretch; the others and the bridge follow. */
    private void stretch(Position position, double stretchMm) {
        double beforeN = tensionN(position);
        strings.computeIfPresent(position, (p, there) -> there.stretched(stretchMm));
        double riseN = tensionN(position) - beforeN;
        follow(position, riseN);
        PracticeString there = strings.get(position);
        if (there != null && riseN != 0 && !there.aside()) {
            drag(there, riseN);
        }
    }

    private void follow(Position position, double riseN) {
        strings.replaceAll((other, string) -> other == position || tensionN(other) == 0
                ? string
                : string.stretched(string.stretchMm() - start.coupling().mmPerN() * riseN));
    }

    /** As {@link rosinedpeg.core.bridge.Drag} has it for the whole way to pitch, for each part of the way. */
    private void drag(PracticeString there, double riseN) {
        Position position = there.string().position();
        double allN = setUp.tensionsN(start.strings()).values().stream()
                .mapToDouble(Double::doubleValue)
                .sum();
        double sticks = (graphited.contains(position)
                        ? start.stuck().graphited()
                        : start.stuck().dry())
                .value();
        ThrustBand was = band();
        gapMm += riseN
                * setUp.value(Quantity.AFTERLENGTH)
                / there.string().axialStiffnessN()
                * sticks
                * fullN(position)
                / allN;
        if (band().compareTo(was) > 0) {
            consequences.add(
                    new Consequence.Leaned(position, !graphited.contains(position), lean(setUp, gapMm), band()));
        }
    }

    private ThrustBand band() {
        return Thrust.of(setUp, lean(setUp, gapMm)).band();
    }

    private void tellOthers(Position position) {
        Map<Position, Double> moved = new EnumMap<>(Position.class);
        strings.keySet().stream()
                .filter(other -> other != position && before.tensionN(other) > 0 && tensionN(other) > 0)
                .forEach(other -> {
                    double cents = Cents.betweenTensions(before.tensionN(other), tensionN(other))
                            .value();
                    if (Math.abs(cents) >= TOLD_FROM_CENTS) {
                        moved.put(other, cents);
                    }
                });
        if (!moved.isEmpty()) {
            consequences.add(new Consequence.OthersMoved(position, moved));
        }
    }

    private void breakOrPullOut(Position position) {
        PracticeString there = strings.get(position);
        if (there == null) {
            return;
        }
        double tensionN = tensionN(position);
        double breaksAt = there.string().breakingTensionN() * (1 + BREAKING_SPREAD * (2 * luck.nextDouble() - 1));
        if (tensionN > breaksAt) {
            lose(position);
            broken.add(position);
            consequences.add(new Consequence.Broke(position, tensionN));
            return;
        }
        double needed = there.lock()
                .tipMm(
                        setUp.family(),
                        setUp.value(Quantity.SHAFT_DIAMETER),
                        there.string().diameterMm());
        double missing = 1 - there.tipMm() / (SAFE_TIP * needed);
        if (missing > 0 && !slack(position) && luck.nextDouble() < missing) {
            lose(position);
            consequences.add(new Consequence.TipPulledOut(position));
        }
    }

    private void lose(Position position) {
        double lostN = tensionN(position);
        strings.remove(position);
        follow(position, -lostN);
    }

    private void letGo(Position position, PracticeString there) {
        double slips = position.in(pegs) == PegCondition.SLIPS ? SLIPPERY : 1;
        double holdsN = there.grip() * FULL_GRIP_HOLDS * slips * fullN(position);
        double tensionN = tensionN(position);
        strings.put(position, there.held(false));
        if (setUp.pegKind().holdsByFriction() && tensionN > holdsN) {
            double slipMm = (tensionN - holdsN) / stiffnessNPerMm(there.string());
            double degrees = slipMm / mm(1, there.string());
            strings.put(position, there.held(false).turned(Math.max(0, there.turnedDegrees() - degrees)));
            stretch(position, there.stretchMm() - slipMm);
            consequences.add(new Consequence.Slipped(position, degrees));
        }
    }

    private void setAside(Position position, PracticeString there) {
        if (!InstrumentLoad.isAside(tensionN(position), fullN(position))) {
            notPossible(Consequence.Why.STRING_STILL_UNDER_TENSION);
        } else {
            strings.put(position, there.laid(true));
        }
    }

    private void layBack(Position position, PracticeString there) {
        if (!there.aside()) {
            notPossible(Consequence.Why.NOT_SET_ASIDE);
        } else {
            strings.put(position, there.laid(false));
        }
    }

    private void takeOff(Action.TakeOff off, PracticeString there) {
        if (!slack(off.position())) {
            notPossible(Consequence.Why.STRING_STILL_UNDER_TENSION);
            return;
        }
        lose(off.position());
        if (there.hung() && !off.clothUnderBall() && luck.nextDouble() < SCRATCH) {
            scratches++;
            consequences.add(new Consequence.VarnishScratched());
        }
    }

    /** {@return a new string in the hand} */
    private PracticeString inHand(Position position) {
        return new PracticeString(
                position.in(start.strings()), 0, 0, false, false, true, false, false, 0, Lock.FAR_SIDE_THEN_CROSS, 0);
    }

    private void hang(Position position) {
        requireThere(position);
        PracticeString there = strings.getOrDefault(position, inHand(position));
        if (there.hung()) {
            notPossible(Consequence.Why.HANGS_ALREADY);
            return;
        }
        WindingPlan plan = WindingPlan.of(setUp, there.string(), WindingChoice.of(there.lock()));
        if (there.threaded() && there.turnedDegrees() > 360 * plan.beforeHangingTurns()) {
            notPossible(Consequence.Why.TOO_SHORT_TO_HANG);
            return;
        }
        strings.put(position, there.hungAt(there.threaded() ? slackMm(there, there.turnedDegrees()) : 0));
        broken.remove(position);
    }

    private void thread(Action.Thread thread) {
        Position position = thread.position();
        requireThere(position);
        PracticeString there = strings.getOrDefault(position, inHand(position));
        if (there.threaded()) {
            notPossible(Consequence.Why.THREADED_ALREADY);
            return;
        }
        PracticeString locked = there.lockedIn(thread.lock(), thread.tipMm(), 0);
        strings.put(position, locked.stretched(locked.hung() ? slackMm(locked, 0) : 0));
        broken.remove(position);
    }

    /** {@return how much longer it is than slack after so many degrees of its shaft: at pitch after those of its winding plan} */
    private double slackMm(PracticeString there, double turnedDegrees) {
        double missing = PracticeInstrument.toPitchDegrees(setUp, there.string(), there.lock()) - turnedDegrees;
        return setUp.elasticity(there.string()).stretchMm() - mm(missing, there.string());
    }

    private void treat(Action.TreatPeg treat) {
        Position position = treat.position();
        requireThere(position);
        if (!setUp.pegKind().holdsByFriction()) {
            notPossible(Consequence.Why.NO_TAPERED_PEG);
            return;
        }
        if (strings.containsKey(position) && strings.get(position).threaded()) {
            notPossible(Consequence.Why.STRING_ALREADY_THERE);
            return;
        }
        PegCondition was = position.in(pegs);
        PegCondition after = after(was, treat.treatment());
        pegs.put(position, after);
        consequences.add(
                after == PegCondition.FITS ? new Consequence.Cured(position) : new Consequence.NotCured(position));
    }

    /** Compound cures both; what lubricates, or grips, cures one and brings about the other. */
    private static PegCondition after(PegCondition was, PegTreatment treatment) {
        return switch (treatment) {
            case PEG_COMPOUND, REPAIRER -> PegCondition.FITS;
            case LUBRICATING_PASTE, DRY_SOAP -> was == PegCondition.STICKS ? PegCondition.FITS : PegCondition.SLIPS;
            case GRIPPING_DROPS, CHALK -> was == PegCondition.SLIPS ? PegCondition.FITS : PegCondition.STICKS;
            case CLEANED, OIL -> was;
        };
    }

    private void rub(Position position) {
        requireThere(position);
        PracticeString there = strings.get(position);
        if (there != null && !there.aside()) {
            notPossible(Consequence.Why.STRING_STILL_IN_ITS_GROOVE);
        } else {
            graphited.add(position);
        }
    }

    private void holdCard() {
        if (!bridgeStands) {
            notPossible(Consequence.Why.BRIDGE_IS_DOWN);
        } else {
            consequences.add(new Consequence.BridgeSeen(lean(setUp, gapMm), gapMm, band()));
        }
    }

    /** Strings that stick in dry grooves hold the top of the bridge back. */
    private void ease(double degrees) {
        if (!bridgeStands) {
            notPossible(Consequence.Why.BRIDGE_IS_DOWN);
            return;
        }
        long dry = strings.entrySet().stream()
                .filter(entry -> !entry.getValue().aside() && !graphited.contains(entry.getKey()))
                .count();
        double follows = 1 - HELD_BACK * dry / setUp.positions().size();
        double height = setUp.value(Quantity.BRIDGE_HEIGHT);
        double eased = lean(setUp, gapMm).degrees() - degrees * follows;
        gapMm = height * Math.tan(Math.toRadians(Lean.RANGE.clamp(eased)));
    }

    private void stand() {
        if (bridgeStands) {
            notPossible(Consequence.Why.BRIDGE_STANDS);
        } else if (!postStands) {
            notPossible(Consequence.Why.POST_IS_DOWN);
        } else if (strings.values().stream()
                .anyMatch(there -> PracticeInstrument.tensionN(setUp, there)
                        > PracticeInstrument.SLACK * fullN(there.string().position()))) {
            notPossible(Consequence.Why.STRING_STILL_UNDER_TENSION);
        } else {
            bridgeStands = true;
            gapMm = 0;
        }
    }

    private void pluck(Position position) {
        requireThere(position);
        consequences.add(new PracticeInstrument(this)
                .cents(position)
                .<Consequence>map(cents -> new Consequence.Sounded(position, cents.value()))
                .orElseGet(() -> new Consequence.Silent(position)));
    }

    /** Does the bridge stand, does the post? A bridge that was just stood up is held by a hand until strings press it down. */
    private void see(boolean quiet) {
        PracticeInstrument now = new PracticeInstrument(this);
        LoadShares shares = now.shares();
        boolean pressed = now.tensionsN().values().stream().anyMatch(tension -> tension > 0);
        boolean letGo = before.bridgeStands() && !pressed && !isPressed(shares) && isPressed(before.shares());
        if (bridgeStands && (band() == ThrustBand.FALLING || letGo)) {
            bridgeStands = false;
            consequences.add(new Consequence.BridgeFell());
        }
        double held = Math.max(0, shares.treble() / start.bands().thinFrom());
        boolean fell = before.bridgeStands() && !bridgeStands;
        double falls = fell ? FALLS_WITH_BRIDGE : bridgeStands ? (1 - held) * FALLS_WHEN_UNLOADED : FALLS_LATER;
        if (postStands && (fell || !quiet) && falls > 0 && luck.nextDouble() < falls) {
            postStands = false;
            consequences.add(new Consequence.PostFell());
        }
    }

    private static boolean isPressed(LoadShares shares) {
        return shares.bass() + shares.treble() >= BRIDGE_HELD_FROM;
    }
}
