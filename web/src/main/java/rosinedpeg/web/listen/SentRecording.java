package rosinedpeg.web.listen;

import java.io.ByteArrayInputStream;
import java.io.EOFException;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.FloatBuffer;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.Semaphore;
import javax.sound.sampled.AudioFormat;
import javax.sound.sampled.AudioFormat.Encoding;
import javax.sound.sampled.AudioInputStream;
import javax.sound.sampled.AudioSystem;
import javax.sound.sampled.UnsupportedAudioFileException;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.springframework.web.multipart.MultipartFile;
import rosinedpeg.core.hearing.Awaited;
import rosinedpeg.core.hearing.Ear;
import rosinedpeg.core.hearing.RecordedTuning;
import rosinedpeg.core.strings.Position;
import rosinedpeg.web.platform.Words;

/** Recordings that people send, as WAV files: heard once, from beginning to end, and kept nowhere. */
@Component
public class SentRecording {

    /** No recording is larger. */
    public static final int LARGEST_MEGABYTES = 20;
    /** Nor longer. */
    public static final int LONGEST_MINUTES = 5;

    private static final long BYTES_PER_MEGABYTE = 1_000_000;
    private static final int MOST_CHANNELS = 2;
    private static final int SECONDS_PER_MINUTE = 60;
    private static final int FRAMES_AT_ONCE = 8192;

    /** A recording takes a core for some seconds: one at a time leaves the other to everybody else. */
    private final Semaphore inHand = new Semaphore(1);

    private final Words words;

    SentRecording(Words words) {
        this.words = words;
    }

    /**
     * What became of a recording.
     *
     * @param strings what it tells of the strings that were heard; empty where it cannot be heard
     * @param wrong why, in words; empty where it can
     */
    public record Heard(Optional<Map<Position, RecordedTuning.Tuned>> strings, Optional<String> wrong) {}

    /**
     * Hears a recording.
     *
     * @param file what was sent; null where nothing was
     * @param awaited the strings that may sound
     * @return what it tells, or why it cannot be heard
     */
    public Heard hear(@Nullable MultipartFile file, Awaited awaited) throws IOException {
        if (file == null || file.isEmpty()) {
            return wrong("table.empty");
        }
        if (file.getSize() > LARGEST_MEGABYTES * BYTES_PER_MEGABYTE) {
            return wrong("recording.large", LARGEST_MEGABYTES);
        }
        if (!inHand.tryAcquire()) {
            return wrong("recording.busy");
        }
        try (AudioInputStream sound = AudioSystem.getAudioInputStream(new ByteArrayInputStream(file.getBytes()))) {
            return hear(sound, awaited);
        } catch (UnsupportedAudioFileException | EOFException broken) {
            return wrong("recording.noWav");
        } finally {
            inHand.release();
        }
    }

    private Heard hear(AudioInputStream sound, Awaited awaited) throws IOException {
        AudioFormat sent = sound.getFormat();
        int channels = sent.getChannels();
        float rate = sent.getSampleRate();
        AudioFormat format =
                new AudioFormat(Encoding.PCM_FLOAT, rate, Float.SIZE, channels, channels * Float.BYTES, rate, false);
        if (channels < 1
                || channels > MOST_CHANNELS
                || !Ear.SAMPLES_PER_SECOND.contains(rate)
                || !AudioSystem.isConversionSupported(format, sent)) {
            return wrong("recording.format", Ear.SAMPLES_PER_SECOND.low() / 1000, Ear.SAMPLES_PER_SECOND.high() / 1000);
        }
        RecordedTuning tuning = new RecordedTuning(awaited, rate);
        double left = LONGEST_MINUTES * SECONDS_PER_MINUTE * (double) rate;
        try (AudioInputStream frames = AudioSystem.getAudioInputStream(format, sound)) {
            for (double[] next = next(frames); next.length > 0; next = next(frames)) {
                left -= next.length;
                if (left < 0) {
                    return wrong("recording.long", LONGEST_MINUTES);
                }
                tuning.hear(next);
            }
        }
        return new Heard(Optional.of(tuning.strings()), Optional.empty());
    }

    /** The next samples, the mean of their channels; what is no number is silence. */
    private static double[] next(AudioInputStream frames) throws IOException {
        int channels = frames.getFormat().getChannels();
        int frameBytes = channels * Float.BYTES;
        byte[] bytes = frames.readNBytes(FRAMES_AT_ONCE * frameBytes);
        FloatBuffer values =
                ByteBuffer.wrap(bytes).order(ByteOrder.LITTLE_ENDIAN).asFloatBuffer();
        double[] samples = new double[bytes.length / frameBytes];
        for (int i = 0; i < samples.length; i++) {
            double sum = 0;
            for (int channel = 0; channel < channels; channel++) {
                sum += values.get();
            }
            samples[i] = Double.isFinite(sum) ? sum / channels : 0;
        }
        return samples;
    }

    private Heard wrong(String why, Object... told) {
        return new Heard(Optional.empty(), Optional.of(words.say(why, told)));
    }
}
