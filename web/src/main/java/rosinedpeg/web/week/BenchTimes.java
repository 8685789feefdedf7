package rosinedpeg.web.week;

import java.time.Clock;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.UUID;
import java.util.function.Predicate;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import rosinedpeg.core.week.BenchHours;
import rosinedpeg.core.week.BenchTime;
import rosinedpeg.core.week.Place;
import rosinedpeg.web.account.PersonLeft;
import rosinedpeg.web.platform.CurrentWorkshop;
import rosinedpeg.web.platform.PersonNames;

/** Who is at the bench, and when. */
@Service
@Transactional(readOnly = true)
public class BenchTimes {

    /** More people do not stand at one bench. */
    static final int MOST_PEOPLE = 12;

    private static final int SECONDS_OF_MINUTE = 60;

    private final BenchHoursRepository hours;
    private final PersonNames names;
    private final Clock clock;

    BenchTimes(BenchHoursRepository hours, PersonNames names, Clock clock) {
        this.hours = hours;
        this.names = names;
        this.clock = clock;
    }

    /** {@return the people who are ever at the bench, by their names} */
    List<PersonHours> people() {
        Map<UUID, PersonHours> people = new HashMap<>();
        for (BenchHoursEntity row : hours.from(CurrentWorkshop.today(clock))) {
            PersonHours person = people.computeIfAbsent(
                    row.person(),
                    one -> new PersonHours(names.of(one), new EnumMap<>(DayOfWeek.class), new TreeMap<>()));
            if (row.weekday() != null) {
                person.usual().put(row.weekday(), row.hours());
            } else if (row.day() != null) {
                person.otherwise().put(row.day(), row.hours());
            }
        }
        return people.values().stream()
                .sorted(Comparator.comparing(PersonHours::person))
                .toList();
    }

    /** {@return the minutes people have from today for so many days; of today what is still to come} */
    List<BenchTime> times(List<PersonHours> people, int days) {
        LocalDate today = CurrentWorkshop.today(clock);
        int now = LocalTime.ofInstant(clock.instant(), CurrentWorkshop.zone()).toSecondOfDay() / SECONDS_OF_MINUTE;
        List<BenchTime> times = new ArrayList<>();
        for (int day = 0; day < days; day++) {
            LocalDate date = today.plusDays(day);
            for (PersonHours person : people) {
                BenchHours there = person.on(date);
                int minutes = day == 0 ? there.minutesAfter(now) : there.minutes();
                if (minutes > 0) {
                    times.add(new BenchTime(new Place(date, person.person()), minutes));
                }
            }
        }
        return times;
    }

    /** Says when somebody usually is at the bench; days that are missing are off. */
    @Transactional
    public void usually(String person, Map<DayOfWeek, BenchHours> week) {
        UUID who = names.called(person);
        for (DayOfWeek weekday : DayOfWeek.values()) {
            BenchHours there = week.getOrDefault(weekday, BenchHours.NONE);
            row(who, row -> weekday == row.weekday())
                    .ifPresentOrElse(
                            row -> row.become(there), () -> hours.save(new BenchHoursEntity(who, weekday, there)));
        }
        hours.flush();
    }

    /** Says when somebody is at the bench on some days, otherwise than usual. */
    @Transactional
    public void otherwise(String person, LocalDate from, LocalDate until, BenchHours there) {
        UUID who = names.called(person);
        for (LocalDate day = from; !day.isAfter(until); day = day.plusDays(1)) {
            LocalDate date = day;
            row(who, row -> date.equals(row.day()))
                    .ifPresentOrElse(
                            row -> row.become(there), () -> hours.save(new BenchHoursEntity(who, date, there)));
        }
        hours.flush();
    }

    /** A day is as usual again. */
    @Transactional
    void asUsual(String person, LocalDate day) {
        find(person).flatMap(who -> row(who, row -> day.equals(row.day()))).ifPresent(hours::delete);
    }

    /** Somebody is not at the bench any more. */
    @Transactional
    void remove(String person) {
        find(person).ifPresent(hours::remove);
    }

    /** Whoever was removed is not at the bench any more. */
    @EventListener
    @Transactional
    public void left(PersonLeft person) {
        hours.remove(person.personId());
    }

    private Optional<UUID> find(String person) {
        return names.find(CurrentWorkshop.id(), person);
    }

    private Optional<BenchHoursEntity> row(UUID person, Predicate<BenchHoursEntity> which) {
        return hours.from(LocalDate.EPOCH).stream()
                .filter(row -> row.person().equals(person) && which.test(row))
                .findFirst();
    }
}
