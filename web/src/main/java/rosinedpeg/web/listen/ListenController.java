package rosinedpeg.web.listen;

import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.http.CacheControl;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.validation.BindingResult;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;
import rosinedpeg.core.pitch.Fifths;
import rosinedpeg.core.setup.Family;
import rosinedpeg.core.setup.Size;
import rosinedpeg.core.strings.Position;
import rosinedpeg.core.tone.PluckedString;
import rosinedpeg.web.drawing.HeardDrawing;
import rosinedpeg.web.drawing.View;
import rosinedpeg.web.instrument.InstrumentNames;
import rosinedpeg.web.platform.NotFoundException;
import rosinedpeg.web.platform.OpenTo;
import rosinedpeg.web.platform.Page;
import rosinedpeg.web.platform.Role;
import rosinedpeg.web.platform.Say;

/** Listening by itself: where each string is, and what it should sound. */
@Controller
class ListenController {

    private static final int SUGGESTED = 200;
    private static final int SECONDS = 6;

    private final InstrumentNames instrumentNames;
    private final WhatSounds what;

    ListenController(InstrumentNames instrumentNames, WhatSounds what) {
        this.instrumentNames = instrumentNames;
        this.what = what;
    }

    @OpenTo(Role.PLAYER)
    @GetMapping("/listen")
    String listen(@ModelAttribute("form") ListenForm form, BindingResult result, Model model) {
        Optional<UUID> instrument = what.instrument(form, result);
        Optional<OpenStrings> open = what.of(form, instrument, result);
        Page.lay(
                new ListenPage(
                        open.map(OpenStrings::each).orElse(List.of()),
                        open.map(one -> HeardDrawing.of(one.strings())),
                        open.map(one -> Say.number(one.setUp().referenceA().hertz(), 1)),
                        form.in("/hear/open/strings", instrument),
                        open.map(ignored -> form.in("/listen/tone/", instrument)),
                        Arrays.stream(Family.values())
                                .flatMap(family -> Size.of(family).stream())
                                .toList(),
                        List.copyOf(instrumentNames.onRack(SUGGESTED).values()),
                        Fifths.values()),
                model);
        return "listen/listen";
    }

    /**
     * What a string should sound like, long enough to tune by.
     *
     * @param position which string
     * @param with another one together with it, so that the beats between them are heard
     */
    @OpenTo(Role.PLAYER)
    @GetMapping("/listen/tone/{position}.wav")
    ResponseEntity<byte[]> tone(
            @PathVariable Position position,
            @RequestParam(required = false) @Nullable Position with,
            @RequestParam(required = false) @Nullable UUID of,
            @ModelAttribute("form") ListenForm form,
            BindingResult result) {
        OpenStrings open = what.of(form, Optional.ofNullable(of), result)
                .orElseThrow(() -> new NotFoundException("strings " + form));
        double[] values = samples(open, position);
        if (with != null) {
            double[] other = samples(open, with);
            for (int i = 0; i < values.length; i++) {
                values[i] = (values[i] + other[i]) / 2;
            }
        }
        return ResponseEntity.ok()
                .contentType(MediaType.parseMediaType("audio/wav"))
                .cacheControl(CacheControl.noStore())
                .body(WavFile.of(values));
    }

    private static double[] samples(OpenStrings open, Position position) {
        Double hertz = open.hertz().get(position);
        if (hertz == null) {
            throw new NotFoundException("string " + position);
        }
        return PluckedString.steady(hertz).samples(SECONDS);
    }

    /**
     * What is listened to.
     *
     * @param strings the open strings; empty when something is wrong with what was asked
     * @param heard the drawing into which goes what is heard
     * @param hertz what A is
     * @param socket where the sound goes
     * @param tones where the tones come from
     * @param sizes what an instrument may be
     * @param instruments the names of those on the rack
     * @param steps how wide the steps may be
     */
    record ListenPage(
            List<OpenStrings.One> strings,
            Optional<View> heard,
            Optional<String> hertz,
            String socket,
            Optional<String> tones,
            List<Size> sizes,
            List<String> instruments,
            Fifths[] steps) {}
}
