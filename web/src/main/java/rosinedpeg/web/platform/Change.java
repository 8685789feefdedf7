package rosinedpeg.web.platform;

import org.springframework.dao.OptimisticLockingFailureException;
import org.springframework.validation.Errors;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** A change of something that somebody else may have changed since its page was made. */
public final class Change {

    private Change() {}

    /**
     * Makes a change, and has the page that is shown next say what became of it.
     *
     * @param change what to do
     * @param done the key of what is said then
     * @param chosen what was chosen, in words: told when somebody else was there first, because then it is not recorded
     * @param redirect to the page that shows how it stands
     * @return whether it was made
     */
    public static boolean make(Runnable change, String done, String chosen, RedirectAttributes redirect) {
        try {
            change.run();
            redirect.addFlashAttribute("notice", done);
            return true;
        } catch (OptimisticLockingFailureException meanwhile) {
            redirect.addFlashAttribute("notice", "changed.meanwhile");
            redirect.addFlashAttribute("noticeOf", chosen);
            return false;
        }
    }

    /**
     * Makes a change that was typed into a form.
     *
     * @param change what to do
     * @param form where it is noted that somebody else was there first
     * @return whether it was made
     */
    public static boolean made(Runnable change, Errors form) {
        return made(change, form, "edit.meanwhile");
    }

    /** {@return whether it was made, told with words of its own where not} */
    public static boolean made(Runnable change, Errors form, String meanwhileKey) {
        try {
            change.run();
            return true;
        } catch (OptimisticLockingFailureException meanwhile) {
            form.reject(meanwhileKey);
            return false;
        }
    }
}
