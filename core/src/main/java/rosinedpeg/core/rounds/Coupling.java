package rosinedpeg.core.rounds;

import static java.util.Objects.requireNonNull;
import static rosinedpeg.core.figure.Finite.requireFinite;

import java.util.Collection;
import java.util.Optional;
import java.util.OptionalDouble;
import rosinedpeg.core.figure.Evidence;
import rosinedpeg.core.figure.Figure;
import rosinedpeg.core.figure.Origin;
import rosinedpeg.core.figure.Range;
import rosinedpeg.core.figure.Unit;
import rosinedpeg.core.setup.Family;

/**
 * How much body and neck give: when the tension of one string rises by 1 N, the span of every other one shortens by so
 * many mm.
 *
 * @param mmPerN c, 0 to 0.02 mm/N
 */
public record Coupling(double mmPerN) {

    /** Allowed values. */
    public static final Range RANGE = new Range(0, 0.02, Unit.MILLIMETRE_PER_NEWTON);

    /**
     * Checks the figure.
     *
     * @throws rosinedpeg.core.figure.OutOfRangeException outside 0 to 0.02 mm/N
     */
    public Coupling {
        RANGE.require("mmPerN", mmPerN);
    }

    /** {@return the default of a family, until readings say otherwise} */
    public static Coupling usual(Family family) {
        return switch (family) {
            case VIOLIN, VIOLA -> new Coupling(0.0015);
            case CELLO -> new Coupling(0.002);
            case BASS -> new Coupling(0.003);
        };
    }

    /** {@return what another string loses when one is raised: {@code −c·ΔT·EA/S}, in N; negative for a loss} */
    public double changeN(double riseN, double stiffnessNPerMm) {
        requireFinite("riseN", riseN);
        requireFinite("stiffnessNPerMm", stiffnessNPerMm);
        return -mmPerN * riseN * stiffnessNPerMm;
    }

    /**
     * Learns it from what was seen to happen: least squares through the origin.
     *
     * @param observations how other strings sank when one was raised
     * @return the coupling; empty while nothing that says anything was observed
     */
    public static OptionalDouble learn(Collection<Observation> observations) {
        return learned(add(Evidence.NONE, observations))
                .map(coupling -> OptionalDouble.of(coupling.mmPerN()))
                .orElse(OptionalDouble.empty());
    }

    /** {@return what was seen before, and this: what a string loses by the rise of another and its own stiffness} */
    public static Evidence add(Evidence before, Collection<Observation> observations) {
        Evidence evidence = before;
        for (Observation observation : observations) {
            evidence = evidence.plus(observation.riseN() * observation.stiffnessNPerMm(), observation.lossN());
        }
        return evidence;
    }

    /** {@return the coupling that was seen, within its range; empty before the first reading} */
    public static Optional<Coupling> learned(Evidence evidence) {
        return evidence.ratio().stream()
                .mapToObj(ratio -> new Coupling(RANGE.clamp(ratio)))
                .findFirst();
    }

    /** {@return the coupling of an instrument: what was seen, or its family's default before the first reading} */
    public static Coupling of(Family family, Evidence evidence) {
        requireNonNull(family, "family");
        return learned(evidence).orElseGet(() -> usual(family));
    }

    /** {@return the coupling of an instrument in mm/N: what was seen, or its family's default before the first reading} */
    public static Figure figure(Family family, Evidence evidence) {
        requireNonNull(family, "family");
        return learned(evidence)
                .map(seen -> new Figure(seen.mmPerN(), Unit.MILLIMETRE_PER_NEWTON, Origin.LEARNED))
                .orElse(Figure.byDefault(usual(family).mmPerN(), Unit.MILLIMETRE_PER_NEWTON));
    }

    /**
     * One string was raised, another one sank.
     *
     * @param riseN by how much the tension of the one was raised, in N
     * @param stiffnessNPerMm EA/S of the other
     * @param lossN what the other lost, in N; positive for a loss
     */
    public record Observation(double riseN, double stiffnessNPerMm, double lossN) {
        /** Checks the parts. */
        public Observation {
            requireFinite("lossN", lossN);
            requireFinite("riseN", riseN);
            requireFinite("stiffnessNPerMm", stiffnessNPerMm);
        }
    }
}
