package rosinedpeg.web.practice;

import java.util.Optional;
import java.util.OptionalDouble;
import org.jspecify.annotations.Nullable;
import org.springframework.validation.BindingResult;
import rosinedpeg.core.figure.Range;
import rosinedpeg.core.pegs.PegTreatment;
import rosinedpeg.core.simulation.Action;
import rosinedpeg.core.simulation.PracticeInstrument;
import rosinedpeg.core.strings.Position;
import rosinedpeg.core.winding.Lock;
import rosinedpeg.web.platform.Entry;

/**
 * Something that is done to a practice instrument, as it was pressed.
 *
 * @param press the press
 * @param does what
 * @param string the string in hand
 * @param turn how far its peg is turned, in degrees; empty where something else is done
 * @param ease how far the bridge is eased, in degrees; empty where something else is done
 * @param pushing whether the peg is pushed meanwhile
 * @param guiding whether the string is guided meanwhile
 * @param cloth whether something lies under its ball
 * @param lock how its tip is held
 * @param tip what stands out, in mm
 * @param treatment what a peg is treated with
 */
record ActForm(
        String press,
        @Nullable Does does,
        @Nullable Position string,
        String turn,
        String ease,
        Boolean pushing,
        Boolean guiding,
        Boolean cloth,
        @Nullable Lock lock,
        String tip,
        @Nullable PegTreatment treatment) {

    /** What is not sent is empty. */
    ActForm {
        press = Entry.orEmpty(press);
        turn = Entry.orEmpty(turn);
        ease = Entry.orEmpty(ease);
        tip = Entry.orEmpty(tip);
        pushing = Boolean.TRUE.equals(pushing);
        guiding = Boolean.TRUE.equals(guiding);
        cloth = Boolean.TRUE.equals(cloth);
    }

    /** {@return a form with a string in hand, both hands at work} */
    static ActForm inHand(Position string, String tip) {
        return new ActForm("", null, string, "", "", true, true, true, Lock.FAR_SIDE_THEN_CROSS, tip, null);
    }

    /** {@return what is done; empty, with what is wrong, where that cannot be} */
    Optional<Action> read(BindingResult result, PracticeInstrument now) {
        Does what = what();
        if (what == null || string == null || !now.start().setUp().positions().contains(string)) {
            result.rejectValue("does", "practice.does.missing");
            return Optional.empty();
        }
        Position position = string;
        return switch (what) {
            case TURN ->
                number(result, "turn", turn, Action.TURN)
                        .map(angle -> new Action.TurnPeg(position, angle, pushing, guiding));
            case PUSH -> Optional.of(new Action.Push(position));
            case LET_GO -> Optional.of(new Action.LetGo(position));
            case SET_ASIDE -> Optional.of(new Action.SetAside(position));
            case LAY_BACK -> Optional.of(new Action.LayBack(position));
            case TAKE_OFF -> Optional.of(new Action.TakeOff(position, cloth));
            case HANG -> Optional.of(new Action.Hang(position));
            case THREAD ->
                number(result, "tip", tip, Action.TIP)
                        .map(out -> new Action.Thread(position, lock == null ? Lock.FAR_SIDE_THEN_CROSS : lock, out));
            case TREAT ->
                Optional.of(new Action.TreatPeg(position, treatment == null ? PegTreatment.CLEANED : treatment));
            case GRAPHITE -> Optional.of(new Action.RubGraphite(position));
            case CARD -> Optional.of(new Action.HoldCard());
            case EASE -> number(result, "ease", ease, Action.EASE).map(Action.EaseBridge::new);
            case STAND -> Optional.of(new Action.StandBridge());
            case PLUCK -> Optional.of(new Action.Pluck(position));
        };
    }

    private @Nullable Does what() {
        if (!turn.isBlank()) {
            return Does.TURN;
        }
        return ease.isBlank() ? does : Does.EASE;
    }

    /** {@return the same with another string in hand, whose tip usually stands out so far} */
    ActForm holding(Position position, String usualTip) {
        return new ActForm(
                press,
                null,
                position,
                "",
                "",
                pushing,
                guiding,
                cloth,
                lock == null ? Lock.FAR_SIDE_THEN_CROSS : lock,
                tip.isBlank() || position != string ? usualTip : tip,
                treatment);
    }

    private static Optional<Double> number(BindingResult result, String field, String text, Range range) {
        OptionalDouble number = Entry.number(result, field, text, range);
        return number.isPresent() ? Optional.of(number.getAsDouble()) : Optional.empty();
    }
}
