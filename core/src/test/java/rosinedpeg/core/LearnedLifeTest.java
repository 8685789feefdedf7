package rosinedpeg.core;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Collections;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import rosinedpeg.core.estimate.Interval;
import rosinedpeg.core.estimate.KaplanMeier;
import rosinedpeg.core.estimate.KaplanMeier.Watched;
import rosinedpeg.core.figure.Origin;
import rosinedpeg.core.wear.Demand;
import rosinedpeg.core.wear.LearnedLife;
import rosinedpeg.core.wear.Life;
import rosinedpeg.core.wear.Lived;

/** What a workshop's own strings say of how long their kind lasts. */
class LearnedLifeTest {

    private static final Life THOUGHT = new Life(300, 30);

    private static Lived over(double hours, double months, Demand demand) {
        return new Lived(hours, months, demand, true);
    }

    private static Lived good(double hours, double months) {
        return new Lived(hours, months, Demand.STUDY, false);
    }

    /** By hand: 5 of 6 go on, one is lost from sight, 3 of 4 of those, then 1 of 2 that end together with one lost. */
    @Test
    void oneThatIsNotOverCountsForAsLongAsItWasWatched() {
        assertThat(KaplanMeier.of(List.of(
                        new Watched(6, true),
                        new Watched(2, false),
                        new Watched(1, true),
                        new Watched(9, false),
                        new Watched(3, true),
                        new Watched(6, false))))
                .containsExactly(
                        new KaplanMeier.Fall(1, 6, 1, 5 / 6.0),
                        new KaplanMeier.Fall(3, 4, 1, 5 / 6.0 * (1 - 1 / 4.0)),
                        new KaplanMeier.Fall(6, 3, 1, 5 / 6.0 * (1 - 1 / 4.0) * (1 - 1 / 3.0)));
    }

    /** Nothing, only strings that are good still, and one that broke on its way up: the default stands as it is. */
    @Test
    void beforeTheFirstStringIsOverTheLifeThatWasThoughtOfStands() {
        for (List<Lived> strings : List.of(
                List.<Lived>of(),
                List.of(good(100, 4), good(700, 20)),
                List.of(over(0.2, 0, Demand.CONCERT), good(50, 2)))) {
            for (LearnedLife life :
                    List.of(LearnedLife.of(THOUGHT, strings), LearnedLife.of(THOUGHT, strings, Demand.CONCERT))) {
                assertThat(life.isLearned()).isFalse();
                assertThat(life.factor()).isEqualTo(1);
                assertThat(life.life()).isEqualTo(THOUGHT);
            }
        }
    }

    @Test
    void playingAndTimeUseAStringUpTogetherAndThePlayersDemandIsTakenOut() {
        // 180 h of 300 and 6 months of 30 are 0.8 of a life: all that a concert player asks of it.
        List<Lived> asThought = Collections.nCopies(40, over(180, 6, Demand.CONCERT));
        LearnedLife same = LearnedLife.of(THOUGHT, asThought);
        assertThat(same.factor()).isCloseTo(1, within(0.03));
        assertThat(same.over()).isEqualTo(40);
        assertThat(same.restsOnFew()).isFalse();

        LearnedLife longer = LearnedLife.of(
                THOUGHT,
                Stream.of(340, 380, 420, 450, 480, 500, 540, 600)
                        .map(hours -> over(hours, 0, Demand.STUDY))
                        .toList());
        assertThat(longer.life().origin()).isEqualTo(Origin.LEARNED);
        assertThat(longer.life().hours()).isCloseTo(455, within(20.0));
        assertThat(longer.life().months() / longer.life().hours()).isCloseTo(0.1, within(1e-9));
        Interval factor = longer.factorWithin();
        assertThat(factor.low()).isBetween(1.2, 1.5);
        assertThat(factor.high()).isBetween(1.6, 1.9);
    }

    @Test
    void fewPullTheDefaultAndThoseStillGoodAreHeard() {
        Lived one = over(600, 0, Demand.STUDY);
        double single = LearnedLife.of(THOUGHT, List.of(one)).factor();
        double ten = LearnedLife.of(THOUGHT, Collections.nCopies(10, one)).factor();
        assertThat(single).isBetween(1.2, 1.8);
        assertThat(ten).isBetween(single, 2.05);
        double besideGood = LearnedLife.of(THOUGHT, List.of(one, good(800, 0), good(900, 0)))
                .factor();
        assertThat(besideGood).isGreaterThan(single + 0.2);
        assertThat(LearnedLife.of(THOUGHT, List.of(one)).restsOnFew()).isTrue();
    }

    /** Of four, one is over at half a life, one was good at 0.8 when it was last seen, one is over at 1.2, one goes on at 2. */
    @Test
    void whatTheStringsThemselvesSayIsToldWithoutALaw() {
        LearnedLife life = LearnedLife.of(
                THOUGHT, List.of(over(150, 0, Demand.STUDY), good(240, 0), over(360, 0, Demand.STUDY), good(600, 0)));
        assertThat(life.stillGoodByThemselves(0.4)).contains(1.0);
        assertThat(life.stillGoodByThemselves(1)).contains(0.75);
        assertThat(life.stillGoodByThemselves(1.5)).contains(0.75 / 2);
        assertThat(life.stillGoodByThemselves(2.1)).isEmpty();
        assertThat(LearnedLife.of(THOUGHT, List.of(over(150, 0, Demand.STUDY))).stillGoodByThemselves(3))
                .contains(0.0);
        assertThat(LearnedLife.of(THOUGHT, List.of()).stillGoodByThemselves(1)).isEmpty();
    }

    /** What the strings of others say is the life that was thought of, for a demand without records of its own. */
    @Test
    void oneDemandIsHeardAfterTheOthers() {
        List<Lived> loans = Collections.nCopies(20, over(187.5, 0, Demand.LOAN));
        LearnedLife concert = LearnedLife.of(THOUGHT, loans, Demand.CONCERT);
        assertThat(concert.over()).isZero();
        assertThat(concert.overElsewhere()).isEqualTo(20);
        assertThat(concert.factor()).isCloseTo(0.5, within(0.03));
        List<Lived> both = Stream.concat(loans.stream(), Collections.nCopies(20, over(240, 0, Demand.CONCERT)).stream())
                .toList();
        assertThat(LearnedLife.of(THOUGHT, both, Demand.CONCERT).factor()).isBetween(0.8, 1.0);
        assertThat(LearnedLife.of(THOUGHT, both, Demand.LOAN).factor()).isCloseTo(0.5, within(0.03));
    }

    @Test
    void theShareThatIsStillGoodFallsFromAllAndIsHalfAtTheLife() {
        LearnedLife life = LearnedLife.of(THOUGHT, List.of(over(200, 5, Demand.STUDY), good(260, 9)));
        assertThat(life.stillGoodAfter(0)).isEqualTo(new Interval(1, 1, 1));
        double last = 1;
        for (double lives = 0.1; lives < 4; lives += 0.1) {
            Interval share = life.stillGoodAfter(lives);
            assertThat(share.best()).isLessThanOrEqualTo(last).isBetween(share.low(), share.high());
            last = share.best();
        }
        assertThat(life.stillGoodAfter(life.factor()).best()).isCloseTo(0.5, within(1e-9));
        assertThat(life.livesUntil(0.5)).isEqualTo(life.factorWithin());
        for (double share = 0.05; share < 1; share += 0.1) {
            Interval lives = life.livesUntil(share);
            assertThat(life.stillGoodAfter(lives.best()).best()).isCloseTo(share, within(1e-9));
            assertThat(lives.best()).isBetween(lives.low(), lives.high());
        }
    }

    /** Kinds scatter about what was thought of them; the truth lies in the interval about nine times in ten. */
    @ParameterizedTest
    @CsvSource({"1, false, 0.30", "5, true, 0.20", "20, false, 0.08", "50, true, 0.06"})
    void theTruthLiesInTheIntervalNineTimesInTen(int many, boolean someStillGood, double offAtMost) {
        LifeSimulation.Good good = new LifeSimulation(7, 400).good(many, someStillGood);
        assertThat(good.inside()).isBetween(0.86, 0.95);
        assertThat(good.off()).isLessThan(offAtMost);
    }
}
