package rosinedpeg.web.kinds;

import org.springframework.stereotype.Component;
import rosinedpeg.core.figure.Origin;
import rosinedpeg.core.strings.StringFigure;
import rosinedpeg.core.strings.StringSpec;
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

    /** {@return where one of its figures comes from} */
    public Origin origin(StringSpec spec, StringFigure figure) {
        return spec.origin(figure);
    }

    /** {@return a figure of a doubt} */
    public String figure(double value) {
        return TypedPacket.figure(value);
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
