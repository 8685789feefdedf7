package rosinedpeg.web.listen;

/** Sound comes as fast as it sounds. After a pause of the network some of it may come at once; more than that is no sound. */
final class Arrivals {

    private static final long NANOS = 1_000_000_000L;
    private static final int PIECES_PER_SECOND = 100;
    private static final int SECONDS_AT_ONCE = 3;
    /** A device's clock may run a little fast. */
    private static final int PERCENT = 110;

    private final long samplesPerSecond;
    private long samples;
    /** The time that pieces may still take up, each its share of a second. */
    private long piecesNanos;

    private long lastNanos;

    Arrivals(int samplesPerSecond, long nowNanos) {
        this.samplesPerSecond = (long) samplesPerSecond * PERCENT / 100;
        samples = this.samplesPerSecond * SECONDS_AT_ONCE;
        piecesNanos = SECONDS_AT_ONCE * NANOS;
        lastNanos = nowNanos;
    }

    /** {@return whether a piece of so many samples may have come by now} */
    boolean mayCome(int count, long nowNanos) {
        long since = Math.min(nowNanos - lastNanos, SECONDS_AT_ONCE * NANOS);
        long more = since * samplesPerSecond / NANOS;
        if (more > 0) {
            samples = Math.min(samples + more, samplesPerSecond * SECONDS_AT_ONCE);
            piecesNanos = Math.min(piecesNanos + since, SECONDS_AT_ONCE * NANOS);
            lastNanos = nowNanos;
        }
        samples -= count;
        piecesNanos -= NANOS / PIECES_PER_SECOND;
        return samples >= 0 && piecesNanos >= 0;
    }
}
