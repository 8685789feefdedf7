package rosinedpeg.web.instrument;

/**
 * What became of the strings of a kind, of those of which anybody knows since when they were on.
 *
 * @param strings how many there ever were
 * @param over how many of them are over
 * @param broke how many of those broke
 */
public record KindPast(long strings, long over, long broke) {

    /** None was ever on. */
    public static final KindPast NONE = new KindPast(0, 0, 0);

    /** {@return how many are still good, or came off while they were} */
    public long stillGood() {
        return strings - over;
    }
}
