package rosinedpeg.web.account;

import java.util.UUID;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import rosinedpeg.web.platform.CurrentWorkshop;

/**
 * What has to be found afterwards: who came in, who was not let in, whose rights changed and by whom. Accounts are told by their ids,
 * and nothing that anybody typed is told.
 */
final class RightsLog {

    /** Under a name of its own, so that it can be gathered apart. */
    private static final Logger log = LoggerFactory.getLogger("rosinedpeg.rights");

    private RightsLog() {}

    /** Tells of somebody of whom nothing is known yet. */
    static void tell(String what) {
        log.info(what);
    }

    /** Tells of an account, and who did it. */
    static void tell(String what, UUID account) {
        log.info(
                "{}: account {}, by {}",
                what,
                account,
                CurrentWorkshop.account().map(by -> "account " + by.accountId()).orElse("nobody who is signed in"));
    }
}
