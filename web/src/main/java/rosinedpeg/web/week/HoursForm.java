package rosinedpeg.web.week;

import java.time.DayOfWeek;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import org.springframework.validation.Errors;
import rosinedpeg.core.week.BenchHours;
import rosinedpeg.core.week.BenchHours.HoursException;
import rosinedpeg.web.platform.AsShown;
import rosinedpeg.web.platform.Entry;

/**
 * When somebody is at the bench, as typed.
 *
 * @param person who
 * @param monday their hours on Mondays; empty for a day off
 * @param tuesday and so on
 * @param wednesday
 * @param thursday
 * @param friday
 * @param saturday
 * @param sunday
 * @param from the first day that is not as usual
 * @param until the last of them
 * @param hours their hours on those days; empty for days off
 * @param shown the mark of their week as it was shown
 */
record HoursForm(
        String person,
        String monday,
        String tuesday,
        String wednesday,
        String thursday,
        String friday,
        String saturday,
        String sunday,
        String from,
        String until,
        String hours,
        String shown) {

    /** The most characters hours are written in. */
    private static final int LONGEST = 100;

    /** Until somebody says otherwise it is suggested that a bench is open so. */
    private static final String SUGGESTED = "9:00–12:00, 13:00–17:00";

    /** What is not sent is as on an empty form. */
    HoursForm {
        person = Entry.orEmpty(person);
        monday = Entry.orEmpty(monday);
        tuesday = Entry.orEmpty(tuesday);
        wednesday = Entry.orEmpty(wednesday);
        thursday = Entry.orEmpty(thursday);
        friday = Entry.orEmpty(friday);
        saturday = Entry.orEmpty(saturday);
        sunday = Entry.orEmpty(sunday);
        from = Entry.orEmpty(from);
        until = Entry.orEmpty(until);
        hours = Entry.orEmpty(hours);
        shown = Entry.orEmpty(shown);
    }

    /** {@return a form for somebody of whom nobody said anything yet} */
    static HoursForm suggested(String person, String day) {
        return new HoursForm(person, SUGGESTED, SUGGESTED, SUGGESTED, SUGGESTED, SUGGESTED, "", "", day, day, "", "");
    }

    /** {@return a form that says when somebody is at the bench now} */
    static HoursForm of(PersonHours person, String day) {
        return new HoursForm(
                person.person(),
                usual(person, DayOfWeek.MONDAY),
                usual(person, DayOfWeek.TUESDAY),
                usual(person, DayOfWeek.WEDNESDAY),
                usual(person, DayOfWeek.THURSDAY),
                usual(person, DayOfWeek.FRIDAY),
                usual(person, DayOfWeek.SATURDAY),
                usual(person, DayOfWeek.SUNDAY),
                day,
                day,
                "",
                mark(person));
    }

    /** {@return the mark of somebody's week} */
    static String mark(PersonHours person) {
        return mark(person.person(), person.usual());
    }

    /** {@return the mark of a week; a day that is missing is off} */
    static String mark(String person, Map<DayOfWeek, BenchHours> week) {
        return AsShown.mark(
                person,
                Arrays.stream(DayOfWeek.values())
                        .map(weekday -> week.getOrDefault(weekday, BenchHours.NONE))
                        .toList());
    }

    private static String usual(PersonHours person, DayOfWeek weekday) {
        return person.usual().getOrDefault(weekday, BenchHours.NONE).toString();
    }

    /** {@return the week; what is wrong is noted beside its field} */
    Map<DayOfWeek, BenchHours> week(Errors errors) {
        Map<DayOfWeek, BenchHours> week = new EnumMap<>(DayOfWeek.class);
        Map.of(
                        DayOfWeek.MONDAY, monday,
                        DayOfWeek.TUESDAY, tuesday,
                        DayOfWeek.WEDNESDAY, wednesday,
                        DayOfWeek.THURSDAY, thursday,
                        DayOfWeek.FRIDAY, friday,
                        DayOfWeek.SATURDAY, saturday,
                        DayOfWeek.SUNDAY, sunday)
                .forEach((weekday, typed) -> read(errors, weekday.name().toLowerCase(Locale.ROOT), typed)
                        .ifPresent(there -> week.put(weekday, there)));
        return week;
    }

    /** {@return the hours of a field; empty where it cannot be read, which is noted beside it} */
    static Optional<BenchHours> read(Errors errors, String field, String typed) {
        if (!Entry.note(errors, field, typed, LONGEST)) {
            return Optional.empty();
        }
        try {
            return Optional.of(BenchHours.of(typed));
        } catch (HoursException wrong) {
            errors.rejectValue(field, "hours.wrong." + wrong.fault(), new Object[] {wrong.where()}, null);
            return Optional.empty();
        }
    }
}
