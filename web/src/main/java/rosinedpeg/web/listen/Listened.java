package rosinedpeg.web.listen;

import java.util.Map;

/** A kind of thing whose strings can be listened to: a run at the bench, an instrument, a string that settles. */
public interface Listened {

    /** {@return its name in the address of the socket} */
    String kind();

    /**
     * Begins to listen to one of them.
     *
     * @param id which
     * @param asked what else the address says
     * @return who listens to it
     * @throws rosinedpeg.web.platform.NotFoundException when this workshop has none with that id
     * @throws IllegalArgumentException when what is asked makes no sense
     */
    Listener begin(String id, Map<String, String> asked);
}
