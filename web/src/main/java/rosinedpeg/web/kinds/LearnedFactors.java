package rosinedpeg.web.kinds;

import java.time.Instant;
import rosinedpeg.core.wear.Demand;

/**
 * How many times the life that was thought of a kind its strings have, as the workshop's own say.
 *
 * @param all whoever plays them
 * @param concert for players who want them fresh
 * @param study for others
 * @param loan on school and loan instruments
 * @param at as of when
 */
public record LearnedFactors(double all, double concert, double study, double loan, Instant at) {

    /** {@return the factor for one demand} */
    public double of(Demand demand) {
        return switch (demand) {
            case CONCERT -> concert;
            case STUDY -> study;
            case LOAN -> loan;
        };
    }
}
