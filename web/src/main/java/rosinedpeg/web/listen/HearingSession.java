package rosinedpeg.web.listen;

import static java.util.Objects.requireNonNull;

import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.FloatBuffer;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import rosinedpeg.core.hearing.Ear;
import rosinedpeg.core.hearing.HandsFree;
import rosinedpeg.core.hearing.Hearing;
import rosinedpeg.web.listen.Listener.Said;
import rosinedpeg.web.listen.Listener.Stage;

/** What one device lets the server hear. It is fed by one thread at a time; of the sound nothing stays but the ear's last second and a half. */
final class HearingSession {

    /** A piece of sound has no more samples than this. */
    static final int MOST_SAMPLES = 4096;

    private static final long NANOS = 1_000_000_000L;
    /** It is told at most ten times a second how a string sounds, and asked once a second how matters stand. */
    private static final long TOLD_EVERY = NANOS / 10;

    private static final long ASKED_EVERY = NANOS;
    /** What sounded up to three seconds ago is what sounds now, for somebody who reaches for a button. */
    private static final long LATELY = 3 * NANOS;

    private final Listener listener;
    private final int samplesPerSecond;
    private final HearingWords words;
    private final Arrivals arrivals;
    private @Nullable Stage stage;
    private @Nullable Ear ear;
    private HandsFree minds = new HandsFree(Optional.empty(), Map.of());
    private boolean wished;
    private long askedNanos;
    private long toldNanos;
    private Hearing now = new Hearing.Silence(0);
    private volatile Hearing.@Nullable Heard lately;
    private volatile long latelyNanos;

    HearingSession(Listener listener, int samplesPerSecond, boolean wished, HearingWords words, long nowNanos) {
        this.listener = listener;
        this.samplesPerSecond = samplesPerSecond;
        this.wished = wished;
        this.words = words;
        arrivals = new Arrivals(samplesPerSecond, nowNanos);
        askedNanos = nowNanos - ASKED_EVERY;
        toldNanos = nowNanos - TOLD_EVERY;
    }

    /** Somebody has another wish. */
    void wish(boolean now) {
        wished = now;
    }

    /** {@return the string that was heard last, if that is not long ago} */
    Optional<Hearing.Heard> lately(long nowNanos) {
        return Optional.ofNullable(lately).filter(heard -> nowNanos - latelyNanos < LATELY);
    }

    /**
     * Takes a piece of sound.
     *
     * @param piece samples as 32-bit numbers, the lowest byte first
     * @param nowNanos when it came
     * @return what the device is told
     * @throws RefusedSoundException when it is no piece of sound, or there is nothing more to listen to
     */
    List<Telling> take(ByteBuffer piece, long nowNanos) {
        double[] samples = samples(piece);
        if (!arrivals.mayCome(samples.length, nowNanos)) {
            throw new RefusedSoundException(WhyClosed.TOO_FAST);
        }
        List<Telling> told = new ArrayList<>();
        if (nowNanos - askedNanos >= ASKED_EVERY) {
            ask(nowNanos, told);
        }
        if (ear != null) {
            listen(requireNonNull(ear), samples, nowNanos, told);
        }
        return told;
    }

    private static double[] samples(ByteBuffer piece) {
        int bytes = piece.remaining();
        if (bytes == 0 || bytes % Float.BYTES != 0 || bytes > MOST_SAMPLES * Float.BYTES) {
            throw new RefusedSoundException(WhyClosed.WRONG_SIZE);
        }
        FloatBuffer floats = piece.order(ByteOrder.LITTLE_ENDIAN).asFloatBuffer();
        double[] samples = new double[floats.remaining()];
        for (int i = 0; i < samples.length; i++) {
            samples[i] = floats.get(i);
            if (!Double.isFinite(samples[i])) {
                throw new RefusedSoundException(WhyClosed.NOT_SOUND);
            }
        }
        return samples;
    }

    /** Another step, or the same with something read meanwhile. */
    private void ask(long nowNanos, List<Telling> told) {
        askedNanos = nowNanos;
        Stage before = stage;
        Stage after = listener.stage().orElseThrow(() -> new RefusedSoundException(WhyClosed.OVER));
        stage = after;
        if (before != null && before.number() == after.number()) {
            return;
        }
        ear = after.awaited().map(awaited -> new Ear(awaited, samplesPerSecond)).orElse(null);
        minds = new HandsFree(after.only(), after.breaksCents());
        now = new Hearing.Silence(0);
        Telling telling = ear == null
                ? words.idle(after.number())
                : words.telling(after.number(), now, minds.take(now), Optional.empty());
        told.add(after.asks().isEmpty() ? telling : telling.with(new Said(after.asks(), false)));
    }

    private void listen(Ear hears, double[] samples, long nowNanos, List<Telling> told) {
        HandsFree.Minded minded = null;
        for (Hearing hearing : hears.hear(samples)) {
            now = hearing;
            minded = minds.take(hearing);
            if (hearing instanceof Hearing.Heard heard) {
                lately = heard;
                latelyNanos = nowNanos;
            }
            for (HandsFree.Notice notice : minded.notices()) {
                Said said = listener.take(notice, wished);
                if (!said.equals(Said.NOTHING)) {
                    told.add(tell(minded).with(said));
                    ask(nowNanos, told);
                }
            }
            if (ear != hears) {
                return;
            }
        }
        if (minded != null && nowNanos - toldNanos >= TOLD_EVERY) {
            toldNanos = nowNanos;
            told.add(tell(minded));
        }
    }

    private Telling tell(HandsFree.Minded minded) {
        return words.telling(
                requireNonNull(stage).number(),
                now,
                minded,
                now instanceof Hearing.Heard heard ? listener.turn(heard.string(), heard.cents()) : Optional.empty());
    }
}
