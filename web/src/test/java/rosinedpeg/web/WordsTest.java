package rosinedpeg.web;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumSet;
import java.util.List;
import java.util.Properties;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.context.MessageSource;
import org.springframework.context.support.ResourceBundleMessageSource;
import rosinedpeg.core.bench.PitchJudgement;
import rosinedpeg.core.bridge.ThrustBand;
import rosinedpeg.core.causes.BreakCause;
import rosinedpeg.core.causes.BreakPlace;
import rosinedpeg.core.causes.Check;
import rosinedpeg.core.causes.Symptom;
import rosinedpeg.core.clearance.Obstacle;
import rosinedpeg.core.clearance.Touch;
import rosinedpeg.core.figure.Origin;
import rosinedpeg.core.finding.FindingKind;
import rosinedpeg.core.grooves.Groove;
import rosinedpeg.core.load.LoadBand;
import rosinedpeg.core.pegs.PegDiagnosis;
import rosinedpeg.core.pegs.PegSign;
import rosinedpeg.core.pegs.PegTreatment;
import rosinedpeg.core.pegs.PegWood;
import rosinedpeg.core.plan.Caution;
import rosinedpeg.core.plan.Material;
import rosinedpeg.core.plan.Mishap;
import rosinedpeg.core.plan.PegCondition;
import rosinedpeg.core.plan.PlanKind;
import rosinedpeg.core.plan.Schools;
import rosinedpeg.core.plan.StepFigure;
import rosinedpeg.core.plan.StepKind;
import rosinedpeg.core.settling.Behaviour;
import rosinedpeg.core.settling.Steadiness;
import rosinedpeg.core.setup.Area;
import rosinedpeg.core.setup.Contradiction;
import rosinedpeg.core.setup.Family;
import rosinedpeg.core.setup.PegKind;
import rosinedpeg.core.setup.Quantity;
import rosinedpeg.core.setup.SetUp;
import rosinedpeg.core.setup.Side;
import rosinedpeg.core.setup.Size;
import rosinedpeg.core.setup.TailEnd;
import rosinedpeg.core.strings.Position;
import rosinedpeg.core.strings.StringCore;
import rosinedpeg.core.strings.StringEnd;
import rosinedpeg.core.tailpiece.FineTuner;
import rosinedpeg.core.wear.Demand;
import rosinedpeg.core.wear.WearSign;
import rosinedpeg.core.wear.WearState;
import rosinedpeg.core.winding.Lock;
import rosinedpeg.core.winding.Wall;
import rosinedpeg.core.winding.Way;
import rosinedpeg.core.winding.WindingPlan;
import rosinedpeg.core.working.CollarFigure;
import rosinedpeg.core.working.InstrumentFigure;
import rosinedpeg.core.working.PacketFigure;
import rosinedpeg.core.working.SettlingFigure;
import rosinedpeg.core.working.TimeFigure;
import rosinedpeg.core.working.TuningFigure;
import rosinedpeg.core.working.WearFigure;
import rosinedpeg.core.working.What;
import rosinedpeg.web.bench.Reason;
import rosinedpeg.web.platform.Lengths;
import rosinedpeg.web.platform.Role;
import rosinedpeg.web.platform.Say;
import rosinedpeg.web.platform.Wording;
import rosinedpeg.web.platform.Words;

/** Everything that can be shown has words, and figures are written as the screens promise. */
class WordsTest {

    /** As the screens say it. */
    static final Say SAY = new Say(new Words(bundle()));

    private static MessageSource bundle() {
        ResourceBundleMessageSource source = new ResourceBundleMessageSource();
        source.setBasename("messages");
        source.setFallbackToSystemLocale(false);
        return source;
    }

    private final Properties bundle = new Properties();

    WordsTest() throws Exception {
        try (InputStream in = getClass().getResourceAsStream("/messages.properties")) {
            bundle.load(in);
        }
    }

    /** What follows another sentence begins with a space, and a bundle drops one that is not marked. */
    @Test
    void sentencesThatFollowOthersKeepTheirDistance() throws Exception {
        try (Stream<String> lines = Files.lines(Path.of("src/main/resources/messages.properties"))) {
            assertThat(lines.filter(line -> line.matches("[\\w.]+= .*"))).isEmpty();
        }
        assertThat(bundle.getProperty("step.hand.LEFT")).startsWith(" ");
    }

    @Test
    void everyJudgementAndStepHasItsWords() {
        List<String> wanted = new ArrayList<>();
        add(wanted, "step.", StepKind.values(), ".title", ".how", ".ends");
        add(wanted, "caution.", Caution.values(), "", ".short");
        add(wanted, "band.", LoadBand.values(), "", ".means");
        add(wanted, "thrust.", ThrustBand.values(), "", ".word", ".means");
        add(wanted, "finding.", FindingKind.values(), "");
        add(
                wanted,
                "finding.",
                Arrays.stream(FindingKind.values())
                        .filter(kind -> kind != FindingKind.POST_LET_GO && kind != FindingKind.BASS_FOOT_LIFTS)
                        .toArray(FindingKind[]::new),
                ".short");
        add(
                wanted,
                "worn.",
                Arrays.stream(FindingKind.values())
                        .filter(kind -> kind.part() == FindingKind.Part.PEGS || kind.part() == FindingKind.Part.PEGBOX)
                        .toArray(FindingKind[]::new),
                "");
        add(wanted, "material.", Material.values(), "");
        add(wanted, "stepFigure.", StepFigure.values(), "");
        add(wanted, "pitch.", PitchJudgement.values(), "");
        add(wanted, "origin.", Origin.values(), "");
        add(wanted, "peg.", PegCondition.values(), "");
        add(wanted, "quantity.", Quantity.values(), "", ".how");
        add(wanted, "area.", Area.values(), "");
        add(wanted, "contradiction.", Contradiction.Kind.values(), "");
        add(wanted, "diagnosis.", PegDiagnosis.values(), "", ".do");
        add(wanted, "diagnosis.", new Enum<?>[] {PegDiagnosis.SLIPPING, PegDiagnosis.STICKING}, ".gears");
        add(wanted, "pegSign.", PegSign.values(), "");
        add(wanted, "peg.treatment.", PegTreatment.values(), "");
        Stream.of(
                        InstrumentFigure.values(),
                        PacketFigure.values(),
                        CollarFigure.values(),
                        WearFigure.values(),
                        SettlingFigure.values(),
                        TuningFigure.values(),
                        TimeFigure.values())
                .forEach(figures -> add(wanted, "working.", figures, "", ".formula"));
        add(wanted, "symbol.", Quantity.values(), "");
        add(wanted, "symbol.", What.Part.values(), "");
        add(wanted, "part.", What.Part.values(), "");
        add(
                wanted,
                "origin.of.",
                EnumSet.range(What.Part.DESIGN_LENGTH, What.Part.AT_PITCH).toArray(new What.Part[0]),
                "");
        add(wanted, "pegs.wood.", PegWood.values(), "", ".means");
        add(wanted, "tuner.", FineTuner.Judgement.values(), "");
        add(wanted, "groove.", Groove.Depth.values(), "");
        add(wanted, "measure.side.", Side.values(), "");
        add(wanted, "measure.unit.", Lengths.values(), "");
        add(wanted, "wording.", Wording.values(), "");
        add(wanted, "family.", Family.values(), "");
        add(wanted, "pegKind.", PegKind.values(), "");
        add(wanted, "step.byPeg.", PegKind.values(), "");
        add(wanted, "tailEnd.", TailEnd.values(), "");
        add(wanted, "core.", StringCore.values(), "");
        add(wanted, "end.", StringEnd.values(), "");
        add(wanted, "demand.", Demand.values(), "", ".option");
        add(wanted, "sign.", WearSign.values(), "");
        add(wanted, "wear.", WearState.values(), "");
        add(wanted, "reason.", Reason.values(), "");
        add(wanted, "role.", Role.values(), "", ".may");
        add(wanted, "steadiness.", Steadiness.values(), "");
        add(wanted, "behaviour.", Behaviour.values(), "");
        add(wanted, "school.off.", Schools.Off.values(), "", ".why");
        add(wanted, "school.begin.", Schools.Begin.values(), "", ".why");
        add(wanted, "school.firstEnd.", Schools.FirstEnd.values(), "", ".why");
        add(wanted, "school.lock.", Lock.values(), "", ".why");
        add(wanted, "school.wall.", Schools.AtWall.values(), "", ".why");
        add(wanted, "school.wall.", Wall.values(), "", ".why");
        add(wanted, "school.treatment.", Schools.Treatment.values(), "", ".why");
        add(wanted, "school.lowestWay.", Way.values(), "", ".why");
        add(wanted, "school.spareTip.", Schools.SpareTip.values(), "", ".why");
        add(wanted, "school.felts.", Schools.Felts.values(), "", ".why");
        add(wanted, "school.stance.", Schools.Stance.values(), "", ".why");
        add(wanted, "school.evening.", Schools.Evening.values(), "", ".why");
        add(wanted, "school.raising.", Schools.Raising.values(), "", ".why");
        add(wanted, "school.oldStrings.", Schools.OldStrings.values(), "", ".why");
        add(
                wanted,
                "work.",
                Arrays.stream(PlanKind.values())
                        .filter(kind -> kind != PlanKind.CHANGE)
                        .toArray(PlanKind[]::new),
                "",
                ".why");
        for (PlanKind kind :
                List.of(PlanKind.BRIDGE_DOWN, PlanKind.TAILPIECE_CHANGE, PlanKind.GRAPHITE, PlanKind.PEG_SERVICE)) {
            wanted.add("work." + kind + ".done");
        }
        wanted.add("work." + PlanKind.PEG_SERVICE + ".gears");
        add(wanted, "mishap.", Mishap.Kind.values(), "", ".noted");
        add(wanted, "mishap.", new Enum<?>[] {Mishap.Kind.PEG_SLIPS, Mishap.Kind.PEG_STUCK}, ".machine");
        SetUp slots = SetUp.unmeasured(Size.of(Family.BASS).get(0));
        add(
                wanted,
                "wrong.string.",
                Arrays.stream(Mishap.Kind.values())
                        .filter(kind -> kind.ofString() && !kind.happensTo(slots, Position.I))
                        .toArray(Mishap.Kind[]::new),
                "");
        add(wanted, "step.hang.", TailEnd.values(), "");
        add(wanted, "step.free.", TailEnd.values(), "");
        add(wanted, "breakPlace.", BreakPlace.values(), "");
        add(wanted, "breakCause.", BreakCause.values(), "");
        add(wanted, "symptom.", Symptom.values(), "");
        add(wanted, "cause.", Symptom.Cause.values(), "", ".if");
        add(wanted, "cure.", Symptom.Cure.values(), "");
        add(wanted, "check.", Check.values(), "");
        add(wanted, "obstacle.", Obstacle.values(), "");
        add(wanted, "touch.", Touch.Cure.values(), "");
        add(wanted, "pegbox.", new Enum<?>[] {WindingPlan.Outcome.TOO_SHORT, WindingPlan.Outcome.TOO_LONG}, "");
        wanted.removeIf(bundle::containsKey);
        assertThat(wanted).isEmpty();
    }

    /** In templates, and in the code where a sentence is said, a form is told or a notice is shown. What is put together of parts is not among it. */
    @ParameterizedTest
    @CsvSource(delimiterString = "  ", quoteCharacter = '`', textBlock = """
            src/main/resources/templates  #\\{([a-zA-Z.]+)[}(]
            src/main/java  (?:\\.say\\(|reject\\(|rejectValue\\(\\s*"[^"]*",|"notice",)\\s*"([a-zA-Z.]+)"(?!\\s*\\+)
            """)
    void everyKeyThatIsNamedHasItsWords(Path where, String how) throws Exception {
        Pattern key = Pattern.compile(how);
        List<String> missing = new ArrayList<>();
        int named = 0;
        try (Stream<Path> files = Files.walk(where)) {
            for (Path file : files.filter(Files::isRegularFile).toList()) {
                Matcher matcher = key.matcher(Files.readString(file));
                while (matcher.find()) {
                    named++;
                    if (!bundle.containsKey(matcher.group(1))) {
                        missing.add(file.getFileName() + ": " + matcher.group(1));
                    }
                }
            }
        }
        assertThat(missing).isEmpty();
        assertThat(named).isGreaterThan(300);
    }

    private static void add(List<String> wanted, String prefix, Enum<?>[] values, String... suffixes) {
        for (Enum<?> value : values) {
            for (String suffix : suffixes) {
                wanted.add(prefix + value.name() + suffix);
            }
        }
    }

    @ParameterizedTest
    @CsvSource({"328.5, 1, 328.5", "328.04, 1, 328", "-12.25, 1, −12.2", "-0.04, 1, −0", "0.7149, 0, 1"})
    void writesNumbers(double value, int decimals, String text) {
        assertThat(Say.number(value, decimals)).isEqualTo(text.equals("−0") ? "0" : text);
    }

    @ParameterizedTest
    @CsvSource({"0.2, 12 min", "3.333, 3 h 20 min", "13.4, 13 h", "28, 1 d 4 h", "400, 16 d"})
    void writesDurations(double hours, String text) {
        assertThat(SAY.hours(hours)).isEqualTo(text);
    }
}
