package rosinedpeg.web.rack;

import org.springframework.web.bind.annotation.ControllerAdvice;
import org.springframework.web.bind.annotation.ExceptionHandler;
import rosinedpeg.web.instrument.NotStrungException;

/** Leads whoever asks for a plan or a pegbox before every string is recorded to where the strings are recorded. */
@ControllerAdvice
class StringsMissing {

    @ExceptionHandler
    String record(NotStrungException notStrung) {
        return "redirect:/instruments/" + notStrung.instrumentId() + "/strings-missing";
    }
}
