package rosinedpeg.core.week;

/**
 * Why work wants to be done, with what it is worth to have it done in time. The figures are defaults of our own: only how many times
 * as much one is worth as another matters.
 */
public enum JobKind {
    /** Strings are due, and something is played that new ones have to hold at. */
    STRINGS_PLAYED(8),
    /** A bridge is looked at in the days after its strings were changed, so that it does not fall. */
    BRIDGE(7),
    /** Somebody asked for it. */
    WISHED(6),
    /** A repairer has given it back: it is looked over before anybody trusts it. */
    BACK(6),
    /** Pegs stick or slip: forced, they crack the pegbox, and what slips does not hold. */
    PEGS(5),
    /** Strings are due, and no date asks for new ones. */
    STRINGS_DUE(4),
    /** Two sets take turns, and the turn of the other has come. */
    SETS_IN_TURN(3),
    /** A step was left out on purpose and has to be made up for. */
    OWED(3),
    /** Nobody knows how old strings are. */
    AGE_UNKNOWN(2);

    private final int worth;

    JobKind(int worth) {
        this.worth = worth;
    }

    /** {@return what it is worth} */
    public int worth() {
        return worth;
    }
}
