package rosinedpeg.core.settling;

import java.util.ArrayList;
import java.util.List;

/**
 * Readings as what a string lost since it was last set.
 *
 * <p>A stretch begins when the string comes to pitch, when it is retuned, and when a slip was found, which is cut out that
 * way: nothing is asked of what was lost in it. Every reading of a stretch is told against its beginning, so that no error is
 * carried from one stretch into the next; but whoever set the string at its beginning may have missed by as much as a reading
 * scatters, and all readings of that stretch share this miss. Residuals are whitened for it: with m readings of one
 * stretch, their covariance {@code σ²·(I + 11ᵀ)} has the root that takes {@code 1 − 1/√(1 + m)} of the mean off each.
 */
final class Drops {

    /**
     * What was lost from the beginning of a stretch to a reading.
     *
     * @param fromHours when the stretch began
     * @param toHours when it was read
     * @param cents what was lost between, as it was read
     * @param stretch which stretch, from 0
     */
    record Drop(double fromHours, double toHours, double cents, int stretch) {}

    private final List<Drop> drops = new ArrayList<>();
    /** How many readings each stretch has. */
    private final List<Integer> sizes = new ArrayList<>();

    private double fromHours;
    private double fromCents;

    Drops() {
        sizes.add(0);
    }

    /** {@return how many there are} */
    int size() {
        return drops.size();
    }

    Drop get(int i) {
        return drops.get(i);
    }

    /** {@return the latest reading of the stretch that is going on, or its beginning} */
    Drop latest() {
        int stretch = sizes.size() - 1;
        return sizes.get(stretch) == 0 ? new Drop(fromHours, fromHours, 0, stretch) : drops.get(drops.size() - 1);
    }

    /** {@return what a reading tells was lost since the stretch that is going on began} */
    Drop of(SettlingReading reading) {
        return new Drop(fromHours, reading.hours(), fromCents - reading.cents(), sizes.size() - 1);
    }

    void add(SettlingReading reading) {
        drops.add(of(reading));
        sizes.set(sizes.size() - 1, sizes.get(sizes.size() - 1) + 1);
        if (reading.retuned()) {
            begin(reading.hours(), 0);
        }
    }

    /** Leaves out what was lost before that reading, and begins again from it. */
    void cutBefore(SettlingReading reading) {
        begin(reading.hours(), reading.retuned() ? 0 : reading.cents());
    }

    private void begin(double hours, double cents) {
        fromHours = hours;
        fromCents = cents;
        sizes.add(0);
    }

    /** Takes out of one value for each drop what those of a stretch share. */
    void whiten(double[] values) {
        int from = 0;
        for (int stretch = 0; stretch < sizes.size(); stretch++) {
            int many = sizes.get(stretch);
            // At the first, the string came to pitch at the bench: what it lost is counted from there.
            if (stretch > 0 && many > 0) {
                double mean = 0;
                for (int i = from; i < from + many; i++) {
                    mean += values[i] / many;
                }
                for (int i = from; i < from + many; i++) {
                    values[i] -= (1 - 1 / Math.sqrt(1.0 + many)) * mean;
                }
            }
            from += many;
        }
    }
}
