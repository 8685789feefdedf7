package rosinedpeg.web.instrument;

import java.util.Collection;
import java.util.Map;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import rosinedpeg.web.platform.ReadOnce;

/** What instruments are called and how they are played, read once for all of a page that want to know it. */
@Component
class Listings {

    private final InstrumentRepository instruments;
    private final ReadOnce<UUID, Listed> read = new ReadOnce<>();

    Listings(InstrumentRepository instruments) {
        this.instruments = instruments;
    }

    /** {@return some, by their ids, on the rack or not; what this workshop never had is missing} */
    Map<UUID, Listed> of(Collection<UUID> ids) {
        return read.some(
                ids,
                unread -> instruments.listed(unread.toArray(UUID[]::new)).stream()
                        .collect(Collectors.toMap(Listed::id, Function.identity())));
    }

    /** One that was read with all else of its instrument need not be read again. */
    void tell(Listed one) {
        read.tell(one.id(), one);
    }
}
