package rosinedpeg.web.account;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.time.ZoneId;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.validation.BindingResult;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PostMapping;
import rosinedpeg.core.pitch.ReferenceA;
import rosinedpeg.web.drawing.InstrumentDrawing;
import rosinedpeg.web.platform.Entry;
import rosinedpeg.web.platform.Lengths;
import rosinedpeg.web.platform.OpenToStrangers;
import rosinedpeg.web.platform.Page;

/** The first page of an empty database: a workshop of one's own. */
@Controller
class BeginController {

    private final Accounts accounts;
    private final OneTimeKey key;

    BeginController(Accounts accounts, OneTimeKey key) {
        this.accounts = accounts;
        this.key = key;
    }

    @OpenToStrangers
    @GetMapping("/begin")
    String blank(@ModelAttribute("form") BeginForm form, Model model) {
        return accounts.anyWorkshop() ? "redirect:/sign-in" : show(model);
    }

    @OpenToStrangers
    @PostMapping("/begin")
    String begin(
            @ModelAttribute("form") BeginForm form,
            BindingResult result,
            Model model,
            HttpServletRequest request,
            HttpServletResponse response) {
        if (accounts.anyWorkshop()) {
            return "redirect:/sign-in";
        }
        Optional<String> workshop = Entry.text(result, "workshop", form.workshop(), Accounts.LONGEST_NAME);
        Optional<String> name = Entry.text(result, "name", form.name(), Accounts.LONGEST_NAME);
        OptionalDouble referenceA = Entry.number(result, "referenceA", form.referenceA(), ReferenceA.RANGE);
        if (!zones().contains(form.zone())) {
            result.rejectValue("zone", "begin.zone.missing");
        }
        PeopleController.rejectBadSignIn(result, "signIn", form.signIn());
        if (!form.password().equals(form.repeated())) {
            result.rejectValue("repeated", "password.differs");
        }
        if (!key.is(form.key())) {
            result.rejectValue("key", "begin.key.wrong");
        } else {
            PasswordRules.check(result, "password", form.password(), form.signIn(), form.name(), form.workshop());
        }
        if (result.hasErrors()) {
            return show(model);
        }
        form.lengths().keep(request, response);
        boolean opened = accounts.openFirst(
                workshop.orElseThrow(),
                ZoneId.of(form.zone()),
                new ReferenceA(referenceA.orElseThrow()),
                form.signIn(),
                name.orElseThrow(),
                form.password());
        return opened ? "redirect:/sign-in?begun" : "redirect:/sign-in";
    }

    private static String show(Model model) {
        Page.lay(new BeginPage(zones(), Lengths.values(), SignInController.VIOLIN), model);
        return "account/begin";
    }

    /** The server's own, where it stands in a place. */
    private static String usualZone() {
        String own = ZoneId.systemDefault().getId();
        return zones().contains(own) ? own : "UTC";
    }

    /** {@return the time zones there are: places, and UTC} */
    static List<String> zones() {
        return ZoneId.getAvailableZoneIds().stream()
                .filter(zone -> zone.equals("UTC")
                        || zone.matches("(Africa|America|Antarctica|Asia|Atlantic|Australia|Europe|Indian|Pacific)/.*"))
                .sorted()
                .toList();
    }

    /**
     * A workshop and its keeper, as typed.
     *
     * @param key the one-time key
     * @param workshop what the workshop is called
     * @param zone its time zone
     * @param lengths what lengths are shown in on this device
     * @param referenceA what its instruments are tuned to, as typed
     * @param name the keeper's name
     * @param signIn what the keeper signs in with
     * @param password the keeper's password
     * @param repeated the same again
     */
    record BeginForm(
            String key,
            String workshop,
            String zone,
            Lengths lengths,
            String referenceA,
            String name,
            String signIn,
            String password,
            String repeated) {

        /** What is not sent is as on an empty form. */
        BeginForm {
            key = key == null ? "" : key;
            workshop = workshop == null ? "" : workshop;
            zone = zone == null ? usualZone() : zone;
            lengths = lengths == null ? Lengths.MM : lengths;
            referenceA = referenceA == null ? "440" : referenceA;
            name = name == null ? "" : name;
            signIn = signIn == null ? "" : signIn;
            password = password == null ? "" : password;
            repeated = repeated == null ? "" : repeated;
        }
    }

    /**
     * The first page.
     *
     * @param zones the time zones there are
     * @param lengthsOffered what lengths can be shown in
     * @param violin a drawing
     */
    record BeginPage(List<String> zones, Lengths[] lengthsOffered, InstrumentDrawing violin) {}
}
