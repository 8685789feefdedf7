package rosinedpeg.web.instrument;

import java.util.UUID;
import org.springframework.dao.OptimisticLockingFailureException;

/**
 * Somebody else changed an instrument after the page was made on which it was to be changed; nothing was recorded. Where both
 * are at it in the same moment, the database says so with the exception that this one is a kind of.
 */
class ChangedMeanwhileException extends OptimisticLockingFailureException {

    ChangedMeanwhileException(UUID instrumentId) {
        super("instrument " + instrumentId + " has been changed meanwhile");
    }
}
