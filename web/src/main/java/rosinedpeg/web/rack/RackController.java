package rosinedpeg.web.rack;

import java.time.Clock;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import rosinedpeg.core.strings.Position;
import rosinedpeg.web.bench.Benches;
import rosinedpeg.web.bench.Run;
import rosinedpeg.web.diary.Diary;
import rosinedpeg.web.drawing.Strands;
import rosinedpeg.web.instrument.Instrument;
import rosinedpeg.web.instrument.Instruments;
import rosinedpeg.web.instrument.StringOn;
import rosinedpeg.web.rack.RackRow.Need;
import rosinedpeg.web.settling.SettlingString;
import rosinedpeg.web.settling.Settlings;

/** The first page. */
@Controller
class RackController {

    private final Instruments instruments;
    private final Benches benches;
    private final Settlings settlings;
    private final Diary diary;
    private final Clock clock;

    RackController(Instruments instruments, Benches benches, Settlings settlings, Diary diary, Clock clock) {
        this.instruments = instruments;
        this.benches = benches;
        this.settlings = settlings;
        this.diary = diary;
        this.clock = clock;
    }

    @GetMapping("/")
    String rack(Model model) {
        List<Instrument> all = instruments.all();
        Map<UUID, Run> onBench =
                benches.open().stream().collect(Collectors.toMap(Run::instrumentId, Function.identity()));
        Map<UUID, List<SettlingString>> settling = settlings.among(all).stream()
                .collect(Collectors.groupingBy(string -> string.instrument().id()));
        List<RackRow> rows = all.stream()
                .map(instrument -> row(
                        instrument, onBench.get(instrument.id()), settling.getOrDefault(instrument.id(), List.of())))
                .sorted(Comparator.comparing(RackRow::need))
                .toList();
        model.addAttribute("rows", rows);
        model.addAttribute(
                "wantHands",
                rows.stream().filter(row -> row.need().wantsHands()).count());
        model.addAttribute("occasions", diary.toCome());
        model.addAttribute("now", clock.instant());
        return "rack/rack";
    }

    private static RackRow row(Instrument instrument, Run run, List<SettlingString> settling) {
        StringOn worst = instrument.mostWorn().orElse(null);
        Need need;
        if (run != null) {
            need = Need.ON_BENCH;
        } else if (!instrument.referrals().isEmpty()) {
            need = Need.REFERRED;
        } else if (!instrument.fullyStrung()) {
            need = Need.NO_STRINGS;
        } else {
            need = switch (worst.state()) {
                case CHANGE_NOW -> Need.CHANGE_NOW;
                case DUE -> Need.DUE;
                case AGE_UNKNOWN -> Need.AGE_UNKNOWN;
                case SOON -> settling.isEmpty() ? Need.SOON : Need.SETTLING;
                case GOOD -> settling.isEmpty() ? Need.GOOD : Need.SETTLING;
            };
        }
        StringOn about = need == Need.SETTLING ? settling.get(0).string() : worst;
        return new RackRow(instrument, strands(instrument, run, settling), need, about, run, settling);
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
