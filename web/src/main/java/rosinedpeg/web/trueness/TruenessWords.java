package rosinedpeg.web.trueness;

import java.util.Optional;
import org.springframework.stereotype.Component;
import rosinedpeg.core.hearing.Octave;
import rosinedpeg.core.hearing.Ringing;
import rosinedpeg.core.hearing.Trueness.Moved;
import rosinedpeg.core.hearing.Trueness.Verdict;
import rosinedpeg.web.platform.Say;
import rosinedpeg.web.platform.Words;

/** Says how true a string is. */
@Component("truenessWords")
class TruenessWords {

    /** A player knows how far the eighth partial lies off, where B says nothing to them. */
    private static final int TOLD_PARTIAL = 8;

    private final Words words;

    TruenessWords(Words words) {
        this.words = words;
    }

    /** {@return the octave: stopped 3 cents above the harmonic, ± 2} */
    public String octave(Octave octave) {
        return words.say(
                octave.cents() < 0 ? "trueness.octave.below" : "trueness.octave.above",
                Say.number(Math.abs(octave.cents()), 1),
                Say.number(octave.doubtCents(), 1));
    }

    /** {@return how a string rang: partials 1.2 cents off their line, the eighth 5 cents sharp} */
    public String rang(Ringing ringing) {
        return words.say(
                "trueness.rang",
                Say.number(ringing.scatterCents(), 1),
                ringing.partials(),
                Say.number(ringing.sharpCents(TOLD_PARTIAL), 1));
    }

    /** {@return how a figure has moved since the first reading} */
    public String moved(Moved moved) {
        return words.say(
                moved.cents() < 0 ? "trueness.moved.down" : "trueness.moved.up",
                Say.number(Math.abs(moved.cents()), 1),
                Say.number(moved.doubtCents(), 1));
    }

    /** {@return what a string has come to by its last reading, with the figure it rests on; empty where nothing was read} */
    public Optional<String> stands(StringTrueness trueness) {
        return trueness.last()
                .map(last -> last.since()
                        .verdict()
                        .map(verdict -> verdict(last, verdict))
                        .orElseGet(() -> words.say("trueness.first")));
    }

    /** {@return how that is shown} */
    public String style(StringTrueness trueness) {
        return trueness.last()
                .flatMap(last -> last.since().verdict())
                .map(verdict -> switch (verdict) {
                    case TRUE -> "good";
                    case IN_DOUBT -> "settling";
                    case FALSE -> "watch";
                })
                .orElse("");
    }

    private String verdict(StringTrueness.Reading last, Verdict verdict) {
        String octave = last.since().octave().map(this::moved).orElse("");
        String scatter = last.since()
                .scatter()
                .map(moved -> words.say("trueness.scattered", Say.number(moved.cents(), 1)))
                .orElse("");
        String rests =
                octave.isEmpty() || scatter.isEmpty() ? octave + scatter : words.say("trueness.both", octave, scatter);
        return words.say("trueness.verdict." + verdict, rests);
    }
}
