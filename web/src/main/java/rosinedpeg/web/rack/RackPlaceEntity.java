package rosinedpeg.web.rack;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.Locale;
import java.util.UUID;
import org.hibernate.annotations.TenantId;
import org.jspecify.annotations.Nullable;

/** Where an instrument stands on the rack: worked out when something happens to it or its time is up, not for every look. */
@Entity
@Table(name = "rack_place")
class RackPlaceEntity {

    @Id
    private UUID instrumentId;

    @TenantId
    private UUID workshopId;

    /** As it is looked for: in small letters. */
    private String name;

    private Instant arrivedAt;
    private short urgency;
    private @Nullable Instant holdsUntil;
    private @Nullable Instant dueAt;
    private UUID edition = UUID.randomUUID();

    protected RackPlaceEntity() {}

    RackPlaceEntity(UUID instrumentId, String name, Instant arrivedAt) {
        this.instrumentId = instrumentId;
        this.name = inSmallLetters(name);
        this.arrivedAt = arrivedAt;
        take(Need.NO_STRINGS, Instant.EPOCH, null);
    }

    private static String inSmallLetters(String name) {
        return name.toLowerCase(Locale.ROOT);
    }

    /** It is called that now, and its place has to be worked out again. */
    void rename(String now) {
        name = inSmallLetters(now);
        holdsUntil = Instant.EPOCH;
    }

    UUID instrumentId() {
        return instrumentId;
    }

    /** It needs that, until then if nothing happens to it; its first string is due at that moment, if one of known age is on. */
    void take(Need need, Instant until, @Nullable Instant due) {
        urgency = (short) need.urgency();
        holdsUntil = until;
        dueAt = due;
        edition = UUID.randomUUID();
    }

    /** {@return whether it is on the bench, and looks otherwise with every step} */
    boolean onBench() {
        return urgency == Need.ON_BENCH.urgency();
    }

    /** {@return what it looks like: another one whenever something happened to it or its time was up} */
    UUID edition() {
        return edition;
    }
}
