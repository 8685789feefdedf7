package rosinedpeg.web.drawer;

import jakarta.persistence.LockModeType;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Lock;
import org.springframework.data.jpa.repository.Query;
import rosinedpeg.core.strings.Position;

/** What is to lie in cases, as it is kept. */
interface CaseKitRepository extends JpaRepository<CaseKitEntity, UUID> {

    List<CaseKitEntity> findByInstrumentIdOrderByPosition(UUID instrumentId);

    /** What is to lie there for one place, for nobody else until the transaction is over: two who put one in do so one after the other. */
    @Lock(LockModeType.PESSIMISTIC_WRITE)
    @Query("select kit from CaseKitEntity kit where kit.instrumentId = :instrumentId and kit.position = :position")
    Optional<CaseKitEntity> findToFill(UUID instrumentId, Position position);

    /** What is to lie in the cases of the rack, by the kinds that are on. */
    @Query("select new rosinedpeg.web.drawer.WantedInCase(string.kindId, instrument.id, instrument.name, kit.position,"
            + " kit.strings) from CaseKitEntity kit, FittedStringEntity string, InstrumentEntity instrument"
            + " where string.instrumentId = kit.instrumentId and string.position = kit.position"
            + " and string.removedAt is null and instrument.id = kit.instrumentId and instrument.retiredAt is null"
            + " order by instrument.name, kit.position")
    List<WantedInCase> wanted();
}
