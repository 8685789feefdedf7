package rosinedpeg.web.sound;

import java.time.Clock;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.ui.Model;
import org.springframework.validation.BindingResult;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.server.ResponseStatusException;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import rosinedpeg.core.sound.SoundScale;
import rosinedpeg.core.strings.Position;
import rosinedpeg.web.instrument.Instrument;
import rosinedpeg.web.instrument.InstrumentNames;
import rosinedpeg.web.instrument.Instruments;
import rosinedpeg.web.instrument.StringOn;
import rosinedpeg.web.kinds.StringKind;
import rosinedpeg.web.kinds.StringKinds;
import rosinedpeg.web.platform.Constraint;
import rosinedpeg.web.platform.CurrentWorkshop;
import rosinedpeg.web.platform.Entry;
import rosinedpeg.web.platform.ListPage;
import rosinedpeg.web.platform.NotFoundException;
import rosinedpeg.web.platform.OpenTo;
import rosinedpeg.web.platform.Page;
import rosinedpeg.web.platform.Role;

/** How the strings of an instrument sound: what is asked, and what was said. */
@Controller
class SoundController {

    private final Instruments instruments;
    private final InstrumentNames instrumentNames;
    private final StringKinds kinds;
    private final Sounds sounds;
    private final Clock clock;

    SoundController(
            Instruments instruments, InstrumentNames instrumentNames, StringKinds kinds, Sounds sounds, Clock clock) {
        this.instruments = instruments;
        this.instrumentNames = instrumentNames;
        this.kinds = kinds;
        this.sounds = sounds;
        this.clock = clock;
    }

    /** Every string of the rack of which it is asked how it sounds. */
    @OpenTo(Role.PLAYER)
    @GetMapping("/sound")
    String asked(Model model) {
        Map<UUID, List<Asked>> byInstrument = sounds.asked().stream()
                .collect(Collectors.groupingBy(Asked::instrumentId, LinkedHashMap::new, Collectors.toList()));
        Page.lay(new AskedPage(List.copyOf(byInstrument.values())), model);
        return "sound/asked";
    }

    /**
     * What was said of strings of one kind, on every instrument.
     *
     * @param kind the kind
     * @param from how much comes before what is listed
     */
    @OpenTo(Role.PLAYER)
    @GetMapping("/sound/{kind}")
    String ofKind(@PathVariable UUID kind, @RequestParam(defaultValue = "0") int from, Model model) {
        StringKind of = kinds.find(kind).orElseThrow(() -> new NotFoundException("kind of string " + kind));
        ListPage<Heard> heard = sounds.heardOf(of, from);
        Page.lay(
                new KindPage(
                        of,
                        heard,
                        instrumentNames.of(
                                heard.shown().stream().map(Heard::instrumentId).toList())),
                model);
        return "sound/kind";
    }

    /**
     * One instrument.
     *
     * @param string a string that somebody wants to say something of, asked or not
     */
    @OpenTo(Role.PLAYER)
    @GetMapping("/instruments/{id}/sound")
    @Transactional(readOnly = true)
    String one(@PathVariable UUID id, @RequestParam(required = false) @Nullable Position string, Model model) {
        model.addAttribute(
                "form",
                new SoundForm(
                        new HashMap<>(),
                        new HashMap<>(),
                        string,
                        UUID.randomUUID().toString()));
        return show(id, string, model);
    }

    private String show(UUID id, @Nullable Position string, Model model) {
        Instrument instrument = instruments.get(id);
        Page.lay(
                new SoundPage(
                        instrument,
                        asked(instrument, string),
                        List.of(SoundScale.values()),
                        Sounds.byPlace(sounds.heard(id)),
                        InWords.LONGEST_NOTE),
                model);
        return "sound/sound";
    }

    /** The strings the sheet is for: the one that was chosen, or else those that are asked about. */
    private List<Sheet> asked(Instrument instrument, @Nullable Position string) {
        return Optional.ofNullable(string)
                .flatMap(instrument::string)
                .map(on -> List.of(Sheet.of(on)))
                .orElseGet(() ->
                        sounds.asked(instrument.id()).stream().map(Sheet::of).toList());
    }

    /** Keeps what is said; of a string of which nothing is said it is asked again. */
    @OpenTo(Role.PLAYER)
    @PostMapping("/instruments/{id}/sound")
    String say(
            @PathVariable UUID id,
            @ModelAttribute("form") SoundForm form,
            BindingResult result,
            Model model,
            RedirectAttributes redirect) {
        Map<Question, InWords> said = form.read(result);
        if (said.isEmpty() && !result.hasErrors()) {
            result.reject("sound.nothing");
        }
        if (result.hasErrors()) {
            return show(id, form.string(), model);
        }
        keep(id, form.press(), said);
        redirect.addFlashAttribute("notice", "sound.said");
        return "redirect:/instruments/" + id + "/sound";
    }

    /** Nobody wants to say anything of what is asked just now. */
    @OpenTo(Role.PLAYER)
    @PostMapping("/instruments/{id}/sound/pass")
    String pass(@PathVariable UUID id, @RequestParam String press, RedirectAttributes redirect) {
        instruments.require(id);
        keep(id, press, sounds.asked(id).stream().collect(Collectors.toMap(Asked::question, none -> InWords.NOTHING)));
        redirect.addFlashAttribute("notice", "sound.passed");
        return "redirect:/instruments/" + id + "/sound";
    }

    private void keep(UUID id, String press, Map<Question, InWords> said) {
        Constraint.STRING_SOUND_ONCE.once(() -> sounds.say(id, Entry.press(press), clock.instant(), said));
    }

    /** Takes back what was said: one's own, or as keeper anybody's. */
    @OpenTo(Role.PLAYER)
    @PostMapping("/instruments/{id}/sound/{said}/back")
    String takeBack(@PathVariable UUID id, @PathVariable UUID said, RedirectAttributes redirect) {
        boolean keeper = CurrentWorkshop.account()
                .filter(account -> account.role() == Role.KEEPER)
                .isPresent();
        sounds.takeBack(id, said, keeper ? Optional.empty() : Optional.of(CurrentWorkshop.person()));
        redirect.addFlashAttribute("notice", "sound.back");
        return "redirect:/instruments/" + id + "/sound";
    }

    /**
     * What is said, as it is chosen and typed.
     *
     * @param places the place on each scale, by {@link Question#key} and the scale; empty where nothing is said
     * @param notes what else is said, by {@link Question#key}
     * @param string the string somebody wanted to say something of; null when those are meant that are asked about
     * @param press the press of the button
     */
    record SoundForm(
            Map<String, String> places,
            Map<String, String> notes,
            @Nullable Position string,
            String press) {

        /** What is not sent is as on an empty form. */
        SoundForm {
            places = places == null ? new HashMap<>() : places;
            notes = notes == null ? new HashMap<>() : notes;
            press = Entry.orEmpty(press);
        }

        /** {@return what is said of each string of which anything is; a note that is too long is refused at its field} */
        private Map<Question, InWords> read(BindingResult result) {
            Map<Question, Map<SoundScale, Integer>> chosen = new LinkedHashMap<>();
            places.forEach((key, place) -> {
                if (!place.isEmpty()) {
                    int end = key.lastIndexOf(':');
                    chosen.computeIfAbsent(
                                    tampered(() -> Question.read(key.substring(0, end))),
                                    none -> new EnumMap<>(SoundScale.class))
                            .put(
                                    tampered(() -> SoundScale.valueOf(key.substring(end + 1))),
                                    tampered(() -> SoundScale.require(Integer.parseInt(place))));
                }
            });
            Map<Question, String> typed = new LinkedHashMap<>();
            notes.forEach((key, note) -> {
                if (!note.isBlank()) {
                    typed.put(tampered(() -> Question.read(key)), note.strip());
                    Entry.note(result, "notes[" + key + "]", note, InWords.LONGEST_NOTE);
                }
            });
            return Stream.concat(chosen.keySet().stream(), typed.keySet().stream())
                    .distinct()
                    .collect(Collectors.toMap(
                            question -> question,
                            question -> new InWords(
                                    chosen.getOrDefault(question, Map.of()), typed.getOrDefault(question, ""))));
        }

        /** What comes from a choice and cannot be read was not sent by the page. */
        private static <T> T tampered(Supplier<T> read) {
            try {
                return read.get();
            } catch (IllegalArgumentException | IndexOutOfBoundsException tampered) {
                throw new ResponseStatusException(HttpStatus.BAD_REQUEST, "what was said cannot be read", tampered);
            }
        }
    }

    /**
     * A string on the sheet.
     *
     * @param question what is asked
     * @param position which string
     * @param kind what it is
     */
    record Sheet(Question question, Position position, StringKind kind) {

        static Sheet of(StringOn on) {
            return new Sheet(new Question(on.fittedId(), SoundMoment.ON), on.position(), on.kind());
        }

        static Sheet of(Asked asked) {
            return new Sheet(asked.question(), asked.position(), asked.kind());
        }
    }

    /** What is asked anywhere, instrument by instrument. */
    private record AskedPage(List<List<Asked>> byInstrument) {}

    /** What was said of one kind, and what the instruments are called on which it was. */
    private record KindPage(StringKind kind, ListPage<Heard> heard, Map<UUID, String> names) {}

    /** One instrument. */
    private record SoundPage(
            Instrument instrument,
            List<Sheet> sheets,
            List<SoundScale> scales,
            Map<Position, List<Heard>> heard,
            int longestNote) {}
}
