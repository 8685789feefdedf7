package rosinedpeg.web.occasions;

import java.time.Instant;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import rosinedpeg.core.dates.OccasionKind;
import rosinedpeg.core.settling.Steadiness;

/**
 * A date the workshop keeps: something that is played, or days that a term or a holiday takes.
 *
 * @param id its id
 * @param what what it is, and when
 * @param series what it shares with those it is repeated with; empty for one that stands alone
 * @param version how often it has been changed, which a form that changes it sends along
 */
public record Occasion(UUID id, What what, Optional<UUID> series, int version) {

    /** The most characters of a name. */
    public static final int LONGEST_NAME = 60;
    /** The most characters of a note. */
    public static final int LONGEST_NOTE = 200;

    /**
     * What an occasion is, and when.
     *
     * @param kind what sort of date it is
     * @param name what it is called
     * @param note what somebody notes of it, as the place; may be empty
     * @param beginsAt when it begins; where it takes days, at the start of the first
     * @param endsAt when it is over; where it takes days, at the start of the day after the last
     * @param instruments which instruments are played then; empty where it concerns all of them
     */
    public record What(
            OccasionKind kind, String name, String note, Instant beginsAt, Instant endsAt, Set<UUID> instruments) {}

    /** {@return what sort of date it is} */
    public OccasionKind kind() {
        return what.kind();
    }

    /** {@return what it is called} */
    public String name() {
        return what.name();
    }

    /** {@return when it begins} */
    public Instant beginsAt() {
        return what.beginsAt();
    }

    /** {@return whether an instrument is played then, as far as anybody said} */
    public boolean concerns(UUID instrumentId) {
        return what.instruments().isEmpty() || what.instruments().contains(instrumentId);
    }

    /**
     * How well strings have to hold when it begins.
     *
     * @throws java.util.NoSuchElementException when nothing is played at one moment
     */
    public Steadiness steadiness() {
        return what.kind().asks().orElseThrow();
    }
}
