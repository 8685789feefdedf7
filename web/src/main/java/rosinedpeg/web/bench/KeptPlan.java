package rosinedpeg.web.bench;

import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import rosinedpeg.web.platform.KeptFigure;
import rosinedpeg.web.platform.KeptSetUp;

/**
 * The form a plan is kept in, version {@value #VERSION}: plain words and numbers, so that a change inside the core leaves what
 * workshops have on record as it is. A member that is renamed or added makes a new version, with its way up in {@link KeptForms}.
 *
 * @param kind what kind of work it is
 * @param setUp the instrument as it was when the plan was made
 * @param order the strings to change, in the order of the work
 * @param before tension of every string before the work, in N, by position
 * @param atStart tension of every string as the work begins, in N, by position
 * @param after tension of every string after the work, in N, by position
 * @param bands where the bands of the post's load lie
 * @param steps the steps in order
 * @param owed steps that are left out on purpose
 */
record KeptPlan(
        String kind,
        KeptSetUp setUp,
        List<String> order,
        Map<String, Double> before,
        Map<String, Double> atStart,
        Map<String, Double> after,
        Bands bands,
        List<KeptStep> steps,
        List<String> owed) {

    /** The version that is written. */
    static final int VERSION = 1;

    /**
     * Where the bands of the post's load begin.
     *
     * @param held a share
     * @param light a share
     * @param thin a share
     */
    record Bands(double held, double light, double thin) {}

    /**
     * A step; its place is its place in the list.
     *
     * @param kind what is done
     * @param position the string it is done for, unless it is for the whole instrument
     * @param materials what is used
     * @param cautions what to take care of
     * @param figures what it needs to know
     * @param after tension of each string once it is done, in N, by position
     * @param bass share of the load on the bass foot then
     * @param treble share of the load on the treble foot then
     * @param band what that means for the post
     */
    record KeptStep(
            String kind,
            @Nullable String position,
            List<String> materials,
            List<String> cautions,
            Map<String, KeptFigure> figures,
            Map<String, Double> after,
            double bass,
            double treble,
            String band) {}

    /**
     * What somebody was told after a mishap.
     *
     * @param steps what went in
     * @param then how many of the plan's last steps came after them
     */
    record KeptAmendment(List<KeptStep> steps, int then) {}
}
