package rosinedpeg.web.instrument;

import java.util.UUID;

/**
 * Something that has happened to an instrument, told within the transaction that records it. A module that keeps something
 * worked out from the records of others listens to these, instead of working it out anew for every page.
 */
public interface InstrumentEvent {

    /** {@return the instrument it happened to} */
    UUID instrumentId();
}
