package rosinedpeg.web.listen;

import java.util.OptionalDouble;
import org.springframework.validation.BindingResult;

/** Where the pitch of a string is known from. */
interface PitchSource {

    /** The field that a pitch stands in, where it is typed or something is wrong with it. */
    String FIELD = "cents";

    /** {@return which of the three it is} */
    PitchFrom from();

    /** {@return whether it can be asked now} */
    boolean there();

    /**
     * Asks for the pitch of a string.
     *
     * @param question which
     * @param result gets what is wrong, beside the {@link #FIELD}
     * @return cents from its pitch; empty when there is none, with the reason in the result
     */
    OptionalDouble read(PitchQuestion question, BindingResult result);
}
