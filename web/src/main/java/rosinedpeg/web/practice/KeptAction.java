package rosinedpeg.web.practice;

import org.jspecify.annotations.Nullable;
import rosinedpeg.core.pegs.PegTreatment;
import rosinedpeg.core.simulation.Action;
import rosinedpeg.core.strings.Position;
import rosinedpeg.core.winding.Lock;
import rosinedpeg.web.platform.KeptNames;

/**
 * The form an action is kept in, and is read from a file in.
 *
 * @param does what is done
 * @param string to which string; null where it is the bridge
 * @param degrees how far something is turned or eased
 * @param pushing whether a peg is pushed while it is turned
 * @param guiding whether the string is guided meanwhile
 * @param cloth whether something lies under its ball
 * @param lock how its tip is held
 * @param tipMm what stands out beyond the hole, in mm
 * @param treatment what a peg is treated with
 */
record KeptAction(
        Does does,
        @Nullable String string,
        @Nullable Double degrees,
        @Nullable Boolean pushing,
        @Nullable Boolean guiding,
        @Nullable Boolean cloth,
        @Nullable String lock,
        @Nullable Double tipMm,
        @Nullable String treatment) {

    private static KeptAction plain(Does does, @Nullable Position position) {
        return new KeptAction(
                does, position == null ? null : position.name(), null, null, null, null, null, null, null);
    }

    /** {@return an action as it is kept} */
    static KeptAction of(Action action) {
        if (action instanceof Action.TurnPeg turn) {
            return new KeptAction(
                    Does.TURN,
                    turn.position().name(),
                    turn.degrees(),
                    turn.pushing(),
                    turn.guiding(),
                    null,
                    null,
                    null,
                    null);
        } else if (action instanceof Action.Push push) {
            return plain(Does.PUSH, push.position());
        } else if (action instanceof Action.LetGo letGo) {
            return plain(Does.LET_GO, letGo.position());
        } else if (action instanceof Action.SetAside aside) {
            return plain(Does.SET_ASIDE, aside.position());
        } else if (action instanceof Action.LayBack back) {
            return plain(Does.LAY_BACK, back.position());
        } else if (action instanceof Action.TakeOff off) {
            return new KeptAction(
                    Does.TAKE_OFF, off.position().name(), null, null, null, off.clothUnderBall(), null, null, null);
        } else if (action instanceof Action.Hang hang) {
            return plain(Does.HANG, hang.position());
        } else if (action instanceof Action.Thread thread) {
            return new KeptAction(
                    Does.THREAD,
                    thread.position().name(),
                    null,
                    null,
                    null,
                    null,
                    thread.lock().name(),
                    thread.tipMm(),
                    null);
        } else if (action instanceof Action.TreatPeg treat) {
            return new KeptAction(
                    Does.TREAT,
                    treat.position().name(),
                    null,
                    null,
                    null,
                    null,
                    null,
                    null,
                    treat.treatment().name());
        } else if (action instanceof Action.RubGraphite rub) {
            return plain(Does.GRAPHITE, rub.position());
        } else if (action instanceof Action.HoldCard) {
            return plain(Does.CARD, null);
        } else if (action instanceof Action.EaseBridge ease) {
            return new KeptAction(Does.EASE, null, ease.degrees(), null, null, null, null, null, null);
        } else if (action instanceof Action.StandBridge) {
            return plain(Does.STAND, null);
        }
        return plain(Does.PLUCK, ((Action.Pluck) action).position());
    }

    /**
     * The action that was kept so.
     *
     * @throws IllegalArgumentException when something of it is missing, not known, or outside its range
     */
    Action action() {
        return switch (does) {
            case TURN ->
                new Action.TurnPeg(
                        position(),
                        there("degrees", degrees),
                        Boolean.TRUE.equals(pushing),
                        Boolean.TRUE.equals(guiding));
            case PUSH -> new Action.Push(position());
            case LET_GO -> new Action.LetGo(position());
            case SET_ASIDE -> new Action.SetAside(position());
            case LAY_BACK -> new Action.LayBack(position());
            case TAKE_OFF -> new Action.TakeOff(position(), Boolean.TRUE.equals(cloth));
            case HANG -> new Action.Hang(position());
            case THREAD ->
                new Action.Thread(position(), KeptNames.of(Lock.class, there("lock", lock)), there("tipMm", tipMm));
            case TREAT ->
                new Action.TreatPeg(position(), KeptNames.of(PegTreatment.class, there("treatment", treatment)));
            case GRAPHITE -> new Action.RubGraphite(position());
            case CARD -> new Action.HoldCard();
            case EASE -> new Action.EaseBridge(there("degrees", degrees));
            case STAND -> new Action.StandBridge();
            case PLUCK -> new Action.Pluck(position());
        };
    }

    private Position position() {
        return KeptNames.of(Position.class, there("string", string));
    }

    private static <T> T there(String name, @Nullable T value) {
        if (value == null) {
            throw new IllegalArgumentException(name + " is missing");
        }
        return value;
    }
}
