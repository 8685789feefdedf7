package rosinedpeg.web.bench;

import static java.util.Objects.requireNonNull;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.domain.Limit;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import rosinedpeg.core.estimate.Interval;
import rosinedpeg.core.pace.FinishedWork;
import rosinedpeg.core.pace.HandsOn;
import rosinedpeg.core.pace.LearnedPace;
import rosinedpeg.core.pace.Work;
import rosinedpeg.core.plan.ChangePlan;
import rosinedpeg.core.plan.Schools;
import rosinedpeg.core.setup.Family;
import rosinedpeg.web.platform.CurrentWorkshop;
import rosinedpeg.web.platform.PersonNames;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.json.JsonMapper;

/** How long work takes in this workshop, by the runs that were led to their end. */
@Service
@Transactional(readOnly = true)
public class Pace {

    /** So many of the latest runs teach it: more would say little more, and how people worked years ago says less. */
    private static final Limit LATEST = Limit.of(300);

    private final FinishedWorkRepository finished;
    private final PersonNames names;
    private final JsonMapper json;

    Pace(FinishedWorkRepository finished, PersonNames names, JsonMapper json) {
        this.finished = finished;
        this.names = names;
        this.json = json;
    }

    /** {@return what the latest runs teach} */
    public LearnedPace learned() {
        List<FinishedWork> latest = finished.findByOrderByFinishedAtDescRunId(LATEST).stream()
                .map(row -> new FinishedWork(
                        new Work(row.family(), read(row.schools(), row.family()), called(row.person())),
                        row.usualMinutes(),
                        row.takenMinutes()))
                .toList();
        return LearnedPace.of(latest);
    }

    /**
     * How long work takes here.
     *
     * @param minutes how long, with the interval one run lies in nine times in ten
     * @param runs how many finished runs that rests on
     */
    public record Here(Interval minutes, int runs) {}

    /**
     * How long work takes whoever asks.
     *
     * @param family on which family
     * @param schools how they work
     * @param usualMinutes how long it usually takes
     * @return that; empty while nobody has led a run to its end here
     */
    public Optional<Here> here(Family family, Schools schools, double usualMinutes) {
        LearnedPace learned = learned();
        return learned.runs() == 0
                ? Optional.empty()
                : Optional.of(new Here(
                        learned.minutes(
                                new Work(family, schools, called(CurrentWorkshop.person())),
                                FinishedWork.USUAL.clamp(usualMinutes)),
                        learned.runs()));
    }

    /**
     * Work that was done.
     *
     * @param person who did it
     * @param usualMinutes how long it usually takes
     * @param takenMinutes how long it took
     */
    public record Done(String person, double usualMinutes, double takenMinutes) {}

    /** {@return what was led to its end since a moment} */
    public List<Done> since(Instant moment) {
        return finished.findByFinishedAtGreaterThanEqual(moment).stream()
                .map(row -> new Done(called(row.person()), row.usualMinutes(), row.takenMinutes()))
                .toList();
    }

    /** Notes how long a run took that was led to its end. */
    @Transactional
    void note(RunEntity run, Run ended) {
        ChangePlan plan = ended.state().plan();
        Family family = plan.setUp().family();
        double usual = plan.minutes();
        double taken = HandsOn.minutes(run.startedAt(), ended.events());
        if (FinishedWork.USUAL.contains(usual) && FinishedWork.TAKEN.contains(taken)) {
            String schools = run.schools();
            finished.save(new FinishedWorkEntity(
                    run.id(),
                    family,
                    schools == null ? json.writeValueAsString(Schools.usual(family)) : schools,
                    run.startedBy(),
                    usual,
                    taken,
                    requireNonNull(run.endedAt())));
        }
    }

    /** Nobody at the bench is called as whoever was removed; they are told apart all the same. */
    private String called(UUID person) {
        return names.find(person).orElse(person.toString());
    }

    private Schools read(String kept, Family family) {
        try {
            return json.readValue(kept, Schools.class);
        } catch (JacksonException ofAnotherVersion) {
            return Schools.usual(family);
        }
    }
}
