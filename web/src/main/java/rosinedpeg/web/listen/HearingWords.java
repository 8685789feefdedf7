package rosinedpeg.web.listen;

import java.util.Locale;
import java.util.Optional;
import org.springframework.stereotype.Component;
import rosinedpeg.core.bench.PitchJudgement;
import rosinedpeg.core.hearing.HandsFree;
import rosinedpeg.core.hearing.Hearing;
import rosinedpeg.core.pitch.Cents;
import rosinedpeg.core.rounds.PegTurn;
import rosinedpeg.core.strings.Position;
import rosinedpeg.web.drawing.HeardDrawing;
import rosinedpeg.web.platform.Say;
import rosinedpeg.web.platform.Words;

/** Says what is heard, short enough to be read from where the hands are. */
@Component
public class HearingWords {

    private static final int SHOWN_WHOLE = 10;
    private static final int PERCENT = 100;

    private final Words words;
    private final Say say;

    HearingWords(Words words, Say say) {
        this.words = words;
        this.say = say;
    }

    Telling telling(long stage, Hearing hearing, HandsFree.Minded minded, Optional<PegTurn> turn) {
        if (hearing instanceof Hearing.Heard heard) {
            PitchJudgement judged = PitchJudgement.of(heard.cents().value());
            return new Telling(
                    stage,
                    heard.atSeconds(),
                    Telling.State.HEARD,
                    heard.string().name(),
                    cents(heard.cents()),
                    say.pitchStyle(judged),
                    says(heard.cents(), turn),
                    minded.warning()
                            .map(warning -> words.say("listen.warning." + warning))
                            .orElse(null),
                    (int) Math.round(PERCENT * minded.heldSeconds() / HandsFree.HOLDS_SECONDS),
                    HeardDrawing.sag(heard.string(), heard.cents().value()),
                    null,
                    false);
        }
        Telling.State state = hearing instanceof Hearing.Silence ? Telling.State.SILENT : Telling.State.NOT_SURE;
        return Telling.of(stage, hearing.atSeconds(), state, words.say("listen.state." + state));
    }

    Telling idle(long stage) {
        return Telling.of(stage, 0, Telling.State.IDLE, words.say("listen.state.IDLE"));
    }

    /** {@return cents as they are shown: as many figures as an eye catches} */
    static String cents(Cents cents) {
        String figure = Say.number(cents.value(), Math.abs(cents.value()) < SHOWN_WHOLE ? 1 : 0);
        return cents.value() > 0 && !figure.equals("0") ? "+" + figure : figure;
    }

    /** {@return how far a string is off, and what to do about it: 12 cents flat, a twelfth of a turn up} */
    public String says(Cents cents, Optional<PegTurn> turn) {
        PitchJudgement judged = PitchJudgement.of(cents.value());
        if (judged == PitchJudgement.AT_PITCH) {
            return words.say("listen.atPitch");
        }
        String off =
                words.say(cents.value() < 0 ? "listen.flat" : "listen.sharp", Say.number(Math.abs(cents.value()), 0));
        return turn.map(one -> words.say("listen.off", off, part(one))).orElse(off);
    }

    /** {@return a turn in words: a twelfth of a turn up} */
    public String part(PegTurn turn) {
        PegTurn.Part part = turn.part();
        String how = part == PegTurn.Part.WHOLE
                ? words.say("listen.turns", Say.number(Math.max(1, turn.turns()), 1))
                : words.say("listen.part." + part);
        return words.say(turn.up() ? "listen.up" : "listen.down", how);
    }

    /** {@return what was read of a string, and is on record: II, 2 cents flat} */
    public String read(Position string, Cents cents) {
        return words.say(
                "listen.read", string.name(), says(cents, Optional.empty()).toLowerCase(Locale.ROOT));
    }

    /** {@return what was heard of a string, and is recorded nowhere} */
    public String heard(Position string, Cents cents) {
        return words.say(
                "listen.heard", string.name(), says(cents, Optional.empty()).toLowerCase(Locale.ROOT));
    }

    /** {@return that another string was plucked than the one that is meant} */
    public String wrong(Position plucked, Position meant) {
        return words.say("listen.wrong", plucked.name(), meant.name());
    }
}
