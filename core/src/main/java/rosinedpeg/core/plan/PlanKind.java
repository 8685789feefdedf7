package rosinedpeg.core.plan;

/** What kind of work a plan is for. */
public enum PlanKind {
    /** New strings for old. */
    CHANGE(false),
    /** New strings for old, and all else seen to that is at hand meanwhile. */
    SERVICE(false),
    /** One string, now, on the shortest honest path; what is left out is owed. */
    EMERGENCY(false),
    /** The bridge has fallen and is stood up again. */
    BRIDGE_DOWN(true),
    /** Tailpiece or fine tuners are changed, for which all tension comes off. */
    TAILPIECE_CHANGE(true),
    /** Graphite on an instrument whose strings stay. */
    GRAPHITE(false),
    /** Pegs are treated or gears seen to, the strings stay. */
    PEG_SERVICE(false);

    private final boolean recordedRepair;

    PlanKind(boolean recordedRepair) {
        this.recordedRepair = recordedRepair;
    }

    /** {@return whether the post may be let go, because the work cannot be done otherwise} */
    public boolean recordedRepair() {
        return recordedRepair;
    }
}
