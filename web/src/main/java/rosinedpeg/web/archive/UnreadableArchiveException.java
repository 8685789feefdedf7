package rosinedpeg.web.archive;

/** A file cannot be taken in; says why, for whoever chose it. */
class UnreadableArchiveException extends RuntimeException {

    private static final long serialVersionUID = 1L;
    private static final int LONGEST_SAID = 60;

    private final String key;
    private final transient Object[] told;

    /**
     * @param key what is wrong, completing the message key {@code archive.wrong.…}
     * @param told what the message tells
     */
    UnreadableArchiveException(String key, Object... told) {
        super(key);
        this.key = "archive.wrong." + key;
        this.told = told.clone();
    }

    /** {@return the beginning of what a file says, no longer than a sentence bears} */
    static String shortened(String said) {
        return said.substring(0, Math.min(LONGEST_SAID, said.length()));
    }

    /** {@return the key of a message that says what is wrong} */
    String key() {
        return key;
    }

    /** {@return what the message tells} */
    Object[] told() {
        return told.clone();
    }
}
