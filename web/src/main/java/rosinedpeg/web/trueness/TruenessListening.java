package rosinedpeg.web.trueness;

import java.time.Clock;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import rosinedpeg.core.hearing.Awaited;
import rosinedpeg.core.hearing.HandsFree.Notice;
import rosinedpeg.core.hearing.Octave;
import rosinedpeg.core.hearing.Ringing;
import rosinedpeg.core.hearing.Trueness;
import rosinedpeg.core.pitch.Cents;
import rosinedpeg.core.rounds.PegTurn;
import rosinedpeg.core.strings.Position;
import rosinedpeg.web.instrument.Instrument;
import rosinedpeg.web.instrument.Instruments;
import rosinedpeg.web.listen.HearingWords;
import rosinedpeg.web.listen.Listened;
import rosinedpeg.web.listen.Listener;
import rosinedpeg.web.listen.PitchFrom;
import rosinedpeg.web.platform.NotFoundException;
import rosinedpeg.web.platform.Words;

/**
 * Listens to the plucks that a reading is made of: the open string, which has to ring, and twice its octave as a harmonic and stopped. The
 * reading is on record once the last of them was heard, and the next pluck begins another.
 */
@Component
class TruenessListening implements Listened {

    private static final List<Pluck> PLUCKS =
            List.of(Pluck.OPEN, Pluck.HARMONIC, Pluck.STOPPED, Pluck.HARMONIC, Pluck.STOPPED);

    private final TruenessReadings readings;
    private final Instruments instruments;
    private final TruenessWords says;
    private final HearingWords hearing;
    private final Words words;
    private final Clock clock;

    TruenessListening(
            TruenessReadings readings,
            Instruments instruments,
            TruenessWords says,
            HearingWords hearing,
            Words words,
            Clock clock) {
        this.readings = readings;
        this.instruments = instruments;
        this.says = says;
        this.hearing = hearing;
        this.words = words;
        this.clock = clock;
    }

    /** What is plucked. */
    enum Pluck {
        OPEN,
        HARMONIC,
        STOPPED
    }

    @Override
    public String kind() {
        return "trueness";
    }

    @Override
    public Listener begin(String id, Map<String, String> asked) {
        UUID fittedId = UUID.fromString(id);
        Instrument instrument = Optional.ofNullable(
                        instruments.withStrings(List.of(fittedId)).get(fittedId))
                .map(standing -> instruments.get(standing.id()))
                .orElseThrow(() -> new NotFoundException("string " + fittedId));
        Position position = instrument.strings().stream()
                .filter(string -> string.fittedId().equals(fittedId))
                .findFirst()
                .orElseThrow()
                .position();
        return new OneAfterTheOther(fittedId, instrument, position);
    }

    private final class OneAfterTheOther implements Listener {

        private final UUID fittedId;
        private final Instrument instrument;
        private final Position position;
        private final List<Double> harmonicsCents = new ArrayList<>();
        private final List<Double> stoppedCents = new ArrayList<>();
        private @Nullable Ringing rang;
        private long done;
        private String last = "";

        OneAfterTheOther(UUID fittedId, Instrument instrument, Position position) {
            this.fittedId = fittedId;
            this.instrument = instrument;
            this.position = position;
        }

        @Override
        public Optional<UUID> alone() {
            return Optional.of(fittedId);
        }

        private int at() {
            return (int) (done % PLUCKS.size());
        }

        private Pluck pluck() {
            return PLUCKS.get(at());
        }

        @Override
        public Optional<Stage> stage() {
            Awaited open = Awaited.open(instrument.setUp());
            Map<Position, Double> hertz = new EnumMap<>(open.hertz());
            if (pluck() != Pluck.OPEN) {
                hertz.put(position, 2 * position.in(open.hertz()));
            }
            return Optional.of(new Stage(
                    number(),
                    Optional.of(new Awaited(hertz, Optional.of(position))),
                    Optional.of(position),
                    Map.of(),
                    says()));
        }

        /** The plucks an octave above are one stage: the ear goes on, and takes none that still rings for the next. */
        private long number() {
            return done / PLUCKS.size() * 2 + (pluck() == Pluck.OPEN ? 0 : 1);
        }

        /** What came of the last pluck, and what is to be plucked next. */
        private String says() {
            String next = words.say("trueness.pluck." + pluck(), at() + 1, PLUCKS.size(), position.name());
            return last.isEmpty() ? next : last + " " + next;
        }

        @Override
        public Optional<PegTurn> turn(Position string, Cents cents) {
            return Optional.empty();
        }

        @Override
        public Said take(Notice notice, boolean wished) {
            if (notice instanceof Notice.WrongString wrong) {
                return new Said(hearing.wrong(wrong.string(), position), false);
            }
            if (pluck() == Pluck.OPEN) {
                return notice instanceof Notice.Rang heard ? open(heard.ringing()) : Said.NOTHING;
            }
            return notice instanceof Notice.Read read ? octave(read.cents().value()) : Said.NOTHING;
        }

        private Said open(Ringing ringing) {
            rang = ringing;
            return next(says.rang(ringing), false);
        }

        private Said octave(double cents) {
            if (Octave.isOpenString(cents)) {
                return Said.NOTHING;
            }
            if (!Octave.CENTS.contains(cents)) {
                return new Said(words.say("trueness.noOctave", position.name()), false);
            }
            (pluck() == Pluck.HARMONIC ? harmonicsCents : stoppedCents).add(cents);
            if (at() < PLUCKS.size() - 1) {
                return next(words.say("trueness.heard." + pluck()), false);
            }
            Octave octave = Octave.of(harmonicsCents, stoppedCents);
            readings.record(
                    fittedId,
                    UUID.randomUUID(),
                    clock.instant(),
                    PitchFrom.HEARD,
                    new Trueness(Optional.of(octave), Optional.ofNullable(rang)));
            harmonicsCents.clear();
            stoppedCents.clear();
            rang = null;
            return next(words.say("trueness.recorded", says.octave(octave)), true);
        }

        private Said next(String note, boolean renew) {
            done++;
            last = note;
            return new Said(says(), renew);
        }
    }
}
