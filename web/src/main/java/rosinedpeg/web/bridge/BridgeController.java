package rosinedpeg.web.bridge;

import jakarta.servlet.http.HttpServletRequest;
import java.time.Clock;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.UUID;
import org.springframework.http.CacheControl;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.validation.BindingResult;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import rosinedpeg.core.bridge.BridgeCurve;
import rosinedpeg.core.bridge.Drag;
import rosinedpeg.core.bridge.Lean;
import rosinedpeg.core.bridge.Thrust;
import rosinedpeg.core.figure.Origin;
import rosinedpeg.core.figure.Range;
import rosinedpeg.core.grooves.Groove;
import rosinedpeg.core.setup.Measurable;
import rosinedpeg.core.setup.Quantity;
import rosinedpeg.core.setup.SetUp;
import rosinedpeg.core.strings.Position;
import rosinedpeg.core.strings.StringSpec;
import rosinedpeg.web.drawing.BridgeDrawing;
import rosinedpeg.web.drawing.DrawingFile;
import rosinedpeg.web.drawing.GrooveDrawing;
import rosinedpeg.web.instrument.Instrument;
import rosinedpeg.web.instrument.Instruments;
import rosinedpeg.web.platform.Constraint;
import rosinedpeg.web.platform.CurrentWorkshop;
import rosinedpeg.web.platform.Entry;
import rosinedpeg.web.platform.Htmx;
import rosinedpeg.web.platform.NotFoundException;
import rosinedpeg.web.platform.OpenTo;
import rosinedpeg.web.platform.Page;
import rosinedpeg.web.platform.Role;
import rosinedpeg.web.platform.Say;
import rosinedpeg.web.platform.Words;

/** The bridge: whether it stands, by a card or a picture; its curve, its grooves, and how far each string drags it. */
@Controller
class BridgeController {

    private static final double GROOVES_MAGNIFIED = 12;

    private final Instruments instruments;
    private final BridgePictures pictures;
    private final DrawingFile files;
    private final Words words;
    private final Say say;
    private final Clock clock;

    BridgeController(
            Instruments instruments, BridgePictures pictures, DrawingFile files, Words words, Say say, Clock clock) {
        this.instruments = instruments;
        this.pictures = pictures;
        this.files = files;
        this.words = words;
        this.say = say;
        this.clock = clock;
    }

    @OpenTo(Role.PLAYER)
    @GetMapping("/instruments/{id}/bridge")
    String look(
            @PathVariable UUID id,
            @ModelAttribute("form") BridgeForm form,
            BindingResult result,
            Model model,
            HttpServletRequest request) {
        Page.lay(page(instruments.get(id), form, result), model);
        return Htmx.asks(request) ? "bridge/bridge :: stance" : "bridge/bridge";
    }

    /** Records the gap that was typed, or that two lines on a picture stand for. */
    @OpenTo(Role.TECHNICIAN)
    @PostMapping("/instruments/{id}/bridge")
    String record(
            @PathVariable UUID id,
            @ModelAttribute("form") BridgeForm form,
            BindingResult result,
            Model model,
            RedirectAttributes redirect) {
        Instrument instrument = instruments.get(id);
        BridgePage page = page(instrument, form, result);
        BridgePage.Stance stance = page.stance();
        if (result.hasErrors() || !stance.read()) {
            Page.lay(page, model);
            return "bridge/bridge";
        }
        measureGap(instrument, stance.lean(), Entry.press(form.press()));
        redirect.addFlashAttribute("notice", "bridge.recorded");
        return "redirect:/instruments/" + id + "/bridge";
    }

    /** Keeps a picture with its lines, and records the lean that they show. */
    @OpenTo(Role.TECHNICIAN)
    @PostMapping("/instruments/{id}/bridge/pictures")
    String keep(
            @PathVariable UUID id,
            @ModelAttribute("form") BridgeForm form,
            BindingResult result,
            @RequestParam(required = false) MultipartFile picture,
            Model model,
            RedirectAttributes redirect) {
        Instrument instrument = instruments.get(id);
        BridgePage page = page(instrument, form, result);
        BridgePage.Stance stance = page.stance();
        if (picture == null || !pictures.isPicture(picture)) {
            result.rejectValue("picture", "bridge.picture.wrong");
        }
        if (form.plate().isBlank()) {
            result.rejectValue("plate", "bridge.lines.first");
        }
        if (result.hasErrors() || stance.lines().isEmpty()) {
            Page.lay(page, model);
            return "bridge/bridge";
        }
        Constraint.BRIDGE_PICTURE_ONCE.once(
                () -> pictures.keep(id, picture, stance.lines().get(), Entry.press(form.press())));
        Constraint.MEASUREMENT_ONCE.once(() -> measureGap(instrument, stance.lean(), Entry.press(form.press())));
        redirect.addFlashAttribute("notice", "bridge.picture.kept");
        return "redirect:/instruments/" + id + "/bridge";
    }

    @OpenTo(Role.PLAYER)
    @GetMapping("/instruments/{id}/bridge/pictures/{picture}")
    ResponseEntity<byte[]> picture(@PathVariable UUID id, @PathVariable UUID picture) {
        instruments.get(id);
        BridgePictureEntity kept = pictures.get(id, picture);
        return ResponseEntity.ok()
                .contentType(MediaType.parseMediaType(kept.mediaType()))
                .cacheControl(CacheControl.noStore())
                .body(kept.picture());
    }

    /** Takes a picture away; the lean that was read off it stays measured. */
    @OpenTo(Role.TECHNICIAN)
    @PostMapping("/instruments/{id}/bridge/pictures/{picture}/remove")
    String remove(@PathVariable UUID id, @PathVariable UUID picture, RedirectAttributes redirect) {
        pictures.remove(id, picture);
        redirect.addFlashAttribute("notice", "bridge.picture.removed");
        return "redirect:/instruments/" + id + "/bridge";
    }

    @OpenTo(Role.PLAYER)
    @GetMapping("/instruments/{id}/bridge-{drawing}.svg")
    ResponseEntity<byte[]> file(
            @PathVariable UUID id,
            @PathVariable String drawing,
            @ModelAttribute("form") BridgeForm form,
            BindingResult result) {
        Instrument instrument = instruments.get(id);
        SetUp setUp = instrument.setUp();
        String title = words.say("bridge.title", instrument.name());
        return switch (drawing) {
            case "side" -> {
                Lean lean = stance(setUp, form, result).lean();
                yield files.of(
                        "bridge-side", title, sideTold(setUp, lean), 1, List.of(BridgeDrawing.side(setUp, lean)));
            }
            case "front" ->
                files.of(
                        "bridge-front",
                        title,
                        frontTold(setUp),
                        1,
                        List.of(BridgeDrawing.front(setUp, instrument.specs(), say)));
            case "grooves" -> {
                List<BridgePage.Cut> cuts = cuts(instrument);
                if (cuts.isEmpty()) {
                    throw new NotFoundException("strings of " + id);
                }
                String told =
                        String.join(" ", cuts.stream().map(BridgePage.Cut::desc).toList());
                yield files.of(
                        "bridge-grooves",
                        title,
                        told,
                        GROOVES_MAGNIFIED,
                        cuts.stream().map(BridgePage.Cut::drawing).toList());
            }
            default -> throw new NotFoundException("drawing " + drawing);
        };
    }

    private BridgePage page(Instrument instrument, BridgeForm form, BindingResult result) {
        SetUp setUp = instrument.setUp();
        BridgePage.Stance stance = stance(setUp, form, result);
        BridgeCurve curve = BridgeCurve.of(setUp);
        BridgeCurve.Evening evening = curve.evening();
        return new BridgePage(
                instrument,
                stance,
                Thrust.of(setUp, stance.lean()),
                BridgeDrawing.side(setUp, stance.lean()),
                sideTold(setUp, stance.lean()),
                BridgeDrawing.front(setUp, instrument.specs(), say),
                frontTold(setUp),
                middles(setUp, curve),
                evening,
                evening.index().isPresent()
                        ? Optional.of(Position.ofNumber(
                                setUp.positions().size() - evening.index().getAsInt()))
                        : Optional.empty(),
                cuts(instrument),
                drags(instrument),
                pictures.of(instrument.id()));
    }

    /** What the form shows of the bridge's stance: lines on a picture, a typed gap, or what was measured last. */
    private static BridgePage.Stance stance(SetUp setUp, BridgeForm form, BindingResult result) {
        double heightMm = setUp.value(Quantity.BRIDGE_HEIGHT);
        if (!form.plate().isBlank()) {
            Optional<PictureLines> lines = PictureLines.of(form.plate(), form.back(), form.left());
            try {
                Lean lean = lines.orElseThrow(IllegalArgumentException::new).lean();
                return new BridgePage.Stance(lean, true, lines, Origin.MEASURED);
            } catch (IllegalArgumentException tooFarFromSquare) {
                result.rejectValue("plate", "bridge.lines.wrong");
            }
        } else if (!form.gap().isBlank()) {
            OptionalDouble gapMm = Entry.number(result, "gap", form.gap(), gapRange(setUp));
            if (gapMm.isPresent()) {
                return new BridgePage.Stance(
                        Lean.fromGap(gapMm.getAsDouble(), heightMm), true, Optional.empty(), Origin.MEASURED);
            }
        }
        return new BridgePage.Stance(
                Lean.of(setUp),
                false,
                Optional.empty(),
                setUp.figure(Quantity.BRIDGE_GAP).origin());
    }

    private static Range gapRange(SetUp setUp) {
        return setUp.rangeOf(Quantity.BRIDGE_GAP);
    }

    private void measureGap(Instrument instrument, Lean lean, UUID press) {
        double gapMm = lean.gapMm(instrument.setUp().value(Quantity.BRIDGE_HEIGHT));
        LocalDate today = CurrentWorkshop.today(clock);
        instruments.measure(
                instrument.id(),
                Map.of(
                        Measurable.of(Quantity.BRIDGE_GAP),
                        gapRange(instrument.setUp()).clamp(gapMm)),
                today,
                press);
    }

    private String sideTold(SetUp setUp, Lean lean) {
        Thrust thrust = Thrust.of(setUp, lean);
        return words.say(
                "bridge.desc",
                Say.number(lean.degrees(), 1),
                Say.number(thrust.atMm(), 1),
                Say.number(setUp.value(Quantity.FOOT_DEPTH), 1),
                words.say("thrust." + thrust.band() + ".word", lean.degrees()));
    }

    private String frontTold(SetUp setUp) {
        List<String> told = new ArrayList<>();
        for (BridgePage.Middle middle : middles(setUp, BridgeCurve.of(setUp))) {
            told.add(words.say(
                    "bridge.front.desc",
                    middle.position(),
                    Say.number(middle.proudMm(), 1),
                    Say.number(middle.bowingDeg(), 0)));
        }
        return String.join(" ", told);
    }

    private String told(Position position, boolean ofBridge, Groove groove) {
        return words.say(
                "groove.desc",
                position,
                words.say(ofBridge ? "groove.bridge" : "groove.nut"),
                Say.number(groove.depthMm(), 2),
                Say.number(groove.stringDiameterMm(), 2),
                words.say("groove." + groove.depth()));
    }

    private static List<BridgePage.Middle> middles(SetUp setUp, BridgeCurve curve) {
        List<BridgePage.Middle> middles = new ArrayList<>();
        int strings = setUp.positions().size();
        for (int i = 0; i < strings - 2; i++) {
            middles.add(new BridgePage.Middle(
                    Position.ofNumber(strings - 1 - i),
                    curve.proudMm().get(i),
                    curve.bowingAngleDeg().get(i),
                    curve.radiusMm().get(i)));
        }
        return middles;
    }

    private List<BridgePage.Cut> cuts(Instrument instrument) {
        SetUp setUp = instrument.setUp();
        List<BridgePage.Cut> cuts = new ArrayList<>();
        for (boolean ofBridge : new boolean[] {true, false}) {
            instrument.specs().forEach((position, string) -> {
                Groove groove = ofBridge ? Groove.ofBridge(setUp, string) : Groove.ofNut(setUp, string);
                Quantity depth = ofBridge ? Quantity.BRIDGE_GROOVE_DEPTH : Quantity.NUT_GROOVE_DEPTH;
                cuts.add(new BridgePage.Cut(
                        position,
                        ofBridge,
                        groove,
                        GrooveDrawing.of(groove),
                        setUp.figure(depth, position).origin(),
                        told(position, ofBridge, groove)));
            });
        }
        return cuts;
    }

    private static List<BridgePage.StringDrag> drags(Instrument instrument) {
        SetUp setUp = instrument.setUp();
        Map<Position, StringSpec> specs = instrument.specs();
        double allN = specs.values().stream().mapToDouble(setUp::tensionN).sum();
        return specs.entrySet().stream()
                .map(entry -> new BridgePage.StringDrag(
                        entry.getKey(),
                        Drag.ofRaising(
                                        setUp,
                                        entry.getValue(),
                                        instrument.stuck().dry().value(),
                                        allN)
                                .degrees(),
                        Drag.ofRaising(
                                        setUp,
                                        entry.getValue(),
                                        instrument.stuck().graphited().value(),
                                        allN)
                                .degrees()))
                .toList();
    }

    /**
     * What is typed, or drawn on a picture.
     *
     * @param gap the gap under a card, as typed
     * @param plate the line along the plate on the picture
     * @param back the line along the bridge's back on it
     * @param left whether the tailpiece is on the left of it
     * @param press the press of the button
     * @param picture the picture, when it is to be kept
     */
    record BridgeForm(String gap, String plate, String back, Boolean left, String press, MultipartFile picture) {

        /** What is not sent is empty. */
        BridgeForm {
            gap = Objects.requireNonNullElse(gap, "");
            plate = Objects.requireNonNullElse(plate, "");
            back = Objects.requireNonNullElse(back, "");
            left = left == null || left;
            press = Entry.press(press).toString();
        }
    }
}
