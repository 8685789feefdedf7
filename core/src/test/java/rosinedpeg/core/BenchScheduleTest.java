package rosinedpeg.core;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.SortedMap;
import java.util.TreeMap;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import rosinedpeg.core.dates.BenchJob;
import rosinedpeg.core.dates.BenchSchedule;

/** Many instruments, one bench. */
class BenchScheduleTest {

    private static final LocalDate MONDAY = LocalDate.of(2030, 5, 6);

    private static BenchJob job(String name, int minutes, int earliest, int latest) {
        return new BenchJob(name, minutes, MONDAY.plusDays(earliest), MONDAY.plusDays(latest));
    }

    private static SortedMap<LocalDate, Integer> days(int... minutes) {
        SortedMap<LocalDate, Integer> days = new TreeMap<>();
        for (int i = 0; i < minutes.length; i++) {
            days.put(MONDAY.plusDays(i), minutes[i]);
        }
        return days;
    }

    @Test
    void packsWhatFirstComeFirstServedWouldNot() {
        BenchSchedule schedule = BenchSchedule.of(
                List.of(
                        job("a", 40, 0, 1),
                        job("b", 30, 0, 1),
                        job("c", 60, 0, 1),
                        job("d", 50, 0, 1),
                        job("e", 20, 1, 2)),
                days(90, 90, 30));
        assertThat(schedule.undone()).isEmpty();
        assertThat(schedule.provenBest()).isTrue();
        assertThat(schedule.days()).hasSize(5);
        assertThat(schedule.freeMinutes(MONDAY, 90)).isZero();
    }

    @Test
    void saysWhatCannotBeDoneAndWhy() {
        BenchSchedule schedule = BenchSchedule.of(
                List.of(
                        job("too late", 30, 5, 6),
                        job("too long", 120, 0, 1),
                        job("one", 60, 0, 0),
                        job("two", 50, 0, 0),
                        job("three", 20, 0, 0)),
                days(90, 90));
        assertThat(schedule.days().keySet()).extracting(BenchJob::name).containsExactlyInAnyOrder("two", "three");
        assertThat(schedule.undone())
                .extracting(undone -> undone.job().name() + " " + undone.reason() + " " + undone.takenInWindow() + "/"
                        + undone.minutesInWindow())
                .containsExactly(
                        "too late NO_OPEN_DAY 0/0", "too long LONGER_THAN_ANY_DAY 70/180", "one BENCH_FULL 70/90");
    }

    @Test
    void prefersEarlyDays() {
        BenchSchedule schedule = BenchSchedule.of(List.of(job("a", 30, 0, 4), job("b", 30, 0, 4)), days(60, 60));
        assertThat(schedule.days().values()).containsOnly(MONDAY);
    }

    @Test
    void namesWhatIsWrong() {
        assertThatThrownBy(() -> job("a", 0, 0, 1)).hasMessageContaining("minutes is 0.0");
        assertThatThrownBy(() -> job("a", 10, 2, 1)).hasMessageContaining("latest is");
        assertThatThrownBy(() -> BenchSchedule.of(List.of(job("a", 10, 0, 1), job("a", 20, 0, 1)), days(60)))
                .hasMessageContaining("a name of its own");
        assertThatThrownBy(() -> BenchSchedule.of(List.of(), days(-1))).hasMessageContaining("-1 min");
    }

    /** Full weeks, to be compared when the way they are packed is changed: what is on each day, and what is left. */
    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            1 | 12 | 4 | KIDC 3, AH 16, JL 22, EFB 37, G undone, the best
            2 | 18 | 5 | AM 54, C 28, GIH 0, JRO 19, BDPE 9, FKLNQ undone, the best
            3 | 24 | 6 | JF 17, BLU 26, TSM 10, KXA 0, POG 4, CV 13, DEHINQRW undone, the best
            4 | 26 | 6 | TD 34, GQ 17, XL 10, UWCH 3, YN 18, MPZF 7, ABEIJKORSV undone
            5 | 22 | 4 | UHGR 7, LAE 3, MIDC 2, JBPTF 5, KNOQSV undone, the best
            6 | 26 | 8 | BHXQ 6, LWJI 27, AM 21, RN 7, TP 11, SE 9, ZVD 43, GYC 19, FKOU undone
            7 | 16 | 3 | CJFK 9, PLDEO 12, HIM 20, ABGN undone, the best
            8 | 20 | 5 | HG 40, CJQ 1, SM 16, BDOFA 14, PRNI 5, EKLT undone, the best
            """)
    void schedulesOnRecord(int seed, int jobs, int days, String expected) {
        Random random = new Random(seed);
        int[] minutes = random.ints(days, 60, 140).toArray();
        List<BenchJob> wanted = new ArrayList<>();
        for (int i = 0; i < jobs; i++) {
            int earliest = random.nextInt(days);
            wanted.add(job("" + (char) ('A' + i), 10 + random.nextInt(50), earliest, earliest + random.nextInt(3)));
        }
        BenchSchedule schedule = BenchSchedule.of(wanted, days(minutes));
        StringBuilder written = new StringBuilder();
        for (int day = 0; day < days; day++) {
            LocalDate date = MONDAY.plusDays(day);
            schedule.days().forEach((one, on) -> written.append(on.equals(date) ? one.name() : ""));
            written.append(' ').append(schedule.freeMinutes(date, minutes[day])).append(", ");
        }
        schedule.undone().forEach(undone -> written.append(undone.job().name()));
        assertThat(written + (schedule.provenBest() ? " undone, the best" : " undone"))
                .isEqualTo(expected);
    }

    /** Against trying out everything: no schedule does more, every job keeps to its days, no day is overfull. */
    @Property(tries = 150)
    void noScheduleDoesMore(@ForAll @IntRange(min = 1, max = 100_000) int seed) {
        Random random = new Random(seed);
        List<BenchJob> jobs = new ArrayList<>();
        int count = 1 + random.nextInt(6);
        for (int i = 0; i < count; i++) {
            int earliest = random.nextInt(3);
            jobs.add(job("job " + i, 10 + random.nextInt(60), earliest, earliest + random.nextInt(3)));
        }
        int[] minutes = {random.nextInt(100), random.nextInt(100), random.nextInt(100)};
        SortedMap<LocalDate, Integer> days = days(minutes);
        BenchSchedule schedule = BenchSchedule.of(jobs, days);
        assertThat(schedule.provenBest()).isTrue();
        assertThat(schedule.days().size() + schedule.undone().size()).isEqualTo(count);
        assertThat(schedule.days()).hasSize(mostByTryingAll(jobs, 0, minutes));
        for (Map.Entry<BenchJob, LocalDate> entry : schedule.days().entrySet()) {
            assertThat(entry.getValue())
                    .isBetween(entry.getKey().earliest(), entry.getKey().latest());
        }
        days.forEach(
                (day, there) -> assertThat(schedule.freeMinutes(day, there)).isNotNegative());
    }

    private static int mostByTryingAll(List<BenchJob> jobs, int index, int[] free) {
        if (index == jobs.size()) {
            return 0;
        }
        int most = mostByTryingAll(jobs, index + 1, free);
        BenchJob job = jobs.get(index);
        for (int day = 0; day < free.length; day++) {
            LocalDate date = MONDAY.plusDays(day);
            if (free[day] >= job.minutes() && !date.isBefore(job.earliest()) && !date.isAfter(job.latest())) {
                free[day] -= job.minutes();
                most = Math.max(most, 1 + mostByTryingAll(jobs, index + 1, free));
                free[day] += job.minutes();
            }
        }
        return most;
    }
}
