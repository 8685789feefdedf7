package rosinedpeg.web.settling;

import java.time.Clock;
import java.time.ZoneId;
import org.springframework.stereotype.Component;
import rosinedpeg.core.settling.Steadiness;
import rosinedpeg.web.drawing.SettlingChart;
import rosinedpeg.web.platform.Say;
import rosinedpeg.web.platform.Words;

/** Puts the settling of a string into words. In templates: {@code @settlingWords}. */
@Component("settlingWords")
class SettlingWords {

    private final Words words;
    private final Say say;
    private final Clock clock;

    SettlingWords(Words words, Say say, Clock clock) {
        this.words = words;
        this.say = say;
        this.clock = clock;
    }

    /** {@return the one sentence that matters} */
    public String heading(SettlingString string, ZoneId zone) {
        return string.unsteadyAt(clock.instant())
                ? words.say(
                        "settling.heading.settling",
                        string.position(),
                        say.dayAndTime(string.steadyAt(Steadiness.CONCERT), zone))
                : words.say("settling.heading.steady", string.position());
    }

    /** {@return what the chart shows, for those who do not see it} */
    public String chart(SettlingString string, ZoneId zone) {
        return words.say(
                "settling.chart.desc",
                string.position(),
                Say.number(string.forecast().totalCents(), 0),
                say.dayAndTime(string.steadyAt(Steadiness.REHEARSAL), zone),
                say.dayAndTime(string.steadyAt(Steadiness.CONCERT), zone));
    }

    /** {@return what is drawn of a chart, with its words} */
    public String drawn(SettlingChart chart) {
        return chart.svg(
                cents -> cents == 0 ? "0" : "−" + Say.number(cents, 0),
                hours -> hours == 0 ? words.say("duration.hours", 0) : say.hours(hours),
                "♩ " + words.say("steadiness.REHEARSAL"),
                "● " + words.say("steadiness.CONCERT"),
                words.say("now"));
    }
}
