package rosinedpeg.web.account;

import java.util.List;
import java.util.Optional;
import org.springframework.boot.ApplicationArguments;
import org.springframework.boot.ApplicationRunner;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.stereotype.Component;
import rosinedpeg.web.platform.SignedIn;

/**
 * The way back for somebody whom no keeper can let in, as a keeper who is alone: a link for a new password, for whoever has the
 * database. {@code ./peg link} starts the application for that long, and words what is written here among the log:
 *
 * <ul>
 *   <li>one line {@code link}, the secret of the link, and what the person signs in with; or
 *   <li>where nobody was named and there is not one keeper alone, or nobody who is let in signs in with that name, each keeper on a line
 *       of {@code keeper}, what they sign in with, their name and that of their workshop.
 * </ul>
 *
 * Words of a line are parted by tabs.
 */
@Component
@ConditionalOnProperty("peg.link")
class LinkFromTheMachine implements ApplicationRunner {

    private final Accounts accounts;
    private final OneTimeLinks links;

    LinkFromTheMachine(Accounts accounts, OneTimeLinks links) {
        this.accounts = accounts;
        this.links = links;
    }

    @Override
    public void run(ApplicationArguments arguments) {
        List<String> named = arguments.getNonOptionArgs();
        List<SignedIn> keepers = accounts.keepers();
        Optional<SignedIn> person = named.isEmpty()
                ? keepers.size() == 1 ? Optional.of(keepers.get(0)) : Optional.empty()
                : accounts.find(named.get(0)).filter(SignedIn::active);
        person.ifPresentOrElse(
                there -> say("link", links.forgotten(there.workshopId(), there.accountId()), there.signIn()),
                () -> keepers.forEach(keeper -> say("keeper", keeper.signIn(), keeper.name(), keeper.workshopName())));
    }

    private static void say(String... words) {
        System.out.println(String.join("\t", words));
    }
}
