package rosinedpeg.core;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import javax.sound.midi.InvalidMidiDataException;
import javax.sound.midi.MidiEvent;
import javax.sound.midi.MidiSystem;
import javax.sound.midi.Sequence;
import javax.sound.midi.ShortMessage;
import javax.sound.midi.Track;
import javax.sound.sampled.AudioFileFormat;
import javax.sound.sampled.AudioFormat;
import javax.sound.sampled.AudioInputStream;
import javax.sound.sampled.AudioSystem;
import javax.sound.sampled.UnsupportedAudioFileException;
import rosinedpeg.core.hearing.Awaited;
import rosinedpeg.core.setup.Family;
import rosinedpeg.core.setup.SetUp;
import rosinedpeg.core.setup.Size;
import rosinedpeg.core.strings.Position;
import rosinedpeg.core.strings.StringCore;
import rosinedpeg.core.strings.StringSpec;
import rosinedpeg.core.tone.PluckedString;
import rosinedpeg.core.usual.UsualString;

/**
 * Sounds whose pitch is known: of the core's own plucked string, and of recorded instruments that a synthesiser plays out of tune. Each
 * begins after 0.3 s in which nothing, or what disturbs, sounds.
 */
final class MadeUpSounds {

    static final double BEGINS = 0.3;
    static final double LASTS = 1.5;
    static final int SAMPLES_PER_SECOND = 44_100;
    /** Below this a verdict may take half a second, else a quarter. */
    static final double LOW_HZ = 60;

    private static final double APART = 4;
    private static final int BEND_SEMITONES = 4;
    /** What the synthesiser makes of four semitones; it then rounds down to whole cents. */
    private static final double BEND_CENTS = BEND_SEMITONES * 100 * 127 / 128.0;

    private static final String SOUND_FONT = "/usr/share/sounds/sf2/FluidR3_GM.sf2";
    private static final int PLUCKED = 45;
    /** The first is what the others are judged against; the last is for what is wrong, not for how fine it is. */
    private static final int[] DETUNED = {0, -50, -25, 25, 375};

    private static final int FINE = 50;
    private static final double MEASURED_SECONDS = 0.6;

    /**
     * A sound.
     *
     * @param group what plays it
     * @param awaited what may sound, and what is meant to
     * @param detuned how far it is from its pitch, in cents
     * @param reference the same in tune; null where the pitch is known
     * @param hertz what it sounds, where that is known
     * @param values 44 100 a second
     */
    record Sound(String group, Awaited awaited, int detuned, Sound reference, double hertz, double[] values) {

        Position string() {
            return awaited.inHand().orElseThrow();
        }

        double openHz() {
            return awaited.hertz().get(string());
        }

        boolean fine() {
            return Math.abs(detuned) <= FINE;
        }

        Sound with(double[] others) {
            return new Sound(group, awaited, detuned, reference, hertz, others);
        }
    }

    private MadeUpSounds() {}

    /** Plucked strings of the core's own model: each string of each family, in tune and out of it. */
    static List<Sound> modelled() {
        List<Sound> sounds = new ArrayList<>();
        for (Family family : Family.values()) {
            SetUp setUp = SetUp.unmeasured(usual(family));
            for (Position position : setUp.positions()) {
                StringSpec string = UsualString.of(setUp, position);
                PluckedString inTune = PluckedString.of(setUp, string, setUp.tensionN(string));
                for (int detuned : DETUNED) {
                    PluckedString plucked = new PluckedString(
                            inTune.pitchHz() * Math.pow(2, detuned / 1200.0),
                            inTune.stiffness(),
                            inTune.pluckedAt(),
                            PluckedString.Decay.usual(StringCore.ROPE_STEEL));
                    sounds.add(new Sound(
                            "model " + family.name().toLowerCase(),
                            Awaited.open(setUp).inHand(position),
                            detuned,
                            null,
                            plucked.partialHz(1),
                            laid(plucked.samples(LASTS), PluckedString.SAMPLES_PER_SECOND)));
                }
            }
        }
        return sounds;
    }

    private static Size usual(Family family) {
        return Size.of(family, switch (family) {
            case VIOLIN, CELLO -> "4/4";
            case VIOLA -> "16";
            case BASS -> "3/4";
        });
    }

    private static double[] laid(double[] samples, int samplesPerSecond) {
        int times = SAMPLES_PER_SECOND / samplesPerSecond;
        double[] values = new double[(int) ((BEGINS + LASTS) * SAMPLES_PER_SECOND)];
        int from = (int) (BEGINS * SAMPLES_PER_SECOND);
        for (int i = 0; from + i < values.length && i / times < samples.length; i++) {
            double share = (i % times) / (double) times;
            double here = samples[i / times];
            double next = i / times + 1 < samples.length ? samples[i / times + 1] : 0;
            values[from + i] = 0.5 * (here + share * (next - here));
        }
        return values;
    }

    /** Recorded instruments, bowed and plucked. */
    static List<Sound> recorded(Path folder) throws Exception {
        List<Sound> sounds = new ArrayList<>();
        for (Family family : Family.values()) {
            SetUp setUp = SetUp.unmeasured(usual(family));
            int bowed = 40 + family.ordinal();
            sounds.addAll(played(family.name().toLowerCase() + " bowed", setUp, bowed, folder));
            sounds.addAll(played(family.name().toLowerCase() + " plucked", setUp, PLUCKED, folder));
        }
        return sounds;
    }

    private static List<Sound> played(String group, SetUp setUp, int program, Path folder) throws Exception {
        Path file = folder.resolve(group.replace(' ', '-') + ".wav");
        render(setUp, program, file);
        double[] all = read(file);
        List<Sound> sounds = new ArrayList<>();
        for (Position position : setUp.positions()) {
            Sound reference = null;
            for (int detuned : DETUNED) {
                double[] values = new double[(int) ((BEGINS + LASTS) * SAMPLES_PER_SECOND)];
                int from = (int) ((0.5 + APART * sounds.size() - BEGINS) * SAMPLES_PER_SECOND);
                for (int i = (int) ((BEGINS - 0.02) * SAMPLES_PER_SECOND); i < values.length; i++) {
                    values[i] = from + i < all.length ? all[from + i] : 0;
                }
                double hertz = setUp.openString(position).frequencyHz(setUp.referenceA()) * Math.pow(2, detuned / 1200.0);
                Sound sound = new Sound(
                        group, Awaited.open(setUp).inHand(position), detuned, reference, hertz, values);
                reference = reference == null ? sound : reference;
                sounds.add(sound);
            }
        }
        return sounds;
    }

    private static void render(SetUp setUp, int program, Path file) throws Exception {
        Sequence sequence = new Sequence(Sequence.PPQ, 500);
        Track track = sequence.createTrack();
        track.add(new MidiEvent(new ShortMessage(ShortMessage.PROGRAM_CHANGE, 0, program, 0), 0));
        int[][] bendRange = {{101, 0}, {100, 0}, {6, BEND_SEMITONES}, {38, 0}};
        for (int[] control : bendRange) {
            track.add(new MidiEvent(new ShortMessage(ShortMessage.CONTROL_CHANGE, 0, control[0], control[1]), 1));
        }
        double at = 0.5;
        for (Position position : setUp.positions()) {
            for (int detuned : DETUNED) {
                note(track, setUp.openString(position).midi(), detuned, Math.round(at * 1000));
                at += APART;
            }
        }
        Path notes = Files.createTempFile("notes", ".mid");
        MidiSystem.write(sequence, 0, notes.toFile());
        Process process = new ProcessBuilder(
                        "fluidsynth", "-q", "-ni", "-R", "0", "-C", "0", "-g", "0.8",
                        "-r", Integer.toString(SAMPLES_PER_SECOND), "-O", "s16", "-F", file.toString(),
                        SOUND_FONT, notes.toString())
                .redirectErrorStream(true)
                .redirectOutput(ProcessBuilder.Redirect.DISCARD)
                .start();
        if (process.waitFor() != 0) {
            throw new IOException("fluidsynth made no sound");
        }
        Files.delete(notes);
    }

    private static void note(Track track, int key, int detuned, long at) throws InvalidMidiDataException {
        int bend = (int) Math.round(8192 + (detuned + 0.5) / BEND_CENTS * 8192);
        track.add(new MidiEvent(new ShortMessage(ShortMessage.PITCH_BEND, 0, bend & 127, bend >> 7), at - 50));
        track.add(new MidiEvent(new ShortMessage(ShortMessage.NOTE_ON, 0, key, 90), at));
        track.add(new MidiEvent(new ShortMessage(ShortMessage.NOTE_OFF, 0, key, 0), at + Math.round(LASTS * 1000)));
    }

    private static double[] read(Path file) throws IOException, UnsupportedAudioFileException {
        try (AudioInputStream audio = AudioSystem.getAudioInputStream(file.toFile())) {
            int channels = audio.getFormat().getChannels();
            byte[] bytes = ((InputStream) audio).readAllBytes();
            double[] values = new double[bytes.length / 2 / channels];
            for (int i = 0; i < values.length * channels; i++) {
                int value = (short) ((bytes[2 * i] & 255) | bytes[2 * i + 1] << 8);
                values[i / channels] += value / 32768.0 / channels;
            }
            return values;
        }
    }

    static void write(double[] values, Path file) throws IOException {
        byte[] bytes = new byte[2 * values.length];
        for (int i = 0; i < values.length; i++) {
            int value = (int) Math.max(-32768, Math.min(32767, Math.round(values[i] * 32767)));
            bytes[2 * i] = (byte) value;
            bytes[2 * i + 1] = (byte) (value >> 8);
        }
        AudioFormat format = new AudioFormat(SAMPLES_PER_SECOND, 16, 1, true, false);
        try (AudioInputStream audio = new AudioInputStream(new ByteArrayInputStream(bytes), format, values.length)) {
            AudioSystem.write(audio, AudioFileFormat.Type.WAVE, file.toFile());
        }
    }

    /** What disturbs. */
    enum Disturbed {
        CLEAN,
        NOISE_20_DB,
        NOISE_10_DB,
        HUM,
        NEIGHBOUR;

        private static final double[] HUM_PARTS = {1, 0.5, 0.6, 0.25, 0.35, 0.15, 0.2};
        private static final double MINUS_12_DB = 0.25;

        Sound disturb(Sound sound, List<Sound> all) {
            double[] values = sound.values().clone();
            double loud = loudness(values);
            Random random = new Random(all.indexOf(sound));
            switch (this) {
                case CLEAN -> {}
                case NOISE_20_DB -> noise(values, loud * 0.1, random);
                case NOISE_10_DB -> noise(values, loud * Math.sqrt(0.1), random);
                case HUM -> hum(values, loud * MINUS_12_DB, random.nextBoolean() ? 50 : 60, random.nextDouble());
                case NEIGHBOUR -> {
                    double[] other = neighbour(sound, all).values();
                    double factor = loud * MINUS_12_DB / loudness(other);
                    for (int i = 0; i < values.length; i++) {
                        values[i] += factor * other[i];
                    }
                }
            }
            return sound.with(values);
        }

        private static Sound neighbour(Sound sound, List<Sound> all) {
            int lower = sound.string().ordinal() + 1;
            Map<Position, Sound> inTune = new EnumMap<>(Position.class);
            all.stream()
                    .filter(other -> other.group().equals(sound.group()) && other.detuned() == 0)
                    .forEach(other -> inTune.put(other.string(), other));
            return inTune.getOrDefault(
                    Position.values()[lower], inTune.get(Position.values()[Math.max(0, lower - 2)]));
        }

        private static double loudness(double[] values) {
            int from = (int) (BEGINS * SAMPLES_PER_SECOND);
            int count = (int) (MEASURED_SECONDS * SAMPLES_PER_SECOND);
            double sum = 0;
            for (int i = from; i < from + count; i++) {
                sum += values[i] * values[i];
            }
            return Math.sqrt(sum / count);
        }

        private static void noise(double[] values, double loud, Random random) {
            for (int i = 0; i < values.length; i++) {
                values[i] += loud * random.nextGaussian();
            }
        }

        private static void hum(double[] values, double loud, double hertz, double phase) {
            double all = 0;
            for (double part : HUM_PARTS) {
                all += part * part / 2;
            }
            for (int i = 0; i < values.length; i++) {
                for (int n = 1; n <= HUM_PARTS.length; n++) {
                    values[i] += loud / Math.sqrt(all) * HUM_PARTS[n - 1]
                            * Math.sin(2 * Math.PI * n * (hertz * i / SAMPLES_PER_SECOND + phase));
                }
            }
        }
    }
}
