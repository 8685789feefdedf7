package rosinedpeg.core;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.TreeMap;
import rosinedpeg.core.MadeUpSounds.Disturbed;
import rosinedpeg.core.MadeUpSounds.Sound;
import rosinedpeg.core.hearing.Ear;
import rosinedpeg.core.hearing.Hearing;

/**
 * How well the ear hears, beside three methods of another hand on the same sounds. A sound of a recorded instrument is judged against the
 * same one in tune as that ear hears it, since the recordings are off pitch by some cents themselves.
 */
final class HearingBenchmark {

    private static final double WRONG_CENTS = 60;
    private static final double FROM_SECONDS = 0.1;
    private static final double TO_SECONDS = 0.6;
    private static final int BLOCK = 882;
    private static final List<String> OTHERS = List.of("yinfft", "yinfast", "mcomb");

    private final Map<Sound, OptionalDouble> inTune = new HashMap<>();
    private final Path folder;
    private double seconds;

    private HearingBenchmark(Path folder) {
        this.folder = folder;
    }

    /** What an ear makes of a sound: its pitch, and after how many seconds it was first sure; empty where it never was. */
    private record Verdict(OptionalDouble hertz, OptionalDouble after) {}

    /** Something that hears. */
    private interface Hears {
        Verdict hear(Sound sound) throws Exception;
    }

    public static void main(String[] arguments) throws Exception {
        Path folder = Files.createTempDirectory("sounds");
        boolean others = !List.of(arguments).contains("alone");
        Map<String, List<Sound>> all = new LinkedHashMap<>();
        all.put("The core's own plucked strings", MadeUpSounds.modelled());
        all.put("Recorded instruments", MadeUpSounds.recorded(folder));
        for (Map.Entry<String, List<Sound>> of : all.entrySet()) {
            System.out.printf("%n%s%n", of.getKey());
            for (Disturbed disturbed : disturbances(arguments)) {
                new HearingBenchmark(folder).row("ear", disturbed, of.getValue(), HearingBenchmark::ear);
                for (String method : others ? OTHERS : List.<String>of()) {
                    new HearingBenchmark(folder)
                            .row(method, disturbed, of.getValue(), sound -> other(method, sound, folder.resolve("one.wav")));
                }
            }
        }
    }

    /** Those that are named, or all of them. */
    private static List<Disturbed> disturbances(String... arguments) {
        List<Disturbed> named = Arrays.stream(Disturbed.values())
                .filter(one -> List.of(arguments).contains(one.name()))
                .toList();
        return named.isEmpty() ? List.of(Disturbed.values()) : named;
    }

    private static Verdict ear(Sound sound) {
        Ear ear = new Ear(sound.awaited(), MadeUpSounds.SAMPLES_PER_SECOND);
        OptionalDouble hertz = OptionalDouble.empty();
        OptionalDouble after = OptionalDouble.empty();
        double[] values = sound.values();
        for (int at = 0; at < values.length; at += BLOCK) {
            double[] block = Arrays.copyOfRange(values, at, Math.min(values.length, at + BLOCK));
            for (Hearing hearing : ear.hear(block)) {
                double since = hearing.atSeconds() - MadeUpSounds.BEGINS;
                if (hearing instanceof Hearing.Heard heard && since <= TO_SECONDS) {
                    after = after.isPresent() ? after : OptionalDouble.of(since);
                    hertz = OptionalDouble.of(heard.hertz());
                }
            }
        }
        return new Verdict(hertz, after);
    }

    private static Verdict other(String method, Sound sound, Path file) throws IOException, InterruptedException {
        MadeUpSounds.write(sound.values(), file);
        Process process = new ProcessBuilder(
                        "aubiopitch", "-i", file.toString(), "-p", method, "-u", "Hz", "-H", "512",
                        "-B", sound.openHz() < 110 ? "8192" : "4096")
                .redirectErrorStream(true)
                .start();
        List<Double> heard = new ArrayList<>();
        for (String line : new String(process.getInputStream().readAllBytes(), StandardCharsets.UTF_8).split("\n")) {
            String[] columns = line.trim().split("\\s+");
            if (columns.length == 2) {
                double at = Double.parseDouble(columns[0]) - MadeUpSounds.BEGINS;
                double hertz = Double.parseDouble(columns[1]);
                if (at > FROM_SECONDS && at <= TO_SECONDS && hertz > 0) {
                    heard.add(hertz);
                }
            }
        }
        process.waitFor();
        heard.sort(null);
        return new Verdict(
                heard.isEmpty() ? OptionalDouble.empty() : OptionalDouble.of(heard.get(heard.size() / 2)),
                OptionalDouble.empty());
    }

    private void row(String name, Disturbed disturbed, List<Sound> all, Hears ear) throws Exception {
        List<Double> errors = new ArrayList<>();
        Map<String, List<Double>> groups = new TreeMap<>();
        List<String> wrongOnes = new ArrayList<>();
        int heard = 0;
        int unsure = 0;
        int late = 0;
        for (Sound sound : all) {
            boolean reference = sound.detuned() == 0 && all.stream().anyMatch(other -> other.reference() == sound);
            if (reference) {
                inTune.put(sound, ear.hear(sound).hertz());
                continue;
            }
            long begun = System.nanoTime();
            Verdict verdict = ear.hear(disturbed.disturb(sound, all));
            seconds += (System.nanoTime() - begun) / 1e9;
            heard++;
            OptionalDouble truth = truth(sound);
            if (verdict.hertz().isEmpty() || truth.isEmpty()) {
                unsure++;
                wrongOnes.add("unsure " + sound.group() + " " + sound.string() + " " + sound.detuned());
                continue;
            }
            double limit = sound.openHz() < MadeUpSounds.LOW_HZ ? 0.5 : 0.25;
            late += verdict.after().orElse(0) > limit ? 1 : 0;
            double error = Math.abs(cents(truth.getAsDouble(), verdict.hertz().getAsDouble()));
            if (error > WRONG_CENTS) {
                wrongOnes.add("wrong " + sound.group() + " " + sound.string() + " " + sound.detuned() + " by " + Math.round(error));
            } else if (sound.fine()) {
                errors.add(error);
                groups.computeIfAbsent(sound.group(), none -> new ArrayList<>()).add(error);
            }
        }
        errors.sort(null);
        long wrong = wrongOnes.stream().filter(one -> one.startsWith("wrong")).count();
        System.out.printf(
                Locale.ROOT,
                "%-12s %-8s median %7.4f, 90 %% %7.3f cents; wrong %d, not sure %d, late %d of %d; %.1f ms a second%n",
                disturbed.name().toLowerCase(Locale.ROOT),
                name,
                errors.get(errors.size() / 2),
                errors.get(errors.size() * 9 / 10),
                wrong,
                unsure,
                late,
                heard,
                seconds * 1000 / heard / (MadeUpSounds.BEGINS + MadeUpSounds.LASTS));
        if (System.getProperty("peg.each") != null && name.equals("ear")) {
            groups.forEach((group, some) -> {
                some.sort(null);
                System.out.printf(Locale.ROOT, "    %s %.2f / %.2f%n", group, some.get(some.size() / 2), some.get(some.size() * 9 / 10));
            });
            wrongOnes.forEach(one -> System.out.println("    " + one));
        }
    }

    private OptionalDouble truth(Sound sound) {
        if (sound.reference() == null) {
            return OptionalDouble.of(sound.hertz());
        }
        OptionalDouble own = inTune.get(sound.reference());
        return own.isEmpty() ? own : OptionalDouble.of(own.getAsDouble() * Math.pow(2, sound.detuned() / 1200.0));
    }

    private static double cents(double from, double to) {
        return 1200 * Math.log(to / from) / Math.log(2);
    }
}
