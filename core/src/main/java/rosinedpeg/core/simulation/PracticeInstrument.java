package rosinedpeg.core.simulation;

import static java.util.Objects.requireNonNull;

import java.util.ArrayList;
import java.util.Collections;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.SplittableRandom;
import java.util.function.Consumer;
import rosinedpeg.core.bridge.Drag;
import rosinedpeg.core.bridge.Lean;
import rosinedpeg.core.bridge.Thrust;
import rosinedpeg.core.load.InstrumentLoad;
import rosinedpeg.core.load.LoadBands;
import rosinedpeg.core.load.LoadShares;
import rosinedpeg.core.rounds.Coupling;
import rosinedpeg.core.setup.Quantity;
import rosinedpeg.core.setup.SetUp;
import rosinedpeg.core.strings.Elasticity;
import rosinedpeg.core.strings.Position;
import rosinedpeg.core.strings.StringSpec;
import rosinedpeg.core.winding.Lock;

/**
 * An instrument to practise on, at one moment. An action makes a new one of it; the same seed and the same actions always
 * lead to the same end.
 *
 * <p>Strings stretch by Hooke's law and are coupled through body and neck; a string that sticks in its groove drags the
 * bridge; a peg holds as much as it was pushed in for; what the feet carry decides whether the post stays. Where luck
 * decides in a workshop (a tip that is barely long enough, a post with little load, a bare ball over varnish) a seeded
 * draw decides here. The chances and grips are guesses of our own, meant to teach, not measured.
 */
public final class PracticeInstrument {

    /** A peg that is pushed well in holds this many times the string's own tension. */
    private static final double FULL_GRIP_HOLDS = 1.6;
    /** How much firmer one push seats a peg. */
    private static final double PUSH = 0.35;
    /** Grip a peg loses when it is turned back half a turn. */
    private static final double LOOSENED = 0.3;
    /** A tip that is shorter than this share of what its lock needs may pull out. */
    private static final double SAFE_TIP = 0.75;
    /** Chance that a bare ball scratches the varnish. */
    private static final double SCRATCH = 0.5;
    /** Chance that a post falls at an action while nothing at all holds it. */
    private static final double FALLS_WHEN_UNLOADED = 0.5;
    /** How far above or below its default breaking tension a string breaks. */
    private static final double BREAKING_SPREAD = 0.05;
    /** A string below this share of its tension can be taken off or touched up without springing away. */
    private static final double SLACK = 0.05;

    private final SetUp setUp;
    private final Map<Position, PracticeString> strings;
    private final Map<Position, StringSpec> atFirst;
    private final double leanDegrees;
    private final boolean bridgeStands;
    private final boolean postStands;
    private final int scratches;
    private final Set<Position> broken;
    private final Set<Position> graphited;
    private final long seed;
    private final int actions;

    private PracticeInstrument(Builder builder) {
        this.setUp = builder.setUp;
        this.atFirst = builder.atFirst;
        this.strings = Collections.unmodifiableMap(new EnumMap<>(builder.strings));
        this.leanDegrees = builder.leanDegrees;
        this.bridgeStands = builder.bridgeStands;
        this.postStands = builder.postStands;
        this.scratches = builder.scratches;
        this.broken = Set.copyOf(builder.broken);
        this.graphited = Set.copyOf(builder.graphited);
        this.seed = builder.seed;
        this.actions = builder.actions;
    }

    /**
     * A strung instrument, at pitch, its bridge upright, its pegs well seated and its grooves dry.
     *
     * @param setUp the instrument
     * @param strings a string for every position
     * @param seed decides what luck decides
     * @return the instrument
     * @throws IllegalArgumentException when a position has no string
     */
    public static PracticeInstrument strung(SetUp setUp, Map<Position, StringSpec> strings, long seed) {
        requireNonNull(setUp, "setUp");
        if (!strings.keySet().containsAll(setUp.positions())) {
            throw new IllegalArgumentException(
                    "strings are at " + strings.keySet() + "; there must be one at each of " + setUp.positions());
        }
        Builder builder = new Builder(setUp, Map.copyOf(strings), seed);
        strings.forEach((position, string) -> builder.strings.put(
                position,
                new PracticeString(
                        string, setUp.elasticity(string).stretchMm(), false, false, 1, Lock.FAR_SIDE_THEN_CROSS, 12)));
        return new PracticeInstrument(builder);
    }

    /** {@return the strings that are there} */
    public Map<Position, PracticeString> strings() {
        return strings;
    }

    /** {@return the tension of a string, 0 N when it is slack or off} */
    public double tensionN(Position position) {
        requireNonNull(position, "position");
        PracticeString there = strings.get(position);
        if (there == null || !bridgeStands) {
            return 0;
        }
        Elasticity elasticity = setUp.elasticity(there.string());
        return Math.max(0, there.stretchMm() * elasticity.axialStiffnessN() / elasticity.freeLengthMm());
    }

    /** {@return the load left on the feet, as a share of that with the first strings at pitch} */
    public LoadShares shares() {
        Map<Position, Double> now = new EnumMap<>(Position.class);
        setUp.positions().forEach(position -> now.put(position, tensionN(position)));
        return new InstrumentLoad(setUp, setUp.tensionsN(atFirst)).shares(now);
    }

    /** {@return how the bridge leans} */
    public Lean lean() {
        return new Lean(Lean.RANGE.clamp(leanDegrees));
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

    /** {@return the strings that have broken} */
    public Set<Position> broken() {
        return broken;
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
        return new Doing(this).act(action);
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
            requireNonNull(consequences, "consequences");
        }
    }

    /** A practice instrument that is being changed. */
    private static final class Builder {
        private final SetUp setUp;
        private final Map<Position, StringSpec> atFirst;
        private final Map<Position, PracticeString> strings = new EnumMap<>(Position.class);
        private final Set<Position> broken = EnumSet.noneOf(Position.class);
        private final Set<Position> graphited = EnumSet.noneOf(Position.class);
        private final long seed;
        private double leanDegrees;
        private boolean bridgeStands = true;
        private boolean postStands = true;
        private int scratches;
        private int actions;

        private Builder(SetUp setUp, Map<Position, StringSpec> atFirst, long seed) {
            this.setUp = setUp;
            this.atFirst = atFirst;
            this.seed = seed;
        }

        private Builder(PracticeInstrument from) {
            this(from.setUp, from.atFirst, from.seed);
            strings.putAll(from.strings);
            broken.addAll(from.broken);
            graphited.addAll(from.graphited);
            leanDegrees = from.leanDegrees;
            bridgeStands = from.bridgeStands;
            postStands = from.postStands;
            scratches = from.scratches;
            actions = from.actions + 1;
        }
    }

    /** One action being carried out. */
    private static final class Doing {

        private final Builder now;
        private final SetUp setUp;
        private final Coupling coupling;
        private final SplittableRandom luck;
        private final List<Consequence> consequences = new ArrayList<>();

        private Doing(PracticeInstrument before) {
            this.now = new Builder(before);
            this.setUp = before.setUp;
            this.coupling = Coupling.usual(setUp.family());
            this.luck = new SplittableRandom(before.seed * 1_000_003 + now.actions);
        }

        private Outcome act(Action action) {
            if (action instanceof Action.TurnPeg turn) {
                withString(turn.position(), there -> turn(turn.position(), there, turn.degrees()));
            } else if (action instanceof Action.Push push) {
                withString(
                        push.position(),
                        there -> now.strings.put(
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
            } else if (action instanceof Action.Thread thread) {
                thread(thread);
            } else if (action instanceof Action.RubGraphite rub) {
                rub(rub.position());
            } else if (action instanceof Action.EaseBridge ease) {
                ease(ease.degrees());
            } else if (action instanceof Action.Pluck pluck) {
                pluck(pluck.position());
            }
            see();
            return new Outcome(new PracticeInstrument(now), List.copyOf(consequences));
        }

        private void withString(Position position, Consumer<PracticeString> act) {
            requireThere(position);
            PracticeString there = now.strings.get(position);
            if (there == null) {
                notPossible(Consequence.Why.NO_STRING_THERE);
            } else {
                act.accept(there);
            }
        }

        private void requireThere(Position position) {
            if (!setUp.positions().contains(position)) {
                throw new IllegalArgumentException(
                        "position is " + position + "; it must be one of " + setUp.positions());
            }
        }

        private void notPossible(Consequence.Why why) {
            consequences.add(new Consequence.NotPossible(why));
        }

        private double tensionN(Position position) {
            return new PracticeInstrument(now).tensionN(position);
        }

        private double targetN(PracticeString there) {
            return setUp.tensionN(there.string());
        }

        private double stiffnessNPerMm(PracticeString there) {
            Elasticity elasticity = setUp.elasticity(there.string());
            return elasticity.axialStiffnessN() / elasticity.freeLengthMm();
        }

        private void turn(Position position, PracticeString there, double degrees) {
            if (!now.bridgeStands) {
                notPossible(Consequence.Why.BRIDGE_IS_DOWN);
                return;
            }
            double drawnMm = Math.toRadians(degrees)
                    * (setUp.value(Quantity.SHAFT_DIAMETER) + there.string().diameterMm())
                    / 2;
            double grip = degrees < 0 ? Math.max(0, there.grip() + LOOSENED * degrees / 180) : there.grip();
            now.strings.put(position, there.held(true).gripped(grip));
            stretch(position, there.stretchMm() + drawnMm);
            breakOrPullOut(position);
        }

        /** Gives a string another stretch; the others and the bridge follow. */
        private void stretch(Position position, double stretchMm) {
            double beforeN = tensionN(position);
            now.strings.computeIfPresent(position, (p, there) -> there.stretched(stretchMm));
            double riseN = tensionN(position) - beforeN;
            follow(position, riseN);
            PracticeString there = now.strings.get(position);
            if (there != null && riseN != 0) {
                drag(there, riseN);
            }
        }

        private void follow(Position position, double riseN) {
            now.strings.replaceAll((other, string) -> other == position || tensionN(other) == 0
                    ? string
                    : string.stretched(string.stretchMm() - coupling.mmPerN() * riseN));
        }

        private void drag(PracticeString there, double riseN) {
            double wholeN =
                    now.strings.keySet().stream().mapToDouble(this::tensionN).sum();
            double share = wholeN == 0
                    ? 0
                    : Math.min(1, Math.max(tensionN(there.string().position()), 0) / wholeN);
            double degrees = Drag.lean(
                            Math.abs(riseN),
                            there.string().axialStiffnessN(),
                            setUp.value(Quantity.AFTERLENGTH),
                            now.graphited.contains(there.string().position()) ? Drag.GRAPHITED : Drag.DRY,
                            share,
                            setUp.value(Quantity.BRIDGE_HEIGHT))
                    .degrees();
            now.leanDegrees += Math.signum(riseN) * degrees;
        }

        private void breakOrPullOut(Position position) {
            PracticeString there = position.in(now.strings);
            double tensionN = tensionN(position);
            double breaksAt = there.string().breakingTensionN() * (1 + BREAKING_SPREAD * (2 * luck.nextDouble() - 1));
            if (tensionN > breaksAt) {
                lose(position);
                now.broken.add(position);
                consequences.add(new Consequence.Broke(position, tensionN));
                return;
            }
            double needed = there.lock()
                    .tipMm(
                            setUp.family(),
                            setUp.value(Quantity.SHAFT_DIAMETER),
                            there.string().diameterMm());
            double missing = 1 - there.tipMm() / (SAFE_TIP * needed);
            if (missing > 0 && tensionN > SLACK * targetN(there) && luck.nextDouble() < missing) {
                lose(position);
                consequences.add(new Consequence.TipPulledOut(position));
            }
        }

        private void lose(Position position) {
            double lostN = tensionN(position);
            now.strings.remove(position);
            follow(position, -lostN);
        }

        private void letGo(Position position, PracticeString there) {
            double holdsN = there.grip() * FULL_GRIP_HOLDS * targetN(there);
            double tensionN = tensionN(position);
            now.strings.put(position, there.held(false));
            if (setUp.pegKind().holdsByFriction() && tensionN > holdsN) {
                double slipMm = (tensionN - holdsN) / stiffnessNPerMm(there);
                stretch(position, there.stretchMm() - slipMm);
                double perDegree = Math.toRadians(1)
                        * (setUp.value(Quantity.SHAFT_DIAMETER) + there.string().diameterMm())
                        / 2;
                consequences.add(new Consequence.Slipped(position, slipMm / perDegree));
            }
        }

        private void setAside(Position position, PracticeString there) {
            now.strings.put(position, there.laid(true, there.stretchMm()));
            stretch(position, Math.min(there.stretchMm(), InstrumentLoad.SET_ASIDE * atPitchMm(there)));
        }

        private void layBack(Position position, PracticeString there) {
            if (!there.aside()) {
                notPossible(Consequence.Why.NOT_SET_ASIDE);
                return;
            }
            now.strings.put(position, there.laid(false, there.stretchMm()));
            stretch(position, atPitchMm(there));
        }

        private double atPitchMm(PracticeString there) {
            return setUp.elasticity(there.string()).stretchMm();
        }

        private void takeOff(Action.TakeOff off, PracticeString there) {
            if (tensionN(off.position()) > SLACK * targetN(there)) {
                notPossible(Consequence.Why.STRING_STILL_UNDER_TENSION);
                return;
            }
            lose(off.position());
            if (!off.clothUnderBall() && luck.nextDouble() < SCRATCH) {
                now.scratches++;
                consequences.add(new Consequence.VarnishScratched());
            }
        }

        private void thread(Action.Thread thread) {
            Position position = thread.string().position();
            requireThere(position);
            if (now.strings.containsKey(position)) {
                notPossible(Consequence.Why.STRING_ALREADY_THERE);
                return;
            }
            now.broken.remove(position);
            now.strings.put(
                    position, new PracticeString(thread.string(), 0, false, true, 0, thread.lock(), thread.tipMm()));
        }

        private void rub(Position position) {
            requireThere(position);
            PracticeString there = now.strings.get(position);
            if (there != null && !there.aside() && tensionN(position) > SLACK * targetN(there)) {
                notPossible(Consequence.Why.STRING_STILL_IN_ITS_GROOVE);
            } else {
                now.graphited.add(position);
            }
        }

        /** Strings that stick in dry grooves hold the top of the bridge back. */
        private void ease(double degrees) {
            if (!now.bridgeStands) {
                notPossible(Consequence.Why.BRIDGE_IS_DOWN);
                return;
            }
            long dry = now.strings.keySet().stream()
                    .filter(position -> !now.graphited.contains(position))
                    .count();
            double follows = 1 - 0.5 * dry / setUp.positions().size();
            now.leanDegrees -= degrees * follows;
        }

        private void pluck(Position position) {
            requireThere(position);
            PracticeString there = now.strings.get(position);
            double tensionN = tensionN(position);
            if (there == null || there.aside() || tensionN < SLACK * targetN(there)) {
                consequences.add(new Consequence.Silent(position));
            } else {
                consequences.add(
                        new Consequence.Sounded(position, 600 * Math.log(tensionN / targetN(there)) / Math.log(2)));
            }
        }

        /** Does the bridge stand, does the post? */
        private void see() {
            if (now.bridgeStands
                    && Thrust.of(setUp, new Lean(Lean.RANGE.clamp(now.leanDegrees)))
                                    .margin()
                            < 0) {
                now.bridgeStands = false;
                consequences.add(new Consequence.BridgeFell());
            }
            double held = new PracticeInstrument(now).shares().treble() / LoadBands.USUAL.thinFrom();
            if (now.postStands && held < 1 && luck.nextDouble() < (1 - Math.max(0, held)) * FALLS_WHEN_UNLOADED) {
                now.postStands = false;
                consequences.add(new Consequence.PostFell());
            }
        }
    }
}
