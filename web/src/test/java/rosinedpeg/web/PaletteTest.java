package rosinedpeg.web;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/** Every colour stands in one place, and is used. */
class PaletteTest {

    private static final Path PALETTE = Path.of("src/main/resources/palette.css");
    private static final Pattern NAME = Pattern.compile("--color-([a-z-]+):");
    /** In styles and scripts, in templates that are saved, and in Tailwind's words. */
    private static final Pattern USE = Pattern.compile("var\\(--color-([a-z-]+)\\)|colours\\['([a-z-]+)'\\]"
            + "|colour\\(\"?([a-z-]+)|\\b(?:bg|text|border|decoration)-([a-z-]+)|\"(bottle|rosin|paper-bright)\"");

    /** By a name that is missing nothing would be said. */
    private static final Pattern SAVED = Pattern.compile("(?:colours\\['|--color-)([a-z-]+)");

    private static final Pattern COLOUR = Pattern.compile("(?<![\\w&])#[0-9a-fA-F]{6}\\b|\\brgba?\\(");

    @Test
    void everyColourStandsInThePalette() throws IOException {
        Set<String> used = new TreeSet<>();
        Set<String> saved = new TreeSet<>();
        Set<String> elsewhere = new TreeSet<>();
        for (Path file : files()) {
            String text = Files.readString(file);
            USE.matcher(text)
                    .results()
                    .forEach(use -> Stream.of(1, 2, 3, 4, 5)
                            .map(use::group)
                            .filter(name -> name != null)
                            .forEach(used::add));
            SAVED.matcher(text).results().forEach(use -> saved.add(use.group(1)));
            COLOUR.matcher(text).results().forEach(colour -> elsewhere.add(file + ": " + colour.group()));
        }
        assertThat(elsewhere).isEmpty();
        List<String> palette = NAME.matcher(Files.readString(PALETTE))
                .results()
                .map(name -> name.group(1))
                .toList();
        assertThat(palette).isSubsetOf(used);
        assertThat(palette).containsAll(saved);
    }

    private static Set<Path> files() throws IOException {
        Set<Path> all = new TreeSet<>();
        all.add(Path.of("src/main/frontend/app.css"));
        for (String folder : new String[] {"java", "resources/templates", "resources/static"}) {
            try (Stream<Path> files = Files.walk(Path.of("src/main").resolve(folder))) {
                files.filter(file -> file.toString().matches(".*\\.(java|html|js)"))
                        .forEach(all::add);
            }
        }
        return all;
    }
}
