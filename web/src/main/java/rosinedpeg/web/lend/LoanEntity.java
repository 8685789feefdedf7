package rosinedpeg.web.lend;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Collection;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.annotations.TenantId;
import org.hibernate.type.SqlTypes;
import org.jspecify.annotations.Nullable;
import rosinedpeg.core.lending.Loan;

/** One instrument with one borrower. */
@Entity
@Table(name = "loan")
class LoanEntity {

    @Id
    private UUID id;

    @TenantId
    private UUID workshopId;

    private UUID instrumentId;
    private @Nullable UUID borrowerId;
    private LocalDate fromDay;
    private LocalDate untilDay;
    private List<String> withIt;
    private String note;
    private Instant enteredAt;
    private UUID enteredBy;
    private @Nullable Instant outAt;
    private @Nullable UUID outBy;

    @JdbcTypeCode(SqlTypes.JSON)
    private @Nullable String outLook;

    private @Nullable Instant backAt;
    private @Nullable UUID backBy;

    @JdbcTypeCode(SqlTypes.JSON)
    private @Nullable String backLook;

    private @Nullable LocalDate backOn;

    /** Not there before it is kept, so that one that is there already is not written over. */
    @Version
    private @Nullable Integer version;

    protected LoanEntity() {}

    LoanEntity(
            UUID id,
            UUID instrumentId,
            UUID borrowerId,
            Loan days,
            Collection<WithIt> withIt,
            String note,
            Instant enteredAt,
            UUID enteredBy) {
        this.id = id;
        this.instrumentId = instrumentId;
        this.borrowerId = borrowerId;
        this.fromDay = days.from();
        this.untilDay = days.until();
        this.withIt = withIt.stream().sorted().map(WithIt::name).toList();
        this.note = note;
        this.enteredAt = enteredAt;
        this.enteredBy = enteredBy;
    }

    /** It goes out on a day; nobody may have looked at it. */
    void out(LocalDate on, Instant at, UUID by, @Nullable String look) {
        fromDay = on;
        outAt = at;
        outBy = by;
        outLook = look;
    }

    void back(LocalDate on, Instant at, UUID by, @Nullable String look) {
        backOn = on;
        backAt = at;
        backBy = by;
        backLook = look;
    }

    void keepUntil(LocalDate day) {
        untilDay = day;
    }

    void goesWith(Collection<WithIt> things) {
        withIt = things.stream().sorted().map(WithIt::name).toList();
    }

    void forgetBorrower() {
        borrowerId = null;
    }

    UUID id() {
        return id;
    }

    UUID instrumentId() {
        return instrumentId;
    }

    Optional<UUID> borrowerId() {
        return Optional.ofNullable(borrowerId);
    }

    Loan days() {
        return new Loan(fromDay, untilDay, Optional.ofNullable(backOn));
    }

    Set<WithIt> withIt() {
        Set<WithIt> things = EnumSet.noneOf(WithIt.class);
        withIt.forEach(name -> things.add(WithIt.valueOf(name)));
        return things;
    }

    String note() {
        return note;
    }

    Optional<Instant> outAt() {
        return Optional.ofNullable(outAt);
    }

    @Nullable
    UUID outBy() {
        return outBy;
    }

    Optional<String> outLook() {
        return Optional.ofNullable(outLook);
    }

    Optional<Instant> backAt() {
        return Optional.ofNullable(backAt);
    }

    @Nullable
    UUID backBy() {
        return backBy;
    }

    Optional<String> backLook() {
        return Optional.ofNullable(backLook);
    }

    int version() {
        return version == null ? 0 : version;
    }
}
