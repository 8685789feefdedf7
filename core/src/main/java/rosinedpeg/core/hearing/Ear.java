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
 * Listens. Samples go in as they come; out come verdicts while something sounds, one about every 20 ms until it is sure of a string, then
 * every 40 ms.
 *
 * <p>A pluck is where a hundredth of a second is much louder than the ones before it, and while a string is heard than any of them; what
 * sounded until then belongs to the room and is left out of what follows. From 20 ms after it short stretches are read one after the other,
 * each by its partials ({@link Partials}): the reading that explains most of what sounds with fewest gaps counts, if no other does nearly as
 * well. A string is {@link Hearing.Heard} once three stretches agree, and most of those since the pluck, or the last six tenths of a second
 * together bear them out. Its pitch is the middle of what it sounds in those six tenths: over so long neither vibrato nor two players that
 * beat pull it to one side. Until there is more than half as much again as a short stretch it is the mean of these, weighted by how strong
 * each was; and where they are steady and it is not among them, the middle one of them, as a break in the sound does less to these. Where no
 * string explains what sounds, or two do, the ear is {@link Hearing.NotSure}.
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
    /** A stretch is read at every second of these, and at every fourth once a string is heard and there is enough of it for a long one. */
    private static final int HOPS_A_READING = 2;

    private static final int HOPS_A_LONG_READING = 4;
    /** A finger leaves a string in about so long. */
    private static final double PLUCKS_SECONDS = 0.02;
    /** So many times the energy of the moments before it is a pluck; two lie at least so far apart. */
    private static final double LOUDER = 3;

    private static final double PLUCKS_APART_SECONDS = 0.12;
    /** What is louder than the room was by so much is no room, but the string that swells or rings still. */
    private static final double ROOM_GROWS = 2;

    private static final double BEFORE_SECONDS = 0.25;
    private static final double LEAST_BEFORE_SECONDS = 0.08;
    /** A stretch holds so many periods of the lowest pitch, and is no shorter than this. */
    private static final double PERIODS = 7.5;

    private static final double SHORTEST_SECONDS = 0.1;
    private static final double AVERAGED_SECONDS = 0.5;
    /** The pitch is that of so long a stretch, or of what there is of it once it is so many short ones. */
    private static final double LONG_SECONDS = 0.6;

    private static final double LONGER = 1.5;
    /** So many short stretches, most of them so near one another, bear out a long one or do not. */
    private static final int BEAR_OUT = 5;

    private static final double STEADY_CENTS = 0.5;
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
    private boolean sure;
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
        // While a string sounds only what is sudden is another pluck, as players who beat swell too; out of silence a
        // bow may swell slowly.
        boolean louder = sorted.length == HOPS_REMEMBERED
                && now > SILENT
                && now > LOUDER * sorted[sure ? sorted.length - 1 : sorted.length / 2];
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
        sure = false;
        readings.clear();
        hopsSinceRead = HOPS_A_READING;
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
        if (hopsSinceRead < hopsAReading() || count - begun() < stretch) {
            return;
        }
        hopsSinceRead = 0;
        double now = count / rate;
        double[] values = last(stretch, 0);
        if (energyOf(values) < SILENT) {
            readings.clear();
            sure = false;
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
        Hearing verdict = verdict(now);
        sure = verdict instanceof Hearing.Heard;
        heard.add(verdict);
    }

    /** What has sounded since the ear listens, at a multiple of what the mains have, is their hum. */
    private boolean isHum(double hertz) {
        return onset == 0
                && MAINS_HERTZ.stream().anyMatch(mains -> {
                    double nearest = mains * Math.max(1, Math.round(hertz / mains));
                    return Math.abs(Cents.between(nearest, hertz).value()) < HUM_CENTS;
                });
    }

    private static boolean isNear(double one, double other) {
        return Math.abs(Cents.between(one, other).value()) < AGREE_CENTS;
    }

    /** The first sample that belongs to the pluck. */
    private long begun() {
        return onset == 0 ? 0 : onset + Math.round(PLUCKS_SECONDS * rate);
    }

    private int hopsAReading() {
        return sure && isLong() ? HOPS_A_LONG_READING : HOPS_A_READING;
    }

    private boolean isLong() {
        return count - begun() >= LONGER * stretch;
    }

    private Hearing verdict(double now) {
        List<Since> clear =
                readings.stream().filter(one -> one.reading().clear()).toList();
        if (clear.size() < AGREE) {
            return new Hearing.NotSure(now);
        }
        Optional<Lately> agreed = agreed(clear, now);
        Optional<Double> pitch = agreed.map(Lately::hertz);
        if (isLong()) {
            double[] values = last((int) Math.min(count - begun(), LONG_SECONDS * rate), 0);
            Optional<Double> middle = agreed.map(
                            some -> borneOut(finder.middle(some.hertz(), some.spreadCents(), values, rate, before)))
                    .or(() -> finder.findStill(values, rate, before)
                            .filter(reading -> reading.clear() && !isHum(reading.hertz()))
                            .map(PitchFinder.Reading::hertz))
                    .filter(hertz -> alike(clear, hertz) >= AGREE);
            pitch = middle.isPresent() ? middle : pitch;
        }
        return pitch.<Hearing>map(hertz -> heard(hertz, now)).orElseGet(() -> new Hearing.NotSure(now));
    }

    /** What the clear ones among the short stretches agree on; empty where they do not, or the last of them is gone by. */
    private Optional<Lately> agreed(List<Since> clear, double now) {
        double[] sorted = clear.stream()
                .mapToDouble(one -> one.reading().hertz())
                .sorted()
                .toArray();
        double middle = sorted[sorted.length / 2];
        long alike = alike(clear, middle);
        boolean fresh = clear.get(clear.size() - 1).atSeconds() > now - 2 * hopsAReading() * HOP_SECONDS;
        return fresh && alike >= AGREE && alike >= MOST_AGREE * clear.size()
                ? Optional.of(lately(middle, now))
                : Optional.empty();
    }

    /**
     * Where most of the short stretches say the same and the long one does not, a piece of sound is missing within it, or was put in: what
     * they say counts then, the middle one of them.
     */
    private double borneOut(double hertz) {
        double[] cents = readings.stream()
                .mapToDouble(one -> Cents.between(hertz, one.reading().hertz()).value())
                .filter(one -> Math.abs(one) < AGREE_CENTS)
                .sorted()
                .toArray();
        if (cents.length < BEAR_OUT) {
            return hertz;
        }
        double middle = cents[cents.length / 2];
        double[] off =
                Arrays.stream(cents).map(one -> Math.abs(one - middle)).sorted().toArray();
        boolean steady = off[off.length / 2] < STEADY_CENTS;
        return steady && Math.abs(middle) > STEADY_CENTS ? new Cents(middle).above(hertz) : hertz;
    }

    private static long alike(List<Since> some, double hertz) {
        return some.stream().filter(one -> isNear(one.reading().hertz(), hertz)).count();
    }

    /**
     * What the short stretches say that are near a pitch.
     *
     * @param string the string of the last of them
     * @param hertz their mean
     * @param spreadCents how far they lie apart
     */
    private record Lately(Position string, double hertz, double spreadCents) {}

    private Lately lately(double near, double now) {
        // What is blurred belongs to the mean too: left out, it would move with whatever blurs it.
        List<Since> agree = readings.stream()
                .filter(one -> isNear(one.reading().hertz(), near))
                .toList();
        double first = agree.get(0).atSeconds() - HOP_SECONDS;
        double span = now + HOP_SECONDS - first;
        double weights = 0;
        double sum = 0;
        double squares = 0;
        for (Since one : agree) {
            double weight = Math.pow(Math.sin(Math.PI * (one.atSeconds() - first) / span), 2)
                    * one.reading().power();
            double cents = Cents.between(near, one.reading().hertz()).value();
            weights += weight;
            sum += weight * cents;
            squares += weight * cents * cents;
        }
        double mean = sum / weights;
        return new Lately(
                agree.get(agree.size() - 1).reading().string(),
                new Cents(mean).above(near),
                Math.sqrt(Math.max(0, squares / weights - mean * mean)));
    }

    private Hearing.Heard heard(double hertz, double now) {
        Lately lately = lately(hertz, now);
        return new Hearing.Heard(
                now,
                now - onset / rate,
                lately.string(),
                hertz,
                Cents.between(awaited.hertzOf(lately.string()), hertz),
                lately.spreadCents(),
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
