package rosinedpeg.web.drawer;

import org.springframework.stereotype.Component;
import rosinedpeg.web.platform.Words;

/** What kinds of string are called. In templates: {@code @kinds}. */
@Component("kinds")
public class KindWords {

    private final Words words;

    KindWords(Words words) {
        this.words = words;
    }

    /** {@return maker and line; of a usual one its core} */
    public String label(StringKind kind) {
        return kind.isUsual()
                ? words.say("kind.usual", words.say("core." + kind.spec().core()))
                : kind.maker() + " " + kind.line();
    }
}
