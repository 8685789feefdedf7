package rosinedpeg.core.plan;

import static java.util.Objects.requireNonNull;

import java.util.Optional;
import java.util.Set;
import rosinedpeg.core.pegs.PegDiagnosis;
import rosinedpeg.core.pegs.PegSign;

/** How a peg behaves when it is turned. */
public enum PegCondition {
    FITS,
    STICKS,
    SLIPS;

    /** {@return how a peg with those signs behaves; one that also slips counts as slipping} */
    public static PegCondition of(Set<PegSign> signs) {
        if (PegDiagnosis.slips(signs)) {
            return SLIPS;
        }
        return PegDiagnosis.sticks(signs) ? STICKS : FITS;
    }

    /**
     * What a school treats such a peg with. Nothing that lubricates ever goes on a slipping peg.
     *
     * @param treatment the school
     * @return the material; empty when the peg is only cleaned
     */
    public Optional<Material> treatedWith(Schools.Treatment treatment) {
        requireNonNull(treatment, "treatment");
        if (treatment == Schools.Treatment.COMPOUND) {
            return Optional.of(Material.PEG_COMPOUND);
        }
        boolean bought = treatment == Schools.Treatment.PASTE_AND_DROPS;
        return switch (this) {
            case FITS -> Optional.empty();
            case STICKS -> Optional.of(bought ? Material.LUBRICATING_PASTE : Material.DRY_SOAP);
            case SLIPS -> Optional.of(bought ? Material.GRIPPING_DROPS : Material.CHALK);
        };
    }
}
