package rosinedpeg.web.drawer;

import static java.util.Objects.requireNonNull;

import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import java.math.BigDecimal;
import java.time.Instant;
import java.time.LocalDate;
import java.util.UUID;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.annotations.TenantId;
import org.hibernate.type.SqlTypes;
import org.jspecify.annotations.Nullable;
import rosinedpeg.web.kinds.Price;

/** A string that lies in the drawer, or lay there. */
@Entity
@Table(name = "drawer_string")
class DrawerStringEntity {

    @Id
    private UUID id;

    @TenantId
    private UUID workshopId;

    private UUID kindId;
    private String code;
    private String place;
    private @Nullable UUID caseOf;
    private @Nullable LocalDate boughtOn;
    private @Nullable BigDecimal price;

    @JdbcTypeCode(SqlTypes.CHAR)
    private @Nullable String currency;

    private @Nullable UUID fittedId;
    private Instant enteredAt;
    private @Nullable UUID enteredBy;
    private UUID press;
    private int pressNumber;
    private @Nullable UUID runId;
    private @Nullable Instant leftAt;

    @Enumerated(EnumType.STRING)
    private @Nullable LeftHow leftHow;

    /** None until it is kept: then nobody has to ask whether it is new. */
    @Version
    private @Nullable Integer version;

    protected DrawerStringEntity() {}

    /** A new one, in its packet. */
    DrawerStringEntity(Laid laid, Code code, UUID press, int pressNumber, Instant at, @Nullable UUID by) {
        this.id = UUID.randomUUID();
        this.kindId = laid.kindId();
        this.code = code.value();
        this.place = laid.place();
        this.caseOf = laid.caseOf();
        this.boughtOn = laid.boughtOn();
        Price paid = laid.price();
        this.price = paid == null ? null : paid.amount();
        this.currency = paid == null ? null : paid.currency();
        this.press = press;
        this.pressNumber = pressNumber;
        this.enteredAt = at;
        this.enteredBy = by;
    }

    /** An old one that was kept. */
    static DrawerStringEntity old(UUID kindId, UUID fittedId, Code code, Instant at, @Nullable UUID by) {
        DrawerStringEntity string =
                new DrawerStringEntity(new Laid(kindId, "", null, null, null), code, UUID.randomUUID(), 1, at, by);
        string.fittedId = fittedId;
        return string;
    }

    /** It is in hand for a run. */
    void take(UUID run) {
        this.runId = run;
    }

    /** It lies in the drawer again. */
    void giveBack() {
        this.runId = null;
        this.leftAt = null;
        this.leftHow = null;
    }

    /** It has left the drawer. */
    void leave(LeftHow how, Instant at) {
        this.leftHow = how;
        this.leftAt = at;
    }

    /** It lies somewhere else, or in the case of an instrument. */
    void move(String to, @Nullable UUID caseOfInstrument) {
        this.place = to;
        this.caseOf = caseOfInstrument;
    }

    InDrawer view() {
        return new InDrawer(
                id,
                code,
                kindId,
                place,
                caseOf,
                boughtOn,
                price == null ? null : new Price(price, requireNonNull(currency)),
                fittedId,
                enteredAt,
                enteredBy,
                runId,
                leftAt,
                leftHow,
                version());
    }

    UUID id() {
        return id;
    }

    boolean lies() {
        return leftAt == null && runId == null;
    }

    int version() {
        return version == null ? 0 : version;
    }

    @Nullable
    UUID runId() {
        return runId;
    }
}
