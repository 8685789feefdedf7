package rosinedpeg.web.drawer;

import java.util.Arrays;
import java.util.List;

/** How a string left the drawer. */
enum LeftHow {
    /** It went on an instrument. */
    FITTED(false),
    /** It broke while it was put on. */
    BROKE(false),
    /** It was not there when the drawer was counted, or looked for. */
    MISSING(true),
    GIVEN_AWAY(true),
    THROWN_AWAY(true);

    private final boolean byHand;

    LeftHow(boolean byHand) {
        this.byHand = byHand;
    }

    /** {@return whether somebody takes it out without a run} */
    boolean byHand() {
        return byHand;
    }

    /** {@return those that somebody does without a run} */
    static List<LeftHow> byHands() {
        return Arrays.stream(values()).filter(LeftHow::byHand).toList();
    }
}
