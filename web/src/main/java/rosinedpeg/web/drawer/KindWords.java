package rosinedpeg.web.drawer;

import org.springframework.stereotype.Component;
import rosinedpeg.web.platform.Say;
import rosinedpeg.web.platform.Words;

/** What kinds of string are called. In templates: {@code @kinds}. */
@Component("kinds")
public class KindWords {

    private final Words words;
    private final Say say;

    KindWords(Words words, Say say) {
        this.words = words;
        this.say = say;
    }

    /** {@return maker and line; of a usual one its core} */
    public String label(StringKind kind) {
        return kind.isUsual()
                ? words.say("kind.usual", words.say("core." + kind.spec().core()))
                : kind.maker() + " " + kind.line();
    }

    /** {@return the same with its end and its tension, as it is offered to be chosen} */
    public String offered(StringKind kind) {
        return String.join(
                ", ",
                label(kind),
                words.say("end." + kind.spec().end()),
                say.newtons(kind.spec().tensionN(), 0));
    }
}
