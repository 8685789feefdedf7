package rosinedpeg.web.rack;

import java.util.Arrays;
import rosinedpeg.web.instrument.Standing;

/** What an instrument needs, most pressing first. */
enum Need {
    ON_BENCH(10),
    /** Its run cannot be read. Nobody knows before reading it, so that its place is that of {@link #ON_BENCH}. */
    UNREADABLE(10),
    /** A repairer has to see it. */
    REFERRED(20),
    CHANGE_NOW(30),
    DUE(40),
    AGE_UNKNOWN(50),
    SETTLING(60),
    SOON(70),
    GOOD(80),
    NO_STRINGS(90);

    private final int urgency;

    Need(int urgency) {
        this.urgency = urgency;
    }

    /** {@return where that puts an instrument on the rack: the smaller, the further up} */
    int urgency() {
        return urgency;
    }

    /** {@return the least urgent place of those that {@linkplain #wantsHands() want hands}} */
    static int lastThatWantsHands() {
        return Arrays.stream(values())
                .filter(Need::wantsHands)
                .mapToInt(Need::urgency)
                .max()
                .orElseThrow();
    }

    /** {@return what an instrument needs} */
    static Need of(Standing instrument, boolean onBench, boolean referred, boolean settling) {
        if (onBench) {
            return ON_BENCH;
        }
        if (referred) {
            return REFERRED;
        }
        if (!instrument.fullyStrung()) {
            return NO_STRINGS;
        }
        return switch (instrument.mostWorn().orElseThrow().state()) {
            case CHANGE_NOW -> CHANGE_NOW;
            case DUE -> DUE;
            case AGE_UNKNOWN -> AGE_UNKNOWN;
            case SOON -> settling ? SETTLING : SOON;
            case GOOD -> settling ? SETTLING : GOOD;
        };
    }

    /** {@return whether somebody has to lay hands on it} */
    boolean wantsHands() {
        return compareTo(AGE_UNKNOWN) <= 0;
    }
}
