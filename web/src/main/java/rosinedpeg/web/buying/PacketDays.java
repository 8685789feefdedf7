package rosinedpeg.web.buying;

import java.time.Clock;
import java.time.LocalDate;
import java.util.ArrayDeque;
import java.util.Comparator;
import java.util.Deque;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.function.Function;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import rosinedpeg.core.buying.Coming;
import rosinedpeg.web.drawer.Drawer;
import rosinedpeg.web.kinds.StringKind;
import rosinedpeg.web.platform.CurrentWorkshop;

/** When the packets are there that strings wait for. */
@Service
@Transactional(readOnly = true)
public class PacketDays {

    private final Drawer drawer;
    private final Purchases purchases;
    private final Suppliers suppliers;
    private final Clock clock;

    PacketDays(Drawer drawer, Purchases purchases, Suppliers suppliers, Clock clock) {
        this.drawer = drawer;
        this.purchases = purchases;
        this.suppliers = suppliers;
        this.clock = clock;
    }

    /** Where a packet comes from. */
    public enum From {
        /** It lies in the drawer. */
        DRAWER,
        /** It is on order. */
        ORDER,
        /** It has to be bought. */
        SHOP
    }

    /**
     * A packet.
     *
     * @param from where it comes from
     * @param on the day it is there: today for what lies in the drawer, and for what is to be bought as soon as it can be if it is
     *     ordered today
     */
    public record Packet(From from, LocalDate on) {}

    /**
     * Hands packets out.
     *
     * @return answers with another packet of a kind each time it is asked: first what lies in the drawer, then what is on order as it
     *     comes, then what has to be bought. Of a usual kind nobody knows what lies there, so that it is taken to be there.
     */
    public Function<StringKind, Packet> inTurn() {
        LocalDate today = CurrentWorkshop.today(clock);
        Map<UUID, Integer> there = new HashMap<>(drawer.fresh());
        Map<UUID, Deque<LocalDate>> coming = new HashMap<>();
        purchases.coming(today).forEach((kindId, ofKind) -> coming.put(kindId, days(ofKind)));
        Map<String, Supplier> byMaker = suppliers.byMaker();
        return kind -> {
            if (kind.isUsual() || there.merge(kind.id(), -1, Integer::sum) >= 0) {
                return new Packet(From.DRAWER, today);
            }
            Deque<LocalDate> onOrder = coming.getOrDefault(kind.id(), new ArrayDeque<>());
            if (!onOrder.isEmpty()) {
                return new Packet(From.ORDER, onOrder.remove());
            }
            int days = Suppliers.of(kind, byMaker).map(Supplier::leadDays).orElse(Supplier.USUAL_LEAD_DAYS);
            return new Packet(From.SHOP, today.plusDays(days));
        };
    }

    private static Deque<LocalDate> days(List<Coming> ofKind) {
        Deque<LocalDate> days = new ArrayDeque<>();
        ofKind.stream().sorted(Comparator.comparing(Coming::on)).forEach(one -> {
            for (int string = 0; string < one.strings(); string++) {
                days.add(one.on());
            }
        });
        return days;
    }
}
