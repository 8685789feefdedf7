package rosinedpeg.web;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** No number of the trade stands outside the core: here figures are shown, not made, and nothing is judged by a threshold. */
class RulesStayInCoreTest {

    /** Where numbers are lengths on paper or screen, a made-up workshop's, or a foot's. */
    private static final List<String> OF_THEIR_OWN = List.of(
            "/drawing/",
            "/demonstration/",
            "/plan/BenchCard.java",
            "/platform/Lengths.java",
            "/platform/Say.java",
            "/findings/FindingWords.java",
            // Paper.
            "/drawer/LabelSheet.java",
            "/drawer/LabelController.java");

    @ParameterizedTest
    @CsvSource({
        // A decimal in code, but not in text or a comment; seconds to minutes and hours are not the trade's.
        "src/main/java, '(?<![\\w.\"#-])(?!0\\.0\\b)\\d+\\.\\d+(?!\\.?\\d*[\"\\w])', '/ (60|3600)\\.0'",
        // A comparison with a decimal, or arithmetic with one, in a template.
        "src/main/resources/templates, '\\$\\{[^}\"]*(?:[<>]=?|[*/+]|\\blt\\b|\\bgt\\b) *-?\\d*\\.\\d+', '^$'",
        "src/main/resources/static, '(?:[<>]=?) *-?\\d*\\.\\d+', '^$'"
    })
    void noTradeNumberStandsOutsideTheCore(String folder, String number, String allowed) throws IOException {
        Pattern found = Pattern.compile(number);
        Pattern own = Pattern.compile(allowed);
        try (Stream<Path> files = Files.walk(Path.of(folder))) {
            List<String> numbers = files.filter(Files::isRegularFile)
                    .filter(file -> file.toString().matches(".*\\.(java|html|js)"))
                    .filter(file -> OF_THEIR_OWN.stream().noneMatch(file.toString()::contains)
                            && !file.toString().contains("/templates/drawing/"))
                    .flatMap(RulesStayInCoreTest::lines)
                    .filter(line -> !line.matches("[^:]*: *(\\*|//|/\\*).*"))
                    .filter(line ->
                            found.matcher(line).find() && !own.matcher(line).find())
                    .toList();
            assertThat(numbers).isEmpty();
        }
    }

    private static Stream<String> lines(Path file) {
        try {
            return Files.readAllLines(file).stream().map(line -> file + ":" + line);
        } catch (IOException unreadable) {
            throw new IllegalStateException(file.toString(), unreadable);
        }
    }
}
