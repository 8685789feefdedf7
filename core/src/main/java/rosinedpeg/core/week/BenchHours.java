package rosinedpeg.core.week;

import static java.util.Objects.requireNonNull;

import java.util.ArrayList;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;

/**
 * The hours somebody is at the bench on a day, with pauses between: as 9:00–12:30 and 14:00–17:00. None at all is a day off.
 *
 * @param parts the parts of the day, the earliest first, none in another
 */
public record BenchHours(List<Part> parts) {

    /** A day off. */
    public static final BenchHours NONE = new BenchHours(List.of());

    /** A day has so many minutes; none of its hours goes past them. */
    public static final int MINUTES_OF_DAY = 24 * 60;

    private static final int MINUTES_OF_HOUR = 60;

    private static final Pattern PART =
            Pattern.compile("(\\d{1,2})(?:[:.](\\d{2}))?\\s*[-–—]\\s*(\\d{1,2})(?:[:.](\\d{2}))?");
    private static final Pattern BETWEEN = Pattern.compile("[\\s,;]*");

    /**
     * Part of a day.
     *
     * @param from the minute of the day at which it begins, 0 to 1439
     * @param until the minute at which it is over, after {@code from}, up to 1440
     */
    public record Part(int from, int until) {

        /**
         * Checks that it is a part of one day.
         *
         * @throws HoursException when it ends before it begins or goes past midnight
         */
        public Part {
            if (from < 0 || from >= MINUTES_OF_DAY || until > MINUTES_OF_DAY) {
                throw new HoursException(Fault.PAST_MIDNIGHT, clock(from) + "–" + clock(until));
            }
            if (until <= from) {
                throw new HoursException(Fault.BACKWARDS, clock(from) + "–" + clock(until));
            }
        }

        /** {@return how long it is} */
        public int minutes() {
            return until - from;
        }

        @Override
        public String toString() {
            return clock(from) + "–" + clock(until);
        }
    }

    /** What can be wrong with hours. */
    public enum Fault {
        /** It does not say from when to when. */
        NOT_HOURS,
        /** There is no such time of the day. */
        PAST_MIDNIGHT,
        /** They end before they begin. */
        BACKWARDS,
        /** One part lies in another. */
        TWICE
    }

    /** Says what is wrong with hours. */
    public static final class HoursException extends IllegalArgumentException {

        private final Fault fault;
        private final String where;

        HoursException(Fault fault, String where) {
            super("hours are " + where + ": " + fault);
            this.fault = fault;
            this.where = where;
        }

        /** {@return what is wrong} */
        public Fault fault() {
            return fault;
        }

        /** {@return the part that is wrong, as it was said} */
        public String where() {
            return where;
        }
    }

    /**
     * Copies the parts.
     *
     * @throws HoursException when one of them lies in another
     */
    public BenchHours {
        parts = List.copyOf(parts);
        for (int next = 1; next < parts.size(); next++) {
            if (parts.get(next).from() < parts.get(next - 1).until()) {
                throw new HoursException(Fault.TWICE, parts.get(next - 1) + ", " + parts.get(next));
            }
        }
    }

    /**
     * Reads hours as people write them: {@code 9-12:30, 14:00–17}. Nothing is a day off.
     *
     * @param written the hours, their parts in any order
     * @return the same
     * @throws HoursException when it is not hours of one day
     */
    public static BenchHours of(String written) {
        requireNonNull(written, "written");
        List<Part> parts = new ArrayList<>();
        Matcher matcher = PART.matcher(written);
        int end = 0;
        while (matcher.find()) {
            between(written, end, matcher.start());
            parts.add(new Part(
                    minute(matcher.group(1), matcher.group(2), matcher.group()),
                    minute(matcher.group(3), matcher.group(4), matcher.group())));
            end = matcher.end();
        }
        between(written, end, written.length());
        parts.sort((one, other) -> Integer.compare(one.from(), other.from()));
        return new BenchHours(parts);
    }

    private static void between(String written, int from, int until) {
        if (!BETWEEN.matcher(written.substring(from, until)).matches()) {
            throw new HoursException(
                    Fault.NOT_HOURS, written.substring(from, until).strip());
        }
    }

    private static int minute(String hours, String minutes, String where) {
        int minute = minutes == null ? 0 : Integer.parseInt(minutes);
        if (minute >= MINUTES_OF_HOUR) {
            throw new HoursException(Fault.PAST_MIDNIGHT, where);
        }
        return Integer.parseInt(hours) * MINUTES_OF_HOUR + minute;
    }

    /** {@return how long all of them are, 0 to 1440 minutes} */
    public int minutes() {
        return parts.stream().mapToInt(Part::minutes).sum();
    }

    /** {@return how many of their minutes are still to come at a minute of the day} */
    public int minutesAfter(int minuteOfDay) {
        return parts.stream()
                .mapToInt(part -> Math.max(0, part.until() - Math.max(part.from(), minuteOfDay)))
                .sum();
    }

    /** {@return the same as people write it, and as {@link #of(String)} reads it; empty for a day off} */
    @Override
    public String toString() {
        return parts.stream().map(Part::toString).collect(Collectors.joining(", "));
    }

    private static String clock(int minute) {
        return "%d:%02d".formatted(minute / MINUTES_OF_HOUR, minute % MINUTES_OF_HOUR);
    }
}
