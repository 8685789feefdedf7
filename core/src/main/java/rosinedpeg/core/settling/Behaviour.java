package rosinedpeg.core.settling;

import java.util.Comparator;
import java.util.List;
import rosinedpeg.core.strings.StringCore;

/** What the latest drop of a new string is to be put down to. */
public enum Behaviour {
    /** As the core would have it. */
    SETTLING,
    /** More than the core explains, in the first hours: the turns on the peg still draw tight. */
    BEDDING_IN,
    /** Far more than settling can explain, later on: the peg creeps back. */
    SLIPPING;

    /** A drop may exceed the expected one by this before anything but settling is named. */
    private static final double LEEWAY_CENTS = 12;

    /** Turns are tight after this share of τ. */
    private static final double BEDDING_IN_SHARE = 0.2;

    /**
     * Judges the latest drop against what the readings before it let one expect.
     *
     * @param core what the string is made of
     * @param readings what was read, in any order; not empty
     * @return what the latest drop is to be put down to
     * @throws IllegalArgumentException when there is no reading
     */
    public static Behaviour of(StringCore core, List<SettlingReading> readings) {
        if (readings.isEmpty()) {
            throw new IllegalArgumentException("readings is empty; it must have at least one reading");
        }
        List<SettlingReading> inOrder = readings.stream()
                .sorted(Comparator.comparingDouble(SettlingReading::hours))
                .toList();
        SettlingReading latest = inOrder.get(inOrder.size() - 1);
        List<SettlingReading> earlier = inOrder.subList(0, inOrder.size() - 1);
        SettlingReading before = earlier.isEmpty() ? new SettlingReading(0, 0) : earlier.get(earlier.size() - 1);
        SettlingForecast expected = SettlingFit.of(core, earlier).forecast();
        double expectedDrop = expected.driftCents(before.hours(), latest.hours());
        double drop = latest.lostCents() - before.lostCents();
        // The less was known before, the more a string may differ from its core's default.
        double spread = earlier.isEmpty() ? SettlingFit.SPREAD_LN_TOTAL : SettlingFit.SPREAD_LN_TOTAL / 2;
        if (drop <= expectedDrop * (1 + 2 * spread) + LEEWAY_CENTS) {
            return SETTLING;
        }
        return latest.hours() <= BEDDING_IN_SHARE * SettlingForecast.usual(core).tauHours() ? BEDDING_IN : SLIPPING;
    }
}
