package rosinedpeg.web.listen;

import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import javax.sound.sampled.AudioFileFormat;
import javax.sound.sampled.AudioFormat;
import javax.sound.sampled.AudioInputStream;
import javax.sound.sampled.AudioSystem;
import rosinedpeg.core.tone.PluckedString;

/** Writes values as a sound that browsers play. */
public final class WavFile {

    private static final int BITS = 16;
    private static final int BYTES = BITS / Byte.SIZE;
    /** Nobody starts in the chair. */
    private static final int LOUDEST = Short.MAX_VALUE * 3 / 5;

    private WavFile() {}

    /** {@return values between −1 and 1 as a WAV file, one channel} */
    public static byte[] of(double[] values) {
        ByteBuffer samples = ByteBuffer.allocate(values.length * BYTES).order(ByteOrder.LITTLE_ENDIAN);
        for (double value : values) {
            samples.putShort((short) Math.round(Math.max(-1, Math.min(1, value)) * LOUDEST));
        }
        AudioFormat format = new AudioFormat(PluckedString.SAMPLES_PER_SECOND, BITS, 1, true, false);
        ByteArrayOutputStream wav = new ByteArrayOutputStream();
        try {
            AudioSystem.write(
                    new AudioInputStream(new ByteArrayInputStream(samples.array()), format, values.length),
                    AudioFileFormat.Type.WAVE,
                    wav);
        } catch (IOException impossible) {
            throw new UncheckedIOException(impossible);
        }
        return wav.toByteArray();
    }
}
