package rosinedpeg.core.dates;

import java.util.Optional;
import org.jspecify.annotations.Nullable;
import rosinedpeg.core.settling.Steadiness;

/** What players and workshops keep dates of. */
public enum OccasionKind {
    CONCERT(Steadiness.CONCERT),
    REHEARSAL(Steadiness.REHEARSAL),
    /** A lesson or a class. Strings that sink are tuned in it as in a rehearsal. */
    LESSON(Steadiness.REHEARSAL),
    /** The days between which a school or an ensemble works. */
    TERM(null),
    /** Days on which nobody plays. */
    HOLIDAY(null);

    private final @Nullable Steadiness asks;

    OccasionKind(@Nullable Steadiness asks) {
        this.asks = asks;
    }

    /** {@return how well strings have to hold when it begins; empty where nothing is played at one moment} */
    public Optional<Steadiness> asks() {
        return Optional.ofNullable(asks);
    }

    /** {@return whether it takes whole days} */
    public boolean takesDays() {
        return asks == null;
    }
}
