package rosinedpeg.web.practice;

import static java.util.stream.Collectors.joining;

import java.time.LocalDate;
import java.util.Arrays;
import java.util.List;
import org.springframework.stereotype.Component;
import rosinedpeg.core.lesson.Course;
import rosinedpeg.core.lesson.Lesson;
import rosinedpeg.core.lesson.QuickChange;
import rosinedpeg.core.plan.StepKind;
import rosinedpeg.core.rounds.TuningRounds;
import rosinedpeg.core.simulation.Action;
import rosinedpeg.core.simulation.Consequence;
import rosinedpeg.core.simulation.PracticeInstrument;
import rosinedpeg.core.simulation.PracticeString;
import rosinedpeg.core.strings.Position;
import rosinedpeg.web.platform.Say;
import rosinedpeg.web.platform.Words;

/** Says what came of what was done, why, and what one would do now. */
@Component("practiceWords")
class PracticeWords {

    private final Words words;
    private final Say say;

    PracticeWords(Words words, Say say) {
        this.words = words;
        this.say = say;
    }

    /**
     * What came of something.
     *
     * @param what what happened
     * @param why why; empty where nobody asks
     * @param now what one would do; empty where nothing is to be done
     * @param harms whether something went wrong
     */
    record Said(String what, String why, String now, boolean harms) {}

    /** {@return what is said of what happened} */
    public List<Said> all(List<Consequence> happened) {
        return happened.stream().map(this::of).toList();
    }

    private Said of(Consequence one) {
        if (one instanceof Consequence.Sounded sounded) {
            double cents = sounded.cents();
            String key = Math.abs(cents) <= TuningRounds.TOLERANCE_CENTS ? "tuned" : cents < 0 ? "flat" : "sharp";
            return plain(words.say("practice.sounded." + key, sounded.position(), cents(Math.abs(cents))));
        } else if (one instanceof Consequence.Silent silent) {
            return said(false, "silent", silent.position());
        } else if (one instanceof Consequence.OthersMoved moved) {
            String others = moved.cents().entrySet().stream()
                    .map(entry -> words.say(
                            "practice.moved." + (entry.getValue() < 0 ? "sank" : "rose"),
                            entry.getKey(),
                            cents(Math.abs(entry.getValue()))))
                    .collect(joining(", "));
            return new Said(
                    words.say("practice.moved", others), words.say("practice.moved.why", moved.position()), "", false);
        } else if (one instanceof Consequence.Slipped slipped) {
            return said(true, "slipped", slipped.position(), say.degrees(slipped.degrees(), 0));
        } else if (one instanceof Consequence.Jerked jerked) {
            return said(
                    false,
                    jerked.degrees() == 0 ? "stuck" : "jerked",
                    jerked.position(),
                    say.degrees(Math.abs(jerked.degrees()), 0));
        } else if (one instanceof Consequence.TipPulledOut out) {
            return said(true, "tip", out.position());
        } else if (one instanceof Consequence.TurnsCrossed crossed) {
            return said(true, "crossed", crossed.position());
        } else if (one instanceof Consequence.TurnsClimbed climbed) {
            return said(true, "climbed", climbed.position(), say.mm(climbed.mm(), 1));
        } else if (one instanceof Consequence.SlidOff slid) {
            return said(true, "slid", slid.position());
        } else if (one instanceof Consequence.Broke broke) {
            return said(true, "broke", broke.position(), say.newtons(broke.tensionN(), 0));
        } else if (one instanceof Consequence.VarnishScratched) {
            return said(true, "scratched");
        } else if (one instanceof Consequence.Leaned leaned) {
            return new Said(
                    words.say(
                            "practice.leaned",
                            say.degrees(Math.abs(leaned.lean().degrees()), 1),
                            words.say(
                                    "thrust." + leaned.band() + ".word",
                                    leaned.lean().degrees())),
                    words.say("practice.leaned.why." + (leaned.dry() ? "dry" : "graphited"), leaned.position()),
                    words.say("practice.leaned.now"),
                    leaned.harms());
        } else if (one instanceof Consequence.BridgeSeen seen) {
            return plain(words.say(
                    "practice.card",
                    say.mm(Math.abs(seen.gapMm()), 1),
                    words.say("thrust." + seen.band() + ".word", seen.lean().degrees())));
        } else if (one instanceof Consequence.BridgeFell) {
            return said(true, "bridgeFell");
        } else if (one instanceof Consequence.PostFell) {
            return said(true, "postFell");
        } else if (one instanceof Consequence.Cured cured) {
            return plain(words.say("practice.cured", cured.position()));
        } else if (one instanceof Consequence.NotCured not) {
            return said(true, "notCured", not.position());
        }
        return plain(words.say("practice.not." + ((Consequence.NotPossible) one).why()));
    }

    private String cents(double cents) {
        return say.number(cents, 0);
    }

    private static Said plain(String what) {
        return new Said(what, "", "", false);
    }

    private Said said(boolean harms, String key, Object... arguments) {
        return new Said(
                words.say("practice." + key, arguments),
                words.say("practice." + key + ".why", arguments),
                words.say("practice." + key + ".now", arguments),
                harms);
    }

    /** {@return what an attempt is called: its lesson, its string on the clock, else its instrument} */
    public String task(Task task, String name) {
        return task.lesson()
                .map(lesson -> words.say("lesson." + lesson))
                .or(() -> task.change().map(change -> words.say("practice.clock.title", change.position())))
                .orElse(name);
    }

    /** {@return how somebody stands with every lesson, in words} */
    public String course(Course course, LocalDate today) {
        return Arrays.stream(Lesson.values())
                .map(lesson -> words.say(
                        "practice.moments.one",
                        words.say("lesson." + lesson),
                        words.say("course.standing." + course.standing(lesson, today))))
                .collect(joining("; "));
    }

    /** {@return what was left out, each with its minutes} */
    public String owed(List<StepKind> owed) {
        return words.list(owed.stream()
                .map(step -> words.say("practice.owed." + step, Say.minutesAndSeconds(QuickChange.usual(step))))
                .toList());
    }

    /** {@return what was done, in a few words} */
    public String done(Action action) {
        KeptAction kept = KeptAction.of(action);
        double degrees = kept.degrees() == null ? 0 : kept.degrees();
        return words.say(
                "practice.act." + kept.does() + (degrees < 0 ? ".back" : ""),
                kept.string() == null ? "" : kept.string(),
                say.degrees(Math.abs(degrees), degrees == Math.rint(degrees) ? 0 : 1));
    }

    /** {@return how the bridge stands, in a few words} */
    public String lean(PracticeInstrument now) {
        if (!now.bridgeStands()) {
            return words.say("practice.bridgeFell");
        }
        double degrees = now.lean().degrees();
        String amount = say.degrees(Math.abs(degrees), 1);
        return amount.equals(say.degrees(0, 1))
                ? words.say("practice.bridgeSide.square")
                : words.say("practice.bridgeSide.desc", amount, degrees);
    }

    /** {@return how a string is, in a few words} */
    public String state(PracticeInstrument now, Position position) {
        PracticeString there = now.strings().get(position);
        if (now.broken().contains(position)) {
            return words.say("practice.state.broken");
        }
        if (there == null) {
            return words.say("practice.state.off");
        }
        if (!there.whole()) {
            return words.say(there.hung() ? "practice.state.hung" : "practice.state.threaded");
        }
        if (there.aside()) {
            return words.say("practice.state.aside", say.newtons(now.tensionN(position), 0));
        }
        if (now.isInTune(position)) {
            return words.say("practice.state.tuned");
        }
        return now.cents(position)
                .map(cents -> words.say(
                        cents.value() < 0 ? "practice.state.flat" : "practice.state.sharp",
                        cents(Math.abs(cents.value()))))
                .orElseGet(() -> words.say("practice.state.slack"));
    }
}
