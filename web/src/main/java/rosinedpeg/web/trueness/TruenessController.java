package rosinedpeg.web.trueness;

import java.time.Clock;
import java.util.ArrayList;
import java.util.Collections;
import java.util.EnumSet;
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
import rosinedpeg.core.hearing.Octave;
import rosinedpeg.core.hearing.Trueness;
import rosinedpeg.core.strings.Position;
import rosinedpeg.core.wear.WearSign;
import rosinedpeg.web.drawing.HeardDrawing;
import rosinedpeg.web.drawing.TruenessChart;
import rosinedpeg.web.drawing.View;
import rosinedpeg.web.instrument.Instrument;
import rosinedpeg.web.instrument.Instruments;
import rosinedpeg.web.instrument.StringOn;
import rosinedpeg.web.listen.PitchFrom;
import rosinedpeg.web.platform.Change;
import rosinedpeg.web.platform.Constraint;
import rosinedpeg.web.platform.Entry;
import rosinedpeg.web.platform.NotFoundException;
import rosinedpeg.web.platform.OpenTo;
import rosinedpeg.web.platform.Page;
import rosinedpeg.web.platform.Role;

/** Whether a string that is on an instrument has become false. */
@Controller
class TruenessController {

    private static final String PAGE = "/instruments/{id}/strings/{position}/trueness";

    private final Instruments instruments;
    private final TruenessReadings readings;
    private final Clock clock;

    TruenessController(Instruments instruments, TruenessReadings readings, Clock clock) {
        this.instruments = instruments;
        this.readings = readings;
        this.clock = clock;
    }

    @OpenTo(Role.PLAYER)
    @GetMapping(PAGE)
    String trueness(@PathVariable UUID id, @PathVariable Position position, Model model) {
        model.addAttribute("form", new OctaveForm("", "", UUID.randomUUID().toString(), null));
        return show(id, position, model);
    }

    /** Records an octave that somebody read off a tuner. */
    @OpenTo(Role.PLAYER)
    @PostMapping(PAGE)
    String read(
            @PathVariable UUID id,
            @PathVariable Position position,
            @ModelAttribute("form") OctaveForm form,
            BindingResult result,
            Model model,
            RedirectAttributes redirect) {
        StringOn string = string(instruments.get(id), position);
        OptionalDouble cents = octaveCents(form, result);
        if (cents.isEmpty()) {
            return show(id, position, model);
        }
        boolean another = !string.fittedId().equals(form.fitted());
        if (!another) {
            Trueness read = new Trueness(Optional.of(Octave.once(cents.getAsDouble())), Optional.empty());
            Constraint.TRUENESS_READING_ONCE.once(() -> readings.record(
                    string.fittedId(), Entry.press(form.press()), clock.instant(), PitchFrom.TYPED, read));
        }
        redirect.addFlashAttribute("notice", another ? "trueness.another" : "trueness.read");
        return back(id, position);
    }

    /** {@return the stopped note from the harmonic; empty where one of the two is refused, or they are too far apart} */
    private static OptionalDouble octaveCents(OctaveForm form, BindingResult result) {
        OptionalDouble harmonic = Entry.number(result, "harmonic", form.harmonic(), Octave.CENTS);
        OptionalDouble stopped = Entry.number(result, "stopped", form.stopped(), Octave.CENTS);
        if (harmonic.isEmpty() || stopped.isEmpty()) {
            return OptionalDouble.empty();
        }
        double cents = stopped.getAsDouble() - harmonic.getAsDouble();
        if (!Octave.CENTS.contains(cents)) {
            result.rejectValue("stopped", "trueness.apart");
            return OptionalDouble.empty();
        }
        return OptionalDouble.of(cents);
    }

    private static String back(UUID id, Position position) {
        return "redirect:/instruments/" + id + "/strings/" + position + "/trueness";
    }

    /** Takes a reading back. */
    @OpenTo(Role.PLAYER)
    @PostMapping(PAGE + "/{reading}/back")
    String takeBack(
            @PathVariable UUID id,
            @PathVariable Position position,
            @PathVariable UUID reading,
            RedirectAttributes redirect) {
        readings.takeBack(string(instruments.get(id), position).fittedId(), reading);
        redirect.addFlashAttribute("notice", "settling.takenBack");
        return back(id, position);
    }

    /** Counts it as a sign of wear that a string has become false. */
    @OpenTo(Role.TECHNICIAN)
    @PostMapping(PAGE + "/sign")
    String sign(
            @PathVariable UUID id,
            @PathVariable Position position,
            @RequestParam UUID fitted,
            @RequestParam int version,
            RedirectAttributes redirect) {
        StringOn string = string(instruments.get(id), position);
        Set<WearSign> signs = EnumSet.of(WearSign.FALSE_FIFTHS);
        signs.addAll(string.signs());
        Change.make(() -> instruments.look(id, fitted, version, signs), "trueness.signed", position.name(), redirect);
        return "redirect:/instruments/" + id + "/strings/" + position;
    }

    private static StringOn string(Instrument instrument, Position position) {
        return instrument
                .string(position)
                .orElseThrow(() -> new NotFoundException("string " + position + " of " + instrument.id()));
    }

    private String show(UUID id, Position position, Model model) {
        Instrument instrument = instruments.get(id);
        StringOn string = string(instrument, position);
        StringTrueness trueness = readings.of(string.fittedId());
        Page.lay(
                new TruenessPage(
                        instrument,
                        string,
                        trueness,
                        HeardDrawing.of(instrument.specs()),
                        TruenessChart.of(
                                trueness.readings().stream()
                                        .flatMap(reading -> reading.trueness().octave().stream()
                                                .map(octave -> new TruenessChart.Read(reading.at(), octave)))
                                        .toList(),
                                string.fittedAt())),
                model);
        return "trueness/trueness";
    }

    /**
     * An octave as it is typed.
     *
     * @param harmonic what the harmonic sounds, from the octave of the open string, as typed
     * @param stopped what the stopped note sounds, from the same, as typed
     * @param press the press of the button
     * @param fitted the string that was on when the page was made; null where the page does not say
     */
    record OctaveForm(
            String harmonic,
            String stopped,
            String press,
            @Nullable UUID fitted) {

        /** What is not sent is as on an empty form. */
        OctaveForm {
            harmonic = Entry.orEmpty(harmonic);
            stopped = Entry.orEmpty(stopped);
            press = Entry.orEmpty(press);
        }
    }

    /**
     * How true a string is.
     *
     * @param instrument the instrument
     * @param string the string
     * @param trueness what was read of it
     * @param heard the strings as they are heard
     * @param chart its octave from day to day; null until there are two readings
     */
    record TruenessPage(
            Instrument instrument,
            StringOn string,
            StringTrueness trueness,
            View heard,
            @Nullable TruenessChart chart) {

        /** {@return what it would count as a sign of wear, as a share of its life} */
        public double signShare() {
            return WearSign.FALSE_FIFTHS.share();
        }

        /** {@return by how much an octave has to move to be false, in cents} */
        public double falseCents() {
            return Trueness.FALSE_OCTAVE_CENTS;
        }

        /** {@return the readings, the last one first} */
        public List<StringTrueness.Reading> newestFirst() {
            List<StringTrueness.Reading> readings = new ArrayList<>(trueness.readings());
            Collections.reverse(readings);
            return readings;
        }

        /** {@return how many octaves were read} */
        public long octaves() {
            return trueness.readings().stream()
                    .filter(reading -> reading.trueness().octave().isPresent())
                    .count();
        }

        /** {@return how far the last of them lies from the first, in cents} */
        public double movedCents() {
            return trueness.readings().stream()
                    .flatMap(reading -> reading.since().octave().stream())
                    .reduce((one, next) -> next)
                    .map(Trueness.Moved::cents)
                    .orElse(0.0);
        }

        /** {@return whether it is false and does not yet count as a sign of wear} */
        public boolean asksForSign() {
            return trueness.isFalse() && !string.signs().contains(WearSign.FALSE_FIFTHS);
        }
    }
}
