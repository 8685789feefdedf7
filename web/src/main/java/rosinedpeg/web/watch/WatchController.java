package rosinedpeg.web.watch;

import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import rosinedpeg.web.account.Accounts;
import rosinedpeg.web.account.LastBackup;
import rosinedpeg.web.platform.OpenTo;
import rosinedpeg.web.platform.Page;
import rosinedpeg.web.platform.Role;

/** Tells the keeper how the application does, and everybody what it is made of. */
@Controller
class WatchController {

    private final HowItRuns runs;
    private final Parts parts;
    private final Accounts accounts;

    WatchController(HowItRuns runs, Parts parts, Accounts accounts) {
        this.runs = runs;
        this.parts = parts;
        this.accounts = accounts;
    }

    @OpenTo(Role.KEEPER)
    @GetMapping("/running")
    String running(Model model) {
        Page.lay(new RunningPage(runs.now(), accounts.lastBackup()), model);
        return "watch/running";
    }

    @OpenTo(Role.PLAYER)
    @GetMapping("/licences")
    String licences(Model model) {
        Page.lay(new LicencesPage(parts.all(), parts.whole()), model);
        return "watch/licences";
    }

    /**
     * How it does.
     *
     * @param runs how this instance does
     * @param lastBackup when everything was backed up last; empty where it never was
     */
    record RunningPage(HowItRuns.Now runs, Optional<LastBackup> lastBackup) {}

    /**
     * What it is made of.
     *
     * @param parts every part that the build wrote down
     * @param whole whether it wrote all of them down
     */
    record LicencesPage(List<Part> parts, boolean whole) {}
}
