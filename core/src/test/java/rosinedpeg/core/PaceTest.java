package rosinedpeg.core;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Random;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import org.hipparchus.linear.Array2DRowRealMatrix;
import org.hipparchus.linear.ArrayRealVector;
import org.hipparchus.linear.CholeskyDecomposition;
import org.hipparchus.linear.RealVector;
import org.junit.jupiter.api.Test;
import rosinedpeg.core.bench.BenchEvent;
import rosinedpeg.core.estimate.Interval;
import rosinedpeg.core.pace.FinishedWork;
import rosinedpeg.core.pace.HandsOn;
import rosinedpeg.core.pace.LearnedPace;
import rosinedpeg.core.pace.Work;
import rosinedpeg.core.plan.Schools;
import rosinedpeg.core.setup.Family;

/** How long work takes at a bench. */
class PaceTest {

    private static final Instant BEGUN = Instant.parse("2026-09-01T10:00:00Z");
    private static final double WORKSHOPS = 0.35;
    private static final double FAMILIES = 0.15;
    private static final double SCHOOLS = 0.1;
    private static final double PEOPLE = 0.25;
    private static final double RUN = 0.25;
    private static final double NINE_IN_TEN = 1.6448536;

    private static Work work(int family, int person) {
        return new Work(Family.values()[family], Schools.usual(Family.values()[family]), "person " + person);
    }

    /** The same by the long way: every run on record and the one that is asked about are one normal vector. */
    @Property(tries = 150)
    void isWhatFollowsFromTheFiveSpreads(@ForAll long seed, @ForAll @IntRange(min = 1, max = 16) int runs) {
        Random lot = new Random(seed);
        List<FinishedWork> finished = new ArrayList<>();
        for (int i = 0; i < runs; i++) {
            finished.add(new FinishedWork(work(lot.nextInt(4), lot.nextInt(3)), 30, 15 + 60 * lot.nextDouble()));
        }
        Work asked = work(lot.nextInt(4), lot.nextInt(4));
        double[][] covariance = new double[runs][runs];
        double[] withAsked = new double[runs];
        double[] seen = new double[runs];
        for (int i = 0; i < runs; i++) {
            Work one = finished.get(i).work();
            for (int j = 0; j < runs; j++) {
                covariance[i][j] = shared(one, finished.get(j).work()) + (i == j ? RUN * RUN : 0);
            }
            withAsked[i] = shared(one, asked);
            seen[i] = Math.log(finished.get(i).takenMinutes() / 30);
        }
        RealVector weights = new CholeskyDecomposition(new Array2DRowRealMatrix(covariance))
                .getSolver()
                .solve(new ArrayRealVector(withAsked));
        double middle = weights.dotProduct(new ArrayRealVector(seen));
        double spread =
                Math.sqrt(shared(asked, asked) + RUN * RUN - weights.dotProduct(new ArrayRealVector(withAsked)));

        Collections.shuffle(finished, lot);
        Interval found = LearnedPace.of(finished).minutes(asked, 40);
        assertThat(found.best()).isCloseTo(40 * Math.exp(middle), within(1e-6));
        assertThat(found.low()).isCloseTo(40 * Math.exp(middle - NINE_IN_TEN * spread), within(1e-4));
        assertThat(found.high()).isCloseTo(40 * Math.exp(middle + NINE_IN_TEN * spread), within(1e-4));
    }

    private static double shared(Work one, Work other) {
        return WORKSHOPS * WORKSHOPS
                + (one.family() == other.family() ? FAMILIES * FAMILIES : 0)
                + (one.schools().equals(other.schools()) ? SCHOOLS * SCHOOLS : 0)
                + (one.person().equals(other.person()) ? PEOPLE * PEOPLE : 0);
    }

    /** With nothing on record the usual time exactly; what was pressed through or lay about says nothing. */
    @Test
    void isTheUsualTimeUntilSomethingIsKnown() {
        Work asked = work(0, 0);
        List<FinishedWork> odd = List.of(
                new FinishedWork(asked, 30, 5.9), new FinishedWork(asked, 30, 150.1), new FinishedWork(asked, 30, 0));
        for (List<FinishedWork> known : List.of(List.<FinishedWork>of(), odd)) {
            LearnedPace pace = LearnedPace.of(known);
            assertThat(pace.minutes(asked, 30).best()).isEqualTo(30);
            assertThat(pace.count(asked)).isEqualTo(new LearnedPace.Count(0, 0, 0, 0));
        }
    }

    /** One slow run moves little, ten move much; somebody else learns less from them, and another family too. */
    @Test
    void learnsMoreOfTheSameThanOfOthers() {
        FinishedWork slow = new FinishedWork(work(0, 0), 30, 60);
        double once = LearnedPace.of(List.of(slow)).minutes(work(0, 0), 30).best();
        LearnedPace often = LearnedPace.of(Collections.nCopies(10, slow));
        assertThat(once).isBetween(40.0, 55.0);
        assertThat(often.minutes(work(0, 0), 30).best()).isBetween(56.0, 60.0);
        assertThat(often.minutes(work(0, 1), 30).best())
                .isBetween(40.0, often.minutes(work(0, 0), 30).best() - 5);
        assertThat(often.minutes(work(2, 0), 30).best())
                .isLessThan(often.minutes(work(0, 0), 30).best());
        assertThat(often.count(work(0, 1))).isEqualTo(new LearnedPace.Count(10, 10, 10, 0));
    }

    /** What a figure rests on is counted, and somebody works as they did last. */
    @Test
    void saysWhatItRestsOnAndHowSomebodyWorkedLast() {
        Schools another = Schools.usual(Family.VIOLIN).with(Schools.OldStrings.NOT_KEPT);
        Work last = new Work(Family.VIOLIN, another, "person 0");
        LearnedPace pace = LearnedPace.of(List.of(
                new FinishedWork(last, 30, 30),
                new FinishedWork(work(0, 0), 30, 40),
                new FinishedWork(work(0, 1), 30, 40),
                new FinishedWork(work(2, 0), 30, 40),
                new FinishedWork(work(1, 1), 30, 500)));
        assertThat(pace.runs()).as("one was left lying").isEqualTo(4);
        assertThat(pace.count(last)).isEqualTo(new LearnedPace.Count(4, 3, 1, 3));
        assertThat(pace.count(work(0, 1))).isEqualTo(new LearnedPace.Count(4, 3, 3, 1));
        assertThat(pace.ways(Family.VIOLIN, "person 0")).contains(another);
        assertThat(pace.ways(Family.CELLO, "person 0")).contains(Schools.usual(Family.CELLO));
        assertThat(pace.ways(Family.CELLO, "person 1")).isEmpty();
    }

    /** Hands are at it from press to press; who goes away for the night has not worked all night. */
    @Test
    void aPauseIsNotWork() {
        List<BenchEvent> ledger = new ArrayList<>();
        long[] minutes = {2, 5, 20, 21, 21 + 14 * 60, 23 + 14 * 60};
        for (int i = 0; i < minutes.length; i++) {
            ledger.add(new BenchEvent.StepDone(i + 1, BEGUN.plus(Duration.ofMinutes(minutes[i])), i));
        }
        Collections.reverse(ledger);
        assertThat(HandsOn.minutes(BEGUN, ledger)).isCloseTo(2 + 3 + 15 + 1 + 1 + 2, within(1e-9));
        assertThat(HandsOn.minutes(BEGUN, List.of())).isZero();
        assertThat(HandsOn.minutes(BEGUN.plus(Duration.ofMinutes(22)), ledger)).isCloseTo(1 + 2, within(1e-9));
    }
}
