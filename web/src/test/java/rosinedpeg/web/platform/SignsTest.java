package rosinedpeg.web.platform;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.StringReader;
import javax.xml.parsers.DocumentBuilderFactory;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.xml.sax.InputSource;

class SignsTest {

    @ParameterizedTest
    @ValueSource(
            strings = {
                "Pit 5 viola",
                "½ violin\nof the shelf",
                "弦楽器",
                "می‌خواهم",
                "Ðvořák’s “bass”",
                "👩‍🎓 🫠",
                "é and é"
            })
    void whatPeopleWriteIsSeen(String text) {
        assertThat(Signs.allSeen(text)).isTrue();
        assertThat(Signs.withoutMarks(text)).isEqualTo(text);
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "a\u0000b",
                "a\u0007b",
                "a\u202eb",
                "a\u2066b",
                "\u200b",
                "a\u200bb",
                "\ufeffa",
                "\u3164",
                "\u2800 ",
                " ",
                "a\ud800",
                "a\ufffe",
                "a\u2028b",
                "\ue000",
                "a\u00adb"
            })
    void whatNobodySeesIsRefused(String text) {
        assertThat(Signs.allSeen(text)).isFalse();
    }

    /** Whatever was recorded once, a drawing can be made of it. */
    @Test
    void whateverIsLeftIsXml() throws Exception {
        StringBuilder every = new StringBuilder("\ud800 ");
        for (int sign = 0; sign <= Character.MAX_CODE_POINT; sign++) {
            if (sign != '&' && sign != '<') {
                every.appendCodePoint(sign);
            }
        }
        String left = Signs.inXml(every.toString());
        assertThat(DocumentBuilderFactory.newInstance()
                        .newDocumentBuilder()
                        .parse(new InputSource(new StringReader("<text>" + left + "</text>")))
                        .getDocumentElement()
                        .getTextContent())
                .contains("½", "弦", "\n", "👩");
    }
}
