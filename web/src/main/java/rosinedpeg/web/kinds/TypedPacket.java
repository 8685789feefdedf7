package rosinedpeg.web.kinds;

import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.jspecify.annotations.Nullable;
import org.springframework.context.support.DefaultMessageSourceResolvable;
import org.springframework.validation.Errors;
import rosinedpeg.core.figure.Origin;
import rosinedpeg.core.figure.OutOfRangeException;
import rosinedpeg.core.figure.Range;
import rosinedpeg.core.pitch.Pitch;
import rosinedpeg.core.setup.Family;
import rosinedpeg.core.setup.Size;
import rosinedpeg.core.strings.StringSpec;
import rosinedpeg.core.usual.Packet;
import rosinedpeg.core.usual.Pull;
import rosinedpeg.core.wear.Life;
import rosinedpeg.web.platform.Entry;
import rosinedpeg.web.platform.Say;

/**
 * The string that follows from what was typed of a packet.
 *
 * @param packet what the packet says
 * @param packaged what is to be kept of it
 * @param doubts what cannot be so, or has to be looked at again
 */
record TypedPacket(Packet packet, Packaged packaged, List<Packet.Doubt> doubts) {

    private static final int LONGEST_NAME = 60;
    private static final int LONGEST_NOTE = 200;

    /**
     * Reads it.
     *
     * @param errors where a refusal is noted, at the field
     * @param form what was typed
     * @return what follows; empty where something was refused
     */
    static Optional<TypedPacket> read(Errors errors, KindForm form) {
        Optional<String> maker = Entry.text(errors, "maker", form.maker(), LONGEST_NAME);
        Optional<String> line = Entry.text(errors, "line", form.line(), LONGEST_NAME);
        if (form.note().strip().length() > LONGEST_NOTE) {
            errors.rejectValue("note", "kind.note.long", new Object[] {LONGEST_NOTE}, null);
        }
        Optional<Price> price = Price.read(errors, form.price(), form.currency());
        Optional<Life> life = life(errors, form);
        Optional<Packet> packet = packet(errors, form);
        if (packet.isEmpty()) {
            return Optional.empty();
        }
        StringSpec spec;
        try {
            spec = packet.get().string();
        } catch (OutOfRangeException noSuchString) {
            errors.reject(
                    "kind.outOfRange",
                    new Object[] {
                        new DefaultMessageSourceResolvable("kind.figure." + noSuchString.parameter()),
                        Say.number(noSuchString.value(), 2),
                        Say.number(noSuchString.range().low(), 2),
                        Say.number(noSuchString.range().high(), 2),
                        noSuchString.range().unit().symbol()
                    },
                    null);
            return Optional.empty();
        }
        List<Packet.Doubt> doubts = packet.get().doubts(spec);
        // What rests on a choice that could not be read is no doubt of the packet's.
        doubts.stream()
                .filter(doubt -> doubt.isImpossible() && !wrong(errors, "size", "position", "core", "winding", "end"))
                .forEach(doubt -> errors.reject(
                        "kind.doubt." + doubt.kind(),
                        new Object[] {figure(doubt.found()), figure(doubt.limit())},
                        null));
        return Optional.of(new TypedPacket(
                packet.get(),
                new Packaged(
                        maker.orElse(""),
                        line.orElse(""),
                        packet.get().size(),
                        spec,
                        form.note().strip(),
                        price.orElse(null),
                        life.orElse(null)),
                doubts));
    }

    /** {@return a figure of a doubt as it is told} */
    static String figure(double value) {
        return Say.number(value, value < 10 ? 2 : value < 100 ? 1 : 0);
    }

    private static Optional<Packet> packet(Errors errors, KindForm form) {
        Optional<Size> size = Entry.size(form.size());
        if (size.isEmpty()) {
            errors.rejectValue("size", "instrument.size.missing");
        }
        Optional<Pitch> pitch = size.flatMap(chosen -> pitch(errors, form, chosen.family()));
        Optional<Double> designLength = number(errors, "designLength", form.designLength(), StringSpec.DESIGN_LENGTH);
        @Nullable Pull pull = pull(errors, form);
        Optional<Double> diameter = number(errors, "diameter", form.diameter(), StringSpec.DIAMETER);
        Optional<Double> stiffness =
                number(errors, "axialStiffness", form.axialStiffness(), StringSpec.AXIAL_STIFFNESS);
        Optional<Double> tailSilk = number(errors, "tailSilk", form.tailSilk(), Packet.FROM_BALL);
        Optional<Double> topSilk = number(errors, "topSilk", form.topSilk(), Packet.FROM_BALL);
        Optional<Double> total = number(errors, "total", form.total(), Packet.FROM_BALL);
        if (errors.hasFieldErrors("size")
                || pitch.isEmpty()
                || pull == null
                || wrong(errors, "designLength", "diameter", "axialStiffness", "tailSilk", "topSilk", "total")) {
            return Optional.empty();
        }
        return Optional.of(new Packet(
                size.orElseThrow(),
                form.position(),
                pitch.get(),
                form.core(),
                form.winding(),
                form.end(),
                designLength,
                pull,
                diameter,
                stiffness,
                tailSilk,
                topSilk,
                total));
    }

    private static boolean wrong(Errors errors, String... fields) {
        return Arrays.stream(fields).anyMatch(errors::hasFieldErrors);
    }

    private static Optional<Pitch> pitch(Errors errors, KindForm form, Family family) {
        if (form.pitch().isBlank()) {
            return Optional.of(Packet.usualPitch(family, form.position()));
        }
        try {
            Pitch pitch = Pitch.of(form.pitch().strip());
            if (Packet.mayHave(family, form.position(), pitch)) {
                return Optional.of(pitch);
            }
            errors.rejectValue(
                    "pitch",
                    "kind.pitch.far",
                    new Object[] {
                        form.position(),
                        Packet.usualPitch(family, form.position()).spelling()
                    },
                    null);
        } catch (IllegalArgumentException notAPitch) {
            errors.rejectValue("pitch", "kind.pitch.spelling");
        }
        return Optional.empty();
    }

    private static @Nullable Pull pull(Errors errors, KindForm form) {
        return switch (form.known()) {
            case TENSION -> {
                OptionalDouble tension = Entry.number(errors, "tension", form.tension(), StringSpec.TENSION);
                yield tension.isPresent() ? new Pull.OfTension(tension.getAsDouble()) : null;
            }
            case MASS -> {
                OptionalDouble mass = Entry.number(errors, "mass", form.mass(), Pull.OfMass.MASS);
                yield mass.isPresent() ? new Pull.OfMass(mass.getAsDouble()) : null;
            }
            case WEIGHED -> {
                OptionalDouble grams = Entry.number(errors, "weighed", form.weighed(), Pull.Weighed.MASS);
                OptionalDouble length =
                        Entry.number(errors, "weighedLength", form.weighedLength(), Pull.Weighed.LENGTH);
                OptionalDouble step = Entry.number(errors, "scaleStep", form.scaleStep(), Pull.Weighed.STEP);
                yield grams.isPresent() && length.isPresent() && step.isPresent()
                        ? new Pull.Weighed(grams.getAsDouble(), length.getAsDouble(), step.getAsDouble())
                        : null;
            }
            case GAUGE -> new Pull.OfGauge(form.gauge());
        };
    }

    private static Optional<Double> number(Errors errors, String field, String typed, Range range) {
        if (typed.isBlank()) {
            return Optional.empty();
        }
        OptionalDouble number = Entry.number(errors, field, typed, range);
        return number.isPresent() ? Optional.of(number.getAsDouble()) : Optional.empty();
    }

    private static Optional<Life> life(Errors errors, KindForm form) {
        Optional<Double> hours = number(errors, "lifeHours", form.lifeHours(), Life.HOURS);
        Optional<Double> months = number(errors, "lifeMonths", form.lifeMonths(), Life.MONTHS);
        if (form.lifeHours().isBlank() != form.lifeMonths().isBlank()) {
            errors.rejectValue(form.lifeHours().isBlank() ? "lifeHours" : "lifeMonths", "kind.life.both");
        }
        return hours.isPresent() && months.isPresent()
                ? Optional.of(new Life(hours.get(), months.get(), Origin.MEASURED))
                : Optional.empty();
    }
}
