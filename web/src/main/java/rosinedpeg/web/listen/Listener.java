package rosinedpeg.web.listen;

import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import rosinedpeg.core.hearing.Awaited;
import rosinedpeg.core.hearing.HandsFree.Notice;
import rosinedpeg.core.pitch.Cents;
import rosinedpeg.core.rounds.PegTurn;
import rosinedpeg.core.strings.Position;

/**
 * Listens to one thing: knows what may sound, and what is to be done with what was heard. It is called by one thread at a time, as the person
 * who listens.
 */
public interface Listener {

    /** {@return what only one device at a time may listen to; empty where any number may} */
    Optional<UUID> alone();

    /** {@return what may sound now; empty when it is over and nobody has to listen any more} */
    Optional<Stage> stage();

    /**
     * By how much a knob has to be turned.
     *
     * @param string the string that sounds
     * @param cents from what it should sound
     * @return that; empty where nobody knows
     */
    Optional<PegTurn> turn(Position string, Cents cents);

    /**
     * Takes what came of a pluck.
     *
     * @param notice that
     * @param wished whether the person wants what the page offers with it: at the bench, to go on without pressing anything
     * @return what is to be said of it
     */
    Said take(Notice notice, boolean wished);

    /**
     * What may sound for some time.
     *
     * @param number another one for every stage; what is listened for changes with it
     * @param awaited the strings that may sound; empty while nobody has to listen
     * @param only the string that is meant, if it is only one
     * @param breaksCents how far above what it should sound each string is expected to break
     * @param asks what is to be done now, in words; empty where the page says it
     */
    record Stage(
            long number,
            Optional<Awaited> awaited,
            Optional<Position> only,
            Map<Position, Double> breaksCents,
            String asks) {

        /** A stage of a page that says what is to be done. */
        public Stage(
                long number, Optional<Awaited> awaited, Optional<Position> only, Map<Position, Double> breaksCents) {
            this(number, awaited, only, breaksCents, "");
        }
    }

    /**
     * What is said.
     *
     * @param note in words; empty for nothing
     * @param renew whether the page shows something older now
     */
    record Said(String note, boolean renew) {

        /** Nothing to say. */
        public static final Said NOTHING = new Said("", false);
    }
}
