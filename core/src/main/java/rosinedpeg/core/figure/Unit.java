package rosinedpeg.core.figure;

/** The unit a figure is expressed in. Screens may convert; the core never does. */
public enum Unit {
    MILLIMETRE("mm"),
    NEWTON("N"),
    MILLIMETRE_PER_NEWTON("mm/N"),
    GRAM("g"),
    GRAM_PER_METRE("g/m"),
    KILOGRAM_PER_METRE("kg/m"),
    KILOGRAM_PER_CUBIC_METRE("kg/m³"),
    DEGREE("°"),
    CENT("cents"),
    CENT_PER_DEGREE("cents/°"),
    HERTZ("Hz"),
    HOUR("h"),
    HOUR_PER_WEEK("h/week"),
    DAY("days"),
    MONTH("months"),
    MINUTE("min"),
    SECOND("s"),
    TURN("turns"),
    /** What a hand does at a knob before it takes a new grip. */
    HALF_TURN("half turns"),
    /** A part of a whole, 1 meaning all of it. */
    SHARE(""),
    /** How many of one thing come to one of another. */
    RATIO("");

    private final String symbol;

    Unit(String symbol) {
        this.symbol = symbol;
    }

    /** {@return the symbol, for messages of exceptions; empty for a plain ratio} */
    public String symbol() {
        return symbol;
    }
}
