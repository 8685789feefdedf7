package rosinedpeg.web.listen;

/** What came is no sound that can be listened to, or there is nothing to listen for. */
final class RefusedSoundException extends RuntimeException {

    private static final long serialVersionUID = 1;

    private final WhyClosed why;

    RefusedSoundException(WhyClosed why) {
        super(why.name());
        this.why = why;
    }

    WhyClosed why() {
        return why;
    }
}
