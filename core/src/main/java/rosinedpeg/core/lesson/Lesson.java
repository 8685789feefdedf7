package rosinedpeg.core.lesson;

import static java.util.Objects.requireNonNull;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.function.Predicate;
import java.util.stream.IntStream;
import java.util.stream.LongStream;
import rosinedpeg.core.bridge.ThrustBand;
import rosinedpeg.core.clearance.StrungPegbox;
import rosinedpeg.core.plan.PegCondition;
import rosinedpeg.core.setup.SetUp;
import rosinedpeg.core.simulation.Action;
import rosinedpeg.core.simulation.PracticeInstrument;
import rosinedpeg.core.simulation.PracticeLedger;
import rosinedpeg.core.simulation.PracticeStart;
import rosinedpeg.core.simulation.PracticeString;
import rosinedpeg.core.strings.Position;

/**
 * A lesson, done by hands: how the instrument is when it begins, and what it has to be like at the end. They stand in the order in which
 * people learn. That nothing goes wrong on the way is no part of the end; it says how well the lesson went.
 */
public enum Lesson {
    /** A peg that was turned back holds nothing until it is pushed in. */
    TURN_AND_PUSH {
        @Override
        List<Action> before(PracticeStart start) {
            return List.of(
                    new Action.TurnPeg(SECOND, -FAR_BACK, false, true),
                    new Action.TurnPeg(SECOND, LITTLE, false, true));
        }

        @Override
        boolean isReached(Attempted attempted) {
            return attempted.holds(SECOND);
        }
    },
    /** The last of it is done by ear: pluck, turn a little, pluck. */
    LISTEN {
        @Override
        List<Action> before(PracticeStart start) {
            return List.of(new Action.TurnPeg(THIRD, -LITTLE, false, true));
        }

        @Override
        boolean isReached(Attempted attempted) {
            return attempted.now().isInTune(THIRD)
                    && attempted.did(action -> action instanceof Action.Pluck pluck && pluck.position() == THIRD);
        }
    },
    /** A string comes off without a scratch: slack first, something under its ball. */
    TAKE_OFF {
        @Override
        boolean isReached(Attempted attempted) {
            return !attempted.now().strings().containsKey(LOWEST);
        }
    },
    /** A new string goes on, its turns side by side, its tip trapped. */
    WIND {
        @Override
        List<Action> before(PracticeStart start) {
            return BestHands.takeOff(LOWEST);
        }

        @Override
        boolean isReached(Attempted attempted) {
            return attempted.holds(LOWEST);
        }
    },
    /** A bridge that leans is eased back, with a card beside it. */
    EASE_THE_BRIDGE {
        @Override
        List<Action> before(PracticeStart start) {
            return List.of(new Action.EaseBridge(-EASED), new Action.EaseBridge(-EASED));
        }

        @Override
        boolean isReached(Attempted attempted) {
            return attempted.now().bridgeStands()
                    && attempted.now().thrust().band() == ThrustBand.UPRIGHT
                    && attempted.did(Action.HoldCard.class::isInstance);
        }
    },
    /** Graphite goes in while the string lies beside its grooves. */
    GRAPHITE {
        @Override
        boolean isReached(Attempted attempted) {
            return attempted.now().graphited().contains(THIRD) && attempted.holds(THIRD);
        }
    },
    /** What lies over a peg makes way before its string comes off. */
    MAKE_WAY {
        @Override
        boolean isReached(Attempted attempted) {
            Position covered = covered(attempted.now().start());
            Map<Position, PracticeString> strings = attempted.now().strings();
            return !strings.containsKey(covered)
                    && covering(attempted.now().start(), covered).stream()
                            .allMatch(over -> strings.containsKey(over)
                                    && over.in(strings).aside());
        }
    },
    /** A peg that sticks: which remedy? */
    PEG_THAT_STICKS {
        @Override
        PracticeStart start(PracticeStart start) {
            return start.with(Map.of(SECOND, PegCondition.STICKS));
        }

        @Override
        boolean isReached(Attempted attempted) {
            return attempted.cured(SECOND);
        }
    },
    /** A peg that slips: which remedy? */
    PEG_THAT_SLIPS {
        @Override
        PracticeStart start(PracticeStart start) {
            return start.with(Map.of(THIRD, PegCondition.SLIPS));
        }

        @Override
        boolean isReached(Attempted attempted) {
            return attempted.cured(THIRD);
        }
    },
    /** Rounds: what rises lets the others sink. */
    ROUNDS {
        @Override
        List<Action> before(PracticeStart start) {
            return start.setUp().positions().stream()
                    .map(position -> (Action) new Action.TurnPeg(position, -LITTLE, false, true))
                    .toList();
        }

        @Override
        boolean isReached(Attempted attempted) {
            return attempted.now().isInTune();
        }
    },
    /** A whole set, the post held all the way. */
    WHOLE_SET {
        @Override
        boolean isReached(Attempted attempted) {
            return attempted.now().isInTune()
                    && attempted.now().start().setUp().positions().stream().allMatch(attempted::isNew)
                    && attempted.moments().stream()
                            .allMatch(moment -> moment.after().shares().treble()
                                    >= attempted.now().start().bands().lightFrom());
        }
    },
    /** The bridge is down: under slack strings it is stood up, and they come up in rounds. */
    BRIDGE_DOWN {
        @Override
        List<Action> before(PracticeStart start) {
            List<Action> fallen = new ArrayList<>();
            for (int times = 0; times < MOST_EASINGS; times++) {
                fallen.add(new Action.EaseBridge(-EASED));
            }
            return fallen;
        }

        @Override
        boolean isReached(Attempted attempted) {
            return attempted.now().bridgeStands() && attempted.now().isInTune();
        }
    };

    private static final Set<Lesson> OF_TAPERED_PEGS = EnumSet.of(TURN_AND_PUSH, PEG_THAT_STICKS, PEG_THAT_SLIPS);
    private static final Position SECOND = Position.II;
    private static final Position THIRD = Position.III;
    private static final Position LOWEST = Position.IV;
    private static final double FAR_BACK = 700;
    private static final double LITTLE = 20;
    private static final double EASED = 3;
    private static final int MOST_EASINGS = 5;
    /** Luck that lets a lesson begin as it is meant to is looked for among so many seeds. */
    private static final int MOST_SEEDS = 60;

    /** {@return whether it can be done on such an instrument: machines and geared pegs neither stick nor slip, and are not pushed in} */
    public boolean suits(SetUp setUp) {
        return setUp.pegKind().holdsByFriction() || !OF_TAPERED_PEGS.contains(this);
    }

    /** {@return the string it is about; empty where it is about all of them, or about the bridge} */
    public Optional<Position> string(PracticeStart start) {
        requireNonNull(start, "start");
        return switch (this) {
            case TURN_AND_PUSH, PEG_THAT_STICKS -> Optional.of(SECOND);
            case LISTEN, GRAPHITE, PEG_THAT_SLIPS -> Optional.of(THIRD);
            case TAKE_OFF, WIND -> Optional.of(LOWEST);
            case MAKE_WAY -> Optional.of(covered(start));
            case EASE_THE_BRIDGE, ROUNDS, WHOLE_SET, BRIDGE_DOWN -> Optional.empty();
        };
    }

    /** {@return the instrument it begins with, before what was done to it beforehand} */
    PracticeStart start(PracticeStart start) {
        return start;
    }

    /** {@return what was done to it before anybody begins} */
    List<Action> before(PracticeStart start) {
        return List.of();
    }

    abstract boolean isReached(Attempted attempted);

    /**
     * How it begins.
     *
     * @param start an instrument as it is, with the seed its luck begins at
     * @return the ledger with what was done to the instrument beforehand, and with luck by which good hands do it cleanly; empty where
     *     no luck lets them, as on an instrument whose bridge leans too far already
     */
    public Optional<PracticeLedger> begin(PracticeStart start) {
        requireNonNull(start, "start");
        return LongStream.range(0, MOST_SEEDS)
                .mapToObj(more -> begun(start.withSeed(start.seed() + more)))
                .filter(this::isFair)
                .findFirst();
    }

    private PracticeLedger begun(PracticeStart start) {
        PracticeStart own = start(start);
        return new PracticeLedger(own, before(own));
    }

    private boolean isFair(PracticeLedger begun) {
        if (this != BRIDGE_DOWN && !begun.now().bridgeStands()) {
            return false;
        }
        List<Action> all = new ArrayList<>(begun.actions());
        all.addAll(BestHands.of(this, begun));
        return progress(new PracticeLedger(begun.start(), all)).clean();
    }

    /**
     * How it goes.
     *
     * @param ledger an attempt that began with {@link #begin}
     * @return whether it is done, and what went wrong on the way
     */
    public Progress progress(PracticeLedger ledger) {
        requireNonNull(ledger, "ledger");
        return progress(ledger.start(), ledger.replay());
    }

    /**
     * How it goes.
     *
     * @param start what an attempt that was begun with {@link #begin} starts with
     * @param moments all that was done in it, beforehand too
     * @return whether it is done, and what went wrong on the way
     */
    public Progress progress(PracticeStart start, List<PracticeLedger.Moment> moments) {
        requireNonNull(start, "start");
        int beforehand = Math.min(before(start).size(), moments.size());
        List<PracticeLedger.Moment> own = moments.subList(beforehand, moments.size());
        PracticeInstrument now = moments.isEmpty()
                ? PracticeInstrument.of(start)
                : moments.get(moments.size() - 1).after();
        OptionalInt wrong = IntStream.range(0, own.size())
                .filter(at -> own.get(at).harmed())
                .map(at -> at + beforehand + 1)
                .findFirst();
        return new Progress(
                !own.isEmpty() && now.postStands() && now.broken().isEmpty() && isReached(new Attempted(own, now)),
                wrong,
                beforehand,
                own.size());
    }

    /**
     * How a lesson goes.
     *
     * @param reached whether what was asked is there
     * @param wrong which moment of the ledger first went wrong, counted from 1; empty where none did
     * @param beforehand how many moments of the ledger were there before anybody began
     * @param actions how much was done since
     */
    public record Progress(boolean reached, OptionalInt wrong, int beforehand, int actions) {

        /** Checks that it is said. */
        public Progress {
            requireNonNull(wrong, "wrong");
        }

        /** {@return whether it is done, and nothing went wrong on the way} */
        public boolean clean() {
            return reached && wrong.isEmpty();
        }
    }

    /** {@return the string whose peg most others lie over; the lower of two} */
    static Position covered(PracticeStart start) {
        return start.setUp().positions().stream()
                .max(Comparator.comparing(
                                (Position position) -> covering(start, position).size())
                        .thenComparing(position -> position))
                .orElseThrow();
    }

    /** {@return the strings that lie over the peg of one} */
    static Set<Position> covering(PracticeStart start, Position position) {
        Set<Position> covering = EnumSet.noneOf(Position.class);
        covering.addAll(new StrungPegbox(start.setUp(), start.strings(), Map.of()).coveredBy(position));
        return covering;
    }

    /**
     * What somebody did.
     *
     * @param moments what was done since the lesson began
     * @param now the instrument as it is
     */
    record Attempted(List<PracticeLedger.Moment> moments, PracticeInstrument now) {

        /** At its pitch, and the hand is off its peg, or that has gears. */
        boolean holds(Position position) {
            return now.isInTune(position)
                    && (!now.start().setUp().pegKind().holdsByFriction()
                            || !position.in(now.strings()).held());
        }

        /** Its peg turns as it should, and it holds. */
        boolean cured(Position position) {
            return now.pegs().get(position) == PegCondition.FITS && holds(position);
        }

        boolean did(Predicate<Action> what) {
            return moments.stream().map(PracticeLedger.Moment::action).anyMatch(what);
        }

        boolean isNew(Position position) {
            return did(action -> action instanceof Action.TakeOff off && off.position() == position)
                    && did(action -> action instanceof Action.Thread thread && thread.position() == position);
        }
    }
}
