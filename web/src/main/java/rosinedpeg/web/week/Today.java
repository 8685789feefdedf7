package rosinedpeg.web.week;

import java.time.Clock;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Component;
import rosinedpeg.core.week.BenchJob;
import rosinedpeg.core.week.Place;
import rosinedpeg.web.bench.DayAtBench;
import rosinedpeg.web.bench.Pace;
import rosinedpeg.web.platform.CurrentWorkshop;
import rosinedpeg.web.platform.PersonNames;

/** What is left of today's list, by the plan as it is now: what took longer has moved the rest already. */
@Component
class Today implements DayAtBench {

    private final BenchWeek week;
    private final Pace pace;
    private final WeekWords words;
    private final PersonNames names;
    private final Clock clock;

    Today(BenchWeek week, Pace pace, WeekWords words, PersonNames names, Clock clock) {
        this.week = week;
        this.pace = pace;
        this.words = words;
        this.names = names;
        this.clock = clock;
    }

    @Override
    public Optional<Rest> rest() {
        PlannedWeek planned = week.plan();
        if (planned.people().isEmpty()) {
            return Optional.empty();
        }
        LocalDate today = planned.today();
        String me = names.of(CurrentWorkshop.person());
        List<Map.Entry<BenchJob, Place>> left = planned.schedule().places().entrySet().stream()
                .filter(entry -> entry.getValue().day().equals(today))
                .sorted(Comparator.comparing(entry -> !entry.getValue().person().equals(me)))
                .toList();
        Map<String, Job> jobs = planned.byKey();
        List<Pace.Done> done =
                pace.since(today.atStartOfDay(CurrentWorkshop.zone()).toInstant());
        return Optional.of(new Rest(
                left.size(),
                left.stream().mapToInt(Today::minutes).sum(),
                planned.times().stream()
                        .filter(time -> time.place().day().equals(today))
                        .mapToInt(time -> time.minutes())
                        .sum(),
                left.stream()
                        .findFirst()
                        .flatMap(entry -> Optional.ofNullable(
                                        jobs.get(entry.getKey().name()))
                                .map(job -> new Next(job.instrument(), words.what(job), minutes(entry), job.begin()))),
                done.size(),
                done.stream().mapToDouble(Pace.Done::takenMinutes).sum(),
                done.stream().mapToDouble(Pace.Done::usualMinutes).sum(),
                planned.jobs().stream()
                        .filter(job -> planned.breaksPromise(job.key()))
                        .map(Job::instrument)
                        .distinct()
                        .toList()));
    }

    private static int minutes(Map.Entry<BenchJob, Place> entry) {
        return entry.getKey().minutesOf(entry.getValue().person()).orElseThrow();
    }
}
