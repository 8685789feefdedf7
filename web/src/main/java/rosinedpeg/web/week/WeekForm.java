package rosinedpeg.web.week;

import java.time.LocalDate;
import java.util.Optional;
import org.springframework.validation.Errors;
import rosinedpeg.core.week.BenchJob;
import rosinedpeg.core.week.Place;
import rosinedpeg.web.platform.Entry;
import rosinedpeg.web.platform.Say;

/**
 * Where somebody wants a job.
 *
 * @param job its key
 * @param day the day, as typed
 * @param person who is to do it
 * @param other the key of the job it is to change places with; empty for none
 */
record WeekForm(String job, String day, String person, String other) {

    /** What is not sent is as on an empty form. */
    WeekForm {
        job = Entry.orEmpty(job);
        day = Entry.orEmpty(day);
        person = Entry.orEmpty(person);
        other = Entry.orEmpty(other);
    }

    /** {@return where it is wanted; empty where it cannot be, which is noted beside the field} */
    Optional<Place> read(Errors errors, PlannedWeek planned, Say say) {
        Optional<LocalDate> on = Entry.date(errors, "day", day, planned.today(), planned.furthest());
        Optional<PersonHours> who = planned.people().stream()
                .filter(one -> one.person().equals(person))
                .findFirst();
        BenchJob asked = planned.asked().get(job);
        if (who.isEmpty()) {
            errors.rejectValue("person", "week.person.unknown");
        }
        if (on.isEmpty() || who.isEmpty() || asked == null) {
            return Optional.empty();
        }
        Place place = new Place(on.get(), person);
        allowed(errors, planned, asked, place, say);
        return errors.hasErrors() ? Optional.empty() : Optional.of(place);
    }

    private static void allowed(Errors errors, PlannedWeek planned, BenchJob asked, Place place, Say say) {
        String day = say.day(place.day());
        int there = planned.minutes(place);
        int takes = asked.minutesOf(place.person()).orElse(0);
        int pinned = planned.schedule().places().entrySet().stream()
                .filter(entry -> entry.getValue().equals(place)
                        && entry.getKey().pinned().isPresent()
                        && !entry.getKey().name().equals(asked.name()))
                .mapToInt(entry -> entry.getKey().minutesOf(place.person()).orElse(0))
                .sum();
        if (place.day().isBefore(asked.earliest())) {
            reject(errors, "day", "week.day.early", say.day(asked.earliest()));
        } else if (place.day().isAfter(asked.latest())) {
            reject(errors, "day", "week.day.late", say.day(asked.latest()));
        } else if (planned.job(asked.name())
                .filter(job -> job.closed().contains(place.day()))
                .isPresent()) {
            reject(errors, "day", "week.day.closed", day);
        } else if (!asked.mayBeOn(place.day())) {
            reject(errors, "day", "week.day.away", day);
        } else if (there == 0) {
            reject(errors, "person", "week.person.off", place.person(), day);
        } else if (pinned + takes > there) {
            reject(errors, "person", "week.person.full", place.person(), day, there, takes, pinned);
        }
    }

    private static void reject(Errors errors, String field, String key, Object... arguments) {
        errors.rejectValue(field, key, arguments, null);
    }
}
