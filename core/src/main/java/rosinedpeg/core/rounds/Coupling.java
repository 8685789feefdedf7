package rosinedpeg.core.rounds;

import java.util.Collection;
import java.util.Optional;
import java.util.OptionalDouble;
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

    private static final Range RANGE = new Range(0, 0.02, Unit.MILLIMETRE);

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
        return -mmPerN * riseN * stiffnessNPerMm;
    }

    /**
     * Learns it from what was seen to happen: least squares through the origin.
     *
     * @param observations how other strings sank when one was raised
     * @return the coupling; empty while nothing that says anything was observed
     */
    public static OptionalDouble learn(Collection<Observation> observations) {
        Evidence evidence = Evidence.NONE.plus(observations);
        return evidence.readings() == 0
                ? OptionalDouble.empty()
                : OptionalDouble.of(evidence.coupling().orElseThrow().mmPerN());
    }

    /**
     * What was seen to happen, summed up so that it can be kept and added to.
     *
     * @param xx sum of the squares of {@code ΔT·EA/S}
     * @param xy sum of their products with what was lost
     * @param readings from how many readings
     */
    public record Evidence(double xx, double xy, int readings) {

        /** Nothing was seen yet. */
        public static final Evidence NONE = new Evidence(0, 0, 0);

        /** {@return this and more; what says nothing does not count} */
        public Evidence plus(Collection<Observation> observations) {
            double moreXx = xx;
            double moreXy = xy;
            int more = readings;
            for (Observation observation : observations) {
                double x = observation.riseN() * observation.stiffnessNPerMm();
                moreXx += x * x;
                moreXy += x * observation.lossN();
                more += x == 0 ? 0 : 1;
            }
            return new Evidence(moreXx, moreXy, more);
        }

        /** {@return the coupling by least squares; empty before the first reading} */
        public Optional<Coupling> coupling() {
            return readings == 0 ? Optional.empty() : Optional.of(new Coupling(RANGE.clamp(xy / xx)));
        }
    }

    /**
     * One string was raised, another one sank.
     *
     * @param riseN by how much the tension of the one was raised, in N
     * @param stiffnessNPerMm EA/S of the other
     * @param lossN what the other lost, in N; positive for a loss
     */
    public record Observation(double riseN, double stiffnessNPerMm, double lossN) {}
}
