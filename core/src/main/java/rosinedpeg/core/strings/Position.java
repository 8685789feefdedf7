package rosinedpeg.core.strings;

import java.util.Collections;
import java.util.EnumMap;
import java.util.Map;

/** The place of a string on its instrument, counted as players do: I is the highest. */
public enum Position {
    I,
    II,
    III,
    IV,
    /** The lowest of a five-string instrument. */
    V;

    /** {@return 1 for I to 5 for V} */
    public int number() {
        return ordinal() + 1;
    }

    /**
     * The position with that number.
     *
     * @param number 1 to 5
     * @return the position
     * @throws IllegalArgumentException outside 1 to 5
     */
    public static Position ofNumber(int number) {
        if (number < 1 || number > values().length) {
            throw new IllegalArgumentException("number is " + number + "; it must be from 1 to 5");
        }
        return values()[number - 1];
    }

    /** {@return a copy of a map that cannot be changed, I first} */
    public static <V> Map<Position, V> inOrder(Map<Position, V> map) {
        Map<Position, V> copy = new EnumMap<>(Position.class);
        copy.putAll(map);
        return Collections.unmodifiableMap(copy);
    }

    /**
     * What a map has for this string.
     *
     * @param map one that has something for it
     * @throws IllegalArgumentException when it has nothing
     */
    public <V> V in(Map<Position, V> map) {
        V value = map.get(this);
        if (value == null) {
            throw new IllegalArgumentException("position is " + this + "; it must be one of " + map.keySet());
        }
        return value;
    }

    /** {@return whether the other string lies next to this one} */
    public boolean isNeighbourOf(Position other) {
        return Math.abs(ordinal() - other.ordinal()) == 1;
    }
}
