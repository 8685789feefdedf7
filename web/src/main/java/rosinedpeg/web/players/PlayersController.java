package rosinedpeg.web.players;

import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import rosinedpeg.web.account.Accounts;
import rosinedpeg.web.instrument.Instrument;
import rosinedpeg.web.instrument.Instruments;
import rosinedpeg.web.platform.AsShown;
import rosinedpeg.web.platform.Change;
import rosinedpeg.web.platform.OpenTo;
import rosinedpeg.web.platform.Page;
import rosinedpeg.web.platform.Role;
import rosinedpeg.web.platform.SignedIn;
import rosinedpeg.web.platform.Words;

/** Says who plays an instrument. */
@Controller
class PlayersController {

    private final Players players;
    private final Instruments instruments;
    private final Accounts accounts;
    private final AsShown asShown;
    private final Words words;

    PlayersController(Players players, Instruments instruments, Accounts accounts, AsShown asShown, Words words) {
        this.players = players;
        this.instruments = instruments;
        this.accounts = accounts;
        this.asShown = asShown;
        this.words = words;
    }

    @OpenTo(Role.TECHNICIAN)
    @GetMapping("/instruments/{id}/players")
    String show(@PathVariable UUID id, @AuthenticationPrincipal SignedIn account, Model model) {
        Instrument instrument = instruments.get(id);
        Page.lay(
                new PlayersPage(
                        instrument,
                        accounts.people(account.workshopId()),
                        Set.copyOf(players.of(id)),
                        AsShown.mark(new TreeSet<>(players.of(id))),
                        account.playersOwnOnly()),
                model);
        return "players/players";
    }

    @OpenTo(Role.TECHNICIAN)
    @PostMapping("/instruments/{id}/players")
    String say(
            @PathVariable UUID id,
            @RequestParam(required = false) List<UUID> plays,
            @RequestParam(defaultValue = "") String shown,
            @AuthenticationPrincipal SignedIn account,
            RedirectAttributes redirect) {
        instruments.require(id);
        List<SignedIn> chosen = accounts.people(account.workshopId()).stream()
                .filter(person -> plays != null && plays.contains(person.personId()))
                .toList();
        Set<UUID> people = chosen.stream().map(SignedIn::personId).collect(Collectors.toCollection(TreeSet::new));
        boolean made = Change.make(
                () -> asShown.change(
                        id,
                        shown,
                        () -> AsShown.mark(new TreeSet<>(players.of(id))),
                        AsShown.mark(people),
                        () -> players.say(id, people)),
                "players.said",
                chosen.isEmpty()
                        ? words.say("players.nobody")
                        : words.list(chosen.stream().map(SignedIn::name).toList()),
                redirect);
        return "redirect:/instruments/" + id + (made ? "" : "/players");
    }

    /**
     * Who plays an instrument.
     *
     * @param instrument which
     * @param people whoever may
     * @param playing who does
     * @param shown the mark of that as it is shown
     * @param ownOnly whether players look after those they play only
     */
    record PlayersPage(
            Instrument instrument, List<SignedIn> people, Set<UUID> playing, String shown, boolean ownOnly) {}
}
