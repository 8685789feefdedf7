package rosinedpeg.core.pegs;

import static java.util.Objects.requireNonNull;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/** What is the matter with a peg, the worst first. */
public enum PegDiagnosis {
    /** Split, or the pegbox cracked beside it. Stop. */
    CRACKED(true, true),
    /** Taper of shaft and hole differ; compound will not cure it. */
    TAPER_MISMATCH(false, true),
    /** It has worn its way in. */
    WORN_IN(false, true),
    SLIPPING(false, false),
    /** It still holds, but ebony that has polished will slip before long. */
    POLISHED(false, false),
    /** Forcing it cracks pegboxes. */
    STICKING(false, false),
    FITS(false, false);

    private static final Set<PegSign> OF_STICKING =
            EnumSet.of(PegSign.STICKS, PegSign.CREAKS, PegSign.JERKS, PegSign.NEEDS_A_CLOTH_TO_TURN);

    private final boolean stops;
    private final boolean refer;

    PegDiagnosis(boolean stops, boolean refer) {
        this.stops = stops;
        this.refer = refer;
    }

    /** {@return whether no string may be wound on it} */
    public boolean stops() {
        return stops;
    }

    /** {@return whether it is a repairer's work} */
    public boolean refer() {
        return refer;
    }

    /**
     * Whether a peg wants to be treated at the bench: it sticks or slips, and nothing of it is a repairer's.
     *
     * @param signs what was noticed
     */
    public static boolean wantsTreatment(Set<PegSign> signs) {
        List<PegDiagnosis> found = of(signs, Optional.empty());
        return found.stream().noneMatch(PegDiagnosis::refer)
                && found.stream().anyMatch(one -> one == SLIPPING || one == STICKING);
    }

    /**
     * What signs amount to.
     *
     * @param signs what was noticed; nothing noticed means it fits
     * @param wood what the peg is made of, empty when nobody recorded it
     * @return every diagnosis, the worst first; only {@code FITS} when nothing is wrong
     */
    public static List<PegDiagnosis> of(Set<PegSign> signs, Optional<PegWood> wood) {
        requireNonNull(wood, "wood");
        List<PegDiagnosis> found = new ArrayList<>();
        if (signs.contains(PegSign.SPLIT) || signs.contains(PegSign.CRACK_NEAR_THE_HOLE)) {
            found.add(CRACKED);
        }
        if (signs.contains(PegSign.ONE_BAND_SHINY) || signs.contains(PegSign.HALF_A_BAND_SHINY)) {
            found.add(TAPER_MISMATCH);
        }
        if (signs.contains(PegSign.COLLAR_CLOSE_TO_WALL) || signs.contains(PegSign.END_STANDS_OUT_BEYOND_FAR_WALL)) {
            found.add(WORN_IN);
        }
        if (signs.contains(PegSign.CREEPS_BACK)) {
            found.add(SLIPPING);
        } else if (signs.contains(PegSign.BOTH_BANDS_SHINY)
                && wood.filter(PegWood.EBONY::equals).isPresent()) {
            found.add(POLISHED);
        }
        if (signs.stream().anyMatch(OF_STICKING::contains)) {
            found.add(STICKING);
        }
        return found.isEmpty() ? List.of(FITS) : List.copyOf(found);
    }
}
