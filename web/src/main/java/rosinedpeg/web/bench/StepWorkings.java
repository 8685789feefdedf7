package rosinedpeg.web.bench;

import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import rosinedpeg.core.plan.StepFigure;
import rosinedpeg.core.winding.WindingChoice;
import rosinedpeg.core.working.InstrumentFigure;

/**
 * Which figures of a step can show how they came about, and what they have to be asked with.
 *
 * @param figures those that can, and what each is a case of
 * @param ofTrimmed those of them that hold for the string as it is once it is trimmed
 * @param raisedTo the share of its tension that the step raises a string to
 * @param winding how the step's string is wound
 * @param kind the id of the kind of string that the step puts on
 */
record StepWorkings(
        Map<StepFigure, InstrumentFigure> figures,
        Set<StepFigure> ofTrimmed,
        Optional<Double> raisedTo,
        Optional<WindingChoice> winding,
        Optional<UUID> kind) {

    static final StepWorkings NONE =
            new StepWorkings(Map.of(), Set.of(), Optional.empty(), Optional.empty(), Optional.empty());
}
