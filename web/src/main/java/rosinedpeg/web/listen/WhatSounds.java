package rosinedpeg.web.listen;

import java.util.EnumMap;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.UUID;
import org.springframework.stereotype.Component;
import org.springframework.validation.BindingResult;
import org.springframework.validation.MapBindingResult;
import rosinedpeg.core.figure.Evidence;
import rosinedpeg.core.pitch.ReferenceA;
import rosinedpeg.core.rounds.Coupling;
import rosinedpeg.core.setup.SetUp;
import rosinedpeg.core.setup.Size;
import rosinedpeg.core.strings.Position;
import rosinedpeg.core.strings.StringSpec;
import rosinedpeg.core.usual.UsualString;
import rosinedpeg.web.instrument.Instrument;
import rosinedpeg.web.instrument.InstrumentEntry;
import rosinedpeg.web.instrument.Instruments;
import rosinedpeg.web.platform.CurrentWorkshop;
import rosinedpeg.web.platform.Entry;

/** Finds the strings that somebody wants to listen to: of an instrument of the workshop, or of any of some size. */
@Component
class WhatSounds {

    private final Instruments instruments;
    private final InstrumentEntry entry;

    WhatSounds(Instruments instruments, InstrumentEntry entry) {
        this.instruments = instruments;
        this.entry = entry;
    }

    /** {@return the instrument that is meant; empty when none is, or it is not known, which is noted} */
    Optional<UUID> instrument(ListenForm form, BindingResult result) {
        return form.instrument().isBlank() ? Optional.empty() : entry.one(result, "instrument", form.instrument());
    }

    /**
     * The strings that are meant.
     *
     * @param form what was asked for
     * @param of the instrument, if it is one of the workshop
     * @param result gets what is wrong
     * @return those; empty when something is wrong
     */
    Optional<OpenStrings> of(ListenForm form, Optional<UUID> of, BindingResult result) {
        Optional<Instrument> instrument = of.map(instruments::get);
        Optional<Size> size = Entry.size(form.size());
        OptionalDouble typed = form.referenceA().isBlank()
                ? OptionalDouble.empty()
                : Entry.number(result, "referenceA", form.referenceA(), ReferenceA.RANGE);
        if (instrument.isEmpty() && size.isEmpty()) {
            result.rejectValue("size", "instrument.size.missing");
        }
        if (result.hasErrors()) {
            return Optional.empty();
        }
        SetUp own = instrument.map(Instrument::setUp).orElseGet(() -> inWorkshop(SetUp.unmeasured(size.orElseThrow())));
        SetUp setUp = typed.isPresent() ? own.tuned(own.openStrings(), new ReferenceA(typed.getAsDouble())) : own;
        Map<Position, StringSpec> strings = new EnumMap<>(Position.class);
        setUp.positions().forEach(position -> strings.put(position, UsualString.of(setUp, position)));
        instrument.ifPresent(one -> strings.putAll(one.specs()));
        return Optional.of(new OpenStrings(
                setUp,
                strings,
                Coupling.of(setUp.family(), instrument.map(Instrument::coupling).orElse(Evidence.NONE)),
                form.fifths()));
    }

    private static SetUp inWorkshop(SetUp setUp) {
        return setUp.tuned(setUp.openStrings(), CurrentWorkshop.referenceA());
    }

    /**
     * The same, said by an address of our own.
     *
     * @throws IllegalArgumentException when it is not one of ours
     */
    OpenStrings of(ListenForm form, Optional<UUID> of) {
        BindingResult result = new MapBindingResult(new HashMap<>(), "form");
        return of(form, of, result)
                .orElseThrow(() -> new IllegalArgumentException("asked is " + form + ", " + result.getAllErrors()));
    }
}
