package rosinedpeg.web.lend;

import jakarta.persistence.LockModeType;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.domain.Limit;
import org.springframework.data.domain.Page;
import org.springframework.data.domain.Pageable;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Lock;
import org.springframework.data.jpa.repository.Query;

/** Which instruments are there to be lent. */
interface ShelfInstrumentRepository extends JpaRepository<ShelfInstrumentEntity, UUID> {

    @Query("select one.instrumentId from ShelfInstrumentEntity one order by one.instrumentId")
    List<UUID> ids(Limit most);

    /** The same in the order of their names, as many as a page shows. */
    @Query("select instrument.id from ShelfInstrumentEntity one, InstrumentEntity instrument"
            + " where instrument.id = one.instrumentId order by lower(instrument.name), instrument.id")
    Page<UUID> byName(Pageable part);

    /** The names of those that are at home and promised to nobody from one of some days on. */
    @Query("select instrument.name from ShelfInstrumentEntity one, InstrumentEntity instrument"
            + " where instrument.id = one.instrumentId and not exists (select 1 from LoanEntity loan"
            + " where loan.instrumentId = one.instrumentId and loan.backAt is null"
            + " and (loan.outAt is not null or loan.fromDay between :from and :until))"
            + " order by lower(instrument.name), instrument.id")
    Page<String> atHome(LocalDate from, LocalDate until, Pageable part);

    /** Whoever lends an instrument does so after whoever lends it already: two that waited for each other would wait for ever. */
    @Lock(LockModeType.PESSIMISTIC_WRITE)
    @Query("select one from ShelfInstrumentEntity one where one.instrumentId = :instrumentId")
    Optional<ShelfInstrumentEntity> lock(UUID instrumentId);
}
