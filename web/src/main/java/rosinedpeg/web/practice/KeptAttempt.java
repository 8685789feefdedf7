package rosinedpeg.web.practice;

import java.util.List;
import org.jspecify.annotations.Nullable;
import rosinedpeg.core.simulation.PracticeLedger;

/**
 * The form of a file with an attempt in it.
 *
 * @param kind says that it is one
 * @param name what it is called
 * @param start how it began
 * @param actions what was done
 */
record KeptAttempt(
        @Nullable String kind,
        @Nullable String name,
        @Nullable KeptStart start,
        @Nullable List<KeptAction> actions) {

    /** What the file says it is. */
    static final String KIND = "rosined-peg-practice-1";

    private static final int LONGEST_NAME = 80;

    /** {@return the name, cut to what is kept} */
    @Override
    public String name() {
        String given = name == null ? "" : name.strip();
        return given.length() > LONGEST_NAME ? given.substring(0, LONGEST_NAME) : given;
    }

    /**
     * The ledger in it.
     *
     * @throws IllegalArgumentException when it is no such file, or something in it cannot be
     */
    PracticeLedger ledger() {
        if (!KIND.equals(kind) || start == null || actions == null || name().isEmpty()) {
            throw new IllegalArgumentException(
                    "kind is " + kind + "; it must be " + KIND + ", with a name, a start and actions");
        }
        return new PracticeLedger(
                start.start(), actions.stream().map(KeptAction::action).toList());
    }
}
