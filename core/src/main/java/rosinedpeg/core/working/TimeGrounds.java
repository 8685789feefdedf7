package rosinedpeg.core.working;

import static rosinedpeg.core.figure.Finite.requireFinite;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import rosinedpeg.core.figure.Figure;
import rosinedpeg.core.figure.Unit;
import rosinedpeg.core.plan.ChangePlan;
import rosinedpeg.core.plan.Step;
import rosinedpeg.core.strings.Position;

/**
 * What the usual time of some work rests on.
 *
 * @param forAllMinutes steps that are no string's own
 * @param ofEachMinutes the steps of each string
 */
public record TimeGrounds(double forAllMinutes, Map<Position, Double> ofEachMinutes) implements Grounds<TimeGrounds> {

    /** Checks the figures and copies the map. */
    public TimeGrounds {
        requireFinite("forAllMinutes", forAllMinutes);
        requireFinite("ofEachMinutes", ofEachMinutes);
        ofEachMinutes = Position.inOrder(ofEachMinutes);
    }

    /** {@return what the time of a plan rests on} */
    public static TimeGrounds of(ChangePlan plan) {
        double forAll = 0;
        Map<Position, Double> ofEach = new EnumMap<>(Position.class);
        for (Step step : plan.steps()) {
            if (step.position() == null) {
                forAll += step.kind().minutes();
            } else {
                ofEach.merge(step.position(), step.kind().minutes(), Double::sum);
            }
        }
        return new TimeGrounds(forAll, ofEach);
    }

    double minutes() {
        return forAllMinutes
                + ofEachMinutes.values().stream()
                        .mapToDouble(Double::doubleValue)
                        .sum();
    }

    /** {@inheritDoc} */
    @Override
    public List<Ingredient<TimeGrounds>> ingredients() {
        List<Ingredient<TimeGrounds>> all = new ArrayList<>();
        all.add(Ingredient.unbounded(
                What.Other.of(What.Part.MINUTES_FOR_ALL),
                Figure.byDefault(forAllMinutes, Unit.MINUTE),
                value -> new TimeGrounds(value, ofEachMinutes)));
        all.addAll(Numbers.of(
                What.Part.MINUTES_AT_STRING,
                ofEachMinutes,
                Unit.MINUTE,
                moved -> new TimeGrounds(forAllMinutes, moved)));
        return List.copyOf(all);
    }
}
