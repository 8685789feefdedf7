package rosinedpeg.web.lend;

import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.validation.BindingResult;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import rosinedpeg.web.platform.Change;
import rosinedpeg.web.platform.Entry;
import rosinedpeg.web.platform.ListPage;
import rosinedpeg.web.platform.OpenTo;
import rosinedpeg.web.platform.Page;
import rosinedpeg.web.platform.Role;

/** Who borrows: what they are called, how they are reached, and that they can be removed. */
@Controller
class BorrowerController {

    private final Borrowers borrowers;
    private final Lending lending;

    BorrowerController(Borrowers borrowers, Lending lending) {
        this.borrowers = borrowers;
        this.lending = lending;
    }

    /**
     * Everybody who borrows.
     *
     * @param from how many come before
     */
    @OpenTo(Role.TECHNICIAN)
    @GetMapping("/lend/borrowers")
    String all(@RequestParam(defaultValue = "") String from, Model model) {
        Page.lay(new BorrowersPage(borrowers.page(ListPage.after(from))), model);
        return "lend/borrowers";
    }

    /**
     * Somebody who borrows.
     *
     * @param from how many of their loans come before
     */
    @OpenTo(Role.TECHNICIAN)
    @GetMapping("/lend/borrowers/{id}")
    String one(@PathVariable UUID id, @RequestParam(defaultValue = "") String from, Model model) {
        Borrowers.Borrower one = borrowers.get(id);
        model.addAttribute("form", new BorrowerForm(one.name(), one.reached(), one.version()));
        return show(one, ListPage.after(from), model);
    }

    private String show(Borrowers.Borrower one, int from, Model model) {
        Page.lay(new BorrowerPage(one, lending.ofBorrower(one.id(), from)), model);
        return "lend/borrower";
    }

    /** Puts right what they are called and how they are reached. */
    @OpenTo(Role.TECHNICIAN)
    @PostMapping("/lend/borrowers/{id}")
    String change(
            @PathVariable UUID id,
            @ModelAttribute("form") BorrowerForm form,
            BindingResult result,
            Model model,
            RedirectAttributes redirect) {
        Borrowers.Borrower one = borrowers.get(id);
        Optional<String> name = Entry.text(result, "name", form.name(), Borrowers.LONGEST_NAME);
        if (name.filter(typed -> borrowers.nameTaken(typed, id)).isPresent()) {
            result.rejectValue("name", "borrower.taken");
        }
        Entry.note(result, "reached", form.reached(), Borrowers.LONGEST_REACHED);
        if (result.hasErrors() || name.isEmpty()) {
            return show(one, 0, model);
        }
        Change.make(
                () -> borrowers.change(
                        id, form.version(), name.get(), form.reached().strip()),
                "borrower.changed",
                name.get(),
                redirect);
        return "redirect:/lend/borrowers/" + id;
    }

    /** Nothing says any more who they were. */
    @OpenTo(Role.TECHNICIAN)
    @PostMapping("/lend/borrowers/{id}/remove")
    String remove(@PathVariable UUID id, RedirectAttributes redirect) {
        boolean removed = borrowers.remove(id);
        redirect.addFlashAttribute("notice", removed ? "borrower.removed" : "borrower.removed.not");
        return removed ? "redirect:/lend/borrowers" : "redirect:/lend/borrowers/" + id;
    }

    /**
     * Somebody who borrows, as typed.
     *
     * @param name what they are called
     * @param reached how they are reached
     * @param version that was seen
     */
    record BorrowerForm(String name, String reached, Integer version) {

        /** What is not sent is as on an empty form. */
        BorrowerForm {
            name = Entry.orEmpty(name);
            reached = Entry.orEmpty(reached);
            version = version == null ? -1 : version;
        }
    }

    /** Everybody who borrows. */
    private record BorrowersPage(ListPage<Borrowers.Borrower> part) {}

    /** Somebody who borrows. */
    private record BorrowerPage(Borrowers.Borrower borrower, ListPage<Lent> part) {}
}
