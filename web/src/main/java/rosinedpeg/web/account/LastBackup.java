package rosinedpeg.web.account;

import java.time.Instant;

/**
 * The last time that {@code ./peg} wrote everything to another file.
 *
 * @param at when
 * @param failed whether it could not
 */
public record LastBackup(Instant at, boolean failed) {}
