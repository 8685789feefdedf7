package rosinedpeg.web.week;

import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.validation.BindingResult;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import rosinedpeg.core.plan.Schools;
import rosinedpeg.core.strings.Position;
import rosinedpeg.core.strings.StringSpec;
import rosinedpeg.core.week.Sittings;
import rosinedpeg.core.week.UsualWork;
import rosinedpeg.web.drawing.Strands;
import rosinedpeg.web.instrument.Instrument;
import rosinedpeg.web.instrument.Instruments;
import rosinedpeg.web.kinds.StringKind;
import rosinedpeg.web.kinds.StringKinds;
import rosinedpeg.web.lend.Lending;
import rosinedpeg.web.platform.Constraint;
import rosinedpeg.web.platform.CurrentWorkshop;
import rosinedpeg.web.platform.Entry;
import rosinedpeg.web.platform.OpenTo;
import rosinedpeg.web.platform.Page;
import rosinedpeg.web.platform.Role;
import rosinedpeg.web.platform.Words;

/** A set changed in two or three sittings, so that the instrument can be played all the while. */
@Controller
class SittingsController {

    private final Instruments instruments;
    private final StringKinds kinds;
    private final ShutDays shut;
    private final Wishes wishes;
    private final Lending lending;
    private final Words words;
    private final Clock clock;

    SittingsController(
            Instruments instruments,
            StringKinds kinds,
            ShutDays shut,
            Wishes wishes,
            Lending lending,
            Words words,
            Clock clock) {
        this.instruments = instruments;
        this.kinds = kinds;
        this.shut = shut;
        this.wishes = wishes;
        this.lending = lending;
        this.words = words;
        this.clock = clock;
    }

    private LocalDate today() {
        return CurrentWorkshop.today(clock);
    }

    /** Divides a change into sittings. */
    @OpenTo(Role.TECHNICIAN)
    @GetMapping("/instruments/{id}/sittings")
    String divide(@PathVariable UUID id, @ModelAttribute("form") SittingsForm form, BindingResult result, Model model) {
        Instrument instrument = instruments.strung(id);
        if (form.from().isBlank() && form.strings().isEmpty()) {
            model.addAttribute(
                    "form",
                    new SittingsForm(
                            form.press(),
                            Set.copyOf(instrument.setUp().positions()),
                            null,
                            form.sittings(),
                            today().toString(),
                            ""));
            return show(instrument, Optional.empty(), Map.of(), false, model);
        }
        Optional<Sittings.Asked> asked = read(instrument, form, result);
        return show(instrument, asked.flatMap(Sittings::of), replacing(instrument, form), asked.isPresent(), model);
    }

    private Optional<Sittings.Asked> read(Instrument instrument, SittingsForm form, BindingResult result) {
        LocalDate today = today();
        Optional<LocalDate> from = Entry.date(result, "from", form.from(), today, today.plusYears(1));
        Optional<LocalDate> by = form.by().isBlank()
                ? Optional.empty()
                : Entry.date(result, "by", form.by(), from.orElse(today), today.plusYears(2));
        Map<Position, StringSpec> replacements = new EnumMap<>(Position.class);
        replacing(instrument, form).forEach((position, kind) -> replacements.put(position, kind.spec()));
        if (form.sittings() < Sittings.FEWEST || form.sittings() > Sittings.MOST) {
            result.rejectValue("sittings", "entry.count.range", new Object[] {Sittings.FEWEST, Sittings.MOST}, null);
        } else if (replacements.size() < form.sittings()) {
            result.rejectValue("strings", "sittings.few", new Object[] {form.sittings()}, null);
        }
        if (result.hasErrors() || from.isEmpty()) {
            return Optional.empty();
        }
        return Optional.of(new Sittings.Asked(
                instrument.setUp(),
                instrument.specs(),
                replacements,
                form.sittings(),
                from.get(),
                by,
                shut.from(instrument.id(), from.get(), Sittings.FURTHEST_DAYS),
                shut.played(instrument.id()),
                CurrentWorkshop.zone()));
    }

    /** The kinds that go on: those of the chosen set, and where it has none for a place, or none is chosen, the kind that is on. */
    private Map<Position, StringKind> replacing(Instrument instrument, SittingsForm form) {
        Map<Position, StringKind> set =
                Optional.ofNullable(form.set()).map(kinds::setOf).orElse(Map.of());
        Map<Position, StringKind> replacing = new EnumMap<>(Position.class);
        instrument.strings().stream()
                .filter(string -> form.strings().contains(string.position()))
                .forEach(
                        string -> replacing.put(string.position(), set.getOrDefault(string.position(), string.kind())));
        return replacing;
    }

    private String show(
            Instrument instrument,
            Optional<Sittings> found,
            Map<Position, StringKind> replacing,
            boolean looked,
            Model model) {
        Page.lay(
                new SittingsPage(
                        instrument,
                        kinds.sets().stream()
                                .filter(kind ->
                                        kind.family() == instrument.setUp().family())
                                .toList(),
                        found.map(all -> told(instrument, all, replacing)).orElse(List.of()),
                        found.map(Sittings::inTime).orElse(true),
                        looked && found.isEmpty(),
                        Sittings.FURTHEST_DAYS,
                        IntStream.rangeClosed(Sittings.FEWEST, Sittings.MOST)
                                .boxed()
                                .toList()),
                model);
        return "week/sittings";
    }

    private List<Told> told(Instrument instrument, Sittings found, Map<Position, StringKind> replacing) {
        Set<Position> before = EnumSet.noneOf(Position.class);
        List<Told> told = new ArrayList<>();
        for (Sittings.Sitting sitting : found.sittings()) {
            told.add(new Told(
                    sitting,
                    drawn(instrument, sitting.strings(), before, replacing),
                    UsualWork.ofStrings(
                                    instrument.setUp().family(),
                                    sitting.strings(),
                                    Schools.usual(instrument.setUp().family()))
                            .minutes(),
                    lending.spares(instrument, sitting.day(), sitting.day())));
            before.addAll(sitting.strings());
        }
        return told;
    }

    /** The instrument after a sitting: what has just gone on settles, what went on before holds, the rest is as worn as it is now. */
    private static Strands drawn(
            Instrument instrument, Set<Position> now, Set<Position> before, Map<Position, StringKind> replacing) {
        Map<Position, Strands.Strand> strands = new EnumMap<>(Position.class);
        instrument.strings().forEach(string -> strands.put(string.position(), string.strand("on")));
        replacing.forEach((position, kind) -> {
            if (now.contains(position) || before.contains(position)) {
                String state = now.contains(position) ? "settling" : "on";
                strands.put(position, new Strands.Strand(kind.spec().diameterMm(), 0, 0, state));
            }
        });
        return Strands.of(instrument.setUp(), strands);
    }

    /** Asks the bench for the sittings. */
    @OpenTo(Role.TECHNICIAN)
    @PostMapping("/instruments/{id}/sittings")
    String ask(
            @PathVariable UUID id,
            @ModelAttribute("form") SittingsForm form,
            BindingResult result,
            Model model,
            RedirectAttributes redirect) {
        Instrument instrument = instruments.strung(id);
        Optional<Sittings.Asked> asked = read(instrument, form, result);
        Optional<Sittings> found = asked.flatMap(Sittings::of);
        if (found.isEmpty()) {
            return show(instrument, found, replacing(instrument, form), asked.isPresent(), model);
        }
        String with = Optional.ofNullable(form.set())
                .flatMap(kinds::find)
                .map(kind -> kind.maker() + " " + kind.line())
                .orElse("");
        List<Sittings.Sitting> all = found.get().sittings();
        List<Runnable> each = new ArrayList<>();
        for (int i = 0; i < all.size(); i++) {
            Sittings.Sitting sitting = all.get(i);
            UUID press = UUID.nameUUIDFromBytes((form.press() + " " + i).getBytes(StandardCharsets.UTF_8));
            String note = words.say("sittings.note", i + 1, all.size(), with).strip();
            each.add(() -> Constraint.BENCH_WISH_ONCE.once(() -> wishes.ask(
                    press,
                    id,
                    WishKind.STRINGS,
                    sitting.strings(),
                    note.length() > Wish.LONGEST_NOTE ? note.substring(0, Wish.LONGEST_NOTE) : note,
                    null,
                    sitting.day(),
                    sitting.day())));
        }
        each.forEach(Runnable::run);
        redirect.addFlashAttribute("notice", "sittings.asked");
        redirect.addFlashAttribute("noticeOf", instrument.name());
        return "redirect:/week/ask";
    }

    /**
     * One sitting.
     *
     * @param sitting what goes on when
     * @param strands the instrument after it, drawn
     * @param minutes how long it usually takes
     * @param spares what of the lending shelf could stand in on that day
     */
    record Told(Sittings.Sitting sitting, Strands strands, double minutes, Map<UUID, String> spares) {

        /** {@return the strings, as they stand in an address} */
        public String inAddress() {
            return sitting.strings().stream().map(Enum::name).collect(Collectors.joining("&strings="));
        }
    }

    /** A change in sittings. */
    private record SittingsPage(
            Instrument instrument,
            List<StringKind> sets,
            List<Told> sittings,
            boolean inTime,
            boolean none,
            int furthest,
            List<Integer> many) {}
}
