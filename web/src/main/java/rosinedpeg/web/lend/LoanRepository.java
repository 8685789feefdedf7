package rosinedpeg.web.lend;

import java.time.Instant;
import java.time.LocalDate;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.data.domain.Limit;
import org.springframework.data.domain.Page;
import org.springframework.data.domain.Pageable;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;
import rosinedpeg.core.lending.Loan;

/** Who has what. */
interface LoanRepository extends JpaRepository<LoanEntity, UUID> {

    /** What has not come back, of some instruments. */
    @Query("select loan from LoanEntity loan where loan.backAt is null and among(loan.instrumentId, :instrumentIds)"
            + " order by loan.fromDay, loan.id")
    List<LoanEntity> notBack(UUID... instrumentIds);

    String TO_BE_BACK =
            " where loan.backAt is null and loan.outAt is not null and loan.untilDay between :from and :until";

    String TO_GO_OUT = " where loan.backAt is null and loan.outAt is null and loan.fromDay between :from and :until";

    /** What is out and is to be back on one of some days, the first first. */
    @Query(
            value =
                    "select loan from LoanEntity loan join InstrumentEntity instrument on instrument.id = loan.instrumentId"
                            + TO_BE_BACK + " order by loan.untilDay, instrument.name, loan.id",
            countQuery = "select count(loan) from LoanEntity loan" + TO_BE_BACK)
    Page<LoanEntity> toBeBack(LocalDate from, LocalDate until, Pageable part);

    /** What is promised from one of some days on, the first first. */
    @Query(
            value =
                    "select loan from LoanEntity loan join InstrumentEntity instrument on instrument.id = loan.instrumentId"
                            + TO_GO_OUT + " order by loan.fromDay, instrument.name, loan.id",
            countQuery = "select count(loan) from LoanEntity loan" + TO_GO_OUT)
    Page<LoanEntity> toGoOut(LocalDate from, LocalDate until, Pageable part);

    /** What is out and was to be back before a day, the latest first. */
    List<LoanEntity> findByOutAtIsNotNullAndBackAtIsNullAndUntilDayBeforeOrderByUntilDayAscId(
            LocalDate day, Limit most);

    /**
     * How many are out.
     *
     * @param out how many
     * @param late how many of them were to be back before a day
     */
    record Count(long out, long late) {}

    /** How many are out, and how many of them were to be back before a day. */
    @Query(
            "select new rosinedpeg.web.lend.LoanRepository$Count(count(*), count(case when loan.untilDay < :day then 1 end))"
                    + " from LoanEntity loan where loan.outAt is not null and loan.backAt is null")
    Count count(LocalDate day);

    /** Those of an instrument that share a day with others, by what was agreed. */
    @Query("select loan from LoanEntity loan where loan.instrumentId = :instrumentId and loan.id <> :but"
            + " and loan.fromDay <= :until and (loan.backOn is null or loan.backOn >= :from) and loan.untilDay >= :from"
            + " order by loan.fromDay, loan.id")
    List<LoanEntity> near(UUID instrumentId, LocalDate from, LocalDate until, UUID but);

    Optional<LoanEntity> findFirstByInstrumentIdAndOutAtIsNotNullAndBackAtIsNull(UUID instrumentId);

    /** What came back, the latest first. */
    @Query("select loan from LoanEntity loan where loan.outLook is not null and loan.backLook is not null"
            + " order by loan.backOn desc, loan.id")
    List<LoanEntity> lookedAtTwice(Limit most);

    /** The one that came back last, of each of some instruments. */
    @Query("select loan from LoanEntity loan where among(loan.instrumentId, :instrumentIds) and loan.backAt ="
            + " (select max(other.backAt) from LoanEntity other where other.instrumentId = loan.instrumentId)")
    List<LoanEntity> lastReturned(UUID... instrumentIds);

    /** Those of an instrument, the latest first. */
    List<LoanEntity> findByInstrumentIdOrderByFromDayDescId(UUID instrumentId, Limit most);

    /** What somebody has or had, the latest first. */
    Page<LoanEntity> findByBorrowerIdOrderByFromDayDescId(UUID borrowerId, Pageable part);

    boolean existsByBorrowerIdAndBackAtIsNull(UUID borrowerId);

    @Query(
            "select loan.borrowerId from LoanEntity loan where loan.borrowerId in :borrowerIds and loan.outAt is not null"
                    + " and loan.backAt is null")
    List<UUID> having(Collection<UUID> borrowerIds);

    boolean existsByInstrumentIdAndBackAtIsNull(UUID instrumentId);

    /** Nobody can tell any more who it was. */
    @Modifying(flushAutomatically = true, clearAutomatically = true)
    @Query("update LoanEntity loan set loan.borrowerId = null where loan.borrowerId = :borrowerId")
    void forget(UUID borrowerId);

    /**
     * What is or will be out: not how it looked, which is most of what is kept of it.
     *
     * @param instrumentId which instrument
     * @param from the first day
     * @param until the last
     * @param outAt when it went out; null while it is only promised
     */
    record Out(
            UUID instrumentId,
            LocalDate from,
            LocalDate until,
            @Nullable Instant outAt) {

        Loan days() {
            return new Loan(from, until, Optional.empty());
        }
    }

    /** What is or will be out in some days, of some instruments. */
    @Query(
            "select new rosinedpeg.web.lend.LoanRepository$Out(loan.instrumentId, loan.fromDay, loan.untilDay, loan.outAt)"
                    + " from LoanEntity loan where loan.backAt is null and loan.fromDay <= :until"
                    + " and (loan.untilDay >= :from or loan.outAt is not null) and among(loan.instrumentId, :instrumentIds)")
    List<Out> outBetween(UUID[] instrumentIds, LocalDate from, LocalDate until);

    /** The days from today on which something is to be back, the one on which most is first. */
    @Query("select loan.untilDay from LoanEntity loan where loan.backAt is null and loan.outAt is not null"
            + " and loan.untilDay >= :today group by loan.untilDay order by count(*) desc, loan.untilDay")
    List<LocalDate> daysBack(LocalDate today, Limit most);
}
