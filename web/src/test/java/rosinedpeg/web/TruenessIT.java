package rosinedpeg.web;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.beans.factory.annotation.Autowired;
import rosinedpeg.core.hearing.HandsFree.Notice;
import rosinedpeg.core.hearing.Ringing;
import rosinedpeg.core.pitch.Cents;
import rosinedpeg.core.strings.Position;
import rosinedpeg.web.listen.Listened;
import rosinedpeg.web.listen.Listener;
import rosinedpeg.web.platform.CurrentWorkshop;
import rosinedpeg.web.platform.SignedIn;

/** Whether a string has become false: typed, heard pluck by pluck, judged by its first reading, counted as a sign of wear. */
class TruenessIT extends InRequests {

    private static final Ringing RANG = new Ringing(2e-4, 0.8, 9);

    @Autowired
    List<Listened> listened;

    private SignedIn keeper;
    private UUID violin;
    private UUID third;
    private String page;

    @BeforeEach
    void aViolinOfOnesOwn() {
        keeper = stranger();
        violin = violin(keeper, "True violin");
        third = database.sql("select id from fitted_string where instrument_id = ? and position = 'III'")
                .param(violin)
                .query(UUID.class)
                .single();
        page = "/instruments/" + violin + "/strings/III/trueness";
    }

    private Document shown() throws Exception {
        return Jsoup.parse(page(keeper, page));
    }

    private void type(String harmonic, String stopped) {
        assertThat(post(
                        keeper,
                        page,
                        "harmonic",
                        harmonic,
                        "stopped",
                        stopped,
                        "fitted",
                        third.toString(),
                        "press",
                        UUID.randomUUID().toString()))
                .hasStatus(302);
    }

    @ParameterizedTest
    @CsvSource({"2,off the board,100", "'',3,100", "-101,0,100", "-60,60,another note"})
    void whatCannotBeAnOctaveGetsASentence(String harmonic, String stopped, String sentence) throws Exception {
        assertThat(refusal(keeper, page, "harmonic", harmonic, "stopped", stopped, "fitted", third.toString()))
                .contains(sentence);
        assertThat(shown().select("#readings tr")).isEmpty();
    }

    /** Every pluck in its turn; the open string that rings on, another string and another note are none of them. */
    @Test
    void fivePlucksMakeAReading() throws Exception {
        type("2", "5");
        CurrentWorkshop.in(keeper, () -> {
            Listener ear = listened.stream()
                    .filter(one -> one.kind().equals("trueness"))
                    .findFirst()
                    .orElseThrow()
                    .begin(third.toString(), Map.of());
            long open = ear.stage().orElseThrow().number();
            assertThat(ear.stage().orElseThrow().asks()).contains("1 of 5", "III open");
            assertThat(read(ear, 1)).as("it has to ring").isEqualTo(Listener.Said.NOTHING);
            assertThat(ear.take(new Notice.Rang(Position.III, RANG), false).note())
                    .contains("0.8 cents off their line", "2 of 5");
            Listener.Stage octave = ear.stage().orElseThrow();
            assertThat(octave.number()).isNotEqualTo(open);
            assertThat(octave.awaited().orElseThrow().hertz().get(Position.III)).isCloseTo(587.3, within(0.1));
            assertThat(read(ear, -1199)).as("it rings on").isEqualTo(Listener.Said.NOTHING);
            assertThat(read(ear, 160).note()).contains("not the octave");
            assertThat(ear.take(new Notice.WrongString(Position.IV), false).note())
                    .contains("That was IV");
            assertThat(read(ear, 1).note()).contains("3 of 5: press III down");
            assertThat(read(ear, -14).note()).contains("4 of 5");
            assertThat(ear.stage().orElseThrow().number()).isEqualTo(octave.number());
            assertThat(read(ear, -1).note()).contains("5 of 5");
            assertThat(read(ear, -14))
                    .satisfies(said -> assertThat(said.note()).contains("On record: stopped 14 cents below"))
                    .satisfies(said -> assertThat(said.renew()).isTrue());
            return null;
        });
        Document shown = shown();
        assertThat(shown.select("#readings tbody tr")).hasSize(2);
        assertThat(shown.select("#stands").text())
                .contains("It has become false: the stopped octave is 17 cents flatter");
        assertThat(shown.select("#readings svg")).hasSize(1);
    }

    private static Listener.Said read(Listener ear, double cents) {
        return ear.take(new Notice.Read(Position.III, new Cents(cents)), false);
    }

    /** It counts when somebody says so who may, once, and what was read can be taken back. */
    @Test
    void whatIsFalseCountsWhenSomebodySaysSo() throws Exception {
        type("0", "3");
        type("0", "-12");
        Document shown = shown();
        String sign = shown.select("form[action$=sign]").attr("action");
        String version = shown.select("form[action$=sign] [name=version]").attr("value");
        SignedIn other = stranger();
        assertThat(post(other, sign, "fitted", third.toString(), "version", version))
                .hasStatus(404);
        assertThat(post(keeper, sign, "fitted", third.toString(), "version", version))
                .hasStatus(302);
        String string = page(keeper, "/instruments/" + violin + "/strings/III");
        assertThat(Jsoup.parse(string).select("input[value=FALSE_FIFTHS][checked]"))
                .hasSize(1);
        assertThat(string).contains("It has become false");
        assertThat(shown().select("form[action$=sign]")).isEmpty();
        String back = shown().select("form[action$=back]").first().attr("action");
        assertThat(post(other, back)).hasStatus(404);
        assertThat(post(keeper, back)).hasStatus(302);
        assertThat(post(keeper, back)).as("pressed twice").hasStatus(302);
        assertThat(shown().select("#readings tbody tr")).hasSize(1);
        assertThat(shown().text()).contains("One reading. What comes after it is judged by it.");
    }
}
