package rosinedpeg.web.rack;

import jakarta.servlet.http.HttpServletRequest;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;
import rosinedpeg.core.strings.Position;
import rosinedpeg.web.bench.Benches;
import rosinedpeg.web.bench.OpenRuns;
import rosinedpeg.web.bench.Run;
import rosinedpeg.web.bench.UnreadableRun;
import rosinedpeg.web.diary.Diary;
import rosinedpeg.web.drawing.Strands;
import rosinedpeg.web.findings.Notes;
import rosinedpeg.web.findings.Referral;
import rosinedpeg.web.instrument.Instrument;
import rosinedpeg.web.instrument.Instruments;
import rosinedpeg.web.instrument.Standing;
import rosinedpeg.web.instrument.StringOn;
import rosinedpeg.web.platform.Htmx;
import rosinedpeg.web.platform.ListPage;
import rosinedpeg.web.platform.OpenTo;
import rosinedpeg.web.platform.Role;
import rosinedpeg.web.rack.RackRow.Need;
import rosinedpeg.web.settling.SettlingString;
import rosinedpeg.web.settling.Settlings;

/** The first page. */
@Controller
class RackController {

    private final Instruments instruments;
    private final Benches benches;
    private final Settlings settlings;
    private final Notes notes;
    private final Diary diary;

    RackController(Instruments instruments, Benches benches, Settlings settlings, Notes notes, Diary diary) {
        this.instruments = instruments;
        this.benches = benches;
        this.settlings = settlings;
        this.notes = notes;
        this.diary = diary;
    }

    /**
     * The rack, or the part of it that fits on a page, what most wants hands first.
     *
     * @param find part of a name, to show only those
     * @param from how many have been shown already
     */
    @OpenTo(Role.PLAYER)
    @GetMapping("/")
    String rack(
            @RequestParam(defaultValue = "") String find,
            @RequestParam(defaultValue = "0") int from,
            Model model,
            HttpServletRequest request) {
        List<Standing> all = instruments.standings();
        OpenRuns open = benches.open();
        Map<UUID, Run> onBench = open.runs().stream().collect(Collectors.toMap(Run::instrumentId, Function.identity()));
        Map<UUID, UUID> unreadable =
                open.unreadable().stream().collect(Collectors.toMap(UnreadableRun::instrumentId, UnreadableRun::id));
        Map<UUID, List<SettlingString>> settling = settlings.among(all).stream()
                .collect(Collectors.groupingBy(string -> string.instrument().id()));
        Set<UUID> referred = notes.referred();
        Map<UUID, Need> needs = all.stream()
                .collect(Collectors.toMap(
                        Standing::id,
                        one -> Need.of(
                                one,
                                onBench.containsKey(one.id()),
                                unreadable.containsKey(one.id()),
                                referred.contains(one.id()),
                                settling.containsKey(one.id()))));
        String wanted = find.trim().toLowerCase(Locale.ROOT);
        ListPage<UUID> part = ListPage.of(
                all.stream()
                        .filter(one -> one.name().toLowerCase(Locale.ROOT).contains(wanted))
                        .map(Standing::id)
                        .sorted(Comparator.comparing(needs::get))
                        .toList(),
                from);
        Map<UUID, Instrument> shown = instruments.of(part.shown());
        Map<UUID, List<Referral>> referrals = notes.referrals(part.shown());
        model.addAttribute(
                "rows",
                part.shown().stream()
                        .map(id -> row(
                                shown.get(id),
                                referrals.getOrDefault(id, List.of()),
                                needs.get(id),
                                onBench.get(id),
                                unreadable.get(id),
                                settling.getOrDefault(id, List.of())))
                        .toList());
        model.addAttribute("all", all.size());
        model.addAttribute("part", part);
        model.addAttribute("searchable", all.size() > ListPage.MOST);
        model.addAttribute("find", find.trim());
        model.addAttribute(
                "wantHands", needs.values().stream().filter(Need::wantsHands).count());
        model.addAttribute("occasions", diary.toCome());
        return Htmx.asks(request) ? "rack/rack :: rows" : "rack/rack";
    }

    private static RackRow row(
            Instrument instrument,
            List<Referral> referrals,
            Need need,
            Run run,
            UUID unreadable,
            List<SettlingString> settling) {
        StringOn worst = instrument.mostWorn().orElse(null);
        StringOn about = need == Need.SETTLING ? settling.get(0).string() : worst;
        return new RackRow(
                instrument, referrals, strands(instrument, run, settling), need, about, run, unreadable, settling);
    }

    private static Strands strands(Instrument instrument, Run run, List<SettlingString> settling) {
        Map<Position, Strands.Strand> strands = new EnumMap<>(Position.class);
        for (StringOn string : instrument.strings()) {
            boolean off = run != null && run.off().contains(string.position());
            boolean settles = settling.stream().anyMatch(s -> s.fittedId().equals(string.fittedId()));
            String state = off ? "off" : settles ? "settling" : "on";
            strands.put(string.position(), string.strand(state));
        }
        return Strands.of(instrument.setUp(), strands);
    }
}
