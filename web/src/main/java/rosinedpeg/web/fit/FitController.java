package rosinedpeg.web.fit;

import jakarta.servlet.http.HttpServletRequest;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;
import rosinedpeg.core.figure.Figure;
import rosinedpeg.core.figure.Origin;
import rosinedpeg.core.finding.Finding;
import rosinedpeg.core.fit.FitCheck;
import rosinedpeg.core.setup.Quantity;
import rosinedpeg.core.setup.SetUp;
import rosinedpeg.core.strings.Position;
import rosinedpeg.core.winding.Turns;
import rosinedpeg.web.drawing.DrawingFile;
import rosinedpeg.web.drawing.FitDrawing;
import rosinedpeg.web.findings.FindingWords;
import rosinedpeg.web.instrument.Instrument;
import rosinedpeg.web.instrument.Instruments;
import rosinedpeg.web.kinds.StringKind;
import rosinedpeg.web.kinds.StringKinds;
import rosinedpeg.web.platform.Htmx;
import rosinedpeg.web.platform.NotFoundException;
import rosinedpeg.web.platform.OpenTo;
import rosinedpeg.web.platform.Page;
import rosinedpeg.web.platform.Role;
import rosinedpeg.web.platform.Say;
import rosinedpeg.web.platform.Words;

/** Lays any kind of string along an instrument, before anything comes off. */
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
        Page.lay(laid(id, string, kind), model);
        return Htmx.asks(request) ? "fit/fit :: laid" : "fit/fit";
    }

    @OpenTo(Role.PLAYER)
    @GetMapping("/instruments/{id}/fit.svg")
    ResponseEntity<byte[]> file(
            @PathVariable UUID id,
            @RequestParam(defaultValue = "I") Position string,
            @RequestParam(required = false) UUID kind) {
        FitPage page = laid(id, string, kind);
        Laid laid = page.laid().orElseThrow(() -> new NotFoundException("string to lay along " + id));
        return files.of(
                "fit-" + page.string(),
                words.say("fit.title", page.instrument().name()),
                laid.told(),
                1,
                List.of(laid.drawing().tail(), laid.drawing().peg()));
    }

    private FitPage laid(UUID id, Position wanted, UUID kind) {
        Instrument instrument = instruments.get(id);
        Position position = instrument.setUp().positions().contains(wanted) ? wanted : Position.I;
        List<StringKind> offered = kinds.of(instrument.setUp(), position);
        Optional<UUID> chosen = Optional.ofNullable(kind)
                .or(() ->
                        instrument.string(position).map(fitted -> fitted.kind().id()));
        return new FitPage(
                instrument,
                position,
                offered,
                offered.stream()
                        .filter(one -> chosen.isPresent() && one.id().equals(chosen.get()))
                        .findFirst()
                        .or(() -> offered.stream().findFirst())
                        .map(one -> laid(instrument, position, one)));
    }

    private Laid laid(Instrument instrument, Position position, StringKind kind) {
        SetUp setUp = instrument.setUp();
        List<Finding> findings = FitCheck.of(setUp, instrument.specs()).judge(position, kind.spec());
        double nutMm = setUp.value(Quantity.AFTERLENGTH) + setUp.value(Quantity.VIBRATING_LENGTH);
        Turns turns = Turns.of(setUp, kind.spec());
        String told = words.say(
                "fit.desc",
                position,
                Say.number(kind.spec().tailSilkEndMm(), 0),
                Say.number(setUp.value(Quantity.AFTERLENGTH), 0),
                Say.number(kind.spec().topSilkStartMm(), 0),
                Say.number(nutMm, 0),
                Say.number(turns.count(), 1),
                findings.stream().map(judgements::title).collect(Collectors.joining(", ")));
        return new Laid(
                kind,
                FitDrawing.of(setUp, kind.spec()),
                findings,
                told,
                setUp.figure(Quantity.AFTERLENGTH),
                nutMm,
                setUp.weakestOrigin(Quantity.AFTERLENGTH, Quantity.VIBRATING_LENGTH),
                nutMm + setUp.value(Quantity.NUT_TO_PEG, position),
                turns,
                setUp.tensionN(kind.spec()));
    }

    /**
     * A kind of string laid along the instrument.
     *
     * @param instrument the instrument
     * @param string where the string would go
     * @param kinds the kinds that can go there
     * @param laid the chosen one; empty when there is none
     */
    record FitPage(Instrument instrument, Position string, List<StringKind> kinds, Optional<Laid> laid) {}

    /**
     * How a string lies.
     *
     * @param kind what it is
     * @param drawing its ends along the instrument
     * @param findings how it fits
     * @param told what the drawing shows
     * @param bridge from the tailpiece to the bridge
     * @param nutMm from the tailpiece to the nut
     * @param nutOrigin how well that is known
     * @param pegMm from the tailpiece to its peg
     * @param turns how often it goes round the peg
     * @param tensionN how hard it pulls at pitch
     */
    record Laid(
            StringKind kind,
            FitDrawing drawing,
            List<Finding> findings,
            String told,
            Figure bridge,
            double nutMm,
            Origin nutOrigin,
            double pegMm,
            Turns turns,
            double tensionN) {}
}
