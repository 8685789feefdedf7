package rosinedpeg.core.pegs;

import static java.util.Objects.requireNonNull;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import rosinedpeg.core.setup.PegKind;

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
    /** Forcing it cracks pegboxes, and strips gears. */
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
        return of(signs, PegKind.TAPERED_WOOD, Optional.empty()).stream().noneMatch(PegDiagnosis::refer)
                && (slips(signs) || sticks(signs));
    }

    /** {@return whether those are signs of one that slips} */
    public static boolean slips(Set<PegSign> signs) {
        return signs.contains(PegSign.CREEPS_BACK);
    }

    /** {@return whether those are signs of one that sticks} */
    public static boolean sticks(Set<PegSign> signs) {
        return signs.stream().anyMatch(OF_STICKING::contains);
    }

    /**
     * What signs amount to.
     *
     * @param noticed what was noticed; nothing noticed means it fits. What such pegs cannot show was noticed at others, which were there
     *     before, and counts for nothing
     * @param kind what the strings are wound on
     * @param wood what a tapered peg is made of, empty when nobody recorded it
     * @return every diagnosis, the worst first; only {@code FITS} when nothing is wrong
     */
    public static List<PegDiagnosis> of(Set<PegSign> noticed, PegKind kind, Optional<PegWood> wood) {
        requireNonNull(wood, "wood");
        Set<PegSign> signs = EnumSet.copyOf(PegSign.of(kind));
        signs.retainAll(noticed);
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
        if (slips(signs)) {
            found.add(SLIPPING);
        } else if (signs.contains(PegSign.BOTH_BANDS_SHINY)
                && wood.filter(PegWood.EBONY::equals).isPresent()) {
            found.add(POLISHED);
        }
        if (sticks(signs)) {
            found.add(STICKING);
        }
        return found.isEmpty() ? List.of(FITS) : List.copyOf(found);
    }
}
