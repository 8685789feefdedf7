package rosinedpeg.web.fit;

import jakarta.servlet.http.HttpServletRequest;
import java.util.List;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;
import rosinedpeg.core.finding.Finding;
import rosinedpeg.core.fit.FitCheck;
import rosinedpeg.core.setup.Quantity;
import rosinedpeg.core.setup.SetUp;
import rosinedpeg.core.strings.Position;
import rosinedpeg.core.winding.Turns;
import rosinedpeg.web.drawer.StringKind;
import rosinedpeg.web.drawer.StringKinds;
import rosinedpeg.web.drawing.DrawingFile;
import rosinedpeg.web.drawing.FitDrawing;
import rosinedpeg.web.findings.FindingWords;
import rosinedpeg.web.instrument.Instrument;
import rosinedpeg.web.instrument.Instruments;
import rosinedpeg.web.platform.Htmx;
import rosinedpeg.web.platform.NotFoundException;
import rosinedpeg.web.platform.OpenTo;
import rosinedpeg.web.platform.Role;
import rosinedpeg.web.platform.Say;
import rosinedpeg.web.platform.Words;

/** Lays any string of the drawer along an instrument, before anything comes off. */
@Controller
class FitController {

    private final Instruments instruments;
    private final StringKinds kinds;
    private final DrawingFile files;
    private final FindingWords judgements;
    private final Words words;

    FitController(Instruments instruments, StringKinds kinds, DrawingFile files, FindingWords judgements, Words words) {
        this.instruments = instruments;
        this.kinds = kinds;
        this.files = files;
        this.judgements = judgements;
        this.words = words;
    }

    @OpenTo(Role.PLAYER)
    @GetMapping("/instruments/{id}/fit")
    String lay(
            @PathVariable UUID id,
            @RequestParam(defaultValue = "I") Position string,
            @RequestParam(required = false) UUID kind,
            Model model,
            HttpServletRequest request) {
        Laid laid = laid(id, string, kind);
        SetUp setUp = laid.instrument().setUp();
        model.addAttribute("instrument", laid.instrument());
        model.addAttribute("string", laid.position());
        model.addAttribute("kinds", laid.offered());
        model.addAttribute("kind", laid.kind());
        if (laid.kind() != null) {
            model.addAttribute("drawing", FitDrawing.of(setUp, laid.kind().spec()));
            model.addAttribute("findings", laid.findings());
            model.addAttribute("told", laid.told());
            model.addAttribute("bridge", setUp.figure(Quantity.AFTERLENGTH));
            model.addAttribute("nutMm", nutMm(setUp));
            model.addAttribute("nutOrigin", setUp.weakestOrigin(Quantity.AFTERLENGTH, Quantity.VIBRATING_LENGTH));
            model.addAttribute("pegMm", nutMm(setUp) + setUp.value(Quantity.NUT_TO_PEG, laid.position()));
            model.addAttribute("turns", Turns.of(setUp, laid.kind().spec()));
            model.addAttribute("tensionN", setUp.tensionN(laid.kind().spec()));
        }
        return Htmx.asks(request) ? "fit/fit :: laid" : "fit/fit";
    }

    @OpenTo(Role.PLAYER)
    @GetMapping("/instruments/{id}/fit.svg")
    ResponseEntity<byte[]> file(
            @PathVariable UUID id,
            @RequestParam(defaultValue = "I") Position string,
            @RequestParam(required = false) UUID kind) {
        Laid laid = laid(id, string, kind);
        if (laid.kind() == null) {
            throw new NotFoundException("string to lay along " + id);
        }
        FitDrawing drawing =
                FitDrawing.of(laid.instrument().setUp(), laid.kind().spec());
        return files.of(
                "fit-" + laid.position(),
                words.say("fit.title", laid.instrument().name()),
                laid.told(),
                1,
                List.of(drawing.tail(), drawing.peg()));
    }

    private Laid laid(UUID id, Position string, UUID kind) {
        Instrument instrument = instruments.get(id);
        Position position = instrument.setUp().positions().contains(string) ? string : Position.I;
        List<StringKind> offered = kinds.of(instrument.setUp().family(), position);
        UUID on = instrument.string(position).map(fitted -> fitted.kind().id()).orElse(null);
        StringKind chosen = offered.stream()
                .filter(one -> one.id().equals(kind == null ? on : kind))
                .findFirst()
                .orElse(offered.isEmpty() ? null : offered.get(0));
        List<Finding> findings = chosen == null
                ? List.of()
                : FitCheck.of(instrument.setUp(), instrument.specs()).judge(position, chosen.spec());
        return new Laid(instrument, position, offered, chosen, findings, told(instrument, position, chosen, findings));
    }

    private String told(Instrument instrument, Position position, StringKind kind, List<Finding> findings) {
        if (kind == null) {
            return "";
        }
        SetUp setUp = instrument.setUp();
        return words.say(
                "fit.desc",
                position,
                Say.number(kind.spec().tailSilkEndMm(), 0),
                Say.number(setUp.value(Quantity.AFTERLENGTH), 0),
                Say.number(kind.spec().topSilkStartMm(), 0),
                Say.number(nutMm(setUp), 0),
                Say.number(Turns.of(setUp, kind.spec()).count(), 1),
                findings.stream().map(judgements::title).collect(Collectors.joining(", ")));
    }

    private static double nutMm(SetUp setUp) {
        return setUp.value(Quantity.AFTERLENGTH) + setUp.value(Quantity.VIBRATING_LENGTH);
    }

    private record Laid(
            Instrument instrument,
            Position position,
            List<StringKind> offered,
            StringKind kind,
            List<Finding> findings,
            String told) {}
}
