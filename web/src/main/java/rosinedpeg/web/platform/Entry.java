package rosinedpeg.web.platform;

import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.time.format.DateTimeParseException;
import java.util.Arrays;
import java.util.LinkedHashSet;
import java.util.Objects;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.Set;
import java.util.UUID;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.context.MessageSourceResolvable;
import org.springframework.context.support.DefaultMessageSourceResolvable;
import org.springframework.validation.Errors;
import rosinedpeg.core.figure.Range;
import rosinedpeg.core.figure.Unit;
import rosinedpeg.core.setup.Family;
import rosinedpeg.core.setup.Size;

/**
 * Reads what was typed into a form. A field that cannot be taken gets a sentence with the allowed range; the form keeps
 * the text as it was typed.
 */
public final class Entry {

    private static final Pattern LETTER = Pattern.compile("[a-zA-Z]");
    private static final Pattern COUNT = Pattern.compile("\\d{1,9}");
    private static final Set<Unit> WHOLE = Set.of(Unit.CENT, Unit.HOUR, Unit.HOUR_PER_WEEK);

    /** As 33.2, 33.2 mm, 1.31 in, 5/16 or 1 5/16". */
    private static final Pattern LENGTH = Pattern.compile(
            "(?<minus>-)?(?:(?<number>\\d{1,5}(?:\\.\\d{1,6})?|\\.\\d{1,6})"
                    + "(?:[\\s-]+(?=\\d+/)|(?!\\d*/)))?(?:(?<over>\\d{1,3})/(?<under>\\d{1,3}))?\\s*(?<unit>mm|in|inch|\"|″)?");

    private Entry() {}

    /**
     * Reads a number.
     *
     * @param errors where a refusal is noted
     * @param field the name of the field
     * @param text what was typed, with a point or a comma
     * @param range what is allowed
     * @return the number; empty when it was refused
     */
    public static OptionalDouble number(Errors errors, String field, String text, Range range) {
        String trimmed = text == null ? "" : text.strip().replace(',', '.').replace('−', '-');
        double value;
        try {
            value = Double.parseDouble(trimmed);
        } catch (NumberFormatException notANumber) {
            String code = trimmed.isEmpty() ? "entry.number.missing" : "entry.number.text";
            errors.rejectValue(field, code, allowed(range), null);
            return OptionalDouble.empty();
        }
        if (LETTER.matcher(trimmed).find() || !range.contains(value)) {
            errors.rejectValue(field, "entry.number.range", allowed(range), null);
            return OptionalDouble.empty();
        }
        return OptionalDouble.of(value);
    }

    private static Object[] allowed(Range range) {
        return new Object[] {bound(range.low(), range.unit()), bound(range.high(), range.unit()), symbol(range.unit())};
    }

    /**
     * Reads how many there are of something.
     *
     * @param errors where a refusal is noted
     * @param field the name of the field
     * @param text what was typed
     * @param least the fewest that are taken
     * @param most the most that are taken
     * @return the whole number; empty when it was refused
     */
    public static OptionalInt count(Errors errors, String field, String text, int least, int most) {
        String trimmed = text == null ? "" : text.strip();
        if (COUNT.matcher(trimmed).matches()) {
            int count = Integer.parseInt(trimmed);
            if (count >= least && count <= most) {
                return OptionalInt.of(count);
            }
        }
        errors.rejectValue(field, "entry.count.range", new Object[] {least, most}, null);
        return OptionalInt.empty();
    }

    /**
     * Reads a measurement. A length may be typed in mm or inches, whichever was chosen, or in the other with its unit
     * behind it; inches also as a fraction, as 1 5/16.
     *
     * @param errors where a refusal is noted
     * @param field the name of the field
     * @param text what was typed
     * @param range what is allowed, in mm for a length
     * @param lengths what lengths are typed in
     * @return the number in the range's unit; empty when it was refused
     */
    public static OptionalDouble measurement(Errors errors, String field, String text, Range range, Lengths lengths) {
        if (range.unit() != Unit.MILLIMETRE) {
            return number(errors, field, text.replaceAll("\\s*[°g]\\s*$", ""), range);
        }
        Object[] allowed = {bound(range.low(), lengths), bound(range.high(), lengths), word(Say.key(lengths))};
        OptionalDouble mm = lengthMm(text, lengths);
        if (mm.isEmpty()) {
            errors.rejectValue(field, "entry.number.text", allowed, null);
        } else if (!range.contains(mm.getAsDouble())) {
            errors.rejectValue(field, "entry.number.range", allowed, null);
            return OptionalDouble.empty();
        }
        return mm;
    }

    private static OptionalDouble lengthMm(String text, Lengths chosen) {
        Matcher typed = LENGTH.matcher(text.strip().replace(',', '.').replace('−', '-'));
        if (!typed.matches() || (typed.group("number") == null && typed.group("over") == null)) {
            return OptionalDouble.empty();
        }
        String unit = typed.group("unit");
        Lengths lengths = unit == null ? chosen : unit.equals("mm") ? Lengths.MM : Lengths.INCH;
        double whole = typed.group("number") == null ? 0 : Double.parseDouble(typed.group("number"));
        if (typed.group("over") == null) {
            return OptionalDouble.of(signed(typed, lengths.toMm(whole)));
        }
        double under = Double.parseDouble(typed.group("under"));
        if (lengths != Lengths.INCH || under == 0) {
            return OptionalDouble.empty();
        }
        return OptionalDouble.of(signed(typed, lengths.toMm(whole + Double.parseDouble(typed.group("over")) / under)));
    }

    private static double signed(Matcher typed, double value) {
        return typed.group("minus") == null ? value : -value;
    }

    private static String bound(double mm, Lengths lengths) {
        return lengths == Lengths.MM ? bound(mm, Unit.MILLIMETRE) : Say.length(mm, 2, lengths);
    }

    /**
     * Reads a date.
     *
     * @param errors where a refusal is noted
     * @param field the name of the field
     * @param text what was typed, as 2026-09-01
     * @param earliest the first allowed day
     * @param latest the last allowed day
     * @return the date; empty when it was refused
     */
    public static Optional<LocalDate> date(
            Errors errors, String field, String text, LocalDate earliest, LocalDate latest) {
        try {
            LocalDate date = LocalDate.parse(text == null ? "" : text.strip());
            if (!date.isBefore(earliest) && !date.isAfter(latest)) {
                return Optional.of(date);
            }
        } catch (DateTimeParseException notADate) {
            // Told below, with the range.
        }
        errors.rejectValue(field, "entry.date.range", new Object[] {earliest, latest}, null);
        return Optional.empty();
    }

    /**
     * Reads a day and time of the workshop's zone.
     *
     * @param errors where a refusal is noted
     * @param field the name of the field
     * @param text what was typed, as 2026-09-01T18:30
     * @param earliest the first allowed moment
     * @param latest the last allowed moment
     * @param zone the zone
     * @param say how the allowed moments are written
     * @return the moment; empty when it was refused
     */
    public static Optional<Instant> moment(
            Errors errors, String field, String text, Instant earliest, Instant latest, ZoneId zone, Say say) {
        try {
            Instant moment = LocalDateTime.parse(text == null ? "" : text.strip())
                    .atZone(zone)
                    .toInstant();
            if (!moment.isBefore(earliest) && !moment.isAfter(latest)) {
                return Optional.of(moment);
            }
        } catch (DateTimeParseException notAMoment) {
            // Told below, with the range.
        }
        errors.rejectValue(
                field,
                "entry.moment.range",
                new Object[] {say.dayAndTime(earliest, zone), say.dayAndTime(latest, zone)},
                null);
        return Optional.empty();
    }

    /**
     * Reads a short text.
     *
     * @param errors where a refusal is noted
     * @param field the name of the field
     * @param text what was typed
     * @param longest how many characters it may have
     * @return the text without spaces at its ends; empty when it was refused
     */
    public static Optional<String> text(Errors errors, String field, String text, int longest) {
        String trimmed = text == null ? "" : text.strip();
        if (trimmed.isEmpty() || trimmed.length() > longest) {
            errors.rejectValue(field, "entry.text.length", new Object[] {longest}, null);
            return Optional.empty();
        }
        if (!Signs.allSeen(trimmed)) {
            errors.rejectValue(field, "entry.text.signs");
            return Optional.empty();
        }
        return Optional.of(trimmed);
    }

    /**
     * Looks at a text that may be left out.
     *
     * @param errors where a refusal is noted
     * @param field the name of the field
     * @param text what was typed
     * @param longest how many characters it may have
     * @return whether it can be taken
     */
    public static boolean note(Errors errors, String field, String text, int longest) {
        String trimmed = text.strip();
        if (trimmed.length() > longest) {
            errors.rejectValue(field, "entry.text.most", new Object[] {longest}, null);
        } else if (!trimmed.isEmpty() && !Signs.allSeen(trimmed)) {
            errors.rejectValue(field, "entry.text.signs");
        } else {
            return true;
        }
        return false;
    }

    /** {@return the size that was chosen from a list, as VIOLIN 4/4; empty when there is no such} */
    public static Optional<Size> size(String chosen) {
        String[] size = chosen.split(" ", 2);
        return Arrays.stream(Family.values())
                .filter(family -> family.name().equals(size[0]) && size.length > 1)
                .flatMap(family -> Size.of(family).stream())
                .filter(one -> one.code().equals(size[1]))
                .findFirst();
    }

    /** {@return what was typed; nothing where a form did not send it} */
    public static String orEmpty(@Nullable String typed) {
        return typed == null ? "" : typed;
    }

    /** {@return what was ticked; a tick without a value is none} */
    public static <T> Set<T> ticked(@Nullable Set<T> sent) {
        return sent == null
                ? Set.of()
                : sent.stream().filter(Objects::nonNull).collect(Collectors.toCollection(LinkedHashSet::new));
    }

    /** {@return the press of a button as its page sends it; a new one when it sends none, or that was tampered with} */
    public static UUID press(String text) {
        try {
            return text == null ? UUID.randomUUID() : UUID.fromString(text);
        } catch (IllegalArgumentException tampered) {
            return UUID.randomUUID();
        }
    }

    /** A unit as a part of a sentence; the bundle knows its symbol. */
    private static MessageSourceResolvable symbol(Unit unit) {
        return word(Say.key(unit));
    }

    private static MessageSourceResolvable word(String key) {
        return new DefaultMessageSourceResolvable(key);
    }

    private static String bound(double value, Unit unit) {
        return WHOLE.contains(unit) || value == Math.rint(value) ? Say.number(value, 0) : Say.number(value, 2);
    }
}
