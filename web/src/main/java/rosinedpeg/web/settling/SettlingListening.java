package rosinedpeg.web.settling;

import java.time.Clock;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Component;
import rosinedpeg.core.hearing.Awaited;
import rosinedpeg.core.hearing.HandsFree.Notice;
import rosinedpeg.core.pitch.Cents;
import rosinedpeg.core.rounds.Coupling;
import rosinedpeg.core.rounds.PegTurn;
import rosinedpeg.core.setup.SetUp;
import rosinedpeg.core.strings.Position;
import rosinedpeg.core.strings.StringSpec;
import rosinedpeg.web.instrument.Instrument;
import rosinedpeg.web.instrument.Instruments;
import rosinedpeg.web.listen.HearingWords;
import rosinedpeg.web.listen.Listened;
import rosinedpeg.web.listen.Listener;

/** Listens to a string that settles: the first pluck says how it was found, and is on record; by what comes after it is tuned. */
@Component
class SettlingListening implements Listened {

    private final Settlings settlings;
    private final Instruments instruments;
    private final HearingWords words;
    private final Clock clock;

    SettlingListening(Settlings settlings, Instruments instruments, HearingWords words, Clock clock) {
        this.settlings = settlings;
        this.instruments = instruments;
        this.words = words;
        this.clock = clock;
    }

    @Override
    public String kind() {
        return "settling";
    }

    @Override
    public Listener begin(String id, Map<String, String> asked) {
        SettlingString string = settlings.get(UUID.fromString(id));
        return new Found(string, instruments.get(string.instrument().id()));
    }

    private final class Found implements Listener {

        private final SettlingString string;
        private final Instrument instrument;
        private boolean found;

        Found(SettlingString string, Instrument instrument) {
            this.string = string;
            this.instrument = instrument;
        }

        @Override
        public Optional<UUID> alone() {
            return Optional.of(string.fittedId());
        }

        @Override
        public Optional<Stage> stage() {
            return Optional.of(new Stage(
                    0,
                    Optional.of(Awaited.open(instrument.setUp()).inHand(string.position())),
                    Optional.of(string.position()),
                    Map.of(
                            string.position(),
                            spec().centsToBreaking(instrument.setUp().tensionN(spec())))));
        }

        private StringSpec spec() {
            return string.string().kind().spec();
        }

        @Override
        public Optional<PegTurn> turn(Position position, Cents cents) {
            if (position != string.position()) {
                return Optional.empty();
            }
            SetUp setUp = instrument.setUp();
            Coupling coupling = Coupling.of(setUp.family(), instrument.coupling());
            return Optional.of(PegTurn.of(setUp, spec(), coupling, cents, setUp.tensionN(spec())));
        }

        @Override
        public Said take(Notice notice, boolean wished) {
            if (notice instanceof Notice.WrongString wrong) {
                return new Said(words.wrong(wrong.string(), string.position()), false);
            }
            if (!(notice instanceof Notice.Read read)
                    || !SettlingController.READING.contains(read.cents().value())) {
                return Said.NOTHING;
            }
            if (found) {
                return new Said(words.heard(read.string(), read.cents()), false);
            }
            found = true;
            settlings.read(
                    string.fittedId(),
                    UUID.randomUUID(),
                    clock.instant(),
                    read.cents().value(),
                    wished);
            return new Said(words.read(read.string(), read.cents()), true);
        }
    }
}
