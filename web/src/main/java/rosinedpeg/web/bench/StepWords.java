package rosinedpeg.web.bench;

import static java.util.Objects.requireNonNull;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Component;
import rosinedpeg.core.plan.ChangePlan;
import rosinedpeg.core.plan.Material;
import rosinedpeg.core.plan.Step;
import rosinedpeg.core.plan.StepFigure;
import rosinedpeg.core.plan.StepKind;
import rosinedpeg.core.setup.PegKind;
import rosinedpeg.core.setup.Place;
import rosinedpeg.core.setup.Quantity;
import rosinedpeg.core.setup.SetUp;
import rosinedpeg.core.strings.Position;
import rosinedpeg.core.winding.WindingPlan;
import rosinedpeg.web.drawing.LoadTrack;
import rosinedpeg.web.platform.Say;
import rosinedpeg.web.platform.Words;

/** Puts a step of a plan into words. In templates: {@code @steps}. */
@Component("steps")
public class StepWords {

    private static final List<StepFigure> ON_CARD = List.of(
            StepFigure.TIP,
            StepFigure.BEND,
            StepFigure.TRIM,
            StepFigure.FAR_SIDE_TURNS,
            StepFigure.PART_TURNS,
            StepFigure.PART_HALF_TURNS,
            StepFigure.PART_CRANK_TURNS,
            StepFigure.TURNS,
            StepFigure.HALF_TURNS,
            StepFigure.CRANK_TURNS,
            StepFigure.TENSION);

    private final Words words;
    private final Say say;

    StepWords(Words words, Say say) {
        this.words = words;
        this.say = say;
    }

    /** {@return what is drawn of the load from step to step, with its words} */
    public String drawn(LoadTrack track) {
        return track.svg(say::share);
    }

    /** {@return what is to be done, in a few words} */
    public String title(Step step, ChangePlan plan) {
        return say(step, plan, "title");
    }

    /** {@return how it is done and why} */
    public String how(Step step, ChangePlan plan) {
        return say(step, plan, "how");
    }

    /** {@return what ends it, as the words of the button} */
    public String ends(Step step, ChangePlan plan) {
        return say(step, plan, "ends");
    }

    /** {@return what a kind of step is called for a string, as when it is owed} */
    public String named(StepKind kind, Position position) {
        return words.say("step." + kind + ".title", position);
    }

    /** {@return string and open note, as II, A} */
    public String string(Position position, ChangePlan plan) {
        return words.say(
                "string.named", position, plan.setUp().openString(position).letter());
    }

    /** {@return the figures of a step that are wanted at the bench without a screen, each with a dot before it} */
    public Map<StepFigure, String> onCard(Step step) {
        Map<StepFigure, String> figures = new LinkedHashMap<>();
        ON_CARD.stream()
                .filter(step.figures()::containsKey)
                .forEach(figure -> figures.put(
                        figure,
                        words.say(
                                "card.figure",
                                words.say("stepFigure." + figure),
                                say.figure(requireNonNull(step.figures().get(figure))))));
        return figures;
    }

    /** {@return several strings, as II and III} */
    public String list(List<Position> positions) {
        return words.list(positions);
    }

    /** {@return the part of the instrument a step happens at, as peg II} */
    public String place(Step step) {
        String key = "place." + step.kind().place();
        return step.position() == null || step.kind().place() == Place.FINGERBOARD
                ? words.say(step.kind().place() == Place.FINGERBOARD ? key : key + ".whole")
                : words.say(key, step.position());
    }

    private String say(Step step, ChangePlan plan, String part) {
        String roman = step.position() == null ? "" : step.position().name();
        String note = step.position() == null
                ? ""
                : plan.setUp().openString(step.position()).letter();
        String material = step.materials().isEmpty() ? "" : words.say("material." + treatment(step));
        String share = step.figures().containsKey(StepFigure.TENSION_SHARE)
                ? Say.percent(step.figures().get(StepFigure.TENSION_SHARE).value())
                : "";
        String below = step.figures().containsKey(StepFigure.BELOW_PITCH)
                ? Say.number(-step.figures().get(StepFigure.BELOW_PITCH).value() / 100, 1)
                : "";
        PegKind pegs = plan.setUp().pegKind();
        return words.say(
                "step." + name(step, plan) + "." + part,
                roman,
                note,
                material,
                figure(step, StepFigure.TURNS, 1),
                figure(step, StepFigure.TIP, 0),
                figure(step, StepFigure.CRANK_TURNS, 0),
                share,
                below,
                words.say("step.byPeg." + pegs),
                counted(step, StepFigure.FAR_SIDE_TURNS),
                words.say("step.handle." + pegs),
                counted(step, StepFigure.PART_TURNS),
                turned(step, StepFigure.PART_HALF_TURNS, StepFigure.PART_CRANK_TURNS),
                hand(step, plan),
                figure(step, StepFigure.BEND, 0),
                step.figures().containsKey(StepFigure.TRIM)
                        ? words.say("step.cutOff", figure(step, StepFigure.TRIM, 0))
                        : "",
                words.say("step.shaft." + pegs),
                turns(step),
                words.say("step.ease." + plan.setUp().family()),
                reach(step, plan.setUp()),
                atTail("step.hang.", step, plan.setUp()),
                atTail("step.free.", step, plan.setUp()));
    }

    /** How its tail end is hung or freed, by what it hangs on. */
    private String atTail(String key, Step step, SetUp setUp) {
        Position position = step.position();
        return position == null ? "" : words.say(key + position.in(setUp.tailEnds()));
    }

    /** How many turns, all of them or those that are left, and how far the hand turns for them. */
    private String turns(Step step) {
        if (!step.figures().containsKey(StepFigure.TURNS)) {
            return "";
        }
        return step.figures().containsKey(StepFigure.PART_TURNS)
                ? words.say(
                        "step.turns.REST",
                        counted(step, StepFigure.TURNS),
                        "",
                        figure(step, StepFigure.PART_TURNS, 1),
                        turned(step, StepFigure.PART_HALF_TURNS, StepFigure.PART_CRANK_TURNS))
                : words.say(
                        "step.turns.WHOLE",
                        counted(step, StepFigure.TURNS),
                        turned(step, StepFigure.HALF_TURNS, StepFigure.CRANK_TURNS));
    }

    /** As 2.4 turns, or 1 turn. */
    private String counted(Step step, StepFigure figure) {
        String number = figure(step, figure, 1);
        return number.isEmpty() ? "" : oneOrMany("step.turns", number);
    }

    private String turned(Step step, StepFigure halfTurns, StepFigure crankTurns) {
        return step.figures().containsKey(crankTurns)
                ? oneOrMany("step.turned.KEY", figure(step, crankTurns, 1))
                : oneOrMany("step.turned.KNOB", figure(step, halfTurns, 1));
    }

    private String oneOrMany(String key, String number) {
        return words.say(key + (number.equals("1") ? ".ONE" : ".MANY"), number);
    }

    /** Where the tip goes through a hole that is hard to reach. */
    private String reach(Step step, SetUp setUp) {
        Position position = step.position();
        return position != null
                        && step.figures().containsKey(StepFigure.TIP)
                        && WindingPlan.drawsPegOut(setUp, position)
                ? words.say("step.reach", say.figure(setUp.figure(Quantity.HOLE_TO_WALL, position)))
                : "";
    }

    /** Everybody knows which hand turns what; on an instrument that is mirrored it is said. */
    private String hand(Step step, ChangePlan plan) {
        Position position = step.position();
        return position != null && plan.setUp().leftHanded() && step.kind().turnsItsPeg()
                ? words.say("step.hand." + plan.setUp().handAtPeg(position))
                : "";
    }

    /** Work that changes no string has another kit and another end; all machines are tried at once. */
    private static String name(Step step, ChangePlan plan) {
        boolean sameStrings = plan.order().isEmpty();
        if (step.kind() == StepKind.RECORD && sameStrings) {
            return "RECORD_WORK";
        }
        if (step.kind() == StepKind.LAY_OUT_KIT && sameStrings) {
            return "LAY_OUT_WORK";
        }
        return step.kind() == StepKind.TEST_MACHINE_DIRECTION && step.position() == null
                ? "TEST_MACHINES"
                : step.kind().name();
    }

    /** The last material named is the one that treats the peg. */
    private static Material treatment(Step step) {
        return step.materials().get(step.materials().size() - 1);
    }

    private static String figure(Step step, StepFigure figure, int decimals) {
        return step.figures().containsKey(figure)
                ? Say.number(step.figures().get(figure).value(), decimals)
                : "";
    }
}
