package rosinedpeg.web.instrument;

import java.time.LocalDate;
import java.util.Collection;
import java.util.List;
import java.util.UUID;

/** Something that knows when instruments are not at hand. */
public interface NotAtHand {

    /**
     * Days on which an instrument is not at hand.
     *
     * @param instrumentId which instrument
     * @param from the first of them
     * @param until the last of them
     * @param why why, in the words of whoever asks; may be empty
     */
    record Days(UUID instrumentId, LocalDate from, LocalDate until, String why) {}

    /**
     * When instruments are not at hand.
     *
     * @param instrumentIds which instruments
     * @param from the first day that is asked about
     * @param until the last
     * @return days of which some lie between those, in any order
     */
    List<Days> notAtHand(Collection<UUID> instrumentIds, LocalDate from, LocalDate until);

    /** {@return what several know} */
    static List<Days> of(
            Collection<NotAtHand> sources, Collection<UUID> instrumentIds, LocalDate from, LocalDate until) {
        return sources.stream()
                .flatMap(source -> source.notAtHand(instrumentIds, from, until).stream())
                .toList();
    }
}
