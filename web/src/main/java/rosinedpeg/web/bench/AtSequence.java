package rosinedpeg.web.bench;

import java.util.UUID;

/**
 * How far the open run of an instrument is.
 *
 * @param instrumentId the instrument
 * @param sequence the number of the last event, 0 before the first
 */
record AtSequence(UUID instrumentId, long sequence) {}
