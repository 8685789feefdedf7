package rosinedpeg.core;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.Arrays;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import rosinedpeg.core.dates.ChangeWindow;
import rosinedpeg.core.dates.SafeChange;
import rosinedpeg.core.plan.Material;
import rosinedpeg.core.plan.Schools;
import rosinedpeg.core.plan.StepKind;
import rosinedpeg.core.settling.Steadiness;
import rosinedpeg.core.setup.Family;
import rosinedpeg.core.strings.Position;
import rosinedpeg.core.strings.StringCore;
import rosinedpeg.core.week.BenchHours;
import rosinedpeg.core.week.BenchHours.HoursException;
import rosinedpeg.core.week.StringsWindow;
import rosinedpeg.core.week.UsualWork;

/** What a week at the bench is planned from: hours, windows, minutes. */
class WeekTest {

    @ParameterizedTest
    @CsvSource(delimiter = '|', nullValues = "none", textBlock = """
            9-12:30, 14:00–17 | 9:00–12:30, 14:00–17:00 | 390
            14-17; 9.30-12 | 9:30–12:00, 14:00–17:00 | 330
            0-24 | 0:00–24:00 | 1440
            9-12 12-13 | 9:00–12:00, 12:00–13:00 | 240
            '' | '' | 0
            """)
    void hoursAreReadAsPeopleWriteThem(String written, String said, int minutes) {
        BenchHours hours = BenchHours.of(written);
        assertThat(hours).hasToString(said);
        assertThat(hours.minutes()).isEqualTo(minutes);
        assertThat(BenchHours.of(hours.toString())).isEqualTo(hours);
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            mornings | NOT_HOURS | mornings
            9-12 and 14-17 | NOT_HOURS | and
            22-25 | PAST_MIDNIGHT | 22:00–25:00
            22:30-24:10 | PAST_MIDNIGHT | 22:30–24:10
            9:70-12 | PAST_MIDNIGHT | 9:70-12
            12-9 | BACKWARDS | 12:00–9:00
            22-2 | BACKWARDS | 22:00–2:00
            9-12, 11-13 | TWICE | 9:00–12:00, 11:00–13:00
            """)
    void saysWhichHoursAreWrong(String written, BenchHours.Fault fault, String where) {
        assertThatThrownBy(() -> BenchHours.of(written)).isInstanceOfSatisfying(HoursException.class, wrong -> {
            assertThat(wrong.fault()).isEqualTo(fault);
            assertThat(wrong.where()).isEqualTo(where);
        });
    }

    @Test
    void whatIsLeftOfADay() {
        BenchHours hours = BenchHours.of("9-12, 14-17");
        assertThat(hours.minutesAfter(0)).isEqualTo(360);
        assertThat(hours.minutesAfter(11 * 60)).isEqualTo(240);
        assertThat(hours.minutesAfter(13 * 60)).isEqualTo(180);
        assertThat(hours.minutesAfter(17 * 60)).isZero();
    }

    private static Instant day(int day, int hour) {
        return LocalDate.of(2030, 5, day).atTime(hour, 0).toInstant(ZoneOffset.UTC);
    }

    private static StringsWindow.Due due(int day, Integer latest) {
        Optional<SafeChange.Performance> first = Optional.ofNullable(latest)
                .map(then -> new SafeChange.Performance(Steadiness.CONCERT, day(then + 4, 19)));
        return new StringsWindow.Due(
                day(day, 12), new SafeChange(latest == null ? day(day, 12) : day(latest, 12), first, Optional.empty()));
    }

    /** Today is the 6th, the 31st the last day that is planned for. */
    @ParameterizedTest
    @CsvSource(nullValues = "none", textBlock = """
            6, none, 6, 6, 31, false
            20, none, 6, 13, 31, false
            20, 18, 6, 13, 17, true
            6, 9, 6, 6, 8, true
            6, 6, 6, 6, 6, true
            6, 9, 8, 8, 8, true
            6, 9, 12, 12, 8, true
            28, 12, 6, 11, 11, true
            """)
    void aWindowGoesFromThePacketsToTheLastSafeDay(
            int dueOn, Integer latestSafe, int packets, int earliest, int latest, boolean played) {
        StringsWindow window = StringsWindow.of(
                List.of(due(dueOn, latestSafe), due(30, null)),
                LocalDate.of(2030, 5, packets),
                LocalDate.of(2030, 5, 6),
                LocalDate.of(2030, 5, 31),
                ZoneOffset.UTC);
        assertThat(window)
                .isEqualTo(new StringsWindow(LocalDate.of(2030, 5, earliest), LocalDate.of(2030, 5, latest), played));
    }

    /** Whoever changes strings until the evening of a day that is not closed has strings that hold. */
    @ParameterizedTest
    @EnumSource(StringCore.class)
    void onDaysThatAreNotClosedStringsHoldInTime(StringCore core) {
        List<SafeChange.Performance> played = List.of(
                new SafeChange.Performance(Steadiness.REHEARSAL, day(9, 18)),
                new SafeChange.Performance(Steadiness.CONCERT, day(20, 19)));
        LocalDate first = LocalDate.of(2030, 5, 1);
        Set<LocalDate> closed =
                StringsWindow.closed(Set.of(core), played, first, LocalDate.of(2030, 5, 25), ZoneOffset.UTC);
        assertThat(closed).contains(LocalDate.of(2030, 5, 9), LocalDate.of(2030, 5, 20));
        for (LocalDate day = first; day.getDayOfMonth() <= 25; day = day.plusDays(1)) {
            Instant evening = day.plusDays(1).atStartOfDay().toInstant(ZoneOffset.UTC);
            Instant morning = day.atStartOfDay().toInstant(ZoneOffset.UTC);
            boolean spoils = played.stream()
                    .anyMatch(one -> one.beginsAt().isAfter(morning)
                            && ChangeWindow.holdsFrom(core, one.steadiness(), evening)
                                    .isAfter(one.beginsAt()));
            assertThat(closed.contains(day)).as("%s", day).isEqualTo(spoils);
        }
    }

    @ParameterizedTest
    @EnumSource(Family.class)
    void moreStringsTakeLonger(Family family) {
        Schools schools = Schools.usual(family);
        double[] minutes = new double[4];
        for (int strings = 1; strings <= 4; strings++) {
            UsualWork work = UsualWork.ofStrings(
                    family, EnumSet.copyOf(Arrays.asList(Position.values()).subList(0, strings)), schools);
            minutes[strings - 1] = work.minutes();
            assertThat(work.kit()).contains(Material.NEW_STRING);
        }
        assertThat(minutes).isSorted();
        assertThat(minutes[0]).isBetween(10.0, 60.0);
        assertThat(UsualWork.ofStrings(family, EnumSet.of(Position.V), schools))
                .isEqualTo(UsualWork.ofStrings(family, EnumSet.of(Position.IV), schools));
        assertThat(UsualWork.ofPegService(family).minutes())
                .isGreaterThan(UsualWork.ofBridge().minutes());
        assertThat(UsualWork.ofStep(StepKind.GRAPHITE, 4).minutes()).isEqualTo(UsualWork.FETCHING + 4);
    }
}
