package rosinedpeg.web.platform;

import java.text.DecimalFormat;
import java.text.DecimalFormatSymbols;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.Locale;
import org.springframework.stereotype.Component;
import rosinedpeg.core.figure.Figure;
import rosinedpeg.core.figure.Unit;

/** Writes numbers, shares, times and durations the way the screens show them. In templates: {@code @say}. */
@Component("say")
public class Say {

    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("EEE d MMM", Locale.UK);
    private static final DateTimeFormatter DAY_OF_YEAR = DateTimeFormatter.ofPattern("d MMM yyyy", Locale.UK);
    private static final DateTimeFormatter DAY_AND_TIME = DateTimeFormatter.ofPattern("EEE d MMM, HH:mm", Locale.UK);
    private static final DateTimeFormatter FIELD_TIME = DateTimeFormatter.ofPattern("yyyy-MM-dd'T'HH:mm");

    /** {@return a number with that many decimals, a true minus sign, and no trailing zero} */
    public static String number(double value, int decimals) {
        DecimalFormat format = new DecimalFormat(
                decimals == 0 ? "0" : "0." + "#".repeat(decimals), DecimalFormatSymbols.getInstance(Locale.ROOT));
        String text = format.format(value);
        return text.equals("-0") ? "0" : text.replace('-', '−');
    }

    /** {@return a share as a percentage, without its sign} */
    public static String percent(double share) {
        return number(share * 100, 0);
    }

    /** {@return a figure with its unit, with as many decimals as it is worth: 3.4 turns, 0.12°, 61 %} */
    public static String figure(Figure figure) {
        if (figure.unit() == Unit.SHARE) {
            return percent(figure.value()) + " %";
        }
        int decimals = Math.abs(figure.value()) < 1 ? 2 : 1;
        String space = figure.unit() == Unit.DEGREE ? "" : " ";
        return (number(figure.value(), decimals) + space + figure.unit().symbol()).strip();
    }

    /** {@return the same with lengths in the unit somebody chose: 33.2 mm, 1.307 in} */
    public static String figure(Figure figure, Lengths lengths) {
        return figure.unit() == Unit.MILLIMETRE && lengths != Lengths.MM
                ? length(figure.value(), 1, lengths) + " " + lengths.symbol()
                : figure(figure);
    }

    /** {@return a length in the unit somebody chose, without the unit, with so many decimals where it is mm} */
    public static String length(double mm, int decimals, Lengths lengths) {
        return number(lengths.of(mm), lengths.decimals(decimals));
    }

    /** {@return the day, as Thu 3 Dec} */
    public static String day(Instant moment, ZoneId zone) {
        return DAY.format(moment.atZone(zone));
    }

    /** {@return the day and the time, as Thu 3 Dec, 14:00} */
    public static String dayAndTime(Instant moment, ZoneId zone) {
        return DAY_AND_TIME.format(moment.atZone(zone));
    }

    /** {@return the day with its year, as 3 Dec 2026} */
    public static String dayOfYear(LocalDate day) {
        return DAY_OF_YEAR.format(day);
    }

    /** {@return the moment as a date and time field holds it} */
    public static String fieldTime(Instant moment, ZoneId zone) {
        return FIELD_TIME.format(moment.atZone(zone));
    }

    /** {@return a duration in its two largest parts, as 1 d 4 h, 3 h 20 min or 12 min} */
    public static String duration(Duration duration) {
        long minutes = Math.max(0, Math.round(duration.toSeconds() / 60.0));
        if (minutes < 60) {
            return minutes + " min";
        }
        long hours = minutes / 60;
        if (hours < 24) {
            return minutes % 60 == 0 || hours >= 10 ? hours + " h" : hours + " h " + minutes % 60 + " min";
        }
        return hours % 24 == 0 || hours >= 24 * 7 ? hours / 24 + " d" : hours / 24 + " d " + hours % 24 + " h";
    }

    /** {@return a number of hours, as {@link #duration(Duration)} writes it} */
    public static String hours(double hours) {
        return duration(Duration.ofSeconds(Math.round(hours * 3600)));
    }
}
