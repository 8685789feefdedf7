package rosinedpeg.web.plan;

import java.util.Collection;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import org.springframework.web.util.UriComponentsBuilder;
import rosinedpeg.core.finding.Finding;
import rosinedpeg.core.fit.FitCheck;
import rosinedpeg.core.stock.Likeness;
import rosinedpeg.core.stock.Lying;
import rosinedpeg.core.stock.SecondLife;
import rosinedpeg.core.strings.Position;
import rosinedpeg.web.drawer.Drawer;
import rosinedpeg.web.drawer.InDrawer;
import rosinedpeg.web.instrument.Instrument;
import rosinedpeg.web.instrument.OldString;
import rosinedpeg.web.kinds.StringKind;

/** Says before anything comes off what the drawer has of what a plan needs, and what is nearest where it has none. */
@Component
class DrawerAdvice {

    /** So many are offered instead. */
    private static final int NEAREST = 3;

    private final Drawer drawer;

    DrawerAdvice(Drawer drawer) {
        this.drawer = drawer;
    }

    /**
     * What the drawer has for a plan.
     *
     * @param instrument the instrument
     * @param chosen what is to go on
     * @param offered every kind that can go on the instrument
     * @param picked strings of the drawer that somebody picked, by their place
     * @return it for every place; nothing for a workshop that never laid anything into the drawer
     */
    Map<Position, FromDrawer> of(
            Instrument instrument,
            Map<Position, StringKind> chosen,
            Collection<StringKind> offered,
            Map<Position, UUID> picked) {
        Map<Position, FromDrawer> advice = new EnumMap<>(Position.class);
        if (chosen.isEmpty() || !drawer.isUsed()) {
            return advice;
        }
        FitCheck check = FitCheck.of(instrument.setUp(), instrument.specs());
        Map<UUID, List<InDrawer>> lying =
                drawer.lying(chosen.values().stream().map(StringKind::id).collect(Collectors.toSet()));
        Map<UUID, OldString> were =
                drawer.were(lying.values().stream().flatMap(List::stream).toList());
        Map<UUID, Integer> fresh = drawer.fresh();
        chosen.forEach((position, kind) -> {
            List<InDrawer> there = lying.getOrDefault(kind.id(), List.of());
            List<FromDrawer.Old> old = old(instrument, check, there, were);
            Optional<InDrawer> taken = there.stream()
                    .filter(string -> string.id().equals(picked.get(position)))
                    .findFirst()
                    .or(() -> Drawer.next(there, instrument.id()));
            advice.put(
                    position,
                    new FromDrawer(
                            kind,
                            taken,
                            (int) there.stream().filter(string -> !string.old()).count(),
                            old,
                            taken.isPresent()
                                    ? List.of()
                                    : nearest(instrument, check, position, chosen, offered, fresh)));
        });
        return advice;
    }

    private static List<FromDrawer.Old> old(
            Instrument instrument, FitCheck check, List<InDrawer> there, Map<UUID, OldString> were) {
        return there.stream()
                .flatMap(string -> Optional.ofNullable(were.get(string.id())).stream()
                        .filter(was -> was.secondLife(instrument, check) == SecondLife.GOOD)
                        .map(was -> new FromDrawer.Old(string, was)))
                .sorted(Comparator.comparing(old -> old.string().lying(old.was(), instrument.id()), Lying.EMERGENCY))
                .toList();
    }

    /** {@return where the same is planned with another kind at one place} */
    private static String address(
            Instrument instrument, Map<Position, StringKind> chosen, Position position, StringKind instead) {
        UriComponentsBuilder address = UriComponentsBuilder.fromPath("/instruments/" + instrument.id() + "/plan");
        chosen.forEach((place, kind) -> address.queryParam("strings", place)
                .queryParam("kinds[" + place + "]", place == position ? instead.id() : kind.id()));
        return address.encode().toUriString();
    }

    private static List<FromDrawer.Near> nearest(
            Instrument instrument,
            FitCheck check,
            Position position,
            Map<Position, StringKind> chosen,
            Collection<StringKind> offered,
            Map<UUID, Integer> fresh) {
        Set<UUID> there = fresh.keySet();
        StringKind wanted = position.in(chosen);
        return offered.stream()
                .filter(kind -> kind.spec().position() == position && there.contains(kind.id()))
                .filter(kind -> check.judge(position, kind.spec()).stream().noneMatch(Finding::stops))
                .map(kind -> new FromDrawer.Near(
                        kind,
                        Likeness.of(instrument.setUp(), wanted.spec(), kind.spec()),
                        fresh.getOrDefault(kind.id(), 0),
                        address(instrument, chosen, position, kind)))
                .sorted(Comparator.comparing(FromDrawer.Near::likeness))
                .limit(NEAREST)
                .toList();
    }
}
