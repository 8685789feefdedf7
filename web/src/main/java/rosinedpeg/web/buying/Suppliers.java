package rosinedpeg.web.buying;

import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.dao.OptimisticLockingFailureException;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import rosinedpeg.web.kinds.StringKind;
import rosinedpeg.web.platform.CurrentWorkshop;
import rosinedpeg.web.platform.NotFoundException;
import rosinedpeg.web.platform.ReadOnce;

/** Who sells what. */
@Service
@Transactional(readOnly = true)
public class Suppliers {

    private final SupplierRepository suppliers;
    private final MakerBoughtRepository makers;
    private final ReadOnce<UUID, List<Supplier>> all = new ReadOnce<>();

    Suppliers(SupplierRepository suppliers, MakerBoughtRepository makers) {
        this.suppliers = suppliers;
        this.makers = makers;
    }

    /** {@return all of them, by name} */
    List<Supplier> all() {
        return all.one(
                CurrentWorkshop.id(),
                () -> suppliers.findAllByOrderByName().stream()
                        .map(SupplierEntity::view)
                        .toList());
    }

    /** {@return one of them; empty when this workshop has none with that id} */
    Optional<Supplier> find(UUID id) {
        return suppliers.findById(id).map(SupplierEntity::view);
    }

    /** {@return who sells the strings of each maker, by the maker in small letters} */
    Map<String, Supplier> byMaker() {
        Map<UUID, Supplier> known = all().stream().collect(Collectors.toMap(Supplier::id, Function.identity()));
        return makers.findAll().stream()
                .collect(Collectors.toMap(
                        one -> one.maker().toLowerCase(Locale.ROOT), one -> known.get(one.supplierId())));
    }

    /** {@return who sells a kind, if that was said} */
    static Optional<Supplier> of(StringKind kind, Map<String, Supplier> byMaker) {
        return Optional.ofNullable(byMaker.get(kind.maker().toLowerCase(Locale.ROOT)));
    }

    /**
     * Adds one.
     *
     * @param name what the workshop calls them
     * @param leadDays days from sending an order until it is there
     * @return its id
     */
    @Transactional
    public UUID add(String name, int leadDays) {
        return suppliers.saveAndFlush(new SupplierEntity(name, leadDays)).view().id();
    }

    /**
     * Puts right what is on record of one.
     *
     * @param id which
     * @param seen the version that whoever changes it has seen
     * @param name what it is called
     * @param leadDays how long it takes
     * @throws OptimisticLockingFailureException when somebody else has changed it since
     */
    @Transactional
    void change(UUID id, int seen, String name, int leadDays) {
        SupplierEntity entity = suppliers.findById(id).orElseThrow(() -> new NotFoundException("supplier " + id));
        if (entity.version() != seen) {
            throw new OptimisticLockingFailureException("supplier " + id);
        }
        entity.describe(name, leadDays);
        suppliers.flush();
    }

    /** Says from whom strings of a maker are bought; from nobody in particular when none is given. */
    @Transactional
    public void buy(String maker, Optional<UUID> from) {
        Optional<MakerBoughtEntity> said = makers.findByMakerIgnoreCase(maker);
        if (from.isEmpty()) {
            said.ifPresent(makers::delete);
            return;
        }
        UUID supplier =
                find(from.get()).map(Supplier::id).orElseThrow(() -> new NotFoundException("supplier " + from.get()));
        said.ifPresentOrElse(one -> one.from(supplier), () -> makers.save(new MakerBoughtEntity(maker, supplier)));
        makers.flush();
    }
}
