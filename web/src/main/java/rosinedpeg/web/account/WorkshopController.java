package rosinedpeg.web.account;

import java.time.ZoneId;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.jspecify.annotations.Nullable;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.validation.BindingResult;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import rosinedpeg.core.pitch.ReferenceA;
import rosinedpeg.web.platform.AsShown;
import rosinedpeg.web.platform.Change;
import rosinedpeg.web.platform.Entry;
import rosinedpeg.web.platform.OpenTo;
import rosinedpeg.web.platform.Page;
import rosinedpeg.web.platform.Role;
import rosinedpeg.web.platform.Say;
import rosinedpeg.web.platform.SignedIn;

/** The workshop itself: what it is called, where it stands, what it is tuned to, and its end. */
@Controller
class WorkshopController {

    private final Accounts accounts;
    private final SecondFactors factors;
    private final OwnPassword ownPassword;
    private final Leaving leaving;
    private final AsShown asShown;

    WorkshopController(
            Accounts accounts, SecondFactors factors, OwnPassword ownPassword, Leaving leaving, AsShown asShown) {
        this.accounts = accounts;
        this.factors = factors;
        this.ownPassword = ownPassword;
        this.leaving = leaving;
        this.asShown = asShown;
    }

    @OpenTo(Role.KEEPER)
    @GetMapping("/workshop")
    String show(@AuthenticationPrincipal SignedIn account, Model model) {
        model.addAttribute("form", WorkshopForm.of(account));
        return page(Optional.empty(), model);
    }

    private static String page(Optional<String> wrong, Model model) {
        Page.lay(new WorkshopPage(BeginController.zones(), Leaving.PAUSE.toDays(), wrong), model);
        return "account/workshop";
    }

    @OpenTo(Role.KEEPER)
    @PostMapping("/workshop")
    String change(
            @ModelAttribute("form") WorkshopForm form,
            BindingResult result,
            @AuthenticationPrincipal SignedIn account,
            Model model,
            RedirectAttributes redirect) {
        Optional<String> name = Entry.text(result, "workshop", form.workshop(), Accounts.LONGEST_NAME);
        OptionalDouble referenceA = Entry.number(result, "referenceA", form.referenceA(), ReferenceA.RANGE);
        if (!BeginController.zones().contains(form.zone())) {
            result.rejectValue("zone", "begin.zone.missing");
        }
        boolean secondStep = Boolean.TRUE.equals(form.keepersSecondStep());
        if (secondStep && !account.keepersSecondStep() && !factors.asked(account.accountId())) {
            // Without a telephone at hand nobody could take it back.
            result.rejectValue("keepersSecondStep", "workshop.keepers.first");
        }
        if (result.hasErrors()) {
            return page(Optional.empty(), model);
        }
        ReferenceA tunedTo = new ReferenceA(referenceA.orElseThrow());
        boolean ownOnly = Boolean.TRUE.equals(form.playersOwnOnly());
        boolean made = Change.made(
                () -> asShown.change(
                        account.workshopId(),
                        form.shown(),
                        () -> WorkshopForm.of(accounts.person(account.workshopId(), account.accountId()))
                                .shown(),
                        AsShown.mark(name.orElseThrow(), form.zone(), tunedTo.hertz(), ownOnly, secondStep),
                        () -> accounts.changeWorkshop(
                                account, name.get(), ZoneId.of(form.zone()), tunedTo, ownOnly, secondStep)),
                result);
        if (!made) {
            return page(Optional.empty(), model);
        }
        redirect.addFlashAttribute("notice", "workshop.changed");
        return "redirect:/workshop";
    }

    /** Says that the workshop goes, after a pause. Who says so has to know the keeper's password. */
    @OpenTo(Role.KEEPER)
    @PostMapping("/workshop/leave")
    String leave(
            @RequestParam(defaultValue = "") String password,
            @AuthenticationPrincipal SignedIn account,
            Model model,
            RedirectAttributes redirect) {
        Optional<String> refusal = ownPassword.refusal(account, password);
        if (refusal.isPresent()) {
            model.addAttribute("form", WorkshopForm.of(account));
            return page(refusal, model);
        }
        leaving.announce(account.workshopId());
        redirect.addFlashAttribute("notice", "workshop.leaving");
        return "redirect:/workshop";
    }

    @OpenTo(Role.KEEPER)
    @PostMapping("/workshop/keep")
    String keep(@AuthenticationPrincipal SignedIn account, RedirectAttributes redirect) {
        leaving.keep(account.workshopId());
        redirect.addFlashAttribute("notice", "workshop.kept");
        return "redirect:/workshop";
    }

    /**
     * The workshop, as typed.
     *
     * @param workshop what it is called
     * @param zone its time zone
     * @param referenceA what its instruments are tuned to, as typed
     * @param playersOwnOnly whether players look after the instruments they play only
     * @param keepersSecondStep whether keepers have to sign in with a second step
     * @param shown the mark of all that as it was shown
     */
    record WorkshopForm(
            String workshop,
            String zone,
            String referenceA,
            @Nullable Boolean playersOwnOnly,
            @Nullable Boolean keepersSecondStep,
            String shown) {

        /** What is not sent is as on an empty form. */
        WorkshopForm {
            workshop = workshop == null ? "" : workshop;
            zone = zone == null ? "" : zone;
            referenceA = referenceA == null ? "" : referenceA;
            shown = Entry.orEmpty(shown);
        }

        private static WorkshopForm of(SignedIn account) {
            return new WorkshopForm(
                    account.workshopName(),
                    account.zone().getId(),
                    Say.number(account.referenceAHz(), 1),
                    account.playersOwnOnly(),
                    account.keepersSecondStep(),
                    AsShown.mark(
                            account.workshopName(),
                            account.zone(),
                            account.referenceAHz(),
                            account.playersOwnOnly(),
                            account.keepersSecondStep()));
        }
    }

    /**
     * The page of the workshop.
     *
     * @param zones the time zones there are
     * @param pauseDays for how many days a workshop that is to go can still be kept
     * @param wrong what was wrong with the password
     */
    record WorkshopPage(List<String> zones, long pauseDays, Optional<String> wrong) {}
}
