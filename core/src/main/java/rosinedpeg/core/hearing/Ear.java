package rosinedpeg.core.hearing;

import static java.util.Objects.requireNonNull;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Deque;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import rosinedpeg.core.figure.Range;
import rosinedpeg.core.figure.Unit;
import rosinedpeg.core.pitch.Cents;
import rosinedpeg.core.strings.Position;

/**
 * Listens. Samples go in as they come; out come verdicts, one about every 20 ms while something sounds.
 *
 * <p>A pluck is where a hundredth of a second is much louder than the ones before it; what sounded until then belongs to the room and
 * is left out of what follows. From 20 ms after it short stretches are read one after the other, each by its partials ({@link Partials}): the
 * reading that explains most of what sounds with fewest gaps counts, if no other does nearly as well. A string is {@link Hearing.Heard} once
 * three stretches agree, and most of those since the pluck. Its pitch is the mean of the last half second's readings, the middle ones
 * weighted most and each by how strong it was, so that neither vibrato, nor the first instant of a pluck, nor the faint moments of two players
 * that beat pull it to one side. Where no string explains what sounds, or two do, the ear is {@link Hearing.NotSure}.
 *
 * <p>An ear belongs to one thread. It keeps a second and a half of sound, and nothing after that.
 */
public final class Ear {

    /** How many samples a second an ear can take. */
    public static final Range SAMPLES_PER_SECOND = new Range(8000, 48_000, Unit.HERTZ);
    /** So many at once. */
    public static final int MOST_SAMPLES = 96_000;

    private static final double KEPT_SECONDS = 1.5;
    private static final double HOP_SECONDS = 0.01;
    private static final int HOPS_BETWEEN = 1;
    /** A finger leaves a string in about so long. */
    private static final double PLUCKS_SECONDS = 0.02;
    /** So many times the energy of the moments before it is a pluck; two lie at least so far apart. */
    private static final double LOUDER = 3.2;

    private static final double PLUCKS_APART_SECONDS = 0.12;
    /** What is louder than the room was by so much is no room, but the string that swells or rings still. */
    private static final double ROOM_GROWS = 2;

    private static final double BEFORE_SECONDS = 0.25;
    private static final double LEAST_BEFORE_SECONDS = 0.08;
    /** A stretch holds so many periods of the lowest pitch, and is no shorter than this. */
    private static final double PERIODS = 7.5;

    private static final double SHORTEST_SECONDS = 0.1;
    private static final double AVERAGED_SECONDS = 0.5;
    /** So long a string has to ring for its partials to be told from their line. */
    private static final double RINGS_SECONDS = 0.8;
    /** Nothing sounds below such energy, the loudest being 1. */
    private static final double SILENT = 1e-7;

    private static final List<Double> MAINS_HERTZ = List.of(50.0, 60.0);
    private static final double HUM_CENTS = 4;

    private static final int AGREE = 3;
    private static final double MOST_AGREE = 0.7;
    private static final double AGREE_CENTS = 50;
    private static final int HOPS_REMEMBERED = 8;

    private final Awaited awaited;
    private final PitchFinder finder;
    private final Decimator decimator;
    private final double rate;
    private final double[] kept;
    private final int hop;
    private final int stretch;
    private final Deque<Double> hops = new ArrayDeque<>();
    private final Deque<Since> readings = new ArrayDeque<>();
    private long count;
    private int inHop;
    private double energy;
    private long onset;
    private boolean rung;
    private int hopsSinceRead;
    private @Nullable Spectrum before;
    private double beforeEnergy;

    private record Since(double atSeconds, PitchFinder.Reading reading) {}

    /**
     * An ear.
     *
     * @param awaited what may sound
     * @param samplesPerSecond how many samples come each second, 8000 to 48 000
     * @throws rosinedpeg.core.figure.OutOfRangeException when that is outside its range
     */
    public Ear(Awaited awaited, double samplesPerSecond) {
        SAMPLES_PER_SECOND.require("samplesPerSecond", samplesPerSecond);
        this.awaited = requireNonNull(awaited, "awaited");
        finder = new PitchFinder(awaited);
        decimator = new Decimator(samplesPerSecond);
        rate = samplesPerSecond / decimator.factor();
        kept = new double[(int) (KEPT_SECONDS * rate)];
        hop = (int) Math.round(HOP_SECONDS * rate);
        stretch = (int) Math.round(Math.max(SHORTEST_SECONDS, PERIODS / awaited.lowestHz()) * rate);
    }

    /**
     * Takes samples.
     *
     * @param samples the next ones, −1 to 1, up to {@link #MOST_SAMPLES}; what is beyond counts as ±1
     * @return what was heard meanwhile, in order
     * @throws IllegalArgumentException when there are too many, or one is no number
     */
    public List<Hearing> hear(double[] samples) {
        if (samples.length > MOST_SAMPLES) {
            throw new IllegalArgumentException(samples.length + " samples at once; at most " + MOST_SAMPLES);
        }
        List<Hearing> heard = new ArrayList<>();
        for (double sample : samples) {
            if (Double.isNaN(sample)) {
                throw new IllegalArgumentException("a sample is not a number");
            }
            if (decimator.take(Math.max(-1, Math.min(1, sample)))) {
                keep(decimator.value(), heard);
            }
        }
        return heard;
    }

    private void keep(double value, List<Hearing> heard) {
        kept[(int) (count % kept.length)] = value;
        count++;
        energy += value * value;
        inHop++;
        if (inHop == hop) {
            double now = energy / hop;
            notice(now);
            hops.addLast(now);
            if (hops.size() > HOPS_REMEMBERED) {
                hops.removeFirst();
            }
            energy = 0;
            inHop = 0;
            read(heard);
        }
    }

    /** A pluck begins anew; what sounded before it is the room. */
    private void notice(double now) {
        double[] sorted =
                hops.stream().mapToDouble(Double::doubleValue).sorted().toArray();
        boolean louder = sorted.length == HOPS_REMEMBERED && now > SILENT && now > LOUDER * sorted[sorted.length / 2];
        long begins = count - hop;
        if (!louder || onset > 0 && begins - onset < PLUCKS_APART_SECONDS * rate) {
            return;
        }
        int quiet = (int) Math.min(Math.min(begins - onset, begins), BEFORE_SECONDS * rate);
        if (quiet >= LEAST_BEFORE_SECONDS * rate) {
            learnRoom(last(quiet, hop));
        }
        onset = begins;
        rung = false;
        readings.clear();
        hopsSinceRead = HOPS_BETWEEN;
    }

    /** What sounds while no string does; the quietest of it is kept. */
    private void learnRoom(double[] values) {
        double loud = energyOf(values);
        if (before == null || loud < ROOM_GROWS * beforeEnergy) {
            before = Spectrum.of(values, rate);
            beforeEnergy = loud;
        }
    }

    private static double energyOf(double[] values) {
        return Arrays.stream(values).map(value -> value * value).average().orElse(0);
    }

    /** The last so many values, but for the very last of them. */
    private double[] last(int values, int butFor) {
        double[] last = new double[values];
        for (int i = 0; i < values; i++) {
            last[i] = kept[(int) ((count - butFor - values + i) % kept.length)];
        }
        return last;
    }

    private void read(List<Hearing> heard) {
        hopsSinceRead++;
        long begun = onset == 0 ? 0 : onset + Math.round(PLUCKS_SECONDS * rate);
        if (hopsSinceRead <= HOPS_BETWEEN || count - begun < stretch) {
            return;
        }
        hopsSinceRead = 0;
        double now = count / rate;
        double[] values = last(stretch, 0);
        if (energyOf(values) < SILENT) {
            readings.clear();
            heard.add(new Hearing.Silence(now));
            return;
        }
        finder.find(values, rate, before)
                .filter(reading -> !isHum(reading.hertz()))
                .ifPresent(reading -> readings.addLast(new Since(now, reading)));
        while (!readings.isEmpty() && readings.getFirst().atSeconds() < now - AVERAGED_SECONDS) {
            readings.removeFirst();
        }
        if (before == null && readings.isEmpty() && count >= BEFORE_SECONDS * rate) {
            learnRoom(last((int) (BEFORE_SECONDS * rate), 0));
        }
        heard.add(verdict(now));
    }

    /** What has sounded since the ear listens, at a multiple of what the mains have, is their hum. */
    private boolean isHum(double hertz) {
        return onset == 0
                && MAINS_HERTZ.stream().anyMatch(mains -> {
                    double nearest = mains * Math.max(1, Math.round(hertz / mains));
                    return Math.abs(Cents.between(nearest, hertz).value()) < HUM_CENTS;
                });
    }

    private static boolean isNear(Since one, double hertz) {
        return Math.abs(Cents.between(hertz, one.reading().hertz()).value()) < AGREE_CENTS;
    }

    private Hearing verdict(double now) {
        List<Since> clear =
                readings.stream().filter(one -> one.reading().clear()).toList();
        if (clear.size() < AGREE) {
            return new Hearing.NotSure(now);
        }
        double[] sorted = clear.stream()
                .mapToDouble(one -> one.reading().hertz())
                .sorted()
                .toArray();
        double middle = sorted[sorted.length / 2];
        long alike = clear.stream().filter(one -> isNear(one, middle)).count();
        boolean fresh = clear.get(clear.size() - 1).atSeconds() > now - 2 * (HOPS_BETWEEN + 1) * HOP_SECONDS;
        if (!fresh || alike < AGREE || alike < MOST_AGREE * clear.size()) {
            return new Hearing.NotSure(now);
        }
        // What is blurred belongs to the mean too: left out, it would move with whatever blurs it.
        List<Since> agree = readings.stream().filter(one -> isNear(one, middle)).toList();
        double first = agree.get(0).atSeconds() - HOP_SECONDS;
        double span = now + HOP_SECONDS - first;
        double weights = 0;
        double sum = 0;
        double squares = 0;
        for (Since one : agree) {
            double weight = Math.pow(Math.sin(Math.PI * (one.atSeconds() - first) / span), 2)
                    * one.reading().power();
            double cents = Cents.between(middle, one.reading().hertz()).value();
            weights += weight;
            sum += weight * cents;
            squares += weight * cents * cents;
        }
        double mean = sum / weights;
        double hertz = new Cents(mean).above(middle);
        Position string = agree.get(agree.size() - 1).reading().string();
        return new Hearing.Heard(
                now,
                now - onset / rate,
                string,
                hertz,
                Cents.between(awaited.hertzOf(string), hertz),
                Math.sqrt(Math.max(0, squares / weights - mean * mean)),
                rang(hertz));
    }

    /** How it rang, once a pluck: nothing is asked of what has sounded since the ear began to listen. */
    private Optional<Ringing> rang(double hertz) {
        int values = (int) (RINGS_SECONDS * rate);
        if (onset == 0 || rung || count - onset < values + PLUCKS_SECONDS * rate) {
            return Optional.empty();
        }
        rung = true;
        return finder.ringing(hertz, last(values, 0), rate, before);
    }
}
