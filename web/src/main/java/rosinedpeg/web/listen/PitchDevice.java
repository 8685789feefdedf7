package rosinedpeg.web.listen;

import java.net.URI;

/** A device beside the bench that says over HTTP how far the string that sounds is from its pitch. */
public interface PitchDevice {

    /** {@return where it answers {@code GET address?string=II} with {@code {"cents": -12.3}}} */
    URI address();
}
