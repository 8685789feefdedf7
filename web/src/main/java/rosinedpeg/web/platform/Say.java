package rosinedpeg.web.platform;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.text.DecimalFormat;
import java.text.DecimalFormatSymbols;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.time.temporal.TemporalAccessor;
import java.util.Locale;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import rosinedpeg.core.bench.PitchJudgement;
import rosinedpeg.core.figure.Figure;
import rosinedpeg.core.figure.Unit;
import rosinedpeg.core.load.LoadBand;
import rosinedpeg.core.strings.Position;

/** Writes figures, shares, times and durations the way the screens show them. In templates: {@code @say}. */
@Component("say")
public class Say {

    private static final DecimalFormatSymbols SYMBOLS = DecimalFormatSymbols.getInstance(Locale.ROOT);
    private static final DateTimeFormatter FIELD_TIME = DateTimeFormatter.ofPattern("yyyy-MM-dd'T'HH:mm");

    private final Words words;
    /** They take far longer to make than to use. */
    private final Map<DatePattern, DateTimeFormatter> dates = new ConcurrentHashMap<>();

    private record DatePattern(String pattern, String language) {

        DateTimeFormatter formatter() {
            return DateTimeFormatter.ofPattern(pattern, Locale.forLanguageTag(language));
        }
    }

    /** Writes in the language of the request. */
    public Say(Words words) {
        this.words = words;
    }

    /** {@return a number with that many decimals, a true minus sign, and no trailing zero} */
    public static String number(double value, int decimals) {
        DecimalFormat format = new DecimalFormat(decimals == 0 ? "0" : "0." + "#".repeat(decimals), SYMBOLS);
        String text = format.format(value);
        return text.equals("-0") ? "0" : text.replace('-', '−');
    }

    /** {@return a share as a percentage, without its sign} */
    public static String percent(double share) {
        return number(share * 100, 0);
    }

    /** {@return a length in the unit somebody chose, without the unit, with so many decimals where it is mm} */
    public static String length(double mm, int decimals, Lengths lengths) {
        return number(lengths.of(mm), lengths.decimals(decimals));
    }

    /** {@return the style class of what a load means for the post, the same on every screen} */
    public String style(LoadBand band) {
        return switch (band) {
            case HELD -> "good";
            case LIGHT -> "watch";
            case THIN, UNHELD -> "stop";
        };
    }

    /** {@return the style class of how a pitch is judged, the same on every screen} */
    public String pitchStyle(PitchJudgement judged) {
        return switch (judged) {
            case AT_PITCH -> "good";
            case NEARLY, A_LITTLE_OVER -> "watch";
            case STILL_RISING -> "none";
            case TOO_HIGH -> "stop";
        };
    }

    /** {@return a share as a percentage: 71 %} */
    public String share(double share) {
        return in(Unit.SHARE, percent(share));
    }

    /** {@return a length: 33.2 mm} */
    public String mm(double mm, int decimals) {
        return in(Unit.MILLIMETRE, number(mm, decimals));
    }

    /** {@return a force: 54 N} */
    public String newtons(double newtons, int decimals) {
        return in(Unit.NEWTON, number(newtons, decimals));
    }

    /** {@return a mass: 23 g} */
    public String grams(double grams, int decimals) {
        return in(Unit.GRAM, number(grams, decimals));
    }

    /** {@return an angle: 0.7°} */
    public String degrees(double degrees, int decimals) {
        return in(Unit.DEGREE, number(degrees, decimals));
    }

    /** {@return a figure with its unit, with as many decimals as it is worth: 3.4 turns, 0.12°, 61 %} */
    public String figure(Figure figure) {
        int decimals = figure.unit() == Unit.MILLIMETRE_PER_NEWTON ? 4 : Math.abs(figure.value()) < 1 ? 2 : 1;
        return figure.unit() == Unit.SHARE
                ? share(figure.value())
                : in(figure.unit(), number(figure.value(), decimals));
    }

    /**
     * What each string carries, as it stands in an address.
     *
     * @param positions whose keys are the instrument's strings
     * @param ofEachN what each carries in N; none where one is missing
     * @return the numbers in the strings' order: 0,43.1,38.2,37.5
     */
    public String ofEach(Map<Position, Double> positions, Map<Position, Double> ofEachN) {
        return positions.keySet().stream()
                .map(position -> BigDecimal.valueOf(ofEachN.getOrDefault(position, 0.0))
                        .setScale(2, RoundingMode.HALF_EVEN)
                        .stripTrailingZeros()
                        .toPlainString())
                .collect(Collectors.joining(","));
    }

    /** {@return by how much something changes, with its sign and unit: +0.24 turns, −2.1 %} */
    public String change(double change, Unit unit) {
        double size = Math.abs(unit == Unit.SHARE ? 100 * change : change);
        String number = number(size, size < 0.1 ? 3 : size < 1 ? 2 : 1);
        return in(unit, (change < 0 ? "−" : "+") + number);
    }

    /** {@return the same with lengths in the unit somebody chose: 33.2 mm, 1.307 in} */
    public String figure(Figure figure, Lengths lengths) {
        return figure.unit() == Unit.MILLIMETRE && lengths != Lengths.MM
                ? lengthIn(figure.value(), 1, lengths)
                : figure(figure);
    }

    /** {@return a length with the unit somebody chose, with so many decimals where it is mm} */
    public String lengthIn(double mm, int decimals, Lengths lengths) {
        return words.say("figure", length(mm, decimals, lengths), symbol(lengths));
    }

    /** {@return a written number with its unit} */
    public String in(Unit unit, String number) {
        return switch (unit) {
            case RATIO -> number;
            case DEGREE -> words.say("figure.joined", number, symbol(unit));
            case TURN ->
                words.say("figure", number, number.matches("[+−]?1") ? words.say("unit.TURN.one") : symbol(unit));
            default -> words.say("figure", number, symbol(unit));
        };
    }

    /** {@return the symbol of a unit} */
    public String symbol(Unit unit) {
        return words.say(key(unit));
    }

    /** {@return the symbol of what lengths are shown in} */
    public String symbol(Lengths lengths) {
        return words.say(key(lengths));
    }

    static String key(Unit unit) {
        return "unit." + unit;
    }

    static String key(Lengths lengths) {
        return "lengths." + lengths;
    }

    /** {@return the day, as Thu 3 Dec} */
    public String day(Instant moment, ZoneId zone) {
        return date("date.day", moment.atZone(zone));
    }

    /** {@return the day, as Thu 3 Dec} */
    public String day(LocalDate day) {
        return date("date.day", day);
    }

    /** {@return the day within a week, as Thu 3} */
    public String dayOfWeek(LocalDate day) {
        return date("date.dayOfWeek", day);
    }

    /** {@return the time of day, as 14:00} */
    public String time(Instant moment, ZoneId zone) {
        return date("date.time", moment.atZone(zone));
    }

    /** {@return the day and the time, as Thu 3 Dec, 14:00} */
    public String dayAndTime(Instant moment, ZoneId zone) {
        return date("date.dayAndTime", moment.atZone(zone));
    }

    /** {@return the day without its weekday, as 3 Dec} */
    public String shortDay(LocalDate day) {
        return date("date.dayOfMonth", day);
    }

    /** {@return the day with its year, as 3 Dec 2026} */
    public String dayOfYear(LocalDate day) {
        return date("date.dayOfYear", day);
    }

    /** {@return what a month is called, as Dec} */
    public String month(LocalDate day) {
        return date("date.month", day);
    }

    private String date(String pattern, TemporalAccessor moment) {
        return dates.computeIfAbsent(new DatePattern(words.say(pattern), words.say("language")), DatePattern::formatter)
                .format(moment);
    }

    /** {@return the moment as a date and time field holds it} */
    public static String fieldTime(Instant moment, ZoneId zone) {
        return FIELD_TIME.format(moment.atZone(zone));
    }

    /** {@return a duration in its two largest parts, as 1 d 4 h, 3 h 20 min or 12 min} */
    public String duration(Duration duration) {
        long minutes = Math.max(0, Math.round(duration.toSeconds() / 60.0));
        if (minutes < 60) {
            return words.say("duration.minutes", minutes);
        }
        long hours = minutes / 60;
        if (hours < 24) {
            return minutes % 60 == 0 || hours >= 10
                    ? words.say("duration.hours", hours)
                    : words.say("duration.hoursAndMinutes", hours, minutes % 60);
        }
        return hours % 24 == 0 || hours >= 24 * 7
                ? words.say("duration.days", hours / 24)
                : words.say("duration.daysAndHours", hours / 24, hours % 24);
    }

    /** {@return a short time as a clock shows it, minutes and whole seconds, as 3:07} */
    public static String minutesAndSeconds(Duration duration) {
        long seconds = Math.max(0, duration.toSeconds());
        return seconds / 60 + (seconds % 60 < 10 ? ":0" : ":") + seconds % 60;
    }

    /** {@return a number of hours, as {@link #duration(Duration)} writes it} */
    public String hours(double hours) {
        return duration(Duration.ofSeconds(Math.round(hours * 3600)));
    }
}
