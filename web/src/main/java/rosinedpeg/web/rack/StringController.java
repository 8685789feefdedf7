package rosinedpeg.web.rack;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.validation.BindingResult;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import rosinedpeg.core.figure.Range;
import rosinedpeg.core.figure.Unit;
import rosinedpeg.core.strings.Position;
import rosinedpeg.core.wear.CameOff;
import rosinedpeg.core.wear.WearSign;
import rosinedpeg.web.instrument.Instrument;
import rosinedpeg.web.instrument.Instruments;
import rosinedpeg.web.instrument.StringOn;
import rosinedpeg.web.kinds.KindWords;
import rosinedpeg.web.kinds.StringKind;
import rosinedpeg.web.kinds.StringKinds;
import rosinedpeg.web.platform.Change;
import rosinedpeg.web.platform.CurrentWorkshop;
import rosinedpeg.web.platform.Entry;
import rosinedpeg.web.platform.OpenTo;
import rosinedpeg.web.platform.Page;
import rosinedpeg.web.platform.Role;
import rosinedpeg.web.platform.Words;
import rosinedpeg.web.trueness.StringTrueness;
import rosinedpeg.web.trueness.TruenessReadings;

/** A string that is on an instrument: recorded without the bench, and looked over. */
@Controller
class StringController {

    private static final Range HOURS_BEFORE = new Range(0, 5000, Unit.HOUR);

    private final Instruments instruments;
    private final StringKinds kinds;
    private final KindWords kindWords;
    private final Words words;
    private final StrungSince strungSince;
    private final TruenessReadings trueness;

    StringController(
            Instruments instruments,
            StringKinds kinds,
            KindWords kindWords,
            StrungSince strungSince,
            TruenessReadings trueness,
            Words words) {
        this.instruments = instruments;
        this.kinds = kinds;
        this.kindWords = kindWords;
        this.words = words;
        this.strungSince = strungSince;
        this.trueness = trueness;
    }

    @OpenTo(Role.PLAYER)
    @GetMapping("/instruments/{id}/strings/{position}")
    String string(@PathVariable UUID id, @PathVariable Position position, Model model) {
        Optional<StringOn> on = instruments.get(id).string(position);
        model.addAttribute("form", form(on));
        return showString(id, position, model);
    }

    private static StringForm form(Optional<StringOn> on) {
        return new StringForm(
                on.map(StringOn::fittedId).orElse(null),
                on.map(string -> string.kind().id()).orElse(null),
                on.flatMap(StringOn::fittedAt)
                        .map(at ->
                                at.atZone(CurrentWorkshop.zone()).toLocalDate().toString())
                        .orElse(""),
                "0",
                null,
                false);
    }

    /** Records what was seen on the string that is on. */
    @OpenTo(Role.TECHNICIAN)
    @PostMapping("/instruments/{id}/strings/{position}/signs")
    String look(
            @PathVariable UUID id,
            @PathVariable Position position,
            @RequestParam UUID fitted,
            @RequestParam int version,
            @RequestParam(required = false) Set<WearSign> signs,
            RedirectAttributes redirect) {
        Set<WearSign> seen = Entry.ticked(signs);
        String chosen = seen.isEmpty()
                ? words.say("string.look.none")
                : words.list(
                        seen.stream().map(sign -> words.say("sign." + sign)).toList());
        Change.make(
                () -> instruments.look(id, fitted, version, seen), "string.looked", position + " " + chosen, redirect);
        return "redirect:/instruments/" + id;
    }

    /** Records how many hours have been played on the string that is on, as somebody counted them. */
    @OpenTo(Role.TECHNICIAN)
    @PostMapping("/instruments/{id}/strings/{position}/hours")
    String count(
            @PathVariable UUID id,
            @PathVariable Position position,
            @ModelAttribute("counted") HoursForm counted,
            BindingResult result,
            Model model,
            RedirectAttributes redirect) {
        OptionalDouble hours = Entry.number(result, "hours", counted.hours(), HOURS_BEFORE);
        if (hours.isEmpty()) {
            Instrument instrument = instruments.get(id);
            model.addAttribute("form", form(instrument.string(position)));
            return showString(instrument, position, Optional.of(counted), model);
        }
        Change.make(
                () -> instruments.countHours(id, counted.fitted(), counted.version(), hours.getAsDouble()),
                "string.hours.recorded",
                position + " " + counted.hours() + " h",
                redirect);
        return "redirect:/instruments/" + id;
    }

    /** Records a string that was put on without the bench, or one found on the instrument. */
    @OpenTo(Role.TECHNICIAN)
    @PostMapping("/instruments/{id}/strings/{position}/found")
    String found(
            @PathVariable UUID id,
            @PathVariable Position position,
            @ModelAttribute("form") StringForm form,
            BindingResult result,
            Model model,
            RedirectAttributes redirect) {
        Instrument instrument = instruments.get(id);
        Optional<StringKind> chosen = kindsFor(instrument, position).stream()
                .filter(kind -> kind.id().equals(form.kind()))
                .findFirst();
        if (chosen.isEmpty()) {
            result.rejectValue("kind", "string.kind.missing");
        }
        Optional<Instant> since = strungSince.read(result, "since", form.since());
        OptionalDouble hours = Entry.number(result, "hoursBefore", form.hoursBefore(), HOURS_BEFORE);
        if (result.hasErrors()) {
            return showString(id, position, model);
        }
        StringKind kind = chosen.orElseThrow();
        Change.make(
                () -> instruments.found(
                        id,
                        Optional.ofNullable(form.fitted()),
                        position,
                        kind.id(),
                        since.orElse(null),
                        hours.orElseThrow(),
                        form.keepOld(),
                        form.why()),
                "string.recorded",
                position + " " + kindWords.label(kind),
                redirect);
        return "redirect:/instruments/" + id;
    }

    /** What has no string recorded, and where to record it; for those who asked for what stands on every string. */
    @OpenTo(Role.PLAYER)
    @GetMapping("/instruments/{id}/strings-missing")
    String missing(@PathVariable UUID id, Model model) {
        Instrument instrument = instruments.get(id);
        if (instrument.fullyStrung()) {
            return "redirect:/instruments/" + id;
        }
        Page.lay(
                new MissingPage(
                        instrument,
                        instrument.setUp().positions().stream()
                                .filter(position -> instrument.string(position).isEmpty())
                                .toList()),
                model);
        return "rack/strings-missing";
    }

    /** Nobody knows what is on: strings that are usual for the instrument are recorded, of unknown age. */
    @OpenTo(Role.TECHNICIAN)
    @PostMapping("/instruments/{id}/strings-missing")
    String unknown(@PathVariable UUID id, RedirectAttributes redirect) {
        instruments.stringUsually(id, Optional.empty(), Optional.empty());
        redirect.addFlashAttribute("notice", "stringsMissing.taken");
        return "redirect:/instruments/" + id;
    }

    private String showString(UUID id, Position position, Model model) {
        Instrument instrument = instruments.get(id);
        return showString(instrument, position, HoursForm.of(instrument.string(position)), model);
    }

    private String showString(Instrument instrument, Position position, Optional<HoursForm> counted, Model model) {
        Page.lay(
                new StringPage(
                        instrument,
                        position,
                        instrument.string(position),
                        instrument.string(position).map(string -> trueness.of(string.fittedId())),
                        counted,
                        kindsFor(instrument, position)),
                model);
        return "rack/string";
    }

    private List<StringKind> kindsFor(Instrument instrument, Position position) {
        return kinds.of(instrument.setUp(), position);
    }

    /**
     * A string that is on the instrument.
     *
     * @param fitted the string that was on record there when the page was made, if one was
     * @param kind what it is, as chosen
     * @param since the day it went on, as typed; empty when nobody knows
     * @param hoursBefore how long it was played before, as typed
     * @param why why the string it replaces came off; null where nobody says
     * @param keepOld whether the string it replaces is kept
     */
    record StringForm(
            @Nullable UUID fitted,
            @Nullable UUID kind,
            String since,
            String hoursBefore,
            @Nullable CameOff why,
            Boolean keepOld) {

        /** What is not sent is as on an empty form. */
        StringForm {
            since = since == null ? "" : since;
            hoursBefore = hoursBefore == null ? "0" : hoursBefore;
            keepOld = Boolean.TRUE.equals(keepOld);
        }
    }

    /**
     * Hours that somebody counted.
     *
     * @param hours played until now, as typed
     * @param fitted the string
     * @param version of what was on record of it when the page was made
     */
    record HoursForm(String hours, UUID fitted, Integer version) {

        /** What is not sent is as on an empty form. */
        HoursForm {
            hours = hours == null ? "" : hours;
            version = version == null ? -1 : version;
        }

        private static Optional<HoursForm> of(Optional<StringOn> on) {
            return on.map(string -> new HoursForm("", string.fittedId(), string.version()));
        }
    }

    /**
     * A string of an instrument.
     *
     * @param instrument the instrument
     * @param position where the string is
     * @param string what is there; empty when nothing is recorded
     * @param trueness how true it was found; empty when nothing is there
     * @param counted the hours played on it, to be filled in
     * @param kinds what can go there
     */
    record StringPage(
            Instrument instrument,
            Position position,
            Optional<StringOn> string,
            Optional<StringTrueness> trueness,
            Optional<HoursForm> counted,
            List<StringKind> kinds) {

        /** {@return why a string comes off} */
        public CameOff[] reasons() {
            return CameOff.values();
        }

        /** {@return what can be seen or heard on a string} */
        public WearSign[] signs() {
            return WearSign.values();
        }
    }

    /**
     * Which strings are not recorded.
     *
     * @param instrument the instrument
     * @param missing where
     */
    record MissingPage(Instrument instrument, List<Position> missing) {}
}
