package rosinedpeg.core.setup;

import rosinedpeg.core.strings.Position;

/** Which instruments, and which of their strings, have a quantity. */
enum FoundOn {
    /** Every instrument has one. */
    ALL,
    EACH_STRING,
    INNER_STRINGS,
    /** Each string on a fine tuner. */
    EACH_TUNER,
    EACH_TAPERED_PEG,
    /** Instruments whose shafts turn through gears have one. */
    GEARS;

    boolean ofEachString() {
        return this != ALL && this != GEARS;
    }

    boolean has(Known known, Position position) {
        return switch (this) {
            case ALL, EACH_STRING -> true;
            case INNER_STRINGS -> position != Position.I && position.number() != known.strings();
            case EACH_TUNER -> known.tailEnd(position).hasFineTuner();
            case EACH_TAPERED_PEG -> known.pegKind() == PegKind.TAPERED_WOOD;
            case GEARS -> !known.pegKind().holdsByFriction();
        };
    }
}
