package rosinedpeg.core.estimate;

import static rosinedpeg.core.figure.Finite.requireFinite;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/**
 * How many of those that were begun go on, told from those that are over and those that are not yet.
 *
 * <p>Each that ends lowers the share by as much as it is of those that had come so far: {@code share · (1 − ended/come so
 * far)}. One that is not over counts among them for as long as it was watched, and no longer: left out, the short lives of
 * those that ended would speak for all; taken as ended, it would be given a life it has outlived. (Kaplan and Meier,
 * <i>Journal of the American Statistical Association</i> 53, 1958.)
 */
public final class KaplanMeier {

    /**
     * How long one was watched.
     *
     * @param length 0 or more, in one unit for all
     * @param over whether it ended then; otherwise it went on, or was taken from sight
     */
    public record Watched(double length, boolean over) {
        /** Checks the length. */
        public Watched {
            requireFinite("length", length);
            if (length < 0) {
                throw new IllegalArgumentException("length is " + length + "; it must be 0 or more");
            }
        }
    }

    /**
     * Where some ended.
     *
     * @param length after which they did
     * @param reached how many had come so far, they among them
     * @param ended how many ended there
     * @param share of all that goes on from there, 0 to 1
     */
    public record Fall(double length, int reached, int ended, double share) {
        /** Checks the figures. */
        public Fall {
            requireFinite("length", length);
            requireFinite("share", share);
        }
    }

    private KaplanMeier() {}

    /**
     * Tells how many go on.
     *
     * @param watched each as long as it was watched, in any order; may be empty
     * @return where the share falls, the shortest length first; before the first it is 1
     */
    public static List<Fall> of(List<Watched> watched) {
        List<Watched> inOrder = new ArrayList<>(watched);
        inOrder.sort(Comparator.comparingDouble(Watched::length));
        List<Fall> falls = new ArrayList<>();
        double share = 1;
        int at = 0;
        while (at < inOrder.size()) {
            double length = inOrder.get(at).length();
            int reached = inOrder.size() - at;
            int ended = 0;
            // One that was lost from sight at the very length at which another ended had come so far.
            while (at < inOrder.size() && inOrder.get(at).length() == length) {
                ended += inOrder.get(at).over() ? 1 : 0;
                at++;
            }
            if (ended > 0) {
                share *= 1 - (double) ended / reached;
                falls.add(new Fall(length, reached, ended, share));
            }
        }
        return List.copyOf(falls);
    }
}
