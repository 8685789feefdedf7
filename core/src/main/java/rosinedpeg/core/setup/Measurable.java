package rosinedpeg.core.setup;

import static java.util.Objects.requireNonNull;

import java.util.Arrays;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import rosinedpeg.core.strings.Position;

/**
 * One thing that can be measured on an instrument: a quantity, of one of its strings where each has its own.
 *
 * @param quantity what
 * @param position of which string; none exactly when the instrument has only one of it
 */
public record Measurable(Quantity quantity, @Nullable Position position) {

    private static final int STRINGS = Position.values().length;
    /** Each is made once: figures are looked up by them all the time. */
    private static final @Nullable Measurable[] KNOWN = new Measurable[Quantity.values().length * (STRINGS + 1)];

    /**
     * Checks that the parts go together.
     *
     * @throws IllegalArgumentException when a string is missing, or named where the instrument has only one of it
     */
    public Measurable {
        requireNonNull(quantity, "quantity");
        if (quantity.ofEachString() != (position != null)) {
            throw new IllegalArgumentException("position is " + position + "; " + quantity
                    + (quantity.ofEachString() ? " must name a string" : " must not name a string"));
        }
    }

    /** {@return a quantity of the whole instrument} */
    public static Measurable of(Quantity quantity) {
        return of(quantity, null);
    }

    /** {@return a quantity of one string} */
    public static Measurable of(Quantity quantity, @Nullable Position position) {
        int place = place(quantity, position);
        Measurable known = KNOWN[place];
        if (known == null) {
            known = new Measurable(quantity, position);
            KNOWN[place] = known;
        }
        return known;
    }

    private static int place(Quantity quantity, @Nullable Position position) {
        return quantity.ordinal() * (STRINGS + 1) + (position == null ? STRINGS : position.ordinal());
    }

    @Override
    public int hashCode() {
        return place(quantity, position);
    }

    /**
     * The one with that name.
     *
     * @param code as {@link #code()} gives it
     * @return the measurable
     * @throws IllegalArgumentException when there is none
     */
    public static Measurable ofCode(String code) {
        int last = code.lastIndexOf('_');
        String end = code.substring(last + 1);
        boolean ofString = Arrays.stream(Position.values())
                .anyMatch(position -> position.name().equals(end));
        return ofString
                ? of(Quantity.valueOf(code.substring(0, last)), Position.valueOf(end))
                : of(Quantity.valueOf(code));
    }

    /** {@return the string it belongs to, empty when the instrument has only one of it} */
    public Optional<Position> string() {
        return Optional.ofNullable(position);
    }

    /** {@return its name, as BRIDGE_HEIGHT or NUT_TO_PEG_IV} */
    public String code() {
        return position == null ? quantity.name() : quantity.name() + "_" + position;
    }
}
