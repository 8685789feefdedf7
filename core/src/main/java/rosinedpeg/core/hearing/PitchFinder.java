package rosinedpeg.core.hearing;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.function.ToDoubleBiFunction;
import org.jspecify.annotations.Nullable;
import rosinedpeg.core.hearing.Spectrum.Peak;
import rosinedpeg.core.pitch.Cents;
import rosinedpeg.core.strings.Position;

/** Which of the awaited strings explains a stretch of sound best. */
final class PitchFinder {

    /** Any of the loudest peaks may be any of the first partials. */
    private static final int LOUDEST = 10;

    private static final int FIRST_PARTIALS = 12;
    private static final double LOWEST_HZ = 18;
    private static final double HEARS_SHARE = 0.42;
    /** Two guesses so near are one. */
    private static final double ALIKE = 0.002;
    /** What lies further off is another reading. */
    private static final double ANOTHER_CENTS = 60;
    /** Below this too little of what sounds is explained. */
    private static final double ENOUGH = 0.3;
    /** Of a long stretch, in which the strings of several players part, less will do where the short ones were clear. */
    private static final double STILL_ENOUGH = 0.15;
    /** The next best reading has to be worse by so much. */
    private static final double CLEARLY = 0.9;

    private static final double WITHIN_CENTS = 15;

    private final List<Awaited.Band> bands;

    PitchFinder(Awaited awaited) {
        bands = awaited.bands();
    }

    /**
     * A reading of one stretch of sound.
     *
     * @param string which
     * @param hertz its lowest partial
     * @param clear whether nothing else explains it nearly as well
     * @param power how strong its partials are, squared
     */
    record Reading(Position string, double hertz, boolean clear, double power) {}

    private record Guess(Awaited.Band band, Partials partials, double score) {}

    /** The best reading of a short stretch; empty where nothing stands out. */
    Optional<Reading> find(double[] values, double valuesPerSecond, @Nullable Spectrum before) {
        return best(Spectrum.of(values, valuesPerSecond), valuesPerSecond, before, ENOUGH, Partials::pitchHz);
    }

    /** The best reading of a long stretch in which a string was heard clearly, and may ring still; empty where nothing stands out. */
    Optional<Reading> findStill(double[] values, double valuesPerSecond, @Nullable Spectrum before) {
        return best(
                Spectrum.of(values, valuesPerSecond),
                valuesPerSecond,
                before,
                STILL_ENOUGH,
                (partials, spectrum) -> partials.middleHz(spectrum, Double.POSITIVE_INFINITY));
    }

    private Optional<Reading> best(
            Spectrum spectrum,
            double valuesPerSecond,
            @Nullable Spectrum before,
            double enough,
            ToDoubleBiFunction<Partials, Spectrum> pitchHz) {
        double highest = HEARS_SHARE * valuesPerSecond;
        List<Peak> peaks = spectrum.peaks(LOWEST_HZ, highest, before);
        List<Guess> guesses = guesses(peaks, highest, spectrum.resolutionHz());
        return guesses.stream().max(Comparator.comparingDouble(Guess::score)).map(best -> {
            double rival = guesses.stream()
                    .filter(other -> Math.abs(Cents.between(
                                            best.partials().fundamentalHz(),
                                            other.partials().fundamentalHz())
                                    .value())
                            > ANOTHER_CENTS)
                    .mapToDouble(Guess::score)
                    .max()
                    .orElse(0);
            Partials partials = best.partials();
            boolean clear = best.score() > enough
                    && rival < CLEARLY * best.score()
                    && partials.errorCents() < WITHIN_CENTS
                    && partials.count() >= partials.enough();
            double hertz = pitchHz.applyAsDouble(partials, spectrum);
            return new Reading(best.band().string(), hertz, clear && best.band().holds(hertz), partials.power());
        });
    }

    /** The middle of what a string sounds in a long stretch, where about what is known and how far it wavers; that again where it cannot be told. */
    double middle(
            double hertz, double spreadCents, double[] values, double valuesPerSecond, @Nullable Spectrum before) {
        Spectrum spectrum = Spectrum.of(values, valuesPerSecond);
        Partials partials = about(hertz, spectrum, valuesPerSecond, before);
        return partials.count() == 0 || partials.errorCents() >= WITHIN_CENTS
                ? hertz
                : partials.middleHz(spectrum, spreadCents);
    }

    /** How a string rang that sounds about so; empty where its partials are too few. */
    Optional<Ringing> ringing(double hertz, double[] values, double valuesPerSecond, @Nullable Spectrum before) {
        Spectrum spectrum = Spectrum.of(values, valuesPerSecond);
        return about(hertz, spectrum, valuesPerSecond, before).ringing(spectrum.resolutionHz());
    }

    private static Partials about(double hertz, Spectrum spectrum, double valuesPerSecond, @Nullable Spectrum before) {
        double highest = HEARS_SHARE * valuesPerSecond;
        return Partials.of(hertz, spectrum.peaks(LOWEST_HZ, highest, before), highest, spectrum.resolutionHz());
    }

    private List<Guess> guesses(List<Peak> peaks, double highestHz, double resolutionHz) {
        List<Double> tried = new ArrayList<>();
        List<Guess> guesses = new ArrayList<>();
        List<Peak> loudest = peaks.stream()
                .sorted(Comparator.comparingDouble(Peak::amplitude).reversed())
                .limit(LOUDEST)
                .toList();
        for (Peak peak : loudest) {
            for (int n = 1; n <= FIRST_PARTIALS; n++) {
                double first = peak.hertz() / n;
                boolean again = tried.stream().anyMatch(other -> Math.abs(first / other - 1) < ALIKE);
                Optional<Awaited.Band> band =
                        bands.stream().filter(one -> one.holds(first)).findFirst();
                if (!again && band.isPresent()) {
                    tried.add(first);
                    Partials partials = Partials.of(first, peaks, highestHz, resolutionHz);
                    // Where the line through some peaks passes all of them by, as it may in noise, nothing is left of
                    // the guess.
                    if (partials.count() > 0) {
                        guesses.add(new Guess(band.get(), partials, band.get().prior() * partials.score(peaks)));
                    }
                }
            }
        }
        return guesses;
    }
}
