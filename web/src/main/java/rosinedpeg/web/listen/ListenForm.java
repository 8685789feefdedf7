package rosinedpeg.web.listen;

import java.util.Optional;
import java.util.UUID;
import org.springframework.web.util.UriComponentsBuilder;
import rosinedpeg.core.pitch.Fifths;
import rosinedpeg.web.platform.Entry;

/**
 * What somebody wants to listen to.
 *
 * @param instrument the name of an instrument; empty for one of some size
 * @param size of some size
 * @param referenceA what A is, as typed; empty for what the instrument has
 * @param fifths how wide its steps are
 */
record ListenForm(String instrument, String size, String referenceA, Fifths fifths) {

    private static final String USUAL_SIZE = "VIOLIN 4/4";

    ListenForm {
        instrument = Entry.orEmpty(instrument);
        size = Optional.ofNullable(size).orElse(USUAL_SIZE);
        referenceA = Entry.orEmpty(referenceA);
        fifths = Optional.ofNullable(fifths).orElse(Fifths.PURE);
    }

    /** {@return the same in an address} */
    String in(String path, Optional<UUID> instrumentId) {
        return UriComponentsBuilder.fromPath(path)
                .queryParam("referenceA", "{referenceA}")
                .queryParam("fifths", "{fifths}")
                .queryParam(instrumentId.isPresent() ? "of" : "size", "{which}")
                .encode()
                .buildAndExpand(
                        referenceA, fifths, instrumentId.map(UUID::toString).orElse(size))
                .toUriString();
    }
}
