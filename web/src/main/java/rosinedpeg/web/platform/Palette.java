package rosinedpeg.web.platform;

import static java.nio.charset.StandardCharsets.UTF_8;

import java.io.IOException;
import java.io.InputStream;
import java.util.Map;
import java.util.regex.MatchResult;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/**
 * The colours of {@code palette.css}, for what is saved and cannot look there: drawings in a file, the bench card.
 */
@Component
public class Palette {

    private static final Pattern COLOUR = Pattern.compile("--color-([a-z-]+): (#[0-9a-f]{6});");

    private final Map<String, String> colours;

    Palette() throws IOException {
        try (InputStream css = Palette.class.getResourceAsStream("/palette.css")) {
            colours = COLOUR.matcher(new String(css.readAllBytes(), UTF_8))
                    .results()
                    .collect(Collectors.toUnmodifiableMap(
                            colour -> colour.group(1), (MatchResult colour) -> colour.group(2)));
        }
    }

    /** {@return every colour as #rrggbb, by its name without the prefix} */
    public Map<String, String> colours() {
        return colours;
    }
}
