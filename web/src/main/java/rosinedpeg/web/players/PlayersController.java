package rosinedpeg.web.players;

import java.util.HashSet;
import java.util.List;
import java.util.Set;
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
import rosinedpeg.web.platform.OpenTo;
import rosinedpeg.web.platform.Page;
import rosinedpeg.web.platform.Role;
import rosinedpeg.web.platform.SignedIn;

/** Says who plays an instrument. */
@Controller
class PlayersController {

    private final Players players;
    private final Instruments instruments;
    private final Accounts accounts;

    PlayersController(Players players, Instruments instruments, Accounts accounts) {
        this.players = players;
        this.instruments = instruments;
        this.accounts = accounts;
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
                        account.playersOwnOnly()),
                model);
        return "players/players";
    }

    @OpenTo(Role.TECHNICIAN)
    @PostMapping("/instruments/{id}/players")
    String say(
            @PathVariable UUID id,
            @RequestParam(required = false) List<UUID> plays,
            @AuthenticationPrincipal SignedIn account,
            RedirectAttributes redirect) {
        instruments.require(id);
        Set<UUID> people = new HashSet<>(plays == null ? List.of() : plays);
        people.retainAll(accounts.people(account.workshopId()).stream()
                .map(SignedIn::personId)
                .collect(Collectors.toSet()));
        players.say(id, people);
        redirect.addFlashAttribute("notice", "players.said");
        return "redirect:/instruments/" + id;
    }

    /**
     * Who plays an instrument.
     *
     * @param instrument which
     * @param people whoever may
     * @param playing who does
     * @param ownOnly whether players look after those they play only
     */
    record PlayersPage(Instrument instrument, List<SignedIn> people, Set<UUID> playing, boolean ownOnly) {}
}
