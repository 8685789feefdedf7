package rosinedpeg.core;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Random;
import rosinedpeg.core.estimate.Interval;
import rosinedpeg.core.settling.Behaviour;
import rosinedpeg.core.settling.SettlingFit;
import rosinedpeg.core.settling.SettlingForecast;
import rosinedpeg.core.settling.SettlingReading;
import rosinedpeg.core.settling.Steadiness;
import rosinedpeg.core.strings.StringCore;

/**
 * Made-up strings, whose truth is known, read as people read them: how often the interval of a fit holds the truth, and how
 * often a slip is found or seen where there is none. {@code ./peg bench settling} prints the table of docs/arithmetic.md.
 */
final class SettlingSimulation {

    private static final double[] HOURS = {1, 3, 6, 12, 24, 36, 48};
    private static final double SLIP_AFTER_HOURS = 3;
    private static final double SLIP_CENTS = 40;

    private final Random random;
    private final int tries;

    SettlingSimulation(long seed, int tries) {
        this.random = new Random(seed);
        this.tries = tries;
    }

    private SettlingForecast string(StringCore core) {
        SettlingForecast usual = SettlingForecast.usual(core);
        return new SettlingForecast(
                usual.totalCents() * Math.exp(random.nextGaussian() * SettlingFit.SPREAD_LN_TOTAL),
                usual.tauHours() * Math.exp(random.nextGaussian() * SettlingFit.SPREAD_LN_TAU));
    }

    /** Somebody reads with some error; who retunes sets the string with an error of the same size. */
    private List<SettlingReading> readings(
            SettlingForecast truth, int many, double noiseCents, boolean retunes, double slipCents) {
        List<SettlingReading> readings = new ArrayList<>();
        double setAtHours = 0;
        double setOffCents = 0;
        for (int i = 0; i < many; i++) {
            boolean slipped = HOURS[i] > SLIP_AFTER_HOURS && setAtHours <= SLIP_AFTER_HOURS;
            double lost = truth.driftCents(setAtHours, HOURS[i]) + (slipped ? slipCents : 0);
            double cents = setOffCents - lost + random.nextGaussian() * noiseCents;
            readings.add(new SettlingReading(HOURS[i], Math.max(-1000, Math.min(200, cents)), retunes));
            if (retunes) {
                setAtHours = HOURS[i];
                setOffCents = random.nextGaussian() * noiseCents;
            }
        }
        return readings;
    }

    /** {@return how often the interval holds the hour at which the string truly holds} */
    double coverage(StringCore core, Steadiness steadiness, int many, double noiseCents, boolean retunes) {
        int inside = 0;
        for (int i = 0; i < tries; i++) {
            SettlingForecast truth = string(core);
            Interval steady = SettlingFit.of(core, readings(truth, many, noiseCents, retunes, 0))
                    .steadyAtHours(steadiness);
            double actual = truth.steadyAtHours(steadiness);
            inside += actual >= steady.low() - 1e-6 && actual <= steady.high() + 1e-6 ? 1 : 0;
        }
        return (double) inside / tries;
    }

    /** How often a string that never slips is said to, over seven readings; how often it is said to be undecided. */
    record Alarms(double falseAlarms, double undecided) {}

    Alarms alarms(StringCore core, double noiseCents, boolean retunes) {
        int alarms = 0;
        int undecided = 0;
        for (int i = 0; i < tries; i++) {
            List<Behaviour> judged = judged(core, readings(string(core), HOURS.length, noiseCents, retunes, 0));
            alarms += judged.stream().anyMatch(Behaviour::cutOut) ? 1 : 0;
            undecided += judged.contains(Behaviour.UNDECIDED) ? 1 : 0;
        }
        return new Alarms((double) alarms / tries, (double) undecided / tries);
    }

    /** How often the reading after a slip of 40 cents says so; how often it says that it cannot tell. */
    record Found(double found, double undecided) {}

    Found found(StringCore core, double noiseCents, boolean retunes) {
        int found = 0;
        int undecided = 0;
        for (int i = 0; i < tries; i++) {
            Behaviour judged = judged(core, readings(string(core), 3, noiseCents, retunes, SLIP_CENTS))
                    .get(2);
            found += judged.cutOut() ? 1 : 0;
            undecided += judged == Behaviour.UNDECIDED ? 1 : 0;
        }
        return new Found((double) found / tries, (double) undecided / tries);
    }

    private static List<Behaviour> judged(StringCore core, List<SettlingReading> readings) {
        return SettlingFit.of(core, readings).sinkings().stream()
                .map(sinking -> sinking.behaviour())
                .toList();
    }

    /** Prints the tables. */
    public static void main(String[] arguments) {
        int tries = arguments.length > 0 ? Integer.parseInt(arguments[0]) : 2000;
        SettlingSimulation simulation = new SettlingSimulation(20260901, tries);
        System.out.println(
                "| core | readings | rehearsal, 4 cents | 8 cents | concert, 4 cents | 8 cents | concert, retuned each time, 4 cents | 8 cents |");
        System.out.println("|---|---|---|---|---|---|---|---|");
        for (StringCore core : StringCore.values()) {
            for (int many : new int[] {0, 3, 6}) {
                StringBuilder row = new StringBuilder("| " + core + " | " + many);
                for (boolean retunes : new boolean[] {false, true}) {
                    for (Steadiness steadiness : Steadiness.values()) {
                        if (!retunes || steadiness == Steadiness.CONCERT) {
                            for (double noise : new double[] {4, 8}) {
                                row.append(String.format(
                                        Locale.ROOT,
                                        " | %.2f",
                                        simulation.coverage(core, steadiness, many, noise, retunes)));
                            }
                        }
                    }
                }
                System.out.println(row + " |");
            }
        }
        System.out.println();
        System.out.println(
                "| core | readings | false alarms, 4 cents | 8 cents | ever undecided, 4 cents | 8 cents | slip found, 4 cents | 8 cents | found or undecided, 4 cents | 8 cents |");
        System.out.println("|---|---|---|---|---|---|---|---|---|---|");
        for (StringCore core : StringCore.values()) {
            for (boolean retunes : new boolean[] {false, true}) {
                Alarms four = simulation.alarms(core, 4, retunes);
                Alarms eight = simulation.alarms(core, 8, retunes);
                Found foundFour = simulation.found(core, 4, retunes);
                Found foundEight = simulation.found(core, 8, retunes);
                System.out.printf(
                        Locale.ROOT,
                        "| %s | %s | %.3f | %.3f | %.2f | %.2f | %.2f | %.2f | %.2f | %.2f |%n",
                        core,
                        retunes ? "retuned" : "read only",
                        four.falseAlarms(),
                        eight.falseAlarms(),
                        four.undecided(),
                        eight.undecided(),
                        foundFour.found(),
                        foundEight.found(),
                        foundFour.found() + foundFour.undecided(),
                        foundEight.found() + foundEight.undecided());
            }
        }
    }
}
