package rosinedpeg.web.practice;

import java.util.UUID;
import rosinedpeg.web.platform.Entry;

/**
 * What somebody wants to practise on, as typed.
 *
 * @param press the press, which becomes the attempt's id
 * @param of whether it is a copy of one of the rack, or one of some size
 * @param size family and size
 * @param leftHanded whether it is mirrored
 * @param instrument which one is copied
 */
record BeginForm(String press, String of, String size, Boolean leftHanded, String instrument) {

    private static final String COPY = "COPY";

    /** What is not sent is empty. */
    BeginForm {
        press = press == null || press.isBlank() ? UUID.randomUUID().toString() : press;
        of = Entry.orEmpty(of);
        size = Entry.orEmpty(size);
        leftHanded = Boolean.TRUE.equals(leftHanded);
        instrument = Entry.orEmpty(instrument);
    }

    static BeginForm blank(UUID press) {
        return new BeginForm(press.toString(), "", "VIOLIN 4/4", false, "");
    }

    boolean copies() {
        return of.equals(COPY);
    }
}
