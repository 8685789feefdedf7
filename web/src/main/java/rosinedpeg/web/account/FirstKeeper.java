package rosinedpeg.web.account;

import java.time.ZoneId;
import java.util.UUID;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.ApplicationArguments;
import org.springframework.boot.ApplicationRunner;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import rosinedpeg.web.platform.Role;

/** Opens the first workshop of an empty database, when the environment names its keeper. */
@Component
class FirstKeeper implements ApplicationRunner {

    private final Accounts accounts;
    private final String workshop;
    private final String zone;
    private final String signIn;
    private final String password;

    FirstKeeper(
            Accounts accounts,
            @Value("${peg.first-keeper.workshop}") String workshop,
            @Value("${peg.first-keeper.zone}") String zone,
            @Value("${peg.first-keeper.sign-in}") String signIn,
            @Value("${peg.first-keeper.password}") String password) {
        this.accounts = accounts;
        this.workshop = workshop;
        this.zone = zone;
        this.signIn = signIn;
        this.password = password;
    }

    @Override
    @Transactional
    public void run(ApplicationArguments arguments) {
        if (!signIn.isBlank() && !password.isBlank() && !accounts.anyWorkshop()) {
            UUID workshopId = UUID.randomUUID();
            accounts.openWorkshop(workshopId, workshop, ZoneId.of(zone));
            accounts.add(workshopId, signIn, signIn, Role.KEEPER, password);
        }
    }
}
