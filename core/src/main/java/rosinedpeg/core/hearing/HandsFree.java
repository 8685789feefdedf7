package rosinedpeg.core.hearing;

import static java.util.Objects.requireNonNull;
import static rosinedpeg.core.figure.Finite.requireFinite;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import rosinedpeg.core.bench.PitchJudgement;
import rosinedpeg.core.pitch.Cents;
import rosinedpeg.core.strings.Position;

/**
 * Minds what is heard while both hands are at an instrument: which pluck counts as a reading, when a string holds its pitch, and what has to
 * be said before it is too late.
 *
 * <p>A pluck is read once, as soon as its pitch stands: by then it has sounded a third of a second, and its readings lie within a few cents.
 * Under a bow there is one long pluck; it is read again when the string has been moved and stands again. A string holds its pitch when it
 * has been heard there for two seconds together, pauses for breath or another pluck not counted, and nowhere else meanwhile: within {@link
 * PitchJudgement#TOLERANCE_CENTS}, or where it is the one in hand also a little over, as new strings are left. The times and widths are defaults of our own.
 *
 * <p>It belongs to one thread, as an {@link Ear} does.
 */
public final class HandsFree {

    /** So long a string has to sound at its pitch before it is said to hold. */
    public static final double HOLDS_SECONDS = 2;

    private static final double PAUSE_SECONDS = 6;
    /** Two verdicts that lie further apart are not of one sound. */
    private static final double CONTINUES_SECONDS = 0.1;

    private static final double STANDS_AFTER_SECONDS = 0.3;
    private static final double STANDS_WITHIN_CENTS = 3;
    /** What trembles so long is read as it is. */
    private static final double TREMBLES_AFTER_SECONDS = 0.8;

    private static final double TREMBLES_WITHIN_CENTS = 10;
    private static final double SAME_PLUCK_SECONDS = 0.06;
    /** At the rate it rises it would be over its pitch in so long. */
    private static final double AHEAD_SECONDS = 1;

    private static final double RATE_OVER_SECONDS = 0.3;
    private static final double SLOW_CENTS_PER_SECOND = 20;
    /** Nearer than half a tone to where a sound string of its kind breaks. */
    private static final double NEAR_BREAKING_CENTS = 100;

    private final Optional<Position> inHand;
    private final Map<Position, Double> breaksCents;
    private final Deque<Hearing.Heard> lately = new ArrayDeque<>();
    private @Nullable Position plucked;
    private double pluckedAt = Double.NEGATIVE_INFINITY;
    private @Nullable Double readCents;
    private @Nullable Position holding;
    private double heldCents;
    private double heldSeconds;
    private double lastHeldAt;

    /**
     * Begins to mind.
     *
     * @param inHand the only string that is meant; empty where any is
     * @param breaksCents how far above its pitch each string is expected to break, in cents; strings whose breaking is unknown are left out
     */
    public HandsFree(Optional<Position> inHand, Map<Position, Double> breaksCents) {
        requireFinite("breaksCents", breaksCents);
        this.inHand = requireNonNull(inHand, "inHand");
        this.breaksCents = Map.copyOf(breaksCents);
    }

    /** What has to be said at once. */
    public enum Warning {
        /** At this rate it will be over its pitch in a moment. */
        RISES_FAST,
        /** Nearer than half a tone to where a sound string of its kind breaks. */
        NEAR_BREAKING
    }

    /** What came of a pluck. */
    public sealed interface Notice {

        /**
         * A string was plucked and stood: a reading.
         *
         * @param string which
         * @param cents from its pitch
         */
        record Read(Position string, Cents cents) implements Notice {

            /** Checks that both are there. */
            public Read {
                requireNonNull(string, "string");
                requireNonNull(cents, "cents");
            }
        }

        /**
         * Another string than the one in hand was plucked.
         *
         * @param string which
         */
        record WrongString(Position string) implements Notice {

            /** Checks that it is there. */
            public WrongString {
                requireNonNull(string, "string");
            }
        }

        /**
         * A string rang long enough after a pluck to be told how.
         *
         * @param string which
         * @param ringing how
         */
        record Rang(Position string, Ringing ringing) implements Notice {

            /** Checks that both are there. */
            public Rang {
                requireNonNull(string, "string");
                requireNonNull(ringing, "ringing");
            }
        }

        /**
         * A string has held its pitch for {@link #HOLDS_SECONDS}.
         *
         * @param string which
         */
        record Holds(Position string) implements Notice {

            /** Checks that it is there. */
            public Holds {
                requireNonNull(string, "string");
            }
        }
    }

    /**
     * What is known at one moment.
     *
     * @param warning what has to be said now
     * @param heldSeconds how long the string that sounds has held its pitch, 0 to {@link #HOLDS_SECONDS}
     * @param notices what came of it
     */
    public record Minded(Optional<Warning> warning, double heldSeconds, List<Notice> notices) {

        /** Checks the parts and copies the list. */
        public Minded {
            requireNonNull(warning, "warning");
            requireFinite("heldSeconds", heldSeconds);
            notices = List.copyOf(notices);
        }
    }

    /** {@return what a hearing comes to; hearings come in the order in which they were heard} */
    public Minded take(Hearing hearing) {
        if (!(hearing instanceof Hearing.Heard heard)) {
            if (hearing.atSeconds() - lastHeldAt > PAUSE_SECONDS) {
                holding = null;
                heldSeconds = 0;
            }
            return new Minded(Optional.empty(), heldSeconds, List.of());
        }
        List<Notice> notices = new ArrayList<>();
        pluck(heard);
        remember(heard);
        if (stands(heard)) {
            readCents = heard.cents().value();
            notices.add(
                    isMeant(heard.string())
                            ? new Notice.Read(heard.string(), heard.cents())
                            : new Notice.WrongString(heard.string()));
        }
        if (isMeant(heard.string())) {
            heard.rang().ifPresent(how -> notices.add(new Notice.Rang(heard.string(), how)));
            hold(heard, notices);
            return new Minded(warning(heard), heldSeconds, notices);
        }
        return new Minded(Optional.empty(), 0, notices);
    }

    private boolean isMeant(Position string) {
        return inHand.isEmpty() || inHand.get() == string;
    }

    /** A pluck begins where the sound does, or where another string takes over. */
    private void pluck(Hearing.Heard heard) {
        double begins = heard.atSeconds() - heard.soundsSeconds();
        if (Math.abs(begins - pluckedAt) > SAME_PLUCK_SECONDS || plucked != heard.string()) {
            plucked = heard.string();
            pluckedAt = begins;
            readCents = null;
            lately.clear();
        }
    }

    private void remember(Hearing.Heard heard) {
        lately.addLast(heard);
        while (lately.getFirst().atSeconds() < heard.atSeconds() - RATE_OVER_SECONDS - CONTINUES_SECONDS) {
            lately.removeFirst();
        }
    }

    private boolean stands(Hearing.Heard heard) {
        boolean moved = readCents == null
                || Math.abs(heard.cents().value() - readCents) > PitchJudgement.TOLERANCE_CENTS
                        && Math.abs(risesPerSecond()) < SLOW_CENTS_PER_SECOND;
        double sounds = heard.soundsSeconds();
        double spread = heard.spreadCents();
        return moved
                && (sounds >= STANDS_AFTER_SECONDS && spread <= STANDS_WITHIN_CENTS
                        || sounds >= TREMBLES_AFTER_SECONDS && spread <= TREMBLES_WITHIN_CENTS);
    }

    private void hold(Hearing.Heard heard, List<Notice> notices) {
        double cents = heard.cents().value();
        if (!mayHold(cents)) {
            holding = null;
            heldSeconds = 0;
            return;
        }
        double since = heard.atSeconds() - lastHeldAt;
        boolean moved = Math.abs(cents - heldCents) > PitchJudgement.TOLERANCE_CENTS;
        if (holding != heard.string() || since > PAUSE_SECONDS || moved) {
            holding = heard.string();
            heldCents = cents;
            heldSeconds = 0;
        } else if (since <= CONTINUES_SECONDS) {
            boolean before = heldSeconds >= HOLDS_SECONDS;
            heldSeconds = Math.min(HOLDS_SECONDS, heldSeconds + since);
            if (!before && heldSeconds >= HOLDS_SECONDS) {
                notices.add(new Notice.Holds(heard.string()));
            }
        }
        lastHeldAt = heard.atSeconds();
    }

    /** A new string may be left a little over its pitch. */
    private boolean mayHold(double cents) {
        PitchJudgement judged = PitchJudgement.of(cents);
        return judged == PitchJudgement.AT_PITCH || judged == PitchJudgement.A_LITTLE_OVER && inHand.isPresent();
    }

    private Optional<Warning> warning(Hearing.Heard heard) {
        double cents = heard.cents().value();
        Double breaks = breaksCents.get(heard.string());
        if (breaks != null && cents > 0 && breaks - cents < NEAR_BREAKING_CENTS) {
            return Optional.of(Warning.NEAR_BREAKING);
        }
        double rises = risesPerSecond();
        boolean over = cents + rises * AHEAD_SECONDS > PitchJudgement.TOLERANCE_CENTS;
        return rises > SLOW_CENTS_PER_SECOND && over ? Optional.of(Warning.RISES_FAST) : Optional.empty();
    }

    /** How fast it rises, in cents a second; 0 as long as nobody can say. */
    private double risesPerSecond() {
        Hearing.Heard first = lately.getFirst();
        Hearing.Heard last = lately.getLast();
        double seconds = last.atSeconds() - first.atSeconds();
        return seconds < RATE_OVER_SECONDS / 2
                ? 0
                : (last.cents().value() - first.cents().value()) / seconds;
    }
}
