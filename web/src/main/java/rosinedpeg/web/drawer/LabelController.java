package rosinedpeg.web.drawer;

import jakarta.servlet.http.HttpServletRequest;
import java.time.Clock;
import java.time.LocalDate;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.validation.BindingResult;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.servlet.support.ServletUriComponentsBuilder;
import rosinedpeg.web.drawing.QrPicture;
import rosinedpeg.web.instrument.InstrumentNames;
import rosinedpeg.web.instrument.OldString;
import rosinedpeg.web.kinds.KindWords;
import rosinedpeg.web.kinds.StringKind;
import rosinedpeg.web.kinds.StringKinds;
import rosinedpeg.web.platform.CurrentWorkshop;
import rosinedpeg.web.platform.Entry;
import rosinedpeg.web.platform.OpenTo;
import rosinedpeg.web.platform.Page;
import rosinedpeg.web.platform.Palette;
import rosinedpeg.web.platform.Paper;
import rosinedpeg.web.platform.Role;
import rosinedpeg.web.platform.Words;

/** Labels for packets, old strings and instruments, each with a code that a telephone's camera opens. */
@Controller
class LabelController {

    /** More are not printed at a time. */
    private static final int MOST = 600;

    private static final int YEARS = 5;

    private final Drawer drawer;
    private final StringKinds kinds;
    private final KindWords kindWords;
    private final DrawerWords drawerWords;
    private final InstrumentNames instrumentNames;
    private final Paper paper;
    private final Palette palette;
    private final Words words;
    private final Clock clock;

    LabelController(
            Drawer drawer,
            StringKinds kinds,
            KindWords kindWords,
            DrawerWords drawerWords,
            InstrumentNames instrumentNames,
            Paper paper,
            Palette palette,
            Words words,
            Clock clock) {
        this.drawer = drawer;
        this.kinds = kinds;
        this.kindWords = kindWords;
        this.drawerWords = drawerWords;
        this.instrumentNames = instrumentNames;
        this.paper = paper;
        this.palette = palette;
        this.words = words;
        this.clock = clock;
    }

    /** Asks which labels, and how they stand on their sheet. */
    @OpenTo(Role.TECHNICIAN)
    @GetMapping("/drawer/labels")
    String ask(@ModelAttribute("form") LabelForm form, BindingResult result, Model model) {
        return show(form, model);
    }

    private String show(LabelForm form, Model model) {
        Page.lay(
                new LabelsPage(
                        LabelForm.Of.values(),
                        kinds.entered(),
                        LabelSheet.USUAL,
                        form.since().isBlank() ? today().toString() : form.since()),
                model);
        return "drawer/labels";
    }

    /** The labels as a PDF; where something cannot be, the page that asks says so. */
    @OpenTo(Role.TECHNICIAN)
    @GetMapping("/drawer/labels.pdf")
    Object print(
            @ModelAttribute("form") LabelForm form, BindingResult result, Model model, HttpServletRequest request) {
        LabelSheet sheet = LabelSheet.read(result, form);
        List<Label> labels = result.hasErrors() ? List.of() : labels(form, result, request);
        if (!result.hasErrors() && labels.isEmpty()) {
            result.reject("labels.none");
        }
        if (result.hasErrors()) {
            return show(form, model);
        }
        return Paper.answer(
                words.say("labels.file"),
                paper.sheets("drawer/sheet", new Sheet(sheet, sheet.laidOut(labels), palette.colours())));
    }

    private List<Label> labels(LabelForm form, BindingResult result, HttpServletRequest request) {
        String here =
                ServletUriComponentsBuilder.fromContextPath(request).build().toUriString();
        return switch (form.of()) {
            case INSTRUMENTS ->
                instrumentNames.onRack(MOST).entrySet().stream()
                        .map(one -> new Label(
                                QrPicture.of(here + "/instruments/" + one.getKey()), "", one.getValue(), "", "", ""))
                        .toList();
            case KIND -> {
                if (form.kind() == null) {
                    result.rejectValue("kind", "plan.kind.missing");
                    yield List.of();
                }
                yield strings(
                        drawer.lying(List.of(form.kind())).getOrDefault(form.kind(), List.of()).stream()
                                .limit(MOST)
                                .toList(),
                        here);
            }
            case SINCE ->
                Entry.date(result, "since", form.since(), today().minusYears(YEARS), today())
                        .map(day -> strings(
                                drawer.since(
                                        day.atStartOfDay(CurrentWorkshop.zone()).toInstant(), MOST),
                                here))
                        .orElse(List.of());
        };
    }

    private List<Label> strings(Collection<InDrawer> strings, String here) {
        Map<UUID, StringKind> known = kinds.all();
        Map<UUID, OldString> were = drawer.were(strings);
        return strings.stream()
                .map(string -> {
                    StringKind kind = Objects.requireNonNull(known.get(string.kindId()));
                    OldString was = were.get(string.id());
                    return new Label(
                            QrPicture.of(here + "/drawer/" + string.code()),
                            kind.spec().position() + " "
                                    + kind.spec().nominalPitch().letter(),
                            kindWords.label(kind),
                            words.say(
                                    "labels.for",
                                    words.say("family." + kind.family()),
                                    kind.madeFor().code(),
                                    words.say("end." + kind.spec().end())),
                            Optional.ofNullable(was).map(drawerWords::was).orElse(""),
                            string.written());
                })
                .toList();
    }

    private LocalDate today() {
        return CurrentWorkshop.today(clock);
    }

    /**
     * The page that asks for them.
     *
     * @param of of what there are labels
     * @param kinds what kinds there are
     * @param usual ways to share out a sheet
     * @param sinceDay since when strings came, unless somebody says otherwise
     */
    record LabelsPage(LabelForm.Of[] of, List<StringKind> kinds, List<LabelSheet> usual, String sinceDay) {}

    /**
     * A label.
     *
     * @param picture the address of what it is on
     * @param string which string it is; empty for an instrument
     * @param name what it is called
     * @param size what it is for; empty for an instrument
     * @param was what it was; empty for a new one
     * @param code what it is marked with; empty for an instrument
     */
    record Label(QrPicture picture, String string, String name, String size, String was, String code) {}

    /**
     * Sheets of labels.
     *
     * @param form how they stand
     * @param pages the labels, sheet by sheet and row by row
     * @param colours every colour there is
     */
    record Sheet(LabelSheet form, List<List<List<Optional<Label>>>> pages, Map<String, String> colours) {

        /** {@return how large its letters are, in pt: as many as a label has room for} */
        public double letterPt() {
            return form.heightMm() < 26 ? 6.5 : 9;
        }

        /** {@return how wide its code is, in mm} */
        public double codeMm() {
            return Math.min(form.heightMm() - 4, form.widthMm() * 0.46);
        }
    }
}
