package rosinedpeg.web.tailpiece;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;
import rosinedpeg.core.figure.Figure;
import rosinedpeg.core.figure.Origin;
import rosinedpeg.core.figure.Range;
import rosinedpeg.core.setup.Measurable;
import rosinedpeg.core.setup.Quantity;
import rosinedpeg.core.setup.SetUp;
import rosinedpeg.core.strings.Elasticity;
import rosinedpeg.core.strings.Position;
import rosinedpeg.core.tailpiece.Afterlength;
import rosinedpeg.core.tailpiece.FineTuner;
import rosinedpeg.core.tailpiece.TailpieceMass;
import rosinedpeg.web.drawing.DrawingFile;
import rosinedpeg.web.drawing.TailpieceDrawing;
import rosinedpeg.web.drawing.View;
import rosinedpeg.web.instrument.Instrument;
import rosinedpeg.web.instrument.Instruments;
import rosinedpeg.web.platform.OpenTo;
import rosinedpeg.web.platform.Page;
import rosinedpeg.web.platform.Role;
import rosinedpeg.web.platform.Say;
import rosinedpeg.web.platform.Words;

/** Between bridge and tail: the afterlength and what it sounds, the fine tuners' travel, what it all weighs. */
@Controller
class TailpieceController {

    private final Instruments instruments;
    private final DrawingFile files;
    private final Words words;

    TailpieceController(Instruments instruments, DrawingFile files, Words words) {
        this.instruments = instruments;
        this.files = files;
        this.words = words;
    }

    @OpenTo(Role.PLAYER)
    @GetMapping("/instruments/{id}/tailpiece")
    String look(@PathVariable UUID id, @RequestParam(required = false) Position string, Model model) {
        Instrument instrument = instruments.get(id);
        SetUp setUp = instrument.setUp();
        List<Tuner> tuners = tuners(instrument);
        Optional<Position> drawn = drawn(tuners, string);
        Page.lay(
                new TailpiecePage(
                        instrument, TailpieceDrawing.of(setUp, drawn.orElse(null)), told(setUp), drawn, tuners),
                model);
        return "tailpiece/tailpiece";
    }

    @OpenTo(Role.PLAYER)
    @GetMapping("/instruments/{id}/tailpiece.svg")
    ResponseEntity<byte[]> file(@PathVariable UUID id, @RequestParam(required = false) Position string) {
        Instrument instrument = instruments.get(id);
        View view = TailpieceDrawing.of(
                instrument.setUp(), drawn(tuners(instrument), string).orElse(null));
        String title = words.say("tailpiece.title", instrument.name());
        return files.of("tailpiece", title, told(instrument.setUp()), 1, List.of(view));
    }

    private String told(SetUp setUp) {
        Afterlength afterlength = Afterlength.of(setUp);
        return words.say(
                "tailpiece.desc",
                Say.number(afterlength.measuredMm(), 1),
                Say.number(afterlength.targetMm(), 1),
                Say.number(afterlength.offTarget().value(), 0));
    }

    private static Optional<Position> drawn(List<Tuner> tuners, Position wanted) {
        return tuners.stream()
                .map(Tuner::position)
                .filter(position -> wanted == null || position == wanted)
                .findFirst();
    }

    private static List<Tuner> tuners(Instrument instrument) {
        SetUp setUp = instrument.setUp();
        List<Tuner> tuners = new ArrayList<>();
        for (Position position : setUp.positions()) {
            if (position.in(setUp.tailEnds()).hasFineTuner()) {
                FineTuner tuner = FineTuner.of(setUp, position);
                tuners.add(new Tuner(
                        position,
                        tuner,
                        instrument
                                .string(position)
                                .map(on -> setUp.elasticity(on.kind().spec())),
                        setUp.weakestOrigin(List.of(
                                Measurable.of(Quantity.TUNER_SCREW_LEFT, position),
                                Measurable.of(Quantity.TUNER_SCREW_IN, position),
                                Measurable.of(Quantity.LEVER_TO_TOP, position)))));
            }
        }
        return tuners;
    }

    /**
     * The fine tuner of one string.
     *
     * @param position the string
     * @param tuner its travel
     * @param string how the string answers; empty when none is recorded
     * @param origin whether its travel was measured
     */
    record Tuner(Position position, FineTuner tuner, Optional<Elasticity> string, Origin origin) {}

    /**
     * The tailpiece, its cord and its fine tuners.
     *
     * @param instrument the instrument
     * @param drawing the tailpiece from the side, with one of its tuners
     * @param told what is to be seen there
     * @param drawn whose tuner that is; empty when it has none
     * @param tuners every fine tuner
     */
    record TailpiecePage(
            Instrument instrument, View drawing, String told, Optional<Position> drawn, List<Tuner> tuners) {

        /** {@return how the afterlength is tuned} */
        public Afterlength afterlength() {
            return Afterlength.of(instrument.setUp());
        }

        /** {@return what the afterlength of I sounds} */
        public Afterlength.Sounding sounding() {
            return afterlength().sounding(instrument.setUp().openString(Position.I));
        }

        /** {@return how well the afterlength is known} */
        public Origin afterlengthOrigin() {
            return instrument.setUp().figure(Quantity.AFTERLENGTH).origin();
        }

        /** {@return how heavy it is} */
        public TailpieceMass mass() {
            return TailpieceMass.of(instrument.setUp(), instrument.fittings().tunersBuiltIn());
        }

        /** {@return how heavy its like usually is, with one tuner} */
        public TailpieceMass usualMass() {
            return TailpieceMass.usual(instrument.setUp().family(), 1);
        }

        /** {@return how well its mass is known} */
        public Origin massOrigin() {
            return instrument.setUp().figure(Quantity.TAILPIECE_MASS).origin();
        }

        /** {@return what an added tuner takes of the afterlength, where that is known} */
        public Optional<Range> afterlengthTaken() {
            return TailpieceMass.afterlengthTaken(instrument.setUp().family());
        }

        /** {@return how far it is from the top} */
        public Figure toTop() {
            return instrument.setUp().figure(Quantity.TAILPIECE_TO_TOP);
        }
    }
}
