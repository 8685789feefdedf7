package rosinedpeg.web.bench;

import java.time.Instant;
import java.util.UUID;

/**
 * That an instrument was served: a run for that reason was led to its end.
 *
 * @param instrumentId which instrument
 * @param at when
 */
record Served(UUID instrumentId, Instant at) {}
