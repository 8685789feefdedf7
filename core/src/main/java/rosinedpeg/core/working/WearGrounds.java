package rosinedpeg.core.working;

import static java.util.Objects.requireNonNull;
import static rosinedpeg.core.figure.Finite.requireFinite;

import java.util.List;
import rosinedpeg.core.figure.Figure;
import rosinedpeg.core.figure.Range;
import rosinedpeg.core.figure.Unit;
import rosinedpeg.core.wear.Demand;
import rosinedpeg.core.wear.Life;
import rosinedpeg.core.wear.Wear;

/**
 * What the wear of a string rests on.
 *
 * @param hoursBefore played on it when its hours were counted last, or before it went on, 0 h or more
 * @param ageHours since it went on, 0 h or more
 * @param playingHours hours of the clock since they were counted in which it may have been played
 * @param diaryHours hours played since then beyond the usual ones, by the dates in the diary, 0 h or more
 * @param hoursPerWeek how much the instrument is played, 0 to 168 h a week
 * @param signsShare share that its signs of wear stand for, 0 or more
 * @param life how long such a string lasts
 * @param demandShare the worn share at which it is changed
 */
public record WearGrounds(
        double hoursBefore,
        double ageHours,
        double playingHours,
        double diaryHours,
        double hoursPerWeek,
        double signsShare,
        Life life,
        double demandShare)
        implements Grounds<WearGrounds> {

    private static final double HOURS_PER_DAY = 24;
    private static final Range DIARY_HOURS = new Range(0, 100_000, Unit.HOUR);

    /**
     * Checks the figures.
     *
     * @throws rosinedpeg.core.figure.OutOfRangeException when one is outside its range
     */
    public WearGrounds {
        requireNonNull(life, "life");
        requireFinite("demandShare", demandShare);
        DIARY_HOURS.require("diaryHours", diaryHours);
        Wear.after(hoursBefore + diaryHours, ageHours, playingHours, hoursPerWeek, signsShare, life)
                .monthsLeft(demandShare, hoursPerWeek);
    }

    /** {@return what the wear of a new string rests on that goes on an instrument played so much} */
    public static WearGrounds ofNew(Life life, Demand demand, double hoursPerWeek) {
        return new WearGrounds(0, 0, 0, 0, hoursPerWeek, 0, life, demand.threshold());
    }

    /** {@return what the wear of a string rests on that has come off} */
    public static WearGrounds ofPast(Wear wear) {
        return new WearGrounds(
                wear.hours(), wear.months() * Wear.HOURS_PER_MONTH, 0, 0, 0, wear.signs(), wear.life(), Wear.SPENT);
    }

    /** {@return how far the string is used up} */
    public Wear wear() {
        return Wear.after(hoursBefore + diaryHours, ageHours, playingHours, hoursPerWeek, signsShare, life);
    }

    /** {@inheritDoc} */
    @Override
    public List<Ingredient<WearGrounds>> ingredients() {
        return List.of(
                Ingredient.unbounded(
                        What.Other.of(What.Part.HOURS_BEFORE),
                        Figure.measured(hoursBefore, Unit.HOUR),
                        value -> new WearGrounds(
                                value,
                                ageHours,
                                playingHours,
                                diaryHours,
                                hoursPerWeek,
                                signsShare,
                                life,
                                demandShare)),
                Ingredient.unbounded(
                        What.Other.of(What.Part.AGE),
                        Figure.measured(ageHours / Wear.HOURS_PER_MONTH, Unit.MONTH),
                        value -> new WearGrounds(
                                hoursBefore,
                                value * Wear.HOURS_PER_MONTH,
                                playingHours,
                                diaryHours,
                                hoursPerWeek,
                                signsShare,
                                life,
                                demandShare)),
                Ingredient.unbounded(
                        What.Other.of(What.Part.PLAYING_TIME),
                        Figure.measured(playingHours / HOURS_PER_DAY, Unit.DAY),
                        value -> new WearGrounds(
                                hoursBefore,
                                ageHours,
                                value * HOURS_PER_DAY,
                                diaryHours,
                                hoursPerWeek,
                                signsShare,
                                life,
                                demandShare)),
                Ingredient.unbounded(
                        What.Other.of(What.Part.DIARY_HOURS),
                        Figure.measured(diaryHours, Unit.HOUR),
                        value -> new WearGrounds(
                                hoursBefore,
                                ageHours,
                                playingHours,
                                value,
                                hoursPerWeek,
                                signsShare,
                                life,
                                demandShare)),
                Ingredient.of(
                        What.Other.of(What.Part.HOURS_PER_WEEK),
                        Figure.measured(hoursPerWeek, Unit.HOUR_PER_WEEK),
                        Wear.HOURS_PER_WEEK,
                        value -> new WearGrounds(
                                hoursBefore, ageHours, playingHours, diaryHours, value, signsShare, life, demandShare)),
                Ingredient.unbounded(
                        What.Other.of(What.Part.SIGNS_OF_WEAR),
                        Figure.byDefault(signsShare, Unit.SHARE),
                        value -> new WearGrounds(
                                hoursBefore,
                                ageHours,
                                playingHours,
                                diaryHours,
                                hoursPerWeek,
                                value,
                                life,
                                demandShare)),
                Ingredient.of(
                        What.Other.of(What.Part.LIFE_HOURS),
                        new Figure(life.hours(), Unit.HOUR, life.origin()),
                        Life.HOURS,
                        value -> withLife(new Life(value, life.months(), life.origin()))),
                Ingredient.of(
                        What.Other.of(What.Part.LIFE_MONTHS),
                        new Figure(life.months(), Unit.MONTH, life.origin()),
                        Life.MONTHS,
                        value -> withLife(new Life(life.hours(), value, life.origin()))),
                Ingredient.unbounded(
                        What.Other.of(What.Part.DEMAND),
                        Figure.byDefault(demandShare, Unit.SHARE),
                        value -> new WearGrounds(
                                hoursBefore,
                                ageHours,
                                playingHours,
                                diaryHours,
                                hoursPerWeek,
                                signsShare,
                                life,
                                value)));
    }

    private WearGrounds withLife(Life other) {
        return new WearGrounds(
                hoursBefore, ageHours, playingHours, diaryHours, hoursPerWeek, signsShare, other, demandShare);
    }
}
