package rosinedpeg.web.platform;

import java.util.Locale;
import org.hibernate.exception.ConstraintViolationException;
import org.springframework.dao.DataIntegrityViolationException;

/** A rule of the schema that two requests at one moment can run into. It has the same name there, in small letters. */
public enum Constraint {
    /** Two instruments of a workshop have the same name. */
    INSTRUMENT_NAME,
    /** Two dates of a workshop begin at one moment under one name. */
    OCCASION_ONCE,
    /** Two kinds of string of a workshop are the same. */
    STRING_KIND_ONCE,
    /** Two runs of an instrument are open. */
    ONE_OPEN_RUN_FOR_AN_INSTRUMENT,
    /** A measuring sheet was sent twice. */
    MEASUREMENT_ONCE,
    /** A look at a peg was sent twice. */
    PEG_LOOK_ONCE,
    /** A picture of a bridge was sent twice. */
    BRIDGE_PICTURE_ONCE,
    /** What somebody says of how a string sounds was sent twice. */
    STRING_SOUND_ONCE,
    /** A reading of a settling string was sent twice. */
    SETTLING_READING_ONCE,
    /** A reading of how true a string is was sent twice. */
    TRUENESS_READING_ONCE,
    /** Care of strings or bow was sent twice. */
    CARE_ONCE,
    /** What was bought was laid into the drawer twice. */
    DRAWER_STRING_ONCE,
    /** A count of the drawer was sent twice. */
    DRAWER_COUNT_ONCE,
    /** Two suppliers of a workshop have the same name. */
    SUPPLIER_NAME,
    /** It was said twice at one moment when somebody is at the bench on a day. */
    BENCH_HOURS_DAY,
    /** Work was asked for twice by one press. */
    BENCH_WISH_ONCE,
    /** It was said twice by one press that an instrument is not at hand. */
    INSTRUMENT_AWAY_ONCE,
    /** A job was pinned twice at one moment. */
    BENCH_PLACE_ONCE,
    /** A job was kept off a day twice at one moment. */
    BENCH_NOT_ON_ONCE,
    /** An attempt was begun twice by one press. */
    PRACTICE_ATTEMPT_ONCE,
    /** An instrument was put on the lending shelf twice at one moment. */
    SHELF_INSTRUMENT_ONCE,
    /** Two of a workshop that borrow are called the same. */
    BORROWER_NAME,
    /** An instrument was lent twice by one press. */
    LOAN_ONCE;

    /** {@return its name in the schema} */
    public String inSchema() {
        return name().toLowerCase(Locale.ROOT);
    }

    /** {@return whether this is what the database complains about} */
    public boolean isViolatedBy(DataIntegrityViolationException complaint) {
        return complaint.getCause() instanceof ConstraintViolationException violation
                && inSchema().equals(violation.getConstraintName());
    }

    /**
     * Does what a press asks for. When the same press was sent twice at one moment, the other one has done it.
     *
     * @param work what to do, in a transaction of its own
     */
    public void once(Runnable work) {
        try {
            work.run();
        } catch (DataIntegrityViolationException complaint) {
            if (!isViolatedBy(complaint)) {
                throw complaint;
            }
        }
    }
}
