package rosinedpeg.web.listen;

import java.io.BufferedInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
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
    private static final Set<Encoding> ENCODINGS =
            Set.of(Encoding.PCM_SIGNED, Encoding.PCM_UNSIGNED, Encoding.PCM_FLOAT);
    private static final Set<Integer> BITS = Set.of(8, 16, 24, 32);
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
        try (InputStream bytes = new BufferedInputStream(file.getInputStream());
                AudioInputStream sound = AudioSystem.getAudioInputStream(bytes)) {
            return hear(sound, awaited);
        } catch (UnsupportedAudioFileException unknown) {
            return wrong("recording.noWav");
        } finally {
            inHand.release();
        }
    }

    private Heard hear(AudioInputStream sound, Awaited awaited) throws IOException {
        AudioFormat format = sound.getFormat();
        int channels = format.getChannels();
        int bytes = format.getSampleSizeInBits() / Byte.SIZE;
        if (!ENCODINGS.contains(format.getEncoding())
                || !BITS.contains(format.getSampleSizeInBits())
                || format.getEncoding().equals(Encoding.PCM_FLOAT) && bytes != Float.BYTES
                || format.getEncoding().equals(Encoding.PCM_UNSIGNED) && bytes != 1
                || channels < 1
                || channels > MOST_CHANNELS
                || format.getFrameSize() != channels * bytes
                || !Ear.SAMPLES_PER_SECOND.contains(format.getSampleRate())) {
            return wrong("recording.format", Ear.SAMPLES_PER_SECOND.low() / 1000, Ear.SAMPLES_PER_SECOND.high() / 1000);
        }
        double longest = LONGEST_MINUTES * SECONDS_PER_MINUTE * (double) format.getSampleRate();
        RecordedTuning tuning = new RecordedTuning(awaited, format.getSampleRate());
        byte[] frames = new byte[FRAMES_AT_ONCE * format.getFrameSize()];
        long heard = 0;
        for (int read = sound.readNBytes(frames, 0, frames.length);
                read >= format.getFrameSize();
                read = sound.readNBytes(frames, 0, frames.length)) {
            heard += read / format.getFrameSize();
            if (heard > longest) {
                return wrong("recording.long", LONGEST_MINUTES);
            }
            tuning.hear(samples(frames, read / format.getFrameSize(), format));
        }
        return new Heard(Optional.of(tuning.strings()), Optional.empty());
    }

    /** The mean of the channels; what is no number is silence. */
    private static double[] samples(byte[] frames, int count, AudioFormat format) {
        ByteBuffer bytes =
                ByteBuffer.wrap(frames).order(format.isBigEndian() ? ByteOrder.BIG_ENDIAN : ByteOrder.LITTLE_ENDIAN);
        double[] samples = new double[count];
        for (int i = 0; i < count; i++) {
            double sum = 0;
            for (int channel = 0; channel < format.getChannels(); channel++) {
                sum += sample(bytes, format);
            }
            double mean = sum / format.getChannels();
            samples[i] = Double.isFinite(mean) ? mean : 0;
        }
        return samples;
    }

    private static double sample(ByteBuffer bytes, AudioFormat format) {
        if (format.getEncoding().equals(Encoding.PCM_FLOAT)) {
            return bytes.getFloat();
        }
        int bits = format.getSampleSizeInBits();
        double full = 1L << bits - 1;
        if (format.getEncoding().equals(Encoding.PCM_UNSIGNED)) {
            return ((bytes.get() & 0xff) - full) / full;
        }
        return whole(bytes, bits) / full;
    }

    private static double whole(ByteBuffer bytes, int bits) {
        return switch (bits) {
            case Byte.SIZE -> bytes.get();
            case Short.SIZE -> bytes.getShort();
            case Integer.SIZE -> bytes.getInt();
            default -> {
                int first = bytes.get() & 0xff;
                int second = bytes.get() & 0xff;
                int third = bytes.get() & 0xff;
                boolean big = bytes.order() == ByteOrder.BIG_ENDIAN;
                int high = big ? first : third;
                yield (byte) high << 16 | second << 8 | (big ? third : first);
            }
        };
    }

    private Heard wrong(String why, Object... told) {
        return new Heard(Optional.empty(), Optional.of(words.say(why, told)));
    }
}
