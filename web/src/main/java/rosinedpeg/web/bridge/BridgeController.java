package rosinedpeg.web.bridge;

import jakarta.servlet.http.HttpServletRequest;
import java.time.Clock;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
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
import rosinedpeg.web.drawing.View;
import rosinedpeg.web.instrument.Instrument;
import rosinedpeg.web.instrument.Instruments;
import rosinedpeg.web.platform.Constraint;
import rosinedpeg.web.platform.CurrentWorkshop;
import rosinedpeg.web.platform.Entry;
import rosinedpeg.web.platform.Htmx;
import rosinedpeg.web.platform.NotFoundException;
import rosinedpeg.web.platform.OpenTo;
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
        show(instruments.get(id), form, result, model);
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
        Stance stance = show(instrument, form, result, model);
        if (result.hasErrors() || !stance.read()) {
            return "bridge/bridge";
        }
        measureGap(instrument, stance.lean(), form.press());
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
        Stance stance = show(instrument, form, result, model);
        if (picture == null || !pictures.isPicture(picture)) {
            result.rejectValue("picture", "bridge.picture.wrong");
        }
        if (form.getPlate().isBlank()) {
            result.rejectValue("plate", "bridge.lines.first");
        }
        if (result.hasErrors() || stance.lines().isEmpty()) {
            return "bridge/bridge";
        }
        Constraint.BRIDGE_PICTURE_ONCE.once(
                () -> pictures.keep(id, picture, stance.lines().get(), form.press()));
        Constraint.MEASUREMENT_ONCE.once(() -> measureGap(instrument, stance.lean(), form.press()));
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
                List<Cut> cuts = cuts(instrument);
                if (cuts.isEmpty()) {
                    throw new NotFoundException("strings of " + id);
                }
                String told = String.join(" ", cuts.stream().map(Cut::desc).toList());
                yield files.of(
                        "bridge-grooves",
                        title,
                        told,
                        GROOVES_MAGNIFIED,
                        cuts.stream().map(Cut::drawing).toList());
            }
            default -> throw new NotFoundException("drawing " + drawing);
        };
    }

    private Stance show(Instrument instrument, BridgeForm form, BindingResult result, Model model) {
        SetUp setUp = instrument.setUp();
        Stance stance = stance(setUp, form, result);
        if (form.getPress().isBlank()) {
            form.setPress(UUID.randomUUID().toString());
        }
        BridgeCurve curve = BridgeCurve.of(setUp);
        model.addAttribute("instrument", instrument);
        model.addAttribute("gapRange", gapRange(setUp));
        model.addAttribute("stance", stance);
        model.addAttribute("thrust", Thrust.of(setUp, stance.lean()));
        model.addAttribute("side", BridgeDrawing.side(setUp, stance.lean()));
        model.addAttribute("sideTold", sideTold(setUp, stance.lean()));
        model.addAttribute(
                "gapMm",
                stance.read() ? gapRange(setUp).clamp(stance.lean().gapMm(setUp.value(Quantity.BRIDGE_HEIGHT))) : null);
        model.addAttribute("footMm", setUp.value(Quantity.FOOT_DEPTH));
        model.addAttribute("front", BridgeDrawing.front(setUp, instrument.specs(), say));
        model.addAttribute("frontTold", frontTold(setUp));
        model.addAttribute("middles", middles(setUp, curve));
        model.addAttribute("evening", curve.evening());
        model.addAttribute(
                "prouder",
                curve.evening().index().isPresent()
                        ? Position.ofNumber(setUp.positions().size()
                                - curve.evening().index().getAsInt())
                        : null);
        model.addAttribute(
                "curveOrigin",
                setUp.weakestOrigin(setUp.positions().stream()
                        .map(position -> Measurable.of(Quantity.STRING_HEIGHT, position))
                        .toList()));
        model.addAttribute("cuts", cuts(instrument));
        model.addAttribute("drags", drags(instrument));
        model.addAttribute("pictures", pictures.of(instrument.id()));
        model.addAttribute(
                "origin",
                setUp.weakestOrigin(
                        Quantity.BRIDGE_HEIGHT,
                        Quantity.FOOT_DEPTH,
                        Quantity.TOP_THICKNESS,
                        Quantity.FRONT_ANGLE,
                        Quantity.BACK_ANGLE));
        return stance;
    }

    /** What the form shows of the bridge's stance: lines on a picture, a typed gap, or what was measured last. */
    private static Stance stance(SetUp setUp, BridgeForm form, BindingResult result) {
        double heightMm = setUp.value(Quantity.BRIDGE_HEIGHT);
        if (!form.getPlate().isBlank()) {
            Optional<PictureLines> lines = PictureLines.of(form.getPlate(), form.getBack(), form.isLeft());
            try {
                Lean lean = lines.orElseThrow(IllegalArgumentException::new).lean();
                return new Stance(lean, true, lines, Origin.MEASURED);
            } catch (IllegalArgumentException tooFarFromSquare) {
                result.rejectValue("plate", "bridge.lines.wrong");
            }
        } else if (!form.getGap().isBlank()) {
            OptionalDouble gapMm = Entry.number(result, "gap", form.getGap(), gapRange(setUp));
            if (gapMm.isPresent()) {
                return new Stance(Lean.fromGap(gapMm.getAsDouble(), heightMm), true, Optional.empty(), Origin.MEASURED);
            }
        }
        return new Stance(
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
        LocalDate today = clock.instant().atZone(CurrentWorkshop.zone()).toLocalDate();
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
        for (Middle middle : middles(setUp, BridgeCurve.of(setUp))) {
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

    private static List<Middle> middles(SetUp setUp, BridgeCurve curve) {
        List<Middle> middles = new ArrayList<>();
        int strings = setUp.positions().size();
        for (int i = 0; i < strings - 2; i++) {
            middles.add(new Middle(
                    Position.ofNumber(strings - 1 - i),
                    curve.proudMm().get(i),
                    curve.bowingAngleDeg().get(i),
                    curve.radiusMm().get(i)));
        }
        return middles;
    }

    private List<Cut> cuts(Instrument instrument) {
        SetUp setUp = instrument.setUp();
        List<Cut> cuts = new ArrayList<>();
        for (boolean ofBridge : new boolean[] {true, false}) {
            instrument.specs().forEach((position, string) -> {
                Groove groove = ofBridge ? Groove.ofBridge(setUp, string) : Groove.ofNut(setUp, string);
                Quantity depth = ofBridge ? Quantity.BRIDGE_GROOVE_DEPTH : Quantity.NUT_GROOVE_DEPTH;
                cuts.add(new Cut(
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

    private static List<StringDrag> drags(Instrument instrument) {
        SetUp setUp = instrument.setUp();
        Map<Position, StringSpec> specs = instrument.specs();
        double allN = specs.values().stream().mapToDouble(setUp::tensionN).sum();
        return specs.entrySet().stream()
                .map(entry -> new StringDrag(
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
     * How the bridge stands.
     *
     * @param lean its lean
     * @param read whether that was read just now, from a card or a picture
     * @param lines the lines of the picture
     * @param origin whether it was measured at all
     */
    public record Stance(Lean lean, boolean read, Optional<PictureLines> lines, Origin origin) {}

    /**
     * A middle string on the curve of the bridge.
     *
     * @param position the string
     * @param proudMm how far it stands over the line past it
     * @param bowingDeg the room to bow it alone
     * @param radiusMm of the circle through it and its neighbours
     */
    public record Middle(Position position, double proudMm, double bowingDeg, double radiusMm) {}

    /**
     * A groove cut across.
     *
     * @param position its string
     * @param ofBridge whether it is in the bridge, rather than in the nut
     * @param groove its figures
     * @param drawing of it
     * @param origin whether its depth was measured
     * @param desc what is to be seen
     */
    public record Cut(Position position, boolean ofBridge, Groove groove, View drawing, Origin origin, String desc) {}

    /**
     * How far one string leans the bridge on its way from slack to pitch.
     *
     * @param position the string
     * @param dryDeg with dry grooves
     * @param graphitedDeg with graphite in them
     */
    public record StringDrag(Position position, double dryDeg, double graphitedDeg) {}

    /** What is typed, or drawn on a picture. */
    static class BridgeForm {
        private String gap = "";
        private String plate = "";
        private String back = "";
        private boolean left = true;
        private String press = "";
        private MultipartFile picture;

        UUID press() {
            return Entry.press(press);
        }

        public String getGap() {
            return gap;
        }

        public void setGap(String gap) {
            this.gap = gap;
        }

        public String getPlate() {
            return plate;
        }

        public void setPlate(String plate) {
            this.plate = plate;
        }

        public String getBack() {
            return back;
        }

        public void setBack(String back) {
            this.back = back;
        }

        public boolean isLeft() {
            return left;
        }

        public void setLeft(boolean left) {
            this.left = left;
        }

        public String getPress() {
            return press;
        }

        public void setPress(String press) {
            this.press = press;
        }

        public MultipartFile getPicture() {
            return picture;
        }

        public void setPicture(MultipartFile picture) {
            this.picture = picture;
        }
    }
}
