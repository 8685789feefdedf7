package rosinedpeg.web.buying;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.math.BigDecimal;
import java.util.Optional;
import java.util.UUID;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.annotations.TenantId;
import org.hibernate.type.SqlTypes;
import org.jspecify.annotations.Nullable;
import rosinedpeg.web.kinds.Price;

/** One kind of string in an order. */
@Entity
@Table(name = "purchase_line")
class PurchaseLineEntity {

    @Id
    private UUID id;

    @TenantId
    private UUID workshopId;

    private UUID purchaseId;

    @JdbcTypeCode(SqlTypes.SMALLINT)
    private int number;

    private UUID kindId;

    @JdbcTypeCode(SqlTypes.SMALLINT)
    private int strings;

    @JdbcTypeCode(SqlTypes.SMALLINT)
    private int arrived;

    @JdbcTypeCode(SqlTypes.SMALLINT)
    private int givenUp;

    private @Nullable BigDecimal price;

    @JdbcTypeCode(SqlTypes.CHAR)
    private @Nullable String currency;

    protected PurchaseLineEntity() {}

    PurchaseLineEntity(UUID purchaseId, int number, UUID kindId, int strings, Optional<Price> price) {
        this.id = UUID.randomUUID();
        this.purchaseId = purchaseId;
        this.number = number;
        this.kindId = kindId;
        this.strings = strings;
        this.price = price.map(Price::amount).orElse(null);
        this.currency = price.map(Price::currency).orElse(null);
    }

    UUID purchaseId() {
        return purchaseId;
    }

    UUID kindId() {
        return kindId;
    }

    /** {@return what stands there} */
    Purchase.Line view() {
        return new Purchase.Line(
                number,
                kindId,
                strings,
                arrived,
                givenUp,
                price == null || currency == null ? Optional.empty() : Optional.of(new Price(price, currency)));
    }

    /** So many more are in. */
    void arrive(int more) {
        this.arrived += more;
    }

    /** What is not in does not come any more. */
    void giveUp() {
        this.givenUp = strings - arrived;
    }
}
