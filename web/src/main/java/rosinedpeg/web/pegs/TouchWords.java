package rosinedpeg.web.pegs;

import java.util.List;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import rosinedpeg.core.clearance.Clearance;
import rosinedpeg.core.clearance.Touch;
import rosinedpeg.web.platform.Say;
import rosinedpeg.web.platform.Words;

/** Puts what touches in the pegbox into words. In templates: {@code @touches}. */
@Component("touches")
class TouchWords {

    private final Words words;

    TouchWords(Words words) {
        this.words = words;
    }

    /** {@return what touches, by how much, and what to do} */
    public String says(Touch touch) {
        Clearance clearance = touch.clearance();
        return words.say(
                "touch." + touch.cure(),
                clearance.string(),
                obstacle(clearance),
                Say.number(-clearance.mm(), 1),
                Say.number(touch.otherwiseMm(), 1));
    }

    /** {@return all of them in one text} */
    public String all(List<Touch> touches) {
        return touches.stream().map(this::says).collect(Collectors.joining(" "));
    }

    /** {@return what a string comes near to, as the shaft of IV} */
    public String obstacle(Clearance clearance) {
        return words.say(
                "obstacle." + clearance.obstacle(),
                clearance.belongsTo().map(Enum::name).orElse(""));
    }
}
