package rosinedpeg.web.bench;

/** A run was asked for that cannot be read. */
class UnreadableRunException extends RuntimeException {

    private static final long serialVersionUID = 1L;

    private final transient UnreadableRun run;

    UnreadableRunException(UnreadableRun run, UnreadablePlanException cause) {
        super("run " + run.id() + ": " + run.why(), cause);
        this.run = run;
    }

    /** {@return what is known of it} */
    UnreadableRun run() {
        return run;
    }
}
