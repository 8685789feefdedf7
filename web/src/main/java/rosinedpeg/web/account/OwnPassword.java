package rosinedpeg.web.account;

import java.util.Optional;
import org.springframework.stereotype.Component;
import rosinedpeg.web.platform.SignedIn;

/** Asks somebody who is signed in for their password once more, no oftener than whoever guesses it may. */
@Component
class OwnPassword {

    private final Accounts accounts;
    private final Guesses guesses;

    OwnPassword(Accounts accounts, Guesses guesses) {
        this.accounts = accounts;
        this.guesses = guesses;
    }

    /** {@return what is to be said against what was typed; empty where it is the password} */
    Optional<String> refusal(SignedIn account, String typed) {
        return guesses.refusal(
                Guesses.Of.ACCOUNT,
                account.accountId().toString(),
                () -> accounts.knows(account, typed),
                "password.wrong");
    }
}
