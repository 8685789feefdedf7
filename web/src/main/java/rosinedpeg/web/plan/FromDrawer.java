package rosinedpeg.web.plan;

import java.util.List;
import java.util.Optional;
import rosinedpeg.core.stock.Likeness;
import rosinedpeg.web.drawer.InDrawer;
import rosinedpeg.web.instrument.OldString;
import rosinedpeg.web.kinds.StringKind;

/**
 * What the drawer has for one place of a plan.
 *
 * @param kind what is wanted
 * @param taken the string that is taken when the plan goes to the bench; empty where there is none
 * @param fresh how many new ones of it lie there
 * @param old old ones of it that may go on again, the least worn first
 * @param nearest where none is there, kinds that are and fit, the nearest first
 */
record FromDrawer(StringKind kind, Optional<InDrawer> taken, int fresh, List<Old> old, List<Near> nearest) {

    /** {@return whether nothing of what is wanted lies there} */
    public boolean missing() {
        return taken.isEmpty();
    }

    /**
     * An old string that may go on again.
     *
     * @param string the string
     * @param was what it was
     */
    record Old(InDrawer string, OldString was) {}

    /**
     * A kind that could go on instead.
     *
     * @param kind the kind
     * @param likeness how far it is from what was wanted
     * @param there how many lie there
     * @param address where it is planned with that
     */
    record Near(StringKind kind, Likeness likeness, int there, String address) {}
}
