package rosinedpeg.web;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.Random;
import javax.sound.sampled.AudioFileFormat;
import javax.sound.sampled.AudioFormat;
import javax.sound.sampled.AudioInputStream;
import javax.sound.sampled.AudioSystem;

/** Strings that are plucked, bowed and let be, one after the other. */
final class MadeUpSound {

    static final int RATE = 48_000;

    private static final int PARTIALS = 12;

    private final Random random = new Random(1);
    private double[] values = new double[0];

    private double[] more(double seconds) {
        int from = values.length;
        values = Arrays.copyOf(values, from + (int) (seconds * RATE));
        double[] more = new double[values.length - from];
        for (int i = 0; i < more.length; i++) {
            more[i] = 3e-4 * random.nextGaussian();
        }
        return more;
    }

    private void put(double[] more) {
        System.arraycopy(more, 0, values, values.length - more.length, more.length);
    }

    MadeUpSound rest(double seconds) {
        put(more(seconds));
        return this;
    }

    MadeUpSound noise(double seconds) {
        double[] more = more(seconds);
        for (int i = 0; i < more.length; i++) {
            more[i] = 0.1 * random.nextGaussian();
        }
        put(more);
        return this;
    }

    /** A string dies away, or under a bow does not. */
    MadeUpSound string(double hertz, double seconds, boolean bowed) {
        double[] more = more(seconds);
        for (int n = 1; n <= PARTIALS; n++) {
            double partial = n * hertz * Math.sqrt(1 + 5e-5 * n * n);
            double strength = 0.25 * Math.sin(n * Math.PI * 0.22) / n;
            for (int i = 0; i < more.length && partial < 0.45 * RATE; i++) {
                double at = (double) i / RATE;
                double swells = Math.min(1, Math.min(at, seconds - at) / 0.005);
                more[i] += swells
                        * strength
                        * (bowed ? 1 : Math.exp(-at * (2 + n)))
                        * Math.sin(2 * Math.PI * partial * at);
            }
        }
        put(more);
        return this;
    }

    double[] values() {
        return values.clone();
    }

    Path write(Path file) throws IOException {
        ByteBuffer bytes = ByteBuffer.allocate(values.length * Short.BYTES).order(ByteOrder.LITTLE_ENDIAN);
        for (double value : values) {
            bytes.putShort((short) Math.round(Math.max(-1, Math.min(1, value)) * Short.MAX_VALUE));
        }
        AudioSystem.write(
                new AudioInputStream(
                        new ByteArrayInputStream(bytes.array()),
                        new AudioFormat(RATE, Short.SIZE, 1, true, false),
                        values.length),
                AudioFileFormat.Type.WAVE,
                file.toFile());
        return file;
    }
}
