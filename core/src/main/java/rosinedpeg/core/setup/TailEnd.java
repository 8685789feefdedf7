package rosinedpeg.core.setup;

import rosinedpeg.core.strings.StringEnd;

/** What the tail end of a string is hung on. */
public enum TailEnd {
    /** A slot in the tailpiece, no fine tuner. */
    SLOT(true, false),
    /** A fine tuner whose fork holds a ball. */
    FORK_TUNER(true, true),
    /** A fine tuner with a narrow hook, for a loop. */
    HOOK_TUNER(false, true);

    private final boolean takesBall;
    private final boolean fineTuner;

    TailEnd(boolean takesBall, boolean fineTuner) {
        this.takesBall = takesBall;
        this.fineTuner = fineTuner;
    }

    /** {@return whether the string has a fine tuner} */
    public boolean hasFineTuner() {
        return fineTuner;
    }

    /** {@return whether a string finished so may be hung here; a slot also holds a knot} */
    public boolean takes(StringEnd end) {
        return switch (end) {
            case BALL -> takesBall;
            case LOOP -> this == HOOK_TUNER;
            case KNOT -> this == SLOT;
        };
    }
}
