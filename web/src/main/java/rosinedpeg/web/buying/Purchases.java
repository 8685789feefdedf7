package rosinedpeg.web.buying;

import java.time.Clock;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.dao.OptimisticLockingFailureException;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Isolation;
import org.springframework.transaction.annotation.Transactional;
import rosinedpeg.core.buying.Coming;
import rosinedpeg.web.drawer.Drawer;
import rosinedpeg.web.drawer.Laid;
import rosinedpeg.web.kinds.Price;
import rosinedpeg.web.kinds.StringKind;
import rosinedpeg.web.kinds.StringKinds;
import rosinedpeg.web.platform.CurrentWorkshop;
import rosinedpeg.web.platform.ListPage;
import rosinedpeg.web.platform.NotFoundException;

/** Orders: written, sent, partly in, in. What is in lies in the drawer from the same transaction on. */
@Service
@Transactional(readOnly = true)
public class Purchases {

    private final PurchaseRepository purchases;
    private final PurchaseLineRepository lines;
    private final Suppliers suppliers;
    private final StringKinds kinds;
    private final Drawer drawer;
    private final Clock clock;

    Purchases(
            PurchaseRepository purchases,
            PurchaseLineRepository lines,
            Suppliers suppliers,
            StringKinds kinds,
            Drawer drawer,
            Clock clock) {
        this.purchases = purchases;
        this.lines = lines;
        this.suppliers = suppliers;
        this.kinds = kinds;
        this.drawer = drawer;
        this.clock = clock;
    }

    /** {@return how many orders were ever written and not thrown away} */
    public long written() {
        return purchases.count();
    }

    /** {@return those of which something is still to come, the first written first} */
    List<Purchase> open() {
        return views(purchases.open());
    }

    /** {@return those of which nothing is to come any more, the last first, as many as fit on a page} */
    ListPage<Purchase> closed(int from) {
        ListPage<PurchaseEntity> page = ListPage.of(purchases.closed(ListPage.after(from)));
        Map<UUID, Purchase> views =
                views(page.shown()).stream().collect(Collectors.toMap(Purchase::id, Function.identity()));
        return page.flatMap(one -> Optional.ofNullable(views.get(one.getId())));
    }

    /**
     * One order.
     *
     * @throws NotFoundException when this workshop has none with that id
     */
    @Transactional(readOnly = true, isolation = Isolation.REPEATABLE_READ)
    Purchase get(UUID id) {
        return views(List.of(entity(id))).get(0);
    }

    private PurchaseEntity entity(UUID id) {
        return purchases.findById(id).orElseThrow(() -> new NotFoundException("order " + id));
    }

    private List<Purchase> views(Collection<PurchaseEntity> some) {
        if (some.isEmpty()) {
            return List.of();
        }
        Map<UUID, List<PurchaseLineEntity>> ofEach =
                lines
                        .findByPurchaseIdInOrderByNumber(
                                some.stream().map(PurchaseEntity::getId).toList())
                        .stream()
                        .collect(Collectors.groupingBy(PurchaseLineEntity::purchaseId));
        Map<UUID, Supplier> known =
                suppliers.all().stream().collect(Collectors.toMap(Supplier::id, Function.identity()));
        return some.stream()
                .map(one -> new Purchase(
                        one.getId(),
                        one.supplierId().map(known::get),
                        one.leadDays(),
                        one.writtenAt(),
                        one.writtenBy(),
                        one.sentOn(),
                        ofEach.getOrDefault(one.getId(), List.of()).stream()
                                .map(PurchaseLineEntity::view)
                                .toList(),
                        one.version()))
                .toList();
    }

    /** {@return what of each kind is still to come, by kind; what is written but not sent comes as if it were sent today} */
    public Map<UUID, List<Coming>> coming(LocalDate today) {
        return coming(open(), today);
    }

    /** {@return the same of orders that were read already} */
    static Map<UUID, List<Coming>> coming(List<Purchase> open, LocalDate today) {
        return open.stream()
                .flatMap(purchase -> purchase.lines().stream()
                        .filter(line -> line.toCome() > 0)
                        .map(line -> Map.entry(line.kindId(), new Coming(purchase.comesOn(today), line.toCome()))))
                .collect(Collectors.groupingBy(
                        Map.Entry::getKey, Collectors.mapping(Map.Entry::getValue, Collectors.toList())));
    }

    /**
     * Writes an order.
     *
     * @param press the press that this is, which becomes its id; sent twice it writes one order
     * @param to who it goes to, if that was said
     * @param ordered what of each kind, in the order they stand in
     * @param seen how many orders there were, {@link #written()}, when it was seen what is missing
     * @throws OptimisticLockingFailureException when somebody else has written one since: it may be for the same strings
     */
    @Transactional
    public void write(UUID press, Optional<UUID> to, List<Ordered> ordered, long seen) {
        purchases.lock();
        if (purchases.existsById(press)) {
            return;
        }
        if (written() != seen) {
            throw new OptimisticLockingFailureException("orders were written meanwhile");
        }
        Optional<Supplier> supplier =
                to.map(id -> suppliers.find(id).orElseThrow(() -> new NotFoundException("supplier " + id)));
        purchases.saveAndFlush(new PurchaseEntity(
                press,
                supplier.map(Supplier::id).orElse(null),
                supplier.map(Supplier::leadDays).orElse(Supplier.USUAL_LEAD_DAYS),
                clock.instant(),
                CurrentWorkshop.person()));
        Function<StringKind, Optional<Price>> prices = drawer.prices();
        List<PurchaseLineEntity> rows = new ArrayList<>();
        for (Ordered one : ordered) {
            StringKind kind = kinds.entered(one.kindId());
            rows.add(new PurchaseLineEntity(
                    press,
                    rows.size() + 1,
                    kind.id(),
                    one.strings(),
                    one.price().or(() -> prices.apply(kind))));
        }
        lines.saveAllAndFlush(rows);
    }

    /**
     * Says that an order was sent on a day, or that it was not.
     *
     * @throws OptimisticLockingFailureException when somebody else has changed it since
     */
    @Transactional
    public void send(UUID id, int seen, Optional<LocalDate> on) {
        asSeen(id, seen).send(on.orElse(null));
        purchases.flush();
    }

    /**
     * Throws an order away that was not sent.
     *
     * @throws OptimisticLockingFailureException when somebody else has changed it since, or it was sent
     */
    @Transactional
    void throwAway(UUID id, int seen) {
        PurchaseEntity entity = asSeen(id, seen);
        if (get(id).state() != Purchase.State.WRITTEN) {
            throw new OptimisticLockingFailureException("order " + id + " was sent meanwhile");
        }
        lines.deleteByPurchaseId(id);
        purchases.delete(entity);
        purchases.flush();
    }

    /** {@return whether there is such an order} */
    boolean isWritten(UUID id) {
        return purchases.existsById(id);
    }

    /** {@return whether that press has laid something into the drawer already} */
    boolean isIn(UUID press) {
        return drawer.isLaid(press);
    }

    /**
     * Lays what has come into the drawer.
     *
     * @param id the order
     * @param seen the version that whoever unpacked it has seen
     * @param came how many of each line came, by its number; no more than were still to come
     * @param place where they lie
     * @param press the press that this is; sent twice it lays them in once
     * @throws OptimisticLockingFailureException when somebody else has changed the order since
     */
    @Transactional
    void arrive(UUID id, int seen, Map<Integer, Integer> came, String place, UUID press) {
        if (drawer.isLaid(press)) {
            return;
        }
        PurchaseEntity entity = asSeen(id, seen);
        LocalDate today = CurrentWorkshop.today(clock);
        if (entity.sentOn().isEmpty()) {
            entity.send(today);
        }
        List<Laid> laid = new ArrayList<>();
        for (PurchaseLineEntity row : lines.findByPurchaseIdInOrderByNumber(List.of(id))) {
            Purchase.Line line = row.view();
            int many = Math.min(line.toCome(), came.getOrDefault(line.number(), 0));
            row.arrive(many);
            laid.addAll(Collections.nCopies(
                    many,
                    new Laid(line.kindId(), place, null, today, line.price().orElse(null))));
        }
        drawer.lay(laid, press);
    }

    /**
     * What has not come does not come any more.
     *
     * @throws OptimisticLockingFailureException when somebody else has changed the order since
     */
    @Transactional
    void giveUp(UUID id, int seen) {
        asSeen(id, seen);
        lines.findByPurchaseIdInOrderByNumber(List.of(id)).forEach(PurchaseLineEntity::giveUp);
    }

    private PurchaseEntity asSeen(UUID id, int seen) {
        PurchaseEntity entity = purchases.findToChangeById(id).orElseThrow(() -> new NotFoundException("order " + id));
        if (entity.version() != seen) {
            throw new OptimisticLockingFailureException("order " + id + " has been changed meanwhile");
        }
        return entity;
    }
}
