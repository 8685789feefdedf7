package rosinedpeg.web.platform;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;

/** How much is said at the bench. */
public enum Wording {
    /** How each step is done, and every caution in a sentence. */
    FULL,
    /** Title, figures and a word for each caution, for hands that know. */
    SHORT;

    private static final DeviceChoice<Wording> CHOICE = new DeviceChoice<>("wording", values());

    /** {@return what this device has chosen, all of it until it has} */
    public static Wording chosen(HttpServletRequest request) {
        return CHOICE.chosen(request);
    }

    /** Keeps this as the choice of the device. */
    public void keep(HttpServletRequest request, HttpServletResponse response) {
        CHOICE.keep(this, request, response);
    }
}
