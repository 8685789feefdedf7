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
 * The colours of {@code palette.css}, for what is saved and cannot look there: drawings in a file, the bench card. In
 * templates: {@code @palette}.
 */
@Component("palette")
class Palette {

    private static final Pattern COLOUR = Pattern.compile("--color-([a-z-]+): (#[0-9a-f]{6});");

    private final Map<String, String> colours;

    Palette() throws IOException {
        try (InputStream css = Palette.class.getResourceAsStream("/palette.css")) {
            colours = COLOUR.matcher(new String(css.readAllBytes(), UTF_8))
                    .results()
                    .collect(Collectors.toMap(colour -> colour.group(1), (MatchResult colour) -> colour.group(2)));
        }
    }

    /**
     * A colour.
     *
     * @param name as in {@code palette.css}, without its prefix
     * @return the colour, as #rrggbb
     * @throws IllegalArgumentException when there is none of that name
     */
    public String get(String name) {
        String colour = colours.get(name);
        if (colour == null) {
            throw new IllegalArgumentException("there is no colour " + name);
        }
        return colour;
    }
}
